// Takes pictures of a running Gravelwort: tsx scripts/shoot.ts URL FOLDER NAME=PATH... [--size=1280x800] [--dark] [--in] [--full]
import { mkdirSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { CHROMIUM } from '../tests/e2e/chromium';

const [url, folder, ...rest] = process.argv.slice(2);
if (!url || !folder) throw new Error('usage: tsx scripts/shoot.ts URL FOLDER NAME=PATH...');
const flag = (name: string) => rest.find((r) => r === `--${name}` || r.startsWith(`--${name}=`));
const [width = 1280, height = 800] = (flag('size')?.split('=')[1] ?? '1280x800').split('x').map(Number);
mkdirSync(folder, { recursive: true });
const browser = await chromium.launch(CHROMIUM);
const context = await browser.newContext({ viewport: { width, height }, reducedMotion: 'reduce' });
const cookie = (name: string, value: string) => ({ name, value, url });
if (flag('dark')) await context.addCookies([cookie('gravelwort-theme', 'dark')]);
if (flag('in')) await context.addCookies([cookie('gravelwort-lengths', 'in')]);
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
await browser.close();
