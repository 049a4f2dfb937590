import { type FieldRule } from '../units/parse';
import { lengthRule } from '../units/rules';
import { point, type Point } from './point';

const angle = (min: number, max: number): FieldRule => ({ dimension: 'angle', unit: 'deg', min, max });
const TREAD = 'Tread to tread at hub height, on the same rib or chalk line.';

/** What is read of how the wheels stand, straight ahead and weight on; asked for at Check only. */
export const WHEEL_POINTS = {
  treadFront: point('wheels', 'Across the treads, in front', TREAD, lengthRule(300, 3000), 1),
  treadRear: point('wheels', 'Across the treads, behind', TREAD, lengthRule(300, 3000), 1),
  treadFrontTurned: point(
    'wheels',
    'In front, rolled half a turn',
    'The same once the wheels have rolled by half a turn: run-out cancels in the mean.',
    lengthRule(300, 3000),
    1,
  ),
  treadRearTurned: point('wheels', 'Behind, rolled half a turn', 'As in front.', lengthRule(300, 3000), 1),
  treadDiameter: point(
    'wheels',
    'Tyre, across',
    'Through the hub, between the two places where the tape lay.',
    lengthRule(150, 1600),
    5,
  ),
  toeLeast: point(
    'wheels',
    'Toe-in asked for, least',
    'From the maker’s sheet, for both wheels together; minus is toe-out.',
    angle(-0.05, 0.05),
    0,
  ),
  toeMost: point('wheels', 'Toe-in asked for, most', 'From the same sheet.', angle(-0.05, 0.05), 0),
  steeringArm: point(
    'wheels',
    'Steering arm',
    'Kingpin or ball joint to the tie rod’s end, square to the rod.',
    lengthRule(30, 500),
    3,
  ),
  tieRodLead: point(
    'wheels',
    'Tie rod, length a turn',
    'By how much a turn of its sleeve changes the rod: twice the pitch with a right and a left thread.',
    lengthRule(0.3, 12),
    0,
  ),
  caster: point(
    'wheels',
    'Caster as it stands',
    'Top of the steering axis leaning rearward is plus.',
    angle(-0.3, 0.4),
    0.006,
  ),
  casterLeast: point('wheels', 'Caster asked for, least', 'From the maker’s sheet.', angle(-0.3, 0.4), 0),
  casterMost: point('wheels', 'Caster asked for, most', 'From the same sheet.', angle(-0.3, 0.4), 0),
  dragLink: point(
    'wheels',
    'Drag link, joint to joint',
    'Between the middles of its two joints.',
    lengthRule(80, 2500),
    3,
  ),
  dragLinkSlope: point(
    'wheels',
    'Slope of the drag link',
    'Gauge along it, weight on; plus where it goes down towards the axle.',
    angle(-0.8, 0.8),
    0.01,
  ),
  hubTrack: point('wheels', 'Track', 'Middle of tread to middle of tread across the axle.', lengthRule(300, 3000), 5),
  diagonalLeft: point(
    'wheels',
    'Diagonal to the left hub',
    'From a hole in the middle of the frame ahead to the left hub.',
    lengthRule(300, 12_000),
    2,
  ),
  diagonalRight: point(
    'wheels',
    'Diagonal to the right hub',
    'From the same hole to the right hub.',
    lengthRule(300, 12_000),
    2,
  ),
  tyreToSpring: point(
    'wheels',
    'Tyre to spring',
    'Sideways from the tyre to the nearest of spring, clip and U-bolt, the nearer side, wheels straight.',
    lengthRule(0, 600),
    2,
  ),
  wheelInward: point(
    'wheels',
    'New wheel: further in by',
    'From its offset against the old one; minus is further out. Leave empty where the wheels stay.',
    lengthRule(-150, 150),
    1,
  ),
  tyreWider: point('wheels', 'New tyre: wider by', 'Width of section, new less old.', lengthRule(-150, 250), 2),
  padSpread: point(
    'wheels',
    'Pads on the axle',
    'Centre to centre of the spring pads, left to right.',
    lengthRule(300, 2000),
    2,
  ),
  hangerSpread: point(
    'wheels',
    'Hangers on the frame',
    'Centre to centre of the front hangers, left to right.',
    lengthRule(300, 2000),
    2,
  ),
  shackleOffset: point(
    'wheels',
    'Shackle carries the spring in by',
    'Offset of each shackle towards the middle; 0 for a straight one.',
    lengthRule(-120, 120),
    1,
  ),
  massHeight: point(
    'wheels',
    'Centre of gravity above ground',
    'From the maker’s sheet; else nobody knows it: seats and load raise it.',
    lengthRule(100, 3000),
    50,
  ),
} as const satisfies Record<string, Point>;
export type WheelPoint = keyof typeof WHEEL_POINTS;
