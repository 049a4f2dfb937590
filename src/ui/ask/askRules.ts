import { type FieldRule } from '@/core/units/parse';

const mm = (min: number, max: number, expected?: number): FieldRule => ({
  dimension: 'length',
  unit: 'mm',
  min,
  max,
  alternatives: ['in', 'cm'],
  ...(expected === undefined ? {} : { expected }),
});

/** What the fields of Ask take. */
export const ASK_RULES = {
  wanted: mm(-300, 300),
  tolerance: mm(0, 100),
  guess: mm(-300, 300),
  wheelbase: mm(500, 20_000, 3000),
  station: mm(-20_000, 40_000),
  mass: { dimension: 'mass', unit: 'kg', min: -20_000, max: 20_000, alternatives: ['lb'] },
} as const satisfies Record<string, FieldRule>;
