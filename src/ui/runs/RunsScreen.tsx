'use client';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import Link from 'next/link';
import { useState } from 'react';
import { type Batch } from '@/contracts/batch';
import { isOver } from '@/contracts/batchOver';
import { type Person } from '@/contracts/person';
import { type Dead, type Run } from '@/contracts/run';
import { RUN_NAMES } from '@/contracts/runNames';
import { Marked } from '../controls/Mark';
import { PageFrame } from '../frame/PageFrame';
import { StationTape } from '../frame/StationTape';
import { Dock, Stage, Workbench } from '../frame/Workbench';
import { call } from '../job/api';
import { Clock } from '../measured/Clock';
import { BatchProgress } from './BatchProgress';
import { RunForm } from './RunForm';
import { RunFound } from './RunFound';
import { LOOK, RunLines } from './RunLines';

interface Props {
  runs: Batch[];
  dead: Dead[];
  first: Run | null;
  core: string;
  people: readonly Person[];
  person: string;
}

const nameOf = (kind: string): string => RUN_NAMES[kind as keyof typeof RUN_NAMES] ?? kind;

/** Work over many jobs at once, done in the background: what is asked, how far it is, what it found. */
export function RunsScreen({ runs, dead, first, core, people, person }: Props) {
  const client = useQueryClient();
  const [id, setId] = useState(first?.batch.id ?? null);
  const { data: run } = useQuery({
    queryKey: ['run', id],
    queryFn: () => call<Run>(`/api/runs/${id}`, 'GET'),
    enabled: id !== null,
    ...(first && id === first.batch.id && { initialData: first }),
    refetchInterval: ({ state }) => (state.data && !isOver(state.data.batch) ? 1200 : false),
  });
  const show = (next: Run) => {
    client.setQueryData(['run', next.batch.id], next);
    setId(next.batch.id);
  };
  const all = [...(run && !runs.some((b) => b.id === run.batch.id) ? [run.batch] : []), ...runs];
  return (
    <PageFrame
      fixed
      title="Runs"
      note="over many jobs at once, in the background"
      people={people}
      person={person}
      tape={<StationTape current="runs" />}
    >
      <Workbench className="fleet">
        <Stage
          title={run ? `${nameOf(run.batch.kind)}: ${run.batch.name}` : 'What it found'}
          aside={
            run ? (
              <BatchProgress<Run> of={run} path={`/api/runs/${run.batch.id}`} done="done" onChange={show} />
            ) : undefined
          }
        >
          {run ? (
            <RunFound run={run} />
          ) : (
            <p className="muted">Nothing was run yet. Below is what may be asked of many jobs at once.</p>
          )}
        </Stage>
        <div className="verdict-column">{run ? <Comes run={run} /> : null}</div>
        <Dock
          below
          label="Runs"
          first={run ? 'lines' : 'ask'}
          tabs={[
            ...(run ? [{ id: 'lines', name: 'lines', roomy: true, children: <RunLines run={run} /> }] : []),
            { id: 'ask', name: 'a new run', children: <RunForm core={core} onAsked={show} /> },
            ...(all.length > 0
              ? [{ id: 'earlier', name: 'runs so far', children: <Earlier runs={all} id={id} onPick={setId} /> }]
              : []),
            ...(dead.length > 0
              ? [
                  {
                    id: 'nothing',
                    name: 'came to nothing',
                    mark: { kind: 'look' as const, word: 'look' },
                    children: <CameToNothing dead={dead} onPick={setId} />,
                  },
                ]
              : []),
          ]}
        />
      </Workbench>
    </PageFrame>
  );
}

/** What a run comes to, in one figure, and its files. */
function Comes({ run: { batch, counts, files } }: { run: Run }) {
  const all = counts.reduce((n, c) => n + c.lines, 0);
  const look = counts.filter((c) => LOOK.includes(c.verdict)).reduce((n, c) => n + c.lines, 0);
  return (
    <section className="sheet" aria-label="What it comes to">
      <p className="read-great">
        <span className="figure">{look === 0 ? all : look}</span>{' '}
        <span>{look === 0 ? 'done' : look === 1 ? 'asks for a look' : 'ask for a look'}</span>{' '}
        <span className="muted">{look === 0 ? 'none asks for a look' : `of ${all}`}</span>
      </p>
      {files > 0 ? (
        <p>
          <a className="act" href={`/api/runs/${batch.id}/files`} download>
            {files} {files === 1 ? 'sheet' : 'sheets'} in one file
          </a>
        </p>
      ) : null}
      <p className="muted small">
        Asked by {batch.person}, <Clock at={batch.askedAt} />.
      </p>
    </section>
  );
}

function Earlier({ runs, id, onPick }: { runs: Batch[]; id: string | null; onPick: (id: string) => void }) {
  return (
    <ul className="stored" aria-label="Runs so far">
      {runs.map((b) => (
        <li key={b.id}>
          {b.kind === 'fleet' ? (
            <Link className="link" href="/fleet" prefetch={false}>
              {nameOf(b.kind)}: {b.name}
            </Link>
          ) : (
            <button type="button" className="link" aria-pressed={b.id === id} onClick={() => onPick(b.id)}>
              {nameOf(b.kind)}: {b.name}
            </button>
          )}{' '}
          <span className="muted small">
            {b.person}, <Clock at={b.askedAt} />
            {b.cancelledAt ? ', stopped' : isOver(b) ? '' : `, ${b.done} of ${b.pieces} pieces`}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** Pieces of all runs that came to nothing after every try. */
function CameToNothing({ dead, onPick }: { dead: Dead[]; onPick: (id: string) => void }) {
  return (
    <ul className="stored" aria-label="Came to nothing">
      {dead.map((d) => (
        <li key={d.batch}>
          <Marked kind="look">
            {d.pieces} {d.pieces === 1 ? 'piece' : 'pieces'}
          </Marked>{' '}
          of{' '}
          {d.kind === 'fleet' ? (
            <Link className="link" href="/fleet" prefetch={false}>
              {nameOf(d.kind)}: {d.name}
            </Link>
          ) : (
            <button type="button" className="link" onClick={() => onPick(d.batch)}>
              {nameOf(d.kind)}: {d.name}
            </button>
          )}{' '}
          <span className="muted small">{d.problem}</span>
        </li>
      ))}
    </ul>
  );
}
