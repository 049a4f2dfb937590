'use client';
import { type ReactNode } from 'react';
import { type CoilFigures } from '@/core/suspension/coil/sideModel';
import { SIDES, type Side } from '@/core/vehicle/side';
import { fit, pathOf, type Scale } from '../../drawing/scale';
import { ScaleBar } from '../../drawing/ScaleBar';
import { useRoom } from '../../drawing/useRoom';
import { useLengthText } from '../../measured/Figure';
import { useView } from '../../theme/View';
import { strandShapes } from './coilFigures';
import { spotsOf, type SwingPlace } from './swingSpots';

export type Sided = Partial<Record<Side, CoilFigures | null>>;

interface Props {
  place: SwingPlace;
  old: Sided;
  built: Sided | null;
  side: Side;
  /** Seat spacers now and as planned, mm. */
  spacers: { old: number; built: number };
  stateName: string;
  /** Drawn over it all, with rows of its own above and below, px. */
  over?: { top: number; bottom: number; draw: (s: Scale) => ReactNode };
}

type Look = 'old' | 'now' | 'new';
const INK: Record<Look, string> = { old: 'var(--graphite)', now: 'var(--ink)', new: 'var(--new)' };

const degrees = (rad: number): string => `${((Math.abs(rad) * 180) / Math.PI).toFixed(1)}°`;

