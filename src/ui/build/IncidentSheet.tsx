'use client';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type Incident } from '@/contracts/incident';
import { INCIDENT_KINDS, INCIDENT_NAMES, WANTS_PART, type IncidentKind } from '@/contracts/incidentKinds';
import { type JobView } from '@/contracts/job';
import { lostTime, type StepTime } from '@/core/prepare/minutes';
import { type Operation } from '@/core/procedure/operation';
import { Chips } from '../controls/Chips';
import { TextField } from '../controls/TextField';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { type Outbox } from '../job/useOutbox';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';

/** What is likely in hand at a step, by its name without the side. */
const IN_HAND: Readonly<Record<string, readonly string[]>> = {
  crack: ['wheel stud', 'wheel nut'],
  wheelTight: ['wheel stud', 'wheel nut'],
  freeLines: ['line clip', 'brake pipe', 'brake hose'],
  shockOff: ['shock, lower bolt', 'shock bracket'],
  newShock: ['shock, upper bolt'],
  unload: ['shackle nut'],
  uboltsOff: ['U-bolt', 'U-bolt nut', 'plate'],
  uboltsOn: ['U-bolt', 'U-bolt nut'],
  uboltsFinal: ['U-bolt', 'U-bolt nut'],
  shackleOff: ['shackle bolt', 'shackle bush'],
  frontOff: ['front eye bolt', 'front bush'],
  centreOff: ['centre bolt', 'clip'],
  leafWork: ['leaf', 'clip'],
  packIn: ['eye bolt', 'shackle bolt'],
  coilOff: ['retainer bolt', 'coil seat'],
};
const ANY = ['bolt', 'nut', 'bracket'] as const;
/** Days a job stands for a part that must come; nothing is a day's loss unless somebody says so. */
const DAYS_LOST = [0, 1, 2, 3, 7] as const;

/** What went wrong or was found, in two taps: what happened, and to what. */
export function IncidentSheet({ outbox, next }: { outbox: Outbox; next: Operation | null }) {
  const { job, say } = outbox;
  const { problem, run, busy } = useSend();
  const [kind, setKind] = useState<IncidentKind | null>(null);
  const [what, setWhat] = useState('');
  const [days, setDays] = useState<string>('0');
  const side = next?.side ? `, ${next.side}` : '';
  const likely = [...(IN_HAND[next?.id.split('.')[0] ?? ''] ?? []), ...ANY].slice(0, 5);
  const send = (of: string) =>
    void run(async () => {
      await say('/incidents', {
        id: crypto.randomUUID(),
        step: next?.id ?? null,
        kind,
        what: of,
        days: Number(days) || null,
      });
      setKind(null);
      setDays('0');
      setWhat('');
    });
  return (
    <section className="incidents" aria-label="What went wrong">
      <div className="facts-row">
        <Chips
          label="What happened"
          options={INCIDENT_KINDS.map((id) => ({ id, name: INCIDENT_NAMES[id] }))}
          value={kind}
          onPick={setKind}
        />
        {kind ? (
          <Chips
            label="The job loses"
            shown
            options={DAYS_LOST.map((n) => ({
              id: String(n),
              name: n === 0 ? 'no day' : n === 1 ? '1 day' : `${n} days`,
            }))}
            value={days}
            onPick={setDays}
          />
        ) : null}
      </div>
      {kind ? (
        <>
          <div className="acts">
            {likely.map((name) => (
              <button
                key={name}
                type="button"
                className="act quiet"
                disabled={busy}
                onClick={() => send(`${name}${side}`)}
              >
                {name}
                {side}
              </button>
            ))}
          </div>
          <form
            className="acts"
            onSubmit={(event) => {
              event.preventDefault();
              if (what.trim()) send(what.trim());
            }}
          >
            <TextField label="or in words" most={160} value={what} onChange={setWhat} />
            <button type="submit" className="act quiet" disabled={busy || what.trim() === ''}>
              Note it
            </button>
          </form>
          {WANTS_PART.includes(kind) ? <p className="muted small">It comes to the list of parts, to order.</p> : null}
          {kind === 'found' ? <p className="muted small">It stays with the vehicle until it is mended.</p> : null}
        </>
      ) : (
        <p className="muted">
          Two taps: what happened, and to what. What seized, snapped or was wrong comes to the list of parts.
        </p>
      )}
      <ProblemNote problem={problem} />
      <ul className="stored">
        {job.view.incidents.toReversed().map((incident) => (
          <li key={incident.id}>
            <strong>{INCIDENT_NAMES[incident.kind]}</strong>: {incident.what}
            {incident.days === null ? '' : `, ${incident.days} ${incident.days === 1 ? 'day' : 'days'} lost`}{' '}
            <span className="muted small">
              {incident.person}, <Clock at={incident.happenedAt} />
              <Lost view={job.view} incident={incident} />
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** How long the step took in which it went wrong. */
function Lost({ view, incident }: { view: JobView; incident: Incident }) {
  const { data } = useQuery({ queryKey: ['step-times'], queryFn: () => call<StepTime[]>('/api/steps', 'GET') });
  if (!incident.step) return null;
  const ticks = view.ticks.filter((t) => t.done).map((t) => ({ step: t.step, at: Date.parse(t.tickedAt) }));
  const lost = lostTime(Date.parse(incident.happenedAt), incident.step, ticks, data ?? []);
  if (!lost) return null;
  return (
    <>
      ; the step took <span className="figure">{Math.max(1, Math.round(lost.minutes))} min</span>
      {lost.usual ? `, usually ${Math.round(lost.usual.low)} to ${Math.round(lost.usual.high)}` : ''}
    </>
  );
}
