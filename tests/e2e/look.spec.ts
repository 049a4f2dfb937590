import AxeBuilder from '@axe-core/playwright';
import { type Page } from '@playwright/test';
import { DEMO, expect, focusOn, test } from './shop';

const PAGES = {
  board: '/',
  'new job': '/jobs/new',
  ask: `${DEMO.provenInside}/ask`,
  measure: `${DEMO.begun}/measure`,
  inspect: `${DEMO.planned}/inspect`,
  instruments: '/instruments',
  guide: '/guide',
  'sign in': '/sign-in',
  'first owner': '/sign-in/first',
  'people and what was done': '/shop',
  'password and PIN': '/you',
  'whose it is': `${DEMO.planned}/ask#owner`,
  shelf: '/shelf',
  handbook: '/handbook',
  check: `${DEMO.planned}/check`,
  bench: '/bench?pack=5a1e0009-0000-4000-8000-000000000002&beside=5a1e0009-0000-4000-8000-000000000006',
  choose: `${DEMO.planned}/choose`,
  build: `${DEMO.planned}/build`,
  torque: `${DEMO.planned}/build#torque`,
  'steps ticked': `${DEMO.provenInside}/build`,
  prepare: `${DEMO.planned}/prepare`,
  arrival: `${DEMO.planned}/prepare#arrival`,
  tools: `${DEMO.planned}/prepare#tools`,
  'until the bay': `${DEMO.planned}/prepare#calendar`,
  prove: `${DEMO.provenOutside}/prove`,
  'why it differs': `${DEMO.provenOutside}/prove#why`,
  'what was tried': `${DEMO.provenInside}/prove#tried`,
  'closing a job': `${DEMO.provenInside}/prove#close`,
  'hand-over': `${DEMO.provenInside}/prove#hand`,
  follow: `${DEMO.provenInside}/follow`,
  'how it settles': `${DEMO.provenInside}/follow#settling`,
  record: '/record#scores',
  fleet: '/fleet',
  runs: '/runs',
  'what breaks': '/record#broken',
  'two axles': '/jobs/5a1e0007-0000-4000-8000-000000000f00/choose',
  'rubber block': '/jobs/5a1e0014-0000-4000-8000-000000000f00/choose',
  'rubber block inspected': '/jobs/5a1e0014-0000-4000-8000-000000000f00/inspect',
  'spring across': '/jobs/5a1e0010-0000-4000-8000-000000000f00/choose',
  'beams that swing': '/jobs/5a1e0011-0000-4000-8000-000000000f00/measure#stands',
  'two axles measured': '/jobs/5a1e0007-0000-4000-8000-000000000f00/measure#stands',
};

/** Nothing is told of sizes while `hold` is set, as on a slow machine, and all at once when it is dropped. */
const HOLD_SIZES = () => {
  const Real = window.ResizeObserver;
  const waiting = new Map<unknown, () => void>();
  const sizes = {
    hold: false,
    release() {
      sizes.hold = false;
      for (const tell of waiting.values()) tell();
      waiting.clear();
    },
  };
  window.ResizeObserver = class extends Real {
    constructor(told: ResizeObserverCallback) {
      super((entries, self) => {
        if (sizes.hold) waiting.set(self, () => told(entries, self));
        else told(entries, self);
      });
    }
  };
  const listen = MediaQueryList.prototype.addEventListener;
  MediaQueryList.prototype.addEventListener = function (this: MediaQueryList, kind: string, told: unknown) {
    const tell = told as (event: Event) => void;
    listen.call(this, kind, (event) => (sizes.hold ? void waiting.set(tell, () => tell(event)) : tell(event)));
  };
  Object.assign(window, { sizes });
};
declare global {
  interface Window {
    sizes: { hold: boolean; release: () => void };
  }
}

const shown = async (page: Page, name: string, path: string): Promise<void> => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(path);
  // The page says itself when its program runs: until then its fields are off. (A fieldset itself always counts as enabled.)
  await expect(page.locator('main > fieldset.until-ready')).not.toHaveAttribute('disabled');
  if (name === 'choose') await expect(page.locator('[data-part=seat-new]')).toBeVisible();
  if (name.startsWith('two axles')) await expect(page.getByTestId('pair-verdict')).toBeVisible();
  if (name === 'bench') await expect(page.getByTestId('bench-facts')).toBeVisible();
};
const violationsOf = async (axe: AxeBuilder, name: string): Promise<string[]> =>
  (await axe.analyze()).violations.map((v) => `${name}: ${v.id} ${v.nodes[0]?.target.join(' ')}`);

