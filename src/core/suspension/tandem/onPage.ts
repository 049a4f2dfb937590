import { type JointId } from '../../fastener/joints';
import { type RuleId } from '../../inspection/rules';
import { tandemProcedure } from './procedure';
import { type PageKind } from '../kind';
import { assembleTandem, type TandemAxleSheet } from './assemble';
import { askedOf, pairChecks, type PairStanding, type TandemCheck } from './checks';
import { type TandemAxleInput, type TandemKind } from './input';
import { ROCKER_GROUPS, SLIPPER_GROUPS, TANDEM_POINTS, TANDEM_WORDS } from './points';
import { type DrawnChange, type DrawnInput, type TandemFigures, type TandemSideModel } from './sideModel';
import { tandemLabel } from './words';

/** What a change is called in the ledger of a pair of axles. */
export const TANDEM_LINES = ['springs', 'pairShackle', 'rocker', 'slipper', 'riser', 'pairOver', 'hitch'] as const;
export type TandemLine = (typeof TANDEM_LINES)[number];

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

/** Changes whose height follows from sizes alone. */
const BY_SIZE: ReadonlySet<string> = new Set<DrawnChange['kind']>(['riser', 'overAxle', 'hitch']);

const JOINTS: readonly JointId[] = ['pairUBolts', 'pairCentreBolt', 'pairHangerEye'];
const RULES: readonly RuleId[] = ['leafBroken', 'sag', 'pitting', 'clips', 'order', 'centreBolt', 'uBolts', 'hanger'];

const made = <K extends TandemKind>(
  id: K,
  own: Pick<PageKind<TandemTypes<K>>, 'name' | 'groups' | 'rules' | 'joints'>,
): PageKind<TandemTypes<K>> => ({
  ...own,
  id,
  arranged: true,
  points: TANDEM_POINTS,
  calls: TANDEM_WORDS,
  label: tandemLabel,
  assemble: assembleTandem,
  bySizeAlone: ({ kind }) => BY_SIZE.has(kind),
  solvable: (input, side) => input.spring !== null && input.sides[side].spring !== null,
  settling: ({ changes }) => (changes.some((c) => c.kind === 'springs' && !c.used) ? 'newSprings' : 'usedSprings'),
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
export const EQUALIZER_ON_PAGE = made('tandemEqualizer', {
  name: 'two axles on a rocker',
  groups: ROCKER_GROUPS,
  rules: [...RULES, 'rocker', 'shackle', 'pivotBolt', 'bush', 'square'],
  joints: [...JOINTS, 'rockerPivot', 'rockerShackle', 'wheelNuts'],
});

/** Two axles, each sprung for itself on slippers. */
export const SLIPPER_ON_PAGE = made('tandemSlipper', {
  name: 'two axles on slippers',
  groups: SLIPPER_GROUPS,
  rules: [...RULES, 'slipper', 'pivotBolt', 'bush', 'shock', 'square'],
  joints: [...JOINTS, 'shockLower', 'shockUpper', 'wheelNuts'],
});
