// Choose: the plan of a job, the parts that could go into it, and the school it follows.
import { type JobView } from '@/contracts/job';
import { type ChangeRow, type NewSchoolChoice, type PlanAct, type PlanEdit } from '@/contracts/plan';
import { changesOfKind, isFitting, isOfSprings, linksOf } from '@/contracts/planKinds';
import { shelfAskSchema, type ShelfItem } from '@/contracts/shelf';
import { type CostEdit } from '@/contracts/cost';
import { conflict, notFound, ProblemError } from '@/contracts/problem';
import { sheetOf } from '@/contracts/sheet';
import { type BenchPack } from '@/core/bench/benchPack';
import { standingPack, type StandingPack } from '@/core/bench/standing';
import { type PartKind } from '@/core/parts/kinds';
import { CoreError } from '@/core/errors';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { type PointId } from '@/core/measure/points';
import { SUSPENSIONS } from '@/core/suspension/names';
import { type KindId } from '@/core/suspension/registry';
import { type Tx } from '@/data/client';
import { insertCost, updateCost } from '@/data/cost';
import * as plans from '@/data/plan';
import { shelfItems, shelfPage } from '@/data/shelf';
import { findById, requireSame } from './again';
import { loadJob } from './jobs';

export async function editPlan(tx: Tx, jobAxleId: string, edit: PlanEdit): Promise<JobView> {
  const before = await loadJob(tx, jobAxleId);
  await checkChanges(tx, before, edit.changes);
  if ((await plans.claimPlan(tx, before.plan.id, edit.version)) === 0)
    throw conflict('plan', {
      theirs: `${before.plan.changes.length} planned changes`,
      by: before.plan.updatedBy,
      at: before.plan.updatedAt,
      version: before.plan.version,
    });
  await plans.replaceChanges(tx, before.plan.id, edit.changes);
  return loadJob(tx, jobAxleId);
}

/** Makes a named plan, takes another one up, or renames one. A plan is never replaced by choosing another way. */
export async function actOnPlans(tx: Tx, jobAxleId: string, given: PlanAct): Promise<JobView> {
  const before = await loadJob(tx, jobAxleId);
  const namesake = 'name' in given && before.plans.find((p) => p.name.toLowerCase() === given.name.toLowerCase());
  if (namesake && namesake.id !== given.id)
    throw new ProblemError(422, {
      code: 'bad-input',
      message: `There is a plan “${namesake.name}” already.`,
      field: 'name',
    });
  if (given.act === 'rename') {
    if ((await plans.renamePlan(tx, jobAxleId, given.id, given.name)) === 0) throw notFound('This plan');
    return loadJob(tx, jobAxleId);
  }
  if (given.act === 'use') {
    if (!before.plans.some((p) => p.id === given.id)) throw notFound('This plan');
    await plans.usePlan(tx, jobAxleId, given.id);
  } else {
    await checkChanges(tx, before, given.changes);
    const made = await plans.insertPlan(tx, given.id, jobAxleId, given.name);
    if (made === 0) requireSame(given, findById((await loadJob(tx, jobAxleId)).plans, given.id));
    else if (given.changes.length > 0) {
      await plans.replaceChanges(tx, given.id, given.changes);
      await plans.claimPlan(tx, given.id, 1);
    }
  }
  return loadJob(tx, jobAxleId);
}

/** What may be planned at all on this axle. */
async function checkChanges(tx: Tx, before: JobView, changes: readonly ChangeRow[]): Promise<void> {
  const { suspension } = before.axle;
  const links = linksOf(suspension);
  const ofSprings = changes.filter((c) => isOfSprings(c) || (!isFitting(c) && !links.includes(c.kind)));
  if (changesOfKind(suspension, ofSprings).length < ofSprings.length)
    throw new ProblemError(422, {
      code: 'bad-input',
      message: `An axle with ${SUSPENSIONS[before.axle.suspension]} has no part like this.`,
      field: 'changes',
    });
  if (before.pack.rearEnd === 'pad' && changes.some((c) => c.kind === 'shackle'))
    throw new ProblemError(422, {
      code: 'bad-input',
      message: 'The rear end slides under a pad: there is no shackle to change.',
      field: 'shackle',
    });
  const blocked = changes.some((c) => c.kind === 'block' && c.height > 0);
  if (blocked && before.axle.steered)
    throw new ProblemError(422, {
      code: 'unsafe',
      message: 'A block on a steered axle is not offered: it can turn the axle under braking.',
      field: 'block',
    });
  const kinds = changes
    .map((c) => (c.kind === 'line' ? `line:${c.item}` : c.kind))
    .filter((k) => k !== 'addLeaf' && k !== 'removeLeaf');
  if (new Set(kinds).size < kinds.length)
    throw new ProblemError(422, {
      code: 'bad-input',
      message: 'A plan holds one block, one shackle and one conversion at most; blocks are never stacked.',
      field: 'changes',
    });
  const out = changes.flatMap((c) => (c.kind === 'removeLeaf' ? [c.leaf] : []));
  const swap = changes.find((c) => c.kind === 'pack');
  const there = swap?.leaves.length ?? before.leaves.length;
  if (out.some((leaf) => leaf > there) || new Set(out).size < out.length)
    throw new ProblemError(422, {
      code: 'bad-input',
      message: `The pack has ${there} leaves; each but the main leaf can be taken out once.`,
      field: 'leaf',
    });
  if (before.axle.arrangement === 'over' && kinds.includes('overAxle'))
    throw new ProblemError(422, {
      code: 'bad-input',
      message: 'The spring already lies over the axle.',
      field: 'overAxle',
    });
  const partIds = [...new Set(changes.flatMap((c) => ('partId' in c && c.partId ? [c.partId] : [])))];
  if ((await shelfItems(tx, partIds)).length < partIds.length)
    throw new ProblemError(422, {
      code: 'bad-input',
      message: 'A part of this plan is not on the shelf of this shop.',
      field: 'partId',
    });
}

