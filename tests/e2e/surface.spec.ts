import { type Page } from '@playwright/test';
import { type JobView } from '@/contracts/job';
import { DEMO, expect, focusOn, onDatabase, openTab, test } from './shop';

const LONG = 'Harbour-side stores and provisions carrier with the long overhang, number seventeen';
const COIL = '/jobs/5a1e0006-0000-4000-8000-000000000f00';
const PAIR = '/jobs/5a1e0007-0000-4000-8000-000000000f00';
const ready = (page: Page) => expect(page.locator('main > fieldset.until-ready')).not.toHaveAttribute('disabled');

/** Pairs of texts on the screen that lie on one another, as a reader would see them: what is scrolled or folded away is not there. */
const overlaps = (page: Page) =>
  page.evaluate(() => {
    interface Box {
      text: string;
      left: number;
      right: number;
      top: number;
      bottom: number;
      node: Element;
    }
    const boxes: Box[] = [];
    const walker = document.createTreeWalker(document.querySelector('.shop')!, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const text = node.textContent!.trim();
      const parent = node.parentElement!;
      if (text === '' || !parent.checkVisibility() || parent.closest('.hidden-word, option, title')) continue;
      const range = document.createRange();
      range.selectNodeContents(node);
      for (const rect of range.getClientRects()) {
        // Its line box is taller than its letters.
        const slack = rect.height * 0.22;
        const box = {
          text,
          left: rect.left,
          right: rect.right,
          top: rect.top + slack,
          bottom: rect.bottom - slack,
          node: parent,
        };
        for (let up: Element | null = parent; up; up = up.parentElement) {
          if (getComputedStyle(up).overflow === 'visible') continue;
          const clip = up.getBoundingClientRect();
          box.left = Math.max(box.left, clip.left);
          box.right = Math.min(box.right, clip.right);
          box.top = Math.max(box.top, clip.top);
          box.bottom = Math.min(box.bottom, clip.bottom);
        }
        if (box.right - box.left > 2 && box.bottom - box.top > 2) boxes.push(box);
      }
    }
    const found: string[] = [];
    for (const [k, a] of boxes.entries())
      for (const b of boxes.slice(k + 1)) {
        const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left);
        const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
        if (wide > 2 && high > 2 && !a.node.contains(b.node) && !b.node.contains(a.node))
          found.push(`${a.text} × ${b.text}`);
      }
    return found;
  });

const STATIONS = [
  `${DEMO.planned}/ask`,
  `${DEMO.provenInside}/ask#vehicle`,
  `${DEMO.provenOutside}/prove`,
  `${DEMO.provenInside}/follow`,
  '/record#scores',
  '/fleet',
  '/runs',
  '/shelf',
  '/handbook?sum=toe',
  `${DEMO.planned}/check`,
  `${COIL}/check`,
  '/bench?pack=5a1e0009-0000-4000-8000-000000000002&beside=5a1e0009-0000-4000-8000-000000000006',
  `${DEMO.planned}/measure`,
  `${DEMO.planned}/inspect`,
  `${DEMO.planned}/choose`,
  `${PAIR}/choose`,
  `${COIL}/choose`,
  '/',
];

/** No station scrolls and no words lie on one another, loaded at the larger tablet size and then turned to the smaller one. */
async function holdStill(page: Page, names: string): Promise<void> {
  for (const path of STATIONS) {
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(path);
    await ready(page);
    if (path.endsWith('choose')) await expect(page.getByTestId('sits-at')).toBeVisible({ timeout: 30_000 });
    for (const [width, height] of [
      [1280, 800],
      [1024, 768],
    ] as const) {
      await page.setViewportSize({ width, height });
      const at = `${path} at ${width}, ${names}`;
      const scrolls = () =>
        page.evaluate(() => [
          document.documentElement.scrollHeight - document.documentElement.clientHeight,
          document.documentElement.scrollWidth - document.documentElement.clientWidth,
        ]);
      await expect.poll(async () => `${at}: ${(await scrolls()).join(' ')}`).toBe(`${at}: 0 0`);
      // A solver that is still at work writes its figures a moment later.
      await expect.poll(async () => `${at}: ${(await overlaps(page)).join('; ')}`, { timeout: 30_000 }).toBe(`${at}: `);
    }
  }
}

