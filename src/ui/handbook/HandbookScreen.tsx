'use client';
import { usePathname, useSearchParams } from 'next/navigation';
import { useState } from 'react';
import { type Person } from '@/contracts/person';
import { findSums, SUMS } from '@/core/handbook/sums';
import { TextField } from '../controls/TextField';
import { PageFrame } from '../frame/PageFrame';
import { StationTape } from '../frame/StationTape';
import { SumSheet } from './SumSheet';
import { Tables } from './Tables';

/** The trade's sums and tables; everything typed stands in the address, so that it opens the same anywhere. */
export function HandbookScreen({ people, person }: { people: readonly Person[]; person: string }) {
  const path = usePathname();
  const params = useSearchParams();
  const [search, setSearch] = useState('');
  const [copied, setCopied] = useState(false);
  const given = Object.fromEntries(params.entries());
  const open = given.sum === 'tables' ? null : (SUMS.find((s) => s.id === given.sum) ?? SUMS[0]!);
  const found = findSums(search);
  const put = (next: Record<string, string>) => {
    const query = new URLSearchParams(next).toString();
    window.history.replaceState(null, '', `${path}?${query}`);
    setCopied(false);
  };
  const groups = [...new Set(found.map((s) => s.group))];
  return (
    <PageFrame
      title="Handbook"
      note="sums and tables, without a job"
      people={people}
      person={person}
      tape={<StationTape current="handbook" />}
      fixed
    >
      <div className="handbook">
        <nav className="sheet handbook-list" aria-label="Sums">
          <TextField label="Find by any word" most={80} value={search} onChange={setSearch} />
          {groups.map((group) => (
            <section key={group}>
              <h2>{group}</h2>
              <ul>
                {found
                  .filter((s) => s.group === group)
                  .map((s) => (
                    <li key={s.id}>
                      <button
                        type="button"
                        className="link"
                        aria-current={s.id === open?.id ? 'page' : undefined}
                        onClick={() => put({ sum: s.id })}
                      >
                        {s.title}
                      </button>
                    </li>
                  ))}
              </ul>
            </section>
          ))}
          {found.length === 0 ? <p className="muted">Nothing is called that here.</p> : null}
          <section>
            <h2>tables</h2>
            <ul>
              <li>
                <button
                  type="button"
                  className="link"
                  aria-current={open === null ? 'page' : undefined}
                  onClick={() => put({ sum: 'tables' })}
                >
                  Threads, holes, spanners, bushes
                </button>
              </li>
            </ul>
          </section>
        </nav>
        <div className="handbook-open">
          {open ? (
            <>
              <SumSheet
                key={open.id}
                sum={open}
                texts={given}
                onText={(id, text) => put({ ...given, sum: open.id, [id]: text })}
              />
              <div className="acts no-print">
                <button
                  type="button"
                  className="act quiet"
                  onClick={() => void navigator.clipboard.writeText(window.location.href).then(() => setCopied(true))}
                >
                  {copied ? 'Address copied' : 'Copy its address'}
                </button>
                <button type="button" className="act quiet" onClick={() => window.print()}>
                  Print
                </button>
              </div>
            </>
          ) : (
            <Tables />
          )}
        </div>
      </div>
    </PageFrame>
  );
}
