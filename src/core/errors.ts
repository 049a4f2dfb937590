/** The one error every public function of the core throws. */
export class CoreError extends Error {
  /** Path of the offending input, e.g. `leaves[2].thickness`. */
  readonly field: string;
  readonly code: 'bad-input' | 'no-equilibrium' | 'no-convergence';

  constructor(code: CoreError['code'], field: string, reason: string) {
    super(reason);
    this.name = 'CoreError';
    this.code = code;
    this.field = field;
  }
}

/** Refuses NaN, infinities and values outside [min, max]. */
export function requireNumber(field: string, value: number, min: number, max: number): number {
  if (!Number.isFinite(value)) throw new CoreError('bad-input', field, `${field} is not a number`);
  if (value < min || value > max)
    throw new CoreError('bad-input', field, `${field} is ${value}; it must lie between ${min} and ${max}`);
  return value;
}
