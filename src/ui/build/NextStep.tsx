'use client';
import { useEffect, useRef } from 'react';
import { type OrderOfWork } from '@/contracts/orderOfWork';
import { Marked } from '../controls/Mark';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { spoken, StepNotes, useTick } from './steps';

/** A step that has only just come up was read by nobody: a glove that taps twice, or taps again while the network is slow, must not tick it, ms. */
const TWICE = 700;

/** The step at hand, to be read from under the vehicle; and what cannot be as it was ticked. */
export function NextStep({ job, order }: { job: JobHandle; order: OrderOfWork }) {
  const { problem, tick } = useTick(job);
  const { next, hazards } = order.progress;
  const shownAt = useRef(-Infinity);
  useEffect(() => {
    shownAt.current = performance.now();
  }, [next?.id]);
  const press = () => {
    if (next && performance.now() - shownAt.current > TWICE) tick(next, true);
  };
  const number = order.steps.findIndex(({ operation }) => operation === next) + 1;
  return (
    <section className="sheet next-step" aria-label="Next step" data-testid="next-step">
      {hazards.map(({ id, says }) => (
        <p key={id} className="stop-word">
          STOP: {says} That is how it is ticked below.
        </p>
      ))}
      {next ? (
        <>
          <div>
            <p>
              <span className="figure">
                {number}/{order.steps.length}
              </span>{' '}
              <strong>{spoken(next)}</strong>
            </p>
            <StepNotes operation={next} />
          </div>
          <button type="button" className="act" onClick={press}>
            Done
          </button>
        </>
      ) : (
        <p>
          <Marked kind="done">Every step is done.</Marked>
        </p>
      )}
      <ProblemNote problem={problem} />
    </section>
  );
}
