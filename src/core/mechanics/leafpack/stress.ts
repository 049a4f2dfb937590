import { type Verdict } from '../../verdict';
import { requireNumber } from '../../errors';
import { leafInertia, SPRING_STEEL_LIMITS } from '../../material/steel';
import { type StressLine } from './half';

const { abs, log10, max, min } = Math;

/** Where a leaf is stressed most and how that stands to the limits of its steel. */
export interface LeafBudget {
  /** Signed stress of largest magnitude, MPa; tension in the top face positive. */
  peak: number;
  /** Where, mm from the pin, negative in front. */
  at: number;
  /** Share of the limit of a peak under a standing load, and of the one for full bump. */
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
      ofStatic: abs(peak) / SPRING_STEEL_LIMITS.peak,
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
  if (k <= 0) return stress[k === 0 ? 0 : stress.length - 1] ?? 0;
  const share = (at - s[k - 1]!) / (s[k]! - s[k - 1]! || 1);
  return stress[k - 1]! + share * (stress[k]! - stress[k - 1]!);
}

/**
 * Indicative life of a pack that swings between two states: every place of every leaf outside the seat is looked at in both, and
 * the one that lasts least counts. @param light @param heavy stress lines of the same pack
 */
export function packLife(light: readonly StressLine[], heavy: readonly StressLine[]): LifeBand & { leaf: number } {
  let worst: LifeBand & { leaf: number } = { leaf: 0, least: ENDLESS, most: ENDLESS };
  heavy.forEach(({ s, stress }, leaf) => {
    s.forEach((at, k) => {
      const life = lifeBand(stressAt(light[leaf]!, at), stress[k]!);
      if (life.least < worst.least || (life.least === worst.least && life.most < worst.most)) worst = { leaf, ...life };
    });
  });
  return worst;
}

/** Largest stresses of each leaf of a pack in one standing state, MPa, by kind. */
export interface StandingStress {
  /** Outside the seat: what works. */
  working: readonly number[];
  /** Within the seat: what the clamp bends, static and carried by it. Absent in records of older cores. */
  clamped?: readonly number[];
  /** By load and sizes alone, see `nominalStress`. Absent in records of older cores, which held the peak against the nominal limit. */
  nominal?: readonly number[];
}

/**
 * Nominal stress of every leaf, MPa: the moment at the seat shared by the stiffness of all leaves, F·a·b/(a+b)·t/2ΣI (SAE HS-788 form, from
 * memory). It knows nothing of curves, gaps and tips. @param load N on the seat @param arms of the eyes about the seat, mm
 * @param inactive half of the seat that does not bend, mm
 */
export function nominalStress(
  leaves: readonly { width: number; thickness: number }[],
  load: number,
  arms: { front: number; rear: number },
  inactive: number,
): number[] {
  const [a, b] = [arms.front - inactive, arms.rear - inactive];
  const inertia = leaves.reduce((sum, leaf) => sum + leafInertia(leaf.width, leaf.thickness), 0);
  const moment = (load * a * b) / (arms.front + arms.rear);
  return leaves.map(({ thickness }) => (moment * thickness) / (2 * inertia));
}

/** Where the limits come from, to stand beside them. */
export const STRESS_SOURCE = 'SAE HS-788, from memory';

/**
 * Stress of a pack against the limit of its own kind in all states it stands in: nominal stress against the limit of a standing
 * load, the solved peak against the limit of a peak, flattening in the clamp against yield. The figure nearest to (or furthest past) its own limit counts. Null without a state.
 */
export function stressVerdict(states: readonly StandingStress[]): Verdict<'stress'> | null {
  const { static: standing, peak, yield: flattened } = SPRING_STEEL_LIMITS;
  const of = (kind: 'working' | 'nominal' | 'clamped', stresses: readonly number[], limit: number) =>
    stresses.map((stress, leaf) => ({ kind, value: abs(stress), limit, leaf }));
  const found = states.flatMap(({ working, clamped = [], nominal }) => [
    ...of('working', working, nominal ? peak : standing),
    ...of('nominal', nominal ?? [], standing),
    ...of('clamped', clamped, flattened),
  ]);
  const [first] = found;
  if (!first) return null;
  const { kind, value, limit, leaf } = found.reduce(
    (worst, one) => (one.value / one.limit > worst.value / worst.limit ? one : worst),
    first,
  );
  const figures = `${kind === 'nominal' ? 'nominal ' : ''}${value.toFixed(0)} of ${limit} MPa, leaf ${leaf + 1}`;
  const quantity = `${kind} stress, leaf ${leaf + 1}`;
  const works = kind !== 'clamped';
  const past = works
    ? 'more than a standing load should do to a leaf; it will not last. Another leaf, more leaves or less lift'
    : 'the clamp bends this leaf past its yield; it will set. A flatter leaf';
  const within = `within the limit of a ${works ? 'standing load' : 'clamped leaf'}`;
  return {
    item: 'stress',
    state: value <= limit ? 'fits' : 'does not fit',
    text: `${figures}: ${value <= limit ? within : past}`,
    figure: { quantity, dimension: 'stress', value, limit, margin: limit - value },
    source: STRESS_SOURCE,
  };
}
