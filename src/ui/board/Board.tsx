'use client';
import { Marked } from '../controls/Mark';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { type BoardRow, type Person } from '@/contracts/job';
import { currentStation, STATIONS } from '@/contracts/stations';
import { Sheet } from '../controls/Sheet';
import { PageFrame } from '../frame/PageFrame';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { Length, PlusMinus } from '../measured/Figure';

interface Props {
  rows: readonly BoardRow[];
  people: readonly Person[];
  person: string;
}

/** All jobs of the shop: what is wanted, what is foretold, what is due. */
export function Board({ rows, people, person }: Props) {
  const due = rows.filter((row) => row.nextDue !== null);
  return (
    <PageFrame
      title="Board"
      note={`${rows.length} jobs, ${due.length} with a check due`}
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
                  {rows.map((row) => (
                    <JobLine key={row.id} row={row} />
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

function JobLine({ row }: { row: BoardRow }) {
  const station = STATIONS.find((s) => s.id === currentStation(row))!;
  return (
    <tr>
      <td>
        <Link className="job" href={`/jobs/${row.id}/${station.id}`} prefetch={false}>
          {row.vehicle}, {row.axle} axle
        </Link>
        <div className="muted">{row.complaint}</div>
      </td>
      <td>
        {station.name}
        {row.outcomes > 0 ? (
          <div>
            <Marked kind={row.outside > 0 ? 'look' : 'done'}>{row.outside > 0 ? 'outside' : 'inside'} its band</Marked>
          </div>
        ) : null}
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
      <td>{row.nextDue ? <DueCheck due={row.nextDue} /> : <span className="muted">none</span>}</td>
    </tr>
  );
}

function DueCheck({ due }: { due: NonNullable<BoardRow['nextDue']> }) {
  const router = useRouter();
  const { busy, problem, run } = useSend();
  const done = () =>
    run(async () => {
      await call(`/api/checks/${due.id}`, 'POST', { done: true });
      router.refresh();
    });
  return (
    <>
      <div>{due.what}</div>
      <div className="muted">
        by <span className="figure">{due.dueOn}</span> or after <span className="figure">{due.afterKm} km</span>
      </div>
      <button type="button" className="act quiet" disabled={busy} onClick={() => void done()}>
        Done today
      </button>
      <ProblemNote problem={problem} />
    </>
  );
}
