import { type Pack } from '@/core/mechanics/leafpack/pack';

/*
 * A leaf spring in its shackle, written a second time and otherwise than in the core, to be the hidden truth of tests: every leaf is a
 * chain of stiff links with springs in its joints; eyes, shackle and facing surfaces are held by stiff springs of their own (penalty);
 * the potential energy of the whole spring, both halves and the seat at once, is brought to its minimum by Newton steps with a line
 * search. No contact set, no half packs, no moments. Plain and slow; good to about 0.1 mm.
 */

/** Link length aimed at, mm. */
const LINK = 26;
/** Stiffness of eyes and shackle, and of two surfaces on one another, N/mm. */
const HELD = 4e5;
const PRESSED = 4e5;

export interface ChainShackle {
  pivot: { x: number; y: number };
  length: number;
}
export interface ChainSpring {
  pack: Pick<Pack, 'leaves' | 'clamp' | 'youngs' | 'eyeOffset'>;
  /** null: the rear eye slides level behind the front one, as on a bench. */
  shackle: ChainShackle | null;
  /** On the seat, upwards, N. */
  load: number;
}
export interface ChainState {
  /** Of the main leaf at the pin, from the front eye, mm. */
  seat: { x: number; y: number };
  /** From the eye line down to the main leaf at the pin, mm. */
  arch: number;
  rearEye: { x: number; y: number };
  /** Every half leaf from its root to its tip, on its middle; mm. */
  halves: { leaf: number; side: 1 | -1; thickness: number; points: { x: number; y: number }[] }[];
}

interface Half {
  leaf: number;
  side: 1 | -1;
  /** Place of its first angle among the unknowns. */
  at: number;
  links: number;
  length: number;
  root: { x: number; y: number; slope: number };
  /** Of each joint, the root first: N·mm/rad, and the free leaf's turn there, rad. */
  joint: { stiffness: number; turn: number }[];
  thickness: number;
}

/** Free turn of a leaf between two arc lengths from the pin, rad. */
function freeTurn(curvature: number, flat: number, from: number, to: number): number {
  const past = (s: number) => Math.max(0, s - flat / 2);
  return curvature * (past(to) - past(from));
}

function halvesOf({ leaves, clamp, youngs }: ChainSpring['pack']): Half[] {
  const edge = clamp.kind === 'seat' ? clamp.length / 2 : 0;
  const main = leaves[0]!.curvature;
  const halves: Half[] = [];
  let deep = 0;
  leaves.forEach((leaf, i) => {
    if (i > 0) deep += (leaves[i - 1]!.thickness + leaf.thickness) / 2;
    for (const [side, tip] of [
      [-1, leaf.front],
      [1, leaf.rear],
    ] as const) {
      const free = tip - edge;
      if (free < 5) continue;
      const links = Math.max(2, Math.round(free / LINK));
      const length = free / links;
      const bending = (youngs * leaf.width * leaf.thickness ** 3) / 12;
      const radius = clamp.kind === 'seat' && clamp.shape === 'concentric' && main !== 0 ? 1 / main + deep : Infinity;
      const turn = edge / radius;
      const root = Number.isFinite(radius)
        ? { x: radius * Math.sin(turn), y: radius * (1 - Math.cos(turn)) - deep, slope: turn }
        : { x: edge, y: -deep, slope: 0 };
      const joint = Array.from({ length: links }, (_, j) => {
        const from = edge + (j === 0 ? 0 : (j - 0.5) * length);
        const to = edge + (j + 0.5) * length;
        return { stiffness: bending / (to - from), turn: freeTurn(leaf.curvature, leaf.flat ?? 0, from, to) };
      });
      halves.push({ leaf: i, side, at: 0, links, length, root, joint, thickness: leaf.thickness });
    }
  });
  // All of one side, then all of the other, the seat last: little fills in when the matrix is factorised.
  let at = 0;
  return halves
    .toSorted((p, q) => p.side - q.side || p.leaf - q.leaf)
    .map((half) => {
      const placed = { ...half, at };
      at += half.links;
      return placed;
    });
}

/** Energy, its slope and its curvature at a shape. */
class Potential {
  readonly halves: Half[];
  readonly size: number;
  /** Place of the seat among the unknowns: x, y and tilt. */
  readonly seatAt: number;
  energy = 0;
  readonly slope: Float64Array;
  readonly bend: Float64Array;
  private q: Float64Array = new Float64Array(0);
  /** Nodes of every half, x and y in turn, from its root to its tip. */
  private nodes: Float64Array[] = [];

