import { type JobView } from '@/contracts/job';
import { pointOf } from '@/core/measure/points';
import { allFields, fieldKey, spokenField } from '@/ui/measure/fields';
import { DEMO, expect, focusOn, test, typeInto } from './shop';

const viewOf = async (request: { get: (url: string) => Promise<{ json: () => Promise<unknown> }> }, job: string) =>
  (await (await request.get(`/api${job}`)).json()) as JobView;

test('every field inks its own dimension, and every dimension brings the focus to its own field', async ({
  page,
  request,
}) => {
  const view = await viewOf(request, DEMO.planned);
  await page.goto(`${DEMO.planned}/measure#list`);
  const fields = allFields(view);
  expect(fields.length).toBeGreaterThan(55);
  for (const at of fields) {
    const key = fieldKey(at);
    const field = page.locator(`input[data-measured="${key}"]`);
    await field.evaluate((input) => {
      const folded = input.closest('details');
      if (folded) folded.open = true;
    });
    await focusOn(field);
    const dimension = page.locator(`[data-dimension="${key}"]`);
    await expect(dimension, spokenField(view, at)).toHaveAttribute('data-ink', 'focus');
    await expect(page.locator('.stage svg.drawing').first()).toBeInViewport();
    // Only its own group stands out, and never more than seven of it.
    await expect(page.locator('[data-ink=focus]')).toHaveCount(1);
    if (!pointOf(at.point).perLeaf) expect(await page.locator('[data-ink=group]').count()).toBeLessThanOrEqual(7);
    await field.blur();
    await dimension.locator('.touch').click();
    await expect(field, spokenField(view, at)).toBeFocused();
    const box = (await dimension.locator('.touch').boundingBox())!;
    expect(Math.min(box.width, box.height), spokenField(view, at)).toBeGreaterThanOrEqual(43.5);
  }
});

test('Enter walks the whole sheet in the order of walking round the vehicle, with typed fractions', async ({
  page,
  request,
}) => {
  const before = await viewOf(request, DEMO.begun);
  await page.goto(`${DEMO.begun}/measure#list`);
  // Folded groups of readings are opened; other folds keep what they hide out of the walk.
  const unfold = () =>
    page.locator('details').evaluateAll((all) =>
      all.forEach((d) => {
        if (d.querySelector('input[data-measured*="|before|"]')) (d as HTMLDetailsElement).open = true;
      }),
    );
  await page.getByRole('button', { name: 'yes, rolled' }).click();
  await unfold();
  // Inches a mechanic would read at each point, where the expected value would do.
  const text = (point: Parameters<typeof pointOf>[0]): string => {
    const { rule } = pointOf(point);
    if (rule.dimension === 'mass') return `${Math.round(rule.expected! / 0.45359237)} lb`;
    if (rule.dimension === 'angle') return '97';
    if (rule.dimension === 'rate') return String(rule.expected!);
    if (rule.dimension === 'count') return '6';
    if (rule.dimension === 'thread') return '9/16-18 UNF';
    if (point === 'uboltPitch') return '1/20 in';
    // Near what was read before; a height far from it is asked about first.
    if (point === 'hubToLip') return '11 7/16 in';
    const inches = (rule.expected ?? before.vehicle.wheelbase) / 25.4;
    const sixteenths = Math.max(2, Math.round(inches * 16));
    return `${sixteenths >= 16 ? `${Math.floor(sixteenths / 16)} ` : ''}${sixteenths % 16 === 0 ? '' : `${sixteenths % 16}/16`} in`.replace(
      /\s+/g,
      ' ',
    );
  };
  const fields = allFields(before);
  await focusOn(page.locator(`input[data-measured="${fieldKey(fields[0]!)}"]`));
  for (const [k, at] of fields.entries()) {
    const here = page.locator(`input[data-measured="${fieldKey(at)}"]`);
    await expect(here, spokenField(before, at)).toBeFocused();
    await page.keyboard.press('Control+A');
    await page.keyboard.type(text(at.point));
    await page.keyboard.press('Enter');
    if (k !== 4) continue;
    // A reload in the middle loses nothing that was entered; the walk goes on where it was.
    await expect
      .poll(async () => (await viewOf(request, DEMO.begun)).readings.some((r) => r.point === at.point))
      .toBe(true);
    await page.reload();
    const next = page.locator(`input[data-measured="${fieldKey(fields[5]!)}"]`);
    await expect(next).toBeEnabled();
    await unfold();
    await focusOn(next);
  }
  await expect
    .poll(async () => (await viewOf(request, DEMO.begun)).readings.filter((r) => r.phase === 'before').length)
    .toBe(fields.length);
  const { readings, days } = await viewOf(request, DEMO.begun);
  for (const at of fields) {
    const read = readings.find((r) => r.point === at.point && r.side === at.side && r.leafId === at.leafId)!;
    expect(read.typed).toBe(text(at.point));
    expect(read.dayId).toBe(days.at(-1)!.id);
    expect(read.rolled).toBe(['hubToLip', 'groundToLip', 'otherAxleLip'].includes(at.point) ? true : null);
  }
});