test('at both tablet sizes the stations at work hold still and no words lie on one another', ({ page }) =>
  holdStill(page, 'the demo as it is'));

test('they do so with long names in inches too', async ({ page, shop, request }) => {
  await onDatabase(shop.ownerUrl, (c) => c.query('UPDATE vehicle SET name = $1', [LONG]));
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/');
  await ready(page);
  const kept = page.waitForResponse((r) => r.url().endsWith('/people/units') && r.ok());
  await page.getByRole('group', { name: 'Units' }).getByRole('button', { name: 'in, lb' }).click();
  await kept;
  expect(((await (await request.get(`/api${DEMO.planned}`)).json()) as JobView).vehicle.name).toBe(LONG);
  await holdStill(page, 'long names, inches');
});

test('a handle pulled on the drawing and its keys give the same plan as typing, and are undone one step at a time', async ({
  page,
  request,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${DEMO.planned}/choose`);
  const block = page.getByRole('slider', { name: 'block' });
  await expect(block).toHaveAttribute('aria-valuenow', '0', { timeout: 30_000 });
  const sits = page.getByTestId('sits-at');
  const height = async () => parseInt((await sits.innerText()).replace(/[^\d]/g, ''), 10);
  const before = await height();
  const planned = async () => {
    const { plan } = (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
    return plan.changes.find((c) => c.kind === 'block')?.height ?? null;
  };
  // By keys: twelve millimetres, one step to undo.
  await focusOn(block);
  await page.keyboard.down('Shift');
  await block.press('ArrowUp');
  await page.keyboard.up('Shift');
  for (let k = 0; k < 2; k++) await block.press('ArrowUp');
  await expect(block).toHaveAttribute('aria-valuenow', '12');
  await expect.poll(planned).toBe(12);
  await expect.poll(height).toBe(before + 12);
  await expect(page.getByLabel('Block height after the work')).toHaveValue(/^12/);
  // By hand to the same place: what it says is the same.
  const box = (await block.locator('circle').last().boundingBox())!;
  const perMm = Number(await page.locator('svg[data-per-mm]').getAttribute('data-per-mm'));
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 20 * perMm, { steps: 6 });
  await expect.poll(async () => Number(await block.getAttribute('aria-valuenow'))).toBeGreaterThan(25);
  // Nothing is kept while it is held.
  expect(await planned()).toBe(12);
  await page.mouse.up();
  const pulled = Number(await block.getAttribute('aria-valuenow'));
  await expect.poll(planned).toBe(pulled);
  await expect.poll(height).toBe(before + pulled);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(planned).toBe(12);
  await expect.poll(height).toBe(before + 12);
  // Escape lets go of what is held.
  await focusOn(block);
  await page.keyboard.down('ArrowUp');
  await page.keyboard.press('Escape');
  await page.keyboard.up('ArrowUp');
  await expect(block).toHaveAttribute('aria-valuenow', '12');
  expect(await planned()).toBe(12);
});

test('the figure is the sheet: a dimension is touched, typed on the pad at its own place, kept, and the next one is there', async ({
  page,
  request,
}) => {
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.goto(`${DEMO.begun}/measure`);
  await ready(page);
  await page.getByRole('button', { name: 'view…' }).click();
  const kept = page.waitForResponse((r) => r.url().endsWith('/people/units') && r.ok());
  await page.getByRole('group', { name: 'lengths' }).getByRole('button', { name: 'in 1/16' }).click();
  await kept;
  await page.keyboard.press('Escape');
  await page.locator('[data-dimension^="hubToLip|before|left"] .touch').click();
  const pad = page.getByRole('group', { name: 'Keypad' });
  const press = async (...keys: string[]) => {
    for (const name of keys) await pad.getByRole('button', { name, exact: true }).click();
  };
  const field = page.getByLabel('Hub to arch lip, left', { exact: true });
  await expect(field).toBeFocused();
  await expect(page.locator('[data-ink=next]')).toContainText('next: hub to arch lip');
  for (let k = 0; k < 8; k++) await press('take off the last');
  const began = performance.now();
  await press('1', '1', '7/16');
  // The dimension on the drawing says what is typed; the pad keeps the focus in its field.
  await expect(page.locator('[data-ink=focus]')).toContainText('11 7/16');
  await expect(field).toBeFocused();
  await pad.getByRole('button', { name: /^Keep/ }).click();
  await expect(page.getByLabel('Hub to arch lip, right', { exact: true })).toBeFocused();
  const seconds = (performance.now() - began) / 1000;
  test.info().annotations.push({ type: 'field to field', description: `${seconds.toFixed(1)} s by script` });
  // Offered as it was kept, not as it was before.
  await pad.getByRole('button', { name: 'same as left, 11 7/16 in' }).click();
  await pad.getByRole('button', { name: /^Keep/ }).click();
  const read = async () =>
    ((await (await request.get(`/api${DEMO.begun}`)).json()) as JobView).readings
      .filter((r) => r.point === 'hubToLip')
      .map((r) => `${r.side} ${r.typed}`)
      .sort();
  await expect.poll(read).toEqual(['left 11 7/16 in', 'right 11 7/16 in']);
  // The list shows the same, and a tab is where the address says.
  await openTab(page, 'list');
  await expect(page.getByLabel('Hub to arch lip, left', { exact: true })).toHaveValue('11 7/16 in');
  await page.reload();
  await expect(page.getByRole('tab', { name: 'list' })).toHaveAttribute('aria-selected', 'true');
});

test('a walk over the drawing: fine in one touch a side goes on by itself, what is not fine unfolds', async ({
  page,
  request,
}) => {
  await page.goto(`${DEMO.provenInside}/inspect`);
  await ready(page);
  const spot = page.locator('.spot-card');
  await expect(spot).toHaveAttribute('aria-label', 'Pivot bolts');
  await spot.getByRole('button', { name: 'fine, left' }).click();
  await expect(spot.getByText('not looked at')).toHaveCount(1);
  await spot.getByRole('button', { name: 'fine, right' }).click();
  await expect(spot).toHaveAttribute('aria-label', 'Hangers');
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText('of 19 spots looked at');
  const found = async () =>
    ((await (await request.get(`/api${DEMO.provenInside}`)).json()) as JobView).findings.map(
      (f) => `${f.rule} ${f.side} ${f.verdict}`,
    );
  expect((await found()).sort()).toEqual(['pivotBolt left pass', 'pivotBolt right pass']);
  // A spot is picked on the drawing; its fields are folded until it is not fine.
  await page.locator('[data-spot=bumpStop]').click();
  await expect(spot).toHaveAttribute('aria-label', 'Bump stop');
  await expect(spot.getByRole('combobox')).toHaveCount(0);
  await spot.getByRole('button', { name: 'Not fine: look closer' }).click();
  await spot.getByRole('combobox', { name: 'Bump stop, left' }).click();
  await page.getByTitle('split, half gone or missing').click();
  await expect(spot).toContainText('Renew both sides');
  await expect(page.getByRole('table', { name: 'Spots of the walk' }).locator('td.here').first()).toHaveAttribute(
    'data-state',
    'replace',
  );
});

test('the vehicle at the head opens with every place of it, each with its mark, and leads there', async ({ page }) => {
  await page.goto(`${DEMO.planned}/inspect`);
  await ready(page);
  await page.getByRole('button', { name: 'The whole vehicle, and where everything is' }).click();
  const map = page.getByRole('region', { name: 'The whole vehicle' });
  await expect(map.getByRole('link', { name: 'hoses and wires' })).toContainText('not read');
  await map.getByRole('link', { name: 'shocks' }).click();
  await expect(page).toHaveURL(/check#shocks$/);
  await expect(page.getByRole('table', { name: 'Shocks of the shelf' })).toBeVisible();
});