  constructor(private readonly given: ChainSpring) {
    this.halves = halvesOf(given.pack);
    const last = this.halves.at(-1)!;
    this.seatAt = last.at + last.links;
    this.size = this.seatAt + 3;
    this.slope = new Float64Array(this.size);
    this.bend = new Float64Array(this.size ** 2);
  }

  /** Nodes of a half leaf as it was last placed. */
  pointsOf(half: number): { x: number; y: number }[] {
    const row = this.nodes[half]!;
    return Array.from({ length: row.length / 2 }, (_, j) => ({ x: row[2 * j]!, y: row[2 * j + 1]! }));
  }

  private get seat() {
    const [x, y, tilt] = this.q.subarray(this.seatAt);
    return { x: x!, y: y!, tilt: tilt! };
  }

  private place(): void {
    const { x, y, tilt } = this.seat;
    const [c, s] = [Math.cos(tilt), Math.sin(tilt)];
    this.nodes = this.halves.map(({ side, at, links, length, root }) => {
      const row = new Float64Array(2 * links + 2);
      row[0] = x + c * side * root.x - s * root.y;
      row[1] = y + s * side * root.x + c * root.y;
      for (let j = 0; j < links; j++) {
        row[2 * j + 2] = row[2 * j]! + length * side * Math.cos(this.q[at + j]!);
        row[2 * j + 3] = row[2 * j + 1]! + length * Math.sin(this.q[at + j]!);
      }
      return row;
    });
  }

  /** Adds (wx, wy) · ∂node to a row. */
  private addNode(row: Float64Array, half: Half, node: number, wx: number, wy: number): void {
    const { tilt } = this.seat;
    const [c, s] = [Math.cos(tilt), Math.sin(tilt)];
    const { side, root } = half;
    const seat = this.seatAt;
    row[seat]! += wx;
    row[seat + 1]! += wy;
    row[seat + 2]! += wx * (-s * side * root.x - c * root.y) + wy * (c * side * root.x - s * root.y);
    for (let j = 0; j < node; j++) {
      const angle = this.q[half.at + j]!;
      row[half.at + j]! += half.length * (wy * Math.cos(angle) - wx * side * Math.sin(angle));
    }
  }

  /** Adds (fx, fy) · ∂²node to the curvature: angles are those of the links themselves, so it stands on the diagonal. */
  private addNodeBend(half: Half, node: number, fx: number, fy: number): void {
    const { size, bend } = this;
    const { tilt } = this.seat;
    const [c, s] = [Math.cos(tilt), Math.sin(tilt)];
    const { side, root } = half;
    bend[(this.seatAt + 2) * (size + 1)]! -=
      fx * (c * side * root.x - s * root.y) + fy * (s * side * root.x + c * root.y);
    for (let j = 0; j < node; j++) {
      const angle = this.q[half.at + j]!;
      bend[(half.at + j) * (size + 1)]! -= half.length * (fx * side * Math.cos(angle) + fy * Math.sin(angle));
    }
  }

  private outer(row: Float64Array, weight: number): void {
    const { size, bend } = this;
    const there: number[] = [];
    for (let i = 0; i < size; i++) {
      if (row[i] === 0) continue;
      there.push(i);
      for (const j of there) bend[i * size + j]! += weight * row[i]! * row[j]!;
    }
  }

  /** Eye centre of a side of the main leaf. */
  eye(side: 1 | -1): { x: number; y: number; half: Half; angle: number; offset: number } {
    const k = this.halves.findIndex((h) => h.leaf === 0 && h.side === side);
    const half = this.halves[k]!;
    const row = this.nodes[k]!;
    const angle = this.q[half.at + half.links - 1]!;
    const offset = this.given.pack.eyeOffset[side === 1 ? 'rear' : 'front'];
    return {
      x: row.at(-2)! - offset * side * Math.sin(angle),
      y: row.at(-1)! + offset * Math.cos(angle),
      half,
      angle,
      offset,
    };
  }

  private eyeRow(side: 1 | -1, wx: number, wy: number): Float64Array {
    const { half, angle, offset } = this.eye(side);
    const row = new Float64Array(this.size);
    this.addNode(row, half, half.links, wx, wy);
    row[half.at + half.links - 1]! -= offset * (wx * side * Math.cos(angle) + wy * Math.sin(angle));
    return row;
  }

