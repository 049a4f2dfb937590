import { type Arrangement } from '../mechanics/stack/stack';

/** A turn that is worth a wedge, rad; common practice: joints equal within about a degree. */
const WEDGE = Math.PI / 180;

/**
 * The wedge that takes a turn of the axle back, in words; empty while the turn is small. Thick end to the rear lifts the nose under a
 * spring that lies over the axle, and lowers it under one below. @param noseUp rad
 */
export function wedgeText(noseUp: number, arrangement: Arrangement): string {
  if (Math.abs(noseUp) < WEDGE) return '';
  const rear = arrangement === 'over' ? noseUp < 0 : noseUp > 0;
  return `; a wedge of ${Math.abs((noseUp * 180) / Math.PI).toFixed(1)}° with its thick end to the ${rear ? 'rear' : 'front'} takes that back`;
}
