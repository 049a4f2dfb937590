'use client';
import { useState } from 'react';
import { type DaysOff } from '@/contracts/needed';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { dayText } from '../prepare/dayText';

/** From Monday on, each with its number. */
const WEEK = [
  [1, 'Mon'],
  [2, 'Tue'],
  [3, 'Wed'],
  [4, 'Thu'],
  [5, 'Fri'],
  [6, 'Sat'],
  [0, 'Sun'],
] as const;

/** On which days nothing goes into the bay unless somebody names one. */
export function DaysOffSheet({ first }: { first: DaysOff }) {
  const [daysOff, setDaysOff] = useState(first);
  const [day, setDay] = useState('');
  const { busy, problem, run } = useSend();
  const put = (next: DaysOff) =>
    void run(async () => {
      setDaysOff(await call<DaysOff>('/api/days-off', 'PUT', next));
      setDay('');
    });
  const { week, on } = daysOff;
  return (
    <Sheet title="Days the shop works">
      <div className="chips" role="group" aria-label="Days the shop works">
        {WEEK.map(([number, name]) => {
          const works = !week.includes(number);
          return (
            <button
              key={number}
              type="button"
              aria-pressed={works}
              disabled={busy}
              onClick={() => put({ week: works ? [...week, number] : week.filter((d) => d !== number), on })}
            >
              {name}
            </button>
          );
        })}
      </div>
      <ul className="door-rows" aria-label="Days it is shut">
        {on.map((date) => (
          <li key={date}>
            <Marked kind="untouched">{dayText(date)}</Marked> <span className="figure muted">{date}</span>{' '}
            <button
              type="button"
              className="link"
              disabled={busy}
              onClick={() => put({ week, on: on.filter((d) => d !== date) })}
            >
              open after all
            </button>
          </li>
        ))}
      </ul>
      <form
        className="acts"
        onSubmit={(event) => {
          event.preventDefault();
          if (day) put({ week, on: [...new Set([...on, day])].sort() });
        }}
      >
        <div className="field">
          <label htmlFor="shut-on">Shut on</label>
          <input
            id="shut-on"
            type="date"
            className="day-field"
            value={day}
            onChange={(event) => setDay(event.target.value)}
          />
        </div>
        <button type="submit" className="act quiet" disabled={busy || !day}>
          Shut that day
        </button>
      </form>
      <p className="muted small">Nothing goes into the bay on a day the shop is shut, unless somebody names it.</p>
      <ProblemNote problem={problem} />
    </Sheet>
  );
}
