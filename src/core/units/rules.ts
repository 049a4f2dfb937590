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
