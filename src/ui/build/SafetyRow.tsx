'use client';
import { SAFETY_TEXT } from '@/contracts/fitText';
import { type Answer, type SafetyItem } from '@/core/procedure/safety';
import { Chips } from '../controls/Chips';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';

/** One question of the safety card. */
export function SafetyRow({ job, item }: { job: JobHandle; item: SafetyItem }) {
  const { problem, run } = useSend();
  const stored = job.view.safety.find((s) => s.item === item);
  const { name, why } = SAFETY_TEXT[item];
  const answer = (given: Answer) =>
    void run(() => job.send('/safety', 'POST', { id: crypto.randomUUID(), item, answer: given }));
  return (
    <div className="safety">
      <div>
        <strong>{name}</strong>
        <div className="muted">{why}</div>
        {stored && stored.answer !== 'notChecked' ? (
          <div className="small muted">
            {stored.person}, <Clock at={stored.answeredAt} />
          </div>
        ) : null}
        <ProblemNote problem={problem} />
      </div>
      <Chips
        label={name}
        options={[
          { id: 'ok', name: 'ok', mark: 'done' },
          { id: 'notOk', name: 'not ok', mark: 'look' },
          { id: 'notChecked', name: 'not checked', mark: 'untouched' },
        ]}
        value={stored?.answer ?? 'notChecked'}
        onPick={answer}
      />
    </div>
  );
}
