import { draw } from '../../estimate/tree';
import { type SuspensionKind } from '../kind';
import { SHEAR_ON_PAGE, type ShearTypes } from './onPage';
import { ShearSideModel, type DrawnChange } from './sideModel';
import { taughtShear } from './taught';

const LABELS: Record<DrawnChange['kind'], string> = {
  shearBlock: 'other shear blocks',
  blockHoles: 'carrier in another row',
};

/** Leaves from a fixed eye to a carrier that stands on a rubber block in shear. */
export const RUBBER_SHEAR: SuspensionKind<ShearTypes> = {
  ...SHEAR_ON_PAGE,
  draw,
  changes: ({ changes }) => changes,
  taught: (input, side) => ({ ...taughtShear(input, side), fit: null }),
  model: (drawn, side) => new ShearSideModel(drawn, side),
  lines: (drawn, model) => {
    const base = model.rise([], 0);
    return drawn.changes.map((change) => ({
      kind: change.kind,
      label: LABELS[change.kind],
      value: model.rise([change], 0) - base,
    }));
  },
  signed: /offset$|\.by$|lower$|extra$/,
  unseen: () => [],
  rubbing: (input, drawn) => drawn.hysteresis / input.hysteresis.value,
  beside: () => ({}),
  fasteners: () => ({}),
};
