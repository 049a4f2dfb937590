// Which piece of work is next, on any machine. What is to be done and what came of it stands in our own tables; the queue carries addresses only.
import { Client } from 'pg';
import PgBoss from 'pg-boss';
import { z } from 'zod';
import { type Tx } from './client';

const QUEUE = 'batch';
const DEAD = 'batch-dead';
const WORDS = 'hook';
const WORDS_DEAD = 'hook-dead';
const SCHEMA = 'pgboss';

/** One piece of a batch: where it stands. */
export const addressSchema = z.object({ shop: z.uuid(), person: z.uuid(), batch: z.uuid(), nth: z.number().int() });
export type Address = z.infer<typeof addressSchema>;

/** A word that is to be said to an address of the shop's. */
export const wordAddressSchema = z.object({ shop: z.uuid(), person: z.uuid(), word: z.uuid() });
export type WordAddress = z.infer<typeof wordAddressSchema>;

/** How often a word is said again, the first time after so many seconds, then after ever more: about an hour in all. */
const SAID = { retryLimit: 7, retryDelay: Number(process.env.GRAVELWORT_HOOKS_AGAIN ?? 30) };

/** Tries after the first; a piece that a worker holds longer than this is given to another one, s. */
const AGAIN = 3;
const HELD = Number(process.env.GRAVELWORT_QUEUE_HELD ?? 120);

/** Makes the queue's own tables and lets the application use them. @param ownerUrl of whoever owns the database */
export async function makeQueue(ownerUrl: string): Promise<void> {
  const boss = new PgBoss({ connectionString: ownerUrl, schema: SCHEMA, supervise: false, schedule: false });
  boss.on('error', () => undefined);
  await boss.start();
  try {
    await boss.createQueue(DEAD);
    await boss.createQueue(QUEUE, {
      ...{ name: QUEUE, retryLimit: AGAIN, retryDelay: 1, retryBackoff: true, expireInSeconds: HELD, deadLetter: DEAD },
    });
    await boss.createQueue(WORDS_DEAD);
    await boss.createQueue(WORDS, {
      ...{ name: WORDS, ...SAID, retryBackoff: true, expireInSeconds: 60, deadLetter: WORDS_DEAD },
    });
  } finally {
    await boss.stop({ graceful: false });
  }
  const owner = new Client({ connectionString: ownerUrl });
  await owner.connect();
  try {
    await owner.query(`GRANT USAGE ON SCHEMA ${SCHEMA} TO gravelwort_app;
      GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA ${SCHEMA} TO gravelwort_app;
      GRANT EXECUTE ON ALL FUNCTIONS IN SCHEMA ${SCHEMA} TO gravelwort_app`);
  } finally {
    await owner.end();
  }
}

/** A sender that never opens a connection of its own: what it sends goes out with the transaction that asks for it. */
const sender = new PgBoss({
  db: { executeSql: () => Promise.reject(new Error('sent outside a transaction')) },
  schema: SCHEMA,
});

/**
 * Puts pieces into the queue, in the transaction that stores them. Each further piece of a shop stands behind the first ones of all others, so
 * that one shop's thousand leave another shop's ten their turn. @param before pieces of this shop that wait already
 */
export async function enqueue(tx: Tx, pieces: readonly Address[], before: number): Promise<void> {
  await put(
    tx,
    pieces.map((data, k) => ({ name: QUEUE, data, priority: -(before + k) })),
  );
}

/** Puts words that are to be said into the queue, in the transaction that writes them down. */
export const enqueueWords = (tx: Tx, words: readonly WordAddress[]): Promise<void> =>
  put(
    tx,
    words.map((data) => ({ name: WORDS, data })),
  );

async function put(tx: Tx, jobs: readonly PgBoss.JobInsert[]): Promise<void> {
  const db = {
    executeSql: async (sql: string, values: unknown[]) => ({
      rows: (await tx.rows(z.any(), sql, values)) as unknown[],
    }),
  };
  for (let from = 0; from < jobs.length; from += 500) await sender.insert(jobs.slice(from, from + 500), { db });
}

export interface QueueWorker {
  stop: () => Promise<void>;
}

export interface Work {
  /** Stores what a piece comes to; and that it came to nothing. */
  piece: (at: Address) => Promise<void>;
  lost: (at: Address, problem: string) => Promise<unknown>;
  /** Says a word; and stores that nobody heard it. */
  say: (at: WordAddress) => Promise<void>;
  unheard: (at: WordAddress) => Promise<unknown>;
}

/** Works at what is in the queues until it is told to stop. */
export async function workQueue(
  appUrl: string,
  { piece, lost, say, unheard }: Work,
  onError: (error: unknown) => void,
): Promise<QueueWorker> {
  const boss = new PgBoss({
    ...{ connectionString: appUrl, schema: SCHEMA, migrate: false, schedule: false, max: 4 },
    ...{ maintenanceIntervalSeconds: 10 },
  });
  boss.on('error', onError);
  await boss.start();
  const options = { batchSize: 1, pollingIntervalSeconds: 0.5 };
  const on = <T>(queue: string, schema: z.ZodType<T>, work: (at: T) => Promise<unknown>) =>
    boss.work(queue, options, async ([job]) => {
      if (job) await work(schema.parse(job.data));
    });
  await on(QUEUE, addressSchema, piece);
  await on(DEAD, addressSchema, (at) => lost(at, 'given up after every try'));
  await on(WORDS, wordAddressSchema, say);
  await on(WORDS_DEAD, wordAddressSchema, unheard);
  return { stop: () => boss.stop({ graceful: true, timeout: 20_000 }) };
}
