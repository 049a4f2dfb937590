import { DEMO, expect, newJob, test, typeInto } from './shop';

test('the server refuses the build without before heights, and keeps the reason of an override', async ({
  page,
  request,
}) => {
  for (const item of ['frameHeld', 'axleHeld', 'wheelsChocked', 'springSlack'])
    await request.post(`/api${DEMO.begun}/safety`, { data: { id: crypto.randomUUID(), item, answer: 'ok' } });
  const refused = await request.post(`/api${DEMO.begun}/build`, { data: { overrideReason: null } });
  expect(refused.status()).toBe(422);
  expect(await refused.json()).toMatchObject({ code: 'no-before-height', field: 'overrideReason', detail: ['right'] });

  await page.goto(`${DEMO.begun}/build`);
  await page.getByRole('button', { name: 'Start the build' }).click();
  await expect(page.locator('.note')).toContainText('Measure it, or give a reason');
  await page.getByLabel('Reason to start without it').fill('right arch lip torn off last winter');
  await page.getByRole('button', { name: 'Start the build' }).click();
  await expect(page.getByText('Started without before heights: right arch lip torn off')).toBeVisible();
});

test('a block on a steered axle is refused by the server, not only hidden', async ({ request }) => {
  const job = newJob();
  const data = { ...job, vehicle: { ...job.vehicle, position: 'front', axleClass: 'fourByFourFront', steered: true } };
  const made = await request.post('/api/jobs', { data });
  expect(made.ok()).toBe(true);
  const plan = await request.put(`/api/jobs/${job.id}/plan`, {
    data: { version: 1, changes: [{ kind: 'block', height: 30, heightTyped: '30' }] },
  });
  expect(plan.status()).toBe(422);
  expect(await plan.json()).toMatchObject({ code: 'unsafe', field: 'block' });
});

test('only like is compared with like', async ({ request }) => {
  const view = (await (await request.get(`/api${DEMO.provenOutside}`)).json()) as { states: { id: string }[] };
  const reading = {
    id: crypto.randomUUID(),
    point: 'hubToLip',
    phase: 'after',
    side: 'left',
    leafId: null,
    stateId: view.states[0]!.id,
    typed: '430',
    value: 430,
    unit: 'mm',
    rolled: false,
    instrument: 'tape',
    supersedes: null,
  };
  const unrolled = await request.post(`/api${DEMO.provenOutside}/outcomes`, { data: reading });
  expect(await unrolled.json()).toMatchObject({ code: 'not-rolled' });
  const before = await request.post(`/api${DEMO.provenOutside}/outcomes`, {
    data: { ...reading, rolled: true, phase: 'before' },
  });
  expect(before.status()).toBe(400);
});

test('nonsense is refused at the field, doubt is asked about, Escape brings back what was saved', async ({ page }) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  const width = page.getByLabel('Leaf width', { exact: true });
  await typeInto(page, 'Leaf width', 'about two');
  await expect(page.getByText('cannot be read as a number')).toBeVisible();
  await expect(width).toHaveValue('about two');
  await width.press('Escape');
  await expect(width).toHaveValue('63');
  // A fraction in a millimetre field.
  await typeInto(page, 'Leaf width', '2 1/2');
  await page
    .getByRole('group', { name: /A fraction in a mm field/ })
    .getByRole('button', { name: /2 1\/2 in/ })
    .click();
  await expect(page.getByText('2.500 in = 63.5 mm')).toBeVisible();
  // Inches typed into a millimetre field.
  await typeInto(page, 'Hub to arch lip, left', '19.2');
  await expect(page.getByText('19.2 mm cannot be. Was it another unit?')).toBeVisible();
});

test('typed text and value must agree, ids and bodies that are nonsense get a clear error, other sites get none', async ({
  request,
}) => {
  const view = (await (await request.get(`/api${DEMO.planned}`)).json()) as {
    readings: { id: string; point: string }[];
  };
  const width = view.readings.find((r) => r.point === 'leafWidth')!;
  const reading = {
    id: crypto.randomUUID(),
    point: 'leafWidth',
    phase: 'before',
    side: null,
    leafId: null,
    stateId: null,
    typed: '2 1/2 in',
    value: 60,
    unit: 'in',
    rolled: null,
    instrument: 'tape',
    supersedes: width.id,
  };
  const lie = await request.post(`/api${DEMO.planned}/readings`, { data: reading });
  expect(lie.status()).toBe(400);
  expect(await lie.json()).toMatchObject({ field: 'typed' });
  const twice = { ...reading, value: 63.5 };
  for (let k = 0; k < 2; k++)
    expect((await request.post(`/api${DEMO.planned}/readings`, { data: twice })).ok()).toBe(true);
  const now = (await (await request.get(`/api${DEMO.planned}`)).json()) as {
    readings: { id: string; point: string }[];
  };
  expect(now.readings.filter((r) => r.point === 'leafWidth').map((r) => r.id)).toEqual([reading.id]);

  expect((await request.get('/api/jobs/nonsense')).status()).toBe(404);
  expect((await request.post(`/api${DEMO.planned}/readings`, { data: 'not json' })).status()).toBe(400);
  expect((await request.get('/', { headers: { Origin: 'http://other.example' } })).status()).toBe(403);
  expect((await request.get('/jobs/nonsense/measure')).status()).toBe(404);
});
