import { type UnitView } from '@/contracts/unitView';
import { pointOf, type PointId } from '@/core/measure/points';
import { decimalText, fractionText, quantityText } from '@/core/units/format';

/** A thread's nominal size as it is named: metric ones are whole millimetres, inch ones sixteenths. */
const threadSize = (diameter: number): string => (Number.isInteger(diameter) ? `M${diameter}` : fractionText(diameter));

/** A dimension's figure: lengths as this screen shows them, thin parts with a decimal, everything else in the unit the person wants. */
export function dimensionText(value: number, point: PointId, units: UnitView): string {
  const { rule, half90 } = pointOf(point);
  if (rule.dimension === 'thread') return threadSize(value);
  if (rule.dimension !== 'length')
    return quantityText(value, rule.dimension in units ? units[rule.dimension as keyof UnitView] : rule.unit);
  const fine = half90 < 1;
  if (units.length === 'in' && !rule.keepsUnit)
    return fine ? `${decimalText(value / 25.4, 3)} in` : `${fractionText(value)} in`;
  return fine ? decimalText(value, 2).replace(/\.?0+$/, '') : decimalText(Math.round(value), 0);
}
