// Ask: a new job, its goals, its loads, its vehicle.
import { randomUUID } from 'node:crypto';
import { type AskEdit, type NewJob } from '@/contracts/ask';
import { type JobView } from '@/contracts/job';
import { type LoadItem, type LoadsEdit } from '@/contracts/loads';
import { type NewKitItem, type newFeatureSchema } from '@/contracts/kit';
import { type AxleAsk, type JobAxleAct } from '@/contracts/jobAxle';
import { type KnownAxle, type VehicleEdit } from '@/contracts/vehicle';
import { conflict, notFound, ProblemError, taken } from '@/contracts/problem';
import { lumped } from '@/core/sheet/reading';
import { SUSPENSIONS } from '@/core/suspension/names';
import { arrangedOf, KIND_IDS, type KindId } from '@/core/suspension/registry';
import { formOf } from '@/core/vehicle/form';
import { type Tx } from '@/data/client';
import { insertFeature, putKitItem } from '@/data/inspect';
import { requireRoom } from '@/data/room';
import * as jobs from '@/data/job';
import { dropJobAxle, insertJobAxle, putComponent, updateAxleAsk } from '@/data/jobAxle';
import { type z } from 'zod';
import * as plans from '@/data/plan';
import {
  insertAxle,
  insertVehicle,
  knownAxle,
  learnAxle,
  putOtherAxle,
  replaceRatings,
  updateVehicle,
} from '@/data/shop';
import { findById, requireSame } from './again';
import { loadJob } from './jobs';
import { carryReading } from './measure';

/** A load state's own mass and middle, from its items; one item keeps its texts. */
function stateOf({ name, items }: { name: string; items: readonly LoadItem[] }) {
  const { mass, station } = lumped(items);
  const [only] = items.length === 1 ? items : [];
  return {
    name,
    mass,
    massTyped:
      only?.massTyped ??
      items
        .map((i) => i.massTyped)
        .join(' + ')
        .slice(0, 160),
    station,
    stationTyped: only?.stationTyped ?? `${station.toFixed(0)} mm, middle of ${items.length}`,
  };
}

/** Makes a job with all it needs to be measured; ids may be given so that the demo is the same every time. */
export async function createJob(tx: Tx, given: NewJob, newId: () => string = randomUUID): Promise<{ id: string }> {
  // A second try after a lost answer.
  const [there] = await jobs.jobRow(tx, given.id);
  // What was edited since says nothing any more of how it was made.
  if (there && there.version === 1 && there.complaint !== given.complaint) throw taken();
  if (there) return { id: given.id };
  let axleId: string;
  let suspension: KindId;
  if (given.vehicle.kind === 'known') {
    axleId = given.vehicle.axleId;
    const known = await knownAxle(tx, axleId);
    if (!known) throw notFound('This axle');
    if (known.position === 'secondRear')
      throw new ProblemError(422, {
        code: 'not-yet',
        message: 'A second rear axle cannot be measured and predicted here yet; it stays in the vehicle’s record.',
        field: 'vehicle',
      });
    suspension = known.suspension;
    if (given.vehicle.facts) {
      checkFacts(suspension, given.vehicle.facts, 'vehicle.facts');
      await learnAxle(tx, axleId, given.vehicle.facts);
    } else if (!looked(known)) throw unlooked('vehicle.facts');
  } else {
    const vehicleId = newId();
    axleId = newId();
    suspension = given.vehicle.suspension;
    checkFacts(suspension, given.vehicle, 'vehicle');
    if (formOf(given.vehicle.form).hitched && given.vehicle.position === 'front') throw NO_FRONT;
    await insertVehicle(tx, { ...given.vehicle, id: vehicleId });
    await insertAxle(tx, { ...given.vehicle, id: axleId, vehicleId });
    for (const { position, suspension } of given.vehicle.others)
      if (position !== given.vehicle.position) await putOtherAxle(tx, newId(), vehicleId, position, suspension);
  }
  await jobs.insertJob(tx, given);
  // The first axle of a job has the job's own id.
  await takeInAxle(
    tx,
    { id: given.id, jobId: given.id, axleId, suspension, ask: given, leafCount: given.leafCount },
    newId,
  );
  await jobs.replaceGoals(tx, given.id, given.goals);
  const today = {
    jobId: given.id,
    ordinal: 0,
    name: 'as it stands today',
    mass: 0,
    massTyped: '0',
    station: 0,
    stationTyped: '0',
  };
  await jobs.insertState(tx, { ...today, id: newId(), wanted: given.usual === null || given.wantedIn === 'today' });
  if (given.usual) {
    const id = newId();
    const wanted = given.wantedIn === 'usual';
    await jobs.insertState(tx, { ...stateOf(given.usual), id, jobId: given.id, ordinal: 1, wanted });
    await jobs.replaceItems(tx, given.id, id, given.usual.items);
  }
  for (const reading of given.readings) await carryReading(tx, given.id, reading, newId);
  return { id: given.id };
}

