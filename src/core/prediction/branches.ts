import { CoreError } from '../errors';
import { type KindTypes, type ModelOf, type Rising, type SuspensionKind } from '../suspension/kind';
import { type Side } from '../vehicle/side';
import { central, extraLoads } from './lines';

/** Everything that nobody saw settled one way. */
export interface Branch<D> {
  chance: number;
  /** @param drawn not changed */
  settle: (drawn: D) => D;
}

/** Every way in which the unseen things of a side may lie; the likeliest first, chances add up to 1. One without any. */
export function branchesOf<T extends KindTypes>(
  kind: SuspensionKind<T>,
  input: T['input'],
  side: Side,
): Branch<T['drawn']>[] {
  return kind.unseen(input, side).reduce<Branch<T['drawn']>[]>(
    (found, { may }) =>
      found
        .flatMap((one) =>
          may.map(({ chance, settle }) => ({
            chance: one.chance * chance,
            settle: (drawn: T['drawn']) => settle(one.settle(drawn)),
          })),
        )
        .sort((p, q) => q.chance - p.chance),
    [{ chance: 1, settle: (drawn) => drawn }],
  );
}

/** A branch at the middle of every reading, solved exactly. */
export interface Lead<T extends KindTypes> {
  /** Among all branches, the likeliest 0. */
  place: number;
  branch: Branch<T['drawn']>;
  drawn: T['drawn'];
  model: ModelOf<T>;
}

/**
 * The likeliest branch of a side that can stand with the plan made, in the first `count` load states.
 * @throws CoreError of the likeliest one where none can
 */
export function leadOf<T extends KindTypes>(
  kind: SuspensionKind<T>,
  input: T['input'],
  side: Side,
  count: number,
): Lead<T> {
  let refused: CoreError | undefined;
  for (const [place, branch] of branchesOf(kind, input, side).entries())
    try {
      const drawn = branch.settle(kind.draw(input, central));
      const model = kind.model(drawn, side, 'exact');
      for (const extra of extraLoads(drawn, count)) model.rise(kind.changes(drawn), extra);
      return { place, branch, drawn, model };
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
      refused ??= error;
    }
  throw refused!;
}

/** A branch with what it makes of the axle at the middle of every reading. */
interface Solved<C> {
  /** Among all branches. */
  place: number;
  chance: number;
  changes: readonly C[];
  model: Rising<C>;
}

/**
 * How high the frame stands on the mean of all branches: the likeliest one solved exactly, the others by how far they differ from it on a
 * coarser model. A branch that has no equilibrium says nothing and counts for nothing.
 * @param lead the branch that is solved exactly
 * @param coarse makes the coarser model of a branch; one who asks for many plans keeps them
 */
export function meanRising<T extends KindTypes>(
  kind: SuspensionKind<T>,
  input: T['input'],
  side: Side,
  { place: own, drawn, model: exact }: Pick<Lead<T>, 'place' | 'drawn'> & { model: Rising<T['change']> },
  coarse: (settled: T['drawn']) => Rising<T['change']> = (settled) => kind.model(settled, side, 'difference'),
): Rising<T['change']> {
  const branches = branchesOf(kind, input, side);
  if (branches.length === 1) return exact;
  const middle = kind.draw(input, central);
  const asked = kind.changes(drawn);
  const solved = branches.flatMap(({ chance, settle }, k): Solved<T['change']>[] => {
    try {
      const settled = settle(middle);
      return [{ place: k, chance, changes: kind.changes(settled), model: coarse(settled) }];
    } catch (error) {
      if (error instanceof CoreError) return [];
      throw error;
    }
  });
  const lift = (one: Solved<T['change']>, made: readonly T['change'][], extra: number): number | null => {
    try {
      // What a change is may itself be unseen: the branch has its own.
      const theirs = made.map((change) => one.changes[asked.indexOf(change)] ?? change);
      return one.model.rise(theirs, extra) - one.model.rise([], 0);
    } catch (error) {
      if (error instanceof CoreError) return null;
      throw error;
    }
  };
  const shift = (changes: readonly T['change'][], extra: number): number => {
    const lead = solved.find(({ place }) => place === own);
    const alone = lead && lift(lead, changes, extra);
    if (alone === null || alone === undefined) return 0;
    let [sum, chances] = [0, 0];
    for (const one of solved) {
      const other = one === lead ? alone : lift(one, changes, extra);
      if (other === null) continue;
      sum += one.chance * (other - alone);
      chances += one.chance;
    }
    return sum / chances;
  };
  return {
    hasSpring: exact.hasSpring,
    rise: (changes, extra) =>
      exact.rise(changes, extra) + (changes.length === 0 && extra === 0 ? 0 : shift(changes, extra)),
  };
}
