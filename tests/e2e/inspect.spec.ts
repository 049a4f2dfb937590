import { createHash } from 'node:crypto';
import { readFileSync, rmSync } from 'node:fs';
import sharp from 'sharp';
import { type JobView } from '@/contracts/job';
import { clusterFolder, clusterShell, DEMO, expect, openTab, Shop, test, typeInto } from './shop';

const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#7a5a3a' } })
    .jpeg()
    .toBuffer();

test('seen and measured findings get their verdict from the rule, with partner side and what to order', async ({
  page,
}) => {
  await page.goto(`${DEMO.provenInside}/inspect#list`);
  const left = page.locator('[data-finding="bumpStop|left"]');
  await left.getByRole('combobox', { name: 'Bump stop, left' }).click();
  await page.getByTitle('split, half gone or missing').click();
  await expect(left).toContainText('replace');
  await expect(left).toContainText('Renew both sides');
  await expect(left).toContainText('Order: bump stops, both sides.');
  const right = page.locator('[data-finding="bumpStop|right"]');
  await expect(right).toContainText('not looked at');
  // Measured: the left stands 2 1/4 in, the right 2 3/8 in; 3 mm is no sag.
  const sag = page.locator('[data-finding="sag|left"]');
  await sag.getByRole('button', { name: /take it from Measure: loaded arch of both sides/ }).click();
  await expect(sag).toContainText('pass');
  await typeInto(page, 'Sag against the expected arch, left: arch it should have', '3 5/16 in');
  await expect(sag).toContainText('replace');
  await expect(sag).toContainText('flatter by 27 mm');
  // The station says so on its tape.
  await expect(page.getByRole('link', { name: /Inspect/ })).toContainText('look');
  await page.reload();
  await expect(sag).toContainText('flatter by 27 mm');
});

test('a shop sets its own limit with a reason; findings made before keep their verdict', async ({ page, request }) => {
  await page.goto(`${DEMO.provenInside}/inspect#list`);
  const sag = page.locator('[data-finding="sag|left"]');
  await typeInto(page, 'Sag against the expected arch, left: arch it should have', '80');
  await typeInto(page, 'Sag against the expected arch, left: arch found', '70');
  await expect(sag).toContainText('pass');
  const rule = page.locator('[data-rule=sag]');
  await rule.getByText('limits:').click();
  await rule.getByRole('button', { name: 'set this shop’s own' }).last().click();
  await typeInto(page, 'Sag against the expected arch: this shop’s limit, watch', '8');
  await rule.getByLabel('Reason').fill('salt water, seen twice');
  const set = page.waitForResponse((r) => r.url().endsWith('/limits') && r.ok());
  await rule.getByRole('button', { name: 'Set it for the shop' }).click();
  await set;
  await expect(rule).toContainText('watch from 8 mm');
  const view = (await (await request.get(`/api${DEMO.provenInside}`)).json()) as JobView;
  expect(view.findings.find((f) => f.rule === 'sag')!.verdict).toBe('pass');
  await typeInto(page, 'Sag against the expected arch, left: arch found', '71');
  await expect(sag).toContainText('watch');
});

test('a broken leaf is marked on the drawing and goes into the solver: every plan makes it good first', async ({
  page,
  request,
}) => {
  await page.goto(`${DEMO.provenInside}/inspect#pack`);
  await page.locator('.touch[data-leaf="2"]').click({ position: { x: 60, y: 20 } });
  await expect(page.getByText('STOP, broken')).toBeVisible();
  await openTab(page, 'list');
  await expect(page.locator('[data-finding="leafBroken|left"]')).toContainText('Not to be driven or towed');
  await openTab(page, 'broken leaf');
  await expect(page.getByTestId('break-effect')).toContainText(/would stand \+\d+ mm/);
  const view = (await (await request.get(`/api${DEMO.provenInside}`)).json()) as JobView;
  const finding = view.findings.find((f) => f.rule === 'leafBroken')!;
  expect(finding).toMatchObject({ side: 'left', verdict: 'stop', leafId: view.leaves[1]!.id });
  expect(finding.place).toBeLessThan(-300);
  await page.goto(`${DEMO.provenInside}/choose`);
  await expect(page.getByTestId('ledger')).toContainText('broken leaf made good');
  // Typed instead of touched, at another place.
  await page.goto(`${DEMO.provenInside}/inspect#list`);
  await typeInto(page, 'Broken at, left', '8 1/4 in');
  await openTab(page, 'broken leaf');
  await expect(page.getByRole('img', { name: /leaf 2 broken 210 mm behind the pin/ })).toBeVisible();
});

