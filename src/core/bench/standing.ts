import { SIDES } from '../vehicle/side';
import { type LeafAxleInput } from '../suspension/longitudinalLeaf/input';
import { LeafSideModel } from '../suspension/longitudinalLeaf/sideModel';
import { central } from '../prediction/lines';
import { taught } from '../suspension/longitudinalLeaf/springFit';
import { drawLeafAxle, isTurned } from '../suspension/longitudinalLeaf/turned';
import { camberFromCurvature } from '../mechanics/leafpack/arc';
import { type EyeForm } from '../mechanics/leafpack/eyes';
import { flipped, type BenchLeaf, type BenchPack } from './benchPack';

/** What a job's sheet says of its pack besides what the spring is solved from. */
export interface StandingPack {
  name: string;
  eyeForm: EyeForm | null;
  eyeBore: number | null;
  centreBolt: number | null;
}

/** Chord of a circular leaf of this length, mm. */
const chordOf = (arc: number, curvature: number): number =>
  Math.abs(curvature) < 1e-9 ? arc : (2 / curvature) * Math.sin((curvature * arc) / 2);

/**
 * A vehicle's own pack as it would lie on the bench: its measured leaves with the free curves that calibration found, since nobody
 * can measure them with the pack in place. Null while no spring is known. @throws CoreError when its readings contradict one another
 */
export function standingPack(input: LeafAxleInput, known: StandingPack): BenchPack | null {
  const side = SIDES.find((s) => input.sides[s].spring);
  if (!side) return null;
  const drawn = drawLeafAxle(taught(input, side).input, central);
  const { solver } = new LeafSideModel(drawn, side).state([], 0).spring!;
  const { pack } = solver;
  return {
    name: known.name,
    leaves: pack.leaves.map((leaf, k): BenchLeaf => {
      const arc = leaf.front + leaf.rear;
      const solved: BenchLeaf = {
        id: `own|${k}`,
        front: leaf.front,
        rear: leaf.rear,
        width: leaf.width,
        thickness: leaf.thickness,
        camber: Number(camberFromCurvature(leaf.curvature, chordOf(arc, leaf.curvature)).toFixed(1)),
        eyes: k === 0 ? 'both' : 'none',
        ends: 'square',
        clip: false,
        hole: known.centreBolt,
        from: known.name,
        used: true,
        toMake: false,
        broken: leaf.broken ?? null,
      };
      return isTurned(drawn) ? flipped(solved) : solved;
    }),
    freeArch: null,
    eyeForm: known.eyeForm,
    eyeBore: known.eyeBore,
    boltFront: null,
    boltRear: null,
    centreBolt: known.centreBolt,
    rate: null,
    rating: null,
  };
}
