import { Pool, type PoolClient, type QueryResultRow } from 'pg';
import { type z } from 'zod';

/** A transaction inside one shop. The only way to the database. */
export interface Tx {
  shop: string;
  person: string;
  /** All rows, parsed on the way out. */
  rows<S extends z.ZodType>(schema: S, sql: string, values?: unknown[]): Promise<z.output<S>[]>;
  /** Number of rows touched. */
  run(sql: string, values?: unknown[]): Promise<number>;
}

/** No statement of a page or a save takes a second; one that takes this long has lost its way, ms. */
const LONGEST_STATEMENT = 30_000;

const globalPool = globalThis as { gravelwortPool?: Pool };

function pool(): Pool {
  const url = process.env.APP_DATABASE_URL;
  if (!url) throw new Error('APP_DATABASE_URL is not set; start with npm start.');
  if (!globalPool.gravelwortPool) {
    globalPool.gravelwortPool = new Pool({
      ...{ connectionString: url, max: 8, connectionTimeoutMillis: 5000 },
      statement_timeout: LONGEST_STATEMENT,
    });
    // A connection that dies while idle (database restarted) is dropped by the pool; the next one is made anew.
    globalPool.gravelwortPool.on('error', () => undefined);
  }
  return globalPool.gravelwortPool;
}

export async function closePool(): Promise<void> {
  await globalPool.gravelwortPool?.end();
  delete globalPool.gravelwortPool;
}

async function connect(): Promise<PoolClient> {
  const client = await pool().connect();
  try {
    await client.query('BEGIN');
    return client;
  } catch (error) {
    client.release(true);
    if (!isConnectionLoss(error)) throw error;
    const second = await pool().connect();
    await second.query('BEGIN');
    return second;
  }
}

const isConnectionLoss = (error: unknown): boolean =>
  error instanceof Error &&
  (/terminat|ECONNRESET|EPIPE|closed/i.test(error.message) || (error as { code?: string }).code === '57P01');

/**
 * Runs `fn` in a transaction whose rows are those of one shop only, as the application's role.
 * A connection lost before the work began is replaced once; after that the error goes to the caller.
 */
export const withShop = <T>(shop: string, person: string, fn: (tx: Tx) => Promise<T>): Promise<T> =>
  transaction(shop, person, (tx) => enterShop(tx, shop).then(() => fn({ ...tx, shop, person })));

/** A transaction before any shop is known: it sees only what its token opens. */
export const atDoor = <T>(token: Buffer, fn: (tx: Tx) => Promise<T>): Promise<T> =>
  transaction('', '', (tx) => bringToken(tx, token).then(() => fn(tx)));

/** From here on the rows of this shop are seen. */
export async function enterShop(tx: Tx, shop: string): Promise<void> {
  // The shop first, since only then its own row can be read: dates of this transaction are those of its zone.
  await tx.run("SELECT set_config('gravelwort.shop', $1, true)", [shop]);
  await tx.run("SELECT set_config('timezone', time_zone, true) FROM shop WHERE id = $1 AND time_zone <> ''", [shop]);
}

/** From here on the row with this token is seen. @param token hash of it */
export const bringToken = (tx: Tx, token: Buffer): Promise<number> =>
  tx.run("SELECT set_config('gravelwort.token', $1, true)", [token.toString('hex')]);

async function transaction<T>(shop: string, person: string, fn: (tx: Tx) => Promise<T>): Promise<T> {
  const client = await connect();
  let broken = false;
  try {
    await client.query('SET LOCAL ROLE gravelwort_app');
    const result = await fn({
      shop,
      person,
      rows: async (schema, sql, values = []) => {
        const { rows } = await client.query<QueryResultRow>(sql, values);
        return rows.map((row) => schema.parse(row));
      },
      run: async (sql, values = []) => (await client.query(sql, values)).rowCount ?? 0,
    });
    await client.query('COMMIT');
    return result;
  } catch (error) {
    broken = isConnectionLoss(error);
    if (!broken) await client.query('ROLLBACK').catch(() => undefined);
    throw error;
  } finally {
    client.release(broken);
  }
}

/** Whether an error is a broken unique rule, and which one. */
export const brokenRule = (error: unknown): string | undefined =>
  error instanceof Error && (error as { code?: string }).code === '23505'
    ? (error as { constraint?: string }).constraint
    : undefined;

/** Words for ILIKE, anywhere in a text; `%` and `_` mean themselves. */
export const anywhere = (words: string): string => `%${words.replaceAll(/[\\%_]/g, (c) => `\\${c}`)}%`;
