'use client';
import { type Operation } from '@/core/procedure/operation';
import { Marked } from '../controls/Mark';

export type Tick = (operation: Operation, done: boolean) => void;

export const spoken = ({ side, act }: Operation): string => (side ? `${side}: ${act}` : act);

/** What to mark before, look out for, and leave loose. */
export function StepNotes({ operation: { mark, caution, loose } }: { operation: Operation }) {
  return (
    <>
      {mark ? <p className="small">First: {mark}</p> : null}
      {caution ? (
        <p className="small">
          <Marked kind="look">{caution}</Marked>
        </p>
      ) : null}
      {loose ? <p className="small muted">Stays loose: {loose}</p> : null}
    </>
  );
}
