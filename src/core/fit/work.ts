import { type StandingStress } from '../mechanics/leafpack/stress';
import { type CoilStanding, coilChecks } from '../suspension/coilBeam/checks';
import { changesPack } from '../suspension/longitudinalLeaf/built';
import { leafChecks } from '../suspension/longitudinalLeaf/checks';
import { type LeafAxleInput } from '../suspension/longitudinalLeaf/input';
import { askedOf, pairChecks, type PairStanding } from '../suspension/tandem/checks';
import { type TandemAxleInput } from '../suspension/tandem/input';
import { type AxleInput, type AxlePrediction, type PredictionOf } from '../suspension/registry';
import { worstTravel } from '../travel/hubTravel';
import { type SolvedFacts, type Work } from './mustFit';

/** What a plan on a leaf spring asks of what must fit. */
export const leafWork = (input: Pick<LeafAxleInput, 'arrangement' | 'changes' | 'ubolt'>): Work => {
  const asked = { otherLeaves: input.changes.some(changesPack), threadsRead: input.ubolt !== null };
  return {
    located: input.changes.some((c) => c.kind === 'overAxle' || (c.kind === 'block' && c.height.value > 0)),
    arrangement: input.changes.some((c) => c.kind === 'overAxle') ? 'over' : input.arrangement,
    own: (facts) => leafChecks(asked, facts && { ubolt: facts.ubolt ?? null, standing: facts.standing ?? [] }),
  };
};

const coilWork: Work = { located: false, arrangement: null, own: (facts) => coilChecks(facts?.coils ?? []) };

const pairWork = ({ kind, changes, wheelLimit }: Pick<TandemAxleInput, 'kind' | 'changes' | 'wheelLimit'>): Work => ({
  located: changes.some((c) => c.kind === 'overAxle'),
  arrangement: null,
  own: (facts) => pairChecks(askedOf(kind, changes, wheelLimit), facts?.pair ?? []),
});

/** What a plan asks of what must fit, whatever carries the axle. A new kind is a line here and in `factsOf`. */
export function workOf(input: AxleInput): Work {
  switch (input.kind) {
    case 'longitudinalLeaf':
      return leafWork(input);
    case 'coilBeam':
      return coilWork;
    case 'tandemEqualizer':
    case 'tandemSlipper':
      return pairWork(input);
  }
}

/** What a prediction says of what must fit. */
export function factsOf(prediction: AxlePrediction): SolvedFacts {
  switch (prediction.kind) {
    case 'longitudinalLeaf':
      return { travel: worstTravel(prediction.sides), ...leafFacts(prediction) };
    case 'coilBeam':
      return { travel: worstTravel(prediction.sides), coils: coilFacts(prediction) };
    case 'tandemEqualizer':
    case 'tandemSlipper':
      return { travel: worstTravel(prediction.sides), pair: pairFacts(prediction) };
  }
}

function leafFacts(prediction: PredictionOf<'longitudinalLeaf'>): Partial<SolvedFacts> {
  const standing = Object.values(prediction.sides).flatMap((side) =>
    (side?.states ?? []).flatMap(({ built }): StandingStress[] =>
      built ? [{ working: built.peakStress, ...(built.clampStress && { clamped: built.clampStress }) }] : [],
    ),
  );
  const tilts = Object.values(prediction.sides).flatMap((side) => {
    const today = side?.states[0];
    return today?.old && today.built ? [today.old.elevation.seatTilt - today.built.elevation.seatTilt] : [];
  });
  const most = tilts.reduce<number | undefined>(
    (m, t) => (m === undefined || Math.abs(t) > Math.abs(m) ? t : m),
    undefined,
  );
  // A seat that stands higher behind turns the axle's nose down.
  return { ubolt: prediction.ubolt, standing, ...(most !== undefined && { noseUp: most }) };
}

const coilFacts = (prediction: PredictionOf<'coilBeam'>): CoilStanding[] =>
  Object.values(prediction.sides).flatMap((side) =>
    (side?.states ?? []).flatMap(({ built }) => {
      if (!built) return [];
      const { stress, toSolid, toLoose, straight } = built;
      return [{ stress, toSolid, toLoose, straight }];
    }),
  );

const pairFacts = (prediction: PredictionOf<'tandemEqualizer'> | PredictionOf<'tandemSlipper'>): PairStanding[] =>
  Object.values(prediction.sides).flatMap((side) =>
    (side?.states ?? []).flatMap(({ built }: { built: PairStanding | null }) => {
      if (!built) return [];
      const { front, rear, swing, stop, atStop, step } = built;
      return [{ front, rear, swing, stop, atStop, step }];
    }),
  );