test('the keypad types sixteenths in one touch and keeps the focus in its field', async ({ page }) => {
  await page.goto(`${DEMO.begun}/measure#list`);
  await page.getByRole('group', { name: 'Keypad' }).getByRole('button', { name: 'keypad' }).click();
  const field = page.getByLabel('Hub to arch lip, right', { exact: true });
  await field.click();
  const pad = page.getByRole('group', { name: 'Keypad' }).last();
  // A field in millimetres has no sixteenths until inches are said.
  await expect(pad.getByRole('button', { name: '7/16', exact: true })).toHaveCount(0);
  for (const key of ['1', '1', 'in', '7/16']) await pad.getByRole('button', { name: key, exact: true }).click();
  await expect(field).toHaveValue('11 7/16 in');
  await expect(field).toBeFocused();
  await expect(page.getByText('11.438 in = 290.5 mm')).toBeVisible();
  await pad.getByRole('button', { name: 'Enter' }).click();
  // What is folded away is not walked: the next field in sight.
  await expect(page.getByRole('textbox', { name: 'Axle load, estimated' })).toBeFocused();
  await page.reload();
  await expect(field).toHaveValue('11 7/16 in');
});

test('repeated readings count by their mean, and the odd one out is asked about', async ({ page, request }) => {
  await page.goto(`${DEMO.begun}/measure#list`);
  await typeInto(page, 'Hub to arch lip, right', '290; 291; 303');
  await page.getByRole('button', { name: '290; 291; (303)' }).click();
  await expect(page.getByText('mean of 2: 290.5 mm = 11.437 in, spread 1.0 mm')).toBeVisible();
  const { readings } = await viewOf(request, DEMO.begun);
  expect(readings.find((r) => r.point === 'hubToLip' && r.side === 'right')).toMatchObject({
    typed: '290; 291; (303)',
    value: 290.5,
  });
});

test('readings carry their day: fuel, pressure and stance; earlier ones keep theirs, and nothing is lost', async ({
  page,
  request,
}) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  const moved = page.waitForResponse((r) => r.url().endsWith('/days') && r.ok());
  await page.getByRole('group', { name: 'Tank' }).getByRole('button', { name: '3/4' }).click();
  await moved;
  const saved = page.waitForResponse((r) => r.url().endsWith('/readings') && r.ok());
  await typeInto(page, 'Hub to arch lip, left', '19 1/8 in');
  await saved;
  await focusOn(page.getByLabel('Hub to arch lip, left', { exact: true }));
  await expect(page.getByText('“19 1/8 in” by Ansa Korvild')).toContainText('tank 3/4');
  await page.getByRole('button', { name: 'earlier readings' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: '19 1/4 in' })).toContainText('tank 1/4');
  const { readings, days, states } = await viewOf(request, DEMO.planned);
  const day = (side: string) =>
    days.find(
      (d) =>
        d.id === readings.find((r) => r.point === 'hubToLip' && r.side === side && r.stateId === states[0]!.id)!.dayId,
    );
  expect([day('left')!.fuel, day('right')!.fuel]).toEqual([0.75, 0.25]);
  // With the wheels in the air a height is refused where it is typed, and what was typed stays.
  const lifted = page.waitForResponse((r) => r.url().endsWith('/days') && r.ok());
  await page.getByRole('button', { name: 'off, wheels hang' }).click();
  await lifted;
  await typeInto(page, 'Hub to arch lip, right', '22 in');
  await expect(page.getByText('The wheels are in the air')).toBeVisible();
  await expect(page.getByLabel('Hub to arch lip, right', { exact: true })).toHaveValue('22 in');
});

test('on a phone one field stands under its figure, Enter goes on, and a reload loses nothing typed', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${DEMO.begun}/measure#list`);
  await expect(page.locator('input[data-measured^="hubToLip"]')).toHaveCount(1);
  await typeInto(page, 'Hub to arch lip, left', '11 1/2 in');
  await expect(page.getByLabel('Hub to arch lip, right', { exact: true })).toBeVisible();
  await expect(page.locator('[data-ink=focus]')).toHaveAttribute('aria-label', /Hub to arch lip, right/);
  await page.getByLabel('Hub to arch lip, right', { exact: true }).fill('11 3/8 i');
  await page.reload();
  await page.getByRole('button', { name: 'Next' }).click();
  await expect(page.getByLabel('Hub to arch lip, right', { exact: true })).toHaveValue('11 3/8 i');
  await page.getByRole('combobox', { name: /^Go to/ }).selectOption({ label: '✓ Thread pitch' });
  await expect(page.getByLabel('Thread pitch', { exact: true })).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
});
