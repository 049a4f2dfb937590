import { type JobView } from '@/contracts/job';
import { type HubDrop } from '@/core/travel/hubTravel';
import { ASSUMED_TRAVEL } from '@/core/travel/limits';
import { lengthAtDrop } from '@/core/travel/shock';
import { SIDES, type Side } from '@/core/vehicle/side';
import { type Scale } from '../drawing/scale';
import { type Travel } from './useTravel';

/** Sizes of the drawing, mm. */
export interface Parts {
  radius: number;
  track: number;
  base: number;
  tube: number;
  /** Underside of the frame above the hub of today. */
  frame: number;
  /** Body above the hub of today. */
  body: number;
  half: number;
  top: number;
}

/** Sizes of the drawing; what nobody read stands in at a usual size, as on the measuring figure. */
export function partsOf(view: JobView, travel: Travel): Parts {
  const read = (point: string, usual: number) =>
    view.readings.find((r) => r.point === point && r.phase === 'before')?.value ?? usual;
  const { left, right } = travel.known.travel!.read;
  const of = (point: 'axleToFrame' | 'tyreToArch' | 'stopGap' | 'stopHeight') => left[point] ?? right[point];
  const radius = read('groundToHub', 350);
  const tube = read('tubeDiameter', 80);
  const stop = (of('stopGap') ?? 60) + (of('stopHeight') ?? 50);
  const frame = tube / 2 + Math.max(of('axleToFrame') ?? 0, stop + 10);
  const body = radius + (of('tyreToArch') ?? 140);
  const track = read('trackWidth', 1600);
  return {
    ...{ radius, track, tube, frame, body },
    base: Math.min(read('springBase', 1050), track - 0.75 * radius) - 140,
    half: track / 2 + 0.45 * radius,
    top: Math.max(frame + 130, body + 20),
  };
}

const sideOf = (m: number): Side => (m < 0 ? 'left' : 'right');

