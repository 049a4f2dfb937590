import { type ToolRow } from '@/contracts/tool';
import { type APIRequestContext, type Page } from '@playwright/test';
import { type JobView } from '@/contracts/job';
import { DEMO, expect, newJob, openTab, test, typeInto } from './shop';

const job = (n: string) => `/jobs/5a1e00${n}-0000-4000-8000-000000000f00`;
const get = async (request: APIRequestContext, path: string): Promise<JobView> =>
  (await (await request.get(`/api${path}`)).json()) as JobView;

const COILS = (wire: string) =>
  [
    ['Coil, seat to seat, left', '275'],
    ['Coil, seat to seat, right', '275'],
    ['Wire', wire],
    ['Outside diameter', '140'],
    ['Turns, end to end', '8.5'],
  ] as const;

const KINDS = [
  {
    suspension: 'twinBeam' as const,
    position: 'front' as const,
    readings: [...COILS('17.5'), ['Pivot to the coil', '580'], ['Pivot to the wheel', '900']],
    plan: async (page: Page) => {
      await page.getByRole('button', { name: '+ Seat spacers' }).click();
      await typeInto(page, 'Spacers after the work', '20');
    },
    // A spacer under an inboard coil does more at the wheel: 20 × 900 / 580.
    total: '471',
    check: 'swingCaster',
    joint: 'Pivot of the beam',
    step: 'each beam swings for itself',
    figures: { id: 'coil-figures', with: 'Rate at the hub', facts: 'coilBeam' },
  },
  {
    suspension: 'torsionBeam' as const,
    position: 'rear' as const,
    readings: [...COILS('15.5'), ['Pivot to the coil', '400'], ['Pivot to the hub', '430']],
    plan: async (page: Page) => {
      await page.getByRole('button', { name: '+ Pivot bushes renewed' }).click();
      await page.getByRole('button', { name: 'rubber, bonded' }).click();
    },
    total: '440',
    check: 'pivotTwist',
    joint: 'Bracket of the brake cable',
    step: 'never tightened hanging',
    figures: { id: 'coil-figures', with: 'Rate at the hub', facts: 'coilBeam' },
  },
  {
    suspension: 'coilOver' as const,
    position: 'front' as const,
    readings: [...COILS('15.5'), ['Arm to the unit', '290'], ['Arm to the ball joint', '400']],
    plan: async (page: Page) => {
      await page.getByRole('button', { name: '+ Lower seats moved' }).click();
      await typeInto(page, 'Groove to groove', '10');
      await typeInto(page, 'Left, grooves up', '2');
      await typeInto(page, 'Right, grooves up', '2');
    },
    total: '468',
    check: 'coilPreload',
    joint: 'Nut on the stem',
    step: 'STOP POINT',
    figures: { id: 'coil-figures', with: 'Rate at the hub', facts: 'coilBeam' },
  },
  {
    suspension: 'rubberShear' as const,
    position: 'rear' as const,
    readings: [
      ['Rubber, along its slide', '152'],
      ['Rubber, width', '92'],
      ['Rubber, plate to plate', '84'],
      ['Carrier above the frame’s plate, left', '4'],
      ['Carrier above the frame’s plate, right', '2'],
      ['Fixed eye to axle', '620'],
      ['Axle to nose bolt', '540'],
      ['Leaves', '4'],
      ['Width of its leaves', '70'],
      ['Thickness of its leaves', '11.2'],
    ],
    plan: async (page: Page) => {
      await page.getByRole('button', { name: '+ Carrier in another row of holes' }).click();
      await typeInto(page, 'Carrier lower by', '40');
    },
    // The axle's share of what the nose comes down: 40 × 620 / 1160.
    total: '461',
    check: 'shearStrain',
    joint: 'Nose bolt of the carrier',
    step: 'drift pins through',
    figures: { id: 'shear-figures', with: 'what the unload tool takes over', facts: 'rubberShear' },
  },
];

