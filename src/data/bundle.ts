import { z } from 'zod';
import { bundleHead, personRefSchema } from '@/contracts/bundle';
import { type Tx } from './client';
import { checkNames } from './insertRows';

/** `$1` is the job. */
const AXLES = 'SELECT id FROM job_axle WHERE job_id = $1';
const VEHICLE = 'SELECT a.vehicle_id FROM job_axle x JOIN axle a ON a.id = x.axle_id WHERE x.job_id = $1';
const OF_VEHICLE = `vehicle_id IN (${VEHICLE})`;
const OF_AXLES = `axle_id IN (SELECT id FROM axle WHERE ${OF_VEHICLE})`;
const OF_JOB = 'job_id = $1';
const OF_AXLE = `job_axle_id IN (${AXLES})`;
const below = (table: string, of: string, column: string) => `${column} IN (SELECT id FROM ${table} WHERE ${of})`;

/** Everything a job is made of, a row's own before what hangs on it. `vehicle`: known to other jobs of the vehicle too. */
const TABLES: Readonly<Record<string, { of: string; vehicle?: true }>> = {
  vehicle: { of: `id IN (${VEHICLE})`, vehicle: true },
  axle: { of: OF_VEHICLE, vehicle: true },
  axle_rating: { of: OF_AXLES, vehicle: true },
  vehicle_feature: { of: OF_VEHICLE, vehicle: true },
  failure: { of: OF_VEHICLE, vehicle: true },
  odometer: { of: OF_VEHICLE, vehicle: true },
  fastener_size: { of: OF_AXLES, vehicle: true },
  job: { of: 'id = $1' },
  job_axle: { of: OF_JOB },
  load_state: { of: OF_JOB },
  load_item: { of: OF_JOB },
  goal: { of: OF_AXLE },
  component: { of: OF_AXLE },
  pack: { of: OF_AXLE },
  measuring_day: { of: OF_JOB },
  reading: { of: OF_JOB },
  press_run: { of: OF_AXLE },
  press_point: { of: below('press_run', OF_AXLE, 'run_id') },
  finding: { of: OF_AXLE },
  finding_value: { of: below('finding', OF_AXLE, 'finding_id') },
  photo: { of: OF_AXLE },
  survey_answer: { of: OF_AXLE },
  side_finding: { of: OF_JOB },
  school_choice: { of: OF_JOB },
  plan: { of: OF_AXLE },
  plan_change: { of: below('plan', OF_AXLE, 'plan_id') },
  cost_line: { of: OF_JOB },
  kit_item: { of: OF_JOB },
  needed_part: { of: OF_AXLE },
  arrival_reading: { of: OF_AXLE },
  job_wait: { of: OF_AXLE },
  job_bay: { of: OF_AXLE },
  prediction: { of: OF_AXLE },
  ledger_line: { of: below('prediction', OF_AXLE, 'prediction_id') },
  build_start: { of: OF_AXLE },
  safety_answer: { of: OF_AXLE },
  torque_entry: { of: OF_AXLE },
  torque_reading: { of: OF_AXLE },
  leg_thread: { of: OF_AXLE },
  step_tick: { of: OF_AXLE },
  incident: { of: OF_AXLE },
  defect: { of: OF_AXLE },
  defect_end: { of: OF_AXLE },
  outcome: { of: below('prediction', OF_AXLE, 'prediction_id') },
  function_check: { of: OF_AXLE },
  road_test: { of: OF_AXLE },
  settling_height: { of: OF_AXLE },
  lesson: { of: OF_AXLE },
  due_check: { of: OF_JOB },
  due_done: { of: below('due_check', OF_JOB, 'check_id') },
  hand_over: { of: OF_JOB },
  job_close: { of: OF_JOB },
};
/** Tables that stay behind, and why. The e2e test asks that every table is in one of the two lists. */
export const STAYS_BEHIND: Readonly<Record<string, string>> = {
  ...{ shop: 'the shop itself', person: 'named in the list of people', person_unit: 'how one person reads' },
  ...{ credential: 'secret', session: 'secret', tablet: 'secret', first_code: 'secret', back_off: 'secret' },
  ...{
    viewer_link: 'opens this shop only',
    calendar_link: 'opens this shop only',
    audit: 'the door book of this shop',
    vehicle_owner: 'private',
  },
  ...{ shop_limit: 'the shop’s own', shop_tool: 'the shop’s own', shop_expects: 'the shop’s own' },
  ...{ batch: 'over all jobs of this shop', batch_piece: 'over all jobs of this shop' },
  ...{ fleet_line: 'over all jobs of this shop', run_line: 'over all jobs of this shop', run_file: 'of runs' },
  ...{ shelf_item: 'the shop’s shelf', shelf_dimension: 'the shop’s shelf', shelf_leaf: 'the shop’s shelf' },
  ...{ shelf_word: 'the shop’s shelf', shelf_history: 'the shop’s shelf', shelf_photo: 'the shop’s shelf' },
  ...{ search_line: 'made anew from what it tells of', job_stir: 'made anew', open_told: 'made anew' },
  ...{ program_token: 'opens this shop only', hook: 'tells of this shop only', hook_word: 'tells of this shop only' },
  migration: 'the program’s own',
};
export const BUNDLED: readonly string[] = Object.keys(TABLES);

