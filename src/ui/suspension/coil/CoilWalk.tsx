'use client';
import { useMemo } from 'react';
import { Spots, SPOT_ROWS } from '../../inspect/Spots';
import { type StageProps } from '../../inspect/walk';
import { usePrediction } from '../../prediction/usePrediction';
import { assembledCoil } from './assembledCoil';
import { CoilDrawing, swingPlace } from './CoilDrawing';
import { placesOf, placesOnBeam } from './walkPlaces';

/** The coil as it stands, with the spots of the walk. */
export function CoilWalk({ view, side, spots, at, onPick }: StageProps) {
  const { input, missing } = useMemo(() => assembledCoil(view, []), [view]);
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
  const shown = prediction?.sides[side] ? side : 'left';
  const { coil, length, swing } = state.old;
  const place = swingPlace(view, input);
  const half = (coil.mean + coil.wire) / 2;
  const places =
    place && swing
      ? placesOnBeam(place, shown, swing.slope, length, half)
      : placesOf(half, length + input.spacer.value);
  return (
    <CoilDrawing
      view={view}
      input={input}
      prediction={prediction}
      side={shown}
      k={0}
      planned={false}
      over={{
        ...SPOT_ROWS,
        draw: (s) => <Spots s={s} spots={spots} at={at} places={places} onPick={onPick} />,
      }}
    />
  );
}
