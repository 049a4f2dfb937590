'use client';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { leftOpenOfJob } from '@/contracts/openList';
import { type LogReport } from '@/contracts/logFile';
import { planText } from '@/contracts/planText';
import { CustomerLinks } from '../door/CustomerLinks';
import { Marked } from '../controls/Mark';
import { Chips } from '../controls/Chips';
import { FilePick } from '../controls/FilePick';
import { TextField } from '../controls/TextField';
import { downloadBlob } from '../controls/download';
import { call, callForFile } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';
import { Quantity } from '../measured/Quantity';
import { planNameOf } from './corners';

const LINKS = [
  { id: 'none', name: 'without a link' },
  { id: '30', name: 'link for 30 days' },
  { id: '90', name: '90 days' },
] as const;
const LOGS = [
  { id: 'readings', name: 'readings' },
  { id: 'torques', name: 'torque log' },
  { id: 'outcomes', name: 'outcomes' },
  { id: 'failures', name: 'failures' },
] as const;
type LinkDays = (typeof LINKS)[number]['id'];

/** The sheet the owner takes along, and who took the vehicle. */
export function HandOver({ job }: { job: JobHandle }) {
  const { view } = job;
  const client = useQueryClient();
  const { busy, problem, run } = useSend();
  const [takenBy, setTakenBy] = useState('');
  const [days, setDays] = useState<LinkDays>('none');
  const [came, setCame] = useState<LogReport | null>(null);
  const open = leftOpenOfJob(view);
  const stops = open.filter((i) => i.stop);
  const print = () =>
    void run(async () => {
      const body = { id: crypto.randomUUID(), days: days === 'none' ? null : Number(days) };
      const { name, blob } = await callForFile(`/api/jobs/${view.id}/hand-over-sheet`, body);
      downloadBlob(name, blob);
    });
  const take = (file: File) =>
    run(async () => {
      setCame(null);
      setCame(await call<LogReport>(`/api/jobs/${view.id}/log`, 'POST', { text: await file.text() }));
      await client.invalidateQueries({ queryKey: ['job', view.id] });
    });
  const hand = () =>
    void run(async () => {
      await job.send('/hand-over', 'POST', { id: crypto.randomUUID(), takenBy });
      setTakenBy('');
    });
  return (
    <div className="dock-columns hand-over">
      <section aria-label="As it prints" className="paper">
        <h3>{view.vehicle.name}</h3>
        <p className="muted">{view.job.complaint}</p>
        <h4>What was done</h4>
        <p>{planNameOf(view) ?? planText(view.plan)}</p>
        <h4>Open</h4>
        {open.length === 0 ? (
          <p>nothing</p>
        ) : (
          <ul>
            {open.map(({ text, stop }) => (
              <li key={text} className={stop ? 'stop-word' : ''}>
                {stop ? `STOP ${text}` : text}
              </li>
            ))}
          </ul>
        )}
        <h4>Come back</h4>
        <ul>
          {view.due
            .filter((d) => d.doneAt === null)
            .map((d) => (
              <li key={d.id}>
                {d.what}: <span className="figure">{d.dueOn}</span> or <Quantity value={d.afterKm} of="distance" />
              </li>
            ))}
        </ul>
        <p className="muted small">
          Besides on paper: heights before and after in a drawing, every torque with wrench and person, parts, cautions,
          and a code that opens this job read-only.
        </p>
      </section>
      <section aria-label="Hand it over">
        <Chips<LinkDays> label="Code on the sheet" shown options={LINKS} value={days} onPick={setDays} />
        <div className="acts">
          <button type="button" className="act ruled" disabled={busy} onClick={print}>
            Print the hand-over sheet
          </button>
        </div>
        {stops.length > 0 ? (
          <p className="stop-word">
            STOP: it is not handed over while {stops.length === 1 ? 'this is' : 'these are'} open.
          </p>
        ) : (
          <>
            <TextField label="Who takes it, by name" most={120} value={takenBy} onChange={setTakenBy} />
            <button type="button" className="act" disabled={busy || takenBy.trim() === ''} onClick={hand}>
              Handed over, told what is open
            </button>
          </>
        )}
        {view.handOver ? (
          <p>
            <Marked kind="done">
              handed to {view.handOver.takenBy} by {view.handOver.person}, <Clock at={view.handOver.handedAt} />
            </Marked>
            {view.handOver.told.length > 0 ? (
              <span className="muted"> told of {view.handOver.told.length} open</span>
            ) : null}
          </p>
        ) : null}
        <ProblemNote problem={problem} />
        <p className="log-files">
          <span className="muted">For another program, CSV:</span>
          {LOGS.map(({ id, name }) => (
            <a key={id} className="act quiet" href={`/api/jobs/${view.id}/log?what=${id}`} download>
              {name}
            </a>
          ))}
        </p>
        <p className="log-files">
          <span className="muted">From another program, such a table:</span>
          <FilePick name="take one in" accept=".csv,text/csv" busy={busy} onPick={take} />
        </p>
        {came ? (
          <p role="status">
            <Marked kind="done">
              {came.log}: {came.added} new, {came.unchanged} as they are
            </Marked>
          </p>
        ) : null}
        <p className="log-files">
          <span className="muted">For another shop that keeps its jobs here:</span>
          <a className="act quiet" href={`/api/jobs/${view.id}/bundle`} download>
            the whole job, with pictures
          </a>
        </p>
        <CustomerLinks jobId={view.id} />
      </section>
    </div>
  );
}
