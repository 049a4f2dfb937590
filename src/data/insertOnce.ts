import { z } from 'zod';
import { taken } from '@/contracts/problem';
import { type Tx } from './client';
import { checkNames } from './insertRows';

type Row = Readonly<Record<string, unknown>> & { id: string };

/** Who wrote it is no part of what was written: a retry may come from another hand. */
const OF_ITSELF = (columns: readonly string[]) => columns.filter((c) => c !== 'id' && c !== 'person_id');

/**
 * Nothing where the row of this id says what was sent, so that a retry is answered as the first try was.
 * @throws ProblemError `taken` where it says something else: what was sent is not stored, and nobody may think so
 */
export async function sameAsStored(tx: Tx, table: string, row: Row): Promise<void> {
  const columns = Object.keys(row);
  checkNames(table, ...columns);
  const alike = OF_ITSELF(columns).map((c) => `t.${c} IS NOT DISTINCT FROM r.${c}`);
  const [found] = await tx.rows(
    z.object({ same: z.boolean() }),
    `SELECT ${alike.join(' AND ')} AS same FROM ${table} t, json_populate_record(NULL::${table}, $1) r WHERE t.id = r.id`,
    [JSON.stringify(row)],
  );
  if (found?.same !== true) throw taken();
}

/** The same of all rows that belong to one entry. @param owner the column that says whose they are, and the entry's id */
export async function sameRowsAsStored(
  tx: Tx,
  table: string,
  owner: { column: string; id: string },
  columns: readonly string[],
  rows: readonly Readonly<Record<string, unknown>>[],
): Promise<void> {
  checkNames(table, owner.column, ...columns);
  const own = columns.join(', ');
  const stored = `SELECT ${own} FROM ${table} WHERE ${owner.column} = $2`;
  const sent = `SELECT ${own} FROM json_populate_recordset(NULL::${table}, $1)`;
  const differ = await tx.rows(
    z.object({}),
    `(${stored} EXCEPT ${sent}) UNION ALL (${sent} EXCEPT ${stored}) LIMIT 1`,
    [JSON.stringify(rows), owner.id],
  );
  if (differ.length > 0) throw taken();
}

/** Appends a row by its id, or finds it there already. @returns whether it was new @throws as `sameAsStored` */
export async function insertOnce(tx: Tx, table: string, row: Row): Promise<boolean> {
  const columns = Object.keys(row);
  checkNames(table, ...columns);
  const made = await tx.run(
    `INSERT INTO ${table} (shop_id, ${columns.join(', ')})
     SELECT $2::uuid, ${columns.map((c) => `r.${c}`).join(', ')} FROM json_populate_record(NULL::${table}, $1) AS r
     ON CONFLICT (shop_id, id) DO NOTHING`,
    [JSON.stringify(row), tx.shop],
  );
  if (made === 0) await sameAsStored(tx, table, row);
  return made > 0;
}
