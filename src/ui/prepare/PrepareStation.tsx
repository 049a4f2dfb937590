'use client';
import { useMemo, useState } from 'react';
import { orderOfWork } from '@/contracts/orderOfWork';
import { bayOf, calendarOf, dateOf, notHere, partLines, wrongParts } from '@/contracts/preparation';
import { KitSheet } from '../ask/KitSheet';
import { Marked } from '../controls/Mark';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { Dock, Stage, Workbench } from '../frame/Workbench';
import { useJob } from '../job/useJob';
import { ArrivalCheck } from './ArrivalCheck';
import { CalendarSheet } from './CalendarSheet';
import { dayText } from './dayText';
import { LiftStage } from './LiftStage';
import { PartsList } from './PartsList';
import { StandsSheet } from './StandsSheet';
import { toolNeeds, ToolsSheet } from './ToolsSheet';
import { useLift } from './useLift';
import { useTools } from './useTools';

/** What must lie there, hold and be at hand before anything is loosened, and the day it can begin. */
export function PrepareStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const { tools, save } = useTools();
  const lines = useMemo(() => partLines(view), [view]);
  const calendar = useMemo(() => calendarOf(view, lines), [view, lines]);
  const order = useMemo(() => orderOfWork(view)?.steps.map(({ operation }) => operation) ?? [], [view]);
  const lift = useLift(view, tools);
  const [measured, setMeasured] = useState<string | null>(null);
  const needs = toolNeeds(job, order, lift, tools);
  const wrong = wrongParts(lines);
  const open = notHere(lines);
  const wanted = lines.filter((l) => l.state !== 'notWanted').length;
  const lacking = needs.filter((n) => !n.has).length;
  // What is not ordered comes on no day that anybody knows.
  const noDay = view.build
    ? 0
    : open.filter((l) => l.state === 'toOrder' || !(l.part?.dueOn ?? l.part?.shelfItemId)).length;
  const { bayOn } = bayOf(view);
  const measure = (need: string) => {
    setMeasured(need);
    window.location.hash = 'arrival';
  };
  return (
    <JobFrame view={view} station="prepare" people={people} person={person} fixed>
      <Workbench className="prepare">
        <Stage
          title="Lifting plan"
          aside={
            <>
              <p className="prepare-verdict" role="status" aria-label="Verdict">
                {view.build ? (
                  <span className="muted">the build has begun</span>
                ) : view.plan.changes.length === 0 ? (
                  <span className="muted">nothing is planned yet</span>
                ) : (
                  <>
                    into the bay <strong className="figure">{dayText(dateOf(calendar.bay))}</strong>
                    {bayOn === null ? <span className="muted small"> at the earliest</span> : null}
                  </>
                )}
              </p>
              <p className="check-counts">
                {wrong.length > 0 ? (
                  <a href="#arrival" className="stop-word">
                    STOP {wrong.length} wrong in hand
                  </a>
                ) : null}
                {calendar.late ? (
                  <Marked kind="look">
                    {calendar.late} {calendar.late === 1 ? 'day' : 'days'} later than wanted
                  </Marked>
                ) : null}
                {noDay > 0 ? <Marked kind="untouched">{noDay} without a day</Marked> : null}
                {wanted > 0 ? (
                  <span>
                    {wanted - open.length} of {wanted} here
                  </span>
                ) : null}
              </p>
            </>
          }
        >
          <LiftStage view={view} lift={lift} />
        </Stage>
        <Dock
          below
          label="More of Prepare"
          first="parts"
          tabs={[
            {
              id: 'parts',
              name: 'parts and hardware',
              mark: open.length > 0 ? { kind: 'open', word: String(open.length) } : undefined,
              children: <PartsList job={job} lines={lines} onMeasure={measure} />,
            },
            {
              id: 'arrival',
              name: 'arrival',
              roomy: true,
              mark: wrong.length > 0 ? { kind: 'stop', word: `STOP ${wrong.length}` } : undefined,
              children: <ArrivalCheck job={job} lines={lines} need={measured} onNeed={setMeasured} />,
            },
            {
              id: 'stands',
              name: 'stands',
              children: <StandsSheet job={job} lift={lift} tools={tools} />,
            },
            {
              id: 'tools',
              name: 'tools',
              roomy: true,
              mark: lacking > 0 ? { kind: 'untouched', word: String(lacking) } : undefined,
              children: <ToolsSheet job={job} needs={needs} tools={tools} save={save} />,
            },
            {
              id: 'calendar',
              name: 'until the bay',
              children: <CalendarSheet job={job} calendar={calendar} order={order} />,
            },
            { id: 'kit', name: 'what a kit brings', roomy: true, children: <KitSheet job={job} /> },
          ]}
        />
      </Workbench>
    </JobFrame>
  );
}