for (const kind of KINDS)
  test(`an axle of ${kind.suspension}: measured, planned, built by its own steps and proven`, async ({
    page,
    request,
  }) => {
    const given = newJob();
    const vehicle = { ...given.vehicle, suspension: kind.suspension, position: kind.position, arrangement: null };
    const made = await request.post('/api/jobs', { data: { ...given, vehicle, usual: null, wantedIn: 'today' } });
    expect([made.status(), await made.text()]).toEqual([200, expect.anything()]);
    const path = `/jobs/${given.id}`;
    await page.goto(`${path}/measure#list`);
    for (const [field, text] of [
      ['Hub to arch lip, left', '440'],
      ['Hub to arch lip, right', '440'],
      ['Axle load, estimated', '1150'],
      ...kind.readings,
    ] as const)
      await typeInto(page, field, text);
    await openTab(page, 'as it stands');
    await expect(page.getByTestId(kind.figures.id)).toContainText(kind.figures.with);

    await page.goto(`${path}/choose#plan`);
    await kind.plan(page);
    await expect(page.getByTestId('ledger').locator('tr[data-kind=total]')).toContainText(kind.total);
    await openTab(page, 'must fit');
    await expect(page.locator(`tr[data-check=${kind.check}]`)).toBeVisible();
    await openTab(page, 'plan');
    await page.getByRole('button', { name: 'Store this prediction' }).click();
    await expect.poll(async () => (await get(request, path)).predictions.length).toBe(1);
    const stored = await get(request, path);
    expect(stored.predictions[0]!.facts.own).toMatchObject({
      kind: kind.figures.facts,
      of: expect.arrayContaining([expect.anything()]),
    });
    for (const item of [
      ...['frameHeld', 'axleHeld', 'wheelsChocked', 'springSlack'],
      ...['hoseSlack', 'wireSlack', 'rating', 'heightSensing'],
    ])
      await request.post(`/api${path}/safety`, { data: { id: crypto.randomUUID(), item, answer: 'ok' } });
    const start = () => request.post(`/api${path}/build`, { data: { overrideReason: 'first look at it' } });
    if (kind.suspension === 'coilOver') {
      // A pressed coil is not begun without what holds it, of a shop that keeps its tools here.
      const { person, updatedAt, ...tool } = ((await (await request.get('/api/tools')).json()) as ToolRow[]).find(
        (t) => t.kind === 'compressor',
      )!;
      const put = (state: string, version: number) => request.put('/api/tools', { data: { ...tool, state, version } });
      expect((await put('lent', tool.version)).ok()).toBe(true);
      const refused = await start();
      expect([refused.status(), await refused.json()]).toEqual([
        422,
        expect.objectContaining({ detail: [expect.objectContaining({ subject: 'tool:compressor' })] }),
      ]);
      expect((await put('here', tool.version + 1)).ok()).toBe(true);
    }
    const begun = await start();
    expect([begun.status(), await begun.text()]).toEqual([200, expect.anything()]);
    await page.goto(`${path}/build#steps`);
    await expect(page.getByRole('main')).toContainText(kind.step);
    await openTab(page, 'torque');
    const torque = page.getByRole('region', { name: 'Torque' });
    await expect(torque.getByRole('group', { name: kind.joint, exact: true })).toBeVisible();
    const day = { id: crypto.randomUUID(), phase: 'after', fuel: null, fuelAsBefore: true, stance: 'ground' };
    await request.post(`/api${path}/days`, { data: { ...day, tyrePressure: null, tyrePressureTyped: null } });
    const value = Number(kind.total);
    const proven = await request.post(`/api${path}/outcomes`, {
      data: {
        ...{ id: crypto.randomUUID(), point: 'hubToLip', phase: 'after', side: 'left', leafId: null },
        ...{ stateId: stored.states[0]!.id, typed: String(value), value, unit: 'mm', rolled: true, instrument: 'tape' },
        ...{ dayId: day.id, supersedes: null },
      },
    });
    expect(((await proven.json()) as JobView).outcomes).toMatchObject([{ inside: true }]);
    await page.goto(`${path}/follow`);
    await expect(page.getByRole('main')).toContainText(/height/i);
  });

test('the demo’s swinging beams and units: drawn, nothing at odds, grooves among the ways, what must be looked at', async ({
  page,
}) => {
  await page.goto(`${job('11')}/choose#fit`);
  await expect(page.getByRole('img', { name: /Twin beams from behind.*at the top/ })).toBeVisible({ timeout: 30_000 });
  await expect(page.locator('tr[data-check=pivotTwist]')).toContainText('fits');
  await page.goto(`${job('12')}/choose#fit`);
  await expect(page.getByRole('img', { name: /Trailing beam from the left/ })).toBeVisible({ timeout: 30_000 });
  await expect(page.locator('tr[data-check=pivotTwist]')).toContainText('fits');
  await page.goto(`${job('13')}/choose#ways`);
  const ways = page.getByRole('table', { name: 'Ways with other coils and spacers' });
  await expect(
    ways
      .getByRole('row')
      .filter({ hasText: /grooves up/ })
      .first(),
  ).toBeVisible({ timeout: 30_000 });
  await openTab(page, 'must fit');
  await expect(page.locator('tr[data-check=perchAlike]')).toContainText('apart from side to side');
  for (const n of ['11', '12', '13']) {
    await page.goto(`${job(n)}/measure#list`);
    await expect(page.locator('#watch')).toContainText('nothing contradicts');
  }
});

