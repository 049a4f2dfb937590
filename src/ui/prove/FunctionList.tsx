'use client';
import { Input } from 'antd';
import { useState } from 'react';
import { type FunctionCheck } from '@/contracts/prove';
import { functionsOf } from '@/contracts/proving';
import { FUNCTIONS, type FunctionId } from '@/core/followup/functions';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';
import { useKept } from '../measured/useKept';

/** What the work touched, tried before it leaves: standing first, driving last. */
export function FunctionList({ job }: { job: JobHandle }) {
  const { view } = job;
  const items = functionsOf(view);
  return (
    <>
      <p className="muted small">
        Where brakes, steering or road approval are touched, local rules and licensed practice come first.
      </p>
      <ul className="function-list" data-testid="functions">
        {items.map((item) => (
          <FunctionRow key={item} job={job} item={item} said={view.functionChecks.find((c) => c.item === item)} />
        ))}
      </ul>
    </>
  );
}

const ANSWERS = [
  { id: 'ok', name: 'ok' },
  { id: 'notOk', name: 'not ok' },
  { id: 'notDone', name: 'not tried' },
] as const;
type Answer = (typeof ANSWERS)[number]['id'];

function FunctionRow({ job, item, said }: { job: JobHandle; item: FunctionId; said: FunctionCheck | undefined }) {
  const { name, how, stops } = FUNCTIONS[item];
  const { busy, problem, run } = useSend();
  const [asked, setAsked] = useState<Exclude<Answer, 'ok'> | null>(null);
  const [note, setNote, forget] = useKept(`${job.view.id}|tried|${item}`, '');
  const send = (answer: Answer, text: string) =>
    void run(async () => {
      await job.send('/functions', 'POST', { id: crypto.randomUUID(), item, answer, note: text });
      forget();
      setAsked(null);
    });
  return (
    <li data-function={item}>
      <div className="function-words">
        <strong>{name}</strong>
        <span className="muted">{how}</span>
        {said && asked === null ? (
          <span className="small">
            {said.answer === 'ok' ? (
              <Marked kind="done">ok</Marked>
            ) : said.answer === 'notOk' && stops ? (
              <span className="stop-word">STOP {said.note}</span>
            ) : (
              <Marked kind="look">{said.note}</Marked>
            )}{' '}
            <span className="muted">
              {said.person}, <Clock at={said.saidAt} />
            </span>
          </span>
        ) : null}
      </div>
      <Chips<Answer>
        label={name}
        options={ANSWERS}
        value={asked ?? said?.answer ?? null}
        onPick={(answer) => (answer === 'ok' ? send('ok', '') : setAsked(answer))}
      />
      {asked ? (
        <div className="function-note">
          <Input
            aria-label={asked === 'notOk' ? `What is not in order: ${name}` : `Why it was not tried: ${name}`}
            placeholder={asked === 'notOk' ? 'what is not in order' : 'why it was not tried'}
            value={note}
            maxLength={300}
            onChange={(event) => setNote(event.target.value)}
          />
          <button
            type="button"
            className="act"
            disabled={busy || note.trim().length < 3}
            onClick={() => send(asked, note)}
          >
            Keep it
          </button>
        </div>
      ) : null}
      <ProblemNote problem={problem} />
    </li>
  );
}
