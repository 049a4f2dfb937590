import { centreBoltLength } from '../../fastener/centreBolt';
import { uboltAfter } from '../../fastener/ubolt';
import { COARSE } from '../../mechanics/leafpack/half';
import { EXACT, type Fineness } from '../../mechanics/leafpack/solve';
import { type Care, type SuspensionKind } from '../kind';
import { besideModel } from './beside';
import { builtDepth, clampGrowth } from './built';
import { leafLines } from './lines';
import { LEAF_ON_PAGE, type LeafTypes } from './onPage';
import { LeafSideModel } from './sideModel';
import { taught } from './springFit';
import { drawLeafAxle } from './turned';
import { unseenOf } from './unseen';

/** Mesh and how far a contact set is settled, by what is asked of the model. */
const FINENESS: Record<Care, Fineness> = {
  exact: EXACT,
  difference: { settled: 1e-4, divisions: COARSE },
  sample: { settled: 1e-3, divisions: COARSE },
};

/** Leaf springs along the frame, held by a fixed eye in front and behind by a shackle or free under a pad. */
export const LONGITUDINAL_LEAF: SuspensionKind<LeafTypes> = {
  ...LEAF_ON_PAGE,
  draw: drawLeafAxle,
  changes: ({ changes }) => changes,
  taught,
  model: (drawn, side, care, spent) => new LeafSideModel(drawn, side, FINENESS[care], spent),
  lines: leafLines,
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
};
