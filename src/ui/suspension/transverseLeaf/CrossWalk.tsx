'use client';
import { loadedRadius } from '../../figure/values';
import { KindWalk } from '../../inspect/KindWalk';
import { type StageProps } from '../../inspect/walk';
import { assembledCross, NEEDS } from './assembledCross';
import { CrossElevation } from './CrossElevation';
import { halvesOf } from './halves';
import { placesOf } from './walkPlaces';

/** The spring across as it stands, with the spots of the walk. */
export const CrossWalk = (stage: StageProps) => (
  <KindWalk<'transverseLeaf'>
    {...stage}
    assemble={assembledCross}
    needs={NEEDS}
    places={({ old, side }) => placesOf(old, side)}
    drawing={({ view, prediction, state }, over) => (
      <CrossElevation
        old={halvesOf(prediction, 0, 'old')}
        built={null}
        stateName={state.name}
        radius={loadedRadius(view)}
        over={over}
      />
    )}
  />
);
