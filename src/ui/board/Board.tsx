'use client';
import { Input, type InputRef } from 'antd';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { type BoardRow } from '@/contracts/board';
import { type ClockBehind } from '@/contracts/door';
import { type Person } from '@/contracts/person';
import { type Found } from '@/contracts/search';
import { PageFrame } from '../frame/PageFrame';
import { useReady } from '../frame/useReady';
import { Clock } from '../measured/Clock';
import { QuickAnswer } from '../quick/QuickAnswer';
import { DaySheet } from './DaySheet';
import { FoundBesides } from './FoundBesides';

interface Props {
  rows: readonly BoardRow[];
  /** The shop's date. */
  today: string;
  /** Open jobs in all. */
  open: number;
  /** What was searched for. */
  words: string;
  /** Jobs in hand that were asked for. */
  most: number;
  /** Whether somebody came to search. */
  find: boolean;
  /** Where the server's clock stands before what was saved last. */
  clock: ClockBehind | null;
  /** What a search found that is no job. */
  besides: Found | null;
  people: readonly Person[];
  person: string;
}

/** `2026-11-28` as a day in words. */
const dayInWords = (day: string): string =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' })
    .format(new Date(`${day}T00:00:00Z`))
    .replace(',', '');

/** The day sheet: what is due, what stands in the bay, what is planned; and a quick answer without a job. */
export function Board({ rows, today, open, words, most, find, clock, besides, people, person }: Props) {
  return (
    <PageFrame
      fixed
      title={dayInWords(today)}
      note={`${open} ${open === 1 ? 'job' : 'jobs'} open`}
      people={people}
      person={person}
      middle={
        <>
          <Search words={words} find={find} />
          <Link className="act" href="/jobs/new">
            New job
          </Link>
        </>
      }
    >
      {clock ? (
        <p className="board-clock" role="status">
          The server’s clock says <Clock at={clock.now} />, and something was saved on <Clock at={clock.last} /> by it
          already: it was put back, or was wrong before. The last word counts all the same; days and times are those of
          the clock. Tell who keeps this server to look at it.
        </p>
      ) : null}
      {words === '' ? <QuickAnswer /> : null}
      {besides ? <FoundBesides found={besides} words={words} jobs={rows.length} /> : null}
      {rows.length > 0 || words === '' ? <DaySheet rows={rows} today={today} words={words} /> : null}
      {words === '' && open > most ? (
        <p className="board-more">
          <Link href={`/?most=${2 * most}`} prefetch={false}>
            older jobs
          </Link>
        </p>
      ) : null}
    </PageFrame>
  );
}

/** Looks through everything the shop has written down; `/` goes there. */
function Search({ words, find }: { words: string; find: boolean }) {
  const router = useRouter();
  const field = useRef<InputRef>(null);
  const ready = useReady();
  const [text, setText] = useState(words);
  useEffect(() => {
    if (ready && find) field.current?.focus();
  }, [ready, find]);
  const go = (asked: string) => router.push(asked.trim() === '' ? '/' : `/?q=${encodeURIComponent(asked.trim())}`);
  return (
    <form
      role="search"
      className="board-search"
      onSubmit={(event) => {
        event.preventDefault();
        go(text);
      }}
    >
      <Input
        ref={field}
        aria-label="Search vehicles, jobs, parts and findings"
        placeholder="vehicle, plate, part, size, finding"
        suffix={<kbd aria-hidden="true">/</kbd>}
        allowClear
        maxLength={80}
        value={text}
        onChange={(event) => {
          setText(event.target.value);
          if (event.target.value === '' && words !== '') go('');
        }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') setText(words);
        }}
      />
    </form>
  );
}
