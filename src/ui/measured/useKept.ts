'use client';
import { useEffect, useState } from 'react';

/** State that survives a reload in the browser's storage until it is forgotten. */
export function useKept<T>(name: string, initial: T): [T, (next: T) => void, () => void] {
  const key = `gravelwort-draft:${name}`;
  const [value, setValue] = useState(initial);
  useEffect(() => {
    const kept = localStorage.getItem(key);
    if (kept === null) return;
    try {
      // The draft exists only in the browser, so it can be read only after the first paint.
      // eslint-disable-next-line react-hooks/set-state-in-effect
      setValue(JSON.parse(kept) as T);
    } catch {
      localStorage.removeItem(key);
    }
  }, [key]);
  return [
    value,
    (next) => {
      setValue(next);
      localStorage.setItem(key, JSON.stringify(next));
    },
    () => {
      setValue(initial);
      localStorage.removeItem(key);
    },
  ];
}
