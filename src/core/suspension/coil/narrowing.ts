import { type CoilPoint } from './points';

/** Which reading would replace an assumed input; inputs that no tape reaches have none. */
export const COIL_POINT_OF: Record<string, CoilPoint> = {
  spacer: 'coilSpacer',
  ratio: 'coilLean',
  'sides.left.spring.load': 'padLoad',
  'sides.right.spring.load': 'padLoad',
  'coil.free': 'coilFree',
  'swing.rise': 'pivotRise',
};