  /** ½·k·c² of something held: c, and which way it grows with an eye. */
  private hold(side: 1 | -1, c: number, wx: number, wy: number, full: boolean): void {
    this.energy += (HELD * c * c) / 2;
    if (!full) return;
    const { half } = this.eye(side);
    const row = this.eyeRow(side, wx, wy);
    for (let i = 0; i < this.size; i++) this.slope[i]! += HELD * c * row[i]!;
    this.outer(row, HELD);
    this.addNodeBend(half, half.links, HELD * c * wx, HELD * c * wy);
  }

  /** @param full also slope and curvature */
  at(q: Float64Array, full: boolean): number {
    this.q = q;
    this.place();
    this.energy = -this.given.load * q[this.seatAt + 1]!;
    if (full) {
      this.slope.fill(0);
      this.bend.fill(0);
      this.slope[this.seatAt + 1]! -= this.given.load;
    }
    this.addBending(full);
    const front = this.eye(-1);
    this.hold(-1, front.x, 1, 0, full);
    this.hold(-1, front.y, 0, 1, full);
    const rear = this.eye(1);
    const { shackle } = this.given;
    if (shackle) {
      const [dx, dy] = [rear.x - shackle.pivot.x, rear.y - shackle.pivot.y];
      const long = Math.hypot(dx, dy);
      const c = long - shackle.length;
      this.hold(1, c, dx / long, dy / long, full);
      if (full) this.outer(this.eyeRow(1, -dy / long, dx / long), (HELD * c) / long);
    } else this.hold(1, rear.y, 0, 1, full);
    this.addContacts(full);
    return this.energy;
  }

  private addBending(full: boolean): void {
    const { q, size, slope, bend } = this;
    const tilt = this.seatAt + 2;
    for (const { at, side, root, joint } of this.halves)
      joint.forEach(({ stiffness, turn }, j) => {
        const before = j === 0 ? root.slope + side * q[tilt]! : q[at + j - 1]!;
        const off = q[at + j]! - before - turn;
        this.energy += (stiffness * off * off) / 2;
        if (!full) return;
        const [inner, sign] = j === 0 ? [tilt, side] : [at + j - 1, 1];
        slope[at + j]! += stiffness * off;
        slope[inner]! -= sign * stiffness * off;
        bend[(at + j) * (size + 1)]! += stiffness;
        bend[inner * (size + 1)]! += stiffness;
        bend[Math.max(at + j, inner) * size + Math.min(at + j, inner)]! -= sign * stiffness;
      });
  }

  /** Nodes of a lower leaf against the links of the leaf above it. */
  private addContacts(full: boolean): void {
    this.halves.forEach((lower, k) => {
      const u = this.halves.findIndex((h) => h.leaf === lower.leaf - 1 && h.side === lower.side);
      if (u < 0) return;
      const [upper, above, own] = [this.halves[u]!, this.nodes[u]!, this.nodes[k]!];
      let link = 0;
      for (let j = 1; j <= lower.links; j++) {
        const [x, y] = [own[2 * j]!, own[2 * j + 1]!];
        while (link < upper.links - 1 && upper.side * (above[2 * link + 2]! - x) < 0) link += 1;
        const angle = this.q[upper.at + link]!;
        const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
        const [dx, dy] = [x - above[2 * link]!, y - above[2 * link + 1]!];
        // Normal of the link, upwards.
        const [nx, ny] = [-upper.side * sin, cos];
        const gap = -(nx * dx + ny * dy) - (upper.thickness + lower.thickness) / 2;
        if (gap >= 0) continue;
        this.energy += (PRESSED * gap * gap) / 2;
        if (!full) continue;
        const row = new Float64Array(this.size);
        this.addNode(row, lower, j, -nx, -ny);
        this.addNode(row, upper, link, nx, ny);
        row[upper.at + link]! += upper.side * cos * dx + sin * dy;
        for (let i = 0; i < this.size; i++) this.slope[i]! += PRESSED * gap * row[i]!;
        this.outer(row, PRESSED);
        this.addNodeBend(lower, j, -PRESSED * gap * nx, -PRESSED * gap * ny);
        this.addNodeBend(upper, link, PRESSED * gap * nx, PRESSED * gap * ny);
      }
    });
  }
}

