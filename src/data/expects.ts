// What a shop expects of its own from what it measured, and what it measured.
import { z } from 'zod';
import { shopExpectsSchema, type ShopExpects } from '@/contracts/expects';
import { insertOnce } from './insertOnce';
import { type Tx } from './client';

const EXPECTS = `e.quantity, e.value, e.half90, e.jobs, e.reason, p.name AS person, e.set_at AS "setAt"`;
const FROM = 'FROM shop_expects e JOIN person p ON p.shop_id = e.shop_id AND p.id = e.person_id';

/** The last word on each quantity. */
export const shopExpects = (tx: Tx) =>
  tx.rows(shopExpectsSchema, `SELECT DISTINCT ON (e.quantity) ${EXPECTS} ${FROM} ORDER BY e.quantity, e.nth DESC`);

/** Every word, the last first. */
export const allExpects = (tx: Tx) =>
  tx.rows(shopExpectsSchema, `SELECT ${EXPECTS} ${FROM} ORDER BY e.nth DESC LIMIT 500`);

export const insertExpects = (
  tx: Tx,
  given: Pick<ShopExpects, 'quantity' | 'value' | 'half90' | 'jobs' | 'reason'> & { id: string },
): Promise<boolean> => {
  const { id, quantity, value, half90, jobs, reason } = given;
  return insertOnce(tx, 'shop_expects', { id, quantity, value, half90, jobs, reason, person_id: tx.person });
};

const settledLineSchema = z.object({
  jobId: z.string(),
  vehicle: z.string(),
  inputs: z.unknown(),
  side: z.string(),
  /** Height by the tape right after the work, mm. */
  after: z.number(),
  /** Odometer at it, km; null when nobody read it. */
  from: z.number().nullable(),
  later: z.array(z.object({ km: z.number(), height: z.number() })),
});

/** Sides and load states of this shop's latest jobs whose height was read again since the work. */
export const settledLines = (tx: Tx) =>
  tx.rows(
    settledLineSchema,
    `SELECT x.id AS "jobId", v.name AS vehicle, p.inputs, o.side, o.measured_mm AS after,
            (SELECT min(d.from_km) FROM due_check d WHERE d.shop_id = x.shop_id AND d.job_id = x.job_id) AS "from",
            json_agg(json_build_object('km', h.km, 'height', h.value_mm) ORDER BY h.km) AS later
       FROM settling_height h JOIN job_axle x ON x.shop_id = h.shop_id AND x.id = h.job_axle_id
       JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id
       JOIN prediction p ON p.shop_id = x.shop_id AND p.job_axle_id = x.id
       JOIN outcome o ON o.shop_id = p.shop_id AND o.prediction_id = p.id AND o.side = h.side AND o.load_state_id = h.load_state_id
                     AND o.point = h.point
       JOIN reading r ON r.shop_id = o.shop_id AND r.id = o.reading_id
      WHERE NOT EXISTS (SELECT FROM reading n WHERE n.shop_id = r.shop_id AND n.supersedes = r.id)
      GROUP BY x.shop_id, x.id, x.job_id, v.name, p.shop_id, p.id, o.side, o.load_state_id, o.measured_mm
      ORDER BY max(h.read_at) DESC LIMIT 1000`,
  );
