import { CoreError, requireNumber } from '../errors';

/** Something that takes days before the work. Days of the calendar are whole numbers, one more the next day. */
export interface Task {
  id: string;
  name: string;
  /** 0 for what only comes. */
  days: number;
  /** Comes by itself on this day, whatever is done. */
  arrives?: number;
  /** Waits for these. */
  after?: readonly string[];
  /** Wanted just before the day: soaking. */
  late?: true;
}

export interface Scheduled {
  id: string;
  name: string;
  begins: number;
  /** The first day it is no longer under way. */
  ends: number;
  /** Days it may slip before the day in the bay slips. */
  spare: number;
  /** Of the longest chain. */
  longest: boolean;
  after: readonly string[];
}

export interface UntilTheBay {
  /** No sooner than this. */
  earliest: number;
  /** As wanted, or as early as it can be. */
  bay: number;
  /** Days it is later than wanted; 0 when it is in time, null when nobody said when. */
  late: number | null;
  tasks: Scheduled[];
}

/**
 * What has to be done with before a vehicle goes into the bay, each as early as it can be, what soaks as late as it may.
 * @param today @param wanted the day somebody named; null for as early as can be @param off days on which nothing goes into the bay unless
 * somebody names one @throws CoreError on a circle
 */
export function untilTheBay(
  given: readonly Task[],
  today: number,
  wanted: number | null,
  off: (day: number) => boolean = () => false,
): UntilTheBay {
  const by = new Map(given.map((task) => [task.id, task]));
  const before = (task: Task): Task[] => (task.after ?? []).flatMap((id) => by.get(id) ?? []);
  const behind = (task: Task): Task[] => given.filter((other) => other.after?.includes(task.id));
  const seen = new Map<string, number>();
  const ends = (task: Task, depth = 0): number => {
    if (depth > given.length) throw new CoreError('bad-input', task.id, `${task.name} waits for itself`);
    requireNumber('days', task.days, 0, 400);
    const known = seen.get(task.id);
    if (known !== undefined) return known;
    const free = Math.max(today, ...before(task).map((t) => ends(t, depth + 1)));
    const end = Math.max(task.arrives ?? free, free) + task.days;
    seen.set(task.id, end);
    return end;
  };
  const ready = Math.max(today, ...given.map((task) => ends(task)));
  let earliest = ready;
  // A shop that never opens has no earliest day.
  for (let n = 0; n < 14 && off(earliest); n++) earliest += 1;
  const bay = wanted !== null && wanted >= ready ? wanted : Math.max(earliest, wanted ?? earliest);
  const latest = (task: Task): number => Math.min(bay, ...behind(task).map((t) => latest(t) - t.days));
  const spares = given.map((task) => latest(task) - ends(task));
  const least = Math.min(...spares);
  const tasks = given.map((task, k): Scheduled => {
    const { id, name, after = [] } = task;
    const spare = spares[k]!;
    const end = task.late ? latest(task) : ends(task);
    return {
      ...{ id, name, after, spare, ends: end },
      begins: task.arrives === undefined ? end - task.days : Math.min(today, end),
      // What only comes, and comes at once, is no chain.
      longest: spare === least && earliest > today,
    };
  });
  return { earliest, bay, late: wanted === null ? null : Math.max(0, bay - wanted), tasks };
}
