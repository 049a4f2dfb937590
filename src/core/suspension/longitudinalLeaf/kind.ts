import { COARSE } from '../../mechanics/leafpack/half';
import { EXACT, type Fineness } from '../../mechanics/leafpack/solve';
import { centreBoltLength } from '../../fastener/centreBolt';
import { uboltAfter, type UboltVerdict } from '../../fastener/ubolt';
import { type Prediction, type SidePrediction, type StatePrediction } from '../../prediction/central';
import { type Care, type SuspensionKind } from '../kind';
import { assemble } from './assemble';
import { besideModel, type LeafBeside } from './beside';
import { builtDepth, clampGrowth } from './built';
import { type LeafFigures } from './figures';
import { leafNoseUp, leafStanding, leafWork, type LeafCheck, type LeafStanding } from './checks';
import { type DrawnChange, type DrawnInput, type LeafAxleInput } from './input';
import { leafLines, type LeafLine } from './lines';
import { LEAF_GROUPS, LEAF_POINTS } from './points';
import { leafProcedure } from './procedure';
import { settlingOf } from './settling';
import { type Sheet } from './sheet';
import { LeafSideModel } from './sideModel';
import { taught, type SpringFit } from './springFit';
import { drawLeafAxle } from './turned';
import { unseenOf } from './unseen';
import { inputLabel } from './words';

/** What a prediction says of the bolts that hold a leaf spring. */
export interface LeafFasteners {
  ubolt: UboltVerdict | 'new set' | null;
  centreBolt: { least: number; most: number; origin: 'measured' | 'assumed' } | null;
}

export interface LeafTypes {
  sheet: Sheet;
  input: LeafAxleInput;
  drawn: DrawnInput;
  change: DrawnChange;
  figures: LeafFigures;
  model: LeafSideModel;
  fit: SpringFit;
  beside: LeafBeside;
  fasteners: LeafFasteners;
  line: LeafLine;
  check: LeafCheck;
  standing: LeafStanding;
}
export type LeafPrediction = Prediction<LeafTypes>;
export type LeafSide = SidePrediction<LeafTypes>;
export type LeafState = StatePrediction<LeafTypes>;

/** Mesh and how far a contact set is settled, by what is asked of the model. */
const FINENESS: Record<Care, Fineness> = {
  exact: EXACT,
  difference: { settled: 1e-4, divisions: COARSE },
  sample: { settled: 1e-3, divisions: COARSE },
};

/** Leaf springs along the frame, held by a fixed eye in front and behind by a shackle or free under a pad. */
export const LONGITUDINAL_LEAF: SuspensionKind<LeafTypes> = {
  id: 'longitudinalLeaf',
  name: 'leaf springs along the frame',
  arranged: true,
  groups: LEAF_GROUPS,
  points: LEAF_POINTS,
  rules: [
    ...([
      'leafBroken',
      'sag',
      'pitting',
      'gap',
      'tips',
      'clips',
      'order',
      'witness',
      'centreBolt',
      'uBolts',
      'uBoltEven',
    ] as const),
    ...(['hanger', 'shackle', 'pivotBolt', 'bush', 'bumpStop', 'shock', 'swayBar', 'square'] as const),
  ],
  joints: [
    ...([
      'uBolts',
      'centreBolt',
      'frontEye',
      'shackleFrame',
      'shackleEye',
      'shockLower',
      'shockUpper',
      'wheelNuts',
    ] as const),
  ],
  // Under a pad there is no shackle.
  absent: ({ rearEnd }) =>
    rearEnd === 'pad' ? { rules: ['shackle'], joints: ['shackleFrame', 'shackleEye'] } : { rules: [], joints: [] },
  label: inputLabel,
  assemble,
  draw: drawLeafAxle,
  changes: ({ changes }) => changes,
  taught,
  bySizeAlone: ({ kind }) => kind === 'block' || kind === 'wedge',
  solvable: (input, side) => input.pack !== null && input.sides[side].spring !== null,
  model: (drawn, side, care, spent) => new LeafSideModel(drawn, side, FINENESS[care], spent),
  lines: leafLines,
  settling: settlingOf,
  signed: /(archTop|freeArch|camber|departure|eyeOffset|offset|slope|gap)$/,
  unseen: unseenOf,
  rubbing: (input, drawn) => {
    const usual = input.pack?.friction.value ?? 0;
    return usual > 0 ? (drawn.pack?.friction ?? usual) / usual : 1;
  },
  beside: besideModel,
  fasteners: (input, drawn) => {
    const growth = clampGrowth(drawn);
    const { nutHeight, pitch, origin } = input.centreBolt;
    return {
      ubolt: growth === undefined ? 'new set' : input.ubolt ? uboltAfter(input.ubolt, growth) : null,
      centreBolt: drawn.pack
        ? { ...centreBoltLength(builtDepth(drawn, drawn.changes), nutHeight, pitch), origin }
        : null,
    };
  },
  work: leafWork,
  procedure: leafProcedure,
  standing: (states, { ubolt }) => leafStanding(states, ubolt),
  noseUp: leafNoseUp,
};
