import { type PointId } from './points';

/** Frame, axle and steering: no work on the springs changes these. */
const STAYS: readonly PointId[] = [
  ...(['unsprungMass', 'trackWidth', 'springBase', 'tyreRate', 'otherAxleRate', 'tubeDiameter'] as const),
  ...(['axleSpacing', 'pairTube', 'crossClamp', 'upperArm', 'kingpinLength', 'radiusArm', 'perchPitch'] as const),
  ...(['coilLean', 'coilArm', 'hubArm', 'jointMost', 'shaftLength', 'hubTrack', 'treadDiameter'] as const),
  ...(['steeringArm', 'tieRodLead', 'dragLink', 'padSpread', 'hangerSpread', 'massHeight'] as const),
  ...(['carrierFixed', 'carrierNose', 'shearRows'] as const),
  ...(['toeLeast', 'toeMost', 'casterLeast', 'casterMost'] as const),
];

/** The spring itself, which stays as it is where the work left it alone. */
const OF_SPRING: readonly PointId[] = [
  ...(['eyeToPinFront', 'eyeToPinRear', 'eyeBore', 'eyeBoreRear', 'leafWidth', 'leafLiner', 'tipPad'] as const),
  ...(['leafThickness', 'leafFront', 'leafRear', 'formedFlat', 'leafTip', 'clipFront', 'clipRear'] as const),
  ...(['coilWire', 'coilOutside', 'coilTurns', 'pairLeaves', 'pairWidth', 'pairThickness', 'pairOuter'] as const),
  ...(['pairInner', 'pairFull', 'pairSeat'] as const),
  ...(['crossLeaves', 'crossWidth', 'crossThickness', 'crossHalf', 'crossFull', 'crossShort'] as const),
  ...(['shearLong', 'shearWide', 'shearThick', 'shearRate', 'carrierLeaves', 'carrierWidth'] as const),
  ...(['carrierThickness', 'carrierFull'] as const),
];

/** What stands round the spring and was made to one drawing. */
const ROUND_IT: readonly PointId[] = [
  ...(['shackleLength', 'blockHeight', 'uboltSpacing', 'dowelDiameter', 'plateThickness', 'uboltThread'] as const),
  ...(['uboltPitch', 'padHole', 'dowelHeight', 'padDepth', 'coilSpacer', 'pairShackle'] as const),
  ...(['perchHeight', 'pairPerch', 'rockerFront', 'rockerRear', 'rockerBelow'] as const),
  ...(['stopSolid', 'shockShut', 'shockOpen', 'shackleOffset'] as const),
];

/**
 * Which points another job may begin with: `sister`, sizes that two vehicles made alike share; `next`, what the work on this very axle
 * left as it was. Heights, loads, arches, angles, play and bushes are read anew always: they are what wears, sags and settles.
 * @param springLeft whether the work left the spring itself alone
 */
export const carriedPoints = (to: 'sister' | 'next', springLeft: boolean): ReadonlySet<PointId> =>
  new Set(to === 'sister' ? [...STAYS, ...OF_SPRING, ...ROUND_IT] : [...STAYS, ...(springLeft ? OF_SPRING : [])]);
