'use client';
import { type JobView } from '@/contracts/job';
import { shearSheetOf } from '@/contracts/sheet';
import { SHEAR_FLAG_RULES, shearConsistency } from '@/core/suspension/rubberShear/consistency';
import { SHEAR_POINT_OF } from '@/core/suspension/rubberShear/narrowing';
import { loadedRadius } from '../../figure/values';
import { type StationProps } from '../../frame/JobFrame';
import { KindMeasure } from '../../measure/KindMeasure';
import { assembledShear, NEEDS } from './assembledShear';
import { ShearElevation } from './ShearElevation';
import { SHEAR_FIGURES } from './shearFigures';
import { ShearFiguresSheet } from './ShearFiguresSheet';

const watch = (view: JobView) => shearConsistency(shearSheetOf(view));

/** Measure, for an axle on rubber shear springs. */
export const ShearMeasure = (station: StationProps) => (
  <KindMeasure<'rubberShear'>
    {...station}
    assemble={assembledShear}
    watch={watch}
    rules={SHEAR_FLAG_RULES}
    pointOf={SHEAR_POINT_OF}
    figures={SHEAR_FIGURES}
    secondIn="shear"
    answers={({ sides, block }, missing) => [
      { name: 'rate, shear, what another block does', ready: missing === 0, lacks: `${missing} readings` },
      {
        name: 'a rate that is not only guessed from rubber in general',
        ready: block !== null && block.rate.origin !== 'assumed',
        lacks: 'its hardness, or its maker’s rate',
      },
      {
        name: 'rate that was measured, not computed',
        ready: Boolean(sides.left.spring?.second ?? sides.right.spring?.second),
        lacks: 'the heights under a second load',
      },
    ]}
    meanwhile="Until then its rate is the one of its sizes."
    title="The spring as it stands"
    needs={NEEDS}
    drawing={({ view, side, state, old }) => (
      <ShearElevation old={old} built={null} side={side} stateName={state.name} radius={loadedRadius(view)} />
    )}
    facts={({ side, state, old }) => (
      <ShearFiguresSheet title={`Block and leaf, ${side}`} stateName={state.name} old={old} built={null} />
    )}
  />
);
