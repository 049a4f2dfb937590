import { readFile } from 'node:fs/promises';
import DxfParser from 'dxf-parser';
import { type Locator, type Page } from '@playwright/test';
import { DEMO, expect, focusOn, openTab, test, typeInto } from './shop';

const part = (n: number) => `5a1e0009-0000-4000-8000-${n.toString(16).padStart(12, '0')}`;
/** A pack of five trailer leaves, and a used pack of five leaves 7 mm wider with bigger holes. */
const PACK = part(2);
const WIDE = part(7);
/** A used pack of four leaves of the same width. */
const LIKE = part(6);

const leaves = (page: Page, pack: string) =>
  page.getByRole('list', { name: `Leaves of ${pack}` }).getByRole('listitem');
const sizes = (rows: Locator) => rows.locator('.leaf-sizes').allTextContents();
const verdict = (page: Page, rule: string) => page.locator(`[data-rule=${rule}]`);

async function carry(page: Page, from: Locator, to: Locator): Promise<void> {
  const [a, b] = [(await from.boundingBox())!, (await to.boundingBox())!];
  await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2);
  await page.mouse.down();
  // In steps, as a hand moves: the list makes room on the way.
  await page.mouse.move(a.x + a.width / 2, a.y + a.height / 2 - 12, { steps: 4 });
  await page.mouse.move(b.x + b.width / 2, b.y + b.height / 2, { steps: 12 });
  await page.mouse.up();
}

test('a third pack is mixed from two by hand, and what does not go together is told', async ({ page }) => {
  // Both packs in sight at once.
  await page.setViewportSize({ width: 1280, height: 1500 });
  await page.goto(`/bench?pack=${PACK}&beside=${WIDE}`);
  const own = leaves(page, 'Pack of 5, trailer');
  const donor = leaves(page, 'Donor pack of 5');
  await expect(own).toHaveCount(5);
  await expect(verdict(page, 'width')).toHaveAttribute('data-state', 'fits');
  await expect(page.getByTestId('bench-facts')).toContainText('Rate here');
  await carry(page, donor.nth(1).locator('.grip'), own.nth(2).locator('.grip'));
  await expect(own).toHaveCount(6);
  expect((await sizes(own))[2]).toContain('8.4');
  await expect(verdict(page, 'width')).toContainText('leaf 3 is 67 mm wide, the main leaf 60 mm');
  await expect(verdict(page, 'hole')).toContainText('a sleeve takes the play');
  await expect(verdict(page, 'uBolts')).toContainText('8.4 mm thicker');
  await expect(verdict(page, 'age')).toContainText('new and used');
  await expect(page.getByTestId('bench-facts')).toContainText('was 40 mm');
  // The top of the donor brings its eyes.
  await carry(page, donor.nth(0).locator('.grip'), own.nth(1).locator('.grip'));
  await expect(verdict(page, 'eyes')).toContainText('still has its eyes');
  await expect(verdict(page, 'eyes')).toContainText('never with a flame');
  await page.getByRole('button', { name: 'Undo (2)' }).click();
  await expect(verdict(page, 'eyes')).toHaveAttribute('data-state', 'fits');
  // What lies there survives a reload, with its steps.
  await page.reload();
  await expect(own).toHaveCount(6);
  await page.getByRole('button', { name: 'Undo (1)' }).click();
  await expect(own).toHaveCount(5);
  await expect(verdict(page, 'width')).toHaveAttribute('data-state', 'fits');
});

