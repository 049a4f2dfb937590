// One piece of a batch, done by a worker: read, reckoned outside any transaction, stored in one breath with its being done.
import { z } from 'zod';
import { type FleetPattern } from '@/core/fleet/pattern';
import { askedOfBatch, finishPiece, keepMade, losePiece, notePiece, pieceOf } from '@/data/batch';
import { withShop } from '@/data/client';
import { insertFleetLines } from '@/data/fleet';
import { type Address } from '@/data/queue';
import { patternsFor, sweptLine, type FoundLine } from './fleet';

const patternsSchema = z.array(z.custom<FleetPattern>((v) => typeof v === 'object' && v !== null && 'readings' in v));

/** Does one piece. What was stopped or done already is left alone. @throws what keeps it from being done: it is tried again */
export async function doPiece({ shop, person, batch, nth }: Address): Promise<void> {
  const inShop = <T>(fn: Parameters<typeof withShop<T>>[2]) => withShop(shop, person, fn);
  try {
    const [asked, piece] = await inShop(
      async (tx) => [await askedOfBatch(tx, batch), await pieceOf(tx, batch, nth)] as const,
    );
    if (!asked || !piece || asked.cancelled || piece.state === 'done') return;
    if (asked.kind !== 'fleet') throw new Error(`Nobody knows how ${asked.kind} is done.`);
    let patterns = asked.made === null ? null : patternsSchema.parse(asked.made);
    if (!patterns) {
      // Whoever comes first solves them for all; two that do it at once find the same.
      patterns = (await inShop((tx) => patternsFor(tx, asked.ask)))();
      await inShop((tx) => keepMade(tx, batch, patterns));
    }
    const found: FoundLine[] = [];
    for (const id of piece.of) found.push(await inShop((tx) => sweptLine(tx, asked.ask, patterns, id)));
    await inShop(async (tx) => {
      if (await finishPiece(tx, batch, nth)) await insertFleetLines(tx, batch, found);
    });
  } catch (error) {
    const problem = error instanceof Error ? error.message : String(error);
    await inShop((tx) => notePiece(tx, batch, nth, problem)).catch(() => undefined);
    throw error;
  }
}

/** A piece that came to nothing after every try is told to the shop. */
export const giveUp = ({ shop, person, batch, nth }: Address, problem: string): Promise<number> =>
  withShop(shop, person, (tx) => losePiece(tx, batch, nth, problem));
