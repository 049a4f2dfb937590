import { CoreError } from '../../errors';
import { factorize, substitute } from '../../cholesky';

const { abs, max } = Math;

/** Dense symmetric matrix, row by row. */
export interface Dense {
  size: number;
  values: Float64Array;
}

/** Cholesky factor of the rows and columns of `a` listed in `pick`; throws when not positive definite. */
function factor(a: Dense, pick: Int32Array): Float64Array {
  const n = pick.length;
  const l = new Float64Array(n * n);
  for (let i = 0; i < n; i++) {
    const row = pick[i]! * a.size;
    for (let j = 0; j <= i; j++) l[i * n + j] = a.values[row + pick[j]!]!;
  }
  if (!factorize(l, n)) throw new CoreError('no-convergence', 'contact', 'contact matrix lost positive definiteness');
  return l;
}

/**
 * Exact unilateral step: forces f ≥ 0 with gaps g = g0 + A f ≥ 0 and f·g = 0, for symmetric positive definite A.
 * Block principal pivoting (Júdice & Pires 1994) with single-index fall-back, which ends in finitely many steps.
 * Keeps the contact set and its factor between calls, so that a small change of load costs one back-substitution.
 */
export class ContactSolver {
  private active: boolean[];
  private pick = new Int32Array(0);
  private readonly order: Int32Array;
  private l: Float64Array | undefined;
  /** Counts factors made: the same number, the same contact set and matrix. */
  factors = 0;
  /** Kept between calls: thousands of small solves a second would otherwise spend their time on memory. */
  private readonly part: Float64Array;
  private readonly full: Float64Array;
  private readonly load: Float64Array;

  /** @param like a solver of a similar problem, whose contact set is the first guess when the sizes agree */
  constructor(
    private readonly a: Dense,
    like?: ContactSolver,
  ) {
    this.active = like?.active.length === a.size ? [...like.active] : new Array<boolean>(a.size).fill(false);
    this.order = new Int32Array(a.size);
    this.part = new Float64Array(a.size);
    this.full = new Float64Array(a.size);
    this.load = new Float64Array(a.size);
  }

  /** The matrix was changed in place: the contact set is kept, its factor is not. */
  renew(): void {
    this.l = undefined;
  }

  /**
   * Forces that answer `load` (one value per point) on the current contact set, nothing else changed.
   * The array is the solver's own and changes with the next call.
   */
  solveActive(load: Float64Array): Float64Array {
    if (!this.l) {
      let count = 0;
      for (let i = 0; i < this.a.size; i++) if (this.active[i]) this.order[count++] = i;
      this.pick = this.order.slice(0, count);
      this.l = factor(this.a, this.pick);
      this.factors += 1;
    }
    const { part, full } = this;
    const n = this.pick.length;
    for (let k = 0; k < n; k++) part[k] = load[this.pick[k]!]!;
    substitute(this.l, n, part);
    full.fill(0);
    for (let k = 0; k < n; k++) full[this.pick[k]!] = part[k]!;
    return full;
  }

  /** @param g0 gaps without contact forces, mm @returns contact forces, N; the solver's own array, see `solveActive` */
  solve(g0: Float64Array): Float64Array {
    const n = this.a.size;
    const { values } = this.a;
    const { load } = this;
    let scale = 1e-6;
    for (let i = 0; i < n; i++) {
      load[i] = -g0[i]!;
      scale = max(scale, abs(g0[i]!));
    }
    // A gap of a picometre is none: nested leaves without load lie on one another to the last digit, where rounding decides.
    const gapSlack = max(1e-9, 1e-10 * scale);
    let best = n + 1;
    let tries = 8;
    for (let pass = 0; pass < 60 * (n + 4); pass++) {
      const force = this.solveActive(load);
      const { pick } = this;
      let largest = 0;
      for (let i = 0; i < n; i++) largest = max(largest, abs(force[i]!));
      const wrong: number[] = [];
      for (let i = 0; i < n; i++) {
        if (this.active[i]) {
          if (force[i]! < -1e-10 * largest) wrong.push(i);
          continue;
        }
        let gap = g0[i]!;
        const row = i * n;
        for (let k = 0; k < pick.length; k++) gap += values[row + pick[k]!]! * force[pick[k]!]!;
        if (gap < -gapSlack) wrong.push(i);
      }
      if (wrong.length === 0) {
        for (let i = 0; i < n; i++) if (force[i]! < 0) force[i] = 0;
        return force;
      }
      let flip: readonly number[];
      if (wrong.length < best) {
        best = wrong.length;
        tries = 8;
        flip = wrong;
      } else if (tries > 0) {
        tries -= 1;
        flip = wrong;
      } else flip = wrong.slice(-1);
      for (const i of flip) this.active[i] = !this.active[i];
      this.l = undefined;
    }
    throw new CoreError('no-convergence', 'contact', `contact set of ${n} points did not settle`);
  }
}
