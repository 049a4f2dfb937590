import { requireNumber } from '../errors';

/** Clearance holes for metric bolts: close, medium, free, mm (ISO 273, from memory). */
export const CLEARANCE: Readonly<Record<number, readonly [close: number, medium: number, free: number]>> = {
  6: [6.4, 6.6, 7],
  8: [8.4, 9, 10],
  10: [10.5, 11, 12],
  12: [13, 13.5, 14.5],
  14: [15, 15.5, 16.5],
  16: [17, 17.5, 18.5],
  18: [19, 20, 21],
  20: [21, 22, 24],
  22: [23, 24, 26],
  24: [25, 26, 28],
  27: [28, 30, 32],
  30: [31, 33, 35],
};

/** Number drills 1 to 30 and letter drills, thousandths of an inch (usual drill tables, from memory). */
const NUMBERS = [
  228, 221, 213, 209, 205.5, 204, 201, 199, 196, 193.5, 191, 189, 185, 182, 180, 177, 173, 169.5, 166, 161, 159, 157,
  154, 152, 149.5, 147, 144, 140.5, 136, 128.5,
];
const LETTERS: Readonly<Record<string, number>> = {
  ...{ A: 234, B: 238, C: 242, D: 246, E: 250, F: 257, G: 261, H: 266, I: 272, J: 277, K: 281, L: 290, M: 295 },
  ...{ N: 302, O: 316, P: 323, Q: 332, R: 339, S: 348, T: 358, U: 368, V: 377, W: 386, X: 397, Y: 404, Z: 413 },
};

export interface Drill {
  name: string;
  /** mm. */
  diameter: number;
}

const fraction = (of: number): string => {
  let [top, bottom] = [of, 64];
  while (top % 2 === 0 && bottom > 1) [top, bottom] = [top / 2, bottom / 2];
  const whole = Math.floor(top / bottom);
  const rest = top - whole * bottom;
  return `${whole > 0 ? whole : ''}${whole > 0 && rest > 0 ? '-' : ''}${rest > 0 ? `${rest}/${bottom}` : ''} in`;
};

/** Drills that a shop has: metric by tenths to 14 mm and by halves to 32, inch by 64ths to 1-1/4, numbers and letters. */
export const DRILLS: readonly Drill[] = [
  ...Array.from({ length: 111 }, (_, k) => 3 + k / 10).map((d) => ({
    name: `${Number(d.toFixed(1))} mm`,
    diameter: d,
  })),
  ...Array.from({ length: 36 }, (_, k) => 14.5 + k / 2).map((d) => ({ name: `${d} mm`, diameter: d })),
  ...Array.from({ length: 73 }, (_, k) => k + 8).map((n) => ({ name: fraction(n), diameter: (n * 25.4) / 64 })),
  ...NUMBERS.map((thou, k) => ({ name: `number ${k + 1}`, diameter: thou * 0.0254 })),
  ...Object.entries(LETTERS).map(([letter, thou]) => ({ name: `letter ${letter}`, diameter: thou * 0.0254 })),
];

/** Drills nearest to a wished hole, the nearest first. @param diameter mm (3–32) */
export function nearestDrills(diameter: number, count = 4): Drill[] {
  requireNumber('diameter', diameter, 3, 32);
  return DRILLS.toSorted((p, q) => Math.abs(p.diameter - diameter) - Math.abs(q.diameter - diameter)).slice(0, count);
}

/** What is left round a bolt in its hole, mm; negative where it does not enter. */
export const clearance = (hole: number, bolt: number): number => hole - bolt;

/** A bolt that goes into its hole with less than this is helped in by a drill, mm. Chosen. */
const GOES_IN = 0.3;
/** What a hole that is too narrow for a thread is opened to, mm; null where it goes in. @param hole @param diameter of the thread, mm */
export const openedTo = (hole: number, diameter: number): number | null =>
  clearance(hole, diameter) >= GOES_IN ? null : (CLEARANCE[Math.round(diameter)]?.[1] ?? diameter + 1);

/** How far a part may turn by the play of its two bolts, rad: the play of one hole over half their distance and the other way. @param apart of the bolts, mm */
export const slopAngle = (play: number, apart: number): number => Math.atan(play / apart);

/**
 * Metal left between a hole and the edge, mm, and whether that is enough: from hole's middle to edge one and a half times the bolt at least
 * (common practice), twice where nothing else is said.
 */
export function edgeLeft(toEdge: number, hole: number, bolt: number): { left: number; enough: boolean } {
  requireNumber('toEdge', toEdge, 0, 500);
  return { left: toEdge - hole / 2, enough: toEdge >= 1.5 * bolt };
}

/**
 * Share of full thread height that a drilled hole leaves for a tap or a self-cutting screw: (d − drill)/(1.299·p), the full height of
 * a 60° thread cut to five eighths on both flanks (ISO 68-1, from memory). @param diameter @param pitch @param drill mm
 */
export function threadShare(diameter: number, pitch: number, drill: number): number {
  requireNumber('diameter', diameter, 2, 60);
  requireNumber('pitch', pitch, 0.3, 6);
  requireNumber('drill', drill, 0.5, 60);
  return (diameter - drill) / (1.299 * pitch);
}
