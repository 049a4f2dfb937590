import Link from 'next/link';
import { type JobView } from '@/contracts/job';
import { type StationId } from '@/contracts/stationNames';
import { stationStates } from '@/contracts/stations';
import { axleName } from '@/core/suspension/names';
import { Mark } from '../controls/Mark';
import { STATION_MARKS } from './StationTape';

/** The axles a job works on, each with how this station stands there. Nothing with one axle only. */
export function AxleSwitch({ view, station }: { view: JobView; station: StationId }) {
  if (view.others.length === 0) return null;
  const views = [view, ...view.others];
  return (
    <nav className="axle-switch" aria-label="Axle at work">
      {view.jobAxles.flatMap(({ id, position, suspension }) => {
        const at = views.find((v) => v.id === id);
        if (!at) return [];
        const { kind, word } = STATION_MARKS[stationStates(at)[station].state];
        return [
          <Link
            key={id}
            href={`/jobs/${id}/${station}`}
            aria-current={id === view.id ? 'page' : undefined}
            prefetch={false}
          >
            <Mark kind={kind} /> {axleName(position, suspension)} <span className="muted">{word}</span>
          </Link>,
        ];
      })}
    </nav>
  );
}
