import { CoreError, requireNumber } from '../../errors';
import { Z90 } from '../../estimate/estimate';
import { forcesHeld, linkageAt, solveInstalled, type Linkage, type RearHold } from '../../mechanics/linkage/installed';
import { nestedPack, type NestedPack } from './calibrate';
import { factorize, substitute } from '../../cholesky';
import { COARSE } from '../../mechanics/leafpack/half';
import { type Pack } from '../../mechanics/leafpack/pack';
import { PackSolver, rateOnRollers, rollerForces, type Fineness, type PackShape } from '../../mechanics/leafpack/solve';

const { abs, max, sqrt } = Math;

/** One reading that says something about the spring; mm and N, half-widths 90 %. */
export type FitReading =
  /** Unloaded on the bench, centre bolt only: eye line to the main leaf's mid-surface. */
  | { kind: 'freeArch'; value: number; half90: number }
  /** On the vehicle under load number `load`. */
  | { kind: 'loadedArch'; value: number; half90: number; load: number }
  /** Frame above the hub under load number `load`; two of them are needed to say anything. */
  | { kind: 'height'; value: number; half90: number; load: number }
  /** In a press, centre bolt only: arch while a force is rising or falling. */
  | { kind: 'press'; value: number; half90: number; force: number; branch: 'loading' | 'unloading' };

/** What is known of one spring before the fit. */
export interface FitProblem {
  /** Leaves, eyes, E; its clamp and friction are replaced by the two below. */
  pack: NestedPack;
  seat: { length: number; shape: 'flat' | 'concentric' };
  hold: RearHold;
  /** Prior of the share of the seat that does not bend. */
  inactive: { value: number; half90: number };
  /** Prior of μ between the leaves. */
  friction: { value: number; half90: number };
  /** 90 % half-width of the rate about the one computed from the leaves' sizes, as a share. */
  rateHalf90: number;
  /** Sprung loads on this spring, N; number 0 is the state in which the shackle angle was read. */
  loads: readonly { value: number; half90: number }[];
  readings: readonly FitReading[];
  /** Free arch when new, if a catalogue gives one: then the sag is told. */
  freeArchNew?: number | undefined;
}

/** A quantity found, with the half-width of its 90 % interval. */
export interface Found {
  value: number;
  half90: number;
}

/** How one reading or load agrees with all the others. */
export interface Agreement {
  /** Index in `readings`, or in `loads` for a weighed load. */
  of: 'reading' | 'load';
  index: number;
  measured: number;
  /** What all the others say it should be; null when nothing else can check it. */
  expected: Found | null;
  /** Difference in standard deviations of what is usual; beyond `CONTRADICTS` it does not belong. */
  score: number;
}

export interface Fit {
  curvature: Found;
  /** Rate over the one computed from sizes. */
  rateFactor: Found;
  inactive: Found;
  friction: Found;
  loads: Found[];
  /** Free arch on the bench, centre bolt only, mm. */
  freeArch: Found;
  /** Arch lost since new, mm. */
  sag: Found | null;
  agreement: Agreement[];
  /** The one that does not fit the others, and any that would explain it as well. */
  contradiction: { worst: Agreement; orElse: Agreement[] } | null;
  /** What the readings themselves narrowed to less than two thirds of what was assumed. */
  learned: ('rateFactor' | 'inactive' | 'friction')[];
}

/** Standard deviations beyond which a reading is said not to fit the others: one set in a hundred or so by chance. */
export const CONTRADICTS = 3.2;
/** A reading that explains a contradiction nearly as well as the worst one is named beside it. */
const NEARLY = 0.93;
const PASSES = 20;
const FINENESS: Fineness = { settled: 1e-4, divisions: COARSE };

/** Positions in the parameter vector; loads follow, then the vehicle's height datum. */
const CURVE = 0;
const RATE = 1;
const SEAT = 2;
const RUB = 3;
const LOADS = 4;

class FitModel {
  private readonly seated: PackSolver;
  private readonly bench: PackSolver;
  private readonly shapes = new Map<string, PackShape>();
  private readonly steps: number[];

  constructor(
    private readonly problem: FitProblem,
    start: readonly number[],
  ) {
    this.seated = new PackSolver(this.packOf(start, true), undefined, FINENESS);
    this.bench = new PackSolver(this.packOf(start, false), undefined, FINENESS);
    this.steps = start.map((v, i) => (i === CURVE ? 2e-6 : i < LOADS ? 0.01 : max(1, abs(v) * 0.002)));
  }

