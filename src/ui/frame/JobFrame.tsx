'use client';
import { type ReactNode } from 'react';
import { type JobView, type Person } from '@/contracts/job';
import { stationStates, type StationId } from '@/contracts/stations';
import { StationTape } from './StationTape';
import { Tools } from './Tools';

interface Props {
  view: JobView;
  station: StationId;
  people: readonly Person[];
  person: string;
  children: ReactNode;
}

/** Tape, header and bench of one station of one job. */
export function JobFrame({ view, station, people, person, children }: Props) {
  return (
    <div className="shop">
      <StationTape jobId={view.job.id} states={stationStates(view)} current={station} />
      <main className="bench">
        <header className="head">
          <div>
            <h1>
              {view.vehicle.name}, {view.axle.position} axle
            </h1>
            <span className="muted">{view.job.complaint}</span>
          </div>
          <Tools people={people} person={person} />
        </header>
        {children}
      </main>
    </div>
  );
}
