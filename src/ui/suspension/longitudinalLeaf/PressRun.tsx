'use client';
import { useState } from 'react';
import { type Live } from '@/contracts/instrument';
import { type PressRun as Run } from '@/contracts/press';
import { type Side } from '@/core/vehicle/side';
import { FilePick } from '../../controls/FilePick';
import { SideChips } from '../../controls/SideChips';
import { Marked } from '../../controls/Mark';
import { useInstrument } from '../../instruments/useInstruments';
import { ProblemNote } from '../../job/ProblemNote';
import { type JobHandle } from '../../job/useJob';
import { useSend } from '../../job/useSend';
import { Length } from '../../measured/Figure';
import { Clock } from '../../measured/Clock';

type Points = Run['points'];

/** One settled line of the press as a point; undefined while it moves. */
function pointOf(press: Live): Points[number] | undefined {
  const value = (quantity: string) => press.values.find((v) => v.quantity === quantity)?.value;
  const [force, archTop] = [value('force'), value('arch')];
  if (press.state !== 'settled' || force === undefined || archTop === undefined) return undefined;
  return press.word === 'loading' || press.word === 'unloading' ? { force, archTop, branch: press.word } : undefined;
}

/** A load-deflection loop of one side's pack, from the press or a file: teaches rate, seat and friction. */
export function PressRun({ job }: { job: JobHandle }) {
  const { busy, problem, run } = useSend();
  const [side, setSide] = useState<Side>('left');
  const read = (file: File) =>
    run(async () => {
      await job.send('/press-file', 'POST', { id: crypto.randomUUID(), side, text: await file.text() });
    });
  return (
    <div className="part">
      <h4>Press run</h4>
      <div className="facts-row">
        <SideChips label="Press run of side" value={side} onPick={setSide} />
        <RecordLoop job={job} side={side} />
        <FilePick name="Read a CSV file" accept=".csv,text/csv" busy={busy} onPick={read} />
      </div>
      {job.view.pressRuns.map((r) => (
        <p key={r.id} data-press={r.side}>
          <Marked kind="done">
            {r.side}: {r.points.length} points to{' '}
            <span className="figure">{Math.max(...r.points.map((p) => p.force)).toFixed(0)} N</span>, arch{' '}
            <Length mm={Math.max(...r.points.map((p) => p.archTop))} /> to{' '}
            <Length mm={Math.min(...r.points.map((p) => p.archTop))} />
          </Marked>{' '}
          <span className="muted">
            from {r.source === 'csv' ? 'a file' : 'the press'}, {r.person}, <Clock at={r.takenAt} what="day" />
          </span>
        </p>
      ))}
      <ProblemNote problem={problem} />
    </div>
  );
}

/** A loop from the connected press, point by point; what the press says redraws this alone. */
function RecordLoop({ job, side }: { job: JobHandle; side: Side }) {
  const { busy, problem, run } = useSend();
  const [points, setPoints] = useState<Points | null>(null);
  const press = useInstrument('springPress');
  const now = press && points !== null ? pointOf(press) : undefined;
  const known = (p: Points[number]) => points?.some((q) => q.branch === p.branch && Math.abs(q.force - p.force) < 1);
  // The press says its points one after the other; each new one is kept until the loop is taken or dropped.
  if (now && points && !known(now)) setPoints([...points, now]);
  const take = () =>
    void run(async () => {
      await job.send('/press', 'POST', { id: crypto.randomUUID(), side, points });
      setPoints(null);
    });
  const branches = new Set(points?.map((p) => p.branch)).size;
  if (!press) return null;
  if (points === null)
    return (
      <button type="button" className="act quiet" onClick={() => setPoints([])}>
        Record a loop
      </button>
    );
  return (
    <>
      <button type="button" className="act" disabled={points.length < 3 || busy} onClick={take}>
        Take these {points.length} points
      </button>
      <button type="button" className="act quiet" onClick={() => setPoints(null)}>
        Drop them
      </button>
      <span className="muted">{branches < 2 ? 'one branch so far' : 'both branches'}</span>
      <ProblemNote problem={problem} />
    </>
  );
}
