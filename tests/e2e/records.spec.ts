import { type APIRequestContext } from '@playwright/test';
import { type JobView } from '@/contracts/job';
import { type PredictionRow } from '@/contracts/prediction';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { finish } from '@/core/finish';
import { bandsOfAxle, predictAxle } from '@/core/suspension/solvers';
import { CORE_VERSION } from '@/core/version';
import { uniformFrom } from '@/workers/random';
import { closePool, withShop } from '@/data/client';
import { DEMO_PERSON, DEMO_SHOP } from '../../demo/ids';
import { loadJob } from '@/server/jobs';
import { DEMO, expect, newJob, onDatabase, test } from './shop';

const get = async (request: APIRequestContext, job: string): Promise<JobView> =>
  (await (await request.get(`/api${job}`)).json()) as JobView;

type Change = Record<string, unknown>;
const block = (height: number): Change => ({ kind: 'block', height, heightTyped: String(height) });
const shackle = (length: number): Change => ({ kind: 'shackle', length, lengthTyped: String(length) });

async function put(request: APIRequestContext, job: string, changes: Change[]) {
  const { plan } = await get(request, job);
  return request.put(`/api${job}/plan`, { data: { version: plan.version, changes } });
}

async function store(request: APIRequestContext, job: string, more: Record<string, unknown> = {}) {
  const { plan } = await get(request, job);
  const data = { id: crypto.randomUUID(), planVersion: plan.version, coreVersion: CORE_VERSION, ...more };
  return { id: data.id, response: await request.post(`/api${job}/predictions`, { data }) };
}

function reading(view: JobView, more: Record<string, unknown>): Record<string, unknown> {
  const defaults = { id: crypto.randomUUID(), phase: 'before', side: null, leafId: null, stateId: null, rolled: null };
  const found = view.readings.find(
    (r) => r.point === more.point && r.side === (more.side ?? null) && r.phase === 'before',
  );
  return { ...defaults, unit: 'mm', instrument: 'tape', supersedes: found?.id ?? null, ...more };
}

test('a stored prediction is made from its own inputs, seed and core version: solving them again gives its ledger', async ({
  request,
  shop,
}) => {
  const { id, response } = await store(request, DEMO.planned);
  expect(response.ok()).toBe(true);
  const { rows } = await onDatabase(shop.ownerUrl, (c) =>
    c.query('SELECT inputs, seed, samples, core_version FROM prediction WHERE id = $1', [id]),
  );
  const [record] = rows as { inputs: LeafAxleInput; seed: number; samples: number; core_version: string }[];
  expect(record!.core_version).toBe(CORE_VERSION);
  const prediction = finish(predictAxle(record!.inputs));
  const bands = finish(bandsOfAxle(record!.inputs, prediction, uniformFrom(record!.seed), record!.samples));
  const stored = (await get(request, DEMO.planned)).predictions.find((p) => p.id === id) as PredictionRow;
  expect(stored.ledgers).toHaveLength(4);
  for (const { side, stateId, lines } of stored.ledgers) {
    const at = prediction.sides[side]!.states.findIndex((s) => s.id === stateId);
    const expected = prediction.sides[side]!.states[at]!.ledger;
    expect(lines.map((l) => l.kind)).toEqual(expected.map((l) => l.kind));
    lines.forEach((line, i) => expect(line.value).toBeCloseTo(expected[i]!.value, 6));
    const total = lines.find((l) => l.kind === 'total')!;
    expect(total.half90).toBeCloseTo(bands[side]![at]!.half, 6);
  }
});

test('a prediction is stored once, only for the plan that was seen, and only by the version that computed it', async ({
  request,
}) => {
  const first = await store(request, DEMO.planned);
  const again = await store(request, DEMO.planned, { id: first.id });
  expect(again.response.ok()).toBe(true);
  expect((await get(request, DEMO.planned)).predictions).toHaveLength(1);
  const other = await store(request, DEMO.planned, { coreVersion: '0.0.0' });
  expect(other.response.status()).toBe(409);
  expect(await other.response.json()).toMatchObject({ code: 'core-version' });
  const stale = await store(request, DEMO.planned, { planVersion: 1 });
  expect(await stale.response.json()).toMatchObject({ code: 'conflict', field: 'plan' });
  // A leaf cannot be foretold from two heights.
  const leaf = {
    kind: 'addLeaf',
    front: 300,
    frontTyped: '300',
    rear: 300,
    rearTyped: '300',
    thickness: 7,
    thicknessTyped: '7',
  };
  await put(request, DEMO.begun, [{ ...leaf, camber: 60, camberTyped: '60', source: 'measured' }]);
  const early = await store(request, DEMO.begun);
  expect(early.response.status()).toBe(422);
  expect(await early.response.json()).toMatchObject({ code: 'incomplete' });
});

