'use client';
import { useEffect, useState, useSyncExternalStore } from 'react';

const watch = (told: () => void) => {
  window.addEventListener('online', told);
  window.addEventListener('offline', told);
  return () => {
    window.removeEventListener('online', told);
    window.removeEventListener('offline', told);
  };
};

/** Whether there is a network, and whether this screen would work without one; the worker that keeps it is installed on the way. */
export function useNetwork(): { words: string } {
  const online = useSyncExternalStore(
    watch,
    () => navigator.onLine,
    () => true,
  );
  // Sent here from another page that could not be reached.
  const unreached = useSyncExternalStore(
    () => () => undefined,
    () => window.location.hash === '#unreached',
    () => false,
  );
  const [kept, setKept] = useState(false);
  useEffect(() => {
    // Only over TLS, or on this machine: a browser allows no worker elsewhere.
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    void navigator.serviceWorker
      .register('/handbook-worker.js', { scope: '/' })
      .then(() => navigator.serviceWorker.ready)
      .then(() => setKept(true))
      .catch(() => undefined);
  }, []);
  if (!online) return { words: 'no network: sums and tables work, jobs do not' };
  if (unreached) return { words: 'that page could not be reached; sums and tables work without the server' };
  return {
    words: kept
      ? 'sums and tables, kept on this screen for when there is no network'
      : 'sums and tables, without a job',
  };
}
