import { CoreError, requireNumber } from '../../errors';
import { leafInertia } from '../../material/steel';
import { factorize, substitute } from '../../cholesky';

export type End = 'front' | 'rear';

/** One leaf as the solver sees it. Lengths are arc lengths on the leaf's own mid-surface, mm. */
export interface Leaf {
  /** Centre bolt to front end, mm (20–2500). */
  front: number;
  /** Centre bolt to rear end, mm (20–2500). */
  rear: number;
  /** mm (10–300). */
  width: number;
  /** mm (1–60). */
  thickness: number;
  /** Free curvature of the mid-surface, 1/mm; positive with the ends up, 0 = flat. At the pin when `curve` is given. */
  curvature: number;
  /** Free curvature along a leaf that is no circle: by arc length from the pin, negative in front; see `tracedCurve`. */
  curve?: readonly { s: number; curvature: number }[];
  /** Formed straight over this length about the pin by its maker, and bent to `curvature` beyond it, mm (0–600); absent for one even arc. */
  flat?: number;
  /** Thickness at both ends of a leaf that thins parabolically from the seat's edge, mm; absent = even thickness. */
  tipThickness?: number;
  /**
   * Leaves that thin out and under which this one was formed to nest, itself among them: its free slope gains what their faces fall
   * back, each by its weight.
   */
  nests?: readonly { leaf: Pick<Leaf, 'front' | 'rear' | 'thickness' | 'tipThickness'>; weight: number }[];
  /** Liner between this leaf and the one above, full length, mm. */
  liner?: number;
  /** Pad on the top face at each tip, besides a liner, mm. */
  tipPad?: number;
  /** Spacer at the seat between this leaf and the one above (an overload leaf set down), mm. */
  spacer?: number;
  /** Where the leaf is broken, mm from the pin: the outer piece carries nothing. */
  broken?: { end: End; at: number };
}

/** A rebound clip: holds a lower leaf to the main leaf once its play is used up. */
export interface Clip {
  end: End;
  /** mm from the pin, on the held leaf. */
  at: number;
  /** The lowest leaf inside it, counted from the main leaf = 0. */
  holds: number;
  /** Play, mm (0.1–50). */
  slack: number;
}

/** How the pack is held at the centre. Lengths in mm along the main leaf. */
export type Clamp =
  | { kind: 'bolt' }
  /** Rigid over |s| ≤ length/2; all leaves flat, or all concentric with the main leaf's free curve. */
  | { kind: 'seat'; length: number; shape: 'flat' | 'concentric' };

/** Leaves from the main leaf down. */
export interface Pack {
  leaves: readonly Leaf[];
  clamp: Clamp;
  /** Young's modulus, MPa. */
  youngs: number;
  /** Eye centre above (+, upturned) or below (−) the main leaf's mid-surface at its end, mm. */
  eyeOffset: { front: number; rear: number };
  /** Interleaf friction coefficient, 0–1. */
  friction: number;
  clips?: readonly Clip[];
}

/** Length of the rigid part on one side of the pin, mm. */
export const clampHalf = (clamp: Clamp): number => (clamp.kind === 'seat' ? clamp.length / 2 : 0);

