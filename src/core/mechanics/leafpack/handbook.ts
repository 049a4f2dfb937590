import { leafInertia } from '../../material/steel';
import { type Leaf } from './pack';

/**
 * Semi-elliptic pack of graduated and full-length leaves, after Khurmi & Gupta, A Textbook of Machine Design,
 * leaf-spring chapter (from memory): δ = 12 W L³ / (E b t³ (2 n_g + 3 n_f)), W the load at each end.
 */
export interface TextbookPack {
  /** Effective half length, mm. */
  half: number;
  width: number;
  thickness: number;
  fullLength: number;
  graduated: number;
  youngs: number;
}

const weight = (p: TextbookPack): number => 2 * p.graduated + 3 * p.fullLength;

/** Deflection under an end load W, mm. @param endLoad N */
export const textbookDeflection = (p: TextbookPack, endLoad: number): number =>
  (12 * endLoad * p.half ** 3) / (p.youngs * p.width * p.thickness ** 3 * weight(p));

/** Seat rate, N/mm (seat load is twice the end load). */
export const textbookRate = (p: TextbookPack): number =>
  (p.youngs * p.width * p.thickness ** 3 * weight(p)) / (6 * p.half ** 3);

/** Stress of graduated and full-length leaves under an end load, MPa. @param endLoad N */
export function textbookStress(p: TextbookPack, endLoad: number): { graduated: number; fullLength: number } {
  const common = (endLoad * p.half) / (p.width * p.thickness ** 2 * weight(p));
  return { graduated: 12 * common, fullLength: 18 * common };
}

export interface HandbookEstimate {
  /** Seat rate with the seat free to tilt, N/mm. */
  rate: number;
  /** Assembled free arch over the active length, mm. */
  freeArch: number;
  /** Shape factor used: 1.0 uniform strength … 1.5 all leaves full length. */
  shapeFactor: number;
}

/**
 * Handbook estimate of a pack: k = 2 E ΣI·SF·(a+b)/(a²b²) on active lengths (SAE HS-788 form, from memory), with
 * SF = (2 n_g + 3 n_f)/(2 n) from the leaf lengths and the assembled curvature weighted by each leaf's I.
 * Shown beside the contact model, never averaged with it.
 * @param leaves main leaf first @param inactive mm of each half that the seat keeps from bending
 */
export function handbookEstimate(leaves: readonly Leaf[], inactive: number, youngs: number): HandbookEstimate {
  const main = leaves[0]!;
  const a = main.front - inactive;
  const b = main.rear - inactive;
  const span = main.front + main.rear;
  const full = leaves.filter((leaf) => leaf.front + leaf.rear > 0.97 * span).length;
  const shapeFactor = (2 * (leaves.length - full) + 3 * full) / (2 * leaves.length);
  const inertias = leaves.map((leaf) => leafInertia(leaf.width, leaf.thickness));
  const total = inertias.reduce((sum, i) => sum + i, 0);
  const curvature = leaves.reduce((sum, leaf, i) => sum + leaf.curvature * inertias[i]!, 0) / total;
  return {
    rate: (2 * youngs * total * shapeFactor * (a + b)) / (a * a * b * b),
    freeArch: (curvature * a * b) / 2,
    shapeFactor,
  };
}
