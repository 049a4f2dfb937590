import { requireNumber } from '../errors';
import { GRAVITY } from '../material/steel';

/** A mass placed along the vehicle. */
export interface Payload {
  mass: number;
  /** Distance behind the front axle, mm; negative ahead of it, beyond the wheelbase for overhang. */
  station: number;
}

/** Mass that a payload adds to each axle, kg, by statics about the other axle. @param wheelbase mm */
export function axleShares(payload: Payload, wheelbase: number): { front: number; rear: number } {
  requireNumber('wheelbase', wheelbase, 500, 20_000);
  requireNumber('station', payload.station, -20_000, 40_000);
  requireNumber('mass', payload.mass, -50_000, 50_000);
  const rear = (payload.mass * payload.station) / wheelbase;
  return { front: payload.mass - rear, rear };
}

/**
 * Sprung load on each spring, N, from scale readings under its wheels.
 * F_L − F_R = (W_L − W_R)·track/spring base: the springs see more than the pad difference.
 * @param left @param right kg on the pads @param unsprung kg of the whole axle @param ratio track over spring base
 */
export function springLoads(
  left: number,
  right: number,
  unsprung: number,
  ratio: number,
): { left: number; right: number } {
  requireNumber('padLoad', left, 0, 50_000);
  requireNumber('padLoad', right, 0, 50_000);
  requireNumber('unsprungMass', unsprung, 0, left + right);
  requireNumber('track over spring base', ratio, 1, 3);
  const mean = (left + right - unsprung) / 2;
  const half = ((left - right) * ratio) / 2;
  return { left: (mean + half) * GRAVITY, right: (mean - half) * GRAVITY };
}

/**
 * Bounce frequency of an axle, Hz: both springs in series with both tyres under the axle's sprung mass.
 * @param springRate N/mm of one spring, installed @param tyreRate N/mm of one tyre @param sprungLoad N on both springs
 */
export function bounceFrequency(springRate: number, tyreRate: number, sprungLoad: number): number {
  const both = 2 / (1 / springRate + 1 / tyreRate);
  return Math.sqrt((both * 1000) / (sprungLoad / GRAVITY)) / (2 * Math.PI);
}

/**
 * Rate that a small bump feels, N/mm: friction holds the pack until the load has changed by its half-band, so a bump of a
 * few millimetres meets a much stiffer spring. @param rate N/mm @param halfBand N @param amplitude mm (0.1–100)
 */
export function smallBumpRate(rate: number, halfBand: number, amplitude: number): number {
  requireNumber('amplitude', amplitude, 0.1, 100);
  requireNumber('halfBand', halfBand, 0, 1e6);
  requireNumber('rate', rate, 0, 1e6);
  return rate + halfBand / amplitude;
}
