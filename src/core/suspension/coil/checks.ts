import { falseHeight, ASSUMED_SHEAR, LASTING_STRAIN, windUpStrain } from '../../bush/windUp';
import { COIL_STEEL_LIMIT } from '../../mechanics/coil/coil';
import { type Verdict } from '../../verdict';
import { type CoilKind, type PivotBushKind } from './input';
import { type DrawnInput } from './sideModel';

/** What coils ask of what must fit. */
export type CoilCheck =
  | 'coilStress'
  | 'coilBind'
  | 'coilLoose'
  | 'coilBow'
  | 'coilPreload'
  | 'perchAlike'
  | 'swingCamber'
  | 'swingCaster'
  | 'pivotTwist';

/** A coil as built in one load state, as far as it is judged. */
export interface CoilStanding {
  /** Largest shear stress in the wire, MPa. */
  stress: number;
  /** What the hub may still rise until it is solid, and drop until it is loose, mm. */
  toSolid: number;
  toLoose: number;
  straight: boolean;
  /** At the hub, N/mm; absent in records of older cores, as all that follows. */
  rate?: number;
  swing?: { gained: number; casterLost: number | null; hangs: number } | null;
  preload?: number | null;
}

/** What of an axle and its plan the checks hang on. */
export interface CoilAsked {
  kind: CoilKind;
  /** Seats moved up their units, mm; null where they are not. */
  perch: { left: number; right: number } | null;
  /** Rubber of the pivots as it was read, and what a plan puts there. */
  bush: { shell: number; sleeve: number; length: number } | null;
  renewed: PivotBushKind | null;
  /** Pivot to hub, mm. */
  arm: number | null;
}
export const askedOf = ({
  kind,
  changes,
  pivotBush,
  swing,
}: Pick<DrawnInput, 'kind' | 'changes' | 'pivotBush' | 'swing'>): CoilAsked => {
  const perch = changes.findLast((c) => c.kind === 'perch');
  return {
    kind,
    perch: perch ? { left: perch.left, right: perch.right } : null,
    bush: pivotBush ?? null,
    renewed: changes.findLast((c) => c.kind === 'pivotBush')?.bush ?? null,
    arm: swing?.arm ?? null,
  };
};

/** The hub rises at least this much on a rough road before a stop ends it, mm. Chosen; the stop itself is measured under the vehicle. */
const BUMP = 60;
/** A wheel that leans more than this further than before is looked at, rad. Chosen: half a degree; the same of caster: one degree. */
const LEANS = (0.5 * Math.PI) / 180;
const CASTER = Math.PI / 180;
const ALIKE = 1;
const degrees = (rad: number): string => ((Math.abs(rad) * 180) / Math.PI).toFixed(1);

/** Which rows a kind has, in their order. */
function rowsOf({ kind, perch }: CoilAsked): CoilCheck[] {
  const swings = kind === 'twinBeam' || kind === 'torsionBeam';
  return [
    ...(['coilStress', 'coilBind'] as const),
    ...(kind === 'coilOver' ? (['coilPreload'] as const) : (['coilLoose', 'coilBow'] as const)),
    ...(kind === 'twinBeam' ? (['swingCamber', 'swingCaster'] as const) : []),
    ...(swings ? (['pivotTwist'] as const) : []),
    ...(perch ? (['perchAlike'] as const) : []),
  ];
}

/** @param standing both sides in every load state; empty while nothing is solved */
export function coilChecks(asked: CoilAsked, standing: readonly CoilStanding[]): Verdict<CoilCheck>[] {
  return rowsOf(asked).map((item): Verdict<CoilCheck> => {
    if (item === 'perchAlike') return perchAlike(asked.perch!);
    return standing.length === 0
      ? { item, state: 'not checked', text: 'The coils are not solved yet.' }
      : ROWS[item](standing, asked);
  });
}

