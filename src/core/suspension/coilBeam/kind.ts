import { draw } from '../../estimate/tree';
import { coilProcedure } from './procedure';
import { type SuspensionKind } from '../kind';
import { assembleCoil, taughtCoil, type CoilAxleSheet } from './assemble';
import { coilChecks, type CoilCheck, type CoilStanding } from './checks';
import { type CoilAxleInput } from './input';
import { COIL_GROUPS, COIL_POINTS } from './points';
import { coilLabel } from './words';
import { CoilSideModel, otherEnds, USUAL_ENDS, type CoilFigures, type DrawnChange, type DrawnInput } from './sideModel';

/** What a change is called in the ledger of a coil. */
export const COIL_LINES = ['coil', 'spacer'] as const;

export interface CoilTypes {
  sheet: CoilAxleSheet;
  input: CoilAxleInput;
  drawn: DrawnInput;
  change: DrawnChange;
  figures: CoilFigures;
  model: CoilSideModel;
  fit: object;
  beside: object;
  fasteners: object;
  line: (typeof COIL_LINES)[number];
  check: CoilCheck;
  standing: readonly CoilStanding[];
}

/** Coils on a beam axle, upright, leaning or inboard on an arm. */
export const COIL_BEAM: SuspensionKind<CoilTypes> = {
  id: 'coilBeam',
  name: 'coils on a beam axle',
  arranged: false,
  groups: COIL_GROUPS,
  points: COIL_POINTS,
  rules: [
    ...([
      'coilBroken',
      'coilSag',
      'coilPitting',
      'coilClash',
      'coilSeat',
      'links',
      'bush',
      'bumpStop',
      'shock',
      'square',
    ] as const),
  ],
  joints: ['armFrame', 'armAxle', 'trackRod', 'coilRetainer', 'shockLower', 'shockUpper', 'wheelNuts'],
  label: coilLabel,
  assemble: assembleCoil,
  draw,
  changes: ({ changes }) => changes,
  taught: (input, side) => ({ ...taughtCoil(input, side), fit: null }),
  bySizeAlone: (change) => change.kind === 'spacer',
  solvable: (input, side) => input.coil !== null && input.sides[side].spring !== null,
  model: (drawn, side) => new CoilSideModel(drawn, side),
  lines: (drawn, model) => {
    const base = model.rise([], 0);
    return drawn.changes.map((change) => ({
      kind: change.kind,
      label: change.kind === 'coil' ? 'other coils' : 'seat spacers',
      value: model.rise([change], 0) - base,
    }));
  },
  settling: ({ changes }) => (changes.some((c) => c.kind === 'coil' && !c.used) ? 'newCoil' : 'usedCoil'),
  signed: /$^/,
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
  procedure: coilProcedure,
  work: () => ({ located: false, arrangement: null, own: (standing) => coilChecks(standing ?? []) }),
  standing: (states) =>
    states.flatMap(({ built }) => {
      if (!built) return [];
      const { stress, toSolid, toLoose, straight } = built;
      return [{ stress, toSolid, toLoose, straight }];
    }),
};
