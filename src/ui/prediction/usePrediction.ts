'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type AxleInput } from '@/core/height/axleInput';
import { type Band } from '@/core/height/band';
import { type AxlePrediction } from '@/core/height/predict';
import { type PredictMessage, type PredictRequest, type StopRequest } from '@/workers/predict.worker';

export interface Preview {
  prediction: AxlePrediction | null;
  bands: Record<'left' | 'right', Band[] | null> | null;
  refused: { field: string; reason: string } | null;
  /** 0–1 while the band is drawn, null when nothing runs. */
  progress: number | null;
}

export interface LivePreview extends Preview {
  /** Gives up the band that is being drawn; the first-order one stays. */
  stop: () => void;
}

interface Answer extends Preview {
  /** The input this answer belongs to, as text. */
  of: string;
}

const IDLE: Answer = { of: '', prediction: null, bands: null, refused: null, progress: null };
/** The preview's own seed; a stored prediction is drawn anew on the server. */
const SEED = 20_201;

/**
 * Solves in a web worker; the latest input wins and stale answers are dropped. `null` = nothing to solve.
 * While a new input is being solved the last answer stays, marked by its progress.
 * @param samples size of the band's draw; 0 for the central answer only
 * @param ranked whether the central answer ranks its inputs
 */
export function usePrediction(input: AxleInput | null, samples = 120, ranked = samples > 0): LivePreview {
  const text = useMemo(() => (input ? JSON.stringify(input) : ''), [input]);
  const [answer, setAnswer] = useState<Answer>(IDLE);
  const worker = useRef<Worker | null>(null);
  const count = useRef(0);

  useEffect(() => {
    const w = new Worker(new URL('../../workers/predict.worker.ts', import.meta.url), { type: 'module' });
    worker.current = w;
    return () => w.terminate();
  }, []);

  useEffect(() => {
    const w = worker.current;
    if (!w || text === '') return;
    const id = ++count.current;
    w.onmessage = ({ data }: MessageEvent<PredictMessage>) => {
      if (data.id !== count.current) return;
      setAnswer((old) => {
        switch (data.stage) {
          case 'central':
            return {
              of: text,
              prediction: data.prediction,
              bands: null,
              refused: null,
              progress: samples > 0 ? 0 : null,
            };
          case 'progress':
            return { ...old, progress: data.done };
          case 'bands':
            return { ...old, bands: data.bands, progress: null };
          case 'refused':
            return { ...IDLE, of: text, refused: data };
        }
      });
    };
    w.postMessage({ id, input: JSON.parse(text) as AxleInput, seed: SEED, samples, ranked } satisfies PredictRequest);
  }, [text, samples, ranked]);

  const stop = useCallback(() => {
    worker.current?.postMessage({ id: ++count.current, stop: true } satisfies StopRequest);
    setAnswer((old) => ({ ...old, progress: null }));
  }, []);

  if (text === '') return { ...IDLE, stop };
  return answer.of === text ? { ...answer, stop } : { ...answer, progress: 0, stop };
}
