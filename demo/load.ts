// Loads the demo once, in one transaction, with fixed ids. A second run finds the shop and changes nothing.
import { newJobSchema } from '@/contracts/ask';
import { jobAxleActSchema } from '@/contracts/jobAxle';
import { type NewReading } from '@/contracts/reading';
import { readingKey } from '@/contracts/readingKey';
import { SIDES, type Side } from '@/core/vehicle/side';
import { pointOf, type PointId } from '@/core/measure/points';
import { parseMeasured } from '@/core/units/parse';
import { STRIKES_PLATE } from '@/core/travel/survey';
import { CORE_VERSION } from '@/core/version';
import { closePool, withShop, type Tx } from '@/data/client';
import { predictionRecord } from '@/data/plan';
import { insertPerson, insertShop, shopPeople } from '@/data/shop';
import { nameShop, putSecret, setStanding, staff } from '@/data/door';
import { hashSecret } from '@/server/door/secrets';
import { DEMO_PASSWORD, DEMO_PERSON, DEMO_PIN, DEMO_SHOP, DEMO_WORD } from './ids';
import { actOnAxles, createJob, editVehicle } from '@/server/ask';
import { answerSafety, enterTorque, startBuild } from '@/server/build';
import { type InTx } from '@/server/http';
import { actOnPlans, editPlan } from '@/server/choose';
import { addFailure, addFinding, addSideFinding } from '@/server/inspect';
import { loadJob } from '@/server/jobs';
import { addReading, answerSurvey, beginDay, editPack, editSeen } from '@/server/measure';
import { addOdometer } from '@/server/board';
import { normal, Z90 } from '@/core/estimate/estimate';
import { readSettling } from '@/server/follow';
import { prove } from '@/server/prove';
import { storePrediction } from '@/server/predictions';
import { uniformFrom } from '@/workers/random';
import { putParts, shelfPage } from '@/data/shelf';
import { shelfAskSchema } from '@/contracts/shelf';
import { type DemoAxle, type DemoJob, type Texts } from './job';
import { JOBS, PEOPLE, SHOP, ZONE } from './scenario';
import { demoParts } from './shelf';
import { hiddenHeight } from './truth';
import { prepareJob, stockTools } from './workshop';

const idOf = (block: number, n: number): string =>
  `5a1e${block.toString(16).padStart(4, '0')}-0000-4000-8000-${n.toString(16).padStart(12, '0')}`;

/** Blocks 8 and 9 are the tools' and the shelf's. */
const blockOf = (job: number): number => (job < 7 ? job + 1 : job + 9);

