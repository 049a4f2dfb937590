// Brings the tables up to date: forward only, under an advisory lock, after a dump when there is something to lose.
import { execFileSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { runner } from 'node-pg-migrate';
import { Client } from 'pg';
import { makeQueue } from '@/data/queue';

const url = process.env.OWNER_DATABASE_URL;
if (!url) throw new Error('OWNER_DATABASE_URL is not set.');
const dir = join(import.meta.dirname, '../src/data/migrations');
const options = { databaseUrl: url, dir, direction: 'up' as const, migrationsTable: 'migration', log: () => undefined };

const pending = await runner({ ...options, dryRun: true });
if (pending.length > 0) {
  const client = new Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query("SELECT to_regclass('public.job') IS NOT NULL AS exists");
  await client.end();
  if ((rows[0] as { exists: boolean }).exists && process.env.DUMP_DIR) {
    mkdirSync(process.env.DUMP_DIR, { recursive: true });
    const file = join(process.env.DUMP_DIR, `before-${pending[0]?.name ?? 'migration'}-${Date.now()}.dump`);
    execFileSync('pg_dump', ['--format=custom', `--file=${file}`, url], { stdio: 'inherit' });
    console.log(`      saved ${file}`);
  }
  await runner(options);
}
await makeQueue(url);
console.log(`      ${pending.length} migration(s) applied`);
