import { type BoardRow, type KnownAxle } from '@/contracts/job';
import { type Tx } from '@/data/client';
import { boardRows, completeDue } from '@/data/job';
import { shopAxles } from '@/data/shop';

export const board = (tx: Tx): Promise<BoardRow[]> => boardRows(tx);

/** Axles a new job may be for. */
export const knownAxles = (tx: Tx): Promise<KnownAxle[]> => shopAxles(tx);

/** Ticks off a due check; a second tick of the same check changes nothing. */
export async function finishCheck(tx: Tx, id: string): Promise<void> {
  await completeDue(tx, id);
}
