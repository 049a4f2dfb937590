'use client';
import { type ReactNode } from 'react';
import { HOLDS_STILL } from '../frame/holdsStill';
import { useMedia } from '../theme/useMedia';
import { RoomContext, useSize } from './useRoom';

/** A box whose drawing is as large as the box, where the page holds still; elsewhere as tall as its width makes it. */
export function RoomBox({ className, children }: { className: string; children: ReactNode }) {
  const still = useMedia(HOLDS_STILL);
  const [box, room] = useSize<HTMLDivElement>();
  return (
    <div className={className} ref={box}>
      <RoomContext value={still ? room : null}>{children}</RoomContext>
    </div>
  );
}
