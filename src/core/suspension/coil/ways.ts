import { draw } from '../../estimate/tree';
import { type CoilEnds } from '../../mechanics/coil/coil';
import { central } from '../../prediction/lines';
import { bestFirst, boughtFor, meanStates, solvedSides, type SolvedWay, type WayPart } from '../../prediction/ways';
import { SIDES, type Side } from '../../vehicle/side';
import { type Verdict } from '../../verdict';
import { planned, type PlannedCoilChange } from './assemble';
import { taughtCoil } from './taught';
import { askedOf, coilChecks, type CoilCheck } from './checks';
import { type CoilAxleInput } from './input';
import { CoilSideModel } from './sideModel';

/** A part of the shelf as far as coils go; lengths mm. */
export interface CoilPart extends WayPart {
  kind: 'coil' | 'spacer';
  wire: number | null;
  outside: number | null;
  turns: number | null;
  free: number | null;
  ends: CoilEnds | null;
  height: number | null;
}

/** One way to another height: parts of the shelf for both sides. */
export interface CoilWay extends SolvedWay {
  parts: CoilPart[];
  changes: PlannedCoilChange[];
  states: { id: string; change: number; rate: number; rateBefore: number; stress: number }[];
  checks: Verdict<CoilCheck>[];
}

/** The outside diameter may differ from the seats' coil by this, mm; chosen. */
const SUITS = 6;
/** Why a part is never offered for these seats; null when it may be. */
export function coilRefusal(part: CoilPart, outside: number): string | null {
  if (part.kind === 'spacer') return part.height === null ? 'its height is not known' : null;
  if (part.wire === null || part.outside === null || part.turns === null) return 'its sizes are not known';
  if (part.free === null) return 'its free length is not known';
  if (part.ends === null) return 'how its ends are made is not known';
  return Math.abs(part.outside - outside) > SUITS ? 'it does not sit in these seats' : null;
}

const changeOf = (part: CoilPart): PlannedCoilChange =>
  part.kind === 'spacer'
    ? { kind: 'spacer', height: part.height! }
    : {
        ...{ kind: 'coil', wire: part.wire!, outside: part.outside!, turns: part.turns!, free: part.free! },
        ...{ ends: part.ends!, used: part.used, source: 'catalogue' },
      };

/**
 * Other coils, other spacers and both together, of what the shelf holds, solved in every load state; nearest to the wish first, of those
 * equally near the one with fewer parts, then the cheaper. A spacer takes the place of the one that is there: they are never stacked.
 * @param wanted the frame this much higher in that state, mm @param pitch from groove to groove of the unit, mm; null where seats do not move
 */
export function coilWays(
  input: CoilAxleInput,
  parts: readonly CoilPart[],
  wanted: { stateId: string; change: number },
  pitch: number | null = null,
): CoilWay[] {
  const { coil } = input;
  const sides = SIDES.filter((side) => input.sides[side].spring !== null);
  if (!coil || sides.length === 0) return [];
  const fit = parts.filter((part) => coilRefusal(part, coil.outside.value) === null);
  const [coils, spacers] = [fit.filter((p) => p.kind === 'coil'), fit.filter((p) => p.kind === 'spacer')];
  const sets = [...fit.map((part) => [part]), ...coils.flatMap((one) => spacers.map((spacer) => [one, spacer]))];
  return [
    ...sets.map((set) => ({ parts: set, changes: set.map(changeOf) })),
    ...grooves(pitch).flatMap((change) => [
      { parts: [], changes: [change] },
      ...coils.map((one) => ({ parts: [one], changes: [changeOf(one), change] })),
    ]),
  ]
    .flatMap((set) => wayOf(input, sides, set, wanted) ?? [])
    .toSorted(bestFirst);
}

/** Grooves a seat may go up or down, both sides alike; chosen. */
const GROOVES = [-2, -1, 1, 2, 3, 4, 5];
const grooves = (pitch: number | null): PlannedCoilChange[] =>
  pitch === null ? [] : GROOVES.map((n) => ({ kind: 'perch', pitch, left: n, right: n }));
const grooveText = (n: number): string =>
  `${Math.abs(n)} ${Math.abs(n) === 1 ? 'groove' : 'grooves'} ${n > 0 ? 'up' : 'down'}`;

/** undefined where the coil cannot stand under one of the loads. */
function wayOf(
  input: CoilAxleInput,
  sides: readonly Side[],
  { parts, changes }: { parts: CoilPart[]; changes: PlannedCoilChange[] },
  wanted: { stateId: string; change: number },
): CoilWay | undefined {
  const solved = solvedSides(() =>
    sides.map((side) => {
      const drawn = draw({ ...taughtCoil(input, side).input, changes: changes.map(planned) }, central);
      return { drawn, model: new CoilSideModel(drawn, side) };
    }),
  );
  if (!solved) return undefined;
  const states = meanStates(input.states, solved).map((state, k) => ({
    ...state,
    stress: Math.max(...solved.map((side) => side[k]!.built.stress)),
  }));
  const there = states.find((s) => s.id === wanted.stateId) ?? states[0]!;
  return {
    id: [...parts.map((p) => p.id), ...changes.flatMap((c) => (c.kind === 'perch' ? [`grooves${c.left}`] : []))].join(
      '+',
    ),
    name: [
      ...parts.map((p) => p.name),
      ...changes.flatMap((c) => (c.kind === 'perch' ? [grooveText(c.left)] : [])),
    ].join(' with '),
    ...{ parts, changes, states },
    off: there.change - wanted.change,
    checks: coilChecks(
      askedOf({ ...draw<CoilAxleInput>(input, central), changes: draw(changes.map(planned), central) }),
      solved.flatMap((side) => side.map((s) => s.built)),
    ),
    // A pair of each.
    ...boughtFor(
      parts,
      parts.map(() => 2),
    ),
  };
}
