import { CoreError, requireNumber } from '../../errors';
import { FINE, HalfPack, type EndForce, type HalfState, type StressLine } from './half';
import { checkPack, type End, type Pack } from './pack';

const { abs, atan2, cos, hypot, max, sin } = Math;

/** Forces of the frame on the two eyes, resolved along and across the line through the eye centres, N. */
export interface EyeForces {
  /** Across the eye line, towards the leaf: what flattens the pack. */
  front: number;
  rear: number;
  /** Along the eye line, pulling the eyes apart (+) or pushing them together (−). */
  tension: number;
  /** Couples of twisted bushes, flattening, N·mm. */
  couples?: Record<End, { value: number; /** Growth with the eye's slope, N·mm/rad. */ stiffness: number }> | undefined;
}

/** Where the eyes stand about the pin, mm and rad. */
export interface EyeGeometry {
  /** Arch from the eye line to the main leaf's mid-surface at the pin, mm; positive with the eyes above. */
  arch: number;
  /** Straight distance between eye centres, mm. */
  eyeDistance: number;
  /** Along the eye line from each eye to the foot of the pin, mm. */
  frontArm: number;
  rearArm: number;
  /** Seat against the eye line, rad; positive when the rear of the seat stands higher. */
  seatTilt: number;
  /** Slope of each eye against the seat, outwards and up, rad. */
  eyeSlopes: { front: number; rear: number };
}

/** The pack's shape in its own axes. */
export interface PackShape extends EyeGeometry {
  front: HalfState;
  rear: HalfState;
}

/** What a solver is asked for: see `EXACT` and `ROUGH`. */
export interface Fineness {
  /** Movement between passes that counts as none, mm. */
  settled: number;
  /** Elements along the main leaf. */
  divisions: number;
}
export const EXACT: Fineness = { settled: 1e-6, divisions: FINE };

const PASSES = 40;

interface Ends {
  front: { x: number; y: number };
  rear: { x: number; y: number };
}

/** Arch, eye distance, arms and seat tilt from the eyes in the seat's axes, each outwards from the pin. */
function geometryOf({ front, rear }: Ends, slopes: { front: number; rear: number }): EyeGeometry {
  const across = rear.x + front.x;
  const rise = rear.y - front.y;
  const distance = hypot(across, rise);
  const c = across / distance;
  const s = rise / distance;
  return {
    arch: front.y * c + front.x * s,
    eyeDistance: distance,
    frontArm: front.x * c - front.y * s,
    rearArm: rear.x * c + rear.y * s,
    seatTilt: -atan2(rise, across),
    eyeSlopes: slopes,
  };
}

/** Resolves eye forces into the seat's axes. */
function endForces(forces: EyeForces, seatTilt: number): Record<End, EndForce> {
  const c = cos(seatTilt);
  const s = sin(-seatTilt);
  const { couples } = forces;
  return {
    front: {
      down: forces.front * c + forces.tension * s,
      outward: forces.tension * c - forces.front * s,
      ...(couples && { couple: couples.front.value }),
    },
    rear: {
      down: forces.rear * c - forces.tension * s,
      outward: forces.tension * c + forces.rear * s,
      ...(couples && { couple: couples.rear.value }),
    },
  };
}

/** Solves a 4 × 4 system by elimination with row exchange, in place. */
function solve4(a: number[][], b: number[]): number[] {
  for (let i = 0; i < 4; i++) {
    let best = i;
    for (let r = i + 1; r < 4; r++) if (abs(a[r]![i]!) > abs(a[best]![i]!)) best = r;
    [a[i], a[best]] = [a[best]!, a[i]!];
    [b[i], b[best]] = [b[best]!, b[i]!];
    for (let r = i + 1; r < 4; r++) {
      const share = a[r]![i]! / a[i]![i]!;
      for (let k = i; k < 4; k++) a[r]![k]! -= share * a[i]![k]!;
      b[r]! -= share * b[i]!;
    }
  }
  for (let i = 3; i >= 0; i--) {
    for (let k = i + 1; k < 4; k++) b[i]! -= a[i]![k]! * b[k]!;
    b[i]! /= a[i]![i]!;
  }
  return b;
}

/** A pack with both halves prepared; keeps contact sets and matrices warm between solves. */
export class PackSolver {
  private readonly front: HalfPack;
  private readonly rear: HalfPack;

  /**
   * @param like a similar solved pack: its contact sets are the first guess (speed only, never the answer)
   * @throws CoreError `bad-input` when the pack cannot exist
   */
  constructor(
    private current: Pack,
    like?: PackSolver,
    readonly fineness: Fineness = EXACT,
  ) {
    checkPack(current);
    this.front = new HalfPack(current, 'front', fineness.divisions, like?.front);
    this.rear = new HalfPack(current, 'rear', fineness.divisions, like?.rear);
  }

