import { type Client } from 'pg';

/** Fills a shop's shelf with made-up parts straight in the database, as the owner; about nine in ten are leaves, the rest blocks. */
export async function manyParts(client: Client, shop: string, person: string, count: number): Promise<void> {
  const values = [shop, person, count];
  await client.query(
    `INSERT INTO shelf_item (shop_id, id, kind, name, maker, number, holding, condition, quantity, price, lead_days, updated_by)
     SELECT $1, gen_random_uuid(), CASE WHEN n % 10 = 0 THEN 'block' ELSE 'leaf' END,
            CASE WHEN n % 10 = 0 THEN 'Block ' ELSE 'Leaf ' END || md5(n::text), 'Maker ' || n % 40, 'N-' || n,
            CASE WHEN n % 5 = 0 THEN 'stock' ELSE 'catalogue' END, 'new', CASE WHEN n % 5 = 0 THEN n % 7 END,
            (n * 7919) % 40000 / 100.0, n % 30, $2
       FROM generate_series(1, $3::integer) n`,
    values,
  );
  await client.query(
    `INSERT INTO shelf_dimension (shop_id, item_id, dimension, value, typed)
     SELECT shop_id, id, d.dimension, d.base + abs(hashtext(number || d.dimension)) % d.spread, NULL
       FROM shelf_item, (VALUES ('width', 40, 60), ('front', 200, 600), ('rear', 200, 600), ('thickness', 5, 12)) d (dimension, base, spread)
      WHERE shop_id = $1 AND number LIKE 'N-%'`,
    [shop],
  );
  await client.query(
    `INSERT INTO shelf_word (shop_id, item_id, word)
     SELECT DISTINCT i.shop_id, i.id, w.word FROM shelf_item i,
            LATERAL regexp_split_to_table(lower(i.name || ' ' || i.maker || ' ' || replace(i.number, '-', '')), ' ') w (word)
      WHERE i.shop_id = $1 AND i.number LIKE 'N-%' AND length(w.word) >= 2`,
    [shop],
  );
  await client.query('ANALYZE shelf_item, shelf_dimension, shelf_word');
}
