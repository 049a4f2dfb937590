import { SPRING_STEEL_LIMITS } from '../../material/steel';
import { type Verdict } from '../../verdict';
import { type DrawnChange } from './sideModel';

/** What a pair of axles asks of what must fit. */
export type TandemCheck = 'pairTyres' | 'pairSwing' | 'pairStress' | 'pairEnds' | 'pairLevel' | 'pairDamped';

/** A pair as built in one load state, as far as it is judged. */
export interface PairStanding {
  front: { wheel: number; stress: number };
  rear: { wheel: number; stress: number };
  swing: number | null;
  stop: number | null;
  atStop: boolean;
  /** Inner ends of the springs below their hanger eyes, mm, the mean of both. */
  slope: number;
  step: { up: number; down: number } | null;
}

/** What of a plan its checks hang on. */
export interface PairAsked {
  /** Rocker gone for slippers, or slippers there already. */
  apart: boolean;
  /** The rocker goes for slippers in this plan. */
  converted: boolean;
  /** Other springs belong to the plan. */
  otherSprings: boolean;
  /** kg; null where nobody looked. */
  wheelLimit: number | null;
}

export const askedOf = (
  kind: string,
  changes: readonly Pick<DrawnChange, 'kind'>[],
  wheelLimit: number | null,
): PairAsked => {
  const slipper = changes.some((c) => c.kind === 'slipper');
  return {
    apart: slipper || kind === 'tandemSlipper',
    converted: slipper && kind === 'tandemEqualizer',
    otherSprings: changes.some((c) => c.kind === 'springs'),
    wheelLimit,
  };
};

/** A kerb or a pothole that a trailer meets every day, mm. Chosen. */
const STEP = 50;
const degrees = (rad: number): string => ((rad * 180) / Math.PI).toFixed(0);

/** @param standing both sides in every load state; empty while nothing is solved */
export function pairChecks(asked: PairAsked, standing: readonly PairStanding[]): Verdict<TandemCheck>[] {
  const rows = [...(asked.apart ? [] : ['pairSwing' as const]), 'pairStress' as const];
  if (standing.length === 0)
    return [
      ...(['pairTyres', ...rows] as const).map((item): Verdict<TandemCheck> => ({
        item,
        state: 'not checked',
        text: 'The springs are not solved yet.',
      })),
      ...ends(asked),
    ];
  return [
    tyres(asked, standing),
    ...(asked.apart ? [] : [swing(standing)]),
    stress(standing),
    ...(asked.apart ? [level(standing)] : []),
    ...ends(asked),
  ];
}

function tyres({ wheelLimit }: PairAsked, standing: readonly PairStanding[]): Verdict<TandemCheck> {
  const worst = (end: 'front' | 'rear') => Math.max(...standing.map((s) => s[end].wheel));
  const [front, rear] = [worst('front'), worst('rear')];
  const which = front >= rear ? 'front' : 'rear';
  const most = Math.max(front, rear);
  const said = `${most.toFixed(0)} kg under one wheel of the ${which} axle under the heaviest load`;
  if (wheelLimit === null)
    return { item: 'pairTyres', state: 'not checked', text: `${said}; nobody said what a wheel may carry.` };
  const margin = wheelLimit - most;
  return {
    item: 'pairTyres',
    state: margin < 0 ? 'does not fit' : margin < 0.05 * wheelLimit ? 'look' : 'fits',
    text: margin < 0 ? `${said}: ${(-margin).toFixed(0)} kg over its tyre.` : `${said}, of ${wheelLimit.toFixed(0)}.`,
    figure: { quantity: 'load under a wheel', dimension: 'mass', value: most, limit: wheelLimit, margin },
  };
}

function swing(standing: readonly PairStanding[]): Verdict<TandemCheck> {
  const item = 'pairSwing';
  if (standing.some((s) => s.atStop))
    return {
      item,
      state: 'does not fit',
      text: 'The rocker stands at its stop with all wheels on level ground: the axles do not share.',
    };
  const free = standing.flatMap((s) => (s.step ? [Math.min(s.step.up, s.step.down)] : []));
  const tilt = Math.max(...standing.map((s) => Math.abs(s.swing ?? 0)));
  if (free.length === 0)
    return { item, state: 'not checked', text: `It tilts ${degrees(tilt)}°; nobody said how far it may.` };
  const least = Math.min(...free);
  const stop = standing.find((s) => s.stop !== null)?.stop ?? 0;
  return {
    item,
    state: least < STEP ? 'look' : 'fits',
    text: `It tilts ${degrees(tilt)} of ${degrees(stop)}°; one wheel may stand ${least.toFixed(0)} mm higher or lower before it meets its stop${
      least < STEP ? ', a kerb is more' : ''
    }.`,
    figure: { quantity: 'step under one wheel', dimension: 'length', value: STEP, limit: least, margin: least - STEP },
  };
}

function stress(standing: readonly PairStanding[]): Verdict<TandemCheck> {
  const most = Math.max(...standing.flatMap((s) => [s.front.stress, s.rear.stress]));
  const limit = SPRING_STEEL_LIMITS.static;
  return {
    item: 'pairStress',
    state: most > limit ? 'does not fit' : most > 0.9 * limit ? 'look' : 'fits',
    text:
      most > limit
        ? `${most.toFixed(0)} of ${limit} MPa under the heaviest load: it will settle, and crack early.`
        : `${most.toFixed(0)} of ${limit} MPa under the heaviest load, nip left out.`,
    figure: { quantity: 'stress', dimension: 'stress', value: most, limit, margin: limit - most },
    source: 'handbook sum; limit as for any leaf',
  };
}

/** A spring that slopes more than this between its ends on slippers was hung in the wrong holes, mm. Chosen. */
const SLOPED = 20;

/** On slippers the holes are picked that let the springs stand level under their load. */
function level(standing: readonly PairStanding[]): Verdict<TandemCheck> {
  const { slope } = standing.at(-1)!;
  const off = Math.abs(slope);
  return {
    item: 'pairLevel',
    state: off > SLOPED ? 'look' : 'fits',
    text:
      off > SLOPED
        ? `The inner ends stand ${off.toFixed(0)} mm ${slope > 0 ? 'below' : 'above'} the hanger eyes: holes that much ${slope > 0 ? 'higher' : 'lower'} set the springs level.`
        : `The springs stand level within ${off.toFixed(0)} mm.`,
    figure: { quantity: 'slope of the spring', dimension: 'length', value: off, limit: SLOPED, margin: SLOPED - off },
  };
}

/** What slippers ask besides. */
function ends({ apart, converted, otherSprings }: PairAsked): Verdict<TandemCheck>[] {
  if (!apart) return [];
  return [
    converted && !otherSprings
      ? {
          item: 'pairEnds',
          state: 'does not fit',
          text: 'A slipper takes a plain end; these springs have an eye there. Springs with one eye belong to this plan.',
        }
      : {
          item: 'pairEnds',
          state: 'look',
          text: 'See that each end stays on its slipper with the axle hanging and does not run out of it at full bump.',
        },
    {
      item: 'pairDamped',
      state: 'look',
      text: 'Without a rocker nothing but the leaves brakes the pitching: a damper at each wheel, with its mounts.',
    },
  ];
}
