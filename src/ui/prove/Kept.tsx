'use client';
import { type JobHandle } from '../job/useJob';
import { Clock } from '../measured/Clock';

/** What this and earlier jobs on the axle taught. */
export function Kept({ job }: { job: JobHandle }) {
  const { lessons, id } = job.view;
  if (lessons.length === 0) return null;
  return (
    <>
      <h3>What this axle taught</h3>
      <ul className="stored" aria-label="What this axle taught">
        {lessons.map((l) => (
          <li key={l.learntAt}>
            {l.says}{' '}
            <span className="muted">
              {l.person}, <Clock at={l.learntAt} what="day" />
              {l.jobId === id ? '' : ', an earlier job'}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
