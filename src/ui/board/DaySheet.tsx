'use client';
import Link from 'next/link';
import { useState, type ReactNode } from 'react';
import { type BoardRow } from '@/contracts/board';
import { daySheet, SECTION_NAMES, SECTIONS, type BoardJob, type Section } from '@/contracts/daySheet';
import { dueNow } from '@/contracts/dueNow';
import { STATIONS } from '@/contracts/stationNames';
import { currentStation } from '@/contracts/stations';
import { axleName, isPaired } from '@/core/suspension/names';
import { Marked } from '../controls/Mark';
import { VehicleSketch } from '../drawing/VehicleSketch';
import { Length, PlusMinus } from '../measured/Figure';
import { Quantity } from '../measured/Quantity';
import { DueBy, TakeBack, TickForm } from './Checks';

interface Props {
  rows: readonly BoardRow[];
  today: string;
  /** What was searched for; empty for the day itself. */
  words: string;
}

/** The day's jobs as ruled lines, by what presses most. */
export function DaySheet({ rows, today, words }: Props) {
  const jobs = daySheet(rows, today);
  if (jobs.length === 0)
    return (
      <section className="day-sheet empty">
        <p>No jobs yet. Open one with “New job”: say what is wrong and how many millimetres would put it right.</p>
      </section>
    );
  return (
    <section className="day-sheet" aria-label={words === '' ? 'Jobs' : 'Found'} tabIndex={0}>
      <table>
        <colgroup>
          <col className="section-column" />
          <col className="sketch-column" />
          <col />
          <col className="ends-column" />
          <col className="one-column" />
          <col className="go-column" />
        </colgroup>
        {SECTIONS.map((section) => {
          const here = jobs.filter((job) => job.section === section);
          return here.length === 0 ? null : (
            <tbody key={section} data-section={section}>
              {here.map((job, k) => (
                <JobLine
                  key={job.axles[0].jobId}
                  job={job}
                  today={today}
                  head={
                    k === 0 ? (
                      <th scope="rowgroup" rowSpan={here.length} className="section">
                        {SECTION_NAMES[section]} <span className="figure">{here.length}</span>
                      </th>
                    ) : null
                  }
                />
              ))}
            </tbody>
          );
        })}
      </table>
    </section>
  );
}

function JobLine({ job, today, head }: { job: BoardJob; today: string; head: ReactNode }) {
  const [first, ...others] = job.axles;
  const [asking, setAsking] = useState(false);
  const station = STATIONS.find((s) => s.id === currentStation(first))!;
  const due = first.nextDue;
  const pressing = job.section === 'overdue' || job.section === 'today' || job.section === 'thisWeek';
  const sketched = first.axles.map(({ position, suspension }) => ({
    position: position === 'front' ? ('front' as const) : ('rear' as const),
    pair: isPaired(suspension),
    touched: job.axles.some((row) => row.axle === position),
  }));
  return (
    <tr>
      {head}
      <td className="sketch">
        <VehicleSketch form={first.form} wheelbase={first.wheelbase} axles={sketched} />
      </td>
      <td className="who">
        <Link className="job" href={`/jobs/${first.id}/${station.id}`} prefetch={false}>
          {first.vehicle}
        </Link>
        <span className="muted">
          {axleName(first.axle, first.suspension)}, {station.name} <span className="figure">{station.number}</span>
        </span>
        {others.map((row) => (
          <Link key={row.id} className="job-axle" href={`/jobs/${row.id}/${currentStation(row)}`} prefetch={false}>
            and its {axleName(row.axle, row.suspension)}
          </Link>
        ))}
      </td>
      <td className="ends">
        {due && pressing ? (
          <p data-due={dueNow(due, today, first.odometer).word}>
            <Marked kind="look">{due.what}</Marked> <DueBy due={due} today={today} odometer={first.odometer} />
          </p>
        ) : null}
        <Ends job={job} />
        {job.section === 'parts' ? (
          <p>
            <Marked kind="open">
              {job.axles.reduce((sum, row) => sum + row.waits, 0)} of its parts are not here yet
            </Marked>
          </p>
        ) : null}
        {job.section === 'planned' || job.section === 'parts' || job.section === 'closed' ? (
          <p className="muted">{first.complaint}</p>
        ) : null}
        {first.foundBy ? <p className="small found-by">{first.foundBy}</p> : null}
        {due && !pressing ? (
          <p className="small muted" data-due="later">
            later: {due.what}, {shortDay(due.dueOn)} or after <Quantity value={due.afterKm} of="distance" />{' '}
            {asking ? null : (
              <button type="button" className="link" onClick={() => setAsking(true)}>
                record it
              </button>
            )}
          </p>
        ) : null}
        {due && asking ? <TickForm due={due} onDone={() => setAsking(false)} /> : null}
        {first.lastDone ? <TakeBack done={first.lastDone} /> : null}
      </td>
      <td className="one">
        <OneFigure job={job} today={today} />
      </td>
      <td className="go">
        {pressing && due ? (
          <button type="button" className="act" onClick={() => setAsking(!asking)} aria-expanded={asking}>
            record it
          </button>
        ) : (
          <Link
            className={`act ${job.section === 'closed' ? 'quiet' : 'ruled'}`}
            href={`/jobs/${first.id}/${job.section === 'parts' ? 'prepare' : station.id}`}
            prefetch={false}
          >
            {actOf(job) ?? station.name.toLowerCase()}
          </Link>
        )}
      </td>
    </tr>
  );
}

