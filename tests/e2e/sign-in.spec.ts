import { execFileSync, spawnSync } from 'node:child_process';
import { chmodSync, readdirSync, readFileSync } from 'node:fs';
import { get } from 'node:https';
import { join, resolve } from 'node:path';
import AxeBuilder from '@axe-core/playwright';
import { type Need, type Role } from '@/contracts/roles';
import { type JobView } from '@/contracts/job';
import { mayDo } from '@/server/door/who';
import { DEMO_PASSWORD, DEMO_PERSON, DEMO_PIN, DEMO_SHOP, DEMO_WORD } from '../../demo/ids';
import {
  clusterFolder,
  DEMO,
  expect,
  focusOn,
  onDatabase,
  openTab,
  SIGNED_IN,
  test,
  typeInto,
  type Shop,
} from './shop';

const STRANGER = { cookies: [], origins: [] };
const ID = DEMO.planned.split('/').at(-1)!;

/** What each route asks of who comes. A route that is not here, or is here and not there, fails the sweep. */
const GATES: Record<string, Need> = {
  ...Object.fromEntries(
    ['GET door/here', 'POST door/in', 'POST door/out', 'POST door/first', 'GET feeds/[token]'].map((route) => [
      route,
      'open' as const,
    ]),
  ),
  ...Object.fromEntries(
    [
      ...['PUT door/secrets', 'PUT people/units', 'GET instruments', 'GET photos/[id]', 'POST shelf/page'],
      ...[
        'POST axles',
        'POST shelf/count',
        'GET shelf/file',
        'GET shelf/[id]',
        'GET shelf/[id]/history',
        'GET shelf/photos/[id]',
      ],
      ...[
        'GET jobs/[id]',
        'GET jobs/[id]/readings',
        'GET jobs/[id]/parts',
        'GET jobs/[id]/links',
        'GET jobs/[id]/owner',
        'GET jobs/[id]/calendar',
        'GET jobs/[id]/parts-list',
        'GET jobs/[id]/print',
        'GET jobs/[id]/residual',
        'GET jobs/[id]/log',
        'GET due-calendar',
        'GET tools',
        'GET steps',
        'GET bay-days',
        'GET fleet/[id]',
        'GET runs/[id]',
        'GET runs/[id]/files',
      ],
    ].map((route) => [route, 'read' as const]),
  ),
  ...Object.fromEntries(
    [
      ...[
        'POST jobs',
        'PATCH jobs/[id]',
        'POST instruments/[id]/zero',
        'POST side-findings/[id]',
        'POST shelf/[id]/photos',
      ],
      ...['axles', 'days', 'failures', 'features', 'findings', 'kit', 'odometer', 'outcomes', 'photos', 'predictions']
        .concat(
          'press',
          'press-file',
          'readings',
          'side-findings',
          'steps',
          'survey',
          'torque-readings',
          'arrivals',
          'fastener-sizes',
        )
        .concat('incidents', 'leg-threads', 'functions', 'road-tests', 'settling', 'copy', 'log')
        .map((of) => `POST jobs/[id]/${of}`),
      ...['loads', 'owner', 'pack', 'seen', 'vehicle'].map((of) => `PUT jobs/[id]/${of}`),
    ].map((route) => [route, 'note' as const]),
  ),
  ...Object.fromEntries(
    [
      ...['POST checks/[id]', 'PUT shelf/[id]', 'POST shelf/file', 'PUT jobs/[id]/costs', 'PUT jobs/[id]/plan'],
      ...['POST jobs/[id]/plans', 'POST jobs/[id]/schools', 'POST jobs/[id]/torques'],
      ...['POST jobs/[id]/checks', 'POST jobs/[id]/lessons', 'GET jobs/[id]/bundle'],
      ...['PUT jobs/[id]/needed', 'PUT jobs/[id]/waits', 'POST jobs/[id]/bay', 'PUT tools'],
      ...['POST fleet', 'POST fleet/[id]', 'POST runs', 'POST runs/[id]', 'POST runs/files'],
    ].map((route) => [route, 'work' as const]),
  ),
  ...Object.fromEntries(
    [
      ...['build', 'closing', 'defects', 'hand-over', 'hand-over-sheet', 'limits', 'links', 'safety'].map(
        (of) => `POST jobs/[id]/${of}`,
      ),
      ...[
        'PATCH jobs/[id]/defects',
        'DELETE links/[id]',
        'DELETE jobs/[id]/owner',
        'POST bundles',
        'POST runs/bundles',
      ],
    ].map((route) => [route, 'vouch' as const]),
  ),
  ...Object.fromEntries(
    [
      'POST people',
      'PUT people/[id]',
      'DELETE tablets/[id]',
      'POST expects',
      'POST feeds',
      'DELETE feeds',
      'PUT scores',
      'PUT days-off',
      'POST programs',
      'DELETE programs/[id]',
      'POST hooks',
      'DELETE hooks/[id]',
    ].map((route) => [route, 'own' as const]),
  ),
};

