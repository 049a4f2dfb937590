'use client';
import { createContext } from 'react';

/** What a docked pad offers besides its keys. */
export interface PadOffers {
  /** Named on the key that keeps the figure: what is walked to next. */
  next: string | null;
  /** What the other side reads, to be taken over in one tap. */
  same: { side: string; typed: string } | null;
}

/** A pad that stands in its own place on the screen and stays there; null: it comes up from below with the field. */
export const PadContext = createContext<PadOffers | null>(null);
