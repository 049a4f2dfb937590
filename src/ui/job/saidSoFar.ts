import { type Incident, type LegThread } from '@/contracts/incident';
import { type JobView } from '@/contracts/job';
import { type StepTick } from '@/contracts/stepTick';
import { type TorqueReading } from '@/contracts/torque';
import { type Kept } from './outbox';

const putIn = <T>(list: readonly T[], item: T, same: (other: T) => boolean): T[] => [
  ...list.filter((other) => !same(other)),
  item,
];

/** A job with what was said of it on this screen and not sent yet, as it will stand when it is. */
export function saidSoFar(view: JobView, kept: readonly Kept[]): JobView {
  return kept.reduce<JobView>((now, { path, body, person, at }) => {
    const by = { person, at: new Date(at).toISOString() };
    switch (path) {
      case '/steps': {
        const tick = { note: '', disputed: false, ...body, person, tickedAt: by.at } as unknown as StepTick;
        return { ...now, ticks: putIn(now.ticks, tick, (t) => t.step === tick.step) };
      }
      case '/incidents': {
        const said = { ...body, person, happenedAt: by.at } as unknown as Incident;
        return { ...now, incidents: putIn(now.incidents, said, (i) => i.id === said.id) };
      }
      case '/torque-readings': {
        const read = { ...body, person, readAt: by.at } as unknown as TorqueReading;
        return {
          ...now,
          torqueReadings: putIn(now.torqueReadings, read, (r) => r.joint === read.joint && r.bolt === read.bolt),
        };
      }
      case '/leg-threads': {
        const read = { ...body, person, readAt: by.at } as unknown as LegThread;
        return { ...now, legThreads: putIn(now.legThreads, read, (l) => l.leg === read.leg) };
      }
    }
  }, view);
}
