import { requireNumber } from '../errors';

/**
 * Tensile stress area of an ISO metric thread, mm²: π/4 (d − 0.9382 p)² (ISO 898-1, from memory).
 * @param diameter mm @param pitch mm
 */
export const metricStressArea = (diameter: number, pitch: number): number =>
  (Math.PI / 4) * (diameter - 0.9382 * pitch) ** 2;

/**
 * Tensile stress area of a unified thread, mm²: π/4 (D − 0.9743/n)² in inches (ASME B1.1, from memory).
 * @param diameter mm @param threadsPerInch 1/in
 */
export const unifiedStressArea = (diameter: number, threadsPerInch: number): number =>
  (Math.PI / 4) * (diameter - (0.9743 * 25.4) / threadsPerInch) ** 2;

/** Tightening torque T = K·D·F, N·mm. @param nutFactor K 0.05–0.5 @param diameter mm @param clamp N */
export function tighteningTorque(nutFactor: number, diameter: number, clamp: number): number {
  requireNumber('nutFactor', nutFactor, 0.05, 0.5);
  requireNumber('diameter', diameter, 1, 100);
  return nutFactor * diameter * clamp;
}

/** Clamp force of a torque, N. The inverse of `tighteningTorque`. */
export const clampForce = (nutFactor: number, diameter: number, torque: number): number =>
  torque / (nutFactor * diameter);
