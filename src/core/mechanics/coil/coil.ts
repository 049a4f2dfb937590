import { requireNumber } from '../../errors';
import { SPRING_STEEL_G, SPRING_STEEL_LIMITS } from '../../material/steel';

/** How the ends of a coil are made: what of its turns is dead, and how high it stands when it is solid. */
export const COIL_ENDS = ['closedGround', 'closed', 'open', 'pigtail'] as const;
export type CoilEnds = (typeof COIL_ENDS)[number];

/** A cylindrical coil of round wire, mm. */
export interface Coil {
  wire: number;
  /** Mean diameter: outside less one wire. */
  mean: number;
  /** All turns, end to end. */
  turns: number;
  ends: CoilEnds;
  /** Without load. */
  free: number;
}

/** Turns that do not wind up, of each form of ends. After Shigley, Mechanical Engineering Design (from memory); of a pigtail, which runs into its seat, assumed. */
export const DEAD_TURNS: Record<CoilEnds, number> = { closedGround: 2, closed: 2, open: 0, pigtail: 1.5 };
/** Wires that stand on one another when solid, beyond the turns. Sources as above. */
export const STANDING_WIRES: Record<CoilEnds, number> = { closedGround: 0, closed: 1, open: 1, pigtail: 0 };

/** Turns that wind up. @throws CoreError when none is left */
export function activeTurns({ turns, ends }: Pick<Coil, 'turns' | 'ends'>): number {
  requireNumber('coilTurns', turns, 1, 60);
  const active = turns - DEAD_TURNS[ends];
  requireNumber('coilTurns', active, 0.5, 60);
  return active;
}

/**
 * Rate along the coil's axis, N/mm: k = G·d⁴/(8·D³·n). Shigley, chapter on mechanical springs (from memory).
 * @param coil wire 2–60 mm, mean diameter 3 to 20 wires @param shear modulus, MPa
 */
export function coilRate(coil: Omit<Coil, 'free'>, shear = SPRING_STEEL_G): number {
  requireNumber('coilWire', coil.wire, 2, 60);
  requireNumber('coilMean', coil.mean, 2.5 * coil.wire, 25 * coil.wire);
  return (shear * coil.wire ** 4) / (8 * coil.mean ** 3 * activeTurns(coil));
}

/** Wahl's factor for curvature and direct shear. @param index mean diameter over wire, over 1 */
export const wahl = (index: number): number => (4 * index - 1) / (4 * index - 4) + 0.615 / index;

/** Largest shear stress in the wire, MPa. @param force along the axis, N */
export const coilStress = ({ wire, mean }: Pick<Coil, 'wire' | 'mean'>, force: number): number =>
  (wahl(mean / wire) * 8 * force * mean) / (Math.PI * wire ** 3);

/** Height at which every turn touches the next, mm. */
export const solidHeight = ({ wire, turns, ends }: Pick<Coil, 'wire' | 'turns' | 'ends'>): number =>
  wire * (turns + STANDING_WIRES[ends]);

/** Gap between two turns that wind up at a length, mm; 0 and less when they touch. */
export const turnGap = (coil: Coil, length: number): number => (length - solidHeight(coil)) / activeTurns(coil);

/**
 * Whether a coil can bow out sideways however far it is pressed: free length over 2.63 mean diameters over the end constant.
 * 0.5 between two flat parallel seats, 0.7 with one end free to tilt. Shigley, for steel (from memory).
 */
export const staysStraight = ({ free, mean }: Pick<Coil, 'free' | 'mean'>, endConstant: number): boolean =>
  free < (2.63 * mean) / endConstant;

/**
 * Rate and load of the wheel's place over those of a coil that leans or stands on an arm: the hub goes further than the coil.
 * A way of the hub moves the coil by `ratio` of it; rates go by its square, loads by itself.
 * @param lean of the coil's axis from upright, rad (0–0.9) @param lever coil's arm over the hub's arm about the same pivot, 1 on the axle
 */
export function coilRatio(lean: number, lever: number): number {
  requireNumber('coilLean', lean, 0, 0.9);
  requireNumber('lever', lever, 0.2, 1.5);
  return Math.cos(lean) * lever;
}

/**
 * Shear stress that a standing load may do to the wire, MPa: half the tensile strength of hardened and tempered low-alloy steel before
 * its set is taken out (Shigley, table of torsional stress for static service, from memory); strength as of leaves.
 */
export const COIL_STEEL_LIMIT = {
  static: 0.5 * SPRING_STEEL_LIMITS.tensile,
  source: 'half of the tensile strength (Shigley, from memory); the maker’s own figure decides',
} as const;
