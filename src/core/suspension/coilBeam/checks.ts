import { COIL_STEEL_LIMIT } from '../../mechanics/coil/coil';
import { type Verdict } from '../../verdict';

/** What coils ask of what must fit. */
export type CoilCheck = 'coilStress' | 'coilBind' | 'coilLoose' | 'coilBow';

/** A coil as built in one load state, as far as it is judged. */
export interface CoilStanding {
  /** Largest shear stress in the wire, MPa. */
  stress: number;
  /** What the hub may still rise until it is solid, and drop until it is loose, mm. */
  toSolid: number;
  toLoose: number;
  straight: boolean;
}

/** The hub rises at least this much on a rough road before a stop ends it, mm. Chosen; the stop itself is measured under the vehicle. */
const BUMP = 60;

/** @param standing both sides in every load state; empty while nothing is solved */
export function coilChecks(standing: readonly CoilStanding[]): Verdict<CoilCheck>[] {
  if (standing.length === 0)
    return (['coilStress', 'coilBind', 'coilLoose', 'coilBow'] as const).map((item) => ({
      item,
      state: 'not checked',
      text: 'The coils are not solved yet.',
    }));
  const stress = Math.max(...standing.map((s) => s.stress));
  const bind = Math.min(...standing.map((s) => s.toSolid));
  const loose = Math.min(...standing.map((s) => s.toLoose));
  const { static: limit, source } = COIL_STEEL_LIMIT;
  const straight = standing.every((s) => s.straight);
  return [
    {
      item: 'coilStress',
      state: stress <= limit ? 'fits' : 'does not fit',
      text:
        stress <= limit
          ? `${stress.toFixed(0)} of ${limit} MPa under the heaviest load.`
          : `${stress.toFixed(0)} of ${limit} MPa: more than a standing load should do to the wire; it will sag.`,
      figure: { quantity: 'shear stress', dimension: 'stress', value: stress, limit, margin: limit - stress },
      source,
    },
    {
      item: 'coilBind',
      state: bind <= 0 ? 'does not fit' : bind < BUMP ? 'look' : 'fits',
      text: `The hub may rise ${bind.toFixed(0)} mm before the turns touch; the stop must end it first.`,
      figure: { quantity: 'rise until solid', dimension: 'length', value: bind, limit: 0, margin: bind },
    },
    {
      item: 'coilLoose',
      state: 'look',
      text: `The coil comes loose in its seats ${loose.toFixed(0)} mm below the lightest stand; shock or strap must end the droop before, or it is tied.`,
      figure: { quantity: 'drop until loose', dimension: 'length', value: loose, limit: 0, margin: loose },
    },
    {
      item: 'coilBow',
      state: straight ? 'fits' : 'look',
      text: straight
        ? 'It is too short for its width to bow out sideways.'
        : 'It is long for its width and may bow out sideways where a seat can tilt; look for rub marks.',
    },
  ];
}
