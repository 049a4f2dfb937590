'use client';
import { Marked } from '../controls/Mark';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { Input } from 'antd';
import { useState } from 'react';
import { DUE_WORDS, dueNow, type DueRow, type DueWord } from '@/contracts/due';
import { axleName } from '@/core/suspension/names';
import { type BoardRow } from '@/contracts/board';
import { type Person } from '@/contracts/person';
import { STATIONS } from '@/contracts/stationNames';
import { currentStation } from '@/contracts/stations';
import { Sheet } from '../controls/Sheet';
import { PageFrame } from '../frame/PageFrame';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { distanceRule } from '@/core/units/rules';
import { Length, PlusMinus } from '../measured/Figure';
import { Quantity, useQuantityText } from '../measured/Quantity';
import { TypedField, type Typed } from '../measured/TypedField';
import { useKept } from '../measured/useKept';

interface Props {
  rows: readonly BoardRow[];
  /** The shop's date. */
  today: string;
  people: readonly Person[];
  person: string;
}

/** All jobs of the shop: what is wanted, what is foretold, what is due. */
export function Board({ rows, today, people, person }: Props) {
  // A check is due for the job as a whole, however many axles it works on.
  const jobs = rows.filter((row, k) => rows[k - 1]?.jobId !== row.jobId);
  const due = (word: DueWord) =>
    jobs.filter((row) => row.nextDue && dueNow(row.nextDue, today, row.odometer).word === word).length;
  const words = [
    `${jobs.length} jobs`,
    ...DUE_WORDS.filter((word) => word !== 'later').flatMap((word) =>
      due(word) > 0 ? [`${due(word)} ${DUE_TEXT[word]}`] : [],
    ),
  ];
  return (
    <PageFrame
      title="Board"
      note={words.length > 1 ? words.join(', ') : `${words[0]}, no check due this week`}
      people={people}
      person={person}
    >
      <div className="sheets">
        <Sheet
          title="Jobs"
          aside={
            <Link className="act" href="/jobs/new">
              New job
            </Link>
          }
        >
          {rows.length === 0 ? (
            <p>No jobs yet. Open one with “New job”: say what is wrong and how many millimetres would put it right.</p>
          ) : (
            <div className="scroll">
              <table className="plain board">
                <thead>
                  <tr>
                    <th scope="col">vehicle and complaint</th>
                    <th scope="col">station</th>
                    <th scope="col" className="number">
                      wanted
                    </th>
                    <th scope="col" className="number">
                      predicted, 90 %
                    </th>
                    <th scope="col">next check</th>
                  </tr>
                </thead>
                <tbody>
                  {rows.map((row, k) => (
                    <JobLine key={row.id} row={row} again={rows[k - 1]?.jobId === row.jobId} today={today} />
                  ))}
                </tbody>
              </table>
            </div>
          )}
        </Sheet>
      </div>
    </PageFrame>
  );
}

const DUE_TEXT: Record<DueWord, string> = {
  overdue: 'overdue',
  today: 'due today',
  thisWeek: 'due this week',
  later: 'later',
};

/** @param again the same job as the line above, at another axle */
function JobLine({ row, again, today }: { row: BoardRow; again: boolean; today: string }) {
  const station = STATIONS.find((s) => s.id === currentStation(row))!;
  return (
    <tr>
      <td>
        <Link className="job" href={`/jobs/${row.id}/${station.id}`} prefetch={false}>
          {again ? 'and its ' : `${row.vehicle}, `}
          {axleName(row.axle, row.suspension)}
        </Link>
        {again ? null : <div className="muted">{row.complaint}</div>}
      </td>
      <td>
        {row.closedAt ? <Marked kind="done">closed</Marked> : station.name}
        {row.outcomes > 0 ? (
          <div>
            <Marked kind={row.outside > 0 ? 'look' : 'done'}>{row.outside > 0 ? 'outside' : 'inside'} its band</Marked>
          </div>
        ) : null}
        {row.open.length > 0 ? <OpenAtBoard open={row.open} /> : null}
      </td>
      <td className="number">
        <Length mm={row.wantedChange} signed /> <PlusMinus mm={row.tolerance} unit={false} />
        <div className="muted">{row.wantedState}</div>
      </td>
      <td className="number">
        {row.predictedChange === null ? (
          <span className="muted">not stored yet</span>
        ) : (
          <>
            <Length mm={row.predictedChange} signed /> <PlusMinus mm={row.predictedHalf ?? 0} unit={false} />
          </>
        )}
      </td>
      <td>
        {again ? (
          <span className="muted">as above</span>
        ) : row.nextDue ? (
          <DueCheck due={row.nextDue} today={today} odometer={row.odometer} />
        ) : (
          <span className="muted">none</span>
        )}
        {row.lastDone && !again ? <TakeBack done={row.lastDone} /> : null}
      </td>
    </tr>
  );
}

