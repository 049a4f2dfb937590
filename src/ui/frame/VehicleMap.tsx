'use client';
import { Popover } from 'antd';
import { type ReactNode } from 'react';
import { type FitRow } from '@/contracts/fit';
import { type JobView } from '@/contracts/job';
import { stanceOf, vehicleSpots, type Spot, type SpotId } from '@/contracts/vehicleSpots';
import { type VehicleFormId } from '@/core/vehicle/form';
import { Mark } from '../controls/Mark';
import { Length } from '../measured/Figure';
import { axleOnSketch, VehicleSketch, type SketchedAxle } from '../drawing/VehicleSketch';

/** Within this nobody tells left from right, mm. Chosen. */
const LEVEL = 3;
const WIDE = 300;
const TALL = 150;

/** Places on the view from behind, indicated, not measured; the others stand on the view from the side. */
const BEHIND: Partial<Record<SpotId, { x: number; y: number }>> = {
  stops: { x: 96, y: 62 },
  shocks: { x: 186, y: 52 },
  ubolts: { x: 64, y: 96 },
  lines: { x: 140, y: 112 },
};

const INK: Record<Spot['state'], string> = {
  stop: 'stop-word',
  look: 'look',
  done: 'new',
  untouched: 'muted',
};

/** The vehicle from its side and from behind; every place that the job asks about leads there and carries its mark. */
export function VehicleMap({
  view,
  rows,
  axles,
  children,
}: {
  view: JobView;
  rows: readonly FitRow[];
  axles: readonly SketchedAxle[];
  /** What is touched to open it. */
  children: ReactNode;
}) {
  const spots = vehicleSpots(view, rows);
  const stance = stanceOf(view);
  const { form, wheelbase } = view.vehicle;
  const to = (spot: Spot) => `/jobs/${view.id}/${spot.at}`;
  const marker = (spot: Spot, x: number, y: number) => (
    <a
      key={spot.id}
      href={to(spot)}
      className={`map-spot ${spot.state} ${INK[spot.state]}`}
      style={{ left: x, top: y }}
      tabIndex={-1}
      aria-hidden="true"
      title={spot.name}
    >
      {spot.state === 'stop' ? 'STOP' : <Mark kind={spot.state} />}
    </a>
  );
  const besides = sidePlaces(form, wheelbase, view.axle.position);
  return (
    <Popover
      trigger="click"
      placement="bottomLeft"
      content={
        <section className="vehicle-map" aria-label="The whole vehicle">
          <div className="map-views">
            <div className="map-view">
              <VehicleSketch form={form} wheelbase={wheelbase} axles={axles} width={WIDE} />
              {stance.axles.map(({ id, position, left, right }) =>
                left === null && right === null ? null : (
                  <span
                    key={id}
                    className="map-height"
                    style={{ left: axleOnSketch(form, wheelbase, WIDE, position === 'front' ? 'front' : 'rear').x }}
                  >
                    {[left, right].map((mm, k) => (
                      <span key={k}>
                        {k === 0 ? null : ' / '}
                        {mm === null ? '?' : <Length mm={mm} unit={false} />}
                      </span>
                    ))}
                  </span>
                ),
              )}
              {spots.flatMap((spot) => {
                const at = besides[spot.id];
                return at ? [marker(spot, at.x, at.y)] : [];
              })}
            </div>
            <div className="map-view">
              <FromBehind />
              {spots.flatMap((spot) => {
                const at = BEHIND[spot.id];
                return at ? [marker(spot, at.x, at.y)] : [];
              })}
            </div>
          </div>
          <p className="map-stance">
            {stance.lean === null ? (
              <span className="muted">lean not read</span>
            ) : Math.abs(stance.lean) < LEVEL ? (
              'level left and right'
            ) : (
              <>
                {stance.lean > 0 ? 'left' : 'right'} higher by <Length mm={Math.abs(stance.lean)} />
              </>
            )}
            {', '}
            {stance.rake === null ? (
              <span className="muted">rake not read</span>
            ) : (
              <>
                {stance.rake < 0 ? 'nose up by' : 'nose down by'} <Length mm={Math.abs(stance.rake)} />
              </>
            )}
            <span className="muted small"> hub to arch lip, left / right, as it came in</span>
          </p>
          <ul>
            {spots.map((spot) => (
              <li key={spot.id}>
                <a href={to(spot)}>
                  <span className={INK[spot.state]}>{spot.state === 'stop' ? 'STOP' : <Mark kind={spot.state} />}</span>{' '}
                  {spot.name}{' '}
                  <span className="muted small">
                    {spot.state === 'untouched' ? 'not read' : spot.state === 'stop' ? '' : spot.state}
                  </span>
                </a>
              </li>
            ))}
          </ul>
        </section>
      }
    >
      {children}
    </Popover>
  );
}

/** Where heights, load and springs stand on the view from the side. */
function sidePlaces(form: VehicleFormId, wheelbase: number, position: 'front' | 'rear') {
  const { x, y } = axleOnSketch(form, wheelbase, WIDE, position);
  return {
    heights: { x: x + 34, y: y - 34 },
    spring: { x, y },
    load: { x: x + (position === 'rear' ? -44 : 44), y: y - 58 },
  } as Partial<Record<SpotId, { x: number; y: number }>>;
}

/** An axle from behind as a sign: nothing of it is measured. */
function FromBehind() {
  const line = { fill: 'none', stroke: 'var(--ink)', strokeWidth: 1.6 };
  return (
    <svg className="vehicle-sketch" width={250} height={TALL} viewBox={`0 0 250 ${TALL}`} aria-hidden="true">
      {[16, 206].map((x) => (
        <rect key={x} x={x} y={52} width={28} height={90} rx={8} {...line} />
      ))}
      <rect x={44} y={88} width={162} height={16} {...line} fill="var(--steel)" />
      {[84, 148].map((x) => (
        <g key={x}>
          <rect x={x} y={18} width={20} height={28} {...line} fill="var(--tape)" />
          <rect x={x + 4} y={46} width={12} height={16} fill="var(--graphite)" />
        </g>
      ))}
      <path d="M104 30H148M64 78h22v10h-22zM164 78h22v10h-22zM192 92L176 26M58 92L74 26" {...line} />
      <path d="M0 142H250" stroke="var(--ink)" strokeWidth="1.6" />
    </svg>
  );
}
