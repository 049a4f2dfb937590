'use client';
import { Chips } from '../controls/Chips';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';

interface Props {
  job: JobHandle;
  rolled: boolean | null;
  onAnswer: (rolled: boolean) => void;
}

/** Friction holds an unrolled spring up or down, so the answer goes with the height readings, also those already there. */
export function RolledQuestion({ job, rolled, onAnswer }: Props) {
  const { problem, run } = useSend();
  const pick = (id: 'yes' | 'no') => {
    const now = id === 'yes';
    onAnswer(now);
    const changed = job.view.readings.filter((r) => r.point === 'hubToLip' && r.phase === 'before' && r.rolled !== now);
    void run(async () => {
      for (const { id: base, point, phase, side, leafId, stateId, typed, value, unit, instrument } of changed)
        await job.saveReading(
          { point, phase, side, leafId, stateId, typed, value, unit, instrument, rolled: now },
          base,
        );
    });
  };
  return (
    <>
      <div className="facts-row">
        <Chips
          label="Rolled or bounced before the heights were read"
          shown
          options={[
            { id: 'yes', name: 'yes, rolled' },
            { id: 'no', name: 'no' },
          ]}
          value={rolled === null ? null : rolled ? 'yes' : 'no'}
          onPick={pick}
        />
      </div>
      <ProblemNote problem={problem} />
    </>
  );
}

/** What the readings that are there say of it. */
export function rolledSoFar(job: JobHandle): boolean | null {
  const heights = job.view.readings.filter((r) => r.point === 'hubToLip' && r.phase === 'before');
  if (heights.length === 0) return null;
  return heights.every((r) => r.rolled === true);
}