test('what breaks again at one place is said, with km per failure; what was seen by the way outlives the job', async ({
  page,
  request,
}) => {
  await page.goto(`${DEMO.provenInside}/inspect#before`);
  for (const [where, km] of [
    ['rear left, leaf 2', '21500'],
    ['Rear left, leaf 2', '43000'],
  ] as const) {
    await page.getByLabel('Where it broke').fill(where);
    await typeInto(page, 'Odometer', km);
    const saved = page.waitForResponse((r) => r.url().endsWith('/failures') && r.ok());
    await page.getByRole('button', { name: 'Add this failure' }).click();
    await saved;
  }
  await expect(page.getByTestId('repeat')).toContainText('has failed 2 times');
  await expect(page.getByText('one in 21500 km')).toBeVisible();
  await openTab(page, 'seen by the way');
  await page.getByLabel('What was seen', { exact: true }).fill('diff weeps at the pinion');
  await page.getByRole('button', { name: 'Write it down' }).click();
  const seen = page.getByTestId('side-findings').getByRole('listitem');
  await expect(seen).toContainText('diff weeps at the pinion, soon');
  // Another job on the same vehicle finds it again.
  const view = (await (await request.get(`/api${DEMO.provenInside}`)).json()) as JobView;
  const id = crypto.randomUUID();
  const made = await request.post('/api/jobs', {
    data: {
      id,
      vehicle: { kind: 'known', axleId: view.axle.id },
      complaint: 'squeaks',
      wantedChange: 0,
      wantedTyped: '0',
      tolerance: 5,
      toleranceTyped: '5',
      guess: null,
      guessTyped: null,
      noBlocks: false,
      keepUbolts: false,
      leafCount: 5,
      usual: null,
      wantedIn: 'today',
    },
  });
  expect(made.ok()).toBe(true);
  await page.goto(`/jobs/${id}/inspect#seen`);
  await expect(seen).toContainText('diff weeps at the pinion');
  await seen.getByRole('button', { name: 'done' }).click();
  await page.getByLabel('What was done about diff weeps').fill('new pinion seal');
  await page.getByRole('button', { name: 'Close it' }).click();
  await expect(seen).toContainText('done: new pinion seal');
});

test('a picture is made small and upright and stays with its finding; what is no picture is refused in words', async ({
  page,
  request,
}) => {
  await page.goto(`${DEMO.provenInside}/inspect#list`);
  const cell = page.locator('[data-finding="hanger|right"]');
  await cell.getByRole('combobox', { name: 'Hangers, right' }).click();
  await page.getByTitle('flange bent').click();
  await cell.locator('summary').click();
  // Taken on its side by the camera: 2400 × 1800 with an orientation mark.
  const turned = await sharp(await picture(2400, 1800))
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
  await expect(cell.locator('input[type=file]')).toBeEnabled();
  await cell.locator('input[type=file]').setInputFiles({ name: 'hanger.jpg', mimeType: 'image/jpeg', buffer: turned });
  await expect(cell.getByRole('img', { name: /Hangers, right/ })).toBeVisible();
  const view = (await (await request.get(`/api${DEMO.provenInside}`)).json()) as JobView;
  const [photo] = view.photos;
  expect(photo).toMatchObject({ subject: 'hanger|right', width: 1200, height: 1600 });
  const bytes = await (await request.get(`/api/photos/${photo!.id}`)).body();
  expect(createHash('sha256').update(bytes).digest('hex')).toBe(photo!.sha256);
  expect((await sharp(bytes).metadata()).exif).toBeUndefined();
  const send = (buffer: Buffer) =>
    request.post(`/api${DEMO.provenInside}/photos`, {
      multipart: {
        id: crypto.randomUUID(),
        subject: 'hanger|right',
        file: { name: 'x.jpg', mimeType: 'image/jpeg', buffer },
      },
    });
  const nonsense = await send(Buffer.from('not a picture at all'));
  expect([nonsense.status(), (await nonsense.json()) as unknown]).toMatchObject([
    415,
    { code: 'no-picture', field: 'file' },
  ]);
  expect((await send(Buffer.alloc(0))).status()).toBe(400);
  expect((await send(Buffer.alloc(15_500_000))).status()).toBe(413);
  expect((await request.get(`/api/photos/${crypto.randomUUID()}`)).status()).toBe(404);
});

test('a picture acknowledged before the database is killed is the same afterwards', async ({ request }) => {
  const folder = clusterFolder();
  const shell = (commands: string) => clusterShell(folder, commands).out;
  const up = `cluster_up ${folder}/db >/dev/null`;
  let shop: Shop | undefined;
  try {
    const load = 'node_modules/.bin/tsx scripts/migrate.ts && node_modules/.bin/tsx demo/load.ts';
    const urls = shell(
      `${up}; export OWNER_DATABASE_URL="$OWNER_URL" APP_DATABASE_URL="$APP_URL"; (${load}) >/dev/null; echo "$OWNER_URL"; echo "$APP_URL"`,
    )
      .trim()
      .split('\n');
    shop = await Shop.on(urls[0]!, urls[1]!);
    const id = crypto.randomUUID();
    const sent = await request.post(`${shop.url}/api${DEMO.provenInside}/photos`, {
      headers: { origin: shop.url },
      multipart: {
        id,
        subject: 'uBolts|left',
        file: { name: 'u.jpg', mimeType: 'image/jpeg', buffer: await picture(900, 700) },
      },
    });
    const hash = ((await sent.json()) as JobView).photos.find((p) => p.id === id)!.sha256;
    process.kill(Number(readFileSync(`${folder}/db/data/postmaster.pid`, 'utf8').split('\n')[0]), 'SIGKILL');
    shell(`sleep 0.5; ${up}`);
    await expect
      .poll(async () => {
        const there = await request.get(`${shop!.url}/api/photos/${id}`, { headers: { origin: shop!.url } });
        const bytes = await there.body();
        return createHash('sha256').update(bytes).digest('hex');
      })
      .toBe(hash);
  } finally {
    await shop?.stop('SIGKILL');
    shell(`cluster_down ${folder}/db`);
    rmSync(folder, { recursive: true, force: true });
  }
});
