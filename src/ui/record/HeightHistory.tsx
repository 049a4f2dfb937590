'use client';
import { type HistoryHeight } from '@/contracts/record';
import { HeightLines, multiples, SideMark, stepFor } from '../chart/heightMarks';
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
  const step = stepFor(high - low, 6);
  const ends = to - from < DAY ? [from] : [from, to];
  return (
    <div ref={box}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${TALL}`}
        role="img"
        aria-label={`${name}: ${heights.length} heights, from ${text(Math.min(...values))} to ${text(Math.max(...values))}`}
      >
        <HeightLines at={multiples(low, high, step)} left={PLACE.left} right={width - PLACE.right} y={y} text={text} />
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
              {own.map((h) => (
                <SideMark key={h.at} side={side} x={x(Date.parse(h.at))} y={y(h.value)} ink={INK[h.phase]} />
              ))}
            </g>
          );
        })}
      </svg>
    </div>
  );
}
