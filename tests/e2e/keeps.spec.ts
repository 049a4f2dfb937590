import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync, rmSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { clusterFolder, freePort } from './shop';

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
          return fetch(`${this.url}/`).then(
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
