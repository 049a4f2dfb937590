import { COMMON_POINTS } from '../../sheet/common';
import { point, type Point, type PointGroup } from '../../sheet/point';
import { lengthRule, THREAD_RULE } from '../../units/rules';

/** Groups of the sheet that a leaf spring adds. */
export const LEAF_GROUPS = [
  { id: 'arch', place: 'under', title: 'Arch and eyes', buys: 'what the spring does now' },
  { id: 'linkage', place: 'under', title: 'Shackle', buys: 'a narrower band' },
  { id: 'stack', place: 'under', title: 'Axle stack', buys: 'what stands between axle and spring' },
  { id: 'ubolts', place: 'under', title: 'U-bolt threads', buys: 'U-bolt verdict' },
  { id: 'leaves', place: 'bench', title: 'Leaf by leaf', buys: 'rate of the pack, lift of an added leaf' },
  { id: 'check', place: 'bench', title: 'Bench and a second load', buys: 'a spring that is checked, not assumed' },
] as const satisfies readonly PointGroup[];

/** What is read of a leaf spring and its stack, in measuring order. Expected values are common practice for a pickup-size axle. */
export const LEAF_POINTS = {
  loadedArch: point(
    'arch',
    'Loaded arch',
    'Line between the eye centres down to the top face of the main leaf at the centre bolt, weight on. Minus when the leaf stands above the line.',
    lengthRule(-250, 450, 60),
    2.5,
    { sided: true, loaded: true, minimal: true },
  ),
  eyeToPinFront: point(
    'arch',
    'Front eye to centre bolt',
    'Along the main leaf, eye centre to centre bolt.',
    lengthRule(150, 1500, 620),
    3,
    { minimal: true, ofSpring: true },
  ),
  eyeToPinRear: point(
    'arch',
    'Rear eye to centre bolt',
    'Along the main leaf, eye centre to centre bolt.',
    lengthRule(150, 1500, 660),
    3,
    { minimal: true, ofSpring: true },
  ),
  eyeToEye: point(
    'arch',
    'Eye to eye, straight',
    'Straight line between the two eye centres, weight on.',
    lengthRule(300, 3000, 1270),
    3,
    { loaded: true },
  ),
  eyeBore: point(
    'arch',
    'Eye inside diameter',
    'Bore of the rolled eye, bush out or by its shell.',
    lengthRule(10, 90, 38),
    0.5,
    { ofSpring: true },
  ),
  shackleLength: point('linkage', 'Shackle length', 'Bolt centre to bolt centre.', lengthRule(30, 300, 105), 1),
  shackleAngle: point(
    'linkage',
    'Shackle angle',
    'Between the line through the eyes, towards the front, and the shackle; 90° is square.',
    { dimension: 'angle', unit: 'deg', min: 0.35, max: 2.8, expected: 1.7 },
    0.035,
    { loaded: true },
  ),
  blockHeight: point(
    'stack',
    'Block height',
    'Block between spring and axle perch; 0 when there is none.',
    lengthRule(0, 300, 50),
    0.5,
    { minimal: true },
  ),
  uboltSpacing: point(
    'stack',
    'U-bolt spacing',
    'Between the U-bolts along the spring, inside to inside.',
    lengthRule(40, 400, 130),
    3,
    { minimal: true },
  ),
  packThickness: point(
    'stack',
    'Pack thickness',
    'All leaves and liners together, beside the U-bolts.',
    lengthRule(4, 300, 45),
    0.5,
  ),
  tubeDiameter: point(
    'stack',
    'Axle tube diameter',
    'Caliper or string around the tube divided by 3.14.',
    lengthRule(25, 250, 80),
    1,
  ),
  perchHeight: point(
    'stack',
    'Perch height',
    'From the tube to the face the spring lies on.',
    lengthRule(0, 150, 20),
    1,
  ),
  dowelDiameter: point(
    'stack',
    'Dowel diameter',
    'Head of the centre bolt that drops into the perch.',
    lengthRule(5, 60, 18),
    0.2,
  ),
  padHole: point('stack', 'Perch hole', 'Hole in perch or block that takes the dowel.', lengthRule(5, 60, 18), 0.2),
  plateThickness: point(
    'stack',
    'Spring plate thickness',
    'Plate that the U-bolt legs pass through, at the nut’s own face.',
    lengthRule(2, 60, 9),
    0.5,
  ),
  uboltThread: point(
    'ubolts',
    'U-bolt thread',
    'Its name by thread gauge and caliper: M12 x 1.25, 1/2-20.',
    THREAD_RULE,
    0,
  ),
  uboltExposed: point(
    'ubolts',
    'Thread showing',
    'From the outer face of the nut to the end of the leg; the shortest leg counts.',
    lengthRule(0, 200, 15),
    0.5,
    { minimal: true },
  ),
  uboltPitch: point(
    'ubolts',
    'Thread pitch',
    'Pitch gauge. For threads per inch type 1/20 in.',
    { ...lengthRule(0.5, 4, 1.5), keepsUnit: true },
    0,
    { minimal: true },
  ),
  uboltThreaded: point('ubolts', 'Threaded length', 'Whole threaded part of one leg.', lengthRule(10, 300, 60), 1, {
    minimal: true,
  }),
  uboltNut: point('ubolts', 'Nut height', 'Height of one U-bolt nut.', lengthRule(4, 50, 14), 0.3, { minimal: true }),
  leafWidth: point('leaves', 'Leaf width', 'Once, across the main leaf.', lengthRule(20, 180, 64), 0.5, {
    minimal: true,
    ofSpring: true,
  }),
  leafLiner: point(
    'leaves',
    'Liner between the leaves',
    'One liner, between any two leaves; 0 when steel lies on steel.',
    lengthRule(0, 12, 2),
    0.2,
    { ofSpring: true },
  ),
  tipPad: point(
    'leaves',
    'Pad at the leaf tips',
    'Pad or button on the tip of a leaf, as it lies under load; 0 when there is none.',
    lengthRule(0, 15, 3),
    0.3,
    { ofSpring: true },
  ),
  leafThickness: point('leaves', 'Thickness', 'On a cleaned edge beside the seat.', lengthRule(3, 40, 8), 0.15, {
    perLeaf: true,
    minimal: true,
  }),
  leafFront: point(
    'leaves',
    'Pin to front tip',
    'Along the leaf from the centre bolt to its front tip.',
    lengthRule(40, 1500, 420),
    3,
    { perLeaf: true, minimal: true },
  ),
  leafRear: point(
    'leaves',
    'Pin to rear tip',
    'Along the leaf from the centre bolt to its rear tip.',
    lengthRule(40, 1500, 460),
    3,
    { perLeaf: true, minimal: true },
  ),
  freeArch: point(
    'check',
    'Free arch on the bench',
    'Pack out of the vehicle, centre bolt tight, nothing else: line between the eye centres down to the top face of the main leaf at the centre bolt.',
    lengthRule(-250, 500, 130),
    2.5,
    { sided: true },
  ),
} as const satisfies Record<string, Point>;

/** All that is read of an axle on leaf springs. */
export const LEAF_SHEET = { ...COMMON_POINTS, ...LEAF_POINTS };
export type LeafPoint = keyof typeof LEAF_SHEET;
export const LEAF_SHEET_IDS = Object.keys(LEAF_SHEET) as LeafPoint[];
export const leafPointOf = (id: LeafPoint): Point => LEAF_SHEET[id];
