import { COMMON_POINTS } from '../../sheet/common';
import { point, type Point, type PointGroup } from '../../sheet/point';
import { lengthRule, TURNS_RULE } from '../../units/rules';

/** Groups of the sheet that a coil adds. */
export const COIL_GROUPS = [
  { id: 'coil', place: 'under', title: 'Coil', buys: 'rate of the coil, what another one does' },
  { id: 'coilSeat', place: 'under', title: 'Where it stands', buys: 'what the hub feels of it' },
] as const satisfies readonly PointGroup[];

const SWING = {
  id: 'coilSwing',
  place: 'under',
  title: 'How the wheels swing',
  buys: 'camber, track and caster over the travel',
} as const satisfies PointGroup;
const PIVOT = {
  id: 'coilPivot',
  place: 'bench',
  title: 'Pivot bushes',
  buys: 'what tightening them hanging would do',
} as const satisfies PointGroup;
const UNIT = {
  id: 'coilUnit',
  place: 'under',
  title: 'Coil and damper in one',
  buys: 'grooves, and whether the coil stays tight at droop',
} as const satisfies PointGroup;
/** The same of beams that swing, of a beam that trails, and of coils over their dampers. */
export const TWIN_GROUPS = [...COIL_GROUPS, SWING, PIVOT] as const;
export const TRAIL_GROUPS = [...COIL_GROUPS, PIVOT] as const;
export const UNIT_GROUPS = [...COIL_GROUPS, UNIT] as const;

/** What is read of a coil, in measuring order. Expected values are common practice for a light truck. */
export const COIL_POINTS = {
  coilLength: point(
    'coil',
    'Coil, seat to seat',
    'Weight on, along its axis, from the face of the lower seat to that of the upper one.',
    lengthRule(80, 900, 300),
    2,
    { sided: true, loaded: true, minimal: true },
  ),
  coilWire: point('coil', 'Wire', 'Caliper on a turn that is bare of paint and rust.', lengthRule(4, 45, 14), 0.15, {
    minimal: true,
  }),
  coilOutside: point(
    'coil',
    'Outside diameter',
    'Across a turn in the middle, outside to outside.',
    lengthRule(40, 350, 130),
    0.5,
    { minimal: true },
  ),
  coilTurns: point(
    'coil',
    'Turns, end to end',
    'From the tip of the wire at one end to the tip at the other, quarters counted.',
    TURNS_RULE,
    0.15,
    { minimal: true },
  ),
  coilFree: point('coil', 'Free length', 'Out of the vehicle, standing by itself.', lengthRule(100, 1000, 400), 2, {
    sided: true,
  }),
  coilSpacer: point(
    'coilSeat',
    'Seat spacers',
    'All rings under or over the coil; 0 when there is none.',
    lengthRule(0, 150, 10),
    0.5,
  ),
  coilLean: point(
    'coilSeat',
    'Lean of the coil',
    'Angle gauge along its axis, from upright, seen from behind.',
    { dimension: 'angle', unit: 'deg', min: 0, max: 0.9, expected: 0.1 },
    0.035,
  ),
  coilArm: point(
    'coilSeat',
    'Arm to the coil',
    'From the pivot of the arm to the middle of the coil’s seat; leave empty when it stands on the axle.',
    lengthRule(50, 2000, 400),
    3,
  ),
  hubArm: point('coilSeat', 'Arm to the hub', 'From the same pivot to the hub.', lengthRule(50, 2500, 500), 3),
  pivotRise: point(
    'coilSwing',
    'Pivot above the hub',
    'Straight-edge from the middle of the beam’s pivot bolt to the wheel: how far the hub stands below it. Minus where it stands above.',
    lengthRule(-300, 400),
    3,
    { loaded: true },
  ),
  radiusArm: point(
    'coilSwing',
    'Radius arm',
    'From its bush on the frame to the middle of the beam.',
    lengthRule(200, 2000, 900),
    5,
  ),
  pivotShell: point(
    'coilPivot',
    'Pivot bush, outside',
    'Across the shell of the bush, or the hole it goes into.',
    lengthRule(15, 150, 45),
    0.1,
  ),
  pivotSleeve: point(
    'coilPivot',
    'Pivot bush, bore',
    'Inside of the sleeve that the bolt goes through.',
    lengthRule(6, 60, 14),
    0.1,
  ),
  pivotLength: point('coilPivot', 'Pivot bush, length of its rubber', 'Along the bolt.', lengthRule(10, 200, 45), 0.5),
  coilOpen: point(
    'coilUnit',
    'Coil with the unit open',
    'Wheel hanging, damper pulled right out: seat to seat along the coil.',
    lengthRule(80, 900, 330),
    2,
    { sided: true },
  ),
  perchPitch: point(
    'coilUnit',
    'Groove to groove',
    'Along the body of the unit, from one groove for the lower seat’s clip to the next.',
    lengthRule(2, 60, 10),
    0.2,
  ),
} as const satisfies Record<string, Point>;

/** Points that read otherwise where arms swing. */
export const TWIN_WORDS = {
  coilArm: {
    label: 'Pivot to the coil',
    howTo: 'From this beam’s pivot bolt, level across, to the middle of its coil’s seat.',
  },
  hubArm: { label: 'Pivot to the wheel', howTo: 'From the same bolt, level across, to the middle of the wheel.' },
} as const;
export const TRAIL_WORDS = {
  coilArm: {
    label: 'Pivot to the coil',
    howTo: 'From the pivot bolt, level back along the arm, to the middle of its coil’s seat.',
  },
  hubArm: { label: 'Pivot to the hub', howTo: 'From the same bolt, level back, to the hub’s centre.' },
} as const;
export const UNIT_WORDS = {
  coilArm: {
    label: 'Arm to the unit',
    howTo: 'From the lower arm’s pivot to the unit’s lower bolt; leave empty where it stands on the upright itself.',
  },
  hubArm: { label: 'Arm to the ball joint', howTo: 'From the same pivot to the ball joint that carries the upright.' },
} as const;

/** All that is read of an axle on coils. */
export const COIL_SHEET = { ...COMMON_POINTS, ...COIL_POINTS };
export type CoilPoint = keyof typeof COIL_SHEET;
