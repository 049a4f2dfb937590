'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type Band } from '@/core/prediction/band';
import { type AxleInput, type AxlePrediction, type PredictionFor } from '@/core/suspension/registry';
import { type Side } from '@/core/vehicle/side';
import { type PredictMessage, type PredictRequest, type StopRequest } from '@/workers/predict.worker';
import { useWorker } from './useWorker';

export interface Preview<P = AxlePrediction> {
  prediction: P | null;
  bands: Record<'left' | 'right', Band[] | null> | null;
  refused: { field: string; reason: string } | null;
  /** The solver itself failed: not the readings' fault. */
  fault: string | null;
  /** 0–1 while the band is drawn, null when nothing runs. */
  progress: number | null;
}

export interface LivePreview<P = AxlePrediction> extends Preview<P> {
  /** Gives up the band that is being drawn; the first-order one stays. */
  stop: () => void;
}

interface Answer extends Preview {
  /** The input this answer belongs to, as text. */
  of: string;
}

const IDLE: Answer = { of: '', prediction: null, bands: null, refused: null, fault: null, progress: null };
/** Until its own curves are there the last ones stay: a chart must not blink while something is dragged. */
function withCurves(now: AxlePrediction, last: AxlePrediction | null): AxlePrediction {
  if (last?.kind !== now.kind) return now;
  const kept = (side: Side) => now.sides[side] && { ...now.sides[side], curve: last.sides[side]?.curve ?? [] };
  return { ...now, sides: { left: kept('left'), right: kept('right') } } as AxlePrediction;
}

const makeWorker = () => new Worker(new URL('../../workers/predict.worker.ts', import.meta.url), { type: 'module' });
/** The preview's own seed; a stored prediction is drawn anew on the server. */
const SEED = 20_201;

/**
 * Solves in a web worker; the latest input wins and stale answers are dropped. `null` = nothing to solve.
 * While a new input is being solved the last answer stays, marked by its progress.
 * @param samples size of the band's draw; 0 for the central answer only, without its curves
 * @param ranked whether the central answer ranks its inputs
 * @param whole nothing is shown before the central answer is whole
 */
export function usePrediction<I extends AxleInput>(
  input: I | null,
  samples = 20_000,
  ranked = samples > 0,
  whole = false,
): LivePreview<PredictionFor<I>> {
  const text = useMemo(() => (input ? JSON.stringify(input) : ''), [input]);
  const [answer, setAnswer] = useState<Answer>(IDLE);
  const count = useRef(0);
  const of = useRef('');
  const ask = useWorker<PredictRequest | StopRequest, PredictMessage>(makeWorker, {
    hear: (data) => {
      if (data.id !== count.current) return true;
      setAnswer((old) => {
        switch (data.stage) {
          case 'central':
            return {
              ...IDLE,
              of: of.current,
              prediction: data.whole ? data.prediction : withCurves(data.prediction, old.prediction),
              progress: samples > 0 ? 0 : null,
            };
          case 'progress':
            return { ...old, progress: data.done };
          case 'bands':
            return { ...old, bands: data.bands, progress: null };
          case 'refused':
            return { ...IDLE, of: of.current, refused: data };
          case 'fault':
            return { ...IDLE, of: of.current, fault: data.reason };
        }
      });
      return data.stage === 'progress' || (data.stage === 'central' && samples > 0);
    },
    died: (reason) => setAnswer({ ...IDLE, of: of.current, fault: reason }),
  });

  useEffect(() => {
    if (text === '') return;
    of.current = text;
    const id = ++count.current;
    ask({ id, input: JSON.parse(text) as AxleInput, seed: SEED, samples, ranked, whole });
  }, [text, samples, ranked, whole, ask]);

  const stop = useCallback(() => {
    ask({ id: ++count.current, stop: true }, false);
    setAnswer((old) => ({ ...old, progress: null }));
  }, [ask]);

  // An answer to another kind of question is never shown, not even while the next one is solved.
  const own = answer.prediction === null || answer.prediction.kind === input?.kind ? answer : IDLE;
  if (text === '') return { ...IDLE, prediction: null, stop };
  const prediction = own.prediction as PredictionFor<I> | null;
  return own.of === text ? { ...own, prediction, stop } : { ...own, prediction, progress: 0, stop };
}
