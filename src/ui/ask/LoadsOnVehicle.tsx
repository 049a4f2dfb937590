'use client';
import { useRef } from 'react';
import { formOf } from '@/core/vehicle/form';
import { type JobView } from '@/contracts/job';
import { decimalText, fractionText } from '@/core/units/format';
import { PullHandle } from '../drawing/PullHandle';
import { type Scale } from '../drawing/scale';
import { ScaleBar } from '../drawing/ScaleBar';
import { spread } from '../drawing/spread';
import { useRoom } from '../drawing/useRoom';
import { laidOut } from '@/core/vehicle/outline';
import { VehicleBody, Wheels } from '../drawing/VehicleSketch';
import { sketchedAxles } from '../frame/VehicleHead';
import { useQuantityText } from '../measured/Quantity';
import { type Typed } from '../measured/TypedField';
import { useView } from '../theme/View';
import { ASK_RULES } from './askRules';
import { type ItemDraft } from './LoadFields';

interface Props {
  view: JobView;
  /** What is aboard in the load state drawn; empty as it stands today. */
  items: readonly ItemDraft[];
  stateName: string;
  /** Mass on each axle then, kg; null where nobody weighed it. */
  axles: Record<'front' | 'rear', { mass: number | null; added: number }>;
  /** How much lower this axle's lip stands than today, mm; null until it is known. */
  lower: number | null;
  onMove: (key: string, station: Typed) => void;
}

/** Rows of handles above the vehicle, and the axles' loads below the ground, px. */
const ABOVE = 44;
const BELOW = 70;
/** Room of one handle with its words, px. */
const WIDE = 152;
/** A box of this mass is drawn this wide, kg and wheelbases; others by the cube root. */
const BOX = { mass: 250, wide: 0.13 };

const short = (name: string): string => (name.length > 14 ? `${name.slice(0, 13)}…` : name);

