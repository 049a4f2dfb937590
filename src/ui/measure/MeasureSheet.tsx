'use client';
import { useEffect, useState, type ReactNode } from 'react';
import { type JobView } from '@/contracts/job';
import { readingKey } from '@/contracts/readingKey';
import { type Assembled } from '@/contracts/sheet';
import { pointOf, type GroupId } from '@/core/measure/points';
import { PLACES } from '@/core/sheet/point';
import { otherOf } from '@/core/vehicle/side';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { RoomContext } from '../drawing/useRoom';
import { type FigureSet } from '../figure/figureSet';
import { SheetFigure } from '../figure/SheetFigure';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { Dock, Stage, Workbench, type DockTab } from '../frame/Workbench';
import { TakeReading } from '../instruments/TakeReading';
import { type JobHandle } from '../job/useJob';
import { Length } from '../measured/Figure';
import { focusField } from '../measured/MeasuredInput';
import { PadContext } from '../measured/PadDock';
import { useView } from '../theme/View';
import { useMedia } from '../theme/useMedia';
import { AssumedSheet } from './AssumedSheet';
import { type Assumptions } from './assumptions';
import { DayBar } from './DayBar';
import { FieldNote } from './FieldNote';
import { FieldOfSheet, type FieldHooks } from './FieldOfSheet';
import { allFields, fieldKey, groupsShown, sameField, spokenField, type FieldAt } from './fields';
import { GroupFields } from './GroupFields';
import { LoadEstimate } from './LoadEstimate';
import { MeasureVerdict } from './MeasureVerdict';
import { lowerFirst } from './missingText';
import { NextReadings, type Answer } from './NextReadings';
import { OneField } from './OneField';
import { RolledQuestion, rolledSoFar } from './RolledQuestion';
import { SurveySheet } from './SurveySheet';
import { WatchSheet, type Watched } from './WatchSheet';

/** Asked before the fields of a group, and after them; and fields of its own. */
export interface Extras {
  lead?: ReactNode;
  children?: ReactNode;
  before?: ReactNode;
  fields?: ReactNode;
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
  /** What the readings say of the spring as it stands. */
  children: ReactNode;
}

/** The measuring sheet of any axle: its figure is the sheet, the list of fields a second view; what a kind adds comes from the kind. */
export function MeasureSheet(props: Props) {
  const { job, people, person, assembled, figures, asks, answers, watched, assumptions, children } = props;
  const { view } = job;
  const [focus, setFocus] = useState<FieldAt | null>(null);
  const [asked, setAsked] = useState(0);
  const [tab, setTab] = useState('next');
  const [typing, setTyping] = useState<string | null>(null);
  const [rolled, setRolled] = useState(() => rolledSoFar(job));
  const narrow = useMedia('(max-width: 600px)');
  const listed = tab === 'list';
  const hooks: FieldHooks = { rolled, onFocus: setFocus };
  const fields = allFields(view);
  const isRead = (at: FieldAt) => view.readings.some((r) => readingKey(r) === fieldKey(at));
  // Before anything is touched: the first that an answer needs and nobody read.
  const base = view.states[0]?.id ?? null;
  const first =
    fields.find((f) => pointOf(f.point).minimal && (f.stateId ?? base) === base && !isRead(f)) ?? fields[0]!;
  const at = focus ?? first;
  const index = Math.max(
    0,
    fields.findIndex((field) => sameField(field, at)),
  );
  const next = fields[index + 1] ?? null;
  const pick = (to: FieldAt) => {
    setFocus(to);
    setTyping(null);
    if (listed) focusField(fieldKey(to));
    else setAsked(asked + 1);
  };
  const pickAnchor = (anchor: string) => {
    const to = fields.find((field) => fieldKey(field) === anchor);
    if (to) pick(to);
    else focusField(anchor);
  };
  const figure = (
    <SheetFigure
      view={view}
      figures={figures}
      focus={listed || narrow ? focus : at}
      next={listed || narrow ? null : next}
      typing={listed || narrow ? null : typing}
      aside={narrow ? null : <ReadSoFar read={fields.filter(isRead).length} all={fields.length} />}
      onPick={pick}
    />
  );
  const extras = (group: GroupId): Extras => {
    if (group === 'stance') return { lead: <RolledQuestion job={job} rolled={rolled} onAnswer={setRolled} /> };
    if (group === 'weights') return { children: <LoadEstimate job={job} /> };
    return asks(group, job, hooks);
  };
  const flags = watched.flags.length;
  const tabs: DockTab[] = [
    {
      id: 'next',
      name: 'what next',
      children: (
        <NextReadings
          view={view}
          answers={answers}
          missing={assembled.missing}
          assumptions={assumptions}
          onPick={pick}
          onAnchor={pickAnchor}
        />
      ),
    },
    {
      id: 'list',
      name: 'list',
      roomy: true,
      alone: true,
      children: <FieldList job={job} hooks={hooks} extras={extras} assumptions={assumptions} />,
    },
    { id: 'asked', name: 'questions', roomy: true, alone: true, children: <Questions view={view} extras={extras} /> },
    {
      id: 'slack',
      name: 'slack',
      roomy: true,
      children: <SurveySheet job={job} travel={assumptions?.travel ?? null} />,
    },
    {
      id: 'watch',
      name: 'at odds',
      ready: true,
      // Always there: no tab moves away from under a finger when a reading is kept.
      mark: flags > 0 ? { kind: 'look', word: String(flags) } : { kind: 'done', word: '0' },
      children: <WatchSheet view={view} watched={watched} onPick={pick} />,
    },
    ...(assumptions
      ? [
          {
            id: 'assumed',
            name: 'not read',
            children: <AssumedSheet view={view} assumptions={assumptions} onPick={pick} />,
          },
        ]
      : []),
    { id: 'stands', name: 'as it stands', roomy: true, children },
  ];
  if (narrow)
    return (
      <JobFrame view={view} station="measure" people={people} person={person}>
        <Workbench className="measure one">
          <OneField
            job={job}
            hooks={hooks}
            focus={focus}
            onPick={setFocus}
            figure={figure}
            lacking={assembled.missing.length}
            extras={extras}
          />
          <Dock
            label="What is read and what it tells"
            // Fields and questions come one after the other there.
            tabs={tabs.filter(({ id }) => id !== 'list' && id !== 'asked')}
            first="next"
            below
            at={fieldKey(at)}
          />
        </Workbench>
      </JobFrame>
    );
  return (
    <JobFrame view={view} station="measure" people={people} person={person} fixed>
      <Workbench className={listed ? 'measure listed' : 'measure'}>
        <Stage title="Figure" aside={null}>
          {/* Beside the list it is as tall as its width makes it, and scrolls. */}
          {listed ? <RoomContext value={null}>{figure}</RoomContext> : figure}
        </Stage>
        <div className="verdict-column">
          <MeasureVerdict view={view} lacking={assembled.missing.length} assumptions={assumptions} />
          <section className="sheet field-card" aria-label="Field at work">
            {listed ? null : (
              <PadContext
                value={{
                  next: next && lowerFirst(spokenField(view, next)),
                  same: sameOf(job, at),
                }}
              >
                <PadField
                  key={fieldKey(at)}
                  asked={asked}
                  job={job}
                  at={at}
                  rolled={rolled}
                  onText={setTyping}
                  onFocus={setFocus}
                  onEntered={() => next && pick(next)}
                />
              </PadContext>
            )}
            <TakeReading job={job} at={listed ? focus : at} rolled={rolled} />
            <FieldNote job={job} at={listed ? focus : at} />
          </section>
        </div>
        <Dock label="What is read and what it tells" tabs={tabs} first="next" onOpen={setTab} />
      </Workbench>
    </JobFrame>
  );
}

