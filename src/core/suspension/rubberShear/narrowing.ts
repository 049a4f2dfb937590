import { type ShearPoint } from './points';

/** Which reading would replace an assumed input; inputs that no tape reaches have none. */
export const SHEAR_POINT_OF: Record<string, ShearPoint> = {
  'block.rate': 'shearHard',
  tyreRate: 'tyreRate',
  'sides.left.spring.load': 'padLoad',
  'sides.right.spring.load': 'padLoad',
};
