import {
  type Composed,
  type Facts,
  type Hazard,
  type Needs,
  type Operation,
  type Refusal,
  type Step,
} from './operation';

/** What of the needs is not so; null when all is. */
function wanting(needs: Needs, facts: Facts): string | null {
  const open = Object.entries(needs).find(([place, words]) => !words.includes(facts[place] ?? 'nothing'));
  return open ? `${placeText(open[0])} is ${facts[open[0]] ?? 'not known'}, not ${open[1].join(' or ')}` : null;
}

/** `ubolts.left` as it is spoken. */
const placeText = (place: string): string => {
  const [what = '', side] = place.split('.');
  return side ? `${what}, ${side}` : what;
};

/** What stands in the way of an operation in a state, or comes of it; null when it may be done. */
function refusal(operation: Operation, facts: Facts, hazards: readonly Hazard[]): Refusal | null {
  const open = wanting(operation.needs, facts);
  if (open) return { at: operation.id, reason: open };
  const after = { ...facts, ...operation.gives };
  const hazard = hazards.find((h) => h.in(after));
  return hazard ? { at: operation.id, reason: hazard.says } : null;
}

/** The same work on the other side. */
const partner = ({ id }: Operation): string | null => {
  const [what, side] = id.split('.');
  return side === 'left' ? `${what}.right` : side === 'right' ? `${what}.left` : null;
};

/** How many work on it, as far as their order goes. */
export interface Crew {
  /** Two, each on a side of their own: what is done on one is done on the other at once. */
  atOnce: boolean;
  /** One alone with a helper who comes for a while: what is not for one alone is done in one go. */
  helped: boolean;
}
const ONE: Crew = { atOnce: false, helped: false };

/**
 * The order of the operations of a job: each as early as it stands in the list, once what it needs is so and no hazard comes of it; with two at
 * work both sides of a step one after the other, with a helper for a while what takes two in one go. All are done, or the order is refused with
 * the first that cannot be.
 * @param start how the vehicle stands before anything is touched
 */
export function compose(
  start: Facts,
  operations: readonly Operation[],
  hazards: readonly Hazard[],
  crew: Crew = ONE,
): Composed {
  const steps: Step[] = [];
  const left = [...operations];
  let facts = start;
  while (left.length > 0) {
    const may = (operation: Operation) => refusal(operation, facts, hazards) === null;
    const last = steps.at(-1)?.operation;
    const beside = crew.atOnce && last ? partner(last) : null;
    const wished = left.findIndex(
      (operation) =>
        (operation.id === beside || (crew.helped && last?.two === true && operation.two === true)) && may(operation),
    );
    const next = wished >= 0 ? wished : left.findIndex(may);
    if (next < 0) return { steps, refused: refusal(left[0]!, facts, hazards)! };
    const [operation] = left.splice(next, 1);
    facts = { ...facts, ...operation!.gives };
    steps.push({ operation: operation!, after: facts });
  }
  return { steps, refused: null };
}

/** Goes an order step by step as it stands. Null when each step finds what it needs and none is a hazard, else where it first goes wrong. */
export function goneWrong(start: Facts, operations: readonly Operation[], hazards: readonly Hazard[]): Refusal | null {
  let facts = start;
  for (const operation of operations) {
    const wrong = refusal(operation, facts, hazards);
    if (wrong) return wrong;
    facts = { ...facts, ...operation.gives };
  }
  return null;
}
