'use client';
import { createContext, useContext, useEffect, useRef, useState, type RefObject } from 'react';
import { useWidth } from './useWidth';

export interface Room {
  /** px */
  width: number;
  height: number;
}

/** The box a stage leaves its drawing; null where a drawing may be as tall as its width makes it. */
export const RoomContext = createContext<Room | null>(null);

/** Size of an element, whole CSS pixels; null until it is known. */
export function useSize<T extends HTMLElement>(): [RefObject<T | null>, Room | null] {
  const ref = useRef<T>(null);
  const [size, setSize] = useState<Room | null>(null);
  useEffect(() => {
    if (!ref.current) return;
    const observer = new ResizeObserver(([entry]) => {
      const [width, height] = [entry?.contentRect.width ?? 0, entry?.contentRect.height ?? 0].map(Math.floor);
      if (width && height) setSize((was) => (was?.width === width && was.height === height ? was : { width, height }));
    });
    observer.observe(ref.current);
    return () => observer.disconnect();
  }, []);
  return [ref, size];
}

/**
 * Room for a drawing: the stage's box, or else its own width and any height.
 * @param fallback width until it is known, px @returns what its width is read of, width, height
 */
export function useRoom<T extends HTMLElement>(fallback: number): [RefObject<T | null>, number, number] {
  const room = useContext(RoomContext);
  const [ref, width] = useWidth<T>(fallback);
  return room ? [ref, room.width, room.height] : [ref, width, Infinity];
}
