'use client';
import { useMemo } from 'react';
import { orderOfWork, schoolOf, standsBy, type OrderLine, type Stand } from '@/contracts/orderOfWork';
import { SCHOOLS } from '@/core/selection/schools';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { SchoolQuestion } from '../candidates/SchoolsSheet';
import { type JobHandle } from '../job/useJob';

const STANDS: Record<Stand, { title: string; held: string }> = {
  ground: { title: 'On the ground', held: 'it stands on its wheels' },
  air: { title: 'In the air', held: 'frame on stands; the axle on its own from where it says so' },
  weight: { title: 'Weight on', held: 'on its wheels, chocked until the last' },
};

/** The steps of the plan in their order, with what holds it, what stays loose and what to look out for. */
export function OrderSheet({ job }: { job: JobHandle }) {
  const { view } = job;
  const order = useMemo(() => orderOfWork(view), [view]);
  if (!order)
    return (
      <Sheet title="Order of the work">
        <p className="muted">
          {view.plan.changes.length === 0
            ? 'Nothing is planned yet.'
            : 'The order of the work on this kind of axle is not written yet: hold frame and axle on stands, spring slack before its last fastener.'}
        </p>
      </Sheet>
    );
  const opened = order.steps.some(({ operation }) => operation.id === 'leafWork.left');
  const asked = SCHOOLS.filter(({ id }) => id === 'workSides' || (opened && id === 'packInPlace'));
  return (
    <Sheet
      title="Order of the work"
      aside={
        <span className="muted">
          <span className="figure">{order.steps.length}</span> steps,{' '}
          {schoolOf(view, 'workSides') === 'other' ? 'both sides undone together' : 'one side at a time'}
        </span>
      }
    >
      {order.refused ? <p className="stop-word">STOP: {order.refused.reason}</p> : null}
      {asked.map((school) => (
        <SchoolQuestion key={school.id} job={job} school={school} />
      ))}
      <div className="order-of-work">
        {standsBy(order.steps).map(({ stand, lines }) => (
          <section key={stand} aria-label={STANDS[stand].title} data-stand={stand}>
            <h3>{STANDS[stand].title}</h3>
            <p className="muted small">{STANDS[stand].held}</p>
            <ol>
              {lines.map((line) => (
                <Line key={line.number} line={line} />
              ))}
            </ol>
          </section>
        ))}
      </div>
    </Sheet>
  );
}

function Line({ line: { number, steps } }: { line: OrderLine }) {
  const { side, act, caution, mark, loose, holds } = steps[0]!.operation;
  return (
    <li value={number} data-step={steps.map(({ operation }) => operation.id).join(' ')}>
      {side ? <strong>{steps.length > 1 ? 'left, then right' : side}: </strong> : null}
      {act}
      {holds ? <span className="muted"> (not to be left out)</span> : null}
      {mark ? <p className="small">First: {mark}</p> : null}
      {caution ? (
        <p className="small">
          <Marked kind="look">{caution}</Marked>
        </p>
      ) : null}
      {loose ? <p className="small muted">Stays loose: {loose}</p> : null}
    </li>
  );
}
