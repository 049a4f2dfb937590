'use client';
import { useMemo } from 'react';
import { crossSheetOf } from '@/contracts/sheet';
import { assembleCross } from '@/core/suspension/transverseLeaf/assemble';
import { Spots, SPOT_ROWS } from '../../inspect/Spots';
import { type StageProps } from '../../inspect/walk';
import { usePrediction } from '../../prediction/usePrediction';
import { loadedRadius } from '../../figure/values';
import { CrossElevation } from './CrossElevation';
import { halvesOf } from './halves';
import { placesOf } from './walkPlaces';

/** The spring as it stands, with the spots of the walk. */
export function CrossWalk({ view, side, spots, at, onPick }: StageProps) {
  const { input, missing } = useMemo(() => assembleCross(crossSheetOf(view, [])), [view]);
  const { prediction } = usePrediction(missing.length === 0 ? input : null, 0);
  const shown = prediction?.sides[side] ? side : 'left';
  const state = prediction?.sides[shown]?.states[0];
  if (!state?.old)
    return (
      <p className="muted">
        {missing.length === 0 && input.sides.left.spring
          ? 'Drawing…'
          : 'Leaves, halves, where the eyes hang and the load make the figure. The walk goes by its numbers meanwhile.'}
      </p>
    );
  return (
    <CrossElevation
      old={halvesOf(prediction, 0, 'old')}
      built={null}
      stateName={state.name}
      radius={loadedRadius(view)}
      over={{
        ...SPOT_ROWS,
        draw: (s) => <Spots s={s} spots={spots} at={at} places={placesOf(state.old!, shown)} onPick={onPick} />,
      }}
    />
  );
}
