import { CoreError } from '../errors';
import { centreBoltLength } from '../fastener/centreBolt';
import { uboltAfter, type UboltVerdict } from '../fastener/ubolt';
import { handbookEstimate } from '../leafpack/handbook';
import { clampHalf } from '../leafpack/pack';
import { COARSE } from '../leafpack/half';
import { packLife } from '../leafpack/stress';
import { type Fineness, type PackSolver } from '../leafpack/solve';
import { GRAVITY } from '../material/steel';
import { hubTravel, type HubTravel } from '../travel/hubTravel';
import { CORE_VERSION } from '../version';
import { draw, estimatesOf, type AxleInput, type Side, SIDES } from './axleInput';
import { builtDepth, changesPack, changesThickness, clampGrowth, moveOf, thicknessRise } from './built';
import { SideModel, sideRate, type DrawnChange, type DrawnInput, type SideState } from './axleModel';
import { elevationOf, type Elevation } from './elevation';
import { type Estimate } from './estimate';
import { type LedgerLine } from './ledger';
import { bounceFrequency } from './load';
import { taught, type SpringFit } from './springFit';

/** Swing of the load on a road about its standing value, as a share, for an indication of life. Assumed. */
export const SWING = 0.25;

/** Fineness of solves whose difference alone is wanted. */
const ONE_AT_A_TIME: Fineness = { settled: 1e-4, divisions: COARSE };

/** A band is never shown narrower than this, mm. */
export const NARROWEST_BAND = 3;
/** Settling a new leaf is expected to take after the work: 5 ± 5 mm in 1,500 km. Common practice. */
const NEW_LEAF_SETTLING = { value: -5, half90: 5 };
const NEW_PACK_SETTLING = { value: -5, half90: 4 };
const USED_SETTLING = { value: 0, half90: 3 };

function settlingOf({ changes }: AxleInput): { value: number; half90: number } {
  if (changes.some((c) => c.kind === 'addLeaf')) return NEW_LEAF_SETTLING;
  // A re-arched pack has lost its set, like a new one.
  if (changes.some((c) => (c.kind === 'pack' && !c.used) || c.kind === 'rearch')) return NEW_PACK_SETTLING;
  return USED_SETTLING;
}

/** One load state of one build: what the spring does there. */
export interface SpringFigures {
  arch: number;
  /** Effective rate on seat height, N/mm. */
  rate: number;
  /** Hz; absent when the other side's load is unknown. */
  frequency: number | null;
  shackleAngle: number;
  load: number;
  /** Largest working stress of each leaf, outside the seat, MPa. */
  peakStress: number[];
  /** What the clamp bends into each leaf within the seat, MPa. Not in predictions of older cores. */
  clampStress?: number[];
  /** Half-width of the friction band on height, mm. */
  frictionHeight: number;
  elevation: Elevation;
  /** Swings of the load by a quarter of itself until the worst leaf cracks; null where a swing finds no state. */
  life: ReturnType<typeof packLife> | null;
}

export interface StatePrediction {
  id: string;
  name: string;
  ledger: LedgerLine[];
  /** Ride height before in the base state, mm; null without a before height. */
  before: number | null;
  /** Height in this load state before the work, mm. */
  beforeHere: number | null;
  /** Predicted height as built, mm; null without a before height. */
  after: number | null;
  /** Height change against the base measurement, mm. */
  change: number;
  /** First-order 90 % half-width, mm. */
  firstOrder: number;
  /** Inputs ranked by what their own 90 % half-width does to this height. */
  contributions: Contribution[];
  old: SpringFigures | null;
  built: SpringFigures | null;
}

export interface Contribution {
  path: string;
  /** Effect of the input's own 90 % half-width on the height, mm. */
  effect: number;
  origin: Estimate['origin'];
}

/** Ride height over spring load, old and built; heights relative to the base measurement (or to 0 without one), mm. */
export interface CurvePoint {
  load: number;
  old: number;
  built: number;
  /** Half-width of the friction band of each, mm: the loading branch stands this much higher, the unloading one lower. */
  oldFriction: number;
  builtFriction: number;
}

export interface SidePrediction {
  states: StatePrediction[];
  /** Empty without a spring. */
  curve: CurvePoint[];
  /** What all readings of this spring say together; null with no more than arch and load. */
  fit: SpringFit | null;
  /** Why no spring comes near all of its readings, if so. */
  unfit: string | null;
  /** Handbook estimate of the same change; null without a spring. `change` is null where the rule has nothing on what is planned. */
  handbook: { rateBefore: number; rateAfter: number; change: number | null } | null;
  /** Where the hub stands today, as planned and hanging. Not in predictions of older cores. */
  travel?: HubTravel | null;
  /** Assembled arch on the bench without load, bolted only at the seat, mm. */
  assembled: { before: number; after: number } | null;
}

