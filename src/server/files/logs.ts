import Papa from 'papaparse';
import { type JobView } from '@/contracts/job';
import { ProblemError } from '@/contracts/problem';
import { JOINTS } from '@/core/fastener/joints';
import { type Tx } from '@/data/client';
import { type MadeFile } from '../http';
import { loadJob } from '../jobs';
import { fileName } from './fileName';

/** Rows of a log: what was typed beside what it was read as, in the units of the core. */
type Rows = Record<string, string | number>[];

const stateName = (view: JobView, id: string | null): string => view.states.find((s) => s.id === id)?.name ?? '';

const readings = (view: JobView): Rows =>
  view.readings.map((r) => ({
    ...{
      point: r.point,
      phase: r.phase,
      side: r.side ?? '',
      leaf: leafOf(view, r.leafId),
      pack: view.own?.leaves.some((l) => l.id === r.leafId) ? (view.own.pack.side ?? '') : '',
      load: stateName(view, r.stateId),
    },
    ...{ typed: r.typed, value: r.value, unit: r.unit, instrument: r.instrument, by: r.person, at: r.takenAt },
  }));

const leafOf = (view: JobView, id: string | null): string =>
  id === null ? '' : String([...view.leaves, ...(view.own?.leaves ?? [])].find((l) => l.id === id)?.ordinal ?? '');

const torques = (view: JobView): Rows =>
  view.torqueReadings.map((r) => ({
    ...{ joint: JOINTS[r.joint].name, bolt: r.bolt, typed: r.typed, newtonMetres: r.value / 1000, unit: r.unit },
    state: r.state,
    ...{ instrument: r.instrument, by: r.person, at: r.readAt },
  }));

const failures = (view: JobView): Rows =>
  view.failures.map((f) => ({ km: f.km, place: f.place, cause: f.cause, by: f.person, at: f.writtenAt }));

const outcomes = (view: JobView): Rows => [
  ...view.outcomes.map((o) => ({
    ...{
      since: 0,
      point: o.point,
      side: o.side,
      load: stateName(view, o.stateId),
      foretold: o.predicted,
      half90: o.half90,
    },
    ...{ measured: o.measured, inside: o.inside ? 'yes' : 'no', odometer: '', at: o.takenAt },
  })),
  ...view.settlingHeights.map((h) => ({
    ...{ since: 1, point: h.point, side: h.side, load: stateName(view, h.stateId), foretold: '', half90: '' },
    ...{ measured: h.typed, inside: '', odometer: h.kmTyped, at: h.readAt },
  })),
];

const LOGS = { readings, torques, failures, outcomes } as const;

/** One of a job's logs as CSV; lengths mm, angles rad, masses kg, as the core has them. */
export async function logFile(tx: Tx, jobAxleId: string, query: URLSearchParams): Promise<MadeFile> {
  const what = query.get('what') ?? 'readings';
  if (!Object.hasOwn(LOGS, what))
    throw new ProblemError(400, { code: 'bad-input', message: 'There is no such log.', field: 'what' });
  const view = await loadJob(tx, jobAxleId);
  const rows = LOGS[what as keyof typeof LOGS](view);
  return {
    ...{ type: 'text/csv; charset=utf-8', name: fileName(view, what, 'csv') },
    // A cell that begins like a formula must not become one.
    body: Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true }),
  };
}
