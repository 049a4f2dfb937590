import { type Operation } from '../procedure/operation';

/** How long a step took once, by its name without the side. */
export interface StepTime {
  step: string;
  minutes: number;
}

export interface WorkTime {
  /** From the quicker to the slower half of what was seen, all steps that were ever timed. */
  low: number;
  high: number;
  /** Steps of the order that were timed at least as often as it takes, and all of them. */
  timed: number;
  steps: number;
}

/** One time is an accident; from this many on a step's own times are believed. Chosen. */
const OFTEN = 3;

/** A night or a lunch lies between two ticks that are further apart, minutes. Chosen. */
const LONGEST = 240;

const quantile = (sorted: readonly number[], at: number): number => {
  const place = at * (sorted.length - 1);
  const [below, above] = [sorted[Math.floor(place)]!, sorted[Math.ceil(place)]!];
  return below + (above - below) * (place - Math.floor(place));
};

/**
 * How long an order takes by the shop's own steps, as a range: quartiles of each, summed. No time is made up for a step that nobody was timed at.
 * @param atOnce two at work, each on a side of their own: both sides of a step that follow one another take as long as one
 */
export function workTime(all: readonly Operation[], seen: readonly StepTime[], atOnce = false): WorkTime {
  const name = ({ id }: Operation) => id.split('.')[0];
  const order = atOnce
    ? all.filter(
        (op, k) => op.side === null || k === 0 || name(op) !== name(all[k - 1]!) || all[k - 1]!.side === op.side,
      )
    : all;
  const by = new Map<string, number[]>();
  for (const { step, minutes } of seen) by.set(step, [...(by.get(step) ?? []), minutes]);
  const times = order.flatMap(({ id }) => {
    const of = (by.get(id.split('.')[0]!) ?? []).toSorted((p, q) => p - q);
    return of.length < OFTEN ? [] : [{ low: quantile(of, 0.25), high: quantile(of, 0.75) }];
  });
  const sum = (end: 'low' | 'high') => times.reduce((all, t) => all + t[end], 0);
  return { low: sum('low'), high: sum('high'), timed: times.length, steps: order.length };
}

/** How long a step took in which something went wrong, against what it usually takes. */
export interface LostTime {
  minutes: number;
  /** Quartiles of the shop's own, where it was timed often enough. */
  usual: { low: number; high: number } | null;
}

/**
 * @param at when it went wrong, ms @param ticks when each step of the job was ticked, ms @param step the step it happened at
 * @returns null while the step is not ticked, or the time between two ticks is no working time
 */
export function lostTime(
  at: number,
  step: string,
  ticks: readonly { step: string; at: number }[],
  seen: readonly StepTime[],
): LostTime | null {
  const done = ticks.find((t) => t.step === step && t.at >= at);
  const before = Math.max(...ticks.filter((t) => t.at < at).map((t) => t.at));
  if (!done || !Number.isFinite(before)) return null;
  const minutes = (done.at - before) / 60_000;
  if (minutes > LONGEST) return null;
  const name = step.split('.')[0]!;
  const of = seen.filter((s) => s.step === name).map((s) => s.minutes);
  const sorted = of.toSorted((p, q) => p - q);
  return { minutes, usual: of.length < OFTEN ? null : { low: quantile(sorted, 0.25), high: quantile(sorted, 0.75) } };
}
