import { type JobView } from '@/contracts/job';
import { DEMO_PASSWORD } from '../../demo/ids';
import { DEMO, expect, test, typeInto } from './shop';

test('who works at the screen is chosen in the header and stands behind what is saved', async ({ page, request }) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  await page.getByRole('button', { name: 'Ansa Korvild' }).click();
  await page.getByRole('group', { name: 'At work' }).getByRole('button', { name: 'Tibb Marrelow' }).click();
  const asked = page.getByRole('dialog', { name: 'Who is it?' });
  await asked.getByLabel('Password').fill('not the one');
  await asked.getByRole('button', { name: 'It is me' }).click();
  await expect(asked.getByRole('alert')).toContainText('do not fit');
  await asked.getByLabel('Password').fill(DEMO_PASSWORD);
  await asked.getByRole('button', { name: 'It is me' }).click();
  // The dialog names him too: typed while it is still open, a text goes nowhere.
  await expect(asked).toBeHidden();
  await expect(page.getByRole('button', { name: 'Tibb Marrelow' })).toBeVisible();
  const saved = page.waitForResponse((r) => r.url().endsWith('/readings') && r.ok());
  await typeInto(page, 'Leaf width', '63.3');
  await saved;
  await page.goto(`${DEMO.planned}/build`);
  const answered = page.waitForResponse((r) => r.url().endsWith('/safety') && r.ok());
  await page
    .getByRole('group', { name: 'Brake hose has slack at full droop' })
    .getByRole('button', { name: 'not ok' })
    .click();
  await answered;
  await expect(page.getByText(/^Tibb Marrelow, /)).toBeVisible();
  // The token this page came with was worth nothing any more when hands changed.
  expect((await request.get(`/api${DEMO.planned}`)).status()).toBe(401);
  const view = (await (await page.request.get(`/api${DEMO.planned}`)).json()) as JobView;
  expect(view.readings.find((r) => r.point === 'leafWidth')).toMatchObject({
    typed: '63.3',
    person: 'Tibb Marrelow',
    instrument: 'caliper',
  });
  // A row that does not fit is said where the plan is chosen.
  await page.goto(`${DEMO.planned}/choose#fit`);
  await expect(page.locator('[data-check=hoseSlack]')).toContainText('does not fit');
});

test('a goal is edited with care: unsaved edits survive a reload, and can be dropped or saved', async ({ page }) => {
  await page.goto(`${DEMO.planned}/ask`);
  const save = page.getByRole('button', { name: 'Save the goals' });
  await expect(save).toBeDisabled();
  await page.getByLabel('Complaint, in the owner’s words').fill('Tail down, and it wanders');
  await page.reload();
  await expect(page.getByLabel('Complaint, in the owner’s words')).toHaveValue('Tail down, and it wanders');
  await page.getByRole('button', { name: 'Drop my edit' }).click();
  await expect(page.getByLabel('Complaint, in the owner’s words')).toHaveValue(/stretcher kit/);
  await typeInto(page, 'Wanted height change', '1 3/4 in');
  await page.getByRole('checkbox', { name: 'no blocks' }).check();
  await save.click();
  await expect(page.getByText('saved by Ansa Korvild, version 2')).toBeVisible();
  await page.goto('/');
  const row = page.getByRole('row', { name: /Beach-rescue/ });
  await expect(row).toContainText('+44 mm');
  // No blocks, said again where one is planned.
  await page.goto(`${DEMO.planned}/choose`);
  await page.getByRole('button', { name: '+ Block' }).click();
  await typeInto(page, 'Block height after the work', '30');
  await expect(page.getByText('the goal says no blocks')).toBeVisible();
});

test('Prove compares a guess only in the load state it was made for', async ({ page }) => {
  await page.goto(`${DEMO.provenInside}/prove`);
  const left = page.locator('[data-side=left]');
  await expect(left).toContainText('guess 560 mm');
  await page.getByRole('button', { name: 'as it stands today' }).click();
  await expect(left).not.toContainText('guess');
  await expect(left).toContainText('not measured yet');
});

test('on a phone the measuring sheet, the build card and Prove can be worked', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${DEMO.planned}/measure#list`);
  await page.getByRole('combobox', { name: /^Go to/ }).selectOption({ label: '✓ Thread showing' });
  await page.getByLabel('Thread showing', { exact: true }).fill('17');
  await expect(page.getByText('17.0 mm = 0.669 in')).toBeVisible();
  const box = (await page.getByLabel('Thread showing', { exact: true }).boundingBox())!;
  expect(box.width).toBeGreaterThan(200);
  await page.getByRole('link', { name: 'Build' }).click();
  // What is answered before lies below the drawing, a touch away.
  await page.getByRole('tab', { name: 'before you loosen' }).click();
  const chips = page.getByRole('group', { name: 'Frame held on stands' });
  await chips.getByRole('button', { name: 'ok', exact: true }).click();
  await expect(chips.getByRole('button', { name: 'ok', exact: true, pressed: true })).toBeVisible();
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  expect(wide).toBe(0);
});

test('a job of another shop or none is not found, in words', async ({ page, shop }) => {
  const answer = await page.goto(`${shop.url}/jobs/5a1e0009-0000-4000-8000-000000000f00/measure#list`);
  expect(answer!.status()).toBe(404);
  await expect(page.getByText('The job was never made, or belongs to another shop.')).toBeVisible();
  await page.getByRole('link', { name: 'To the Board' }).click();
  await expect(page.getByRole('link', { name: 'New job' })).toBeVisible();
});

test('rolled or not goes with the heights already there, as new readings', async ({ page, request }) => {
  const heights = async () => {
    const view = (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
    return view.readings.filter((r) => r.point === 'hubToLip').map((r) => [r.side, r.typed, r.rolled]);
  };
  expect(await heights()).toEqual(expect.arrayContaining([['left', '19 1/4 in', true]]));
  await page.goto(`${DEMO.planned}/measure#list`);
  await page
    .getByRole('group', { name: 'Rolled or bounced before the heights were read' })
    .getByRole('button', { name: 'no' })
    .click();
  await expect.poll(heights).toEqual(
    expect.arrayContaining([
      ['left', '19 1/4 in', false],
      ['right', '19 7/16 in', false],
    ]),
  );
  // The band is honest about it: friction holds an unrolled spring.
  await page.goto(`${DEMO.planned}/choose#ledger`);
  await expect(page.getByText('Drawing the band…')).toBeHidden({ timeout: 30_000 });
  await expect(page.getByTestId('ledger').locator('tr.total')).toBeVisible();
});
