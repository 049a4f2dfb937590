'use client';
import { type Reach } from '@/core/prediction/ledger';
import { useWidth } from '../drawing/useWidth';
import { useLengthText } from '../measured/Figure';

interface Props {
  before: number;
  predicted: number;
  reach: Reach;
  measured: number | null;
  guess: number | null;
  label: string;
}

const HEIGHT = 116;
const LINE = 54;

/** A piece of tape with the height before, the predicted band, the tape's reading and the guess on one scale. */
export function ResidualScale({ before, predicted, reach, measured, guess, label }: Props) {
  const text = useLengthText();
  const [box, width] = useWidth<HTMLDivElement>(520);
  const marks = [
    before,
    predicted - reach.below,
    predicted + reach.above,
    ...(measured === null ? [] : [measured]),
    ...(guess === null ? [] : [guess]),
  ];
  const low = Math.min(...marks) - 12;
  const high = Math.max(...marks) + 12;
  const x = (mm: number) => 16 + ((mm - low) / (high - low)) * (width - 32);
  const ticks = Array.from(
    { length: Math.floor(high / 5) - Math.ceil(low / 5) + 1 },
    (_, k) => (Math.ceil(low / 5) + k) * 5,
  );
  const below = (mm: number, name: string, colour: string, shape: 'diamond' | 'triangle', row: number) => (
    <g>
      <path
        d={shape === 'diamond' ? `M${x(mm)} ${LINE - 9}l7 9l-7 9l-7 -9z` : `M${x(mm)} ${LINE - 8}l7 14h-14z`}
        fill={shape === 'diamond' ? colour : 'var(--sheet)'}
        stroke={colour}
        strokeWidth="2"
      />
      <text
        x={x(mm)}
        y={LINE + 28 + 19 * row}
        textAnchor={x(mm) > width - 90 ? 'end' : x(mm) < 70 ? 'start' : 'middle'}
        style={{ fill: colour }}
      >
        {name}
      </text>
    </g>
  );
  return (
    <div ref={box}>
      <svg className="drawing" viewBox={`0 0 ${width} ${HEIGHT}`} role="img" aria-label={label}>
        {ticks.map((mm) => (
          <line
            key={mm}
            x1={x(mm)}
            x2={x(mm)}
            y1={LINE}
            y2={LINE + (mm % 25 === 0 ? 10 : 5)}
            stroke="var(--tick)"
            strokeWidth="1"
          />
        ))}
        <line x1="16" x2={width - 16} y1={LINE} y2={LINE} stroke="var(--ink)" />
        <rect
          x={x(predicted - reach.below)}
          y={LINE - 12}
          width={x(predicted + reach.above) - x(predicted - reach.below)}
          height="12"
          fill="var(--new-wash)"
          stroke="var(--new)"
        />
        <line x1={x(predicted)} x2={x(predicted)} y1={LINE - 18} y2={LINE} stroke="var(--new)" strokeWidth="3" />
        <text
          x={x(predicted)}
          y={LINE - 24}
          textAnchor={x(predicted) > width - 110 ? 'end' : 'middle'}
          style={{ fill: 'var(--new)' }}
        >
          predicted {text(predicted)}
        </text>
        <line
          x1={x(before)}
          x2={x(before)}
          y1={LINE - 14}
          y2={LINE}
          stroke="var(--graphite)"
          strokeWidth="2"
          strokeDasharray="4 3"
        />
        <text
          x={x(before)}
          y={LINE - 24}
          textAnchor={x(before) < 60 ? 'start' : 'middle'}
          style={{ fill: 'var(--graphite)' }}
        >
          before {text(before)}
        </text>
        {guess === null ? null : below(guess, `guess ${text(guess)}`, 'var(--graphite)', 'triangle', 1)}
        {measured === null ? null : below(measured, `tape ${text(measured)}`, 'var(--ink)', 'diamond', 0)}
      </svg>
    </div>
  );
}
