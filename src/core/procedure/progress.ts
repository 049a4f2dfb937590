import { type Facts, type Hazard, type Operation } from './operation';

/** Where a job stands in its order. */
export interface Progress {
  facts: Facts;
  /** The first that is not done; null when all are. */
  next: Operation | null;
  /** Of what is said to be done, what cannot be so without danger. */
  hazards: readonly Hazard[];
}

/** How everything stands with some operations of an order done, in whatever order they were ticked. @param done ids; those of other orders do not count */
export function progressOf(
  start: Facts,
  order: readonly Operation[],
  done: ReadonlySet<string>,
  hazards: readonly Hazard[],
): Progress {
  const facts = order.filter(({ id }) => done.has(id)).reduce<Facts>((all, { gives }) => ({ ...all, ...gives }), start);
  return { facts, next: order.find(({ id }) => !done.has(id)) ?? null, hazards: hazards.filter((h) => h.in(facts)) };
}
