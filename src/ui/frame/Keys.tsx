'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { STATIONS } from '@/contracts/stationNames';

/** Whether a key belongs to what has the focus: a field, a list, a slider. */
const typesInto = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  target.closest(
    'input, textarea, select, dialog, [contenteditable=true], [role=slider], [role=combobox], [role=dialog]',
  ) !== null;

/** What works on every screen. */
export const KEYS: readonly (readonly [string, string])[] = [
  ['/', 'to the search of the Board'],
  ['?', 'this map'],
  ['Enter', 'takes a field’s figure and walks on to the next'],
  ['Escape', 'puts back what the field held, or closes this'],
  ['Page down', 'on Build: the step at hand is done, as by a foot pedal'],
  ['← →', 'a slider by one step; Page up and Page down by more'],
  ['↑ ↓', 'what is pulled on a drawing, 1 mm or 1/16 in; with Shift ten-fold; Escape lets it go'],
];

/** Keys that work on every screen: digits go to the stations of a job. @param jobId of the job on the screen */
export function Keys({ jobId }: { jobId?: string | undefined }) {
  const router = useRouter();
  const map = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const down = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || typesInto(event.target)) return;
      if (event.key === '?') map.current?.showModal();
      if (event.key === '/') {
        event.preventDefault();
        const search = document.querySelector<HTMLInputElement>('[role=search] input');
        if (search) search.focus();
        else router.push('/?find');
      }
      const station = STATIONS.find(({ number }) => String(number) === event.key);
      if (jobId && station) router.push(`/jobs/${jobId}/${station.id}`);
    };
    document.addEventListener('keydown', down);
    return () => document.removeEventListener('keydown', down);
  }, [router, jobId]);
  return (
    <dialog ref={map} className="sheet key-map" aria-label="Keys">
      <header className="sheet-head">
        <h2>Keys</h2>
        <form method="dialog">
          <button className="act quiet">Close</button>
        </form>
      </header>
      <p>
        <Link href="/guide" prefetch={false}>
          One job told with pictures: the guide
        </Link>
      </p>
      <dl className="keys">
        {KEYS.map(([key, does]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
        {jobId
          ? STATIONS.map(({ id, number, name }) => (
              <div key={id}>
                <dt>
                  <kbd>{number}</kbd>
                </dt>
                <dd>{name}</dd>
              </div>
            ))
          : null}
      </dl>
    </dialog>
  );
}
