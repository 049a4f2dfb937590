import { AsyncLocalStorage } from 'node:async_hooks';
import { createHash } from 'node:crypto';
import { escapeLiteral, Pool, type PoolClient, type QueryResultRow } from 'pg';
import { z } from 'zod';

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

/** `copy`: a copy of the database that follows it and is only read, where there is one. */
type Which = 'main' | 'copy';
const ADDRESS = { main: 'APP_DATABASE_URL', copy: 'APP_READ_DATABASE_URL' } as const;
const globalPools = globalThis as { gravelwortPools?: Partial<Record<Which, Pool>> };

function pool(which: Which): Pool {
  const url = process.env[ADDRESS[which]];
  if (!url) throw new Error(`${ADDRESS[which]} is not set; start with npm start.`);
  const pools = (globalPools.gravelwortPools ??= {});
  let made = pools[which];
  if (!made) {
    made = new Pool({ connectionString: url, max: 8, connectionTimeoutMillis: which === 'main' ? 5000 : 1000 });
    // A connection that dies while idle (database restarted) is dropped by the pool; the next one is made anew.
    made.on('error', () => undefined);
    // One that dies at work says so to the statement under way; nobody else listens, and what nobody hears is a fault of the whole program.
    made.on('connect', (client) => client.on('error', () => undefined));
    pools[which] = made;
  }
  return made;
}

export async function closePool(): Promise<void> {
  const pools = Object.values(globalPools.gravelwortPools ?? {});
  delete globalPools.gravelwortPools;
  for (const made of pools) await made.end();
}

/** A pooler gives each transaction another connection: a plan that one of them keeps is not known to the next. */
const pooled = (): boolean => process.env.GRAVELWORT_POOLER === 'yes';

/** One word to the database begins a transaction: as the application's role, and with what it may see. */
async function begun(client: PoolClient, sees: string): Promise<PoolClient> {
  try {
    await client.query(
      `BEGIN; SET LOCAL ROLE gravelwort_app; SET LOCAL statement_timeout = ${LONGEST_STATEMENT}; ${sees}`,
    );
    return client;
  } catch (error) {
    client.release(true);
    throw error;
  }
}

async function connect(sees: string): Promise<PoolClient> {
  try {
    return await begun(await pool('main').connect(), sees);
  } catch (error) {
    if (!isConnectionLoss(error)) throw error;
    return begun(await pool('main').connect(), sees);
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

/** How far the database had come after the last write of one request, where a copy of it is read as well. */
const written = new AsyncLocalStorage<{ upTo: string | null }>();

/** Runs a request, and tells how far the database had come after what it wrote; null where nothing was, or no copy is read. */
export async function notingWrites<T>(fn: () => Promise<T>): Promise<{ result: T; upTo: string | null }> {
  const noted = { upTo: null };
  return { result: await written.run(noted, fn), upTo: noted.upTo };
}

/** A place in the database's log. */
const PLACE = /^[0-9A-F]{1,8}\/[0-9A-F]{1,8}$/;
/** A copy that does not answer is left alone so long, ms. */
const LEFT_ALONE = 15_000;
let noCopyUntil = 0;

/**
 * A look at a shop that may come from the copy: whoever wrote sees what they wrote, since a copy that has not come so far is not asked.
 * @param upTo how far the database had come after the last write of who looks; null when they wrote nothing
 */
export async function lookAtShop<T>(
  shop: string,
  person: string,
  upTo: string | null,
  fn: (tx: Tx) => Promise<T>,
): Promise<T> {
  const copy = await copyThatHas(shop, upTo);
  if (copy)
    try {
      return await within(copy, shop, person, fn, false);
    } catch {
      // Away, behind, or in the way of what it follows: the database itself has the last word.
    }
  return withShop(shop, person, fn);
}

async function copyThatHas(shop: string, upTo: string | null): Promise<PoolClient | undefined> {
  if (!process.env[ADDRESS.copy] || Date.now() < noCopyUntil) return undefined;
  if (upTo !== null && !PLACE.test(upTo)) return undefined;
  let client: PoolClient | undefined;
  try {
    client = await begun(await pool('copy').connect(), `SET LOCAL transaction_read_only = on; ${ofShop(shop)}`);
    if (upTo === null) return client;
    const sql = 'SELECT pg_last_wal_replay_lsn() >= $1::pg_lsn AS there';
    const { rows } = await client.query<{ there: boolean | null }>(sql, [upTo]);
    if (rows[0]?.there) return client;
    await client.query('ROLLBACK');
    client.release();
  } catch {
    client?.release(true);
    noCopyUntil = Date.now() + LEFT_ALONE;
  }
  return undefined;
}

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
  return within(await connect(sees), shop, person, fn, Boolean(process.env[ADDRESS.copy]));
}

const commits = z.tuple([
  z.object({ rows: z.tuple([z.object({ wrote: z.boolean() })]) }),
  z.unknown(),
  z.object({ rows: z.tuple([z.object({ upTo: z.string() })]) }),
]);

/** @param tells whether it is noted how far the database came with what is written */
async function within<T>(
  client: PoolClient,
  shop: string,
  person: string,
  fn: (tx: Tx) => Promise<T>,
  tells: boolean,
): Promise<T> {
  let broken = false;
  try {
    const result = await fn({
      shop,
      person,
      rows: async (schema, sql, values = [], keep) => {
        const name = keep && !pooled() && createHash('sha1').update(sql).digest('hex');
        const { rows } = await client.query<QueryResultRow>({ text: sql, values, ...(name && { name }) });
        return rows.map((row) => schema.parse(row));
      },
      run: async (sql, values = []) => (await client.query(sql, values)).rowCount ?? 0,
    });
    const noted = tells ? written.getStore() : undefined;
    if (!noted) await client.query('COMMIT');
    else {
      const [before, , after] = commits.parse(
        await client.query(
          'SELECT pg_current_xact_id_if_assigned() IS NOT NULL AS wrote; COMMIT; SELECT pg_current_wal_insert_lsn()::text AS "upTo"',
        ),
      );
      if (before.rows[0].wrote) noted.upTo = after.rows[0].upTo;
    }
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
