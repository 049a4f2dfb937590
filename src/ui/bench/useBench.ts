'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import { done, laidOut, redone, undone, type Bench, type BenchPack, type BenchStep } from '@/core/bench/benchPack';
import { CoreError } from '@/core/errors';
import { type BenchQuestion, type BenchReply } from '@/workers/bench.worker';
import { useKept } from '../measured/useKept';
import { useWorker } from '../prediction/useWorker';

export interface BenchHandle {
  bench: Bench;
  /** Why the last step could not be done. */
  refused: string | null;
  /** Does a step; the reason when it cannot be done, null when it was. `quiet` leaves telling it to the caller. */
  step: (step: BenchStep, quiet?: boolean) => string | null;
  undo: () => void;
  redo: () => void;
  /** Lays the pack down as it was brought. */
  startOver: () => void;
}

/** What lies on the bench; it survives a reload with every step that can be undone. */
export function useBench(name: string, was: BenchPack): BenchHandle {
  const [kept, setKept, forget] = useKept<Bench | null>(`bench|${name}`, null);
  const [refused, setRefused] = useState<string | null>(null);
  const bench = kept ?? laidOut(was);
  const set = (next: Bench) => {
    setRefused(null);
    setKept(next);
  };
  return {
    bench,
    refused,
    step: (step, quiet = false) => {
      try {
        set(done(bench, step));
        return null;
      } catch (error) {
        if (!(error instanceof CoreError)) throw error;
        if (!quiet) setRefused(error.message);
        return error.message;
      }
    },
    undo: () => set(undone(bench)),
    redo: () => set(redone(bench)),
    startOver: () => {
      setRefused(null);
      forget();
    },
  };
}

const makeWorker = () => new Worker(new URL('../../workers/bench.worker.ts', import.meta.url), { type: 'module' });

/** Asks a worker for the packs under a load; the latest question wins. A worker that fails is told as such. */
export function useBenchFigures(
  packs: BenchQuestion['packs'],
  load: number,
  most: number,
): { reply: BenchReply | null; fault: string | null } {
  const [reply, setReply] = useState<BenchReply | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const key = useRef(0);
  const text = useMemo(() => JSON.stringify(packs), [packs]);
  const ask = useWorker<BenchQuestion, BenchReply>(makeWorker, {
    hear: (data) => {
      if (data.key !== key.current) return true;
      setReply(data);
      setFault(null);
      return false;
    },
    died: setFault,
  });
  useEffect(() => {
    ask({ key: ++key.current, packs: JSON.parse(text) as BenchQuestion['packs'], load, most });
  }, [text, load, most, ask]);
  return { reply, fault };
}
