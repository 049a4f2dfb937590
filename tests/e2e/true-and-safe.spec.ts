import { type APIRequestContext } from '@playwright/test';
import { type JobView } from '@/contracts/job';
import { CORE_VERSION } from '@/core/version';
import { boltsOf } from '@/core/fastener/joints';
import { toAccept } from '@/contracts/openList';
import { jointsOf } from '@/core/suspension/registry';
import { DEMO, expect, newJob, onDatabase, openTab, test, typeInto } from './shop';

const get = async (request: APIRequestContext, job: string): Promise<JobView> =>
  (await (await request.get(`/api${job}`)).json()) as JobView;
const post = (request: APIRequestContext, job: string, path: string, data: object) =>
  request.post(`/api${job}${path}`, { data: { id: crypto.randomUUID(), ...data } });
const SUPPORT = ['frameHeld', 'axleHeld', 'wheelsChocked', 'springSlack'];
const supported = async (request: APIRequestContext, job: string) => {
  for (const item of SUPPORT) await post(request, job, '/safety', { item, answer: 'ok' });
};
const store = async (request: APIRequestContext, job: string) => {
  const { plan } = await get(request, job);
  const response = await post(request, job, '/predictions', { planVersion: plan.version, coreVersion: CORE_VERSION });
  expect(response.ok()).toBe(true);
};
const put = async (request: APIRequestContext, job: string, changes: object[]) => {
  const { plan } = await get(request, job);
  expect((await request.put(`/api${job}/plan`, { data: { version: plan.version, changes } })).ok()).toBe(true);
};
const torque = { typed: '52 N·m', value: 52_000, unit: 'N·m', source: 'kit', lubrication: 'dry' };

test('a short hose and a stop of the inspection keep the build from starting; going on is a defect with a person and a day', async ({
  page,
  request,
}) => {
  const job = DEMO.planned;
  await supported(request, job);
  // Read today, before the lift: enough for the droop alone, not for lift and droop.
  await post(request, job, '/survey', { item: 'brakeHose', answer: 'ok', slack: 40, slackTyped: '40', note: '' });
  await post(request, job, '/findings', {
    ...{ rule: 'hanger', side: 'right', choice: 'cracked', values: [], note: '', leafId: null, place: null },
    placeTyped: null,
  });
  await store(request, job);
  const refused = await request.post(`/api${job}/build`, { data: { overrideReason: null } });
  expect(refused.status()).toBe(422);
  const problem = (await refused.json()) as { code: string; message: string; detail: { subject: string }[] };
  expect(problem.code).toBe('does-not-fit');
  const subjects = problem.detail.map((d) => d.subject);
  expect(subjects).toContain('brakeHose');
  expect(subjects.some((s) => s.startsWith('inspect:'))).toBe(true);
  // What must be replaced does not block, but is not forgotten either.
  expect(subjects).not.toContain('inspect:bumpStop:left');

  await page.goto(`${job}/build`);
  await expect(page.locator('p.stop-word', { hasText: /STOP: .*brake hose/ })).toBeVisible();
  const { today } = await get(request, job);
  expect((await post(request, job, '/defects', { subject: 'brakeHose', reason: 'no', dueOn: today })).status()).toBe(
    400,
  );
  const past = await post(request, job, '/defects', {
    subject: 'brakeHose',
    reason: 'hose is on its way',
    dueOn: '2020-01-01',
  });
  expect(past.status()).toBe(422);
  for (const subject of subjects)
    expect((await post(request, job, '/defects', { subject, reason: 'part is on its way', dueOn: today })).ok()).toBe(
      true,
    );
  expect((await request.post(`/api${job}/build`, { data: { overrideReason: null } })).ok()).toBe(true);
  const view = await get(request, job);
  expect(view.defects.map((d) => [d.subject, d.reason, d.dueOn])).toContainEqual([
    'brakeHose',
    'part is on its way',
    today,
  ]);
  // It stays in sight, also on the Board, until it is ended with evidence.
  await page.goto('/');
  await expect(page.getByRole('row', { name: /Beach-rescue/ })).toContainText('open defect until');
  await page.goto(`${job}/build#before`);
  const hose = page.locator('[data-misfit=brakeHose]');
  await expect(hose).toContainText('Open defect until');
  await hose.getByLabel(/What was done about/).fill('longer hose fitted');
  await hose.getByRole('button', { name: 'Mended' }).click();
  await expect(hose).toContainText('longer hose fitted');
});

