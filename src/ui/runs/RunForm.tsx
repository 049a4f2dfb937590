'use client';
import { useState } from 'react';
import { type Run } from '@/contracts/run';
import { MOST_FILES, PAPER_JOBS, PAPERS, RUN_NAMES, type Paper, type RunKind } from '@/contracts/runNames';
import { Chips } from '../controls/Chips';
import { FilePick } from '../controls/FilePick';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';

const SAYS: Record<RunKind, string> = {
  again:
    'Each job’s last prediction is solved once more from what it was solved from. It tells whose figures would be others today; what is stored stays as it is.',
  papers: 'One sheet of each job as PDF, all of them in one file.',
  residuals: 'Where the heights that were read after the work lie otherwise than foretold, and what may be behind it.',
  bundles:
    'Jobs that other shops packed up, each taken in whole or not at all with the reason. You answer for it by name.',
};
const KINDS = Object.keys(SAYS) as RunKind[];

interface Sent {
  id: string;
  name: string;
}

/** What is asked of many jobs at once. */
export function RunForm({ core, onAsked }: { core: string; onAsked: (run: Run) => void }) {
  const { busy, problem, run } = useSend();
  const [id, setId] = useState(() => crypto.randomUUID());
  const [kind, setKind] = useState<RunKind>('again');
  const [which, setWhich] = useState<'earlier' | 'all'>('earlier');
  const [what, setWhat] = useState<Paper>('card');
  const [of, setOf] = useState<keyof typeof PAPER_JOBS>('planned');
  const [files, setFiles] = useState<Sent[]>([]);
  const asked = (next: Run) => {
    setId(crypto.randomUUID());
    setFiles([]);
    onAsked(next);
  };
  const send = (file: File) =>
    run(async () => {
      const own = { id: crypto.randomUUID(), name: file.name };
      const query = new URLSearchParams({ run: id, file: own.id, name: own.name });
      await call(`/api/runs/files?${query}`, 'POST', file);
      setFiles((all) => [...all, own]);
    });
  const go = () =>
    run(async () => {
      if (kind === 'bundles')
        asked(await call<Run>('/api/runs/bundles', 'POST', { id, files: files.map((f) => f.id) }));
      else
        asked(
          await call<Run>('/api/runs', 'POST', {
            id,
            kind,
            ...(kind === 'again' && { which }),
            ...(kind === 'papers' && { what, of }),
          }),
        );
    });
  return (
    <form
      className="sweep-form"
      onSubmit={(event) => {
        event.preventDefault();
        void go();
      }}
    >
      <Chips
        label="What is run"
        options={KINDS.map((k) => ({ id: k, name: RUN_NAMES[k] }))}
        value={kind}
        onPick={setKind}
      />
      <p className="muted">{SAYS[kind]}</p>
      {kind === 'again' ? (
        <Chips
          label="which"
          shown
          options={[
            { id: 'earlier', name: `made before core ${core}` },
            { id: 'all', name: 'all' },
          ]}
          value={which}
          onPick={setWhich}
        />
      ) : null}
      {kind === 'papers' ? (
        <>
          <Chips
            label="which sheet"
            shown
            options={Object.entries(PAPERS).map(([paper, name]) => ({ id: paper as Paper, name }))}
            value={what}
            onPick={setWhat}
          />
          <Chips
            label="of"
            shown
            options={Object.entries(PAPER_JOBS).map(([jobs, name]) => ({ id: jobs as keyof typeof PAPER_JOBS, name }))}
            value={of}
            onPick={setOf}
          />
        </>
      ) : null}
      {kind === 'bundles' ? (
        <>
          <div className="acts">
            <FilePick
              several
              name="Pick files"
              working="Sending…"
              accept=".zip,application/zip"
              busy={busy}
              onPick={(file) => (files.length < MOST_FILES ? send(file) : undefined)}
            />
          </div>
          <ul className="loose" aria-label="Files sent">
            {files.map((f) => (
              <li key={f.id}>{f.name}</li>
            ))}
          </ul>
        </>
      ) : null}
      <div className="acts">
        <button type="submit" className="act" disabled={busy || (kind === 'bundles' && files.length === 0)}>
          Run it
        </button>
      </div>
      <ProblemNote problem={problem} />
    </form>
  );
}
