import { type FieldRule } from './parse';
import { UNITS, type Dimension, type UnitId } from './units';

/** Units of some quantities as a person wants them read. */
export type Wanted = Partial<Record<Dimension, UnitId>>;

/**
 * A field as a person reads it: a bare number means the unit the field shows. Its limits stay what they are; the unit it had is still
 * proposed when a number looks wrong.
 */
export function inView(rule: FieldRule, wanted: Wanted): FieldRule {
  const unit = wanted[rule.dimension];
  if (!unit || unit === rule.unit || rule.keepsUnit) return rule;
  const others = [rule.unit, ...(rule.alternatives ?? [])].filter((id) => id !== unit);
  return { ...rule, unit, alternatives: others };
}

const UNIT_AT_END = /[a-zA-Z°"'″”′’]\s*\)?$/;

/**
 * A text that says its unit, so that it can be read again anywhere. A bare one was meant in the field's own unit: kept as it is where
 * that is the stored one, the unit written behind it where it is not.
 * @param own the field's rule as stored @param shown the same as the person read it
 */
export function plainText(typed: string, own: FieldRule, shown: FieldRule): string {
  if (shown.unit === own.unit || UNIT_AT_END.test(typed.trim())) return typed.trim();
  const [spelling] = UNITS[shown.unit].spellings;
  return `${typed.trim()} ${spelling}`;
}

/** A stored text in a field that shows another unit: a bare one says its own. */
export const shownText = (stored: string, own: FieldRule, shown: FieldRule): string => plainText(stored, shown, own);