/** Never leaves as a column: whose it is, pictures (files of their own), and what is computed. */
const NEVER = new Set(['shop_id', 'jpeg']);
/** A job that this one was begun from is not in the bundle. */
const ELSEWHERE = new Set(['job.begun_from']);

const columnSchema = z.object({
  table: z.string(),
  name: z.string(),
  type: z.string(),
  nullable: z.boolean(),
  hasDefault: z.boolean(),
  generated: z.boolean(),
  /** The table it names a row of, beside the shop. */
  refers: z.string().nullable(),
});
type Column = z.infer<typeof columnSchema>;

/** Columns of all tables of a job, as the database has them. */
const columnsOf = (tx: Tx) =>
  tx.rows(
    columnSchema,
    `SELECT c.table_name AS "table", c.column_name AS name, c.data_type AS type, c.is_nullable = 'YES' AS nullable,
            c.column_default IS NOT NULL AS "hasDefault", c.is_generated <> 'NEVER' OR c.is_identity = 'YES' AS generated,
            (SELECT k.confrelid::regclass::text FROM pg_constraint k JOIN pg_attribute a
                ON a.attrelid = k.conrelid AND a.attname = c.column_name AND a.attnum = ANY(k.conkey)
              WHERE k.contype = 'f' AND k.conrelid = c.table_name::regclass AND c.column_name <> 'shop_id'
              ORDER BY cardinality(k.conkey), k.oid LIMIT 1) AS refers
       FROM information_schema.columns c WHERE c.table_schema = 'public' AND c.table_name = ANY($1)
      ORDER BY c.table_name, c.column_name`,
    [BUNDLED],
  );

/** Whether a column goes with the job: not the shop's own, and nothing that names what stays behind. */
const leaves = ({ table, name, generated, refers }: Column): boolean =>
  !NEVER.has(name) &&
  !generated &&
  !ELSEWHERE.has(`${table}.${name}`) &&
  (refers === null || refers === 'person' || Object.hasOwn(TABLES, refers));

/** Types of PostgreSQL as JSON has them. */
const TYPES: Readonly<Record<string, z.ZodType>> = {
  uuid: z.guid(),
  text: z.string().max(10_000),
  'double precision': z.number(),
  numeric: z.number(),
  integer: z.int(),
  boolean: z.boolean(),
  jsonb: z.json(),
  date: z.iso.date(),
  'timestamp with time zone': z.iso.datetime({ offset: true }),
  ARRAY: z.array(z.string().max(1000)).max(1000),
};

export interface BundleShape {
  schema: z.ZodType<Bundle>;
  /** Columns of each table that name a person. */
  people: ReadonlyMap<string, readonly string[]>;
}
export type Row = Record<string, unknown>;
export interface Bundle {
  format: 'gravelwort-job';
  version: 1;
  schema: number;
  people: { ref: string; name: string; shop: string }[];
  records: Record<string, Row[]>;
}
/** More rows of one table than any job has. */
const MOST_ROWS = 60_000;

/** What a bundle looks like, from the database's own tables; a column that has a default may be missing in one of an older release. */
export async function bundleShape(tx: Tx): Promise<BundleShape> {
  const all = (await columnsOf(tx)).filter(leaves);
  const people = new Map<string, string[]>();
  const records: Record<string, z.ZodType<Row[]>> = {};
  for (const table of BUNDLED) {
    const columns = all.filter((c) => c.table === table);
    people.set(
      table,
      columns.filter((c) => c.refers === 'person').map(({ name }) => name),
    );
    const row = Object.fromEntries(
      columns.map(({ name, type, nullable, hasDefault, refers }) => {
        const of = refers === 'person' ? personRefSchema : TYPES[type];
        if (!of) throw new Error(`${table}.${name} is of ${type}, which a bundle does not know`);
        const may = nullable ? of.nullable() : of;
        return [name, nullable || hasDefault ? may.optional() : may];
      }),
    );
    records[table] = z.array(z.strictObject(row)).max(MOST_ROWS);
  }
  const schema = z.strictObject({ ...bundleHead, records: z.strictObject(records) });
  return { schema, people };
}

/** The number that says which word was said last; the order of a bundle's rows says it for another shop. */
const NTH = 'nth';

/**
 * Every row of a job, with ids of people as they are in this shop; times as UTC. Where the last word counts, rows stand in the order in which
 * they were said: @returns the tables that are `inOrder`
 */
