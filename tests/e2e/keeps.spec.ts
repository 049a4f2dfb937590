import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { clusterFolder, clusterShell, expect, freePort, onDatabase, test } from './shop';
import { JOBS } from '../../demo/scenario';

/** `npm start` as a shop runs it, with its own folder, port and database. */
class Start {
  private said = '';
  private constructor(
    readonly child: ChildProcess,
    readonly url: string,
  ) {
    const hear = (chunk: Buffer) => (this.said += chunk.toString());
    child.stdout!.on('data', hear);
    child.stderr!.on('data', hear);
  }

  static at(folder: string, port: number): Start {
    const env = { ...process.env, GRAVELWORT_STATE: folder, PORT: String(port), DATABASE_URL: '' };
    const child = spawn('bash', ['scripts/start.sh'], { env, stdio: ['ignore', 'pipe', 'pipe'] });
    return new Start(child, `http://127.0.0.1:${port}`);
  }

  get heard(): string {
    return this.said;
  }

  /** Waits until a page that needs the database comes. */
  async serves(): Promise<void> {
    await expect
      .poll(
        async () => {
          if (this.child.exitCode !== null) throw new Error(`it ended with ${this.child.exitCode}: ${this.said}`);
          return fetch(`${this.url}/readyz`).then(
            (answer) => answer.status,
            () => 0,
          );
        },
        { timeout: 150_000, intervals: [500] },
      )
      .toBe(200);
  }
}

test('whatever is killed comes up again by itself, and what a killed start left behind is no hindrance to the next', async () => {
  const folder = clusterFolder();
  const port = await freePort();
  let start = Start.at(folder, port);
  const pidIn = (file: string) => Number(readFileSync(file, 'utf8').split('\n')[0]);
  const place = () => readFileSync(`${folder}/database`, 'utf8').trim();
  const postmaster = () => pidIn(`${place()}/data/postmaster.pid`);
  try {
    await start.serves();
    expect((await fetch(`${start.url}/healthz`)).status).toBe(200);
    expect((await fetch(`${start.url}/readyz`)).status).toBe(200);
    const database = postmaster();
    process.kill(database, 'SIGKILL');
    await expect.poll(() => start.heard, { timeout: 60_000 }).toContain('the database is up again');
    await start.serves();
    expect(postmaster()).not.toBe(database);
    const server = pidIn(`${folder}/server.pid`);
    process.kill(server, 'SIGKILL');
    await expect.poll(() => start.heard, { timeout: 60_000 }).toContain('the server has ended by itself');
    await start.serves();
    // The start itself is killed: server, instruments and database live on without it.
    start.child.kill('SIGKILL');
    await once(start.child, 'exit');
    expect((await fetch(`${start.url}/healthz`)).status).toBe(200);
    start = Start.at(folder, port);
    await expect.poll(() => start.heard, { timeout: 60_000 }).toContain('left by an earlier start');
    await start.serves();
    const from = Date.now();
    start.child.kill('SIGTERM');
    await once(start.child, 'exit');
    expect(Date.now() - from).toBeLessThan(40_000);
    expect(await fetch(`${start.url}/healthz`).catch(() => 'gone')).toBe('gone');
  } finally {
    if (start.child.exitCode === null) {
      start.child.kill('SIGTERM');
      await once(start.child, 'exit');
    }
    for (const of of [place(), folder]) rmSync(of, { recursive: true, force: true });
  }
});

test('what a person is told of a fault can be found again; figures name routes, never what was asked of them', async ({
  request,
  shop,
}) => {
  const id = '5a1e0003-0000-4000-8000-000000000f00';
  expect((await request.get(`/api/jobs/${id}`)).headers()['x-request-id']).toMatch(/^[0-9a-f-]{36}$/);
  // A table gone from under the server is nobody's fault but the house's own.
  await onDatabase(shop.ownerUrl, (c) => c.query('ALTER TABLE shelf_item RENAME TO gone'));
  const failed = await request.get(`/api/shelf/${id}`);
  expect(failed.status()).toBe(503);
  const problem = (await failed.json()) as { code: string; request: string; message: string };
  expect(problem).toMatchObject({ code: 'server', request: failed.headers()['x-request-id'] });
  expect(JSON.stringify(problem)).not.toContain('shelf_item');
  expect(shop.heard).toContain(problem.request);
  const figures = await (await request.get('/metrics')).text();
  expect(figures).toContain('gravelwort_answers_total{method="GET",route="/api/jobs/[id]",status="200"}');
  expect(figures).not.toContain(id);
});

test('a backup, encrypted, comes back on another machine the same to the last record; a changed file and a wrong word change nothing', async ({
  shop,
}, info) => {
  const folder = clusterFolder();
  const file = info.outputPath('kept.dump');
  const keep = (act: 'backup' | 'restore', url: string, word: string, of = file) => {
    const env = { ...process.env, OWNER_DATABASE_URL: url, GRAVELWORT_PASSPHRASE: word };
    const { status, stdout, stderr } = spawnSync('node_modules/.bin/tsx', ['scripts/keep.ts', act, of], {
      ...{ env, encoding: 'utf8' as const },
    });
    return { status, said: stdout + stderr };
  };
  expect(keep('backup', shop.ownerUrl, 'tide table')).toMatchObject({ status: 0 });
  expect(keep('backup', shop.ownerUrl, 'tide table').said).toContain('never written over');
  // No name of anybody stands in it.
  expect(readFileSync(file).includes('Korvild')).toBe(false);
  const up = `cluster_up ${folder}/db`;
  try {
    const { out } = clusterShell(folder, `${up} && echo "at $OWNER_URL $APP_URL"`);
    const [, owner = '', app = ''] = /at (\S+) (\S+)/.exec(out) ?? [];
    expect(keep('restore', owner, 'another word').said).toContain('passphrase is not the one');
    const changed = info.outputPath('changed.dump');
    const bytes = readFileSync(file);
    bytes[bytes.length >> 1]! ^= 1;
    writeFileSync(changed, bytes);
    writeFileSync(`${changed}.json`, readFileSync(`${file}.json`));
    expect(keep('restore', owner, 'tide table', changed).said).toContain('its checksum differs');
    const restored = keep('restore', owner, 'tide table');
    expect(restored.said).toContain('the same to the last record');
    // The application's own role sees its shop there, and nothing without one.
    const seen = await onDatabase(app, async (c) => {
      const none = (await c.query('SELECT FROM job')).rowCount;
      await c.query(`SELECT set_config('gravelwort.shop', '5a1e0000-0000-4000-8000-000000000001', false)`);
      const alive = await c.query('SELECT FROM session WHERE ended_at IS NULL');
      return [none, (await c.query('SELECT FROM job')).rowCount, alive.rowCount];
    });
    expect(seen).toEqual([0, JOBS.length, 0]);
  } finally {
    clusterShell(folder, `cluster_down ${folder}/db`);
    rmSync(folder, { recursive: true, force: true });
  }
});

test('through ten kills of server and database every save that was acknowledged is there, once and as it was sent', () => {
  const { status, stdout, stderr } = spawnSync('bash', ['scripts/bench-db.sh', 'kills', '10', '7'], {
    encoding: 'utf8',
  });
  expect(stdout + stderr).toContain('0 lost, 0 changed, 0 refused');
  expect(status).toBe(0);
});
