'use client';
import { type ReactNode } from 'react';
import { type CrossFigures } from '@/core/suspension/transverseLeaf/sideModel';
import { SIDES, type Side } from '@/core/vehicle/side';
import { Dimension } from '../../drawing/Dimension';
import { fit, pathOf, type Scale } from '../../drawing/scale';
import { ScaleBar } from '../../drawing/ScaleBar';
import { useRoom } from '../../drawing/useRoom';
import { useLengthText } from '../../measured/Figure';
import { useView } from '../../theme/View';
import { sign } from './side';

export type Halves = Record<Side, CrossFigures | null>;

interface Props {
  old: Halves;
  built: Halves | null;
  stateName: string;
  /** Loaded radius of the tyres, mm; null where nobody read it: then neither tyre nor ground is drawn. */
  radius: number | null;
  /** Drawn over it all, with rows of its own above and below, px. */
  over?: { top: number; bottom: number; draw: (s: Scale) => ReactNode };
}

type Look = 'old' | 'now' | 'new';
const INK: Record<Look, string> = { old: 'var(--graphite)', now: 'var(--ink)', new: 'var(--new)' };
/** Not measured, drawn to show what is what: the frame's member over the spring, the hub out from the eye, mm. */
const FRAME = { half: 95, tall: 44 } as const;
const HUB_OUT = 58;
/** Width under which there is no room beside the wheels, px. */
const NARROW = 560;

