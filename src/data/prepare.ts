// What lies there before the work: parts, what takes days, tools.
import { z } from 'zod';
import {
  arrivalSchema,
  bayDaySchema,
  baySchema,
  neededPartSchema,
  waitSchema,
  type NeededEdit,
  type NewArrival,
  type NewBay,
  type WaitEdit,
} from '@/contracts/needed';
import { fastenerSizeSchema, toolSchema, type NewFastenerSize, type ToolEdit } from '@/contracts/tool';
import { TOOL_KIND_IDS, type ToolKind } from '@/core/prepare/toolKinds';
import { type Tx } from './client';
import { insertOnce } from './insertOnce';

const BY = (alias: string) =>
  `(SELECT p.name FROM person p WHERE p.shop_id = ${alias}.shop_id AND p.id = ${alias}.person_id) AS person`;

export const jobNeeded = (tx: Tx, id: string) =>
  tx.rows(
    neededPartSchema,
    `SELECT n.id, n.need, n.what, n.wanted, n.state, n.source, n.orders, to_char(n.due_on, 'YYYY-MM-DD') AS "dueOn",
            n.shelf_item_id AS "shelfItemId", n.version, n.updated_at AS "updatedAt", ${BY('n')}
       FROM needed_part n WHERE n.job_axle_id = $1 ORDER BY n.need`,
    [id],
  );

export const insertNeeded = (tx: Tx, jobAxleId: string, n: NeededEdit) =>
  tx.run(
    `INSERT INTO needed_part (shop_id, id, job_axle_id, need, what, wanted, state, source, orders, due_on, shelf_item_id, person_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12) ON CONFLICT DO NOTHING`,
    [
      ...[tx.shop, n.id, jobAxleId, n.need, n.what, n.wanted, n.state, n.source, n.orders, n.dueOn, n.shelfItemId],
      tx.person,
    ],
  );

/** Changes a line that still is at its version; 0 rows otherwise. */
export const updateNeeded = (tx: Tx, jobAxleId: string, n: NeededEdit) =>
  tx.run(
    `UPDATE needed_part SET what = $4, wanted = $5, state = $6, source = $7, orders = $8, due_on = $9, shelf_item_id = $10,
            person_id = $11, version = version + 1, updated_at = clock_timestamp()
      WHERE id = $1 AND job_axle_id = $2 AND version = $3`,
    [n.id, jobAxleId, n.version, n.what, n.wanted, n.state, n.source, n.orders, n.dueOn, n.shelfItemId, tx.person],
  );

/** The last reading of every size of every piece. */
export const jobArrivals = (tx: Tx, id: string) =>
  tx.rows(
    arrivalSchema,
    `SELECT DISTINCT ON (a.need, a.piece, a.size) a.id, a.need, a.piece, a.size, a.typed, a.value, a.read_at AS "readAt", ${BY('a')}
       FROM arrival_reading a WHERE a.job_axle_id = $1 ORDER BY a.need, a.piece, a.size, a.nth DESC`,
    [id],
  );

export const insertArrival = (tx: Tx, jobAxleId: string, a: NewArrival) =>
  insertOnce(tx, 'arrival_reading', { ...a, job_axle_id: jobAxleId, person_id: tx.person });

export const jobWaits = (tx: Tx, id: string) =>
  tx.rows(
    waitSchema,
    `SELECT w.id, w.what, w.days, w.after_wait AS "afterWait", w.done, w.struck, w.version, w.updated_at AS "updatedAt", ${BY('w')}
       FROM job_wait w WHERE w.job_axle_id = $1 AND NOT w.struck ORDER BY w.updated_at, w.id`,
    [id],
  );

export const insertWait = (tx: Tx, jobAxleId: string, w: WaitEdit) =>
  tx.run(
    `INSERT INTO job_wait (shop_id, id, job_axle_id, what, days, after_wait, done, struck, person_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9) ON CONFLICT DO NOTHING`,
    [tx.shop, w.id, jobAxleId, w.what, w.days, w.afterWait, w.done, w.struck, tx.person],
  );

export const updateWait = (tx: Tx, jobAxleId: string, w: WaitEdit) =>
  tx.run(
    `UPDATE job_wait SET what = $4, days = $5, after_wait = $6, done = $7, struck = $8, person_id = $9, version = version + 1,
            updated_at = clock_timestamp() WHERE id = $1 AND job_axle_id = $2 AND version = $3`,
    [w.id, jobAxleId, w.version, w.what, w.days, w.afterWait, w.done, w.struck, tx.person],
  );

export const jobBay = (tx: Tx, id: string) =>
  tx.rows(
    baySchema,
    `SELECT to_char(b.bay_on, 'YYYY-MM-DD') AS "bayOn", b.rusty, b.soak_days AS "soakDays", b.stand_id AS "standId", b.people, b.metal_bushes AS "metalBushes",
            coalesce((SELECT t.kind = 'hoist' FROM shop_tool t WHERE t.shop_id = b.shop_id AND t.id = b.stand_id), false) AS "onHoist" FROM job_bay b WHERE b.job_axle_id = $1 ORDER BY b.nth DESC LIMIT 1`,
    [id],
  );

