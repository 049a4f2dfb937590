import { CoreError } from '../../errors';
import { type Drawn } from '../../estimate/tree';
import { GRAVITY } from '../../material/steel';
import {
  freeStep,
  sharedBy,
  stanceOf,
  type AxlePair,
  type PairEnd,
  type Stance,
} from '../../mechanics/equalizer/stance';
import { type Side } from '../../vehicle/side';
import { type SideModel, type SpringFigures } from '../kind';
import { shapeOf, slopeOf, type PairShape } from './elevation';
import { type TandemAxleInput, type TandemChange } from './input';
import { frictionShare, seatRate, seatStress, type SpringSizes } from './spring';

export type DrawnInput = Drawn<TandemAxleInput>;
export type DrawnChange = Drawn<TandemChange>;

/** One of the two axles under one side, in one load state of one build. */
export interface PairEndFigures {
  /** On its spring, N, and on the ground under its wheel, kg. */
  load: number;
  wheel: number;
  /** Bending at the seat by the handbook, nip left out, MPa. */
  stress: number;
  /** End to end down to the top face of the main leaf at the bolt, mm. */
  arch: number;
}

export interface TandemFigures extends SpringFigures {
  front: PairEndFigures;
  rear: PairEndFigures;
  /** Of the springs' load on the front axle, 0–1. */
  share: number;
  /** Rocker: its tilt, front pin up positive, and where it meets its stop, rad; null without one, or where nobody tried. */
  swing: number | null;
  stop: number | null;
  atStop: boolean;
  /** Ground under the front wheel that much higher, or lower, before it meets its stop, mm. */
  step: { up: number; down: number } | null;
  /** Of the frame, nose down positive, rad. */
  pitch: number;
  /** Inner ends of the springs below their hanger eyes, mm, the mean of both. */
  slope: number;
  /** Rate of one spring, N/mm. */
  each: number;
  shape: PairShape;
}

/** Where the ends of the springs hang or bear, with what holds the inner ones. */
interface Build {
  spring: SpringSizes;
  /** Free arch of each, top face, mm. */
  free: { front: number; rear: number };
  rocker: { front: number; rear: number; below: number } | null;
  drop: { outer: number; inner: number };
  riser: number;
  over: boolean;
  perch: number;
  hitch: number;
}

/** Half of a leaf between the eyes' line and the face a slipper bears on. */
const toMiddle = ({ thickness }: SpringSizes): number => thickness / 2;

/** Two springs of one side on their rocker or slippers, from which any build and load follows. */
export class TandemSideModel implements SideModel<DrawnChange, TandemFigures> {
  private readonly baseLoad: number;
  private readonly today: Build | undefined;
  /** What readings of the day add to each axle's free height, mm. */
  private readonly shift = { front: 0, rear: 0 };
  /** By how much tilt of the rocker or loads, pitch and arches contradict one another, mm. */
  readonly contradiction: number = 0;
  /** Of the frame as it stands, mm up to the model's constant. */
  private readonly height: number = 0;

  /** @throws CoreError `bad-input` when the sizes are no spring and no rocker */
  constructor(
    private readonly input: DrawnInput,
    side: Side,
  ) {
    const known = input.sides[side].spring;
    this.baseLoad = known?.load ?? 0;
    if (!known || !input.spring) return;
    const { spring, inactive, rocker } = input;
    const rate = seatRate(spring, inactive);
    const share = rocker ? this.armsShare(spring, rocker) : input.share;
    const onEach = { front: share * known.load, rear: (1 - share) * known.load };
    const build: Build = {
      spring,
      free: { front: known.arch.front + onEach.front / rate, rear: known.arch.rear + onEach.rear / rate },
      rocker: rocker && { front: rocker.front, rear: rocker.rear, below: rocker.below },
      drop: input.drop,
      riser: 0,
      over: input.arrangement === 'over',
      perch: input.perch,
      hitch: 0,
    };
    // Tilt, pitch and loads as they were found say how much higher one axle's spring stands free than the other's; both arches, how high in the middle.
    const bare = this.pairOf(build);
    const give = 1 / rate + 1 / input.tyreRate;
    const ways = bare.front.reach * bare.front.arm + bare.rear.reach * bare.rear.arm;
    const step = (rocker ? Math.sin(rocker.tilt) * ways : 0) + (onEach.front - onEach.rear) * give;
    const off = step - input.pitch * input.spacing - (bare.front.rest - bare.rear.rest);
    this.contradiction = off;
    this.shift = { front: off / 2, rear: -off / 2 };
    this.today = build;
    this.height = stanceOf(this.pairOf(build), this.baseLoad, input.pitch).height;
  }

