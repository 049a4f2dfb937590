/** A figure that is only known to lie between two. */
export interface Range {
  low: number;
  high: number;
}

/** One line of a job's costs. Money in the shop's own; labour in minutes. */
export interface CostLine {
  what: string;
  count: number;
  condition: 'new' | 'used';
  /** For all of them together; null while nobody has asked. */
  planned: Range | null;
  /** What it came to; null until it is paid. */
  actual: number | null;
  minutes: Range | null;
  actualMinutes: number | null;
  /** Not part of this job's bill, and said so. */
  excluded: boolean;
}

export interface CostTotals {
  planned: Range;
  minutes: Range;
  /** Of the lines that are paid, and what they had been planned at. */
  actual: number;
  plannedOfPaid: Range;
  actualMinutes: number;
  /** Lines without a planned figure: the total is short of these. */
  unpriced: number;
  excluded: string[];
  new: Range;
  used: Range;
}

const NONE: Range = { low: 0, high: 0 };
const plus = (a: Range, b: Range | null): Range => (b ? { low: a.low + b.low, high: a.high + b.high } : a);

/** Planned and actual totals of a job. What is excluded counts nowhere; ranges add end by end. */
export function costTotals(lines: readonly CostLine[]): CostTotals {
  const counted = lines.filter((line) => !line.excluded);
  const sum = (of: readonly CostLine[], get: (line: CostLine) => Range | null) =>
    of.reduce((total, line) => plus(total, get(line)), NONE);
  const paid = counted.filter((line) => line.actual !== null);
  return {
    planned: sum(counted, (l) => l.planned),
    minutes: sum(counted, (l) => l.minutes),
    actual: paid.reduce((total, l) => total + l.actual!, 0),
    plannedOfPaid: sum(paid, (l) => l.planned),
    actualMinutes: counted.reduce((total, l) => total + (l.actualMinutes ?? 0), 0),
    unpriced: counted.filter((l) => l.planned === null && l.actual === null).length,
    excluded: lines.filter((l) => l.excluded).map((l) => l.what),
    new: sum(
      counted.filter((l) => l.condition === 'new'),
      (l) => l.planned,
    ),
    used: sum(
      counted.filter((l) => l.condition === 'used'),
      (l) => l.planned,
    ),
  };
}

/** Price of one piece. @param count 1 or more */
export const eachOf = (range: Range, count: number): Range => ({ low: range.low / count, high: range.high / count });
