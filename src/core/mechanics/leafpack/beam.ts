import { factorize, substitute } from '../../cholesky';

const { cos, max, min, sin, sqrt } = Math;

/** One half of a leaf as a beam held at its root. Lengths mm along its own mid-surface from the root outwards. */
export interface BeamShape {
  /** Arc length of each node from the root, mm; the first is 0. */
  nodes: readonly number[];
  /** Bending stiffness at an arc length, N·mm². */
  stiffness: (u: number) => number;
  /** The same everywhere: nothing needs integrating numerically. */
  uniform: boolean;
  /** Thickness at an arc length, mm. */
  thickness: (u: number) => number;
}

/** Gauss points of a half element on [0, 1] (Abramowitz and Stegun 25.4.30, three points). */
const GAUSS = [
  { at: (1 - sqrt(0.6)) / 2, weight: 5 / 18 },
  { at: 0.5, weight: 8 / 18 },
  { at: (1 + sqrt(0.6)) / 2, weight: 5 / 18 },
];

/**
 * An inextensible beam of any bend (Euler's elastica): the unknowns are bending moments at nodes, linear between them,
 * so that the curvature is κ = κ₀ − M/EI and a straight beam under forces at nodes is answered exactly, tapered or not.
 * Slopes follow from curvature, positions from slopes by Simpson's rule; forces come back by the transposed sums, so
 * that virtual work holds to rounding and the strain energy ½∫M²/EI is a true potential.
 */
export class Beam {
  /** Number of elements. */
  readonly size: number;
  readonly nodes: Float64Array;
  readonly thickness: Float64Array;
  /** Flattening moment at each node, N·mm; the last is the moment applied at the tip. */
  readonly moment: Float64Array;
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly slope: Float64Array;
  readonly cos: Float64Array;
  readonly sin: Float64Array;
  /** Forces (N) and couples (N·mm) applied at the nodes. */
  readonly forceX: Float64Array;
  readonly forceY: Float64Array;
  readonly couple: Float64Array;
  /** What the potential's slope in each nodal moment is off zero: mm-radians, 0 in equilibrium. */
  readonly residual: Float64Array;

  /** ∂x, ∂y and ∂slope of node j by moment k, row j; of the last `linearise`. */
  readonly dx: Float64Array;
  readonly dy: Float64Array;
  readonly dSlope: Float64Array;

  private readonly length: Float64Array;
  private readonly midSin: Float64Array;
  private readonly midCos: Float64Array;
  /** Slope of the free leaf over each element, whole and first half, rad. */
  private readonly freeTurn: Float64Array;
  private readonly freeTurnMid: Float64Array;
  /** Slope taken out of an element by unit moments at its inner and outer node: whole and first half, 1/(N·mm). */
  private readonly turnInner: Float64Array;
  private readonly turnOuter: Float64Array;
  private readonly turnInnerMid: Float64Array;
  private readonly turnOuterMid: Float64Array;
  /** Compliance matrix ∫ N N / EI: diagonal and the one beside it. */
  private readonly diagonal: Float64Array;
  private readonly beside: Float64Array;
  private readonly factor: Float64Array;
  private readonly dMid: Float64Array;
  private root = { x: 0, y: 0, slope: 0 };

  /** @param size number of elements */
  constructor(size: number) {
    const line = () => new Float64Array(size + 1);
    const table = () => new Float64Array((size + 1) * size);
    this.size = size;
    this.nodes = line();
    this.thickness = line();
    this.moment = line();
    this.x = line();
    this.y = line();
    this.slope = line();
    this.cos = line();
    this.sin = line();
    this.forceX = line();
    this.forceY = line();
    this.couple = line();
    this.residual = line();
    this.dx = table();
    this.dy = table();
    this.dSlope = table();
    this.dMid = table();
    this.length = line();
    this.midSin = line();
    this.midCos = line();
    this.freeTurn = line();
    this.freeTurnMid = line();
    this.turnInner = line();
    this.turnOuter = line();
    this.turnInnerMid = line();
    this.turnOuterMid = line();
    this.diagonal = line();
    this.beside = line();
    this.factor = new Float64Array(size * size);
  }

  /** Gives the beam its section and nodes, as many as it was made for. Moments and the last matrices stay. */
  shape({ nodes, stiffness, uniform, thickness }: BeamShape): void {
    for (const sums of [
      this.turnInner,
      this.turnOuter,
      this.turnInnerMid,
      this.turnOuterMid,
      this.diagonal,
      this.beside,
    ])
      sums.fill(0);
    for (let k = 0; k <= this.size; k++) {
      this.nodes[k] = nodes[k]!;
      this.thickness[k] = thickness(nodes[k]!);
    }
    for (let e = 1; e <= this.size; e++) this.integrate(stiffness, uniform, e);
    this.tabulateSlopes();
  }

