import { z } from 'zod';
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

const units = [...new Set(Object.values(UNIT_CHOICES).flat())] as [UnitId, ...UnitId[]];
export const personUnitSchema = z
  .object({ dimension: z.enum(CHOSEN_DIMENSIONS), unit: z.enum(units) })
  .refine(
    ({ dimension, unit }) => (UNIT_CHOICES[dimension] as readonly UnitId[]).includes(unit),
    'Not a unit of this quantity.',
  );
export type PersonUnit = z.infer<typeof personUnitSchema>;
export const personUnitsSchema = z.object({ units: z.array(personUnitSchema).max(CHOSEN_DIMENSIONS.length) });

/** The unit of every quantity as a person wants it read and printed. */
export type UnitView = Record<ChosenDimension, UnitId>;

const pick = (k: 0 | 1): UnitView =>
  Object.fromEntries(CHOSEN_DIMENSIONS.map((d) => [d, UNIT_CHOICES[d][k]])) as UnitView;
export const METRIC_VIEW = pick(0);
export const INCH_VIEW = pick(1);

/** A person's choices over the metric ones. */
export const unitView = (chosen: readonly PersonUnit[]): UnitView => ({
  ...METRIC_VIEW,
  ...(Object.fromEntries(chosen.map((c) => [c.dimension, c.unit])) as Partial<UnitView>),
});
