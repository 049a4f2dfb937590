import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { chmodSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo, type Socket } from 'node:net';
import { join } from 'node:path';
import { type APIRequestContext } from '@playwright/test';
import sharp from 'sharp';
import { type JobView } from '@/contracts/job';
import { writeLine } from '@/contracts/instrumentLine';
import { DEMO_WORD } from '../../demo/ids';
import { JOBS } from '../../demo/scenario';
import { Bucket } from './bucket';
import { Proxy } from './proxy';
import { clusterFolder, clusterShell, DEMO, expect, freePort, onDatabase, Shop, SIGNED_IN, test } from './shop';

const databaseOf = (url: string): string => url.split('/').at(-1)!;
const portOf = (url: string): string => new URL(url).port;

/** A pooler that gives every transaction whichever connection is free. */
async function pooler(folder: string, appUrl: string): Promise<{ url: string; child: ChildProcess }> {
  const [port, ini, { password }] = [await freePort(), join(folder, 'pooler.ini'), new URL(appUrl)];
  writeFileSync(
    ini,
    `[databases]\n* = host=127.0.0.1 port=${portOf(appUrl)} user=gravelwort_app password=${password}\n[pgbouncer]\nlisten_addr = 127.0.0.1\nlisten_port = ${port}
auth_type = any\npool_mode = transaction\nmax_client_conn = 200\ndefault_pool_size = 5\nunix_socket_dir =\nlogfile =\npidfile =\n`,
  );
  const [command, ...before] =
    process.getuid?.() === 0 ? ['runuser', '-u', 'postgres', '--', 'pgbouncer'] : ['pgbouncer'];
  const child = spawn(command!, [...before, ini], {
    stdio: 'ignore',
    env: { ...process.env, PATH: `${process.env.PATH}:/usr/sbin` },
    detached: true,
  });
  return { url: `postgresql://gravelwort_app:x@127.0.0.1:${port}/${databaseOf(appUrl)}`, child };
}
const endGroup = (child: ChildProcess) =>
  child.pid !== undefined && child.exitCode === null && process.kill(-child.pid, 'SIGKILL');

/** What the page of the instruments is told, as it comes. */
async function listening(calls: { url: string; stop: AbortSignal }): Promise<string[]> {
  const said: string[] = [];
  const cookie = SIGNED_IN.cookies.map((c) => `${c.name}=${c.value}`).join('; ');
  const answer = await fetch(`${calls.url}/api/instruments`, { headers: { cookie }, signal: calls.stop });
  void (async () => {
    const decoder = new TextDecoder();
    for await (const piece of answer.body!) said.push(decoder.decode(piece as Uint8Array));
  })().catch(() => undefined);
  return said;
}

const callsTo = (url: string, playwright: { request: { newContext: (o: object) => Promise<APIRequestContext> } }) =>
  playwright.request.newContext({ baseURL: url, storageState: SIGNED_IN, extraHTTPHeaders: { origin: url } });
const reading = (value: number, stateId: string, supersedes: string | null) => ({
  ...{ id: crypto.randomUUID(), point: 'padLoad', phase: 'before', side: 'left', leafId: null, stateId },
  ...{ typed: `${value} kg`, value, unit: 'kg', rolled: null, instrument: 'scale', supersedes },
});