/** The days to come on which open jobs go into the bay, by what was said last of each axle. */
export const bayDays = (tx: Tx) =>
  tx.rows(
    bayDaySchema,
    `SELECT DISTINCT b.job_id AS "jobId", v.name AS vehicle, to_char(b.bay_on, 'YYYY-MM-DD') AS "bayOn" FROM (
        SELECT DISTINCT ON (y.job_axle_id) x.job_id, x.axle_id, y.bay_on FROM job_bay y
          JOIN job_axle x ON x.shop_id = y.shop_id AND x.id = y.job_axle_id
          JOIN job j ON j.shop_id = x.shop_id AND j.id = x.job_id
         WHERE j.closed_at IS NULL AND NOT x.dropped ORDER BY y.job_axle_id, y.nth DESC) b
       JOIN axle a ON a.id = b.axle_id JOIN vehicle v ON v.id = a.vehicle_id
      WHERE b.bay_on >= current_date ORDER BY 3, 2 LIMIT 500`,
  );

/** Pieces of these parts of the shelf that other jobs keep for themselves and have not taken yet. */
export const keptParts = (tx: Tx, ids: readonly string[], but: string | null = null) =>
  tx.rows(
    z.object({ id: z.uuid(), kept: z.coerce.number() }),
    `SELECT n.shelf_item_id AS id, sum(n.wanted) AS kept FROM needed_part n
       JOIN job_axle x ON x.shop_id = n.shop_id AND x.id = n.job_axle_id JOIN job j ON j.shop_id = x.shop_id AND j.id = x.job_id
      WHERE n.shelf_item_id = ANY ($1::uuid[]) AND n.state = 'ordered' AND n.job_axle_id IS DISTINCT FROM $2 AND j.closed_at IS NULL
      GROUP BY n.shelf_item_id`,
    [ids, but],
  );

export const insertBay = (tx: Tx, jobAxleId: string, b: NewBay) =>
  insertOnce(tx, 'job_bay', {
    ...{ id: b.id, job_axle_id: jobAxleId, bay_on: b.bayOn, rusty: b.rusty, soak_days: b.soakDays },
    ...{ stand_id: b.standId, people: b.people, metal_bushes: b.metalBushes, person_id: tx.person },
  });

/** Kinds of tools the shop has at hand, with what a job hired or borrowed; null where it wrote none down. */
export async function toolsHere(tx: Tx): Promise<ToolKind[] | null> {
  const rows = await tx.rows(
    z.object({ kind: z.enum(TOOL_KIND_IDS), here: z.boolean() }),
    `SELECT t.kind, bool_or(t.state = 'here') AS here FROM shop_tool t WHERE NOT t.gone AND t.kind = ANY ($1) GROUP BY t.kind`,
    [TOOL_KIND_IDS],
  );
  return rows.length === 0 ? null : rows.flatMap(({ kind, here }) => (here ? [kind] : []));
}

const TOOL = `t.id, t.kind, t.name, t.across, t.across_typed AS "acrossTyped", t.low, t.low_typed AS "lowTyped", t.high,
  t.high_typed AS "highTyped", t.notch, t.notch_typed AS "notchTyped", t.capacity, t.capacity_typed AS "capacityTyped", t.place,
  t.state, t.gone, t.version, t.updated_at AS "updatedAt"`;

export const shopTools = (tx: Tx) =>
  tx.rows(toolSchema, `SELECT ${TOOL}, ${BY('t')} FROM shop_tool t WHERE NOT t.gone ORDER BY t.kind, t.name, t.id`);

const TOOL_VALUES = (t: ToolEdit) => [
  ...[t.kind, t.name, t.across, t.acrossTyped, t.low, t.lowTyped, t.high, t.highTyped],
  ...[t.notch, t.notchTyped, t.capacity, t.capacityTyped, t.place, t.state, t.gone],
];

export const insertTool = (tx: Tx, t: ToolEdit) =>
  tx.run(
    `INSERT INTO shop_tool (shop_id, id, person_id, kind, name, across, across_typed, low, low_typed, high, high_typed, notch,
                            notch_typed, capacity, capacity_typed, place, state, gone)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18) ON CONFLICT DO NOTHING`,
    [tx.shop, t.id, tx.person, ...TOOL_VALUES(t)],
  );

export const updateTool = (tx: Tx, t: ToolEdit) =>
  tx.run(
    `UPDATE shop_tool SET person_id = $3, kind = $4, name = $5, across = $6, across_typed = $7, low = $8, low_typed = $9, high = $10,
            high_typed = $11, notch = $12, notch_typed = $13, capacity = $14, capacity_typed = $15, place = $16, state = $17,
            gone = $18, version = version + 1, updated_at = clock_timestamp() WHERE id = $1 AND version = $2`,
    [t.id, t.version, tx.person, ...TOOL_VALUES(t)],
  );

/** The last size of every joint of the axle a job works on. */
export const jobFastenerSizes = (tx: Tx, id: string) =>
  tx.rows(
    fastenerSizeSchema,
    `SELECT DISTINCT ON (f.joint) f.joint, f.across, f.across_typed AS "acrossTyped", f.note, f.read_at AS "readAt", ${BY('f')}
       FROM fastener_size f JOIN job_axle x ON x.shop_id = f.shop_id AND x.axle_id = f.axle_id
      WHERE x.id = $1 ORDER BY f.joint, f.read_at DESC`,
    [id],
  );

export const insertFastenerSize = (tx: Tx, axleId: string, f: NewFastenerSize) =>
  insertOnce(tx, 'fastener_size', {
    ...{ id: f.id, axle_id: axleId, joint: f.joint, across: f.across, across_typed: f.acrossTyped },
    ...{ note: f.note, person_id: tx.person },
  });
