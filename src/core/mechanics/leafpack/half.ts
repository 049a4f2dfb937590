import { CoreError } from '../../errors';
import { Beam } from './beam';
import { blankSlope, facingPairs, gridOf, measureGap, type Facing, type GapSlope, type Grid } from './contact';
import { ContactSolver } from './lcp';
import { clampHalf, depths, freeSlopeOf, reachOf, stiffnessOf, thicknessOf, type End, type Pack } from './pack';

const { abs, cos, max, sin } = Math;

/** Elements along the main leaf, besides those that the leaf tips ask for. */
export const FINE = 24;
/** The same for one of many random variants, whose difference from the central one is wanted. */
export const COARSE = 6;

/** a · b with b from an offset. */
function dotAt(a: Float64Array, b: Float64Array, at: number, size: number): number {
  let sum = 0;
  for (let k = 0; k < size; k++) sum += a[k]! * b[at + k]!;
  return sum;
}

/** to += factor · from with `from` from an offset. */
function addScaled(to: Float64Array, factor: number, from: Float64Array, at: number, size: number): void {
  for (let k = 0; k < size; k++) to[k]! += factor * from[at + k]!;
}

/** Facing surfaces further apart than this are measured less exactly, mm. */
const APART = 0.5;

/** Force on the eye from its bearing, in the seat's axes: `down` and `outward` (away from the seat), N. */
export interface EndForce {
  down: number;
  outward: number;
  /** Couple on the eye that flattens the leaf, N·mm: a bush that is twisted. */
  couple?: number;
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
  /** N; compression between facing surfaces, tension in a clip. */
  force: number;
  clip: boolean;
}

/**
 * Bending stress of one leaf counted from its free shape, MPa; tension in the top face positive. `stress` is what works where the
 * leaf is free to bend, outside the inactive seat; `clamped` is what the seat bends into it, which stands still and is carried
 * by the clamp. They are stresses of two kinds, each with a limit of its own.
 */
export interface StressLine {
  /** mm from the pin, negative in front. */
  s: number[];
  stress: number[];
  /** null where only the centre bolt holds the pack. */
  clamped: number | null;
}

/** A shape in equilibrium with its end force. */
export interface HalfState {
  /** The half pack that solved it. */
  owner: HalfPack;
  moments: Float64Array;
  forces: Float64Array;
  /** Eye centre relative to the main leaf's mid-surface at the pin, mm. */
  eye: { x: number; y: number };
  eyeSlope: number;
}

/**
 * One half of a pack held at the seat, at any deflection: elastic beams that press on one another's surfaces but never
 * pull, unless a clip holds them.
 *
 * The strain energy less the work of the end force is made stationary under gap ≥ 0 by Newton steps whose contact
 * problem is a linear complementarity problem, solved exactly. Gaps, lever arms and the balance of every leaf are those
 * of the bent shape; the matrices of a step may be older, which costs steps but never changes the answer.
 */
export class HalfPack {
  edge = 0;
  readonly beams: Beam[];
  facings: Facing[];
  eye = { x: 0, y: 0 };
  eyeSlope = 0;
  /** How much the eye gives to a force, mm/N: by `down`, and by `outward`; with the present contacts. */
  readonly give = { downDown: 0, downOut: 0, outDown: 0, outOut: 0 };

  private readonly gaps: GapSlope[];
  private readonly solver: ContactSolver;
  private readonly matrix: Float64Array;
  /** Gap derivatives by moments at the last linearisation, upper leaf's part then the lower's; and H⁻¹ times them. */
  private readonly rows: Float64Array;
  private readonly answers: Float64Array;
  private readonly upperAt: Int32Array;
  private readonly lowerAt: Int32Array;
  private readonly forces: Float64Array;
  private readonly load: Float64Array;
  private readonly byLeaf: { point: number; at: number; size: number }[][];
  private readonly eyeRows: [Float64Array, Float64Array];
  private readonly eyeAnswers: [Float64Array, Float64Array];
  private readonly eyeGaps: [Float64Array, Float64Array];
  private grid: Grid;
  private eyeOffset = 0;
  private depth: number[] = [];
  private held = 0;
  private linearised = false;
  /** The factor that `give` was read from. */
  private giveOf = -1;
  private concentric = false;

