import { type Side } from '@/core/vehicle/side';

/** Round steps of an axis. @param most lines at most */
export const stepFor = (span: number, most: number): number =>
  [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10_000].find((s) => span / s <= most) ?? 20_000;

/** Multiples of a step between two figures. */
export const multiples = (from: number, to: number, step: number): number[] =>
  Array.from(
    { length: Math.max(0, Math.floor(to / step) - Math.ceil(from / step) + 1) },
    (_, k) => (Math.ceil(from / step) + k) * step,
  );

/** A height that was read: a ring on the left, a square on the right. */
export const SideMark = ({ side, x, y, ink }: { side: Side; x: number; y: number; ink: string }) =>
  side === 'left' ? (
    <circle cx={x} cy={y} r="5" fill="var(--sheet)" stroke={ink} strokeWidth="2.2" />
  ) : (
    <rect x={x - 4.5} y={y - 4.5} width="9" height="9" fill="var(--sheet)" stroke={ink} strokeWidth="2.2" />
  );

interface LinesProps {
  /** Heights at which a line is ruled, mm. */
  at: readonly number[];
  y: (mm: number) => number;
  left: number;
  right: number;
  text: (mm: number) => string;
}

/** Ruled heights with their figures at the left edge. */
export const HeightLines = ({ at, y, left, right, text }: LinesProps) =>
  at.map((mm) => (
    <g key={mm}>
      <line x1={left} x2={right} y1={y(mm)} y2={y(mm)} stroke="var(--rule)" />
      <text x={left - 8} y={y(mm) + 5} textAnchor="end" className="num">
        {text(mm).replace(/ (mm|in)$/, '')}
      </text>
    </g>
  ));
