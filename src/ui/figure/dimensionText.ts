import { pointOf, type PointId } from '@/core/measure/points';
import { decimalText, fractionText, quantityText } from '@/core/units/format';

/** A dimension's figure: lengths as this screen shows them, thin parts with a decimal, everything else in its own unit. */
export function dimensionText(value: number, point: PointId, lengths: 'mm' | 'in'): string {
  const { rule, half90 } = pointOf(point);
  if (rule.dimension !== 'length') return quantityText(value, rule.unit);
  const fine = half90 < 1;
  if (lengths === 'in') return fine ? `${decimalText(value / 25.4, 3)} in` : `${fractionText(value)} in`;
  return fine ? decimalText(value, 2).replace(/\.?0+$/, '') : decimalText(Math.round(value), 0);
}
