import { leafInertia } from '../material/steel';
import { clampHalf, type Pack } from './pack';
import { ContactSolver, type Dense } from './lcp';

const { abs, cos, max, min, round, sin } = Math;

/** Nodes between the clamp edge and the main leaf's end, besides the leaf tips themselves. */
const DIVISIONS = 16;

/** Force on the eye from its bearing, in the seat's axes: `down` and `outward` (away from the seat), N. */
export interface EndForce {
  down: number;
  outward: number;
}

/** A leaf's curve from the pin outwards, in the seat's axes (x outward, y up from its own mid-surface at the pin), mm and rad. */
export interface Curve {
  s: Float64Array;
  x: Float64Array;
  y: Float64Array;
  slope: Float64Array;
}

export interface ContactPoint {
  upper: number;
  lower: number;
  /** Arc length from the pin, mm. */
  s: number;
  /** N, compression. */
  force: number;
}

export interface HalfState {
  /** The half pack that solved it: only its own states may give it lever arms. */
  owner: HalfPack;
  main: Curve;
  /** Eye centre relative to the main leaf's mid-surface at the pin, mm. */
  eye: { x: number; y: number };
  eyeSlope: number;
  /** Contact forces in the owner's order, N. */
  forces: Float64Array;
}

interface HalfLeaf {
  /** Free length beyond the clamp edge, mm. */
  reach: number;
  stiffness: number;
  curvature: number;
  thickness: number;
}

interface Candidate {
  upper: number;
  lower: number;
  /** Distance from the clamp edge, mm. */
  u: number;
  /** Index of u on the main leaf's grid. */
  at: number;
  /** Thickness of shorter leaves that end before u, mm. */
  missing: number;
}

/** Deflection at u of a cantilever under a unit force at v; both from the clamp edge. */
const deflection = (ei: number, u: number, v: number): number => {
  const near = min(u, v);
  return (near * near * (3 * max(u, v) - near)) / (6 * ei);
};
/** Slope at u of the same cantilever. */
const slopeAt = (ei: number, u: number, v: number): number =>
  u < v ? (u * (2 * v - u)) / (2 * ei) : (v * v) / (2 * ei);

/**
 * One half of a pack, clamped at the seat: leaves that press on one another but never pull.
 *
 * Kinematics are linear along the arc (contact points keep their arc length; a leaf's deflection is the double
 * integral of its curvature change), after Timoshenko's cantilever formulas. Only the main leaf's own end force
 * is taken at its true lever arm, and shapes are integrated exactly from the curvatures. Good to about half a
 * millimetre between free and flat; past flat the error grows to millimetres.
 */
export class HalfPack {
  private readonly edge: number;
  private readonly leaves: HalfLeaf[];
  private readonly candidates: Candidate[];
  private readonly solver: ContactSolver;
  /** Points along the main leaf from the clamp edge. */
  private readonly grid: Float64Array;
  private readonly concentric: boolean;
  private readonly eyeOffset: number;
  /** Deflection of the main leaf at each candidate per newton at its end, mm/N. */
  private readonly perEndForce: Float64Array;
  /** Kept between solves: memory is what a Monte Carlo would otherwise spend its time on. */
  private readonly scratch: Record<'extra' | 'drop' | 'shearStep' | 'moment' | 'gaps', Float64Array>;
  /** Curvature inside the clamp, 1/mm. */
  private held = 0;
  /** Distance of the facing surfaces with every leaf at its free shape, mm. */
  private freeGaps = new Float64Array(0);

