// npm run --silent bundle -- export JOB FILE | import FILE | schema, each with [--shop WORD]: a job as one file, out of a shop and into another.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { z } from 'zod';
import { shopWord } from '@/contracts/door';
import { ProblemError } from '@/contracts/problem';
import { bundleShape } from '@/data/bundle';
import { closePool, withShop } from '@/data/client';
import { bringIn, bundleFile } from '@/server/files/jobBundle';
import { insertAudit, shopByWord } from '@/data/door';

const USAGE = 'usage: npm run --silent bundle -- export JOB FILE | import FILE | schema   [--shop WORD]';
const { values, positionals } = parseArgs({ options: { shop: { type: 'string' } }, allowPositionals: true });
const [act, ...rest] = positionals;
const stop = (words: string): never => {
  throw new ProblemError(400, { code: 'stopped', message: words });
};

/** No shop has this id: the tables look alike in every shop. */
const NONE = '00000000-0000-0000-0000-000000000000';

async function shopOf(): Promise<string> {
  const word = shopWord.safeParse(values.shop ?? stop('--shop WORD is needed: the short word the shop signs in with.'));
  const found = word.success ? await withShop(NONE, NONE, (tx) => shopByWord(tx, word.data)) : undefined;
  return found ?? stop(`there is no shop “${values.shop}”.`);
}

async function run(): Promise<void> {
  const [first, second] = rest;
  if (act === 'schema') {
    const { schema } = await withShop(NONE, NONE, bundleShape);
    console.log(JSON.stringify(z.toJSONSchema(schema, { io: 'input' }), null, 2));
  } else if (act === 'export' && first && second) {
    if (existsSync(second)) stop(`${second} is there already; nothing is written over it.`);
    const id = z.guid().safeParse(first);
    if (!id.success) stop('JOB is the id in the address of the job.');
    const { body } = await withShop(await shopOf(), NONE, (tx) => bundleFile(tx, first));
    writeFileSync(second, body, { mode: 0o600 });
    console.log(`${second}: ${body.length} bytes`);
  } else if (act === 'import' && first) {
    if (!existsSync(first)) stop(`${first} is not there.`);
    const shop = await shopOf();
    const inTx = <T>(work: (tx: Parameters<Parameters<typeof withShop<T>>[2]>[0]) => Promise<T>) =>
      withShop(shop, NONE, async (tx) => {
        const done = await work(tx);
        await insertAudit(tx, {
          ...{
            person: null,
            what: 'brought a job of another shop in, at the server',
            about: null,
            tablet: null,
            address: null,
          },
        });
        return done;
      });
    console.log(JSON.stringify(await bringIn(inTx, readFileSync(first))));
  } else stop(USAGE);
}

try {
  await run();
} catch (error) {
  if (!(error instanceof ProblemError)) throw error;
  console.error(`Gravelwort cannot go on: ${error.message}`);
  process.exitCode = 1;
} finally {
  await closePool();
}
