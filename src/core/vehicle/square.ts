import { requireNumber } from '../errors';

/**
 * How far an axle stands askew, rad: left less right wheelbase over the track. Plus: its left wheel stands further back, so that it steers the vehicle
 * to the right as it pushes. @param left @param right hub to hub along each side, mm @param track mm
 */
export function thrustAngle(left: number, right: number, track: number): number {
  requireNumber('left', left, 300, 20_000);
  requireNumber('right', right, 300, 20_000);
  requireNumber('track', track, 300, 3000);
  return Math.atan((left - right) / track);
}

/**
 * Slope across which a vehicle tips without moving, rad: half its track over its centre of gravity's height, springs and tyres taken as stiff, so that
 * the truth is less. @param track mm @param height of the centre of gravity, mm
 */
export function tiltAngle(track: number, height: number): number {
  requireNumber('track', track, 300, 3000);
  requireNumber('height', height, 50, 4000);
  return Math.atan(track / 2 / height);
}
