import { CoreError, requireNumber } from '../../errors';

/** Both arcs beyond a straight middle are this long at least, mm: a short leaf is not formed flat over all of its length. Chosen. */
const SHORTEST_ARCS = 60;

/** Length formed flat as far as a leaf of this length can have it, mm. */
export const flatWithin = (flat: number | undefined, arc: number): number | undefined =>
  flat === undefined ? undefined : Math.max(0, Math.min(flat, arc - SHORTEST_ARCS));

/**
 * Free curvature from camber over a chord, 1/mm: of one even arc, or of the arcs beyond a straight middle.
 * @param camber mm, positive with the ends up; |camber| < (chord − flat)/2 @param chord mm, tip to tip
 * @param flat mm formed straight about the pin; at most the chord less 50 mm
 */
export function curvatureFromCamber(camber: number, chord: number, flat = 0): number {
  const arcs = chord - flat;
  requireNumber('chord', arcs, 50, 5000);
  requireNumber('camber', camber, -arcs / 2, arcs / 2);
  return (8 * camber) / (arcs * arcs + 4 * camber * camber);
}

/**
 * Chord of an arc of this length and camber, mm: a string across a leaf's own tips is shorter than the leaf. Series of the circle
 * in c/L, 1 − 8/3 (c/L)² − 224/45 (c/L)⁴: within 0.05 % up to a camber of a sixth of the length; a straight middle is itself.
 * @param arc whole length, mm @param camber mm @param flat formed straight about the pin, mm
 */
export function chordUnderCamber(arc: number, camber: number, flat = 0): number {
  const arcs = arc - flat;
  const share = (camber / arcs) ** 2;
  return flat + arcs * (1 - (8 / 3) * share - (224 / 45) * share ** 2);
}

/** Camber over a chord of a circular leaf of given curvature, mm. The inverse of `curvatureFromCamber`. */
export function camberFromCurvature(curvature: number, chord: number): number {
  const inside = 1 - (curvature * curvature * chord * chord) / 4;
  if (inside < 0) throw new CoreError('bad-input', 'curvature', 'the chord is longer than the circle is wide');
  return (curvature * chord * chord) / (4 * (1 + Math.sqrt(inside)));
}
