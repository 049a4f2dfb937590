'use client';
import { SPRING_STEEL_LIMITS } from '@/core/material/steel';
import { KindChoose } from '../../choose/KindChoose';
import { loadedRadius } from '../../figure/values';
import { type StationProps } from '../../frame/JobFrame';
import { assembledCross, NEEDS } from './assembledCross';
import { CrossElevation } from './CrossElevation';
import { CrossFiguresSheet } from './CrossFiguresSheet';
import { CrossWays } from './CrossWays';
import { halvesOf } from './halves';

/** Choose, for an axle on one spring across. */
export const CrossChoose = (station: StationProps) => (
  <KindChoose<'transverseLeaf'>
    {...station}
    assemble={assembledCross}
    title={() => 'Spring across, from behind'}
    needs={NEEDS}
    drawing={({ view, prediction, k, state, built }) => (
      <CrossElevation
        old={halvesOf(prediction, k, 'old')}
        built={built ? halvesOf(prediction, k, 'built') : null}
        stateName={state.name}
        radius={loadedRadius(view)}
      />
    )}
    stress={{ of: ({ nominalStress }) => Math.max(...nominalStress), limit: SPRING_STEEL_LIMITS.static }}
    Ways={CrossWays}
    figures={({ side, state, old, built }) => (
      <CrossFiguresSheet
        title={built ? `Half of the spring, ${side}, before and after` : `Half of the spring, ${side}`}
        stateName={state.name}
        old={old}
        built={built}
      />
    )}
  />
);
