'use client';
import { useMemo } from 'react';
import { type RuleId } from '@/core/inspection/rules';
import { rockerSpots, springLine, type PairShape } from '@/core/suspension/tandem/elevation';
import { Spots, SPOT_ROWS } from '../../inspect/Spots';
import { type SpotPlace, type StageProps } from '../../inspect/walk';
import { usePrediction } from '../../prediction/usePrediction';
import { assembledPair, radiusOf } from './TandemChoose';
import { TandemElevation } from './TandemElevation';

/** Front hanger to rear hanger, the joint of the two in the middle. */
export const TANDEM_WALK: readonly RuleId[] = [
  ...(['hanger', 'pivotBolt', 'leafBroken', 'pitting', 'tips', 'centreBolt', 'uBolts', 'uBoltEven'] as const),
  ...(['shackle', 'rocker', 'slipper', 'bush', 'sag', 'gap', 'clips', 'order', 'witness', 'shock', 'square'] as const),
];

function placesOf(shape: PairShape): Partial<Record<RuleId, SpotPlace>> {
  const [front, rear] = [springLine(shape, 'front'), springLine(shape, 'rear')];
  const pivot = rockerSpots(shape)?.pivot ?? { x: 0, y: 0 };
  const on = (line: { x: number; y: number }[], share: number) => line[Math.round(share * (line.length - 1))]!;
  const above = (p: { x: number; y: number }): SpotPlace => ({ x: p.x, y: p.y, row: 'above' });
  const below = (p: { x: number; y: number }): SpotPlace => ({ x: p.x, y: p.y, row: 'below' });
  return {
    hanger: above({ x: front.eye.x, y: front.eye.y + 30 }),
    pivotBolt: below(front.eye),
    leafBroken: above(on(front.line, 0.25)),
    pitting: below(on(front.line, 0.4)),
    centreBolt: above(on(front.line, 0.5)),
    uBolts: below(front.hub),
    uBoltEven: below({ x: front.hub.x + 40, y: front.hub.y }),
    tips: below(on(front.line, 0.75)),
    shackle: below(front.inner),
    rocker: above(pivot),
    slipper: above(front.inner),
    bush: below(rear.inner),
    sag: above(on(rear.line, 0.3)),
    gap: below(on(rear.line, 0.4)),
    clips: above(on(rear.line, 0.7)),
    order: above(on(rear.line, 0.85)),
    witness: below(on(rear.line, 0.7)),
    shock: below({ x: rear.hub.x + 60, y: rear.hub.y }),
    square: below(rear.hub),
  };
}

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
      radius={radiusOf(view)}
      bump={0}
      over={{
        ...SPOT_ROWS,
        draw: (s) => <Spots s={s} spots={spots} at={at} places={placesOf(state.old!.shape)} onPick={onPick} />,
      }}
    />
  );
}
