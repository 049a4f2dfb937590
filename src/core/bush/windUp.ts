import { CoreError, requireNumber } from '../errors';

/** A bonded bush: rubber held fast between an inner sleeve and an outer shell. */
export interface BondedBush {
  /** Outside of the inner sleeve and inside of the shell, mm across. */
  inner: number;
  outer: number;
  length: number;
  /** Shear modulus of the rubber, MPa; 0.5 to 1.2 for usual hardnesses (memory). */
  shearModulus: number;
}

/** Shear modulus where nobody knows the rubber's hardness, MPa: about 60 Shore A (memory), wide. */
export const ASSUMED_SHEAR = { value: 0.85, half90: 0.3 } as const;
/** Shear strain that a bonded bush bears again and again. Chosen; makers differ. */
export const LASTING_STRAIN = 0.7;

const checked = ({ inner, outer, length, shearModulus }: BondedBush): void => {
  requireNumber('inner', inner, 2, 200);
  requireNumber('outer', outer, 3, 300);
  requireNumber('length', length, 3, 400);
  requireNumber('shearModulus', shearModulus, 0.05, 20);
  if (outer <= inner) throw new CoreError('bad-input', 'outer', 'the shell must be wider than the sleeve');
};

/**
 * Moment that turns a bonded bush, N·mm: M = φ·4πLG/(1/rᵢ² − 1/rₒ²), thick cylinder in torsional shear
 * (Freakley & Payne, Theory and Practice of Engineering with Rubber; from memory). @param turn rad
 */
export function windUpMoment(bush: BondedBush, turn: number): number {
  checked(bush);
  const [ri, ro] = [bush.inner / 2, bush.outer / 2];
  return (turn * 4 * Math.PI * bush.length * bush.shearModulus) / (1 / ri ** 2 - 1 / ro ** 2);
}

/** Shear strain at the sleeve: γ = 2φ/(1 − (rᵢ/rₒ)²), same source. @param turn rad */
export function windUpStrain(bush: BondedBush, turn: number): number {
  checked(bush);
  return (2 * Math.abs(turn)) / (1 - (bush.inner / bush.outer) ** 2);
}

/**
 * How far an eye turns on its frame as the middle of its spring goes up or down, rad: tip slope of a cantilever over its deflection is 1.5 for leaves alike all
 * along and 2 for a pack stressed alike all along; 1.75 is taken, ± 0.25. @param travel mm (0–600) @param half eye to centre bolt, mm (50–3000)
 */
export function eyeTurn(travel: number, half: number): number {
  requireNumber('travel', travel, 0, 600);
  return (TURN * travel) / requireNumber('half', half, 50, 3000);
}
const TURN = 1.75;

/**
 * Height that bushes tightened hanging hold up once the weight is on, mm: each one's moment over its half of the spring is a force at the
 * axle, and that over the rate is height. @param rate of the spring, N/mm @param ends of one spring: its bush, how far its eye turns from
 * hanging to ride, rad, and from eye to axle, mm
 */
export function falseHeight(rate: number, ends: readonly { bush: BondedBush; turn: number; half: number }[]): number {
  requireNumber('rate', rate, 0.5, 10_000);
  const force = ends.reduce((sum, { bush, turn, half }) => {
    requireNumber('half', half, 50, 3000);
    return sum + Math.abs(windUpMoment(bush, turn)) / half;
  }, 0);
  return force / rate;
}
