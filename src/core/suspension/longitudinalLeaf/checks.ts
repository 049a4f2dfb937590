import { type UboltVerdict } from '../../fastener/ubolt';
import { stressVerdict, type StandingStress } from '../../mechanics/leafpack/stress';
import { type Verdict, type VerdictState } from '../../verdict';

/** What a leaf spring asks of what must fit. */
export type LeafCheck = 'threads' | 'runOut' | 'stress';

/** What of a plan its own checks hang on. */
export interface LeafAsked {
  /** Leaves are added, taken out or replaced: what they carry must be solved. */
  otherLeaves: boolean;
  /** Thread showing and pitch of the old U-bolts were read. */
  threadsRead: boolean;
}

/** Its bolts and its stress. @param solved null while nothing is solved */
export function leafChecks(
  asked: LeafAsked,
  solved: { ubolt: UboltVerdict | 'new set' | null; standing: readonly StandingStress[] } | null,
): Verdict<LeafCheck>[] {
  const stress = stressVerdict(solved?.standing ?? []);
  const unsolved: Verdict<LeafCheck> = { item: 'stress', state: 'not checked', text: 'The spring is not solved yet.' };
  return [...uboltRows(asked, solved?.ubolt ?? null), ...(stress ? [stress] : asked.otherLeaves ? [unsolved] : [])];
}

function uboltRows({ threadsRead }: LeafAsked, ubolt: UboltVerdict | 'new set' | null): Verdict<LeafCheck>[] {
  const both = (threads: VerdictState, runOut: VerdictState, text: string): Verdict<LeafCheck>[] => [
    { item: 'threads', state: threads, text },
    { item: 'runOut', state: runOut, text },
  ];
  if (ubolt === 'new set')
    return both('does not fit', 'not checked', 'The spring changes places: new U-bolts, sized to the new stack.');
  if (ubolt) {
    // A nut that has run out of thread does not stay on it.
    const runOut = ubolt.engagement === 'does not fit' ? 'does not fit' : ubolt.runOut;
    return both(ubolt.engagement, runOut, ubolt.reason);
  }
  const text = threadsRead ? 'Not solved yet.' : 'Thread showing and pitch are not measured.';
  return both('not checked', 'not checked', text);
}
