import AxeBuilder from '@axe-core/playwright';
import { type JobView } from '@/contracts/job';
import { summarise } from '@/core/prediction/ledger';
import { CORE_VERSION } from '@/core/version';
import { DEMO, expect, openTab, test, typeInto } from './shop';

const view = async (request: { get: (url: string) => Promise<{ json: () => Promise<unknown> }> }, job: string) =>
  (await (await request.get(`/api${job}`)).json()) as JobView;

test('ways to the wanted height are ranked, looked at side by side, and one becomes the plan with its part', async ({
  page,
  request,
}) => {
  await page.goto(`${DEMO.planned}/choose#ways`);
  // By its label: it is read too while its tab is closed.
  const sheet = page.locator('section[aria-label="Ways to get there"]');
  await sheet.getByRole('button', { name: 'Search for ways' }).click();
  await expect(page.getByTestId('searched')).toContainText('looked at', { timeout: 60_000 });
  const rows = sheet.locator('tr[data-candidate]');
  expect(await rows.count()).toBeGreaterThan(5);
  // The job says to keep the U-bolts, so none is offered that needs others; nothing forbidden is among them.
  await sheet.getByRole('button', { name: /^All / }).click();
  const ids = await rows.evaluateAll((all) => all.map((r) => r.getAttribute('data-candidate')!));
  for (const id of ids) expect(id.match(/block:/g)?.length ?? 0).toBeLessThan(2);
  await expect(sheet.getByText('new U-bolts')).toHaveCount(0);
  // From the shelf only: what must be made goes.
  await sheet.getByText('Limits', { exact: true }).click();
  await sheet.getByRole('button', { name: 'from the shelf only' }).click();
  await expect(page.getByTestId('searched')).toContainText('something has changed since');
  await sheet.getByRole('button', { name: 'Search again' }).click();
  await expect(page.getByTestId('searched')).not.toContainText('something has changed', { timeout: 60_000 });
  await expect(sheet.getByText(/made by a spring maker/)).toHaveCount(0);
  for (const k of [0, 1]) await rows.nth(k).getByRole('checkbox').check();
  await expect(sheet.getByRole('table', { name: 'Side by side' }).getByRole('columnheader')).toHaveCount(5);
  await rows.nth(0).getByRole('button').click();
  const facts = sheet.locator('section.candidate');
  // The stop's gap was read, so it is told with its figure; nobody read the shaft.
  await expect(facts.locator('[data-check=stopGap]')).toContainText(/fits: \d+ mm up until the stop touches/);
  await expect(facts.locator('[data-check=driveline]')).toHaveAttribute('data-state', 'not checked');
  await expect(facts).toContainText('not OK');
  await expect(facts.locator('.plus-minus').first()).toBeVisible();
  const { violations } = await new AxeBuilder({ page }).include('[aria-label="Ways to get there"]').analyze();
  expect(violations.map((v) => `${v.id} ${v.nodes[0]?.target.join(' ')}`)).toEqual([]);
  const figureOf = async (which: string) =>
    Number(
      (await facts.locator('tbody tr').nth(1).locator(which).first().textContent())!
        .replace(/[^\d.−-]/g, '')
        .replace('−', '-'),
    );
  const higher = await figureOf('.figure');
  // A plan is there: the candidate becomes one of its own, and the other one stays.
  const was = (await view(request, DEMO.planned)).plan;
  await facts.getByRole('button', { name: 'Make it a plan of its own' }).click();
  await expect(facts.getByRole('button', { name: 'This is the plan' })).toBeVisible();
  const { plan, plans, job } = await view(request, DEMO.planned);
  expect(plans.find((p) => p.id === was.id)).toMatchObject({ current: false, changes: was.changes });
  expect(plan.changes.length).toBeGreaterThan(0);
  expect(plan.changes[0]).toHaveProperty('partId');
  // The station's own ledger says what the candidate said, on the side further from the wish.
  await openTab(page, 'adds up');
  const ledger = page.getByRole('table', { name: /Height ledger left stretcher/ });
  await expect(ledger).toBeVisible();
  const stored = await request.post(`/api${DEMO.planned}/predictions`, {
    data: { id: crypto.randomUUID(), planVersion: plan.version, coreVersion: CORE_VERSION },
  });
  expect(stored.ok()).toBe(true);
  const { predictions, states } = (await stored.json()) as JobView;
  const wanted = states.find((s) => s.wanted)!.id;
  const summaries = predictions[0]!.ledgers.filter((l) => l.stateId === wanted).map((l) => summarise(l.lines));
  // One band: the card and the plan’s ledger print the same one; nobody measured the part on the way.
  expect(plan.changes[0]).toMatchObject({ source: 'catalogue' });
  const halves = async () => {
    const all: number[] = [];
    for (const side of ['right', 'left']) {
      await page.getByRole('group', { name: 'Side', exact: true }).getByRole('button', { name: side }).click();
      const total = page
        .getByRole('table', { name: new RegExp(`Height ledger ${side} stretcher`) })
        .locator('tr.total');
      all.push(Number(await total.locator('td').last().innerText()));
    }
    return Math.max(...all) - (await figureOf('.plus-minus'));
  };
  await expect.poll(halves, { timeout: 30_000 }).toBe(0);
  const changes = summaries.map((s) => s.change);
  const off = changes.map((c) => Math.abs(c - job.wantedChange));
  const worst = changes[off.indexOf(Math.max(...off))]!;
  expect(Math.abs(worst - higher)).toBeLessThan(1);
});