  private packOf(p: readonly number[], seated: boolean): Pack {
    const { pack, seat } = this.problem;
    return nestedPack(
      {
        ...pack,
        youngs: pack.youngs * max(0.3, p[RATE]!),
        clamp: seated
          ? { kind: 'seat', length: seat.length * Math.min(1.5, max(0.02, p[SEAT]!)), shape: seat.shape }
          : { kind: 'bolt' },
        friction: 0,
      },
      p[CURVE]!,
    );
  }

  private remembered(key: string, solve: (start?: PackShape) => PackShape): PackShape {
    const shape = solve(this.shapes.get(key));
    this.shapes.set(key, shape);
    return shape;
  }

  private tune(p: readonly number[]): void {
    if (!this.seated.retune(this.packOf(p, true)) || !this.bench.retune(this.packOf(p, false)))
      throw new CoreError('no-convergence', 'readings', 'the fit left the range of packs that can be solved');
  }

  /** Free arch on the bench. */
  freeArch(p: readonly number[]): number {
    this.tune(p);
    return this.remembered('free', (s) => this.bench.onRollers(0, s)).arch;
  }

  /** What every reading should be with these parameters. */
  predict(p: readonly number[]): number[] {
    this.tune(p);
    const { hold, loads, readings } = this.problem;
    const datum = p[LOADS + loads.length]!;
    const states = new Map<number, { arch: number; seatY: number }>();
    let linkage: Linkage | undefined;
    const at = (load: number) => {
      const known = states.get(load);
      if (known) return known;
      const force = p[LOADS + load]!;
      const base = this.remembered('base', (s) =>
        this.seated.march((share) => (g) => forcesHeld(share * p[LOADS]!, g, hold), s),
      );
      linkage ??= linkageAt(base.eyeDistance, hold);
      const link = linkage;
      let state = { arch: base.arch, seatY: 0 };
      this.remembered(`load ${load}`, (s) => {
        const solved = solveInstalled(this.seated, link, force, s ?? base);
        state = { arch: solved.shape.arch, seatY: solved.seat.y };
        return solved.shape;
      });
      states.set(load, state);
      return state;
    };
    return readings.map((reading, i) => {
      if (reading.kind === 'freeArch') return this.remembered('free', (s) => this.bench.onRollers(0, s)).arch;
      if (reading.kind === 'loadedArch') return at(reading.load).arch;
      if (reading.kind === 'height') return datum - at(reading.load).seatY;
      // Friction holds back part of the force: going down more is needed, coming up less is left.
      const sign = reading.branch === 'loading' ? -1 : 1;
      const bare = reading.force * (1 + sign * p[RUB]! * this.rubbing(reading.force));
      return this.remembered(`press ${i}`, (s) => this.bench.onRollers(bare, s)).arch;
    });
  }

  /** Half-band over force per μ, found once per force: it hardly changes with the parameters. */
  private readonly shares = new Map<number, number>();
  private rubbing(force: number): number {
    let share = this.shares.get(force);
    if (share === undefined) {
      const shape = this.bench.onRollers(force);
      const rate = rateOnRollers(this.bench, force, shape);
      share = this.bench.frictionHalfBandPerMu(rollerForces(force, shape), shape, rate) / max(1, force);
      this.shares.set(force, share);
    }
    return share;
  }

  step(i: number): number {
    return this.steps[i]!;
  }
}

/** A row of the least-squares problem: (value − measured) / sigma. */
interface Row {
  sigma: number;
  measured: number;
  /** Index in readings, or parameter it is a prior of. */
  reading?: number;
  prior?: number;
}

const sigmaOf = (half90: number): number => max(1e-9, half90 / Z90);

/**
 * Fits one spring (free curvature, rate, seat share, friction, loads) to any set of readings by least squares with
 * priors, tells what they taught and which of them contradicts the rest.
 * @throws CoreError `bad-input` for an empty or impossible set, `no-convergence` when no spring comes near it
 */
