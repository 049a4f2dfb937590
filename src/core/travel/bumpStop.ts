import { requireNumber } from '../errors';

/** What a bump stop is made of, as far as its law of force goes. */
export const STOP_MATERIALS = ['rubber', 'urethane', 'foam'] as const;
export type StopMaterial = (typeof STOP_MATERIALS)[number];

interface StopLaw {
  name: string;
  /** Share of its height that is left when nothing more gives. */
  solid: number;
  /** Of the force: F = f·u·(1 + grow·u^power), u the squeeze over what can be squeezed; the force at u = 1 is f·(1 + grow). */
  grow: number;
  power: number;
  note: string;
}

/**
 * Shape of the force over the squeeze of a stop, scaled to the one force that is known. Rubber is nearly even at first and hardens to the end, cast
 * urethane sooner, microcellular foam gives long and hardens late. Shapes and solid shares from memory, chosen; a maker's curve goes before them.
 */
export const STOP_LAWS: Record<StopMaterial, StopLaw> = {
  rubber: { name: 'rubber', solid: 0.5, grow: 3, power: 2, note: 'hardens steadily' },
  urethane: { name: 'cast urethane', solid: 0.6, grow: 4, power: 2, note: 'hard, and gives less of its height' },
  foam: { name: 'foam', solid: 0.3, grow: 12, power: 5, note: 'long and soft, hard at the end' },
};

/** Share of what can be squeezed that is used up, 0–1. @param squeeze mm @param height of the stop, mm */
const used = (material: StopMaterial, squeeze: number, height: number): number =>
  squeeze / ((1 - STOP_LAWS[material].solid) * height);

/**
 * Force of a stop at a squeeze, N. @param height of the material alone, mm (5–300) @param hardest force just as it goes solid, N (100–500,000)
 * @param squeeze 0 to what can be squeezed, mm @throws CoreError beyond it
 */
export function stopForce(material: StopMaterial, height: number, hardest: number, squeeze: number): number {
  requireNumber('stopHeight', height, 5, 300);
  requireNumber('hardest', hardest, 100, 500_000);
  const { grow, power } = STOP_LAWS[material];
  const u = requireNumber('squeeze', used(material, squeeze, height), 0, 1 + 1e-9);
  return (hardest / (1 + grow)) * u * (1 + grow * u ** power);
}

/** Energy it has taken up by then, N·mm. Integral of `stopForce`; ranges as there. */
export function stopEnergy(material: StopMaterial, height: number, hardest: number, squeeze: number): number {
  requireNumber('stopHeight', height, 5, 300);
  requireNumber('hardest', hardest, 100, 500_000);
  const { grow, power, solid } = STOP_LAWS[material];
  const u = requireNumber('squeeze', used(material, squeeze, height), 0, 1 + 1e-9);
  const way = (1 - solid) * height;
  return (hardest / (1 + grow)) * way * (u ** 2 / 2 + (grow * u ** (power + 2)) / (power + 2));
}

/** How high a stop must be, and how it is cut to that. */
export interface StopLength {
  /** Lowest and highest it may be, mm: solid before what is hard, and clear of what it strikes at rest. */
  least: number;
  most: number;
  /** Marks moulded in it, counted from its tip, that are cut off; null without marks or where none does. */
  cutMarks: number | null;
}

/**
 * Height of a stop that is solid a margin before something hard is struck and leaves free travel above. @param gap from where it is fixed to what
 * it strikes, at rest, mm @param hard travel of the hub until something hard is struck, mm @param margin mm @param free travel wished for, mm
 * @param marks distance of the marks it may be cut at, mm, 0 for none @param uncut height as it comes, mm
 */
export function stopLength(
  material: StopMaterial,
  of: { gap: number; hard: number; margin: number; free: number; marks: number; uncut: number },
): StopLength {
  requireNumber('gap', of.gap, 5, 600);
  requireNumber('hard', of.hard, 0, 600);
  requireNumber('uncut', of.uncut, 5, 300);
  const { solid } = STOP_LAWS[material];
  // Solid when the gap has shrunk to solid × height: gap − travel = solid × height.
  const least = Math.max(0, (of.gap - (of.hard - of.margin)) / solid);
  const most = of.gap - of.free;
  if (of.marks <= 0) return { least, most, cutMarks: null };
  const count = Math.max(0, Math.ceil((of.uncut - most) / of.marks - 1e-9));
  return { least, most, cutMarks: of.uncut - count * of.marks >= least ? count : null };
}
