import { incidentSchema, legThreadSchema } from '@/contracts/incident';
import { type JobView } from '@/contracts/job';
import { stepTickSchema } from '@/contracts/stepTick';
import { torqueReadingSchema } from '@/contracts/torque';
import { type Kept } from './outbox';

const putIn = <T>(list: readonly T[], item: T, same: (other: T) => boolean): T[] => [
  ...list.filter((other) => !same(other)),
  item,
];

/** A job with what was said of it on this screen and not sent yet, as it will stand when it is. What cannot be read as what it should be is not shown; the server judges it. */
export function saidSoFar(view: JobView, kept: readonly Kept[]): JobView {
  return kept.reduce<JobView>((now, { path, body, person, at }) => {
    const said = { ...body, person };
    switch (path) {
      case '/steps': {
        const { data } = stepTickSchema.safeParse({ note: '', ...said, disputed: false, tickedAt: at });
        return data ? { ...now, ticks: putIn(now.ticks, data, (t) => t.step === data.step) } : now;
      }
      case '/incidents': {
        const { data } = incidentSchema.safeParse({ ...said, happenedAt: at });
        return data ? { ...now, incidents: putIn(now.incidents, data, (i) => i.id === data.id) } : now;
      }
      case '/torque-readings': {
        const { data } = torqueReadingSchema.safeParse({ ...said, readAt: at });
        const same = (r: { joint: string; bolt: string }) => r.joint === data?.joint && r.bolt === data.bolt;
        return data ? { ...now, torqueReadings: putIn(now.torqueReadings, data, same) } : now;
      }
      case '/leg-threads': {
        const { data } = legThreadSchema.safeParse({ ...said, readAt: at });
        return data ? { ...now, legThreads: putIn(now.legThreads, data, (l) => l.leg === data.leg) } : now;
      }
    }
  }, view);
}