/** The vehicle from its left with what is aboard, each thing where it sits: pulled along the frame, the axles answer. */
export function LoadsOnVehicle({ view, items, stateName, axles, lower, onMove }: Props) {
  const [ref, width, room] = useRoom<HTMLElement>(640);
  const { lengths } = useView();
  const text = useQuantityText();
  // Where what is being pulled stood, for letting go.
  const stood = useRef<Typed | null>(null);
  const { form, wheelbase } = view.vehicle;
  const { hitched, nose } = formOf(form);
  const { tall } = laidOut(form, wheelbase, width);
  // As wide as its room, or as tall.
  const least = laidOut(form, wheelbase, 100);
  const wide = Math.min(width - 24, (100 * Math.max(80, room - ABOVE - BELOW - 12)) / (least.scale * tall));
  const { scale, radius, x: inX, y: inY, deck } = laidOut(form, wheelbase, wide);
  const x = (v: number) => (width - wide) / 2 + inX(v);
  const y = (v: number) => ABOVE + inY(v);
  const perMm = scale / wheelbase;
  const ground = y(0);
  const height = ground + BELOW;
  const s: Scale = {
    ...{ perMm, width, height },
    x: (mm) => x(mm / wheelbase),
    y: (mm) => y(mm / wheelbase),
    at: (p) => ({ cx: x(p.x / wheelbase), cy: y(p.y / wheelbase) }),
  };
  const own = view.axle.position;
  const pivot = own === 'rear' ? 0 : 1;
  const turn = lower === null ? 0 : ((own === 'rear' ? 1 : -1) * Math.atan(lower / wheelbase) * 180) / Math.PI;
  const placed = items.flatMap((item) =>
    item.station === null ? [] : [{ item, station: item.station.value, mass: item.mass?.value ?? null }],
  );
  const places = spread(
    placed.map(({ station }) => s.x(station) - 18),
    WIDE,
    { least: 22, most: width - WIDE + 22 },
  );
  const step = lengths === 'in' ? 25.4 / 2 : 10;
  const typedAt = (mm: number): Typed =>
    lengths === 'in'
      ? { value: mm, typed: `${fractionText(mm).replace('−', '-')} in` }
      : { value: Math.round(mm), typed: `${Math.round(mm)} mm` };
  const told = (mm: number) => (lengths === 'in' ? `${decimalText(mm / 25.4, 1)} in` : `${Math.round(mm)} mm`);
  const spoken =
    `The vehicle from its left in “${stateName}”. ` +
    (['front', 'rear'] as const)
      .filter((axle) => !(hitched && axle === 'front'))
      .map((axle) => {
        const { mass, added } = axles[axle];
        return `${axle} axle ${mass === null ? 'not weighed' : text(mass, 'mass')}, the load brings ${text(added, 'mass')}`;
      })
      .join('; ');
  return (
    <figure className="figure-sheet" ref={ref}>
      <svg className="drawing" viewBox={`0 0 ${width} ${height.toFixed(1)}`} role="group" aria-label={spoken}>
        {Math.abs(turn) > 0.02 ? <VehicleBody form={form} x={x} y={y} ghost /> : null}
        <g
          transform={`rotate(${turn.toFixed(3)} ${x(pivot).toFixed(1)} ${y(deck).toFixed(1)})`}
          data-turned={turn.toFixed(3)}
        >
          <VehicleBody form={form} x={x} y={y} />
          {placed.map(({ item, station, mass }) => {
            const side = BOX.wide * scale * Math.cbrt(Math.max(8, Math.abs(mass ?? BOX.mass)) / BOX.mass);
            return (
              <rect
                key={item.key}
                x={s.x(station) - side / 2}
                y={y(deck) - side}
                width={side}
                height={side}
                fill={mass !== null && mass < 0 ? 'none' : 'var(--steel)'}
                stroke="var(--ink)"
                strokeWidth="1.6"
                strokeDasharray={mass === null || mass < 0 ? '4 3' : undefined}
              />
            );
          })}
        </g>
        <Wheels axles={sketchedAxles(view)} radius={radius} scale={scale} x={x} y={y} />
        {hitched ? (
          <path
            d={`M${x(0) - 9} ${ground}L${x(0)} ${y(0.08)}L${x(0) + 9} ${ground}`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.6"
          />
        ) : null}
        <line x1="0" x2={width} y1={ground} y2={ground} stroke="var(--ink)" strokeWidth="2" />
        {(['front', 'rear'] as const).map((axle) => {
          const { mass, added } = axles[axle];
          const at = x(axle === 'rear' ? 1 : 0);
          const name = hitched && axle === 'front' ? nose.replace('the ', '') : `${axle} axle`;
          return (
            <g key={axle} textAnchor="middle">
              <text x={at} y={ground + 22} className="strong">
                {name} {mass === null ? '' : text(mass, 'mass')}
              </text>
              {items.length > 0 ? (
                <text x={at} y={ground + 42}>
                  {added < 0 ? '−' : '+'}
                  {text(Math.abs(added), 'mass')} of the load
                </text>
              ) : null}
            </g>
          );
        })}
        {placed.map(({ item, station, mass }, k) => {
          const name = item.name.trim() || `item ${k + 1}`;
          return (
            <PullHandle
              key={item.key}
              along
              of={{ x: s.x(station), y: y(deck) }}
              at={{ x: places[k]!, y: 26 }}
              label={mass === null ? short(name) : `${short(name)}, ${text(mass, 'mass')}`}
              text={told(station)}
              planned={false}
              value={station}
              least={ASK_RULES.station.min ?? 0}
              most={ASK_RULES.station.max ?? 0}
              step={step}
              perPixel={1 / perMm}
              onHold={(mm) => {
                stood.current ??= item.station;
                onMove(item.key, typedAt(mm));
              }}
              onKeep={(mm) => {
                stood.current = null;
                onMove(item.key, typedAt(mm));
              }}
              onLetGo={() => {
                if (stood.current) onMove(item.key, stood.current);
                stood.current = null;
              }}
            />
          );
        })}
        <ScaleBar s={s} across={wheelbase * 1.6} lengths={lengths} left={12} top={height - 10} />
      </svg>
    </figure>
  );
}