const under = (root: string, name: string) =>
  readdirSync(root, { recursive: true, encoding: 'utf8' }).filter((file) => file.endsWith(name));

/** A session of somebody, as the sign-in makes it. */
async function sessionOf(shop: Shop, person: string, token: string, of = DEMO_SHOP): Promise<string> {
  await onDatabase(shop.ownerUrl, (c) =>
    c.query(
      `INSERT INTO session (shop_id, id, token_hash, person_id, ends_at)
       VALUES ($1, gen_random_uuid(), sha256(convert_to($2, 'UTF8')), $3, now() + interval '1 day')`,
      [of, token, person],
    ),
  );
  return token;
}
const personOf = (shop: Shop, signIn: string): Promise<string> =>
  onDatabase(shop.ownerUrl, async (c) =>
    String((await c.query<{ id: string }>('SELECT id FROM person WHERE sign_in = $1', [signIn])).rows[0]!.id),
  );

/** Status and text of a call as somebody. */
async function ask(shop: Shop, route: string, token: string | null, id = ID): Promise<[number, string]> {
  const [method = '', path = ''] = route.split(' ');
  const gone = new AbortController();
  const answer = await fetch(`${shop.url}/api/${path.replace('[id]', id)}`, {
    method,
    headers: { origin: shop.url, ...(token !== null && { cookie: `gravelwort-session=${token}` }) },
    ...(method === 'GET' ? {} : { body: '{}' }),
    signal: gone.signal,
  });
  // A stream of an instrument does not end by itself.
  const text = path === 'instruments' && answer.ok ? '' : await answer.text();
  gone.abort();
  return [answer.status, text];
}

test('every route asks what it says it asks: nobody, each role, a left person and another shop’s owner go round all of them', async ({
  shop,
}) => {
  // Programs come with a token of their own and with no session: programs.spec goes round theirs.
  const ofSessions = under('src/app/api', 'route.ts').filter((file) => !file.startsWith('v1/'));
  const declared = ofSessions.flatMap((file) =>
    [...readFileSync(join('src/app/api', file), 'utf8').matchAll(/export const (GET|POST|PUT|PATCH|DELETE)\b/g)].map(
      (m) => `${m[1]} ${file.replace(/\/?route\.ts$/, '')}`,
    ),
  );
  expect(declared.sort()).toEqual(Object.keys(GATES).sort());
  const foreigner = crypto.randomUUID();
  const other = crypto.randomUUID();
  await onDatabase(shop.ownerUrl, async (c) => {
    await c.query("INSERT INTO shop (id, name) VALUES ($1, 'Other')", [other]);
    await c.query("INSERT INTO person (shop_id, id, name, role) VALUES ($1, $2, 'Foreign owner', 'owner')", [
      other,
      foreigner,
    ]);
    await c.query("INSERT INTO person (shop_id, id, name, role, left_at) VALUES ($1, $2, 'Left', 'owner', now())", [
      DEMO_SHOP,
      foreigner,
    ]);
  });
  const roles: [Role, string][] = [
    ['owner', await sessionOf(shop, DEMO_PERSON, 'sweep-owner')],
    ['mechanic', await sessionOf(shop, await personOf(shop, 'tibb'), 'sweep-mechanic')],
    ['apprentice', await sessionOf(shop, await personOf(shop, 'oona'), 'sweep-apprentice')],
  ];
  const left = await sessionOf(shop, foreigner, 'sweep-left');
  const abroad = await sessionOf(shop, foreigner, 'sweep-abroad', other);
  const wrong: string[] = [];
  const note = (good: boolean, ...said: unknown[]) => good || wrong.push(said.join(' '));
  for (const [route, need] of Object.entries(GATES)) {
    if (need === 'open') continue;
    for (const nobody of [null, 'no-such-session', left])
      note((await ask(shop, route, nobody))[0] === 401, route, 'answered', nobody);
    for (const [role, token] of roles) {
      const [status] = await ask(shop, route, token);
      note(mayDo(role, need) ? ![401, 403].includes(status) : status === 403, route, role, status);
    }
    const [status, text] = await ask(shop, route, abroad);
    note(!/Skerrow|Korvild|Marrelow/.test(text), route, 'told another shop', text.slice(0, 80));
    if (route.includes('[id]') && route !== 'POST instruments/[id]/zero')
      note([400, 404, 411, 413].includes(status) || text === '[]', route, 'another shop', status);
  }
  expect(wrong).toEqual([]);
  // Nothing was written down as done by whoever was refused.
  const trail = await onDatabase(shop.ownerUrl, (c) => c.query('SELECT what FROM audit'));
  expect(trail.rows).toEqual([]);
});

