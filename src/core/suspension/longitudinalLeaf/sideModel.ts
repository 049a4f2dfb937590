import { CoreError } from '../../errors';
import { packAsRead } from './asRead';
import { calibrateByDaylight, calibrateNested, type Calibrated, type NestedPack } from './calibrate';
import { type Clamp, type Pack } from '../../mechanics/leafpack/pack';
import { EXACT, PackSolver, type Fineness } from '../../mechanics/leafpack/solve';
import {
  linkageAt,
  slidePerNewton,
  solveInstalled,
  type InstalledState,
  type RearHold,
  type ShackleLinkage,
  type SlipperLinkage,
} from '../../mechanics/linkage/installed';
import { helperAt, packShare } from '../../mechanics/helper/curve';
import { SPRING_STEEL_E } from '../../material/steel';
import { mainLeafAboveHub, topAboveHub } from '../../mechanics/stack/stack';
import { type DrawnChange, type DrawnInput } from './input';
import { type Side } from '../../vehicle/side';
import { type SideModel, type SpringEnd } from '../kind';
import { springEnds, usedOf } from '../../mechanics/leafpack/ends';
import { builtPack, builtStack, changesPack, mends } from './built';
import { isTurned } from './turned';
import { figuresOf, nominalOf, type LeafFigures } from './figures';
import { sideRate, type SideState } from './sideState';

type Helper = Extract<DrawnChange, { kind: 'helper' }>;

/** Leaves formed flat lie flat in their clamp. */
const seatShapeOf = (input: DrawnInput): 'flat' | 'concentric' =>
  input.pack?.seatShape === 'concentric' ? 'concentric' : 'flat';

const clampOf = (input: DrawnInput): Clamp => ({
  kind: 'seat',
  length: input.pack ? input.pack.seatLength * Math.max(0, input.pack.inactive) : 0,
  shape: seatShapeOf(input),
});

/** How the rear end is held in the state the readings are of. */
export function holdOf({ pad, shackle }: Pick<DrawnInput, 'pad' | 'shackle'>): RearHold {
  const hold = pad ?? shackle;
  if (!hold) throw new CoreError('bad-input', 'shackle', 'nothing says what holds the rear end of the spring');
  return hold;
}

/** A pack as some of the changes leave it, with the shapes it was last solved in. */
interface Build {
  solver: PackSolver;
  /** The changes it was made for; absent when taken over from another model: then it must be tuned before use. */
  changes?: readonly DrawnChange[];
  /** By load and shackle: where it settled. */
  solved: Map<string, InstalledState>;
  /** The same of the model it was taken over from: first guesses. */
  guesses: Map<string, InstalledState>;
}

/** The calibrated spring and stack of one side, from which any build and load follows. */
export class LeafSideModel implements SideModel<DrawnChange, LeafFigures> {
  private readonly calibrated: Calibrated | undefined;
  private readonly linkage: ShackleLinkage | SlipperLinkage | undefined;
  private readonly baseLoad: number;
  /** One that was there when it was read, and what it carried of the base load, N. */
  private readonly fitted: Helper | undefined;
  private readonly carried: number = 0;
  private readonly freeArch: number | undefined;
  private readonly builds = new Map<string, Build>();

