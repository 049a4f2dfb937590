'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { type SearchResult } from '@/core/selection/search';
import { type SearchQuestion, type SearchSaid, type SearchStop } from '@/workers/candidates.worker';

export interface LiveSearch {
  result: SearchResult | null;
  /** What the result was asked with, as text: another question makes it stale. */
  of: string;
  ms: number;
  refused: string | null;
  /** 0–1 while it runs, null otherwise. */
  progress: number | null;
  ask: (question: Omit<SearchQuestion, 'id'>) => void;
  stop: () => void;
}

/** Ranks candidates in a worker; a new question or a stop ends the one at work. */
export function useSearch(): LiveSearch {
  const [state, setState] = useState<Omit<LiveSearch, 'ask' | 'stop'>>({
    result: null,
    of: '',
    ms: 0,
    refused: null,
    progress: null,
  });
  const worker = useRef<Worker | null>(null);
  const count = useRef(0);
  const asked = useRef('');
  useEffect(() => {
    const w = new Worker(new URL('../../workers/candidates.worker.ts', import.meta.url), { type: 'module' });
    worker.current = w;
    w.onmessage = ({ data }: MessageEvent<SearchSaid>) => {
      if (data.id !== count.current) return;
      if (data.kind === 'progress') setState((s) => ({ ...s, progress: data.share }));
      else if (data.kind === 'refused') setState((s) => ({ ...s, refused: data.reason, progress: null }));
      else setState({ result: data.result, of: asked.current, ms: data.ms, refused: null, progress: null });
    };
    return () => w.terminate();
  }, []);
  const ask = useCallback((question: Omit<SearchQuestion, 'id'>) => {
    asked.current = JSON.stringify(question);
    setState((s) => ({ ...s, refused: null, progress: 0 }));
    worker.current?.postMessage({ ...question, id: ++count.current } satisfies SearchQuestion);
  }, []);
  const stop = useCallback(() => {
    worker.current?.postMessage({ id: ++count.current, stop: true } satisfies SearchStop);
    setState((s) => ({ ...s, progress: null }));
  }, []);
  return { ...state, ask, stop };
}
