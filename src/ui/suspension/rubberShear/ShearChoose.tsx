'use client';
import { SPRING_STEEL_LIMITS } from '@/core/material/steel';
import { KindChoose } from '../../choose/KindChoose';
import { loadedRadius } from '../../figure/values';
import { type StationProps } from '../../frame/JobFrame';
import { assembledShear, NEEDS } from './assembledShear';
import { ShearElevation } from './ShearElevation';
import { ShearFiguresSheet } from './ShearFiguresSheet';
import { ShearWays } from './ShearWays';

/** Choose, for an axle on rubber shear springs. */
export const ShearChoose = (station: StationProps) => (
  <KindChoose<'rubberShear'>
    {...station}
    assemble={assembledShear}
    title={(side) => `Rubber block and leaf, ${side}`}
    needs={NEEDS}
    drawing={({ view, side, state, old, built }) => (
      <ShearElevation old={old} built={built} side={side} stateName={state.name} radius={loadedRadius(view)} />
    )}
    stress={{ of: ({ leafStress }) => leafStress, limit: SPRING_STEEL_LIMITS.static }}
    Ways={ShearWays}
    figures={({ side, state, old, built }) => (
      <ShearFiguresSheet
        title={built ? `Block and leaf, ${side}, before and after` : `Block and leaf, ${side}`}
        stateName={state.name}
        old={old}
        built={built}
      />
    )}
  />
);
