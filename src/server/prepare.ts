// Prepare: what the plan takes and how it stands, what takes days, tools, what fits the fasteners, the day in the bay.
import { ARRIVAL_SIZES } from '@/core/prepare/arrival';
import { type JobView } from '@/contracts/job';
import { type DaysOff, type NeededEdit, type NewArrival, type NewBay, type WaitEdit } from '@/contracts/needed';
import { partLines } from '@/contracts/preparation';
import { conflict, notFound, ProblemError, taken } from '@/contracts/problem';
import { partEditSchema } from '@/contracts/shelf';
import { type NewFastenerSize, type ToolEdit, type ToolRow } from '@/contracts/tool';
import { type Tx } from '@/data/client';
import * as prepare from '@/data/prepare';
import { setDaysOff, shopDaysOff } from '@/data/shop';
import { requireRoom } from '@/data/room';
import { holdParts, putParts, shelfItems } from '@/data/shelf';
import { findById, requireSame } from './again';
import { loadJob } from './jobs';

const bad = (message: string, field: string) => new ProblemError(422, { code: 'bad-input', message, field });

/** Saves how a thing on the list stands; one that somebody else changed since is a conflict. What comes off the shop's shelf is counted off it. */
export async function saveNeeded(tx: Tx, jobAxleId: string, edit: NeededEdit): Promise<JobView> {
  const before = await loadJob(tx, jobAxleId);
  const there = before.needed.find((n) => n.need === edit.need);
  if (edit.version === 0 && there?.id === edit.id) {
    requireSame(edit, there);
    return before;
  }
  await takeOffShelf(tx, jobAxleId, there?.state === 'here' ? there : null, edit.state === 'here' ? edit : null);
  // What it keeps already it may keep, however short the shelf has become.
  const keeps = there?.state === 'ordered' && there.shelfItemId === edit.shelfItemId && edit.wanted <= there.wanted;
  if (edit.state === 'ordered' && edit.shelfItemId !== null && !keeps)
    await requireFree(tx, jobAxleId, edit.shelfItemId, edit.wanted);
  if (edit.version === 0) await requireRoom(tx, 'needed_part', jobAxleId);
  const saved =
    edit.version === 0
      ? await prepare.insertNeeded(tx, jobAxleId, edit)
      : await prepare.updateNeeded(tx, jobAxleId, edit);
  if (saved === 0)
    throw there
      ? conflict('needed', {
          theirs: [there.what, NEED_WORDS[there.state], there.source, there.dueOn].filter(Boolean).join(', '),
          by: there.person,
          at: there.updatedAt,
          version: there.version,
        })
      : edit.version === 0
        ? taken()
        : notFound('This line');
  return loadJob(tx, jobAxleId);
}

const NEED_WORDS = { toOrder: 'to order', ordered: 'ordered', here: 'here', notWanted: 'not wanted' } as const;

type FromShelf = Pick<NeededEdit, 'shelfItemId' | 'wanted'>;

/** Puts back what was taken before, and takes what is taken now; refused where the shelf holds less. */
async function takeOffShelf(tx: Tx, jobAxleId: string, was: FromShelf | null, now: FromShelf | null): Promise<void> {
  const moves = new Map<string, number>();
  if (was?.shelfItemId) moves.set(was.shelfItemId, was.wanted);
  if (now?.shelfItemId) moves.set(now.shelfItemId, (moves.get(now.shelfItemId) ?? 0) - now.wanted);
  const ids = [...moves].filter(([, by]) => by !== 0).map(([id]) => id);
  if (ids.length === 0) return;
  await holdParts(tx, ids);
  const items = await shelfItems(tx, ids);
  if (items.length < ids.length) throw bad('This part is not on the shelf of this shop.', 'shelfItemId');
  const kept = new Map((await prepare.keptParts(tx, ids, jobAxleId)).map((k) => [k.id, k.kept]));
  for (const item of items) {
    const by = moves.get(item.id)!;
    if (by < 0) requireLeft(item, -by, kept.get(item.id) ?? 0);
    await putParts(tx, [partEditSchema.parse({ ...item, quantity: (item.quantity ?? 0) + by })]);
  }
}

/** @throws ProblemError where fewer lie there than are wanted, without those that other jobs keep */
function requireLeft(
  { name, quantity }: { name: string; quantity: number | null },
  wanted: number,
  kept: number,
): void {
  const there = quantity ?? 0;
  if (wanted > there) throw bad(`The shelf holds ${there} of “${name}”, fewer than are taken.`, 'shelfItemId');
  if (wanted > there - kept)
    throw bad(`The shelf holds ${there} of “${name}”, and ${kept} of them are kept for another job.`, 'shelfItemId');
}

