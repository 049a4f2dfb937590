import { type APIRequestContext, type Page } from '@playwright/test';
import { type JobView } from '@/contracts/job';
import { expect, newJob, openTab, test, typeInto } from './shop';

const job = (n: string) => `/jobs/5a1e00${n}-0000-4000-8000-000000000f00`;
const get = async (request: APIRequestContext, path: string): Promise<JobView> =>
  (await (await request.get(`/api${path}`)).json()) as JobView;

const KINDS = [
  {
    suspension: 'twinBeam' as const,
    position: 'front' as const,
    wire: '17.5',
    readings: [
      ['Pivot to the coil', '580'],
      ['Pivot to the wheel', '900'],
    ],
    plan: async (page: Page) => {
      await page.getByRole('button', { name: '+ Seat spacers' }).click();
      await typeInto(page, 'Spacers after the work', '20');
    },
    // A spacer under an inboard coil does more at the wheel: 20 × 900 / 580.
    total: '471',
    check: 'swingCaster',
    joint: 'Pivot of the beam',
    step: 'each beam swings for itself',
  },
  {
    suspension: 'torsionBeam' as const,
    position: 'rear' as const,
    wire: '15.5',
    readings: [
      ['Pivot to the coil', '400'],
      ['Pivot to the hub', '430'],
    ],
    plan: async (page: Page) => {
      await page.getByRole('button', { name: '+ Pivot bushes renewed' }).click();
      await page.getByRole('button', { name: 'rubber, bonded' }).click();
    },
    total: '440',
    check: 'pivotTwist',
    joint: 'Bracket of the brake cable',
    step: 'never tightened hanging',
  },
  {
    suspension: 'coilOver' as const,
    position: 'front' as const,
    wire: '15.5',
    readings: [
      ['Arm to the unit', '290'],
      ['Arm to the ball joint', '400'],
    ],
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
      ['Coil, seat to seat, left', '275'],
      ['Coil, seat to seat, right', '275'],
      ['Wire', kind.wire],
      ['Outside diameter', '140'],
      ['Turns, end to end', '8.5'],
      ...kind.readings,
    ] as const)
      await typeInto(page, field, text);
    await openTab(page, 'as it stands');
    await expect(page.getByTestId('coil-figures')).toContainText('Rate at the hub');

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
      kind: 'coilBeam',
      of: expect.arrayContaining([expect.anything()]),
    });
    for (const item of [
      ...['frameHeld', 'axleHeld', 'wheelsChocked', 'springSlack'],
      ...['hoseSlack', 'wireSlack', 'rating', 'heightSensing'],
    ])
      await request.post(`/api${path}/safety`, { data: { id: crypto.randomUUID(), item, answer: 'ok' } });
    const begun = await request.post(`/api${path}/build`, { data: { overrideReason: 'first look at it' } });
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
