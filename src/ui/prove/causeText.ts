'use client';
import { type JobView } from '@/contracts/job';
import { type Residual } from '@/contracts/prove';
import { labelOf } from '@/core/suspension/registry';
import { GRAVITY } from '@/core/material/steel';
import { decimalText } from '@/core/units/format';
import { useLengthText } from '../measured/Figure';
import { useQuantityText } from '../measured/Quantity';

type Told = Residual['causes'][number];

/** What of a cause it would be, and how far off it would lie, in words. */
export function useCauseText(view: JobView, residual: Residual): (cause: Told) => string {
  const lengthText = useLengthText();
  const quantityText = useQuantityText();
  const signed = (value: number, text: (v: number) => string) => `${value < 0 ? '−' : '+'}${text(Math.abs(value))}`;
  const byText = (path: string, by: number): string => {
    if (path.endsWith('extraMass')) return signed(by, (v) => quantityText(v, 'mass'));
    if (path.endsWith('load')) return signed(by / GRAVITY, (v) => quantityText(v, 'mass'));
    if (/(angle|slope)$/i.test(path)) return signed((by * 180) / Math.PI, (v) => `${decimalText(v, 1)}°`);
    if (/(friction|inactive|rateFactor|departure|ratio|turns)$/.test(path)) return signed(by, (v) => decimalText(v, 2));
    if (Math.abs(by) < 3) return signed(by, (v) => `${decimalText(v, 1)} mm`);
    return signed(by, lengthText);
  };
  return ({ path, by, side, reading, mm }) => {
    const at = reading === null ? null : residual.heights[reading];
    const state = view.states.find((s) => s.id === at?.stateId)?.name;
    if (path !== null && by !== null) return `${labelOf(view.axle.suspension, path)}: ${byText(path, by)}`;
    const size = signed(mm, lengthText);
    if (at) return `${at.side}, ${state ?? ''}: ${size}`;
    return side ? `${side}: ${size}` : size;
  };
}
