import { draw } from '../../estimate/tree';
import { type PageKind } from '../kind';
import { assembleCross, type CrossAxleSheet } from './assemble';
import { askedOf, crossChecks, type CrossCheck, type CrossStanding } from './checks';
import { type CrossAxleInput } from './input';
import { CROSS_GROUPS, CROSS_POINTS, CROSS_WORDS } from './points';
import { crossProcedure } from './procedure';
import { type CrossFigures, type CrossSideModel, type DrawnChange, type DrawnInput } from './sideModel';
import { standingOf } from './standing';
import { crossLabel } from './words';

/** What a change is called in the ledger of a spring across. */
export const CROSS_LINES = ['crossSpring', 'spindles', 'dropAxle'] as const;

export interface CrossTypes {
  sheet: CrossAxleSheet;
  input: CrossAxleInput;
  drawn: DrawnInput;
  change: DrawnChange;
  figures: CrossFigures;
  model: CrossSideModel;
  fit: object;
  beside: object;
  fasteners: object;
  line: (typeof CROSS_LINES)[number];
  check: CrossCheck;
  standing: readonly CrossStanding[];
}

/** One leaf spring across, clamped to the frame in its middle, a wheel at each end. */
export const CROSS_ON_PAGE: PageKind<CrossTypes> = {
  id: 'transverseLeaf',
  name: 'one leaf spring across',
  arranged: false,
  groups: CROSS_GROUPS,
  points: CROSS_POINTS,
  calls: CROSS_WORDS,
  rules: [
    ...(['leafBroken', 'sag', 'pitting', 'order', 'centreBolt', 'crossClamp', 'crossEye', 'bush'] as const),
    ...(['kingpin', 'tieRod', 'shock', 'square'] as const),
  ],
  joints: ['crossClamp', 'crossCentre', 'crossEye', 'kingpin', 'tieRodEnd', 'shockLower', 'shockUpper', 'wheelNuts'],
  label: crossLabel,
  assemble: assembleCross,
  bySizeAlone: (change) => change.kind !== 'crossSpring',
  solvable: (input, side) => input.spring !== null && input.sides[side].spring !== null,
  settling: ({ changes }) => (changes.some((c) => c.kind === 'crossSpring' && !c.used) ? 'newPack' : 'usedPack'),
  procedure: crossProcedure,
  work: ({ changes }) => ({
    located: false,
    arrangement: null,
    own: (standing) => crossChecks(askedOf(draw(changes, (e) => e.value)), standing ?? []),
  }),
  standing: (states) => states.flatMap(({ old, built }) => (built ? [standingOf(old, built)] : [])),
};
