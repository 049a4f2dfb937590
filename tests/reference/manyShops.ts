import { type Client } from 'pg';
import { BUNDLED } from '@/data/bundle';
import { DEMO_SHOP } from '../../demo/ids';

/** Of every so many jobs one was built and proven, with its predictions; chosen. */
const DEEP = 20;
/** Readings of a job that was not. */
const FEW = 8;
/** Jobs of one vehicle. */
const OF_VEHICLE = 4;
/** The largest shop has so much of all jobs, unless it is said otherwise. */
const LARGEST = 0.05;
/** Parts on the shelf of each shop, as many as the demo's shelf has at the most. */
const TEMPLATES = ['0001', '0002', '0003', '0005'].map((n) => `5a1e${n}-0000-4000-8000-000000000f00`);
const ONLY_DEEP = new Set([
  ...[
    'prediction',
    'ledger_line',
    'outcome',
    'build_start',
    'safety_answer',
    'torque_entry',
    'torque_reading',
    'leg_thread',
  ],
  ...[
    'step_tick',
    'incident',
    'defect',
    'defect_end',
    'function_check',
    'road_test',
    'settling_height',
    'lesson',
    'due_done',
  ],
  ...[
    'hand_over',
    'press_run',
    'press_point',
    'job_wait',
    'job_bay',
    'needed_part',
    'arrival_reading',
    'side_finding',
    'survey_answer',
  ],
]);
/** Left out: pictures are bytes, and what names a part or a person of the demo's shop only. */
const LEFT = new Set(['photo', 'school_choice', 'cost_line', 'kit_item', 'fastener_size']);
const FOR_VEHICLE = new Set(['vehicle', 'axle', 'axle_rating', 'vehicle_feature', 'failure', 'odometer']);
const NOWHERE = new Set(['begun_from', 'stand_id', 'shelf_item_id', 'made_in_job_id', 'part_id']);
const PEOPLE = /(^|_)(person_id|updated_by|made_by|done_by|found_by)$/;

/** An invented uuid of a text, the same text the same one. */
const uuid = (text: string) => `overlay(overlay(md5(${text}) placing '4' from 13) placing '8' from 17)::uuid`;
const shopOf = (k: string) => uuid(`'shop ' || ${k}`);
const pick = (words: readonly string[], by: string) =>
  `(ARRAY[${words.map((w) => `'${w}'`).join(', ')}])[1 + abs(hashint4(${by})) % ${words.length}]`;
const NAMES = [
  ['Blue', 'Old', 'Long', 'Short', 'Green', 'Grey', 'Harbour', 'Quarry', 'Forest', 'Dune', 'Dairy', 'Orchard'],
  [
    'tipper',
    'box trailer',
    'flatbed',
    'hay cart',
    'hook loader',
    'tanker',
    'crew cab',
    'boat trailer',
    'mule',
    'sweeper',
  ],
];
const COMPLAINTS = [
  'Sits low behind when it is loaded',
  'Leans to the left after the winter',
  'Knocks over every kerb',
  'Main leaf cracked at the clip',
  'Wanders, the tail steps out',
  'Shackle hangs straight down',
  'Touches its stops on the quarry road',
  'Wants two inches over the tyre',
];

export interface ManyShops {
  shops: number;
  jobs: number;
  /** Share of all jobs that the first shop has. */
  largest?: number;
}

/**
 * Shops like the demo's with jobs like its own, on a connection that sees all of it: vehicles with four jobs each, most of them closed, eight readings to a
 * job, and every twentieth built, foretold and proven as the demo's. One shop has a twentieth of all jobs. The same numbers mean the same shops.
 * @param half one of two halves of the jobs, for two connections at once; both when left out
 */
