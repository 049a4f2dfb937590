import { z } from 'zod';
import { type Tx } from './client';
import { together } from './together';

/** A database that answers every column with what was asked. */
function fake(): { tx: Tx; sent: { sql: string; values: unknown[] }[] } {
  const sent: { sql: string; values: unknown[] }[] = [];
  const tx: Tx = {
    shop: 's',
    person: 'p',
    rows: async (schema, sql, values = []) => {
      sent.push({ sql, values });
      const columns = [...sql.matchAll(/AS (a\d+)/g)].map((m) => m[1]!);
      return [schema.parse(Object.fromEntries(columns.map((c, k) => [c, [{ n: k }, { n: 10 + k }]])))];
    },
    run: async () => 1,
  };
  return { tx, sent };
}
const row = z.object({ n: z.number() });

test('reads asked in one turn are one statement, each with its own parameters and rows; later ones are the next', async () => {
  const { tx, sent } = fake();
  const own = together(tx);
  const [one, two] = await Promise.all([
    own.rows(row, 'SELECT n FROM x WHERE a = $1 AND b = $2', ['a', 'b']),
    own.rows(row, 'SELECT n FROM y WHERE c = $1 OR d = $1', ['c']),
  ]);
  expect([one, two]).toEqual([
    [{ n: 0 }, { n: 10 }],
    [{ n: 1 }, { n: 11 }],
  ]);
  expect(sent).toHaveLength(1);
  expect(sent[0]!.values).toEqual(['a', 'b', 'c']);
  expect(sent[0]!.sql).toContain('c = $3 OR d = $3');
  await own.rows(row, 'SELECT n FROM z');
  expect(sent).toHaveLength(2);
});

test('a row that is not as it should be fails its own read only; a database that fails fails all', async () => {
  const { tx } = fake();
  const own = together(tx);
  const [good, bad] = await Promise.allSettled([
    own.rows(row, 'SELECT 1'),
    own.rows(z.object({ missing: z.string() }), 'SELECT 2'),
  ]);
  expect([good.status, bad.status]).toEqual(['fulfilled', 'rejected']);
  const down = together({ ...tx, rows: () => Promise.reject(new Error('gone')) });
  const both = await Promise.allSettled([down.rows(row, 'SELECT 1'), down.rows(row, 'SELECT 2')]);
  expect(both.map((b) => b.status)).toEqual(['rejected', 'rejected']);
});
