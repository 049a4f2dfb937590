import { requireNumber } from '../errors';

/**
 * How far the hub stands below its place of now when a leaning shock is a given length: its upper bolt stays, its lower bolt goes
 * straight up and down with the hub. d = √(L² − (L₀ sin θ)²) − L₀ cos θ, by the right triangle of its lean.
 * @param rest bolt to bolt now, mm (50–2000) @param lean from upright, rad (0–1.3) @param length asked for, mm
 * @returns mm, negative above; null where it never gets that short
 */
export function dropAtLength(rest: number, lean: number, length: number): number | null {
  requireNumber('shockLength', rest, 50, 2000);
  requireNumber('shockLean', lean, 0, 1.3);
  requireNumber('length', length, 20, 3000);
  const across = rest * Math.sin(lean);
  if (length < across) return null;
  return Math.sqrt(length * length - across * across) - rest * Math.cos(lean);
}

/** Length of a leaning shock, bolt to bolt, when the hub stands so far below its place of now; the inverse of `dropAtLength`. mm */
export const lengthAtDrop = (rest: number, lean: number, drop: number): number =>
  Math.hypot(rest * Math.sin(lean), rest * Math.cos(lean) + drop);
