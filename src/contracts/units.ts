import { z } from 'zod';
import { type UnitId } from '@/core/units/units';
import { CHOSEN_DIMENSIONS, METRIC_VIEW, UNIT_CHOICES, type UnitView } from './unitView';

const units = [...new Set(Object.values(UNIT_CHOICES).flat())] as [UnitId, ...UnitId[]];
export const personUnitSchema = z
  .object({ dimension: z.enum(CHOSEN_DIMENSIONS), unit: z.enum(units) })
  .refine(
    ({ dimension, unit }) => (UNIT_CHOICES[dimension] as readonly UnitId[]).includes(unit),
    'Not a unit of this quantity.',
  );
export type PersonUnit = z.infer<typeof personUnitSchema>;
export const personUnitsSchema = z.object({ units: z.array(personUnitSchema).max(CHOSEN_DIMENSIONS.length) });

/** A person's choices over the metric ones. */
export const unitView = (chosen: readonly PersonUnit[]): UnitView => ({
  ...METRIC_VIEW,
  ...(Object.fromEntries(chosen.map((c) => [c.dimension, c.unit])) as Partial<UnitView>),
});
