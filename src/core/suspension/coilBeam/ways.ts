import { CoreError } from '../../errors';
import { draw } from '../../estimate/tree';
import { type CoilEnds } from '../../mechanics/coil/coil';
import { central, extraLoads } from '../../prediction/lines';
import { SIDES, type Side } from '../../vehicle/side';
import { type Verdict } from '../../verdict';
import { planned, taughtCoil, type PlannedCoilChange } from './assemble';
import { coilChecks, type CoilCheck } from './checks';
import { type CoilAxleInput } from './input';
import { CoilSideModel, type CoilFigures } from './sideModel';

/** A part of the shelf as far as coils go; lengths mm, price of one piece in the shop's own money. */
export interface CoilPart {
  id: string;
  kind: 'coil' | 'spacer';
  name: string;
  price: number | null;
  /** Until it is here: 0 when a pair lies on the shelf; null when nobody knows. */
  days: number | null;
  used: boolean;
  wire: number | null;
  outside: number | null;
  turns: number | null;
  free: number | null;
  ends: CoilEnds | null;
  height: number | null;
}

/** One way to another height: parts of the shelf for both sides. */
export interface CoilWay {
  id: string;
  name: string;
  parts: CoilPart[];
  changes: PlannedCoilChange[];
  states: { id: string; change: number; rate: number; rateBefore: number; stress: number }[];
  /** From what is wanted, mm; short by is negative. */
  off: number;
  checks: Verdict<CoilCheck>[];
  /** For the pair; null when a price is not known. */
  price: number | null;
  days: number | null;
}

/** The outside diameter may differ from the seats' coil by this, mm; chosen. */
const SUITS = 6;
/** Nearer than this no prediction tells apart, mm. */
const ALIKE = 3;

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
 * @param wanted the frame this much higher in that state, mm
 */
export function coilWays(
  input: CoilAxleInput,
  parts: readonly CoilPart[],
  wanted: { stateId: string; change: number },
): CoilWay[] {
  const { coil } = input;
  const sides = SIDES.filter((side) => input.sides[side].spring !== null);
  if (!coil || sides.length === 0) return [];
  const fit = parts.filter((part) => coilRefusal(part, coil.outside.value) === null);
  const [coils, spacers] = [fit.filter((p) => p.kind === 'coil'), fit.filter((p) => p.kind === 'spacer')];
  const sets = [...fit.map((part) => [part]), ...coils.flatMap((one) => spacers.map((spacer) => [one, spacer]))];
  return sets
    .flatMap((set) => wayOf(input, sides, set, wanted) ?? [])
    .toSorted(
      (p, q) =>
        Number(unfit(p)) - Number(unfit(q)) ||
        Math.max(0, Math.abs(p.off) - ALIKE) - Math.max(0, Math.abs(q.off) - ALIKE) ||
        p.parts.length - q.parts.length ||
        (p.price ?? Infinity) - (q.price ?? Infinity) ||
        (p.id < q.id ? -1 : 1),
    );
}

/** Told with its reason, behind all that can be built. */
const unfit = (way: CoilWay): boolean => way.checks.some((check) => check.state === 'does not fit');

/** undefined where the coil cannot stand under one of the loads. */
function wayOf(
  input: CoilAxleInput,
  sides: readonly Side[],
  parts: CoilPart[],
  wanted: { stateId: string; change: number },
): CoilWay | undefined {
  const changes = parts.map(changeOf);
  try {
    const solved = sides.map((side) => {
      const drawn = draw({ ...taughtCoil(input, side).input, changes: changes.map(planned) }, central);
      const model = new CoilSideModel(drawn, side);
      return extraLoads(drawn, drawn.states.length).map((extra) => ({
        change: model.rise(drawn.changes, extra) - model.rise([], extra),
        old: model.figures([], extra)!,
        built: model.figures(drawn.changes, extra)!,
      }));
    });
    const mean = (of: (s: { change: number; old: CoilFigures; built: CoilFigures }) => number, k: number) =>
      solved.reduce((sum, states) => sum + of(states[k]!), 0) / solved.length;
    const states = input.states.map(({ id }, k) => ({
      id,
      change: mean((s) => s.change, k),
      rate: mean((s) => s.built.rate, k),
      rateBefore: mean((s) => s.old.rate, k),
      stress: Math.max(...solved.map((side) => side[k]!.built.stress)),
    }));
    const there = states.find((s) => s.id === wanted.stateId) ?? states[0]!;
    const total = (of: (part: CoilPart) => number | null, add: (a: number, b: number) => number, times: number) =>
      parts.reduce<number | null>((sum, part) => {
        const value = of(part);
        return sum === null || value === null ? null : add(sum, times * value);
      }, 0);
    return {
      id: parts.map((p) => p.id).join('+'),
      name: parts.map((p) => p.name).join(' with '),
      parts,
      changes,
      states,
      off: there.change - wanted.change,
      checks: coilChecks(solved.flatMap((side) => side.map((s) => s.built))),
      price: total(
        (p) => p.price,
        (a, b) => a + b,
        2,
      ),
      days: total((p) => p.days, Math.max, 1),
    };
  } catch (error) {
    if (error instanceof CoreError) return undefined;
    throw error;
  }
}