/** Solves (bend + damping · diagonal) step = −slope; null where the matrix is not positive definite. */
function newtonStep({ size: n, bend, slope }: Potential, damping: number): Float64Array | null {
  const l = Float64Array.from(bend);
  for (let i = 0; i < n; i++) l[i * n + i]! += damping * (1 + Math.abs(bend[i * n + i]!));
  /** First place of each row that is not empty. */
  const first = Int32Array.from({ length: n }, (_, i) => {
    let j = 0;
    while (j < i && l[i * n + j] === 0) j += 1;
    return j;
  });
  for (let i = 0; i < n; i++)
    for (let j = first[i]!; j <= i; j++) {
      let sum = l[i * n + j]!;
      for (let k = Math.max(first[i]!, first[j]!); k < j; k++) sum -= l[i * n + k]! * l[j * n + k]!;
      if (i !== j) l[i * n + j] = sum / l[j * n + j]!;
      else if (sum > 1e-9) l[i * n + i] = Math.sqrt(sum);
      else return null;
    }
  const step = Float64Array.from(slope, (v) => -v);
  for (let i = 0; i < n; i++) {
    for (let k = 0; k < i; k++) step[i]! -= l[i * n + k]! * step[k]!;
    step[i]! /= l[i * n + i]!;
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let k = i + 1; k < n; k++) step[i]! -= l[k * n + i]! * step[k]!;
    step[i]! /= l[i * n + i]!;
  }
  return step;
}

/** Every leaf as it is free, seat level, front eye near its place. */
function startOf(potential: Potential): Float64Array {
  const q = new Float64Array(potential.size);
  for (const { at, links, root, joint } of potential.halves) {
    let slope = root.slope;
    for (let j = 0; j < links; j++) q[at + j] = slope += joint[j]!.turn;
  }
  potential.at(q, false);
  const eye = potential.eye(-1);
  q[potential.seatAt] = -eye.x;
  q[potential.seatAt + 1] = -eye.y;
  return q;
}

/** @throws Error where no minimum is found */
export function solveChain(given: ChainSpring): ChainState {
  // On a bench first: a shackle found from a free shape far off may stand on the wrong side of its pivot.
  const bench = new Potential({ ...given, shackle: null });
  const start = settle(bench, startOf(bench));
  if (!given.shackle) return stateOf(bench, start);
  const whole = new Potential(given);
  return stateOf(whole, settle(whole, start));
}

/** Newton steps with a line search from a shape to the least energy near by, in place. */
function settle(potential: Potential, q: Float64Array): Float64Array {
  let damping = 0;
  for (let pass = 0; pass < 400; pass++) {
    const energy = potential.at(q, true);
    const step = newtonStep(potential, damping);
    if (!step) {
      damping = damping === 0 ? 1e-6 : damping * 10;
      if (damping > 1e3) break;
      continue;
    }
    const turned = Math.max(...step.subarray(0, -3).map(Math.abs), Math.abs(step.at(-1)!));
    let share = Math.min(1, 0.15 / turned);
    const next = new Float64Array(q.length);
    let better = false;
    for (let tries = 0; tries < 30 && !better; tries++, share /= 2) {
      for (let i = 0; i < q.length; i++) next[i] = q[i]! + share * step[i]!;
      better = potential.at(next, false) <= energy + 1e-9 * Math.abs(energy);
    }
    q.set(next);
    if (turned < 1e-8 || (turned < 1e-6 && !better)) return q;
    damping = share > 0.4 ? damping / 10 : damping;
    if (damping < 1e-9) damping = 0;
  }
  throw new Error('the chain found no equilibrium');
}

function stateOf(potential: Potential, q: Float64Array): ChainState {
  potential.at(q, false);
  const [front, rear] = [potential.eye(-1), potential.eye(1)];
  const seat = { x: q[potential.seatAt]!, y: q[potential.seatAt + 1]! };
  const long = Math.hypot(rear.x - front.x, rear.y - front.y);
  const arch = -((rear.x - front.x) * (seat.y - front.y) - (rear.y - front.y) * (seat.x - front.x)) / long;
  const halves = potential.halves.map(({ leaf, side, thickness }, k) => ({
    ...{ leaf, side, thickness },
    points: potential.pointsOf(k),
  }));
  return { seat, arch, rearEye: { x: rear.x, y: rear.y }, halves };
}
