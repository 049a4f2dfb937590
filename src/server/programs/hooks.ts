// Words about checks that have fallen due: written down once each, and said until they are heard.
import { createHmac } from 'node:crypto';
import { atDoor, withShop } from '@/data/client';
import { shopsToTell, wordFailed, wordOf, wordSaid, wordsToSay } from '@/data/program';
import { enqueueWords, type WordAddress } from '@/data/queue';
import { postTo } from './post';

/** Writes down what is to be said in every shop, and puts it into the queue in the same breath. As often as it is done, each word is there once. */
export async function gatherWords(): Promise<number> {
  const shops = await atDoor(Buffer.alloc(32), (tx) => shopsToTell(tx));
  let words = 0;
  for (const { shop, person } of shops)
    words += await withShop(shop, person, async (tx) => {
      const fresh = await wordsToSay(tx);
      await enqueueWords(
        tx,
        fresh.map(({ id }) => ({ shop, person, word: id })),
      );
      return fresh.length;
    });
  return words;
}

/** Says one word. @throws what kept it from being heard: it is said again later */
export async function sayWord({ shop, person, word }: WordAddress): Promise<void> {
  const found = await withShop(shop, person, (tx) => wordOf(tx, word));
  if (!found) return;
  const { url, secret, at, check } = found;
  const body = JSON.stringify({ id: word, what: 'check.due', at: at.toISOString(), check });
  const signature = `sha256=${createHmac('sha256', secret).update(body).digest('hex')}`;
  try {
    const status = await postTo(url, body, { 'x-gravelwort-signature': signature });
    if (status < 200 || status > 299) throw new Error(`it answered with ${status}`);
  } catch (error) {
    const problem = error instanceof Error ? error.message : String(error);
    await withShop(shop, person, (tx) => wordFailed(tx, word, problem, false));
    throw error;
  }
  await withShop(shop, person, (tx) => wordSaid(tx, word));
}

/** A word that nobody heard after every try is told to the shop. */
export const wordLost = ({ shop, person, word }: WordAddress): Promise<number> =>
  withShop(shop, person, (tx) => wordFailed(tx, word, '', true));
