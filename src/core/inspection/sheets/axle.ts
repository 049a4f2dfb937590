import { lengthRule } from '../../units/rules';
import { measure, seen, type InspectionRule } from '../rule';

/** The axle as a whole. */
export const AXLE_RULES = {
  square: seen('axle', 'Squareness', 'Hub to hub on both sides; the longer side says which way it points.', [], {
    measures: [measure('off', 'sides differ by', lengthRule(0, 200))],
    limits: [
      { verdict: 'service', when: { off: 6 }, start: true },
      { verdict: 'watch', when: { off: 3 }, start: true },
    ],
    once: true,
  }),
} as const satisfies Record<string, InspectionRule>;
