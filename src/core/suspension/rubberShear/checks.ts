import { SPRING_STEEL_LIMITS } from '../../material/steel';
import { SHEAR_LIMIT } from '../../mechanics/rubber/shear';
import { type Verdict } from '../../verdict';
import { type ShearFigures } from './sideModel';

/** What a rubber shear spring asks of what must fit. */
export type ShearCheck = 'shearStrain' | 'shearTravel' | 'shearLeaf' | 'shearRate';

/** One side as built in one load state, as far as it is judged. */
export type ShearStanding = Pick<ShearFigures, 'strain' | 'toLimit' | 'leafStress' | 'blockRate'> & {
  /** Of the block that is there now, N/mm; null where none was. */
  rateNow: number | null;
};

const NAMES: Record<ShearCheck, string> = {
  shearStrain: 'shear of the rubber',
  shearTravel: 'left until it is sheared too far',
  shearLeaf: 'stress of the leaf',
  shearRate: 'rate of the block',
};
/** Less travel than this up to the rubber's limit is looked at, mm; a block so much stiffer rides harder than is felt as the same, a share. Chosen. */
const TRAVEL = 60;
const STIFFER = 0.25;

/** @param standing both sides in every load state; empty while nothing is solved */
export function shearChecks(otherBlock: boolean, standing: readonly ShearStanding[]): Verdict<ShearCheck>[] {
  const asked: ShearCheck[] = [
    'shearStrain',
    'shearTravel',
    'shearLeaf',
    ...(otherBlock ? (['shearRate'] as const) : []),
  ];
  if (standing.length === 0)
    return asked.map((item) => ({ item, state: 'not checked', text: 'The spring is not solved yet.' }));
  return asked.map((item) => ({ item, ...CHECKS[item](standing), source: SOURCES[item] }));
}

const SOURCES: Record<ShearCheck, string> = {
  shearStrain: 'common practice for natural rubber; the maker’s figure decides',
  shearTravel: 'common practice for natural rubber; the maker’s figure decides',
  shearLeaf: 'SAE HS-788, from memory',
  shearRate: 'chosen here',
};

type Told = Pick<Verdict<ShearCheck>, 'state' | 'text' | 'figure'>;
const percent = (share: number): string => `${(100 * share).toFixed(0)} %`;
const most = (all: readonly ShearStanding[], of: (s: ShearStanding) => number): number => Math.max(...all.map(of));

const CHECKS: Record<ShearCheck, (all: readonly ShearStanding[]) => Told> = {
  shearStrain: (all) => {
    const strain = most(all, (s) => Math.abs(s.strain));
    const { standing, most: limit } = SHEAR_LIMIT;
    return {
      state: strain > limit ? 'does not fit' : strain > standing ? 'look' : 'fits',
      text:
        strain > standing
          ? `Standing, the rubber is sheared by ${percent(strain)} of its thickness; beyond ${percent(standing)} it creeps and tears sooner${strain > limit ? `, beyond ${percent(limit)} it is no spring any more` : ''}.`
          : `Standing, the rubber is sheared by ${percent(strain)} of its thickness at most.`,
      figure: {
        ...{ quantity: NAMES.shearStrain, dimension: 'count', value: strain, limit: standing },
        margin: standing - strain,
      },
    };
  },
  shearTravel: (all) => {
    const left = Math.min(...all.map((s) => s.toLimit));
    return {
      state: left < 0 ? 'does not fit' : left < TRAVEL ? 'look' : 'fits',
      text:
        left < TRAVEL
          ? `The wheel may rise ${Math.max(0, left).toFixed(0)} mm until the rubber is sheared as far as it is thick: the bump stop must act before that.`
          : `The wheel may rise ${left.toFixed(0)} mm until the rubber is sheared as far as it is thick.`,
      figure: { ...{ quantity: NAMES.shearTravel, dimension: 'length', value: left, limit: 0 }, margin: left },
    };
  },
  shearLeaf: (all) => {
    const stress = most(all, (s) => s.leafStress);
    const { static: limit } = SPRING_STEEL_LIMITS;
    return {
      state: stress > limit ? 'stop' : 'fits',
      text: `Under the heaviest load the leaf bends to ${stress.toFixed(0)} MPa at the axle${stress > limit ? `, past the ${limit} MPa that spring steel stands for long` : ''}.`,
      figure: {
        ...{ quantity: NAMES.shearLeaf, dimension: 'stress', value: stress, limit },
        margin: limit - stress,
      },
    };
  },
  shearRate: (all) => {
    const shares = all.flatMap((s) => (s.rateNow === null ? [] : [s.blockRate / s.rateNow - 1]));
    const share = shares.reduce((far, one) => (Math.abs(one) > Math.abs(far) ? one : far), 0);
    const off = Math.abs(share) > STIFFER;
    return {
      state: off ? 'look' : 'fits',
      text: off
        ? `The new block is ${percent(Math.abs(share))} ${share > 0 ? 'stiffer' : 'softer'} than the one that is there: is it the block of this axle? Both sides alike in any case.`
        : 'The new block is about as stiff as the one that is there; both sides alike.',
    };
  },
};
