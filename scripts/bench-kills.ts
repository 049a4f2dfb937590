// npm run bench:kills -- [KILLS] [SEED]: kills server, database and the solver's thread, cuts connections and fills the database's disk while six people save and
// a seventh has predictions stored, each save sent again under its id until it is acknowledged; then counts what was acknowledged and is not there, or is there otherwise. Figures, and exit code 1 when one is missing or none got through.
import { uniformFrom } from '@/workers/random';
import { existsSync, writeFileSync } from 'node:fs';
import { type JobView } from '@/contracts/job';
import { CORE_VERSION } from '@/core/version';
import { demoJob } from '../demo/ids';
import { newJob } from '../tests/e2e/newJob';
import {
  ask,
  BenchServer,
  cutConnections,
  dyingWorker,
  fillDisk,
  killDatabase,
  onDatabase,
  sessions,
  smallDisk,
} from './benchServer';

const kills = Number(process.argv[2] ?? 100);
const seed = Number(process.argv[3] ?? 1);
const WRITERS = 6;
/** Entries into one job before the next is begun. */
const ENTRIES = 60;

const random = uniformFrom(seed);
const { worker, kill: killSolver } = dyingWorker();
const server = await BenchServer.open({ GRAVELWORT_WORKER: worker });
const acknowledged = new Map<string, string>();
let [sent, again, foretold, over] = [0, 0, 0, false];
const refused: string[] = [];

/** Sends until it is acknowledged or refused; what nobody acknowledged may be there or not. */
async function save(token: string, path: string, body: { id: string }, says: string): Promise<boolean> {
  for (let tries = 0; !over || tries > 0; tries++) {
    sent += 1;
    if (tries > 0) again += 1;
    const { status, text } = await ask(server.url, token, 'POST', path, body);
    if (status === 200) acknowledged.set(body.id, says);
    else if (status >= 400 && status < 500 && status !== 429) refused.push(`${path} ${status} ${text.slice(0, 160)}`);
    else if (over && tries > 200) return false;
    else {
      await new Promise((resolve) => setTimeout(resolve, 50));
      continue;
    }
    return status === 200;
  }
  return false;
}

/** Has one prediction after the other stored. */
async function foreteller(token: string): Promise<void> {
  const job = `/api${demoJob(3)}`;
  let view = '';
  for (let status = 0; status !== 200;) ({ status, text: view } = await ask(server.url, token, 'GET', job));
  const { plan } = JSON.parse(view) as JobView;
  while (!over) {
    const body = { id: crypto.randomUUID(), planVersion: plan.version, coreVersion: CORE_VERSION };
    if (await save(token, `${job}/predictions`, body, String(plan.version))) foretold += 1;
  }
}

async function writer(token: string, k: number): Promise<void> {
  for (let n = 0; !over; n++) {
    const job = { ...newJob(), complaint: `job ${k} ${n}` };
    if (!(await save(token, '/api/jobs', job, job.complaint))) continue;
    for (let e = 0; e < ENTRIES && !over; e++) {
      const item = { id: crypto.randomUUID(), what: `part ${k} ${n} ${e}`, wanted: 1, state: 'expected' };
      await save(token, `/api/jobs/${job.id}/kit`, item, item.what);
    }
  }
}

const began = Date.now();
const [solving, ...tokens] = await sessions(1 + WRITERS);
const writing = Promise.all([foreteller(solving!), ...tokens.map(writer)]);
const killed: Record<string, number> = { server: 0, database: 0, connections: 0, solver: 0, disk: 0 };
/** Saves that get through between two kills, at most; and how long that may take, ms. */
const BETWEEN = 30;
const LONGEST = 60_000;
for (let k = 0; k < kills; k++) {
  const enough = acknowledged.size + 1 + Math.floor(BETWEEN * random());
  for (const from = Date.now(); acknowledged.size < enough;) {
    if (Date.now() - from > LONGEST) throw new Error(`nothing gets through after ${k} kills`);
    await new Promise((resolve) => setTimeout(resolve, 1 + 20 * random()));
  }
  const draw = random();
  const what =
    draw < 0.25 ? 'server' : draw < 0.5 ? 'database' : draw < 0.75 ? 'connections' : draw < 0.85 ? 'solver' : 'disk';
  if (what === 'server') await server.kill().then(() => server.start());
  else if (what === 'database') killDatabase();
  else if (what === 'solver') {
    writeFileSync(killSolver, '');
    // Whoever solves next dies of it.
    for (const from = Date.now(); existsSync(killSolver) && Date.now() - from < LONGEST;)
      await new Promise((resolve) => setTimeout(resolve, 50));
  } else if (what === 'disk' && smallDisk) await fillDisk(300 + 700 * random());
  else await cutConnections();
  killed[what === 'disk' && !smallDisk ? 'connections' : what]! += 1;
}
over = true;
await writing;
await server.kill();

const there = await onDatabase(async (c) => {
  const jobs = await c.query<{ id: string; says: string }>('SELECT id, complaint AS says FROM job');
  const items = await c.query<{ id: string; says: string }>('SELECT id, what AS says FROM kit_item');
  const told = await c.query<{ id: string; says: string }>('SELECT id, plan_version::text AS says FROM prediction');
  return new Map([...jobs.rows, ...items.rows, ...told.rows].map((row) => [row.id, row.says]));
});
const lost = [...acknowledged].filter(([id]) => !there.has(id));
const changed = [...acknowledged].filter(([id, says]) => there.has(id) && there.get(id) !== says);
console.log(
  `${kills} kills (${Object.entries(killed)
    .map(([what, n]) => `${n} ${what}`)
    .join(', ')}), seed ${seed}, ${Math.round((Date.now() - began) / 1000)} s`,
);
console.log(
  `${acknowledged.size} saves acknowledged, ${foretold} of them predictions, ${sent} sent, ${again} of them again; ${lost.length} lost, ${changed.length} changed, ${refused.length} refused`,
);
for (const line of new Set(refused.slice(0, 5))) console.log(`  ${line}`);
if (lost.length + changed.length + refused.length > 0) process.exitCode = 1;
