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

/** What the program itself writes behind the station of several loads. */
const OF_SEVERAL = /, middle of \d+$/;

/** Whether a text, read in any unit it may have been typed in, says this value (core units); to the last digit typed. */
export function agrees(said: string, value: number): boolean {
  const text = said.replace(OF_SEVERAL, '');
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

/** The units a column's name may end in. */
const IN_COLUMN = ['', '_mm', '_kg', '_nmm', '_kpa'] as const;

/** What stands beside a typed text as its value: `value` beside `typed`, `x` beside `xTyped`, and in rows of the database `x`, `x_mm` … or both ends beside `x_typed`. */
function beside(key: string, values: ReadonlyMap<string, unknown>): unknown {
  const firstOf = (names: readonly string[]) => names.map((name) => values.get(name)).find((v) => v !== undefined);
  if (key === 'typed') return firstOf(['value', 'value_mm', 'value_nmm', 'rating_kg', 'km']);
  const of = /^(\w+)Typed$/.exec(key)?.[1];
  if (of !== undefined) return values.get(of);
  const stem = /^(\w+)_typed$/.exec(key)?.[1];
  if (stem === undefined) return undefined;
  const [low, high] = [values.get(`${stem}_low`), values.get(`${stem}_high`)];
  return firstOf(IN_COLUMN.map((unit) => `${stem}${unit}`)) ?? { low, high };
}

/** Where in what was sent a typed text and the value beside it say different things; null where all agree. */
export function disagreement(sent: unknown, path = ''): string | null {
  if (sent === null || typeof sent !== 'object') return null;
  const at = (key: string) => (path ? `${path}.${key}` : key);
  const entries = Object.entries(sent as Record<string, unknown>);
  const values = new Map(entries);
  for (const [key, text] of entries) {
    if (typeof text !== 'string') continue;
    const value = beside(key, values);
    if (typeof value === 'number' && !agrees(text, value)) return at(key);
    if (isEnds(value) && !agreesEnds(text, value)) return at(key);
  }
  for (const [key, more] of entries) {
    const found = disagreement(more, at(key));
    if (found) return found;
  }
  return null;
}
