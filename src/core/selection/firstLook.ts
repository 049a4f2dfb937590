import { CoreError } from '../errors';
import { builtStack } from '../suspension/longitudinalLeaf/built';
import { type DrawnChange, type DrawnInput, type LeafAxleInput } from '../suspension/longitudinalLeaf/input';
import { LONGITUDINAL_LEAF } from '../suspension/longitudinalLeaf/kind';
import { LeafSideModel } from '../suspension/longitudinalLeaf/sideModel';
import { withMeanEyes } from '../suspension/longitudinalLeaf/unseen';
import { mainLeafAboveHub } from '../mechanics/stack/stack';
import { type Fineness } from '../mechanics/leafpack/solve';
import { branchesOf } from '../prediction/branches';
import { central, extraLoads } from '../prediction/lines';
import { type Side } from '../vehicle/side';

/** Changes that only stand between spring and hub: they are added up, not solved. */
const BY_SIZE: ReadonlySet<DrawnChange['kind']> = new Set(['block', 'wedge', 'overAxle']);
/** Up to so many shackle lengths with one spring are solved; of more, the shortest, the longest and one between. */
const SOLVED_LENGTHS = 3;

type Solve = (shackle: number | undefined) => number | CoreError;

/**
 * How much many candidates lift the frame in one load state, roughly: each different spring is solved once and shackles of many lengths
 * by the parabola through three of them; blocks, perches and leaf thicknesses are added up. What nobody saw counts by
 * the mean of what it may be.
 */
export class FirstLook {
  private readonly branches: { chance: number; drawn: DrawnInput; model: LeafSideModel; base: number }[];
  private readonly extra: number;
  private readonly springs = new Map<string, Solve>();
  private readonly lengths = new Map<string, Set<number>>();

  /**
   * @param input as this side's readings taught it @param state index of the load state
   * @throws CoreError when the axle as it stands cannot be solved, whatever nobody saw may be
   */
  constructor(input: LeafAxleInput, side: Side, state: number, fineness: Fineness) {
    const drawn = LONGITUDINAL_LEAF.draw({ ...input, changes: [] }, central);
    this.extra = extraLoads(drawn, drawn.states.length)[state]!;
    let refused: CoreError | undefined;
    this.branches = branchesOf(LONGITUDINAL_LEAF, { ...input, changes: [] }, side).flatMap(({ chance, settle }) => {
      try {
        const settled = settle(drawn);
        const model = new LeafSideModel(settled, side, fineness);
        return [{ chance, drawn: settled, model, base: model.rise([], this.extra) }];
      } catch (error) {
        if (!(error instanceof CoreError)) throw error;
        refused ??= error;
        return [];
      }
    });
    if (this.branches.length === 0) throw refused!;
  }

  /** Says which changes will be asked for, so that shackle lengths are known before the first is solved. */
  expect(changes: readonly DrawnChange[]): void {
    const { key, shackle } = springOf(changes);
    if (shackle === undefined) return;
    const there = this.lengths.get(key) ?? new Set<number>();
    this.lengths.set(key, there.add(shackle));
  }

  /** Change of the frame's height against today in the state, mm. @throws CoreError where the spring cannot stand */
  change(changes: readonly DrawnChange[]): number {
    const { key, spring, shackle } = springOf(changes);
    let solve = this.springs.get(key);
    if (!solve) this.springs.set(key, (solve = this.solver(spring, [...(this.lengths.get(key) ?? [])])));
    const found = solve(shackle);
    if (found instanceof CoreError) throw found;
    const { drawn } = this.branches[0]!;
    const stack = (made: readonly DrawnChange[]) => mainLeafAboveHub(builtStack(drawn, made));
    return found + stack(changes) - stack(spring);
  }

  /** Lift of a spring on its mean over the branches, by the length of its shackle. */
  private solver(spring: readonly DrawnChange[], lengths: readonly number[]): Solve {
    const known = new Map<number | undefined, number | CoreError>();
    const exact: Solve = (shackle) => {
      const before = known.get(shackle);
      if (before !== undefined) return before;
      const made = shackle === undefined ? spring : [...spring, { kind: 'shackle' as const, length: shackle }];
      const found = this.lift(made);
      known.set(shackle, found);
      return found;
    };
    if (lengths.length <= SOLVED_LENGTHS) return exact;
    const sorted = lengths.toSorted((p, q) => p - q);
    const places = [sorted[0]!, sorted[Math.floor(sorted.length / 2)]!, sorted.at(-1)!];
    return (shackle) => {
      if (shackle === undefined) return exact(shackle);
      const solved = places.map(exact);
      // Where one end of the range cannot stand nothing is drawn through it.
      if (solved.some((v) => v instanceof CoreError)) return exact(shackle);
      return parabola(places, solved as number[], shackle);
    };
  }

  /** Mean over the branches that can stand, as a plan is foretold. */
  private lift(made: readonly DrawnChange[]): number | CoreError {
    let [sum, chances] = [0, 0];
    let refused: CoreError | undefined;
    for (const { chance, model, base } of this.branches)
      try {
        sum += chance * (model.rise(made, this.extra) - base);
        chances += chance;
      } catch (error) {
        if (!(error instanceof CoreError)) throw error;
        refused ??= error;
      } finally {
        model.recycle();
      }
    return chances > 0 ? sum / chances : refused!;
  }
}

/** What of a candidate's changes makes another spring, its name, and its shackle's length. */
function springOf(changes: readonly DrawnChange[]) {
  const shackle = changes.findLast((c) => c.kind === 'shackle')?.length;
  const spring = changes.filter((c) => c.kind !== 'shackle' && !BY_SIZE.has(c.kind)).map(withMeanEyes);
  return { shackle, spring, key: JSON.stringify(spring) };
}

/** Lagrange's parabola through three places. */
function parabola([a, b, c]: readonly number[], [u, v, w]: readonly number[], x: number): number {
  const [p, q, r] = [x - a!, x - b!, x - c!];
  return (
    (u! * q * r) / ((a! - b!) * (a! - c!)) +
    (v! * p * r) / ((b! - a!) * (b! - c!)) +
    (w! * p * q) / ((c! - a!) * (c! - b!))
  );
}