  /**
   * @param divisions elements along the main leaf; `FINE`, or `COARSE` for random variants
   * @param like a similar half: its contact set and shape are the first guess when the sizes agree
   */
  constructor(
    private pack: Pack,
    private readonly end: End,
    divisions: number,
    like?: HalfPack,
  ) {
    const grid = gridOf(this.ends(pack), divisions);
    if (!grid) throw new CoreError('bad-input', 'leaves', 'no leaf reaches beyond the seat');
    this.grid = grid;
    this.beams = pack.leaves.map((_, i) => new Beam(max(1, grid.reached[i]!)));
    this.seatOfForce.element = this.beams[0]!.size;
    this.facings = this.build(grid);
    const count = this.facings.length;
    this.gaps = this.facings.map(() => blankSlope());
    this.findFeet();
    this.matrix = new Float64Array(count * count);
    this.solver = new ContactSolver({ size: count, values: this.matrix }, like?.solver);
    this.forces = new Float64Array(count);
    this.load = new Float64Array(count);
    this.upperAt = new Int32Array(count);
    this.lowerAt = new Int32Array(count);
    this.byLeaf = this.beams.map(() => []);
    let at = 0;
    this.facings.forEach(({ upper, lower }, c) => {
      for (const [leaf, place] of [[upper, this.upperAt] as const, [lower, this.lowerAt] as const]) {
        place[c] = at;
        const { size } = this.beams[leaf]!;
        this.byLeaf[leaf]!.push({ point: c, at, size });
        at += size;
      }
    });
    this.rows = new Float64Array(at);
    this.answers = new Float64Array(at);
    const main = () => new Float64Array(this.beams[0]!.size);
    this.eyeRows = [main(), main()];
    this.eyeAnswers = [main(), main()];
    this.eyeGaps = [new Float64Array(count), new Float64Array(count)];
    this.recurve(pack);
    if (like) this.adopt(like);
  }

  /** Lengths beyond the clamp edge that need a station: every leaf's, then every clip's. */
  private ends(pack: Pack): number[] {
    const edge = clampHalf(pack.clamp);
    const clips = (pack.clips ?? []).filter((clip) => clip.end === this.end);
    return [...pack.leaves.map((leaf) => reachOf(leaf, this.end) - edge), ...clips.map((clip) => clip.at - edge)];
  }

  /** Sections, nodes and facing pairs of the present pack on a grid. */
  private build(grid: Grid): Facing[] {
    const { pack, end } = this;
    this.edge = clampHalf(pack.clamp);
    this.eyeOffset = pack.eyeOffset[end];
    this.concentric = pack.clamp.kind === 'seat' && pack.clamp.shape === 'concentric';
    this.depth = depths(pack.leaves);
    const ends = this.ends(pack);
    this.beams.forEach((beam, i) => {
      const leaf = pack.leaves[i]!;
      beam.shape({
        nodes: [0, ...grid.stations.slice(0, beam.size - 1), max(1e-3, ends[i]!)],
        stiffness: stiffnessOf(leaf, end, this.edge, pack.youngs),
        uniform: leaf.tipThickness === undefined,
        thickness: thicknessOf(leaf, end, this.edge),
      });
    });
    const facings = facingPairs(ends.slice(0, pack.leaves.length), grid, (leaf, atTip) => {
      const { liner = 0, tipPad = 0 } = pack.leaves[leaf]!;
      return liner + (atTip ? tipPad : 0);
    });
    const clips = (pack.clips ?? []).filter((clip) => clip.end === end);
    clips.forEach(({ holds, slack }, k) => {
      const between = pack.leaves.slice(1, holds).reduce((sum, leaf) => sum + leaf.thickness + (leaf.liner ?? 0), 0);
      facings.push({
        upper: 0,
        lower: holds,
        slave: holds,
        master: 0,
        node: grid.reached[pack.leaves.length + k]!,
        u: ends[pack.leaves.length + k]!,
        pad: pack.leaves[holds]!.liner ?? 0,
        slack: slack + between,
      });
    });
    return facings;
  }

  /** First guesses for the feet of the normals on the master leaves. */
  private findFeet(): void {
    this.facings.forEach((facing, c) => {
      this.gaps[c]!.element = this.beams[facing.master]!.elementAt(facing.u);
      this.gaps[c]!.at = 0.9;
    });
  }