test('every page leads nobody to the door and back; only the door, the Handbook and the watch are open', async ({
  shop,
}) => {
  const open = ['/handbook', '/handbook/kept', '/sign-in', '/sign-in/first', '/see/[token]'];
  const pages = under('src/app', 'page.tsx')
    .map((file) => `/${file.replace(/\/?page\.tsx$/, '').replace(/^\(\w+\)\/?/, '')}`)
    .filter((path) => !path.includes('...'));
  expect(pages.length).toBeGreaterThanOrEqual(20);
  const oona = await sessionOf(shop, await personOf(shop, 'oona'), 'pages-apprentice');
  const vehicle = await onDatabase(
    shop.ownerUrl,
    async (c) => (await c.query<{ id: string }>('SELECT id FROM vehicle LIMIT 1')).rows[0]!.id,
  );
  for (const page of pages) {
    const path = page.replace('[id]', page.startsWith('/vehicles') ? vehicle : ID).replace('[token]', 'none');
    const nobody = await fetch(shop.url + path, { redirect: 'manual' });
    const to = nobody.headers.get('location') ?? '';
    if (open.includes(page)) expect([page, nobody.status]).toEqual([page, 200]);
    else expect([page, nobody.status, to]).toEqual([page, 307, `/sign-in?to=${encodeURIComponent(path)}`]);
    const her = await fetch(shop.url + path, { headers: { cookie: `gravelwort-session=${oona}` } });
    expect([page, her.status]).toEqual([page, page === '/shop' ? 404 : 200]);
  }
  // What else there is asks nothing, and tells nothing of any shop.
  const others = under('src/app', 'route.ts').filter((file) => !file.startsWith('api/'));
  expect(others.sort()).toEqual(
    ['guide/pictures/[name]', 'healthz', 'metrics', 'readyz'].map((path) => `${path}/route.ts`),
  );
  for (const path of ['/healthz', '/readyz']) expect((await fetch(shop.url + path)).status).toBe(200);
});

