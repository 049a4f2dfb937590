import { COMMON_POINTS } from '../../sheet/common';
import { point, type Point, type PointGroup } from '../../sheet/point';
import { countRule, lengthRule } from '../../units/rules';

/** Groups of the sheet that a spring across adds. */
export const CROSS_GROUPS = [
  { id: 'cross', place: 'under', title: 'Spring across', buys: 'rate of each wheel, what another spring does' },
  { id: 'crossUpright', place: 'under', title: 'What stands the wheels up', buys: 'camber over the travel' },
] as const satisfies readonly PointGroup[];

/** What is read of a spring across, in measuring order. Expected values are common practice for a small cart. */
export const CROSS_POINTS = {
  crossLeaves: point('cross', 'Leaves across', 'Count them at the clamp.', countRule(1, 12), 0, { minimal: true }),
  crossWidth: point('cross', 'Leaf width', 'Across the main leaf.', lengthRule(25, 130, 45), 0.5, { minimal: true }),
  crossThickness: point(
    'cross',
    'Leaf thickness',
    'Caliper on a cleaned edge; of one leaf.',
    lengthRule(3, 25, 7),
    0.15,
    { minimal: true },
  ),
  crossHalf: point(
    'cross',
    'Centre bolt to eye',
    'Along the main leaf, from the bolt to the middle of the eye at this wheel.',
    lengthRule(150, 900, 380),
    2,
    { sided: true, minimal: true },
  ),
  crossDrop: point(
    'cross',
    'Clamp down to the eye',
    'Weight on: straight-edge along the main leaf’s lower face at the clamp, from there straight down to the eye’s centre. Minus where the eye stands above it.',
    lengthRule(-150, 300, 60),
    2,
    { sided: true, loaded: true, minimal: true },
  ),
  crossFull: point(
    'cross',
    'Leaves of full length',
    'How many reach from eye to eye, the main leaf counted.',
    countRule(1, 12),
    0,
  ),
  crossShort: point(
    'cross',
    'Shortest leaf, half of it',
    'From the centre bolt to its tip; the others go down to it in even steps.',
    lengthRule(30, 900),
    5,
  ),
  crossClamp: point(
    'cross',
    'Clamp along the spring',
    'Outer edge to outer edge of plate and frame where they press on the leaves.',
    lengthRule(30, 300, 100),
    3,
  ),
  crossBroken: point(
    'cross',
    'Broken leaf',
    'Which one is through at its bolt hole, counted from the main leaf as 1; 0 where none is.',
    countRule(0, 12),
    0,
  ),
  upperArm: point(
    'crossUpright',
    'Upper arm',
    'Middle of its pivot on the frame to the joint on the upright; 0 where a rigid beam joins both ends.',
    lengthRule(0, 600),
    1.5,
  ),
  upperSlope: point(
    'crossUpright',
    'Slope of the upper arm',
    'Angle gauge on the arm, weight on: outer end higher is plus.',
    { dimension: 'angle', unit: 'deg', min: -0.7, max: 0.7 },
    0.02,
    { loaded: true },
  ),
  kingpinLength: point(
    'crossUpright',
    'Spring eye to upper joint',
    'Middle of the eye bolt straight up the kingpin to the joint of the upper arm.',
    lengthRule(40, 500),
    1.5,
  ),
} as const satisfies Record<string, Point>;

/** All that is read of an axle on a spring across. */
export const CROSS_SHEET = { ...COMMON_POINTS, ...CROSS_POINTS };
export type CrossPoint = keyof typeof CROSS_SHEET;

/** Points that every axle has, as they are read where one spring lies across. */
export const CROSS_WORDS = {
  springBase: { label: 'Spring base', howTo: 'Eye to eye of the spring across, weight on.' },
} as const satisfies Partial<Record<CrossPoint, { label: string; howTo: string }>>;
