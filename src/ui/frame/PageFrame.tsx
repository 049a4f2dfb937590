'use client';
import { type ReactNode } from 'react';
import { type Person } from '@/contracts/job';
import { StationTape } from './StationTape';
import { Tools } from './Tools';

interface Props {
  title: string;
  note: string;
  people: readonly Person[];
  person: string;
  children: ReactNode;
}

/** A screen outside a job: tape, header and bench. */
export function PageFrame({ title, note, people, person, children }: Props) {
  return (
    <div className="shop">
      <StationTape />
      <main className="bench">
        <header className="head">
          <div>
            <h1>{title}</h1>
            <span className="muted">{note}</span>
          </div>
          <Tools people={people} person={person} />
        </header>
        {children}
      </main>
    </div>
  );
}
