'use client';
import { useSyncExternalStore } from 'react';

/** Whether a media query holds on this screen; false until the page runs. */
export function useMedia(query: string): boolean {
  return useSyncExternalStore(
    (changed) => {
      const media = window.matchMedia(query);
      media.addEventListener('change', changed);
      return () => media.removeEventListener('change', changed);
    },
    () => window.matchMedia(query).matches,
    () => false,
  );
}
