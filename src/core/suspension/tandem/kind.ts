import { draw } from '../../estimate/tree';
import { type JointId } from '../../fastener/joints';
import { type RuleId } from '../../inspection/rules';
import { tandemProcedure } from './procedure';
import { type SuspensionKind } from '../kind';
import { assembleTandem, type TandemAxleSheet } from './assemble';
import { askedOf, pairChecks, type PairStanding, type TandemCheck } from './checks';
import { type TandemAxleInput, type TandemKind } from './input';
import { ROCKER_GROUPS, SLIPPER_GROUPS, TANDEM_POINTS, TANDEM_WORDS } from './points';
import { TandemSideModel, type DrawnChange, type DrawnInput, type TandemFigures } from './sideModel';
import { taughtPair } from './taught';
import { tandemLabel } from './words';

/** What a change is called in the ledger of a pair of axles. */
export const TANDEM_LINES = ['springs', 'pairShackle', 'rocker', 'slipper', 'riser', 'pairOver', 'hitch'] as const;
type TandemLine = (typeof TANDEM_LINES)[number];

export interface TandemTypes<K extends TandemKind = TandemKind> {
  sheet: TandemAxleSheet<K>;
  input: TandemAxleInput<K>;
  drawn: DrawnInput;
  change: DrawnChange;
  figures: TandemFigures;
  model: TandemSideModel;
  fit: object;
  beside: object;
  fasteners: object;
  line: TandemLine;
  check: TandemCheck;
  standing: readonly PairStanding[];
}

const LINES: Record<DrawnChange['kind'], { kind: TandemLine; label: string }> = {
  springs: { kind: 'springs', label: 'other springs' },
  shackle: { kind: 'pairShackle', label: 'shackles' },
  rocker: { kind: 'rocker', label: 'other rocker' },
  slipper: { kind: 'slipper', label: 'slippers' },
  riser: { kind: 'riser', label: 'risers at the hangers' },
  overAxle: { kind: 'pairOver', label: 'springs over the axles' },
  hitch: { kind: 'hitch', label: 'coupling higher or lower' },
};

/** Changes whose height follows from sizes alone. */
const BY_SIZE: ReadonlySet<string> = new Set<DrawnChange['kind']>(['riser', 'overAxle', 'hitch']);

const JOINTS: readonly JointId[] = ['pairUBolts', 'pairCentreBolt', 'pairHangerEye'];
const RULES: readonly RuleId[] = ['leafBroken', 'sag', 'pitting', 'clips', 'order', 'centreBolt', 'uBolts', 'hanger'];

const made = <K extends TandemKind>(
  id: K,
  own: Pick<SuspensionKind<TandemTypes<K>>, 'name' | 'groups' | 'rules' | 'joints'>,
): SuspensionKind<TandemTypes<K>> => ({
  ...own,
  id,
  arranged: true,
  points: TANDEM_POINTS,
  calls: TANDEM_WORDS,
  label: tandemLabel,
  assemble: assembleTandem,
  draw,
  changes: ({ changes }) => changes,
  taught: (input, side) => ({ ...taughtPair(input, side), fit: null }),
  bySizeAlone: ({ kind }) => BY_SIZE.has(kind),
  solvable: (input, side) => input.spring !== null && input.sides[side].spring !== null,
  model: (drawn, side) => new TandemSideModel(drawn, side),
  lines: (drawn, model) => {
    const base = model.rise([], 0);
    return drawn.changes.map((change) => ({ ...LINES[change.kind], value: model.rise([change], 0) - base }));
  },
  settling: ({ changes }) => (changes.some((c) => c.kind === 'springs' && !c.used) ? 'newSprings' : 'usedSprings'),
  signed: /^pitch$|tilt$|below$|lean\.|drop\.|arch\.|\.free$|\.by$|lower$/,
  unseen: () => [],
  rubbing: (input, drawn) => drawn.friction / input.friction.value,
  beside: () => ({}),
  fasteners: () => ({}),
  procedure: tandemProcedure,
  work: ({ changes, wheelLimit }) => ({
    located: changes.some((c) => c.kind === 'overAxle'),
    arrangement: null,
    own: (standing) => pairChecks(askedOf(id, changes, wheelLimit), standing ?? []),
  }),
  standing: (states) =>
    states.flatMap(({ built }) => {
      if (!built) return [];
      const { front, rear, swing, stop, atStop, step, slope } = built;
      return [{ front, rear, swing, stop, atStop, step, slope }];
    }),
});

/** Two axles whose springs share by a rocker. */
export const TANDEM_EQUALIZER = made('tandemEqualizer', {
  name: 'two axles on a rocker',
  groups: ROCKER_GROUPS,
  rules: [...RULES, 'rocker', 'shackle', 'pivotBolt', 'bush', 'square'],
  joints: [...JOINTS, 'rockerPivot', 'rockerShackle', 'wheelNuts'],
});

/** Two axles, each sprung for itself on slippers. */
export const TANDEM_SLIPPER = made('tandemSlipper', {
  name: 'two axles on slippers',
  groups: SLIPPER_GROUPS,
  rules: [...RULES, 'slipper', 'pivotBolt', 'bush', 'shock', 'square'],
  joints: [...JOINTS, 'shockLower', 'shockUpper', 'wheelNuts'],
});
