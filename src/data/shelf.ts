// The shelf: parts in stock and from catalogues.
import { z } from 'zod';
import { shelfItemSchema, type PartEdit, type ShelfAsk } from '@/contracts/shelf';
import { derivedDimensions, wordsOf, type PartDimensionId } from '@/core/parts/kinds';
import { type Tx } from './client';
import { sameAsStored } from './insertOnce';
import { keptPictureSchema, type KeptPicture } from './picture';

const ITEM = `i.id, i.kind, i.name, i.maker, i.number, i.holding, i.condition, i.origin, i.age_years AS "ageYears", i.quantity,
  i.price::double precision AS price, i.lead_days AS "leadDays", i.rating_kg AS rating, i.rating_typed AS "ratingTyped",
  i.form, i.place, i.note, i.retired, i.version, i.updated_at AS "updatedAt",
  (SELECT p.name FROM person p WHERE p.shop_id = i.shop_id AND p.id = i.updated_by) AS "updatedBy",
  coalesce((SELECT json_agg(json_build_object('front', l.front_mm, 'frontTyped', l.front_typed, 'rear', l.rear_mm,
      'rearTyped', l.rear_typed, 'thickness', l.thickness_mm, 'thicknessTyped', l.thickness_typed, 'camber', l.camber_mm,
      'camberTyped', l.camber_typed, 'eyes', l.eyes, 'clip', l.clip) ORDER BY l.ordinal)
    FROM shelf_leaf l WHERE l.shop_id = i.shop_id AND l.item_id = i.id), '[]') AS leaves,
  coalesce((SELECT json_agg(json_build_object('dimension', d.dimension, 'value', d.value, 'typed', d.typed) ORDER BY d.dimension)
    FROM shelf_dimension d WHERE d.shop_id = i.shop_id AND d.item_id = i.id), '[]') AS dimensions,
  coalesce((SELECT json_agg(json_build_object('id', f.id, 'caption', f.caption, 'width', f.width, 'height', f.height)
      ORDER BY f.taken_at)
    FROM shelf_photo f WHERE f.shop_id = i.shop_id AND f.item_id = i.id), '[]') AS photos`;

export const shelfItems = (tx: Tx, ids: readonly string[]) =>
  tx.rows(shelfItemSchema, `SELECT ${ITEM} FROM shelf_item i WHERE i.id = ANY ($1::uuid[])`, [ids]);

const KEY = { name: 'i.name_key', price: 'i.price_key' } as const;

/** The end of the range of all words that begin with this one. */
const afterPrefix = (word: string): string => `${word}\u{10FFFF}`;

/** The statement of one page of the shelf, and its values. Plain comparisons only, so that row-level security leaves indexes usable. */
export function shelfQuery(ask: ShelfAsk, select: string, limit: number): { text: string; values: unknown[] } {
  const values: unknown[] = [];
  const bind = (value: unknown) => `$${values.push(value)}`;
  const where = ['NOT i.retired'];
  if (ask.kind) where.push(`i.kind = ${bind(ask.kind)}`);
  if (ask.holding) where.push(`i.holding = ${bind(ask.holding)}`);
  if (ask.condition) where.push(`i.condition = ${bind(ask.condition)}`);
  if (ask.here) where.push('i.quantity > 0');
  if (ask.mostPrice !== null) where.push(`i.price <= ${bind(ask.mostPrice)}`);
  if (ask.mostDays !== null) where.push(`(i.lead_days <= ${bind(ask.mostDays)} OR i.quantity > 0)`);
  if (ask.leastRating !== null) where.push(`i.rating_kg >= ${bind(ask.leastRating)}`);
  for (const { dimension, from, to } of ask.within)
    where.push(`EXISTS (SELECT FROM shelf_dimension d WHERE d.shop_id = i.shop_id AND d.item_id = i.id
      AND d.dimension = ${bind(dimension)} AND d.value BETWEEN ${bind(from)} AND ${bind(to)})`);
  for (const word of wordsOf([ask.words]))
    where.push(`EXISTS (SELECT FROM shelf_word w WHERE w.shop_id = i.shop_id AND w.item_id = i.id
      AND w.word >= ${bind(word)} AND w.word < ${bind(afterPrefix(word))})`);
  const key = KEY[ask.order];
  if (ask.after) {
    const cast = ask.order === 'price' ? 'numeric' : 'text';
    where.push(`(${key}, i.id) > (${bind(ask.after.key)}::${cast}, ${bind(ask.after.id)}::uuid)`);
  }
  return {
    text: `SELECT ${select} FROM shelf_item i WHERE ${where.join('\n AND ')} ORDER BY ${key}, i.id LIMIT ${bind(limit)}`,
    values,
  };
}