/** Facts, readings, findings and plan of one axle of a job. @param id of the axle in its job */
async function loadAxle(tx: Tx, id: string, demo: DemoAxle, dayId: string, newId: () => string): Promise<void> {
  const first = await loadJob(tx, id);
  const unlike = demo.own !== undefined;
  const facts = { eyeFormRear: null, rearEnd: 'below' as const, uboltBend: demo.uboltBend ?? null };
  const { leaves, states, own } = await editPack(tx, id, {
    lowestLeaf: null,
    shackleAt: null,
    ...demo.pack,
    ...facts,
    side: null,
    otherSide: unlike ? 'different' : 'unknown',
    ownSide: unlike ? 'right' : null,
    version: first.pack.version,
    leafCount: first.leaves.length,
  });
  if (demo.seen) await editSeen(tx, id, { version: first.seenVersion, ...demo.seen });
  const base = states[0]!.id;
  const read = async (
    point: PointId,
    typed: string,
    side: Side | null,
    leafId: string | null = null,
    stateId: string = base,
  ) => {
    const { loaded, rule } = pointOf(point);
    const parsed = parseMeasured(typed, rule);
    const found = parsed.kind === 'ask' ? parsed.options[0] : parsed.kind === 'ok' ? parsed : undefined;
    if (!found) throw new Error(`demo reading ${point} “${typed}” is not accepted`);
    await addReading(tx, id, {
      id: newId(),
      point,
      phase: 'before',
      side,
      leafId,
      stateId: loaded ? stateId : null,
      typed,
      value: found.value,
      unit: found.unit,
      rolled: point === 'hubToLip' ? true : null,
      instrument: point === 'leafThickness' ? 'caliper' : 'tape',
      dayId,
      supersedes: null,
    });
  };
  const readAll = async (texts: Texts, side: Side | null, stateId?: string) => {
    for (const [point, typed] of Object.entries(texts) as [PointId, string][])
      await read(point, typed, side, null, stateId);
  };
  const readLeaves = async (texts: DemoAxle['leaves'], ids: readonly { id: string }[]) => {
    for (const [k, [thickness, front, rear]] of texts.entries()) {
      const leafId = ids[k]!.id;
      await read('leafThickness', thickness, null, leafId);
      if (front) await read('leafFront', front, null, leafId);
      if (rear) await read('leafRear', rear, null, leafId);
    }
  };
  await readAll(demo.once, null);
  await readAll(demo.left, 'left');
  await readAll(demo.right, 'right');
  await readLeaves(demo.leaves, leaves);
  if (demo.own && own) {
    const { pack } = own;
    const counted = { side: 'right' as const, version: pack.version, leafCount: demo.own.leaves.length };
    const now = await editPack(tx, id, {
      lowestLeaf: null,
      shackleAt: null,
      ...demo.own.pack,
      ...facts,
      ...counted,
      otherSide: 'unknown',
      ownSide: null,
    });
    await readAll(demo.own.once, 'right');
    await readLeaves(demo.own.leaves, now.own!.leaves);
  }
  const usual = states[1]?.id;
  if (demo.second && usual) {
    await readAll(demo.second.once, null, usual);
    await readAll(demo.second.left, 'left', usual);
    await readAll(demo.second.right, 'right', usual);
  }
  for (const finding of demo.findings ?? [])
    await addFinding(tx, id, { ...finding, id: newId(), leafId: null, place: null, placeTyped: null });
  if (demo.stopStrikes)
    await answerSurvey(tx, id, {
      ...{ id: newId(), item: STRIKES_PLATE, answer: demo.stopStrikes === 'plate' ? 'ok' : 'none' },
      ...{ slack: null, slackTyped: null, note: '' },
    });
  for (const torque of demo.torques ?? []) await enterTorque(tx, id, { ...torque, id: newId() });
  if (demo.changes.length > 0) await editPlan(tx, id, { version: 1, changes: demo.changes });
  const { plan } = await loadJob(tx, id);
  for (const other of demo.plans ?? []) await actOnPlans(tx, id, { act: 'new', id: newId(), ...other });
  if (demo.plans) await actOnPlans(tx, id, { act: 'use', id: plan.id });
}

async function loadOne(tx: Tx, demo: DemoJob, number: number): Promise<void> {
  let count = 0;
  const newId = () => idOf(number, ++count);
  const { id } = await createJob(tx, newJobSchema.parse({ ...demo.ask, id: idOf(number, 0xf00) }), newId);
  const day = { id: idOf(number, 0xd00), phase: 'before' as const, ...demo.day, stance: 'ground' as const };
  await beginDay(tx, id, { ...day, fuelAsBefore: false });
  if (demo.ratings) {
    const { vehicle } = await loadJob(tx, id);
    await editVehicle(tx, id, { ...vehicle, others: [], ratings: demo.ratings });
  }
  await loadAxle(tx, id, demo, day.id, newId);
  for (const [k, { take, ...axle }] of (demo.also ?? []).entries()) {
    const at = idOf(number, 0xf01 + k);
    await actOnAxles(tx, id, jobAxleActSchema.parse({ ...take, id: at }));
    await loadAxle(tx, at, axle, day.id, newId);
  }
  for (const seen of demo.sideFindings ?? []) await addSideFinding(tx, id, { ...seen, id: newId() });
  for (const failure of demo.failures ?? [])
    await addFailure(tx, id, { ...failure, id: newId(), kmTyped: String(failure.km) });
  if (demo.prepared) await prepareJob(tx, id, newId);
  if (!demo.truth) return;
  const { states } = await loadJob(tx, id);
  const foretold = await storePrediction(
    (fn) => fn(tx),
    id,
    { id: newId(), planVersion: 2, coreVersion: CORE_VERSION },
    {},
    demo.truth.seed,
  );
  for (const item of ['frameHeld', 'axleHeld', 'wheelsChocked', 'springSlack', 'hoseSlack'])
    await answerSafety(tx, id, { id: newId(), item, answer: 'ok' });
  const here: InTx = (work) => work(tx);
  await startBuild({ look: here, inTx: here, asker: {} }, id, null);
  const [record] = await predictionRecord(tx, foretold.predictions[0]!.id);
  if (record?.inputs.kind !== 'longitudinalLeaf') throw new Error('the demo’s proven jobs are on leaf springs');
  const stateId = states.find((s) => s.wanted)!.id;
  const after = { ...day, id: idOf(number, 0xd01), phase: 'after' as const };
  await beginDay(tx, id, { ...after, fuel: null, fuelAsBefore: true });
  const uniform = uniformFrom(demo.truth.seed);
  const { followed } = demo;
  if (followed) await addOdometer(tx, id, { id: newId(), km: followed.odometer, typed: `${followed.odometer} km` });
  const built: Partial<Record<Side, number>> = {};
  for (const side of SIDES) {
    const hidden = hiddenHeight(record.inputs, side, stateId, demo.truth, uniform);
    const typed = String(Math.round(hidden));
    built[side] = hidden;
    const height: NewReading = {
      id: newId(),
      point: 'hubToLip',
      phase: 'after',
      side,
      leafId: null,
      stateId,
      typed,
      value: Number(typed),
      unit: 'mm',
      rolled: true,
      instrument: 'tape',
      dayId: after.id,
      supersedes: null,
    };
    await prove(tx, id, height, newId);
    console.log(
      `      ${demo.ask.complaint.slice(0, 24)}… ${readingKey(height).split('|')[2]}: the tape says ${typed} mm`,
    );
  }
  for (const drive of followed?.drives ?? [])
    for (const side of SIDES) {
      const { by, over } = followed!.settles;
      const height = built[side]! - by * (1 - Math.exp(-drive / over)) + (2 / Z90) * normal(uniform);
      const [value, km] = [Math.round(height), followed!.odometer + drive];
      await readSettling(tx, id, {
        ...{ id: newId(), point: 'hubToLip', side, stateId, typed: String(value), value, km, kmTyped: `${km} km` },
      });
    }
}

