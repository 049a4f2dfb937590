'use client';
import { Marked } from '../controls/Mark';
import { Input } from 'antd';
import { useState } from 'react';
import { missingBeforeHeights } from '@/contracts/gates';
import { type JobView } from '@/contracts/job';
import { fitItems, SUPPORT_ITEMS, type Answer, type SafetyItem } from '@/core/procedure/checks';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { ProblemNote } from '../job/ProblemNote';
import { useJob, type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { isSlack, slackVerdicts } from '@/core/travel/survey';
import { VerdictWord } from '../measure/SurveySheet';
import { SURVEY_TEXT } from '../measure/surveyText';
import { usePlannedDroop } from '../measure/usePlannedDroop';
import { SAFETY_TEXT } from './safetyText';
import { TorqueSheet } from './TorqueSheet';

export function BuildStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  return (
    <JobFrame view={view} station="build" people={people} person={person}>
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
          <StartSheet job={job} />
        </div>
        <Sheet title="What the change will pull on">
          <ShortLines view={view} />
          {fitItemsOf(view).map((item) => (
            <SafetyRow key={item} job={job} item={item} />
          ))}
        </Sheet>
      </div>
      <TorqueSheet job={job} />
    </JobFrame>
  );
}

/** Lines that the survey found too short for the droop of the newest prediction, before anything is lifted. */
function ShortLines({ view }: { view: JobView }) {
  const droop = usePlannedDroop(view);
  const short = slackVerdicts(view.survey, droop).filter((v) => v.verdict === 'does not fit');
  const inTheWay = view.survey.filter((s) => !isSlack(s.item) && s.answer === 'notOk');
  return (
    <>
      {inTheWay.length > 0 ? (
        <p>
          <Marked kind="look">Out of the way first: {inTheWay.map((s) => SURVEY_TEXT[s.item]).join(', ')}.</Marked>
        </p>
      ) : null}
      {view.photos.length === 0 ? (
        <p>
          <Marked kind="untouched">
            No picture yet. Wedge, clips, plate and their marks are photographed before they come off.
          </Marked>
        </p>
      ) : null}
      {short.map((verdict) => (
        <p key={verdict.item}>
          <strong>{SURVEY_TEXT[verdict.item]}</strong> <VerdictWord verdict={verdict} />
        </p>
      ))}
    </>
  );
}

const fitItemsOf = ({ plan }: JobView) =>
  fitItems(plan.changes.some((c) => c.kind === 'overAxle' || (c.kind === 'block' && c.height > 0)));

function SafetyRow({ job, item }: { job: JobHandle; item: SafetyItem }) {
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
            {stored.person}, {stored.answeredAt.slice(0, 16).replace('T', ' ')} UTC
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

/** The gate: no before heights, no build, unless a reason is written down. */
function StartSheet({ job }: { job: JobHandle }) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [reason, setReason] = useState('');
  const missing = missingBeforeHeights(view);
  if (view.build)
    return (
      <Sheet title="Build started">
        <p>
          {view.build.person}, {view.build.startedAt.slice(0, 16).replace('T', ' ')} UTC.
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
      </Sheet>
    );
  const open = [...SUPPORT_ITEMS, ...fitItemsOf(view)].filter(
    (item) => view.safety.find((s) => s.item === item)?.answer !== 'ok',
  ).length;
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
          Start the build
        </button>
      </div>
    </Sheet>
  );
}