test('the same by keys alone, told to a screen reader, kept on the shelf and cut as a template', async ({ page }) => {
  await page.goto(`/bench?pack=${PACK}&beside=${LIKE}`);
  const own = leaves(page, 'Pack of 5, trailer');
  const said = page.locator('[id^=DndLiveRegion]');
  // The donor's second leaf goes up over all that lies between, three places above the donor's first.
  await focusOn(page.getByRole('button', { name: 'Carry leaf 2 of Donor pack of 4' }));
  await page.keyboard.press('Space');
  await expect(said).toContainText('leaf 2 of Donor pack of 4 picked up');
  for (const over of ['leaf 1 of Donor pack of 4', 'leaf 5 of', 'leaf 4 of', 'leaf 3 of']) {
    await page.keyboard.press('ArrowUp');
    await expect(said).toContainText(`is over ${over}`);
  }
  await page.keyboard.press('Space');
  await expect(own).toHaveCount(6);
  expect((await sizes(own))[2]).toContain('413');
  await expect(verdict(page, 'order')).toHaveAttribute('data-state', 'fits');
  // Within the pack: one down puts a shorter leaf over a longer one.
  await focusOn(page.getByRole('button', { name: 'Carry leaf 3', exact: true }));
  await page.keyboard.press('Space');
  await expect(said).toContainText('picked up');
  await page.keyboard.press('ArrowDown');
  await expect(said).toContainText('is over leaf 4 of');
  await page.keyboard.press('Space');
  await expect(verdict(page, 'order')).toContainText('leaf 4 is 57 mm longer at the front than leaf 3');
  await verdict(page, 'order').getByRole('button', { name: 'leaf 4' }).click();
  const work = page.getByRole('region', { name: 'Leaf 4' });
  await expect(work).toContainText('from Donor pack of 4, used');
  await typeInto(page, 'Pin to front tip, leaf 4', '420');
  await expect(page.getByText('A leaf can be cut shorter, not made longer')).toBeVisible();
  await expect(page.getByLabel('Pin to front tip, leaf 4')).toHaveValue('420');
  await typeInto(page, 'Pin to front tip, leaf 4', '300');
  await typeInto(page, 'Pin to rear tip, leaf 4', '13 3/8 in');
  await expect(verdict(page, 'order')).toHaveAttribute('data-state', 'fits');
  await work.getByRole('button', { name: 'Turn end for end' }).click();
  await work.getByRole('button', { name: 'trimmed ends' }).click();
  await expect(verdict(page, 'order')).toHaveAttribute('data-state', 'fits');
  expect((await sizes(own))[3]).toMatch(/340.*300/);
  await openTab(page, 'keep it');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as DXF' }).click();
  const text = await readFile((await (await waiting).path())!, 'utf8');
  const outlines = new DxfParser().parseSync(text)!.entities.filter((e) => /POLYLINE/.test(e.type)) as unknown as {
    vertices: { x: number; y: number }[];
  }[];
  expect(outlines).toHaveLength(1);
  const xs = outlines[0]!.vertices.map((v) => v.x);
  expect(Math.min(...xs)).toBeCloseTo(-339.725, 2);
  expect(Math.max(...xs)).toBeCloseTo(300, 2);
  await page.getByLabel('Name on the shelf').fill('Mixed for the trailer');
  await page.getByRole('button', { name: 'Put this pack on the shelf' }).click();
  await expect(page.getByText('“Mixed for the trailer” lies on the shelf')).toBeVisible();
  await page.goto('/shelf');
  await page.getByLabel('Name, number, maker, origin or place').fill('mixed trailer');
  await page.getByRole('button', { name: 'Mixed for the trailer' }).click();
  await expect(page.getByRole('region', { name: 'Mixed for the trailer' })).toContainText('not known, not checked');
  await page.getByRole('link', { name: 'Lay it on the bench' }).click();
  await expect(leaves(page, 'Mixed for the trailer')).toHaveCount(6);
});

test('a job’s own pack lies on the bench with the curves its load told, and takes a leaf of the shelf', async ({
  page,
}) => {
  await page.goto(`${DEMO.planned}/choose#bench`);
  await page.getByRole('link', { name: 'Lay this pack on the bench' }).click();
  await expect(page.getByText('are those its arch under load tells')).toBeVisible();
  const own = page.getByRole('list', { name: /Leaves of pack of/ }).getByRole('listitem');
  await expect(own).toHaveCount(5);
  await expect(page.getByTestId('bench-facts')).toContainText('Arch, lying free');
  await expect(verdict(page, 'curve')).toHaveAttribute('data-state', 'fits');
  await expect(verdict(page, 'hole')).toHaveAttribute('data-state', 'not checked');
  await page.getByLabel('Pack beside it').fill('four-by-four');
  await page.getByTitle('Pack of 6, four-by-four, MP-680').click();
  await page.getByRole('button', { name: 'Take leaf 3 of Pack of 6, four-by-four' }).click();
  await expect(own).toHaveCount(6);
  await expect(page.getByTestId('bench-facts')).toContainText('was');
  await openTab(page, 'was and is');
  await expect(page.getByRole('table', { name: /beside as it lies/ })).toBeVisible();
});
