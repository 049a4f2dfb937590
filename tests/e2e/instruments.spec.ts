import { chmodSync, mkdtempSync, writeFileSync } from 'node:fs';
import { once } from 'node:events';
import { createServer, type AddressInfo, type Server, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type JobView } from '@/contracts/job';
import { writeLine } from '@/contracts/instrumentLine';
import { type Page } from '@playwright/test';
import { DEMO, expect, focusOn, test as base, typeInto } from './shop';

/** A scale pad of the test's own on the line: goes on saying what it is told, as a pad does, until it is told something else. */
class Pad {
  private sockets: Socket[] = [];
  private number = 0;
  private talk: NodeJS.Timeout | undefined;
  private constructor(private readonly server: Server) {}

  static async open(): Promise<Pad> {
    const server = createServer();
    const pad = new Pad(server);
    server.on('connection', (socket) => {
      socket.on('error', () => undefined);
      pad.sockets.push(socket);
    });
    server.listen(0, '127.0.0.1');
    await once(server, 'listening');
    return pad;
  }
  get port(): number {
    return (this.server.address() as AddressInfo).port;
  }
  private line(kg: number, settled: boolean): string {
    this.number += 1;
    return writeLine(
      { number: this.number, values: [{ quantity: 'mass', value: kg, unit: 'kg' }], settled, word: null },
      1,
    );
  }
  private write(text: string): void {
    this.sockets.at(-1)!.write(text);
  }
  connected = (): boolean => this.sockets.length > 0;
  say(kg: number, settled = true): void {
    const once = () => this.write(`${this.line(kg, settled)}\n`);
    this.hush();
    once();
    this.talk = setInterval(once, 400);
  }
  private hush = (): void => clearInterval(this.talk);
  /** A pull on a wrench instead. */
  pull(newtonMillimetres: number): void {
    this.number += 1;
    const values = [{ quantity: 'torque', value: newtonMillimetres, unit: 'N·m' as const }];
    this.write(`${writeLine({ number: this.number, values, settled: true, word: 'peak' }, 1)}\n`);
  }
  babble(): void {
    this.hush();
    this.write('#$%\n7\nxx\n');
  }
  cutInMidReading(): void {
    this.hush();
    this.write(this.line(999, true).slice(0, 14));
    this.sockets.at(-1)!.destroy();
    this.server.close();
  }
  close(): void {
    this.hush();
    this.sockets.forEach((s) => s.destroy());
    this.server.close();
  }
}

const test = base.extend<{ kind: string; pad: Pad }>({
  kind: ['scalePad', { option: true }],
  pad: async ({ shop, kind }, use) => {
    const pad = await Pad.open();
    const folder = mkdtempSync(join(tmpdir(), 'gw-'));
    // The server may have laid down the rights it was started with.
    chmodSync(folder, 0o755);
    const file = join(folder, 'instruments.json');
    const at = {
      id: 'pad',
      name: 'Test pad',
      kind,
      side: kind === 'scalePad' ? 'left' : null,
      host: '127.0.0.1',
      port: pad.port,
    };
    writeFileSync(file, JSON.stringify([at]));
    await shop.stop();
    shop.instruments = file;
    await shop.start();
    await use(pad);
    pad.close();
  },
});

test('a reading streams to the page and goes in only when it is taken', async ({ page, pad, request }) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  await expect(page.getByRole('region', { name: 'Verdict' })).toContainText('±');
  await page.getByText('wheel load, unsprung mass').click();
  await focusOn(page.getByLabel('Wheel load, left', { exact: true }));
  await expect.poll(pad.connected).toBe(true);
  pad.say(530, false);
  const line = page.locator('[data-instrument=pad]');
  await expect(line).toContainText('530.0 kg settling');
  const take = line.getByRole('button', { name: 'Take it for Wheel load, left' });
  await expect(take).toBeDisabled();
  pad.say(541.2);
  await expect(line).toContainText('541.2 kg settled');
  await expect(page.getByLabel('Wheel load, left', { exact: true })).toHaveValue('');
  await take.click();
  await expect(page.getByLabel('Wheel load, left', { exact: true })).toHaveValue('541.2 kg');
  const { readings } = (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
  expect(readings.find((r) => r.point === 'padLoad')).toMatchObject({
    side: 'left',
    value: 541.2,
    instrument: 'scale',
  });
  // It lies on the left: the right wheel is not offered its reading.
  await focusOn(page.getByLabel('Wheel load, right', { exact: true }));
  await expect(line).toHaveCount(0);
});