test('two servers behind a plain proxy and a pooler are one: sessions, tries, pictures, instruments, and no save lost while both are started anew', async ({
  shop,
  playwright,
}) => {
  test.setTimeout(240_000);
  const folder = clusterFolder();
  chmodSync(folder, 0o755);
  const gauge = { sockets: [] as Socket[], said: '' };
  const device = createServer((socket) => {
    socket.on('error', () => undefined);
    socket.on('data', (d) => (gauge.said += d.toString()));
    socket.on('close', () => (gauge.sockets = gauge.sockets.filter((s) => s !== socket)));
    gauge.sockets.push(socket);
  }).listen(0, '127.0.0.1');
  await once(device, 'listening');
  const list = join(folder, 'instruments.json');
  writeFileSync(
    list,
    JSON.stringify([
      {
        id: 'pad',
        name: 'Pad',
        kind: 'scalePad',
        side: 'left',
        host: '127.0.0.1',
        port: (device.address() as AddressInfo).port,
      },
    ]),
  );
  const [bucket, { url: pooled, child }] = [await Bucket.open(), await pooler(folder, shop.appUrl)];
  const settings = {
    ...{
      GRAVELWORT_POOLER: 'yes',
      GRAVELWORT_DIRECT_DATABASE_URL: shop.appUrl,
      GRAVELWORT_NOTICE_MS: '700',
      GRAVELWORT_INSTRUMENTS: list,
    },
    ...{
      GRAVELWORT_BUCKET: `${bucket.url}/pictures`,
      GRAVELWORT_BUCKET_KEY: Bucket.KEY,
      GRAVELWORT_BUCKET_SECRET: Bucket.SECRET,
    },
  };
  const [one, two] = [await Shop.beside(shop, pooled, settings), await Shop.beside(shop, pooled, settings)];
  const proxy = await Proxy.before([one.port, two.port]);
  const stop = new AbortController();
  let talk: NodeJS.Timeout | undefined;
  try {
    const calls = await callsTo(proxy.url, playwright);
    for (let n = 0; n < 6; n++) expect((await calls.get(`/api${DEMO.planned}`)).ok()).toBe(true);
    expect(Math.min(proxy.sent.get(one.port) ?? 0, proxy.sent.get(two.port) ?? 0)).toBeGreaterThanOrEqual(2);

    // Tries that fail are counted over both.
    const stranger = await playwright.request.newContext({
      storageState: { cookies: [], origins: [] },
      baseURL: proxy.url,
      extraHTTPHeaders: { origin: proxy.url },
    });
    const tries: number[] = [];
    for (let n = 0; n < 7; n++)
      tries.push(
        (
          await stranger.post('/api/door/in', {
            data: { kind: 'password', shop: DEMO_WORD, name: 'nobody', secret: 'wrong-wrong-wrong', tablet: null },
          })
        ).status(),
      );
    expect(tries.slice(0, 5)).toEqual([401, 401, 401, 401, 401]);
    expect(tries.at(-1)).toBe(429);

    // A picture taken in by one is given by the other; its row holds no bytes, and it leaves with its job.
    const picture = await sharp({ create: { width: 320, height: 200, channels: 3, background: '#557' } })
      .png()
      .toBuffer();
    const photo = crypto.randomUUID();
    const form = {
      id: photo,
      subject: 'eye|left',
      caption: 'rust',
      file: { name: 'a.png', mimeType: 'image/png', buffer: picture },
    };
    const taken = await calls.post(`/api${DEMO.planned}/photos`, { multipart: form });
    expect(taken.ok(), await taken.text()).toBe(true);
    for (const server of [one, two]) {
      const image = await (await callsTo(server.url, playwright)).get(`/api/photos/${photo}`);
      expect([image.status(), (await sharp(await image.body()).metadata()).width]).toEqual([200, 320]);
    }
    const rows = await onDatabase(shop.ownerUrl, (c) => c.query('SELECT jpeg FROM photo WHERE id = $1', [photo]));
    expect([rows.rows, bucket.objects.size]).toEqual([[{ jpeg: null }], 1]);
    const bundle = await calls.get(`/api${DEMO.planned}/bundle`);
    expect((await bundle.body()).includes(`pictures/${photo}.jpg`)).toBe(true);
    bucket.away = true;
    const refused = await calls.post(`/api${DEMO.planned}/photos`, { multipart: { ...form, id: crypto.randomUUID() } });
    expect([refused.status(), ((await refused.json()) as { code: string }).code]).toEqual([503, 'busy']);
    bucket.away = false;

    // One of the servers is connected to the gauge; pages of both are told, and a zero asked of either reaches it.
    const [atOne, atTwo] = [
      await listening({ url: one.url, stop: stop.signal }),
      await listening({ url: two.url, stop: stop.signal }),
    ];
    await expect.poll(() => gauge.sockets.length).toBe(1);
    let n = 0;
    talk = setInterval(() => {
      n += 1;
      const line = writeLine(
        { number: n, values: [{ quantity: 'mass', value: 500 + n, unit: 'kg' }], settled: true, word: null },
        1,
      );
      for (const socket of gauge.sockets) socket.write(`${line}\n`);
    }, 200);
    for (const said of [atOne, atTwo]) await expect.poll(() => said.join('')).toContain('"settled"');
    for (const server of [one, two])
      expect((await (await callsTo(server.url, playwright)).post('/api/instruments/pad/zero')).ok()).toBe(true);
    await expect.poll(() => gauge.said).toBe('ZERO\nZERO\n');

    // Both are started anew, one after the other, while somebody saves: each save is answered and stored once. The gauge goes over to the one that is left.
    const asked: { id: string; status: number }[] = [];
    const { states, readings } = (await (await calls.get(`/api${DEMO.planned}`)).json()) as JobView;
    const state = states[0]!.id;
    const there = readings.find((r) => r.point === 'padLoad' && r.side === 'left' && r.stateId === state);
    let [going, was]: [boolean, string | null] = [true, there?.id ?? null];
    const saving = (async () => {
      for (let k = 0; going; k++) {
        const data: ReturnType<typeof reading> = reading(400 + (k % 90), state, was);
        const answer = await calls.post(`/api${DEMO.planned}/readings`, { data });
        asked.push({ id: data.id, status: answer.status() });
        if (!answer.ok()) throw new Error(`${answer.status()} ${await answer.text()}`);
        was = data.id;
      }
    })();
    for (const server of [one, two]) {
      const before = asked.length;
      await server.stop('SIGTERM');
      await expect.poll(() => asked.length).toBeGreaterThan(before + 5);
      await server.start();
      await expect.poll(async () => (await fetch(`${server.url}/readyz`)).status).toBe(200);
      await expect.poll(() => asked.length).toBeGreaterThan(before + 15);
    }
    going = false;
    await saving;
    expect(asked.filter((a) => a.status !== 200)).toEqual([]);
    const stored = await onDatabase(shop.ownerUrl, (c) =>
      c.query<{ n: number }>('SELECT count(*)::int AS n FROM reading WHERE id = ANY ($1::uuid[])', [
        asked.map((a) => a.id),
      ]),
    );
    expect(stored.rows[0]!.n).toBe(asked.length);
    // Whoever is looked at first holds the gauge. While it stands still, what the other shows is no reading; when it is killed the other one takes over.
    const holder = await listening({ url: two.url, stop: stop.signal });
    await expect.poll(() => holder.join('')).toContain('"settled"');
    const again = await listening({ url: one.url, stop: stop.signal });
    const from = (k: number) => again.slice(k).join('');
    await expect.poll(() => from(0)).toContain('"settled"');
    expect(gauge.sockets.length).toBe(1);
    two.hold(true);
    let heard = again.length;
    await expect.poll(() => from(heard), { timeout: 40_000 }).toContain('"cutOff"');
    two.hold(false);
    heard = again.length;
    await expect.poll(() => from(heard)).toContain('"settled"');
    await two.stop('SIGKILL');
    heard = again.length;
    await expect.poll(() => gauge.sockets.length).toBe(1);
    await expect.poll(() => from(heard)).toContain('"settled"');
    const view = (await (await calls.get(`/api${DEMO.planned}`)).json()) as JobView;
    expect(view.readings.find((r) => r.point === 'padLoad' && r.side === 'left' && r.stateId === state)?.id).toBe(was);
  } finally {
    clearInterval(talk);
    stop.abort();
    proxy.close();
    for (const server of [one, two]) await server.stop('SIGKILL');
    endGroup(child);
    bucket.close();
    gauge.sockets.forEach((s) => s.destroy());
    device.close();
  }
});