  private integrate(stiffness: BeamShape['stiffness'], uniform: boolean, e: number): void {
    const from = this.nodes[e - 1]!;
    const h = this.nodes[e]! - from;
    this.length[e] = h;
    if (uniform) {
      const per = h / stiffness(from);
      this.turnInner[e] = per / 2;
      this.turnOuter[e] = per / 2;
      this.turnInnerMid[e] = (3 * per) / 8;
      this.turnOuterMid[e] = per / 8;
      this.diagonal[e - 1]! += per / 3;
      this.diagonal[e]! += per / 3;
      this.beside[e] = per / 6;
      return;
    }
    for (const half of [0, 0.5])
      for (const { at, weight } of GAUSS) {
        const outer = half + at / 2;
        const inner = 1 - outer;
        const per = (weight * h) / 2 / stiffness(from + outer * h);
        this.turnInner[e]! += per * inner;
        this.turnOuter[e]! += per * outer;
        if (half === 0) {
          this.turnInnerMid[e]! += per * inner;
          this.turnOuterMid[e]! += per * outer;
        }
        this.diagonal[e - 1]! += per * inner * inner;
        this.diagonal[e]! += per * outer * outer;
        this.beside[e]! += per * inner * outer;
      }
  }

  /** Slopes depend on the moments alone, never on the shape. */
  private tabulateSlopes(): void {
    const n = this.size;
    const { dSlope, dMid } = this;
    for (let e = 1; e <= n; e++) {
      const row = e * n;
      for (let k = 0; k < n; k++) {
        const before = dSlope[row - n + k]!;
        dSlope[row + k] = before;
        dMid[row + k] = before;
      }
      dSlope[row + e - 1]! -= this.turnInner[e]!;
      dMid[row + e - 1]! -= this.turnInnerMid[e]!;
      if (e < n) {
        dSlope[row + e]! -= this.turnOuter[e]!;
        dMid[row + e]! -= this.turnOuterMid[e]!;
      }
    }
  }

  /** Gives the leaf its free curve: slope gained from the root to an arc length, rad. */
  recurve(freeSlope: (u: number) => number): void {
    for (let e = 1; e <= this.size; e++) {
      const from = freeSlope(this.nodes[e - 1]!);
      this.freeTurn[e] = freeSlope(this.nodes[e]!) - from;
      this.freeTurnMid[e] = freeSlope((this.nodes[e - 1]! + this.nodes[e]!) / 2) - from;
    }
  }

  /** The same for a circular leaf of one curvature, 1/mm. */
  bend(curvature: number): void {
    for (let e = 1; e <= this.size; e++) {
      this.freeTurn[e] = curvature * this.length[e]!;
      this.freeTurnMid[e] = this.freeTurn[e]! / 2;
    }
  }

  /** Holds the root at a place (mm) and slope (rad). */
  hold(x: number, y: number, slope: number): void {
    this.root = { x, y, slope };
  }

  /** Places the leaf from its moments. */
  place(): void {
    const { moment, x, y, slope } = this;
    x[0] = this.root.x;
    y[0] = this.root.y;
    slope[0] = this.root.slope;
    this.cos[0] = cos(slope[0]);
    this.sin[0] = sin(slope[0]);
    for (let e = 1; e <= this.size; e++) {
      const inner = moment[e - 1]!;
      const outer = moment[e]!;
      const from = slope[e - 1]!;
      const mid = from + this.freeTurnMid[e]! - this.turnInnerMid[e]! * inner - this.turnOuterMid[e]! * outer;
      const to = from + this.freeTurn[e]! - this.turnInner[e]! * inner - this.turnOuter[e]! * outer;
      slope[e] = to;
      const c = cos(to);
      const s = sin(to);
      const cm = cos(mid);
      const sm = sin(mid);
      this.cos[e] = c;
      this.sin[e] = s;
      this.midCos[e] = cm;
      this.midSin[e] = sm;
      const sixth = this.length[e]! / 6;
      x[e] = x[e - 1]! + sixth * (this.cos[e - 1]! + 4 * cm + c);
      y[e] = y[e - 1]! + sixth * (this.sin[e - 1]! + 4 * sm + s);
    }
  }

  clearForces(): void {
    this.forceX.fill(0);
    this.forceY.fill(0);
    this.couple.fill(0);
  }

