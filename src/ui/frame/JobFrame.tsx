'use client';
import { type ReactNode } from 'react';
import { type JobView, type Person } from '@/contracts/job';
import { stationStates, type StationId } from '@/contracts/stations';
import { PageFrame } from './PageFrame';
import { StationTape } from './StationTape';

/** What every station's page brings: the job, the shop's people, and who is at work. */
export interface StationProps {
  first: JobView;
  people: readonly Person[];
  person: string;
}

interface Props {
  view: JobView;
  station: StationId;
  people: readonly Person[];
  person: string;
  children: ReactNode;
}

/** One station of one job. */
export function JobFrame({ view, station, people, person, children }: Props) {
  return (
    <PageFrame
      title={`${view.vehicle.name}, ${view.axle.position} axle`}
      note={view.job.complaint}
      people={people}
      person={person}
      tape={<StationTape jobId={view.job.id} states={stationStates(view)} current={station} />}
    >
      {children}
    </PageFrame>
  );
}
