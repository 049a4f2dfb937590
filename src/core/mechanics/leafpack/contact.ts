import { type Beam } from './beam';

const { abs, max, min, sqrt } = Math;

/** A node of one leaf that may press on the facing surface of another; or a clip that may pull them together. */
export interface Facing {
  upper: number;
  lower: number;
  /** The leaf that owns the node, and the one whose surface it faces. */
  slave: number;
  master: number;
  /** The node's number on the slave. */
  node: number;
  /** Arc length from the clamp edge, mm. */
  u: number;
  /** Spacer on the slave's face there (a tip pad or liner), mm. */
  pad: number;
  /** Present for a clip: how much looser than touching the leaves may hang, mm, less what lies between. */
  slack?: number;
}

/** The derivative of a gap by positions (mm/mm) and slopes (mm/rad) of the nodes it depends on. */
export interface GapSlope {
  gap: number;
  /** Element of the master, and the place in it, 0 to 1. */
  element: number;
  at: number;
  /** Unit normal of the master, upwards. */
  nx: number;
  ny: number;
  slaveX: number;
  slaveY: number;
  slaveTurn: number;
  innerX: number;
  innerY: number;
  innerTurn: number;
  outerX: number;
  outerY: number;
  outerTurn: number;
}

export const blankSlope = (): GapSlope => ({
  gap: 0,
  element: 1,
  at: 0.5,
  nx: 0,
  ny: 1,
  slaveX: 0,
  slaveY: 0,
  slaveTurn: 0,
  innerX: 0,
  innerY: 0,
  innerTurn: 0,
  outerX: 0,
  outerY: 0,
  outerTurn: 0,
});

/** Nodes that the leaves of a half pack share. */
export interface Grid {
  /** Arc lengths from the clamp edge; one at every tip, the rest evenly between. */
  stations: number[];
  /** How many stations each given end reaches; its own last node stands at its own length. */
  reached: number[];
  /** Elements of each stretch between tips. */
  parts: number[];
}

/**
 * Lays stations between the clamp edge and the longest end. Ends closer together than a hundredth of the longest share
 * one station. @param divisions elements along the longest, about, or the parts of a grid to be like
 * @returns undefined when the ends do not follow one another as in the grid to be like
 */
export function gridOf(ends: readonly number[], divisions: number | Grid): Grid | undefined {
  const longest = max(0, ...ends);
  const order = ends.map((_, i) => i).sort((a, b) => ends[a]! - ends[b]!);
  const grid: Grid = { stations: [], reached: ends.map(() => 0), parts: [] };
  let from = 0;
  let k = 0;
  while (k < order.length) {
    const start = ends[order[k]!]!;
    let last = k;
    while (last + 1 < order.length && ends[order[last + 1]!]! - start < longest / 100) last += 1;
    const end = ends[order[last]!]!;
    if (end > 1) {
      const parts =
        typeof divisions === 'number'
          ? max(1, Math.round(((end - from) / longest) * divisions))
          : divisions.parts[grid.parts.length];
      if (parts === undefined) return undefined;
      grid.parts.push(parts);
      for (let j = 1; j <= parts; j++) grid.stations.push(j === parts ? end : from + ((end - from) * j) / parts);
      for (let j = k; j <= last; j++) grid.reached[order[j]!] = grid.stations.length;
      from = end;
    }
    k = last + 1;
  }
  if (typeof divisions !== 'number' && grid.reached.some((n, i) => n !== divisions.reached[i])) return undefined;
  return grid;
}

/** Every pair of leaves that face one another at a station, skipping shorter ones that end before it. */
export function facingPairs(
  reaches: readonly number[],
  { stations, reached }: Grid,
  padOf: (leaf: number, atTip: boolean) => number,
): Facing[] {
  const found: Facing[] = [];
  stations.forEach((station, k) => {
    let upper = -1;
    for (let lower = 0; lower < reaches.length; lower++) {
      if (reached[lower]! <= k) continue;
      if (upper >= 0) {
        const ends = (leaf: number) => reached[leaf] === k + 1;
        const byUpper = ends(upper) && (!ends(lower) || reaches[upper]! < reaches[lower]!);
        const slave = byUpper ? upper : lower;
        const u = ends(slave) ? reaches[slave]! : station;
        found.push({
          upper,
          lower,
          slave,
          master: byUpper ? lower : upper,
          node: k + 1,
          u,
          pad: padOf(lower, ends(lower)),
        });
      }
      upper = lower;
    }
  });
  return found;
}

