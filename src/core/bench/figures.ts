import { CoreError } from '../errors';
import { benchView, type SpringView } from '../suspension/longitudinalLeaf/underLoad';
import { chordUnderCamber, curvatureFromCamber } from '../mechanics/leafpack/arc';
import { nestedCurvatures, reachOf, withinMain, type Clip, type Leaf, type Pack } from '../mechanics/leafpack/pack';
import { PackSolver, rateOnRollers, type PackShape } from '../mechanics/leafpack/solve';
import { SPRING_STEEL_E } from '../material/steel';
import { ASSUMED } from '../suspension/longitudinalLeaf/assumed';
import { curvatureOfArch, eyeOffset } from '../mechanics/leafpack/eyes';
import { type BenchPack } from './benchPack';

/** Width that stands in where nobody measured one, mm; assumed, and said so. */
export const USUAL_WIDTH = 60;
/** Play of a rebound clip, mm; assumed. */
const CLIP_PLAY = 3;
/** Where a clip sits, as a share of the held leaf's half length; assumed. */
const CLIP_AT = 0.8;

/** A bench pack as the solver takes it, and what had to be assumed. */
export interface Solvable {
  pack: Pack;
  assumed: ('width' | 'camber' | 'eyes')[];
}

/** Height of an eye's centre over the main leaf's mid-surface at its end, mm. */
export function eyeOffsetOf(pack: Pick<BenchPack, 'eyeForm' | 'eyeBore' | 'leaves'>): number {
  return eyeOffset(pack.eyeForm ?? 'berlin', pack.eyeBore ?? ASSUMED.eyeBore.value, pack.leaves[0]?.thickness ?? 0);
}

/**
 * The free curve of each leaf: its own camber; else nested with the main leaf, whose curve then follows from the pack's free arch.
 * @throws CoreError `bad-input` when neither is known of the main leaf
 */
function curvatures(pack: BenchPack, offset: number): { of: number[]; assumed: boolean } {
  const [main] = pack.leaves;
  if (!main) throw new CoreError('bad-input', 'leaves', 'a pack needs at least one leaf');
  const own = pack.leaves.map((leaf) =>
    leaf.camber === null
      ? null
      : curvatureFromCamber(leaf.camber, chordUnderCamber(leaf.front + leaf.rear, leaf.camber)),
  );
  const byArch =
    pack.freeArch === null ? null : curvatureOfArch(pack.freeArch + main.thickness / 2, main.front + main.rear, offset);
  const first = own[0] ?? byArch;
  if (first === null || first === undefined)
    throw new CoreError('bad-input', 'camber', 'neither the main leaf’s free camber nor the pack’s free arch is known');
  const nested = nestedCurvatures(
    first,
    pack.leaves.map((l) => l.thickness),
  );
  return { of: own.map((k, i) => k ?? nested[i]!), assumed: own.some((k) => k === null) };
}

/**
 * A bench pack held by its centre bolt only, for the solver.
 * @throws CoreError `bad-input` naming the leaf when it cannot be solved as it lies
 */
export function solvable(pack: BenchPack): Solvable {
  const offset = eyeOffsetOf(pack);
  const assumed: Solvable['assumed'] = [];
  const curves = curvatures(pack, offset);
  if (curves.assumed) assumed.push('camber');
  if (pack.leaves.some((leaf) => leaf.width === null)) assumed.push('width');
  if (pack.eyeForm === null || (pack.eyeBore === null && pack.eyeForm !== 'berlin')) assumed.push('eyes');
  const main = pack.leaves[0]!;
  const leaves = pack.leaves.map((leaf, i): Leaf => {
    const { front, rear } = withinMain(leaf, main);
    return {
      front,
      rear,
      width: leaf.width ?? main.width ?? USUAL_WIDTH,
      thickness: leaf.thickness,
      curvature: curves.of[i]!,
      ...(leaf.broken && { broken: leaf.broken }),
    };
  });
  const clips = leaves.flatMap((leaf, i): Clip[] =>
    pack.leaves[i]!.clip && i > 0
      ? (['front', 'rear'] as const)
          .map((end) => ({ end, at: CLIP_AT * leaf[end], holds: i, slack: CLIP_PLAY }))
          // A clip beyond a break holds nothing.
          .filter(({ end, at }) => at <= reachOf(leaf, end))
      : [],
  );
  return {
    pack: {
      leaves,
      clamp: { kind: 'bolt' },
      youngs: SPRING_STEEL_E,
      eyeOffset: { front: offset, rear: offset },
      friction: 0.3,
      ...(clips.length > 0 && { clips }),
    },
    assumed,
  };
}

