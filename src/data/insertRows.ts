import { type Tx } from './client';

/** Column names are the program's own; anything else is a slip and never reaches the database. */
const NAME = /^[a-z][a-z0-9_]*$/;
export function checkNames(...names: readonly string[]): void {
  for (const name of names) if (!NAME.test(name)) throw new Error(`${name} is no name of a column`);
}

/**
 * Inserts rows of one table as one statement, whatever their number; their shop is that of the transaction. All rows have the
 * columns of the first. @returns how many were inserted
 */
export async function insertRows(
  tx: Tx,
  table: string,
  rows: readonly Readonly<Record<string, unknown>>[],
): Promise<number> {
  const [first] = rows;
  if (!first) return 0;
  const columns = Object.keys(first);
  checkNames(table, ...columns);
  const own = columns.map((name) => `r.${name}`).join(', ');
  return tx.run(
    `INSERT INTO ${table} (shop_id, ${columns.join(', ')})
     SELECT $2::uuid, ${own} FROM json_populate_recordset(NULL::${table}, $1) AS r`,
    [JSON.stringify(rows), tx.shop],
  );
}