  get pack(): Pack {
    return this.current;
  }

  /** Gives the same leaves other free curvatures, 1/mm, main leaf first. Matrices and contact sets stay warm. */
  recurve(curvatures: readonly number[]): void {
    const leaves = this.current.leaves.map((leaf, i) => ({ ...leaf, curvature: curvatures[i]! }));
    this.current = { ...this.current, leaves };
    this.front.recurve(this.current);
    this.rear.recurve(this.current);
  }

  /**
   * Becomes a pack of the same make-up with other dimensions, everything warm.
   * @returns false when the make-up differs: then nothing has changed
   */
  retune(pack: Pack): boolean {
    checkPack(pack);
    const before = this.current;
    if (!this.front.retune(pack)) return false;
    if (!this.rear.retune(pack)) {
      this.front.retune(before);
      return false;
    }
    this.current = pack;
    return true;
  }

  /** Moves the rear end's force to an arc length from the pin, mm; see `HalfPack.loadAt`. */
  loadRearAt(s: number): void {
    this.rear.loadAt(s);
  }

  /** Whether a shape can be taken up as a first guess. */
  fits({ front, rear }: PackShape): boolean {
    return this.front.fits(front) && this.rear.fits(rear);
  }

  private restore(shape: PackShape): void {
    this.front.restore(shape.front);
    this.rear.restore(shape.rear);
  }

  private geometry(): EyeGeometry {
    return geometryOf(
      { front: this.front.eye, rear: this.rear.eye },
      { front: this.front.eyeSlope, rear: this.rear.eyeSlope },
    );
  }

  /** Change of the four force components (down and outward, front and rear) per mm of each eye coordinate, N/mm. */
  private forcesByPlace(forcesFor: (at: EyeGeometry) => EyeForces, here: EyeGeometry): number[][] {
    const flat = ({ front, rear }: Record<End, EndForce>) => [front.down, front.outward, rear.down, rear.outward];
    const base = flat(endForces(forcesFor(here), here.seatTilt));
    const step = 1e-4 * here.eyeDistance;
    return (['front', 'rear'] as const).flatMap((end) =>
      (['x', 'y'] as const).map((axis) => {
        const moved: Ends = { front: { ...this.front.eye }, rear: { ...this.rear.eye } };
        moved[end][axis] += step;
        const at = geometryOf(moved, here.eyeSlopes);
        return flat(endForces(forcesFor(at), at.seatTilt)).map((v, i) => (v - base[i]!) / step);
      }),
    );
  }

  /**
   * Forces on the eyes follow from where the eyes stand; so the next forces are guessed with what both halves give
   * (Newton's method on four force components), not just read off the last shape.
   */
  private nextForces(
    forcesFor: (at: EyeGeometry) => EyeForces,
    now: Record<End, EndForce>,
    here: EyeGeometry,
    byPlace: readonly number[][],
  ): Record<End, EndForce> {
    const asked = forcesFor(here);
    const wanted = endForces(asked, here.seatTilt);
    if (asked.couples)
      for (const end of ['front', 'rear'] as const) {
        // A stiff bush answers to the turn it makes itself: only that share of the change is taken.
        const before = now[end].couple ?? 0;
        const { value, stiffness } = asked.couples[end];
        wanted[end].couple = before + (value - before) / (1 + stiffness * this[end].turnGive);
      }
    const base = [wanted.front.down, wanted.front.outward, wanted.rear.down, wanted.rear.outward];
    const held = [now.front.down, now.front.outward, now.rear.down, now.rear.outward];
    const halves = [this.front.give, this.rear.give];
    const matrix = base.map((_, row) =>
      base.map((__, column) => {
        const { downDown, downOut, outDown, outOut } = halves[column >> 1]!;
        const first = 2 * (column >> 1);
        // A unit of `down` moves the eye by −downDown in y and outDown in x; a unit of `outward` by outOut in x, −downOut in y.
        const [x, y] = column % 2 === 0 ? [outDown, -downDown] : [outOut, -downOut];
        return (row === column ? 1 : 0) - byPlace[first]![row]! * x - byPlace[first + 1]![row]! * y;
      }),
    );
    const change = solve4(
      matrix,
      base.map((v, i) => v - held[i]!),
    );
    const next = held.map((v, i) => v + change[i]!);
    return {
      front: { ...wanted.front, down: next[0]!, outward: next[1]! },
      rear: { ...wanted.rear, down: next[2]!, outward: next[3]! },
    };
  }

