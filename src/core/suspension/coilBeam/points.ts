import { COMMON_POINTS } from '../../sheet/common';
import { point, type Point, type PointGroup } from '../../sheet/point';
import { lengthRule, TURNS_RULE } from '../../units/rules';

/** Groups of the sheet that a coil adds. */
export const COIL_GROUPS = [
  { id: 'coil', place: 'under', title: 'Coil', buys: 'rate of the coil, what another one does' },
  { id: 'coilSeat', place: 'under', title: 'Where it stands', buys: 'what the hub feels of it' },
] as const satisfies readonly PointGroup[];

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
} as const satisfies Record<string, Point>;

/** All that is read of an axle on coils. */
export const COIL_SHEET = { ...COMMON_POINTS, ...COIL_POINTS };
export type CoilPoint = keyof typeof COIL_SHEET;