test('a pack from the shelf becomes the plan with its leaves, is foretold and told apart in the ledger', async ({
  page,
  request,
}) => {
  const { pack: seen, leaves } = await view(request, DEMO.planned);
  const { version, eyeForm, rusty } = seen;
  // What the clamp does decides how far another pack lifts.
  const flat = { version, eyeForm, seatShape: 'flat', rusty, leafCount: leaves.length };
  expect((await request.put(`/api${DEMO.planned}/pack`, { data: flat })).ok()).toBe(true);
  await page.goto(`${DEMO.planned}/choose#ways`);
  const sheet = page.getByRole('region', { name: 'Ways to get there' });
  await sheet.getByRole('button', { name: 'any U-bolts' }).click();
  await sheet.getByRole('button', { name: 'from the shelf only' }).click();
  await sheet.getByRole('button', { name: 'new only' }).click();
  await sheet.getByText('Price, time, ride and load').click();
  await typeInto(page, 'A pack carries at least', '2200 lb');
  await sheet.getByRole('button', { name: 'Search for ways' }).click();
  await expect(page.getByTestId('searched')).toContainText('looked at', { timeout: 60_000 });
  const all = sheet.getByRole('button', { name: /^All / });
  if (await all.isVisible()) await all.click();
  const pack = sheet.locator('tr[data-candidate^="pack:"]').first();
  await pack.getByRole('button').click();
  await expect(sheet.locator('[data-check=rating]')).toContainText('This pack carries');
  await sheet.getByRole('button', { name: 'Make it a plan of its own' }).click();
  await openTab(page, 'adds up');
  await expect(page.getByRole('row', { name: /other pack, thickness/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /other pack, arch and eyes/ })).toBeVisible();
  const { plan } = await view(request, DEMO.planned);
  const [change] = plan.changes;
  expect(change).toMatchObject({ kind: 'pack', used: false });
  if (change!.kind === 'pack') expect(change!.leaves.length).toBeGreaterThan(3);
  // The shelf's part changes; the plan keeps the leaves it was made with.
  await page.goto(`${DEMO.planned}/choose#plan`);
  await page.reload();
  await expect(page.getByRole('group', { name: 'Other pack' })).toContainText('leaves, new');
});

test('a search is stopped, and a school of the trade is chosen with its reason, for the job and for the shop', async ({
  page,
}) => {
  await page.goto(`${DEMO.provenInside}/choose#ways`);
  const sheet = page.getByRole('region', { name: 'Ways to get there' });
  await sheet.getByRole('button', { name: 'Search for ways' }).click();
  await sheet.getByRole('button', { name: 'Stop' }).click();
  await expect(sheet.getByRole('progressbar')).toHaveCount(0);
  await expect(sheet.getByRole('button', { name: 'Search for ways' })).toBeEnabled();
  await openTab(page, 'schools');
  const school = page.locator('[data-school=levelOrRake]');
  await school.locator('summary').click();
  await expect(school).toContainText('a load or a tongue brings it level');
  await expect(school).toContainText('it is driven without a load most days');
  await school.getByRole('button', { name: 'keep it nose down' }).click();
  await school.getByLabel('Why, Level, or nose down?').fill('tows the ice trailer on Fridays');
  await school.getByRole('button', { name: 'As the shop’s way' }).click();
  await expect(school).toContainText('keep it nose down, as the shop does');
  // Another job of the shop knows it, and may differ.
  await page.goto(`${DEMO.planned}/choose#schools`);
  await expect(school).toContainText('as the shop does');
  await school.locator('summary').click();
  await school.getByRole('button', { name: 'level with full tanks' }).click();
  await school.getByLabel('Why, Level, or nose down?').fill('never tows');
  await school.getByRole('button', { name: 'For this job' }).click();
  await expect(school.locator('summary')).toContainText('level with full tanks');
  await expect(school).toContainText('The shop: keep it nose down, “tows the ice trailer on Fridays”');
});
