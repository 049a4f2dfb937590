import { draw } from '../../estimate/tree';
import { type SuspensionKind } from '../kind';
import { CROSS_ON_PAGE, type CrossTypes } from './onPage';
import { CrossSideModel, type DrawnChange } from './sideModel';
import { taughtCross } from './taught';

const LABELS: Record<DrawnChange['kind'], string> = {
  crossSpring: 'another spring',
  spindles: 'spindles',
  dropAxle: 'drop axle',
};

/** One leaf spring across, clamped to the frame in its middle, a wheel at each end. */
export const TRANSVERSE_LEAF: SuspensionKind<CrossTypes> = {
  ...CROSS_ON_PAGE,
  draw,
  changes: ({ changes }) => changes,
  taught: (input, side) => ({ ...taughtCross(input, side), fit: null }),
  model: (drawn, side, care) => new CrossSideModel(drawn, side, care),
  lines: (drawn, model) => {
    const base = model.rise([], 0);
    return drawn.changes.map((change) => ({
      kind: change.kind,
      label: LABELS[change.kind],
      value: model.rise([change], 0) - base,
    }));
  },
  signed: /drop$|slope$|\.free$|\.by$|\.left$|\.right$|lower$|extra$/,
  unseen: () => [],
  rubbing: (input, drawn) => drawn.friction / input.friction.value,
  beside: () => ({}),
  fasteners: () => ({}),
};