  /**
   * Shape under forces that may depend on where the eyes stand; repeated until nothing moves.
   * @param start a shape near by; without one, the present one
   * @param adjust called after every step: may change the pack's curvatures; returns how far off the shape still is, mm
   * @throws CoreError `no-equilibrium` when the shape runs away
   */
  settle(
    forcesFor: (at: EyeGeometry) => EyeForces,
    start?: PackShape,
    adjust?: (at: EyeGeometry) => number,
  ): PackShape {
    if (start && !adjust)
      try {
        return this.settleFrom(forcesFor, start, false);
      } catch (error) {
        if (!(error instanceof CoreError) || error.code === 'bad-input') throw error;
        // The matrices of another shape may have led astray.
        return this.settleFrom(forcesFor, start, true);
      }
    return this.settleFrom(forcesFor, start, !start, adjust);
  }

  private settleFrom(
    forcesFor: (at: EyeGeometry) => EyeForces,
    start: PackShape | undefined,
    fresh: boolean,
    adjust?: (at: EyeGeometry) => number,
  ): PackShape {
    if (start) this.restore(start);
    const first = this.geometry();
    let forces = endForces({ ...forcesFor(first), couples: undefined }, first.seatTilt);
    const { settled } = this.fineness;
    let before = Infinity;
    let anew = fresh;
    let byPlace: number[][] | undefined;
    let slow = 0;
    for (let k = 0; k < PASSES; k++) {
      const moved = max(this.front.advance(forces.front, anew), this.rear.advance(forces.rear, anew));
      const span = this.front.eye.x + this.rear.eye.x;
      if (!(span > 40) || moved > 1e5) break;
      const here = this.geometry();
      if (!byPlace || anew) byPlace = this.forcesByPlace(forcesFor, here);
      const next = this.nextForces(forcesFor, forces, here, byPlace);
      const shift = max(...(['front', 'rear'] as const).map((end) => this.shift(end, forces[end], next[end])));
      forces = next;
      const step = max(moved, shift, adjust?.(here) ?? 0);
      const ratio = step / before;
      // The steps shrink geometrically: what is still to come is less than step · ratio / (1 − ratio).
      if (step < settled || (k > 0 && ratio < 0.5 && (step * ratio) / (1 - ratio) < settled / 2))
        return { ...this.geometry(), front: this.front.state(), rear: this.rear.state() };
      slow = ratio > 0.9 ? slow + 1 : 0;
      if (slow > 6) break;
      anew = ratio > (anew ? 0.5 : 0.25);
      before = step;
    }
    throw new CoreError('no-equilibrium', 'load', `no equilibrium found in ${PASSES} Newton steps`);
  }

  /** How far an eye moves for a change of its force, mm. */
  private shift(end: End, from: EndForce, to: EndForce): number {
    const { downDown, outOut } = this[end].give;
    const twist = abs((to.couple ?? 0) - (from.couple ?? 0)) * this[end].turnGive * this[end].eye.x;
    return abs(to.down - from.down) * downDown + abs(to.outward - from.outward) * outOut + twist;
  }

  /** On rollers: reactions across the eye line. @param load N on the seat, across the eye line */
  onRollers(load: number, start?: PackShape): PackShape {
    requireNumber('load', load, -1e6, 1e6);
    return this.march((share) => (at) => rollerForces(load * share, at), start);
  }

  /**
   * Settles under a family of forces: at full share at once where that works, else from no load in ever smaller steps.
   * @param forcesAt forces at a share of the load @throws CoreError `no-equilibrium` saying how far it came
   */
  march(forcesAt: (share: number) => (at: EyeGeometry) => EyeForces, start?: PackShape): PackShape {
    try {
      return this.settle(forcesAt(1), start);
    } catch (error) {
      if (!(error instanceof CoreError) || error.code === 'bad-input') throw error;
    }
    this.front.relax();
    this.rear.relax();
    let done = 0;
    let step = 0.25;
    let shape = this.settle(forcesAt(0));
    while (done < 1) {
      const share = Math.min(1, done + step);
      try {
        shape = this.settle(forcesAt(share), shape);
        done = share;
        step *= 1.5;
      } catch (error) {
        if (!(error instanceof CoreError) || error.code === 'bad-input') throw error;
        step /= 2;
        if (step < 1 / 64)
          throw new CoreError(
            'no-equilibrium',
            error.field,
            `${error.message}; in small steps an equilibrium was found up to ${Math.round(100 * done)} % of the load`,
          );
        this.front.relax();
        this.rear.relax();
      }
    }
    return shape;
  }

