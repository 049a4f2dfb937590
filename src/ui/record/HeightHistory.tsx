'use client';
import { type HistoryHeight } from '@/contracts/record';
import { SIDES } from '@/core/vehicle/side';
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
  const oneDay = to - from < DAY;
  const sides = SIDES.map((side) => ({
    side,
    own: heights.filter((h) => h.side === side).toSorted((p, q) => (p.at < q.at ? -1 : 1)),
  }));
  const most = Math.max(2, ...sides.map(({ own }) => own.length));
  const across = (share: number) => PLACE.left + 14 + share * (width - PLACE.left - PLACE.right - 28);
  // Those of one day stand in their order.
  const x = (h: HistoryHeight, k: number) => across(oneDay ? k / (most - 1) : (Date.parse(h.at) - from) / span);
  const y = (mm: number) => PLACE.top + ((high - mm) / (high - low)) * (TALL - PLACE.top - PLACE.bottom);
  const step = stepFor(high - low, 6);
  const ends = oneDay ? [from] : [from, to];
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
          <text key={at} x={across(k)} y={TALL - 14} textAnchor={k === 0 ? 'start' : 'end'} className="num">
            {clock(new Date(at).toISOString(), 'day')}
            {oneDay && heights.length > 2 ? ', one after another' : ''}
          </text>
        ))}
        {sides.map(({ side, own }) => (
          <g key={side}>
            <path
              d={own.map((h, k) => `${k === 0 ? 'M' : 'L'}${x(h, k).toFixed(1)} ${y(h.value).toFixed(1)}`).join('')}
              fill="none"
              stroke="var(--graphite)"
              strokeWidth="1"
              strokeDasharray={side === 'left' ? undefined : '5 4'}
            />
            {own.map((h, k) => (
              <SideMark key={h.at} side={side} x={x(h, k)} y={y(h.value)} ink={INK[h.phase]} />
            ))}
          </g>
        ))}
      </svg>
    </div>
  );
}
