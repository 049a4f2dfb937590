import { type APIRequestContext, type Page } from '@playwright/test';
import { type JobView } from '@/contracts/job';
import { DEMO, expect, openTab, test, typeInto } from './shop';

/** The front axle of a truck whose both axles are worked on. */
const FRONT = '/jobs/5a1e0005-0000-4000-8000-000000000f01';
const binding = (page: Page, id: string) => page.locator(`[data-binding=${id}]`);
const planSaved = (page: Page) => page.waitForResponse((r) => r.url().endsWith('/plan') && r.ok());

/** Answers that stand before anything is checked. */
async function survey(request: APIRequestContext, job: string, item: string, more: object): Promise<void> {
  const sent = await request.post(`/api${job}/survey`, {
    data: { id: crypto.randomUUID(), item, answer: 'ok', slack: null, slackTyped: null, note: '', ...more },
  });
  expect(sent.ok()).toBe(true);
}

test('a lift with a short hose, shocks that shut and open too soon, short U-bolts and a pinion turned up is mended from the list', async ({
  page,
  request,
}) => {
  const before = (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
  // A block of 80 mm besides what is planned, and a hose with little slack.
  const changes = [
    ...before.plan.changes.filter((c) => c.kind !== 'block'),
    { kind: 'block', height: 80, heightTyped: '80' },
  ];
  const put = await request.put(`/api${DEMO.planned}/plan`, { data: { version: before.plan.version, changes } });
  expect(put.ok()).toBe(true);
  await survey(request, DEMO.planned, 'brakeHose', { slack: 120, slackTyped: '120' });
  await page.goto(`${DEMO.planned}/check#read`);
  await typeInto(page, 'Shock shut, left', '382');
  await typeInto(page, 'Shock shut, right', '382');
  await typeInto(page, 'Shock open, left', '508');
  await typeInto(page, 'Shock open, right', '508');
  for (const [field, value] of [
    ['Slope of the output', '3'],
    ['Slope of the shaft', '3.6'],
    ['Slope of the pinion', '6'],
    ['Shaft, joint to joint', '3200'],
  ] as const)
    await typeInto(page, field, value);
  await openTab(page, 'what binds');
  await expect(binding(page, 'driveline')).toHaveAttribute('data-state', 'look');
  for (const id of ['shockShut', 'shockLength', 'threads', 'brakeHose'])
    await expect(binding(page, id)).toHaveAttribute('data-state', 'does not fit');
  const verdict = page.getByRole('status', { name: 'Verdict' });
  await expect(verdict).toContainText('STOP');
  // The work cannot start on it.
  await expect(page.getByRole('navigation', { name: 'Stations of this job' })).toContainText('STOP');

  // Each is mended by its own button; the list answers at once, and what one mend changes for another row shows.
  for (const id of ['driveline', 'shockLength', 'shockShut', 'threads', 'brakeHose']) {
    const row = binding(page, id);
    const saved = planSaved(page);
    await row.locator('.mend').click();
    await saved;
    await expect(row).toHaveAttribute('data-state', 'fits');
  }
  await expect(page.locator('[data-binding][data-state="does not fit"]')).toHaveCount(0);
  const after = (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
  const made = after.plan.changes.slice(changes.length);
  expect(made.map((c) => c.kind)).toEqual(['wedge', 'shocks', 'stopPad', 'ubolts', 'line']);
  expect(made[0]).toMatchObject({ thick: 'front' });
  const shocks = made[1] as { shut: number; open: number };
  // Both ends of a shock move together: it is the same shock, longer.
  expect(shocks.shut - 382).toBe(shocks.open - 508);

  // The parts list holds exactly what the plan takes; what is on it already is not put there twice.
  await openTab(page, 'plan');
  const parts = page.getByTestId('plan-parts').getByRole('listitem');
  await expect(parts).toHaveCount(after.plan.changes.length);
  await page.getByRole('button', { name: /^Put \d+ on the list to buy/ }).click();
  await expect(page.getByRole('link', { name: 'The list, with what the kit brings' })).toBeVisible();
  const { kit } = (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
  const bought = kit.filter((item) => !before.kit.some((had) => had.id === item.id));
  // Wedges, shocks and pads in pairs, the legs of both sides, one hose; leaf and block for both sides.
  const numbers = (list: number[]) => list.toSorted((p, q) => p - q);
  expect(numbers(bought.map((item) => item.wanted))).toEqual(numbers([...changes.map(() => 2), 2, 2, 2, 4, 1]));
  expect(bought.filter((item) => item.what.startsWith('wedge'))).toMatchObject([{ wanted: 2 }]);
  expect(bought.every((item) => item.state === 'notInKit')).toBe(true);

  // Shocks of the shelf are ranked by what they leave both ways; one takes the place of the reckoned pair.
  await openTab(page, 'shocks');
  const first = page.getByRole('table', { name: 'Shocks of the shelf' }).getByRole('row').nth(1);
  await expect(first).toContainText('fits');
  const taken = planSaved(page);
  await first.getByRole('button', { name: 'Take it' }).click();
  await taken;
  await openTab(page, 'what binds');
  for (const id of ['shockLength', 'shockShut']) await expect(binding(page, id)).toHaveAttribute('data-state', 'fits');
  const put2 = planSaved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await put2;

  // A row opens its reckoning; the last step is taken back as one.
  await binding(page, 'shockShut').getByRole('button', { name: 'Shock shut' }).click();
  await expect(page.getByText(/^stop solid at gap 52 − pad \d+ \+ height 46/)).toBeVisible();
  const undone = planSaved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await undone;
  await expect(binding(page, 'brakeHose')).toHaveAttribute('data-state', 'does not fit');
});

test('the hub is pulled through its travel by key and hand, and an axle without stops and shocks is asked for neither', async ({
  page,
}) => {
  await page.goto(`${DEMO.planned}/check`);
  const hub = page.getByRole('slider', { name: 'Hub through its travel' });
  // A key pressed before the page's program runs goes nowhere.
  await expect(page.getByRole('button', { name: 'view…' })).toBeEnabled();
  await hub.focus();
  await page.keyboard.press('Shift+ArrowUp');
  await expect(page.getByTestId('hub-at')).toContainText(/hub \+10, shock 4\d\d mm long/);
  const box = (await hub.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y - 60, { steps: 6 });
  await page.mouse.up();
  await expect(page.getByTestId('hub-at')).toContainText('stop squeezed');
  await page.getByRole('button', { name: 'back to where it sits' }).click();
  await expect(page.getByTestId('hub-at')).toHaveText('');

  // A stop that strikes the plate on the spring gains nothing from a leaf that raises the plate.
  await openTab(page, 'what binds');
  const free = async () => Number(await binding(page, 'stopGap').locator('strong').innerText());
  const overAxle = await free();
  await openTab(page, 'read it');
  const strikes = page.waitForResponse((r) => r.url().endsWith('/survey') && r.ok());
  await page
    .getByRole('group', { name: 'The stop strikes' })
    .getByRole('button', { name: 'the plate on the spring' })
    .click();
  await strikes;
  await openTab(page, 'what binds');
  // The leaf that is added is 7.1 mm thick.
  await expect.poll(async () => Math.abs(overAxle - (await free()) - 7)).toBeLessThanOrEqual(1);
  await expect(page.locator('[data-limiter=packLimit]')).toContainText('leaves at their limit');

  await openTab(page, 'read it');
  const none = page.waitForResponse((r) => r.url().endsWith('/survey') && r.ok());
  await page.getByRole('group', { name: 'Shocks on this axle' }).getByRole('button', { name: 'it has none' }).click();
  await none;
  await expect(page.getByLabel('Shock shut, left', { exact: true })).toHaveCount(0);
  await openTab(page, 'what binds');
  await binding(page, 'shockShut').getByRole('button', { name: 'Shock shut' }).click();
  await expect(page.getByText('It has no shocks.')).toBeVisible();
});

test('a bolt too thick for its bush and a pin without its hole stop the work; a front axle is asked for toe and drag link', async ({
  page,
}) => {
  await page.goto(`${DEMO.planned}/check#held`);
  const held = page.getByRole('region', { name: 'Bushes' });
  await typeInto(page, 'Front eye: bush, bore', '15.9');
  await typeInto(page, 'Front eye: bolt', '16');
  await expect(held.locator('[data-beside=bushFront]')).toContainText('too thick for its sleeve');
  const joints = page.locator('[data-beside=joints]');
  await typeInto(page, 'Dowel diameter', '14');
  await typeInto(page, 'Head of the centre bolt, height', '8');
  await typeInto(page, 'Axle pad: hole', '14.5');
  await typeInto(page, 'Axle pad: depth of the hole', '6');
  await expect(joints).toContainText('the pin bottoms before the faces meet');
  await typeInto(page, 'Axle pad: depth of the hole', '10');
  await expect(joints).toHaveAttribute('data-state', 'fits');
  await openTab(page, 'what binds');
  await expect(binding(page, 'bushFront')).toHaveAttribute('data-state', 'does not fit');
  await expect(binding(page, 'joints')).toHaveAttribute('data-state', 'fits');
  // What stops here stops the build.
  await page.goto(`${DEMO.planned}/build`);
  await expect(page.getByText('too thick for its sleeve').first()).toBeVisible();

  await page.goto(`${FRONT}/check#wheels`);
  for (const [field, value] of [
    ['Across the treads, in front', '1500'],
    ['Across the treads, behind', '1503'],
    ['Tyre, across', '700'],
    ['Toe-in asked for, least', '0.1'],
    ['Toe-in asked for, most', '0.4'],
  ] as const)
    await typeInto(page, field, value);
  // atan(3 / 700) = 0.25°.
  await expect(page.locator('[data-beside=toe]')).toContainText('3.0 mm in at 700 mm, 0.25° together');
  await expect(page.locator('[data-beside=toe]')).toHaveAttribute('data-state', 'fits');
  await expect(page.getByLabel('Drag link, joint to joint', { exact: true })).toBeVisible();
});
