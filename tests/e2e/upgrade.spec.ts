import { execFileSync } from 'node:child_process';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { runner } from 'node-pg-migrate';
import { predictionRecordSchema } from '@/contracts/stored';
import { finish } from '@/core/finish';
import { predictAxle } from '@/core/suspension/solvers';
import { SIDES } from '@/core/vehicle/side';
import { CORE_VERSION } from '@/core/version';
import { expect, onDatabase, test } from './shop';

const MIGRATIONS = 'src/data/migrations';
const tsx = (script: string, env: Record<string, string>) =>
  execFileSync('node_modules/.bin/tsx', [script], { env: { ...process.env, ...env }, encoding: 'utf8' });

/** Rows of the demo as earlier releases left them, each in its own schema, and the core that had foretold its proven jobs. */
const LANDED = [
  { schema: '0002', core: '0.2.0' },
  { schema: '0014', core: '0.4.0' },
];

for (const { schema, core } of LANDED)
  test(`schema ${schema} of an earlier release, with its demo in it, is brought up to date and loses nothing`, async ({
    shop,
  }, info) => {
    const name = `${shop.name}_upgrade`;
    const count = Number(schema);
    const at = (url: string) => url.replace(/\/[^/]*$/, `/${name}`);
    await onDatabase(shop.ownerUrl, (c) => c.query(`CREATE DATABASE ${name}`));
    const [owner, app] = [at(shop.ownerUrl), at(shop.appUrl)];
    try {
      const older = { databaseUrl: owner, dir: join(process.cwd(), MIGRATIONS), direction: 'up' as const, count };
      await runner({ ...older, migrationsTable: 'migration', log: () => undefined });
      await onDatabase(owner, (c) => c.query(readFileSync(`tests/e2e/landed/${schema}.sql`, 'utf8')));
      const env = { OWNER_DATABASE_URL: owner, APP_DATABASE_URL: app };
      const counts = (leaves: string) =>
        onDatabase(owner, async (c) => {
          const tables = ['reading', 'prediction', 'ledger_line', 'job', leaves, 'plan_change', 'pack', 'outcome'];
          const found: Record<string, unknown> = {};
          for (const table of tables)
            found[table === leaves ? 'leaves' : table] = (
              await c.query(`SELECT count(*)::int AS n FROM ${table}`)
            ).rows[0];
          return found;
        });
      const before = await counts('leaf');
      const read = () =>
        onDatabase(
          owner,
          async (c) => (await c.query('SELECT id, job_id, typed, value FROM reading ORDER BY id')).rows,
        );
      const readings = await read();
      const said = tsx('scripts/migrate.ts', env);
      writeFileSync(info.outputPath('migrate.txt'), said);
      expect(said).toContain(`${readdirSync(MIGRATIONS).length - count} migration(s) applied`);
      expect(await counts(`component WHERE kind = 'leaf'`)).toEqual(before);
      // Every reading is still of its job, at the axle that was the job's only one, and of the part it was read of.
      expect(await read()).toEqual(readings);
      const astray = await onDatabase(owner, (c) =>
        c.query(`SELECT r.point FROM reading r WHERE r.job_axle_id <> r.job_id OR
          (r.point IN ('leafThickness', 'leafFront', 'leafRear', 'blockHeight', 'uboltExposed') AND r.component_id IS NULL)`),
      );
      expect(astray.rows).toEqual([]);
      // A load told as one lump is one item now.
      const items = await onDatabase(owner, (c) => c.query('SELECT name, mass_kg FROM load_item ORDER BY mass_kg'));
      const lumps = [
        { name: 'stretcher kit and crew', mass_kg: 310 },
        { name: 'ice and crates', mass_kg: 420 },
      ];
      if (schema === '0002') expect(items.rows).toEqual(lumps);
      expect(items.rows.reduce((sum: number, item: { mass_kg: number }) => sum + item.mass_kg, 0)).toBe(730);
      // What was stored by the older core is read, lifted to the schema of today and solved again, within its own band.
      const stored = await onDatabase(owner, async (c) => {
        const sql =
          'SELECT id, core_version AS "coreVersion", seed, samples, inputs, result FROM prediction ORDER BY id';
        return (await c.query(sql)).rows.map((row) => predictionRecordSchema.parse(row));
      });
      expect(stored.map((record) => record.coreVersion)).toEqual([core, core]);
      for (const { inputs, result } of stored) {
        if (inputs.kind !== 'longitudinalLeaf') throw new Error('these releases knew leaf springs only');
        const again = finish(predictAxle(inputs, false));
        for (const side of SIDES)
          for (const [k, state] of (again.sides[side]?.states ?? []).entries()) {
            const [was, half] = [result.prediction.sides[side]!.states[k]!, result.bands[side]![k]!.half];
            expect(Math.abs(state.after! - was.after!)).toBeLessThanOrEqual(half);
            expect(state.built!.elevation.leaves.length).toBeGreaterThan(1);
          }
      }
      // Loading the demo again foretells its proven jobs anew where the core has moved on, and leaves the old predictions as they are.
      tsx('demo/load.ts', env);
      const versions = await onDatabase(owner, async (c) => {
        const { rows } = await c.query<{ core_version: string; n: number }>(
          'SELECT core_version, count(*)::int AS n FROM prediction GROUP BY 1 ORDER BY 1',
        );
        return rows;
      });
      const now = { core_version: CORE_VERSION, n: 2 };
      expect(versions).toEqual(core === CORE_VERSION ? [now] : [{ core_version: core, n: 2 }, now]);
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
