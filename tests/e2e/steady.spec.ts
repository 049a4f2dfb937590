import { type JobView } from '@/contracts/job';
import { DEMO, expect, focusOn, openTab, test, typeInto } from './shop';

// What a page's service worker has a hand in, a route of the test does not see.
test.use({ serviceWorkers: 'block' });

test('an answer that was pressed stays pressed when an older read arrives after it', async ({ page }) => {
  await page.goto(`${DEMO.begun}/build`);
  const ok = page.getByRole('group', { name: 'Frame held on stands' }).getByRole('button', { name: 'ok', exact: true });
  await expect(ok).toBeEnabled();
  // A read begun before the answer, and held back until after it.
  let release: () => void = () => undefined;
  const held = new Promise<void>((resolve) => (release = resolve));
  let begun = false;
  await page.route(`**/api${DEMO.begun}`, async (route) => {
    const response = await route.fetch();
    begun = true;
    await held;
    await route.fulfill({ response }).catch(() => undefined);
  });
  // The page reads the job once by itself when it opens; while that is under way no second read begins.
  await expect
    .poll(async () => {
      await page.evaluate(() => window.dispatchEvent(new Event('visibilitychange')));
      return begun;
    })
    .toBe(true);
  await ok.click();
  await expect(ok).toHaveAttribute('aria-pressed', 'true');
  release();
  await page.waitForTimeout(500);
  await expect(ok).toHaveAttribute('aria-pressed', 'true');
});

test('one save that hangs does not hold the others up, and a slow server is told', async ({ page, request }) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  let first = true;
  await page.route('**/readings', async (route) => {
    if (!first) return route.continue();
    // Never answered.
    first = false;
  });
  await typeInto(page, 'Leaf width', '63.1');
  await typeInto(page, 'U-bolt spacing', '131');
  await expect
    .poll(
      async () => ((await (await request.get(`/api${DEMO.planned}`)).json()) as JobView).readings.map((r) => r.typed),
      { timeout: 30_000 },
    )
    .toContain('131');
  await expect(page.getByLabel('Leaf width', { exact: true })).toHaveValue('63.1');
  await expect(page.getByText('not saved yet').first()).toBeVisible();
});

test('a solver that dies is told as the program’s fault, and no progress turns for ever', async ({ page }) => {
  await page.addInitScript(() => {
    window.Worker = class extends EventTarget {
      onerror: ((event: ErrorEvent) => void) | null = null;
      postMessage() {
        setTimeout(() => this.onerror?.(new ErrorEvent('error', { message: 'out of memory' })), 50);
      }
      terminate() {}
    } as unknown as typeof Worker;
  });
  await page.goto(`${DEMO.planned}/choose`);
  await expect(page.getByText(/The solver on this page failed \(out of memory\)/).first()).toBeVisible();
  await expect(page.getByText('cannot be solved')).toHaveCount(0);
  await openTab(page, 'ways');
  await page.getByRole('button', { name: 'Search for ways' }).click();
  await expect(page.getByRole('region', { name: 'Ways to get there' })).toContainText('The solver on this page failed');
  await expect(page.getByRole('progressbar', { name: 'Search' })).toHaveCount(0);
});

test('the keypad is docked and whole: a calculator’s block, fractions for inches only, its field in sight; a keyboard puts it away', async ({
  page,
}) => {
  for (const [width, height] of [
    [1024, 768],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height });
    await page.goto(`${DEMO.planned}/build#torque`);
    await page.context().addCookies([{ name: 'gravelwort-keypad', value: 'on', url: new URL('/', page.url()).href }]);
    await page.reload();
    const field = page.getByLabel('Wheel nuts, torque', { exact: true });
    await focusOn(field);
    const pad = page.getByRole('group', { name: 'Keypad' });
    await expect(pad).toBeVisible();
    const box = async (name: string) => (await pad.getByRole('button', { name, exact: true }).boundingBox())!;
    const [seven, eight, nine, four, zero] = await Promise.all(['7', '8', '9', '4', '0'].map(box));
    expect([eight!.y, nine!.y]).toEqual([seven!.y, seven!.y]);
    expect(seven!.x < eight!.x && eight!.x < nine!.x).toBe(true);
    expect(four!.x).toBe(seven!.x);
    expect(zero!.y).toBeGreaterThan(four!.y);
    await expect(pad.getByRole('button', { name: '1/16' })).toHaveCount(0);
    const whole = (await pad.boundingBox())!;
    expect(whole.y + whole.height).toBeLessThanOrEqual(height + 0.5);
    for (const key of await pad.getByRole('button').all()) {
      const at = (await key.boundingBox())!;
      expect(at.x >= 0 && at.x + at.width <= width + 0.5 && at.y + at.height <= height + 0.5).toBe(true);
    }
    const own = (await field.boundingBox())!;
    expect(own.y + own.height).toBeLessThanOrEqual(whole.y);
  }
  // Fractions stand there as soon as inches are read.
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${DEMO.begun}/measure#list`);
  await page.getByRole('group', { name: 'Units' }).getByRole('button', { name: 'in, lb' }).click();
  await page.setViewportSize({ width: 1024, height: 768 });
  const field = page.getByLabel('Block height', { exact: true });
  await focusOn(field);
  const pad = page.getByRole('group', { name: 'Keypad' }).last();
  await expect(pad.getByRole('button', { name: '7/16', exact: true })).toBeVisible();
  await field.press('5');
  await expect(pad.getByRole('button', { name: '7', exact: true })).toHaveCount(0);
});
