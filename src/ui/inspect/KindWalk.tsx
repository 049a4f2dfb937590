'use client';
import { useMemo, type ReactNode } from 'react';
import { type JobView } from '@/contracts/job';
import { type ChangeRow } from '@/contracts/plan';
import { type RuleId } from '@/core/inspection/rules';
import { type PointId } from '@/core/measure/points';
import { type Assembly } from '@/core/suspension/kind';
import { type AxleInput, type InputOf, type KindId, type PredictionOf } from '@/core/suspension/registry';
import { type Scale } from '../drawing/scale';
import { shownAt, type Shown } from '../prediction/shown';
import { usePrediction } from '../prediction/usePrediction';
import { Spots, SPOT_ROWS } from './Spots';
import { type SpotPlace, type StageProps } from './walk';

/** What is drawn over an axle, with rows of its own above and below, px. */
export interface Over {
  top: number;
  bottom: number;
  draw: (s: Scale) => ReactNode;
}

interface Props<K extends KindId> extends StageProps {
  /** Of the kind; the same function at every call. */
  assemble: (view: JobView, changes: readonly ChangeRow[]) => Assembly<InputOf<K>, PointId>;
  /** What makes the figure, in words. */
  needs: string;
  places: (shown: Shown<K>) => Partial<Record<RuleId, SpotPlace>>;
  drawing: (shown: Shown<K>, over: Over) => ReactNode;
}
const AS_IT_STANDS: readonly ChangeRow[] = [];

/** The axle as it stands, with the spots of the walk. */
export function KindWalk<K extends KindId>({
  view,
  side,
  spots,
  at,
  onPick,
  assemble,
  needs,
  places,
  drawing,
}: Props<K>) {
  const { input, missing, refused } = useMemo(() => assemble(view, AS_IT_STANDS), [assemble, view]);
  const { prediction } = usePrediction<AxleInput>(missing.length === 0 ? input : null, 0);
  const shown = shownAt<K>(view, prediction as unknown as PredictionOf<K> | null, { side, k: 0, planned: false });
  if (!shown)
    return (
      <p className="muted">
        {missing.length === 0 && refused.length === 0 ? 'Drawing…' : `${needs} The walk goes by its numbers meanwhile.`}
      </p>
    );
  return drawing(shown, {
    ...SPOT_ROWS,
    draw: (s) => <Spots s={s} spots={spots} at={at} places={places(shown)} onPick={onPick} />,
  });
}
