import { requireNumber } from '../../errors';
import { type Drawn } from '../../estimate/tree';
import { leafInertia, SPRING_STEEL_E } from '../../material/steel';
import { axleRate, bendingAtAxle, noseShare, type CarrierArms } from '../../mechanics/rubber/carrier';
import { SHEAR_LIMIT } from '../../mechanics/rubber/shear';
import { type Side } from '../../vehicle/side';
import { type SideModel, type SpringEnd, type SpringFigures } from '../kind';
import { type ShearAxleInput, type ShearChange } from './input';

export type DrawnInput = Drawn<ShearAxleInput>;
export type DrawnChange = Drawn<ShearChange>;

/** What one rubber shear spring and its leaf do in one load state of one build. */
export interface ShearFigures extends SpringFigures {
  /** On the carrier's nose, N: what an unload tool takes over. */
  noseLoad: number;
  /** Carrier's plate above the frame's, mm. */
  offset: number;
  /** The same with nothing on the block. */
  freeOffset: number;
  /** Rubber moved from where it is free, mm, and as a share of its thickness. */
  sheared: number;
  strain: number;
  /** Wheel may rise further until the rubber is sheared as far as it may be, mm. */
  toLimit: number;
  /** What of the give at the wheel is the rubber's, 0–1. */
  ofRubber: number;
  /** Of the leaf at the axle, MPa. */
  leafStress: number;
  /** Nose above where it stands today, mm. */
  noseRise: number;
  /** Leaf bent up at the axle against today, mm. */
  bent: number;
  /** Leaf's slope, nose higher, against today, rad. */
  tilt: number;
  /** Of the block, mm and N/mm. */
  thick: number;
  blockRate: number;
  arms: CarrierArms;
}

/** What the rubber's limit is told to, as a share of it. Chosen. */
const LIMIT_SHARE = 0.1;

interface Build {
  rate: number;
  thick: number;
  /** Carrier's plate above the frame's with nothing on it, mm. */
  free: number;
  used: boolean;
}

/** One side of an axle on rubber shear springs: a leaf between a fixed eye and a carrier's nose that stands on a block in shear. */
export class ShearSideModel implements SideModel<DrawnChange, ShearFigures> {
  private readonly now: Build | undefined;
  private readonly baseLoad: number;
  private readonly offsetToday: number;
  private readonly leafRate: number;

  /** @throws CoreError `bad-input` for sizes that are no spring */
  constructor(
    private readonly input: DrawnInput,
    side: Side,
  ) {
    const { block, leaf, arms } = input;
    const known = input.sides[side].spring;
    this.baseLoad = known?.load ?? 0;
    this.offsetToday = known?.offset ?? 0;
    this.leafRate = 0;
    if (!known || !block || !leaf || !arms) return;
    this.leafRate = leafRateOf(leaf, arms);
    requireNumber('block.rate', block.rate, 1, 1e5);
    this.now = {
      ...{ rate: block.rate, thick: block.thick, used: true },
      free: known.offset - (this.baseLoad * noseShare(arms)) / block.rate,
    };
  }

  get hasSpring(): boolean {
    return this.now !== undefined;
  }

  private built(changes: readonly DrawnChange[]): Build | undefined {
    const other = changes.findLast((c) => c.kind === 'shearBlock');
    if (!other || !this.now) return this.now;
    return { rate: other.block.rate, thick: other.block.thick, free: other.offset, used: other.used };
  }

  private stands(changes: readonly DrawnChange[], extraLoad: number) {
    const build = this.built(changes);
    const { arms } = this.input;
    if (!build || !arms) return null;
    const load = this.baseLoad + extraLoad;
    const share = noseShare(arms);
    const noseLoad = load * share;
    const offset = build.free + noseLoad / build.rate;
    const lower = changes.findLast((c) => c.kind === 'blockHoles')?.by ?? 0;
    const noseRise = offset - this.offsetToday - lower;
    const bent = (load - this.baseLoad) / this.leafRate;
    return { build, arms, load, share, noseLoad, offset, noseRise, bent, rise: -(noseRise * share + bent) };
  }

  rise(changes: readonly DrawnChange[], extraLoad: number): number {
    return this.stands(changes, extraLoad)?.rise ?? 0;
  }

  frictionHeight(changes: readonly DrawnChange[], extraLoad: number): number {
    const at = this.stands(changes, extraLoad);
    if (!at) return 0;
    return (this.input.hysteresis * Math.max(0, at.load)) / axleRate(at.arms, at.build.rate, this.leafRate);
  }

  /** Where the rubber is sheared as far as it may be. */
  ends(changes: readonly DrawnChange[]): SpringEnd[] {
    const at = this.figures(changes, 0);
    if (!at) return [];
    const half90 = (LIMIT_SHARE * SHEAR_LIMIT.most * at.thick * at.blockRate) / noseShare(at.arms) / at.rate;
    return [{ id: 'shearTravel', rise: this.rise(changes, 0) - at.toLimit, half90 }];
  }

  figures(changes: readonly DrawnChange[], extraLoad: number): ShearFigures | null {
    const at = this.stands(changes, extraLoad);
    const { leaf } = this.input;
    if (!at || !leaf) return null;
    const { build, arms, load, share, noseLoad, offset, noseRise, bent } = at;
    const rate = axleRate(arms, build.rate, this.leafRate);
    const sheared = offset - build.free;
    const inertia = leaf.leaves * leafInertia(leaf.width, leaf.thickness);
    return {
      ...{ load, rate, noseLoad, offset, sheared, noseRise, bent, arms, thick: build.thick, blockRate: build.rate },
      freeOffset: build.free,
      frequency: null,
      frictionHeight: (this.input.hysteresis * Math.max(0, load)) / rate,
      strain: sheared / build.thick,
      // All that more load does to the nose reaches the wheel by the rate of the whole.
      toLimit: ((SHEAR_LIMIT.most * build.thick - sheared) * build.rate) / share / rate,
      ofRubber: (share ** 2 * rate) / build.rate,
      leafStress: (bendingAtAxle(arms, load) * leaf.thickness) / 2 / inertia,
      tilt: noseRise / (arms.fixed + arms.nose),
    };
  }
}

/**
 * Rate of the leaf at the axle, both ends held and free to turn, N/mm: k = 2 E ΣI·SF·(a+b)/(a²b²) with SF = (2 n_g + 3 n_f)/2n (SAE HS-788
 * leaf spring manual, from memory); exact for leaves that all reach from end to end.
 */
function leafRateOf(
  { leaves, full, width, thickness, rateFactor }: NonNullable<DrawnInput['leaf']>,
  arms: CarrierArms,
): number {
  const { fixed: a, nose: b } = arms;
  const inertia = leaves * leafInertia(width, thickness);
  const shape = (2 * (leaves - full) + 3 * full) / (2 * leaves);
  return requireNumber(
    'leaf.rate',
    (rateFactor * 2 * SPRING_STEEL_E * inertia * shape * (a + b)) / (a ** 2 * b ** 2),
    0.1,
    1e6,
  );
}
