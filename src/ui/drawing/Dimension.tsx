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
  /** Where the line stands, px. */
  at: number;
  from: number;
  to: number;
  /** Left out where the figure is written elsewhere. */
  text?: string;
  ink: DimensionInk;
}

/** A vertical dimension with ticks at its own two points; the text stands along the line, read from the right. */
export function Dimension({ s, at, from, to, text, ink }: Props) {
  const colour = INK[ink];
  const middle = s.y((from + to) / 2);
  return (
    <g stroke={colour} strokeWidth={ink === 'focus' ? 3 : 1.5}>
      <line x1={at} x2={at} y1={s.y(from)} y2={s.y(to)} />
      <line x1={at - 7} x2={at + 7} y1={s.y(from)} y2={s.y(from)} />
      <line x1={at - 7} x2={at + 7} y1={s.y(to)} y2={s.y(to)} />
      {text ? (
        <text
          transform={`translate(${at - 8} ${middle}) rotate(-90)`}
          textAnchor="middle"
          style={{ fill: colour }}
          className="num"
        >
          {text}
        </text>
      ) : null}
    </g>
  );
}

/** A horizontal dimension below or above the part it measures. */
export function LevelDimension({ s, at, from, to, text, ink }: Props) {
  const py = at;
  const colour = INK[ink];
  return (
    <g stroke={colour} strokeWidth={ink === 'focus' ? 3 : 1.5}>
      <line x1={s.x(from)} x2={s.x(to)} y1={py} y2={py} />
      <line x1={s.x(from)} x2={s.x(from)} y1={py - 7} y2={py + 7} />
      <line x1={s.x(to)} x2={s.x(to)} y1={py - 7} y2={py + 7} />
      <text x={s.x((from + to) / 2)} y={py - 8} textAnchor="middle" style={{ fill: colour }} className="num">
        {text}
      </text>
    </g>
  );
}
