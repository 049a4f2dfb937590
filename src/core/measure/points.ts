import { BUSH_POINTS } from '../sheet/bushes';
import { COMMON_POINTS } from '../sheet/common';
import { JOINT_POINTS } from '../sheet/joints';
import { LIFTING_POINTS } from '../sheet/lifting';
import { type Point } from '../sheet/point';
import { DRIVELINE_POINTS } from '../sheet/driveline';
import { TRAVEL_POINTS } from '../sheet/travel';
import { WHEEL_POINTS } from '../sheet/wheels';
import { COIL_POINTS } from '../suspension/coil/points';
import { TANDEM_POINTS } from '../suspension/tandem/points';
import { SHEAR_POINTS } from '../suspension/rubberShear/points';
import { CROSS_POINTS } from '../suspension/transverseLeaf/points';
import { LEAF_POINTS } from '../suspension/longitudinalLeaf/points';

/** Every point that can be measured, of any kind of axle, in measuring order: those of every axle, then those of each kind. */
export const POINTS = {
  ...COMMON_POINTS,
  ...LEAF_POINTS,
  ...COIL_POINTS,
  ...TANDEM_POINTS,
  ...CROSS_POINTS,
  ...SHEAR_POINTS,
  ...TRAVEL_POINTS,
  ...DRIVELINE_POINTS,
  ...BUSH_POINTS,
  ...JOINT_POINTS,
  ...WHEEL_POINTS,
  ...LIFTING_POINTS,
};
export type PointId = keyof typeof POINTS;
export const POINT_IDS = Object.keys(POINTS) as PointId[];
export type GroupId = (typeof POINTS)[PointId]['group'];

export const pointOf = (id: PointId): Point & { group: GroupId } => POINTS[id];
