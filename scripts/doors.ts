// What the server's console says of its doors at a start: demo accounts are shut where there is no demo, and a shop without an owner gets a
// one-time code. What no door asks any more is thrown away; who came and what they did stays in the trail.
import { randomBytes } from 'node:crypto';
import { Client } from 'pg';
import { tokenHash } from '@/server/door/secrets';
import { DEMO_PASSWORD, DEMO_PIN, DEMO_SHOP, DEMO_WORD } from '../demo/ids';

const url = process.env.OWNER_DATABASE_URL;
if (!url) throw new Error('OWNER_DATABASE_URL is not set.');
const demo = process.argv[2] === 'demo';
/** Hours a code is good for. */
const GOOD = 24;

const client = new Client({ connectionString: url });
await client.connect();
try {
  await client.query("DELETE FROM session WHERE least(ended_at, ends_at) < now() - interval '30 days'");
  await client.query("DELETE FROM back_off WHERE greatest(last_at, until) < now() - interval '2 days'");
  await client.query("DELETE FROM first_code WHERE ends_at < now() - interval '30 days'");
  if (demo) {
    console.log(`      demo: shop “${DEMO_WORD}”, sign in as ansa (owner), tibb (mechanic) or oona (apprentice)`);
    console.log(`      demo: password “${DEMO_PASSWORD}”, PIN ${DEMO_PIN} on a tablet made known; only in the demo`);
  } else {
    await client.query('DELETE FROM credential WHERE shop_id = $1', [DEMO_SHOP]);
    await client.query('UPDATE session SET ended_at = now() WHERE shop_id = $1 AND ended_at IS NULL', [DEMO_SHOP]);
    const { rows } = await client.query<{ id: string | null; name: string }>(
      `SELECT s.id, s.name FROM shop s WHERE s.id <> $1 AND NOT EXISTS (
         SELECT FROM person p JOIN credential c ON c.shop_id = p.shop_id AND c.person_id = p.id AND c.kind = 'password'
          WHERE p.shop_id = s.id AND p.role = 'owner' AND p.left_at IS NULL)`,
      [DEMO_SHOP],
    );
    const any = await client.query('SELECT FROM shop WHERE id <> $1 LIMIT 1', [DEMO_SHOP]);
    const need = any.rowCount === 0 ? [{ id: null, name: 'a new shop' }] : rows;
    // A code that was not used is worth nothing once another start has made one.
    await client.query('UPDATE first_code SET ends_at = now() WHERE used_at IS NULL AND ends_at > now()');
    for (const shop of need) {
      const code = randomBytes(10).toString('hex').match(/.{5}/g)!.join('-');
      await client.query(
        'INSERT INTO first_code (code_hash, shop_id, ends_at) VALUES ($1, $2, now() + make_interval(hours => $3))',
        [tokenHash(code), shop.id, GOOD],
      );
      console.log(
        `      first owner of ${shop.name}: open /sign-in/first and type ${code} (once, within ${GOOD} hours)`,
      );
    }
  }
} finally {
  await client.end();
}
