'use client';
import { useCallback, useEffect, useRef } from 'react';

/** A worker that says nothing for this long while an answer is due has died or lost its way, ms. */
const PATIENCE = 60_000;

interface Handlers<Reply> {
  /** Whether more is to come of what was asked. */
  hear: (reply: Reply) => boolean;
  /** The worker failed, could not be loaded or fell silent; a new one stands ready. */
  died: (reason: string) => void;
}

/**
 * The one way to a solver in a worker. It may fail: then `died` is told, so that no progress turns for ever, and the next question
 * goes to a new worker. @param make makes the worker; a function outside the component @returns asks; the answer comes to `hear`
 */
export function useWorker<Question, Reply>(
  make: () => Worker,
  handlers: Handlers<Reply>,
): (question: Question, waits?: boolean) => void {
  const worker = useRef<Worker | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const to = useRef(handlers);
  useEffect(() => {
    to.current = handlers;
  });

  const start = useCallback((): Worker => {
    const w = make();
    const end = (reason: string) => {
      if (worker.current !== w) return;
      clearTimeout(timer.current);
      w.terminate();
      worker.current = null;
      to.current.died(reason);
    };
    w.onmessage = ({ data }: MessageEvent<Reply>) => {
      clearTimeout(timer.current);
      if (to.current.hear(data)) timer.current = setTimeout(() => end('it does not answer'), PATIENCE);
    };
    w.onerror = (event) => {
      event.preventDefault();
      end(event.message || 'it could not be loaded');
    };
    w.onmessageerror = () => end('its answer cannot be read');
    worker.current = w;
    return w;
  }, [make]);

  useEffect(
    () => () => {
      clearTimeout(timer.current);
      worker.current?.terminate();
      worker.current = null;
    },
    [],
  );

  return useCallback(
    (question, waits = true) => {
      const w = worker.current ?? start();
      clearTimeout(timer.current);
      if (waits)
        timer.current = setTimeout(() => {
          w.terminate();
          worker.current = null;
          to.current.died('it does not answer');
        }, PATIENCE);
      w.postMessage(question);
    },
    [start],
  );
}

/** How a fault of the program is told, apart from readings that cannot be solved. */
export const faultText = (reason: string): string =>
  `The solver on this page failed (${reason}). The readings are not to blame; reload the page, and tell who keeps this server if it stays.`;
