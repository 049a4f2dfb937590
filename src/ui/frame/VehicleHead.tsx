import Link from 'next/link';
import { type FitRow } from '@/contracts/fit';
import { type JobView } from '@/contracts/job';
import { type StationId } from '@/contracts/stationNames';
import { stationStates } from '@/contracts/stations';
import { axleName, isPaired } from '@/core/suspension/names';
import { Mark } from '../controls/Mark';
import { axleOnSketch, VehicleSketch, type SketchedAxle } from '../drawing/VehicleSketch';
import { STATION_MARKS } from './StationTape';
import { VehicleMap } from './VehicleMap';

const WIDTH = 128;

/** The vehicle's axles as a sketch has them, this one ringed. */
export const sketchedAxles = (view: JobView): SketchedAxle[] =>
  view.axles
    .filter((axle) => axle.position !== 'secondRear')
    .map((axle) => ({
      position: axle.position === 'front' ? 'front' : 'rear',
      pair: isPaired(axle.suspension),
      touched: axle.position === view.axle.position,
    }));

/** The vehicle at the head of its job: touched it opens with every place of it; the other axle worked on leads to that axle. */
export function VehicleHead({ view, station, rows }: { view: JobView; station: StationId; rows: readonly FitRow[] }) {
  const { form, wheelbase } = view.vehicle;
  const at = (position: string) => (position === 'front' ? 'front' : 'rear');
  const views = [view, ...view.others];
  const sketched = sketchedAxles(view);
  return (
    <div className="vehicle-head">
      <VehicleMap view={view} rows={rows} axles={sketched}>
        <button type="button" className="vehicle-open" aria-label="The whole vehicle, and where everything is">
          <VehicleSketch form={form} wheelbase={wheelbase} axles={sketched} width={WIDTH} />
        </button>
      </VehicleMap>
      {view.others.length > 0 ? (
        <nav aria-label="Axle at work">
          {view.jobAxles.flatMap(({ id, position, suspension }) => {
            const of = views.find((v) => v.id === id);
            if (!of) return [];
            const { x, y } = axleOnSketch(form, wheelbase, WIDTH, at(position));
            const { kind, word } = STATION_MARKS[stationStates(of)[station].state];
            const here = id === view.id;
            return [
              <Link
                key={id}
                href={`/jobs/${id}/${station}`}
                style={{ left: x, top: y }}
                aria-current={here ? 'page' : undefined}
                title={`${axleName(position, suspension)}, ${word}`}
                prefetch={false}
              >
                <span className="hidden-word">
                  {axleName(position, suspension)}, {word}
                </span>
                {here ? null : <Mark kind={kind} />}
              </Link>,
            ];
          })}
        </nav>
      ) : null}
    </div>
  );
}
