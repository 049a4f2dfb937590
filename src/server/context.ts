import { atDoor } from '@/data/client';

/** Whether the database answers within the time a page waits for it. */
export const databaseAnswers = (): Promise<boolean> =>
  atDoor(Buffer.alloc(32), () => Promise.resolve(true)).catch(() => false);

/** Whether this server was told to end (scripts/serve.mjs): whoever spreads requests over several sends it no more. */
export const ends = (): boolean => (globalThis as { gravelwortEnds?: boolean }).gravelwortEnds === true;
