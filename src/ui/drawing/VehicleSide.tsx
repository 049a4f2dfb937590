'use client';
import { useLengthText } from '../measured/Figure';
import { useView } from '../theme/View';
import { fit } from './scale';
import { ScaleBar } from './ScaleBar';
import { useWidth } from './useWidth';

interface Known {
  value: number;
  known: boolean;
}

interface Props {
  wheelbase: number;
  /** Which axle is worked on. */
  position: 'front' | 'rear';
  /** Hangs on another vehicle in front, in the place of an axle. */
  hitched?: boolean;
  /** Ground to hub, mm. */
  hub: Known;
  /** Ground to the arch lips of the axle worked on and of the other one, in the load state drawn, mm. */
  was: { own: Known; other: Known };
  will: { own: number; other: number };
  stateName: string;
}

/** The whole vehicle from its left, to scale: as it stands dashed, as it will stand solid, in one load state. */
export function VehicleSide({ wheelbase, position, hitched = false, hub, was, will, stateName }: Props) {
  const [box, width] = useWidth<HTMLElement>(360);
  const { lengths } = useView();
  const lengthText = useLengthText();
  const over = wheelbase * 0.22;
  const tall = Math.max(was.own.value, was.other.value, will.own, will.other) + 80;
  const s = fit({ left: -over, right: wheelbase + over, top: tall, bottom: 0 }, width, {
    left: 8,
    right: 8,
    top: 10,
    bottom: 40,
  });
  const ownAt = position === 'rear' ? wheelbase : 0;
  const otherAt = wheelbase - ownAt;
  /** The line through the arch lips, run out to both overhangs. */
  const line = (own: number, other: number) => {
    const slope = (own - other) / (ownAt - otherAt);
    const y = (x: number) => other + slope * (x - otherAt);
    return `M${s.x(-over)} ${s.y(y(-over))}L${s.x(wheelbase + over)} ${s.y(y(wheelbase + over))}`;
  };
  const known = was.own.known && was.other.known;
  const goes = (from: number, to: number) => `goes from ${lengthText(from)} to ${lengthText(to)}`;
  const spoken = `Side view to scale in “${stateName}”: at the arch lip the ${position} ${goes(was.own.value, will.own)}, the ${hitched ? 'coupling' : 'other axle'} ${goes(was.other.value, will.other)}.`;
  return (
    <figure className="figure-sheet" ref={box}>
      <svg className="drawing" viewBox={`0 0 ${width} ${s.height.toFixed(1)}`} role="img" aria-label={spoken}>
        <line x1={0} x2={width} y1={s.y(0)} y2={s.y(0)} stroke="var(--ink)" strokeWidth="2" />
        {hitched ? (
          <path
            d={`M${s.x(0) - 12} ${s.y(0)}L${s.x(0)} ${s.y(will.other) + 8}L${s.x(0) + 12} ${s.y(0)}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.6"
          />
        ) : null}
        {(hitched ? [wheelbase] : [0, wheelbase]).map((x) => (
          <g key={x}>
            <circle
              cx={s.x(x)}
              cy={s.y(hub.value)}
              r={hub.value * s.perMm}
              fill="none"
              stroke="var(--ink)"
              strokeWidth="1.6"
              strokeDasharray={hub.known ? undefined : '2 4'}
            />
            <circle cx={s.x(x)} cy={s.y(hub.value)} r="3" fill="var(--ink)" />
          </g>
        ))}
        <path
          d={line(was.own.value, was.other.value)}
          stroke="var(--graphite)"
          strokeWidth="1.8"
          strokeDasharray="7 5"
        />
        <path d={line(will.own, will.other)} stroke="var(--new)" strokeWidth="3" />
        {(['own', 'other'] as const).map((axle) => {
          const x = s.x(axle === 'own' ? ownAt : otherAt);
          return (
            <g key={axle}>
              <line x1={x} x2={x} y1={s.y(hub.value)} y2={s.y(will[axle])} stroke="var(--new)" strokeWidth="1.2" />
              <circle
                cx={x}
                cy={s.y(was[axle].value)}
                r="4"
                fill="var(--sheet)"
                stroke="var(--graphite)"
                strokeWidth="1.6"
              />
              <circle cx={x} cy={s.y(will[axle])} r="4" fill="var(--new)" />
            </g>
          );
        })}
        <ScaleBar s={s} across={wheelbase + 2 * over} lengths={lengths} left={12} top={s.height - 12} />
      </svg>
      <figcaption className="muted small">
        {stateName}, from the left; line through {hitched ? 'coupling and arch lip' : 'the arch lips'}, dashed before
        the work.
        {known ? '' : ' Lips from the ground that were not measured stand in at the other heights.'}
      </figcaption>
    </figure>
  );
}
