import { COMMON_POINTS } from '../../sheet/common';
import { point, type Point, type PointGroup } from '../../sheet/point';
import { countRule, lengthRule } from '../../units/rules';

/** Groups of the sheet that a rubber shear spring adds. */
export const SHEAR_GROUPS = [
  { id: 'shear', place: 'under', title: 'Rubber block', buys: 'its rate, how far it is sheared, what another does' },
  { id: 'carrier', place: 'under', title: 'Leaf and carrier', buys: 'what of the block reaches the axle' },
] as const satisfies readonly PointGroup[];

/** What is read of a rubber shear spring, in measuring order. Expected values are common practice for a small bus. */
export const SHEAR_POINTS = {
  shearLong: point(
    'shear',
    'Rubber, along its slide',
    'Top to bottom edge of the rubber where it is bonded.',
    lengthRule(40, 900, 200),
    2,
    { minimal: true },
  ),
  shearWide: point('shear', 'Rubber, width', 'Across the slide.', lengthRule(30, 700, 120), 2, { minimal: true }),
  shearThick: point(
    'shear',
    'Rubber, plate to plate',
    'Square to the plates, rubber alone: leave out steel plates inside it.',
    lengthRule(8, 300, 75),
    1.5,
    { minimal: true },
  ),
  shearOffset: point(
    'shear',
    'Carrier above the frame’s plate',
    'Weight on: upper row of bolts on the carrier’s side against the same row on the frame’s side. Minus where the carrier stands lower.',
    lengthRule(-200, 200),
    1.5,
    { sided: true, loaded: true, minimal: true },
  ),
  shearHard: point(
    'shear',
    'Hardness of the rubber',
    'Shore A gauge on a clean side face, three places, their mean.',
    countRule(30, 75),
    3,
  ),
  shearRate: point(
    'shear',
    'Rate of one block, its maker’s',
    'From its maker’s sheet or its mark; it takes the place of sizes and hardness.',
    { dimension: 'rate', unit: 'N/mm', min: 5, max: 5000, alternatives: ['lbf/in'] },
    0,
  ),
  shearRows: point(
    'shear',
    'Rows of bolt holes, apart',
    'Middle of one row to the middle of the next, on the carrier’s side.',
    lengthRule(10, 400),
    0.5,
  ),
  carrierFixed: point(
    'carrier',
    'Fixed eye to axle',
    'Level, from the pivot bolt to the middle of the axle’s seat.',
    lengthRule(100, 2000, 620),
    3,
    { minimal: true },
  ),
  carrierNose: point(
    'carrier',
    'Axle to nose bolt',
    'Level, from the middle of the axle’s seat to the bolt in the carrier’s nose.',
    lengthRule(100, 2000, 540),
    3,
    { minimal: true },
  ),
  carrierLeaves: point('carrier', 'Leaves', 'Count them at the axle’s seat.', countRule(1, 15), 0, { minimal: true }),
  carrierWidth: point('carrier', 'Width of its leaves', 'Across the main leaf.', lengthRule(30, 160, 70), 0.5, {
    minimal: true,
  }),
  carrierThickness: point(
    'carrier',
    'Thickness of its leaves',
    'Caliper on a cleaned edge; of one leaf.',
    lengthRule(4, 40, 11),
    0.15,
    { minimal: true },
  ),
  carrierFull: point(
    'carrier',
    'Of full length',
    'How many reach from the eye to the nose, the main leaf counted.',
    countRule(1, 15),
    0,
  ),
} as const satisfies Record<string, Point>;

/** All that is read of an axle on rubber shear springs. */
export const SHEAR_SHEET = { ...COMMON_POINTS, ...SHEAR_POINTS };
export type ShearPoint = keyof typeof SHEAR_SHEET;
