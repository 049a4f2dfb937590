'use client';
import { useState } from 'react';
import { type ImportReport, type ShelfAsk } from '@/contracts/shelf';
import { FilePick } from '../controls/FilePick';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { callText } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { useParts } from './useShelf';

/** Faults shown at once; the rest are counted. */
const SHOWN = 30;

/** Parts as a file: out as the filter shows them, in after every line was checked. */
export function FileSheet({ ask }: { ask: ShelfAsk }) {
  const { busy, problem, run } = useSend();
  const { refresh } = useParts();
  const [file, setFile] = useState<{ name: string; text: string } | null>(null);
  const [report, setReport] = useState<ImportReport | null>(null);
  const [far, setFar] = useState<{ done: number; of: number; stop: () => void } | null>(null);
  const send = async (text: string, apply: boolean) => {
    const control = new AbortController();
    const stop = () => control.abort();
    setFar({ done: 0, of: 0, stop });
    await run(async () => {
      const path = `/api/shelf/file?apply=${apply ? 'yes' : 'no'}`;
      const tell = (done: number, of: number) => setFar({ done, of, stop });
      setReport(await callText<ImportReport>(path, text, tell, control.signal));
      if (apply) await refresh();
    });
    setFar(null);
  };
  const take = async (chosen: File) => {
    const text = await chosen.text();
    setFile({ name: chosen.name, text });
    setReport(null);
    await send(text, false);
  };
  const good = report !== null && report.problems.length === 0;
  const some = report ? report.added + report.changed : 0;
  return (
    <Sheet title="Parts as a file">
      <p className="muted small">
        A table with one part a line (CSV; its columns are described in docs/formats.md). A file is checked line by line
        first and goes in whole or not at all.
      </p>
      <div className="acts">
        <a
          className="act quiet"
          href={`/api/shelf/file?ask=${encodeURIComponent(JSON.stringify({ ...ask, after: null }))}`}
          download="parts.csv"
        >
          Save what is shown
        </a>
        <FilePick name="Check a file" accept=".csv,text/csv" busy={busy} onPick={take} />
      </div>
      {far ? (
        <div className="acts" role="status">
          <progress max={far.of || 1} value={far.of ? far.done : undefined} aria-label="How far the file is" />
          <span className="figure">{far.of ? `${far.done} of ${far.of} lines` : 'being read'}</span>
          <button type="button" className="act quiet" onClick={far.stop}>
            Stop
          </button>
        </div>
      ) : null}
      <ProblemNote problem={problem} />
      {file && report ? (
        <div data-testid="import">
          {good ? (
            <p>
              <Marked kind={report.applied ? 'done' : 'open'}>
                {file.name}: {report.applied ? 'brought in, ' : ''}
                {report.added} new, {report.changed} changed, {report.unchanged} as they are
              </Marked>
            </p>
          ) : (
            <>
              <p role="alert">
                <Marked kind="look">
                  {file.name}: {report.problems.length} {report.problems.length === 1 ? 'fault' : 'faults'}, nothing was
                  brought in
                </Marked>
              </p>
              <div className="scroll">
                <table className="plain">
                  <thead>
                    <tr>
                      <th scope="col">line</th>
                      <th scope="col">column</th>
                      <th scope="col">what is wrong</th>
                    </tr>
                  </thead>
                  <tbody>
                    {report.problems.slice(0, SHOWN).map((p, k) => (
                      <tr key={k}>
                        <td className="figure">{p.line}</td>
                        <td>{p.column}</td>
                        <td>{p.reason}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </div>
              {report.problems.length > SHOWN ? <p>and {report.problems.length - SHOWN} more.</p> : null}
            </>
          )}
          {good && !report.applied && some > 0 ? (
            <div className="acts">
              <button type="button" className="act" disabled={busy} onClick={() => void send(file.text, true)}>
                Bring in {some} parts
              </button>
            </div>
          ) : null}
        </div>
      ) : null}
    </Sheet>
  );
}
