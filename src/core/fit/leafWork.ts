import { changesPack } from '../suspension/longitudinalLeaf/built';
import { type LeafAxleInput } from '../suspension/longitudinalLeaf/input';
import { type LeafPrediction } from '../suspension/longitudinalLeaf/kind';
import { type StandingStress } from '../mechanics/leafpack/stress';
import { worstTravel } from '../travel/hubTravel';
import { type SolvedFacts, type Work } from './mustFit';

/** What a plan on a leaf spring asks of what must fit. */
export const workOf = (input: Pick<LeafAxleInput, 'arrangement' | 'changes' | 'ubolt'>): Work => ({
  located: input.changes.some((c) => c.kind === 'overAxle' || (c.kind === 'block' && c.height.value > 0)),
  otherLeaves: input.changes.some(changesPack),
  threadsRead: input.ubolt !== null,
  arrangement: input.changes.some((c) => c.kind === 'overAxle') ? 'over' : input.arrangement,
});

/** What a prediction says of what must fit. */
export function factsOf(prediction: LeafPrediction): SolvedFacts {
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
  return {
    ubolt: prediction.ubolt,
    standing,
    travel: worstTravel(prediction.sides),
    // A seat that stands higher behind turns the axle's nose down.
    ...(most !== undefined && { noseUp: most }),
  };
}
