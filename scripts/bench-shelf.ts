// npm run bench:shelf: how long the shelf's pages take at 50,000 parts on a throw-away cluster. Prints figures, tests nothing.
// Run through scripts/bench-db.sh, which makes the cluster and names it in APP_DATABASE_URL and OWNER_DATABASE_URL.
import { performance } from 'node:perf_hooks';
import { Client } from 'pg';
import { shelfAskSchema, type ShelfAsk } from '@/contracts/shelf';
import { closePool, withShop } from '@/data/client';
import { insertPerson, insertShop } from '@/data/shop';
import { shelfCount, shelfPage } from '@/data/shelf';
import { DEMO_PERSON, DEMO_SHOP } from '../demo/ids';
import { manyParts } from '../tests/reference/manyParts';

const PARTS = Number(process.argv[2] ?? 50_000);
const PAGE = 40;
const RUNS = 60;

await withShop(DEMO_SHOP, DEMO_PERSON, async (tx) => {
  await insertShop(tx, 'bench');
  await insertPerson(tx, DEMO_PERSON, 'bench');
});
const owner = new Client({ connectionString: process.env.OWNER_DATABASE_URL });
await owner.connect();
await manyParts(owner, DEMO_SHOP, DEMO_PERSON, PARTS);
await owner.end();

const ask = (part: object): ShelfAsk => shelfAskSchema.parse(part);
const cases: Record<string, (k: number) => ShelfAsk> = {
  'first page by name': () => ask({}),
  'a page far down, by name': (k) => ask({ after: { key: `leaf ${(k * 4).toString(16)}`, id: DEMO_SHOP } }),
  'one kind, cheapest first': (k) =>
    ask({ kind: 'block', order: 'price', after: { key: String(k * 5), id: DEMO_SHOP } }),
  'the start of a number': (k) => ask({ words: `n${4000 + k}` }),
  'two common words': (k) => ask({ words: `leaf maker ${k % 40}` }),
  'a size within 3 %, in stock': (k) =>
    ask({ kind: 'leaf', holding: 'stock', within: [{ dimension: 'front', from: 300 + k, to: 318 + k }] }),
  'what nothing is like': (k) => ask({ words: `zz${k}` }),
};

const spread = async (run: (k: number) => Promise<unknown>): Promise<[number, number]> => {
  const times: number[] = [];
  for (let k = 0; k < RUNS; k++) {
    const since = performance.now();
    await run(k);
    times.push(performance.now() - since);
  }
  times.sort((a, b) => a - b);
  return [times[Math.floor(RUNS / 2)]!, times[Math.floor(RUNS * 0.95)]!];
};

console.log(`${PARTS} parts, page of ${PAGE}, ${RUNS} runs each, ms:      p50      p95`);
for (const [name, of] of Object.entries(cases)) {
  const [p50, p95] = await spread((k) => withShop(DEMO_SHOP, DEMO_PERSON, (tx) => shelfPage(tx, of(k), PAGE)));
  console.log(`${name.padEnd(44)} ${p50.toFixed(1).padStart(8)} ${p95.toFixed(1).padStart(8)}`);
}
const [c50, c95] = await spread((k) =>
  withShop(DEMO_SHOP, DEMO_PERSON, (tx) => shelfCount(tx, cases['two common words']!(k), 1000)),
);
console.log(
  `${'counting two common words, up to 1000'.padEnd(44)} ${c50.toFixed(1).padStart(8)} ${c95.toFixed(1).padStart(8)}`,
);
await closePool();
