'use client';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { type Side } from '@/core/vehicle/side';
import { type Where } from '@/core/suspension/longitudinalLeaf/underLoad';
import { type SpringPair, type SpringQuestion, type SpringReach, type SpringReply } from '@/workers/spring.worker';
import { faultText, useWorker } from '../prediction/useWorker';

const makeWorker = () => new Worker(new URL('../../workers/spring.worker.ts', import.meta.url), { type: 'module' });

export interface LiveSpring {
  /** The last answer, and where it stands. */
  shown: { where: Where; pair: SpringPair } | null;
  /** What the drawing holds over the whole range of loads. */
  reach: Record<Where, SpringReach> | null;
  refused: string | null;
  ask: (load: number, where: Where) => void;
}

/**
 * Asks a worker for one spring under a load; the latest question wins. Asked anew whenever the input changes.
 * @param input null = nothing to solve @param least @param most loads that will be asked for, N
 */
export function useSpring(input: LeafAxleInput | null, side: Side, least: number, most: number): LiveSpring {
  const text = useMemo(() => (input ? JSON.stringify(input) : ''), [input]);
  const [shown, setShown] = useState<LiveSpring['shown']>(null);
  const [reach, setReach] = useState<LiveSpring['reach']>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const key = useRef(0);
  const count = useRef(0);
  const last = useRef<{ load: number; where: Where } | null>(null);
  const send = useWorker<SpringQuestion, SpringReply>(makeWorker, {
    hear: (data) => {
      if (data.key !== key.current) return true;
      if (data.kind === 'refused') setRefused(data.reason);
      else if (data.kind === 'reach') setReach(data.reach);
      else {
        setRefused(null);
        setShown({ where: data.where, pair: data.answer });
      }
      return false;
    },
    died: (reason) => setRefused(faultText(reason)),
  });

  const ask = useCallback(
    (load: number, where: Where) => {
      last.current = { load, where };
      send({ kind: 'load', key: key.current, id: ++count.current, load, where }, false);
    },
    [send],
  );

  useEffect(() => {
    if (text === '') return;
    send({ kind: 'spring', key: ++key.current, input: JSON.parse(text) as LeafAxleInput, side, least, most });
    if (last.current) ask(last.current.load, last.current.where);
  }, [text, side, least, most, ask, send]);

  return text === '' ? { shown: null, reach: null, refused: null, ask } : { shown, reach, refused, ask };
}