export interface AxlePrediction {
  coreVersion: string;
  sides: Record<Side, SidePrediction | null>;
  ubolt: UboltVerdict | 'new set' | null;
  centreBolt: { least: number; most: number; origin: 'measured' | 'assumed' } | null;
}

/** The middle of an estimate. */
export const central = (estimate: Estimate): number => estimate.value;

/** What still has to be measured before a plan can be predicted. Empty when it can. */
export function missingFor(input: AxleInput): ('pack' | 'spring' | 'change')[] {
  const missing: ('pack' | 'spring' | 'change')[] = [];
  if (input.changes.length === 0) missing.push('change');
  const needsSpring = input.changes.some((c) => c.kind !== 'block');
  if (needsSpring && !input.pack) missing.push('pack');
  if (needsSpring && !SIDES.some((side) => input.sides[side].spring)) missing.push('spring');
  return missing;
}

/** Load states that can be predicted: others than the base need the spring's rate. */
export const statesFor = (input: AxleInput, side: Side) =>
  input.pack && input.sides[side].spring ? input.states : input.states.slice(0, 1);

/** Load on one spring beyond the base state's, N, in each of the first `count` load states. */
export const extraLoads = (drawn: DrawnInput, count: number): number[] =>
  drawn.states.slice(0, count).map((state) => (state.extraMass * GRAVITY) / 2);

interface Rises {
  /** Height change of each change alone on the measured base, mm; with a move over the axle, on the moved spring. */
  alone: number[];
  /** Part of `alone` that is leaf thickness in the stack. */
  thickness: number[];
  /** Per load state: the load alone, and everything together. */
  load: number[];
  total: number[];
}

function rises(drawn: DrawnInput, model: SideModel, count: number): Rises {
  const extras = extraLoads(drawn, count);
  const base = model.state([], 0).rise;
  const move = moveOf(drawn.changes);
  const moved = move.length > 0 ? model.state(move, 0).rise : base;
  return {
    alone: drawn.changes.map((change) => {
      if (move.includes(change)) return change.kind === 'overAxle' ? moved - base : 0;
      return model.state([...move, change], 0).rise - moved;
    }),
    thickness: drawn.changes.map((change) => thicknessRise(drawn, change, move)),
    load: extras.map((extra) => (extra === 0 ? 0 : model.state([], extra).rise - base)),
    total: extras.map((extra) => model.state(drawn.changes, extra).rise - base),
  };
}

const LINE: Record<DrawnChange['kind'], { kind: LedgerLine['kind']; label: string; thickness?: string }> = {
  mendLeaf: { kind: 'mendLeaf', label: 'broken leaf made good' },
  addLeaf: { kind: 'leafArch', label: 'added leaf, arch', thickness: 'added leaf, thickness' },
  removeLeaf: { kind: 'removeLeaf', label: 'leaf taken out, arch', thickness: 'leaf taken out, thickness' },
  pack: { kind: 'pack', label: 'other pack, arch and eyes', thickness: 'other pack, thickness' },
  rearch: { kind: 'rearch', label: 're-arched' },
  eyes: { kind: 'eyes', label: 'eye form' },
  block: { kind: 'block', label: 'block' },
  shackle: { kind: 'shackle', label: 'shackle' },
  overAxle: { kind: 'overAxle', label: 'spring over the axle' },
};

/** Ledger lines of one load state without their bands. */
function linesOf(drawn: DrawnInput, side: Side, r: Rises, state: number): LedgerLine[] {
  const lines: LedgerLine[] = [];
  const push = (kind: LedgerLine['kind'], label: string, value: number) =>
    lines.push({ kind, label, value, half90: 0 });
  const height = drawn.sides[side].height;
  if (height !== null) push('measured', 'measured, as it stands', height);
  const move = moveOf(drawn.changes);
  drawn.changes.forEach((change, i) => {
    if (move.length > 0 && change.kind === 'block') return;
    const thickness = r.thickness[i]!;
    const line = LINE[change.kind];
    if (line.thickness) push('leafThickness', line.thickness, thickness);
    const withBlock = change.kind === 'overAxle' && move.length > 1 ? ', with its block' : '';
    push(line.kind, line.label + withBlock, r.alone[i]! - thickness);
  });
  if (state > 0) push('load', `load: ${drawn.states[state]!.name}`, r.load[state]!);
  const sum = r.alone.reduce((s, v) => s + v, 0) + r.load[state]!;
  push('together', 'acting together, rounding', r.total[state]! - sum);
  push('total', height === null ? 'height change' : 'will sit at', (height ?? 0) + r.total[state]!);
  return lines;
}

