import { type UboltVerdict } from '../../fastener/ubolt';
import { type Prediction, type SidePrediction, type StatePrediction } from '../../prediction/central';
import { type PageKind } from '../kind';
import { assemble } from './assemble';
import { type LeafBeside } from './beside';
import { type LeafFigures } from './figures';
import { leafNoseUp, leafStanding, leafWork, type LeafCheck, type LeafStanding } from './checks';
import { type DrawnChange, type DrawnInput, type LeafAxleInput } from './input';
import { LEAF_GROUPS, LEAF_POINTS } from './points';
import { leafProcedure } from './procedure';
import { settlingOf } from './settling';
import { type Sheet } from './sheet';
import { type LeafLine } from './lines';
import { type LeafSideModel } from './sideModel';
import { type SpringFit } from './springFit';
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

/** Leaf springs along the frame, held by a fixed eye in front and behind by a shackle or free under a pad. */
export const LEAF_ON_PAGE: PageKind<LeafTypes> = {
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
  bySizeAlone: ({ kind }) => kind === 'block' || kind === 'wedge',
  solvable: (input, side) => input.pack !== null && input.sides[side].spring !== null,
  settling: settlingOf,
  work: leafWork,
  procedure: leafProcedure,
  standing: (states, { ubolt }) => leafStanding(states, ubolt),
  noseUp: leafNoseUp,
};
