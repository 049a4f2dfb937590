import ICAL from 'ical.js';
import Papa from 'papaparse';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { type JobView } from '@/contracts/job';
import { dateOf, dayNumber, isDayOff, partLines } from '@/contracts/preparation';
import { holdsOf } from '@/contracts/holds';
import { orderOfWork } from '@/contracts/orderOfWork';
import { SUPPORT_ITEMS } from '@/core/procedure/safety';
import { DEMO, expect, openTab, test, typeInto } from './shop';

const API = `/api${DEMO.planned}`;

/** The words of a PDF, read by another program than the one that wrote it. */
async function wordsOf(pdf: Buffer): Promise<{ text: string; pages: number }> {
  const document = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: true }).promise;
  const texts: string[] = [];
  for (let page = 1; page <= document.numPages; page += 1) {
    const { items } = await (await document.getPage(page)).getTextContent();
    texts.push(items.map((item) => ('str' in item ? item.str : '')).join(' '));
  }
  return { text: texts.join(' ').replaceAll(/\s+/g, ' '), pages: document.numPages };
}

test('a U-bolt that came too short stops the start, with its own arithmetic; the one that comes for it lets it go', async ({
  page,
  request,
}) => {
  const view = async () => (await (await request.get(API)).json()) as JobView;
  await page.goto(`${DEMO.planned}/prepare`);
  const line = page.locator('[data-need=uBolts]');
  await expect(line).toContainText('3 of 4 measured');
  await line.getByRole('button', { expanded: false }).click();
  await line.getByRole('button', { name: 'Measure what came' }).click();
  await page
    .getByRole('group', { name: 'Piece' })
    .getByRole('button', { name: /^4 of 4/ })
    .click();
  const called = partLines(await view()).find((l) => l.need === 'uBolts')!.called;
  const leg = called.find((c) => c.size === 'legLength')!.value;
  for (const { size, value } of called) {
    const stored = page.waitForResponse((r) => r.url().endsWith('/arrivals') && r.ok());
    const name = { legLength: 'leg inside the bend', insideWidth: 'inside width', threadLength: 'threaded length' }[
      size as 'legLength'
    ];
    await typeInto(page, `${name}, piece 4`, String(size === 'legLength' ? leg - 20 : Math.round(value)));
    await stored;
  }
  await expect(page.getByRole('status', { name: 'Arrival' })).toContainText('20.0 mm short, STOP leg inside the bend');
  await openTab(page, 'parts and hardware');
  await expect(line).toContainText('STOP 1 wrong');
  await expect(page.getByRole('link', { name: /^Prepare/ })).toContainText('STOP');
  for (const item of SUPPORT_ITEMS)
    await request.post(`${API}/safety`, { data: { id: crypto.randomUUID(), item, answer: 'ok' } });
  const start = () => request.post(`${API}/build`, { data: { overrideReason: null } });
  const refused = await start();
  expect(refused.status()).toBe(422);
  expect(await refused.json()).toMatchObject({
    code: 'does-not-fit',
    detail: expect.arrayContaining([
      expect.objectContaining({
        subject: 'arrival:uBolts',
        reason: expect.stringContaining(`Piece 4: leg inside the bend ${leg - 20} mm, called for ${leg} mm`),
      }),
    ]),
  });
  await openTab(page, 'arrival');
  const again = page.waitForResponse((r) => r.url().endsWith('/arrivals') && r.ok());
  await typeInto(page, 'leg inside the bend, piece 4', String(leg + 1));
  await again;
  await expect(page.getByRole('status', { name: 'Arrival' })).toContainText('this one is right');
  expect((await start()).ok()).toBe(true);
});

