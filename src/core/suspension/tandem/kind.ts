import { draw } from '../../estimate/tree';
import { type PageKind, type SuspensionKind } from '../kind';
import { type TandemKind } from './input';
import { EQUALIZER_ON_PAGE, SLIPPER_ON_PAGE, type TandemLine, type TandemTypes } from './onPage';
import { TandemSideModel, type DrawnChange } from './sideModel';
import { taughtPair } from './taught';

const LINES: Record<DrawnChange['kind'], { kind: TandemLine; label: string }> = {
  springs: { kind: 'springs', label: 'other springs' },
  shackle: { kind: 'pairShackle', label: 'shackles' },
  rocker: { kind: 'rocker', label: 'other rocker' },
  slipper: { kind: 'slipper', label: 'slippers' },
  riser: { kind: 'riser', label: 'risers at the hangers' },
  overAxle: { kind: 'pairOver', label: 'springs over the axles' },
  hitch: { kind: 'hitch', label: 'coupling higher or lower' },
};

const made = <K extends TandemKind>(onPage: PageKind<TandemTypes<K>>): SuspensionKind<TandemTypes<K>> => ({
  ...onPage,
  draw,
  changes: ({ changes }) => changes,
  taught: (input, side) => ({ ...taughtPair(input, side), fit: null }),
  model: (drawn, side) => new TandemSideModel(drawn, side),
  lines: (drawn, model) => {
    const base = model.rise([], 0);
    return drawn.changes.map((change) => ({ ...LINES[change.kind], value: model.rise([change], 0) - base }));
  },
  signed: /^pitch$|tilt$|below$|lean\.|drop\.|arch\.|\.free$|\.by$|lower$/,
  unseen: () => [],
  rubbing: (input, drawn) => drawn.friction / input.friction.value,
  beside: () => ({}),
  fasteners: () => ({}),
});

/** Two axles whose springs share by a rocker. */
export const TANDEM_EQUALIZER = made(EQUALIZER_ON_PAGE);
/** Two axles, each sprung for itself on slippers. */
export const TANDEM_SLIPPER = made(SLIPPER_ON_PAGE);
