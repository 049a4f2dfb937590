import { CoreError } from '../errors';
import { draw } from '../estimate/tree';
import { type LeafAxleInput } from '../suspension/longitudinalLeaf/input';
import { nominalOf } from '../suspension/longitudinalLeaf/figures';
import { LONGITUDINAL_LEAF } from '../suspension/longitudinalLeaf/kind';
import { LeafSideModel, type DrawnChange, type DrawnInput } from '../suspension/longitudinalLeaf/sideModel';
import { sideRate } from '../suspension/longitudinalLeaf/sideState';
import { type StandingStress } from '../mechanics/leafpack/stress';
import { branchesOf, meanRising } from '../prediction/branches';
import { central, extraLoads } from '../prediction/lines';
import { bounceFrequency, smallBumpRate } from '../vehicle/load';
import { type Side } from '../vehicle/side';

/** A candidate in one load state; lengths mm. */
export interface CandidateState {
  id: string;
  /** Change of height against today in this same state. */
  change: number;
  /** Height afterwards; null without a before height. */
  after: number | null;
  /** N/mm, and against today's as a share. */
  rate: number;
  rateShare: number;
  /** Hz; null when the other side's load is not known. */
  frequency: number | null;
  frequencyBefore: number | null;
  /** What a bump of 5 mm meets, N/mm. */
  smallBump: number;
  smallBumpBefore: number;
  /** Largest working stress of each leaf, and what the clamp bends into it, MPa. */
  standing: StandingStress;
  /** Largest working stress, and today's in this state, MPa. */
  stress: number;
  stressBefore: number;
  /** The axle turns by this against today, rad; positive lifts its nose. */
  noseUp: number;
}

/** A bump small enough for friction to matter, mm; chosen. */
const SMALL_BUMP = 5;
const highest = ({ working }: StandingStress): number => Math.max(...working);

interface Before {
  stress: number;
  rise: number;
  rate: number;
  frequency: number | null;
  smallBump: number;
  tilt: number;
}

/** One side of the axle solved exactly, asked for candidate after candidate. */
export class Trial {
  private readonly drawn: DrawnInput;
  readonly extras: number[];
  private readonly model: LeafSideModel;
  private readonly before: Before[];
  private readonly otherLoad: number | undefined;

  constructor(
    private readonly input: LeafAxleInput,
    readonly side: Side,
  ) {
    const bare = { ...input, changes: [] };
    this.drawn = branchesOf(LONGITUDINAL_LEAF, bare, side)[0]!.settle(draw(bare, central));
    this.model = new LeafSideModel(this.drawn, side);
    this.extras = extraLoads(this.drawn, this.drawn.states.length);
    this.otherLoad = this.drawn.sides[side === 'left' ? 'right' : 'left'].spring?.load;
    this.before = this.extras.map((extra) => {
      const { figures, stress } = this.at([], extra);
      return { ...figures, stress: highest(stress()) };
    });
  }

  private readonly branches = new Map<string, LeafSideModel>();

  /** The model of a branch: what is planned changes nothing in it. */
  private coarse(settled: DrawnInput): LeafSideModel {
    const key = JSON.stringify(settled.pack);
    const known = this.branches.get(key);
    known?.recycle();
    const model = known ?? LONGITUDINAL_LEAF.model(settled, this.side, 'difference');
    this.branches.set(key, model);
    return model;
  }

  private at(changes: readonly DrawnChange[], extra: number) {
    const state = this.model.state(changes, extra);
    const { spring } = state;
    if (!spring) throw new CoreError('bad-input', 'pack', 'the spring is not known');
    const rate = sideRate(spring);
    const { solver, state: solved, load } = spring;
    const half = solver.frictionHalfBand(solved.forces, solved.shape, rate);
    const sprung = this.otherLoad === undefined ? null : load + this.otherLoad + extra;
    return {
      figures: {
        rise: state.rise,
        rate,
        frequency: sprung === null ? null : bounceFrequency(rate, this.drawn.tyreRate, sprung),
        smallBump: smallBumpRate(rate, half, SMALL_BUMP),
        tilt: solved.seatTilt,
      },
      stress: (): StandingStress => ({
        working: solver.peakStress(solved.forces, solved.shape),
        clamped: solver.clampStress(),
        nominal: nominalOf(solver, solved.shape, load),
      }),
    };
  }

  /** @throws CoreError when a state does not exist */
  states(planned: LeafAxleInput['changes']): CandidateState[] {
    const whole = { ...this.input, changes: planned };
    const drawn = branchesOf(LONGITUDINAL_LEAF, whole, this.side)[0]!.settle(draw(whole, central));
    const { changes } = drawn;
    // The last candidate's solvers are tuned to this one.
    this.model.recycle();
    const heights = meanRising(LONGITUDINAL_LEAF, whole, this.side, { place: 0, drawn, model: this.model }, (settled) =>
      this.coarse(settled),
    );
    return this.extras.map((extra, k): CandidateState => {
      const { figures, stress } = this.at(changes, extra);
      const was = this.before[k]!;
      const change = heights.rise(changes, extra) - heights.rise([], extra);
      const height = this.drawn.sides[this.side].height;
      const standing = stress();
      return {
        id: this.drawn.states[k]!.id,
        change,
        after: height === null ? null : height + heights.rise(changes, extra) - heights.rise([], 0),
        rate: figures.rate,
        rateShare: figures.rate / was.rate - 1,
        frequency: figures.frequency,
        frequencyBefore: was.frequency,
        smallBump: figures.smallBump,
        smallBumpBefore: was.smallBump,
        standing,
        stress: highest(standing),
        stressBefore: was.stress,
        // A seat that stands higher behind turns the axle's nose down.
        noseUp: was.tilt - figures.tilt,
      };
    });
  }
}
