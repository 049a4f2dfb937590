import { nestedPack, type NestedPack } from '@/core/suspension/longitudinalLeaf/calibrate';
import { fitSpring, type Agreement, type FitProblem, type FitReading } from '@/core/suspension/longitudinalLeaf/fit';
import { PackSolver, rateOnRollers, rollerForces } from '@/core/mechanics/leafpack/solve';
import { forcesAtAngle, pivotFromAngle, solveInstalled } from '@/core/mechanics/linkage/installed';
import { normal, Z90, type Uniform } from '@/core/estimate/estimate';
import { SPRING_STEEL_E } from '@/core/material/steel';
import { uniformFrom } from '@/workers/random';

/*
 * Sets of readings of springs with a hidden truth: arch on the bench, arch and height under three weighed loads, two points of a
 * press. `planted` sets hold one gross slip (a wrong line of the tape, an inch read as another, a load of the wrong pad); the
 * fit has to name it. Truth and fit share the model: this tests the judgement, not the model.
 */
const between = (u: Uniform, low: number, high: number) => low + (high - low) * u();
const error90 = (u: Uniform, half: number) => (half / Z90) * normal(u);

interface Set {
  problem: FitProblem;
  /** What was planted, if anything. */
  slip: { of: Agreement['of']; index: number } | null;
}

function makeSet(seed: number, withSlip: boolean): Set {
  const u = uniformFrom(seed);
  const count = 3 + Math.floor(u() * 4);
  const front = between(u, 520, 680);
  const rear = front * between(u, 1, 1.12);
  const thickness = between(u, 6.8, 9);
  const leaves = Array.from({ length: count }, (_, i) => ({
    front: front * (1 - i / (count + 1)),
    rear: rear * (1 - i / (count + 1)),
    width: 64,
    thickness,
  }));
  const seat = { length: between(u, 100, 140), shape: u() < 0.7 ? ('flat' as const) : ('concentric' as const) };
  const prior = { inactive: { value: 0.67, half90: 0.25 }, friction: { value: 0.3, half90: 0.15 }, rateHalf90: 0.08 };
  const truth = {
    rate: 1 + error90(u, prior.rateHalf90),
    inactive: Math.max(0.2, 0.67 + error90(u, 0.25)),
    friction: Math.max(0.05, 0.3 + error90(u, 0.15)),
    curvature: 1 / between(u, 1500, 2400),
    loads: [0.35, 0.6, 0.9].map((share) => share * (1300 + count * thickness ** 3 * 2.2)),
  };
  const base: NestedPack = {
    leaves,
    clamp: { kind: 'bolt' },
    youngs: SPRING_STEEL_E,
    eyeOffset: { front: 23, rear: 23 },
    friction: 0,
  };
  const shackle = { length: 105, angle: between(u, 1.65, 1.8) };
  const actual = { ...base, youngs: SPRING_STEEL_E * truth.rate };
  const bench = new PackSolver(nestedPack(actual, truth.curvature));
  const clamp = { kind: 'seat' as const, length: seat.length * truth.inactive, shape: seat.shape };
  const seated = new PackSolver(nestedPack({ ...actual, clamp }, truth.curvature));
  const atBase = seated.march((share) => (g) => forcesAtAngle(share * truth.loads[0]!, shackle.angle, g));
  const linkage = pivotFromAngle(atBase.eyeDistance, shackle.length, shackle.angle);
  const states = truth.loads.map((load) => solveInstalled(seated, linkage, load, atBase));

  const [arch90, height90] = [2.5, 2];
  const readings: FitReading[] = [
    { kind: 'freeArch', value: bench.onRollers(0).arch + error90(u, arch90), half90: arch90 },
    ...states.map((s, load): FitReading => ({
      kind: 'loadedArch',
      value: s.shape.arch + error90(u, arch90),
      half90: arch90,
      load,
    })),
    ...states.map((s, load): FitReading => ({
      kind: 'height',
      value: 480 - s.seat.y + error90(u, height90),
      half90: height90,
      load,
    })),
    ...(['loading', 'unloading'] as const).map((branch): FitReading => {
      const force = truth.loads[1]!;
      const shape = bench.onRollers(force);
      const rate = rateOnRollers(bench, force, shape);
      const band = truth.friction * bench.frictionHalfBandPerMu(rollerForces(force, shape), shape, rate);
      const bare = force + (branch === 'loading' ? -band : band);
      return { kind: 'press', value: bench.onRollers(bare).arch + error90(u, 1.5), half90: 1.5, force, branch };
    }),
  ];
  const loads = truth.loads.map((value) => ({ value: value * (1 + error90(u, 0.03)), half90: value * 0.03 }));
  let slip: Set['slip'] = null;
  if (withSlip) {
    const index = Math.floor(u() * (readings.length + loads.length));
    const sign = u() < 0.5 ? -1 : 1;
    if (index < readings.length) {
      slip = { of: 'reading', index };
      readings[index]!.value += sign * between(u, 14, 26);
    } else {
      slip = { of: 'load', index: index - readings.length };
      loads[slip.index]!.value *= 1 + sign * between(u, 0.22, 0.35);
    }
  }
  return { problem: { ...prior, pack: base, seat, hold: shackle, loads, readings }, slip };
}

const SETS = 20;
let named = 0;
let alone = 0;
let alarms = 0;
let inside = 0;
for (let k = 0; k < SETS; k++) {
  const clean = fitSpring(makeSet(100 + k, false).problem);
  if (clean.contradiction) alarms += 1;
  if (Math.abs(clean.rateFactor.value - 1) < 0.3) inside += 1;
  const { problem, slip } = makeSet(500 + k, true);
  const { contradiction } = fitSpring(problem);
  const same = (a: Agreement | undefined) => a?.of === slip!.of && a.index === slip!.index;
  if (contradiction && same(contradiction.worst)) named += 1;
  if (contradiction && same(contradiction.worst) && contradiction.orElse.length === 0) alone += 1;
}
console.log(JSON.stringify({ named, alone, alarms, inside, sets: SETS }));
