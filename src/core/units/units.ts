/**
 * Units at the edges. Inside the core everything is SI-derived: mm, N, kg, rad, N·mm, N/mm.
 * Factors: international yard and pound agreement 1959 (1 in = 25.4 mm, 1 lb = 0.45359237 kg exactly).
 */
export type Dimension =
  | 'length'
  | 'force'
  | 'mass'
  | 'angle'
  | 'torque'
  | 'rate'
  | 'pressure'
  | 'distance'
  | 'count'
  | 'money'
  | 'thread'
  | 'stress';

export interface Unit {
  readonly id: string;
  readonly dimension: Dimension;
  /** Core units per one of this unit. */
  readonly factor: number;
  /** How a person may spell it (lower case). The first is how we print it. */
  readonly spellings: readonly string[];
  readonly fractions: boolean;
}

const STANDARD_GRAVITY = 9.80665;
const POUND = 0.45359237;

const unit = (
  id: string,
  dimension: Dimension,
  factor: number,
  spellings: readonly string[],
  fractions = false,
): Unit => ({ id, dimension, factor, spellings, fractions });

export const UNITS = {
  mm: unit('mm', 'length', 1, ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters']),
  cm: unit('cm', 'length', 10, ['cm']),
  m: unit('m', 'length', 1000, ['m', 'metre', 'meter']),
  in: unit('in', 'length', 25.4, ['in', '"', '″', '”', 'inch', 'inches', "''"], true),
  ft: unit('ft', 'length', 304.8, ['ft', "'", '′', '’', 'foot', 'feet'], true),
  N: unit('N', 'force', 1, ['n', 'newton', 'newtons']),
  kN: unit('kN', 'force', 1000, ['kn']),
  kgf: unit('kgf', 'force', STANDARD_GRAVITY, ['kgf', 'kp', 'kg']),
  lbf: unit('lbf', 'force', POUND * STANDARD_GRAVITY, ['lbf', 'lb', 'lbs']),
  kg: unit('kg', 'mass', 1, ['kg']),
  t: unit('t', 'mass', 1000, ['t', 'tonne', 'tonnes']),
  lb: unit('lb', 'mass', POUND, ['lb', 'lbs']),
  deg: unit('deg', 'angle', Math.PI / 180, ['°', 'deg', 'degree', 'degrees']),
  'N·m': unit('N·m', 'torque', 1000, ['n·m', 'nm', 'n.m', 'n*m', 'n m']),
  'lbf·ft': unit('lbf·ft', 'torque', POUND * STANDARD_GRAVITY * 304.8, [
    'lbf·ft',
    'ft·lbf',
    'ft-lb',
    'ft-lbs',
    'lb-ft',
    'ftlb',
    'lbft',
    'ft lb',
    'ft·lb',
  ]),
  'lbf·in': unit('lbf·in', 'torque', POUND * STANDARD_GRAVITY * 25.4, ['lbf·in', 'in-lb', 'in·lbf', 'in lb', 'inlb']),
  'kgf·m': unit('kgf·m', 'torque', STANDARD_GRAVITY * 1000, ['kgf·m', 'kgm', 'kgf m', 'kg·m']),
  'N/mm': unit('N/mm', 'rate', 1, ['n/mm']),
  'lbf/in': unit('lbf/in', 'rate', (POUND * STANDARD_GRAVITY) / 25.4, ['lbf/in', 'lb/in']),
  kPa: unit('kPa', 'pressure', 1, ['kpa']),
  bar: unit('bar', 'pressure', 100, ['bar']),
  psi: unit('psi', 'pressure', (POUND * STANDARD_GRAVITY * 1000) / 25.4 ** 2, ['psi']),
  // Distances driven; inside the core km.
  km: unit('km', 'distance', 1, ['km', 'kilometre', 'kilometres']),
  mi: unit('mi', 'distance', 1.609344, ['mi', 'mile', 'miles']),
  count: unit('count', 'count', 1, ['pcs']),
  // The shop's own money; it has no spelling, since prices are never mixed.
  price: unit('price', 'money', 1, []),
  // A designation; its value is the nominal diameter in mm, its text the name.
  thread: unit('thread', 'thread', 1, []),
} as const satisfies Record<string, Unit>;

export type UnitId = keyof typeof UNITS;

/** The unit a person meant by `spelling` among the units of one dimension; undefined when there is none. */
export function unitSpelled(spelling: string, dimension: Dimension): Unit | undefined {
  const wanted = spelling.trim().toLowerCase();
  return Object.values(UNITS).find(
    (u) => u.dimension === dimension && (u.spellings as readonly string[]).includes(wanted),
  );
}

/** Dimension of a spelling, whichever it belongs to; used to say "that is a torque, not a length". */
export function dimensionSpelled(spelling: string): Dimension | undefined {
  const wanted = spelling.trim().toLowerCase();
  return Object.values(UNITS).find((u) => (u.spellings as readonly string[]).includes(wanted))?.dimension;
}

export const fromCore = (value: number, id: UnitId): number => value / UNITS[id].factor;
