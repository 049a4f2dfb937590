'use client';
import Link from 'next/link';
import { useState } from 'react';
import { type BroughtIn } from '@/contracts/bundle';
import { FilePick } from '../controls/FilePick';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';

/** A job that another shop packed up: taken in whole, or not at all with the reason. */
export function BringIn() {
  const { busy, problem, run } = useSend();
  const [came, setCame] = useState<BroughtIn | null>(null);
  const take = (file: File) =>
    run(async () => {
      setCame(null);
      setCame(await call<BroughtIn>('/api/bundles', 'POST', file));
    });
  return (
    <Sheet title="From another shop" aside={<span className="muted">a job packed up at Prove, hand over</span>}>
      <p className="muted">
        It comes with its readings, predictions, torques and pictures, under the names of who wrote them there. Shelf,
        tools and the owner’s data stay where they are.
      </p>
      <div className="acts">
        <FilePick name="Take a job in" accept=".zip,application/zip" busy={busy} onPick={take} />
      </div>
      <ProblemNote problem={problem} />
      {came ? (
        <p role="status">
          <Marked kind="done">
            <Link href={`/jobs/${came.jobId}/prove`}>{came.vehicle}</Link>: {came.records} records, {came.pictures}{' '}
            {came.pictures === 1 ? 'picture' : 'pictures'}
          </Marked>
          {came.vehicleKnown ? (
            <span className="muted"> The vehicle was known here; its own data stand as they were.</span>
          ) : null}
        </p>
      ) : null}
    </Sheet>
  );
}
