'use client';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { type BayDay, type DaysOff, type WaitEdit, type WaitRow } from '@/contracts/needed';
import { bayOf, dateOf, dayNumber, isDayOff } from '@/contracts/preparation';
import { type JobView } from '@/contracts/job';
import { type UntilTheBay } from '@/core/prepare/calendar';
import { waysOf, type OtherWay } from '@/contracts/orderOfWork';
import { type StepTime } from '@/core/prepare/minutes';
import { type Operation } from '@/core/procedure/operation';
import { countRule } from '@/core/units/rules';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { TextField } from '../controls/TextField';
import { useRoom } from '../drawing/useRoom';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { useWords } from '../measured/Quantity';
import { TypedField } from '../measured/TypedField';
import { dayText } from './dayText';
import { useBay } from './useBay';

const DAYS = countRule(0, 400);

/** What takes days before the work, drawn until the day in the bay, and what it is made of. */
export function CalendarSheet({
  job,
  calendar,
  order,
}: {
  job: JobHandle;
  calendar: UntilTheBay;
  order: readonly Operation[];
}) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const { setBay, problem: bayProblem } = useBay(job);
  const [what, setWhat] = useState('');
  const bay = bayOf(view);
  const put = (edit: WaitEdit) => run(() => job.send('/waits', 'PUT', edit));
  return (
    <section className="calendar" aria-label="Until the bay">
      <Drawn {...{ calendar, daysOff: view.daysOff }} today={view.today} steps={order.length} wanted={bay.bayOn} />
      <WorkTimes view={view} />
      <div className="grid-fields">
        <div className="field">
          <label htmlFor="bay-on">Into the bay on</label>
          <input
            id="bay-on"
            type="date"
            className="day-field"
            value={bay.bayOn ?? ''}
            onChange={(event) => setBay({ bayOn: event.target.value || null })}
          />
          <BayTaken view={view} day={dateOf(calendar.bay)} named={bay.bayOn !== null} />
        </div>
        <TypedField
          label="Penetrant soaks, days"
          rule={countRule(0, 60)}
          value={bay.soakDays > 0 ? { typed: String(bay.soakDays), value: bay.soakDays } : null}
          draft={`${view.id}|soak`}
          hint="three evenings is common practice, a week where it is bad"
          onChange={({ value }) => setBay({ soakDays: value })}
          onClear={() => setBay({ soakDays: 0 })}
        />
        <Chips
          label="Fasteners are"
          shown
          options={[
            { id: 'sound', name: 'sound' },
            { id: 'rusty', name: 'rusty, old' },
          ]}
          value={bay.rusty ? 'rusty' : 'sound'}
          onPick={(id) =>
            setBay({ rusty: id === 'rusty', soakDays: id === 'rusty' ? Math.max(3, bay.soakDays) : bay.soakDays })
          }
        />
        {bay.rusty ? (
          <Chips
            label="In eyes and pivots is"
            shown
            options={[
              { id: 'burns', name: 'rubber, plastic, or not known' },
              { id: 'metal', name: 'metal' },
            ]}
            value={bay.metalBushes ? 'metal' : 'burns'}
            onPick={(id) => setBay({ metalBushes: id === 'metal' })}
          />
        ) : null}
        <Chips
          label="At work on it"
          shown
          options={[
            { id: '1', name: 'one alone' },
            { id: '2', name: 'two' },
          ]}
          value={bay.people === null ? null : `${bay.people}`}
          onPick={(id) => setBay({ people: id === '1' ? 1 : 2 })}
        />
      </div>
      <ul className="stored" aria-label="What takes days">
        {view.waits.map((wait) => (
          <Wait key={wait.id} job={job} wait={wait} onSave={(edit) => void put(edit)} />
        ))}
      </ul>
      <form
        className="acts"
        onSubmit={(event) => {
          event.preventDefault();
          const text = what.trim();
          if (!text) return;
          setWhat('');
          void put({
            ...{
              id: crypto.randomUUID(),
              what: text,
              days: 1,
              afterWait: null,
              done: false,
              struck: false,
              version: 0,
            },
          }).then((ok) => ok || setWhat((now) => now || text));
        }}
      >
        <TextField
          label="Something else that takes days: draining, coating, a helper"
          most={80}
          value={what}
          onChange={setWhat}
        />
        <button type="submit" className="act quiet" disabled={busy || what.trim() === ''}>
          Put it on the calendar
        </button>
        <a className="link" href={`/api/jobs/${view.id}/calendar`} download>
          into a calendar, ICS
        </a>
      </form>
      <ProblemNote problem={problem ?? bayProblem} />
    </section>
  );
}

