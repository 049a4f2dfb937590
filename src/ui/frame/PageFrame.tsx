'use client';
import dynamic from 'next/dynamic';
import { type ReactNode } from 'react';
import { type Person } from '@/contracts/person';
import { Keys } from './Keys';
import { StationTape } from './StationTape';
import { Tools } from './Tools';
import { useReady } from './useReady';

/** Only where somebody of a shop is at work. */
const DoorDialog = dynamic(() => import('../door/DoorDialog').then((m) => m.DoorDialog), { ssr: false });

interface Props {
  title: string;
  note: string;
  /** Who may be at work here; nobody on a screen that belongs to no shop. */
  people?: readonly Person[];
  person?: string;
  /** The tape at the edge; a screen outside a job only leads back to the Board. */
  tape?: ReactNode;
  /** The page itself never scrolls on a tablet or larger; what is long scrolls inside itself. */
  fixed?: boolean;
  /** The job on the screen, whose stations have keys of their own. */
  jobId?: string;
  /** Before the title. */
  lead?: ReactNode;
  /** Between title and tools. */
  middle?: ReactNode;
  children: ReactNode;
}

/** Tape, header and bench of a screen. */
export function PageFrame({
  title,
  note,
  people = [],
  person = '',
  tape = <StationTape />,
  fixed = false,
  jobId,
  lead,
  middle,
  children,
}: Props) {
  const ready = useReady();
  return (
    <div className="shop">
      {tape}
      <Keys jobId={jobId} />
      {person === '' ? null : <DoorDialog person={person} />}
      <main className={fixed ? 'bench fixed' : 'bench'}>
        <fieldset className="until-ready" role="presentation" disabled={!ready}>
          <header className="head">
            {lead}
            <div className="head-words">
              <h1>{title}</h1>
              <span className="muted" title={note}>
                {note}
              </span>
            </div>
            {middle ? <div className="head-middle">{middle}</div> : null}
            <Tools people={people} person={person} />
          </header>
          {children}
        </fieldset>
      </main>
    </div>
  );
}
