// Follow: what is looked at again, and how it settles.
import { type NewChecks, type NewSettlingHeight } from '@/contracts/follow';
import { drivenFrom } from '@/contracts/following';
import { type JobView } from '@/contracts/job';
import { ProblemError } from '@/contracts/problem';
import { readInterval } from '@/core/followup/interval';
import { pointOf } from '@/core/measure/points';
import { parseMeasured } from '@/core/units/parse';
import { distanceRule } from '@/core/units/rules';
import { type Tx } from '@/data/client';
import { insertDue } from '@/data/due';
import { insertSettlingHeight } from '@/data/prove';
import { requireRoom } from '@/data/room';
import { readOdometer } from './board';
import { loadJob } from './jobs';

const bad = (message: string, field: string) => new ProblemError(400, { code: 'bad-input', message, field });

const ODOMETER = distanceRule(0, 1e7);

/** Keeps a height read again since the work, and the odometer with it. */
export async function readSettling(tx: Tx, jobAxleId: string, given: NewSettlingHeight): Promise<JobView> {
  const view = await loadJob(tx, jobAxleId);
  const { rule } = pointOf(given.point);
  const agrees = (typed: string, value: number, by: typeof rule) => {
    const read = parseMeasured(typed, by);
    const values = read.kind === 'ok' ? [read.value] : read.kind === 'ask' ? read.options.map((o) => o.value) : [];
    return values.some((v) => Math.abs(v - value) <= 1e-6 * Math.max(1, v));
  };
  if (!agrees(given.typed, given.value, rule)) throw bad('The text and its value do not agree.', 'typed');
  if (!agrees(given.kmTyped, given.km, ODOMETER)) throw bad('The text and its value do not agree.', 'kmTyped');
  const after = view.outcomes.find((o) => o.side === given.side && o.stateId === given.stateId);
  if (!after)
    throw new ProblemError(422, {
      ...{
        code: 'not-alike',
        message: 'No height after the work was read on this side in this load.',
        field: 'stateId',
      },
    });
  if (after.point !== given.point)
    throw new ProblemError(422, {
      ...{ code: 'not-alike', message: 'The height after the work was read at the other point.', field: 'point' },
    });
  const from = drivenFrom(view);
  if (from === null)
    throw new ProblemError(422, {
      code: 'no-odometer',
      message:
        'Nobody read the odometer after the work, so the distance since is not known. Write down first how it stood then.',
      field: 'kmTyped',
    });
  if (given.km < from)
    throw bad(`The odometer stood at ${Math.round(from)} km after the work; it cannot be less now.`, 'kmTyped');
  await requireRoom(tx, 'settling_height', jobAxleId);
  if (await insertSettlingHeight(tx, jobAxleId, given))
    await readOdometer(tx, view.vehicle.id, given.id, given.km, given.kmTyped);
  return loadJob(tx, jobAxleId);
}

/** Days a distance takes where nobody says otherwise: 800 km in a fortnight. Common practice, as the checks' own. */
const daysFor = (km: number): number => Math.max(1, Math.min(730, Math.round((km / 800) * 14)));

/** Sets checks of a maker's sheet or a person's own; an interval that can be meant two ways must have been chosen. */
export async function addChecks(tx: Tx, jobAxleId: string, given: NewChecks): Promise<JobView> {
  const view = await loadJob(tx, jobAxleId);
  const read = readInterval(given.interval);
  if (read.kind === 'refused') throw bad(read.reason, 'interval');
  const ways = read.kind === 'ok' ? [read.km] : read.options.map((o) => o.km);
  const meant = ways.some(
    (km) => km.length === given.km.length && km.every((n, k) => Math.abs(n - given.km[k]!) < 0.5),
  );
  if (!meant) throw bad('The interval and its distances do not agree.', 'interval');
  if (given.ids.length !== given.km.length) throw bad('One check for each distance.', 'ids');
  await requireRoom(tx, 'due_check', view.job.id);
  const names = given.km.map((_, k) =>
    given.km.length > 1 ? `${given.what} (${k + 1} of ${given.km.length})` : given.what,
  );
  const there = view.due.find((d) => names.includes(d.what) && !given.ids.includes(d.id));
  if (there)
    throw bad(`“${there.what}” is on the list already, after ${there.afterKm} km. Give this one another name.`, 'what');
  for (const [k, km] of given.km.entries())
    await insertDue(tx, given.ids[k]!, view.job.id, {
      what: names[k]!,
      ...{
        reads: given.reads,
        afterKm: km,
        inDays: daysFor(km),
        source: [given.source, given.interval].filter(Boolean).join(': ').slice(0, 160),
      },
    });
  return loadJob(tx, jobAxleId);
}
