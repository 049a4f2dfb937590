import { CoreError } from '../errors';
import { Z90 } from '../estimate/estimate';
import { estimatesOf, type NamedEstimate } from '../estimate/tree';
import { type KindTypes, type ModelOf, type SuspensionKind } from '../suspension/kind';
import { type Side } from '../vehicle/side';
import { branchesOf, type Branch } from './branches';
import { extraLoads } from './lines';

/** Inputs that no spring's own rise hangs on. */
const APART: ReadonlySet<string> = new Set(['tyreRate', 'lipOverBase']);

/** Inputs of every kind that may lie on either side of zero. */
const SIGNED = /(^|\.)extraMass$/;

/**
 * How far the frame rises over the spring in every load state, mm; where the kind tells it the highest stress in each of them, MPa; and last how
 * the friction of the day stands to the usual one.
 */
export type Outcome = readonly number[];

/** One side of a plan, solved for any variant of what was read and of what nobody saw. */
export class Variants<T extends KindTypes> {
  /** What may be off, by name: a database may keep an object's keys in another order. */
  readonly estimates: readonly NamedEstimate[];
  /** Standard deviations that each of them can be too low by. */
  readonly lowest: readonly number[];
  readonly branches: readonly Branch<T['drawn']>[];
  private like: ModelOf<T> | undefined;

  /** @param input as its own readings taught it @param states number of load states */
  constructor(
    private readonly kind: SuspensionKind<T>,
    private readonly input: T['input'],
    private readonly side: Side,
    /** Load states; the first so many numbers of an outcome are their heights. */
    readonly states: number,
  ) {
    const other: Side = side === 'left' ? 'right' : 'left';
    this.estimates = estimatesOf(input)
      .filter(({ path, estimate }) => estimate.half90 > 0 && !APART.has(path) && !path.startsWith(`sides.${other}`))
      .sort((p, q) => (p.path < q.path ? -1 : 1));
    this.lowest = this.estimates.map(({ path, estimate }) =>
      SIGNED.test(path) || kind.signed.test(path) ? -Infinity : (-estimate.value * Z90) / estimate.half90,
    );
    this.branches = branchesOf(kind, input, side);
  }

  /** How far an input lies off when drawn `z` standard deviations off, in the same measure: an input that cannot be negative stops at 0. */
  reached(index: number, z: number): number {
    return Math.max(z, this.lowest[index]!);
  }

  /**
   * What a variant gives. @param off standard deviations by the place of the estimate; the middle where none is given
   * @throws CoreError where it cannot stand
   */
  solve(branch: Branch<T['drawn']>, off: ReadonlyMap<number, number>): Outcome {
    const { kind, input, side } = this;
    const values = new Map<string, number>();
    for (const [index, z] of off) {
      const { path, estimate } = this.estimates[index]!;
      values.set(path, estimate.value + (estimate.half90 / Z90) * this.reached(index, z));
    }
    const read = kind.draw(input, (e, path) => values.get(path) ?? e.value);
    const drawn = branch.settle(read);
    const { like } = this;
    // A model that fails has spent the one it was made from.
    this.like = undefined;
    const model = kind.model(drawn, side, 'sample', like);
    const base = model.rise([], 0);
    const extras = extraLoads(drawn, this.states);
    const changes = kind.changes(drawn);
    const rises = extras.map((extra) => model.rise(changes, extra) - base);
    const stresses = model.peakStress ? extras.map((extra) => model.peakStress!(changes, extra)) : [];
    this.like = model;
    return [...rises, ...stresses, kind.rubbing(input, read)];
  }

  /** The same, or why it cannot stand. */
  attempt(branch: Branch<T['drawn']>, off: ReadonlyMap<number, number>): Outcome | CoreError {
    try {
      return this.solve(branch, off);
    } catch (error) {
      if (error instanceof CoreError) return error;
      throw error;
    }
  }
}