/** Refuses a pack that cannot exist. @throws CoreError `bad-input` with the field's path */
export function checkPack(pack: Pack): void {
  if (pack.leaves.length === 0) throw new CoreError('bad-input', 'leaves', 'a pack needs at least one leaf');
  if (pack.leaves.length > 30) throw new CoreError('bad-input', 'leaves', 'more than 30 leaves');
  requireNumber('material.E', pack.youngs, 1000, 1_000_000);
  requireNumber('friction', pack.friction, 0, 1);
  requireNumber('eyeOffset.front', pack.eyeOffset.front, -150, 150);
  requireNumber('eyeOffset.rear', pack.eyeOffset.rear, -150, 150);
  const held = clampHalf(pack.clamp);
  requireNumber('clamp.length', held * 2, 0, 600);
  const main = pack.leaves[0]!;
  pack.leaves.forEach((leaf, i) => {
    const at = `leaves[${i}]`;
    requireNumber(`${at}.front`, leaf.front, 20, 2500);
    requireNumber(`${at}.rear`, leaf.rear, 20, 2500);
    requireNumber(`${at}.width`, leaf.width, 10, 300);
    requireNumber(`${at}.thickness`, leaf.thickness, 1, 60);
    requireNumber(`${at}.curvature`, leaf.curvature, -0.01, 0.01);
    if (Math.abs(leaf.curvature) * leaf.thickness > 0.1)
      throw new CoreError('bad-input', `${at}.curvature`, 'the leaf is curved tighter than ten times its thickness');
    checkExtras(leaf, at);
    if (i > 0 && (leaf.front > main.front + 1e-9 || leaf.rear > main.rear + 1e-9))
      throw new CoreError('bad-input', at, `leaf ${i + 1} is longer than the main leaf`);
  });
  if (Math.min(main.front, main.rear) < held + 20)
    throw new CoreError('bad-input', 'clamp.length', 'the seat clamp is as long as the main leaf');
  pack.clips?.forEach((clip, i) => checkClip(pack, clip, `clips[${i}]`));
}

function checkExtras(leaf: Leaf, at: string): void {
  if (leaf.tipThickness !== undefined) requireNumber(`${at}.tipThickness`, leaf.tipThickness, 1, leaf.thickness);
  if (leaf.flat !== undefined) requireNumber(`${at}.flat`, leaf.flat, 0, 600);
  for (const extra of ['liner', 'tipPad', 'spacer'] as const)
    if (leaf[extra] !== undefined) requireNumber(`${at}.${extra}`, leaf[extra], 0, 100);
  leaf.curve?.forEach((point, k) => {
    requireNumber(`${at}.curve[${k}].curvature`, point.curvature, -0.01, 0.01);
    requireNumber(`${at}.curve[${k}].s`, point.s, -2500, 2500);
    if (k > 0 && point.s <= leaf.curve![k - 1]!.s)
      throw new CoreError('bad-input', `${at}.curve[${k}].s`, 'the points of a curve must go from front to rear');
  });
  if (!leaf.broken) return;
  requireNumber(`${at}.broken.at`, leaf.broken.at, 0, leaf[leaf.broken.end]);
  if (at === 'leaves[0]')
    throw new CoreError('bad-input', `${at}.broken`, 'a broken main leaf holds no eye: there is no spring to solve');
}

function checkClip(pack: Pack, clip: Clip, at: string): void {
  if (!Number.isInteger(clip.holds) || clip.holds < 1 || clip.holds >= pack.leaves.length)
    throw new CoreError('bad-input', `${at}.holds`, 'a clip holds a leaf below the main leaf');
  requireNumber(`${at}.slack`, clip.slack, 0.1, 50);
  requireNumber(`${at}.at`, clip.at, clampHalf(pack.clamp) + 5, reachOf(pack.leaves[clip.holds]!, clip.end));
}

/**
 * Free curve of a leaf traced on paper or with a tape: a smooth line (a polynomial of degree four at most, by least squares)
 * through its points, read off as curvature along the arc. @param points mid-surface from front to rear, x along the chord, y
 * up, mm; five at least, covering the pin @param pin x of the centre bolt
 * @throws CoreError `bad-input` for too few points or points out of order
 */
