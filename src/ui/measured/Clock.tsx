'use client';
import { createContext, useContext } from 'react';

/** The zone of the shop, so that every date and time on a screen is its own; null for the machine's. */
export const ZoneContext = createContext<string>('UTC');

/** A moment as the shop's clock shows it: day and time, or the day alone. */
export function useClockText(): (at: string, what?: 'day' | 'time') => string {
  const zone = useContext(ZoneContext);
  return (at, what) => {
    const parts = new Intl.DateTimeFormat('en-GB', {
      timeZone: zone,
      year: 'numeric',
      month: '2-digit',
      day: '2-digit',
      hour: '2-digit',
      minute: '2-digit',
    }).formatToParts(new Date(at));
    const of = (type: Intl.DateTimeFormatPartTypes) => parts.find((p) => p.type === type)?.value ?? '';
    const day = `${of('year')}-${of('month')}-${of('day')}`;
    const time = `${of('hour')}:${of('minute')}`;
    return what === 'day' ? day : what === 'time' ? time : `${day} ${time}`;
  };
}

export function Clock({ at, what }: { at: string; what?: 'day' | 'time' }) {
  const text = useClockText();
  return <time dateTime={at}>{text(at, what)}</time>;
}