export async function bundleRows(
  tx: Tx,
  jobId: string,
): Promise<{ rows: Record<string, Row[]>; inOrder: ReadonlySet<string> }> {
  const all = await columnsOf(tx);
  const columns = all.filter(leaves);
  const inOrder = new Set(all.filter(({ name }) => name === NTH).map(({ table }) => table));
  await tx.run("SET LOCAL timezone = 'UTC'");
  const rows: Record<string, Row[]> = {};
  for (const [table, { of }] of Object.entries(TABLES)) {
    const names = columns.filter((c) => c.table === table).map(({ name }) => name);
    checkNames(table, ...names);
    rows[table] = (
      await tx.rows(
        z.object({ row: z.record(z.string(), z.unknown()) }),
        `SELECT to_jsonb(r) AS row FROM (SELECT ${names.map((n) => `"${n}"`).join(', ')} FROM ${table} WHERE ${of}${inOrder.has(table) ? ` ORDER BY ${NTH}` : ''}) r`,
        [jobId],
      )
    ).map(({ row }) => row);
  }
  return { rows, inOrder };
}

const somebodySchema = z.object({ id: z.string(), name: z.string(), shop: z.string() });
/** People by their ids, each with the shop they worked in. */
export const peopleNamed = (tx: Tx, ids: readonly string[]) =>
  tx.rows(
    somebodySchema,
    `SELECT p.id, coalesce(p.from_name, p.name) AS name, coalesce(p.from_shop, s.name) AS shop
       FROM person p JOIN shop s ON s.id = p.shop_id WHERE p.id = ANY($1)`,
    [ids],
  );

/** Somebody of another shop as a person of this one, who never signs in; the same again is the same person. */
export async function somebodyFrom(tx: Tx, name: string, shop: string): Promise<string> {
  await tx.run(
    `INSERT INTO person (shop_id, id, name, from_name, from_shop, left_at) VALUES ($1, gen_random_uuid(), $2 || ' (' || $3 || ')', $2, $3, now())
     ON CONFLICT (shop_id, from_shop, from_name) WHERE from_name IS NOT NULL DO NOTHING`,
    [tx.shop, name, shop],
  );
  const [found] = await tx.rows(
    z.object({ id: z.string() }),
    'SELECT id FROM person WHERE from_name = $1 AND from_shop = $2',
    [name, shop],
  );
  return found!.id;
}

/** Whether a job or a vehicle of this id is here. */
export async function isHere(tx: Tx, table: 'job' | 'vehicle', id: string): Promise<boolean> {
  const found = await tx.rows(z.object({}), `SELECT FROM ${table} WHERE id = $1`, [id]);
  return found.length > 0;
}

/** Writes the rows of a job into this shop, table by table; what is known of its vehicle already stands as it was. @param pictures what the rows of photos hold, by their id */
export async function insertBundle(
  tx: Tx,
  records: Readonly<Record<string, readonly Row[]>>,
  pictures: ReadonlyMap<string, Buffer | null>,
): Promise<void> {
  for (const [table, { vehicle }] of Object.entries(TABLES)) {
    // Rows of an older release lack the columns that came since; those take what the database gives them.
    const alike = new Map<string, Row[]>();
    for (const row of records[table] ?? []) {
      const columns = Object.keys(row).toSorted().join(' ');
      const same = alike.get(columns);
      if (same) same.push(row);
      else alike.set(columns, [row]);
    }
    for (const rows of alike.values()) {
      const columns = Object.keys(rows[0]!);
      checkNames(table, ...columns);
      const own = columns.map((name) => `r."${name}"`).join(', ');
      const known = vehicle ? 'ON CONFLICT DO NOTHING' : '';
      const into = `INSERT INTO ${table} (shop_id, ${columns.map((n) => `"${n}"`).join(', ')}`;
      if (table !== 'photo')
        await tx.run(
          `${into}) SELECT $2::uuid, ${own} FROM json_populate_recordset(NULL::${table}, $1) AS r ${known}`,
          [JSON.stringify(rows), tx.shop],
        );
      else
        for (const row of rows)
          await tx.run(`${into}, jpeg) SELECT $2::uuid, ${own}, $3 FROM json_populate_record(NULL::photo, $1) AS r`, [
            JSON.stringify(row),
            tx.shop,
            pictures.get(String(row.id)),
          ]);
    }
  }
}

/** How many rows of each table belong to a job, of those that belong to it alone. */
export async function rowsOfJob(tx: Tx, jobId: string): Promise<Map<string, number>> {
  const own = Object.entries(TABLES).filter(([, { vehicle }]) => !vehicle);
  const counts = new Map<string, number>();
  for (const [table, { of }] of own) {
    const [row] = await tx.rows(z.object({ n: z.coerce.number() }), `SELECT count(*) AS n FROM ${table} WHERE ${of}`, [
      jobId,
    ]);
    counts.set(table, row!.n);
  }
  return counts;
}

/** Whether every axle of a job stands under one vehicle. */
export async function underOneVehicle(tx: Tx, jobId: string): Promise<boolean> {
  const [row] = await tx.rows(
    z.object({ n: z.coerce.number() }),
    `SELECT count(DISTINCT v) AS n FROM (${VEHICLE}) q(v)`,
    [jobId],
  );
  return row!.n === 1;
}