test('a plan that cannot be solved is refused with the reason and leaves nothing behind', async ({ request }) => {
  const long = { front: 1200, frontTyped: '1200', rear: 1200, rearTyped: '1200', thickness: 7, thicknessTyped: '7' };
  await put(request, DEMO.planned, [{ kind: 'addLeaf', ...long, camber: 80, camberTyped: '80', source: 'measured' }]);
  const { response } = await store(request, DEMO.planned);
  expect(response.status()).toBe(422);
  expect(await response.json()).toMatchObject({
    code: 'unsolvable',
    message: expect.stringContaining('longer than the main leaf'),
  });
  expect((await get(request, DEMO.planned)).predictions).toHaveLength(0);
});

test('plans are checked by the server: no stacked blocks, no second conversion, no stale version', async ({
  request,
}) => {
  const stacked = await put(request, DEMO.planned, [block(20), block(30)]);
  expect(stacked.status()).toBe(422);
  expect(await stacked.json()).toMatchObject({ field: 'changes', message: expect.stringContaining('never stacked') });
  const over = await put(request, DEMO.planned, [{ kind: 'overAxle', height: 20, heightTyped: '20' }]);
  expect(await over.json()).toMatchObject({ field: 'overAxle' });
  const absurd = await put(request, DEMO.planned, [block(900)]);
  expect(absurd.status()).toBe(400);
  const stale = await request.put(`/api${DEMO.planned}/plan`, { data: { version: 1, changes: [shackle(120)] } });
  expect(stale.status()).toBe(409);
  expect(await stale.json()).toMatchObject({ code: 'conflict', detail: { by: expect.any(String), version: 2 } });
  expect((await get(request, DEMO.planned)).plan.changes.map((c) => c.kind)).toEqual(['addLeaf']);
});

test('readings are history: a correction supersedes, nothing is overwritten, two first readings cannot both win', async ({
  request,
  shop,
}) => {
  const view = await get(request, DEMO.planned);
  const send = (data: unknown) => request.post(`/api${DEMO.planned}/readings`, { data });
  const first = reading(view, { point: 'leafWidth', typed: '63.2', value: 63.2 });
  expect((await send(first)).ok()).toBe(true);
  const second = { ...first, id: crypto.randomUUID(), typed: '63.4', value: 63.4, supersedes: first.id };
  expect((await send(second)).ok()).toBe(true);
  // Begun on the first one, which is no longer the last.
  const late = { ...first, id: crypto.randomUUID(), typed: '70', value: 70, supersedes: first.id };
  const refused = await send(late);
  expect(refused.status()).toBe(409);
  expect(await refused.json()).toMatchObject({ detail: { theirs: '63.4', version: second.id } });
  // A reading replaces one of its own field in its own job, nothing else.
  const spacing = view.readings.find((r) => r.point === 'uboltSpacing')!;
  const elsewhere = await get(request, DEMO.provenInside);
  const theirs = elsewhere.readings.find((r) => r.point === 'leafWidth')!;
  for (const { id } of [spacing, theirs]) {
    const foreign = await send({ ...first, id: crypto.randomUUID(), supersedes: id });
    expect([foreign.status(), await foreign.json()]).toMatchObject([400, { field: 'supersedes' }]);
  }
  expect((await get(request, DEMO.provenInside)).readings).toEqual(elsewhere.readings);
  // A point nobody has read yet, by two people at once.
  const track = { point: 'trackWidth', typed: '1490', value: 1490 };
  const [one, two] = await Promise.all([
    send(reading(view, track)),
    send(reading(view, { ...track, typed: '1510', value: 1510 })),
  ]);
  expect([one.status(), two.status()].sort()).toEqual([200, 409]);
  const { rows } = await onDatabase(shop.ownerUrl, (c) =>
    c.query("SELECT typed FROM reading WHERE job_id = $1 AND point = 'leafWidth' ORDER BY taken_at", [view.job.id]),
  );
  expect((rows as { typed: string }[]).map((r) => r.typed)).toEqual(['63', '63.2', '63.4']);
});