export function fitSpring(problem: FitProblem): Fit {
  const { loads, readings } = problem;
  checkProblem(problem);
  const start = startOf(problem);
  const model = new FitModel(problem, start);
  const rows: Row[] = [
    ...readings.map((r, reading) => ({ sigma: sigmaOf(r.half90), measured: r.value, reading })),
    { sigma: sigmaOf(problem.rateHalf90), measured: 1, prior: RATE },
    { sigma: sigmaOf(problem.inactive.half90), measured: problem.inactive.value, prior: SEAT },
    { sigma: sigmaOf(problem.friction.half90), measured: problem.friction.value, prior: RUB },
    ...loads.map((load, k) => ({ sigma: sigmaOf(load.half90), measured: load.value, prior: LOADS + k })),
  ];
  const free = freeParameters(problem, start.length);
  const valuesOf = (p: readonly number[]): number[] => {
    const predicted = model.predict(p);
    return rows.map((row) => (row.prior === undefined ? predicted[row.reading!]! : p[row.prior]!));
  };
  const cost = (v: readonly number[]) =>
    v.reduce((sum, x, r) => sum + ((rows[r]!.measured - x) / rows[r]!.sigma) ** 2, 0);
  let p = [...start];
  let values = valuesOf(p);
  const n = free.length;
  let normal = new Float64Array(n * n);
  let jacobian: number[][] = [];
  for (let pass = 0; pass < PASSES; pass++) {
    const base = values;
    const columns = free.map((i) => {
      const moved = [...p];
      moved[i]! += model.step(i);
      return valuesOf(moved).map((v, r) => (v - base[r]!) / model.step(i) / rows[r]!.sigma);
    });
    jacobian = rows.map((_, r) => columns.map((column) => column[r]!));
    const error = rows.map((row, r) => (row.measured - base[r]!) / row.sigma);
    normal = new Float64Array(n * n);
    const right = new Float64Array(n);
    jacobian.forEach((line, r) => {
      for (let a = 0; a < n; a++) {
        right[a]! += line[a]! * error[r]!;
        for (let b = 0; b <= a; b++) normal[a * n + b]! += line[a]! * line[b]!;
      }
    });
    if (!factorize(normal, n))
      throw new CoreError('bad-input', 'readings', 'these readings say nothing about the spring');
    substitute(normal, n, right);
    const before = cost(base);
    let share = 1;
    for (; share > 0.01; share /= 2) {
      const trial = [...p];
      free.forEach((i, a) => {
        trial[i]! += share * right[a]!;
      });
      const there = orNothing(() => valuesOf(trial));
      if (there && cost(there) <= before * (1 + 1e-6) + 1e-6) {
        p = trial;
        values = there;
        break;
      }
    }
    // No step makes it better: this is the best spring for the readings.
    if (share <= 0.01) values = valuesOf(p);
    const moved = max(...values.map((v, r) => abs(v - base[r]!) / rows[r]!.sigma));
    if (moved < 0.01) break;
    if (pass === PASSES - 1 && moved > 0.1)
      throw new CoreError('no-convergence', 'readings', 'no spring comes near these readings');
  }
  return judge(problem, model, rows, free, p, values, jacobian, normal);
}

/** A step may lead to a pack that cannot exist or stand: then it was too long. */
function orNothing<T>(solve: () => T): T | undefined {
  try {
    return solve();
  } catch (error) {
    if (error instanceof CoreError) return undefined;
    throw error;
  }
}

function checkProblem({ loads, readings, rateHalf90 }: FitProblem): void {
  if (readings.length === 0) throw new CoreError('bad-input', 'readings', 'a spring cannot be fitted to no reading');
  if (!readings.some((r) => r.kind !== 'height'))
    throw new CoreError('bad-input', 'readings', 'at least one arch is needed');
  requireNumber('rateHalf90', rateHalf90, 1e-6, 1);
  loads.forEach((load, i) => {
    requireNumber(`loads[${i}].value`, load.value, 1, 1e6);
    requireNumber(`loads[${i}].half90`, load.half90, 1e-6, 1e6);
  });
  readings.forEach((r, i) => {
    requireNumber(`readings[${i}].value`, r.value, -5000, 5000);
    requireNumber(`readings[${i}].half90`, r.half90, 1e-6, 1000);
    if (r.kind === 'press') requireNumber(`readings[${i}].force`, r.force, 0, 1e6);
    else if (r.kind !== 'freeArch' && !loads[r.load])
      throw new CoreError('bad-input', `readings[${i}].load`, 'there is no load of this number');
  });
}

/** Heights set a datum of their own; without two of them neither it nor they matter. */
const usesHeights = ({ readings }: FitProblem): boolean => readings.some((r) => r.kind === 'height');

