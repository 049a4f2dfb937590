import { spawn, type ChildProcess } from 'node:child_process';
import { Client } from 'pg';
import { type Sweep } from '@/contracts/fleet';
import { type JobView } from '@/contracts/job';
import { DEMO_SHOP } from '../../demo/ids';
import { manyVehicles } from '../reference/manyVehicles';
import { DEMO, expect, openTab, test, typeInto, type Shop } from './shop';

const FLEET = 120;
const idOf = (path: string): string => path.split('/')[2]!;
const [PATTERN, BEGUN] = [idOf(DEMO.planned), idOf(DEMO.begun)];

const worker = (shop: Shop): ChildProcess =>
  spawn('node_modules/.bin/tsx', ['scripts/worker.ts'], {
    env: { ...process.env, APP_DATABASE_URL: shop.appUrl },
    stdio: 'ignore',
    // Ended by its group: tsx runs the program as a child of its own.
    detached: true,
  });
const kill = (child: ChildProcess) => child.pid !== undefined && process.kill(-child.pid, 'SIGKILL');

test('a fleet is swept by workers, one of them killed: every vehicle told once, the low ones with the plan that mends them', async ({
  page,
  request,
  shop,
}) => {
  test.setTimeout(180_000);
  const owner = new Client({ connectionString: shop.ownerUrl });
  await owner.connect();
  await manyVehicles(owner, DEMO_SHOP, PATTERN, FLEET);
  const view = (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
  const today = view.states[0]!.id;
  const heights = view.readings.filter((r) => r.point === 'hubToLip' && r.phase === 'before' && r.stateId === today);
  const least = Math.round(Math.min(...heights.map((r) => r.value))) + 2;
  await page.goto('/fleet');
  // A touch before the page's program runs is lost.
  await expect(page.getByRole('button', { name: 'view…' })).toBeEnabled();
  await page.getByLabel('Plans of').selectOption({ label: 'Beach-rescue four-by-four, rear: Plan 1' });
  await typeInto(page, 'Hub to lip at least, as they stand', `${least} mm`);
  const asked = page.waitForResponse((r) => r.url().endsWith('/api/fleet') && r.ok());
  await page.getByRole('button', { name: 'Sweep the fleet' }).click();
  const { batch } = (await (await asked).json()) as Sweep;
  const sweep = async () => (await (await request.get(`/api/fleet/${batch.id}`)).json()) as Sweep;
  expect((await sweep()).batch).toMatchObject({ done: 0, failed: 0 });
  expect(batch.pieces).toBeGreaterThan(2);
  const [first, second] = [worker(shop), worker(shop)];
  try {
    // One dies with a piece in its hands; the other does it after its time.
    await expect.poll(async () => (await sweep()).batch.done, { timeout: 60_000 }).toBeGreaterThan(0);
    kill(first);
    await expect.poll(async () => (await sweep()).batch.done, { timeout: 90_000 }).toBe(batch.pieces);
  } finally {
    for (const child of [first, second]) if (child.exitCode === null && child.signalCode === null) kill(child);
  }
  const { counts, lines, ask } = await sweep();
  const told = counts.reduce((n, c) => n + c.vehicles, 0);
  const { rows } = await owner.query<{ n: number }>('SELECT count(*)::int AS n FROM fleet_line WHERE batch_id = $1', [
    batch.id,
  ]);
  expect([told, rows[0]!.n]).toEqual([told, told]);
  expect(told).toBeGreaterThanOrEqual(FLEET);
  const of = (verdict: string) => counts.filter((c) => c.verdict === verdict).reduce((n, c) => n + c.vehicles, 0);
  expect(of('plan')).toBeGreaterThan(20);
  expect(of('stands')).toBeGreaterThan(20);
  for (const line of lines.filter((l) => l.verdict === 'plan')) {
    expect(line.height!).toBeLessThan(least - ask.tolerance);
    expect(line.after!).toBeGreaterThanOrEqual(least - ask.tolerance);
  }
  await expect(page.getByRole('status', { name: 'Progress' })).toContainText('swept');
  await openTab(page, 'to order');
  await expect(page.getByRole('table', { name: 'To order' })).toContainText(String(2 * of('plan')));
  // A second word under the same id is none.
  const again = await request.post('/api/fleet', {
    data: {
      id: batch.id,
      jobAxleId: PATTERN,
      least: least + 50,
      leastTyped: `${least + 50} mm`,
      tolerance: 5,
      toleranceTyped: '5',
    },
  });
  expect([again.status(), await again.json()]).toEqual([409, expect.objectContaining({ code: 'taken' })]);
  // Asked with nobody at work, and stopped: nothing of it is done afterwards.
  const idle = {
    id: crypto.randomUUID(),
    jobAxleId: PATTERN,
    least,
    leastTyped: `${least} mm`,
    tolerance: 5,
    toleranceTyped: '5',
  };
  expect((await request.post('/api/fleet', { data: idle })).ok()).toBe(true);
  expect((await request.post(`/api/fleet/${idle.id}`, { data: { act: 'stop' } })).ok()).toBe(true);
  const late = worker(shop);
  await page.waitForTimeout(6000);
  kill(late);
  const stopped = (await (await request.get(`/api/fleet/${idle.id}`)).json()) as Sweep;
  expect([stopped.batch.done, stopped.batch.cancelledAt !== null]).toEqual([0, true]);
  expect(
    (await request.post('/api/fleet', { data: { ...idle, id: crypto.randomUUID(), jobAxleId: BEGUN } })).status(),
  ).toBe(422);
  await owner.end();
});
