import { lengthRule, massRule } from '@/core/units/rules';

/** What the fields of Ask take. */
export const ASK_RULES = {
  wanted: lengthRule(-300, 300),
  tolerance: lengthRule(0, 100),
  guess: lengthRule(-300, 300),
  wheelbase: lengthRule(500, 20_000, 3000),
  station: lengthRule(-20_000, 40_000),
  mass: massRule(-20_000, 20_000),
};
