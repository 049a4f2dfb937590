'use client';
import { useMemo } from 'react';
import { Spots, SPOT_ROWS } from '../../inspect/Spots';
import { type StageProps } from '../../inspect/walk';
import { usePrediction } from '../../prediction/usePrediction';
import { loadedRadius } from '../../figure/values';
import { assembledPair } from './assembledPair';
import { TandemElevation } from './TandemElevation';
import { placesOf } from './walkPlaces';

/** The pair as it stands, with the spots of the walk. */
export function TandemWalk({ view, side, spots, at, onPick }: StageProps) {
  const { input, missing } = useMemo(() => assembledPair(view, []), [view]);
  const { prediction } = usePrediction(missing.length === 0 ? input : null, 0);
  const state = (prediction?.sides[side] ?? prediction?.sides.left)?.states[0];
  if (!state?.old)
    return (
      <p className="muted">
        {missing.length === 0
          ? 'Drawing…'
          : 'Springs, what joins them and the load make the figure. The walk goes by its numbers meanwhile.'}
      </p>
    );
  return (
    <TandemElevation
      old={null}
      shown={state.old}
      look="now"
      side={side}
      stateName={state.name}
      radius={loadedRadius(view)}
      bump={0}
      over={{
        ...SPOT_ROWS,
        draw: (s) => <Spots s={s} spots={spots} at={at} places={placesOf(state.old!.shape)} onPick={onPick} />,
      }}
    />
  );
}
