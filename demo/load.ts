// Loads the demo once, in one transaction, with fixed ids. A second run finds the shop and changes nothing.
import { readingKey, type NewReading } from '@/contracts/job';
import { SIDES, type Side } from '@/core/height/axleInput';
import { pointOf, type PointId } from '@/core/measure/points';
import { parseMeasured } from '@/core/units/parse';
import { CORE_VERSION } from '@/core/version';
import { closePool, withShop, type Tx } from '@/data/client';
import { predictionRecord } from '@/data/plan';
import { insertPerson, insertShop, shopPeople } from '@/data/shop';
import { DEMO_PERSON, DEMO_SHOP } from '@/server/context';
import { addReading, answerSafety, createJob, editPack, editPlan, loadJob, prove, startBuild } from '@/server/jobs';
import { storePrediction } from '@/server/predictions';
import { uniformFrom } from '@/workers/random';
import { JOBS, PEOPLE, SHOP, type DemoJob, type Texts } from './scenario';
import { hiddenHeight } from './truth';

const idOf = (block: number, n: number): string =>
  `5a1e${block.toString(16).padStart(4, '0')}-0000-4000-8000-${n.toString(16).padStart(12, '0')}`;

async function loadOne(tx: Tx, demo: DemoJob, number: number): Promise<void> {
  let count = 0;
  const newId = () => idOf(number, ++count);
  const { id } = await createJob(tx, { ...demo.ask, id: idOf(number, 0xf00) }, newId);
  const first = await loadJob(tx, id);
  const { leaves, states, pack } = await editPack(tx, id, {
    ...demo.pack,
    version: first.pack.version,
    leafCount: first.leaves.length,
  });
  if (!pack) throw new Error('no pack');
  const base = states[0]!.id;
  const read = async (point: PointId, typed: string, side: Side | null, leafId: string | null = null) => {
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
      stateId: loaded ? base : null,
      typed,
      value: found.value,
      unit: found.unit,
      rolled: point === 'hubToLip' ? true : null,
      instrument: point === 'leafThickness' ? 'caliper' : 'tape',
      supersedes: null,
    });
  };
  const readAll = async (texts: Texts, side: Side | null) => {
    for (const [point, typed] of Object.entries(texts) as [PointId, string][]) await read(point, typed, side);
  };
  await readAll(demo.once, null);
  await readAll(demo.left, 'left');
  await readAll(demo.right, 'right');
  for (const [k, [thickness, front, rear]] of demo.leaves.entries()) {
    const leafId = leaves[k]!.id;
    await read('leafThickness', thickness, null, leafId);
    if (front) await read('leafFront', front, null, leafId);
    if (rear) await read('leafRear', rear, null, leafId);
  }
  if (demo.changes.length === 0) return;
  await editPlan(tx, id, { version: 1, changes: demo.changes });
  if (!demo.truth) return;
  const foretold = await storePrediction(
    (fn) => fn(tx),
    id,
    { id: newId(), planVersion: 2, coreVersion: CORE_VERSION },
    demo.truth.seed,
  );
  for (const item of ['frameHeld', 'axleHeld', 'wheelsChocked', 'springSlack', 'hoseSlack'])
    await answerSafety(tx, id, { id: newId(), item, answer: 'ok' });
  await startBuild(tx, id, null);
  const [record] = await predictionRecord(tx, foretold.predictions[0]!.id);
  const stateId = states.find((s) => s.wanted)!.id;
  const uniform = uniformFrom(demo.truth.seed);
  for (const side of SIDES) {
    const height = hiddenHeight(record!.inputs, side, stateId, demo.truth, uniform);
    const typed = String(Math.round(height));
    const after: NewReading = {
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
      supersedes: null,
    };
    await prove(tx, id, after, newId);
    console.log(
      `      ${demo.ask.complaint.slice(0, 24)}… ${readingKey(after).split('|')[2]}: the tape says ${typed} mm`,
    );
  }
}

await withShop(DEMO_SHOP, DEMO_PERSON, async (tx) => {
  if ((await shopPeople(tx)).length > 0) {
    console.log('      demo data are already there');
    return;
  }
  await insertShop(tx, SHOP);
  for (const [k, name] of PEOPLE.entries()) await insertPerson(tx, k === 0 ? DEMO_PERSON : idOf(0, 0xa1 + k), name);
  for (const [k, demo] of JOBS.entries()) await loadOne(tx, demo, k + 1);
  console.log(`      demo loaded: ${JOBS.length} jobs of ${SHOP}`);
});
await closePool();
