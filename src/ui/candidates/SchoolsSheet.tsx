'use client';
import { useState } from 'react';
import { type NewSchoolChoice } from '@/contracts/plan';
import { SCHOOLS, type School } from '@/core/selection/schools';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { useKept } from '../measured/useKept';
import { Clock } from '../measured/Clock';

/** Where the trade disagrees: both schools with their reasons, the shop's own way, and what was chosen here. */
export function SchoolsSheet({ job }: { job: JobHandle }) {
  const asked = SCHOOLS.filter((s) => !s.ofLeaves || job.view.axle.suspension === 'longitudinalLeaf');
  const chosen = asked.filter((s) => job.view.schools.some((c) => c.question === s.id && !c.ofShop)).length;
  return (
    <Sheet title="Where the trade disagrees" aside={<span className="muted">{chosen} chosen for this job</span>}>
      {asked.map((school) => (
        <SchoolQuestion key={school.id} job={job} school={school} />
      ))}
    </Sheet>
  );
}

/** One question with both sides’ reasons, and who chose what. */
export function SchoolQuestion({ job, school }: { job: JobHandle; school: School }) {
  const of = (ofShop: boolean) => job.view.schools.find((c) => c.question === school.id && c.ofShop === ofShop);
  const [here, shop] = [of(false), of(true)];
  const counts = here ?? shop;
  const name = (side: 'one' | 'other') => school[side].name;
  return (
    <details className="part school" data-school={school.id}>
      <summary>
        {school.question}{' '}
        {counts ? (
          <Marked kind="done">
            {name(counts.school)}
            {here ? '' : ', as the shop does'}
          </Marked>
        ) : (
          <Marked kind="untouched">open</Marked>
        )}
      </summary>
      <ul>
        <li>
          <strong>{school.one.name}</strong>: {school.one.reason}
        </li>
        <li>
          <strong>{school.other.name}</strong>: {school.other.reason}
        </li>
      </ul>
      {[here, shop].map((choice) =>
        choice ? (
          <p key={String(choice.ofShop)} className="small">
            {choice.ofShop ? 'The shop' : 'This job'}: {name(choice.school)}, “{choice.reason}”, {choice.person},{' '}
            <Clock at={choice.chosenAt} what="day" />
          </p>
        ) : null,
      )}
      <Choice job={job} school={school} />
    </details>
  );
}

function Choice({ job, school }: { job: JobHandle; school: School }) {
  const [reason, setReason, forget] = useKept(`${job.view.id}|school|${school.id}`, '');
  const [side, setSide] = useState<'one' | 'other' | null>(null);
  const { busy, problem, run } = useSend();
  const send = (ofShop: boolean) =>
    void run(async () => {
      const choice: NewSchoolChoice = { id: crypto.randomUUID(), question: school.id, school: side!, reason, ofShop };
      await job.send('/schools', 'POST', choice);
      forget();
      setSide(null);
    });
  return (
    <>
      <Chips
        label={`School for: ${school.question}`}
        options={[
          { id: 'one', name: school.one.name },
          { id: 'other', name: school.other.name },
        ]}
        value={side}
        onPick={setSide}
      />
      <TextField label="Why" spoken={`Why, ${school.question}`} most={300} value={reason} onChange={setReason} />
      <div className="acts">
        <button
          type="button"
          className="act quiet"
          disabled={busy || !side || reason.trim().length < 3}
          onClick={() => send(false)}
        >
          For this job
        </button>
        <button
          type="button"
          className="act quiet"
          disabled={busy || !side || reason.trim().length < 3}
          onClick={() => send(true)}
        >
          As the shop’s way
        </button>
      </div>
      <ProblemNote problem={problem} />
    </>
  );
}
