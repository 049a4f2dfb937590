import { draw } from '../../estimate/tree';
import { type JointId } from '../../fastener/joints';
import { type RuleId } from '../../inspection/rules';
import { type Way } from '../../procedure/common';
import { type Planned, type Procedure } from '../../procedure/procedure';
import { type PageKind } from '../kind';
import { assembleCoil, type CoilAxleSheet } from './assemble';
import { askedOf, coilChecks, type CoilCheck, type CoilStanding } from './checks';
import { type CoilAxleInput, type CoilKind } from './input';
import {
  COIL_GROUPS,
  COIL_POINTS,
  TRAIL_GROUPS,
  TRAIL_WORDS,
  TWIN_GROUPS,
  TWIN_WORDS,
  UNIT_GROUPS,
  UNIT_WORDS,
} from './points';
import { coilProcedure } from './procedure';
import { type CoilFigures, type CoilSideModel, type DrawnChange, type DrawnInput } from './sideModel';
import { swingProcedure } from './swingProcedure';
import { unitProcedure } from './unitProcedure';
import { coilLabel } from './words';

/** What a change is called in the ledger of a coil. */
export const COIL_LINES = ['coil', 'spacer', 'perch', 'pivotBush'] as const;
export interface CoilTypes<K extends CoilKind = CoilKind> {
  sheet: CoilAxleSheet<K>;
  input: CoilAxleInput<K>;
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

const COILS: readonly RuleId[] = ['coilBroken', 'coilSag', 'coilPitting', 'coilClash'];
const SHOCKS: readonly JointId[] = ['shockLower', 'shockUpper', 'wheelNuts'];

const made = <K extends CoilKind>(
  id: K,
  own: Pick<PageKind<CoilTypes<K>>, 'name' | 'groups' | 'rules' | 'joints' | 'calls'> & {
    procedure: (planned: readonly Planned[], way: Way) => Procedure;
  },
): PageKind<CoilTypes<K>> => ({
  ...own,
  id,
  arranged: false,
  points: COIL_POINTS,
  label: coilLabel,
  assemble: assembleCoil,
  bySizeAlone: (change) => change.kind !== 'coil',
  solvable: (input, side) => input.coil !== null && input.sides[side].spring !== null,
  settling: ({ changes }) => (changes.some((c) => c.kind === 'coil' && !c.used) ? 'newCoil' : 'usedCoil'),
  work: (input) => {
    const asked = askedOf(draw<CoilAxleInput>(input, (e) => e.value));
    return { located: false, arrangement: null, own: (standing) => coilChecks(asked, standing ?? []) };
  },
  standing: (states) =>
    states.flatMap(({ built }) => {
      if (!built) return [];
      const { stress, toSolid, toLoose, straight, rate, swing, preload } = built;
      return [{ stress, toSolid, toLoose, straight, rate, swing, preload }];
    }),
});

/** Coils on a beam axle, upright, leaning or inboard on an arm. */
export const COIL_BEAM_ON_PAGE = made('coilBeam', {
  name: 'coils on a beam axle',
  groups: COIL_GROUPS,
  rules: [...COILS, 'coilSeat', 'links', 'bush', 'bumpStop', 'shock', 'swayBar', 'square'],
  joints: ['armFrame', 'armAxle', 'trackRod', 'coilRetainer', ...SHOCKS],
  procedure: coilProcedure,
});
/** Two beams across, each swinging about a pivot beyond the middle. */
export const TWIN_BEAM_ON_PAGE = made('twinBeam', {
  name: 'twin beams with pivots',
  groups: TWIN_GROUPS,
  calls: TWIN_WORDS,
  rules: [...COILS, 'coilSeat', 'links', 'pivotBush', 'kingpin', 'tieRod', 'bumpStop', 'shock', 'swayBar', 'square'],
  joints: ['beamPivot', 'armFrame', 'coilRetainer', ...SHOCKS],
  procedure: (planned, way) => swingProcedure(planned, way, false),
});
/** One beam that trails two arms and twists between them. */
export const TORSION_BEAM_ON_PAGE = made('torsionBeam', {
  name: 'trailing torsion beam',
  groups: TRAIL_GROUPS,
  calls: TRAIL_WORDS,
  rules: [...COILS, 'coilSeat', 'pivotBush', 'links', 'bumpStop', 'shock', 'square'],
  joints: ['beamPivot', 'cableBracket', 'coilRetainer', ...SHOCKS],
  procedure: (planned, way) => swingProcedure(planned, way, true),
});
/** Coil and damper in one, in front. */
export const COIL_OVER_ON_PAGE = made('coilOver', {
  name: 'coil-over struts',
  groups: UNIT_GROUPS,
  calls: UNIT_WORDS,
  rules: [...COILS, 'coilSeat', 'unitTop', 'cams', 'links', 'bush', 'shock', 'swayBar', 'square'],
  joints: ['unitTop', 'unitLower', 'stemNut', 'cams', 'wheelNuts'],
  procedure: unitProcedure,
});
