import { fromCore, UNITS, type UnitId } from './units';

export interface FractionText {
  negative: boolean;
  whole: number;
  top: number;
  bottom: number;
}

/**
 * Nearest fraction of an inch.
 * @param mm length in mm @param denominator finest division, e.g. 16
 */
export function inchFraction(mm: number, denominator = 16): FractionText {
  const parts = Math.round((Math.abs(mm) / 25.4) * denominator);
  let top = parts % denominator;
  let bottom = denominator;
  while (top > 0 && top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  return { negative: mm < 0 && parts > 0, whole: Math.floor(parts / denominator), top, bottom };
}

/** `17 3/16`; the true minus sign is used for negatives. */
export function fractionText(mm: number, denominator = 16): string {
  const f = inchFraction(mm, denominator);
  const fraction = f.top > 0 ? `${f.top}/${f.bottom}` : '';
  const body = f.whole > 0 || fraction === '' ? `${f.whole}${fraction ? ` ${fraction}` : ''}` : fraction;
  return `${f.negative ? '−' : ''}${body}`;
}

/** What a screen reader should say: `20 and 5 16ths inches`. */
export function fractionSpoken(mm: number, denominator = 16): string {
  const f = inchFraction(mm, denominator);
  const fraction = f.top > 0 ? `${f.top} over ${f.bottom}` : '';
  const amount = f.whole > 0 && fraction ? `${f.whole} and ${fraction}` : fraction || String(f.whole);
  return `${f.negative ? 'minus ' : ''}${amount} inches`;
}

/** Fixed decimals with a true minus sign and no “−0”. */
export function decimalText(value: number, decimals: number): string {
  const fixed = Math.abs(value).toFixed(decimals);
  return `${value < 0 && Number(fixed) !== 0 ? '−' : ''}${fixed}`;
}

const DECIMALS: Partial<Record<UnitId, number>> = {
  mm: 1,
  cm: 2,
  m: 3,
  in: 3,
  deg: 1,
  kg: 0,
  N: 0,
  lb: 0,
  lbf: 0,
  kgf: 0,
  kPa: 0,
  count: 0,
};

/** A price in the shop's own money: whole, or with two decimals. */
export const priceText = (value: number): string => decimalText(value, Number.isInteger(value) ? 0 : 2);

/** Core value printed in a unit, with the unit. */
export function quantityText(value: number, unit: UnitId): string {
  if (unit === 'in') return `${fractionText(value, 32)} in`;
  if (unit === 'price') return priceText(value);
  const shown = decimalText(fromCore(value, unit), DECIMALS[unit] ?? 1);
  // A count of things is whole; of turns, quarters matter.
  return unit === 'count' ? String(Number(value.toFixed(2))) : `${shown} ${unit === 'deg' ? '°' : UNITS[unit].id}`;
}

/** The echo under a field: what was read and the same in the other system (`4-3/16 in = 106.4 mm`). */
export function echoText(value: number, unit: UnitId): string {
  const mm = `${decimalText(value, 1)} mm`;
  if (UNITS[unit].dimension === 'length') {
    if (unit === 'in' || unit === 'ft') return `${decimalText(value / 25.4, 3)} in = ${mm}`;
    return `${mm} = ${decimalText(value / 25.4, 3)} in`;
  }
  if (unit === 'thread') return `${mm} across its thread`;
  if (UNITS[unit].dimension === 'mass')
    return `${decimalText(value, 1)} kg = ${decimalText(fromCore(value, 'lb'), 1)} lb`;
  if (UNITS[unit].dimension === 'force')
    return `${decimalText(value, 0)} N = ${decimalText(fromCore(value, 'lbf'), 0)} lbf`;
  if (UNITS[unit].dimension === 'torque') {
    const newtonMetres = `${decimalText(fromCore(value, 'N·m'), 1)} N·m`;
    const poundFeet = `${decimalText(fromCore(value, 'lbf·ft'), 1)} lbf·ft`;
    return unit === 'lbf·ft' ? `${poundFeet} = ${newtonMetres}` : `${newtonMetres} = ${poundFeet}`;
  }
  if (UNITS[unit].dimension === 'pressure')
    return `${decimalText(value, 0)} kPa = ${decimalText(fromCore(value, 'psi'), 1)} psi`;
  return quantityText(value, unit);
}