  constructor(pack: Pack, end: 'front' | 'rear', like?: HalfPack) {
    this.edge = clampHalf(pack.clamp);
    this.eyeOffset = pack.eyeOffset[end];
    this.concentric = pack.clamp.kind === 'seat' && pack.clamp.shape === 'concentric';
    this.leaves = pack.leaves.map((leaf) => ({
      reach: leaf[end] - this.edge,
      stiffness: pack.youngs * leafInertia(leaf.width, leaf.thickness),
      curvature: leaf.curvature,
      thickness: leaf.thickness,
    }));
    const stations = this.stations();
    this.candidates = this.findCandidates(stations);
    this.solver = new ContactSolver(this.compliance(), like?.solver);
    this.grid = this.mainGrid(stations);
    const line = () => new Float64Array(this.grid.length);
    this.scratch = {
      extra: line(),
      drop: line(),
      shearStep: line(),
      moment: line(),
      gaps: new Float64Array(this.candidates.length),
    };
    const main = this.leaves[0]!;
    this.perEndForce = Float64Array.from(this.candidates, (c) =>
      c.upper === 0 ? deflection(main.stiffness, c.u, main.reach) : 0,
    );
    this.recurve(pack.leaves.map((leaf) => leaf.curvature));
  }

  /** Gives the same leaves other free curvatures (1/mm, main leaf first); the contact matrix stays. */
  recurve(curvatures: readonly number[]): void {
    curvatures.forEach((curvature, i) => {
      this.leaves[i]!.curvature = curvature;
    });
    this.held = this.concentric ? this.leaves[0]!.curvature : 0;
    this.freeGaps = Float64Array.from(this.candidates, (c) => c.missing + this.surfaceGap(c.upper, c.lower, c.u));
  }

  private stations(): number[] {
    const reach = this.leaves[0]!.reach;
    const tips = this.leaves.map((leaf) => leaf.reach).filter((r) => r > 1);
    const sorted = [...new Set(tips)].sort((p, q) => p - q);
    const merged: number[] = [];
    for (const tip of sorted) if (tip - (merged.at(-1) ?? 0) > 1e-6) merged.push(tip);
    const all: number[] = [];
    let from = 0;
    for (const tip of merged) {
      const parts = max(1, round(((tip - from) / reach) * DIVISIONS));
      for (let k = 1; k <= parts; k++) all.push(from + ((tip - from) * k) / parts);
      from = tip;
    }
    return all;
  }

  /** Every pair of leaves that face one another at a station, skipping shorter ones that end before it. */
  private findCandidates(stations: readonly number[]): Candidate[] {
    const found: Candidate[] = [];
    for (const [k, u] of stations.entries()) {
      let upper = 0;
      let missing = 0;
      for (let lower = 1; lower < this.leaves.length; lower++) {
        const leaf = this.leaves[lower]!;
        if (leaf.reach < u - 1e-6) {
          missing += leaf.thickness;
          continue;
        }
        found.push({ upper, lower, u, at: 2 * (k + 1), missing });
        upper = lower;
        missing = 0;
      }
    }
    return found;
  }

  private surfaceGap(upper: number, lower: number, u: number): number {
    const a = this.leaves[upper]!;
    const b = this.leaves[lower]!;
    const underside = a.curvature / (1 + (a.curvature * a.thickness) / 2);
    const topside = b.curvature / (1 - (b.curvature * b.thickness) / 2);
    return ((underside - topside) * u * u) / 2;
  }

  private compliance(): Dense {
    const n = this.candidates.length;
    const values = new Float64Array(n * n);
    for (let i = 0; i < n; i++) {
      const p = this.candidates[i]!;
      for (let j = 0; j <= i; j++) {
        const q = this.candidates[j]!;
        let sum = 0;
        if (p.upper === q.upper) sum += deflection(this.leaves[p.upper]!.stiffness, p.u, q.u);
        if (p.upper === q.lower) sum -= deflection(this.leaves[p.upper]!.stiffness, p.u, q.u);
        if (p.lower === q.upper) sum -= deflection(this.leaves[p.lower]!.stiffness, p.u, q.u);
        if (p.lower === q.lower) sum += deflection(this.leaves[p.lower]!.stiffness, p.u, q.u);
        values[i * n + j] = sum;
        values[j * n + i] = sum;
      }
    }
    return { size: n, values };
  }

  private mainGrid(stations: readonly number[]): Float64Array {
    const points = [0];
    for (const u of stations) {
      const from = points.at(-1)!;
      points.push(from + (u - from) / 2, u);
    }
    return Float64Array.from(points);
  }

