import { type Drawn } from '../../estimate/tree';
import { springEnds, usedOf } from '../../mechanics/leafpack/ends';
import { clampHalf, depths } from '../../mechanics/leafpack/pack';
import {
  EXACT,
  PackSolver,
  rateOnRollers,
  rollerForces,
  type Fineness,
  type PackShape,
} from '../../mechanics/leafpack/solve';
import { nominalStress } from '../../mechanics/leafpack/stress';
import { camberGain } from '../../mechanics/kingpin/camber';
import { type Side } from '../../vehicle/side';
import { type Care, type SideModel, type SpringEnd, type SpringFigures } from '../kind';
import { type CrossAxleInput, type CrossChange } from './input';
import { curvatureFree, fitted, packOf, under, type CrossSizes } from './spring';

export type DrawnInput = Drawn<CrossAxleInput>;
export type DrawnChange = Drawn<CrossChange>;

/** What one half of a spring across does in one load state of one build. */
export interface CrossFigures extends SpringFigures {
  /** Main leaf's lower face at the clamp straight down to the eye's centre, mm. */
  drop: number;
  /** Level from the centre bolt to the eye, mm. */
  reach: number;
  /** Wheel's centre lower against the eye than it is today, mm. */
  lowered: number;
  /** Of the axle in roll as far as this spring goes, both wheels turning the frame one way, N·m per degree. */
  roll: number;
  /** Camber gained against today, top outwards positive, rad; 0 on a beam, null where nobody looked. */
  camber: number | null;
  /** MPa, by leaf: what works outside the clamp, what the clamp bends into it, what load and sizes alone say. */
  peakStress: number[];
  clampStress: number[];
  nominalStress: number[];
  /** Middles of the leaves from the bolt outwards, main leaf first: x level, y up from the frame's face on the spring, mm. */
  leaves: { x: number[]; y: number[] }[];
  /** Spring's eye; and the upper joint with the arm's pivot, where they were read. */
  eye: Spot;
  upright: { joint: Spot; pivot: Spot } | null;
  thickness: number;
}

interface Spot {
  x: number;
  y: number;
}

const FINENESS: Record<Care, Fineness> = {
  exact: EXACT,
  difference: { settled: 1e-5, divisions: 12 },
  sample: { settled: 1e-4, divisions: 8 },
};

interface Build {
  sizes: CrossSizes;
  solver: PackSolver;
  half: number;
  solved: Map<number, PackShape>;
}

/** Main leaf's middle at the clamp under the frame's face, mm up: it lies lowest, what lies on it stands between it and the frame. */
const mainOf = ({ leaves, thickness }: CrossSizes): number => -(leaves - 0.5) * thickness;
const eyeOf = ({ sizes }: Build, { arch, frontArm, rearArm }: PackShape): Spot => ({
  x: (frontArm + rearArm) / 2,
  y: mainOf(sizes) - arch,
});

/** One half of the spring under its wheel, from which any build and load follows. */
export class CrossSideModel implements SideModel<DrawnChange, CrossFigures> {
  private readonly now: Build | undefined;
  private readonly baseLoad: number;
  /** By the change that brings another spring. */
  private readonly others = new Map<DrawnChange, Build>();
  private readonly fineness: Fineness;

  /** @throws CoreError when the readings contradict one another or the sizes are no spring */
  constructor(
    private readonly input: DrawnInput,
    private readonly side: Side,
    care: Care = 'exact',
  ) {
    this.fineness = FINENESS[care];
    const known = input.sides[side].spring;
    this.baseLoad = known?.load ?? 0;
    if (!known || !input.spring) return;
    const sizes = input.spring;
    const arch = known.drop + sizes.thickness / 2;
    const { solver, shape } = fitted(sizes, known.half, input, { arch, load: known.load }, this.fineness);
    this.now = { sizes, solver, half: known.half, solved: new Map([[0, shape]]) };
  }

  get hasSpring(): boolean {
    return this.now !== undefined;
  }

  private built(changes: readonly DrawnChange[]): Build | undefined {
    const other = changes.findLast((c) => c.kind === 'crossSpring');
    if (!other || !this.now) return this.now;
    const known = this.others.get(other);
    if (known) return known;
    const { spring, half, free } = other;
    const pack = packOf(spring, half, curvatureFree(spring, half, free), { ...this.input, broken: null });
    const build: Build = {
      sizes: spring,
      solver: new PackSolver(pack, undefined, this.fineness),
      half,
      solved: new Map(),
    };
    this.others.set(other, build);
    return build;
  }