test('what is ordered, by whom and for when; two at one line, the shelf, and the calendar until the bay', async ({
  page,
  request,
}) => {
  const view = async () => (await (await request.get(API)).json()) as JobView;
  await page.goto(`${DEMO.planned}/prepare`);
  const nuts = page.locator('[data-need=eyeNuts]');
  await nuts.getByRole('button', { expanded: false }).click();
  const today = dayNumber((await view()).today);
  const put = page.waitForResponse((r) => r.url().endsWith('/needed') && r.ok());
  await nuts.getByLabel('Comes on').fill(dateOf(today + 9));
  await put;
  await expect(nuts).toContainText('ordered');
  // It comes some days after the day that was wanted, and nothing is begun on a Saturday or Sunday.
  const { bay, daysOff } = await view();
  let begins = today + 9;
  while (isDayOff(begins, daysOff)) begins += 1;
  const late = begins - dayNumber(bay!.bayOn!);
  await expect(page.getByRole('status', { name: 'Verdict' })).toContainText('into the bay');
  await expect(page.getByText(`${late} ${late === 1 ? 'day' : 'days'} later than wanted`)).toBeVisible();
  const price = page.waitForResponse((r) => r.url().endsWith('/costs') && r.ok());
  await typeInto(page, 'Price of Self-locking nuts, outer eye bolt', '7.40');
  await price;
  await expect(nuts.locator('.part-row')).toContainText('7.40');
  // Somebody else was faster: nothing is overwritten in silence.
  const stale = (await view()).needed.find((n) => n.need === 'eyeNuts')!;
  const edit = { ...stale, source: 'own drawer', person: undefined, updatedAt: undefined };
  expect((await request.put(`${API}/needed`, { data: edit })).ok()).toBe(true);
  const second = await request.put(`${API}/needed`, { data: { ...edit, source: 'elsewhere' } });
  expect([second.status(), ((await second.json()) as { code: string }).code]).toEqual([409, 'conflict']);
  // From the shop's own shelf, counted off there and put back.
  const blocks = (await (
    await request.post('/api/shelf/page', { data: { words: '', holding: 'stock', here: true } })
  ).json()) as { items: { id: string; name: string; quantity: number }[] };
  const item = blocks.items.find((i) => i.quantity >= 2)!;
  const onShelf = async () =>
    ((await (await request.get(`/api/shelf/${item.id}`)).json()) as { quantity: number }).quantity;
  const now = (await view()).needed.find((n) => n.need === 'eyeNuts')!;
  const take = { ...now, state: 'here', shelfItemId: item.id, person: undefined, updatedAt: undefined };
  expect((await request.put(`${API}/needed`, { data: take })).ok()).toBe(true);
  expect(await onShelf()).toBe(item.quantity - 2);
  const taken = (await view()).needed.find((n) => n.need === 'eyeNuts')!;
  const back = { ...taken, state: 'toOrder', shelfItemId: null, person: undefined, updatedAt: undefined };
  expect((await request.put(`${API}/needed`, { data: back })).ok()).toBe(true);
  expect(await onShelf()).toBe(item.quantity);
  // Waits after one another; one that would wait for itself is refused.
  const wait = (id: string, more: object) =>
    request.put(`${API}/waits`, {
      data: { id, what: 'coat the plates', days: 2, afterWait: null, done: false, struck: false, version: 0, ...more },
    });
  const [strip, coat] = [crypto.randomUUID(), crypto.randomUUID()];
  expect((await wait(strip, { what: 'strip the plates', days: 4 })).ok()).toBe(true);
  expect((await wait(coat, { afterWait: strip, days: 6 })).ok()).toBe(true);
  expect((await wait(strip, { what: 'strip the plates', days: 4, afterWait: coat, version: 1 })).status()).toBe(422);
  await page.reload();
  await openTab(page, 'until the bay');
  await expect(page.getByText('3 days later than wanted')).toBeVisible();
  // The same days in a file that another program reads.
  const ics = await request.get(`${API}/calendar`);
  expect(ics.headers()['content-type']).toContain('text/calendar');
  const events = new ICAL.Component(ICAL.parse(await ics.text()) as unknown[])
    .getAllSubcomponents('vevent')
    .map((e) => new ICAL.Event(e))
    .map((e) => [e.summary.split(': ')[1], e.startDate.toString()]);
  expect(events).toContainEqual(['into the bay', dateOf(today + 10)]);
  expect(events.filter(([what]) => what === 'oil the nuts and bolts')).toHaveLength(3);
  const { data } = Papa.parse<Record<string, string>>(await (await request.get(`${API}/parts-list`)).text(), {
    header: true,
  });
  expect(data.find((row) => row.line === 'plan:addLeaf.0')).toMatchObject({ pieces: '2', state: 'ordered' });
});