/** What is kept for a job lies there, and is nobody else's. */
async function requireFree(tx: Tx, jobAxleId: string, id: string, wanted: number): Promise<void> {
  await holdParts(tx, [id]);
  const [item] = await shelfItems(tx, [id]);
  if (!item) throw bad('This part is not on the shelf of this shop.', 'shelfItemId');
  const [kept] = await prepare.keptParts(tx, [id], jobAxleId);
  requireLeft(item, wanted, kept?.kept ?? 0);
}

export const daysInBay = (tx: Tx) => prepare.bayDays(tx);

/** Says on which days the shop does not work. */
export async function chooseDaysOff(tx: Tx, given: DaysOff): Promise<DaysOff> {
  await setDaysOff(tx, given);
  return shopDaysOff(tx);
}

/** Writes down a size of a part in hand. */
export async function readArrival(tx: Tx, jobAxleId: string, given: NewArrival): Promise<JobView> {
  const view = await loadJob(tx, jobAxleId);
  const line = partLines(view).find((l) => l.need === given.need);
  if (!line) throw notFound('This line');
  if (given.piece > line.wanted) throw bad(`There are ${line.wanted} of it.`, 'piece');
  if (!line.called.some((c) => c.size === given.size)) throw bad('This size was not called for.', 'size');
  const { min, max } = ARRIVAL_SIZES[given.size].rule;
  if (given.value < min || given.value > max) throw bad('That cannot be.', 'typed');
  await requireRoom(tx, 'arrival_reading', jobAxleId);
  await prepare.insertArrival(tx, jobAxleId, given);
  return loadJob(tx, jobAxleId);
}

/** Saves something that takes days before the work. */
export async function saveWait(tx: Tx, jobAxleId: string, edit: WaitEdit): Promise<JobView> {
  const before = await loadJob(tx, jobAxleId);
  const there = before.waits.find((w) => w.id === edit.id);
  for (let next = edit.afterWait, n = 0; next; n += 1) {
    const other = before.waits.find((w) => w.id === next);
    if (!other) throw bad('What it waits for is not on this list.', 'afterWait');
    if (other.id === edit.id || n > before.waits.length) throw bad('It would wait for itself.', 'afterWait');
    next = other.afterWait;
  }
  if (edit.version === 0 && !there) await requireRoom(tx, 'job_wait', jobAxleId);
  const saved =
    edit.version === 0 ? await prepare.insertWait(tx, jobAxleId, edit) : await prepare.updateWait(tx, jobAxleId, edit);
  if (saved === 0 && edit.version > 0)
    throw there
      ? conflict('wait', {
          theirs: `${there.what}, ${there.days} days`,
          by: there.person,
          at: there.updatedAt,
          version: there.version,
        })
      : notFound('This line');
  const after = await loadJob(tx, jobAxleId);
  if (saved === 0) requireSame(edit, findById(after.waits, edit.id));
  return after;
}

/** Says how the job goes into the bay. */
export async function setBay(tx: Tx, jobAxleId: string, given: NewBay): Promise<JobView> {
  await loadJob(tx, jobAxleId);
  if (
    given.standId &&
    !(await prepare.shopTools(tx)).some((t) => t.id === given.standId && (t.kind === 'stand' || t.kind === 'hoist'))
  )
    throw bad('The shop has no such stands.', 'standId');
  await requireRoom(tx, 'job_bay', jobAxleId);
  await prepare.insertBay(tx, jobAxleId, given);
  return loadJob(tx, jobAxleId);
}

/** Writes down what fits a fastener of this axle. */
export async function sizeFastener(tx: Tx, jobAxleId: string, given: NewFastenerSize): Promise<JobView> {
  const { axle } = await loadJob(tx, jobAxleId);
  await prepare.insertFastenerSize(tx, axle.id, given);
  return loadJob(tx, jobAxleId);
}

export const toolsOfShop = (tx: Tx): Promise<ToolRow[]> => prepare.shopTools(tx);

/** Saves a tool of the shop. */
export async function saveTool(tx: Tx, edit: ToolEdit): Promise<ToolRow[]> {
  const there = (await prepare.shopTools(tx)).find((t) => t.id === edit.id);
  if (edit.version === 0) {
    const made = await prepare.insertTool(tx, edit);
    const after = await prepare.shopTools(tx);
    if (made === 0) requireSame(edit, findById(after, edit.id));
    return after;
  }
  if ((await prepare.updateTool(tx, edit)) === 0)
    throw there
      ? conflict('tool', {
          theirs: `${there.name}, ${there.state}`,
          by: there.person,
          at: there.updatedAt,
          version: there.version,
        })
      : notFound('This tool');
  return prepare.shopTools(tx);
}