  /**
   * @param spent a model of nearly the same readings: its solvers are taken over, it must not be used any more
   * @throws CoreError when the readings contradict one another or cannot be solved
   */
  constructor(
    private readonly input: DrawnInput,
    side: Side,
    private readonly fineness: Fineness = EXACT,
    spent?: LeafSideModel,
  ) {
    for (const [key, { solver, solved }] of spent?.builds ?? [])
      this.builds.set(key, { solver, solved: new Map(), guesses: solved });
    const spring = input.sides[side].spring;
    this.baseLoad = spring?.load ?? 0;
    this.freeArch = spring?.freeArch;
    if (!input.pack || !spring) return;
    this.fitted = input.changes.findLast((c): c is Helper => c.kind === 'helper' && c.fitted !== undefined);
    if (this.fitted) {
      this.carried = this.fitted.share * helperAt(this.fitted, -this.fitted.gap).force;
      if (this.carried >= spring.load)
        throw new CoreError('bad-input', 'helper', 'the helper there now would carry the whole load: the pack none');
    }
    const main = input.pack.leaves[0];
    if (!main) throw new CoreError('bad-input', 'pack.leaves', 'a pack needs at least one leaf');
    const given: NestedPack = {
      ...packAsRead(input.pack, spring),
      departure: input.pack.leaves.map((leaf) => leaf.departure),
      clamp: clampOf(input),
      youngs: SPRING_STEEL_E * (input.pack.rateFactor ?? 1),
      friction: Math.min(1, Math.max(0, input.pack.friction)),
    };
    const calibrate = (pack: NestedPack, like?: Calibrated) =>
      calibrateNested(
        pack,
        spring.archTop + main.thickness / 2,
        spring.load - this.carried,
        holdOf(input),
        fineness,
        like,
      );
    const { overloadGap } = input.pack;
    this.calibrated =
      overloadGap === undefined
        ? calibrate(given, spent?.calibrated)
        : calibrateByDaylight(given, overloadGap, calibrate, spent?.calibrated);
    this.linkage = linkageAt(this.calibrated.shape.eyeDistance, holdOf(input));
  }

  get hasSpring(): boolean {
    return this.calibrated !== undefined;
  }

  get mainCurvature(): number | undefined {
    return this.calibrated?.curvature;
  }

  private packAfter(changes: readonly DrawnChange[]): Pack | undefined {
    return this.calibrated && builtPack(this.calibrated.pack, changes, this.freeArch);
  }

  private buildOf(changes: readonly DrawnChange[], pack: Pack): Build {
    const leaves = changes.filter(changesPack);
    const mended = mends(changes) && this.calibrated!.pack.leaves.some((leaf) => leaf.broken);
    const key = leaves.length === 0 && !mended ? '' : changes.map((c) => c.kind).join();
    const known = this.builds.get(key);
    if (known?.changes && leaves.length === known.changes.length && leaves.every((c, i) => c === known.changes![i]))
      return known;
    const guesses = known?.guesses ?? new Map<string, InstalledState>();
    let solver = this.calibrated!.solver;
    if (leaves.length > 0 || mended) {
      const tuned = known && !known.changes && known.solver.retune(pack);
      solver = tuned ? known.solver : new PackSolver(pack, known?.solver, this.fineness);
    }
    const build: Build = { solver, changes: leaves, solved: new Map(), guesses };
    this.builds.set(key, build);
    return build;
  }

  /** The side with some of the changes made, under its base load plus `extraLoad` N. */
  state(changes: readonly DrawnChange[], extraLoad: number): SideState {
    const helper = this.helperIn(changes);
    return helper && this.calibrated ? this.helped(changes, helper, extraLoad) : this.packAlone(changes, extraLoad);
  }

  /** The helper there is with some of the changes made: a new one in the place of one that was there. */
  private helperIn(changes: readonly DrawnChange[]): Helper | undefined {
    const named = changes.filter((c): c is Helper => c.kind === 'helper');
    const off = named.some((c) => c.fitted === 'off');
    return named.findLast((c) => c.fitted === undefined) ?? (off ? undefined : this.fitted);
  }

  /** Pack and helper beside one another: as far as the frame comes down past where it touches, the helper takes load off the pack. */
  private helped(changes: readonly DrawnChange[], helper: Helper, extraLoad: number): SideState {
    const touches = this.packAlone([], -this.carried).rise - helper.gap;
    const at = (packLoad: number) => {
      const state = this.packAlone(changes, packLoad - this.baseLoad);
      const pressed = touches - state.rise;
      const { force, rate } = helperAt(helper, pressed);
      return {
        state,
        helper: { force: helper.share * force, rate: helper.share * rate, pressed, stroke: helper.stroke },
      };
    };
    const found = at(packShare(this.baseLoad + extraLoad, (packLoad) => at(packLoad).helper.force));
    return { ...found.state, helper: found.helper };
  }

