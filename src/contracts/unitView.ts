import { type Dimension, type UnitId } from '@/core/units/units';

/** Quantities of which a person chooses the unit, each with the two that are common. The first is the one stored. */
export const UNIT_CHOICES = {
  length: ['mm', 'in'],
  mass: ['kg', 'lb'],
  torque: ['N·m', 'lbf·ft'],
  rate: ['N/mm', 'lbf/in'],
  pressure: ['kPa', 'psi'],
  distance: ['km', 'mi'],
} as const satisfies Partial<Record<Dimension, readonly [UnitId, UnitId]>>;
export type ChosenDimension = keyof typeof UNIT_CHOICES;
export const CHOSEN_DIMENSIONS = Object.keys(UNIT_CHOICES) as [ChosenDimension, ...ChosenDimension[]];

/** The unit of every quantity as a person wants it read and printed. */
export type UnitView = Record<ChosenDimension, UnitId>;

const pick = (k: 0 | 1): UnitView =>
  Object.fromEntries(CHOSEN_DIMENSIONS.map((d) => [d, UNIT_CHOICES[d][k]])) as UnitView;
export const METRIC_VIEW = pick(0);
export const INCH_VIEW = pick(1);
