/** Where a number comes from; shown as such wherever it appears. */
export const ORIGINS = ['measured', 'calibrated', 'catalogue', 'assumed', 'computed'] as const;
export type Origin = (typeof ORIGINS)[number];

/** A value with the half-width of its 90 % interval, in core units. */
export interface Estimate {
  value: number;
  half90: number;
  origin: Origin;
}

/** 90 % half-width of a normal distribution in standard deviations. */
export const Z90 = 1.6448536269514722;

/** A generator of uniform numbers in [0, 1), passed in by the caller. */
export type Uniform = () => number;

/** One standard normal number from two uniform ones (Box and Muller 1958). */
export const normal = (uniform: Uniform): number =>
  Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform());

/** Fills a row with standard normal numbers, two from each two uniform ones (Box and Muller 1958). */
export function normals(uniform: Uniform, row: Float64Array): void {
  for (let i = 0; i < row.length; i += 2) {
    const out = Math.sqrt(-2 * Math.log(1 - uniform()));
    const turn = 2 * Math.PI * uniform();
    row[i] = out * Math.cos(turn);
    if (i + 1 < row.length) row[i + 1] = out * Math.sin(turn);
  }
}
