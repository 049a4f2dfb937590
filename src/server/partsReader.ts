import { dirname, join } from 'node:path';
import { type readPartsFile } from '@/contracts/partsFile';
import { ThreadPool, type Asker } from './threadPool';

type Read = ReturnType<typeof readPartsFile>;
const kept = globalThis as { gravelwortReader?: ThreadPool<string, Read> };

/** Reads a parts file in a thread of its own, away from the event loop and with an end. @throws ProblemError as `ThreadPool` */
export function readParts(text: string, asker: Asker): Promise<Read> {
  const solver = process.env.GRAVELWORT_WORKER;
  if (!solver) throw new Error('GRAVELWORT_WORKER is not set; start with npm start.');
  kept.gravelwortReader ??= new ThreadPool(join(dirname(solver), 'parts-worker.cjs'), {
    ...{ name: 'The reader of files', threads: 1, queue: 4, each: 2 },
  });
  return kept.gravelwortReader.ask(text, asker);
}