test('the demo’s minibus: rubber leaning between its plates, a torn block that the plan mends, rows of holes among the ways', async ({
  page,
}) => {
  await page.goto(`${job('14')}/measure#list`);
  await expect(page.locator('#watch')).toContainText('nothing contradicts');
  await typeInto(page, 'Carrier above the frame’s plate, left', '-16');
  await expect(page.getByTestId('flags')).toContainText('left and right differ');
  await typeInto(page, 'Carrier above the frame’s plate, left', '11');
  await expect(page.getByTestId('flags')).toHaveCount(0);
  await page.goto(`${job('14')}/choose#fit`);
  await expect(page.getByRole('img', { name: /Rubber block and leaf.*rubber sheared/ })).toBeVisible({
    timeout: 30_000,
  });
  await expect(page.locator('tr[data-check=shearLeaf]')).toContainText('fits');
  await openTab(page, 'ways');
  const ways = page.getByRole('table', { name: 'Ways with other shear blocks and rows of holes' });
  await expect(ways.getByRole('row').filter({ hasText: 'a row lower on its block' }).first()).toBeVisible();
  await expect(ways.getByRole('row').filter({ hasText: 'wide rows' })).toHaveCount(0);
  await page.goto(`${job('14')}/build#steps`);
  await expect(page.getByRole('main')).toContainText('Unload tool');
  await expect(page.getByRole('main')).not.toContainText('Wheel off');
});

test('a helper spring of the shelf beside a pack: its curve filled in, at work only where it touches, told in the ledger and what must fit', async ({
  page,
  request,
}) => {
  await page.goto(`${DEMO.planned}/choose#plan`);
  // A touch before the page's program runs is lost.
  await expect(page.getByRole('button', { name: 'view…' })).toBeEnabled();
  await page.getByRole('button', { name: '+ Helper springs' }).click();
  await page.getByRole('combobox', { name: 'Helper spring from the shelf' }).click();
  await page.getByTitle('Rubber helper 60', { exact: true }).click();
  await expect(page.getByLabel('Its stroke', { exact: true })).toHaveValue('64');
  await typeInto(page, 'Gap under it today', '-10');
  await expect(page.locator('[data-part=helper]')).toBeVisible();
  await openTab(page, 'adds up');
  await expect(page.getByTestId('ledger').getByRole('row').filter({ hasText: 'helper springs' })).toBeVisible();
  await openTab(page, 'must fit');
  await expect(page.locator('tr[data-check=helper]')).toContainText('raises no rating');
  await openTab(page, 'under load');
  await expect(page.getByRole('main')).toContainText('Helper springs carry, of it');
  await openTab(page, 'plan');
  const saved = page.waitForResponse((r) => r.url().endsWith('/plan') && r.ok());
  await page.getByRole('button', { name: '+ Sway-bar links renewed' }).click();
  await saved;
  await page.goto(`${DEMO.planned}/build#steps`);
  await expect(page.getByRole('main')).toContainText('Helper spring onto its place');
  await expect(page.getByRole('main')).toContainText('Sway link’s nuts to their figure, weight on');
  const stored = await get(request, DEMO.planned);
  expect(stored.plan.changes.find(({ kind }) => kind === 'helper')).toMatchObject({ device: 'rubber', whole: 690 });
  // There before the work: nothing is bought or fitted, it comes off.
  await page.goto(`${DEMO.planned}/choose#plan`);
  await expect(page.getByRole('button', { name: 'view…' })).toBeEnabled();
  const again = page.waitForResponse((r) => r.url().endsWith('/plan') && r.ok());
  await page.getByRole('button', { name: 'there, they come off' }).click();
  await again;
  await page.goto(`${DEMO.planned}/build#steps`);
  await expect(page.getByRole('main')).toContainText('Helper spring and its brackets off');
  await expect(page.getByRole('main')).not.toContainText('Helper spring onto its place');
});

test('an axle of another width: pads under hangers, room beside the tyre and shafts follow from one line of the plan', async ({
  request,
  page,
}) => {
  const view = await get(request, DEMO.planned);
  const line = {
    ...{ kind: 'axleWidth', by: 50, byTyped: '50', pads: 1100, padsTyped: '1100', hanger: 0, hangerTyped: '0' },
    ...{ shackle: 25, shackleTyped: '25' },
  };
  const put = await request.put(`/api${DEMO.planned}/plan`, {
    data: { version: view.plan.version, changes: [...view.plan.changes, line] },
  });
  expect([put.status(), await put.text()]).toEqual([200, expect.anything()]);
  await page.goto(`${DEMO.planned}/check`);
  await expect(page.getByRole('main')).toContainText('25.0 mm shorter');
  await page.goto(`${DEMO.planned}/build#steps`);
  await expect(page.getByRole('main')).toContainText('Axle down evenly on its jack with a helper');
  const other = await get(request, job('06'));
  const refused = await request.put(`/api${job('06')}/plan`, {
    data: { version: other.plan.version, changes: [line] },
  });
  expect(refused.status()).toBe(422);
});
