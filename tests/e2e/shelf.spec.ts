import { readFile } from 'node:fs/promises';
import { shelfAskSchema, type PartEdit, type ShelfItem, type ShelfPage } from '@/contracts/shelf';
import { readPartsFile } from '@/contracts/partsFile';
import { shelfQuery } from '@/data/shelf';
import { DEMO_PERSON, DEMO_SHOP } from '../../demo/ids';
import sharp from 'sharp';
import { manyParts } from '../reference/manyParts';
import { expect, onDatabase, test, typeInto } from './shop';

const ask = (part: object) => shelfAskSchema.parse(part);

test('a part is found by a piece of its number, put on the shelf, changed, and what it was is kept', async ({
  page,
}) => {
  await page.goto('/shelf');
  await expect(page.getByTestId('found')).toHaveText('234 found');
  const words = page.getByLabel('Name, number, maker, origin or place');
  await words.fill('hb70');
  await expect(page.getByTestId('found')).toHaveText('7 found');
  await words.fill('quarry');
  await expect(page.getByTestId('found')).toHaveText('3 found');
  await page.getByRole('button', { name: 'Put a part on the shelf' }).click();
  await page.getByLabel('Part name', { exact: true }).fill('Leaf cut from the old tender');
  await page.getByRole('button', { name: 'used', exact: true }).last().click();
  await page.getByLabel('What it came off').fill('slipway tender');
  await typeInto(page, 'How many', '2');
  await typeInto(page, 'Width', '2 3/8 in');
  await typeInto(page, 'Pin to front, leaf 1', '410');
  await typeInto(page, 'Pin to rear, leaf 1', '425');
  // Half typed, then the page is loaded again.
  await page.reload();
  await page.getByRole('button', { name: 'Put a part on the shelf' }).click();
  await expect(page.getByLabel('Part name', { exact: true })).toHaveValue('Leaf cut from the old tender');
  await expect(page.getByText('Still needs the lengths and thickness of leaf 1.')).toBeVisible();
  await typeInto(page, 'Thickness, leaf 1', '8');
  await page.getByRole('button', { name: 'Save the part' }).click();
  await expect(page.getByRole('heading', { name: 'Leaf cut from the old tender' })).toBeVisible();
  await words.fill('slipway');
  await expect(page.getByTestId('found')).toHaveText('1 found');
  await expect(page.getByRole('cell', { name: /front 410, rear 425, thickness 8, width 60/ })).toBeVisible();
  await page.getByRole('button', { name: 'Change this part' }).click();
  await typeInto(page, 'How many', '1');
  await page.getByRole('button', { name: 'Save the part' }).click();
  await page.getByText('Changed 1 times').click();
  await expect(page.getByText(/was Leaf cut from the old tender, 2 there/)).toBeVisible();
});

test('two people at one part: the second is told, and the first one’s figure stands', async ({ request }) => {
  const { items } = (await (
    await request.post('/api/shelf/page', { data: ask({ words: 'HB-70-44' }) })
  ).json()) as ShelfPage;
  const { photos, updatedAt, updatedBy, ...part } = items[0]!;
  const put = (edit: PartEdit) => request.put(`/api/shelf/${part.id}`, { data: edit });
  const first = await put({ ...part, price: 11 });
  expect(((await first.json()) as ShelfItem).version).toBe(part.version + 1);
  const second = await put({ ...part, price: 12 });
  expect(second.status()).toBe(409);
  expect(await second.json()).toMatchObject({ code: 'conflict' });
  const now = (await (await request.get(`/api/shelf/${part.id}`)).json()) as ShelfItem;
  expect(now.price).toBe(11);
  const wrong = await put({
    ...part,
    version: now.version,
    dimensions: [{ dimension: 'legLength', value: 90, typed: '90' }],
  });
  expect(await wrong.json()).toMatchObject({ code: 'bad-input', field: 'legLength' });
});

