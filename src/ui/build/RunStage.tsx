'use client';
import { useEffect, useMemo, useRef, useState } from 'react';
import { holdsOf, pictureOf } from '@/contracts/holds';
import { cardsAt, orientationCards } from '@/contracts/orientation';
import { type OrderOfWork } from '@/contracts/orderOfWork';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { useLengthText } from '../measured/Figure';
import { RoomBox } from '../drawing/RoomBox';
import { PhotoStrip } from '../inspect/PhotoStrip';
import { ProblemNote } from '../job/ProblemNote';
import { type Outbox } from '../job/useOutbox';
import { HeldDrawing } from './HeldDrawing';
import { OrientationCard } from './OrientationCard';
import { PlateStage } from './PlateStage';
import { type Plate } from './plate';
import { spoken, StepNotes } from './steps';

/** A step that has only just come up was read by nobody: a glove that taps twice, or taps again while the network is slow, must not tick it, ms. */
const TWICE = 700;
/** What a foot pedal sends. */
const PEDAL = 'PageDown';

/** Typed into, asked in a dialog, or a list that is being paged through itself. */
const elsewhere = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.closest('input, textarea, select, [role=dialog], dialog') !== null || target.matches('[role=tabpanel]'));

interface Props {
  outbox: Outbox;
  order: OrderOfWork;
  plate: Plate | null;
  picked: number | null;
  onPick: (nut: number | null) => void;
  /** Who else may be at the other end. */
  others: readonly string[];
}
/** Somebody who is not of the shop. */
const OUTSIDER = 'somebody from outside';

