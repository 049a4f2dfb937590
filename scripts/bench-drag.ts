// npm run bench:drag -- URL: drags the load of a demo job at four-fold CPU throttling and prints how long a step takes from
// input to drawn, and the longest task of the page meanwhile. Figures, not tests. Needs a running Gravelwort.
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../tests/e2e/chromium';
import { demoSignIn } from './demoSignIn';

const url = process.argv[2] ?? 'http://127.0.0.1:4680';
const browser = await chromium.launch(CHROMIUM);
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
await demoSignIn(context, url);
const page = await context.newPage();
await page.goto(`${url}/jobs/5a1e0001-0000-4000-8000-000000000f00/choose#load`);
const slider = page.getByRole('slider', { name: 'Load on this spring' });
await slider.scrollIntoViewIfNeeded();
await page.locator('[data-leaf="1"]').waitFor();
await page.waitForTimeout(3000);
const session = await page.context().newCDPSession(page);
await session.send('Emulation.setCPUThrottlingRate', { rate: 4 });
const found = await page.evaluate(async () => {
  const tasks: number[] = [];
  new PerformanceObserver((list) => {
    for (const entry of list.getEntries()) tasks.push(entry.duration);
  }).observe({ type: 'longtask' });
  const input = document.querySelector<HTMLInputElement>('#spring-load')!;
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!.set!;
  const drawing = input.closest('section')!.querySelector('svg.drawing')!;
  const steps: number[] = [];
  for (let k = 0; k < 80; k++) {
    const most = Number(input.max);
    const load = most * (0.5 + 0.45 * Math.sin(0.9 * k));
    const drawn = new Promise<void>((resolve) => {
      setTimeout(resolve, 2000);
      const seen = new MutationObserver(() => {
        seen.disconnect();
        requestAnimationFrame(() => resolve());
      });
      seen.observe(drawing, { subtree: true, attributes: true, childList: true });
    });
    const since = performance.now();
    set.call(input, String(load));
    input.dispatchEvent(new Event('input', { bubbles: true }));
    await drawn;
    steps.push(performance.now() - since);
  }
  return { steps, tasks };
});
await browser.close();
const sorted = found.steps.sort((a, b) => a - b);
const at = (share: number) => sorted[Math.floor(share * (sorted.length - 1))]!.toFixed(0);
console.log(
  `input to drawn at four-fold throttling, ${sorted.length} steps: median ${at(0.5)} ms, 95 % within ${at(0.95)} ms`,
);
console.log(
  found.tasks.length === 0
    ? 'no task of the page over 50 ms while dragging'
    : `${found.tasks.length} tasks over 50 ms, the longest ${Math.max(...found.tasks).toFixed(0)} ms   target: none`,
);
