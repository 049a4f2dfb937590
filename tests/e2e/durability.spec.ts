import { execFileSync } from 'node:child_process';
import { DEMO, expect, cutConnections, onDatabase, test, typeInto } from './shop';
import { JOBS } from '../../demo/scenario';

test('a save acknowledged before kill -9 is there afterwards, and text typed while the server is down is kept', async ({
  page,
  shop,
}) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  const saved = page.waitForResponse((r) => r.url().endsWith('/readings') && r.ok());
  await typeInto(page, 'Leaf width', '63.7');
  await saved;
  await shop.stop('SIGKILL');
  await typeInto(page, 'Nut height', '12.4');
  await expect(page.getByText('The server does not answer')).toBeVisible();
  await expect(page.getByLabel('Nut height', { exact: true })).toHaveValue('12.4');
  await shop.start();
  await page.reload();
  await expect(page.getByLabel('Leaf width', { exact: true })).toHaveValue('63.7');
  await expect(page.getByLabel('Nut height', { exact: true })).toHaveValue('12.4');
  const again = page.waitForResponse((r) => r.url().endsWith('/readings') && r.ok());
  await page.getByLabel('Nut height', { exact: true }).press('Enter');
  await again;
});

test('a database that lost all its connections is used again without a restart', async ({ page, shop }) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  await onDatabase(shop.ownerUrl.replace(/\/[^/]*$/, '/postgres'), (c) => cutConnections(c, shop.name));
  execFileSync('sleep', ['0.3']);
  const saved = page.waitForResponse((r) => r.url().endsWith('/readings') && r.ok());
  await typeInto(page, 'Leaf width', '63.4');
  await saved;
});

test('loading the demo twice changes nothing', async ({ shop }) => {
  const tables = ['job', 'reading', 'prediction', 'ledger_line', 'outcome', 'plan_change', 'due_check', 'person'];
  const counts = () =>
    onDatabase(shop.ownerUrl, async (c) => {
      const rows: string[] = [];
      for (const table of tables) {
        const { rows: found } = await c.query(`SELECT count(*)::int AS n FROM ${table}`);
        rows.push(`${table} ${(found[0] as { n: number }).n}`);
      }
      return rows;
    });
  const before = await counts();
  const env = { ...process.env, APP_DATABASE_URL: shop.appUrl };
  const said = execFileSync('node_modules/.bin/tsx', ['demo/load.ts'], { env, encoding: 'utf8' });
  expect(said).toContain('already there');
  expect(await counts()).toEqual(before);
  expect(before).toContain(`job ${JOBS.length}`);
});

test('start refuses a busy port and a deletion on a server of one’s own in one sentence', ({ shop }) => {
  const start = (args: string[], env: Record<string, string>) => {
    try {
      execFileSync('bash', ['scripts/start.sh', ...args], {
        env: { ...process.env, ...env },
        encoding: 'utf8',
        stdio: 'pipe',
      });
      return 'started';
    } catch (error) {
      return String((error as { stderr: string }).stderr).trim();
    }
  };
  expect(start([], { PORT: String(shop.port) })).toMatch(/^Gravelwort cannot go on: port \d+ is in use[^\n]*$/);
  expect(start(['--fresh'], { DATABASE_URL: shop.ownerUrl, PORT: '4999' })).toMatch(
    /^Gravelwort cannot go on: --fresh[^\n]*$/,
  );
  expect(start([], { PORT: 'abc' })).toMatch(/PORT must be a number/);
});

test('a database that only reads shows everything, says so at the field and keeps what was typed', async ({
  page,
  shop,
}) => {
  // A session that would be noted as in use again at the next page.
  await onDatabase(shop.ownerUrl, (c) => c.query("UPDATE session SET seen_at = now() - interval '5 minutes'"));
  await shop.readsOnly(true);
  await page.goto(`${DEMO.planned}/measure#list`);
  const field = page.getByLabel('Leaf width', { exact: true });
  await typeInto(page, 'Leaf width', '63.7');
  await expect(page.getByText('The database only reads just now.')).toBeVisible();
  await expect(field).toHaveValue('63.7');
  await shop.readsOnly(false);
  const saved = page.waitForResponse((r) => r.url().endsWith('/readings') && r.ok());
  await field.press('Enter');
  await saved;
  await expect(field).toHaveValue('63.7');
});