const ACTS: Partial<Record<Section, string>> = { bay: 'go on', toClose: 'close it', parts: 'parts', closed: 'look' };

/** What is done next at a job; nothing is closed while something stops it. */
const actOf = ({ section, axles }: BoardJob): string | undefined =>
  section === 'toClose' && axles.some((row) => row.open.some((text) => text.startsWith('STOP')))
    ? 'go on'
    : ACTS[section];

/** Things still open that are named. */
const NAMED = 3;

/** What a job in hand still lacks: a few by name, stops before the rest; and whether it came out inside its band. */
function Ends({ job: { axles } }: { job: BoardJob }) {
  const open = axles.flatMap((row) => row.open);
  const proven = axles.filter((row) => row.outcomes > 0);
  const outside = proven.some((row) => row.outside > 0);
  if (proven.length === 0 && open.length === 0) return null;
  return (
    <ul aria-label="How it stands">
      {open.slice(0, NAMED).map((text) => (
        <li key={text} className={text.startsWith('STOP') ? 'stop-word' : ''}>
          {text.startsWith('STOP') ? text : <Marked kind="untouched">{text}</Marked>}
        </li>
      ))}
      {open.length > NAMED ? <li className="muted">and {open.length - NAMED} more</li> : null}
      {proven.length > 0 ? (
        <li>
          <Marked kind={outside ? 'look' : 'done'}>{outside ? 'outside' : 'inside'} its band</Marked>
        </li>
      ) : null}
    </ul>
  );
}

const shortDay = (day: string): string =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' })
    .format(new Date(`${day}T00:00:00Z`))
    .replace(',', '');

/** The one number that tells how a job stands. */
function OneFigure({ job: { section, axles }, today }: { job: BoardJob; today: string }) {
  const [first] = axles;
  const due = first.nextDue && { row: first.nextDue, ...dueNow(first.nextDue, today, first.odometer) };
  if (section === 'overdue' && due)
    return due.by === 'distance' && due.leftKm !== null ? (
      <>
        <Quantity value={-due.leftKm} of="distance" /> <span className="muted">over</span>
      </>
    ) : (
      <>
        <span className="figure">{-due.days}</span>{' '}
        <span className="muted">{due.days === -1 ? 'day' : 'days'} late</span>
      </>
    );
  if (section === 'today') return <span className="figure">today</span>;
  if (section === 'thisWeek' && due) return <span className="figure due-day">{shortDay(due.row.dueOn)}</span>;
  if (section === 'closed') return <span className="muted">closed</span>;
  const open = axles.reduce((sum, row) => sum + row.open.length, 0);
  if (section === 'bay' || section === 'toClose')
    return (
      <>
        <span className="figure">{open}</span> <span className="muted">open</span>
      </>
    );
  if (first.predictedChange === null)
    return (
      <>
        <Length mm={first.wantedChange} signed /> <span className="muted">wanted</span>
      </>
    );
  return (
    <>
      <Length mm={first.predictedChange} signed /> <PlusMinus mm={first.predictedHalf ?? 0} unit={false} />
      <span className="muted small-line">
        wanted <Length mm={first.wantedChange} signed unit={false} />
      </span>
    </>
  );
}
