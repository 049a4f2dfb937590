import { CoreError } from '../errors';
import { type DrawnChange, type DrawnInput, type LeafAxleInput } from '../suspension/longitudinalLeaf/input';
import { nominalOf } from '../suspension/longitudinalLeaf/figures';
import { LONGITUDINAL_LEAF } from '../suspension/longitudinalLeaf/kind';
import { LeafSideModel } from '../suspension/longitudinalLeaf/sideModel';
import { sideRate } from '../suspension/longitudinalLeaf/sideState';
import { type StandingStress } from '../mechanics/leafpack/stress';
import { branchesOf, meanRising } from '../prediction/branches';
import { central, extraLoads } from '../prediction/lines';
import { bounceFrequency, smallBumpRate } from '../vehicle/load';
import { drawLeafAxle, isTurned } from '../suspension/longitudinalLeaf/turned';
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

/** One way in which what nobody saw may lie, solved exactly as the axle stands. */
interface Standing {
  drawn: DrawnInput;
  model: LeafSideModel;
  before: Before[];
}

/** One side of the axle solved exactly, asked for candidate after candidate. */
export class Trial {
  readonly extras: number[];
  private readonly drawn: DrawnInput;
  /** By the pack of their branch; why it cannot stand where it cannot. */
  private readonly standings = new Map<string, Standing | CoreError>();

  /** @throws CoreError when the axle as it stands cannot be solved, whatever nobody saw may be */
  constructor(
    private readonly input: LeafAxleInput,
    readonly side: Side,
  ) {
    this.drawn = drawLeafAxle({ ...input, changes: [] }, central);
    this.extras = extraLoads(this.drawn, this.drawn.states.length);
    this.likeliest([], this.drawn, () => true);
  }

  /** What the likeliest branch gives that can stand. @throws CoreError of the likeliest one where none can */
  private likeliest<R>(
    changes: LeafAxleInput['changes'],
    drawn: DrawnInput,
    give: (standing: Standing, settled: DrawnInput, place: number) => R,
  ): R {
    let refused: CoreError | undefined;
    for (const [place, { settle }] of branchesOf(LONGITUDINAL_LEAF, { ...this.input, changes }, this.side).entries())
      try {
        const settled = settle(drawn);
        const standing = this.standing(settled);
        if (standing instanceof CoreError) throw standing;
        return give(standing, settled, place);
      } catch (error) {
        if (!(error instanceof CoreError)) throw error;
        refused ??= error;
      }
    throw refused!;
  }

  /** A branch of the axle as it stands; what is planned changes nothing in it. */
  private standing(settled: DrawnInput): Standing | CoreError {
    const key = JSON.stringify(settled.pack);
    const known = this.standings.get(key);
    if (known) return known;
    const found = this.stand({ ...settled, changes: [] });
    this.standings.set(key, found);
    return found;
  }

  private stand(drawn: DrawnInput): Standing | CoreError {
    try {
      const model = new LeafSideModel(drawn, this.side);
      const before = this.extras.map((extra) => {
        const { figures, stress } = this.at({ drawn, model }, [], extra);
        return { ...figures, stress: highest(stress()) };
      });
      return { drawn, model, before };
    } catch (error) {
      if (error instanceof CoreError) return error;
      throw error;
    }
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

  private at({ drawn, model }: Omit<Standing, 'before'>, changes: readonly DrawnChange[], extra: number) {
    const state = model.state(changes, extra);
    const { spring } = state;
    if (!spring) throw new CoreError('bad-input', 'pack', 'the spring is not known');
    const rate = sideRate(spring);
    const { solver, state: solved, load } = spring;
    const half = solver.frictionHalfBand(solved.forces, solved.shape, rate);
    const otherLoad = drawn.sides[this.side === 'left' ? 'right' : 'left'].spring?.load;
    const sprung = otherLoad === undefined ? null : load + otherLoad + extra;
    return {
      figures: {
        rise: state.rise,
        rate,
        frequency: sprung === null ? null : bounceFrequency(rate, drawn.tyreRate, sprung),
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

  /**
   * Led by the likeliest branch that can stand with the changes made, as a plan is.
   * @throws CoreError when a state does not exist in any
   */
  states(planned: LeafAxleInput['changes']): CandidateState[] {
    const drawn = drawLeafAxle({ ...this.input, changes: planned }, central);
    return this.likeliest(planned, drawn, (standing, settled, place) =>
      this.statesOf(planned, { place, settled, standing }),
    );
  }

  private statesOf(
    planned: LeafAxleInput['changes'],
    { place, settled, standing }: { place: number; settled: DrawnInput; standing: Standing },
  ): CandidateState[] {
    const { model, before } = standing;
    const { changes } = settled;
    // The last candidate's solvers are tuned to this one.
    model.recycle();
    const whole = { ...this.input, changes: planned };
    const heights = meanRising(LONGITUDINAL_LEAF, whole, this.side, { place, drawn: settled, model }, (one) =>
      this.coarse(one),
    );
    return this.extras.map((extra, k): CandidateState => {
      const { figures, stress } = this.at(standing, changes, extra);
      const was = before[k]!;
      const change = heights.rise(changes, extra) - heights.rise([], extra);
      const height = settled.sides[this.side].height;
      const stands = stress();
      return {
        id: settled.states[k]!.id,
        change,
        after: height === null ? null : height + heights.rise(changes, extra) - heights.rise([], 0),
        rate: figures.rate,
        rateShare: figures.rate / was.rate - 1,
        frequency: figures.frequency,
        frequencyBefore: was.frequency,
        smallBump: figures.smallBump,
        smallBumpBefore: was.smallBump,
        standing: stands,
        stress: highest(stands),
        stressBefore: was.stress,
        // A seat that stands higher behind turns the axle's nose down.
        noseUp: isTurned(settled) ? figures.tilt - was.tilt : was.tilt - figures.tilt,
      };
    });
  }
}
