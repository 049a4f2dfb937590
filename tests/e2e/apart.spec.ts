import { type Client } from 'pg';
import { expect, onDatabase, test } from './shop';

const DEMO_SHOP = '5a1e0000-0000-4000-8000-000000000001';
const OTHER_SHOP = '5a1e0000-0000-4000-8000-0000000000ff';

/** As the application's role inside one shop. */
async function inShop(client: Client, shop: string): Promise<void> {
  await client.query("SELECT set_config('gravelwort.shop', $1, false)", [shop]);
}
const code = (error: unknown) => (error as { code?: string }).code;
const INSUFFICIENT_PRIVILEGE = '42501';

for (const table of ['prediction', 'reading', 'ledger_line', 'outcome', 'safety_answer', 'build_start']) {
  test(`the application’s role may neither change nor delete a ${table}`, async ({ shop }) => {
    await onDatabase(shop.appUrl, async (client) => {
      await inShop(client, DEMO_SHOP);
      const { rowCount } = await client.query(`SELECT FROM ${table}`);
      expect(rowCount).toBeGreaterThan(0);
      const column = {
        reading: 'typed',
        ledger_line: 'label',
        outcome: 'side',
        safety_answer: 'answer',
        build_start: 'override_reason',
      }[table];
      const update = client.query(`UPDATE ${table} SET ${column ?? 'core_version'} = 'x'`);
      await expect(update.catch(code)).resolves.toBe(INSUFFICIENT_PRIVILEGE);
      await expect(client.query(`DELETE FROM ${table}`).catch(code)).resolves.toBe(INSUFFICIENT_PRIVILEGE);
    });
  });
}

test('days, findings, pictures, press runs, torques and answers are written once by the application’s role', async ({
  shop,
}) => {
  const columns = {
    measuring_day: 'stance',
    finding: 'verdict',
    finding_value: 'typed',
    photo: 'caption',
    press_run: 'side',
    press_point: 'branch',
    torque_entry: 'stage',
    survey_answer: 'answer',
    failure: 'place',
    shop_limit: 'reason',
    vehicle_feature: 'means',
    // Closed with evidence, but what was seen stays as it was written.
    side_finding: 'what',
    kit_item: 'what',
  };
  await onDatabase(shop.appUrl, async (client) => {
    await inShop(client, DEMO_SHOP);
    for (const [table, column] of Object.entries(columns)) {
      const update = client.query(`UPDATE ${table} SET ${column} = 'x'`);
      expect([table, await update.catch(code)]).toEqual([table, INSUFFICIENT_PRIVILEGE]);
      expect([table, await client.query(`DELETE FROM ${table}`).catch(code)]).toEqual([table, INSUFFICIENT_PRIVILEGE]);
    }
  });
});

test('another shop’s rows cannot be read, changed or added, and without a shop there is nothing', async ({ shop }) => {
  await onDatabase(shop.appUrl, async (client) => {
    const { rows: tables } = await client.query<{ name: string }>(
      "SELECT tablename AS name FROM pg_tables WHERE schemaname = 'public' AND tablename <> 'migration'",
    );
    expect(tables.length).toBeGreaterThanOrEqual(33);
    for (const where of [OTHER_SHOP, '']) {
      await inShop(client, where);
      for (const { name } of tables) expect((await client.query(`SELECT FROM ${name}`)).rowCount).toBe(0);
      expect((await client.query('UPDATE job SET no_blocks = true')).rowCount).toBe(0);
    }
    await inShop(client, OTHER_SHOP);
    const insert = client.query('INSERT INTO person (shop_id, id, name) VALUES ($1, gen_random_uuid(), $2)', [
      DEMO_SHOP,
      'Nobody',
    ]);
    await expect(insert.catch(code)).resolves.toBe(INSUFFICIENT_PRIVILEGE);
  });
});

test('every table keeps shops apart even from its owner’s ordinary role', async ({ shop }) => {
  await onDatabase(shop.ownerUrl, async (client) => {
    const { rows } = await client.query(
      "SELECT relname FROM pg_class WHERE relkind = 'r' AND relnamespace = 'public'::regnamespace AND relname <> 'migration' AND NOT (relrowsecurity AND relforcerowsecurity)",
    );
    expect(rows).toEqual([]);
  });
});