/** An open place between two leaves that lie on one another, mm. */
export interface OpenGap {
  /** The lower leaf, 0 = main. */
  leaf: number;
  gap: number;
}

export interface BenchFigures {
  view: SpringView;
  /** Arch without load, eye line to the main leaf's mid-surface, mm. */
  freeArch: number;
  /** N/mm at the asked load. */
  rate: number;
  /** Widest open place under each leaf above, without load; only those that can be seen. */
  gaps: OpenGap[];
  /** Arch over load, from nothing to `most`. */
  curve: { load: number; arch: number; rate: number }[];
  assumed: Solvable['assumed'];
}

/** A gap narrower than this cannot be seen, mm; chosen. */
const VISIBLE = 0.3;
const POINTS = 13;

/** A pack on the bench, kept warm to be asked for any load. */
export class BenchSpring {
  private readonly solver: PackSolver;
  private readonly assumed: Solvable['assumed'];
  private readonly free: PackShape;
  private last: PackShape;

  /** @throws CoreError when the pack cannot be solved as it lies */
  constructor(pack: BenchPack) {
    const made = solvable(pack);
    this.assumed = made.assumed;
    this.solver = new PackSolver(made.pack);
    this.free = this.solver.onRollers(0);
    this.last = this.free;
  }

  /** @param load N on the seat, 0 to 1e6 @param most end of the curve, N; 0 leaves it out */
  at(load: number, most: number): BenchFigures {
    this.last = this.solver.onRollers(load, this.last);
    const view = benchView(this.solver, load, this.last);
    return {
      view,
      freeArch: this.free.arch,
      rate: view.rate,
      gaps: openGaps(this.solver, this.free),
      curve: most > 0 ? this.curve(most) : [],
      assumed: this.assumed,
    };
  }

  private curve(most: number): BenchFigures['curve'] {
    let shape = this.free;
    return Array.from({ length: POINTS }, (_, k) => (most * k) / (POINTS - 1)).flatMap((load) => {
      try {
        shape = this.solver.onRollers(load, shape);
        return [{ load, arch: shape.arch, rate: rateOnRollers(this.solver, load, shape) }];
      } catch (error) {
        if (error instanceof CoreError) return [];
        throw error;
      }
    });
  }
}

/** Widest open place between each leaf and the one above it, measured square to the upper leaf, mm. */
export function openGaps(solver: PackSolver, shape: PackShape): OpenGap[] {
  const { leaves } = solver.pack;
  const curves = leaves.map((_, i) => solver.leafCurves(i, shape));
  const depth: number[] = [];
  leaves.forEach((leaf, i) => {
    const above = leaves[i - 1];
    depth.push(
      above ? depth[i - 1]! + (above.thickness + leaf.thickness) / 2 + (leaf.liner ?? 0) + (leaf.spacer ?? 0) : 0,
    );
  });
  return leaves.flatMap((leaf, i): OpenGap[] => {
    const above = leaves[i - 1];
    if (!above) return [];
    let widest = 0;
    for (const end of ['front', 'rear'] as const) {
      const lower = curves[i]![end];
      const upper = curves[i - 1]![end];
      for (let k = 0; k < lower.x.length; k++) {
        const x = lower.x[k]!;
        const y = lower.y[k]! - depth[i]!;
        const distance = nearest(x, y, upper.x, upper.y, depth[i - 1]!);
        widest = Math.max(widest, distance - (above.thickness + leaf.thickness) / 2 - (leaf.liner ?? 0));
      }
    }
    return widest > VISIBLE ? [{ leaf: i, gap: widest }] : [];
  });
}

/** Distance from a point to a polyline set down by `down`, mm. */
function nearest(x: number, y: number, xs: ArrayLike<number>, ys: ArrayLike<number>, down: number): number {
  let best = Infinity;
  for (let k = 1; k < xs.length; k++) {
    const [ax, ay] = [xs[k - 1]!, ys[k - 1]! - down];
    const [dx, dy] = [xs[k]! - ax, ys[k]! - down - ay];
    const share = Math.max(0, Math.min(1, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy || 1)));
    best = Math.min(best, Math.hypot(x - ax - share * dx, y - ay - share * dy));
  }
  return best;
}
