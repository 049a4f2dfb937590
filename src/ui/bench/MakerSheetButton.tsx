'use client';
import { makerSheet, type LeafOrder } from '@/contracts/makerSheet';
import { download } from '../controls/download';
import { useClockText } from '../measured/Clock';

/** A page for whoever makes the leaf. @param of what it is for, in words */
export function MakerSheetButton({ leaf, of }: { leaf: LeafOrder; of: string }) {
  const clock = useClockText();
  return (
    <button
      type="button"
      className="act quiet"
      onClick={() =>
        download(
          'spring-leaf.svg',
          'image/svg+xml',
          makerSheet(leaf, { for: of, day: clock(new Date().toISOString(), 'day') }),
        )
      }
    >
      Sheet for the spring maker
    </button>
  );
}