  /**
   * Becomes a pack of the same make-up (tips in the same order) with other dimensions; shape, contact set and matrices
   * stay as a first guess. @returns false when the make-up differs: then nothing has changed
   */
  retune(pack: Pack): boolean {
    if (pack.leaves.length !== this.beams.length) return false;
    const grid = gridOf(this.ends(pack), this.grid);
    if (!grid) return false;
    this.pack = pack;
    this.grid = grid;
    this.facings = this.build(grid);
    this.findFeet();
    this.recurve(pack);
    return true;
  }

  /** Gives the same leaves other free curves. Contact set and matrices stay as a first guess. */
  recurve(pack: Pack): void {
    this.pack = pack;
    this.held = this.concentric ? pack.leaves[0]!.curvature : 0;
    pack.leaves.forEach((leaf, i) => {
      const beam = this.beams[i]!;
      const deep = this.depth[i]!;
      if (this.held === 0) beam.hold(this.edge, -deep, 0);
      else {
        const radius = 1 / this.held + deep;
        const turn = this.edge / radius;
        beam.hold(radius * sin(turn), radius * (1 - cos(turn)) - deep, turn);
      }
      if (leaf.curve ?? leaf.nests ?? leaf.flat) beam.recurve(freeSlopeOf(leaf, this.end, this.edge));
      else beam.bend(leaf.curvature);
      beam.place();
    });
    this.placeEye();
  }

  private adopt(like: HalfPack): void {
    const same = this.beams.every((beam, i) => beam.size === like.beams[i]?.size);
    if (!same || like.beams.length !== this.beams.length) return;
    this.beams.forEach((beam, i) => {
      beam.moment.set(like.beams[i]!.moment);
      beam.place();
    });
    if (this.forces.length === like.forces.length) this.forces.set(like.forces);
    this.placeEye();
  }

  /** Where the end force acts on the main leaf: an element and the place in it. Its end, unless `loadAt` moved it. */
  private readonly seatOfForce = { element: 1, at: 1 };

  /** Moves the end force to an arc length from the pin (a roller under which the leaf slides), mm. */
  loadAt(s: number): void {
    const main = this.beams[0]!;
    const u = Math.min(main.nodes[main.size]!, max(0, s - this.edge));
    this.seatOfForce.element = main.elementAt(u);
    this.seatOfForce.at =
      (u - main.nodes[this.seatOfForce.element - 1]!) / main.elementLength(this.seatOfForce.element);
    this.placeEye();
  }

  /** Cubic weights of the place where the end force acts: position by both nodes, and by both slopes. */
  private endWeights() {
    const main = this.beams[0]!;
    const { element, at } = this.seatOfForce;
    const h = main.elementLength(element);
    const inner = 2 * at ** 3 - 3 * at ** 2 + 1;
    return {
      element,
      inner,
      outer: 1 - inner,
      innerTurn: (at ** 3 - 2 * at ** 2 + at) * h,
      outerTurn: (at ** 3 - at ** 2) * h,
      at,
    };
  }

  private placeEye(): void {
    const main = this.beams[0]!;
    const { element: o, inner, outer, innerTurn, outerTurn, at } = this.endWeights();
    const i = o - 1;
    const slope = at === 1 ? main.slope[o]! : main.slope[i]! + at * (main.slope[o]! - main.slope[i]!);
    this.eyeSlope = slope;
    this.eye = {
      x:
        inner * main.x[i]! +
        outer * main.x[o]! +
        innerTurn * main.cos[i]! +
        outerTurn * main.cos[o]! -
        this.eyeOffset * sin(slope),
      y:
        inner * main.y[i]! +
        outer * main.y[o]! +
        innerTurn * main.sin[i]! +
        outerTurn * main.sin[o]! +
        this.eyeOffset * cos(slope),
    };
  }

  /** Gaps and their exact derivatives in the present shape. */
  private measure(): void {
    for (let c = 0; c < this.facings.length; c++) {
      const facing = this.facings[c]!;
      const gap = this.gaps[c]!;
      const passes = this.forces[c] === 0 && gap.gap > APART ? 1 : 12;
      measureGap(facing, this.beams[facing.slave]!, this.beams[facing.master]!, gap, passes);
    }
  }