  /** Moment on the main leaf beyond what its end force gives with the arc as lever arm. */
  private leverCorrection(force: EndForce, from: HalfState | undefined): Float64Array {
    const { extra } = this.scratch;
    extra.fill(0);
    if (from?.owner !== this) return extra;
    const reach = this.leaves[0]!.reach;
    const skip = from.main.s.length - this.grid.length;
    for (let k = 0; k < this.grid.length; k++) {
      const x = from.main.x[k + skip]!;
      const y = from.main.y[k + skip]!;
      extra[k] = force.down * (from.eye.x - x - (reach - this.grid[k]!)) + force.outward * (from.eye.y - y);
    }
    return extra;
  }

  /** Deflection of the main leaf along the grid from a moment field on it (flattening positive), mm. */
  private mainDeflection(moment: Float64Array): Float64Array {
    const { drop } = this.scratch;
    const ei = this.leaves[0]!.stiffness;
    drop[0] = 0;
    let slope = 0;
    for (let k = 1; k < this.grid.length; k++) {
      const h = this.grid[k]! - this.grid[k - 1]!;
      const m0 = moment[k - 1]! / ei;
      const m1 = moment[k]! / ei;
      drop[k] = drop[k - 1]! + slope * h + (h * h * (2 * m0 + m1)) / 6;
      slope += (h * (m0 + m1)) / 2;
    }
    return drop;
  }

  /**
   * Equilibrium under an end force; call again with the last state until shapes settle (lever arms follow the shape).
   * @param force N on the eye @param last previous state, whose shape gives the lever arms
   */
  solve(force: EndForce, last?: HalfState): HalfState {
    const extra = this.leverCorrection(force, last);
    const bowed = this.mainDeflection(extra);
    const { gaps: g0 } = this.scratch;
    for (let i = 0; i < g0.length; i++) {
      const c = this.candidates[i]!;
      g0[i] = this.freeGaps[i]! - force.down * this.perEndForce[i]! - (c.upper === 0 ? bowed[c.at]! : 0);
    }
    const forces = this.candidates.length > 0 ? this.solver.solve(g0).slice() : g0.slice();
    return this.stateFrom(force, forces, extra);
  }

  private stateFrom(force: EndForce, forces: Float64Array, extra: Float64Array): HalfState {
    const main = this.leaves[0]!;
    const moment = this.contactMoments(0, forces);
    for (let k = 0; k < moment.length; k++) moment[k]! += force.down * (main.reach - this.grid[k]!) + extra[k]!;
    for (let k = 0; k < moment.length; k++) moment[k] = main.curvature - moment[k]! / main.stiffness;
    const curve = this.curve(this.grid, moment);
    const last = curve.s.length - 1;
    const slope = curve.slope[last]!;
    return {
      owner: this,
      main: curve,
      eye: {
        x: curve.x[last]! - this.eyeOffset * sin(slope),
        y: curve.y[last]! + this.eyeOffset * cos(slope),
      },
      eyeSlope: slope,
      forces,
    };
  }

  /** Where leaves press on one another in a solved state. */
  contacts(state: HalfState): ContactPoint[] {
    return this.candidates.flatMap(({ upper, lower, u }, i) => {
      const force = state.forces[i]!;
      return force > 0 ? [{ upper, lower, s: u + this.edge, force }] : [];
    });
  }

  /**
   * Flattening moment along a leaf from its contacts: the leaf below pushes it up, the one above pushes it down.
   * The array is this half's own and changes with the next call.
   */
  private contactMoments(leaf: number, forces: Float64Array): Float64Array {
    const { shearStep, moment } = this.scratch;
    shearStep.fill(0);
    for (let i = 0; i < this.candidates.length; i++) {
      const c = this.candidates[i]!;
      if (c.upper === leaf) shearStep[c.at]! -= forces[i]!;
      else if (c.lower === leaf) shearStep[c.at]! += forces[i]!;
    }
    let shear = 0;
    moment[moment.length - 1] = 0;
    for (let k = this.grid.length - 1; k > 0; k--) {
      shear += shearStep[k]!;
      moment[k - 1] = moment[k]! + shear * (this.grid[k]! - this.grid[k - 1]!);
    }
    return moment;
  }

