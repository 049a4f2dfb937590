import { stressVerdict, type StandingStress } from '../../mechanics/leafpack/stress';
import { type Verdict } from '../../verdict';
import { type DrawnChange } from './sideModel';

/** What a spring across asks of what must fit. */
export type CrossCheck = 'stress' | 'crossReach' | 'crossCamber' | 'crossAlike';

/** One half as built in one load state beside what it was, as far as it is judged. */
export interface CrossStanding extends StandingStress {
  /** Eye further out from the bolt than before the work, mm. */
  wider: number;
  /** Camber gained by the work under the same load, rad; null where nobody looked. */
  gained: number | null;
}

/** What of a plan its checks hang on. */
export interface CrossAsked {
  otherSpring: boolean;
  spindles: { left: number; right: number } | null;
}
export const askedOf = (changes: readonly (Pick<DrawnChange, 'kind'> | DrawnChange)[]): CrossAsked => {
  const spindles = changes.findLast((c): c is Extract<DrawnChange, { kind: 'spindles' }> => c.kind === 'spindles');
  return {
    otherSpring: changes.some((c) => c.kind === 'crossSpring'),
    spindles: spindles ? { left: spindles.left, right: spindles.right } : null,
  };
};

/** An eye this far from where the old one stood is looked at, or does not meet its bolt, mm. Chosen. */
const WIDER = { look: 6, most: 20 } as const;
/** Camber gained that is set right by the maker's adjustment, or not at all, rad. Chosen: half a degree. */
const CAMBER = (0.5 * Math.PI) / 180;
/** Spindles this unlike are meant so, or mixed up, mm. Chosen. */
const ALIKE = 2;

/** @param standing both halves in every load state; empty while nothing is solved */
export function crossChecks(asked: CrossAsked, standing: readonly CrossStanding[]): Verdict<CrossCheck>[] {
  const alike = alikeOf(asked);
  if (standing.length === 0)
    return [
      ...(['stress', ...(asked.otherSpring ? (['crossReach'] as const) : []), 'crossCamber'] as const).map(
        (item): Verdict<CrossCheck> => ({ item, state: 'not checked', text: 'The spring is not solved yet.' }),
      ),
      ...alike,
    ];
  const stress = stressVerdict(standing);
  return [...(stress ? [stress] : []), ...(asked.otherSpring ? [reach(standing)] : []), camber(standing), ...alike];
}

function reach(standing: readonly CrossStanding[]): Verdict<CrossCheck> {
  const wider = standing.reduce((worst, { wider: w }) => (Math.abs(w) > Math.abs(worst) ? w : worst), 0);
  const off = Math.abs(wider);
  return {
    item: 'crossReach',
    state: off > WIDER.most ? 'does not fit' : off > WIDER.look ? 'look' : 'fits',
    text:
      off > WIDER.look
        ? `Its eyes stand ${off.toFixed(0)} mm further ${wider > 0 ? 'out' : 'in'} than the old ones under the same load: ${off > WIDER.most ? 'the bolts do not meet them' : 'camber and toe move with them'}.`
        : `Its eyes stand within ${off.toFixed(0)} mm of where the old ones stood under the same load.`,
    figure: {
      quantity: 'eye out of its place',
      dimension: 'length',
      value: off,
      limit: WIDER.most,
      margin: WIDER.most - off,
    },
  };
}

function camber(standing: readonly CrossStanding[]): Verdict<CrossCheck> {
  const item = 'crossCamber';
  if (standing.some((s) => s.gained === null))
    return {
      item,
      state: 'not checked',
      text: 'Nobody read what stands the wheels up: the upper arms, or 0 where a beam joins both ends.',
    };
  const gained = standing.map((s) => s.gained!);
  const worst = gained.reduce((far, one) => (Math.abs(one) > Math.abs(far) ? one : far), 0);
  const degrees = ((Math.abs(worst) * 180) / Math.PI).toFixed(1);
  const off = Math.abs(worst) > CAMBER;
  return {
    item,
    state: off ? 'look' : 'fits',
    text: off
      ? `A wheel leans ${degrees}° further ${worst > 0 ? 'out' : 'in'} at its top than it does now under the same load: tyre wear and steering, to be set where the maker lets it be set.`
      : `The wheels lean within ${degrees}° of how they lean now under the same load.`,
  };
}

function alikeOf({ spindles }: CrossAsked): Verdict<CrossCheck>[] {
  if (!spindles) return [];
  const apart = Math.abs(spindles.left - spindles.right);
  return [
    {
      item: 'crossAlike',
      state: apart > ALIKE ? 'look' : 'fits',
      text:
        apart > ALIKE
          ? `The spindles differ by ${apart.toFixed(0)} mm from side to side: meant so, or mixed up? Steering arms belong to one side only.`
          : 'Both spindles alike; each with the steering arm of its own side.',
    },
  ];
}
