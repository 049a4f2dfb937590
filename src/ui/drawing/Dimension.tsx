import { type Scale } from './scale';

export type DimensionInk = 'new' | 'old' | 'focus' | 'plain';
const INK: Record<DimensionInk, string> = {
  new: 'var(--new)',
  old: 'var(--graphite)',
  focus: 'var(--amber)',
  plain: 'var(--ink)',
};

interface Props {
  s: Scale;
  /** Where the line stands, mm. */
  x: number;
  from: number;
  to: number;
  text: string;
  ink: DimensionInk;
  /** Text on the left of the line. */
  left?: boolean;
}

/** A vertical dimension with ticks at its own two points. */
export function Dimension({ s, x, from, to, text, ink, left = false }: Props) {
  const px = s.x(x);
  const colour = INK[ink];
  const width = ink === 'focus' ? 3 : 1.5;
  return (
    <g stroke={colour} strokeWidth={width}>
      <line x1={px} x2={px} y1={s.y(from)} y2={s.y(to)} />
      <line x1={px - 7} x2={px + 7} y1={s.y(from)} y2={s.y(from)} />
      <line x1={px - 7} x2={px + 7} y1={s.y(to)} y2={s.y(to)} />
      <text
        x={left ? px - 10 : px + 10}
        y={s.y((from + to) / 2) + 5}
        textAnchor={left ? 'end' : 'start'}
        stroke="none"
        style={{ fill: colour }}
        className="num"
      >
        {text}
      </text>
    </g>
  );
}

/** A horizontal dimension below or above the part it measures. */
export function LevelDimension({ s, y, from, to, text, ink }: Omit<Props, 'x' | 'left'> & { y: number }) {
  const py = s.y(y);
  const colour = INK[ink];
  return (
    <g stroke={colour} strokeWidth={ink === 'focus' ? 3 : 1.5}>
      <line x1={s.x(from)} x2={s.x(to)} y1={py} y2={py} />
      <line x1={s.x(from)} x2={s.x(from)} y1={py - 7} y2={py + 7} />
      <line x1={s.x(to)} x2={s.x(to)} y1={py - 7} y2={py + 7} />
      <text
        x={s.x((from + to) / 2)}
        y={py - 8}
        textAnchor="middle"
        stroke="none"
        style={{ fill: colour }}
        className="num"
      >
        {text}
      </text>
    </g>
  );
}
