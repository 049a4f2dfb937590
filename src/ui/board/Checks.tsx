'use client';
import { Input } from 'antd';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type DueRow } from '@/contracts/due';
import { dueNow } from '@/contracts/dueNow';
import { distanceRule } from '@/core/units/rules';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { Quantity } from '../measured/Quantity';
import { TypedField, type Typed } from '../measured/TypedField';
import { useKept } from '../measured/useKept';

/** By when a check is due, by day and by distance. */
export function DueBy({ due, today, odometer }: { due: DueRow; today: string; odometer: number | null }) {
  const { leftKm } = dueNow(due, today, odometer);
  return (
    <span className="muted">
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
    </span>
  );
}

const ODOMETER = distanceRule(0, 1e7);

/** A check is done with its figures: what each bolt was read to, how far the vehicle has been driven. */
export function TickForm({ due, onDone }: { due: DueRow; onDone: (done: boolean) => void }) {
  const router = useRouter();
  const { busy, problem, run } = useSend();
  const [figures, setFigures, forget] = useKept(`check|${due.id}`, '');
  const [km, setKm] = useState<Typed | null>(null);
  const send = () =>
    run(async () => {
      const body = { id: crypto.randomUUID(), done: true, figures, km: km?.value ?? null, kmTyped: km?.typed ?? null };
      await call(`/api/checks/${due.id}`, 'POST', body);
      forget();
      onDone(true);
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
        <button type="button" className="act quiet" onClick={() => onDone(false)}>
          Not yet
        </button>
      </div>
      <ProblemNote problem={problem} />
    </div>
  );
}

/** The check that was ticked last, with its figures; the tick can be taken back. */
export function TakeBack({ done }: { done: DueRow }) {
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