export async function manyShops(
  owner: Client,
  { shops, jobs, largest = LARGEST }: ManyShops,
  half?: 0 | 1,
): Promise<void> {
  // Whole vehicles go to one shop.
  const large = Math.floor((jobs * largest) / OF_VEHICLE) * OF_VEHICLE - 1;
  await owner.query(`CREATE TEMP TABLE spread AS
    SELECT n, n / ${OF_VEHICLE} * ${OF_VEHICLE} AS vn, k, ${shopOf('k')} AS shop, 1 + (n / ${OF_VEHICLE}) % ${TEMPLATES.length} AS like_nth
      FROM (SELECT n, CASE WHEN n <= ${large} THEN 1 ELSE 2 + ((n - ${large + 1}) / ${OF_VEHICLE} * ${shops - 1}::bigint / ${Math.ceil((jobs - large) / OF_VEHICLE) + 1})::int END AS k
              FROM generate_series(1, ${jobs}) n) s ${half === undefined ? '' : `WHERE n ${half === 0 ? '<=' : '>'} ${jobs / 2}`}`);
  await owner.query('CREATE INDEX ON spread (like_nth, shop); ANALYZE spread');
  if (half !== 1) await shopsThemselves(owner, shops);
  const columns = (
    await owner.query<{ table: string; name: string; type: string }>(
      `SELECT table_name AS table, column_name AS name, data_type AS type FROM information_schema.columns
        WHERE table_schema = 'public' AND is_generated = 'NEVER' AND is_identity = 'NO' ORDER BY ordinal_position`,
    )
  ).rows;
  for (const table of BUNDLED) {
    if (LEFT.has(table)) continue;
    const own = columns.filter((c) => c.table === table);
    const has = (name: string) => own.some((c) => c.name === name);
    const ofVehicle = FOR_VEHICLE.has(table);
    const jobOf =
      table === 'job'
        ? 't.id'
        : has('job_id') && !ofVehicle
          ? 't.job_id'
          : has('job_axle_id')
            ? '(SELECT x.job_id FROM job_axle x WHERE x.shop_id = t.shop_id AND x.id = t.job_axle_id)'
            : null;
    const below: Readonly<Record<string, string>> = {
      plan_change: 'plan p WHERE p.shop_id = t.shop_id AND p.id = t.plan_id',
      ledger_line: 'prediction p WHERE p.shop_id = t.shop_id AND p.id = t.prediction_id',
      outcome: 'prediction p WHERE p.shop_id = t.shop_id AND p.id = t.prediction_id',
      press_point: 'press_run p WHERE p.shop_id = t.shop_id AND p.id = t.run_id',
      finding_value: 'finding p WHERE p.shop_id = t.shop_id AND p.id = t.finding_id',
    };
    const job =
      jobOf ??
      (below[table]
        ? `(SELECT (SELECT x.job_id FROM job_axle x WHERE x.shop_id = p.shop_id AND x.id = p.job_axle_id) FROM ${below[table]})`
        : table === 'due_done'
          ? '(SELECT d.job_id FROM due_check d WHERE d.shop_id = t.shop_id AND d.id = t.check_id)'
          : `(SELECT x.job_id FROM job_axle x JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id WHERE a.shop_id = t.shop_id AND ${
              table === 'vehicle'
                ? 'a.vehicle_id = t.id'
                : table === 'axle'
                  ? 'a.vehicle_id = t.vehicle_id'
                  : has('vehicle_id')
                    ? 'a.vehicle_id = t.vehicle_id'
                    : 'a.id = t.axle_id'
            } ORDER BY 1 LIMIT 1)`);
    const value = ({ name, type }: { name: string; type: string }): string => {
      if (name === 'shop_id') return 's.shop';
      if (NOWHERE.has(name)) return 'NULL::uuid';
      if (type === 'uuid' && PEOPLE.test(name))
        return `CASE WHEN t.${name} IS NULL THEN NULL ELSE ${uuid(`t.${name}::text || s.k`)} END`;
      if (type === 'uuid') {
        const number = ofVehicle || name === 'axle_id' || name === 'vehicle_id' ? 's.vn' : 's.n';
        return `CASE WHEN t.${name} IS NULL THEN NULL ELSE ${uuid(`t.${name}::text || ${number}`)} END`;
      }
      if (table === 'vehicle' && name === 'name')
        return `${pick(NAMES[0]!, 's.vn')} || ' ' || ${pick(NAMES[1]!, 's.vn + 1')} || ' ' || s.vn`;
      if (table === 'job' && name === 'complaint') return pick(COMPLAINTS, 's.n');
      if (table === 'job' && name === 'created_at') return `now() - (s.n % 50000) * interval '50 minutes'`;
      if (table === 'job' && name === 'closed_at')
        return `CASE WHEN s.n % 25 = 0 THEN NULL ELSE now() - (s.n % 50000) * interval '49 minutes' END`;
      if (table === 'due_check' && name === 'open') return 's.n % 25 = 0';
      if (table === 'due_check' && name === 'due_on') return 'current_date - 400 + s.n % 800';
      if (table === 'due_check' && name === 'passed') return 'false';
      if (table === 'reading' && name === 'value')
        return `t.value * (0.98 + 0.04 * abs(hashint4(s.n) % 1000) / 1000.0)`;
      return `t.${name}`;
    };
    const picked = [
      ofVehicle ? `(s.n = s.vn OR s.n = 1)` : null,
      ONLY_DEEP.has(table) ? `s.n % ${DEEP} = 0` : null,
      table === 'reading' ? `(s.n % ${DEEP} = 0 OR t.nth_of <= ${FEW})` : null,
    ].filter((c) => c !== null);
    // What the demo's jobs have of it, numbered by their job.
    const from = `(SELECT t.*, array_position(ARRAY['${TEMPLATES.join("', '")}']::uuid[], ${job}) AS like_nth${
      table === 'reading'
        ? ', row_number() OVER (PARTITION BY t.job_id ORDER BY t.supersedes IS NOT NULL, t.phase DESC, t.point, t.id) AS nth_of'
        : ''
    } FROM ${table} t WHERE t.shop_id = '${DEMO_SHOP}' OFFSET 0) t JOIN spread s ON s.like_nth = t.like_nth`;
    await owner.query(
      `INSERT INTO ${table} (${own.map((c) => c.name).join(', ')}) SELECT ${own.map(value).join(', ')} FROM ${from} ${
        picked.length > 0 ? `WHERE ${picked.join(' AND ')}` : ''
      } ON CONFLICT DO NOTHING`,
    );
  }
  await owner.query('DROP TABLE spread');
}