/**
 * First answer: every ledger line solved, first-order bands and ranked contributions, figures and drawings.
 * A generator that yields between solves so that a worker can drop stale work.
 * @param ranked false leaves out bands and ranking, for drawings and for a Monte Carlo of its own
 * @throws CoreError naming the input when readings contradict one another or no equilibrium exists
 */
export function* predictCentral(input: AxleInput, ranked = true): Generator<void, AxlePrediction> {
  const drawn = draw(input, central);
  const sides: Record<Side, SidePrediction | null> = { left: null, right: null };
  for (const side of SIDES) {
    const known = input.sides[side];
    const needsSpring = input.changes.some((c) => c.kind !== 'block');
    if (!known.spring && needsSpring) continue;
    if (!known.spring && !known.height && side === 'right') continue;
    const { input: own, fit, unfit } = taught(input, side);
    sides[side] = yield* predictSide(own, draw(own, central), side, ranked);
    sides[side] = { ...sides[side], fit, unfit };
  }
  const growth = clampGrowth(drawn);
  return {
    coreVersion: CORE_VERSION,
    sides,
    ubolt: growth === undefined ? 'new set' : input.ubolt ? uboltAfter(input.ubolt, growth) : null,
    centreBolt: drawn.pack
      ? {
          ...centreBoltLength(builtDepth(drawn, drawn.changes), input.centreBolt.nutHeight, input.centreBolt.pitch),
          origin: input.centreBolt.origin,
        }
      : null,
  };
}

function* predictSide(
  input: AxleInput,
  drawn: DrawnInput,
  side: Side,
  ranked: boolean,
): Generator<void, SidePrediction> {
  const states = statesFor(input, side);
  const extras = extraLoads(drawn, states.length);
  const model = new SideModel(drawn, side);
  const middle = rises(drawn, model, states.length);
  yield;
  const lines = states.map((_, k) => linesOf(drawn, side, middle, k));
  const squares = lines.map((ledger) => ledger.map(() => 0));
  const contributions: Contribution[][] = states.map(() => []);
  const other: Side = side === 'left' ? 'right' : 'left';
  // One input at a time moved, on a coarser mesh: only the difference to the same mesh's middle counts.
  let coarse = ranked ? new SideModel(drawn, side, ONE_AT_A_TIME) : model;
  const coarseMiddle = ranked ? rises(drawn, coarse, states.length) : middle;
  const coarseLines = states.map((_, k) => linesOf(drawn, side, coarseMiddle, k));
  const moved = function* (path: string, origin: Estimate['origin'], variant: DrawnInput) {
    coarse = new SideModel(variant, side, ONE_AT_A_TIME, coarse);
    const shifted = rises(variant, coarse, states.length);
    states.forEach((_, k) => {
      const now = linesOf(variant, side, shifted, k);
      now.forEach((line, j) => {
        squares[k]![j]! += (line.value - coarseLines[k]![j]!.value) ** 2;
      });
      contributions[k]!.push({ path, origin, effect: Math.abs(now.at(-1)!.value - coarseLines[k]!.at(-1)!.value) });
    });
    yield;
  };
  for (const { path, estimate } of ranked ? estimatesOf(input) : []) {
    if (estimate.half90 === 0 || path === 'tyreRate' || path.startsWith(`sides.${other}`)) continue;
    const variant = draw(input, (e, p) => (p === path ? e.value + e.half90 : e.value));
    yield* moved(path, estimate.origin, variant);
  }
  if (ranked && input.pack?.seatShape === 'unknown' && input.sides[side].spring) {
    const variant = { ...drawn, pack: { ...drawn.pack!, seatShape: 'concentric' as const } };
    yield* moved('pack.seatShape', 'assumed', variant);
  }
  for (const ranking of contributions) ranking.sort((p, q) => q.effect - p.effect);

  const otherLoad = drawn.sides[other].spring?.load;
  const stressOf = (changes: readonly DrawnChange[], load: number) => {
    const { solver, state } = model.state(changes, load - drawn.sides[side].spring!.load).spring!;
    return solver.stressLines(state.forces, state.shape);
  };
  const lifeOf = (changes: readonly DrawnChange[], load: number): SpringFigures['life'] => {
    try {
      return packLife(stressOf(changes, (1 - SWING) * load), stressOf(changes, (1 + SWING) * load));
    } catch (error) {
      if (error instanceof CoreError) return null;
      throw error;
    }
  };
  const figures = (s: SideState, changes: readonly DrawnChange[]): SpringFigures | null => {
    if (!s.spring) return null;
    const { solver, state, load } = s.spring;
    const rate = sideRate(s.spring);
    const extra = load - drawn.sides[side].spring!.load;
    return {
      arch: state.shape.arch,
      rate,
      frequency: otherLoad === undefined ? null : bounceFrequency(rate, drawn.tyreRate, load + otherLoad + extra),
      shackleAngle: state.shackleAngle ?? 0,
      load,
      peakStress: solver.peakStress(state.forces, state.shape),
      clampStress: solver.clampStress(),
      frictionHeight: solver.frictionHalfBand(state.forces, state.shape, rate) / rate,
      elevation: elevationOf(s)!,
      life: ranked ? lifeOf(changes, load) : null,
    };
  };
  const settling = settlingOf(input);
  const height = drawn.sides[side].height;
  const predicted = states.map((state, k): StatePrediction => {
    const extra = extras[k]!;
    const old = figures(model.state([], extra), []);
    const built = figures(model.state(drawn.changes, extra), drawn.changes);
    const friction = (old?.frictionHeight ?? 0) + (built?.frictionHeight ?? 0);
    const reading = input.afterReading ** 2 + (friction * frictionShare(input)) ** 2;
    const ledger = lines[k]!.map((line, j) => ({ ...line, half90: Math.sqrt(squares[k]![j]!) }));
    const total = ledger.at(-1)!;
    total.half90 = Math.max(NARROWEST_BAND, Math.sqrt(total.half90 ** 2 + reading));
    ledger.push({ kind: 'settling', label: 'expected later: settling', ...settling });
    return {
      id: state.id,
      name: state.name,
      ledger,
      before: height,
      beforeHere: height === null ? null : height + middle.load[k]!,
      after: height === null ? null : total.value,
      change: middle.total[k]!,
      firstOrder: total.half90,
      contributions: contributions[k]!,
      old,
      built,
    };
  });
  return {
    states: predicted,
    curve: curveOf(drawn, model, side),
    fit: null,
    unfit: null,
    travel: hubTravel(model, drawn, side),
    ...besideModel(drawn, model, predicted[0]!),
  };
}