type Row = (standing: readonly CoilStanding[], asked: CoilAsked) => Verdict<CoilCheck>;
const ROWS: Record<Exclude<CoilCheck, 'perchAlike'>, Row> = {
  coilStress: (standing) => {
    const stress = Math.max(...standing.map((s) => s.stress));
    const { static: limit, source } = COIL_STEEL_LIMIT;
    return {
      item: 'coilStress',
      state: stress <= limit ? 'fits' : 'does not fit',
      text:
        stress <= limit
          ? `${stress.toFixed(0)} of ${limit} MPa under the heaviest load.`
          : `${stress.toFixed(0)} of ${limit} MPa: more than a standing load should do to the wire; it will sag.`,
      figure: { quantity: 'shear stress', dimension: 'stress', value: stress, limit, margin: limit - stress },
      source,
    };
  },
  coilBind: (standing) => {
    const bind = Math.min(...standing.map((s) => s.toSolid));
    return {
      item: 'coilBind',
      state: bind <= 0 ? 'does not fit' : bind < BUMP ? 'look' : 'fits',
      text: `The hub may rise ${bind.toFixed(0)} mm before the turns touch; the stop must end it first.`,
      figure: { quantity: 'rise until solid', dimension: 'length', value: bind, limit: 0, margin: bind },
    };
  },
  coilLoose: (standing) => {
    const loose = Math.min(...standing.map((s) => s.toLoose));
    return {
      item: 'coilLoose',
      state: 'look',
      text: `The coil comes loose in its seats ${loose.toFixed(0)} mm below the lightest stand; shock or strap must end the droop before, or it is tied.`,
      figure: { quantity: 'drop until loose', dimension: 'length', value: loose, limit: 0, margin: loose },
    };
  },
  coilBow: (standing) => {
    const straight = standing.every((s) => s.straight);
    return {
      item: 'coilBow',
      state: straight ? 'fits' : 'look',
      text: straight
        ? 'It is too short for its width to bow out sideways.'
        : 'It is long for its width and may bow out sideways where a seat can tilt; look for rub marks.',
    };
  },
  coilPreload: (standing) => {
    const item = 'coilPreload';
    const known = standing.flatMap((s) => s.preload ?? []);
    if (known.length === 0)
      return {
        item,
        state: 'not checked',
        text: 'Nobody read the coil with its unit fully open: whether it stays tight at droop is not known.',
      };
    const least = Math.min(...known);
    return {
      item,
      state: least < 0 ? 'does not fit' : 'fits',
      text:
        least < 0
          ? 'With the unit fully open the coil is loose in its seats: it can leave them. A longer coil, or the seat further up.'
          : `With the unit fully open it is still pressed by ${(least / 9.80665).toFixed(0)} kg.`,
    };
  },
  swingCamber: (standing) => {
    const gained = far(standing.flatMap((s) => s.swing?.gained ?? []));
    return {
      item: 'swingCamber',
      state: Math.abs(gained) > LEANS ? 'look' : 'fits',
      text:
        Math.abs(gained) > LEANS
          ? `Each wheel leans ${degrees(gained)}° further ${gained > 0 ? 'out' : 'in'} at its top than now under the same load: set it by the maker’s camber bushes, or brackets that lower the pivots with the frame.`
          : `The wheels lean within ${degrees(gained)}° of how they lean now under the same load.`,
    };
  },
  swingCaster: (standing) => {
    const item = 'swingCaster';
    const lost = standing.flatMap((s) => s.swing?.casterLost ?? []);
    if (lost.length === 0)
      return {
        item,
        state: 'not checked',
        text: 'Nobody read the radius arms: what the height does to the caster is not known.',
      };
    const worst = far(lost);
    return {
      item,
      state: Math.abs(worst) > CASTER ? 'look' : 'fits',
      text:
        Math.abs(worst) > CASTER
          ? `Caster ${worst > 0 ? 'falls' : 'grows'} by ${degrees(worst)}°: the steering ${worst > 0 ? 'wanders' : 'grows heavy'}; longer arms or lowered brackets set it right.`
          : `Caster stays within ${degrees(worst)}°.`,
    };
  },
  pivotTwist: (standing, { bush, renewed, arm }) => {
    const item = 'pivotTwist';
    if (renewed === 'turns')
      return {
        item,
        state: 'fits',
        text: 'The new bushes turn on their sleeves: greased on all faces that turn, tightened in any position.',
      };
    const hangs = Math.max(...standing.map((s) => s.swing?.hangs ?? 0));
    const rubber = bush && {
      inner: bush.sleeve + 2 * WALL,
      outer: bush.shell - WALL,
      length: bush.length,
      shearModulus: ASSUMED_SHEAR.value,
    };
    if (!rubber || arm === null || rubber.outer <= rubber.inner + 1)
      return {
        item,
        state: 'look',
        text: 'Rubber that is bonded to its sleeve is tightened with the weight on only. Read the bush to know what tightening it hanging would do.',
      };
    const strain = windUpStrain(rubber, hangs);
    const rate = Math.min(...standing.flatMap((s) => s.rate ?? []));
    const held = Number.isFinite(rate) ? falseHeight(rate, [{ bush: rubber, turn: hangs, half: arm }]) : null;
    const percent = `${Math.round(100 * strain)} %`;
    return {
      item,
      state: strain > LASTING_STRAIN ? 'look' : 'fits',
      text: `Tightened with the weight on, its rubber is strained ${percent} where the wheel hangs until the coil is loose${
        strain > LASTING_STRAIN
          ? `: more than ${Math.round(100 * LASTING_STRAIN)} % tears it in time, a shock or strap must end the droop before`
          : ''
      }. Tightened hanging it would stand strained so for good${held === null ? '' : ` and hold the body up by about ${Math.max(1, held).toFixed(0)} mm at first`}.`,
      source: `G ${ASSUMED_SHEAR.value} ± ${ASSUMED_SHEAR.half90} MPa and walls of ${WALL} mm assumed; γ and M as Freakley & Payne, from memory`,
    };
  },
};

/** Wall of sleeve and of shell where only their other face was read, mm. Memory. */
const WALL = 3;
const far = (values: readonly number[]): number =>
  values.reduce((worst, one) => (Math.abs(one) > Math.abs(worst) ? one : worst), 0);

function perchAlike({ left, right }: { left: number; right: number }): Verdict<CoilCheck> {
  const apart = Math.abs(left - right);
  return {
    item: 'perchAlike',
    state: apart > ALIKE ? 'look' : 'fits',
    text:
      apart > ALIKE
        ? `The seats stand ${apart.toFixed(0)} mm apart from side to side: meant so, to set a lean right, or a groove miscounted? Say which in the plan’s name.`
        : 'Both seats moved alike.',
  };
}
