'use client';
// What was said on this screen while nothing could be reached: kept in the browser, shown as said, sent when the server answers again.
import { openDB, type IDBPDatabase } from 'idb';
import { type JobView } from '@/contracts/job';

/** One thing said of a job; it carries its own id, so that sending it twice says it once. */
export interface Kept {
  id: string;
  jobId: string;
  path: '/steps' | '/incidents' | '/torque-readings' | '/leg-threads' | '/photos';
  body: Readonly<Record<string, unknown>>;
  /** Of a picture: the picture. */
  file?: Blob;
  /** Who said it: it is sent when they are at this screen, and under no other name. */
  person: string;
  /** When it was said, by this machine's clock, ms. */
  at: number;
  /** Why the server would not have it; it stays until somebody looks. */
  refused?: string;
}

const NAME = 'gravelwort-outbox';
let opened: Promise<IDBPDatabase> | undefined;
const box = (): Promise<IDBPDatabase> =>
  (opened ??= openDB(NAME, 1, {
    upgrade: (db) => {
      db.createObjectStore('kept', { keyPath: 'id' });
      db.createObjectStore('views');
    },
  }));

export const keep = async (item: Kept): Promise<void> => void (await (await box()).put('kept', item));
export async function dropKept(id: string): Promise<void> {
  await (await box()).delete('kept', id);
  const shown = shownAt.get(id);
  if (shown) URL.revokeObjectURL(shown);
  shownAt.delete(id);
}

const shownAt = new Map<string, string>();
/** Where a picture that is kept here can be looked at, until it is sent. */
export function keptPicture({ id, file }: Kept): string | undefined {
  if (!file) return undefined;
  const shown = shownAt.get(id) ?? URL.createObjectURL(file);
  shownAt.set(id, shown);
  return shown;
}
/** All of a job, the oldest first. */
export const keptOf = async (jobId: string): Promise<Kept[]> =>
  ((await (await box()).getAll('kept')) as Kept[]).filter((k) => k.jobId === jobId).toSorted((p, q) => p.at - q.at);

/** The job as this screen saw it last, for a page that is opened again without a network. */
export const keepView = async (view: JobView): Promise<void> => void (await (await box()).put('views', view, view.id));
export const viewOf = async (jobId: string): Promise<JobView | undefined> =>
  (await (await box()).get('views', jobId)) as JobView | undefined;
/** Nobody is at work here any more: what was seen is forgotten, what was said and not sent is not. */
export const forgetViews = async (): Promise<void> => (await box()).clear('views');
