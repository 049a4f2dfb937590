'use client';
import { crossSheetOf } from '@/contracts/sheet';
import { CROSS_FLAG_RULES, crossConsistency } from '@/core/suspension/transverseLeaf/consistency';
import { CROSS_POINT_OF } from '@/core/suspension/transverseLeaf/narrowing';
import { type JobView } from '@/contracts/job';
import { type StationProps } from '../../frame/JobFrame';
import { loadedRadius } from '../../figure/values';
import { KindMeasure } from '../../measure/KindMeasure';
import { assembledCross, NEEDS } from './assembledCross';
import { CrossElevation } from './CrossElevation';
import { CROSS_FIGURES } from './crossFigures';
import { CrossFiguresSheet } from './CrossFiguresSheet';
import { halvesOf } from './halves';

const watch = (view: JobView) => crossConsistency(crossSheetOf(view));

/** Measure, for an axle on one spring across. */
export const CrossMeasure = (station: StationProps) => (
  <KindMeasure<'transverseLeaf'>
    {...station}
    assemble={assembledCross}
    watch={watch}
    rules={CROSS_FLAG_RULES}
    pointOf={CROSS_POINT_OF}
    figures={CROSS_FIGURES}
    secondIn="cross"
    answers={({ sides, upright }, missing) => [
      { name: 'spindles, drop axle', ready: Boolean(sides.left.height && sides.right.height), lacks: 'both heights' },
      { name: 'rate, roll and what another spring does', ready: missing === 0, lacks: `${missing} readings` },
      {
        name: 'camber over the travel',
        ready: missing === 0 && upright !== null,
        lacks: 'what stands the wheels up',
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
    drawing={({ view, prediction, state }) => (
      <CrossElevation
        old={halvesOf(prediction, 0, 'old')}
        built={null}
        stateName={state.name}
        radius={loadedRadius(view)}
      />
    )}
    facts={({ side, state, old }) => (
      <CrossFiguresSheet title={`Half of the spring, ${side}`} stateName={state.name} old={old} built={null} />
    )}
  />
);