const THIRDS = [0, 1, 2].map((k) => Object.entries(PAGES).filter((_, i) => i % 3 === k));
for (const [k, pages] of THIRDS.entries())
  test(`no accessibility violation and no sideways scrolling, part ${k + 1} of the pages`, async ({ page }) => {
    await page.addInitScript(HOLD_SIZES);
    for (const [name, path] of pages) {
      await shown(page, name, path);
      const axe = new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'best-practice']);
      expect(await violationsOf(axe, name)).toEqual([]);
      // Neither before the drawings have taken their new size nor after it may anything stick out.
      const excess = () =>
        page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
      for (const width of [1280, 1024, 390]) {
        await page.evaluate(() => (window.sizes.hold = true));
        await page.setViewportSize({ width, height: 800 });
        expect(`${name} at ${width}, still: ${await excess()}`).toBe(`${name} at ${width}, still: 0`);
        await page.evaluate(() => window.sizes.release());
        await expect.poll(async () => `${name} at ${width}: ${await excess()}`).toBe(`${name} at ${width}: 0`);
      }
    }
  });

// Only colours differ between the themes: sizes, names and roles are those that were looked at above.
test('every text can be read in the dark theme', async ({ page, context, shop }) => {
  await context.addCookies([{ name: 'gravelwort-theme', value: 'dark', url: shop.url }]);
  for (const [name, path] of Object.entries(PAGES)) {
    await shown(page, name, path);
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
    expect(await violationsOf(new AxeBuilder({ page }).withRules(['color-contrast']), name)).toEqual([]);
  }
});

test('the measuring sheet is walked with Enter in measuring order, and every action can be reached by Tab', async ({
  page,
}) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  // Fields wait until the page's program runs, so that nothing typed is lost.
  await expect(page.getByLabel('Hub to arch lip, left', { exact: true })).toBeEnabled();
  await focusOn(page.getByLabel('Hub to arch lip, left', { exact: true }));
  const order: string[] = [];
  for (let k = 0; k < 11; k++) {
    order.push(await page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? ''));
    await page.keyboard.press('Enter');
  }
  expect(order).toEqual([
    'Hub to arch lip, left',
    'Hub to arch lip, right',
    'Axle load, estimated',
    'Ground to arch lip, other axle, left',
    'Ground to arch lip, other axle, right',
    'Hub to hub, this side, left',
    'Hub to hub, this side, right',
    'Axle load, other axle',
    'Spring rate, other axle',
    'Ride, 0 to 10',
    'Quiet, 0 to 10',
  ]);
  await page.goto(`${DEMO.planned}/choose`);
  await expect(page.getByRole('button', { name: 'Store this prediction' })).toBeEnabled();
  const seen = new Set<string>();
  for (let k = 0; k < 140; k++) {
    await page.keyboard.press('Tab');
    seen.add(await page.evaluate(() => document.activeElement?.textContent?.trim() ?? ''));
  }
  for (const name of ['Store this prediction', 'Take out', '+ Shackle', 'right', 'view…'])
    expect([...seen]).toContain(name);
});

test('targets are at least 44 px high', async ({ page }) => {
  for (const path of [PAGES.ask, PAGES.measure, PAGES.inspect, PAGES.choose, PAGES.build, PAGES.shelf, PAGES.bench]) {
    await page.goto(path);
    await page.waitForLoadState('networkidle');
    const small = await page.$$eval(
      'button, input:not([type=checkbox]):not([type=file]), .photo-add, summary, nav a',
      (nodes) =>
        nodes
          .filter((n) => n.getClientRects().length > 0 && !n.closest('.ant-select'))
          .map((n) => ({
            name: n.textContent || n.getAttribute('aria-label'),
            height: (n.closest('.entry') ?? n).getBoundingClientRect().height,
          }))
          .filter((n) => n.height > 0 && n.height < 43.5),
    );
    expect(small).toEqual([]);
  }
});
