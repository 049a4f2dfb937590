'use client';
import { useRef } from 'react';
import { CORE_VERSION } from '@/core/version';
import { summarise } from '@/core/prediction/ledger';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { Waiting } from '../controls/Waiting';
import { Clock } from '../measured/Clock';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Length, BandText } from '../measured/Figure';
import { type PlanHandle } from './usePlan';

interface Props {
  job: JobHandle;
  plan: PlanHandle;
  ready: boolean;
}

/** Stores the prediction as a record that is never edited, and lists the earlier ones. */
export function StoreSheet({ job, plan, ready }: Props) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  // Kept over a lost answer, so that a second try stores no second prediction.
  const id = useRef<string | null>(null);
  const store = () =>
    run(async () => {
      id.current ??= crypto.randomUUID();
      await job.send('/predictions', 'POST', {
        id: id.current,
        planVersion: view.plan.version,
        coreVersion: CORE_VERSION,
      });
      id.current = null;
    });
  const wanted = view.states.find((s) => s.wanted)?.id;
  return (
    <Sheet title="Stored predictions">
      <div className="acts">
        <button type="button" className="act" disabled={!ready || !plan.saved || busy} onClick={() => void store()}>
          {busy ? 'Solving on the server…' : 'Store this prediction'}
        </button>
        {busy ? <Waiting what="the server draws the band from 20,000 springs like this one" /> : null}
        {plan.saved ? null : <span className="muted">save the plan first</span>}
      </div>
      <ProblemNote problem={problem} />
      {view.predictions.length === 0 ? (
        <p className="muted">
          None yet. Store one before the build: it is solved anew on the server and cannot be changed afterwards.
        </p>
      ) : (
        <ul className="stored">
          {view.predictions.map((p) => {
            const ledger = p.ledgers.find((l) => l.stateId === wanted) ?? p.ledgers[0];
            const summary = ledger ? summarise(ledger.lines) : null;
            return (
              <li key={p.id}>
                {summary ? (
                  <>
                    <Length mm={summary.change} signed /> <BandText reach={summary.reach} />{' '}
                  </>
                ) : null}
                <strong>{p.planName ?? `plan, version ${p.planVersion}`}</strong>{' '}
                <span className="muted" title={`seed ${p.seed}`}>
                  {ledger?.side}, {p.person}, <Clock at={p.madeAt} />, core {p.coreVersion}
                </span>
                {p.coreVersion === CORE_VERSION ? null : (
                  <>
                    {' '}
                    <Marked kind="untouched">computed by an older core, kept as it was</Marked>
                  </>
                )}
              </li>
            );
          })}
        </ul>
      )}
    </Sheet>
  );
}
