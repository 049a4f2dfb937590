'use client';
import { useMemo } from 'react';
import { coilSheetOf } from '@/contracts/sheet';
import { type RuleId } from '@/core/inspection/rules';
import { assembleCoil } from '@/core/suspension/coilBeam/assemble';
import { Spots, SPOT_ROWS } from '../../inspect/Spots';
import { type SpotPlace, type StageProps } from '../../inspect/walk';
import { usePrediction } from '../../prediction/usePrediction';
import { CoilElevation } from './CoilElevation';

/** From the frame down, then along the axle. */
export const COIL_WALK: readonly RuleId[] = [
  ...(['coilSeat', 'coilBroken', 'coilSag', 'coilClash', 'coilPitting', 'bumpStop', 'shock'] as const),
  ...(['links', 'bush', 'square'] as const),
];

/** @param half of the coil's outside @param length seat to seat with its spacers, mm */
function placesOf(half: number, length: number): Partial<Record<RuleId, SpotPlace>> {
  return {
    coilSeat: { x: -half * 0.6, y: 0, row: 'above' },
    coilBroken: { x: -half * 0.8, y: -length * 0.15, row: 'above' },
    coilSag: { x: half * 0.9, y: -length * 0.3, row: 'above' },
    coilClash: { x: half * 0.9, y: -length * 0.55, row: 'above' },
    bumpStop: { x: half * 1.3, y: -10, row: 'above' },
    coilPitting: { x: -half * 0.8, y: -length * 0.85, row: 'below' },
    shock: { x: half * 1.4, y: -length, row: 'below' },
    links: { x: -half * 1.3, y: -length - 20, row: 'below' },
    bush: { x: -half * 1.7, y: -length - 20, row: 'below' },
    square: { x: 0, y: -length - 23, row: 'below' },
  };
}

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
