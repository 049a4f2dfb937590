import { COMMON_POINTS } from '../../sheet/common';
import { point, type Point, type PointGroup } from '../../sheet/point';
import { countRule, lengthRule, massRule } from '../../units/rules';
import { type FieldRule } from '../../units/parse';

const SPRINGS = {
  id: 'pairSpring',
  place: 'under',
  title: 'Springs',
  buys: 'rate of the springs, what others would do',
} as const satisfies PointGroup;
const ROCKER = {
  id: 'pairRocker',
  place: 'under',
  title: 'Rocker',
  buys: 'which axle carries what',
} as const satisfies PointGroup;
const FRAME = {
  id: 'pairFrame',
  place: 'under',
  title: 'Frame and axles',
  buys: 'bumps, hitch heights, tyres',
} as const satisfies PointGroup;

/** Groups of the sheet that two axles on a rocker add, and two on slippers. */
export const ROCKER_GROUPS = [SPRINGS, ROCKER, FRAME] as const;
export const SLIPPER_GROUPS = [SPRINGS, FRAME] as const;

const degrees = (min: number, max: number, expected?: number): FieldRule => ({
  ...{ dimension: 'angle', unit: 'deg', min, max },
  ...(expected === undefined ? {} : { expected }),
});

/** What is read of a pair of axles, in measuring order. Expected values are common practice for a trailer of 2 to 3 t. */
export const TANDEM_POINTS = {
  pairLeaves: point(
    'pairSpring',
    'Leaves in one spring',
    'All four springs alike; count them at the bolt.',
    countRule(1, 15),
    0,
    {
      minimal: true,
    },
  ),
  pairWidth: point('pairSpring', 'Leaf width', 'Across the main leaf.', lengthRule(30, 130, 50), 0.5, {
    minimal: true,
  }),
  pairThickness: point(
    'pairSpring',
    'Leaf thickness',
    'Caliper on a cleaned edge; of one leaf.',
    lengthRule(3, 25, 7),
    0.15,
    {
      minimal: true,
    },
  ),
  pairOuter: point(
    'pairSpring',
    'Hanger eye to centre bolt',
    'Along the main leaf, from the eye at the spring’s own hanger.',
    lengthRule(120, 1200, 330),
    2,
    { minimal: true },
  ),
  pairInner: point(
    'pairSpring',
    'Inner end to centre bolt',
    'Along the main leaf: from the eye at the rocker, or from where the end bears on its slipper.',
    lengthRule(120, 1200, 330),
    2,
    { minimal: true },
  ),
  pairArchFront: point(
    'pairSpring',
    'Arch, front axle',
    'Line from end to end of the spring, down to the top face of the main leaf at the bolt, weight on.',
    lengthRule(-100, 300, 50),
    2,
    { sided: true, loaded: true, minimal: true },
  ),
  pairArchRear: point(
    'pairSpring',
    'Arch, rear axle',
    'The same at the rear axle’s spring.',
    lengthRule(-100, 300, 50),
    2,
    { sided: true, loaded: true, minimal: true },
  ),
  pairFull: point(
    'pairSpring',
    'Leaves of full length',
    'How many reach from end to end, the main leaf counted.',
    countRule(1, 15),
    0,
  ),
  pairSeat: point(
    'pairSpring',
    'U-bolt spacing',
    'Outside to outside along the spring: what the clamp keeps from bending.',
    lengthRule(30, 300, 90),
    3,
  ),
  rockerFront: point(
    'pairRocker',
    'Arm to the front spring',
    'Level, from the middle of the rocker’s pivot to the middle of the front pin.',
    lengthRule(30, 600, 110),
    1.5,
    { minimal: true },
  ),
  rockerRear: point(
    'pairRocker',
    'Arm to the rear spring',
    'Level, from the same pivot to the middle of the rear pin.',
    lengthRule(30, 600, 110),
    1.5,
    { minimal: true },
  ),
  rockerTilt: point(
    'pairRocker',
    'Tilt of the rocker',
    'Angle gauge on its pins against the frame’s edge, weight on: front pin up is plus.',
    degrees(-0.7, 0.7),
    0.02,
    { loaded: true },
  ),
  rockerStop: point(
    'pairRocker',
    'Tilt until it touches',
    'Either way from level, by its marks or with the frame lifted: where it meets frame, hanger or spring.',
    degrees(0.05, 1.1, 0.45),
    0.03,
  ),
  rockerBelow: point(
    'pairRocker',
    'Pins below the pivot',
    'With the rocker level; minus where they stand above it.',
    lengthRule(-150, 200),
    1.5,
  ),
  pairShackle: point('pairRocker', 'Shackle, bolt to bolt', 'Between rocker and spring.', lengthRule(30, 250, 60), 1),
  leanFront: point(
    'pairRocker',
    'Lean of the front shackle',
    'From upright, weight on: lower end towards the front axle is plus.',
    degrees(-0.7, 0.7),
    0.035,
    { loaded: true },
  ),
  leanRear: point(
    'pairRocker',
    'Lean of the rear shackle',
    'From upright, weight on: lower end towards the rear axle is plus.',
    degrees(-0.7, 0.7),
    0.035,
    { loaded: true },
  ),
  axleSpacing: point(
    'pairFrame',
    'Axle to axle',
    'Hub centre to hub centre of the two, along this side.',
    lengthRule(400, 2500, 850),
    2,
    {
      minimal: true,
    },
  ),
  frontAxleLoad: point(
    'pairFrame',
    'Front axle alone',
    'Only the front axle of the two on the scale, all wheels on one level.',
    massRule(50, 12_000, 1100),
    0,
    { loaded: true },
  ),
  rearAxleLoad: point(
    'pairFrame',
    'Rear axle alone',
    'Only the rear axle of the two on the scale.',
    massRule(50, 12_000, 1100),
    0,
    { loaded: true },
  ),
  framePitch: point(
    'pairFrame',
    'Pitch of the frame',
    'Angle gauge on the frame’s edge over the axles, level ground, coupled up: nose down is plus.',
    degrees(-0.2, 0.2),
    0.004,
    { loaded: true },
  ),
  wheelLimit: point(
    'pairFrame',
    'One wheel may carry',
    'The lower of tyre and wheel, from their marks at this pressure.',
    massRule(50, 5000, 600),
    0,
  ),
  outerDrop: point(
    'pairFrame',
    'Frame to the hanger eye',
    'Frame’s lower edge straight down to the eye’s centre.',
    lengthRule(-100, 400, 60),
    2,
  ),
  innerDrop: point(
    'pairFrame',
    'Frame to the inner end',
    'Frame’s lower edge straight down to the inner eyes’ centre, their middle, or to the face of the slippers.',
    lengthRule(-100, 500, 110),
    3,
    { loaded: true },
  ),
  pairTube: point('pairFrame', 'Axle tube', 'Across the tube at the seat.', lengthRule(25, 200, 60), 0.5),
  pairPerch: point('pairFrame', 'Perch', 'Seat’s face to the tube.', lengthRule(0, 200, 15), 1),
} as const satisfies Record<string, Point>;

/** All that is read of a pair of axles. */
export const TANDEM_SHEET = { ...COMMON_POINTS, ...TANDEM_POINTS };
export type TandemPoint = keyof typeof TANDEM_SHEET;

/** Points that every axle has, as they are read of two axles that stand as one. */
export const TANDEM_WORDS = {
  hubToLip: {
    label: 'Hubs to frame, midway',
    howTo: 'String from hub to hub; from its middle straight up to the frame’s lower edge. Roll the vehicle first.',
  },
  groundToLip: {
    label: 'Ground to frame, midway',
    howTo: 'Level ground up to the frame’s lower edge between the two wheels.',
  },
  padLoad: {
    label: 'Both wheels of this side',
    howTo: 'Scale pads under all four wheels; the two of a side together.',
  },
  axleLoad: { label: 'Load on both axles', howTo: 'Weigh ticket or estimate of the two axles together.' },
  unsprungMass: {
    label: 'Unsprung mass of both axles',
    howTo: 'Both axles with wheels and brakes and half of the springs.',
  },
  tyreRate: { label: 'Tyre rate', howTo: 'Of one tyre, from its maker at this pressure.' },
} as const satisfies Partial<Record<TandemPoint, { label: string; howTo: string }>>;
