import { requireNumber } from '../errors';
import { SPRING_STEEL_LIMITS } from '../material/steel';
import { type StressLine } from './half';

const { abs, log10, max, min } = Math;

/** Where a leaf is stressed most and how that stands to the limits of its steel. */
export interface LeafBudget {
  /** Signed stress of largest magnitude, MPa; tension in the top face positive. */
  peak: number;
  /** Where, mm from the pin, negative in front. */
  at: number;
  /** Share of the limit for a standing load, and for full bump. */
  ofStatic: number;
  ofBump: number;
}

/** Stress budget of every leaf in one state, whole length scanned, nip included. */
export function stressBudget(lines: readonly StressLine[]): LeafBudget[] {
  return lines.map(({ s, stress }) => {
    let worst = 0;
    stress.forEach((v, k) => {
      if (abs(v) > abs(stress[worst]!)) worst = k;
    });
    const peak = stress[worst] ?? 0;
    return {
      peak,
      at: s[worst] ?? 0,
      ofStatic: abs(peak) / SPRING_STEEL_LIMITS.static,
      ofBump: abs(peak) / SPRING_STEEL_LIMITS.bump,
    };
  });
}

/** Loads between which a leaf is cycled, as cycles to a crack: a wide band, an indication and never a distance to drive. */
export interface LifeBand {
  /** Cycles; `most` is `ENDLESS` where the better surface would not crack at all. */
  least: number;
  most: number;
}

/** Beyond this number of cycles a steel part that has not cracked is not expected to. */
export const ENDLESS = 1e7;

/**
 * Indicative life of one place of a leaf that swings between two stresses: Goodman's mean stress correction on a line in
 * log-log from σf′ = σu + 345 MPa at one reversal to the endurance limit at 10⁶ cycles (method of R. Budynas and
 * K. Nisbett, Shigley's Mechanical Engineering Design; constants from memory). The band runs from a rusty, decarburised
 * surface (0.25 of σu endures) to a shot-peened one (0.45): common practice, nothing measured.
 * @param low @param high MPa, signed, −3000 to 3000
 */
export function lifeBand(low: number, high: number): LifeBand {
  requireNumber('low', low, -3000, 3000);
  requireNumber('high', high, -3000, 3000);
  const { tensile } = SPRING_STEEL_LIMITS;
  const amplitude = abs(high - low) / 2;
  const mean = abs(high + low) / 2;
  const cycles = (endures: number): number => {
    if (mean + amplitude >= tensile) return 0;
    const reversed = amplitude / (1 - mean / tensile);
    const limit = endures * tensile;
    if (reversed <= limit) return ENDLESS;
    const strength = tensile + 345;
    const slope = -log10(strength / limit) / log10(2e6);
    return min(ENDLESS, max(0, (reversed / strength) ** (1 / slope) / 2));
  };
  return { least: cycles(0.25), most: cycles(0.45) };
}

/** Stress of a line at a place, MPa. */
function stressAt({ s, stress }: StressLine, at: number): number {
  const k = s.findIndex((v) => v >= at);
  if (k <= 0) return stress[Math.max(0, k)] ?? 0;
  const share = (at - s[k - 1]!) / (s[k]! - s[k - 1]! || 1);
  return stress[k - 1]! + share * (stress[k]! - stress[k - 1]!);
}

/**
 * Indicative life of a pack that swings between two states: of the place, on any leaf, that is stressed most in the
 * heavier one. @param light @param heavy stress lines of the same pack
 */
export function packLife(light: readonly StressLine[], heavy: readonly StressLine[]): LifeBand & { leaf: number } {
  const lives = stressBudget(heavy).map(({ peak, at }, leaf) => ({
    leaf,
    ...lifeBand(stressAt(light[leaf]!, at), peak),
  }));
  return lives.reduce((worst, life) => (life.least < worst.least ? life : worst));
}