  /** Every leaf's applied forces and what they leave unbalanced. */
  private balance(force: EndForce): void {
    for (const beam of this.beams) beam.clearForces();
    const main = this.beams[0]!;
    const n = main.size;
    const w = this.endWeights();
    const i = w.element - 1;
    const o = w.element;
    const [fx, fy] = [force.outward, -force.down];
    const lever = -this.eyeOffset * (fy * sin(this.eyeSlope) + fx * cos(this.eyeSlope));
    main.forceX[i]! += w.inner * fx;
    main.forceY[i]! += w.inner * fy;
    main.forceX[o]! += w.outer * fx;
    main.forceY[o]! += w.outer * fy;
    main.couple[i]! += w.innerTurn * (fy * main.cos[i]! - fx * main.sin[i]!) + (1 - w.at) * lever;
    main.couple[o]! += w.outerTurn * (fy * main.cos[o]! - fx * main.sin[o]!) + w.at * lever;
    const twist = force.couple ?? 0;
    main.couple[n]! -= twist;
    main.moment[n] = twist;
    for (let c = 0; c < this.facings.length; c++) {
      const f = this.forces[c]!;
      if (f === 0) continue;
      const facing = this.facings[c]!;
      const g = this.gaps[c]!;
      const slave = this.beams[facing.slave]!;
      const master = this.beams[facing.master]!;
      const j = facing.node;
      const e = g.element;
      slave.forceX[j]! += f * g.slaveX;
      slave.forceY[j]! += f * g.slaveY;
      slave.couple[j]! += f * g.slaveTurn;
      master.forceX[e - 1]! += f * g.innerX;
      master.forceY[e - 1]! += f * g.innerY;
      master.couple[e - 1]! += f * g.innerTurn;
      master.forceX[e]! += f * g.outerX;
      master.forceY[e]! += f * g.outerY;
      master.couple[e]! += f * g.outerTurn;
    }
    for (const beam of this.beams) beam.balance();
  }

  /** How much a couple turns the eye with the main leaf alone, rad/(N·mm): an upper bound. */
  get turnGive(): number {
    return this.beams[0]!.turnGive();
  }

  /** Makes the matrices of a step anew in the present shape, under the forces of the last `balance`. */
  private linearise(): void {
    for (const beam of this.beams) beam.linearise();
    const { rows, answers, matrix } = this;
    const count = this.facings.length;
    for (let c = 0; c < count; c++) {
      const facing = this.facings[c]!;
      const g = this.gaps[c]!;
      const slaveIsLower = facing.slave === facing.lower;
      const slave = this.beams[facing.slave]!;
      const master = this.beams[facing.master]!;
      const slaveAt = slaveIsLower ? this.lowerAt[c]! : this.upperAt[c]!;
      const masterAt = slaveIsLower ? this.upperAt[c]! : this.lowerAt[c]!;
      const row = facing.node * slave.size;
      for (let k = 0; k < slave.size; k++)
        rows[slaveAt + k] =
          g.slaveX * slave.dx[row + k]! + g.slaveY * slave.dy[row + k]! + g.slaveTurn * slave.dSlope[row + k]!;
      const outer = g.element * master.size;
      const inner = outer - master.size;
      for (let k = 0; k < master.size; k++)
        rows[masterAt + k] =
          g.innerX * master.dx[inner + k]! +
          g.innerY * master.dy[inner + k]! +
          g.innerTurn * master.dSlope[inner + k]! +
          g.outerX * master.dx[outer + k]! +
          g.outerY * master.dy[outer + k]! +
          g.outerTurn * master.dSlope[outer + k]!;
    }
    answers.set(rows);
    matrix.fill(0);
    this.byLeaf.forEach((parts, leaf) => {
      const beam = this.beams[leaf]!;
      for (const { at } of parts) beam.solve(answers, at);
      for (let p = 0; p < parts.length; p++) {
        const a = parts[p]!;
        for (let q = 0; q <= p; q++) {
          const b = parts[q]!;
          let sum = 0;
          for (let k = 0; k < a.size; k++) sum += rows[a.at + k]! * answers[b.at + k]!;
          matrix[a.point * count + b.point]! += sum;
          if (a.point !== b.point) matrix[b.point * count + a.point]! += sum;
        }
      }
    });
    this.solver.renew();
    this.giveOf = -1;
    this.lineariseEye();
    this.linearised = true;
  }

