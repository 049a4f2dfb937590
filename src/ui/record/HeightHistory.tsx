'use client';
import { type HistoryHeight } from '@/contracts/record';
import { useWidth } from '../drawing/useWidth';
import { useClockText } from '../measured/Clock';
import { useLengthText } from '../measured/Figure';

const PLACE = { left: 74, right: 24, top: 18, bottom: 40 };
const TALL = 300;
const INK = { before: 'var(--graphite)', after: 'var(--new)', since: 'var(--new)' } as const;
const DAY = 864e5;

/** Every height of one axle, point and load that was ever read, over the calendar: left a ring, right a square. */
export function HeightHistory({ heights, name }: { heights: readonly HistoryHeight[]; name: string }) {
  const [box, width] = useWidth<HTMLDivElement>(760);
  const clock = useClockText();
  const text = useLengthText();
  const times = heights.map((h) => Date.parse(h.at));
  const [from, to] = [Math.min(...times), Math.max(...times)];
  const span = Math.max(DAY, to - from);
  const values = heights.map((h) => h.value);
  const [low, high] = [Math.min(...values) - 6, Math.max(...values) + 6];
  const x = (at: number) => PLACE.left + 14 + ((at - from) / span) * (width - PLACE.left - PLACE.right - 28);
  const y = (mm: number) => PLACE.top + ((high - mm) / (high - low)) * (TALL - PLACE.top - PLACE.bottom);
  const step = [1, 2, 5, 10, 20, 50, 100].find((s) => (high - low) / s <= 6) ?? 200;
  const lines = Array.from(
    { length: Math.floor(high / step) - Math.ceil(low / step) + 1 },
    (_, k) => (Math.ceil(low / step) + k) * step,
  );
  const ends = to - from < DAY ? [from] : [from, to];
  return (
    <div ref={box}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${TALL}`}
        role="img"
        aria-label={`${name}: ${heights.length} heights, from ${text(Math.min(...values))} to ${text(Math.max(...values))}`}
      >
        {lines.map((mm) => (
          <g key={mm}>
            <line x1={PLACE.left} x2={width - PLACE.right} y1={y(mm)} y2={y(mm)} stroke="var(--rule)" />
            <text x={PLACE.left - 8} y={y(mm) + 5} textAnchor="end" className="num">
              {text(mm).replace(/ (mm|in)$/, '')}
            </text>
          </g>
        ))}
        <line
          x1={PLACE.left}
          x2={width - PLACE.right}
          y1={TALL - PLACE.bottom}
          y2={TALL - PLACE.bottom}
          stroke="var(--ink)"
          strokeWidth="1.6"
        />
        {ends.map((at, k) => (
          <text key={at} x={x(at)} y={TALL - 14} textAnchor={k === 0 ? 'start' : 'end'} className="num">
            {clock(new Date(at).toISOString(), 'day')}
          </text>
        ))}
        {(['left', 'right'] as const).map((side) => {
          const own = heights.filter((h) => h.side === side).toSorted((p, q) => (p.at < q.at ? -1 : 1));
          return (
            <g key={side}>
              <path
                d={own
                  .map((h, k) => `${k === 0 ? 'M' : 'L'}${x(Date.parse(h.at)).toFixed(1)} ${y(h.value).toFixed(1)}`)
                  .join('')}
                fill="none"
                stroke="var(--graphite)"
                strokeWidth="1"
                strokeDasharray={side === 'left' ? undefined : '5 4'}
              />
              {own.map((h) => {
                const [px, py] = [x(Date.parse(h.at)), y(h.value)];
                return side === 'left' ? (
                  <circle
                    key={h.at}
                    cx={px}
                    cy={py}
                    r="5"
                    fill="var(--sheet)"
                    stroke={INK[h.phase]}
                    strokeWidth="2.2"
                  />
                ) : (
                  <rect
                    key={h.at}
                    x={px - 4.5}
                    y={py - 4.5}
                    width="9"
                    height="9"
                    fill="var(--sheet)"
                    stroke={INK[h.phase]}
                    strokeWidth="2.2"
                  />
                );
              })}
            </g>
          );
        })}
      </svg>
    </div>
  );
}
