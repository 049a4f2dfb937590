'use client';
import { type ReactNode } from 'react';
import { type ShearFigures } from '@/core/suspension/rubberShear/sideModel';
import { type Side } from '@/core/vehicle/side';
import { fit, pathOf, type Scale } from '../../drawing/scale';
import { ScaleBar } from '../../drawing/ScaleBar';
import { useRoom } from '../../drawing/useRoom';
import { useLengthText } from '../../measured/Figure';
import { useView } from '../../theme/View';
import { DRAWN, leafLine, shearSpots, type ShearSpots } from './shearSpots';

interface Props {
  old: ShearFigures;
  built: ShearFigures | null;
  side: Side;
  stateName: string;
  /** Loaded radius of the tyre, mm; null where nobody read it: then neither tyre nor ground is drawn. */
  radius: number | null;
  /** Drawn over it all, with rows of its own above and below, px. */
  over?: { top: number; bottom: number; draw: (s: Scale) => ReactNode };
}

type Look = 'old' | 'now' | 'new';
const INK: Record<Look, string> = { old: 'var(--graphite)', now: 'var(--ink)', new: 'var(--new)' };
/** Rubber is drawn so many times as tall as it is thick: its length is no figure of the answer. */
const TALL = 1.9;
/** Leaves in the drawing, and how thick one is at least, px. */
const STEEL = 2.4;