  private lineariseEye(): void {
    const main = this.beams[0]!;
    const n = main.size;
    const w = this.endWeights();
    const o = w.element * n;
    const i = o - n;
    const e = this.eyeOffset;
    const [down, out] = this.eyeRows;
    const [inner, outer] = [w.element - 1, w.element];
    for (let k = 0; k < n; k++) {
      const [turnIn, turnOut] = [main.dSlope[i + k]!, main.dSlope[o + k]!];
      const turn = (1 - w.at) * turnIn + w.at * turnOut;
      const x =
        w.inner * main.dx[i + k]! +
        w.outer * main.dx[o + k]! -
        w.innerTurn * main.sin[inner]! * turnIn -
        w.outerTurn * main.sin[outer]! * turnOut;
      const y =
        w.inner * main.dy[i + k]! +
        w.outer * main.dy[o + k]! +
        w.innerTurn * main.cos[inner]! * turnIn +
        w.outerTurn * main.cos[outer]! * turnOut;
      down[k] = e * sin(this.eyeSlope) * turn - y;
      out[k] = x - e * cos(this.eyeSlope) * turn;
    }
    for (const i of [0, 1] as const) {
      this.eyeAnswers[i].set(this.eyeRows[i]);
      main.solve(this.eyeAnswers[i]);
      const gaps = this.eyeGaps[i];
      gaps.fill(0);
      for (const { point, at, size } of this.byLeaf[0]!) {
        let sum = 0;
        for (let k = 0; k < size; k++) sum += this.rows[at + k]! * this.eyeAnswers[i][k]!;
        gaps[point] = sum;
      }
    }
  }

  /** What the eye gives, from the last linearisation and the present contacts. */
  private updateGive(): void {
    if (this.giveOf === this.solver.factors) return;
    const dot = (a: Float64Array, b: Float64Array) => dotAt(a, b, 0, a.length);
    const [down, out] = this.eyeGaps;
    const byDown = this.facings.length > 0 ? this.solver.solveActive(down) : down;
    const dd = dot(byDown, down);
    const od = dot(byDown, out);
    const byOut = this.facings.length > 0 ? this.solver.solveActive(out) : out;
    const oo = dot(byOut, out);
    this.give.downDown = dot(this.eyeRows[0], this.eyeAnswers[0]) - dd;
    this.give.outDown = dot(this.eyeRows[1], this.eyeAnswers[0]) - od;
    this.give.downOut = this.give.outDown;
    this.give.outOut = dot(this.eyeRows[1], this.eyeAnswers[1]) - oo;
    this.giveOf = this.solver.factors;
  }

  /**
   * One Newton step towards equilibrium under an end force.
   * @param anew make the step's matrices in the present shape; else the last ones serve
   * @returns how far the eye or any contact moved, mm; of second order in the distance from equilibrium with new matrices
   */
  advance(force: EndForce, anew: boolean): number {
    this.measure();
    this.balance(force);
    if (anew || !this.linearised) this.linearise();
    const count = this.facings.length;
    const { rows, answers, forces, matrix, load } = this;
    for (const beam of this.beams) beam.solve(beam.residual);
    for (let c = 0; c < count; c++) {
      const { upper, lower } = this.facings[c]!;
      const [above, below] = [this.beams[upper]!, this.beams[lower]!];
      load[c] =
        this.gaps[c]!.gap -
        dotAt(above.residual, rows, this.upperAt[c]!, above.size) -
        dotAt(below.residual, rows, this.lowerAt[c]!, below.size);
    }
    for (let d = 0; d < count; d++) if (forces[d] !== 0) addScaled(load, -forces[d]!, matrix, d * count, count);
    const found = count > 0 ? this.solver.solve(load) : load;
    for (const beam of this.beams) for (let k = 0; k < beam.size; k++) beam.moment[k]! -= beam.residual[k]!;
    for (let c = 0; c < count; c++) {
      const change = found[c]! - forces[c]!;
      forces[c] = found[c]!;
      if (change === 0) continue;
      const { upper, lower } = this.facings[c]!;
      addScaled(this.beams[upper]!.moment, change, answers, this.upperAt[c]!, this.beams[upper]!.size);
      addScaled(this.beams[lower]!.moment, change, answers, this.lowerAt[c]!, this.beams[lower]!.size);
    }
    let moved = 0;
    for (const beam of this.beams) {
      const { size } = beam;
      const x = beam.x[size]!;
      const y = beam.y[size]!;
      beam.place();
      moved = max(moved, abs(beam.x[size]! - x), abs(beam.y[size]! - y));
    }
    this.placeEye();
    this.updateGive();
    if (!Number.isFinite(moved)) throw new CoreError('no-equilibrium', 'load', 'the shape of a leaf runs away');
    return moved;
  }

