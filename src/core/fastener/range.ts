import { CoreError, requireNumber } from '../errors';

/** A torque given as a range, N·mm: its middle, and where a figure lies in it. */
export const middleOf = (low: number, high: number): number => (low + high) / 2;

/**
 * Share of the way from the least to the most of a range; under 0 below it, over 1 above it.
 * @throws CoreError for a range of no width
 */
export function placeInRange(value: number, low: number, high: number): number {
  requireNumber('torque', value, 0, 1e8);
  if (!(high > low)) throw new CoreError('bad-input', 'range', 'the range ends where it begins');
  return (value - low) / (high - low);
}

/**
 * What to set a wrench to that reaches its nut by a crow-foot or an extension: set = T·L/(L + A), by the moments about the nut.
 * Square to the wrench it adds nothing. @param torque wanted at the nut, N·mm @param lever grip to drive, mm @param offset drive to nut along the wrench, mm
 */
export function wrenchSetting(torque: number, lever: number, offset: number): number {
  requireNumber('torque', torque, 0, 3e6);
  requireNumber('lever', lever, 50, 2000);
  requireNumber('offset', offset, -0.5 * lever, 1000);
  return (torque * lever) / (lever + offset);
}