  get hasSpring(): boolean {
    return this.today !== undefined;
  }

  private armsShare(spring: SpringSizes, rocker: NonNullable<DrawnInput['rocker']>): number {
    const reach = spring.outer / (spring.outer + spring.inner);
    return sharedBy({
      front: { reach, arm: this.turning('front', rocker) } as PairEnd,
      rear: { reach, arm: this.turning('rear', rocker) } as PairEnd,
    });
  }

  /** Arm on which the force along a leaning shackle turns the rocker, mm. */
  private turning(end: 'front' | 'rear', rocker: { front: number; rear: number; below: number }): number {
    return rocker[end] + rocker.below * Math.tan(this.input.rocker?.lean[end] ?? 0);
  }

  private pairOf(build: Build): AxlePair {
    const { spring, free, rocker, drop, riser, over } = build;
    const rate = seatRate(spring, this.input.inactive);
    const length = spring.outer + spring.inner;
    const reach = spring.outer / length;
    const eyes = (drop.outer * spring.inner + drop.inner * spring.outer) / length;
    // Over the axle the whole pack lifts, under it only what stands above it: nothing of it.
    const stack = over
      ? spring.leaves * spring.thickness + build.perch + this.input.tube / 2
      : -(build.perch + this.input.tube / 2);
    const end = (which: 'front' | 'rear'): PairEnd => ({
      rest: eyes + free[which] + stack + riser + this.shift[which],
      rate,
      tyre: this.input.tyreRate,
      reach,
      arm: rocker ? this.turning(which, rocker) : 1,
    });
    const stop = this.input.rocker?.stop ?? null;
    return {
      front: end('front'),
      rear: end('rear'),
      spacing: this.input.spacing,
      joined: rocker ? { stop } : 'apart',
    };
  }

  /** What the changes leave, in whatever order they stand: slippers take the place of rocker and shackles. */
  private built(changes: readonly DrawnChange[]): Build {
    const now = this.today!;
    const { rocker: joins } = this.input;
    const of = <K extends DrawnChange['kind']>(kind: K) =>
      changes.findLast((c): c is Extract<DrawnChange, { kind: K }> => c.kind === kind);
    const [springs, slipper, rocker, shackle, over] = [
      of('springs'),
      of('slipper'),
      of('rocker'),
      of('shackle'),
      of('overAxle'),
    ];
    const spring = springs?.spring ?? now.spring;
    const hung =
      now.drop.inner +
      (shackle && joins ? shackle.length - joins.shackle : 0) +
      (rocker && joins ? rocker.below - joins.below : 0);
    return {
      spring,
      free: springs ? { front: springs.free, rear: springs.free } : now.free,
      rocker: slipper ? null : rocker ? { front: rocker.front, rear: rocker.rear, below: rocker.below } : now.rocker,
      drop: {
        outer: now.drop.outer,
        // A face was read to the face; where eyes hung before, to their centre.
        inner: slipper ? slipper.drop + (joins ? toMiddle(spring) : 0) : hung,
      },
      riser: now.riser + (of('riser')?.height ?? 0),
      over: now.over || over !== undefined,
      // The old perch under the tube has no part in it any more.
      perch: over?.height ?? now.perch,
      hitch: now.hitch + (of('hitch')?.by ?? 0),
    };
  }

  /** Stance in a load state: the frame pitches as its rear goes up or down on a coupling that stays where it is. */
  private stand(build: Build, extraLoad: number): Stance & { pitch: number } {
    const pair = this.pairOf(build);
    const load = this.baseLoad + extraLoad;
    let { pitch } = this.input;
    let stance = stanceOf(pair, load, pitch);
    for (let k = 0; k < 2; k++) {
      const up = stance.height - this.height - extraLoad / 2 / this.input.tyreRate;
      pitch = this.input.pitch + (up - build.hitch) / this.input.hitchReach;
      stance = stanceOf(pair, load, pitch);
    }
    return { ...stance, pitch };
  }

