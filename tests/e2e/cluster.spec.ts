import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { clusterFolder as home, clusterShell as shell } from './shop';

const ask = (sql: string) => `psql -qAt "$APP_URL" -c "${sql}"`;
const asOwner = (sql: string) => `psql -qAt "$OWNER_URL" -c "${sql}"`;

test('a cluster is made once, used again, and mended after a crash with all it held', () => {
  const folder = home();
  const up = `cluster_up ${folder}/db`;
  try {
    const first = shell(
      folder,
      `${up} && ${asOwner('CREATE TABLE kept (n int); INSERT INTO kept VALUES (7)')} && echo port $PG_PORT`,
    );
    expect(first.out).toContain('port');
    expect(shell(folder, `${up} && ${asOwner('SELECT n FROM kept')}`).out).toContain('is still up and is used\n7');
    // Every process gone at once, the pid file left behind.
    const pid = Number(readFileSync(`${folder}/db/data/postmaster.pid`, 'utf8').split('\n')[0]);
    process.kill(pid, 'SIGKILL');
    const mended = shell(folder, `sleep 0.5; ${up} && ${asOwner('SELECT n FROM kept')}; cluster_down ${folder}/db`);
    expect(mended.out.trim()).toBe('7');
    expect(existsSync(`${folder}/db/data/postmaster.pid`)).toBe(false);
  } finally {
    shell(folder, `cluster_down ${folder}/db`);
    rmSync(folder, { recursive: true, force: true });
  }
});

test('a half-made cluster is put aside, not deleted, and made anew', () => {
  const folder = home();
  try {
    shell(folder, `mkdir -p ${folder}/db/data && echo half > ${folder}/db/data/PG_VERSION`);
    const { out } = shell(folder, `cluster_up ${folder}/db && ${ask('SELECT 1')}; cluster_down ${folder}/db`);
    expect(out).toContain('put aside');
    expect(out.trim().endsWith('1')).toBe(true);
    const aside = readdirSync(`${folder}/db`).find((name) => name.startsWith('half-made-'));
    expect(readFileSync(`${folder}/db/${aside}/PG_VERSION`, 'utf8')).toBe('half\n');
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

test('the application’s role is no superuser, makes no databases and passes no row-level security', () => {
  const folder = home();
  try {
    const sql =
      "SELECT rolsuper, rolcreatedb, rolcreaterole, rolbypassrls FROM pg_roles WHERE rolname = 'gravelwort_app'";
    const { out } = shell(folder, `cluster_up ${folder}/db && ${ask(sql)}; cluster_down ${folder}/db`);
    expect(out.trim()).toBe('f|f|f|f');
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});

test('missing tools are asked for in one sentence', () => {
  const folder = home();
  try {
    const noRoot = shell(folder, 'id() { echo 1000; }; apt_install Chromium chromium');
    expect(noRoot.status).toBe(1);
    expect(noRoot.out).toMatch(/^Gravelwort cannot go on: Chromium is missing and only root may install it[^\n]*\n$/);
    const noDisk = shell(folder, 'ensure_disk 999999999');
    expect(noDisk.out).toMatch(
      /^Gravelwort cannot go on: only \d+ MB of disk are free here; 999999999 MB are needed.\n$/,
    );
    writeFileSync(join(folder, 'file'), '');
    const noFolder = shell(folder, `cluster_home ${folder}/file/db x`);
    expect(noFolder.out).toMatch(/^Gravelwort cannot go on: no folder can be made at [^\n]*\n$/);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
});
