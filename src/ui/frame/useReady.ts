'use client';
import { useSyncExternalStore } from 'react';

const never = () => () => undefined;

/** False in the server's HTML and until the page's program runs; what is typed before that would be lost. */
export const useReady = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