test('after heights alone finish nothing: what is open is named, closing is refused on stops and lists the rest', async ({
  page,
  request,
}) => {
  const job = DEMO.provenInside;
  await page.goto(`${job}/prove`);
  const tape = page.getByRole('navigation', { name: 'Stations of this job' });
  await expect(tape.getByRole('link', { name: /^Build/ })).toContainText('STOP');
  await expect(tape.getByRole('link', { name: /^Prove/ })).toContainText('STOP');
  await page.getByRole('button', { name: /^STOP 8/ }).click();
  await expect(page.getByRole('region', { name: 'Still open here' })).toContainText('STOP U-bolts: not final');
  await page.goto(`${job}/prove#goals`);
  // The height before in the wanted state was reckoned from another load: no goal is called met on it.
  await expect(page.getByTestId('goals').locator('[data-goal=height]')).toContainText('reckoned from another load');
  await expect(page.getByTestId('goals').locator('[data-goal=height]')).toContainText('cannot be said');
  const close = (note: string, accepted: object[] = []) =>
    post(request, job, '/closing', { closed: true, note, accepted });
  const early = await close('all is well');
  expect(early.status()).toBe(422);
  expect(await early.json()).toMatchObject({
    code: 'stops-open',
    message: expect.stringContaining('Wheel nuts: not final'),
  });
  for (const joint of jointsOf('longitudinalLeaf', { rearEnd: null }))
    expect((await post(request, job, '/torques', { joint, ...torque, stage: 'notTouched' })).ok()).toBe(true);
  expect(await (await close('')).json()).toMatchObject({ code: 'not-accepted' });
  const left = toAccept(await get(request, job));
  const day = (await get(request, job)).today;
  const accepted = left.map(({ text }) => ({
    ...{ id: crypto.randomUUID(), text, reason: 'the owner brings it back', dueOn: day },
  }));
  expect((await close('the owner knows', accepted.slice(1))).status()).toBe(422);
  expect((await close('the owner knows', accepted)).ok()).toBe(true);
  const { closing } = await get(request, job);
  expect(closing).toMatchObject({ closed: true, note: 'the owner knows' });
  expect(closing!.leftOpen.some((text) => text.startsWith('not checked'))).toBe(true);
  // A closed job whose checks are done leaves the day sheet and is found by its name.
  for (const { id } of (await get(request, job)).due)
    expect(
      (
        await request.post(`/api/checks/${id}`, {
          data: { id: crypto.randomUUID(), done: true, figures: 'all as they were' },
        })
      ).ok(),
    ).toBe(true);
  await page.goto('/');
  await expect(page.getByRole('row', { name: /Slipway/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Fish-market/ })).toHaveCount(0);
  await page.goto('/?q=fish-market');
  await expect(page.getByRole('row', { name: /Fish-market/ })).toContainText('closed');
});

test('over-stress and short U-bolts are a STOP in the plan, and the U-bolts to order are told in full', async ({
  page,
  request,
}) => {
  const job = DEMO.planned;
  const leaf = { kind: 'addLeaf', front: 484, frontTyped: '484', rear: 516, rearTyped: '516', source: 'measured' };
  await put(request, job, [
    { ...leaf, thickness: 9, thicknessTyped: '9', camber: 150, camberTyped: '150' },
    { kind: 'block', height: 30, heightTyped: '30' },
  ]);
  await page.goto(`${job}/choose#fit`);
  await expect(page.locator('[data-check=stress]')).toContainText('STOP does not fit', { timeout: 30_000 });
  await expect(page.locator('[data-check=stress]')).toContainText('it will not last');
  await expect(page.locator('[data-check=threads]')).toContainText('STOP');
  await expect(page.locator('[data-check=runOut]')).toContainText('STOP');
  await expect(page.getByTestId('chance')).toContainText('% of such jobs end inside the wish');
  const order = page.getByRole('region', { name: 'U-bolts to order' });
  await expect(order.locator('[data-ubolt=round]')).toContainText(
    /4 U-bolts .*inside width 80 mm, leg inside the bend \d+ mm, threaded \d+ mm/,
  );
  await expect(order).toContainText('Measure before ordering: axle tube');
  await order.getByText('how the leg comes out').first().click();
  await expect(order).toContainText('3 threads beyond the nut');
});