export function tracedCurve(
  points: readonly { x: number; y: number }[],
  pin: number,
): { s: number; curvature: number }[] {
  if (points.length < 5) throw new CoreError('bad-input', 'points', 'a traced leaf needs five points at least');
  points.forEach(({ x, y }, i) => {
    requireNumber(`points[${i}].x`, x, -5000, 5000);
    requireNumber(`points[${i}].y`, y, -2000, 2000);
    if (i > 0 && x <= points[i - 1]!.x)
      throw new CoreError('bad-input', `points[${i}].x`, 'the points must go from front to rear');
  });
  const [from, to] = [points[0]!.x, points.at(-1)!.x];
  requireNumber('pin', pin, from, to);
  const half = (to - from) / 2;
  const degree = Math.min(4, points.length - 2);
  const n = degree + 1;
  const normal = new Float64Array(n * n);
  const right = new Float64Array(n);
  for (const { x, y } of points) {
    const u = (x - from - half) / half;
    for (let i = 0; i < n; i++) {
      right[i]! += y * u ** i;
      for (let j = 0; j <= i; j++) normal[i * n + j]! += u ** (i + j);
    }
  }
  factorize(normal, n);
  substitute(normal, n, right);
  const slope = (u: number) => right.reduce((sum, c, i) => sum + (i > 0 ? c * i * u ** (i - 1) : 0), 0) / half;
  const bend = (u: number) =>
    right.reduce((sum, c, i) => sum + (i > 1 ? c * i * (i - 1) * u ** (i - 2) : 0), 0) / half ** 2;
  const STEPS = 40;
  const found: { s: number; curvature: number }[] = [];
  let s = 0;
  let atPin = 0;
  for (let k = 0; k <= STEPS; k++) {
    const u = -1 + (2 * k) / STEPS;
    const x = from + half * (1 + u);
    const grown = (slope(u) ** 2 + 1) ** 0.5;
    if (k > 0) s += ((half * 2) / STEPS) * (1 + slope(u - 1 / STEPS) ** 2) ** 0.5;
    if (x <= pin) atPin = s + (pin - x) * grown;
    found.push({ s, curvature: bend(u) / grown ** 3 });
  }
  return found.map((point) => ({ ...point, s: point.s - atPin }));
}

/** Length of a leaf on one side of the pin as far as it carries, mm. */
export const reachOf = (leaf: Leaf, end: End): number =>
  leaf.broken?.end === end ? Math.min(leaf[end], leaf.broken.at) : leaf[end];

/** Depth of each leaf's mid-surface below the main leaf's at the pin, mm. */
export function depths(leaves: readonly Leaf[]): number[] {
  let depth = 0;
  return leaves.map((leaf, i) => {
    if (i === 0) return 0;
    depth += (leaves[i - 1]!.thickness + leaf.thickness) / 2 + (leaf.liner ?? 0) + (leaf.spacer ?? 0);
    return depth;
  });
}

type Tapered = Pick<Leaf, 'front' | 'rear' | 'thickness' | 'tipThickness'>;

/** Thickness by arc length from the clamp edge; a taper is parabolic, as for even stress under a tip force. */
export function thicknessOf(leaf: Tapered, end: End, edge: number): (u: number) => number {
  const tip = leaf.tipThickness;
  if (tip === undefined) return () => leaf.thickness;
  const free = Math.max(1, leaf[end] - edge);
  const [thick, thin] = [leaf.thickness ** 2, tip ** 2];
  return (u) => Math.sqrt(thick + (thin - thick) * Math.min(1, Math.max(0, u / free)));
}

/** Bending stiffness EI by arc length from the clamp edge, N·mm². */
export function stiffnessOf(leaf: Leaf, end: End, edge: number, youngs: number): (u: number) => number {
  const thickness = thicknessOf(leaf, end, edge);
  return (u) => youngs * leafInertia(leaf.width, thickness(u));
}

/** Loss of thickness per length of a leaf that thins out, by arc length from the clamp edge; 0 for one of even thickness. */
function thinningOf(leaf: Tapered, end: End, edge: number): (u: number) => number {
  const { thickness, tipThickness: tip } = leaf;
  const free = Math.max(1, leaf[end] - edge);
  if (tip === undefined) return () => 0;
  const at = thicknessOf(leaf, end, edge);
  return (u) => (u > free ? 0 : (thickness ** 2 - tip ** 2) / (2 * free * at(u)));
}

/** Slope the free leaf gains from the clamp edge to an arc length u beyond it, rad. */
export function freeSlopeOf(leaf: Leaf, end: End, edge: number): (u: number) => number {
  const own = curvedSlopeOf(leaf, end, edge);
  if (!leaf.nests) return own;
  const falls = leaf.nests.map((nest) => ({ weight: nest.weight, at: thinningOf(nest.leaf, end, edge) }));
  return (u) => falls.reduce((sum, { weight, at }) => sum + weight * at(u), own(u));
}