/** A demo job foretold by an older core is foretold again by this one; the old prediction stays. */
async function foretellAnew(tx: Tx, seed: number, number: number): Promise<void> {
  const jobId = idOf(number, 0xf00);
  const { predictions, plan } = await loadJob(tx, jobId);
  if (predictions.length === 0 || predictions.some((p) => p.coreVersion === CORE_VERSION)) return;
  await storePrediction(
    (fn) => fn(tx),
    jobId,
    { id: idOf(number, 0xe00 + predictions.length), planVersion: plan.version, coreVersion: CORE_VERSION },
    {},
    seed,
  );
  console.log(`      job ${number} foretold anew by core ${CORE_VERSION}`);
}

/** The demo's parts, where the shelf is still empty. */
async function stockShelf(tx: Tx): Promise<void> {
  if ((await shelfPage(tx, shelfAskSchema.parse({}), 1)).items.length > 0) return;
  const parts = demoParts((n) => idOf(9, n));
  await putParts(tx, parts);
  console.log(`      ${parts.length} parts on the shelf`);
}

/** Who is what in the demo; the first is the owner. */
const ROLES = ['owner', 'mechanic', 'apprentice'] as const;

/** Lets the demo's people sign in with what is told to everybody; what one of them changed stays changed. */
async function openDoors(tx: Tx): Promise<void> {
  await nameShop(tx, DEMO_WORD);
  for (const { id, name, signIn, password } of await staff(tx)) {
    if (password !== 'none' || signIn !== null) continue;
    const k = id === DEMO_PERSON ? 0 : PEOPLE.indexOf(name);
    await setStanding(tx, id, ROLES[k] ?? 'apprentice', name.split(' ')[0]!.toLowerCase(), false);
    await putSecret(tx, id, 'password', await hashSecret('password', DEMO_PASSWORD));
    await putSecret(tx, id, 'pin', await hashSecret('pin', DEMO_PIN));
  }
}

await withShop(DEMO_SHOP, DEMO_PERSON, async (tx) => {
  if ((await shopPeople(tx)).length > 0) {
    console.log('      demo data are already there');
    for (const [k, demo] of JOBS.entries()) if (demo.truth) await foretellAnew(tx, demo.truth.seed, blockOf(k));
    await stockShelf(tx);
    await stockTools(tx, (n) => idOf(8, n));
    await openDoors(tx);
    return;
  }
  await insertShop(tx, SHOP, ZONE);
  for (const [k, name] of PEOPLE.entries()) await insertPerson(tx, k === 0 ? DEMO_PERSON : idOf(0, 0xa1 + k), name);
  await stockTools(tx, (n) => idOf(8, n));
  for (const [k, demo] of JOBS.entries()) await loadOne(tx, demo, blockOf(k));
  await stockShelf(tx);
  await openDoors(tx);
  console.log(`      demo loaded: ${JOBS.length} jobs of ${SHOP}`);
});
await closePool();