test('who works on it, what has rusted in, a tool that is hired and a day the shop is shut decide the order and the day', async ({
  page,
  request,
}) => {
  const view = async () => (await (await request.get(API)).json()) as JobView;
  const ids = async () => orderOfWork(await view())!.steps.map(({ operation }) => operation.id);
  const said = () => page.waitForResponse((r) => r.url().endsWith('/bay') && r.ok());
  const school = (question: string, of: string) =>
    request.post(`${API}/schools`, {
      data: { id: crypto.randomUUID(), question, school: of, reason: 'as we do', ofShop: false },
    });
  await school('workSides', 'other');
  await page.goto(`${DEMO.planned}/prepare`);
  await openTab(page, 'until the bay');
  let done = said();
  await page.getByRole('group', { name: 'At work on it' }).getByRole('button', { name: 'two' }).click();
  await done;
  const two = await ids();
  expect(Math.abs(two.indexOf('uboltsOff.left') - two.indexOf('uboltsOff.right'))).toBe(1);
  done = said();
  await page.getByRole('button', { name: 'rusty, old' }).click();
  await done;
  // Rubber may sit in the eyes: what was to be heated is cut, and its bolts are wanted for certain.
  await school('seizedBolts', 'one');
  expect((await ids()).filter((id) => /heatBolts|cutBolts/.test(id))).toEqual(['cutBolts.left', 'cutBolts.right']);
  expect(partLines(await view()).find((l) => l.need === 'eyeBolts')).toMatchObject({
    kind: 'hardware',
    why: 'they are cut',
  });
  await page.getByText('What other ways would take').click();
  await expect(page.getByRole('table', { name: 'Ways to go about it' }).locator('tbody tr')).toHaveCount(8);
  // The clamps are lent: hired ones come to the list with their day, and count once they are here.
  await openTab(page, 'tools');
  const listed = page.waitForResponse((r) => r.url().endsWith('/needed') && r.ok());
  await page.locator('[data-tool=clamps]').getByRole('button', { name: 'hire' }).click();
  await listed;
  const line = partLines(await view()).find((l) => l.need.startsWith('tool:clamp'))!;
  expect(line).toMatchObject({ kind: 'tool', what: expect.stringMatching(/^hire: two clamps/) });
  const clamp = async () => {
    const now = await view();
    return holdsOf(now, orderOfWork(now)!.steps.find((s) => s.operation.id === 'clamp.left')!.operation).map(
      (h) => h.kind,
    );
  };
  expect(await clamp()).toEqual(['tool']);
  const { person, updatedAt, ...part } = line.part!;
  expect((await request.put(`${API}/needed`, { data: { ...part, state: 'here' } })).ok()).toBe(true);
  expect(await clamp()).toEqual([]);
  // The owner shuts the day it was to begin on.
  const { bay } = await view();
  await page.goto('/shop');
  const put = page.waitForResponse((r) => r.url().endsWith('/days-off') && r.ok());
  await page.getByLabel('Shut on').fill(bay!.bayOn!);
  await page.getByRole('button', { name: 'Shut that day' }).click();
  await put;
  const shut = await view();
  expect(isDayOff(dayNumber(bay!.bayOn!), shut.daysOff)).toBe(true);
  const all = await request.put('/api/days-off', { data: { week: [0, 1, 2, 3, 4, 5, 6], on: [] } });
  expect(all.status()).toBe(400);
  // What went wrong costs the days that were said.
  const incident = { id: crypto.randomUUID(), step: null, kind: 'snapped', what: 'eye bolt, left', days: 3 };
  expect((await request.post(`${API}/incidents`, { data: incident })).ok()).toBe(true);
  expect((await view()).waits).toContainEqual(expect.objectContaining({ what: 'snapped: eye bolt, left', days: 3 }));
});

test('the sheets for the bench are PDFs whose words and cautions another program reads', async ({ request }) => {
  const print = async (what: string) => {
    const answer = await request.get(`${API}/print?what=${what}`);
    expect([what, answer.status(), answer.headers()['content-type']]).toEqual([what, 200, 'application/pdf']);
    return wordsOf(await answer.body());
  };
  const card = await print('card');
  for (const words of [
    'Build card',
    'Beach-rescue four-by-four',
    'never under a jack alone',
    'Chock the wheels of the other axle',
    'U-bolts to their figure in cross order',
    '118.0 N·m',
    'this bar is 50 mm',
    'Which way round, seen from its own side',
    'Comes off: shock, lower end',
  ])
    expect(card.text).toContain(words);
  expect(card.pages).toBeGreaterThan(1);
  expect((await print('torque')).text).toContain('left, front outer leg');
  expect((await print('labels')).text).toMatch(/LEFT .*Shock, lower bolt/);
  expect((await print('parts')).text).toContain('Centre bolts with nut');
  for (const what of ['torque', 'labels', 'parts'])
    expect((await print(what)).text).toContain('Spring slack before its last fastener');
  expect((await request.get(`${API}/print?what=nonsense`)).status()).toBe(400);
});