  private shape(build: Build, extraLoad: number): PackShape {
    const known = build.solved.get(extraLoad);
    if (known) return known;
    const shape = under(build.solver, 2 * (this.baseLoad + extraLoad), build.solved.get(0));
    build.solved.set(extraLoad, shape);
    return shape;
  }

  /** Wheel's centre lower against the eye by spindles or another beam, mm. */
  private lowered(changes: readonly DrawnChange[]): number {
    const spindles = changes.findLast((c) => c.kind === 'spindles');
    const beam = changes.findLast((c) => c.kind === 'dropAxle');
    return (spindles?.[this.side] ?? 0) + (beam?.by ?? 0);
  }

  rise(changes: readonly DrawnChange[], extraLoad: number): number {
    const lowered = this.lowered(changes);
    const build = this.built(changes);
    if (!build) return lowered;
    return lowered - eyeOf(build, this.shape(build, extraLoad)).y;
  }

  frictionHeight(changes: readonly DrawnChange[], extraLoad: number): number {
    const build = this.built(changes);
    if (!build) return 0;
    const shape = this.shape(build, extraLoad);
    const load = 2 * (this.baseLoad + extraLoad);
    // The band on the load over the rate: the rate falls out.
    return build.solver.frictionHalfBand(rollerForces(load, shape), shape, 1);
  }

  /** Where its steel reaches the limit of full bump. */
  ends(changes: readonly DrawnChange[]): SpringEnd[] {
    const build = this.built(changes);
    if (!build) return [];
    return springEnds(this.baseLoad, (extra) => {
      const shape = this.shape(build, extra);
      const load = 2 * (this.baseLoad + extra);
      return {
        rise: this.rise(changes, extra),
        used: usedOf(this.nominal(build, shape, load), build.solver.peakStress(rollerForces(load, shape), shape)),
        shackle: null,
      };
    });
  }

  private nominal({ solver }: Build, shape: PackShape, load: number): number[] {
    const { leaves, clamp } = solver.pack;
    return nominalStress(leaves, load, { front: shape.frontArm, rear: shape.rearArm }, clampHalf(clamp));
  }

  /** The upright between eye and upper joint. A beam leans nothing; null where nobody looked. */
  private stood(eye: Spot): { camber: number | null; upright: CrossFigures['upright'] } {
    const { upright } = this.input;
    if (upright === null || upright === 'beam') return { camber: upright === null ? null : 0, upright: null };
    const today = eyeOf(this.now!, this.now!.solved.get(0)!);
    const camber = camberGain(upright, { out: eye.x - today.x, up: eye.y - today.y });
    const { arm, slope, kingpin } = upright;
    return {
      camber,
      upright: {
        joint: { x: eye.x + kingpin * Math.sin(camber), y: eye.y + kingpin * Math.cos(camber) },
        pivot: { x: today.x - arm * Math.cos(slope), y: today.y + kingpin - arm * Math.sin(slope) },
      },
    };
  }

  figures(changes: readonly DrawnChange[], extraLoad: number): CrossFigures | null {
    const build = this.built(changes);
    if (!build) return null;
    const { solver, sizes } = build;
    const shape = this.shape(build, extraLoad);
    const load = this.baseLoad + extraLoad;
    const forces = rollerForces(2 * load, shape);
    const rate = rateOnRollers(solver, 2 * load, shape) / 2;
    const eye = eyeOf(build, shape);
    const above = depths(solver.pack.leaves);
    const main = mainOf(sizes);
    return {
      load,
      rate,
      frequency: null,
      frictionHeight: this.frictionHeight(changes, extraLoad),
      drop: shape.arch - sizes.thickness / 2,
      reach: eye.x,
      lowered: this.lowered(changes),
      roll: ((rate * (2 * eye.x) ** 2) / 2 / 1000) * (Math.PI / 180),
      ...this.stood(eye),
      eye,
      peakStress: solver.peakStress(forces, shape),
      clampStress: solver.clampStress(),
      nominalStress: this.nominal(build, shape, 2 * load),
      leaves: solver.pack.leaves.map((_, k) => {
        const { x, y } = solver.leafCurves(k, shape).front;
        // The other way up in the vehicle: ends down, the shorter leaves on top.
        return { x: [...x], y: [...y].map((up) => main + above[k]! - up) };
      }),
      thickness: sizes.thickness,
    };
  }
}
