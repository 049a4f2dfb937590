import { CoreError, requireNumber } from '../errors';

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
  /** Free curvature of the mid-surface, 1/mm; positive with the ends up, 0 = flat. */
  curvature: number;
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
    if (i > 0 && (leaf.front > main.front + 1e-9 || leaf.rear > main.rear + 1e-9))
      throw new CoreError('bad-input', at, `leaf ${i + 1} is longer than the main leaf`);
  });
  if (Math.min(main.front, main.rear) < held + 20)
    throw new CoreError('bad-input', 'clamp.length', 'the seat clamp is as long as the main leaf');
}

/**
 * Free curvature from camber over a chord (circular leaf), 1/mm.
 * @param camber mm, positive with the ends up; |camber| < chord/2 @param chord mm
 */
export function curvatureFromCamber(camber: number, chord: number): number {
  requireNumber('chord', chord, 50, 5000);
  requireNumber('camber', camber, -chord / 2, chord / 2);
  return (8 * camber) / (chord * chord + 4 * camber * camber);
}

/** Camber over a chord of a circular leaf of given curvature, mm. The inverse of `curvatureFromCamber`. */
export function camberFromCurvature(curvature: number, chord: number): number {
  const inside = 1 - (curvature * curvature * chord * chord) / 4;
  if (inside < 0) throw new CoreError('bad-input', 'curvature', 'the chord is longer than the circle is wide');
  return (curvature * chord * chord) / (4 * (1 + Math.sqrt(inside)));
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

/** Two tape readings of one length differ by no more than this, mm. Common practice. */
const SAME_LENGTH = 15;

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