  /** Integrates position from curvature: exact angle for linear curvature, Simpson for the position. */
  private curve(grid: Float64Array, curvature: Float64Array): Curve {
    const first = this.edge > 0 ? 1 : 0;
    const n = grid.length + first;
    const s = new Float64Array(n);
    const x = new Float64Array(n);
    const y = new Float64Array(n);
    const slope = new Float64Array(n);
    const step = (i: number, h: number, k0: number, k1: number) => {
      const a0 = slope[i - 1]!;
      const mid = a0 + (h * (3 * k0 + k1)) / 8;
      const a1 = a0 + (h * (k0 + k1)) / 2;
      x[i] = x[i - 1]! + (h * (cos(a0) + 4 * cos(mid) + cos(a1))) / 6;
      y[i] = y[i - 1]! + (h * (sin(a0) + 4 * sin(mid) + sin(a1))) / 6;
      slope[i] = a1;
      s[i] = s[i - 1]! + h;
    };
    if (first === 1) step(1, this.edge, this.held, this.held);
    for (let k = 1; k < grid.length; k++) step(k + first, grid[k]! - grid[k - 1]!, curvature[k - 1]!, curvature[k]!);
    return { s, x, y, slope };
  }

  /** Shape of any leaf in a solved state, from its own mid-surface at the pin. */
  leafCurve(leaf: number, state: HalfState): Curve {
    if (leaf === 0) return state.main;
    const body = this.leaves[leaf]!;
    if (body.reach <= 0) {
      const length = body.reach + this.edge;
      const slope = this.held * length;
      const y = (this.held * length * length) / 2;
      return {
        s: Float64Array.of(0, length),
        x: Float64Array.of(0, length),
        y: Float64Array.of(0, y),
        slope: Float64Array.of(0, slope),
      };
    }
    const moment = this.contactMoments(leaf, state.forces);
    const grid = this.grid.filter((u) => u < body.reach + 1e-6);
    return this.curve(
      grid,
      grid.map((_, k) => body.curvature - moment[k]! / body.stiffness),
    );
  }

  /** Largest bending stress of each leaf counted from the free leaf, MPa, whole length scanned, seat included. */
  peakStress(force: EndForce, state: HalfState, youngs: number): number[] {
    const extra = this.leverCorrection(force, state);
    return this.leaves.map((leaf, i) => {
      let peak = this.edge > 0 ? leaf.stiffness * abs(leaf.curvature - this.held) : 0;
      const moments = this.contactMoments(i, state.forces);
      this.grid.forEach((u, k) => {
        const moment = moments[k]! + (i === 0 ? force.down * (leaf.reach - u) + extra[k]! : 0);
        peak = max(peak, abs(moment));
      });
      return (peak * youngs * leaf.thickness) / (2 * leaf.stiffness);
    });
  }

  /**
   * Friction work per unit of end deflection, divided by μ, times the end deflection per newton: Σ N·|ds/dP|, mm.
   * Relative slip of facing surfaces is half of each thickness times the slope of its leaf (inextensible leaves).
   */
  slipPerNewton(state: HalfState): number {
    if (this.candidates.length === 0) return 0;
    const main = this.leaves[0]!;
    const growth = this.solver.solveActive(this.perEndForce);
    const slopeChange = (leaf: number, u: number): number => {
      const ei = this.leaves[leaf]!.stiffness;
      let sum = leaf === 0 ? -slopeAt(ei, u, main.reach) : 0;
      for (let i = 0; i < this.candidates.length; i++) {
        const c = this.candidates[i]!;
        if (growth[i] === 0) continue;
        if (c.upper === leaf) sum += growth[i]! * slopeAt(ei, u, c.u);
        else if (c.lower === leaf) sum -= growth[i]! * slopeAt(ei, u, c.u);
      }
      return sum;
    };
    let total = 0;
    this.candidates.forEach((c, i) => {
      const normal = state.forces[i]!;
      if (normal <= 0) return;
      const slip =
        (this.leaves[c.upper]!.thickness * slopeChange(c.upper, c.u) +
          this.leaves[c.lower]!.thickness * slopeChange(c.lower, c.u)) /
        2;
      total += normal * abs(slip);
    });
    return total;
  }
}
