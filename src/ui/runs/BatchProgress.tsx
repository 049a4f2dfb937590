'use client';
import { type Batch, type FailedPiece } from '@/contracts/batch';
import { isOver } from '@/contracts/batchOver';
import { Marked } from '../controls/Mark';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';

interface Props<T> {
  of: { batch: Batch; failed: FailedPiece[] };
  /** Where it is stopped and tried again. */
  path: string;
  /** What it is called when it has come to its end. */
  done: string;
  onChange: (next: T) => void;
}

/** How far work in the background is, and stopping it; what came to nothing, and once more. */
export function BatchProgress<T>({ of: { batch, failed }, path, done, onChange }: Props<T>) {
  const { busy, problem, run } = useSend();
  const act = (how: 'stop' | 'again') => void run(async () => onChange(await call<T>(path, 'POST', { act: how })));
  const share = batch.pieces === 0 ? 1 : batch.done / batch.pieces;
  return (
    <div className="sweep-progress">
      <p role="status" aria-label="Progress">
        {isOver(batch) ? (
          batch.cancelledAt ? (
            <Marked kind="look">stopped at {Math.round(100 * share)} %</Marked>
          ) : batch.failed > 0 ? (
            <Marked kind="look">{batch.failed} pieces came to nothing</Marked>
          ) : (
            <Marked kind="done">{done}</Marked>
          )
        ) : (
          <span className="figure">{Math.round(100 * share)} %</span>
        )}
      </p>
      <progress value={share} max={1} aria-label="Done so far" />
      {isOver(batch) ? null : (
        <button type="button" className="act quiet" disabled={busy} onClick={() => act('stop')}>
          Stop it
        </button>
      )}
      {batch.failed > 0 && batch.cancelledAt === null ? (
        <button type="button" className="act quiet" disabled={busy} onClick={() => act('again')}>
          Try them again
        </button>
      ) : null}
      {failed.slice(0, 3).map((f) => (
        <p key={f.nth} className="muted small">
          {f.of} of them: {f.problem}
        </p>
      ))}
      <ProblemNote problem={problem} />
    </div>
  );
}
