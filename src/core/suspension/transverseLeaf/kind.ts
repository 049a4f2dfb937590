import { draw } from '../../estimate/tree';
import { type SuspensionKind } from '../kind';
import { assembleCross, type CrossAxleSheet } from './assemble';
import { askedOf, crossChecks, type CrossCheck, type CrossStanding } from './checks';
import { type CrossAxleInput } from './input';
import { CROSS_GROUPS, CROSS_POINTS, CROSS_WORDS } from './points';
import { crossProcedure } from './procedure';
import { CrossSideModel, type CrossFigures, type DrawnChange, type DrawnInput } from './sideModel';
import { standingOf } from './standing';
import { taughtCross } from './taught';
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

const LABELS: Record<DrawnChange['kind'], string> = {
  crossSpring: 'another spring',
  spindles: 'spindles',
  dropAxle: 'drop axle',
};

/** One leaf spring across, clamped to the frame in its middle, a wheel at each end. */
export const TRANSVERSE_LEAF: SuspensionKind<CrossTypes> = {
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
  draw,
  changes: ({ changes }) => changes,
  taught: (input, side) => ({ ...taughtCross(input, side), fit: null }),
  bySizeAlone: (change) => change.kind !== 'crossSpring',
  solvable: (input, side) => input.spring !== null && input.sides[side].spring !== null,
  model: (drawn, side, care) => new CrossSideModel(drawn, side, care),
  lines: (drawn, model) => {
    const base = model.rise([], 0);
    return drawn.changes.map((change) => ({
      kind: change.kind,
      label: LABELS[change.kind],
      value: model.rise([change], 0) - base,
    }));
  },
  settling: ({ changes }) => (changes.some((c) => c.kind === 'crossSpring' && !c.used) ? 'newPack' : 'usedPack'),
  signed: /drop$|slope$|\.free$|\.by$|\.left$|\.right$|lower$|extra$/,
  unseen: () => [],
  rubbing: (input, drawn) => drawn.friction / input.friction.value,
  beside: () => ({}),
  fasteners: () => ({}),
  procedure: crossProcedure,
  work: ({ changes }) => ({
    located: false,
    arrangement: null,
    own: (standing) => crossChecks(askedOf(draw(changes, (e) => e.value)), standing ?? []),
  }),
  standing: (states) => states.flatMap(({ old, built }) => (built ? [standingOf(old, built)] : [])),
};
