import { draw } from '../../estimate/tree';
import { type SuspensionKind } from '../kind';
import { assembleShear, type ShearAxleSheet } from './assemble';
import { shearChecks, type ShearCheck, type ShearStanding } from './checks';
import { type ShearAxleInput } from './input';
import { SHEAR_GROUPS, SHEAR_POINTS } from './points';
import { shearProcedure } from './procedure';
import { ShearSideModel, type DrawnChange, type DrawnInput, type ShearFigures } from './sideModel';
import { standingOf } from './standing';
import { taughtShear } from './taught';
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

const LABELS: Record<DrawnChange['kind'], string> = {
  shearBlock: 'other shear blocks',
  blockHoles: 'carrier in another row',
};

/** Leaves from a fixed eye to a carrier that stands on a rubber block in shear. */
export const RUBBER_SHEAR: SuspensionKind<ShearTypes> = {
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
  draw,
  changes: ({ changes }) => changes,
  taught: (input, side) => ({ ...taughtShear(input, side), fit: null }),
  bySizeAlone: () => false,
  solvable: (input, side) => input.sides[side].spring !== null,
  model: (drawn, side) => new ShearSideModel(drawn, side),
  lines: (drawn, model) => {
    const base = model.rise([], 0);
    return drawn.changes.map((change) => ({
      kind: change.kind,
      label: LABELS[change.kind],
      value: model.rise([change], 0) - base,
    }));
  },
  settling: ({ changes }) => (changes.some((c) => c.kind === 'shearBlock' && !c.used) ? 'newRubber' : 'usedRubber'),
  signed: /offset$|\.by$|lower$|extra$/,
  unseen: () => [],
  rubbing: (input, drawn) => drawn.hysteresis / input.hysteresis.value,
  beside: () => ({}),
  fasteners: () => ({}),
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
