'use client';
import { useMemo, type ReactNode } from 'react';
import { fitRows, storedFacts, type FitRow } from '@/contracts/fit';
import { type JobView } from '@/contracts/job';
import { axleName } from '@/core/suspension/names';
import { type Person } from '@/contracts/person';
import { openList } from '@/contracts/openList';
import { type StationId } from '@/contracts/stationNames';
import { stationStates } from '@/contracts/stations';
import { OpenBadge, OpenLine } from './OpenLine';
import { PageFrame } from './PageFrame';
import { StationTape } from './StationTape';
import { VehicleHead } from './VehicleHead';

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
  /** What must fit, as solved on this page; else by the stored prediction. */
  rows?: readonly FitRow[] | undefined;
  /** The page holds still on a tablet or larger. */
  fixed?: boolean;
  /** In the head, between the vehicle and the tools. */
  middle?: ReactNode;
  children: ReactNode;
}

/** One station of one job. */
export function JobFrame({ view, station, people, person, rows, fixed = false, middle, children }: Props) {
  const fit = useMemo(() => rows ?? fitRows(view, storedFacts(view)), [view, rows]);
  const states = useMemo(() => stationStates(view, openList(view, fit)), [view, fit]);
  const { open, state } = states[station];
  return (
    <PageFrame
      title={`${view.vehicle.name}, ${axleName(view.axle.position, view.axle.suspension)}`}
      note={view.job.complaint}
      people={people}
      person={person}
      jobId={view.id}
      fixed={fixed}
      lead={<VehicleHead view={view} station={station} rows={fit} />}
      middle={
        <>
          {middle}
          {fixed && state !== 'untouched' && open.length > 0 ? <OpenBadge open={open} /> : null}
        </>
      }
      tape={<StationTape jobId={view.id} states={states} current={station} />}
    >
      {!fixed && state !== 'untouched' && open.length > 0 ? <OpenLine open={open} /> : null}
      {children}
    </PageFrame>
  );
}