/** The spring across, seen from behind, frame held still: as it is in graphite dashes, as it will be solid, in one load state. */
export function CrossElevation({ old, built, stateName, radius, over }: Props) {
  const [box, width, tall] = useRoom<HTMLElement>(760);
  const { lengths } = useView();
  const lengthText = useLengthText();
  const shown = built ?? old;
  // On a phone the figures stand under the wheels, so that the spring keeps the width.
  const narrow = width < NARROW;
  const all = SIDES.flatMap((side) => [old[side], shown[side]].flatMap((f) => f ?? []));
  const reach = Math.max(...all.map((f) => f.eye.x)) + HUB_OUT + (radius ?? 0) * 0.5 + 20;
  const low = Math.min(...all.map((f) => f.eye.y - f.lowered - (radius ?? 30))) - 8;
  const high = Math.max(
    FRAME.tall,
    ...all.map((f) => Math.max((f.upright?.joint.y ?? 0) + 20, f.eye.y - f.lowered + (radius ?? 0) + 8)),
  );
  const s = fit(
    { left: -reach, right: reach, top: high, bottom: low },
    width,
    {
      ...(narrow ? { left: 14, right: 14 } : { left: 132, right: 132 }),
      ...{ top: 12 + (over?.top ?? 0), bottom: (narrow ? 86 : 40) + (over?.bottom ?? 0) },
    },
    tall,
  );
  const spoken = `Spring across from behind, ${stateName}: ${SIDES.flatMap((side) => {
    const [is, was] = [shown[side], old[side]];
    return is
      ? [`clamp down to the eye ${side} ${lengthText(is.drop)}${built && was ? `, was ${lengthText(was.drop)}` : ''}`]
      : [];
  }).join('; ')}.`;
  return (
    <figure className="figure-sheet" ref={box}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${s.height.toFixed(1)}`}
        role={over ? 'group' : 'img'}
        aria-label={spoken}
      >
        {radius === null ? null : <Tyres s={s} of={shown} radius={radius} />}
        {built ? <Spring s={s} of={old} look="old" /> : null}
        <Spring s={s} of={shown} look={built ? 'new' : 'now'} />
        <Frame s={s} />
        {SIDES.map((side) => (
          <Drops
            key={side}
            s={s}
            side={side}
            reach={reach}
            below={narrow ? s.y(low) + 24 : null}
            old={built ? old[side] : null}
            is={shown[side]}
          />
        ))}
        {over?.draw(s)}
        <ScaleBar s={s} across={2 * reach} lengths={lengths} left={16} top={s.height - 8} front={false}>
          seen from behind, {stateName}
        </ScaleBar>
      </svg>
    </figure>
  );
}

/** The frame's member that the spring is clamped to, held still. */
const Frame = ({ s }: { s: Scale }) => (
  <g>
    <rect
      x={s.x(-FRAME.half)}
      y={s.y(FRAME.tall)}
      width={2 * FRAME.half * s.perMm}
      height={FRAME.tall * s.perMm}
      fill="var(--steel)"
      stroke="var(--ink)"
      strokeWidth="1.6"
    />
    <text x={s.x(0)} y={s.y(FRAME.tall / 2) + 5} textAnchor="middle">
      frame
    </text>
  </g>
);

function Spring({ s, of, look }: { s: Scale; of: Halves; look: Look }) {
  const ink = INK[look];
  const dash = look === 'old' ? '6 4' : undefined;
  const any = of.left ?? of.right;
  const below = any ? Math.min(...any.leaves.map((leaf) => leaf.y[0]!)) - any.thickness / 2 : 0;
  return (
    <g data-look={look}>
      {SIDES.map((side) => {
        const half = of[side];
        if (!half) return null;
        const at = (x: number, y: number) => ({ x: sign(side) * x, y });
        const eye = at(half.eye.x, half.eye.y);
        const hub = at(half.eye.x + HUB_OUT, half.eye.y - half.lowered);
        return (
          <g key={side} data-side={side}>
            {half.leaves.map((leaf, k) => {
              const path = pathOf(
                leaf.x.map((x, i) => at(x, leaf.y[i]!)),
                s,
              );
              const thick = half.thickness * s.perMm;
              return look === 'old' ? (
                <path key={k} d={path} fill="none" stroke={ink} strokeWidth="1.1" strokeDasharray={dash} />
              ) : (
                <g key={k}>
                  <path d={path} fill="none" stroke={ink} strokeWidth={Math.max(2.4, thick)} />
                  <path d={path} fill="none" stroke="var(--sheet)" strokeWidth={Math.max(0.8, thick - 2)} />
                </g>
              );
            })}
            {half.upright ? (
              <path
                d={pathOf(
                  [eye, at(half.upright.joint.x, half.upright.joint.y), at(half.upright.pivot.x, half.upright.pivot.y)],
                  s,
                )}
                fill="none"
                stroke={ink}
                strokeWidth={look === 'old' ? 1.1 : 2.4}
                strokeDasharray={dash}
              />
            ) : null}
            <path
              d={pathOf([eye, { x: hub.x, y: eye.y }, hub], s)}
              fill="none"
              stroke={ink}
              strokeWidth={look === 'old' ? 1.1 : 2.4}
              strokeDasharray={dash}
            />
            <circle
              {...s.at(eye)}
              r={Math.max(4, 11 * s.perMm)}
              fill={look === 'old' ? 'none' : 'var(--sheet)'}
              stroke={ink}
              strokeWidth="1.6"
              strokeDasharray={dash}
            />
            <circle {...s.at(hub)} r="3.5" fill={ink} />
          </g>
        );
      })}
      {look === 'old' ? null : (
        <rect
          x={s.x(-48)}
          y={s.y(below)}
          width={96 * s.perMm}
          height={8 * s.perMm}
          fill="var(--steel)"
          stroke={ink}
          strokeWidth="1.4"
        />
      )}
    </g>
  );
}

/** Tyres from behind, and the ground they stand on. */
function Tyres({ s, of, radius }: { s: Scale; of: Halves; radius: number }) {
  const hubs = SIDES.flatMap((side) => {
    const half = of[side];
    return half
      ? [{ side, x: sign(side) * (half.eye.x + HUB_OUT), y: half.eye.y - half.lowered, lean: half.camber ?? 0 }]
      : [];
  });
  const wide = radius * 0.5;
  return (
    <g fill="none" stroke="var(--tick)" strokeWidth="1.4">
      {hubs.map(({ side, x, y, lean }) => (
        <rect
          key={side}
          x={s.x(x - wide / 2)}
          y={s.y(y + radius)}
          width={wide * s.perMm}
          height={2 * radius * s.perMm}
          rx={wide * 0.3 * s.perMm}
          transform={`rotate(${((sign(side) * lean * 180) / Math.PI).toFixed(2)} ${s.x(x).toFixed(1)} ${s.y(y).toFixed(1)})`}
        />
      ))}
      {hubs.length === 2 ? (
        <path
          d={`M${s.x(hubs[0]!.x) - 40} ${s.y(hubs[0]!.y - radius)}L${s.x(hubs[1]!.x) + 40} ${s.y(hubs[1]!.y - radius)}`}
          stroke="var(--ink)"
          strokeWidth="2"
        />
      ) : null}
    </g>
  );
}

/** Clamp down to the eye, outside the wheel; or the figures alone, where they stand under it. */
function Drops({
  s,
  side,
  reach,
  below,
  old,
  is,
}: {
  s: Scale;
  side: Side;
  reach: number;
  below: number | null;
  old: CrossFigures | null;
  is: CrossFigures | null;
}) {
  const lengthText = useLengthText();
  if (!is) return null;
  const out = sign(side);
  const at = (px: number) => s.x(out * reach) + out * px;
  const line = (f: CrossFigures, px: number, ink: 'old' | 'new' | 'plain') => (
    <Dimension s={s} at={at(px)} from={f.eye.y + f.drop} to={f.eye.y} ink={ink} />
  );
  // Too short to write along: the figures stand outside, one under the other.
  const middle = below ?? s.y(is.eye.y + is.drop / 2) + 5;
  const outside = side === 'left' ? 'end' : 'start';
  const figure = (text: string, y: number, ink: string) => (
    <text
      x={below === null ? at(old ? 32 : 18) : at(-4)}
      y={y}
      textAnchor={below === null ? outside : side === 'left' ? 'start' : 'end'}
      style={{ fill: ink }}
      className="num"
    >
      {text}
    </text>
  );
  return (
    <g>
      {old && below === null ? line(old, 20, 'old') : null}
      {below === null ? line(is, 6, old ? 'new' : 'plain') : null}
      {figure(lengthText(is.drop), middle, old ? 'var(--new)' : 'var(--ink)')}
      {old ? figure(`was ${lengthText(old.drop)}`, middle + 20, 'var(--graphite)') : null}
    </g>
  );
}
