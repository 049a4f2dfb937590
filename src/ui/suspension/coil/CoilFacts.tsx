'use client';
import { COIL_ENDS } from '@/core/mechanics/coil/coil';
import { Chips } from '../../controls/Chips';
import { COIL_END_NAMES } from '../../controls/coilEnds';
import { ProblemNote } from '../../job/ProblemNote';
import { type JobHandle } from '../../job/useJob';
import { useSend } from '../../job/useSend';

/** How the coils' ends are made: seen, not measured. */
export function CoilFacts({ job }: { job: JobHandle }) {
  const { seen, seenVersion } = job.view;
  const { busy, problem, run } = useSend();
  return (
    <>
      <div className="facts-row" aria-busy={busy}>
        <Chips
          label="The ends of the coil are"
          shown
          options={COIL_ENDS.map((id) => ({ id, name: COIL_END_NAMES[id] }))}
          value={seen.coilEnds}
          onPick={(coilEnds) => void run(() => job.send('/seen', 'PUT', { version: seenVersion, coilEnds }))}
        />
      </div>
      <ProblemNote problem={problem} />
    </>
  );
}
