import { hungEye, padFace, type Elevation } from '@/core/suspension/longitudinalLeaf/elevation';
import { LeafStroke, leafThick } from './LeafStroke';
import { pathOf, type Scale } from './scale';

export type Look = 'old' | 'new' | 'now' | 'assumed';
const LOOK: Record<Look, { stroke: string; dash: string | undefined; width: number }> = {
  old: { stroke: 'var(--graphite)', dash: '7 5', width: 1.6 },
  new: { stroke: 'var(--new)', dash: undefined, width: 2 },
  now: { stroke: 'var(--ink)', dash: undefined, width: 2 },
  assumed: { stroke: 'var(--graphite)', dash: '2 3', width: 1.3 },
};

interface Props {
  drawing: Elevation;
  s: Scale;
  look: Look;
  /** Index of a leaf that the plan adds. */
  addedLeaf: number | null;
  /** Whether it is named at its tip. */
  named?: boolean;
}

/** Pack, eyes, shackle, axle stack and tube of one state, at true scale. */
export function SpringMarks({ drawing, s, look, addedLeaf, named = true }: Props) {
  const { stroke, dash, width } = LOOK[look];
  const { rearEye, frontEye, pivot } = drawing;
  const hung = hungEye(drawing);
  const thin = look === 'old' || look === 'assumed';
  const line = { fill: 'none', stroke, strokeWidth: width, strokeDasharray: dash };
  const solid = thin ? 'none' : 'var(--sheet)';
  const name = (part: string) => ({ 'data-part': `${part}-${look}` });
  return (
    <g>
      <AxleMarks drawing={drawing} s={s} line={line} fill={solid} name={name} />
      {pivot ? (
        <line
          x1={s.x(hung.x)}
          y1={s.y(hung.y)}
          x2={s.x(pivot.x)}
          y2={s.y(pivot.y)}
          {...line}
          strokeWidth={thin ? 2 : 7}
        />
      ) : (
        // The line lies on its face.
        <path
          d={pathOf(padFace(rearEye, drawing.pad ?? 0), s)}
          transform={`translate(0 ${thin ? -1 : -3.5})`}
          {...line}
          strokeWidth={thin ? 2 : 7}
          {...name('pad')}
        />
      )}
      {drawing.leaves.map((leaf, i) => {
        const path = pathOf(leaf.points, s);
        if (thin) return <path key={i} d={path} {...line} />;
        const thick = leafThick(leaf.thickness, s.perMm);
        const added = i === addedLeaf;
        // Named at its rear tip; where a shackle is pulled from below that is in its way, and the front one serves.
        const pulled = pivot !== null && pivot.y < hung.y && !drawing.turned;
        const tip = pulled ? leaf.points[0]! : leaf.points.at(-1)!;
        return (
          <g key={i}>
            <LeafStroke d={path} thick={thick} stroke={stroke} hollow={added} />
            {added && named ? (
              <text
                x={s.x(tip.x) + (pulled ? -8 : 8)}
                y={s.y(tip.y) + 18}
                textAnchor={pulled ? 'end' : 'start'}
                style={{ fill: stroke }}
              >
                leaf {i + 1}, added
              </text>
            ) : null}
          </g>
        );
      })}
      {thin || s.perMm < 0.36
        ? null
        : drawing.contacts.map((c, i) => <circle key={i} {...s.at(c)} r="2.2" fill="var(--amber)" />)}
      <circle {...s.at(frontEye)} r={Math.max(7, 19 * s.perMm)} {...line} fill={solid} {...name('front-eye')} />
      {pivot ? (
        <>
          <circle {...s.at(rearEye)} r={Math.max(7, 19 * s.perMm)} {...line} fill={solid} {...name('rear-eye')} />
          <circle {...s.at(pivot)} r={Math.max(5, 12 * s.perMm)} {...line} fill={solid} {...name('pivot')} />
        </>
      ) : null}
      <circle {...s.at(drawing.seat)} r="2.5" fill={stroke} {...name('seat')} />
    </g>
  );
}

/**
 * Corners of a wedge under the spring, thin end drawn no thinner than a line, from its middle, mm.
 * @param half of its length, negative where the spring lies under the axle
 */
function wedgePath({ height, noseUp }: NonNullable<Elevation['stack']['wedge']>, half: number): [number, number][] {
  const wide = Math.abs(half);
  // Under the axle a thick end to the rear turns the nose the other way.
  const rise = Math.tan(noseUp) * half;
  return [
    [-wide, 0],
    [wide, 0],
    [wide, Math.max(0.5, height + rise)],
    [-wide, Math.max(0.5, height - rise)],
  ];
}

interface AxleProps {
  drawing: Elevation;
  s: Scale;
  line: { fill: string; stroke: string; strokeWidth: number; strokeDasharray: string | undefined };
  fill: string;
  name: (part: string) => { 'data-part': string };
}

/** Tube, perch, block and U-bolts between hub and pack. */
function AxleMarks({ drawing, s, line, fill, name }: AxleProps) {
  const { stack, hub, seatLength } = drawing;
  const up = stack.arrangement === 'over' ? 1 : -1;
  const radius = stack.tubeDiameter / 2;
  const half = seatLength / 2;
  const box = (key: string, from: number, to: number, wide: number, colour: string) => {
    const top = hub.y + up * Math.max(from, to);
    const y = up === 1 ? s.y(top) : s.y(hub.y - Math.min(from, to));
    return (
      <rect
        key={key}
        x={s.x(hub.x - wide)}
        y={y}
        width={2 * wide * s.perMm}
        height={Math.abs(to - from) * s.perMm}
        {...line}
        fill={colour}
      />
    );
  };
  const perchTop = radius + stack.perch;
  const blockTop = perchTop + stack.block;
  const { wedge } = stack;
  const wedgeTop = blockTop + (wedge?.height ?? 0);
  const packTop = wedgeTop + stack.main + stack.below;
  const at = s.at(hub);
  const legs = [-half, half].map(
    (dx) =>
      `M${s.x(hub.x + dx)} ${s.y(hub.y - up * (radius + 18))}L${s.x(hub.x + dx)} ${s.y(hub.y + up * (packTop + 16))}`,
  );
  return (
    <g>
      {stack.perch > 0 ? box('perch', radius * 0.8, perchTop, Math.min(half, 55), fill) : null}
      {stack.block > 0 ? box('block', perchTop, blockTop, half, fill === 'none' ? fill : 'var(--steel)') : null}
      {wedge ? (
        <path
          d={wedgePath(wedge, half * up)
            .map(([dx, dy], k) => `${k === 0 ? 'M' : 'L'}${s.x(hub.x + dx)} ${s.y(hub.y + up * (blockTop + dy))}`)
            .join('')
            .concat('Z')}
          {...line}
          fill={fill === 'none' ? fill : 'var(--steel)'}
          {...name('wedge')}
        />
      ) : null}
      {seatLength > 0 ? <path d={legs.join('')} {...line} fill="none" strokeWidth={line.strokeWidth} /> : null}
      <circle {...at} r={radius * s.perMm} {...line} fill={fill} {...name('hub')} />
      <path d={`M${at.cx - 6} ${at.cy}H${at.cx + 6}M${at.cx} ${at.cy - 6}V${at.cy + 6}`} stroke={line.stroke} />
    </g>
  );
}