/** Loads of the curve as shares of the base load. */
const CURVE = Array.from({ length: 15 }, (_, k) => 0.2 + k * 0.12);

function curveOf(drawn: DrawnInput, model: SideModel, side: Side): CurvePoint[] {
  const load = drawn.sides[side].spring?.load;
  if (!model.hasSpring || load === undefined) return [];
  const start = (drawn.sides[side].height ?? 0) - model.state([], 0).rise;
  return CURVE.flatMap((share) => {
    try {
      const extra = load * (share - 1);
      const [old, built] = [model.state([], extra), model.state(drawn.changes, extra)];
      const friction = ({ spring }: SideState) =>
        spring ? spring.solver.frictionHalfBand(spring.state.forces, spring.state.shape, 1) : 0;
      return [
        {
          load: load * share,
          old: start + old.rise,
          built: start + built.rise,
          // Half-band over rate: the rate falls out.
          oldFriction: friction(old),
          builtFriction: friction(built),
        },
      ];
    } catch (error) {
      if (error instanceof CoreError) return [];
      throw error;
    }
  });
}

/** Share of the friction band that a height reading keeps: half of it once rolled (assumed). */
export const frictionShare = (input: AxleInput): number => (input.rolled ? 0.5 : 1);

/** Handbook estimate and assembled arch of the same packs. */
function besideModel(
  drawn: DrawnInput,
  model: SideModel,
  state: StatePrediction,
): Pick<SidePrediction, 'handbook' | 'assembled'> {
  const before = model.state([], 0).spring;
  const after = model.state(drawn.changes, 0).spring;
  if (!before || !after) return { handbook: null, assembled: null };
  const estimate = (solver: PackSolver) =>
    handbookEstimate(solver.pack.leaves, clampHalf(solver.pack.clamp), solver.pack.youngs);
  const old = estimate(before.solver);
  const built = estimate(after.solver);
  const load = before.load;
  const archChange = built.freeArch - load / built.rate - (old.freeArch - load / old.rate);
  const move = moveOf(drawn.changes);
  const stack = drawn.changes.reduce((sum, change) => {
    if (changesThickness(change)) return sum + thicknessRise(drawn, change, move);
    if (changesPack(change)) return sum;
    const line = state.ledger.find((l) => l.kind === LINE[change.kind].kind);
    return sum + (line?.value ?? 0);
  }, 0);
  const otherPack = drawn.changes.some(changesPack);
  // The rule knows leaves and loads: of the eyes' form, and of a break made good, it says nothing.
  const silent = drawn.changes.some((c) => c.kind === 'eyes' || c.kind === 'mendLeaf');
  const change = silent ? null : stack + (otherPack ? archChange : 0);
  return {
    handbook: { rateBefore: old.rate, rateAfter: built.rate, change },
    assembled: { before: before.solver.onRollers(0).arch, after: after.solver.onRollers(0).arch },
  };
}