test('the Board and a vehicle’s story come from a copy of the database, but whoever wrote sees what they wrote; without the copy all goes on', async ({
  shop,
  playwright,
}) => {
  test.setTimeout(180_000);
  const [folder, cluster, port] = [clusterFolder(), process.env.GRAVELWORT_CLUSTER!, await freePort()];
  const sql = (text: string) =>
    clusterShell(
      folder,
      `as_pg "$(PG_BIN_DIR)/psql" -h ${folder} -p ${port} -U postgres -d ${databaseOf(shop.appUrl)} -qAtc "${text}"`,
    );
  const made = clusterShell(
    folder,
    `[ "$(id -u)" = 0 ] && chown postgres ${folder}; BIN=$(PG_BIN_DIR)
     as_pg "$BIN/pg_basebackup" -h ${cluster}/sock -p ${portOf(shop.appUrl)} -U postgres -D ${folder}/data -R -X stream -c fast || exit 1
     as_pg "$BIN/pg_ctl" -D ${folder}/data -l ${folder}/log -w -o "-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories=${folder} -c logging_collector=off -c fsync=off" start`,
  );
  expect(made.status, made.out).toBe(0);
  const copy = shop.appUrl.replace(`:${portOf(shop.appUrl)}/`, `:${port}/`);
  const server = await Shop.beside(shop, shop.appUrl, { APP_READ_DATABASE_URL: copy });
  try {
    const [writer, looker] = [await callsTo(server.url, playwright), await callsTo(server.url, playwright)];
    const begin = async (complaint: string) => {
      const answer = await writer.post('/api/jobs', { data: { ...JOBS[0]!.ask, id: crypto.randomUUID(), complaint } });
      expect(answer.ok(), await answer.text()).toBe(true);
    };
    const board = async (calls: APIRequestContext) => (await calls.get('/')).text();
    await begin('Seen by all at last');
    await expect.poll(() => board(looker)).toContain('Seen by all at last');
    expect(sql('SELECT pg_wal_replay_pause()').status).toBe(0);
    await begin('Seen by its writer at once');
    // The copy stands still: it answers who wrote nothing, and is passed by for who did.
    expect(await board(looker)).not.toContain('Seen by its writer at once');
    expect(await board(writer)).toContain('Seen by its writer at once');
    expect((await looker.get('/record')).ok()).toBe(true);
    expect(sql('SELECT pg_wal_replay_resume()').status).toBe(0);
    await expect.poll(() => board(looker)).toContain('Seen by its writer at once');
    clusterShell(folder, `as_pg "$(PG_BIN_DIR)/pg_ctl" -D ${folder}/data -m immediate -w stop`);
    await begin('Seen without a copy');
    expect(await board(looker)).toContain('Seen without a copy');
  } finally {
    await server.stop('SIGKILL');
    clusterShell(folder, `as_pg "$(PG_BIN_DIR)/pg_ctl" -D ${folder}/data -m immediate -w stop`);
  }
});