test('a reading names its side, leaf and load state exactly when its point has them', async ({ request }) => {
  const view = await get(request, DEMO.planned);
  const stateId = view.states[0]!.id;
  const cases = [
    { point: 'leafWidth', side: 'left', typed: '63', value: 63 },
    { point: 'hubToLip', stateId, typed: '489', value: 489 },
    { point: 'leafThickness', typed: '7', value: 7 },
    { point: 'loadedArch', side: 'left', typed: '50', value: 50 },
    { point: 'noSuchPoint', typed: '50', value: 50 },
  ];
  for (const given of cases) {
    const answer = await request.post(`/api${DEMO.planned}/readings`, { data: reading(view, given) });
    expect(answer.status()).toBe(400);
  }
  expect((await get(request, DEMO.planned)).readings).toEqual(view.readings);
});

test('leaves taken out of the pack and brought back keep their readings', async ({ request }) => {
  const before = await get(request, DEMO.planned);
  const edit = async (leafCount: number) => {
    const { pack } = await get(request, DEMO.planned);
    const { version, eyeForm, seatShape, rusty } = pack;
    return request.put(`/api${DEMO.planned}/pack`, { data: { version, eyeForm, seatShape, rusty, leafCount } });
  };
  expect((await edit(3)).ok()).toBe(true);
  expect((await get(request, DEMO.planned)).leaves).toHaveLength(3);
  expect((await edit(5)).ok()).toBe(true);
  const after = await get(request, DEMO.planned);
  expect(after.leaves).toEqual(before.leaves);
  expect(after.readings).toEqual(before.readings);
  const stale = await request.put(`/api${DEMO.planned}/pack`, {
    data: { version: before.pack.version, eyeForm: 'berlin', seatShape: 'flat', rusty: true, leafCount: 4 },
  });
  expect(stale.status()).toBe(409);
});

test('a job opened twice after a lost answer is one job with one vehicle', async ({ request, shop }) => {
  const job = newJob();
  const data = {
    ...job,
    vehicle: { ...job.vehicle, name: 'Twice' },
    usual: {
      name: 'boat',
      items: [{ kind: 'cargo', name: 'boat', mass: 400, massTyped: '400', station: 2300, stationTyped: '2300' }],
    },
    wantedIn: 'usual',
  };
  for (let k = 0; k < 2; k++) expect((await request.post('/api/jobs', { data })).ok()).toBe(true);
  const { rows } = await onDatabase(shop.ownerUrl, (c) =>
    c.query("SELECT count(*)::int AS n FROM vehicle WHERE name = 'Twice'"),
  );
  expect(rows).toEqual([{ n: 1 }]);
  const view = await get(request, `/jobs/${data.id}`);
  expect(view.states.map((s) => [s.name, s.wanted])).toEqual([
    ['as it stands today', false],
    ['boat', true],
  ]);
  expect(view.leaves).toHaveLength(3);
  // The same axle again, for another complaint.
  const again = {
    ...data,
    id: crypto.randomUUID(),
    vehicle: { kind: 'known', axleId: view.axle.id },
    complaint: 'leans',
  };
  expect((await request.post('/api/jobs', { data: again })).ok()).toBe(true);
  expect((await get(request, `/jobs/${again.id}`)).vehicle.name).toBe('Twice');
  const bad = await request.post('/api/jobs', { data: { ...data, id: crypto.randomUUID(), complaint: '  ' } });
  expect(bad.status()).toBe(400);
  expect(await bad.json()).toMatchObject({ field: 'complaint', message: 'Say what is wrong.' });
});

