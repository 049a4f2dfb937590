import { type Client } from 'pg';

/**
 * Copies of one job of a shop, on a connection that sees all of it: a vehicle each, nine of ten closed, checks due over three years about today,
 * one of twenty-five still open.
 * @param count jobs there are then, the one copied counted too
 */
export async function manyJobs(owner: Client, shop: string, count: number): Promise<void> {
  const copies = (table: string, changes: string, where = 'true') =>
    owner.query(
      `INSERT INTO ${table} SELECT (jsonb_populate_record(NULL::${table}, to_jsonb(t) || ${changes})).*
         FROM (SELECT * FROM ${table} WHERE ${where} LIMIT 1) t, generate_series(1, ${count - 1}) n`,
    );
  const id = (what: string) => `overlay(overlay(md5('${what}' || n) placing '4' from 13) placing '8' from 17)::uuid`;
  await copies('vehicle', `jsonb_build_object('id', ${id('v')}, 'name', 'truck ' || n)`);
  await copies('axle', `jsonb_build_object('id', ${id('a')}, 'vehicle_id', ${id('v')})`, `position = 'rear'`);
  await copies(
    'job',
    `jsonb_build_object('id', ${id('j')}, 'created_at', now() - n * interval '20 minutes',
                        'closed_at', CASE WHEN n % 10 > 0 THEN now() END)`,
  );
  await copies('job_axle', `jsonb_build_object('id', ${id('j')}, 'job_id', ${id('j')}, 'axle_id', ${id('a')})`);
  await copies('load_state', `jsonb_build_object('id', ${id('s')}, 'job_id', ${id('j')})`, 'wanted');
  await owner.query(
    `INSERT INTO due_check (shop_id, id, job_id, what, after_km, due_on, open)
     SELECT $1, ${id('d')}, ${id('j')}, 'U-bolts: torque again', 800, current_date - 550 + (n % 1100), n % 25 = 0
       FROM generate_series(1, $2::int - 1) n`,
    [shop, count],
  );
  await owner.query('ANALYZE');
}
