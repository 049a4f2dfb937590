import { z } from 'zod';
import { type Tx } from './client';

interface Waiting {
  sql: string;
  values: unknown[];
  take: (rows: unknown[]) => void;
  fail: (error: unknown) => void;
}

const answers = z.record(z.string(), z.array(z.unknown()));

/** Queries of one turn as one statement: each a column with its rows as JSON, its parameters moved up behind those before it. */
function oneStatement(queries: readonly Waiting[]): { sql: string; values: unknown[] } {
  const values: unknown[] = [];
  const columns = queries.map(({ sql, values: own }, k) => {
    const before = values.length;
    values.push(...own);
    const moved = sql.replaceAll(/\$(\d+)/g, (_, n: string) => `$${Number(n) + before}`);
    return `(SELECT coalesce(json_agg(row_to_json(q)), '[]') FROM (${moved}) q) AS a${k}`;
  });
  return { sql: `SELECT ${columns.join(',\n')}`, values };
}

/**
 * A transaction whose reads are sent together: all that are asked before anybody waits go to the database as one statement, and
 * each gets its own rows, parsed as always. Writes go through at once, so nothing is read together with a write.
 */
export function together(tx: Tx): Tx {
  let waiting: Waiting[] = [];
  const send = async () => {
    const queries = waiting;
    waiting = [];
    try {
      const { sql, values } = oneStatement(queries);
      const [found] = await tx.rows(answers, sql, values, 'keep plan');
      queries.forEach((q, k) => q.take(found?.[`a${k}`] ?? []));
    } catch (error) {
      for (const q of queries) q.fail(error);
    }
  };
  return {
    ...tx,
    rows: <S extends z.ZodType>(schema: S, sql: string, values: unknown[] = []) =>
      new Promise<z.output<S>[]>((resolve, reject) => {
        const take = (rows: unknown[]) => {
          const parsed = z.array(schema).safeParse(rows);
          if (parsed.success) resolve(parsed.data);
          else reject(parsed.error);
        };
        if (waiting.push({ sql, values, take, fail: reject }) === 1) setImmediate(() => void send());
      }),
  };
}
