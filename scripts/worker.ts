// npm run worker: does what waits in the queue, on this or any other machine. As many as there are cores to spare; ended with Ctrl-C, after the piece in hand.
import { closePool } from '@/data/client';
import { workQueue } from '@/data/queue';
import { doPiece, giveUp } from '@/server/batch';
import { gatherWords, sayWord, wordLost } from '@/server/programs/hooks';

const url = process.env.APP_DATABASE_URL;
if (!url) throw new Error('APP_DATABASE_URL is not set: the address of the database, as the application’s role.');
let [last, at] = ['', 0];
/** The same word once a minute: a database that is away is asked for every half second. */
const told = (error: unknown) => {
  const says = error instanceof Error ? error.message : String(error);
  if (says === last && Date.now() - at < 60_000) return;
  [last, at] = [says, Date.now()];
  console.error(`worker: ${says}`);
};

const worker = await workQueue(url, { piece: doPiece, lost: giveUp, say: sayWord, unheard: wordLost }, told);
/** How often it is looked whether a check has fallen due that somebody is to be told of, ms. */
const EVERY = Number(process.env.GRAVELWORT_HOOKS_EVERY_MS ?? 60_000);
const looking = setInterval(() => void gatherWords().catch(told), EVERY);
/** Root is for starting programs; nobody needs it to solve. Everything it reads is loaded by now. */
if (process.getuid?.() === 0) {
  const user = process.env.GRAVELWORT_USER ?? 'nobody';
  process.setgroups?.([]);
  process.setgid?.(user === 'nobody' ? 'nogroup' : user);
  process.setuid?.(user);
}
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.once(signal, () => {
    clearInterval(looking);
    void worker
      .stop()
      .catch(told)
      .then(closePool)
      .then(() => process.exit(0));
  });
