import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { dirname, join } from 'node:path';
import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { Client } from 'pg';
import { demoJob, DEMO_PERSON, DEMO_SHOP } from '../../demo/ids';

const need = (name: string): string => {
  const value = process.env[name];
  if (!value) throw new Error(`${name} is not set; run npm test or npm run test:e2e.`);
  return value;
};

export async function freePort(): Promise<number> {
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

/** The token of a session that every test's pages and calls come with, of the demo's first person. */
const TOKEN = 'a-session-of-the-tests-known-to-nobody-else';
const signedIn = (c: Client) =>
  c.query(
    `INSERT INTO session (shop_id, id, token_hash, person_id, ends_at)
     VALUES ($1, gen_random_uuid(), sha256(convert_to($2, 'UTF8')), $3, now() + interval '1 day')`,
    [DEMO_SHOP, TOKEN, DEMO_PERSON],
  );
/** What the browser keeps of it. */
export const SIGNED_IN = {
  cookies: [
    {
      ...{ name: 'gravelwort-session', value: TOKEN, domain: '127.0.0.1', path: '/', expires: -1 },
      ...{ httpOnly: true, secure: false, sameSite: 'Lax' as const },
    },
  ],
  origins: [],
};

/** Ends every program's connection to a database. The database's own helpers belong to another role and end by themselves. */
export const cutConnections = (c: Client, name: string) =>
  c.query(
    `SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = $1 AND backend_type = 'client backend'`,
    [name],
  );

async function dropDatabase(c: Client, name: string): Promise<void> {
  const { rowCount } = await c.query('SELECT FROM pg_database WHERE datname = $1', [name]);
  if (rowCount === 0) return;
  // A request of the test before may still be under way: it must not come back in between.
  await c.query(`ALTER DATABASE ${name} ALLOW_CONNECTIONS false`);
  await cutConnections(c, name);
  await c.query(`DROP DATABASE ${name}`);
}

/** A Gravelwort on a database copied from the demo, with a production server on it. */
export class Shop {
  private server: ChildProcess | undefined;
  private starts = 0;
  private constructor(
    readonly name: string,
    readonly port: number,
    readonly ownerUrl: string,
    readonly appUrl: string,
  ) {}

  static async open(name: string): Promise<Shop> {
    const [owner, app] = [need('OWNER_DATABASE_URL'), need('APP_DATABASE_URL')];
    return new Shop(name, await freePort(), withDatabase(owner, name), withDatabase(app, name));
  }

  /** The demo as it was loaded, and a server that no test has ended, started again or given instruments. */
  async fresh(): Promise<void> {
    await onDatabase(withDatabase(need('OWNER_DATABASE_URL'), 'postgres'), async (c) => {
      await dropDatabase(c, this.name);
      await c.query(`CREATE DATABASE ${this.name} TEMPLATE gravelwort`);
    });
    await onDatabase(this.ownerUrl, signedIn);
    if (this.starts === 1 && this.runs) return;
    await this.stop('SIGKILL');
    this.instruments = undefined;
    this.settings = {};
    this.starts = 0;
    await this.start();
  }

  private get runs(): boolean {
    return this.server !== undefined && this.server.exitCode === null && this.server.signalCode === null;
  }

  /** The last of what the server said. */
  heard = '';

  /** The list of instruments the server is to connect to, from its next start on. */
  instruments: string | undefined;

  /** Settings of the server beyond the usual, from its next start on. */
  settings: Record<string, string> = {};

  /** A server on a database of the test's own making. */
  static async on(ownerUrl: string, appUrl: string): Promise<Shop> {
    const shop = new Shop('', await freePort(), ownerUrl, appUrl);
    await onDatabase(ownerUrl, signedIn);
    await shop.start();
    return shop;
  }

  /** One more server on the database of another one, under the address it is to use. */
  static async beside(of: Shop, appUrl: string, settings: Record<string, string>): Promise<Shop> {
    const shop = new Shop('', await freePort(), of.ownerUrl, appUrl);
    shop.settings = settings;
    await shop.start();
    return shop;
  }

  /** Whether the database of this shop takes nothing in any more, from the next connection on. */
  readsOnly(on: boolean): Promise<unknown> {
    return onDatabase(withDatabase(this.ownerUrl, 'postgres'), async (c) => {
      await c.query(`ALTER DATABASE ${this.name} SET default_transaction_read_only = ${on}`);
      await cutConnections(c, this.name);
    });
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    this.starts += 1;
    const env = {
      ...process.env,
      NODE_ENV: 'production' as const,
      APP_DATABASE_URL: this.appUrl,
      GRAVELWORT_PORT: String(this.port),
      ...this.settings,
      ...(this.instruments && { GRAVELWORT_INSTRUMENTS: this.instruments }),
    };
    const server = spawn(process.execPath, ['scripts/serve.mjs', 'start'], { env, stdio: ['ignore', 'pipe', 'pipe'] });
    this.server = server;
    await new Promise<void>((resolve, reject) => {
      const hear = (chunk: Buffer) => {
        this.heard = `${this.heard}${chunk.toString()}`.slice(-20_000);
        if (chunk.includes('Ready in')) resolve();
      };
      server.stdout.on('data', hear);
      server.stderr.on('data', hear);
      server.once('exit', (code) => reject(new Error(`the server ended with ${code}`)));
    });
  }

  /** Holds the server as it is, as a machine does that has no more memory; or lets it go on. */
  hold(on: boolean): void {
    this.server?.kill(on ? 'SIGSTOP' : 'SIGCONT');
  }

  /** Ends the server and waits until it is gone. */
  async stop(signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
    if (!this.server || !this.runs) return;
    const gone = once(this.server, 'exit');
    this.server.kill(signal);
    await gone;
  }

  async close(): Promise<void> {
    await this.stop('SIGKILL');
    const owner = withDatabase(need('OWNER_DATABASE_URL'), 'postgres');
    await onDatabase(owner, (c) => dropDatabase(c, this.name));
  }
}

/** Every test has the demo as it was loaded, on a server shared by all; pages open below its address. */
export const test = base.extend<{ shop: Shop }, { house: Shop }>({
  house: [
    async ({}, use, worker) => {
      const shop = await Shop.open(`gravelwort_e2e_${process.pid}_${worker.workerIndex}`);
      await use(shop);
      await shop.close();
    },
    { scope: 'worker' },
  ],
  shop: [
    async ({ house }, use) => {
      await house.fresh();
      await use(house);
    },
    { auto: true },
  ],
  baseURL: async ({ shop }, use) => use(shop.url),
  storageState: SIGNED_IN,
  // Calls say what page they come from, as a browser's do.
  request: async ({ playwright, shop }, use) => {
    const calls = await playwright.request.newContext({
      ...{ baseURL: shop.url, storageState: SIGNED_IN, extraHTTPHeaders: { origin: shop.url } },
    });
    await use(calls);
    await calls.dispose();
  },
});
export { expect } from '@playwright/test';
export { newJob } from './newJob';

/** A folder beside the tests' own cluster, where the database's system user may go. */
export const clusterFolder = () => mkdtempSync(join(dirname(need('GRAVELWORT_CLUSTER')), 'c-'));

/** Runs functions of the start script on a cluster of a test's own. */
export function clusterShell(folder: string, commands: string): { status: number | null; out: string } {
  const script = `set -uo pipefail; ROOT=$PWD; STATE=${folder}; . scripts/lib.sh; trap - ERR
    [ "$(id -u)" = 0 ] && chmod 755 ${folder}; ${commands}`;
  const { status, stdout, stderr } = spawnSync('bash', ['-c', script], { encoding: 'utf8' });
  return { status, out: stdout + stderr };
}

/** The demo's jobs by what they are good for. */
export const DEMO = {
  provenInside: demoJob(1),
  provenOutside: demoJob(2),
  planned: demoJob(3),
  begun: demoJob(4),
};

/** A measured field by its spoken name; the saved text is shown without “not saved yet”. */
export async function typeInto(page: Page, name: string, text: string): Promise<void> {
  const field = page.getByLabel(name, { exact: true });
  await field.fill(text);
  await field.press('Enter');
}

/** Opens a tab of a station's dock and sees it open. */
export async function openTab(page: Page, name: string): Promise<void> {
  const tab = page.getByRole('tab', { name: new RegExp(`^${name}`) });
  await tab.click();
  await expect(tab).toHaveAttribute('aria-selected', 'true');
}

/** Puts the focus on a field once the page's program runs; before that fields are off, and a focus would be lost without a word. */
export async function focusOn(field: Locator): Promise<void> {
  await expect(field).toBeEnabled();
  await field.focus();
}
