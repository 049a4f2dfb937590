/** Several readings of the same thing. Core units. */
export interface Repeats {
  count: number;
  mean: number;
  /** Largest less smallest. */
  spread: number;
}

/** Mean and spread of repeated readings. @param values at least one */
export function repeatsOf(values: readonly number[]): Repeats {
  const mean = values.reduce((sum, v) => sum + v, 0) / values.length;
  return { count: values.length, mean, spread: Math.max(...values) - Math.min(...values) };
}

/**
 * Index of the reading that stands further from the mean of the others than three times their own spread (or than `step`,
 * where they agree better than that); null when none does or there are fewer than three. A plain rule for a handful of
 * readings, where tests of statistics say nothing; chosen.
 */
export function oddOneOut(values: readonly number[], step: number): number | null {
  if (values.length < 3) return null;
  let odd: { index: number; off: number } | null = null;
  values.forEach((value, index) => {
    const others = repeatsOf(values.filter((_, i) => i !== index));
    const off = Math.abs(value - others.mean) / (3 * Math.max(others.spread, step));
    if (off > 1 && off > (odd?.off ?? 0)) odd = { index, off };
  });
  return (odd as { index: number } | null)?.index ?? null;
}