  /** Sets `residual` to the slope of the potential: bending less the work of the applied forces. */
  balance(): void {
    const n = this.size;
    const { moment, residual } = this;
    for (let k = 0; k < n; k++) {
      let sum = this.diagonal[k]! * moment[k]! + this.beside[k + 1]! * moment[k + 1]!;
      if (k > 0) sum += this.beside[k]! * moment[k - 1]!;
      residual[k] = sum;
    }
    let beyondX = 0;
    let beyondY = 0;
    /** Work per unit turn of everything from the element's outer node on. */
    let turning = 0;
    for (let e = n; e >= 1; e--) {
      const sixth = this.length[e]! / 6;
      beyondX += this.forceX[e]!;
      beyondY += this.forceY[e]!;
      turning += this.couple[e]! + sixth * (beyondY * this.cos[e]! - beyondX * this.sin[e]!);
      const mid = 4 * sixth * (beyondY * this.midCos[e]! - beyondX * this.midSin[e]!);
      residual[e - 1]! += this.turnInner[e]! * turning + this.turnInnerMid[e]! * mid;
      if (e < n) residual[e]! += this.turnOuter[e]! * turning + this.turnOuterMid[e]! * mid;
      turning += mid + sixth * (beyondY * this.cos[e - 1]! - beyondX * this.sin[e - 1]!);
    }
  }

  /** Work matrices of the present shape and forces, kept until the next call. */
  linearise(): void {
    const n = this.size;
    const { dx, dy, dSlope, dMid } = this;
    for (let e = 1; e <= n; e++) {
      const row = e * n;
      const sixth = this.length[e]! / 6;
      const [s0, c0, s1, c1, sm, cm] = [
        sixth * this.sin[e - 1]!,
        sixth * this.cos[e - 1]!,
        sixth * this.sin[e]!,
        sixth * this.cos[e]!,
        4 * sixth * this.midSin[e]!,
        4 * sixth * this.midCos[e]!,
      ];
      for (let k = 0; k < n; k++) {
        if (k > e) {
          dx[row + k] = 0;
          dy[row + k] = 0;
          continue;
        }
        const from = dSlope[row - n + k]!;
        const mid = dMid[row + k]!;
        const to = dSlope[row + k]!;
        dx[row + k] = dx[row - n + k]! - s0 * from - sm * mid - s1 * to;
        dy[row + k] = dy[row - n + k]! + c0 * from + cm * mid + c1 * to;
      }
    }
    this.assemble(true);
    if (!factorize(this.factor, n)) {
      // Beyond its buckling load in this shape: the bending part alone is always positive definite.
      this.assemble(false);
      factorize(this.factor, n);
    }
  }

  /** Second derivative of the potential: compliance and, with `stretched`, the change of lever arms of the forces beyond. */
  private assemble(stretched: boolean): void {
    const n = this.size;
    const { factor, dSlope, dMid } = this;
    factor.fill(0);
    for (let k = 0; k < n; k++) {
      factor[k * n + k] = this.diagonal[k]!;
      if (k > 0) factor[k * n + k - 1] = this.beside[k]!;
    }
    if (!stretched) return;
    let beyondX = 0;
    let beyondY = 0;
    const spread = (row: Float64Array, at: number, weight: number, most: number) => {
      for (let k = 0; k <= most; k++) {
        const w = weight * row[at + k]!;
        for (let l = 0; l <= k; l++) factor[k * n + l]! += w * row[at + l]!;
      }
    };
    for (let e = n; e >= 1; e--) {
      const sixth = this.length[e]! / 6;
      const tension = (c: number, s: number) => beyondX * c + beyondY * s;
      // The outer node of this element is the inner node of the next: both shares at once.
      const inwards = e < n ? (this.length[e + 1]! / 6) * tension(this.cos[e]!, this.sin[e]!) : 0;
      beyondX += this.forceX[e]!;
      beyondY += this.forceY[e]!;
      spread(dSlope, e * n, inwards + sixth * tension(this.cos[e]!, this.sin[e]!), min(e, n - 1));
      spread(dMid, e * n, 4 * sixth * tension(this.midCos[e]!, this.midSin[e]!), min(e, n - 1));
    }
  }

  /** Solves H z = v of the last linearisation in place; `v` holds `size` values from `at`. */
  solve(v: Float64Array, at = 0): void {
    substitute(this.factor, this.size, v, at);
  }

  /** ½ ∫ M²/EI ds, N·mm. */
  energy(): number {
    let sum = 0;
    for (let k = 0; k <= this.size; k++) {
      sum += (this.diagonal[k]! * this.moment[k]! * this.moment[k]!) / 2;
      if (k > 0) sum += this.beside[k]! * this.moment[k - 1]! * this.moment[k]!;
    }
    return sum;
  }

  /** Turn of the tip per couple on it, rad/(N·mm). */
  turnGive(): number {
    let sum = 0;
    for (let e = 1; e <= this.size; e++) sum += this.turnInner[e]! + this.turnOuter[e]!;
    return sum;
  }

  /** Length of element e (1 to `size`), mm. */
  elementLength(e: number): number {
    return this.length[e]!;
  }

  /** Element whose inner node lies at or before u: 1 to `size`. */
  elementAt(u: number): number {
    let e = 1;
    while (e < this.size && this.nodes[e]! < u) e += 1;
    return max(1, e);
  }
}