/** Block, carrier and leaf from the side, frame held still: as they are in graphite dashes, as they will be solid, in one load state. */
export function ShearElevation({ old, built, side, stateName, radius, over }: Props) {
  const [box, width, tall] = useRoom<HTMLElement>(760);
  const { lengths } = useView();
  const lengthText = useLengthText();
  const shown = built ?? old;
  const long = TALL * Math.max(old.thick, shown.thick);
  const [was, is] = [shearSpots(old, long), shearSpots(shown, long)];
  const right = Math.max(was.frame.x, is.frame.x) + 60;
  const low = Math.min(was.hub.y, is.hub.y, -long / 2 + Math.min(0, was.carrier.y, is.carrier.y));
  const s = fit(
    {
      left: -70,
      right,
      top: DRAWN.rail + DRAWN.tall + 10,
      bottom: Math.min(low - 20, is.hub.y - (radius ?? 0) - 6),
    },
    width,
    { left: 20, right: 20, top: 10 + (over?.top ?? 0), bottom: 44 + (over?.bottom ?? 0) },
    tall,
  );
  const stands = (f: ShearFigures): string =>
    Math.abs(f.offset) < 0.5
      ? 'level with the frame’s plate'
      : `${lengthText(Math.abs(f.offset))} ${f.offset > 0 ? 'above' : 'below'} the frame’s plate`;
  const spoken = `Rubber block and leaf, ${side}, ${stateName}: carrier ${stands(shown)}, rubber sheared ${lengthText(shown.sheared)}${built ? `, was ${lengthText(old.sheared)}` : ''}.`;
  // Under the block, where nothing else is drawn.
  const beside = { x: s.x(right), y: s.y(-long / 2 + Math.min(0, was.carrier.y, is.carrier.y)) + 34 };
  return (
    <figure className="figure-sheet" ref={box}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${s.height.toFixed(1)}`}
        role={over ? 'group' : 'img'}
        aria-label={spoken}
      >
        {radius === null ? null : <Tyre s={s} hub={is.hub} radius={radius} />}
        <Frame s={s} at={is} right={right} />
        {built ? <Spring s={s} at={was} of={old} look="old" /> : null}
        <Spring s={s} at={is} of={shown} look={built ? 'new' : 'now'} />
        {over ? null : (
          <text textAnchor="end" style={{ fill: built ? 'var(--new)' : 'var(--ink)' }} className="num">
            <tspan x={beside.x} y={beside.y}>
              sheared {lengthText(shown.sheared)}, {(100 * Math.abs(shown.strain)).toFixed(0)} % of its thickness
            </tspan>
            <tspan x={beside.x} dy={19}>
              carrier {stands(shown)}
            </tspan>
          </text>
        )}
        {built && !over ? (
          <text x={beside.x} y={beside.y + 38} textAnchor="end" style={{ fill: 'var(--graphite)' }} className="num">
            was sheared {lengthText(old.sheared)}, {stands(old)}
          </text>
        ) : null}
        {over?.draw(s)}
        <ScaleBar s={s} across={right + 70} lengths={lengths} left={16} top={s.height - 8}>
          {side}, {stateName}
        </ScaleBar>
      </svg>
    </figure>
  );
}

/** Rail, hanger of the fixed eye, and the plate that the block is bolted to; held still. */
function Frame({ s, at, right }: { s: Scale; at: ShearSpots; right: number }) {
  const [top, under] = [s.y(DRAWN.rail + DRAWN.tall), s.y(DRAWN.rail)];
  const plate = at.frame.x;
  return (
    <g stroke="var(--ink)" strokeWidth="1.6">
      <rect x={s.x(-60)} y={top} width={s.x(right) - s.x(-60)} height={under - top} fill="var(--steel)" />
      <path
        d={pathOf(
          [
            { x: -34, y: DRAWN.rail },
            { x: -16, y: -14 },
            { x: 16, y: -14 },
            { x: 34, y: DRAWN.rail },
          ],
          s,
        )}
        fill="var(--sheet)"
      />
      <rect
        x={s.x(plate)}
        y={under}
        width={DRAWN.plate * s.perMm}
        height={s.y(-at.half - 8) - under}
        fill="var(--steel)"
      />
      <text x={s.x(at.seat.x)} y={(top + under) / 2 + 5} textAnchor="middle" stroke="none">
        frame, held still
      </text>
    </g>
  );
}

function Spring({ s, at, of, look }: { s: Scale; at: ShearSpots; of: ShearFigures; look: Look }) {
  const ink = INK[look];
  const dash = look === 'old' ? '6 4' : undefined;
  const { eye, nose, seat, hub, carrier, frame, half } = at;
  const line = {
    fill: 'none',
    stroke: ink,
    strokeWidth: look === 'old' ? 1.1 : 1.8,
    strokeDasharray: dash,
    strokeLinejoin: 'round' as const,
  };
  const leaf = leafLine(at);
  const steel = Math.max(STEEL, 22 * s.perMm);
  const face = carrier.x - DRAWN.plate;
  // Shares of the way from carrier to frame: the rubber's own lines lean as it is sheared.
  const layers = [0, 0.25, 0.5, 0.75, 1];
  return (
    <g data-look={look}>
      {look === 'old' ? (
        <path d={pathOf(leaf, s)} {...line} />
      ) : (
        <>
          <path d={pathOf(leaf, s)} {...line} strokeWidth={steel} />
          <path d={pathOf(leaf, s)} {...line} stroke="var(--sheet)" strokeWidth={Math.max(0.8, steel - 3)} />
        </>
      )}
      <path
        d={`${pathOf(
          [
            { x: nose.x - 26, y: nose.y + 26 },
            { x: face, y: carrier.y + half },
            { x: face, y: carrier.y - half },
            { x: nose.x - 26, y: nose.y - 26 },
          ],
          s,
        )}Z`}
        {...line}
        {...(look !== 'old' && { fill: 'var(--sheet)' })}
      />
      <path
        d={`${pathOf(
          [
            { x: carrier.x, y: carrier.y + half },
            { x: frame.x, y: frame.y + half },
            { x: frame.x, y: frame.y - half },
            { x: carrier.x, y: carrier.y - half },
          ],
          s,
        )}Z`}
        {...line}
        {...(look !== 'old' && { fill: 'var(--rubber, var(--rule))' })}
      />
      {layers.slice(1, -1).map((share) => {
        const x = carrier.x + share * of.thick;
        const y = carrier.y + share * (frame.y - carrier.y);
        return (
          <path
            key={share}
            d={pathOf(
              [
                { x, y: y + half },
                { x, y: y - half },
              ],
              s,
            )}
            {...line}
            strokeWidth={0.8}
          />
        );
      })}
      <rect
        x={s.x(face)}
        y={s.y(carrier.y + half)}
        width={DRAWN.plate * s.perMm}
        height={2 * half * s.perMm}
        {...line}
        {...(look !== 'old' && { fill: 'var(--steel)' })}
      />
      {[eye, nose].map((p) => (
        <circle
          key={p.x}
          {...s.at(p)}
          r={Math.max(4, 13 * s.perMm)}
          {...line}
          {...(look !== 'old' && { fill: 'var(--sheet)' })}
        />
      ))}
      <path d={pathOf([{ x: seat.x, y: seat.y - 12 }, hub], s)} {...line} />
      <circle
        {...s.at(hub)}
        r={Math.max(5, 26 * s.perMm)}
        {...line}
        {...(look !== 'old' && { fill: 'var(--sheet)' })}
      />
      <circle {...s.at(hub)} r="3" fill={ink} />
      {look === 'new' ? (
        <text x={s.x(frame.x + DRAWN.plate) + 8} y={s.y(-half / 2)} style={{ fill: ink }}>
          new
        </text>
      ) : null}
    </g>
  );
}

const Tyre = ({ s, hub, radius }: { s: Scale; hub: { x: number; y: number }; radius: number }) => (
  <g fill="none" stroke="var(--tick)" strokeWidth="1.4">
    <clipPath id="under-frame">
      <rect x="0" y={s.y(DRAWN.rail)} width={s.width} height={s.height} />
    </clipPath>
    <circle {...s.at(hub)} r={radius * s.perMm} clipPath="url(#under-frame)" strokeDasharray="2 4" />
    <circle {...s.at(hub)} r={radius * 0.6 * s.perMm} clipPath="url(#under-frame)" strokeDasharray="2 4" />
    <path
      d={`M${s.x(hub.x - radius)} ${s.y(hub.y - radius)}H${s.x(hub.x + radius)}`}
      stroke="var(--ink)"
      strokeWidth="2"
    />
  </g>
);