/** What a job in hand still lacks: the first two by name, stops before the rest. */
function OpenAtBoard({ open }: { open: readonly string[] }) {
  return (
    <ul className="board-open" aria-label="Still open">
      {open.slice(0, 3).map((text) => (
        <li key={text} className={text.startsWith('STOP') ? 'stop-word' : 'muted'}>
          {text}
        </li>
      ))}
      {open.length > 3 ? <li className="muted">and {open.length - 3} more</li> : null}
    </ul>
  );
}

function DueCheck({ due, today, odometer }: { due: DueRow; today: string; odometer: number | null }) {
  const text = useQuantityText();
  const [asking, setAsking] = useState(false);
  const { word, by, days, leftKm } = dueNow(due, today, odometer);
  const mark = word === 'overdue' || word === 'today' ? 'look' : word === 'thisWeek' ? 'open' : 'untouched';
  const when =
    by === 'distance' && leftKm !== null
      ? `by ${text(-leftKm, 'distance')}`
      : days === 0
        ? ''
        : `${Math.abs(days)} ${Math.abs(days) === 1 ? 'day' : 'days'}`;
  return (
    <div data-due={word}>
      <Marked kind={mark}>
        {word === 'overdue'
          ? `overdue ${when}`
          : word === 'today'
            ? 'due today'
            : word === 'thisWeek'
              ? `this week, in ${when}`
              : `later, in ${when}`}
      </Marked>
      <div>{due.what}</div>
      <div className="muted">
        by <span className="figure">{due.dueOn}</span> or{' '}
        {leftKm === null ? (
          <>
            after <Quantity value={due.afterKm} of="distance" />
            {due.fromKm === null ? '; the odometer was not read' : ''}
          </>
        ) : leftKm > 0 ? (
          <>
            in <Quantity value={leftKm} of="distance" />
          </>
        ) : (
          <>
            <Quantity value={-leftKm} of="distance" /> ago
          </>
        )}
      </div>
      {asking ? (
        <TickForm due={due} onDone={() => setAsking(false)} />
      ) : (
        <button type="button" className="act quiet" onClick={() => setAsking(true)}>
          Done…
        </button>
      )}
    </div>
  );
}

const ODOMETER = distanceRule(0, 1e7);

/** A check is done with its figures: what each bolt was read to, how far the vehicle has been driven. */
function TickForm({ due, onDone }: { due: DueRow; onDone: () => void }) {
  const router = useRouter();
  const { busy, problem, run } = useSend();
  const [figures, setFigures, forget] = useKept(`check|${due.id}`, '');
  const [km, setKm] = useState<Typed | null>(null);
  const send = () =>
    run(async () => {
      const body = { id: crypto.randomUUID(), done: true, figures, km: km?.value ?? null, kmTyped: km?.typed ?? null };
      await call(`/api/checks/${due.id}`, 'POST', body);
      forget();
      onDone();
      router.refresh();
    });
  return (
    <div role="group" aria-label={`Done: ${due.what}`}>
      <div className="field">
        <label htmlFor={`figures-${due.id}`}>
          What was read<span className="needed"> needed</span>
        </label>
        <Input
          id={`figures-${due.id}`}
          value={figures}
          maxLength={300}
          placeholder="torque of each bolt, heights"
          onChange={(event) => setFigures(event.target.value)}
        />
      </div>
      <TypedField label="Odometer now" rule={ODOMETER} value={km} draft={`check|${due.id}|km`} onChange={setKm} />
      <div className="acts">
        <button type="button" className="act" disabled={busy || figures.trim() === ''} onClick={() => void send()}>
          Done today
        </button>
        <button type="button" className="act quiet" onClick={onDone}>
          Not yet
        </button>
      </div>
      <ProblemNote problem={problem} />
    </div>
  );
}

/** The check that was ticked last, with its figures; the tick can be taken back. */
function TakeBack({ done }: { done: DueRow }) {
  const router = useRouter();
  const { busy, problem, run } = useSend();
  const back = () =>
    run(async () => {
      await call(`/api/checks/${done.id}`, 'POST', { id: crypto.randomUUID(), done: false });
      router.refresh();
    });
  return (
    <div className="small muted">
      done: {done.what}
      {done.figures ? `, ${done.figures}` : ''}{' '}
      <button type="button" className="link" disabled={busy} onClick={() => void back()}>
        take back
      </button>
      <ProblemNote problem={problem} />
    </div>
  );
}
