'use client';
import { type Run } from '@/contracts/run';
import { RUN_VERDICTS } from '@/contracts/runNames';
import { useRoom } from '../drawing/useRoom';
import { LOOK } from './RunLines';

/** What a run came to: a ruled bar for each verdict, and for each cause where one is likely. */
export function RunFound({ run: { counts } }: { run: Run }) {
  const [ref, width] = useRoom<HTMLElement>(700);
  if (counts.length === 0)
    return (
      <figure className="figure-sheet" ref={ref}>
        <p className="muted">Nothing was found so far.</p>
      </figure>
    );
  const most = Math.max(...counts.map((c) => c.lines));
  // On a phone the name stands over its bar.
  const narrow = width < 560;
  const [left, tall] = narrow ? [8, 62] : [300, 44];
  const top = narrow ? 28 : 8;
  const name = (c: Run['counts'][number]) => c.says ?? RUN_VERDICTS[c.verdict] ?? c.verdict;
  return (
    <figure className="figure-sheet" ref={ref}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${counts.length * tall + 8}`}
        role="img"
        aria-label={counts.map((c) => `${c.lines} ${name(c)}`).join('; ')}
      >
        {counts.map((c, k) => {
          const ink = LOOK.includes(c.verdict) ? 'var(--amber)' : 'var(--new)';
          const long = Math.max(3, (c.lines / most) * (width - left - 90));
          return (
            <g key={`${c.verdict} ${c.says ?? ''}`} transform={`translate(0 ${k * tall + 4})`}>
              <text x={narrow ? left + 6 : left - 14} y={narrow ? 20 : 27} textAnchor={narrow ? 'start' : 'end'}>
                {name(c)}
              </text>
              <rect
                x={left}
                y={top}
                width={long}
                height={26}
                fill={`color-mix(in srgb, ${ink} 24%, var(--sheet))`}
                stroke={ink}
              />
              <text x={left + long + 10} y={top + 19} className="num">
                {c.lines}
              </text>
            </g>
          );
        })}
        <path d={`M${left} 0V${counts.length * tall + 8}`} stroke="var(--ink)" strokeWidth="1.6" />
      </svg>
    </figure>
  );
}
