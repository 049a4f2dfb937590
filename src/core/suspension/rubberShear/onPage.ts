import { type PageKind } from '../kind';
import { assembleShear, type ShearAxleSheet } from './assemble';
import { shearChecks, type ShearCheck, type ShearStanding } from './checks';
import { type ShearAxleInput } from './input';
import { SHEAR_GROUPS, SHEAR_POINTS } from './points';
import { shearProcedure } from './procedure';
import { type DrawnChange, type DrawnInput, type ShearFigures, type ShearSideModel } from './sideModel';
import { standingOf } from './standing';
import { shearLabel } from './words';

/** What a change is called in the ledger of a rubber shear spring. */
export const SHEAR_LINES = ['shearBlock', 'blockHoles'] as const;

export interface ShearTypes {
  sheet: ShearAxleSheet;
  input: ShearAxleInput;
  drawn: DrawnInput;
  change: DrawnChange;
  figures: ShearFigures;
  model: ShearSideModel;
  fit: object;
  beside: object;
  fasteners: object;
  line: (typeof SHEAR_LINES)[number];
  check: ShearCheck;
  standing: readonly ShearStanding[];
}

/** Leaves from a fixed eye to a carrier that stands on a rubber block in shear. */
export const SHEAR_ON_PAGE: PageKind<ShearTypes> = {
  id: 'rubberShear',
  name: 'rubber shear springs',
  arranged: false,
  groups: SHEAR_GROUPS,
  points: SHEAR_POINTS,
  rules: [
    ...([
      'shearTear',
      'shearBond',
      'shearHoles',
      'carrierNose',
      'leafBroken',
      'pitting',
      'centreBolt',
      'uBolts',
    ] as const),
    ...(['hanger', 'bush', 'bumpStop', 'shock', 'swayBar', 'square'] as const),
  ],
  joints: ['shearBolts', 'carrierNose', 'frontEye', 'uBolts', 'shockLower', 'shockUpper', 'wheelNuts'],
  label: shearLabel,
  assemble: assembleShear,
  bySizeAlone: () => false,
  solvable: (input, side) => input.sides[side].spring !== null,
  settling: ({ changes }) => (changes.some((c) => c.kind === 'shearBlock' && !c.used) ? 'newRubber' : 'usedRubber'),
  procedure: shearProcedure,
  work: ({ changes }) => ({
    located: false,
    arrangement: null,
    own: (standing) =>
      shearChecks(
        changes.some((c) => c.kind === 'shearBlock'),
        standing ?? [],
      ),
  }),
  standing: (states) => states.flatMap(({ old, built }) => (built ? [standingOf(old, built)] : [])),
  // The fixed eye is in front: a nose that comes down behind turns the axle's nose up.
  noseUp: (states) => {
    const today = states.find((s) => s.today && s.old && s.built);
    return today ? today.old!.tilt - today.built!.tilt : undefined;
  },
};
