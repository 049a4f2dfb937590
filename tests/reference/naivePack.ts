/**
 * A second, plainer model of half a pack, to hold the first one against: every leaf a chain of short elements whose tip
 * deflections are summed from bending moments by the trapezoid rule, contact at many stations by projected relaxation. Slow,
 * linear, written without looking at the core. Cantilevers clamped at u = 0; lengths mm, forces N.
 */
export interface NaiveLeaf {
  reach: number;
  width: number;
  thickness: number;
  /** Free curvature, 1/mm. */
  curvature: number;
}

const YOUNGS = 206_800;
const ELEMENTS = 240;

/** Deflection at `at` of a cantilever under a unit force at `force`, by numerical integration of m(s)·M(s)/EI. */
function flexibility(leaf: NaiveLeaf, at: number, force: number): number {
  const ei = (YOUNGS * leaf.width * leaf.thickness ** 3) / 12;
  const end = Math.min(at, force);
  const h = end / ELEMENTS;
  let sum = 0;
  for (let k = 0; k <= ELEMENTS; k++) {
    const s = k * h;
    const weight = k === 0 || k === ELEMENTS ? 0.5 : 1;
    sum += weight * (at - s) * (force - s);
  }
  return (sum * h) / ei;
}

export interface NaiveAnswer {
  /** Rise of the main leaf's end above its clamp, mm. */
  rise: number;
  /** Sum of contact forces on the main leaf, N. */
  support: number;
}

/** @param endLoad N down on the main leaf's end @param stations contact stations a leaf */
export function naiveHalf(leaves: readonly NaiveLeaf[], endLoad: number, stations = 14): NaiveAnswer {
  const pairs = leaves
    .slice(1)
    .flatMap((lower, i) =>
      Array.from({ length: stations }, (_, k) => ({ upper: i, lower: i + 1, u: (lower.reach * (k + 1)) / stations })),
    );
  const main = leaves[0]!;
  /** Gap of facing surfaces at a station with every leaf at its free shape. */
  const gap = pairs.map(({ upper, lower, u }) => {
    const [a, b] = [leaves[upper]!, leaves[lower]!];
    const under = a.curvature / (1 + (a.curvature * a.thickness) / 2);
    const over = b.curvature / (1 - (b.curvature * b.thickness) / 2);
    return ((under - over) * u * u) / 2 - (upper === 0 ? endLoad * flexibility(main, u, main.reach) : 0);
  });
  const matrix = pairs.map((p) =>
    pairs.map((q) => {
      let sum = 0;
      if (p.upper === q.upper) sum += flexibility(leaves[p.upper]!, p.u, q.u);
      if (p.upper === q.lower) sum -= flexibility(leaves[p.upper]!, p.u, q.u);
      if (p.lower === q.upper) sum -= flexibility(leaves[p.lower]!, p.u, q.u);
      if (p.lower === q.lower) sum += flexibility(leaves[p.lower]!, p.u, q.u);
      return sum;
    }),
  );
  const forces = pairs.map(() => 0);
  for (let sweep = 0; sweep < 40_000; sweep++) {
    let moved = 0;
    for (let i = 0; i < pairs.length; i++) {
      const row = matrix[i]!;
      let open = gap[i]!;
      for (let j = 0; j < pairs.length; j++) open += row[j]! * forces[j]!;
      const next = Math.max(0, forces[i]! - open / row[i]!);
      moved = Math.max(moved, Math.abs(next - forces[i]!));
      forces[i] = next;
    }
    if (moved < 1e-5) break;
  }
  let rise = (main.curvature * main.reach ** 2) / 2 - endLoad * flexibility(main, main.reach, main.reach);
  let support = 0;
  pairs.forEach(({ upper, u }, i) => {
    if (upper !== 0) return;
    rise += forces[i]! * flexibility(main, main.reach, u);
    support += forces[i]!;
  });
  return { rise, support };
}