/** Frame, stops, shocks, springs' seats, axle and wheels. */
export function AxleFromBehind({
  s,
  view,
  travel,
  parts,
  now,
  rests,
}: {
  s: Scale;
  view: JobView;
  travel: Travel;
  parts: Parts;
  now: HubDrop;
  rests: HubDrop;
}) {
  const { radius, track, base, tube, frame, body, half } = parts;
  const { read, absent } = travel.known.travel!;
  const { stopPad, stopCut, shock } = travel.fittings;
  const box = (x: number, y: number, wide: number, high: number) => ({
    x: s.x(x - wide / 2),
    y: s.y(y + high),
    width: wide * s.perMm,
    height: high * s.perMm,
  });
  const wheel = 0.55 * radius;
  const axle = (drop: number, ghost: boolean) => (
    <g
      fill={ghost ? 'none' : 'var(--sheet)'}
      stroke={ghost ? 'var(--graphite)' : 'var(--ink)'}
      strokeWidth={ghost ? 1 : 1.8}
      strokeDasharray={ghost ? '5 4' : undefined}
    >
      {[-1, 1].map((m) => (
        <rect key={m} {...box((m * track) / 2, -drop - radius, wheel, 2 * radius)} rx={0.16 * radius * s.perMm} />
      ))}
      <rect {...box(0, -drop - tube / 2, track - wheel, tube)} fill={ghost ? 'none' : 'var(--steel)'} />
    </g>
  );
  const rail = base / 2;
  return (
    <g>
      {[-1, 1].map((m) => {
        const inner = m * (track / 2 - wheel * 0.85);
        const under = body - 0.5 * radius;
        return (
          <path
            key={m}
            d={`M${s.x(inner)} ${s.y(under)}V${s.y(body)}H${s.x(m * half)}V${s.y(under)}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.6"
            strokeLinejoin="round"
            strokeDasharray={read[sideOf(m)].tyreToArch === undefined ? '2 4' : undefined}
          />
        );
      })}
      <rect {...box(0, frame + 20, 2 * rail, 70)} fill="none" stroke="var(--ink)" strokeWidth="1" />
      {Math.abs(now - rests) > 0.5 ? axle(rests, true) : null}
      {axle(now, false)}
      {[-1, 1].map((m) => {
        const side = sideOf(m);
        const of = read[side];
        const x = m * rail;
        const height = (of.stopHeight ?? 50) - stopCut;
        const gap = of.stopGap;
        const tip = gap === undefined ? frame - height : tube / 2 + gap + stopCut - stopPad;
        // Held in mid-bump the stop is as high as what strikes it leaves it.
        const strikes = tube / 2 - now;
        const low = gap === undefined ? tip : Math.max(tip, strikes);
        const root = tip + height;
        const seen = of.shockLength !== undefined && !absent.includes('shocks');
        const lean = of.shockLean ?? ASSUMED_TRAVEL.lean.value;
        const rest = of.shockLength ?? 0;
        const foot = { x: m * (base / 2 - 85), y: -now };
        const head = { x: foot.x - m * rest * Math.sin(lean), y: rest * Math.cos(lean) };
        const shut = shock?.shut ?? of.shockShut ?? rest * 0.75;
        const long = lengthAtDrop(rest, lean, now);
        const bodyEnd = Math.min(1, (shut * 0.86) / Math.max(long, 1));
        const along = (t: number) => ({ x: head.x + (foot.x - head.x) * t, y: head.y + (foot.y - head.y) * t });
        const barrel = along(bodyEnd);
        return (
          <g key={m} data-side={side}>
            <rect {...box(x, frame, 76, 120)} fill="var(--tape)" stroke="var(--ink)" strokeWidth="1.6" />
            {view.axle.arrangement === null ? null : (
              <rect
                {...box(
                  m * (base / 2 + 72),
                  view.axle.arrangement === 'over' ? tube / 2 - now : -tube / 2 - 44 - now,
                  60,
                  44,
                )}
                fill="var(--sheet)"
                stroke="var(--ink)"
                strokeWidth="1.4"
              />
            )}
            {absent.includes('stops') ? null : (
              <>
                {root < frame ? (
                  <rect {...box(x, root, 46, frame - root)} fill="none" stroke="var(--ink)" strokeWidth="1.2" />
                ) : null}
                {stopPad > 0 ? (
                  <rect {...box(x, root, 62, stopPad)} fill="var(--new-wash)" stroke="var(--new)" strokeWidth="1.6" />
                ) : null}
                <rect
                  {...box(x, low, 50 + Math.max(0, low - tip) * 0.4, Math.max(2, root - low))}
                  rx="3"
                  fill={gap === undefined ? 'none' : 'var(--graphite)'}
                  stroke="var(--ink)"
                  strokeWidth="1.4"
                  strokeDasharray={gap === undefined ? '2 4' : undefined}
                />
              </>
            )}
            {seen ? (
              <g>
                <path
                  d={`M${s.x(head.x)} ${s.y(head.y)}L${s.x(foot.x)} ${s.y(foot.y)}`}
                  stroke={shock ? 'var(--new)' : 'var(--ink)'}
                  strokeWidth={Math.max(2.5, 16 * s.perMm)}
                />
                <path
                  d={`M${s.x(head.x)} ${s.y(head.y)}L${s.x(barrel.x)} ${s.y(barrel.y)}`}
                  stroke={shock ? 'var(--new)' : 'var(--ink)'}
                  strokeWidth={Math.max(6, 46 * s.perMm)}
                />
                <path
                  d={`M${s.x(head.x)} ${s.y(head.y)}L${s.x(barrel.x)} ${s.y(barrel.y)}`}
                  stroke={shock ? 'var(--new-wash)' : 'var(--sheet)'}
                  strokeWidth={Math.max(3, 46 * s.perMm - 3)}
                />
                {[head, foot].map((p, k) => (
                  <circle key={k} {...s.at(p)} r="4.5" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="1.8" />
                ))}
              </g>
            ) : null}
          </g>
        );
      })}
      <circle {...s.at({ x: 0, y: -now })} r="5" fill="var(--ink)" />
      {SIDES.map((side) => (
        <text
          key={side}
          x={s.x(side === 'left' ? -half : half)}
          y={s.y(-now - radius) + 20}
          textAnchor={side === 'left' ? 'start' : 'end'}
        >
          {side}
        </text>
      ))}
    </g>
  );
}
