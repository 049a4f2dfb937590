'use client';
import { Input } from 'antd';
import { useMemo, useState } from 'react';
import { blocking, fitRows, unchecked, unsettled, type FitRow } from '@/contracts/fit';
import { missingBeforeHeights } from '@/contracts/gates';
import { orderOfWork } from '@/contracts/orderOfWork';
import { SUPPORT_ITEMS } from '@/core/procedure/safety';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { ProblemNote } from '../job/ProblemNote';
import { useJob, type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';
import { FitSheet } from './FitSheet';
import { NextStep } from './NextStep';
import { OrderSheet } from './OrderSheet';
import { SafetyRow } from './SafetyRow';
import { TorqueSheet } from './TorqueSheet';
import { useFacts } from './useFacts';

export function BuildStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const facts = useFacts(view);
  const rows = useMemo(() => fitRows(view, facts), [view, facts]);
  const order = useMemo(() => orderOfWork(view), [view]);
  // Measured afterwards and never ticked: the work was done without the list.
  const doneUnticked = view.outcomes.length > 0 && view.ticks.length === 0;
  return (
    <JobFrame view={view} station="build" people={people} person={person} rows={facts ? rows : undefined}>
      {view.build && order && !doneUnticked ? <NextStep job={job} order={order} /> : null}
      <div className="sheets form-columns">
        <div className="sheets">
          <Sheet title="Before you loosen anything">
            {SUPPORT_ITEMS.map((item) => (
              <SafetyRow key={item} job={job} item={item} />
            ))}
            <p className="muted small">
              Where brakes, steering or road approval are touched, local rules and licensed practice come first.
            </p>
          </Sheet>
          <StartSheet job={job} rows={rows} />
        </div>
        <FitSheet job={job} rows={rows} />
      </div>
      <OrderSheet job={job} order={order} />
      <TorqueSheet job={job} />
    </JobFrame>
  );
}

/** The gate: no before heights, no build, unless a reason is written down; nothing that does not fit goes by in silence. */
function StartSheet({ job, rows }: { job: JobHandle; rows: readonly FitRow[] }) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [reason, setReason] = useState('');
  const missing = missingBeforeHeights(view);
  if (view.build)
    return (
      <Sheet title="Build started">
        <p>
          {view.build.person}, <Clock at={view.build.startedAt} />.
        </p>
        {view.build.predictionId === null ? (
          <p>
            <Marked kind="look">Started without a stored prediction: nothing to prove it against.</Marked>
          </p>
        ) : null}
        {view.build.overrideReason ? (
          <p>
            <Marked kind="look">Started without before heights: {view.build.overrideReason}</Marked>
          </p>
        ) : null}
        <p className="muted small">
          What was read before the work is kept as it was; a correction asks for its reason.
        </p>
      </Sheet>
    );
  const stops = blocking(rows);
  const later = unsettled(rows).filter((row) => !row.blocks);
  const open =
    unchecked(rows).length +
    SUPPORT_ITEMS.filter((item) => view.safety.find((s) => s.item === item)?.answer !== 'ok').length;
  const start = () => void run(() => job.send('/build', 'POST', { overrideReason: reason.trim() || null }));
  return (
    <Sheet title="Start the build">
      {missing.length > 0 ? (
        <>
          <p>
            <Marked kind="look">
              No before height on the {missing.join(' and ')}. Once the spring is out nobody can tell what the work did.
            </Marked>
          </p>
          <div className="field">
            <label htmlFor="override">Reason to start without it</label>
            <Input id="override" value={reason} maxLength={500} onChange={(event) => setReason(event.target.value)} />
          </div>
        </>
      ) : (
        <p>
          <Marked kind="done">Both before heights are saved.</Marked>
        </p>
      )}
      {stops.length > 0 ? (
        <p className="stop-word">
          STOP: {stops.map((row) => row.name).join('; ')}. Mend it, or go on with a written reason under “What must
          fit”.
        </p>
      ) : null}
      {later.length > 0 ? (
        <p>
          <Marked kind="look">To be replaced in this build: {later.map((row) => row.name).join('; ')}.</Marked>
        </p>
      ) : null}
      {open > 0 ? (
        <p>
          <Marked kind="untouched">{open} questions of this card are not answered with ok.</Marked>
        </p>
      ) : null}
      {view.predictions.length === 0 ? (
        <p>
          <Marked kind="look">No prediction is stored yet; Prove will have nothing to compare with.</Marked>
        </p>
      ) : null}
      <ProblemNote problem={problem} />
      <div className="acts">
        <button type="button" className="act" disabled={busy} onClick={start}>
          {busy ? 'Checking what must fit…' : 'Start the build'}
        </button>
      </div>
    </Sheet>
  );
}
