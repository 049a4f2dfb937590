'use client';
import { loadedRadius } from '../../figure/values';
import { KindWalk } from '../../inspect/KindWalk';
import { type StageProps } from '../../inspect/walk';
import { assembledShear, NEEDS } from './assembledShear';
import { ShearElevation } from './ShearElevation';
import { placesOf } from './walkPlaces';

/** Block and leaf as they stand, with the spots of the walk. */
export const ShearWalk = (stage: StageProps) => (
  <KindWalk<'rubberShear'>
    {...stage}
    assemble={assembledShear}
    needs={NEEDS}
    places={({ old }) => placesOf(old)}
    drawing={({ view, side, state, old }, over) => (
      <ShearElevation
        old={old}
        built={null}
        side={side}
        stateName={state.name}
        radius={loadedRadius(view)}
        over={over}
      />
    )}
  />
);
