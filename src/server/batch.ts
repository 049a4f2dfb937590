// What a worker does with one piece of a batch: what it comes to is stored in one breath with its being done.
import { z } from 'zod';
import { type FleetPattern } from '@/core/fleet/pattern';
import { askedOfBatch, finishPiece, keepMade, losePiece, notePiece, pieceOf } from '@/data/batch';
import { withShop } from '@/data/client';
import { insertFleetLines } from '@/data/fleet';
import { type Address } from '@/data/queue';
import { patternsFor, sweptLine, type FoundLine } from './fleet';
import { predictAgain, printPapers, studyResiduals, takeIn, type Piece } from './runPieces';

const patternsSchema = z.array(z.custom<FleetPattern>((v) => typeof v === 'object' && v !== null && 'readings' in v));

/** Sweeps some vehicles. @param made the patterns, once somebody solved them */
async function sweep({ inShop, batch, ask, of, finish }: Piece, made: unknown): Promise<void> {
  let patterns = made === null ? null : patternsSchema.parse(made);
  if (!patterns) {
    // Whoever comes first solves them for all; two that do it at once find the same.
    patterns = (await inShop((tx) => patternsFor(tx, ask)))();
    await inShop((tx) => keepMade(tx, batch, patterns));
  }
  const found: FoundLine[] = [];
  for (const id of of) found.push(await inShop((tx) => sweptLine(tx, ask, patterns, id)));
  await inShop(async (tx) => {
    if (await finish(tx)) await insertFleetLines(tx, batch, found);
  });
}

const KINDS: Readonly<Record<string, (piece: Piece, made: unknown) => Promise<void>>> = {
  ...{ fleet: sweep, again: predictAgain, papers: printPapers, residuals: studyResiduals, bundles: takeIn },
};

/** Does one piece. What was stopped or done already is left alone. @throws what keeps it from being done: it is tried again */
export async function doPiece({ shop, person, batch, nth }: Address): Promise<void> {
  const inShop = <T>(fn: Parameters<typeof withShop<T>>[2]) => withShop(shop, person, fn);
  try {
    const [asked, piece] = await inShop(
      async (tx) => [await askedOfBatch(tx, batch), await pieceOf(tx, batch, nth)] as const,
    );
    if (!asked || !piece || asked.cancelled || piece.state === 'done') return;
    const work = KINDS[asked.kind];
    if (!work) throw new Error(`Nobody knows how ${asked.kind} is done.`);
    await work(
      { inShop, batch, ask: asked.ask, of: piece.of, finish: (tx) => finishPiece(tx, batch, nth) },
      asked.made,
    );
  } catch (error) {
    const problem = error instanceof Error ? error.message : String(error);
    await inShop((tx) => notePiece(tx, batch, nth, problem)).catch(() => undefined);
    throw error;
  }
}

/** A piece that came to nothing after every try is told to the shop. */
export const giveUp = ({ shop, person, batch, nth }: Address, problem: string): Promise<number> =>
  withShop(shop, person, (tx) => losePiece(tx, batch, nth, problem));