  /** Sizes alone, where nothing is known of a spring. */
  private bySize(changes: readonly DrawnChange[]): number {
    return changes.reduce((sum, c) => {
      if (c.kind === 'riser') return sum + c.height;
      if (c.kind === 'overAxle' && this.input.spring)
        return sum + overLift(this.input.spring, this.input.tube, this.input.perch, c.height);
      return sum;
    }, 0);
  }

  rise(changes: readonly DrawnChange[], extraLoad: number): number {
    if (!this.today) return this.bySize(changes);
    return this.stand(this.built(changes), extraLoad).height;
  }

  frictionHeight(changes: readonly DrawnChange[], extraLoad: number): number {
    if (!this.today) return 0;
    const { spring } = this.built(changes);
    const load = Math.max(0, this.baseLoad + extraLoad) / 2;
    return (frictionShare(spring, this.input.friction) * load) / seatRate(spring, this.input.inactive);
  }

  figures(changes: readonly DrawnChange[], extraLoad: number): TandemFigures | null {
    if (!this.today) return null;
    const build = this.built(changes);
    return this.told(changes, build, extraLoad, this.stand(build, extraLoad));
  }

  /**
   * The side on the road: the coupling that much higher than planned, and a bump under the front wheel, negative under the rear one, mm.
   * @throws CoreError as `rise`, and `bad-input` while the springs are not measured
   */
  onRoad(changes: readonly DrawnChange[], extraLoad: number, hitch: number, bump: number): TandemFigures {
    if (!this.today) throw new CoreError('bad-input', 'spring', 'the springs are not measured yet');
    const build = this.built(changes);
    const pitch = this.stand(build, extraLoad).pitch - hitch / this.input.hitchReach;
    const stance = stanceOf(this.pairOf(build), this.baseLoad + extraLoad, pitch, bump);
    return this.told(changes, build, extraLoad, { ...stance, pitch });
  }

  private told(
    changes: readonly DrawnChange[],
    build: Build,
    extraLoad: number,
    stance: Stance & { pitch: number },
  ): TandemFigures {
    const load = this.baseLoad + extraLoad;
    // Over a few per cent of the load, as a tangent is told of every spring.
    const near = 0.03 * Math.max(load, 100);
    const at = (extra: number) => this.stand(build, extra).height;
    const rate = (2 * near) / (at(extraLoad - near) - at(extraLoad + near));
    const each = seatRate(build.spring, this.input.inactive);
    const of = (end: 'front' | 'rear'): PairEndFigures => ({
      load: stance[end],
      wheel: stance[end] / GRAVITY + this.input.unsprung / 4,
      stress: seatStress(build.spring, this.input.inactive, stance[end]),
      arch: build.free[end] - stance[end] / each,
    });
    const [front, rear] = [of('front'), of('rear')];
    const shape = shapeOf({
      ...build,
      arch: { front: front.arch, rear: rear.arch },
      swing: stance.swing,
      spacing: this.input.spacing,
      tube: this.input.tube,
      shackle: this.input.rocker?.shackle ?? 0,
    });
    return {
      load,
      rate,
      frequency: null,
      frictionHeight: this.frictionHeight(changes, extraLoad),
      front,
      rear,
      share: load > 0 ? stance.front / load : 0.5,
      swing: build.rocker ? stance.swing : null,
      stop: build.rocker ? (this.input.rocker?.stop ?? null) : null,
      atStop: stance.atStop,
      step: freeStep(this.pairOf(build), load, stance.pitch),
      pitch: stance.pitch,
      each,
      slope: slopeOf(shape),
      shape,
    };
  }
}

/** What the frame gains when springs go from under the axle to over it, mm: the tube, the pack, the old perch and the new one. */
export const overLift = (spring: SpringSizes, tube: number, oldPerch: number, newPerch: number): number =>
  tube + spring.leaves * spring.thickness + oldPerch + newPerch;
