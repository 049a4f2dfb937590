'use client';
import { schoolOf, standsBy, type OrderLine, type OrderOfWork, type Stand } from '@/contracts/orderOfWork';
import { SCHOOLS } from '@/core/selection/schools';
import { SchoolQuestion } from '../candidates/SchoolsSheet';
import { Mark, Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { ProblemNote } from '../job/ProblemNote';
import { type Outbox } from '../job/useOutbox';
import { useSend } from '../job/useSend';
import { spoken, StepNotes, type Tick } from './steps';

const STANDS: Record<Stand, { title: string; held: string }> = {
  ground: { title: 'On the ground', held: 'it stands on its wheels' },
  air: { title: 'In the air', held: 'frame on stands; the axle on its own from where it says so' },
  weight: { title: 'Weight on', held: 'on its wheels, chocked until the last' },
};

const PRINTS = { card: 'build card', torque: 'torque sheet', labels: 'labels for the bags' };

/** The steps of the plan in their order, with what holds it, what stays loose and what to look out for; ticked once the build has begun. */
export function OrderSheet({ outbox, order }: { outbox: Outbox; order: OrderOfWork | null }) {
  const { job, say } = outbox;
  const { view } = job;
  const { problem, run } = useSend();
  const tick: Tick = ({ id }, done) =>
    void run(() => say('/steps', { id: crypto.randomUUID(), step: id, done, note: '' }));
  const disputed = view.ticks.filter((t) => t.disputed);
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
  const asked = SCHOOLS.filter(
    ({ id }) =>
      id === 'workSides' || (opened && id === 'packInPlace') || (view.bay?.rusty === true && id === 'seizedBolts'),
  );
  const { off, slackened, stays } = order.removal;
  return (
    <Sheet
      title="Order of the work"
      aside={
        <span className="muted">
          <span className="figure">{order.steps.length}</span> steps,{' '}
          {schoolOf(view, 'workSides') !== 'other'
            ? 'one side at a time'
            : order.atOnce
              ? 'both sides at once, one of two on each'
              : 'both sides undone together'}
        </span>
      }
    >
      <p className="acts">
        {(['card', 'torque', 'labels'] as const).map((what) => (
          <a key={what} className="link" href={`/api/jobs/${view.id}/print?what=${what}`} download>
            {PRINTS[what]}, PDF
          </a>
        ))}
      </p>
      <dl className="facts removal" aria-label="How little comes off">
        {(
          [
            ['comes off', off],
            ['only slackened', slackened],
            ['stays tight', stays],
          ] as const
        ).map(([name, places]) =>
          places.length > 0 ? (
            <div key={name} className="fact-row">
              <dt>{name}</dt>
              <dd>{places.join(', ')}</dd>
            </div>
          ) : null,
        )}
      </dl>
      {order.refused ? <p className="stop-word">STOP: {order.refused.reason}</p> : null}
      <ProblemNote problem={problem} />
      {disputed.map(({ step, person }) => {
        const at = order.steps.find(({ operation }) => operation.id === step)?.operation;
        return at ? (
          <p key={step}>
            <Marked kind="look">
              Two said different things of “{spoken(at)}” without knowing of one another, {person} the last to reach the
              server. It counts as not done until one of you says it again.
            </Marked>
          </p>
        ) : null;
      })}
      <div className="order-of-work">
        {standsBy(order.steps).map(({ stand, lines }) => (
          <section key={stand} aria-label={STANDS[stand].title} data-stand={stand}>
            <h3>{STANDS[stand].title}</h3>
            <p className="muted small">{STANDS[stand].held}</p>
            <ol>
              {lines.map((line) => (
                <Line key={line.number} line={line} order={order} tick={view.build ? tick : null} />
              ))}
            </ol>
          </section>
        ))}
      </div>
      {asked.map((school) => (
        <SchoolQuestion key={school.id} job={job} school={school} />
      ))}
    </Sheet>
  );
}

function Line({ line: { number, steps }, order, tick }: { line: OrderLine; order: OrderOfWork; tick: Tick | null }) {
  const { side, act, holds } = steps[0]!.operation;
  return (
    <li value={number} data-step={steps.map(({ operation }) => operation.id).join(' ')}>
      {side ? (
        <strong>{steps.length === 1 ? side : order.atOnce ? 'left and right at once' : 'left, then right'}: </strong>
      ) : null}
      {act}
      {holds ? <span className="muted"> (not to be left out)</span> : null}
      <StepNotes operation={steps[0]!.operation} />
      {tick ? (
        <span className="acts">
          {steps.map(({ operation }) => {
            const done = order.done.has(operation.id);
            return (
              <button
                key={operation.id}
                type="button"
                className="act quiet tick"
                aria-pressed={done}
                aria-label={`Done, ${spoken(operation)}`}
                onClick={() => tick(operation, !done)}
              >
                <Mark kind={done ? 'done' : 'untouched'} />
                {[steps.length > 1 && operation.side, done ? 'done' : 'not yet'].filter(Boolean).join(' ')}
              </button>
            );
          })}
        </span>
      ) : null}
    </li>
  );
}