  /** The present shape, to come back to. */
  state(): HalfState {
    const moments = new Float64Array(this.beams.reduce((sum, beam) => sum + beam.size + 1, 0));
    let at = 0;
    for (const { moment } of this.beams) {
      moments.set(moment, at);
      at += moment.length;
    }
    return { owner: this, moments, forces: this.forces.slice(), eye: { ...this.eye }, eyeSlope: this.eyeSlope };
  }

  /** Whether a shape is one of as many leaves and nodes, so that it can be taken up. */
  fits({ moments }: HalfState): boolean {
    return moments.length === this.beams.reduce((sum, beam) => sum + beam.size + 1, 0);
  }

  /** Takes up a shape again. One of another half serves as a first guess when the sizes agree. */
  restore(state: HalfState): void {
    let at = 0;
    if (this.fits(state))
      for (const beam of this.beams) {
        beam.moment.set(state.moments.subarray(at, at + beam.size + 1));
        at += beam.size + 1;
        beam.place();
      }
    if (state.forces.length === this.forces.length) this.forces.set(state.forces);
    this.placeEye();
  }

  /** Back to the free shapes, when a warm start led nowhere. */
  relax(): void {
    for (const beam of this.beams) {
      beam.moment.fill(0);
      beam.place();
    }
    this.forces.fill(0);
    this.linearised = false;
    this.placeEye();
  }

  /** Strain energy of the free parts of all leaves in the present shape, N·mm. */
  energy(): number {
    return this.beams.reduce((sum, beam) => sum + beam.energy(), 0);
  }

  /** Where leaves press on one another, or a clip pulls, in the present shape. */
  contacts(): ContactPoint[] {
    return this.facings.flatMap(({ upper, lower, u, slack }, i) => {
      const force = this.forces[i]!;
      return force > 0 ? [{ upper, lower, s: u + this.edge, force, clip: slack !== undefined }] : [];
    });
  }

  /** Smallest distance between facing surfaces in the present shape, mm; negative where they run through one another. */
  deepest(): number {
    this.measure();
    return this.gaps.reduce((least, g) => Math.min(least, g.gap), Infinity);
  }

  /** A leaf from the pin outwards in the present shape, the clamped part included. */
  curve(leaf: number): Curve {
    const beam = this.beams[leaf]!;
    const first = this.edge > 0 ? 1 : 0;
    const line = (from: Float64Array, root: number, shift = 0) => {
      const all = new Float64Array(from.length + first);
      if (first) all[0] = root;
      for (let k = 0; k < from.length; k++) all[k + first] = from[k]! + shift;
      return all;
    };
    return {
      s: line(beam.nodes, 0, this.edge),
      x: line(beam.x, 0),
      y: line(beam.y, 0, this.depth[leaf]!),
      slope: line(beam.slope, 0),
    };
  }

  /**
   * Bending stress along every leaf in the present shape by statics: the moment of everything that acts further out,
   * over the section. Apart from it what the clamp bends within the seat, E·t/2 times the change of curvature.
   */
  stress(force: EndForce): StressLine[] {
    this.measure();
    const points = this.beams.map((): { x: number; y: number; u: number; fx: number; fy: number }[] => []);
    const { element, at: place } = this.seatOfForce;
    const main = this.beams[0]!;
    const u =
      place === 1 && element === main.size ? Infinity : main.nodes[element - 1]! + place * main.elementLength(element);
    points[0]!.push({ x: this.eye.x, y: this.eye.y, u, fx: force.outward, fy: -force.down });
    this.facings.forEach((facing, c) => {
      const f = this.forces[c]!;
      if (f === 0) return;
      const g = this.gaps[c]!;
      const slave = this.beams[facing.slave]!;
      const master = this.beams[facing.master]!;
      const x = slave.x[facing.node]!;
      const y = slave.y[facing.node]!;
      const place = master.nodes[g.element - 1]! + g.at * master.elementLength(g.element);
      points[facing.slave]!.push({ x, y, u: facing.u, fx: f * g.slaveX, fy: f * g.slaveY });
      points[facing.master]!.push({ x, y, u: place, fx: -f * g.slaveX, fy: -f * g.slaveY });
    });
    return this.beams.map((beam, leaf) =>
      this.stressOf(leaf, beam, points[leaf]!, leaf === 0 ? (force.couple ?? 0) : 0),
    );
  }

