import { type FieldRule } from './parse';

/** A length field in millimetres that also reads inches and centimetres. Limits and typical value in mm. */
export const lengthRule = (min: number, max: number, expected?: number): FieldRule => ({
  dimension: 'length',
  unit: 'mm',
  min,
  max,
  alternatives: ['in', 'cm'],
  ...(expected === undefined ? {} : { expected }),
});

/** A mass field in kilograms that also reads pounds. */
export const massRule = (min: number, max: number, expected?: number): FieldRule => ({
  dimension: 'mass',
  unit: 'kg',
  min,
  max,
  alternatives: ['lb'],
  ...(expected === undefined ? {} : { expected }),
});

/** A tyre pressure in kilopascals that also reads bar and psi. */
export const pressureRule = (min: number, max: number, expected?: number): FieldRule => ({
  dimension: 'pressure',
  unit: 'kPa',
  min,
  max,
  alternatives: ['psi', 'bar'],
  ...(expected === undefined ? {} : { expected }),
});

/** A tightening torque or a range of it, in newton metres, that also reads pound-feet. */
export const TORQUE_RULE: FieldRule = {
  dimension: 'torque',
  unit: 'N·m',
  min: 500,
  max: 3_000_000,
  range: true,
  unitNeeded: true,
  alternatives: ['lbf·ft'],
};

/** A torque as a wrench read it: one figure, with its unit. */
export const TORQUE_READING_RULE: FieldRule = { ...TORQUE_RULE, range: false };

/** The name of a thread: a designation, never a length. */
export const THREAD_RULE: FieldRule = { dimension: 'thread', unit: 'thread', min: 3, max: 60 };

/** A distance driven, in kilometres, that also reads miles. */
export const distanceRule = (min: number, max: number): FieldRule => ({
  dimension: 'distance',
  unit: 'km',
  min,
  max,
  alternatives: ['mi'],
});

/** A price in the shop's own money. */
export const PRICE_RULE: FieldRule = { dimension: 'money', unit: 'price', min: 0, max: 1e7 };

/** The same field without a usual value: nothing in it is asked about for being unusual. */
export function unsurprised({ expected, ...rule }: FieldRule): FieldRule {
  return rule;
}

/** Turns of a coil, end to end, quarters counted. */
export const TURNS_RULE: FieldRule = {
  ...{ dimension: 'count', unit: 'count', min: 2, max: 30, expected: 8 },
  parts: true,
};

/** A whole number of things. */
export const countRule = (min: number, max: number): FieldRule => ({ dimension: 'count', unit: 'count', min, max });
