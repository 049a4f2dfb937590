'use client';
import { useMemo, useState } from 'react';
import { sheetOf } from '@/contracts/sheet';
import { assemble } from '@/core/measure/assemble';
import { type PointId } from '@/core/measure/points';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { ProblemNote } from '../job/ProblemNote';
import { useJob, type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { GroupFields } from './GroupFields';
import { LeafRows } from './LeafRows';
import { MeasureAside } from './MeasureAside';
import { PackFacts } from './PackFacts';

export function MeasureStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const [focus, setFocus] = useState<PointId | null>(null);
  const heights = view.readings.filter((r) => r.point === 'hubToLip' && r.phase === 'before');
  const [answered, setAnswered] = useState<boolean | null>(
    heights.some((r) => r.rolled !== true) ? false : heights[0] ? true : null,
  );
  const assembled = useMemo(() => assemble(sheetOf(view)), [view]);
  const group = { job, rolled: answered, onFocus: setFocus };
  return (
    <JobFrame view={view} station="measure" people={people} person={person}>
      <div className="sheets measure-grid">
        <Sheet
          title={`Measuring sheet, ${view.states[0]?.name ?? ''}`}
          aside={<span className="muted">Enter goes on; fractions, inches and millimetres are all read</span>}
        >
          <GroupFields
            {...group}
            group="stance"
            lead={<RolledQuestion job={job} rolled={answered} onAnswer={setAnswered} />}
          />
          <GroupFields {...group} group="ubolts" />
          <GroupFields {...group} group="arch">
            <PackFacts job={job} part="eyes" />
          </GroupFields>
          <GroupFields {...group} group="leaves">
            <PackFacts job={job} part="leaves" />
            <LeafRows job={job} onFocus={setFocus} />
          </GroupFields>
          <GroupFields {...group} group="seatLoad">
            <PackFacts job={job} part="seat" />
          </GroupFields>
          <GroupFields {...group} group="linkage" />
        </Sheet>
        <MeasureAside view={view} assembled={assembled} focus={focus} />
      </div>
    </JobFrame>
  );
}

interface RolledProps {
  job: JobHandle;
  rolled: boolean | null;
  onAnswer: (rolled: boolean) => void;
}

/** Friction holds an unrolled spring up or down, so the answer goes with the height readings, also those already there. */
function RolledQuestion({ job, rolled, onAnswer }: RolledProps) {
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
