import { draw } from '../../estimate/tree';
import { central } from '../../prediction/lines';
import { bestFirst, boughtFor, meanStates, solvedSides, type SolvedWay, type WayPart } from '../../prediction/ways';
import { SIDES, type Side } from '../../vehicle/side';
import { type Verdict } from '../../verdict';
import { planned, type PlannedCrossChange } from './assemble';
import { askedOf, crossChecks, type CrossCheck } from './checks';
import { type CrossAxleInput, type CrossSpring } from './input';
import { CrossSideModel, type CrossFigures } from './sideModel';
import { standingOf } from './standing';
import { taughtCross } from './taught';

/** A part of the shelf as far as an axle on a spring across goes; lengths mm. */
export interface CrossPart extends WayPart {
  what:
    | {
        kind: 'crossSpring';
        leaves: number;
        full: number;
        width: number;
        thickness: number;
        front: number;
        rear: number;
        shortest: number;
        free: number | null;
      }
    | { kind: 'spindles'; drop: number }
    | { kind: 'dropAxle'; drop: number };
}

/** One way to another height: a spring, a pair of spindles or a beam, or a spring with one of them. */
export interface CrossWay extends SolvedWay {
  parts: CrossPart[];
  changes: PlannedCrossChange[];
  states: { id: string; change: number; rate: number; rateBefore: number; stress: number }[];
  checks: Verdict<CrossCheck>[];
}

/** Another spring must come this near to the old one to sit in its clamp and meet its eyes, mm; chosen. */
const SUITS = { width: 3, half: 10, uneven: 6 } as const;
const PIECES: Record<CrossPart['what']['kind'], number> = { crossSpring: 1, spindles: 2, dropAxle: 1 };

/** Why a part is never offered for this axle; null when it may be. */
export function crossRefusal(
  { what }: CrossPart,
  { spring, half, beam }: { spring: CrossSpring; half: number; beam: boolean },
): string | null {
  if (what.kind === 'dropAxle') return beam ? null : 'no beam joins the wheels';
  if (what.kind === 'spindles') return null;
  if (what.free === null) return 'its free arch is not known';
  if (Math.abs(what.width - spring.width.value) > SUITS.width) return 'it is not as wide as its clamp';
  if (Math.abs(what.front - what.rear) > SUITS.uneven) return 'its halves are not alike';
  return Math.abs((what.front + what.rear) / 2 - half) > SUITS.half ? 'its eyes do not reach the wheels' : null;
}

function changeOf({ what, used }: CrossPart): PlannedCrossChange {
  if (what.kind === 'spindles') return { kind: 'spindles', left: what.drop, right: what.drop };
  if (what.kind === 'dropAxle') return { kind: 'dropAxle', by: what.drop };
  const { leaves, full, width, thickness, front, rear, shortest, free } = what;
  return {
    ...{ kind: 'crossSpring', leaves, full, width, thickness, shortest },
    ...{ half: (front + rear) / 2, free: free!, used, source: 'catalogue' },
  };
}

/**
 * Other springs, spindles and beams of what the shelf holds, and a spring with each of the others; solved in every load state. First
 * what no check forbids, then nearest to the wish, then fewer parts, then the cheaper. @param wanted the frame this much higher in that state, mm
 */
export function crossWays(
  input: CrossAxleInput,
  parts: readonly CrossPart[],
  wanted: { stateId: string; change: number },
): CrossWay[] {
  const { spring } = input;
  const sides = SIDES.filter((side) => input.sides[side].spring !== null);
  const first = sides[0];
  if (!spring || !first) return [];
  const at = { spring, half: input.sides[first].spring!.half.value, beam: input.upright === 'beam' };
  const fit = parts.filter((part) => crossRefusal(part, at) === null);
  const [springs, lowered] = [
    fit.filter((p) => p.what.kind === 'crossSpring'),
    fit.filter((p) => p.what.kind !== 'crossSpring'),
  ];
  const sets = [...fit.map((p) => [p]), ...springs.flatMap((one) => lowered.map((other) => [one, other]))];
  return sets.flatMap((set) => wayOf(input, sides, set, wanted) ?? []).toSorted(bestFirst);
}

/** undefined where the axle cannot stand under one of the loads. */
function wayOf(
  input: CrossAxleInput,
  sides: readonly Side[],
  parts: CrossPart[],
  wanted: { stateId: string; change: number },
): CrossWay | undefined {
  const changes = parts.map(changeOf);
  const made = changes.map(planned);
  const solved = solvedSides(() =>
    sides.map((side) => {
      const drawn = draw({ ...taughtCross(input, side).input, changes: made }, central);
      return { drawn, model: new CrossSideModel(drawn, side, 'difference') };
    }),
  );
  if (!solved) return undefined;
  const most = (f: CrossFigures): number => Math.max(...f.peakStress);
  const states = meanStates(input.states, solved).map((state, k) => ({
    ...state,
    stress: Math.max(...solved.map((side) => most(side[k]!.built))),
  }));
  const there = states.find((s) => s.id === wanted.stateId) ?? states[0]!;
  return {
    id: parts.map((p) => p.id).join('+'),
    name: parts.map((p) => p.name).join(' with '),
    ...{ parts, changes, states },
    off: there.change - wanted.change,
    checks: crossChecks(
      askedOf(draw(made, central)),
      solved.flatMap((side) => side.map(({ old, built }) => standingOf(old, built))),
    ),
    ...boughtFor(
      parts,
      parts.map((p) => PIECES[p.what.kind]),
    ),
  };
}
