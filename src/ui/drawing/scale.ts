import { type Point } from '@/core/suspension/longitudinalLeaf/elevation';

/** The one drawing scale: millimetres to pixels, the same in x and y, y up. */
export interface Scale {
  /** Pixels per millimetre. */
  perMm: number;
  width: number;
  height: number;
  x: (mm: number) => number;
  y: (mm: number) => number;
  at: (p: Point) => { cx: number; cy: number };
}

export interface Extent {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** Room around the drawn parts for text, px. */
export interface Margin {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/**
 * Fits an extent between the margins of a width; the height follows. Where that would be taller than its room, the height
 * decides and the drawing stands in the middle of the width. @param tall of its room, px
 */
export function fit(extent: Extent, width: number, margin: Margin, tall = Infinity): Scale {
  const [wide, high] = [extent.right - extent.left, extent.top - extent.bottom];
  const room = width - margin.left - margin.right;
  const perMm = Math.max(0.05, Math.min(room / wide, (tall - margin.top - margin.bottom) / Math.max(high, 1)));
  const aside = margin.left + Math.max(0, room - wide * perMm) / 2;
  const x = (mm: number) => aside + (mm - extent.left) * perMm;
  const y = (mm: number) => margin.top + (extent.top - mm) * perMm;
  const height = margin.top + margin.bottom + high * perMm;
  return { perMm, width, height, x, y, at: (p) => ({ cx: x(p.x), cy: y(p.y) }) };
}

const BARS = {
  in: [0.25, 0.5, 1, 2, 4, 6, 8, 12, 24, 48].map((n) => ({ mm: n * 25.4, text: n < 1 ? `1/${1 / n} in` : `${n} in` })),
  mm: [2, 5, 10, 20, 50, 100, 200, 250, 500, 1000].map((n) => ({ mm: n, text: `${n} mm` })),
};

/** A round length for the scale bar, about a fifth of the drawing. */
export function barLength(extentMm: number, unit: 'mm' | 'in'): { mm: number; text: string } {
  const steps = BARS[unit];
  return steps.findLast((s) => s.mm <= extentMm / 5) ?? steps[0]!;
}

/** A polyline through points. */
export const pathOf = (points: readonly Point[], s: Scale): string =>
  points.map((p, i) => `${i === 0 ? 'M' : 'L'}${s.x(p.x).toFixed(2)} ${s.y(p.y).toFixed(2)}`).join('');