/** Parts an axle of each kind begins with: one kind that is counted, and those there once. */
const MADE_OF: Record<KindId, { counted: string | null; once: readonly string[] }> = {
  longitudinalLeaf: { counted: 'leaf', once: ['tube', 'perch', 'block', 'uBolt', 'centreBolt'] },
  coilBeam: { counted: null, once: ['coil', 'spacer'] },
  tandemEqualizer: { counted: null, once: ['spring', 'rocker', 'tube', 'perch'] },
  tandemSlipper: { counted: null, once: ['spring', 'slipper', 'tube', 'perch'] },
  twinBeam: { counted: null, once: ['coil', 'spacer'] },
  torsionBeam: { counted: null, once: ['coil', 'spacer'] },
  coilOver: { counted: null, once: ['coil', 'spacer'] },
  transverseLeaf: { counted: null, once: ['spring', 'spindle'] },
  rubberShear: { counted: null, once: ['spring', 'carrier'] },
};

/** Whether somebody has looked at an axle far enough to work on it. */
const looked = (axle: Pick<KnownAxle, 'suspension' | 'arrangement' | 'axleClass' | 'steered'>): boolean =>
  axle.axleClass !== null &&
  axle.steered !== null &&
  (axle.arrangement !== null || !KIND_IDS.some((kind) => kind === axle.suspension && arrangedOf(kind)));

const unlooked = (field: string) =>
  new ProblemError(422, {
    code: 'bad-input',
    message:
      'Nobody has looked at this axle yet: say whether the spring lies over or under it, what kind it is and whether it steers.',
    field,
  });

const NO_FRONT = new ProblemError(422, {
  code: 'bad-input',
  message: 'A trailer hangs on its coupling in front; its axles stand behind that.',
  field: 'position',
});

/** Leaf springs lie over or under their axle. */
function checkFacts(suspension: KindId, facts: { arrangement: string | null }, field: string): void {
  if (arrangedOf(suspension) && facts.arrangement === null) throw unlooked(field);
}

interface TakeIn {
  id: string;
  jobId: string;
  axleId: string;
  suspension: KindId;
  ask: AxleAsk;
  leafCount: number;
}

/** Takes an axle into a job with all it needs to be measured and planned. */
async function takeInAxle(
  tx: Tx,
  { id, jobId, axleId, suspension, ask, leafCount }: TakeIn,
  newId: () => string,
): Promise<boolean> {
  if ((await insertJobAxle(tx, id, jobId, axleId, ask)) === 0) return false;
  await jobs.insertPack(tx, newId(), id);
  const { counted, once } = MADE_OF[suspension];
  if (counted)
    for (let ordinal = 1; ordinal <= leafCount; ordinal++)
      await putComponent(tx, newId(), id, { kind: counted, ordinal });
  for (const kind of once) await putComponent(tx, newId(), id, { kind, ordinal: 1 });
  await plans.insertPlan(tx, newId(), id);
  return true;
}

/** Takes another axle of the vehicle into the job; leaves one out that was taken up by mistake, or takes it up again. */
export async function actOnAxles(tx: Tx, id: string, given: JobAxleAct): Promise<JobView> {
  const view = await loadJob(tx, id);
  if (given.act !== 'add') {
    const there = view.jobAxles.filter((x) => !x.dropped);
    if (!view.jobAxles.some((x) => x.id === given.id)) throw notFound('This axle');
    if (given.act === 'drop' && there.every((x) => x.id === given.id))
      throw new ProblemError(422, { code: 'last-axle', message: 'A job works on one axle at least.', field: 'axle' });
    await dropJobAxle(tx, given.id, given.act === 'drop');
    // Told from an axle that stays.
    return loadJob(tx, given.act === 'drop' && given.id === id ? there.find((x) => x.id !== id)!.id : id);
  }
  const sent = findById(view.jobAxles, given.id);
  if (sent) {
    const { wantedTyped, toleranceTyped, guessTyped } = (await loadJob(tx, given.id)).job;
    const { position } = given;
    const asked = {
      wantedTyped: given.wantedTyped,
      toleranceTyped: given.toleranceTyped,
      guessTyped: given.guessTyped,
    };
    requireSame({ position, ...asked }, { position: sent.position, wantedTyped, toleranceTyped, guessTyped });
    return view;
  }
  if (formOf(view.vehicle.form).hitched && given.position === 'front') throw NO_FRONT;
  const found = view.axles.find((a) => a.position === given.position);
  const again = view.jobAxles.find((x) => x.axleId === found?.id);
  if (again) {
    await dropJobAxle(tx, again.id, false);
    return loadJob(tx, id);
  }
  const suspension = found ? KIND_IDS.find((kind) => kind === found.suspension) : given.suspension;
  if (!suspension)
    throw new ProblemError(422, {
      code: 'not-yet',
      message: `This axle is written down with ${SUSPENSIONS[found!.suspension]}, which cannot be worked on here yet.`,
      field: 'axle',
    });
  const known = found && (await knownAxle(tx, found.id));
  if (!(known && looked(known)) && !given.facts) throw unlooked('facts');
  if (given.facts) checkFacts(suspension, given.facts, 'facts');
  const axleId = found?.id ?? randomUUID();
  if (found && given.facts) await learnAxle(tx, axleId, given.facts);
  if (!found)
    await insertAxle(tx, {
      ...given.facts!,
      id: axleId,
      vehicleId: view.vehicle.id,
      position: given.position,
      suspension,
    });
  const { id: newAxle, leafCount } = given;
  const axle = { id: newAxle, jobId: view.job.id, axleId, suspension, ask: given, leafCount };
  if (!(await takeInAxle(tx, axle, randomUUID))) throw taken();
  return loadJob(tx, id);
}

