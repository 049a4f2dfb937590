'use client';
import Link from 'next/link';
import { useState } from 'react';
import { type Person } from '@/contracts/person';
import { type HistoryHeight, type VehicleHistory } from '@/contracts/record';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { PageFrame } from '../frame/PageFrame';
import { StationTape } from '../frame/StationTape';
import { Dock, Stage, Workbench } from '../frame/Workbench';
import { Clock } from '../measured/Clock';
import { Length } from '../measured/Figure';
import { Quantity } from '../measured/Quantity';
import { HeightHistory } from './HeightHistory';

interface Props {
  history: VehicleHistory;
  people: readonly Person[];
  person: string;
}

const POINTS = { hubToLip: 'hub to arch lip', groundToLip: 'ground to arch lip' } as const;
const PHASES = { before: 'as it came', after: 'after the work', since: 'since' } as const;

const lineOf = (h: HistoryHeight): string => `${h.position}, ${POINTS[h.point]}, ${h.load}`;

/** One vehicle over all its jobs: every height ever read, what was built, what it taught, what broke. */
export function VehicleScreen({ history, people, person }: Props) {
  const { vehicle, heights, jobs, lessons, failures, odometers } = history;
  const lines = [...new Set(heights.map(lineOf))].toSorted(
    (p, q) => heights.filter((h) => lineOf(h) === q).length - heights.filter((h) => lineOf(h) === p).length,
  );
  const [picked, setPicked] = useState(lines[0] ?? '');
  const shown = heights.filter((h) => lineOf(h) === picked);
  return (
    <PageFrame
      fixed
      title={vehicle}
      note={`${jobs.length} ${jobs.length === 1 ? 'job' : 'jobs'}, ${heights.length} heights`}
      people={people}
      person={person}
      tape={<StationTape current="record" />}
    >
      <Workbench className="vehicle-record">
        <Stage
          title="Every height ever read"
          aside={<span className="muted">left ring, right square; after the work in green</span>}
        >
          {shown.length === 0 ? (
            <p className="muted">No height was read of it yet.</p>
          ) : (
            <HeightHistory heights={shown} name={picked} />
          )}
        </Stage>
        <Dock
          below
          label="More of this vehicle"
          first="jobs"
          tabs={[
            {
              id: 'jobs',
              name: 'jobs',
              children: (
                <ul className="stored" aria-label="Jobs">
                  {jobs.map((j) => (
                    <li key={j.id}>
                      <Link href={`/jobs/${j.id}/prove`} prefetch={false}>
                        {j.complaint}
                      </Link>{' '}
                      <Marked kind={j.closedAt ? 'done' : 'open'}>{j.closedAt ? 'closed' : 'open'}</Marked>{' '}
                      <span className="muted">
                        begun <Clock at={j.begunAt} what="day" />
                        {j.closedAt ? (
                          <>
                            , closed <Clock at={j.closedAt} what="day" />
                          </>
                        ) : null}
                        {j.plans.length > 0 ? `; ${j.plans.join('; ')}` : ''}
                      </span>
                    </li>
                  ))}
                </ul>
              ),
            },
            {
              id: 'heights',
              name: 'heights',
              children: (
                <>
                  {lines.length > 1 ? (
                    <Chips
                      label="Which heights"
                      shown
                      options={lines.map((id) => ({ id, name: id }))}
                      value={picked}
                      onPick={setPicked}
                    />
                  ) : null}
                  <div className="scroll" tabIndex={0} role="region" aria-label="Heights">
                    <table className="record-table">
                      <thead>
                        <tr>
                          <th scope="col">read</th>
                          <th scope="col">side</th>
                          <th scope="col">height</th>
                          <th scope="col">when in its job</th>
                          <th scope="col">by</th>
                        </tr>
                      </thead>
                      <tbody>
                        {shown.map((h) => (
                          <tr key={`${h.at}${h.side}`}>
                            <td>
                              <Clock at={h.at} />
                            </td>
                            <td>{h.side}</td>
                            <td>
                              <Length mm={h.value} />
                            </td>
                            <td>{PHASES[h.phase]}</td>
                            <td className="muted">{h.person}</td>
                          </tr>
                        ))}
                      </tbody>
                    </table>
                  </div>
                </>
              ),
            },
            {
              id: 'taught',
              name: 'what it taught',
              children:
                lessons.length === 0 ? (
                  <p className="muted">Nothing was written down.</p>
                ) : (
                  <ul className="stored">
                    {lessons.map((l) => (
                      <li key={l.at}>
                        {l.position}: {l.says}{' '}
                        <span className="muted">
                          {l.person}, <Clock at={l.at} what="day" />
                        </span>
                      </li>
                    ))}
                  </ul>
                ),
            },
            {
              id: 'broken',
              name: 'what broke',
              children: (
                <>
                  {failures.length === 0 ? <p className="muted">Nothing is written down.</p> : null}
                  <ul className="stored">
                    {failures.map((f) => (
                      <li key={`${f.km}${f.place}`}>
                        <Quantity value={f.km} of="distance" /> {f.place} <span className="muted">{f.cause}</span>
                      </li>
                    ))}
                  </ul>
                  {odometers.length > 0 ? (
                    <p className="muted">
                      Odometer:{' '}
                      {odometers.map((o, k) => (
                        <span key={o.at}>
                          {k > 0 ? ', ' : ''}
                          <Quantity value={o.km} of="distance" /> (<Clock at={o.at} what="day" />)
                        </span>
                      ))}
                    </p>
                  ) : null}
                </>
              ),
            },
          ]}
        />
      </Workbench>
    </PageFrame>
  );
}
