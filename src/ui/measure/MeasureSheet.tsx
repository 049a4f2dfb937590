'use client';
import { useState, type ReactNode } from 'react';
import { type Assembled } from '@/contracts/sheet';
import { pointOf, type GroupId } from '@/core/measure/points';
import { PLACES } from '@/core/sheet/point';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { type FigureSet } from '../figure/figureSet';
import { SheetFigure } from '../figure/SheetFigure';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { TakeReading } from '../instruments/TakeReading';
import { type JobHandle } from '../job/useJob';
import { Length } from '../measured/Figure';
import { focusField } from '../measured/MeasuredInput';
import { useView } from '../theme/Providers';
import { useMedia } from '../theme/useMedia';
import { Answers, type Answer } from './Answers';
import { AssumedSheet } from './AssumedSheet';
import { type Assumptions } from './assumptions';
import { DayBar } from './DayBar';
import { FieldNote } from './FieldNote';
import { type FieldHooks } from './FieldOfSheet';
import { fieldKey, groupsShown, type FieldAt } from './fields';
import { GroupFields } from './GroupFields';
import { LoadEstimate } from './LoadEstimate';
import { OneField } from './OneField';
import { RolledQuestion, rolledSoFar } from './RolledQuestion';
import { SurveySheet } from './SurveySheet';
import { WatchSheet, type Watched } from './WatchSheet';

/** Asked before the fields of a group, and after them. */
export interface Extras {
  lead?: ReactNode;
  children?: ReactNode;
}

interface Props extends Omit<StationProps, 'first'> {
  job: JobHandle;
  assembled: Assembled;
  figures: FigureSet;
  /** What a group asks besides its fields. */
  asks: (group: GroupId, job: JobHandle, hooks: FieldHooks) => Extras;
  answers: readonly Answer[];
  watched: Watched;
  assumptions: Assumptions | null;
  /** Under the sheet: what the readings say of the spring as it stands. */
  children: ReactNode;
}

/** The measuring sheet of any axle, its figure beside it; what its kind of suspension adds comes from the kind. */
export function MeasureSheet(props: Props) {
  const { job, people, person, assembled, figures, asks, watched, assumptions, children } = props;
  const { view } = job;
  const [focus, setFocus] = useState<FieldAt | null>(null);
  const [rolled, setRolled] = useState(() => rolledSoFar(job));
  const narrow = useMedia('(max-width: 600px)');
  const { keypad, setKeypad } = useView();
  const hooks: FieldHooks = { rolled, onFocus: setFocus };
  const pick = (at: FieldAt) => {
    setFocus(at);
    focusField(fieldKey(at));
  };
  const figure = <SheetFigure view={view} figures={figures} focus={focus} onPick={pick} />;
  const extras = (group: GroupId): Extras => {
    if (group === 'stance') return { lead: <RolledQuestion job={job} rolled={rolled} onAnswer={setRolled} /> };
    if (group === 'weights') return { children: <LoadEstimate job={job} /> };
    return asks(group, job, hooks);
  };
  const groups = groupsShown(view);
  return (
    <JobFrame view={view} station="measure" people={people} person={person}>
      {narrow ? (
        <OneField
          job={job}
          hooks={hooks}
          focus={focus}
          onPick={setFocus}
          figure={figure}
          lacking={assembled.missing.length}
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
            {PLACES.filter((place) => groups.some((g) => g.place === place.id)).map((place) => (
              <section key={place.id} className="place" aria-label={place.title}>
                <h2>
                  {place.title} <span className="muted">{place.note}</span>
                </h2>
                {groups
                  .filter((g) => g.place === place.id)
                  .map((g) => (
                    <GroupFields
                      key={g.id}
                      job={job}
                      group={g.id as GroupId}
                      narrows={<Narrows group={g.id as GroupId} assumptions={assumptions} />}
                      {...hooks}
                      {...extras(g.id as GroupId)}
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
              <Answers view={view} missing={assembled.missing} rows={props.answers} flags={watched.flags.length} />
            </div>
          </div>
        </div>
      )}
      <div className="sheets two standing">
        <WatchSheet view={view} watched={watched} onPick={pick} />
        {assumptions ? <AssumedSheet view={view} assumptions={assumptions} onPick={pick} /> : null}
      </div>
      {children}
    </JobFrame>
  );
}

/** What the unread fields of a group would take off the band. */
function Narrows({ group, assumptions }: { group: string; assumptions: Assumptions | null }) {
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
