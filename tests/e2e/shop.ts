import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { dirname, join } from 'node:path';
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { Client } from 'pg';

const need = (name: string): string => {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set; run npm test or npm run test:e2e.`);
  return value;
};

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  server.close();
  await once(server, 'close');
  return port;
}

const withDatabase = (url: string, name: string): string => url.replace(/\/[^/]*$/, `/${name}`);

/** Runs statements on a connection of its own. */
export async function onDatabase<T>(url: string, fn: (client: Client) => Promise<T>): Promise<T> {
  const client = new Client({ connectionString: url });
  await client.connect();
  try {
    return await fn(client);
  } finally {
    await client.end();
  }
}

/** One Gravelwort of a test's own: a database copied from the demo and a production server on it. */
export class Shop {
  private server: ChildProcess | undefined;
  private constructor(
    readonly name: string,
    readonly port: number,
    readonly ownerUrl: string,
    readonly appUrl: string,
  ) {}

  static async open(name: string): Promise<Shop> {
    const owner = need('OWNER_DATABASE_URL');
    await onDatabase(withDatabase(owner, 'postgres'), (c) => c.query(`CREATE DATABASE ${name} TEMPLATE gravelwort`));
    const appUrl = withDatabase(need('APP_DATABASE_URL'), name);
    const shop = new Shop(name, await freePort(), withDatabase(owner, name), appUrl);
    await shop.start();
    return shop;
  }

  /** The list of instruments the server is to connect to, from its next start on. */
  instruments: string | undefined;

  /** A server on a database of the test's own making. */
  static async on(ownerUrl: string, appUrl: string): Promise<Shop> {
    const shop = new Shop('', await freePort(), ownerUrl, appUrl);
    await shop.start();
    return shop;
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    const args = ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(this.port)];
    const env = {
      ...process.env,
      NODE_ENV: 'production' as const,
      APP_DATABASE_URL: this.appUrl,
      ...(this.instruments && { GRAVELWORT_INSTRUMENTS: this.instruments }),
    };
    const server = spawn(process.execPath, args, { env, stdio: ['ignore', 'pipe', 'pipe'] });
    this.server = server;
    await new Promise<void>((resolve, reject) => {
      const hear = (chunk: Buffer) => {
        if (chunk.includes('Ready in')) resolve();
      };
      server.stdout.on('data', hear);
      server.stderr.on('data', hear);
      server.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
    });
  }

  /** Ends the server and waits until it is gone. */
  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    if (!this.server || this.server.exitCode !== null || this.server.signalCode !== null) return;
    const gone = once(this.server, 'exit');
    this.server.kill(signal);
    await gone;
  }

  async close(): Promise<void> {
    await this.stop('SIGKILL');
    const owner = withDatabase(need('OWNER_DATABASE_URL'), 'postgres');
    await onDatabase(owner, (c) => c.query(`DROP DATABASE ${this.name} WITH (FORCE)`));
  }
}

let count = 0;

/** Every test has a shop of its own; pages open below its address. */
export const test = base.extend<{ shop: Shop }>({
  shop: [
    async ({}, use) => {
      count += 1;
      const shop = await Shop.open(`gravelwort_e2e_${process.pid}_${count}`);
      await use(shop);
      await shop.close();
    },
    { auto: true },
  ],
  baseURL: async ({ shop }, use) => use(shop.url),
});
export { expect } from '@playwright/test';

/** A folder beside the tests' own cluster, where the database's system user may go. */
export const clusterFolder = () => mkdtempSync(join(dirname(need('GRAVELWORT_CLUSTER')), 'c-'));

/** Runs functions of the start script on a cluster of a test's own. */
export function clusterShell(folder: string, commands: string): { status: number | null; out: string } {
  const script = `set -uo pipefail; ROOT=$PWD; STATE=${folder}; . scripts/lib.sh; trap - ERR
    [ "$(id -u)" = 0 ] && chmod 755 ${folder}; ${commands}`;
  const { status, stdout, stderr } = spawnSync('bash', ['-c', script], { encoding: 'utf8' });
  return { status, out: stdout + stderr };
}

const job = (n: number) => `/jobs/5a1e000${n}-0000-4000-8000-000000000f00`;
/** The demo's jobs by what they are good for. */
export const DEMO = { provenInside: job(1), provenOutside: job(2), planned: job(3), begun: job(4) };

/** A measured field by its spoken name; the saved text is shown without “not saved yet”. */
export async function typeInto(page: Page, name: string, text: string): Promise<void> {
  const field = page.getByLabel(name, { exact: true });
  await field.fill(text);
  await field.press('Enter');
}

/** Puts the focus on a field once the page's program runs; before that fields are off, and a focus would be lost without a word. */
export async function focusOn(field: Locator): Promise<void> {
  await expect(field).toBeEnabled();
  await field.focus();
}

/** A new job as the server takes it, to be changed where a test needs it. */
export const newJob = () => ({
  id: crypto.randomUUID(),
  vehicle: {
    kind: 'new',
    name: 'Test vehicle',
    maker: '',
    wheelbase: 2500,
    wheelbaseTyped: '2500',
    position: 'rear',
    arrangement: 'over',
    axleClass: 'pickupRear',
    steered: false,
    tankMass: 0,
    tankMassTyped: '0',
  },
  complaint: 'low',
  wantedChange: 20,
  wantedTyped: '20',
  tolerance: 5,
  toleranceTyped: '5',
  guess: null,
  guessTyped: null,
  noBlocks: false,
  keepUbolts: false,
  leafCount: 3,
  usual: null as null | Record<string, unknown>,
  wantedIn: 'today',
});