/** The step at hand, to be read from under the vehicle, with its drawing, what it waits for, and one large act. */
export function RunStage({ outbox, order, plate, picked, onPick, others }: Props) {
  const { job, say } = outbox;
  const { view } = job;
  const { next, hazards, facts } = order.progress;
  const [problem, setProblem] = useState<unknown>(null);
  const [without, setWithout] = useState<{ step: string; why: string } | null>(null);
  const shownAt = useRef(-Infinity);
  useEffect(() => {
    shownAt.current = performance.now();
  }, [next?.id]);
  const [mate, setMate] = useState<{ step: string; who: string } | null>(null);
  const second = mate && mate.step === next?.id ? mate.who : null;
  const asked = next ? holdsOf(view, next) : [];
  const holds = asked.filter((hold) => hold.kind !== 'two' || second === null);
  const why = without && without.step === next?.id ? without.why : null;
  const tick = (note = '') => {
    if (!next || performance.now() - shownAt.current <= TWICE) return;
    setProblem(null);
    onPick(null);
    void say('/steps', { id: crypto.randomUUID(), step: next.id, done: true, note }).catch((error: unknown) =>
      setProblem(error),
    );
  };
  const press = () => {
    if (!next) return;
    const who = second === null ? '' : `with ${second}`;
    if (holds.length === 0) return tick(who);
    if (why === null) setWithout({ step: next.id, why: '' });
    else if (why.trim().length >= 3) tick([why.trim(), who].filter(Boolean).join(', '));
  };
  const pressed = useRef(press);
  useEffect(() => {
    pressed.current = press;
  });
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      // In a field or a list the key is that one's own.
      if (event.key !== PEDAL || event.repeat || elsewhere(event.target)) return;
      event.preventDefault();
      pressed.current();
    };
    window.addEventListener('keydown', down);
    return () => window.removeEventListener('keydown', down);
  }, []);
  const length = useLengthText();
  const cards = useMemo(() => orientationCards(view, length), [view, length]);
  const wayRound = next && !plate ? cardsAt(cards, next) : [];
  const at = order.steps.findIndex(({ operation }) => operation === next);
  const after = order.steps[at + 1]?.operation;
  return (
    <section className="run" aria-label="Next step" data-testid="next-step">
      <header className="run-head">
        <p className="run-count">
          step <span className="figure">{at < 0 ? order.steps.length : at + 1}</span> of{' '}
          <span className="figure">{order.steps.length}</span>
        </p>
        <svg
          className="run-bar"
          viewBox={`0 0 ${order.steps.length * 10} 14`}
          preserveAspectRatio="none"
          aria-hidden="true"
        >
          {order.steps.map(({ operation }, k) => (
            <rect
              key={operation.id}
              x={k * 10 + 1}
              y={1}
              width={8}
              height={12}
              fill={order.done.has(operation.id) ? 'var(--new)' : operation === next ? 'var(--ink)' : 'none'}
              stroke="var(--graphite)"
              strokeWidth="0.6"
            />
          ))}
        </svg>
      </header>
      {hazards.map(({ id, says }) => (
        <p key={id} className="stop-word">
          STOP: {says} That is how it is ticked below.
        </p>
      ))}
      {next ? (
        <>
          <h2 className="run-title">{spoken(next)}</h2>
          <div className="run-notes">
            <StepNotes operation={next} marked={holds.some((h) => h.kind === 'picture')} />
          </div>
        </>
      ) : (
        <p className="run-title">
          <Marked kind="done">Every step is done.</Marked>
        </p>
      )}
      <RoomBox className="run-drawing">
        {plate ? (
          <PlateStage view={view} plate={plate} picked={picked} onPick={onPick} />
        ) : wayRound.length > 0 ? (
          <div className="way-rounds" role="group" aria-label="Which way round">
            {wayRound.map((card) => (
              <OrientationCard key={`${card.part}${card.side}`} card={card} />
            ))}
          </div>
        ) : (
          <HeldDrawing view={view} facts={facts} />
        )}
      </RoomBox>
      {next?.two ? (
        <Chips
          label={
            holds.some((h) => h.kind === 'two') ? 'Not for one alone. Who is at the other end?' : 'At the other end'
          }
          shown
          options={[...others, OUTSIDER].map((name) => ({ id: name, name }))}
          value={second}
          onPick={(who) => setMate({ step: next.id, who })}
        />
      ) : null}
      {holds.some((h) => h.kind !== 'two') ? (
        <ul className="run-holds" aria-label="It waits for">
          {holds
            .flatMap((hold) => (hold.kind === 'two' ? [] : [hold]))
            .map((hold) => (
              <li key={hold.kind === 'picture' ? hold.subject : hold.kind === 'tool' ? hold.tool : hold.joint}>
                <Marked kind="open">{hold.text}</Marked>{' '}
                {hold.kind === 'picture' ? (
                  <PhotoStrip
                    job={job}
                    outbox={outbox}
                    subject={hold.subject}
                    caption={next ? spoken(next).slice(0, 180) : ''}
                  />
                ) : hold.kind === 'tool' ? (
                  <a href={`/jobs/${view.id}/prepare#tools`}>to the tools</a>
                ) : (
                  <a href="#torque">to the wrench</a>
                )}
              </li>
            ))}
        </ul>
      ) : next?.picture && view.photos.some((p) => p.subject === pictureOf(next.id)) ? (
        <PhotoStrip job={job} outbox={outbox} subject={pictureOf(next.id)} caption={spoken(next).slice(0, 180)} />
      ) : null}
      {why !== null && holds.length > 0 ? (
        <div className="field wide">
          <label htmlFor="without">Why it goes on without</label>
          <input
            id="without"
            value={why}
            maxLength={300}
            onChange={(event) => setWithout({ step: next!.id, why: event.target.value })}
          />
        </div>
      ) : null}
      <ProblemNote problem={problem} />
      {next ? (
        <div className="run-acts">
          <p className="run-then">
            {after ? (
              <>
                <span className="muted">then</span> {spoken(after)}
              </>
            ) : (
              <span className="muted">the last one</span>
            )}
          </p>
          <button
            type="button"
            className="act run-done"
            disabled={why !== null && holds.length > 0 && why.trim().length < 3}
            onClick={press}
          >
            {holds.length === 0 ? 'Done' : why === null ? 'Done without it' : 'Done, for that reason'}
          </button>
        </div>
      ) : null}
    </section>
  );
}
