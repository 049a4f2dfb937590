import { type TandemPoint } from './points';

/** Which reading would replace an assumed input; inputs that no tape reaches have none. */
export const TANDEM_POINT_OF: Record<string, TandemPoint> = {
  inactive: 'pairSeat',
  spacing: 'axleSpacing',
  'drop.outer': 'outerDrop',
  'drop.inner': 'innerDrop',
  pitch: 'framePitch',
  share: 'frontAxleLoad',
  tube: 'pairTube',
  perch: 'pairPerch',
  unsprung: 'unsprungMass',
  tyreRate: 'tyreRate',
  'rocker.below': 'rockerBelow',
  'rocker.shackle': 'pairShackle',
  'rocker.tilt': 'rockerTilt',
  'rocker.lean.front': 'leanFront',
  'rocker.lean.rear': 'leanRear',
};
