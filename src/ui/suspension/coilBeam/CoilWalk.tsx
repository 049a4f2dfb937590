'use client';
import { useMemo } from 'react';
import { coilSheetOf } from '@/contracts/sheet';
import { assembleCoil } from '@/core/suspension/coilBeam/assemble';
import { Spots, SPOT_ROWS } from '../../inspect/Spots';
import { type StageProps } from '../../inspect/walk';
import { usePrediction } from '../../prediction/usePrediction';
import { CoilElevation } from './CoilElevation';
import { placesOf } from './walkPlaces';

/** The coil as it stands, with the spots of the walk. */
export function CoilWalk({ view, side, spots, at, onPick }: StageProps) {
  const { input, missing } = useMemo(() => assembleCoil(coilSheetOf(view, [])), [view]);
  const { prediction } = usePrediction(missing.length === 0 ? input : null, 0);
  const state = (prediction?.sides[side] ?? prediction?.sides.left)?.states[0];
  if (!state?.old)
    return (
      <p className="muted">
        {missing.length === 0
          ? 'Drawing…'
          : 'Its sizes, its length and the load on it make the figure. The walk goes by its numbers meanwhile.'}
      </p>
    );
  const { coil, length } = state.old;
  return (
    <CoilElevation
      old={{ figures: state.old, spacer: input.spacer.value }}
      built={null}
      side={side}
      stateName={state.name}
      before={null}
      after={null}
      over={{
        ...SPOT_ROWS,
        draw: (s) => (
          <Spots
            s={s}
            spots={spots}
            at={at}
            places={placesOf((coil.mean + coil.wire) / 2, length + input.spacer.value)}
            onPick={onPick}
          />
        ),
      }}
    />
  );
}
