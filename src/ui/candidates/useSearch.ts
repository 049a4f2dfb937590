'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import { type Ranked, type SearchResult } from '@/core/selection/search';
import {
  type CompareQuestion,
  type SearchQuestion,
  type SearchSaid,
  type SearchStop,
} from '@/workers/candidates.worker';
import { useWorker } from '../prediction/useWorker';

export interface LiveSearch {
  result: SearchResult | null;
  /** What the result was asked with, as text: another question makes it stale. */
  of: string;
  ms: number;
  refused: string | null;
  /** The solver itself failed. */
  fault: string | null;
  /** 0–1 while it runs, null otherwise. */
  progress: number | null;
  ask: (question: Omit<SearchQuestion, 'id'>) => void;
  stop: () => void;
}

const makeWorker = () => new Worker(new URL('../../workers/candidates.worker.ts', import.meta.url), { type: 'module' });

/** Ranks candidates in a worker; a new question or a stop ends the one at work. */
export function useSearch(): LiveSearch {
  const [state, setState] = useState<Omit<LiveSearch, 'ask' | 'stop'>>({
    result: null,
    of: '',
    ms: 0,
    refused: null,
    fault: null,
    progress: null,
  });
  const count = useRef(0);
  const asked = useRef('');
  const send = useWorker<SearchQuestion | SearchStop, SearchSaid>(makeWorker, {
    hear: (data) => {
      if (data.id !== count.current) return true;
      if (data.kind === 'progress') setState((s) => ({ ...s, progress: data.share }));
      else if (data.kind === 'refused') setState((s) => ({ ...s, refused: data.reason, progress: null }));
      else if (data.kind === 'fault') setState((s) => ({ ...s, fault: data.reason, progress: null }));
      else if (data.kind === 'found')
        setState({ result: data.result, of: asked.current, ms: data.ms, refused: null, fault: null, progress: null });
      return data.kind === 'progress';
    },
    died: (reason) => setState((s) => ({ ...s, fault: reason, progress: null })),
  });
  const ask = useCallback(
    (question: Omit<SearchQuestion, 'id'>) => {
      asked.current = JSON.stringify(question);
      setState((s) => ({ ...s, refused: null, fault: null, progress: 0 }));
      send({ ...question, id: ++count.current });
    },
    [send],
  );
  const stop = useCallback(() => {
    send({ id: ++count.current, stop: true }, false);
    setState((s) => ({ ...s, progress: null }));
  }, [send]);
  return { ...state, ask, stop };
}

export interface Compared {
  /** In the order asked; null for one that cannot stand, or while it is not solved. */
  found: (Ranked | null)[];
  refused: string | null;
  fault: string | null;
  solving: boolean;
}

/** The figures of a few candidates or plans, solved whenever they change. @param question null = nothing to solve */
export function useCompare(question: Omit<CompareQuestion, 'id'> | null): Compared {
  const text = question === null ? '' : JSON.stringify(question);
  const [state, setState] = useState<Compared & { of: string }>({
    of: '',
    found: [],
    refused: null,
    fault: null,
    solving: false,
  });
  const count = useRef(0);
  const asked = useRef('');
  const send = useWorker<CompareQuestion, SearchSaid>(makeWorker, {
    hear: (data) => {
      if (data.id !== count.current || data.kind === 'progress') return true;
      const none = { of: asked.current, found: [], refused: null, fault: null, solving: false };
      if (data.kind === 'compared') setState({ ...none, found: data.found });
      else if (data.kind === 'refused') setState({ ...none, refused: data.reason });
      else if (data.kind === 'fault') setState({ ...none, fault: data.reason });
      return false;
    },
    died: (reason) => setState({ of: asked.current, found: [], refused: null, fault: reason, solving: false }),
  });
  useEffect(() => {
    if (text === '') return;
    asked.current = text;
    send({ ...(JSON.parse(text) as Omit<CompareQuestion, 'id'>), id: ++count.current });
  }, [text, send]);
  return state.of === text ? state : { ...state, found: [], solving: text !== '' };
}
