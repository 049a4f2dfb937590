'use client';
import { type ReactNode } from 'react';
import { GRAVITY } from '@/core/material/steel';
import { rockerSpots, springLine } from '@/core/suspension/tandem/elevation';
import { type TandemFigures } from '@/core/suspension/tandem/sideModel';
import { type Side } from '@/core/vehicle/side';
import { fit, type Scale } from '../../drawing/scale';
import { ScaleBar } from '../../drawing/ScaleBar';
import { useRoom } from '../../drawing/useRoom';
import { useQuantityText } from '../../measured/Quantity';
import { useView } from '../../theme/View';
import { pairPieces } from './pairShapes';

interface Props {
  old: TandemFigures | null;
  shown: TandemFigures;
  look: 'now' | 'new';
  side: Side;
  stateName: string;
  /** Loaded radius of the tyres, mm; null where nobody read it: then no ground is drawn. */
  radius: number | null;
  /** Ground under the front wheel, negative under the rear one, mm. */
  bump: number;
  /** Drawn over it all, with rows of its own above and below, px. */
  over?: { top: number; bottom: number; draw: (s: Scale) => ReactNode };
}

const INK = { old: 'var(--graphite)', now: 'var(--ink)', new: 'var(--new)' } as const;

/** Two axles and what joins them, to scale, frame held still: as they are in graphite dashes, as they will be solid. */
export function TandemElevation({ old, shown, look, side, stateName, radius, bump, over }: Props) {
  const [box, width, tall] = useRoom<HTMLElement>(760);
  const { lengths } = useView();
  const quantity = useQuantityText();
  const { shape } = shown;
  const hubs = [shape, ...(old ? [old.shape] : [])].flatMap((of) =>
    (['front', 'rear'] as const).map((end) => springLine(of, end).hub.y),
  );
  const reach = shape.spacing / 2 + Math.max(shape.outer, radius ?? 0) + 40;
  const low = Math.min(...hubs) - (radius ?? shape.tube) - 10;
  const s = fit(
    { left: -reach, right: reach, top: 70, bottom: low },
    width,
    { left: 10, right: 10, top: 34 + (over?.top ?? 0), bottom: (over ? 40 : 78) + (over?.bottom ?? 0) },
    tall,
  );
  const kg = (value: number) => quantity(value, 'mass');
  const share = Math.round(100 * shown.share);
  const tilt = shown.swing === null ? null : ((shown.swing * 180) / Math.PI).toFixed(0);
  const spoken = `Two axles from the side, ${side}, ${stateName}: under the front wheel ${kg(shown.front.wheel)}, under the rear one ${kg(shown.rear.wheel)}, ${share} to ${100 - share}${
    tilt === null ? ', each on its slipper' : `; rocker tilted ${tilt} degrees`
  }.`;
  return (
    <figure className="figure-sheet" ref={box}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${s.height.toFixed(1)}`}
        role={over ? 'group' : 'img'}
        aria-label={spoken}
      >
        <Beam s={s} width={width} />
        {radius === null ? null : <Tyres s={s} shown={shown} radius={radius} bump={bump} />}
        {old ? <Pieces s={s} of={old} look="old" /> : null}
        <Pieces s={s} of={shown} look={look} />
        {over ? null : <FrameForces s={s} shown={shown} kg={kg} />}
        {(over ? [] : (['front', 'rear'] as const)).map((end) => {
          const { hub } = springLine(shape, end);
          const foot = s.height - 50;
          return (
            <g key={end}>
              <path
                d={`M${s.x(hub.x)} ${foot + 10}V${foot - 8}M${s.x(hub.x) - 5} ${foot - 1}L${s.x(hub.x)} ${foot - 9}L${s.x(hub.x) + 5} ${foot - 1}`}
                fill="none"
                stroke="var(--ink)"
                strokeWidth="2"
              />
              <text x={s.x(hub.x) + 12} y={foot + 8} className="strong" data-testid={`wheel-${end}`}>
                {kg(shown[end].wheel)}
              </text>
            </g>
          );
        })}
        {over?.draw(s)}
        <ScaleBar s={s} across={2 * reach} lengths={lengths} left={16} top={s.height - 12}>
          {side}, {stateName}
        </ScaleBar>
      </svg>
    </figure>
  );
}

/** The frame, held still. */
const Beam = ({ s, width }: { s: Scale; width: number }) => (
  <g>
    <rect
      x={10}
      y={s.y(52)}
      width={width - 20}
      height={52 * s.perMm}
      fill="var(--steel)"
      stroke="var(--ink)"
      strokeWidth="1.6"
    />
    <text x={(s.x(0) + width) / 2} y={s.y(52) - 12} textAnchor="middle" style={{ fill: 'var(--graphite)' }}>
      frame
    </text>
  </g>
);

function Pieces({ s, of, look }: { s: Scale; of: TandemFigures; look: 'old' | 'now' | 'new' }) {
  const ink = INK[look];
  const dash = look === 'old' ? '6 4' : undefined;
  return (
    <g data-look={look}>
      {pairPieces(of.shape, s).map(({ part, path, look: piece, thick }, k) => {
        if (look === 'old' && (part === 'hanger' || part === 'ubolt')) return null;
        if (piece === 'leaf' && look !== 'old')
          return (
            <g key={k}>
              <path d={path} fill="none" stroke={ink} strokeWidth={Math.max(3, thick! * s.perMm)} />
              <path d={path} fill="none" stroke="var(--sheet)" strokeWidth={Math.max(1, thick! * s.perMm - 2.2)} />
            </g>
          );
        const filled = look !== 'old' && (piece === 'steel' || piece === 'hole');
        return (
          <path
            key={k}
            d={path}
            data-part={`${part}-${look}`}
            fill={filled ? (piece === 'steel' ? 'var(--steel)' : 'var(--sheet)') : 'none'}
            stroke={ink}
            strokeWidth={look === 'old' ? 1.1 : piece === 'line' ? 2.4 : 1.6}
            strokeDasharray={dash}
          />
        );
      })}
    </g>
  );
}

/** Tyres and the ground under them, with the bump. */
function Tyres({ s, shown, radius, bump }: { s: Scale; shown: TandemFigures; radius: number; bump: number }) {
  const ends = (['front', 'rear'] as const).map((end) => {
    const { hub } = springLine(shown.shape, end);
    return { end, hub, ground: hub.y - radius };
  });
  const [front, rear] = ends as [(typeof ends)[0], (typeof ends)[0]];
  // Ground runs from under one wheel to under the other, less what stands on it.
  const [atFront, atRear] = [front.ground - Math.max(0, bump), rear.ground - Math.max(0, -bump)];
  const slope = (atRear - atFront) / (rear.hub.x - front.hub.x);
  const [left, right] = [front.hub.x - radius - 30, rear.hub.x + radius + 30];
  const y = (x: number) => atFront + slope * (x - front.hub.x);
  const on = bump >= 0 ? front : rear;
  const high = Math.abs(bump);
  return (
    <g>
      {ends.map(({ end, hub }) => (
        <g key={end} fill="none" stroke="var(--tick)" strokeWidth="1.4">
          <circle {...s.at(hub)} r={radius * s.perMm} />
          <circle {...s.at(hub)} r={radius * 0.6 * s.perMm} />
        </g>
      ))}
      <path d={`M${s.x(left)} ${s.y(y(left))}L${s.x(right)} ${s.y(y(right))}`} stroke="var(--ink)" strokeWidth="2" />
      {high > 0 ? (
        <path
          d={`M${s.x(on.hub.x - 120)} ${s.y(y(on.hub.x - 120))}L${s.x(on.hub.x - 60)} ${s.y(y(on.hub.x) + high)}L${s.x(on.hub.x + 60)} ${s.y(y(on.hub.x) + high)}L${s.x(on.hub.x + 120)} ${s.y(y(on.hub.x + 120))}Z`}
          fill="var(--paper)"
          stroke="var(--ink)"
          strokeWidth="1.4"
          data-testid="bump"
        />
      ) : null}
    </g>
  );
}

/** What the springs' ends press on the frame: at each hanger, and at the pivot or the slippers. */
function FrameForces({ s, shown, kg }: { s: Scale; shown: TandemFigures; kg: (value: number) => string }) {
  const { shape } = shown;
  const length = shape.outer + shape.inner;
  const of = (end: 'front' | 'rear') => ({
    outer: (shown[end].load * shape.inner) / length / GRAVITY,
    inner: (shown[end].load * shape.outer) / length / GRAVITY,
  });
  const [front, rear] = [of('front'), of('rear')];
  const rocker = rockerSpots(shape);
  const lines = [springLine(shape, 'front'), springLine(shape, 'rear')];
  const forces = [
    { x: lines[0]!.eye.x, value: front.outer, name: 'front hanger' },
    ...(rocker
      ? [{ x: rocker.pivot.x, value: front.inner + rear.inner, name: 'pivot' }]
      : [
          { x: lines[0]!.inner.x, value: front.inner, name: 'front slipper' },
          { x: lines[1]!.inner.x, value: rear.inner, name: 'rear slipper' },
        ]),
    { x: lines[1]!.eye.x, value: rear.outer, name: 'rear hanger' },
  ];
  const top = s.y(52) - 6;
  return (
    <g>
      {forces.map(({ x, value, name }, k) => (
        <g key={name}>
          <path
            d={`M${s.x(x)} ${top - 18}V${top}M${s.x(x) - 4} ${top - 7}L${s.x(x)} ${top + 1}L${s.x(x) + 4} ${top - 7}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.6"
          />
          <text
            x={s.x(x) + (k === forces.length - 1 ? -9 : 9)}
            y={top - 6}
            textAnchor={k === forces.length - 1 ? 'end' : 'start'}
            className="num"
          >
            {kg(value)}
          </text>
        </g>
      ))}
    </g>
  );
}
