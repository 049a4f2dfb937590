'use client';
import { type Operation } from '@/core/procedure/operation';
import { Marked } from '../controls/Mark';

export type Tick = (operation: Operation, done: boolean) => void;

export const spoken = ({ side, act }: Operation): string => (side ? `${side}: ${act}` : act);

/** What to mark before, look out for, and leave loose. */
/** @param marked the mark is asked for elsewhere */
export function StepNotes({
  operation: { mark, caution, loose },
  marked = false,
}: {
  operation: Operation;
  marked?: boolean;
}) {
  return (
    <>
      {mark && !marked ? <p className="small">First: {mark}</p> : null}
      {caution ? (
        <p className="small">
          <Marked kind="look">{caution}</Marked>
        </p>
      ) : null}
      {loose ? <p className="small muted">Stays loose: {loose}</p> : null}
    </>
  );
}
