'use client';
import { useEffect, useState } from 'react';

/** Keeps this job's Build page on this screen for when there is no network. @returns whether it is kept */
export function useKeptPage(jobId: string): boolean {
  const [kept, setKept] = useState(false);
  useEffect(() => {
    // Only over TLS, or on this machine: a browser allows no worker elsewhere.
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    const path = `/jobs/${jobId}/build`;
    const told = ({ data }: MessageEvent<{ kept?: string }>) => {
      if (data.kept === path) setKept(true);
    };
    navigator.serviceWorker.addEventListener('message', told);
    void navigator.serviceWorker
      .register('/handbook-worker.js', { scope: '/' })
      .then(() => navigator.serviceWorker.ready)
      .then(({ active }) => active?.postMessage({ keep: path }))
      .catch(() => undefined);
    return () => navigator.serviceWorker.removeEventListener('message', told);
  }, [jobId]);
  return kept;
}
