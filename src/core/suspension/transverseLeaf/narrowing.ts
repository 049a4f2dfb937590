import { type CrossPoint } from './points';

/** Which reading would replace an assumed input; inputs that no tape reaches have none. */
export const CROSS_POINT_OF: Record<string, CrossPoint> = {
  clamp: 'crossClamp',
  'spring.shortest': 'crossShort',
  'upright.slope': 'upperSlope',
  tyreRate: 'tyreRate',
  'sides.left.spring.load': 'padLoad',
  'sides.right.spring.load': 'padLoad',
};
