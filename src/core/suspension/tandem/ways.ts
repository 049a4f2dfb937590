import { draw } from '../../estimate/tree';
import { central } from '../../prediction/lines';
import { bestFirst, boughtFor, meanStates, solvedSides, type SolvedWay, type WayPart } from '../../prediction/ways';
import { SIDES, type Side } from '../../vehicle/side';
import { type Verdict } from '../../verdict';
import { planned, type PlannedTandemChange } from './assemble';
import { askedOf, pairChecks, type TandemCheck } from './checks';
import { type PairSpring, type RockerInput, type TandemAxleInput } from './input';
import { TandemSideModel } from './sideModel';
import { taughtPair } from './taught';

/** A part of the shelf as far as pairs of axles go; lengths mm. */
export interface PairPart extends WayPart {
  what:
    | {
        kind: 'springs';
        leaves: number;
        full: number;
        width: number;
        thickness: number;
        front: number;
        rear: number;
        free: number | null;
        /** Its eyes: a slipper takes an end without one. */
        plainEnd: boolean;
      }
    | { kind: 'shackle'; length: number; inside: number | null }
    | { kind: 'rocker'; front: number; rear: number; below: number }
    | { kind: 'slipper'; drop: number; inside: number | null };
}

/** One way to another height or another share: parts of the shelf for both sides and both axles, or a piece turned round. */
export interface PairWay extends SolvedWay {
  parts: PairPart[];
  changes: PlannedTandemChange[];
  states: { id: string; change: number; rate: number; rateBefore: number; stress: number; share: number }[];
  checks: Verdict<TandemCheck>[];
}

/** Another spring must come this near to the old one's width, and its halves, to sit between the same hangers, mm; chosen. */
const SUITS = { width: 3, half: 12, inside: 8, arms: 16 } as const;
/** Pieces that both sides and both axles take. */
const PIECES: Record<PairPart['what']['kind'], number> = { springs: 4, shackle: 8, rocker: 2, slipper: 4 };

/** Why a part is never offered for this pair; null when it may be. */
export function pairRefusal(
  { what }: PairPart,
  { spring, rocker }: { spring: PairSpring; rocker: RockerInput | null },
): string | null {
  if (what.kind === 'rocker') {
    if (!rocker) return 'there is no rocker';
    const wider = what.front + what.rear - rocker.front.value - rocker.rear.value;
    return Math.abs(wider) > SUITS.arms ? 'its pins do not stand over the springs’ ends' : null;
  }
  if (what.kind !== 'springs') {
    if (what.inside === null) return 'its inside width is not known';
    const room = what.inside - spring.width.value;
    return room < 0 || room > SUITS.inside ? 'the spring does not stand between its plates' : null;
  }
  if (what.free === null) return 'its free arch is not known';
  if (Math.abs(what.width - spring.width.value) > SUITS.width) return 'it is not as wide as its hangers';
  const both = [what.front, what.rear];
  const asks = [spring.outer.value, spring.inner.value];
  return both.some((half, k) => Math.abs(half - asks[k]!) > SUITS.half)
    ? 'its halves do not reach hanger and rocker'
    : null;
}

function changeOf({ what, used }: PairPart): PlannedTandemChange {
  if (what.kind === 'shackle') return { kind: 'shackle', length: what.length };
  if (what.kind === 'slipper') return { kind: 'slipper', drop: what.drop };
  if (what.kind === 'rocker') return what;
  const { leaves, full, width, thickness, front, rear, free } = what;
  return {
    ...{ kind: 'springs', leaves, full, width, thickness, outer: front, inner: rear },
    ...{ free: free!, used, source: 'catalogue' },
  };
}

/**
 * Other springs, shackles, rockers and slippers of what the shelf holds, springs with each of the others, and the rocker that is there
 * turned round; solved in every load state. First what no tyre forbids, then nearest to the wish, then fewer parts, then the cheaper.
 * Slippers come with springs that have a plain end only. @param wanted the frame this much higher in that state, mm
 */
export function pairWays(
  input: TandemAxleInput,
  parts: readonly PairPart[],
  wanted: { stateId: string; change: number },
): PairWay[] {
  const { spring, rocker } = input;
  const sides = SIDES.filter((side) => input.sides[side].spring !== null);
  if (!spring || sides.length === 0) return [];
  const fit = parts.filter((part) => pairRefusal(part, { spring, rocker }) === null);
  const of = (kind: PairPart['what']['kind']) => fit.filter((p) => p.what.kind === kind);
  const slippers = of('slipper');
  const plain = of('springs').filter((p) => p.what.kind === 'springs' && p.what.plainEnd);
  const eyed = of('springs').filter((p) => !plain.includes(p));
  const sets: PairPart[][] = rocker
    ? [
        ...[...eyed, ...of('shackle'), ...of('rocker')].map((p) => [p]),
        ...eyed.flatMap((one) => [...of('shackle'), ...of('rocker')].map((other) => [one, other])),
        ...plain.flatMap((one) => slippers.map((slipper) => [one, slipper])),
      ]
    : [
        ...[...plain, ...slippers].map((p) => [p]),
        ...plain.flatMap((one) => slippers.map((slipper) => [one, slipper])),
      ];
  const turned: PlannedTandemChange[] =
    rocker && Math.abs(rocker.front.value - rocker.rear.value) > rocker.front.half90 + rocker.rear.half90
      ? [{ kind: 'rocker', front: rocker.rear.value, rear: rocker.front.value, below: rocker.below.value }]
      : [];
  const made = (set: PairPart[]) => wayOf(input, sides, set, set.map(changeOf), wanted) ?? [];
  return [
    ...turned.flatMap((change) => wayOf(input, sides, [], [change], wanted) ?? []),
    ...sets.flatMap(made),
  ].toSorted(bestFirst);
}

/** undefined where the pair cannot stand under one of the loads. */
function wayOf(
  input: TandemAxleInput,
  sides: readonly Side[],
  parts: PairPart[],
  changes: PlannedTandemChange[],
  wanted: { stateId: string; change: number },
): PairWay | undefined {
  const made = changes.map(planned);
  const solved = solvedSides(() =>
    sides.map((side) => {
      const drawn = draw({ ...taughtPair(input, side).input, changes: made }, central);
      return { drawn, model: new TandemSideModel(drawn, side) };
    }),
  );
  if (!solved) return undefined;
  const states = meanStates(input.states, solved).map((state, k) => {
    const here = solved.map((side) => side[k]!.built);
    return {
      ...state,
      stress: Math.max(...here.flatMap(({ front, rear }) => [front.stress, rear.stress])),
      share: here.reduce((sum, { share }) => sum + share, 0) / here.length,
    };
  });
  const there = states.find((s) => s.id === wanted.stateId) ?? states[0]!;
  return {
    id: parts.map((p) => p.id).join('+') || 'turned',
    name: parts.map((p) => p.name).join(' with ') || 'the rocker turned round',
    ...{ parts, changes, states },
    off: there.change - wanted.change,
    checks: pairChecks(
      askedOf(input.kind, made, input.wheelLimit),
      solved.flatMap((side) => side.map((s) => s.built)),
    ),
    ...boughtFor(
      parts,
      parts.map((p) => PIECES[p.what.kind]),
    ),
  };
}