const freeParameters = (problem: FitProblem, count: number): number[] =>
  Array.from({ length: count }, (_, i) => i).filter((i) => i < count - 1 || usesHeights(problem));

function startOf(problem: FitProblem): number[] {
  const { pack, loads, readings } = problem;
  const main = pack.leaves[0];
  if (!main) throw new CoreError('bad-input', 'leaves', 'a pack needs at least one leaf');
  const first = readings.find((r) => r.kind === 'freeArch') ?? readings.find((r) => r.kind !== 'height')!;
  // A first guess only: the arch a sane pack would have without its load.
  const inertia = pack.leaves.reduce((sum, leaf) => sum + (leaf.width * leaf.thickness ** 3) / 12, 0);
  const rate = (4 * pack.youngs * inertia * (main.front + main.rear)) / (main.front * main.rear) ** 2;
  const force = first.kind === 'press' ? first.force : first.kind === 'loadedArch' ? loads[first.load]!.value : 0;
  const curvature = (2 * (first.value + force / rate)) / (main.front * main.rear);
  const height = readings.find((r) => r.kind === 'height');
  return [
    Math.min(0.005, max(-0.005, curvature)),
    1,
    problem.inactive.value,
    problem.friction.value,
    ...loads.map((load) => load.value),
    (height?.value ?? 0) - first.value,
  ];
}

/** Posterior widths, agreement of every reading with the others, and what contradicts. */
function judge(
  problem: FitProblem,
  model: FitModel,
  rows: readonly Row[],
  free: readonly number[],
  p: readonly number[],
  values: readonly number[],
  jacobian: readonly number[][],
  factor: Float64Array,
): Fit {
  const n = free.length;
  const spread = (gradient: readonly number[]): number => {
    const v = Float64Array.from(gradient);
    substitute(factor, n, v);
    return sqrt(
      max(
        0,
        gradient.reduce((sum, g, i) => sum + g * v[i]!, 0),
      ),
    );
  };
  const unit = (i: number) => free.map((f) => (f === i ? 1 : 0));
  const found = (i: number): Found => ({ value: p[i]!, half90: Z90 * spread(unit(i)) });
  const freeArch = model.freeArch(p);
  const slope = free.map((i) => {
    if (i >= SEAT) return 0;
    const moved = [...p];
    moved[i]! += model.step(i);
    return (model.freeArch(moved) - freeArch) / model.step(i);
  });
  const arch: Found = { value: freeArch, half90: Z90 * spread(slope) };
  const agreement = rows.flatMap((row, r): Agreement[] => {
    const isLoad = row.prior !== undefined && row.prior >= LOADS;
    if (row.reading === undefined && !isLoad) return [];
    const hat = spread(jacobian[r]!) ** 2;
    const left = 1 - hat;
    const error = (row.measured - values[r]!) / row.sigma;
    const checked = left > 0.03;
    return [
      {
        of: isLoad ? 'load' : 'reading',
        index: isLoad ? row.prior! - LOADS : row.reading!,
        measured: row.measured,
        expected: checked
          ? { value: row.measured - (error / left) * row.sigma, half90: Z90 * row.sigma * sqrt(hat / left) }
          : null,
        score: checked ? error / sqrt(left) : 0,
      },
    ];
  });
  const ranked = agreement.toSorted((a, b) => abs(b.score) - abs(a.score));
  const worst = ranked[0];
  const learned = (['rateFactor', 'inactive', 'friction'] as const).filter((name) => {
    const [i, half90] = {
      rateFactor: [RATE, problem.rateHalf90] as const,
      inactive: [SEAT, problem.inactive.half90] as const,
      friction: [RUB, problem.friction.half90] as const,
    }[name];
    return found(i).half90 < (2 / 3) * half90;
  });
  return {
    curvature: found(CURVE),
    rateFactor: found(RATE),
    inactive: found(SEAT),
    friction: found(RUB),
    loads: problem.loads.map((_, k) => found(LOADS + k)),
    freeArch: arch,
    sag: problem.freeArchNew === undefined ? null : { value: problem.freeArchNew - arch.value, half90: arch.half90 },
    agreement,
    contradiction:
      worst && abs(worst.score) > CONTRADICTS
        ? { worst, orElse: ranked.slice(1).filter((a) => abs(a.score) > NEARLY * abs(worst.score)) }
        : null,
    learned,
  };
}
