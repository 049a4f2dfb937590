import { createHash } from 'node:crypto';
import { escapeLiteral, Pool, type PoolClient, type QueryResultRow } from 'pg';
import { type z } from 'zod';

/** A transaction inside one shop. The only way to the database. */
export interface Tx {
  shop: string;
  person: string;
  /** All rows, parsed on the way out. @param keep the plan is kept by the connection: for what takes longer to plan than to read */
  rows<S extends z.ZodType>(schema: S, sql: string, values?: unknown[], keep?: 'keep plan'): Promise<z.output<S>[]>;
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
    // One that dies at work says so to the statement under way; nobody else listens, and what nobody hears is a fault of the whole program.
    globalPool.gravelwortPool.on('connect', (client) => client.on('error', () => undefined));
  }
  return globalPool.gravelwortPool;
}

export async function closePool(): Promise<void> {
  await globalPool.gravelwortPool?.end();
  delete globalPool.gravelwortPool;
}

/** One word to the database begins a transaction: as the application's role, and with what it may see. */
async function begun(client: PoolClient, sees: string): Promise<PoolClient> {
  try {
    await client.query(`BEGIN; SET LOCAL ROLE gravelwort_app; ${sees}`);
    return client;
  } catch (error) {
    client.release(true);
    throw error;
  }
}

async function connect(sees: string): Promise<PoolClient> {
  try {
    return await begun(await pool().connect(), sees);
  } catch (error) {
    if (!isConnectionLoss(error)) throw error;
    return begun(await pool().connect(), sees);
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
  transaction(shop, person, ofShop(shop), fn);

/** A transaction before any shop is known: it sees only what its token opens. @param token hash of it */
export const atDoor = <T>(token: Buffer, fn: (tx: Tx) => Promise<T>): Promise<T> =>
  transaction('', '', `SET LOCAL gravelwort.token = '${token.toString('hex')}'`, fn);

/** The shop first, since only then its own row can be read: dates of the transaction are those of its zone. */
function ofShop(shop: string): string {
  const id = escapeLiteral(shop);
  return `SET LOCAL gravelwort.shop = ${id};
    SELECT set_config('timezone', time_zone, true) FROM shop WHERE id = ${id} AND time_zone <> ''`;
}

/** From here on the rows of this shop are seen. */
export const enterShop = async (tx: Tx, shop: string): Promise<void> => void (await tx.run(ofShop(shop)));

async function transaction<T>(shop: string, person: string, sees: string, fn: (tx: Tx) => Promise<T>): Promise<T> {
  const client = await connect(sees);
  let broken = false;
  try {
    const result = await fn({
      shop,
      person,
      rows: async (schema, sql, values = [], keep) => {
        const name = keep && createHash('sha1').update(sql).digest('hex');
        const { rows } = await client.query<QueryResultRow>({ text: sql, values, ...(name && { name }) });
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
