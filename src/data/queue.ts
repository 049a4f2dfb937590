// Which piece of work is next, on any machine. What is to be done and what came of it stands in our own tables; the queue carries addresses only.
import { Client } from 'pg';
import PgBoss from 'pg-boss';
import { z } from 'zod';
import { type Tx } from './client';

const QUEUE = 'batch';
const DEAD = 'batch-dead';
const SCHEMA = 'pgboss';

/** One piece of a batch: where it stands. */
export const addressSchema = z.object({ shop: z.uuid(), person: z.uuid(), batch: z.uuid(), nth: z.number().int() });
export type Address = z.infer<typeof addressSchema>;

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
  const db = {
    executeSql: async (sql: string, values: unknown[]) => ({
      rows: (await tx.rows(z.any(), sql, values)) as unknown[],
    }),
  };
  for (let from = 0; from < pieces.length; from += 500)
    await sender.insert(
      pieces.slice(from, from + 500).map((data, k) => ({ name: QUEUE, data, priority: -(before + from + k) })),
      { db },
    );
}

export interface QueueWorker {
  stop: () => Promise<void>;
}

/** Works at what is in the queue until it is told to stop. @param work stores what a piece comes to @param lost stores that it came to nothing */
export async function workQueue(
  appUrl: string,
  work: (at: Address) => Promise<void>,
  lost: (at: Address, problem: string) => Promise<void>,
  onError: (error: unknown) => void,
): Promise<QueueWorker> {
  const boss = new PgBoss({
    ...{ connectionString: appUrl, schema: SCHEMA, migrate: false, schedule: false, max: 3 },
    ...{ maintenanceIntervalSeconds: 10 },
  });
  boss.on('error', onError);
  await boss.start();
  const options = { batchSize: 1, pollingIntervalSeconds: 0.5 };
  await boss.work(QUEUE, options, async ([job]) => {
    if (job) await work(addressSchema.parse(job.data));
  });
  await boss.work(DEAD, options, async ([job]) => {
    if (job) await lost(addressSchema.parse(job.data), 'given up after every try');
  });
  return { stop: () => boss.stop({ graceful: true, timeout: 20_000 }) };
}