function curvedSlopeOf(leaf: Leaf, end: End, edge: number): (u: number) => number {
  const { curve } = leaf;
  if (!curve || curve.length === 0) {
    const straight = (leaf.flat ?? 0) / 2;
    const before = Math.max(0, edge - straight);
    return (u) => leaf.curvature * (Math.max(0, edge + u - straight) - before);
  }
  const points = (end === 'rear' ? curve : curve.toReversed().map((p) => ({ ...p, s: -p.s }))).map(
    ({ s, curvature }) => ({ s: s - edge, curvature }),
  );
  const at = (u: number): number => {
    const k = points.findIndex((p) => p.s >= u);
    if (k === 0) return points[0]!.curvature;
    if (k < 0) return points.at(-1)!.curvature;
    const [a, b] = [points[k - 1]!, points[k]!];
    return a.curvature + ((b.curvature - a.curvature) * (u - a.s)) / (b.s - a.s);
  };
  return (u) => {
    const breaks = [0, ...points.map((p) => p.s).filter((s) => s > 0 && s < u), u];
    let sum = 0;
    for (let k = 1; k < breaks.length; k++)
      sum += ((breaks[k]! - breaks[k - 1]!) * (at(breaks[k - 1]!) + at(breaks[k]!))) / 2;
    return sum;
  };
}

/**
 * Free curvatures of leaves that nest without gap or nip under a main leaf: concentric circles.
 * @param mainCurvature 1/mm of the main leaf's mid-surface @param thicknesses mm from the main leaf down
 */
export function nestedCurvatures(mainCurvature: number, thicknesses: readonly number[]): number[] {
  let below = 0;
  return thicknesses.map((t, i) => {
    if (i > 0) below += (thicknesses[i - 1]! + t) / 2;
    return mainCurvature / (1 + mainCurvature * below);
  });
}

/**
 * What a leaf was formed to nest under, where leaves thin out: the whole of every one between it and the main leaf, half of the main
 * leaf and of itself. Undefined while none thins out. @param leaves from the main leaf down
 */
export function nestsOf(leaves: readonly Tapered[], i: number): Leaf['nests'] {
  if (i === 0) return undefined;
  const found = leaves
    .slice(0, i + 1)
    .flatMap(({ front, rear, thickness, tipThickness }, j) =>
      tipThickness === undefined
        ? []
        : [{ leaf: { front, rear, thickness, tipThickness }, weight: j === 0 || j === i ? 0.5 : 1 }],
    );
  return found.length > 0 ? found : undefined;
}

/** A leaf as long as the main one reads longer than it by no more than this: two tapes, and an end that turns up round the eye, mm. Chosen. */
export const SAME_LENGTH = 25;

/**
 * A leaf measured as long as the main leaf may read a little longer; within the tape's doubt it is taken as equally long.
 * A leaf truly longer is left as it is, for `checkPack` to refuse.
 */
export function withinMain<T extends { front: number; rear: number }>(
  leaf: T,
  main: { front: number; rear: number },
): T {
  const held = (length: number, most: number) => (length > most && length < most + SAME_LENGTH ? most : length);
  return { ...leaf, front: held(leaf.front, main.front), rear: held(leaf.rear, main.rear) };
}

/** Clamped thickness of a pack, mm. */
export const packThickness = (leaves: readonly { thickness: number }[]): number =>
  leaves.reduce((sum, leaf) => sum + leaf.thickness, 0);

/** Where a leaf of these half lengths belongs: after every leaf at least as long, never above the main leaf. */
export function placeByLength(
  leaves: readonly { front: number; rear: number }[],
  added: { front: number; rear: number },
): number {
  const length = added.front + added.rear;
  const after = leaves.findLastIndex((leaf) => leaf.front + leaf.rear >= length);
  return Math.max(1, after + 1);
}
