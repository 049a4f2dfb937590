'use client';
import { useState } from 'react';
import { GROUPS, pointOf, type GroupId } from '@/core/measure/points';
import { PLACES } from '@/core/sheet/point';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { SheetFigure } from '../figure/SheetFigure';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { useJob, type JobHandle } from '../job/useJob';
import { TakeReading } from '../instruments/TakeReading';
import { focusField } from '../measured/MeasuredInput';
import { useMedia } from '../theme/useMedia';
import { useView } from '../theme/Providers';
import { AssumedSheet } from './AssumedSheet';
import { DayBar } from './DayBar';
import { FieldNote } from './FieldNote';
import { type FieldHooks } from './FieldOfSheet';
import { fieldKey, type FieldAt } from './fields';
import { GroupFields } from './GroupFields';
import { LeafRows } from './LeafRows';
import { LoadEstimate } from './LoadEstimate';
import { Answers, StandingSheets } from './MeasureAside';
import { OneField } from './OneField';
import { PackFacts } from './PackFacts';
import { PressRun } from './PressRun';
import { RolledQuestion, rolledSoFar } from './RolledQuestion';
import { SecondLoad } from './SecondLoad';
import { Length } from '../measured/Figure';
import { SurveySheet } from './SurveySheet';
import { useAssumptions, type Assumptions } from './useAssumptions';
import { useStanding } from './useStanding';
import { WatchSheet } from './WatchSheet';

export function MeasureStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const [focus, setFocus] = useState<FieldAt | null>(null);
  const [rolled, setRolled] = useState(() => rolledSoFar(job));
  const standing = useStanding(view);
  const narrow = useMedia('(max-width: 600px)');
  const { keypad, setKeypad } = useView();
  const assumptions = useAssumptions(view, standing.complete);
  const hooks: FieldHooks = { rolled, onFocus: setFocus };
  const pick = (at: FieldAt) => {
    setFocus(at);
    focusField(fieldKey(at));
  };
  const figure = (
    <SheetFigure view={view} prediction={standing.prediction} whole={standing.complete} focus={focus} onPick={pick} />
  );
  const extras = (group: GroupId) => ({ ...extrasOf(group, job, hooks, setRolled) });
  return (
    <JobFrame view={view} station="measure" people={people} person={person}>
      {narrow ? (
        <OneField
          job={job}
          hooks={hooks}
          focus={focus}
          onPick={setFocus}
          figure={figure}
          lacking={standing.assembled.missing.length}
          extras={extras}
        />
      ) : (
        <div className="sheets measure-grid">
          <Sheet
            title={`Measuring sheet, ${view.states[0]?.name ?? ''}`}
            aside={
              <Chips
                label="Keypad"
                options={[
                  { id: 'on', name: 'keypad' },
                  { id: 'off', name: 'keyboard' },
                ]}
                value={keypad ? 'on' : 'off'}
                onPick={(id) => setKeypad(id === 'on')}
              />
            }
          >
            <DayBar job={job} phase="before" />
            {PLACES.map((place) => (
              <section key={place.id} className="place" aria-label={place.title}>
                <h2>
                  {place.title} <span className="muted">{place.note}</span>
                </h2>
                {GROUPS.filter((g) => g.place === place.id).map((g) => (
                  <GroupFields
                    key={g.id}
                    job={job}
                    group={g.id}
                    narrows={<Narrows group={g.id} assumptions={assumptions} />}
                    {...hooks}
                    {...extras(g.id)}
                  />
                ))}
                {place.id === 'under' ? <SurveySheet job={job} travel={assumptions?.travel ?? null} /> : null}
              </section>
            ))}
          </Sheet>
          <div className="aside">
            {/* It scrolls by itself, so the keys must be able to reach it, also before anything in it can be focused. */}
            <div className="pinned" role="region" aria-label="The figure and what it tells" tabIndex={0}>
              <Sheet title="Figure">
                {figure}
                <TakeReading job={job} at={focus} rolled={rolled} />
                <FieldNote job={job} at={focus} />
              </Sheet>
              <Answers view={view} assembled={standing.assembled} />
            </div>
          </div>
        </div>
      )}
      <div className="sheets two standing">
        <WatchSheet view={view} onPick={pick} />
        {assumptions ? <AssumedSheet view={view} assumptions={assumptions} onPick={pick} /> : null}
      </div>
      <StandingSheets view={view} standing={standing} />
    </JobFrame>
  );
}

/** What the unread fields of a group would take off the band. */
function Narrows({ group, assumptions }: { group: GroupId; assumptions: Assumptions | null }) {
  const best = Math.max(
    0,
    ...(assumptions?.ranked ?? []).filter((a) => a.point && pointOf(a.point).group === group).map((a) => a.narrows),
  );
  return best >= 0.1 ? (
    <strong>
      narrows the band by up to <Length mm={best} tenths />
    </strong>
  ) : null;
}

/** What a group asks besides its fields. */
function extrasOf(group: GroupId, job: JobHandle, hooks: FieldHooks, onRolled: (rolled: boolean) => void) {
  switch (group) {
    case 'stance':
      return { lead: <RolledQuestion job={job} rolled={hooks.rolled} onAnswer={onRolled} /> };
    case 'weights':
      return { children: <LoadEstimate job={job} /> };
    case 'arch':
      return {
        children: (
          <>
            <PackFacts job={job} part="eyes" />
            {job.view.own ? <PackFacts job={job} part="eyes" own /> : null}
          </>
        ),
      };
    case 'linkage':
      return { children: <PackFacts job={job} part="shackle" /> };
    case 'stack':
      return {
        children: (
          <>
            <PackFacts job={job} part="seat" />
            {job.view.own ? <PackFacts job={job} part="seat" own /> : null}
          </>
        ),
      };
    case 'ubolts':
      return { children: <PackFacts job={job} part="bend" /> };
    case 'leaves':
      return {
        children: (
          <>
            <PackFacts job={job} part="leaves" />
            <LeafRows job={job} {...hooks} />
            {job.view.own ? (
              <>
                <PackFacts job={job} part="leaves" own />
                <LeafRows job={job} {...hooks} own />
              </>
            ) : null}
          </>
        ),
      };
    case 'check':
      return {
        children: (
          <>
            <PressRun job={job} />
            <SecondLoad job={job} {...hooks} />
          </>
        ),
      };
    default:
      return {};
  }
}
