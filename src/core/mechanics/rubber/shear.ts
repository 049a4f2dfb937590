import { requireNumber } from '../../errors';

/**
 * Shear modulus of natural rubber by its hardness (Shore A, as good as IRHD), MPa: P. B. Lindley, Engineering Design with Natural
 * Rubber, from memory.
 */
const MODULI: readonly (readonly [hardness: number, modulus: number])[] = [
  ...([
    [30, 0.3],
    [35, 0.37],
    [40, 0.45],
    [45, 0.54],
    [50, 0.64],
  ] as const),
  ...([
    [55, 0.81],
    [60, 1.06],
    [65, 1.37],
    [70, 1.73],
    [75, 2.22],
  ] as const),
];
export const HARDNESS = { least: 30, most: 75 } as const;

/** Shear modulus between the table's lines, MPa. @param hardness Shore A, 30 to 75 @throws CoreError `bad-input` outside it */
export function shearModulus(hardness: number): number {
  requireNumber('hardness', hardness, HARDNESS.least, HARDNESS.most);
  const k = Math.max(
    1,
    MODULI.findIndex(([h]) => h >= hardness),
  );
  const [[h0, g0], [h1, g1]] = [MODULI[k - 1]!, MODULI[k]!];
  return g0 + ((g1 - g0) * (hardness - h0)) / (h1 - h0);
}

/** A block bonded between two plates that slide past one another; mm. */
export interface BlockSizes {
  /** Along the slide and across it: the bonded area. */
  long: number;
  wide: number;
  /** Rubber alone from plate to plate, its own plates in between left out. */
  thick: number;
}

/**
 * Rate of one block in shear, k = G·A/t, N/mm (any book of rubber springs; bending of a block as tall as it is thick is left out, which
 * makes it a little too stiff). @param modulus MPa, 0.1 to 5
 * @throws CoreError `bad-input` for sizes that are no block
 */
export function shearRate({ long, wide, thick }: BlockSizes, modulus: number): number {
  requireNumber('block.long', long, 5, 2000);
  requireNumber('block.wide', wide, 5, 2000);
  requireNumber('block.thick', thick, 1, 1000);
  requireNumber('block.modulus', modulus, 0.1, 5);
  return (modulus * long * wide) / thick;
}

/**
 * How far rubber may be sheared, as a share of its thickness: standing, and at the end of its travel. Common practice for natural rubber in
 * springs, from memory; the block's maker decides.
 */
export const SHEAR_LIMIT = { standing: 0.5, most: 1 } as const;
