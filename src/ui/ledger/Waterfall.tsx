'use client';
import { ledgerBars, printedLedger, type LedgerLine } from '@/core/prediction/ledger';
import { useWidth } from '../drawing/useWidth';
import { useLedgerStep, useLengthText } from '../measured/Figure';

interface Props {
  lines: readonly LedgerLine[];
  /** 90 % half-width of the total. */
  half: number;
  spoken: string;
}

const ROW = 26;

/** The ledger to scale: each line begins where the last one ended; whiskers are the 90 % half-widths. */
export function Waterfall({ lines, half, spoken }: Props) {
  const [box, width] = useWidth<HTMLElement>(340);
  const lengthText = useLengthText();
  const step = useLedgerStep();
  // The same rounded figures as in the table, so that both add up alike.
  const printed = printedLedger(lines, step).map((line) => ({ ...line, value: line.steps * step }));
  const bars = ledgerBars(printed).filter(
    (b) => b.line.kind !== 'measured' && (b.line.value !== 0 || b.line.half90 !== 0),
  );
  const start = printed.find((l) => l.kind === 'measured')?.value ?? 0;
  const halfOf = (line: LedgerLine) => (line.kind === 'total' ? half : line.half90);
  const reach = bars.flatMap(({ line, from, to }) => {
    const ends =
      line.kind === 'total' ? [to - halfOf(line), to + halfOf(line)] : [from, to - line.half90, to + line.half90];
    return ends.map((v) => v - start);
  });
  const [least, most] = [Math.min(0, ...reach), Math.max(0, ...reach)];
  const textOf = ({ line, to }: (typeof bars)[number]) => {
    const value = line.kind === 'total' ? to - start : line.value;
    return `${value > 0 ? '+' : ''}${lengthText(value).replace(/ (mm|in)$/, '')}`;
  };
  // Room for the longest figure behind the longest bar.
  const room = 10 * Math.max(0, ...bars.map((bar) => textOf(bar).length));
  const [left, right] = [8, Math.max(58, 12 + room)];
  const perMm = (width - left - right) / Math.max(1, most - least);
  const x = (v: number) => left + (v - least) * perMm;
  const height = bars.length * ROW + 8;
  return (
    <figure className="figure-sheet" ref={box}>
      <svg className="drawing" viewBox={`0 0 ${width} ${height}`} role="img" aria-label={spoken}>
        <line x1={x(0)} x2={x(0)} y1={0} y2={height} stroke="var(--graphite)" strokeDasharray="4 3" />
        {bars.map((bar, k) => {
          const { line, from, to } = bar;
          const y = 4 + k * ROW;
          const total = line.kind === 'total';
          const [a, b] = total ? [0, to - start] : [from - start, to - start];
          const ink = line.kind === 'settling' ? 'var(--graphite)' : 'var(--new)';
          const spread = halfOf(line);
          const end = x(Math.max(a, b, b + spread)) + 6;
          return (
            <g key={k} data-bar={line.kind}>
              <rect
                x={x(Math.min(a, b))}
                y={y + 5}
                width={Math.max(1.5, Math.abs(b - a) * perMm)}
                height={ROW - 12}
                fill={total ? ink : 'var(--new-wash)'}
                stroke={ink}
                strokeDasharray={line.kind === 'settling' ? '4 3' : undefined}
              />
              {spread > 0 ? (
                <path
                  d={`M${x(b - spread)} ${y + ROW / 2 - 1}H${x(b + spread)}M${x(b - spread)} ${y + 6}v${ROW - 14}M${x(b + spread)} ${y + 6}v${ROW - 14}`}
                  stroke="var(--ink)"
                  fill="none"
                  strokeWidth="1.4"
                />
              ) : null}
              <text x={Math.min(end, width - room - 4)} y={y + ROW / 2 + 4} className="num">
                {textOf(bar)}
              </text>
            </g>
          );
        })}
      </svg>
      <figcaption className="muted small">
        From today’s height, top to bottom as in the ledger; the full bar is the change, dashed what settling will add.
      </figcaption>
    </figure>
  );
}
