/**
 * Length of a centre bolt under its head, mm: pack, nut and two to three threads.
 * @param packThickness mm, clamped @param nutHeight mm @param pitch mm
 */
export function centreBoltLength(
  packThickness: number,
  nutHeight: number,
  pitch: number,
): { least: number; most: number } {
  return { least: packThickness + nutHeight + 2 * pitch, most: packThickness + nutHeight + 3 * pitch };
}
