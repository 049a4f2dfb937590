import { parseMeasured, type FieldRule } from '@/core/units/parse';
import { UNITS, type UnitId } from '@/core/units/units';

/** A bare number takes one of these: those a person can have chosen, and those in which only one is common. */
const BARE: readonly UnitId[] = [
  ...(['mm', 'in', 'kg', 'lb', 'N', 'kN', 'lbf', 'deg', 'N·m', 'lbf·ft', 'N/mm', 'lbf/in'] as const),
  ...(['kPa', 'bar', 'psi', 'km', 'mi', 'count', 'price', 'thread'] as const),
];
const ANY = { min: -1e12, max: 1e12, range: true, parts: true };
const RULES: readonly FieldRule[] = BARE.map((unit) => ({ dimension: UNITS[unit].dimension, unit, ...ANY }));

/** Half of the last digit of a decimal text, as a share of what it says: a computed figure is written down rounded. 0 for fractions and repeats. */
function rounding(text: string): number {
  const read = /^[^\d/;]*(\d+)(?:[.,](\d+))?[^\d/;]*$/.exec(text);
  if (!read) return 0;
  const [, whole = '0', part = ''] = read;
  const figure = Number(`${whole}.${part || '0'}`);
  return figure === 0 ? 0 : (0.5 * 10 ** -part.length) / figure;
}

const near = (read: number, value: number, share = 1e-6) =>
  Math.abs(read - value) <= share * Math.max(Math.abs(read), 1e-9);

/** Whether a text, read in any unit it may have been typed in, says this value (core units); to the last digit typed. */
export function agrees(text: string, value: number): boolean {
  const same = (read: number) => near(read, value, Math.max(1e-6, rounding(text)));
  return RULES.some((rule) => {
    const read = parseMeasured(text, rule);
    if (read.kind === 'ok') return same(read.value);
    return read.kind === 'ask' && read.options.some((option) => same(option.value));
  });
}

interface Ends {
  low: number;
  high: number;
}
const isEnds = (value: unknown): value is Ends =>
  typeof value === 'object' &&
  value !== null &&
  typeof (value as Ends).low === 'number' &&
  typeof (value as Ends).high === 'number';

/** The same of a range; a single figure is both its ends. */
const agreesEnds = (text: string, { low, high }: Ends): boolean =>
  low === high
    ? agrees(text, low)
    : RULES.some((rule) => {
        const read = parseMeasured(text, rule);
        return read.kind === 'ok' && read.range && near(read.range.low, low) && near(read.range.high, high);
      });

/** Where in what was sent a typed text and the value beside it say different things; null where all agree. A text stands as `typed` beside `value`, or as `…Typed`. */
export function disagreement(sent: unknown, path = ''): string | null {
  if (sent === null || typeof sent !== 'object') return null;
  const at = (key: string) => (path ? `${path}.${key}` : key);
  const entries = Object.entries(sent as Record<string, unknown>);
  const values = new Map(entries);
  for (const [key, text] of entries) {
    const of = key === 'typed' ? 'value' : /^(\w+)Typed$/.exec(key)?.[1];
    const value = of === undefined ? undefined : values.get(of);
    if (typeof text !== 'string') continue;
    if (typeof value === 'number' && !agrees(text, value)) return at(key);
    if (isEnds(value) && !agreesEnds(text, value)) return at(key);
  }
  for (const [key, more] of entries) {
    const found = disagreement(more, at(key));
    if (found) return found;
  }
  return null;
}