test('in inches and pounds a bare number means what the field shows, for the person, on every screen', async ({
  page,
  request,
}) => {
  await page.goto(`${DEMO.begun}/measure#list`);
  await page.getByRole('group', { name: 'Units' }).getByRole('button', { name: 'in, lb' }).click();
  const arch = page.getByLabel('Loaded arch, left', { exact: true });
  await expect(page.locator('.field', { has: arch }).locator('.unit')).toHaveText('in');
  await typeInto(page, 'Loaded arch, left', '2');
  await expect(page.getByText('2.000 in = 50.8 mm')).toBeVisible();
  await typeInto(page, 'Axle load, estimated', '900');
  await expect
    .poll(async () => (await get(request, DEMO.begun)).readings.find((r) => r.point === 'axleLoad')?.typed)
    .toBe('900 lb');
  const arches = (await get(request, DEMO.begun)).readings.filter((r) => r.point === 'loadedArch');
  expect(arches.map((r) => [r.typed, r.value])).toEqual([['2 in', 50.8]]);
  // What was typed in millimetres says so; it is neither changed nor read as inches.
  await expect(page.getByLabel('Hub to arch lip, left', { exact: true })).toHaveValue('291 mm');
  await page.goto('/');
  await expect(page.getByText(/after \d+ mi/).first()).toBeVisible();
  // A thread is a name in any unit.
  await page.goto('/shelf');
  await page.getByLabel('Name, number, maker, origin or place').fill('KU-14');
  await expect(page.getByText(/thread M14 x 1\.5/).first()).toBeVisible();
  await expect(page.getByText(/thread 9\/16/)).toHaveCount(0);
  // One quantity may differ.
  await page.getByRole('button', { name: 'view…' }).click();
  const kept = page.waitForResponse((r) => r.url().endsWith('/people/units') && r.ok());
  await page.getByRole('group', { name: 'lengths' }).getByRole('button', { name: 'mm' }).click();
  await kept;
  await page.goto(`${DEMO.begun}/measure#list`);
  await expect(page.getByLabel('Loaded arch, left', { exact: true })).toHaveValue('2 in');
  await expect(page.getByLabel('Hub to arch lip, left', { exact: true })).toHaveValue('291');
});

test('a broken main leaf is a STOP with its reason, never a height', async ({ page, request }) => {
  const finding = {
    rule: 'leafBroken',
    choice: 'main',
    values: [],
    note: '',
    leafId: null,
    place: null,
    placeTyped: null,
  };
  await post(request, DEMO.planned, '/findings', { ...finding, side: 'left' });
  await page.goto(`${DEMO.planned}/choose#fit`);
  await expect(page.getByText(/STOP: the main leaf on the left is broken: nothing locates the axle/)).toBeVisible();
  await expect(page.locator('[data-check=located]')).toContainText('STOP');
  await expect(page.getByRole('table', { name: /Height ledger left/ })).toHaveCount(0);
  // The other side stands on its own readings.
  await page.getByRole('button', { name: 'right', exact: true }).click();
  await openTab(page, 'adds up');
  await expect(page.getByRole('table', { name: /Height ledger right/ })).toBeVisible();
});

test('a torque says its unit and where it comes from, and a joint is final when each of its bolts was read', async ({
  request,
}) => {
  const job = DEMO.begun;
  const enter = (more: object) =>
    post(request, job, '/torques', { joint: 'uBolts', ...torque, stage: 'snug', ...more });
  const bare = await enter({ typed: '52' });
  expect(bare.status()).toBe(400);
  expect(await bare.json()).toMatchObject({ field: 'typed', message: expect.stringContaining('Which unit') });
  expect(await (await enter({ source: 'notSaid', stage: 'final' })).json()).toMatchObject({ field: 'source' });
  const early = await enter({ stage: 'final' });
  expect(await early.json()).toMatchObject({
    code: 'not-read',
    message: expect.stringContaining('left, front outer leg'),
  });
  const read = (bolt: string, more: object = {}) =>
    post(request, job, '/torque-readings', {
      ...{ joint: 'uBolts', bolt, typed: '52 N·m', value: 52_000, unit: 'N·m', state: 'weightOn', instrument: 'click' },
      ...more,
    });
  expect((await read('left, third leg')).status()).toBe(400);
  expect((await read('left, front outer leg', { state: undefined })).status()).toBe(400);
  for (const bolt of boltsOf('uBolts')) expect((await read(bolt)).ok()).toBe(true);
  expect((await enter({ stage: 'final' })).ok()).toBe(true);
  const { torqueReadings, due } = await get(request, job);
  expect(torqueReadings).toHaveLength(8);
  expect(torqueReadings[0]).toMatchObject({
    state: 'weightOn',
    instrument: 'click',
    person: expect.any(String),
  });
  // A check is ticked with its figures, and the tick can be taken back.
  const tick = (more: object) =>
    request.post(`/api/checks/${due[0]!.id}`, { data: { id: crypto.randomUUID(), ...more } });
  expect((await tick({ done: true, figures: '' })).status()).toBe(422);
  expect((await tick({ done: true, figures: 'all eight at 52 N·m', km: 41_300, kmTyped: '41300 km' })).ok()).toBe(true);
  const ticked = await get(request, job);
  expect(ticked.due[0]).toMatchObject({ figures: 'all eight at 52 N·m', doneBy: expect.any(String) });
  expect(ticked.due[1]).toMatchObject({ fromKm: 41_300, doneAt: null });
  expect((await tick({ done: false })).ok()).toBe(true);
  expect((await get(request, job)).due[0]).toMatchObject({ doneAt: null, figures: '' });
});