export async function chooseSchool(tx: Tx, jobAxleId: string, choice: NewSchoolChoice): Promise<JobView> {
  const { job } = await loadJob(tx, jobAxleId);
  await plans.insertSchoolChoice(tx, job.id, choice);
  return loadJob(tx, jobAxleId);
}

/** Parts of one kind looked at, the cheapest; more than a search can use. */
const OF_A_KIND = 250;
/** How far a part's width may be off the spring's to be looked at, mm. */
const NEAR = 8;

/** Axles whose search takes all parts of some kinds; the others' is narrowed by what was measured. */
const WHOLE_KINDS: Partial<Record<KindId, readonly PartKind[]>> = {
  coilBeam: ['coil', 'coilSpacer'],
  twinBeam: ['coil', 'coilSpacer'],
  torsionBeam: ['coil', 'coilSpacer'],
  coilOver: ['coil', 'coilSpacer'],
  tandemEqualizer: ['pack', 'shackle', 'rocker', 'hanger'],
  tandemSlipper: ['pack', 'hanger'],
  transverseLeaf: ['pack', 'spindle', 'dropAxle'],
  rubberShear: ['shearBlock'],
};

/** What the shelf offers for an axle's springs: of each kind that changes the height, the cheapest of about its width. */
export async function partsForJob(tx: Tx, jobAxleId: string): Promise<ShelfItem[]> {
  const { axle, readings } = await loadJob(tx, jobAxleId);
  const whole = WHOLE_KINDS[axle.suspension];
  if (whole) return partsOfKinds(tx, whole);
  const width = readings.find((r) => r.point === 'leafWidth')?.value;
  const about = (dimension: 'width' | 'insideWidth') =>
    width === undefined ? [] : [{ dimension, from: width - NEAR, to: width + NEAR }];
  const found: ShelfItem[] = [];
  for (const kind of ['leaf', 'addLeafSet', 'overload', 'block', 'shackle', 'pack', 'ubolt', 'helperSpring'] as const) {
    // U-bolts go over the tube or the pack, whichever it is; a helper stands beside the pack: neither goes by its width.
    const within =
      kind === 'ubolt' || kind === 'helperSpring' ? [] : about(kind === 'shackle' ? 'insideWidth' : 'width');
    found.push(...(await shelfPage(tx, shelfAskSchema.parse({ kind, order: 'price', within }), OF_A_KIND)).items);
  }
  return found;
}

/** Saves a line of a job's costs; one that somebody else changed since is a conflict. */
export async function saveCost(tx: Tx, jobAxleId: string, line: CostEdit): Promise<JobView> {
  const before = await loadJob(tx, jobAxleId);
  const there = before.costs.find((c) => c.id === line.id);
  if (line.version === 0) {
    const made = await insertCost(tx, before.job.id, line);
    const after = await loadJob(tx, jobAxleId);
    if (made === 0) requireSame(line, findById(after.costs, line.id));
    return after;
  }
  if (!there) throw notFound('This line');
  if ((await updateCost(tx, before.job.id, line)) === 0)
    throw conflict('cost', {
      theirs: `${there.what}, ${there.plannedTyped ?? 'no price'}`,
      by: there.person,
      at: there.updatedAt,
      version: there.version,
    });
  return loadJob(tx, jobAxleId);
}

/** The cheapest of some kinds. */
async function partsOfKinds(tx: Tx, kinds: readonly PartKind[]): Promise<ShelfItem[]> {
  const found: ShelfItem[] = [];
  for (const kind of kinds)
    found.push(...(await shelfPage(tx, shelfAskSchema.parse({ kind, order: 'price', within: [] }), OF_A_KIND)).items);
  return found;
}

/** A job's own pack as it would lie on the bench; null while its spring is not known. */
export async function packForBench(tx: Tx, jobAxleId: string): Promise<BenchPack | null> {
  const view = await loadJob(tx, jobAxleId);
  if (view.axle.suspension !== 'longitudinalLeaf') return null;
  const reading = (point: PointId) =>
    view.readings.find((r) => r.point === point && r.phase === 'before')?.value ?? null;
  const known: StandingPack = {
    name: `pack of ${view.vehicle.name}, ${view.axle.position}`,
    eyeForm: view.pack.eyeForm,
    eyeBore: reading('eyeBore'),
    centreBolt: null,
  };
  try {
    return standingPack(assemble(sheetOf(view, [])).input, known);
  } catch (error) {
    if (error instanceof CoreError) return null;
    throw error;
  }
}