export async function editAsk(tx: Tx, id: string, edit: AskEdit): Promise<JobView> {
  const { job } = await loadJob(tx, id);
  if ((await jobs.updateAsk(tx, job.id, edit)) === 0) {
    throw conflict('ask', {
      theirs: `${job.complaint}; wanted ${job.wantedTyped}`,
      by: job.updatedBy,
      at: job.updatedAt,
      version: job.version,
    });
  }
  await updateAxleAsk(tx, id, edit);
  await jobs.replaceGoals(tx, id, edit.goals);
  return loadJob(tx, id);
}

/** Replaces the load states beyond the state of the day under the job's version. */
export async function editLoads(tx: Tx, id: string, edit: LoadsEdit): Promise<JobView> {
  const before = await loadJob(tx, id);
  const jobId = before.job.id;
  if ((await jobs.claimJob(tx, jobId, edit.version)) === 0)
    throw conflict('loads', {
      theirs: before.states.map((s) => s.name).join(', '),
      by: before.job.updatedBy,
      at: before.job.updatedAt,
      version: before.job.version,
    });
  const kept = new Set(edit.states.map((s) => s.id));
  // The state of the day carries nothing besides what was aboard when it was measured.
  if (kept.has(before.states[0]!.id))
    throw new ProblemError(400, {
      code: 'bad-input',
      message: 'The state of the day has no loads of its own.',
      field: 'states',
    });
  for (const state of before.states.slice(1)) {
    if (kept.has(state.id)) continue;
    if (await jobs.stateInUse(tx, state.id))
      throw new ProblemError(422, {
        code: 'in-use',
        message: `“${state.name}” has readings or predictions; it stays. Rename it instead.`,
        field: 'states',
      });
    await jobs.deleteState(tx, jobId, state.id);
  }
  // The lowest places nobody has, so that adding and taking away never comes to an end.
  const taken = new Set(before.states.filter((s) => kept.has(s.id)).map((s) => s.ordinal));
  const free = () => {
    let ordinal = 1;
    while (taken.has(ordinal)) ordinal += 1;
    taken.add(ordinal);
    return ordinal;
  };
  for (const state of edit.states) {
    const row = { ...stateOf(state), id: state.id, jobId };
    if (before.states.some((s) => s.id === state.id)) await jobs.updateState(tx, row);
    else await jobs.insertState(tx, { ...row, ordinal: free(), wanted: false });
    await jobs.replaceItems(tx, jobId, state.id, state.items);
  }
  if ((await jobs.setWanted(tx, jobId, edit.wanted)) === 0)
    throw new ProblemError(422, {
      code: 'bad-input',
      message: 'The goal is meant in a load state that is not there.',
      field: 'wanted',
    });
  return loadJob(tx, id);
}

/** Use, tank, other axles and ratings of the job's vehicle, under the vehicle's version. */
export async function editVehicle(tx: Tx, id: string, edit: VehicleEdit): Promise<JobView> {
  const { vehicle, axle, axles } = await loadJob(tx, id);
  const front = axles.some((a) => a.position === 'front') || edit.others.some((a) => a.position === 'front');
  if (front && formOf(edit.form ?? vehicle.form).hitched) throw NO_FRONT;
  if ((await updateVehicle(tx, vehicle.id, edit)) === 0)
    throw conflict('vehicle', {
      theirs: [vehicle.name, vehicle.use].filter(Boolean).join(', '),
      by: vehicle.updatedBy,
      at: vehicle.updatedAt,
      version: vehicle.version,
    });
  for (const { position, suspension } of edit.others)
    if (position !== axle.position) await putOtherAxle(tx, randomUUID(), vehicle.id, position, suspension);
  await replaceRatings(tx, axle.id, edit.ratings);
  return loadJob(tx, id);
}

/** Ticks off what a kit brings, or writes down what it does not. */
export async function putKit(tx: Tx, id: string, item: NewKitItem): Promise<JobView> {
  const { job, kit } = await loadJob(tx, id);
  if (!kit.some((k) => k.id === item.id)) await requireRoom(tx, 'kit_item', job.id);
  await putKitItem(tx, job.id, item);
  return loadJob(tx, id);
}

/** A feature that tells which branch of a vehicle this is, and what that means for parts. */
export async function addFeature(tx: Tx, id: string, given: z.output<typeof newFeatureSchema>): Promise<JobView> {
  const { vehicle } = await loadJob(tx, id);
  await insertFeature(tx, { ...given, vehicleId: vehicle.id });
  return loadJob(tx, id);
}