test('on a tablet a way keeps its name and its room; a finding’s part gets onto the list; the page has its sign', async ({
  page,
  request,
}) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.goto(`${DEMO.planned}/choose#ways`);
  await page.getByRole('button', { name: 'Search for ways' }).click();
  const rows = page.locator('tr[data-candidate]');
  await expect(rows.nth(3)).toBeVisible({ timeout: 60_000 });
  const cells = await rows.evaluateAll((all) =>
    all.map((row) => [row.children[0]!.getBoundingClientRect().width, row.getBoundingClientRect().height]),
  );
  expect(Math.min(...cells.map(([width]) => width!))).toBeGreaterThanOrEqual(200);
  expect(Math.max(...cells.map(([, height]) => height!))).toBeLessThanOrEqual(140);
  await page.goto(`${DEMO.planned}/inspect#list`);
  await page
    .getByRole('button', { name: /Onto the list of parts/ })
    .first()
    .click();
  await expect.poll(async () => (await get(request, DEMO.planned)).kit.length).toBeGreaterThan(0);
  const icon = await page.locator('link[rel=icon]').first().getAttribute('href');
  expect((await request.get(icon!)).ok()).toBe(true);
});

test('a height far off the other side is asked about before it is saved, and the earlier one is put back in one tap', async ({
  page,
  request,
}) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  const field = page.getByLabel('Hub to arch lip, left', { exact: true });
  const stored = async () => {
    const { readings, states } = await get(request, DEMO.planned);
    const before = readings.filter((r) => r.point === 'hubToLip' && r.side === 'left' && r.phase === 'before');
    return before.find((r) => r.stateId === states[0]!.id)!.typed;
  };
  await typeInto(page, 'Hub to arch lip, left', '9 3/4 in');
  await expect(page.getByRole('group', { name: /The other side reads/ })).toBeVisible();
  expect(await stored()).toBe('19 1/4 in');
  await page.getByRole('button', { name: 'Put back 19 1/4 in' }).click();
  await expect(field).toHaveValue('19 1/4 in');
  // A correction that was right after all is saved, and can be put back as well.
  await typeInto(page, 'Hub to arch lip, left', '19 3/8 in');
  await expect.poll(stored).toBe('19 3/8 in');
  await page.getByRole('button', { name: 'put back 19 1/4 in' }).click();
  await expect.poll(stored).toBe('19 1/4 in');
});

test('once the build has begun a before reading is corrected only with its reason', async ({ page, request }) => {
  await page.goto(`${DEMO.provenInside}/measure#list`);
  await typeInto(page, 'Leaf width', '70.4');
  const note = page.getByRole('group', { name: 'Correction' });
  await expect(note).toContainText('The build has begun');
  await note.getByLabel('Reason of the correction').fill('caliper had been read at the clip');
  await note.getByRole('button', { name: 'Save the correction' }).click();
  await expect(note).toHaveCount(0);
  const width = (await get(request, DEMO.provenInside)).readings.find((r) => r.point === 'leafWidth')!;
  expect(width).toMatchObject({ typed: '70.4', correctionReason: 'caliper had been read at the clip' });
});