test('an instrument that lies, babbles or is cut off in mid-reading never blocks the tape', async ({ page, pad }) => {
  await page.goto(`${DEMO.planned}/measure#list`);
  await page.getByText('wheel load, unsprung mass').click();
  const field = page.getByLabel('Wheel load, left', { exact: true });
  await focusOn(field);
  await expect.poll(pad.connected).toBe(true);
  // Ten times what can stand on a wheel of this axle: asked about, not taken.
  pad.say(5412);
  const line = page.locator('[data-instrument=pad]');
  await expect(line).toContainText('Type it if it is right');
  await expect(line.getByRole('button')).toBeDisabled();
  pad.babble();
  await expect(line).toHaveAttribute('data-state', 'garbled');
  pad.say(540.1);
  await expect(line).toHaveAttribute('data-state', 'settled');
  pad.cutInMidReading();
  await expect(line).toHaveAttribute('data-state', 'cutOff');
  await expect(line).not.toContainText('999');
  await expect(line).toContainText('the field does not wait for it');
  await typeInto(page, 'Wheel load, left', '538 kg');
  await expect(page.getByText('538.0 kg = 1186.1 lb')).toBeVisible();
  await page.goto('/instruments');
  await expect(page.locator('[data-instrument=pad]')).toContainText('cut off');
});

test.describe('a torque wrench', () => {
  test.use({ kind: 'torqueWrench' });
  test('its peak is taken for one bolt after the other, with the state of the vehicle', async ({
    page,
    pad,
    request,
  }) => {
    await page.goto(`${DEMO.planned}/build#torque`);
    const bolts = page.getByRole('group', { name: 'U-bolts', exact: true });
    await bolts.getByText('bolt by bolt: 0 of 8 read').click();
    // How the vehicle stands is said first; it is never preset.
    await expect(bolts.getByText('Say above how the vehicle stands')).toBeVisible();
    await page.getByRole('button', { name: 'weight on the wheels' }).click();
    await expect.poll(pad.connected).toBe(true);
    pad.pull(118_400);
    await bolts.getByRole('button', { name: 'Take the wrench’s peak, 118.4 N·m, for left, front outer leg' }).click();
    await expect(bolts).toContainText('bolt by bolt: 1 of 8 read');
    // One pull is one bolt; the next pull waits for the next bolt, also while the mechanic walks over to the screen.
    const next = bolts.getByRole('button', { name: /for left, front inner leg/ });
    await expect(next).toHaveCount(0);
    pad.pull(118_400);
    await expect(next).toBeVisible();
    await page.waitForTimeout(4000);
    await expect(next).toBeVisible();
    const { torqueReadings } = (await (await request.get(`/api${DEMO.planned}`)).json()) as JobView;
    expect(torqueReadings).toMatchObject([
      { joint: 'uBolts', bolt: 'left, front outer leg', value: 118_400, state: 'weightOn', instrument: 'connected' },
    ]);
  });

  /** DOM changes outside live figures, and the longest task, over some seconds, once a page has stood still for three: its solver may be silent for a while. */
  const watched = async (page: Page, seconds: number) =>
    page.evaluate(async (ms) => {
      let changes = 0;
      let longest = 0;
      let last = performance.now();
      const opened = last;
      const watch = new MutationObserver((list) => {
        const outside = list.filter(
          ({ target }) => !(target instanceof Element ? target : target.parentElement)?.closest('[data-live]'),
        ).length;
        changes += outside;
        if (outside > 0) last = performance.now();
      });
      watch.observe(document.body, { subtree: true, childList: true, attributes: true, characterData: true });
      const tasks = new PerformanceObserver((list) => {
        for (const entry of list.getEntries()) longest = Math.max(longest, entry.duration);
      });
      // What the page solves and draws when it opens is not the wrench's doing; one that never rests is told by its count.
      while (performance.now() - last < 3000 && performance.now() - opened < 30_000)
        await new Promise((resolve) => setTimeout(resolve, 100));
      tasks.observe({ type: 'longtask' });
      changes = 0;
      await new Promise((resolve) => setTimeout(resolve, ms));
      watch.disconnect();
      tasks.disconnect();
      return { changes, longest };
    }, seconds * 1000);

  test('a wrench that speaks twenty times a second redraws its own figure and nothing else', async ({ page, pad }) => {
    let pull = 110_000;
    const talk = setInterval(() => pad.connected() && pad.pull((pull += 37)), 50);
    try {
      for (const station of ['build', 'measure', 'prove', 'choose']) {
        await page.goto(`${DEMO.planned}/${station === 'build' ? 'build#torque' : station}`);
        if (station === 'build') {
          await page.getByRole('button', { name: 'weight on the wheels' }).click();
          await page
            .getByRole('group', { name: 'U-bolts', exact: true })
            .getByText(/bolt by bolt/)
            .click();
          await expect(page.getByRole('button', { name: /Take the wrench’s peak/ })).toBeVisible();
        }
        const { changes, longest } = await watched(page, 5);
        expect(`${station} ${changes <= 50}, ${changes} changes`).toMatch(/ true/);
        expect(longest).toBeLessThan(1000);
      }
    } finally {
      clearInterval(talk);
    }
  });
});
