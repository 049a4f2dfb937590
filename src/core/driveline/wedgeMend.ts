import { type Arrangement } from '../mechanics/stack/stack';

export interface Wedge {
  /** rad. */
  angle: number;
  /** In the middle, mm. */
  height: number;
  thick: 'front' | 'rear';
}

const HALF_DEGREE = Math.PI / 360;
/** A wedge's thin end is left this thick, so that it does not crack there, mm. Chosen. */
const THIN = 3;

/** How far a wedge turns the axle's nose up, rad: thick end to the rear lifts it under a spring over the axle, lowers it under one below. */
export const wedgeTurn = ({ angle, thick }: Pick<Wedge, 'angle' | 'thick'>, arrangement: Arrangement): number =>
  angle * ((thick === 'rear') === (arrangement === 'over') ? 1 : -1);

/**
 * The wedge that makes a rear axle's joints equal again, in place of the one that is planned: wedges are never stacked. null where none is wanted.
 * @param unequal how far the pinion points too high, rad @param planned the wedge that is in the plan now @param seat its length along the spring, mm
 */
export function wedgeFor(
  unequal: number,
  planned: Pick<Wedge, 'angle' | 'thick'> | null,
  arrangement: Arrangement,
  seat: number,
): Wedge | null {
  const turn = (planned ? wedgeTurn(planned, arrangement) : 0) - unequal;
  const angle = Math.round(Math.abs(turn) / HALF_DEGREE) * HALF_DEGREE;
  if (angle < HALF_DEGREE) return null;
  return {
    angle,
    height: Math.ceil(THIN + (Math.tan(angle) * seat) / 2),
    thick: turn > 0 === (arrangement === 'over') ? 'rear' : 'front',
  };
}
