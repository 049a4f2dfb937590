'use client';
import { type ChosenDimension } from '@/contracts/unitView';
import { decimalText } from '@/core/units/format';
import { fromCore } from '@/core/units/units';
import { useView } from '../theme/View';
import { useLengthText } from './Figure';

/** A mass, rate, torque, pressure or distance as plain text in the unit the person wants. */
export function useQuantityText(): (value: number, of: Exclude<ChosenDimension, 'length'>, digits?: number) => string {
  const { units } = useView();
  return (value, of, digits = 0) => `${decimalText(fromCore(value, units[of]), digits)} ${units[of]}`;
}

const MEASURED = /(\d+(?:\.\d+)?) (mm|kg)(?![\w/])/g;

/** A sentence of the core, its lengths and masses told in the units the person wants. */
export function useWords(): (text: string) => string {
  const lengthText = useLengthText();
  const quantityText = useQuantityText();
  const { units } = useView();
  return (text) =>
    text.replace(MEASURED, (whole: string, figure: string, unit: string) => {
      if (unit === 'mm') {
        if (units.length === 'mm') return whole;
        // What a caliper told is no sixteenth.
        return /\.\d\d$/.test(figure)
          ? `${decimalText(fromCore(Number(figure), 'in'), 3)} in`
          : lengthText(Number(figure));
      }
      return units.mass === 'kg' ? whole : quantityText(Number(figure), 'mass');
    });
}

interface Props {
  /** Core value. */
  value: number;
  of: Exclude<ChosenDimension, 'length'>;
  digits?: number;
}

/** The same as a figure. */
export function Quantity({ value, of, digits = 0 }: Props) {
  const { units } = useView();
  return (
    <span className="figure">
      {decimalText(fromCore(value, units[of]), digits)}
      <span className="unit-text"> {units[of]}</span>
    </span>
  );
}
