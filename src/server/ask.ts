// Ask: a new job, its goals, its loads, its vehicle.
import { randomUUID } from 'node:crypto';
import { type AskEdit, type NewJob } from '@/contracts/ask';
import { type JobView } from '@/contracts/job';
import { type LoadItem, type LoadsEdit } from '@/contracts/loads';
import { type NewKitItem, type newFeatureSchema } from '@/contracts/kit';
import { type VehicleEdit } from '@/contracts/vehicle';
import { conflict, notFound, ProblemError } from '@/contracts/problem';
import { lumped } from '@/core/sheet/reading';
import { type Tx } from '@/data/client';
import { insertFeature, putKitItem } from '@/data/inspect';
import * as jobs from '@/data/job';
import { type z } from 'zod';
import * as plans from '@/data/plan';
import {
  insertAxle,
  insertVehicle,
  learnAxle,
  putOtherAxle,
  replaceRatings,
  shopAxles,
  updateVehicle,
} from '@/data/shop';
import { loadJob } from './jobs';

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
  if ((await jobs.jobRow(tx, given.id)).length > 0) return { id: given.id };
  let axleId: string;
  if (given.vehicle.kind === 'known') {
    axleId = given.vehicle.axleId;
    const known = (await shopAxles(tx)).find((a) => a.id === axleId);
    if (!known) throw notFound('This axle');
    if (known.position === 'secondRear')
      throw new ProblemError(422, {
        code: 'not-yet',
        message: 'A second rear axle cannot be measured and predicted here yet; it stays in the vehicle’s record.',
        field: 'vehicle',
      });
    if (given.vehicle.facts) await learnAxle(tx, axleId, given.vehicle.facts);
    else if (known.arrangement === null || known.axleClass === null || known.steered === null)
      throw new ProblemError(422, {
        code: 'bad-input',
        message:
          'Nobody has looked at this axle yet: say whether the spring lies over or under it, what kind it is and whether it steers.',
        field: 'vehicle.facts',
      });
  } else {
    const vehicleId = newId();
    axleId = newId();
    await insertVehicle(tx, { ...given.vehicle, id: vehicleId });
    await insertAxle(tx, { ...given.vehicle, id: axleId, vehicleId });
    for (const { position, suspension } of given.vehicle.others)
      if (position !== given.vehicle.position) await putOtherAxle(tx, newId(), vehicleId, position, suspension);
  }
  await jobs.insertJob(tx, given, axleId);
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
  const packId = newId();
  await jobs.insertPack(tx, packId, given.id);
  for (let k = 1; k <= given.leafCount; k++) await jobs.putLeaf(tx, newId(), packId, k);
  for (const [k, kind] of (['tube', 'perch', 'block'] as const).entries())
    await jobs.insertStackPiece(tx, newId(), given.id, k + 1, kind);
  await jobs.insertFastener(tx, newId(), given.id, 'uBolt');
  await jobs.insertFastener(tx, newId(), given.id, 'centreBolt');
  await plans.insertPlan(tx, newId(), given.id);
  return { id: given.id };
}

export async function editAsk(tx: Tx, id: string, edit: AskEdit): Promise<JobView> {
  if ((await jobs.updateAsk(tx, id, edit)) === 0) {
    const { job } = await loadJob(tx, id);
    throw conflict('ask', {
      theirs: `${job.complaint}; wanted ${job.wantedTyped}`,
      by: job.updatedBy,
      at: job.updatedAt,
      version: job.version,
    });
  }
  await jobs.replaceGoals(tx, id, edit.goals);
  return loadJob(tx, id);
}

/** Replaces the load states beyond the state of the day under the job's version. */
export async function editLoads(tx: Tx, id: string, edit: LoadsEdit): Promise<JobView> {
  const before = await loadJob(tx, id);
  if ((await jobs.claimJob(tx, id, edit.version)) === 0)
    throw conflict('loads', {
      theirs: before.states.map((s) => s.name).join(', '),
      by: before.job.updatedBy,
      at: before.job.updatedAt,
      version: before.job.version,
    });
  const kept = new Set(edit.states.map((s) => s.id));
  for (const state of before.states.slice(1)) {
    if (kept.has(state.id)) continue;
    if (await jobs.stateInUse(tx, state.id))
      throw new ProblemError(422, {
        code: 'in-use',
        message: `“${state.name}” has readings or predictions; it stays. Rename it instead.`,
        field: 'states',
      });
    await jobs.deleteState(tx, id, state.id);
  }
  let ordinal = Math.max(0, ...before.states.filter((s) => kept.has(s.id)).map((s) => s.ordinal));
  for (const state of edit.states) {
    const row = { ...stateOf(state), id: state.id, jobId: id };
    if (before.states.some((s) => s.id === state.id)) await jobs.updateState(tx, row);
    else await jobs.insertState(tx, { ...row, ordinal: ++ordinal, wanted: false });
    await jobs.replaceItems(tx, id, state.id, state.items);
  }
  if ((await jobs.setWanted(tx, id, edit.wanted)) === 0)
    throw new ProblemError(422, {
      code: 'bad-input',
      message: 'The goal is meant in a load state that is not there.',
      field: 'wanted',
    });
  return loadJob(tx, id);
}

/** Use, tank, other axles and ratings of the job's vehicle, under the vehicle's version. */
export async function editVehicle(tx: Tx, id: string, edit: VehicleEdit): Promise<JobView> {
  const { vehicle, axle } = await loadJob(tx, id);
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
  await putKitItem(tx, id, item);
  return loadJob(tx, id);
}

/** A feature that tells which branch of a vehicle this is, and what that means for parts. */
export async function addFeature(tx: Tx, id: string, given: z.output<typeof newFeatureSchema>): Promise<JobView> {
  const { vehicle } = await loadJob(tx, id);
  await insertFeature(tx, { ...given, vehicleId: vehicle.id });
  return loadJob(tx, id);
}
