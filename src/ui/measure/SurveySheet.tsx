'use client';
import { useState } from 'react';
import { type NewSurvey, type SurveyRow } from '@/contracts/surveyRow';
import {
  isSlack,
  OBSTRUCTION_ITEMS,
  SLACK_ITEMS,
  SLACK_MARGIN,
  slackVerdicts,
  type SlackVerdict,
  type SurveyItem,
} from '@/core/travel/survey';
import { type HubTravel } from '@/core/travel/hubTravel';
import { surveyAnswers } from '@/contracts/survey';
import { lengthRule } from '@/core/units/rules';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Length } from '../measured/Figure';
import { TypedField } from '../measured/TypedField';
import { SURVEY_TEXT } from '@/contracts/surveyText';

const SLACK = lengthRule(0, 2000);

const slackOf = (stored: SurveyRow | undefined) =>
  stored && stored.slack !== null && stored.slackTyped ? { value: stored.slack, typed: stored.slackTyped } : null;

/** Everything that runs to the axle and everything in the way: three states, and not there. */
export function SurveySheet({ job, travel }: { job: JobHandle; travel: HubTravel | null }) {
  const verdicts = slackVerdicts(surveyAnswers(job.view), travel);
  const droop = travel?.droopPlanned ?? null;
  return (
    <section className="group" aria-label="Slack and obstructions">
      <header>
        <h3>Slack and obstructions</h3>
        <span className="muted">
          {travel === null || droop === null ? (
            'droop not known yet'
          ) : (
            <>
              needs <Length mm={droop + SLACK_MARGIN} /> from where it stands today: lift{' '}
              <Length mm={travel.planned} signed />, then <Length mm={droop - travel.planned} /> until it hangs, and{' '}
              <Length mm={SLACK_MARGIN} /> to spare
            </>
          )}
        </span>
      </header>
      {SLACK_ITEMS.map((item, k) => (
        <SurveyRow key={item} job={job} item={item} verdict={verdicts[k]!} />
      ))}
      <details className="more">
        <summary>
          in the way of hands, tools or travel: {OBSTRUCTION_ITEMS.map((i) => SURVEY_TEXT[i]).join(', ')}
        </summary>
        {OBSTRUCTION_ITEMS.map((item) => (
          <SurveyRow key={item} job={job} item={item} />
        ))}
      </details>
    </section>
  );
}

function SurveyRow({ job, item, verdict }: { job: JobHandle; item: SurveyItem; verdict?: SlackVerdict }) {
  const { problem, run } = useSend();
  const stored = job.view.survey.find((s) => s.item === item);
  const measured = typeof stored?.slack === 'number';
  const [asked, setAsked] = useState(false);
  const name = SURVEY_TEXT[item];
  const slack = isSlack(item);
  const answer = (part: Partial<NewSurvey>) =>
    void run(() =>
      job.send('/survey', 'POST', {
        id: crypto.randomUUID(),
        item,
        answer: stored?.answer ?? 'ok',
        slack: stored?.slack ?? null,
        slackTyped: stored?.slackTyped ?? null,
        note: stored?.note ?? '',
        ...part,
      }),
    );
  return (
    <div className="safety survey" data-survey={item}>
      <div>
        <strong>{name}</strong> {verdict ? <VerdictWord verdict={verdict} /> : null}
        <ProblemNote problem={problem} />
        {slack && (asked || measured) ? (
          <TypedField
            label="From where it stands now, axle may drop until it is taut"
            spoken={`${name}: axle may drop until it is taut`}
            rule={SLACK}
            value={slackOf(stored)}
            draft={`${job.view.id}|slack|${item}`}
            onChange={({ value, typed }) => answer({ answer: 'ok', slack: value, slackTyped: typed })}
          />
        ) : null}
        {slack && !asked && !measured ? (
          <button type="button" className="link apart" onClick={() => setAsked(true)}>
            measure its slack
          </button>
        ) : null}
      </div>
      <Chips
        label={name}
        options={[
          { id: 'ok', name: slack ? 'slack' : 'clear', mark: 'done' },
          { id: 'notOk', name: slack ? 'short' : 'in the way', mark: 'look' },
          { id: 'none', name: 'none' },
          { id: 'notChecked', name: 'not yet', mark: 'untouched' },
        ]}
        value={stored?.answer ?? 'notChecked'}
        onPick={(id) => answer(id === 'ok' ? { answer: id } : { answer: id, slack: null, slackTyped: null })}
      />
    </div>
  );
}

/** Short slack stops the lifting: a line that comes taut tears before the axle hangs. */
export function VerdictWord({ verdict }: { verdict: SlackVerdict }) {
  const left = verdict.left === null ? null : <Length mm={verdict.left} signed />;
  if (verdict.state === 'does not fit')
    return (
      <span className="stop-word">
        STOP: too short for this droop{left ? <>, {left} left</> : null}. Free it, or hold the axle up.
      </span>
    );
  if (verdict.none) return null;
  if (verdict.state === 'fits')
    return <Marked kind="done">{left ? <>{left} left at full droop</> : 'looked at'}</Marked>;
  return <Marked kind="untouched">not checked</Marked>;
}
