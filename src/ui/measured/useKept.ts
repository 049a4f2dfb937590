'use client';
import { useEffect, useState } from 'react';

const keyOf = (name: string): string => `gravelwort-draft:${name}`;

/** Keeps a state for a screen that is opened next. */
export const keepDraft = <T>(name: string, value: T): void => localStorage.setItem(keyOf(name), JSON.stringify(value));

/** State that survives a reload in the browser's storage until it is forgotten; another name is another state. */
export function useKept<T>(name: string, initial: T): [T, (next: T) => void, () => void] {
  const key = keyOf(name);
  const [held, setHeld] = useState({ key, value: initial });
  const value = held.key === key ? held.value : initial;
  useEffect(() => {
    const kept = localStorage.getItem(key);
    if (kept === null) return;
    try {
      // The draft exists only in the browser, so it can be read only after the first paint.
      // eslint-disable-next-line react-hooks/set-state-in-effect
      setHeld({ key, value: JSON.parse(kept) as T });
    } catch {
      localStorage.removeItem(key);
    }
  }, [key]);
  return [
    value,
    (next) => {
      setHeld({ key, value: next });
      localStorage.setItem(key, JSON.stringify(next));
    },
    () => {
      setHeld({ key, value: initial });
      localStorage.removeItem(key);
    },
  ];
}
