import { type DrivelinePoint } from '../sheet/driveline';
import { type Verdict } from '../verdict';
import { drivelineAfter, JOINT_LIMITS, jointAngles, slipNeeded, type JointAngles } from './joints';

export type DrivelineRead = Partial<Record<DrivelinePoint, number>>;

export interface DrivelineState {
  angles: JointAngles;
  /** How much further the sliding joint stands out than today, mm. */
  slip: number;
}

/**
 * The joints of a shaft whose axle stands lower under its frame and turned; null while a slope or the length was not read.
 * @param drop mm @param noseUp of the axle, rad @param position a front axle's pinion points rearward and turns against its axle's nose
 */
export function drivelineState(
  read: DrivelineRead,
  drop: number,
  noseUp: number,
  position: 'front' | 'rear',
): DrivelineState | null {
  const { outputSlope: output, shaftSlope: shaft, pinionSlope: pinion, shaftLength: length } = read;
  if (output === undefined || shaft === undefined || pinion === undefined || length === undefined) return null;
  const now = { output, shaft, pinion };
  const after = drivelineAfter(now, drop, position === 'rear' ? noseUp : -noseUp, length);
  return { angles: jointAngles(after), slip: slipNeeded(now, drop, length) };
}

const degrees = (rad: number): string => `${((Math.abs(rad) * 180) / Math.PI).toFixed(1)}°`;
/** Of three slopes read with a gauge, each to half a degree. */
export const UNEQUAL_HALF = Math.hypot(0.009, 0.009);

/** Whether the joints stay equal and work where they should; never a stop: a shaft shakes and wears, it does not let go at once. */
export function drivelineVerdict({ angles, slip }: DrivelineState): Verdict<'driveline'> {
  const { front, rear, unequal } = angles;
  const out = Math.abs(unequal) > JOINT_LIMITS.unequal;
  const steep = Math.max(front, rear) > JOINT_LIMITS.most;
  const text = [
    `Joints work at ${degrees(front)} and ${degrees(rear)}`,
    out ? `; the pinion points ${degrees(unequal)} ${unequal > 0 ? 'too high' : 'too low'}` : ', as good as equal',
    steep ? `; more than ${degrees(JOINT_LIMITS.most)} shakes at road speed` : '',
    Math.abs(slip) >= 1
      ? `; the sliding joint stands ${Math.abs(slip).toFixed(0)} mm further ${slip > 0 ? 'out' : 'in'}`
      : '',
    '.',
  ].join('');
  return {
    item: 'driveline',
    state: out || steep ? 'look' : 'fits',
    text,
    figure: {
      quantity: 'out of parallel',
      dimension: 'angle',
      value: unequal,
      limit: JOINT_LIMITS.unequal,
      margin: JOINT_LIMITS.unequal - Math.abs(unequal),
    },
    source: 'common practice: joints equal within about a degree',
  };
}
