import { type Incident, type LegThread } from '@/contracts/incident';
import { type JobView } from '@/contracts/job';
import { type PhotoRow } from '@/contracts/photo';
import { type StepTick } from '@/contracts/stepTick';
import { type TorqueReading } from '@/contracts/torque';
import { type Kept } from './outbox';

const putIn = <T>(list: readonly T[], item: T, same: (other: T) => boolean): T[] => [
  ...list.filter((other) => !same(other)),
  item,
];

/** What each must say of itself to be shown. */
const SAYS: Record<Kept['path'], Readonly<Record<string, 'string' | 'number' | 'boolean'>>> = {
  '/steps': { step: 'string', done: 'boolean' },
  '/incidents': { id: 'string', kind: 'string', what: 'string' },
  '/torque-readings': {
    ...{ id: 'string', joint: 'string', bolt: 'string', typed: 'string' },
    ...{ value: 'number', unit: 'string', state: 'string', instrument: 'string' },
  },
  '/leg-threads': { leg: 'string', typed: 'string', value: 'number' },
  '/photos': { id: 'string', subject: 'string', caption: 'string' },
};
const says = ({ path, body }: Kept): boolean =>
  Object.entries(SAYS[path]).every(([field, type]) => typeof body[field] === type);

/** A job with what was said of it on this screen and not sent yet, as it will stand when it is. What cannot be read as what it should be is not shown; the server judges it. */
export function saidSoFar(view: JobView, kept: readonly Kept[]): JobView {
  return kept.filter(says).reduce<JobView>((now, { path, body, person, at: ms }) => {
    const at = new Date(ms).toISOString();
    switch (path) {
      case '/steps': {
        const said = { note: '', ...body, person, disputed: false, tickedAt: at } as StepTick;
        return { ...now, ticks: putIn(now.ticks, said, (t) => t.step === said.step) };
      }
      case '/incidents': {
        const said = { step: null, days: null, ...body, person, happenedAt: at } as Incident;
        return { ...now, incidents: putIn(now.incidents, said, (i) => i.id === said.id) };
      }
      case '/torque-readings': {
        const said = { ...body, person, readAt: at } as TorqueReading;
        const same = (r: TorqueReading) => r.joint === said.joint && r.bolt === said.bolt;
        return { ...now, torqueReadings: putIn(now.torqueReadings, said, same) };
      }
      case '/photos': {
        // How large it is the server tells; until then it is drawn as a camera's usual picture.
        const said = { width: 4, height: 3, sha256: '', ...body, person, takenAt: at } as PhotoRow;
        return { ...now, photos: putIn(now.photos, said, (p) => p.id === said.id) };
      }
      case '/leg-threads': {
        const said = { what: 'thread', ...body, person, readAt: at } as LegThread;
        const same = (l: LegThread) => l.leg === said.leg && l.what === said.what;
        return { ...now, legThreads: putIn(now.legThreads, said, same) };
      }
    }
  }, view);
}