/** What else goes into the bay that day, and whether the shop is shut on it. */
function BayTaken({ view, day, named }: { view: JobView; day: string; named: boolean }) {
  const jobId = view.jobAxles[0]!.id;
  const { data } = useQuery({ queryKey: ['bay-days'], queryFn: () => call<BayDay[]>('/api/bay-days', 'GET') });
  const others = (data ?? []).filter((b) => b.jobId !== jobId && b.bayOn === day);
  const says = [
    ...others.map((b) => `${b.vehicle} goes into the bay that day too`),
    ...(isDayOff(dayNumber(day), view.daysOff) ? ['the shop is shut that day'] : []),
    ...(named ? [] : ['not on a day the shop is shut unless you name one']),
  ];
  return says.length > 0 ? (
    <span className={others.length > 0 ? 'look small' : 'muted small'} data-testid="bay-taken">
      {says.join('; ')}
    </span>
  ) : null;
}

const minutesText = ({ low, high, timed }: OtherWay['time']): string =>
  timed === 0 ? 'not told yet' : `${Math.round(low)} to ${Math.round(high)} min`;

/** How long the work itself takes, by the shop's own ticks, and what the other ways to go about it would; nothing is made up. */
function WorkTimes({ view }: { view: JobView }) {
  const { data } = useQuery({ queryKey: ['step-times'], queryFn: () => call<StepTime[]>('/api/steps', 'GET') });
  const ways = useMemo(() => (data ? waysOf(view, data) : []), [view, data]);
  const chosen = ways.find((w) => w.chosen);
  if (!chosen) return null;
  const { timed, steps } = chosen.time;
  return (
    <details className="more">
      <summary data-testid="work-time">
        {timed === 0 ? (
          'How long it takes is not told yet: no step of it was ticked often enough in this shop.'
        ) : (
          <>
            <span className="figure">{minutesText(chosen.time)}</span> by this shop’s own ticks, {timed} of {steps}{' '}
            steps timed
          </>
        )}{' '}
        <span className="muted">What other ways would take</span>
      </summary>
      <table className="plain ways-about" aria-label="Ways to go about it">
        <thead>
          <tr>
            <th scope="col">sides</th>
            <th scope="col">pack</th>
            <th scope="col">at work</th>
            <th scope="col" className="number">
              steps
            </th>
            <th scope="col" className="number">
              minutes
            </th>
            <th scope="col" className="number">
              timed
            </th>
          </tr>
        </thead>
        <tbody>
          {ways.map((w) => (
            <tr key={`${w.sides}${String(w.packInPlace)}${w.people}`} aria-selected={w.chosen}>
              <td>{w.chosen ? <Marked kind="done">{SIDE_WORDS[w.sides]}</Marked> : SIDE_WORDS[w.sides]}</td>
              <td>{w.packInPlace === null ? '' : w.packInPlace ? 'in place' : 'on the bench'}</td>
              <td>{w.people === 1 ? 'one' : 'two'}</td>
              <td className="number figure">{w.steps}</td>
              <td className="number figure">{minutesText(w.time)}</td>
              <td className="number figure">
                {w.time.timed} of {w.time.steps}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="muted small">
        Two gain where both sides are undone together: each has one. Sides and pack are chosen in Build, under the
        steps.
      </p>
    </details>
  );
}
const SIDE_WORDS = { one: 'one at a time', both: 'both together' } as const;

function Wait({ job, wait, onSave }: { job: JobHandle; wait: WaitRow; onSave: (edit: WaitEdit) => void }) {
  const { person, updatedAt, ...edit } = wait;
  const others = job.view.waits.filter((w) => w.id !== wait.id);
  return (
    <li className="wait" data-wait={wait.what}>
      <span className={wait.done ? 'muted' : ''}>{wait.what}</span>
      <TypedField
        label="days"
        spoken={`Days of ${wait.what}`}
        rule={DAYS}
        value={{ typed: String(wait.days), value: wait.days }}
        draft={`${job.view.id}|wait|${wait.id}`}
        onChange={({ value }) => onSave({ ...edit, days: value })}
      />
      {others.length > 0 ? (
        <label className="field">
          <span>after</span>
          <select
            value={wait.afterWait ?? ''}
            aria-label={`${wait.what} comes after`}
            onChange={(event) => onSave({ ...edit, afterWait: event.target.value || null })}
          >
            <option value="">nothing</option>
            {others.map((w) => (
              <option key={w.id} value={w.id}>
                {w.what}
              </option>
            ))}
          </select>
        </label>
      ) : null}
      <button
        type="button"
        className="act quiet"
        aria-pressed={wait.done}
        onClick={() => onSave({ ...edit, done: !wait.done })}
      >
        {wait.done ? <Marked kind="done">done</Marked> : 'done'}
      </button>
      <button type="button" className="link" onClick={() => onSave({ ...edit, struck: true })}>
        off the list
      </button>
    </li>
  );
}

const ROW = 26;
const HEAD = 34;

/** Days across, what takes them below one another; the longest chain in ink, days to spare written where they lie. */
function Drawn({
  calendar,
  daysOff,
  today,
  steps,
  wanted,
}: {
  calendar: UntilTheBay;
  daysOff: DaysOff;
  today: string;
  steps: number;
  wanted: string | null;
}) {
  const [ref, width] = useRoom<HTMLElement>(900);
  const words = useWords();
  const { tasks, bay, earliest } = calendar;
  const first = Math.round(Date.parse(today) / 864e5);
  const days = Math.max(7, bay - first + 2);
  const left = Math.min(220, width * 0.3);
  const step = (width - left - 8) / days;
  const x = (day: number) => left + (day - first) * step;
  const each = Math.max(1, Math.ceil(74 / step));
  const bottom = HEAD + ROW * (tasks.length + 1) + 8;
  return (
    <figure className="figure-sheet" ref={ref}>
      <svg
        className="drawing"
        viewBox={`0 0 ${width} ${bottom + 6}`}
        role="img"
        aria-label={`Until the bay: ${tasks.map((t) => `${t.name}, ${t.spare} days to spare`).join('; ') || 'nothing waits'}; into the bay ${dayText(dateOf(bay))}`}
      >
        {Array.from({ length: days }, (_, k) => first + k).map((day) => {
          const free = isDayOff(day, daysOff);
          return (
            <g key={day}>
              <rect
                x={x(day)}
                y={0}
                width={step}
                height={HEAD - 8}
                fill="var(--tape)"
                stroke="var(--tick)"
                strokeWidth="0.8"
              />
              {free ? (
                <rect
                  x={x(day)}
                  y={HEAD - 8}
                  width={step}
                  height={bottom - HEAD + 8}
                  fill="var(--tape)"
                  opacity="0.45"
                />
              ) : null}
              {(day - first) % each === 0 ? (
                <text x={x(day) + 5} y={18} className="num">
                  {dayText(dateOf(day)).replace(/ [A-Z][a-z]{2}$/, '')}
                </text>
              ) : null}
            </g>
          );
        })}
        <path d={`M${x(first) + 4} ${HEAD - 8}l-6 -8h12z`} fill="var(--new)" />
        {tasks.map((task, k) => {
          const y = HEAD + ROW * k;
          const [from, to] = [x(task.begins), Math.max(x(task.ends), x(task.begins) + 4)];
          const name = words(task.name);
          return (
            <g key={task.id} data-task={task.id}>
              <text x={left - 8} y={y + 16} textAnchor="end">
                {name.length > left / 8 ? `${name.slice(0, Math.floor(left / 8) - 1)}…` : name}
              </text>
              <rect
                x={from}
                y={y + 4}
                width={to - from}
                height={16}
                fill={task.longest ? 'var(--ink)' : 'var(--sheet)'}
                stroke="var(--ink)"
                strokeWidth="1.2"
              />
              {task.id === 'soak' ? null : task.spare > 0 ? (
                <>
                  <path
                    d={`M${to + 2} ${y + 12}H${x(task.ends + task.spare) - 3}m-6 -4l6 4l-6 4`}
                    fill="none"
                    stroke="var(--new)"
                    strokeWidth="1.4"
                  />
                  <text x={x(task.ends + task.spare) + 6} y={y + 17} style={{ fill: 'var(--new)' }}>
                    {task.spare} {task.spare === 1 ? 'day' : 'days'} to spare
                  </text>
                </>
              ) : (
                <path
                  d={`M${to} ${y + 12}H${x(bay) - 6}V${bottom - ROW / 2 - 8}`}
                  fill="none"
                  stroke="var(--ink)"
                  strokeWidth="1.8"
                />
              )}
            </g>
          );
        })}
        <rect x={x(bay)} y={bottom - ROW} width={Math.max(step, 96)} height={20} fill="var(--new)" />
        <text x={x(bay) + 6} y={bottom - ROW + 15} style={{ fill: 'var(--sheet)', stroke: 'none' }}>
          {steps > 0 ? `build, ${steps} steps` : 'build'}
        </text>
        {wanted && wanted < dateOf(earliest) ? (
          <path
            d={`M${x(Math.round(Date.parse(wanted) / 864e5))} 0V${bottom}`}
            stroke="var(--amber)"
            strokeWidth="2"
            strokeDasharray="6 4"
          />
        ) : null}
      </svg>
    </figure>
  );
}
