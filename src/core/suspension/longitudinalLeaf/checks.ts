import { LEAST_THREADS, type UboltVerdict } from '../../fastener/ubolt';
import { type HelperDevice } from '../../mechanics/helper/curve';
import { stressVerdict, type StandingStress } from '../../mechanics/leafpack/stress';
import { type Verdict, type VerdictState } from '../../verdict';
import { type BuiltState, type KindWork } from '../kind';
import { changesPack } from './built';
import { type LeafFigures } from './figures';
import { type LeafAxleInput } from './input';

/** What a leaf spring asks of what must fit. */
export type LeafCheck = 'threads' | 'runOut' | 'stress' | 'helper';

/** What of a prediction its checks hang on. */
export interface LeafStanding {
  ubolt: UboltVerdict | 'new set' | null;
  standing: readonly StandingStress[];
  /** Of each side in each load state; empty where nothing helps. */
  helpers?: readonly { pressed: number; stroke: number; force: number }[];
}

/** What of a plan its own checks hang on. */
export interface LeafAsked {
  /** Leaves are added, taken out or replaced: what they carry must be solved. */
  otherLeaves: boolean;
  /** Thread showing and pitch of the old U-bolts were read. */
  threadsRead: boolean;
  /** A spring beside the pack. */
  helper: HelperDevice | null;
}

/** Its bolts and its stress. @param solved null while nothing is solved */
export function leafChecks(asked: LeafAsked, solved: LeafStanding | null): Verdict<LeafCheck>[] {
  const stress = stressVerdict(solved?.standing ?? []);
  const unsolved: Verdict<LeafCheck> = { item: 'stress', state: 'not checked', text: 'The spring is not solved yet.' };
  return [
    ...uboltRows(asked, solved?.ubolt ?? null),
    ...(stress ? [stress] : asked.otherLeaves ? [unsolved] : []),
    ...(asked.helper ? [helperRow(asked.helper, solved?.helpers ?? [])] : []),
  ];
}

/** What every helper spring is careful of; common practice. */
const BESIDE: Record<HelperDevice, string> = {
  rubber: 'Its foot meets the axle square, and the frame above it is stiffened where the maker asks for it.',
  air: 'Never run empty, never the stop of the droop; its line away from heat; its pressure is part of the load it carries.',
  clampOn: 'Its clamp sits clear of the tips of the leaves and is looked at after the first load.',
  leaf: 'Its ends meet their pads square; pads and longer U-bolts belong to it.',
};

/** Pressed within its stroke, and at work at all. */
function helperRow(device: HelperDevice, helpers: NonNullable<LeafStanding['helpers']>): Verdict<LeafCheck> {
  const item = 'helper';
  if (helpers.length === 0) return { item, state: 'not checked', text: 'The spring is not solved yet.' };
  const most = helpers.reduce((far, h) => (h.pressed / h.stroke > far.pressed / far.stroke ? h : far));
  const figure = {
    ...{ quantity: 'left of its stroke', dimension: 'length' as const, value: most.pressed, limit: most.stroke },
    margin: most.stroke - most.pressed,
  };
  if (most.pressed > most.stroke)
    return {
      ...{ item, state: 'does not fit', figure },
      text: `Under the heaviest load it is pressed ${(most.pressed - most.stroke).toFixed(0)} mm past its stroke. ${BESIDE[device]}`,
    };
  const idle = helpers.every((h) => h.pressed <= 0);
  return {
    ...{ item, state: 'look', figure },
    text: `${idle ? `It hangs clear in every load state, by ${(-most.pressed).toFixed(0)} mm under the heaviest: it only meets bumps.` : `It is pressed ${most.pressed.toFixed(0)} of ${most.stroke.toFixed(0)} mm under the heaviest load.`} ${BESIDE[device]} It lifts the frame and raises no rating: axle, tyre, wheel and plate stay what they were.`,
  };
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
    const [threads, run] = both(ubolt.engagement, runOut, ubolt.reason);
    if (ubolt.threadsLeft === 0) return [threads!, run!];
    const limit = (LEAST_THREADS * ubolt.exposedAfter) / ubolt.threadsLeft;
    const { exposedAfter: value } = ubolt;
    const figure = {
      quantity: 'thread beyond the nut',
      dimension: 'length' as const,
      value,
      limit,
      margin: value - limit,
    };
    return [{ ...threads!, figure }, run!];
  }
  const text = threadsRead ? 'Not solved yet.' : 'Thread showing and pitch are not measured.';
  return both('not checked', 'not checked', text);
}

/** What a plan on a leaf spring asks of what must fit. */
export const leafWork = (
  input: Pick<LeafAxleInput, 'arrangement' | 'changes' | 'ubolt'>,
): KindWork<LeafCheck, LeafStanding> => {
  const asked = {
    otherLeaves: input.changes.some(changesPack),
    threadsRead: input.ubolt !== null,
    helper: input.changes.flatMap((c) => (c.kind === 'helper' && c.fitted !== 'off' ? [c.device] : [])).at(-1) ?? null,
  };
  return {
    located: input.changes.some(
      (c) => c.kind === 'overAxle' || c.kind === 'wedge' || (c.kind === 'block' && c.height.value > 0),
    ),
    arrangement: input.changes.some((c) => c.kind === 'overAxle') ? 'over' : input.arrangement,
    own: (standing) => leafChecks(asked, standing),
  };
};

/** What a prediction says of a leaf spring's bolts and stress. */
export const leafStanding = (
  states: readonly BuiltState<LeafFigures>[],
  ubolt: UboltVerdict | 'new set' | null,
): LeafStanding => ({
  ubolt,
  helpers: states.flatMap(({ built }) => built?.helper ?? []),
  standing: states.flatMap(({ built }): StandingStress[] =>
    built
      ? [
          {
            working: built.peakStress,
            ...(built.clampStress && { clamped: built.clampStress }),
            ...(built.nominalStress && { nominal: built.nominalStress }),
          },
        ]
      : [],
  ),
});

/** The axle's nose up by its seat and its wedge, rad. A seat that stands higher behind turns it down. */
const turnOf = ({ seatTilt, stack }: LeafFigures['elevation']): number => (stack.wedge?.noseUp ?? 0) - seatTilt;

/** Turn of the axle in the state of the day, of the side that turns most. */
export function leafNoseUp(states: readonly BuiltState<LeafFigures>[]): number | undefined {
  const turns = states.flatMap(({ today, old, built }) =>
    today && old && built ? [turnOf(built.elevation) - turnOf(old.elevation)] : [],
  );
  return turns.reduce<number | undefined>((m, t) => (m === undefined || Math.abs(t) > Math.abs(m) ? t : m), undefined);
}