/** Beams that swing on their pivots, to scale, frame held still: as they are in graphite dashes, as they will be solid. */
export function SwingElevation({ place, old, built, side, spacers, stateName, over }: Props) {
  const [box, width, tall] = useRoom<HTMLElement>(760);
  const { lengths } = useView();
  const lengthText = useLengthText();
  const { plane, arm, radius, track } = place;
  const shown = built ?? old;
  const sides = plane === 'side' ? [side] : SIDES.filter((s) => shown[s]);
  const all = sides.flatMap((one) =>
    [old[one], shown[one]].flatMap((f) => (f?.swing ? [{ f, ...spotsOf(place, one, f.swing.slope) }] : [])),
  );
  const tops = all.map(({ f, foot }) => foot.y + f.length + Math.max(spacers.old, spacers.built));
  const wheel = radius ?? 60;
  const reach =
    plane === 'side'
      ? { left: -arm * 0.2 - 60, right: arm + wheel + 30 }
      : { left: -track / 2 - wheel * 0.6, right: track / 2 + wheel * 0.6 };
  const s = fit(
    {
      ...reach,
      top: Math.max(60, ...tops, ...all.map(({ hub }) => hub.y + wheel)) + 34,
      bottom: Math.min(-40, ...all.map(({ hub }) => hub.y - wheel)) - 8,
    },
    width,
    { left: 20, right: 20, top: 12 + (over?.top ?? 0), bottom: 46 + (over?.bottom ?? 0) },
    tall,
  );
  const tilt = (f: CoilFigures | null | undefined) =>
    plane === 'behind' && f?.swing ? `${degrees(f.swing.gained)} ${f.swing.gained < 0 ? 'in' : 'out'} at the top` : '';
  const spoken = `${plane === 'side' ? `Trailing beam from the left, ${side}` : 'Twin beams from behind'}, ${stateName}: ${sides
    .flatMap((one) => {
      const f = shown[one];
      return f ? [`coil ${one} ${lengthText(f.length)}${built && tilt(f) ? `, wheel ${tilt(f)}` : ''}`] : [];
    })
    .join('; ')}.`;
  return (
    <figure className="figure-sheet" ref={box}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${s.height.toFixed(1)}`}
        role={over ? 'group' : 'img'}
        aria-label={spoken}
      >
        {radius === null ? null : <Wheels s={s} place={place} of={shown} sides={sides} radius={radius} />}
        {built ? <Beams s={s} place={place} of={old} sides={sides} look="old" spacer={spacers.old} /> : null}
        <Beams
          s={s}
          place={place}
          of={shown}
          sides={sides}
          look={built ? 'new' : 'now'}
          spacer={built ? spacers.built : spacers.old}
        />
        {built && plane === 'behind'
          ? sides.map((one) => {
              const f = shown[one]!;
              const { hub } = spotsOf(place, one, f.swing?.slope ?? 0);
              return (
                <text
                  key={one}
                  x={s.x(hub.x)}
                  y={s.height - 44 - (over?.bottom ?? 0) + 14}
                  textAnchor={one === 'left' ? 'start' : 'end'}
                  style={{ fill: 'var(--new)' }}
                >
                  {tilt(f)}
                </text>
              );
            })
          : null}
        {over?.draw(s)}
        <ScaleBar
          s={s}
          across={reach.right - reach.left}
          lengths={lengths}
          left={16}
          top={s.height - 8}
          front={plane === 'side'}
        >
          {plane === 'side' ? `${side} arm, seen from the left, ${stateName}` : `seen from behind, ${stateName}`}
        </ScaleBar>
      </svg>
    </figure>
  );
}

interface Drawn {
  s: Scale;
  place: SwingPlace;
  of: Sided;
  sides: readonly Side[];
}

function Beams({ s, place, of, sides, look, spacer }: Drawn & { look: Look; spacer: number }) {
  const ink = INK[look];
  const dash = look === 'old' ? '6 4' : undefined;
  return (
    <g data-look={look}>
      {sides.map((side) => {
        const f = of[side];
        if (!f?.swing) return null;
        const { pivot, hub, foot } = spotsOf(place, side, f.swing.slope);
        const half = (f.coil.mean + f.coil.wire) / 2;
        const top = foot.y + f.length + spacer;
        return (
          <g key={side} data-side={side}>
            {strandShapes(f.coil, f.length, s, foot.x, foot.y, true).map((shape, k) => (
              <path
                key={k}
                d={shape.path}
                fill={look !== 'old' && shape.look === 'steel' ? 'var(--sheet)' : 'none'}
                stroke={ink}
                strokeWidth={look === 'old' || shape.look === 'thin' ? 1 : 1.6}
                strokeDasharray={dash}
              />
            ))}
            <path
              d={pathOf([pivot, hub], s)}
              fill="none"
              stroke={ink}
              strokeWidth={look === 'old' ? 1.2 : 5}
              strokeLinecap="round"
              strokeDasharray={dash}
            />
            <circle {...s.at(hub)} r={look === 'old' ? 4 : 6} fill={look === 'old' ? 'none' : ink} stroke={ink} />
            {spacer > 0 && look !== 'old' ? (
              <rect
                x={s.x(foot.x - half)}
                y={s.y(top)}
                width={2 * half * s.perMm}
                height={spacer * s.perMm}
                fill="none"
                stroke={ink}
                strokeWidth="1.6"
              />
            ) : null}
            {look === 'old' ? null : (
              <>
                <rect
                  x={s.x(foot.x - half - 24)}
                  y={s.y(top + 30)}
                  width={(2 * half + 48) * s.perMm}
                  height={30 * s.perMm}
                  fill="var(--steel)"
                  stroke="var(--ink)"
                  strokeWidth="1.4"
                />
                <path
                  d={pathOf([{ x: pivot.x, y: pivot.y + 46 }, pivot], s)}
                  stroke="var(--ink)"
                  strokeWidth="4"
                  fill="none"
                />
                <circle {...s.at(pivot)} r="7" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
              </>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** Tyres, and the ground under them. */
function Wheels({ s, place, of, sides, radius }: Drawn & { radius: number }) {
  const hubs = sides.flatMap((side) => {
    const swing = of[side]?.swing;
    return swing ? [{ side, swing, ...spotsOf(place, side, swing.slope).hub }] : [];
  });
  const [first, last] = [hubs[0], hubs.at(-1)];
  if (!first || !last) return null;
  const wide = radius * 0.55;
  const beyond = place.plane === 'side' ? radius : wide;
  return (
    <g fill="none" stroke="var(--tick)" strokeWidth="1.4">
      {hubs.map(({ side, swing, x, y }) =>
        place.plane === 'side' ? (
          <circle key={side} {...s.at({ x, y })} r={radius * s.perMm} />
        ) : (
          <rect
            key={side}
            x={s.x(x - wide / 2)}
            y={s.y(y + radius)}
            width={wide * s.perMm}
            height={2 * radius * s.perMm}
            rx={wide * 0.25 * s.perMm}
            transform={`rotate(${(((side === 'left' ? -1 : 1) * (swing.slope - place.slope) * 180) / Math.PI).toFixed(2)} ${s.x(x).toFixed(1)} ${s.y(y).toFixed(1)})`}
          />
        ),
      )}
      <path
        d={`M${s.x(first.x - beyond)} ${s.y(first.y - radius)}L${s.x(last.x + beyond)} ${s.y(last.y - radius)}`}
        stroke="var(--ink)"
        strokeWidth="2"
      />
    </g>
  );
}
