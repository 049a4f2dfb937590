// Takes pictures of a running Gravelwort: tsx scripts/shoot.ts URL FOLDER NAME=PATH... [--size=1280x800] [--dark] [--in] [--full]
import { mkdirSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { CHOSEN_DIMENSIONS, INCH_VIEW, METRIC_VIEW, type UnitView } from '../src/contracts/unitView';
import { CHROMIUM } from '../tests/e2e/chromium';
import { demoSignIn } from './demoSignIn';

const [url, folder, ...rest] = process.argv.slice(2);
if (!url || !folder) throw new Error('usage: tsx scripts/shoot.ts URL FOLDER NAME=PATH...');
const flag = (name: string) => rest.find((r) => r === `--${name}` || r.startsWith(`--${name}=`));
const [width = 1280, height = 800] = (flag('size')?.split('=')[1] ?? '1280x800').split('x').map(Number);
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch(CHROMIUM);
const context = await browser.newContext({ viewport: { width, height }, reducedMotion: 'reduce' });
await demoSignIn(context, url);
const cookie = (name: string, value: string) => ({ name, value, url });
if (flag('dark')) await context.addCookies([cookie('gravelwort-theme', 'dark')]);
// Units belong to the person, who gets the metric ones back at the end.
const choose = async (view: UnitView) => {
  const data = { units: CHOSEN_DIMENSIONS.map((dimension) => ({ dimension, unit: view[dimension] })) };
  await context.request.put(`${url}/api/people/units`, { data, headers: { origin: url } });
};
if (flag('in')) await choose(INCH_VIEW);
const page = await context.newPage();
for (const pair of rest.filter((r) => !r.startsWith('--'))) {
  const [name, path] = [pair.slice(0, pair.indexOf('=')), pair.slice(pair.indexOf('=') + 1)];
  await page.goto(`${url}${path}`);
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(1800);
  await page.screenshot({ path: `${folder}/${name}.png`, fullPage: Boolean(flag('full')) });
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  if (wide > 0) console.log(`${name}: ${wide} px too wide`);
}
if (flag('in')) await choose(METRIC_VIEW);
await browser.close();
