'use client';
import { useLengthText } from '../measured/Figure';
import { useView } from '../theme/Providers';
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
  /** Ground to hub, and to the arch lips of the axle worked on and of the other one, mm. */
  hub: Known;
  own: Known;
  other: Known;
  /** Height change at the axle worked on, mm. */
  change: number;
  stateName: string;
}

/** The whole vehicle from its left, to scale: as it stands dashed, as it will stand solid, in one load state. */
export function VehicleSide({ wheelbase, position, hub, own, other, change, stateName }: Props) {
  const [box, width] = useWidth<HTMLElement>(360);
  const { lengths } = useView();
  const lengthText = useLengthText();
  const over = wheelbase * 0.22;
  const tall = Math.max(own.value, other.value) + Math.max(0, change) + 80;
  const s = fit({ left: -over, right: wheelbase + over, top: tall, bottom: 0 }, width, {
    left: 8,
    right: 8,
    top: 10,
    bottom: 40,
  });
  const ownAt = position === 'rear' ? wheelbase : 0;
  const otherAt = wheelbase - ownAt;
  /** The line through the arch lips, run out to both overhangs. */
  const line = (atOwn: number) => {
    const slope = (atOwn - other.value) / (ownAt - otherAt);
    const y = (x: number) => other.value + slope * (x - otherAt);
    return `M${s.x(-over)} ${s.y(y(-over))}L${s.x(wheelbase + over)} ${s.y(y(wheelbase + over))}`;
  };
  const known = own.known && other.known;
  const spoken = `Side view to scale in “${stateName}”: the ${position} goes from ${lengthText(own.value)} to ${lengthText(own.value + change)} at the arch lip.`;
  return (
    <figure className="figure-sheet" ref={box}>
      <svg className="drawing" viewBox={`0 0 ${width} ${s.height.toFixed(1)}`} role="img" aria-label={spoken}>
        <line x1={0} x2={width} y1={s.y(0)} y2={s.y(0)} stroke="var(--ink)" strokeWidth="2" />
        {[0, wheelbase].map((x) => (
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
        <path d={line(own.value)} stroke="var(--graphite)" strokeWidth="1.8" strokeDasharray="7 5" />
        <path d={line(own.value + change)} stroke="var(--new)" strokeWidth="3" />
        <g>
          <line
            x1={s.x(ownAt)}
            x2={s.x(ownAt)}
            y1={s.y(hub.value)}
            y2={s.y(own.value + change)}
            stroke="var(--new)"
            strokeWidth="1.2"
          />
          <circle
            cx={s.x(ownAt)}
            cy={s.y(own.value)}
            r="4"
            fill="var(--sheet)"
            stroke="var(--graphite)"
            strokeWidth="1.6"
          />
          <circle cx={s.x(ownAt)} cy={s.y(own.value + change)} r="4" fill="var(--new)" />
          <circle
            cx={s.x(otherAt)}
            cy={s.y(other.value)}
            r="4"
            fill="var(--sheet)"
            stroke="var(--ink)"
            strokeWidth="1.6"
          />
        </g>
        <ScaleBar s={s} across={wheelbase + 2 * over} lengths={lengths} left={12} top={s.height - 12} />
      </svg>
      <figcaption className="muted small">
        {stateName}, from the left; line through the arch lips, dashed as it stands.
        {known ? '' : ' Lips from the ground that were not measured stand in at the other heights.'}
      </figcaption>
    </figure>
  );
}
