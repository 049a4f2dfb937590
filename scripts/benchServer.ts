// A server of a bench's own, on the cluster that bench-db.sh made, with the demo and sessions of as many people as asked for.
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, closeSync, mkdtempSync, openSync, readFileSync, rmSync, writeFileSync, writeSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Client } from 'pg';
import { DEMO_PERSON, DEMO_SHOP } from '../demo/ids';

const need = (name: string): string => {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set; run it by npm run bench:….`);
  return value;
};
export const ownerUrl = need('OWNER_DATABASE_URL');
const cluster = need('GRAVELWORT_CLUSTER');

export async function onDatabase<T>(fn: (client: Client) => Promise<T>): Promise<T> {
  const client = new Client({ connectionString: ownerUrl });
  client.on('error', () => undefined);
  await client.connect();
  try {
    return await fn(client);
  } finally {
    await client.end().catch(() => undefined);
  }
}

/** Runs functions of the start script on the bench's cluster. */
const shell = (commands: string) =>
  spawnSync('bash', [
    '-c',
    `set -uo pipefail; ROOT=$PWD; STATE=.gravelwort-test; . scripts/lib.sh; trap - ERR; ${commands}`,
  ]);

export class BenchServer {
  private child: ChildProcess | undefined;
  /** What the server wrote down of faults of its own. */
  readonly faults: string[] = [];
  private constructor(
    readonly port: number,
    readonly settings: Record<string, string>,
  ) {}

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  static async open(settings: Record<string, string> = {}): Promise<BenchServer> {
    const socket = createServer().listen(0, '127.0.0.1');
    await once(socket, 'listening');
    const { port } = socket.address() as AddressInfo;
    socket.close();
    const server = new BenchServer(port, settings);
    await server.start();
    return server;
  }

  async start(): Promise<void> {
    const env = {
      ...process.env,
      NODE_ENV: 'production' as const,
      GRAVELWORT_PORT: String(this.port),
      ...this.settings,
    };
    const child = spawn(process.execPath, ['scripts/serve.mjs', 'start'], { env, stdio: ['ignore', 'pipe', 'ignore'] });
    this.child = child;
    await new Promise<void>((resolve, reject) => {
      child.stdout.on('data', (chunk: Buffer) => {
        if (chunk.includes('Ready in')) resolve();
        this.faults.push(
          ...chunk
            .toString()
            .split('\n')
            .filter((line) => line.includes('"fault"'))
            .slice(0, 20),
        );
      });
      child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
    });
  }

  async kill(): Promise<void> {
    if (!this.child || this.child.exitCode !== null || this.child.signalCode !== null) return;
    const gone = once(this.child, 'exit');
    this.child.kill('SIGKILL');
    await gone;
  }
}

/** Where the database lies on a small disk of its own. */
export const smallDisk = process.env.GRAVELWORT_SMALL_DISK === 'yes';

/** Fills the database's disk to the last byte for a while; whether PostgreSQL outlives it or not, it is up again afterwards. */
export async function fillDisk(ms: number): Promise<void> {
  const filler = `${cluster}/filler`;
  const file = openSync(filler, 'w');
  for (let size = 1 << 20; size >= 512;)
    try {
      writeSync(file, Buffer.alloc(size));
    } catch {
      size /= 2;
    }
  await new Promise((resolve) => setTimeout(resolve, ms));
  closeSync(file);
  rmSync(filler);
  bringUp();
}

/** A worker that ends its thread when a question is solved and before the answer is out, each time the file `kill` is there. */
export function dyingWorker(): { worker: string; kill: string } {
  const folder = mkdtempSync(join(tmpdir(), 'gravelwort-bench-'));
  const [worker, kill] = [join(folder, 'worker.cjs'), join(folder, 'kill')];
  writeFileSync(
    worker,
    `const { existsSync, unlinkSync } = require('node:fs');
     const { default: solve } = require(${JSON.stringify(need('GRAVELWORT_WORKER'))});
     module.exports = async (question) => {
       const said = await solve(question);
       if (!existsSync(${JSON.stringify(kill)})) return said;
       unlinkSync(${JSON.stringify(kill)});
       process.exit(1);
     };`,
  );
  chmodSync(folder, 0o777);
  return { worker, kill };
}

/** Kills PostgreSQL and brings the cluster up again as a start does. */
export function killDatabase(): void {
  process.kill(Number(readFileSync(`${cluster}/data/postmaster.pid`, 'utf8').split('\n')[0]), 'SIGKILL');
  bringUp();
}

function bringUp(): void {
  const { status, stderr } = shell(`sleep 0.2; cluster_up ${cluster} >/dev/null`);
  if (status !== 0) throw new Error(`the cluster did not come up: ${stderr.toString()}`);
}

export const cutConnections = () =>
  onDatabase((c) =>
    c.query(
      "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE backend_type = 'client backend' AND usename = 'gravelwort_app'",
    ),
  );

/** Tokens of so many sessions of the demo's owner. */
export async function sessions(count: number): Promise<string[]> {
  const tokens = Array.from({ length: count }, (_, k) => `bench-${k}-${crypto.randomUUID()}`);
  await onDatabase(async (c) => {
    for (const token of tokens)
      await c.query(
        `INSERT INTO session (shop_id, id, token_hash, person_id, ends_at)
         VALUES ($1, gen_random_uuid(), sha256(convert_to($2, 'UTF8')), $3, now() + interval '1 day')`,
        [DEMO_SHOP, token, DEMO_PERSON],
      );
  });
  return tokens;
}

/** One call as somebody; 0 for no answer at all. */
export async function ask(url: string, token: string, method: string, path: string, body?: unknown) {
  const from = performance.now();
  try {
    const answer = await fetch(url + path, {
      method,
      headers: { origin: url, cookie: `gravelwort-session=${token}` },
      ...(body !== undefined && { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(20_000),
    });
    const text = await answer.text();
    return { status: answer.status, ms: performance.now() - from, text };
  } catch {
    return { status: 0, ms: performance.now() - from, text: '' };
  }
}

export const percentile = (values: readonly number[], share: number): number => {
  const sorted = [...values].sort((p, q) => p - q);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
};