/**
 * Distance between facing surfaces of two bent leaves at a slave node, along the master's normal, with its exact
 * derivatives. The master is a cubic through its nodes and slopes; the foot of the normal is found by Newton's method
 * from the last one, so that the distance does not depend on it to first order.
 * @param passes corrections of the foot at most; few will do where the leaves stand well apart
 */
export function measureGap(facing: Facing, slave: Beam, master: Beam, out: GapSlope, passes = 12): void {
  const j = facing.node;
  const face = facing.slave === facing.lower ? 1 : -1;
  const half = slave.thickness[j]! / 2 + facing.pad;
  const sx = slave.x[j]! - face * half * slave.sin[j]!;
  const sy = slave.y[j]! + face * half * slave.cos[j]!;
  let { element, at } = out;
  let h = 0;
  let h00 = 0;
  let h10 = 0;
  let h11 = 0;
  let tx = 1;
  let ty = 0;
  let rx = 0;
  let ry = 0;
  for (let pass = 0; ; pass++) {
    const i = element - 1;
    const o = element;
    h = master.elementLength(element);
    const a2 = at * at;
    const a3 = a2 * at;
    h00 = 2 * a3 - 3 * a2 + 1;
    h10 = (a3 - 2 * a2 + at) * h;
    h11 = (a3 - a2) * h;
    rx = h00 * master.x[i]! + h10 * master.cos[i]! + (1 - h00) * master.x[o]! + h11 * master.cos[o]!;
    ry = h00 * master.y[i]! + h10 * master.sin[i]! + (1 - h00) * master.y[o]! + h11 * master.sin[o]!;
    const d00 = (6 * a2 - 6 * at) / h;
    const d10 = 3 * a2 - 4 * at + 1;
    const d11 = 3 * a2 - 2 * at;
    tx = d00 * (master.x[i]! - master.x[o]!) + d10 * master.cos[i]! + d11 * master.cos[o]!;
    ty = d00 * (master.y[i]! - master.y[o]!) + d10 * master.sin[i]! + d11 * master.sin[o]!;
    const along = ((sx - rx) * tx + (sy - ry) * ty) / (tx * tx + ty * ty);
    if (abs(along) < 1e-6 * h || pass >= passes) break;
    at += along / h;
    if (at < 0 && element > 1) {
      const wanted = at * h;
      element -= 1;
      at = max(-0.5, 1 + wanted / master.elementLength(element));
    } else if (at > 1 && element < master.size) {
      const wanted = (at - 1) * h;
      element += 1;
      at = min(1.5, wanted / master.elementLength(element));
    } else at = min(1.5, max(-0.5, at));
  }
  const long = sqrt(tx * tx + ty * ty);
  tx /= long;
  ty /= long;
  const nx = -ty;
  const ny = tx;
  const inner = master.thickness[element - 1]!;
  const thick = inner + at * (master.thickness[element]! - inner);
  const apart = face * ((rx - sx) * nx + (ry - sy) * ny) - thick / 2;
  const sign = facing.slack === undefined ? face : -face;
  out.gap = facing.slack === undefined ? apart : facing.slack - apart;
  out.element = element;
  out.at = at;
  out.nx = nx;
  out.ny = ny;
  out.slaveX = -sign * nx;
  out.slaveY = -sign * ny;
  out.slaveTurn = sign * face * half * (nx * slave.cos[j]! + ny * slave.sin[j]!);
  out.innerX = sign * h00 * nx;
  out.innerY = sign * h00 * ny;
  out.innerTurn = sign * h10 * (ny * master.cos[element - 1]! - nx * master.sin[element - 1]!);
  out.outerX = sign * (1 - h00) * nx;
  out.outerY = sign * (1 - h00) * ny;
  out.outerTurn = sign * h11 * (ny * master.cos[element]! - nx * master.sin[element]!);
}