  /** Bending stress along every leaf on both sides of the pin; `s` negative in front. MPa, top face in tension positive. */
  stressLines(forces: EyeForces, shape: PackShape): StressLine[] {
    this.restore(shape);
    const ends = endForces(forces, shape.seatTilt);
    const rear = this.rear.stress(ends.rear);
    return this.front.stress(ends.front).map((front, i) => ({
      s: [...front.s.map((s) => -s).reverse(), ...rear[i]!.s],
      stress: [...front.stress.toReversed(), ...rear[i]!.stress],
      clamped: rear[i]!.clamped,
    }));
  }

  /** Largest working stress of each leaf outside the seat, MPa, from the free leaf, nip included. */
  peakStress(forces: EyeForces, shape: PackShape): number[] {
    return this.stressLines(forces, shape).map(({ stress }) => max(...stress.map(abs)));
  }

  /** What the seat bends into each leaf, MPa; 0 where only the centre bolt holds the pack. Hangs on no load. */
  clampStress(): number[] {
    return this.pack.leaves.map((_, i) => this.rear.clampedStress(i) ?? 0);
  }

  /**
   * Half-width of the friction band in newtons of seat load: Σ μ N |ds/d(arch)|, with the slip of both halves.
   * @param rate tangent rate at this state, N/mm
   */
  frictionHalfBand(forces: EyeForces, shape: PackShape, rate: number): number {
    const { friction } = this.pack;
    return friction === 0 ? 0 : friction * this.frictionHalfBandPerMu(forces, shape, rate);
  }

  /** The same for μ = 1: the band is proportional to μ. */
  frictionHalfBandPerMu(forces: EyeForces, shape: PackShape, rate: number): number {
    this.restore(shape);
    const ends = endForces(forces, shape.seatTilt);
    const slip =
      this.front.slipPerNewton(ends.front) * shape.rearArm + this.rear.slipPerNewton(ends.rear) * shape.frontArm;
    return (slip * rate) / (shape.frontArm + shape.rearArm);
  }

  /** Strain energy of all leaves beyond the seat, N·mm. */
  energy(shape: PackShape): number {
    this.restore(shape);
    return this.front.energy() + this.rear.energy();
  }

  /** Where leaves press on one another, or clips pull, on one side of the pin. */
  contacts(end: End, shape: PackShape) {
    this[end].restore(shape[end]);
    return this[end].contacts();
  }

  /** Smallest distance of facing surfaces anywhere, mm; negative where leaves run through one another. */
  deepest(shape: PackShape): number {
    this.restore(shape);
    return Math.min(this.front.deepest(), this.rear.deepest());
  }

  /** Curve of a leaf on both sides of the pin in a solved shape. */
  leafCurves(leaf: number, shape: PackShape) {
    this.restore(shape);
    return { front: this.front.curve(leaf), rear: this.rear.curve(leaf) };
  }
}

/** Reactions of two rollers: no moment on the seat. */
export function rollerForces(load: number, arms: { frontArm: number; rearArm: number }): EyeForces {
  const span = arms.frontArm + arms.rearArm;
  return { front: (load * arms.rearArm) / span, rear: (load * arms.frontArm) / span, tension: 0 };
}

/**
 * Shares of a load either way over which a tangent is taken: wide enough to reach over the next contacts that a finite mesh makes or
 * loses one by one, where the real pack stiffens smoothly (a progressive pack against a mesh four times finer: 2 % off over ± 3 %,
 * 0.6 % over ± 5 %); narrower only where the wide one finds no state.
 */
const SPANS = [0.05, 1e-3];

/**
 * What changes by the load, by difference of two states about it; one-sided at zero load, where the pack has a kink.
 * @param at solves under a load, N @throws CoreError where neither span finds both states
 */
export function acrossLoad<S>(load: number, at: (load: number) => S): { low: S; high: S; span: number } {
  for (const [k, share] of SPANS.entries())
    try {
      const step = max(1, abs(load) * share);
      const less = load >= 0 ? max(0, load - step) : load - step;
      return { low: at(less), high: at(load + step), span: load + step - less };
    } catch (error) {
      if (!(error instanceof CoreError) || k === SPANS.length - 1) throw error;
    }
  throw new CoreError('no-equilibrium', 'load', 'no state near this load');
}

/** Refuses a rate that no load can rest on. @throws CoreError `no-equilibrium` */
export function stable(rate: number): number {
  if (rate > 0) return rate;
  throw new CoreError('no-equilibrium', 'load', 'the spring is past its limit point here: it would snap through');
}

/**
 * Tangent rate of the arch on rollers, dF/d(arch) counted positive, N/mm, by difference of two equilibria.
 * @throws CoreError `no-equilibrium` where the spring would snap through
 */
export function rateOnRollers(solver: PackSolver, load: number, at: PackShape): number {
  const { low, high, span } = acrossLoad(load, (force) => solver.onRollers(force, at));
  return stable(span / (low.arch - high.arch));
}
