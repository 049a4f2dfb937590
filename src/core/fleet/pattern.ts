import { CoreError } from '../errors';
import { Z90, type Estimate } from '../estimate/estimate';
import { estimatesOf } from '../estimate/tree';
import { NARROWEST_BAND } from '../prediction/central';
import { Variants } from '../prediction/outcomes';
import { surrogateOf } from '../prediction/surrogate';
import { type KindTypes, type SuspensionKind } from '../suspension/kind';
import { otherOf, type Side } from '../vehicle/side';

/** What a plan does to one vehicle, and by how much that changes with every reading: so it is told of others like it without solving each. Lengths mm. */
export interface FleetPattern {
  /** Whose side it was solved on. */
  side: Side;
  /** Readings by name: the pattern's own figure, the half-width it was moved by, and what that does to the lift by standard deviations of it. */
  readings: { path: string; value: number; half90: number; slope: number; bend: number }[];
  /** What it is besides its figures. */
  shape: string[];
  /** How much the frame rises on the pattern itself, in the state of the day. */
  lift: number;
}

/** As far off as this a reading may be from the pattern's, in half-widths over which the pattern was solved. Chosen. */
const REACH = 2;
/** What a reading moves that counts, mm. Chosen. */
const COUNTS = 0.5;
/** The plan's own figures are the same on every vehicle; what readings taught of a spring is taken as the pattern's. */
const PLANNED = /^changes\b/;
const TAUGHT = /rateFactor$/;
/** What the spring is made of: what is there on one and not on the other makes them two springs. */
const MADE_OF = /^(pack|own|coil|springs|block|shear)\b/;
/** Of the day or of the job, and no part of what carries the vehicle. */
const OF_THE_DAY = /^(sides|changes|states|rolled|ubolt|centreBolt|expects)\b/;

/** How much vehicles made alike differ, 90 % half-width: wider than the tape's own, so that a pattern is solved over what it is used for. Chosen. */
const SPREAD: readonly [of: RegExp, half: (value: number) => number][] = [
  [/load$/, (v) => 0.15 * Math.abs(v)],
  [/(archTop|freeArch|free|drop)$/i, () => 15],
  [/angle$/, () => 0.12],
  [/thickness$/, () => 0.3],
];
const spreadOf = (path: string, value: number, half90: number): number =>
  Math.max(half90, PLANNED.test(path) ? 0 : (SPREAD.find(([of]) => of.test(path))?.[1](value) ?? 0));

/** The same input with every estimate as wide as the fleet is. */
const widened = <I extends object>(input: I): I =>
  mapped(input, (estimate, path) => ({ ...estimate, half90: spreadOf(path, estimate.value, estimate.half90) })) as I;

function mapped(node: unknown, fn: (estimate: Estimate, path: string) => Estimate, path = ''): unknown {
  if (node === null || typeof node !== 'object') return node;
  if ('half90' in node && 'value' in node) return fn(node as Estimate, path);
  const at = (key: string | number) => (path === '' ? String(key) : `${path}.${key}`);
  if (Array.isArray(node)) return node.map((one, k) => mapped(one, fn, at(k)));
  return Object.fromEntries(Object.entries(node).map(([key, one]) => [key, mapped(one, fn, at(key))]));
}

/** What of an input is one of a few things: how it lies, what its seat does, which way an eye hangs. */
function shapeOf(node: unknown, path = ''): string[] {
  if (OF_THE_DAY.test(path)) return [];
  if (typeof node === 'string' || typeof node === 'boolean') return [`${path} ${String(node)}`];
  if (node === null || typeof node !== 'object' || 'half90' in node) return [];
  return Object.entries(node).flatMap(([key, one]) => shapeOf(one, path === '' ? key : `${path}.${key}`));
}

/**
 * Solves a plan on one vehicle and, once or twice for every reading, how its lift hangs on it. @param given with the plan's changes
 * @throws CoreError where the vehicle cannot be solved
 */
export function patternOf<T extends KindTypes>(kind: SuspensionKind<T>, given: T['input'], side: Side): FleetPattern {
  const input = widened(kind.taught(given, side).input);
  const variants = new Variants(kind, input, side, 1);
  let [sum, refused]: [number, CoreError | null] = [0, null];
  let lift = 0;
  const effects = variants.estimates.map(() => ({ slope: 0, bend: 0 }));
  for (const branch of variants.branches) {
    const steps = surrogateOf(variants, branch);
    let step = steps.next();
    while (!step.done) step = steps.next();
    if (step.value instanceof CoreError) {
      refused ??= step.value;
      continue;
    }
    sum += branch.chance;
    lift += branch.chance * step.value.centre[0]!;
    step.value.effects.forEach(({ slope, bend }, k) => {
      effects[k]!.slope += branch.chance * slope[0]!;
      effects[k]!.bend += branch.chance * bend[0]!;
    });
  }
  if (sum === 0) throw refused ?? new CoreError('no-convergence', 'pattern', 'nothing of it can be solved');
  return {
    side,
    shape: shapeOf(given),
    lift: lift / sum,
    readings: variants.estimates.map(({ path, estimate }, k) => ({
      ...{ path, value: estimate.value, half90: estimate.half90 },
      ...{ slope: effects[k]!.slope / sum, bend: effects[k]!.bend / sum },
    })),
  };
}

export interface FleetLift {
  lift: number;
  half90: number;
  /** Readings that are too far from the pattern's, or are not there: then the lift is not to be told by it. */
  unlike: string[];
}

/** What the pattern's plan does to another vehicle. @param input of it, without a plan @param side of it; the pattern's other side is its mirror */
export function liftBy(pattern: FleetPattern, input: object, side: Side): FleetLift {
  const [own, other] = [`sides.${side}`, `sides.${otherOf(side)}`];
  const there = new Map(
    estimatesOf(input).flatMap(({ path, estimate }) =>
      path.startsWith(other)
        ? []
        : [[path.startsWith(own) ? `sides.${pattern.side}${path.slice(own.length)}` : path, estimate] as const],
    ),
  );
  let [lift, square] = [pattern.lift, 0];
  const shape = shapeOf(input);
  const unlike = pattern.shape.filter((one) => !shape.includes(one));
  for (const path of there.keys())
    if (
      MADE_OF.test(path) &&
      !TAUGHT.test(path) &&
      !pattern.readings.some((r) => r.path === path) &&
      there.get(path)!.half90 > 0
    )
      unlike.push(path);
  for (const { path, value, half90, slope, bend } of pattern.readings) {
    const read = there.get(path);
    const planned = PLANNED.test(path);
    const z = read && !planned ? ((read.value - value) * Z90) / half90 : 0;
    const by = (slope + bend * z) * z;
    const moves = Math.max(Math.abs(by), Math.abs(slope) * Z90) >= COUNTS;
    const missing = !read && !planned && !TAUGHT.test(path) && (moves || MADE_OF.test(path));
    if (missing || (moves && Math.abs(z) > REACH * Z90)) unlike.push(path);
    lift += by;
    square += planned ? (slope * Z90) ** 2 : (slope * Z90 * ((read?.half90 ?? half90) / half90)) ** 2;
  }
  return { lift, half90: Math.max(NARROWEST_BAND, Math.sqrt(square)), unlike };
}