const keySchema = z.object({ id: z.uuid(), key: z.string() });

/** One page: ids first, so that only the page's own items are put together. */
export async function shelfPage(tx: Tx, ask: ShelfAsk, size: number) {
  const { text, values } = shelfQuery(ask, `i.id, ${KEY[ask.order]}::text AS key`, size + 1);
  const keys = await tx.rows(keySchema, text, values);
  const found = await shelfItems(
    tx,
    keys.slice(0, size).map((k) => k.id),
  );
  const byId = new Map(found.map((item) => [item.id, item]));
  const last = keys.length > size ? keys[size - 1]! : null;
  return { items: keys.slice(0, size).flatMap((k) => byId.get(k.id) ?? []), next: last };
}

/** How many there are, counted no further than `most`. */
export async function shelfCount(tx: Tx, ask: ShelfAsk, most: number): Promise<{ found: number; more: boolean }> {
  const { text, values } = shelfQuery({ ...ask, after: null }, '1 AS one', most + 1);
  const [row] = await tx.rows(
    z.object({ found: z.coerce.number() }),
    `SELECT count(*) AS found FROM (${text}) c`,
    values,
  );
  const found = row?.found ?? 0;
  return { found: Math.min(found, most), more: found > most };
}

const headSchema = z.object({
  id: z.uuid(),
  maker: z.string(),
  number: z.string(),
  holding: z.string(),
  condition: z.string(),
  version: z.number(),
  name: z.string(),
  by: z.string(),
  at: z.coerce.date().transform((d) => d.toISOString()),
});
export type PartHead = z.infer<typeof headSchema>;

const HEAD = `i.id, i.maker, i.number, i.holding, i.condition, i.version, i.name, i.updated_at AS at,
  (SELECT p.name FROM person p WHERE p.shop_id = i.shop_id AND p.id = i.updated_by) AS by`;

/** Items of these ids, held until the transaction ends. */
export const holdParts = (tx: Tx, ids: readonly string[]) =>
  tx.rows(headSchema, `SELECT ${HEAD} FROM shelf_item i WHERE i.id = ANY ($1::uuid[]) ORDER BY i.id FOR UPDATE OF i`, [
    ids,
  ]);

export const partsOfNumbers = (tx: Tx, numbers: readonly string[]) =>
  tx.rows(
    headSchema,
    `SELECT ${HEAD} FROM shelf_item i WHERE i.number <> '' AND i.number = ANY ($1::text[]) AND NOT i.retired`,
    [numbers],
  );

/** Rows of many items go over as one JSON text each. */
const BATCH = 1000;

/** Writes items whole: new ones with version 1, known ones with the next version and what they were in the history. */
/** @param each told how many are in after every batch; what it throws ends it */
export async function putParts(
  tx: Tx,
  parts: readonly PartEdit[],
  each: (done: number) => void = () => undefined,
): Promise<void> {
  for (let from = 0; from < parts.length; from += BATCH) {
    each(from);
    await putBatch(tx, parts.slice(from, from + BATCH));
  }
}

