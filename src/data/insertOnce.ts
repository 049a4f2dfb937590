import { z } from 'zod';
import { ProblemError } from '@/contracts/problem';
import { type Tx } from './client';
import { NAME } from './insertRows';

type Row = Readonly<Record<string, unknown>> & { id: string };

/** Who wrote it is no part of what was written: a retry may come from another hand. */
const OF_ITSELF = (columns: readonly string[]) => columns.filter((c) => c !== 'id' && c !== 'person_id');

/**
 * Nothing where the row of this id says what was sent, so that a retry is answered as the first try was.
 * @throws ProblemError `taken` where it says something else: what was sent is not stored, and nobody may think so
 */
export async function sameAsStored(tx: Tx, table: string, row: Row): Promise<void> {
  const columns = Object.keys(row);
  for (const name of [table, ...columns]) if (!NAME.test(name)) throw new Error(`${name} is no name of a column`);
  const alike = OF_ITSELF(columns).map((c) => `t.${c} IS NOT DISTINCT FROM r.${c}`);
  const [found] = await tx.rows(
    z.object({ same: z.boolean() }),
    `SELECT ${alike.join(' AND ')} AS same FROM ${table} t, json_populate_record(NULL::${table}, $1) r WHERE t.id = r.id`,
    [JSON.stringify(row)],
  );
  if (found?.same !== true)
    throw new ProblemError(409, {
      code: 'taken',
      message: 'Something else was saved under this id before; this was not saved. Reload the page and enter it anew.',
    });
}

/** Appends a row by its id, or finds it there already. @returns whether it was new @throws as `sameAsStored` */
export async function insertOnce(tx: Tx, table: string, row: Row): Promise<boolean> {
  const columns = Object.keys(row);
  for (const name of [table, ...columns]) if (!NAME.test(name)) throw new Error(`${name} is no name of a column`);
  const made = await tx.run(
    `INSERT INTO ${table} (shop_id, ${columns.join(', ')})
     SELECT $2::uuid, ${columns.map((c) => `r.${c}`).join(', ')} FROM json_populate_record(NULL::${table}, $1) AS r
     ON CONFLICT (shop_id, id) DO NOTHING`,
    [JSON.stringify(row), tx.shop],
  );
  if (made === 0) await sameAsStored(tx, table, row);
  return made > 0;
}
