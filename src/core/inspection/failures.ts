/** One failure in a vehicle's life. */
export interface Failure {
  /** Odometer or hub distance at which it failed, km. */
  km: number;
  /** Where, in the shop's words: `rear axle, left, leaf 3, front half`. */
  place: string;
}

export interface FailureHistory {
  count: number;
  /** km between failures over the distance looked at; null for fewer than one failure or no distance. */
  kmPerFailure: number | null;
  /** Places that failed more than once, worst first. */
  repeated: { place: string; times: number }[];
}

const same = (place: string): string => place.trim().toLowerCase().replace(/\s+/g, ' ');

/**
 * Rate and repeats of failures between two distances. A second failure at one place is no accident: load, rating, shackle and
 * clamp are looked at before the same part goes in again.
 * @param from @param to km over which failures were written down, `to` ≥ `from`
 */
export function failureHistory(failures: readonly Failure[], from: number, to: number): FailureHistory {
  const within = failures.filter((f) => f.km >= from && f.km <= to);
  const times = new Map<string, { place: string; times: number }>();
  for (const { place } of within) {
    const key = same(place);
    const known = times.get(key);
    times.set(key, { place: known?.place ?? place.trim(), times: (known?.times ?? 0) + 1 });
  }
  return {
    count: within.length,
    kmPerFailure: within.length > 0 && to > from ? (to - from) / within.length : null,
    repeated: [...times.values()].filter((t) => t.times > 1).toSorted((p, q) => q.times - p.times),
  };
}