test('a height from the ground before and after, at the same tyre pressure, is a pair of its own', async ({
  request,
}) => {
  const job = DEMO.planned;
  const { states, days } = await get(request, job);
  const state = states[0]!.id;
  const height = (side: string, phase: string, value: number, dayId: string) => ({
    ...{ point: 'groundToLip', phase, side, leafId: null, stateId: state, typed: String(value), value, unit: 'mm' },
    ...{ rolled: true, instrument: 'tape', dayId, supersedes: null },
  });
  for (const side of ['left', 'right'])
    expect((await post(request, job, '/readings', height(side, 'before', 840, days[0]!.id))).ok()).toBe(true);
  await supported(request, job);
  await store(request, job);
  expect((await request.post(`/api${job}/build`, { data: { overrideReason: null } })).ok()).toBe(true);
  const day = (pressure: number) => ({
    ...{ id: crypto.randomUUID(), phase: 'after', fuel: null, fuelAsBefore: true, stance: 'ground' },
    ...{ tyrePressure: pressure, tyrePressureTyped: `${pressure} kPa` },
  });
  const soft = day(150);
  await request.post(`/api${job}/days`, { data: soft });
  const other = await post(request, job, '/outcomes', height('left', 'after', 868, soft.id));
  expect(await other.json()).toMatchObject({
    code: 'not-alike',
    message: expect.stringContaining('tyre pressure'),
  });
  const same = day(220);
  await request.post(`/api${job}/days`, { data: same });
  expect((await post(request, job, '/outcomes', height('left', 'after', 868, same.id))).ok()).toBe(true);
  const [outcome] = (await get(request, job)).outcomes;
  expect(outcome).toMatchObject({ point: 'groundToLip', side: 'left', measured: 868, inside: true });
  expect(outcome!.predicted).toBeGreaterThan(855);
  expect(outcome!.predicted).toBeLessThan(880);
});

test('nothing is invented of an axle nobody looked at, and a second rear axle breaks no page', async ({
  page,
  request,
  shop,
}) => {
  const { vehicle } = await get(request, DEMO.planned);
  const others = [
    { position: 'front', suspension: 'longitudinalLeaf' },
    { position: 'secondRear', suspension: 'longitudinalLeaf' },
  ];
  expect((await request.put(`/api${DEMO.planned}/vehicle`, { data: { ...vehicle, others, ratings: [] } })).ok()).toBe(
    true,
  );
  const axles = await onDatabase(shop.ownerUrl, (c) =>
    c.query<{ id: string; position: string }>(
      "SELECT id, position, arrangement, class, steered FROM axle WHERE vehicle_id = $1 AND position <> 'rear' ORDER BY position",
      [vehicle.id],
    ),
  );
  const unknown = { arrangement: null, class: null, steered: null };
  expect(axles.rows).toMatchObject([unknown, unknown]);
  await page.goto('/jobs/new');
  await expect(page.getByLabel('Complaint, in the owner’s words')).toBeEnabled();
  // A job on such an axle asks for what it must know.
  const { complaint, ...rest } = newJob();
  const known = (facts: object | null) => ({
    ...rest,
    complaint,
    vehicle: { kind: 'known', axleId: axles.rows[0]!.id, facts },
  });
  const asked = await request.post('/api/jobs', { data: known(null) });
  expect(await asked.json()).toMatchObject({ field: 'vehicle.facts' });
  expect(
    (
      await request.post('/api/jobs', {
        data: known({ arrangement: 'under', axleClass: 'fourByFourFront', steered: true }),
      })
    ).ok(),
  ).toBe(true);
});

test('a plan is never replaced in silence: plans have names, one is at work, and they stand side by side', async ({
  page,
  request,
}) => {
  const job = DEMO.planned;
  await page.goto(`${job}/choose`);
  await page.getByLabel('Name of a plan').fill('Softer leaf');
  await page.getByRole('button', { name: 'Copy this plan' }).click();
  await expect(page.locator('[data-plan="Softer leaf"]')).toContainText('at work');
  await typeInto(page, 'Free camber', '80');
  await expect
    .poll(async () =>
      (await get(request, job)).plans.map((p) => [
        p.name,
        p.current,
        JSON.stringify(p.changes).includes('"camber":80'),
      ]),
    )
    .toEqual([
      ['Plan 1', false, false],
      ['Softer leaf', true, true],
    ]);
  const table = page.getByRole('table', { name: 'Plans side by side' });
  await expect(table.getByRole('columnheader')).toHaveText(['what', 'today', 'Plan 1', 'Softer leaf']);
  await store(request, job);
  await page.reload();
  await expect(page.getByText(/Softer leaf: leaf added, 7\.1 mm thick, camber 80 mm/).first()).toBeVisible();
  await page.locator('[data-plan="Plan 1"]').getByRole('button', { name: 'take it up' }).click();
  await expect(page.locator('[data-plan="Plan 1"]')).toContainText('at work');
  // The build goes with the prediction of the plan at work, not with another one's.
  await supported(request, job);
  const stale = await request.post(`/api${job}/build`, { data: { overrideReason: null } });
  expect(await stale.json()).toMatchObject({ code: 'stale-prediction' });
});
