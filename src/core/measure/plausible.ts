import { AXLE_CLASSES, type AxleClass } from '../sheet/axleClass';
import { type FieldRule } from '../units/parse';
import { pointOf, type PointId } from './points';

/** What an axle carries on the ground over its unsprung mass: about eight times. Chosen; it only decides what is asked about, never a sum. */
const LOAD_OVER_UNSPRUNG = 8;

/** The rule of a point's field on an axle of this class: what is expected of its weights goes by the class, not by a pickup's. */
export function ruleOn(point: PointId, axleClass: AxleClass): FieldRule {
  const { rule } = pointOf(point);
  const { unsprung } = AXLE_CLASSES[axleClass];
  switch (point) {
    case 'axleLoad':
      return { ...rule, expected: LOAD_OVER_UNSPRUNG * unsprung };
    case 'padLoad':
      return { ...rule, expected: (LOAD_OVER_UNSPRUNG / 2) * unsprung };
    case 'unsprungMass':
      return { ...rule, expected: unsprung };
    default:
      return rule;
  }
}

/** What a new reading stands far away from. */
export interface Doubt {
  against: 'other' | 'earlier';
  /** Core units. */
  value: number;
}

/** Two readings of the same thing may differ by this share, and by this much, before it is asked about. Chosen: well above a bent axle or a tape read twice. */
const FAR = {
  length: { share: 0.15, least: 30 },
  mass: { share: 0.4, least: 40 },
  angle: { share: 0.25, least: 0.25 },
} as const;

/**
 * Whether a reading stands so far from the other side's, or from the one it replaces, that it is asked about before it is saved.
 * @param value core units @param others readings of the same point and state; absent where there are none
 */
export function doubtOf(
  point: PointId,
  value: number,
  others: { other?: number | undefined; earlier?: number | undefined },
): Doubt | null {
  const { rule, sided } = pointOf(point);
  const { dimension } = rule;
  // What is read once for the axle has no other side to be held against, and may be another piece by now.
  if (!sided || !(dimension in FAR)) return null;
  const { share, least } = FAR[dimension as keyof typeof FAR];
  for (const against of ['other', 'earlier'] as const) {
    const known = others[against];
    if (known === undefined) continue;
    const apart = Math.abs(value - known);
    if (apart > least && apart > share * Math.max(Math.abs(value), Math.abs(known))) return { against, value: known };
  }
  return null;
}