test('in with the password, from then on with a PIN on a tablet made known; hands change, and all of it stands in the trail', async ({
  browser,
  shop,
}) => {
  const context = await browser.newContext({ baseURL: shop.url, storageState: STRANGER });
  const page = await context.newPage();
  await page.goto('/shelf');
  await expect(page).toHaveURL(/sign-in/);
  // A PIN is worth nothing on a strange screen, the right one neither.
  const byPin = { shop: DEMO_WORD, name: 'ansa', kind: 'pin', secret: DEMO_PIN };
  const refused = await context.request.post('/api/door/in', { data: byPin, headers: { origin: shop.url } });
  expect([refused.status(), (await refused.json()) as unknown]).toMatchObject([403, { code: 'unknown-tablet' }]);
  await page.getByRole('textbox', { name: 'Shop' }).fill(DEMO_WORD);
  await page.getByRole('textbox', { name: 'Name' }).fill('Ansa');
  await page.getByLabel('Password').fill(DEMO_PASSWORD);
  await page.getByRole('checkbox').check();
  await page.getByLabel('What it is called').fill('Pit tablet');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible();
  const [first] = (await context.cookies()).filter((c) => c.name === 'gravelwort-session');
  expect(first).toMatchObject({ httpOnly: true, sameSite: 'Lax' });
  await page.getByRole('button', { name: 'Ansa Korvild' }).click();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await page.getByRole('button', { name: 'Tibb Marrelow' }).click();
  await page.getByLabel('PIN').fill('0000');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByText('Name and PIN do not fit.')).toBeVisible();
  await page.getByLabel('PIN').fill(DEMO_PIN);
  await page.getByRole('button', { name: 'Sign in' }).click();
  // The door names him too: the Board has come when its own things are there.
  await expect(page.getByRole('link', { name: 'New job' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Tibb Marrelow' })).toBeVisible();
  // The token of the session that was signed out opens nothing any more.
  expect((await ask(shop, 'GET jobs/[id]', first!.value))[0]).toBe(401);
  // An hour on, he answers for safety: asked for by name, an owner takes over instead, and the answer is hers.
  await onDatabase(shop.ownerUrl, (c) => c.query("UPDATE session SET asked_at = now() - interval '1 hour'"));
  await page.goto(`${DEMO.planned}/build`);
  const row = page.getByRole('group', { name: 'Brake hose has slack at full droop' });
  const answered = page.waitForResponse((r) => r.url().endsWith('/safety') && r.ok());
  await row.getByRole('button', { name: 'not ok' }).click();
  const asked = page.getByRole('dialog', { name: 'Who is it?' });
  await expect(asked).toContainText('You answer for this by name');
  await asked.getByRole('button', { name: 'Ansa Korvild' }).click();
  await asked.getByLabel('PIN').fill(DEMO_PIN);
  await asked.getByRole('button', { name: 'It is me' }).click();
  await answered;
  await page.goto('/shop');
  const trail = page.getByRole('region', { name: 'What was done' });
  for (const [who, what] of [
    ['Ansa Korvild', 'answered on the safety card'],
    ['Ansa Korvild', 'took over at this screen, with a PIN'],
    ['Tibb Marrelow', 'signed in with a PIN'],
    ['Tibb Marrelow', 'a PIN that does not fit'],
    ['Ansa Korvild', 'made a tablet known'],
  ] as const)
    await expect(trail.getByRole('row').filter({ hasText: who }).filter({ hasText: what })).toHaveCount(1);
  await expect(trail.getByRole('row').filter({ hasText: 'safety card' })).toContainText('Beach-rescue');
  // The tablet is forgotten: who works at it is out at once.
  const forgotten = page.waitForResponse((r) => r.url().includes('/api/tablets/'));
  await page.getByRole('button', { name: 'Forget it' }).click();
  await forgotten;
  await expect(page).toHaveURL(/sign-in/);
  await expect(page.getByRole('textbox', { name: 'Shop' })).toBeVisible();
  await context.close();
});

test('a session that has ended takes nothing typed with it: signed in over the page, the reading is saved', async ({
  page,
  request,
  shop,
}) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  await focusOn(page.getByLabel('Leaf width', { exact: true }));
  await onDatabase(shop.ownerUrl, (c) => c.query("UPDATE session SET seen_at = now() - interval '5 hours'"));
  await typeInto(page, 'Leaf width', '64.1');
  const asked = page.getByRole('dialog', { name: 'Who is it?' });
  await expect(asked).toContainText('Nobody is signed in here');
  await asked.getByRole('textbox', { name: 'Shop' }).fill(DEMO_WORD);
  await asked.getByRole('textbox', { name: 'Name' }).fill('ansa');
  await asked.getByLabel('Password').fill(DEMO_PASSWORD);
  const saved = page.waitForResponse((r) => r.url().endsWith('/readings') && r.ok());
  await asked.getByRole('button', { name: 'It is me' }).click();
  await saved;
  await onDatabase(shop.ownerUrl, (c) => c.query('UPDATE session SET seen_at = now()'));
  const view = (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
  expect(view.readings.find((r) => r.point === 'leafWidth')).toMatchObject({ typed: '64.1', person: 'Ansa Korvild' });
});

test('guessing is slowed down whatever restarts, and nobody learns who works here', async ({ shop }) => {
  const enter = async (name: string, secret: string, word = DEMO_WORD) => {
    const answer = await fetch(`${shop.url}/api/door/in`, {
      method: 'POST',
      headers: { origin: shop.url },
      body: JSON.stringify({ shop: word, name, kind: 'password', secret }),
    });
    const { message } = (await answer.json()) as { message?: string };
    return { status: answer.status, message, wait: Number(answer.headers.get('retry-after')) };
  };
  // A shop, a name and a password that are none read alike.
  const said = [await enter('nobody', 'x'), await enter('ansa', 'x'), await enter('ansa', 'x', 'no-shop')];
  expect(new Set(said.map((s) => `${s.status} ${s.message}`)).size).toBe(1);
  // At once, so that no two slip through between look and count.
  const rush = await Promise.all(Array.from({ length: 12 }, () => enter('tibb', 'guess')));
  expect(rush.filter((r) => r.status === 401).length).toBeLessThanOrEqual(6);
  await shop.stop('SIGKILL');
  await shop.start();
  const held = await enter('tibb', DEMO_PASSWORD);
  expect(held.status).toBe(429);
  expect(held.wait).toBeGreaterThan(0);
  expect((await enter('oona', DEMO_PASSWORD)).status).toBe(200);
  await onDatabase(shop.ownerUrl, (c) => c.query('UPDATE back_off SET until = now()'));
  expect((await enter('tibb', DEMO_PASSWORD)).status).toBe(200);
});

test('an owner takes a person in, who chooses a password before anything else; one that leaves is out at once', async ({
  browser,
  page,
  shop,
}) => {
  await page.goto('/shop');
  await page.getByLabel('New person, as they sign').fill('Wenna Tarrow');
  await page.getByLabel('New person signs in as').fill('wenna');
  await page.getByRole('button', { name: 'Take in' }).click();
  const told = page.getByRole('status');
  await expect(told).toContainText('Tell Wenna Tarrow this password now');
  const password = await told.locator('.figure').innerText();
  const context = await browser.newContext({ baseURL: shop.url, storageState: STRANGER });
  const send = (method: 'PUT' | 'POST', path: string, data: unknown) =>
    context.request.fetch(path, { method, data, headers: { origin: shop.url } });
  const me = { shop: DEMO_WORD, name: 'wenna', kind: 'password', secret: password };
  expect((await send('POST', '/api/door/in', me)).status()).toBe(200);
  const early = await send('POST', `/api${DEMO.planned}/odometer`, {});
  expect([early.status(), (await early.json()) as unknown]).toMatchObject([403, { code: 'change-password' }]);
  const theirs = await context.newPage();
  await theirs.goto('/shelf');
  await expect(theirs.getByText('choose one of your own')).toBeVisible();
  expect((await send('PUT', '/api/door/secrets', { now: password, password: 'short' })).status()).toBe(400);
  expect((await send('PUT', '/api/door/secrets', { now: 'no', password: 'long enough by far' })).status()).toBe(400);
  const chosen = { now: password, password: 'long enough by far', pin: '8642' };
  expect((await send('PUT', '/api/door/secrets', chosen)).status()).toBe(200);
  expect((await send('POST', `/api${DEMO.planned}/odometer`, {})).status()).toBe(400);
  await page.reload();
  const row = page.getByRole('listitem').filter({ hasText: 'Wenna Tarrow' });
  await expect(row).toContainText('own password, PIN');
  await row.getByRole('button', { name: 'Has left' }).click();
  await expect(row).toContainText('has left');
  expect((await context.request.get(`/api${DEMO.planned}`)).status()).toBe(401);
  // The last owner stays one.
  const mine = page.getByRole('listitem').filter({ hasText: 'Ansa Korvild' });
  await mine.getByRole('button', { name: 'mechanic' }).click();
  await expect(mine.getByRole('alert')).toContainText('without an owner');
  await context.close();
});

test('a customer’s link shows one job and nothing else, until it is taken back or ends', async ({
  browser,
  page,
  shop,
}) => {
  await page.goto(`${DEMO.provenInside}/prove#hand`);
  await page.getByLabel('Who it is for').fill('the fish market');
  await page.getByRole('button', { name: 'Make a link' }).click();
  const link = await page.locator('.link-once').innerText();
  const context = await browser.newContext({ storageState: STRANGER });
  const theirs = await context.newPage();
  await theirs.goto(link);
  await expect(theirs.getByRole('heading', { name: 'Fish-market flatbed' })).toBeVisible();
  await expect(theirs.getByRole('row', { name: /^left/ })).toContainText('536 mm (21.1 in)');
  const { violations } = await new AxeBuilder({ page: theirs }).analyze();
  expect(violations.map((v) => `${v.id} ${v.nodes[0]?.target.join(' ')}`)).toEqual([]);
  const text = await theirs.content();
  expect(text).not.toMatch(/Korvild|Marrelow|Fesk/);
  await theirs.goto(`${shop.url}${DEMO.provenInside}/prove`);
  await expect(theirs).toHaveURL(/sign-in/);
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('button', { name: 'Take it back' })).toHaveCount(0);
  await theirs.goto(link);
  await expect(theirs.getByText('shows nothing any more')).toBeVisible();
  await context.close();
});

test('what is kept of a vehicle’s owner is handed out and erased, and the record of the work stays whole', async ({
  page,
  request,
  shop,
}) => {
  const view = async () => (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
  const before = await view();
  await page.goto(`${DEMO.planned}/ask#owner`);
  await openTab(page, 'whose it is');
  await page.getByRole('textbox', { name: 'Owner' }).fill('Merrin Vose');
  await page.getByRole('textbox', { name: 'Plate' }).fill('QX 41');
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Owner' })).toHaveValue('Merrin Vose');
  await page.getByRole('button', { name: 'Save the owner' }).click();
  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Hand it out' }).click();
  expect(readFileSync(await (await file).path(), 'utf8')).toContain('Merrin Vose');
  // Somebody else's edit is not written over.
  const late = await request.put(`/api${DEMO.planned}/owner`, { data: { name: 'Other', version: 0 } });
  expect([late.status(), (await late.json()) as unknown]).toMatchObject([409, { code: 'conflict' }]);
  await page.getByRole('button', { name: 'Erase it' }).click();
  await page.getByRole('button', { name: 'Erase it for good' }).click();
  await expect(page.getByRole('textbox', { name: 'Owner' })).toHaveValue('');
  expect(await view()).toEqual(before);
  const left = await onDatabase(shop.ownerUrl, async (c) => [
    (await c.query('SELECT FROM vehicle_owner')).rowCount,
    (await c.query("SELECT what FROM audit WHERE what LIKE 'erased%'")).rowCount,
  ]);
  expect(left).toEqual([0, 1]);
});

test('without the demo its doors are shut, and the console’s code makes one owner, once', async ({ shop }) => {
  const said = execFileSync('node_modules/.bin/tsx', ['scripts/doors.ts'], {
    env: { ...process.env, OWNER_DATABASE_URL: shop.ownerUrl },
    encoding: 'utf8',
  });
  const code = /type (\S+) /.exec(said)![1];
  const post = (path: string, data: object) =>
    fetch(`${shop.url}/api/door/${path}`, {
      method: 'POST',
      headers: { origin: shop.url },
      body: JSON.stringify(data),
    });
  const demo = { shop: DEMO_WORD, name: 'ansa', kind: 'password', secret: DEMO_PASSWORD };
  expect((await post('in', demo)).status).toBe(401);
  const me = { shop: 'Own shop', word: 'own', name: 'Merrin Vose', signIn: 'merrin', password: 'anvil and bellows' };
  expect((await post('first', { ...me, code: 'ffff-ffff-ffff' })).status).toBe(400);
  expect((await post('first', { ...me, code })).status).toBe(200);
  expect((await post('first', { ...me, code, word: 'more' })).status).toBe(400);
  const mine = { shop: 'own', name: 'merrin', kind: 'password', secret: me.password };
  const entered = await post('in', mine);
  expect(entered.status).toBe(200);
  const token = /gravelwort-session=([^;]+)/.exec(entered.headers.get('set-cookie')!)![1]!;
  // A new shop sees nothing of any other.
  expect((await ask(shop, 'GET jobs/[id]', token))[0]).toBe(404);
});

test('with a certificate the server speaks TLS only, says so for a year, and marks its cookies; it lays down root’s rights', async ({
  shop,
}) => {
  const folder = clusterFolder();
  chmodSync(folder, 0o755);
  const [cert, key] = [join(folder, 'cert.pem'), join(folder, 'key.pem')];
  const made = spawnSync('openssl', [
    ...['req', '-x509', '-newkey', 'ec', '-pkeyopt', 'ec_paramgen_curve:prime256v1', '-nodes', '-days', '2'],
    ...['-subj', '/CN=bench.shop.example', '-keyout', key, '-out', cert],
  ]);
  expect(made.status).toBe(0);
  await shop.stop();
  shop.settings = {
    ...{ GRAVELWORT_CERT: cert, GRAVELWORT_KEY: key, GRAVELWORT_TLS: 'yes' },
    GRAVELWORT_HOSTS: 'bench.shop.example',
  };
  await shop.start();
  if (process.getuid?.() === 0) {
    // Where nobody else may read the house, it stays root's and says so.
    const readable = spawnSync('test', ['-r', resolve('package.json')], { uid: 65_534, gid: 65_534, cwd: '/' });
    expect(shop.heard).toMatch(readable.status === 0 ? /as nobody\s*$/m : /as root, since nobody may not read/);
  }
  const call = (host: string, headers: Record<string, string> = {}) =>
    new Promise<{ status: number | undefined; headers: Record<string, unknown> }>((resolve, reject) => {
      const options = { port: shop.port, host: '127.0.0.1', ca: readFileSync(cert), servername: 'bench.shop.example' };
      get({ ...options, path: '/api/door/here', headers: { host, ...headers } }, (answer) => {
        answer.resume();
        resolve({ status: answer.statusCode, headers: answer.headers });
      }).on('error', reject);
    });
  const good = await call(`bench.shop.example:${shop.port}`);
  expect(good.status).toBe(200);
  expect(good.headers['strict-transport-security']).toBe('max-age=31536000');
  expect((await call('elsewhere.example')).status).toBe(403);
  await expect(fetch(`http://127.0.0.1:${shop.port}/healthz`)).rejects.toThrow();
});

test('a way of asking that is none is refused, and where a call comes from is what the server saw', async ({
  shop,
}) => {
  const { status, headers } = await new Promise<{ status: number | undefined; headers: Record<string, unknown> }>(
    (resolve, reject) => {
      void import('node:http').then(({ request }) =>
        request({ port: shop.port, host: '127.0.0.1', method: 'TRACE', path: '/' }, (answer) => {
          answer.resume();
          resolve({ status: answer.statusCode, headers: answer.headers });
        })
          .on('error', reject)
          .end(),
      );
    },
  );
  expect([status, headers.allow]).toEqual([405, 'GET, HEAD, POST, PUT, PATCH, DELETE, OPTIONS']);
  for (let k = 0; k < 2; k++)
    await fetch(`${shop.url}/api/door/in`, {
      method: 'POST',
      headers: { origin: shop.url, 'x-forwarded-for': `10.0.0.${k}`, 'x-gravelwort-address': `10.0.1.${k}` },
      body: JSON.stringify({ shop: DEMO_WORD, name: 'ansa', kind: 'password', secret: 'no' }),
    });
  const from = await onDatabase(shop.ownerUrl, (c) => c.query('SELECT DISTINCT address FROM audit'));
  expect(from.rows).toEqual([{ address: '127.0.0.1' }]);
});

test('no secret and no token is stored as it is, and nobody changes what was done', async ({ shop, request }) => {
  expect((await request.get('/api/door/here')).status()).toBe(200);
  const dump = await onDatabase(shop.ownerUrl, async (c) => {
    const rows: unknown[] = [];
    for (const table of ['credential', 'session', 'tablet', 'viewer_link', 'first_code', 'audit'])
      rows.push(...(await c.query(`SELECT t::text FROM ${table} t`)).rows);
    return JSON.stringify(rows);
  });
  for (const secret of [DEMO_PASSWORD, DEMO_PIN, SIGNED_IN.cookies[0]!.value]) expect(dump).not.toContain(`"${secret}`);
  expect(dump).toContain('$argon2id$v=19$m=19456,t=2,p=1$');
  await onDatabase(shop.appUrl, async (c) => {
    await c.query("SELECT set_config('gravelwort.shop', $1, false)", [DEMO_SHOP]);
    for (const sql of ["UPDATE audit SET what = 'x'", 'DELETE FROM audit', 'DELETE FROM session', 'DELETE FROM person'])
      await expect(c.query(sql)).rejects.toThrow(/permission denied/);
  });
});
