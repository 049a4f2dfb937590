'use client';
import Link from 'next/link';
import { type ReactNode } from 'react';
import { useReady } from '../frame/useReady';

/** A screen before the shop's door: nothing of the shop stands on it. */
export function DoorFrame({ title, children }: { title: string; children: ReactNode }) {
  const ready = useReady();
  return (
    <div className="shop">
      <nav className="tape" aria-label="Gravelwort">
        <span className="mark">GRAVELWORT</span>
        <ol>
          <li className="main">
            <Link href="/handbook" prefetch={false}>
              <span className="name">Handbook</span>
              <span className="state">sums</span>
            </Link>
          </li>
        </ol>
      </nav>
      <main className="bench door">
        <fieldset className="until-ready" role="presentation" disabled={!ready}>
          <section className="sheet">
            <h1>{title}</h1>
            {children}
          </section>
        </fieldset>
      </main>
    </div>
  );
}
