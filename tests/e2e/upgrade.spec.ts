import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runner } from 'node-pg-migrate';
import { CORE_VERSION } from '@/core/version';
import { expect, onDatabase, test } from './shop';

const MIGRATIONS = 'src/data/migrations';
const tsx = (script: string, env: Record<string, string>) =>
  execFileSync('node_modules/.bin/tsx', [script], { env: { ...process.env, ...env }, encoding: 'utf8' });

/** Rows of the demo as an earlier release left them, in its own schema. */
const LANDED = 2;

test('the schema of an earlier release, with its demo in it, is brought up to date and loses nothing', async ({
  shop,
}, info) => {
  const name = `${shop.name}_upgrade`;
  const at = (url: string) => url.replace(/\/[^/]*$/, `/${name}`);
  await onDatabase(shop.ownerUrl, (c) => c.query(`CREATE DATABASE ${name}`));
  const [owner, app] = [at(shop.ownerUrl), at(shop.appUrl)];
  try {
    const older = { databaseUrl: owner, dir: join(process.cwd(), MIGRATIONS), direction: 'up' as const, count: LANDED };
    await runner({ ...older, migrationsTable: 'migration', log: () => undefined });
    await onDatabase(owner, (c) => c.query(readFileSync(`tests/e2e/landed/000${LANDED}.sql`, 'utf8')));
    const env = { OWNER_DATABASE_URL: owner, APP_DATABASE_URL: app };
    const counts = () =>
      onDatabase(owner, async (c) => {
        const tables = ['reading', 'prediction', 'ledger_line', 'job', 'leaf', 'plan_change'];
        const found: Record<string, unknown> = {};
        for (const table of tables) found[table] = (await c.query(`SELECT count(*)::int AS n FROM ${table}`)).rows[0];
        return found;
      });
    const before = await counts();
    const said = tsx('scripts/migrate.ts', env);
    writeFileSync(info.outputPath('migrate.txt'), said);
    expect(said).toContain(`${readdirSync(MIGRATIONS).length - LANDED} migration(s) applied`);
    expect(await counts()).toEqual(before);
    // A load told as one lump is one item now.
    const items = await onDatabase(owner, (c) => c.query('SELECT name, mass_kg FROM load_item ORDER BY mass_kg'));
    expect(items.rows).toEqual([
      { name: 'stretcher kit and crew', mass_kg: 310 },
      { name: 'ice and crates', mass_kg: 420 },
    ]);
    // Loading the demo again foretells its proven jobs anew and leaves the old predictions as they are.
    tsx('demo/load.ts', env);
    const versions = await onDatabase(owner, async (c) => {
      const { rows } = await c.query<{ core_version: string; n: number }>(
        'SELECT core_version, count(*)::int AS n FROM prediction GROUP BY 1 ORDER BY 1',
      );
      return rows;
    });
    expect(versions).toEqual([
      { core_version: '0.2.0', n: 2 },
      { core_version: CORE_VERSION, n: 2 },
    ]);
  } finally {
    await onDatabase(shop.ownerUrl, async (c) => {
      const sessions = async () =>
        (await c.query<{ n: number }>('SELECT count(*)::int AS n FROM pg_stat_activity WHERE datname = $1', [name]))
          .rows[0]!.n;
      // The loader has ended; its connections take a moment longer.
      await expect.poll(sessions).toBe(0);
      await c.query(`DROP DATABASE ${name}`);
    });
  }
});
