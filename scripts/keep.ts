// Backup and restore of everything a shop has: tsx scripts/keep.ts backup|restore FILE. OWNER_DATABASE_URL says of which database.
// With GRAVELWORT_PASSPHRASE the backup is encrypted. Beside FILE stands FILE.json: when, of which schema, its checksum, and the hash of all records.
import { execFileSync, spawn } from 'node:child_process';
import { createCipheriv, createDecipheriv, createHash, randomBytes, scryptSync } from 'node:crypto';
import {
  createReadStream,
  createWriteStream,
  existsSync,
  mkdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { dirname } from 'node:path';
import { pipeline } from 'node:stream/promises';
import { Client } from 'pg';
import { z } from 'zod';

const labelSchema = z.object({
  format: z.literal(1),
  made: z.string(),
  /** The last migration that was applied. */
  schema: z.string(),
  sha256: z.string(),
  /** Hash of all records, whatever their order in the file. */
  records: z.string(),
  counts: z.record(z.string(), z.number()),
  encrypted: z.object({ salt: z.string(), iv: z.string(), tag: z.string() }).nullable(),
});

const stop = (words: string): never => {
  console.error(`Gravelwort cannot go on: ${words}`);
  process.exit(1);
};
const key = (passphrase: string, salt: Buffer) => scryptSync(passphrase, salt, 32, { N: 2 ** 15, maxmem: 2 ** 26 });

async function sha256(file: string): Promise<string> {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
}

/** What a database holds: rows of each table, and one hash over all of them. */
async function recordsOf(c: Client): Promise<{ schema: string; records: string; counts: Record<string, number> }> {
  const { rows: tables } = await c.query<{ name: string }>(
    "SELECT tablename AS name FROM pg_tables WHERE schemaname = 'public' ORDER BY tablename",
  );
  const hash = createHash('sha256');
  const counts: Record<string, number> = {};
  for (const { name } of tables) {
    const { rows } = await c.query<{ n: string; h: string | null }>(
      `SELECT count(*) AS n, md5(string_agg(md5(t::text), '' ORDER BY md5(t::text))) AS h FROM "${name}" t`,
    );
    counts[name] = Number(rows[0]!.n);
    hash.update(`${name} ${rows[0]!.n} ${rows[0]!.h}\n`);
  }
  const { rows } = await c.query<{ name: string }>('SELECT name FROM migration ORDER BY id DESC LIMIT 1');
  return { schema: rows[0]?.name ?? '', records: hash.digest('hex'), counts };
}

async function connected<T>(url: string, fn: (c: Client) => Promise<T>): Promise<T> {
  const c = new Client({ connectionString: url });
  await c.connect();
  // Times print alike wherever they are read.
  await c.query("SET timezone = 'UTC'");
  try {
    return await fn(c);
  } finally {
    await c.end();
  }
}

/** Everything as it stands at one moment, while others go on working. */
async function backup(url: string, file: string, passphrase: string | undefined): Promise<void> {
  if (existsSync(file)) stop(`${file} is there already; a backup is never written over another.`);
  mkdirSync(dirname(file), { recursive: true });
  const part = `${file}.part`;
  await connected(url, async (c) => {
    await c.query('BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
    const { rows } = await c.query<{ id: string }>('SELECT pg_export_snapshot() AS id');
    const held = await recordsOf(c);
    const dump = spawn('pg_dump', ['--format=custom', `--snapshot=${rows[0]!.id}`, url], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    const ended = new Promise<number>((done) => dump.once('close', (code) => done(code ?? 1)));
    const to = createWriteStream(part, { mode: 0o600 });
    let encrypted: z.output<typeof labelSchema>['encrypted'] = null;
    if (passphrase) {
      const [salt, iv] = [randomBytes(16), randomBytes(12)];
      const cipher = createCipheriv('aes-256-gcm', key(passphrase, salt), iv);
      await pipeline(dump.stdout, cipher, to);
      const tag = cipher.getAuthTag();
      encrypted = { salt: salt.toString('hex'), iv: iv.toString('hex'), tag: tag.toString('hex') };
    } else await pipeline(dump.stdout, to);
    if ((await ended) !== 0) stop('pg_dump did not end well; there is no backup.');
    const label = { format: 1, made: new Date().toISOString(), ...held, sha256: await sha256(part), encrypted };
    writeFileSync(`${file}.json`, `${JSON.stringify(label, null, 2)}\n`, { mode: 0o600 });
    renameSync(part, file);
    const rowsKept = Object.values(held.counts).reduce((sum, n) => sum + n, 0);
    console.log(`      kept ${rowsKept} records of ${Object.keys(held.counts).length} tables in ${file}`);
  });
}

/** Brings a backup back beside what is there, compares it with its label, and only then puts it in place; what was there is kept under another name. */
async function restore(url: string, file: string, passphrase: string | undefined): Promise<void> {
  if (!existsSync(file) || !existsSync(`${file}.json`)) stop(`${file} and ${file}.json are needed both.`);
  const label = labelSchema.parse(JSON.parse(readFileSync(`${file}.json`, 'utf8')));
  if ((await sha256(file)) !== label.sha256)
    stop('the file is not what was written: its checksum differs. Nothing was changed.');
  let plain = file;
  if (label.encrypted) {
    if (!passphrase) return stop('this backup is encrypted; set GRAVELWORT_PASSPHRASE.');
    const { salt, iv, tag } = label.encrypted;
    const decipher = createDecipheriv('aes-256-gcm', key(passphrase, Buffer.from(salt, 'hex')), Buffer.from(iv, 'hex'));
    decipher.setAuthTag(Buffer.from(tag, 'hex'));
    plain = `${file}.plain`;
    try {
      await pipeline(createReadStream(file), decipher, createWriteStream(plain, { mode: 0o600 }));
    } catch {
      rmSync(plain, { force: true });
      stop('the passphrase is not the one it was kept with. Nothing was changed.');
    }
  }
  const name = new URL(url).pathname.slice(1);
  const at = (database: string) => url.replace(/\/[^/]*$/, `/${database}`);
  const stamp = new Date().toISOString().replace(/\D/g, '').slice(0, 14);
  const [coming, aside] = [`${name}_coming_${stamp}`, `${name}_before_${stamp}`];
  try {
    await connected(at('postgres'), (c) => c.query(`CREATE DATABASE "${coming}"`));
    execFileSync('pg_restore', ['--exit-on-error', '--single-transaction', `--dbname=${at(coming)}`, plain], {
      stdio: 'inherit',
    });
  } finally {
    if (plain !== file) rmSync(plain, { force: true });
  }
  const found = await connected(at(coming), recordsOf);
  if (found.records !== label.records) stop('what came back is not what was kept. Nothing was changed.');
  // Who was signed in that day is not signed in today; a backup of before the sign-in has nobody.
  await connected(at(coming), async (c) => {
    const { rows } = await c.query<{ there: boolean }>("SELECT to_regclass('public.session') IS NOT NULL AS there");
    if (rows[0]?.there) await c.query('UPDATE session SET ended_at = now() WHERE ended_at IS NULL');
  });
  await connected(at('postgres'), async (c) => {
    const { rowCount } = await c.query('SELECT FROM pg_database WHERE datname = $1', [name]);
    if (rowCount) {
      await c.query(`ALTER DATABASE "${name}" ALLOW_CONNECTIONS false`);
      await c.query(
        "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = $1 AND backend_type = 'client backend'",
        [name],
      );
      await c.query(`ALTER DATABASE "${name}" RENAME TO "${aside}"`);
    }
    await c.query(`ALTER DATABASE "${coming}" RENAME TO "${name}"`);
  });
  console.log(
    `      restored what was kept ${label.made}, the same to the last record; what was there before is the database ${aside}`,
  );
}

const [act, file] = process.argv.slice(2);
const url = process.env.OWNER_DATABASE_URL;
if (!url) stop('OWNER_DATABASE_URL is not set; use npm run backup or npm run restore.');
else if (!file) stop('name the file: npm run backup -- FILE, npm run restore -- FILE.');
else if (act === 'backup') await backup(url, file, process.env.GRAVELWORT_PASSPHRASE);
else if (act === 'restore') await restore(url, file, process.env.GRAVELWORT_PASSPHRASE);
else stop(`unknown act ${act}; backup and restore are known.`);
