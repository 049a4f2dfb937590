import Papa from 'papaparse';
import { partLines } from '@/contracts/preparation';
import { type Tx } from '@/data/client';
import { type MadeFile } from '../http';
import { loadJob } from '../jobs';
import { fileName } from './fileName';

const WORDS = { toOrder: 'to order', ordered: 'ordered', here: 'here', notWanted: 'not wanted' } as const;

/** The list for the counter: what, how many, of whom, by when. Lengths in mm. */
export async function partsListFile(tx: Tx, jobAxleId: string): Promise<MadeFile> {
  const view = await loadJob(tx, jobAxleId);
  const rows = partLines(view).map(({ need, kind, wanted, what, why, part, state, stepNumber }) => ({
    ...{
      pieces: wanted,
      what,
      why,
      kind,
      state: WORDS[state],
      from: part?.source ?? '',
      'seen to by': part?.orders ?? '',
    },
    ...{ due: part?.dueOn ?? '', 'blocks step': stepNumber ?? '' },
    price: view.costs.find((c) => c.id === part?.id)?.plannedTyped ?? '',
    line: need,
  }));
  return {
    ...{ type: 'text/csv; charset=utf-8', name: fileName(view, 'parts', 'csv') },
    // A cell that begins like a formula must not become one.
    body: Papa.unparse(rows, { newline: '\r\n', escapeFormulae: true }),
  };
}