  private packAlone(changes: readonly DrawnChange[], extraLoad: number): SideState {
    const stack = builtStack(this.input, changes);
    const aboveHub = mainLeafAboveHub(stack);
    const pack = this.packAfter(changes);
    if (!pack || !this.calibrated || !this.linkage) return { rise: aboveHub, aboveHub, stack };
    const build = this.buildOf(changes, pack);
    const shackle = changes.findLast((c) => c.kind === 'shackle');
    if (shackle && this.linkage.kind === 'slipper')
      throw new CoreError(
        'no-equilibrium',
        'shackle',
        'the rear end slides under a pad: there is no shackle to change',
      );
    const linkage = shackle ? { ...this.linkage, length: shackle.length } : this.linkage;
    const load = this.baseLoad + extraLoad;
    const key = `${extraLoad}|${shackle?.length ?? ''}`;
    const start = build.guesses.get(key)?.shape ?? this.calibrated.shape;
    const state = build.solved.get(key) ?? solveInstalled(build.solver, linkage, load, start);
    build.solved.set(key, state);
    const { solver } = build;
    const seatLength = this.input.pack?.seatLength ?? 0;
    return {
      rise: aboveHub - state.seat.y,
      aboveHub,
      stack,
      spring: { solver, linkage, state, load, seatLength, turned: isTurned(this.input) },
    };
  }

  rise(changes: readonly DrawnChange[], extraLoad: number): number {
    return this.state(changes, extraLoad).rise;
  }

  frictionHeight(changes: readonly DrawnChange[], extraLoad: number): number {
    const { spring, helper } = this.state(changes, extraLoad);
    if (!spring) return 0;
    // The band on the load over the rate: the rate falls out. A helper beside it keeps the frame from following.
    const alone = spring.solver.frictionHalfBand(spring.state.forces, spring.state.shape, 1) + this.rubbed(spring);
    if (!helper || helper.rate <= 0) return alone;
    const rate = sideRate(spring);
    return (alone * rate) / (rate + helper.rate);
  }

  peakStress(changes: readonly DrawnChange[], extraLoad: number): number {
    const { spring } = this.state(changes, extraLoad);
    return spring ? Math.max(...spring.solver.peakStress(spring.state.forces, spring.state.shape)) : 0;
  }

  top(changes: readonly DrawnChange[]): number {
    return topAboveHub(builtStack(this.input, changes));
  }

  ends(changes: readonly DrawnChange[]): SpringEnd[] {
    if (!this.hasSpring) return [];
    return springEnds(this.baseLoad, (extra) => {
      const { rise, spring } = this.state(changes, extra);
      const { solver, state } = spring!;
      return {
        rise,
        used: usedOf(nominalOf(solver, state.shape, spring!.load), solver.peakStress(state.forces, state.shape)),
        shackle: state.shackleAngle,
      };
    });
  }

  /** Height that rubbing on the pad holds either way, mm. */
  private rubbed({ solver, linkage, load, state }: NonNullable<SideState['spring']>): number {
    const friction = this.input.pad?.friction ?? 0;
    if (friction <= 0 || linkage.kind !== 'slipper') return 0;
    return friction * state.forces.rear * slidePerNewton(solver, linkage, load, state);
  }

  figures(changes: readonly DrawnChange[], extraLoad: number, whole: boolean): LeafFigures | null {
    const at = (load: number) => this.state(changes, load - this.baseLoad);
    const state = this.state(changes, extraLoad);
    const told = figuresOf(state, whole ? at : null);
    return told && state.spring ? { ...told, frictionHeight: told.frictionHeight + this.rubbed(state.spring) } : told;
  }

  /**
   * Gives up every build but the unchanged one: their solvers are tuned to the next build instead of made anew. What was solved
   * before must not be asked any more.
   */
  recycle(): void {
    for (const [key, build] of this.builds)
      if (key !== '') this.builds.set(key, { solver: build.solver, solved: new Map(), guesses: build.solved });
  }

  private readonly bench = new Map<readonly DrawnChange[], PackSolver>();

  /** The pack with some of the changes made, out of the vehicle, held by its centre bolt only. */
  onBench(changes: readonly DrawnChange[]): PackSolver | undefined {
    const known = this.bench.get(changes);
    if (known) return known;
    const pack = this.packAfter(changes);
    if (!pack) return undefined;
    const solver = new PackSolver({ ...pack, clamp: { kind: 'bolt' } }, undefined, this.fineness);
    this.bench.set(changes, solver);
    return solver;
  }
}
