import { type Tick } from '@/contracts/due';
import { type BoardRow } from '@/contracts/board';
import { type Found } from '@/contracts/search';
import { type ClockBehind } from '@/contracts/door';
import { type KnownAxle } from '@/contracts/vehicle';
import { looseJoints, openDefects, openList } from '@/contracts/openList';
import { notFound, ProblemError } from '@/contracts/problem';
import { type Tx } from '@/data/client';
import { boardFound, boardRows, openJobs } from '@/data/board';
import { clockBehind } from '@/data/door';
import { countFrom, dueCheck, insertOdometer, insertTick, markPassed, markTicked, shopToday } from '@/data/due';
import { keepOpenTold, openTold, thisMoment } from '@/data/openTold';
import { findAxles } from '@/data/shop';
import { loadJob } from './jobs';
import { search } from './search';

/** Jobs in the build are looked at in full, these many at most: what is missing there must not be overlooked. */
const IN_HAND = 40;

/** Vehicles named at once where one is chosen; others are searched for. */
const MOST_KNOWN = 20;

/** The newest jobs in hand on the first page; every step back shows as many more. */
export const PAGE = 30;

interface BoardOf {
  rows: BoardRow[];
  today: string;
  open: number;
  words: string;
  most: number;
  clock: ClockBehind | null;
  /** What a search found that is no job. */
  besides: Found | null;
}

/** What is due and in hand, or what a search finds; and what is still open at jobs that are being built. */
export async function board(tx: Tx, { words, most }: { words: string; most: number }): Promise<BoardOf> {
  const found = words === '' ? null : await search(tx, words);
  const rows = found ? await boardFound(tx, [...found.jobs.keys()]) : await boardRows(tx, most);
  const inHand = new Set(
    rows
      .filter((row) => row.built && row.closedAt === null)
      .slice(0, IN_HAND)
      .map((row) => row.id),
  );
  const told = await toldOpen(
    tx,
    rows.filter((row) => inHand.has(row.id)),
  );
  const withOpen = rows.map((row): BoardRow => {
    const by = found?.jobs.get(row.jobId);
    return { ...row, open: told.get(row.id) ?? [], ...(by && { foundBy: by }) };
  });
  const [today, open, clock] = [await shopToday(tx), await openJobs(tx), await clockBehind(tx)];
  const besides = found && { things: found.things, nearly: found.nearly };
  return { rows: withOpen, today, open, words, most, clock, besides };
}

/** What is open at these, as it was told last where nothing stirred since, and looked at anew otherwise. */
async function toldOpen(tx: Tx, rows: readonly { id: string; jobId: string }[]): Promise<Map<string, string[]>> {
  if (rows.length === 0) return new Map();
  const moment = await thisMoment(tx);
  const known = await openTold(
    tx,
    rows.map((row) => row.id),
  );
  const told = new Map(known.map(({ id, items }) => [id, items]));
  const anew = [];
  for (const { id, jobId } of rows) if (!told.has(id)) anew.push({ id, jobId, items: await openOf(tx, id) });
  await keepOpenTold(tx, moment, anew);
  for (const { id, items } of anew) told.set(id, items);
  return told;
}

async function openOf(tx: Tx, id: string): Promise<string[]> {
  const view = await loadJob(tx, id);
  const { build, prove } = openList(view);
  const loose = looseJoints(view);
  const all = [...build, ...prove].filter((item, k, list) => list.findIndex((i) => i.text === item.text) === k);
  const unseen = all.filter((item) => item.text.startsWith('not checked'));
  const untried = all.some((item) => item.text.startsWith('not tried'));
  const rest = all.filter(
    (item) => !loose.includes(item.text) && !unseen.includes(item) && !item.text.startsWith('not tried'),
  );
  return [
    ...(loose.length > 0 ? [`STOP ${loose.length === 1 ? loose[0] : `${loose.length} joints not final`}`] : []),
    ...rest.filter((item) => item.stop).map((item) => `STOP ${item.text}`),
    ...openDefects(view).map((d) => `open defect until ${d.dueOn}: ${d.what}`),
    ...(unseen.length > 0 ? [`${unseen.length} not checked`] : []),
    ...(untried ? ['not all of it tried'] : []),
    ...rest.filter((item) => !item.stop).map((item) => item.text),
  ];
}

/** Axles a new job may be for; a second rear axle is in the books, but nothing is solved for it yet. */
export const knownAxles = (tx: Tx, words = ''): Promise<KnownAxle[]> => findAxles(tx, words, MOST_KNOWN);

/** Ticks a due check off with its figures, or takes the tick back; both stay on record. */
export async function tickCheck(tx: Tx, id: string, tick: Tick): Promise<void> {
  const [check] = await dueCheck(tx, id);
  if (!check) throw notFound('This check');
  if (tick.done && tick.figures === '')
    throw new ProblemError(422, {
      code: 'bad-input',
      message: 'Write down what was read: the torque of each bolt, the heights.',
      field: 'figures',
    });
  if (tick.done && tick.km !== null && tick.kmTyped !== null)
    await readOdometer(tx, check.vehicleId, tick.id, tick.km, tick.kmTyped);
  await insertTick(tx, id, tick);
  await markTicked(tx, id);
}

/** Keeps a vehicle's odometer; its checks are measured by it. */
export async function readOdometer(tx: Tx, vehicleId: string, id: string, km: number, typed: string): Promise<void> {
  await insertOdometer(tx, id, vehicleId, km, typed);
  await countFrom(tx, vehicleId, km);
  await markPassed(tx, vehicleId, km);
}

/** Writes down how far a job's vehicle has been driven. */
export async function addOdometer(tx: Tx, jobAxleId: string, given: { id: string; km: number; typed: string }) {
  const { vehicle } = await loadJob(tx, jobAxleId);
  await readOdometer(tx, vehicle.id, given.id, given.km, given.typed);
  return loadJob(tx, jobAxleId);
}
