'use client';
import Link from 'next/link';
import { useMemo } from 'react';
import { dueNow } from '@/contracts/dueNow';
import { settlingOf } from '@/contracts/following';
import { openDefects } from '@/contracts/openList';
import { DefectNote } from '../build/FitSheet';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { Dock, Stage, Workbench } from '../frame/Workbench';
import { useJob } from '../job/useJob';
import { Kept } from '../prove/Kept';
import { ChecksToCome } from './ChecksToCome';
import { FollowVerdict } from './FollowVerdict';
import { NextJob } from './NextJob';
import { SettlingLog } from './SettlingLog';
import { SettlingStage } from './SettlingStage';

/** When it is looked at again, how it settles, what is open, what it taught. */
export function FollowStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const lines = useMemo(() => settlingOf(view), [view]);
  const open = view.due.filter((d) => d.doneAt === null);
  const late = open.filter((d) => dueNow(d, view.today, view.odometer?.km ?? null).word === 'overdue').length;
  const defects = openDefects(view);
  return (
    <JobFrame view={view} station="follow" people={people} person={person} fixed>
      <Workbench className="follow">
        <Stage
          title="How it settles"
          aside={
            <Link href={`/vehicles/${view.vehicle.id}`} prefetch={false}>
              all heights of this vehicle
            </Link>
          }
        >
          <SettlingStage lines={lines} />
        </Stage>
        <div className="verdict-column">
          <FollowVerdict view={view} lines={lines} />
        </div>
        <Dock
          below
          label="More of Follow"
          first="checks"
          tabs={[
            {
              id: 'checks',
              name: 'checks',
              mark:
                late > 0
                  ? { kind: 'look', word: `${late} overdue` }
                  : open.length > 0
                    ? { kind: 'open', word: String(open.length) }
                    : undefined,
              children: <ChecksToCome job={job} />,
            },
            { id: 'settling', name: 'heights', children: <SettlingLog job={job} lines={lines} /> },
            {
              id: 'defects',
              name: 'open defects',
              mark: defects.length > 0 ? { kind: 'look', word: String(defects.length) } : undefined,
              children:
                view.defects.length === 0 ? (
                  <p className="muted">Nothing was gone on with or left open.</p>
                ) : (
                  <ul className="stored" aria-label="Defects">
                    {view.defects.map((defect) => (
                      <li key={defect.id}>
                        <strong>{defect.what}</strong>
                        {defect.limits ? <span className="look"> until then: {defect.limits}</span> : null}
                        <DefectNote job={job} defect={defect} />
                      </li>
                    ))}
                  </ul>
                ),
            },
            {
              id: 'taught',
              name: 'what it taught',
              children:
                view.lessons.length === 0 ? (
                  <p className="muted">Nothing was written down. On Prove, under “why”, it can be.</p>
                ) : (
                  <Kept job={job} />
                ),
            },
            { id: 'next', name: 'next job', children: <NextJob job={job} /> },
          ]}
        />
      </Workbench>
    </JobFrame>
  );
}
