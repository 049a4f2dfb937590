'use client';
import { HEIGHT_STEP, type Sweep } from '@/contracts/fleet';
import { useRoom } from '../drawing/useRoom';
import { useLengthText } from '../measured/Figure';

/** How many vehicles stand at which height over the hub: what is low in amber, the height they should reach as a line. */
export function FleetHeights({ sweep: { heights, ask } }: { sweep: Sweep }) {
  const [ref, width, room] = useRoom<HTMLElement>(700);
  const text = useLengthText();
  const tall = Number.isFinite(room) ? Math.max(150, room) : 260;
  if (heights.length === 0)
    return (
      <figure className="figure-sheet" ref={ref}>
        <p className="muted">No vehicle was told yet.</p>
      </figure>
    );
  const first = Math.min(heights[0]!.from, Math.floor(ask.least / HEIGHT_STEP) * HEIGHT_STEP) - HEIGHT_STEP;
  const last = Math.max(heights.at(-1)!.from, ask.least) + 2 * HEIGHT_STEP;
  const most = Math.max(...heights.map((h) => h.vehicles));
  const [left, right, bottom, top] = [14, width - 14, tall - 34, 26];
  const x = (mm: number) => left + ((mm - first) / (last - first)) * (right - left);
  const step = x(first + HEIGHT_STEP) - x(first);
  const y = (n: number) => bottom - (n / most) * (bottom - top);
  const every = Math.max(1, Math.ceil(70 / step));
  const marks = Array.from({ length: Math.floor((last - first) / HEIGHT_STEP) + 1 }, (_, k) => first + k * HEIGHT_STEP);
  return (
    <figure className="figure-sheet" ref={ref}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${tall}`}
        role="img"
        aria-label={`Heights: ${heights.map((h) => `${h.vehicles} at ${text(h.from)}`).join('; ')}; they should reach ${text(ask.least)}`}
      >
        {heights.map(({ from, vehicles, low }) => (
          <g key={from}>
            <rect
              x={x(from) + 1}
              y={y(vehicles)}
              width={Math.max(1, step - 2)}
              height={bottom - y(vehicles)}
              fill="color-mix(in srgb, var(--new) 22%, var(--sheet))"
              stroke="var(--new)"
            />
            {low > 0 ? (
              <rect
                x={x(from) + 1}
                y={y(low)}
                width={Math.max(1, step - 2)}
                height={bottom - y(low)}
                fill="color-mix(in srgb, var(--amber) 28%, var(--sheet))"
                stroke="var(--amber)"
              />
            ) : null}
            {step > 26 ? (
              <text x={x(from) + step / 2} y={y(vehicles) - 6} textAnchor="middle" className="num">
                {vehicles}
              </text>
            ) : null}
          </g>
        ))}
        <path d={`M${left} ${bottom}H${right}`} stroke="var(--ink)" strokeWidth="1.6" />
        {marks.map((mm, k) => (
          <g key={mm}>
            <path d={`M${x(mm)} ${bottom}v${k % every === 0 ? 8 : 4}`} stroke="var(--tick)" />
            {k % every === 0 && x(mm) > left + 34 && x(mm) < right - 34 ? (
              <text x={x(mm)} y={bottom + 26} textAnchor="middle" className="num">
                {text(mm)}
              </text>
            ) : null}
          </g>
        ))}
        <path d={`M${x(ask.least)} ${top - 14}V${bottom}`} stroke="var(--ink)" strokeWidth="2" strokeDasharray="7 4" />
        <text x={x(ask.least) + 6} y={top - 4}>
          wanted {text(ask.least)}
        </text>
      </svg>
    </figure>
  );
}
