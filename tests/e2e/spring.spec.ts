import { type Page } from '@playwright/test';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { SpringUnderLoad, type SpringAnswer, type SpringView } from '@/core/suspension/longitudinalLeaf/underLoad';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { DEMO, expect, openTab, test, typeInto } from './shop';

/** Typed in the list, and kept before another tab is opened. */
const kept = async (page: Page, field: string, text: string) => {
  const saved = page.waitForResponse((r) => r.url().endsWith('/readings') && r.ok());
  await typeInto(page, field, text);
  await saved;
};

const shown = (answer: SpringAnswer | null): SpringView => {
  if (!answer || 'refused' in answer) throw new Error('no such state');
  return answer;
};

test('dragging the load: the figures beside the drawing are the solver’s own, in the vehicle and on the bench', async ({
  page,
  request,
}) => {
  const view = (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
  const spring = new SpringUnderLoad(assemble(sheetOf(view)).input, 'left');
  await page.goto(`${DEMO.planned}/choose#load`);
  const sheet = page.getByRole('region', { name: 'The spring under load' });
  const slider = sheet.getByRole('slider', { name: 'Load on this spring' });
  const peak = (leaf: number) => sheet.locator(`[data-leaf="${leaf}"] text.num`).last();
  const numberIn = async (text: Promise<string | null>) =>
    Number(/−?\d+(\.\d+)?/.exec((await text) ?? '')?.[0].replace('−', '-'));
  /** The slider rounds to its step, the state it is asked for does not: a newton or two apart, half a per cent at most. */
  const agree = async (load: number, where: 'installed' | 'bench') => {
    const built = shown(spring.at(load, where).built);
    const arch = sheet.getByText('Arch, eye line to leaf middle').locator('xpath=following-sibling::dd[1]');
    await expect.poll(async () => Math.abs((await numberIn(arch.innerText())) - built.arch)).toBeLessThan(1);
    for (const [i, { peak: mpa, ofBump }] of built.budget.entries()) {
      const text = peak(i + 1);
      await expect
        .poll(async () => Math.abs((await numberIn(text.textContent())) - Math.abs(mpa)))
        .toBeLessThan(1 + 0.005 * Math.abs(mpa));
      if (ofBump > 1.01) await expect(text).toContainText('▲');
      if (ofBump < 0.99) await expect(text).not.toContainText('▲');
    }
    const rate = sheet.getByText('Rate here').locator('xpath=following-sibling::dd[1]');
    await expect.poll(async () => Math.abs((await numberIn(rate.innerText())) / built.rate - 1)).toBeLessThan(0.02);
  };
  await expect(slider).toBeEnabled();
  await slider.press('End');
  await agree(Number(await slider.inputValue()), 'installed');
  // The other end is the axle hanging by its own weight, which nobody clipped up.
  await slider.press('Home');
  await expect(sheet.getByText(/^axle hanging, −\d/)).toBeVisible();
  await expect(sheet.getByText(/without rebound clips/)).toBeVisible();
  await agree(Number(await slider.inputValue()), 'installed');
  for (let k = 0; k < 60; k++) await slider.press('ArrowRight');
  await agree(Number(await slider.inputValue()), 'installed');
  await sheet.getByRole('button', { name: 'stretcher kit and crew' }).click();
  await sheet.getByRole('button', { name: 'on the bench' }).click();
  await agree(Number(await slider.inputValue()), 'bench');
  await slider.press('Home');
  await expect(sheet.getByText('0, nothing on it')).toBeVisible();
  await agree(0, 'bench');
});

test('a second load that agrees is said to agree; a slip of the tape in it is named, and mended it is quiet again', async ({
  page,
}) => {
  await page.goto(`${DEMO.planned}/measure#stands`);
  const left = page.getByRole('region', { name: 'Do the readings agree, left' });
  await expect(left.getByText('They fit one spring.')).toBeVisible();
  const field = 'Loaded arch, left, stretcher kit and crew';
  await openTab(page, 'list');
  await kept(page, field, '2 1/8 in');
  await openTab(page, 'as it stands');
  // Two arches and two heights: which of the arches slipped these four cannot tell, and both are named.
  await expect(left.getByRole('alert')).toContainText('does not fit the others');
  await expect(left.getByRole('alert')).toContainText('loaded arch, stretcher kit and crew');
  await expect(left.getByRole('alert')).toContainText('loaded arch of the day');
  // The other side has not moved.
  await expect(
    page.getByRole('region', { name: 'Do the readings agree, right' }).getByText('They fit one spring.'),
  ).toBeVisible();
  await openTab(page, 'list');
  await kept(page, field, '1 1/8 in');
  await openTab(page, 'as it stands');
  await expect(left.getByText('They fit one spring.')).toBeVisible();
});

test('the bench arch is kept as a reading like any other and checks the spring', async ({ page }) => {
  await page.goto(`${DEMO.provenInside}/measure#stands`);
  await expect(page.getByText('nothing checks it')).toBeVisible();
  await openTab(page, 'list');
  await kept(page, 'Free arch on the bench, left', '6 1/4 in');
  await openTab(page, 'as it stands');
  const left = page.getByRole('region', { name: 'Do the readings agree, left' });
  await expect(left.getByRole('row', { name: /free arch on the bench/ })).toContainText('159 mm');
  await openTab(page, 'list');
  await page.reload();
  await expect(page.getByLabel('Free arch on the bench, left', { exact: true })).toHaveValue('6 1/4 in');
});