test('a goal edited by two people: the second is told who and what', async ({ request }) => {
  const { job } = await get(request, DEMO.planned);
  const {
    version,
    complaint,
    wantedChange,
    wantedTyped,
    tolerance,
    toleranceTyped,
    guess,
    guessTyped,
    noBlocks,
    keepUbolts,
  } = job;
  const edit = {
    version,
    complaint,
    wantedChange,
    wantedTyped,
    tolerance,
    toleranceTyped,
    guess,
    guessTyped,
    noBlocks,
    keepUbolts,
  };
  expect(
    (await request.patch(`/api${DEMO.planned}`, { data: { ...edit, wantedChange: 42, wantedTyped: '42' } })).ok(),
  ).toBe(true);
  const second = await request.patch(`/api${DEMO.planned}`, { data: { ...edit, complaint: 'other' } });
  expect(second.status()).toBe(409);
  expect(await second.json()).toMatchObject({ field: 'ask', detail: { theirs: expect.stringContaining('wanted 42') } });
});

test('a build starts once, and not on a prediction of an older plan', async ({ request }) => {
  await store(request, DEMO.planned);
  for (const item of ['frameHeld', 'axleHeld', 'wheelsChocked', 'springSlack'])
    await request.post(`/api${DEMO.planned}/safety`, { data: { id: crypto.randomUUID(), item, answer: 'ok' } });
  const { plan } = await get(request, DEMO.planned);
  await put(request, DEMO.planned, [...plan.changes, shackle(118)]);
  const start = () => request.post(`/api${DEMO.planned}/build`, { data: { overrideReason: null } });
  expect(await (await start()).json()).toMatchObject({ code: 'stale-prediction' });
  const { id } = await store(request, DEMO.planned);
  expect((await start()).ok()).toBe(true);
  const { build } = await get(request, DEMO.planned);
  expect(build!.predictionId).toBe(id);
  await start();
  expect((await get(request, DEMO.planned)).build).toEqual(build);
});

test('the last answer on the safety card counts, and answers are never lost', async ({ request, shop }) => {
  for (const answer of ['ok', 'notOk', 'ok', 'notChecked'])
    await request.post(`/api${DEMO.planned}/safety`, { data: { id: crypto.randomUUID(), item: 'hoseSlack', answer } });
  const { safety, job } = await get(request, DEMO.planned);
  expect(safety.find((s) => s.item === 'hoseSlack')!.answer).toBe('notChecked');
  const { rowCount } = await onDatabase(shop.ownerUrl, (c) =>
    c.query('SELECT FROM safety_answer WHERE job_axle_id = $1', [job.id]),
  );
  expect(rowCount).toBe(4);
});

test('a corrected after height replaces the outcome shown and keeps the first one', async ({ request, shop }) => {
  const view = await get(request, DEMO.provenOutside);
  const old = view.outcomes.find((o) => o.side === 'left')!;
  expect(old.inside).toBe(false);
  const stateId = view.states[0]!.id;
  const corrected = reading(view, {
    point: 'hubToLip',
    phase: 'after',
    side: 'left',
    stateId,
    rolled: true,
    typed: '431',
    value: 431,
  });
  const answer = await request.post(`/api${DEMO.provenOutside}/outcomes`, {
    data: { ...corrected, supersedes: old.readingId },
  });
  expect(answer.ok()).toBe(true);
  const now = ((await answer.json()) as JobView).outcomes.filter((o) => o.side === 'left');
  expect(now).toHaveLength(1);
  expect(now[0]).toMatchObject({ measured: 431, predicted: old.predicted, inside: true });
  const { rowCount } = await onDatabase(shop.ownerUrl, (c) => c.query("SELECT FROM outcome WHERE side = 'left'"));
  expect(rowCount).toBe(3);
});

test('a station’s page is read from the database in at most six statements', async ({ shop }, info) => {
  const before = process.env.APP_DATABASE_URL;
  process.env.APP_DATABASE_URL = shop.appUrl;
  try {
    let statements = 0;
    const id = DEMO.planned.split('/').at(-1)!;
    const view = await withShop(DEMO_SHOP, DEMO_PERSON, (tx) =>
      loadJob({ ...tx, rows: (...asked) => ((statements += 1), tx.rows(...asked)) }, id),
    );
    expect(view.readings.length).toBeGreaterThan(20);
    expect(view.vehicle.name).toBe('Beach-rescue four-by-four');
    info.annotations.push({ type: 'statements', description: String(statements) });
    console.log(`      a job is loaded in ${statements} statements`);
    expect(statements).toBeLessThanOrEqual(6);
  } finally {
    await closePool();
    process.env.APP_DATABASE_URL = before;
  }
});
