'use client';
import { useState } from 'react';

/** Runs one action at a time and keeps its problem until the next try. */
export function useSend(): {
  busy: boolean;
  problem: unknown;
  run: (action: () => Promise<unknown>) => Promise<boolean>;
} {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<unknown>(null);
  const run = async (action: () => Promise<unknown>) => {
    setBusy(true);
    setProblem(null);
    try {
      await action();
      return true;
    } catch (error) {
      setProblem(error);
      return false;
    } finally {
      setBusy(false);
    }
  };
  return { busy, problem, run };
}
