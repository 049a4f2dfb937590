// What programs of others are given, and their tokens and hooks.
import { randomBytes } from 'node:crypto';
import { type z } from 'zod';
import { changeText, planText } from '@/contracts/planText';
import { notFound, ProblemError } from '@/contracts/problem';
import { type newHookSchema, type newProgramSchema, type Hook, type Program } from '@/contracts/program';
import { type NewReading } from '@/contracts/reading';
import { shelfAskSchema } from '@/contracts/shelf';
import { type Tx } from '@/data/client';
import * as data from '@/data/program';
import { shelfPage as pageOfShelf } from '@/data/shelf';
import { tokenHash, newToken } from '../door/secrets';
import { loadJob } from '../jobs';
import { keepReading } from '../measure';

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** A place in a list as a program gives it back. */
const placeOf = (place: unknown): string => Buffer.from(JSON.stringify(place)).toString('base64url');
function readPlace<T>(text: string | undefined, is: (place: unknown) => place is T): T | null {
  if (text === undefined) return null;
  try {
    const place: unknown = JSON.parse(Buffer.from(text, 'base64url').toString('utf8'));
    if (is(place)) return place;
  } catch {
    // Said below.
  }
  throw new ProblemError(400, { code: 'bad-input', message: 'This is no place that `next` gave.', field: 'after' });
}
const isPair =
  <K extends string>(key: K) =>
  (place: unknown): place is Record<K | 'id', string> => {
    const of = place as Record<string, unknown> | null;
    return typeof of === 'object' && of !== null && typeof of[key] === 'string' && UUID.test(String(of.id));
  };

export async function jobsForPrograms(
  tx: Tx,
  { open, after, most }: { open: 'yes' | 'no' | 'all'; after?: string | undefined; most: number },
) {
  const place = readPlace(after, isPair('at'));
  if (place && Number.isNaN(Date.parse(place.at)))
    throw new ProblemError(400, { code: 'bad-input', message: 'This is no place that `next` gave.', field: 'after' });
  const found = await data.jobLines(tx, open, place, most + 1);
  const last = found.length > most ? found[most - 1]! : null;
  return { jobs: found.slice(0, most), next: last && placeOf({ at: last.place, id: last.id }) };
}

/** One axle in its job. @throws ProblemError not-found */
export async function jobForPrograms(tx: Tx, id: string) {
  if (!UUID.test(id)) throw notFound('This job');
  const view = await loadJob(tx, id);
  const axles = [view, ...view.others].map(({ id: own, axle, job }) => ({
    ...{ id: own, position: axle.position, suspension: axle.suspension },
    ...{ wantedChangeMm: job.wantedChange, toleranceMm: job.tolerance },
  }));
  return {
    ...{ id: view.id, vehicle: view.vehicle, complaint: view.job.complaint, axles },
    begunAt: view.job.createdAt,
    closedAt: view.closing?.closed ? view.closing.at : null,
    states: view.states,
    readings: view.readings.map((r) => ({ ...r, by: r.person })),
    plan: { name: planText(view.plan), changes: view.plan.changes.map(changeText) },
    predictions: view.predictions.map(({ id: own, madeAt, coreVersion, ledgers }) => ({
      ...{ id: own, madeAt, coreVersion },
      heights: ledgers.flatMap(({ side, stateId, lines }) => {
        const total = lines.find((l) => l.kind === 'total');
        return total ? [{ side, stateId, totalMm: total.value, half90Mm: total.half90 }] : [];
      }),
    })),
    outcomes: view.outcomes.map((o) => ({
      ...{ side: o.side, stateId: o.stateId, measuredMm: o.measured, predictedMm: o.predicted },
      ...{ half90Mm: o.half90, inside: o.inside },
    })),
  };
}

export async function readingByProgram(tx: Tx, id: string, given: Omit<NewReading, 'dayId'>): Promise<{ id: string }> {
  if (!UUID.test(id)) throw notFound('This job');
  await keepReading(tx, id, { ...given, dayId: null });
  return { id: given.id };
}

export async function shelfForPrograms(
  tx: Tx,
  { words, after, most }: { words: string; after?: string | undefined; most: number },
) {
  const ask = shelfAskSchema.parse({ words, after: readPlace(after, isPair('key')) });
  const { items, next } = await pageOfShelf(tx, ask, most);
  return { parts: items, next: next && placeOf(next) };
}

/** A token for a program, told once. */
export async function makeProgram(
  tx: Tx,
  given: z.output<typeof newProgramSchema>,
): Promise<{ token: string; programs: Program[] }> {
  const token = newToken();
  await data.insertProgram(tx, given, tokenHash(token));
  return { token, programs: await data.programs(tx) };
}
export async function takeProgramBack(tx: Tx, id: string): Promise<{ programs: Program[] }> {
  if ((await data.endProgram(tx, id)) === 0) throw notFound('This token');
  return { programs: await data.programs(tx) };
}

/** Has an address told of checks. @returns the secret, told once */
export async function makeHook(
  tx: Tx,
  given: z.output<typeof newHookSchema>,
): Promise<{ id: string; secret: string; hooks: Hook[] }> {
  const secret = randomBytes(32).toString('base64url');
  await data.insertHook(tx, given, secret);
  return { id: given.id, secret, hooks: await data.hooks(tx) };
}
export async function takeHookBack(tx: Tx, id: string): Promise<{ hooks: Hook[] }> {
  if ((await data.endHook(tx, id)) === 0) throw notFound('This address');
  return { hooks: await data.hooks(tx) };
}

export const checksForPrograms = async (tx: Tx, { until }: { until?: string | undefined }) => ({
  checks: await data.openChecks(tx, until ?? null),
});
export const hooksForPrograms = async (tx: Tx): Promise<{ hooks: Hook[] }> => ({ hooks: await data.hooks(tx) });