/** What the other side reads, to be taken over. */
function sameOf(job: JobHandle, at: FieldAt): { side: string; typed: string } | null {
  if (!at.side) return null;
  const side = otherOf(at.side);
  const reading = job.at({ ...at, side, phase: 'before' });
  return reading ? { side, typed: reading.typed } : null;
}

/** How much of the sheet is filled. */
const ReadSoFar = ({ read, all }: { read: number; all: number }) => (
  <span className="muted read-so-far">
    <span className="figure">{read}</span> of <span className="figure">{all}</span> read
  </span>
);

interface PadFieldProps extends FieldHooks {
  job: JobHandle;
  at: FieldAt;
  /** Counts how often a field was asked for: then it takes the focus. */
  asked: number;
  onText: (text: string) => void;
  onEntered: () => void;
}

/** The field at work beside the figure, with its keys. */
function PadField({ job, at, asked, onEntered, ...hooks }: PadFieldProps) {
  const key = fieldKey(at);
  useEffect(() => {
    if (asked > 0) focusField(key);
  }, [asked, key]);
  return <FieldOfSheet job={job} at={at} label={spokenField(job.view, at)} onEntered={onEntered} {...hooks} />;
}

interface ListProps {
  job: JobHandle;
  hooks: FieldHooks;
  extras: (group: GroupId) => Extras;
  assumptions: Assumptions | null;
}

/** Every field of the sheet one under the other, in the order of walking round the vehicle. */
function FieldList({ job, hooks, extras, assumptions }: ListProps) {
  const { view } = job;
  const { keypad, setKeypad } = useView();
  const groups = groupsShown(view);
  return (
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
        </section>
      ))}
    </Sheet>
  );
}

/** What is asked besides the fields, of every group; and the day the readings are taken on. */
function Questions({ view, extras }: { view: JobView; extras: (group: GroupId) => Extras }) {
  return (
    <div className="dock-columns">
      {groupsShown(view).flatMap((group) => {
        const { lead, children } = extras(group.id as GroupId);
        return lead || children
          ? [
              <section key={group.id} className="group" aria-label={group.title}>
                <h2>{group.title}</h2>
                {lead}
                {children}
              </section>,
            ]
          : [];
      })}
    </div>
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