  /** What the seat bends into a leaf, E·t/2 times its change of curvature, MPa; null without a seat. */
  clampedStress(leaf: number): number | null {
    const { curvature, thickness, flat = 0 } = this.pack.leaves[leaf]!;
    const free = flat / 2 < this.edge ? curvature : 0;
    const bent = this.held === 0 ? 0 : 1 / (1 / this.held + this.depth[leaf]!);
    return this.edge > 0 ? (this.pack.youngs * (free - bent) * thickness) / 2 : null;
  }

  private stressOf(
    leaf: number,
    beam: Beam,
    points: readonly { x: number; y: number; u: number; fx: number; fy: number }[],
    couple: number,
  ): StressLine {
    const body = this.pack.leaves[leaf]!;
    const line: StressLine = { s: [], stress: [], clamped: this.clampedStress(leaf) };
    const at = (u: number, x: number, y: number, thick: number) => {
      let moment = couple;
      for (const p of points) if (p.u > u + 1e-9) moment += (p.y - y) * p.fx - (p.x - x) * p.fy;
      line.s.push(this.edge + u);
      line.stress.push((6 * moment) / (body.width * thick * thick));
    };
    const places = points
      .filter((p) => p.u < beam.nodes[beam.size]! && p.u > 0)
      .map((p) => {
        const e = beam.elementAt(p.u);
        const share = (p.u - beam.nodes[e - 1]!) / beam.elementLength(e);
        const mix = (v: Float64Array) => v[e - 1]! + share * (v[e]! - v[e - 1]!);
        return { u: p.u, x: mix(beam.x), y: mix(beam.y), thick: mix(beam.thickness) };
      });
    for (let k = 0; k <= beam.size; k++)
      places.push({ u: beam.nodes[k]!, x: beam.x[k]!, y: beam.y[k]!, thick: beam.thickness[k]! });
    for (const p of places.sort((a, b) => a.u - b.u)) at(p.u, p.x, p.y, p.thick);
    return line;
  }

  /**
   * Friction work per unit of end force, divided by μ: Σ N·|ds/dP| with s the slip of facing surfaces, mm.
   * The shape must be in equilibrium under `force`.
   */
  slipPerNewton(force: EndForce): number {
    const count = this.facings.length;
    if (count === 0) return 0;
    this.measure();
    this.balance(force);
    this.linearise();
    // With the contacts as they are: A δf = −(gap change of the end force alone).
    const growth = this.solver.solveActive(this.eyeGaps[0]);
    const turns = this.beams.map((beam) => new Float64Array(beam.size));
    turns[0]!.set(this.eyeAnswers[0]);
    for (let c = 0; c < count; c++) {
      const f = -growth[c]!;
      if (f === 0) continue;
      const { upper, lower } = this.facings[c]!;
      addScaled(turns[upper]!, f, this.answers, this.upperAt[c]!, turns[upper]!.length);
      addScaled(turns[lower]!, f, this.answers, this.lowerAt[c]!, turns[lower]!.length);
    }
    let total = 0;
    for (let c = 0; c < count; c++) {
      const normal = this.forces[c]!;
      const facing = this.facings[c]!;
      if (normal <= 0 || facing.slack !== undefined) continue;
      const g = this.gaps[c]!;
      const slide = (leaf: number, node: number) => {
        const beam = this.beams[leaf]!;
        const change = turns[leaf]!;
        let along = 0;
        let turn = 0;
        for (let k = 0; k < beam.size; k++) {
          const i = node * beam.size + k;
          along += (g.ny * beam.dx[i]! - g.nx * beam.dy[i]!) * change[k]!;
          turn += beam.dSlope[i]! * change[k]!;
        }
        const side = leaf === facing.upper ? 1 : -1;
        return side * along + (beam.thickness[node]! / 2) * turn;
      };
      const on = slide(facing.slave, facing.node);
      const under = (1 - g.at) * slide(facing.master, g.element - 1) + g.at * slide(facing.master, g.element);
      total += normal * abs(on + under);
    }
    return total;
  }
}
