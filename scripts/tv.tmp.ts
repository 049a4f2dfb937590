import { chromium } from '@playwright/test';
import { CHROMIUM } from '../tests/e2e/chromium';
const [url, out, path, w='1280', h='800', sel='', dark=''] = process.argv.slice(2);
const b = await chromium.launch(CHROMIUM);
const c = await b.newContext({ viewport: { width: +w!, height: +h! }, reducedMotion: 'reduce' });
if (dark) await c.addCookies([{name:'gravelwort-theme', value:'dark', url: url!}]);
const p = await c.newPage();
await p.goto(url! + path!); await p.waitForLoadState('networkidle'); await p.waitForTimeout(1500);
if (sel) { const el = p.locator(sel).first(); await el.scrollIntoViewIfNeeded(); await el.click(); await p.waitForTimeout(600); await el.evaluate((e) => e.scrollIntoView({block:'center'})); await p.waitForTimeout(400);}
await p.screenshot({ path: out! });
await b.close();
