// What a shop's own lines say of what is searched for, and what has the sizes that are asked for.
import { z } from 'zod';
import { foundLineSchema } from '@/contracts/search';
import { DERIVED, PART_DIMENSION_IDS, PART_DIMENSIONS } from '@/core/parts/kinds';
import { type AskedSize } from '@/core/search/ask';
import { type Tx } from './client';

/** Lengths a part may be asked for by. */
const LENGTHS = PART_DIMENSION_IDS.filter(
  (id) => PART_DIMENSIONS[id].rule.dimension === 'length' && !(DERIVED as readonly string[]).includes(id),
);
/** Readings whose sizes are searched for; the list of the index `reading_size`. */
const POINTS = `('leafWidth', 'leafThickness', 'eyeBore', 'blockHeight', 'coilWire', 'coilOutside', 'coilFree', 'shackleLength')`;
const MOST_SIZED = 200;

/** @param nearly what is like the words counts too @param among of these parts and jobs only */
export const foundLines = (
  tx: Tx,
  words: readonly (readonly string[])[],
  nearly: boolean,
  among: readonly string[] | null,
  most: number,
) =>
  tx.rows(
    foundLineSchema,
    `SELECT subject, id, job_id AS "jobId", vehicle_id AS "vehicleId", says FROM search_found($1::jsonb, $2, $3::uuid[], $4)`,
    [JSON.stringify(words), nearly, among, most],
  );

const idSchema = z.object({ id: z.uuid() });

/** One statement of which every size must hold. @param of the statement of one size, with a condition on its value */
function havingAll(sizes: readonly AskedSize[], of: (within: (column: string) => string) => string) {
  const values: unknown[] = [];
  const bind = (value: unknown) => `$${values.push(value)}`;
  const all = sizes.map(({ ranges }) => {
    const bound = ranges.map(({ from, to }) => [bind(from), bind(to)] as const);
    return of((column) => `(${bound.map(([from, to]) => `${column} BETWEEN ${from} AND ${to}`).join(' OR ')})`);
  });
  return { text: `SELECT id FROM (${all.join(' INTERSECT ')}) s LIMIT ${MOST_SIZED}`, values };
}

/** Parts of the shelf that have every size, in any of their dimensions. */
export function sizedParts(tx: Tx, sizes: readonly AskedSize[]) {
  const { text, values } = havingAll(
    sizes,
    (within) => `(SELECT d.item_id AS id FROM shelf_dimension d
       WHERE d.dimension IN (${LENGTHS.map((id) => `'${id}'`).join(', ')}) AND ${within('d.value')}
      UNION SELECT l.item_id FROM shelf_leaf l WHERE ${within('l.thickness_mm')})`,
  );
  return tx.rows(idSchema, text, values);
}

/** Jobs in which every size was measured and not corrected since. */
export function sizedJobs(tx: Tx, sizes: readonly AskedSize[]) {
  const { text, values } = havingAll(
    sizes,
    (within) => `(SELECT r.job_id AS id FROM reading r WHERE r.point IN ${POINTS} AND ${within('r.value')}
       AND NOT EXISTS (SELECT FROM reading n WHERE n.shop_id = r.shop_id AND n.supersedes = r.id))`,
  );
  return tx.rows(idSchema, text, values);
}

const namedSchema = z.object({ id: z.uuid(), name: z.string() });
export const vehicleNames = (tx: Tx, ids: readonly string[]) =>
  tx.rows(namedSchema, 'SELECT id, name FROM vehicle WHERE id = ANY ($1::uuid[])', [ids]);

/** Jobs of these vehicles. */
export const jobsOfVehicles = (tx: Tx, ids: readonly string[]) =>
  tx.rows(
    idSchema,
    `SELECT DISTINCT x.job_id AS id FROM axle a JOIN job_axle x ON x.shop_id = a.shop_id AND x.axle_id = a.id
      WHERE a.vehicle_id = ANY ($1::uuid[]) LIMIT 500`,
    [ids],
  );
