import { draw } from '../../estimate/tree';
import { type PageKind, type SuspensionKind } from '../kind';
import { taughtCoil } from './taught';
import { type CoilKind } from './input';
import {
  COIL_BEAM_ON_PAGE,
  COIL_OVER_ON_PAGE,
  TORSION_BEAM_ON_PAGE,
  TWIN_BEAM_ON_PAGE,
  type CoilTypes,
} from './onPage';
import { CoilSideModel, otherEnds, USUAL_ENDS, type DrawnChange } from './sideModel';

const LABELS: Record<DrawnChange['kind'], string> = {
  coil: 'other coils',
  spacer: 'seat spacers',
  perch: 'lower seats moved',
  pivotBush: 'pivot bushes renewed',
};

const made = <K extends CoilKind>(onPage: PageKind<CoilTypes<K>>): SuspensionKind<CoilTypes<K>> => ({
  ...onPage,
  draw,
  changes: ({ changes }) => changes,
  taught: (input, side) => ({ ...taughtCoil(input, side), fit: null }),
  model: (drawn, side) => new CoilSideModel(drawn, side),
  lines: (drawn, model) => {
    const base = model.rise([], 0);
    return drawn.changes.map((change) => ({
      kind: change.kind,
      label: LABELS[change.kind],
      value: model.rise([change], 0) - base,
    }));
  },
  signed: /\.left$|\.right$|rise$/,
  // Ends that nobody looked at: each form as likely as any other (chosen).
  unseen: ({ coil }) =>
    coil?.ends === 'unknown'
      ? [
          {
            path: 'coil.ends',
            may: [USUAL_ENDS, ...otherEnds('unknown')].map((ends, _, all) => ({
              chance: 1 / all.length,
              settle: (drawn) => (drawn.coil ? { ...drawn, coil: { ...drawn.coil, ends } } : drawn),
            })),
          },
        ]
      : [],
  rubbing: () => 1,
  beside: () => ({}),
  fasteners: () => ({}),
});

/** Coils on a beam axle, upright, leaning or inboard on an arm. */
export const COIL_BEAM = made(COIL_BEAM_ON_PAGE);
/** Two beams across, each swinging about a pivot beyond the middle. */
export const TWIN_BEAM = made(TWIN_BEAM_ON_PAGE);
/** One beam that trails two arms and twists between them. */
export const TORSION_BEAM = made(TORSION_BEAM_ON_PAGE);
/** Coil and damper in one, in front. */
export const COIL_OVER = made(COIL_OVER_ON_PAGE);
