import { type Client } from 'pg';
import { BUNDLED } from '@/data/bundle';

/** How much vehicles made alike differ in what is read of each, 90 % half-width in core units. Chosen. */
const SCATTER = `CASE point WHEN 'hubToLip' THEN 25 WHEN 'loadedArch' THEN 8 WHEN 'axleLoad' THEN 60 WHEN 'padLoad' THEN 30
  WHEN 'shackleAngle' THEN 0.04 WHEN 'leafThickness' THEN 0.1 ELSE 0 END`;

/**
 * Copies of one job of a shop with all that belongs to it, on a connection that sees all of it: a vehicle each, with the same pack and plan, whose
 * readings differ as vehicles do. What was built, foretold and closed is left out. The same number means the same vehicle.
 * @param count vehicles there are then, the one copied counted too
 */
export async function manyVehicles(owner: Client, shop: string, jobAxleId: string, count: number): Promise<void> {
  const one = async <T>(sql: string, values: unknown[]) => (await owner.query(sql, values)).rows[0] as T;
  const { job, vehicle } = await one<{ job: string; vehicle: string }>(
    'SELECT x.job_id AS job, a.vehicle_id AS vehicle FROM job_axle x JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id WHERE x.shop_id = $1 AND x.id = $2',
    [shop, jobAxleId],
  );
  const OF: Readonly<Record<string, string>> = {
    vehicle: `t.id = '${vehicle}'`,
    axle: `t.vehicle_id = '${vehicle}'`,
    job: `t.id = '${job}'`,
    plan_change: `t.plan_id IN (SELECT id FROM plan WHERE job_axle_id = '${jobAxleId}')`,
    plan_leaf: `t.plan_id IN (SELECT id FROM plan WHERE job_axle_id = '${jobAxleId}')`,
  };
  const LEFT = new Set([
    'photo',
    'school_choice',
    'hand_over',
    'job_close',
    'build_start',
    'prediction',
    'ledger_line',
    'outcome',
  ]);
  for (const table of BUNDLED) {
    if (LEFT.has(table)) continue;
    const columns = (
      await owner.query<{ name: string; type: string }>(
        `SELECT column_name AS name, data_type AS type FROM information_schema.columns
          WHERE table_schema = 'public' AND table_name = $1 AND is_generated = 'NEVER' AND is_identity = 'NO'`,
        [table],
      )
    ).rows;
    const has = (name: string) => columns.some((c) => c.name === name);
    const where =
      OF[table] ??
      (has('job_axle_id')
        ? `t.job_axle_id = '${jobAxleId}'`
        : has('job_id')
          ? `t.job_id = '${job}'`
          : has('vehicle_id')
            ? `t.vehicle_id = '${vehicle}'`
            : null);
    if (where === null) continue;
    const own = new Set([
      'shop_id',
      'person_id',
      'updated_by',
      'made_by',
      'made_in_job_id',
      'begun_from',
      'stand_id',
      'shelf_item_id',
    ]);
    const values = columns.map(({ name, type }) => {
      if (type === 'uuid' && !own.has(name))
        return `overlay(overlay(md5(t.${name}::text || n) placing '4' from 13) placing '8' from 17)::uuid`;
      if (name === 'closed_at' || name === 'begun_from') return 'NULL';
      if (table === 'vehicle' && name === 'name') return `t.name || ' ' || n`;
      if (table === 'reading' && name === 'value')
        return `t.value + (${SCATTER.replaceAll('point', 't.point')}) * (2 * (('x' || substr(md5(t.id::text || n), 1, 6))::bit(24)::int / 16777215.0) - 1)`;
      return `t.${name}`;
    });
    await owner.query(
      `INSERT INTO ${table} (${columns.map((c) => c.name).join(', ')}) SELECT ${values.join(', ')}
         FROM ${table} t, generate_series(2, ${count}) n WHERE t.shop_id = '${shop}' AND ${where}`,
    );
  }
  await owner.query('ANALYZE');
}
