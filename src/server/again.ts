import { isDeepStrictEqual } from 'node:util';
import { taken } from '@/contracts/problem';

/**
 * A new entry that can be changed later, sent again under its id: answered as the first try was while it says what is stored.
 * @param there what is stored under the id, as far as this job can see it
 * @throws ProblemError `taken` where that is something else, or nothing of this job's: what was sent is not stored, and nobody may think so
 */
export function requireSame(sent: object, there: object | undefined): void {
  const stored = there as Readonly<Record<string, unknown>> | undefined;
  // Nobody knows the version of what is new.
  const says = Object.entries(sent).filter(([field]) => field !== 'version' && field !== 'act');
  if (!stored || !says.every(([field, value]) => isDeepStrictEqual(stored[field], value))) throw taken();
}

export const findById = <T extends { id: string }>(rows: readonly T[], id: string): T | undefined =>
  rows.find((row) => row.id === id);
