'use client';
import { Input } from 'antd';
import { useState } from 'react';
import { type ChangeRow, type PlanAct } from '@/contracts/plan';
import { changeText } from '@/contracts/planText';
import { type Ranked } from '@/core/selection/search';
import { CompareTable } from '../candidates/CompareTable';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { Waiting } from '../controls/Waiting';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { faultText } from '../prediction/useWorker';
import { type PlanHandle } from './usePlan';

/** The plans of a job solved side by side. */
export interface OwnPlans {
  plans: readonly Ranked[];
  solving: boolean;
  fault: string | null;
}

interface Props {
  job: JobHandle;
  plan: PlanHandle;
  /** Left out where they are not solved. */
  compared?: OwnPlans;
}

/** The plans of a job: several by name, one at work, side by side with how it stands today. */
export function PlansSheet({ job, plan, compared }: Props) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [name, setName] = useState('');
  const act = (given: PlanAct) => run(() => job.send('/plans', 'POST', given));
  const fresh = `Plan ${view.plans.length + 1}`;
  const begin = (changes: readonly ChangeRow[]) =>
    void act({ act: 'new', id: crypto.randomUUID(), name: name.trim() || fresh, changes: [...changes] }).then(
      (ok) => ok && setName(''),
    );
  return (
    <Sheet
      title="Plans"
      aside={<span className="muted">{view.plans.length === 1 ? 'one plan' : `${view.plans.length} plans`}</span>}
    >
      <ul className="stored" aria-label="Plans of this job">
        {view.plans.map((p) => (
          <li key={p.id} data-plan={p.name}>
            {p.current ? <Marked kind="open">{p.name}, at work</Marked> : <strong>{p.name}</strong>}:{' '}
            <span className="muted">{p.changes.map(changeText).join(', ') || 'nothing planned'}</span>{' '}
            {p.current ? null : (
              <button
                type="button"
                className="link"
                disabled={busy || !plan.saved}
                onClick={() => void act({ act: 'use', id: p.id })}
              >
                take it up
              </button>
            )}
          </li>
        ))}
      </ul>
      <div className="acts">
        <Input
          aria-label="Name of a plan"
          placeholder={fresh}
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
        />
        <button type="button" className="act quiet" disabled={busy || !plan.saved} onClick={() => begin([])}>
          New plan
        </button>
        <button
          type="button"
          className="act quiet"
          disabled={busy || !plan.saved || plan.changes.length === 0}
          onClick={() => begin(plan.changes)}
        >
          Copy this plan
        </button>
        <button
          type="button"
          className="act quiet"
          disabled={busy || name.trim() === ''}
          onClick={() =>
            void act({ act: 'rename', id: view.plan.id, name: name.trim() }).then((ok) => ok && setName(''))
          }
        >
          Name this plan so
        </button>
      </div>
      <ProblemNote problem={problem} />
      {compared?.solving ? <Waiting what="setting the plans side by side" /> : null}
      {compared?.fault ? <Marked kind="look">{faultText(compared.fault)}</Marked> : null}
      {compared && compared.plans.length > 1 ? (
        <div className="standing">
          <CompareTable
            found={compared.plans}
            states={view.states}
            tolerance={view.job.tolerance}
            label="Plans side by side"
          />
        </div>
      ) : null}
    </Sheet>
  );
}