/** The shops, their people, and a shelf like the demo's in each. */
async function shopsThemselves(owner: Client, shops: number): Promise<void> {
  const each = `generate_series(1, ${shops}) AS k`;
  await owner.query(
    `INSERT INTO shop (id, name, time_zone, word) SELECT ${shopOf('k')}, 'Shop ' || k, 'UTC', 'shop-' || k FROM ${each}`,
  );
  await owner.query(
    `INSERT INTO person (shop_id, id, name, role) SELECT ${shopOf('k')}, ${uuid('p.id::text || k')}, p.name, p.role
       FROM person p, ${each} WHERE p.shop_id = '${DEMO_SHOP}'`,
  );
  for (const table of ['shelf_item', 'shelf_leaf', 'shelf_dimension', 'shelf_word']) {
    const names = (
      await owner.query<{ name: string }>(
        `SELECT column_name AS name FROM information_schema.columns WHERE table_schema = 'public' AND table_name = $1 AND is_generated = 'NEVER' ORDER BY ordinal_position`,
        [table],
      )
    ).rows.map((r) => r.name);
    const value = (name: string) =>
      name === 'shop_id'
        ? shopOf('k')
        : name === 'id' || name === 'item_id' || name === 'updated_by'
          ? uuid(`t.${name}::text || k`)
          : `t.${name}`;
    await owner.query(
      `INSERT INTO ${table} (${names.join(', ')}) SELECT ${names.map(value).join(', ')} FROM ${table} t, ${each} WHERE t.shop_id = '${DEMO_SHOP}'`,
    );
  }
}

/** Shop number k, and one of its people. */
export async function grownShop(owner: Client, k: number): Promise<{ shop: string; person: string }> {
  const { rows } = await owner.query<{ shop: string; person: string }>(
    `SELECT s.id AS shop, (SELECT p.id FROM person p WHERE p.shop_id = s.id ORDER BY p.id LIMIT 1) AS person FROM shop s WHERE s.id = ${shopOf(String(k))}`,
  );
  return rows[0]!;
}
