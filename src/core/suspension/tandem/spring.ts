import { leafInertia, SPRING_STEEL_E } from '../../material/steel';
import { requireNumber } from '../../errors';

/** One spring of a pair with a number for everything, mm. */
export interface SpringSizes {
  leaves: number;
  full: number;
  width: number;
  thickness: number;
  outer: number;
  inner: number;
  rateFactor: number;
}

const active = (spring: SpringSizes, inactive: number): { a: number; b: number } => ({
  a: requireNumber('spring.outer', spring.outer - inactive, 40, 2500),
  b: requireNumber('spring.inner', spring.inner - inactive, 40, 2500),
});

/** Leaves of a graduated spring as a handbook weighs them: those of full length count half as much again. */
const weighed = ({ leaves, full }: SpringSizes): number => {
  requireNumber('spring.leaves', leaves, 1, 20);
  const long = Math.min(leaves, Math.max(1, full));
  return (2 * (leaves - long) + 3 * long) / 2;
};

/**
 * Seat rate of a graduated spring with unlike halves, N/mm: k = 2 E I Σ·SF·(a+b)/(a²b²) on active lengths (SAE HS-788 form, from
 * memory), Σ·SF = n_g + 1.5 n_f. Leaves alike. @param inactive of each half, kept from bending by the seat, mm
 * @throws CoreError when nothing of a half is left to bend
 */
export function seatRate(spring: SpringSizes, inactive: number): number {
  const { a, b } = active(spring, inactive);
  const inertia = leafInertia(
    requireNumber('spring.width', spring.width, 10, 300),
    requireNumber('spring.thickness', spring.thickness, 1, 60),
  );
  return ((2 * SPRING_STEEL_E * inertia * weighed(spring) * (a + b)) / (a * a * b * b)) * spring.rateFactor;
}

/**
 * Largest bending stress at the seat under a load on it, MPa: of the leaves of full length, which a handbook takes to carry half as
 * much again (Khurmi & Gupta, A Textbook of Machine Design, from memory). Nip is left out. @param load N
 */
export function seatStress(spring: SpringSizes, inactive: number, load: number): number {
  const { a, b } = active(spring, inactive);
  const moment = (load * a * b) / (a + b);
  return (9 * moment) / (spring.width * spring.thickness ** 2 * weighed(spring));
}

/** Share of the load that friction between the leaves holds either way: μ t Σ of the shorter leaves over the half length squared, doubled. */
export function frictionShare({ leaves, thickness, outer, inner }: SpringSizes, friction: number): number {
  return (friction * thickness * (leaves - 1)) / ((outer + inner) / 2);
}