test('the shelf goes out as a file and comes in again: line by line, all or nothing', async ({ page, request }) => {
  await page.goto('/shelf');
  const waiting = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Save what is shown' }).click();
  const text = await readFile((await (await waiting).path())!, 'utf8');
  const { rows, problems } = readPartsFile(text);
  expect(problems).toEqual([]);
  expect(rows).toHaveLength(234);
  const bring = async (name: string, content: string) => {
    const input = page.locator('input[type=file][accept*=csv]');
    await expect(input).toBeEnabled();
    await input.setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(content) });
  };
  const report = page.getByTestId('import');
  await bring('same.csv', text);
  await expect(report).toContainText('0 new, 0 changed, 234 as they are');
  const header = text.split('\n')[0]!;
  const line = (cells: Record<string, string>) =>
    header
      .split(',')
      .map((name) => cells[name] ?? '')
      .join(',');
  const good = line({
    kind: 'block',
    name: 'Block of the slip',
    number: 'SL-1',
    maker: 'Slip',
    height: '41',
    price: '9',
  });
  const bad = line({ kind: 'block', name: 'Bad block', number: 'SL-2', height: 'tall' });
  await bring('bad.csv', [header, good, bad].join('\n'));
  await expect(report).toContainText('1 fault, nothing was brought in');
  await expect(report.getByRole('row', { name: /3 height “tall”/ })).toBeVisible();
  const found = async (words: string) =>
    ((await (await request.post('/api/shelf/page', { data: ask({ words }) })).json()) as ShelfPage).items;
  expect(await found('SL-1')).toHaveLength(0);
  await bring('good.csv', [header, good].join('\n'));
  await page.getByRole('button', { name: 'Bring in 1 parts' }).click();
  await expect(report).toContainText('brought in, 1 new');
  expect((await found('SL-1'))[0]).toMatchObject({ name: 'Block of the slip', price: 9 });
  // The same maker and number once more is the same part with a new price.
  await bring('dearer.csv', [header, good.replace(/,9,/, ',10,')].join('\n'));
  await expect(report).toContainText('0 new, 1 changed');
  // A file written before somebody changed the part does not overwrite it.
  const old = (await found('SL-1'))[0]!;
  await page.getByRole('button', { name: 'Bring in 1 parts' }).click();
  await expect(report).toContainText('brought in');
  await bring(
    'stale.csv',
    [header, line({ id: old.id, version: '1', kind: 'block', name: 'Stale', number: 'SL-1', maker: 'Slip' })].join(
      '\n',
    ),
  );
  await expect(report).toContainText('since this file was written');
  expect((await found('SL-1'))[0]).toMatchObject({ name: 'Block of the slip', price: 10 });
});

test('a long file says how far it is and stops when it is told to; nothing of it is there then', async ({
  page,
  request,
  shop,
}) => {
  await page.goto('/shelf');
  const lines = Array.from({ length: 30_000 }, (_, k) => `block,Block ${k},LG-${k},Long,41`);
  const buffer = Buffer.from(['kind,name,number,maker,height', ...lines].join('\n'));
  await expect(page.getByRole('button', { name: 'view…' })).toBeEnabled();
  await page.locator('input[type=file][accept*=csv]').setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer });
  await page.getByRole('button', { name: 'Bring in 30000 parts' }).click();
  await expect(page.getByText(/^(7[5-9]|[89]\d|[12]\d\d)\d\d of 30000 lines$/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(page.getByText('Stopped. Nothing was brought in.')).toBeVisible();
  const busy = () =>
    onDatabase(shop.ownerUrl, async (c) => {
      const sql = "SELECT FROM pg_stat_activity WHERE datname = current_database() AND state LIKE 'idle in%'";
      return (await c.query(sql)).rowCount;
    });
  // Given up, and given back, within a batch.
  await expect.poll(busy).toBe(0);
  const { items } = (await (
    await request.post('/api/shelf/page', { data: ask({ words: 'LG-1' }) })
  ).json()) as ShelfPage;
  expect(items).toEqual([]);
});