async function putBatch(tx: Tx, parts: readonly PartEdit[]): Promise<void> {
  const ids = parts.map((p) => p.id);
  const json = (rows: unknown) => JSON.stringify(rows);
  await tx.run(
    `INSERT INTO shelf_history (shop_id, item_id, version, was, person_id)
     SELECT i.shop_id, i.id, i.version, jsonb_build_object('schemaVersion', 1, 'item', to_jsonb(w)), $2
       FROM shelf_item i JOIN (SELECT ${ITEM} FROM shelf_item i WHERE i.id = ANY ($1::uuid[])) w ON w.id = i.id`,
    [ids, tx.person],
  );
  await tx.run(
    `INSERT INTO shelf_item (shop_id, id, kind, name, maker, number, holding, condition, origin, age_years, quantity, price,
                             lead_days, rating_kg, rating_typed, form, place, note, retired, updated_by)
     SELECT $2, r.id, r.kind, r.name, r.maker, r.number, r.holding, r.condition, r.origin, r."ageYears", r.quantity, r.price,
            r."leadDays", r.rating, r."ratingTyped", r.form, r.place, r.note, r.retired, $3
       FROM json_to_recordset($1) AS r (id uuid, kind text, name text, maker text, number text, holding text, condition text,
            origin text, "ageYears" double precision, quantity integer, price numeric, "leadDays" integer,
            rating double precision, "ratingTyped" text, form text, place text, note text, retired boolean)
     ON CONFLICT (shop_id, id) DO UPDATE SET kind = excluded.kind, name = excluded.name, maker = excluded.maker,
       number = excluded.number, holding = excluded.holding, condition = excluded.condition, origin = excluded.origin,
       age_years = excluded.age_years, quantity = excluded.quantity, price = excluded.price, lead_days = excluded.lead_days,
       rating_kg = excluded.rating_kg, rating_typed = excluded.rating_typed, form = excluded.form, place = excluded.place,
       note = excluded.note, retired = excluded.retired, updated_by = excluded.updated_by, updated_at = clock_timestamp(),
       version = shelf_item.version + 1`,
    [json(parts.map(({ leaves, dimensions, version, ...head }) => head)), tx.shop, tx.person],
  );
  for (const table of ['shelf_leaf', 'shelf_dimension', 'shelf_word'])
    await tx.run(`DELETE FROM ${table} WHERE item_id = ANY ($1::uuid[])`, [ids]);
  await tx.run(
    `INSERT INTO shelf_leaf (shop_id, item_id, ordinal, front_mm, front_typed, rear_mm, rear_typed, thickness_mm,
                             thickness_typed, camber_mm, camber_typed, eyes, clip)
     SELECT $2, r.item, r.ordinal, r.front, r."frontTyped", r.rear, r."rearTyped", r.thickness, r."thicknessTyped", r.camber,
            r."camberTyped", r.eyes, r.clip
       FROM json_to_recordset($1) AS r (item uuid, ordinal integer, front double precision, "frontTyped" text,
            rear double precision, "rearTyped" text, thickness double precision, "thicknessTyped" text,
            camber double precision, "camberTyped" text, eyes text, clip boolean)`,
    [json(parts.flatMap((p) => p.leaves.map((leaf, ordinal) => ({ ...leaf, item: p.id, ordinal })))), tx.shop],
  );
  const derived = (p: PartEdit) =>
    (Object.entries(derivedDimensions(p.leaves)) as [PartDimensionId, number][]).map(([dimension, value]) => ({
      item: p.id,
      dimension,
      value,
      typed: null,
    }));
  await tx.run(
    `INSERT INTO shelf_dimension (shop_id, item_id, dimension, value, typed)
     SELECT $2, r.item, r.dimension, r.value, r.typed
       FROM json_to_recordset($1) AS r (item uuid, dimension text, value double precision, typed text)`,
    [json(parts.flatMap((p) => [...p.dimensions.map((d) => ({ ...d, item: p.id })), ...derived(p)])), tx.shop],
  );
  const words = parts.flatMap((p) =>
    wordsOf([p.name, p.maker, p.number, p.origin, p.place]).map((word) => ({ item: p.id, word })),
  );
  await tx.run(
    `INSERT INTO shelf_word (shop_id, item_id, word)
     SELECT $2, r.item, r.word FROM json_to_recordset($1) AS r (item uuid, word text)`,
    [json(words), tx.shop],
  );
}

const historySchema = z.object({
  version: z.number(),
  by: z.string(),
  at: z.coerce.date().transform((d) => d.toISOString()),
  was: z.unknown(),
});

/** What an item was before each change, the newest first. */
export const partHistory = (tx: Tx, id: string) =>
  tx.rows(
    historySchema,
    `SELECT h.version, p.name AS by, h.changed_at AS at, h.was FROM shelf_history h
       JOIN person p ON p.shop_id = h.shop_id AND p.id = h.person_id WHERE h.item_id = $1 ORDER BY h.version DESC`,
    [id],
  );

export async function insertPartPhoto(
  tx: Tx,
  itemId: string,
  photo: { id: string; caption: string; width: number; height: number } & KeptPicture,
): Promise<void> {
  const made = await tx.run(
    `INSERT INTO shelf_photo (shop_id, id, item_id, caption, width, height, sha256, jpeg, person_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9) ON CONFLICT DO NOTHING`,
    [tx.shop, photo.id, itemId, photo.caption, photo.width, photo.height, photo.sha256, photo.jpeg, tx.person],
  );
  const { id, caption, sha256 } = photo;
  if (made === 0) await sameAsStored(tx, 'shelf_photo', { id, item_id: itemId, caption, sha256 });
}

export const partPhotoBytes = (tx: Tx, id: string) =>
  tx.rows(keptPictureSchema, 'SELECT jpeg, sha256 FROM shelf_photo WHERE id = $1', [id]);
