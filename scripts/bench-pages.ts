// What a page asks of a slow tablet, on a running Gravelwort: npm run bench:pages -- [URL]
// First load of its programs, gzipped as they come over the line, and the largest contentful paint at a quarter of this processor.
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../tests/e2e/chromium';
import { demoSignIn } from './demoSignIn';

const url = process.argv[2] ?? 'http://127.0.0.1:4680';
const job = '/jobs/5a1e0003-0000-4000-8000-000000000f00';
const PAGES = {
  board: '/',
  ask: `${job}/ask`,
  measure: `${job}/measure`,
  inspect: `${job}/inspect`,
  choose: `${job}/choose`,
  build: `${job}/build`,
  prove: `${job}/prove`,
  shelf: '/shelf',
  bench: '/bench',
  check: `${job}/check`,
  handbook: '/handbook',
  guide: '/guide',
};
/** KB, and the paint as it came out of repeats. */
const REPEATS = Number(process.argv[3] ?? 3);
const BUDGET = { build: 200, guide: 200, handbook: 200 } as Record<string, number>;
const OTHERS = 450;

const browser = await chromium.launch(CHROMIUM);
console.log('page       scripts KB gz  budget  largest paint at a quarter of the processor, ms');
for (const [name, path] of Object.entries(PAGES)) {
  const paints: number[] = [];
  let bytes = 0;
  for (let k = 0; k < REPEATS; k++) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    await demoSignIn(context, url);
    const page = await context.newPage();
    const cdp = await context.newCDPSession(page);
    await cdp.send('Network.enable');
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: 4 });
    // What the head of the answer took is not the program's size.
    const heads = new Map<string, number>();
    let sum = 0;
    cdp.on(
      'Network.responseReceived',
      ({ requestId, type, response }) => type === 'Script' && heads.set(requestId, response.encodedDataLength),
    );
    cdp.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
      const head = heads.get(requestId);
      if (head !== undefined) sum += encodedDataLength - head;
    });
    await page.goto(url + path, { waitUntil: 'load' });
    await page.waitForTimeout(4000);
    paints.push(
      await page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            new PerformanceObserver((list) => resolve(list.getEntries().at(-1)!.startTime)).observe({
              type: 'largest-contentful-paint',
              buffered: true,
            });
          }),
      ),
    );
    bytes = sum;
    await context.close();
  }
  const budget = BUDGET[name] ?? OTHERS;
  const size = bytes / 1024;
  const sorted = paints.toSorted((p, q) => p - q);
  console.log(
    `${name.padEnd(10)} ${size.toFixed(0).padStart(9)} ${String(budget).padStart(9)}${size > budget ? ' over' : '     '} ${sorted.map((p) => p.toFixed(0)).join(' ')}`,
  );
}
await browser.close();