test('a picture of a part is kept small and whole; nonsense is refused', async ({ request }) => {
  const { items } = (await (
    await request.post('/api/shelf/page', { data: ask({ kind: 'pack' }) })
  ).json()) as ShelfPage;
  const send = (buffer: Buffer) =>
    request.post(`/api/shelf/${items[0]!.id}/photos`, {
      multipart: {
        id: crypto.randomUUID(),
        subject: 'part',
        caption: 'pack',
        file: { name: 'a.png', mimeType: 'image/png', buffer },
      },
    });
  const photo = await sharp({ create: { width: 2400, height: 900, channels: 3, background: '#663' } })
    .png()
    .toBuffer();
  const saved = (await (await send(photo)).json()) as ShelfItem;
  expect(saved.photos[0]).toMatchObject({ width: 1600, height: 600 });
  const bytes = await (await request.get(`/api/shelf/photos/${saved.photos[0]!.id}`)).body();
  expect((await sharp(bytes).metadata()).format).toBe('jpeg');
  expect((await send(Buffer.from('no picture'))).status()).toBe(415);
});

test('at 50,000 parts every page, also the last, is read through an index, and every part is met once', async ({
  shop,
  request,
}) => {
  await onDatabase(shop.ownerUrl, (c) => manyParts(c, DEMO_SHOP, DEMO_PERSON, 50_000));
  const end = { key: 'leaf fff', id: '00000000-0000-4000-8000-000000000000' };
  const cases = {
    'by name': ask({}),
    'by name, far down': ask({ after: end }),
    'of one kind, cheapest first': ask({ kind: 'block', order: 'price' }),
    'by the start of a number': ask({ words: 'N-4711' }),
    'by two words': ask({ words: 'leaf maker 17' }),
    'by a size': ask({ kind: 'leaf', within: [{ dimension: 'front', from: 411, to: 411.5 }] }),
  };
  await onDatabase(shop.appUrl, async (c) => {
    await c.query('BEGIN');
    await c.query('SET LOCAL ROLE gravelwort_app');
    await c.query("SELECT set_config('gravelwort.shop', $1, true)", [DEMO_SHOP]);
    for (const [name, given] of Object.entries(cases)) {
      const { text, values } = shelfQuery(given, 'i.id', 41);
      const { rows } = await c.query<{ 'QUERY PLAN': string }>(`EXPLAIN ${text}`, values);
      const plan = rows.map((r) => r['QUERY PLAN']).join('\n');
      expect(plan, name).toMatch(/Index (Only )?Scan|Bitmap Index Scan/);
      expect(plan, name).not.toMatch(/Seq Scan/);
    }
  });
  // Pages in both orders: all of one kind, none twice, in order.
  for (const order of ['name', 'price'] as const) {
    const seen = new Map<string, ShelfItem>();
    let after: ShelfPage['next'] = null;
    let last: string | number = order === 'name' ? '' : -1;
    let pages = 0;
    do {
      const response = await request.post('/api/shelf/page', {
        data: ask({ kind: 'block', holding: 'stock', here: true, mostPrice: 60, order, after }),
      });
      const { items, next } = (await response.json()) as ShelfPage;
      for (const item of items) {
        expect(seen.has(item.id)).toBe(false);
        const key: string | number = order === 'name' ? item.name.toLowerCase() : item.price!;
        expect(key >= last).toBe(true);
        last = key;
        seen.set(item.id, item);
      }
      after = next;
      pages += 1;
    } while (after);
    const [{ count }] = await onDatabase(
      shop.ownerUrl,
      async (c) =>
        (
          await c.query(
            "SELECT count(*)::integer AS count FROM shelf_item WHERE kind = 'block' AND quantity > 0 AND price <= 60",
          )
        ).rows as [{ count: number }],
    );
    expect(seen.size).toBe(count);
    expect(pages).toBeGreaterThan(10);
  }
});
