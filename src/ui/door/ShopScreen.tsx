'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type Audit, type CalendarLink, type Staff, type Tablet, type ViewerLink } from '@/contracts/door';
import { type DaysOff } from '@/contracts/needed';
import { type Hook, type Program } from '@/contracts/program';
import { ROLES, type Role } from '@/contracts/roles';
import { type Person } from '@/contracts/person';
import { Chips } from '../controls/Chips';
import { CalendarFeed } from './CalendarFeed';
import { HooksSheet } from './HooksSheet';
import { ProgramsSheet } from './ProgramsSheet';
import { DaysOffSheet } from './DaysOffSheet';
import { Sheet } from '../controls/Sheet';
import { TextField } from '../controls/TextField';
import { PageFrame } from '../frame/PageFrame';
import { StationTape } from '../frame/StationTape';
import { ProblemNote } from '../job/ProblemNote';
import { call } from '../job/api';
import { useSend } from '../job/useSend';
import { Clock } from '../measured/Clock';

interface Props {
  people: readonly Person[];
  person: string;
  word: string | null;
  staff: Staff[];
  tablets: Tablet[];
  links: ViewerLink[];
  audit: Audit[];
  calendar: CalendarLink | null;
  daysOff: DaysOff;
  programs: Program[];
  hooks: Hook[];
}

const PASSWORD_WORDS = { none: 'cannot sign in', given: 'password told, not yet their own', own: 'own password' };
const ROLE_OPTIONS = ROLES.map((id) => ({ id, name: id }));
/** What the roles may do, in the words of the shop. */
const ROLE_WORDS: Record<Role, string> = {
  owner: 'An owner may do everything, and keeps people, tablets and links.',
  mechanic: 'A mechanic does all of a job and answers for its safety card and build.',
  apprentice: 'An apprentice measures, inspects and notes.',
};

/** Told once, and never stored as it reads. */
interface Told {
  name: string;
  password: string;
}

/** The door book of a shop, for its owners. */
export function ShopScreen(props: Props) {
  const { people, person, word, staff, tablets, links, audit, calendar, daysOff, programs, hooks } = props;
  const [told, setTold] = useState<Told | null>(null);
  return (
    <PageFrame
      tape={<StationTape current="door" />}
      title="People, tablets, what was done"
      note={`short word of the shop: ${word ?? 'none'}`}
      people={people}
      person={person}
    >
      <div className="sheets">
        {told ? (
          <div className="note" role="status">
            <p>
              Tell {told.name} this password now, it is shown once: <span className="figure">{told.password}</span>
            </p>
            <button type="button" className="act quiet" onClick={() => setTold(null)}>
              Told
            </button>
          </div>
        ) : null}
        <Sheet title="People">
          <ul className="door-rows">
            {staff.map((p) => (
              <StaffRow key={`${p.id}${p.role}${p.signIn}${p.left}`} one={p} onTold={setTold} />
            ))}
          </ul>
          <NewPerson onTold={setTold} />
          <p className="muted small">
            {Object.values(ROLE_WORDS).join(' ')} Who leaves stays named under what they signed.
          </p>
        </Sheet>
        <DaysOffSheet first={daysOff} />
        <Sheet title="Tablets that a PIN opens">
          {tablets.length === 0 ? (
            <p className="muted">None. One is made known where somebody signs in on it.</p>
          ) : null}
          <ul className="door-rows">
            {tablets.map((t) => (
              <li key={t.id}>
                <strong>{t.name}</strong>
                <span className="muted">
                  made known by {t.by}, <Clock at={t.at} what="day" />
                </span>
                <Taken path={`/api/tablets/${t.id}`} says="Forget it" />
              </li>
            ))}
          </ul>
        </Sheet>
        <Sheet title="Links that customers have">
          {links.every((l) => l.over) ? <p className="muted">None is alive. A job’s links are made at Prove.</p> : null}
          <ul className="door-rows">
            {links
              .filter((l) => !l.over)
              .map((l) => (
                <li key={l.id}>
                  <strong>{l.said}</strong>
                  <span className="muted">
                    {l.vehicle}, made by {l.by}, ends <Clock at={l.endsAt} what="day" />
                  </span>
                  <Taken path={`/api/links/${l.id}`} says="Take it back" />
                </li>
              ))}
          </ul>
        </Sheet>
        <CalendarFeed first={calendar} />
        <ProgramsSheet programs={programs} />
        <HooksSheet hooks={hooks} />
        <Sheet title="What was done">
          <p className="muted small">The latest {audit.length}, newest first. Nobody can change or delete a line.</p>
          <div className="door-trail" role="region" aria-label="Lines of what was done" tabIndex={0}>
            <table>
              <thead>
                <tr>
                  <th>When</th>
                  <th>Who</th>
                  <th>What</th>
                  <th>About</th>
                  <th>Where</th>
                </tr>
              </thead>
              <tbody>
                {audit.map((a) => (
                  <tr key={a.id}>
                    <td className="figure">
                      <Clock at={a.at} />
                    </td>
                    <td>{a.person ?? '–'}</td>
                    <td>{a.what}</td>
                    <td>{a.about ?? ''}</td>
                    <td className="muted">{[a.tablet, a.address].filter(Boolean).join(', ')}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </Sheet>
      </div>
    </PageFrame>
  );
}

function StaffRow({ one, onTold }: { one: Staff; onTold: (told: Told) => void }) {
  const router = useRouter();
  const { busy, problem, run } = useSend();
  const [signIn, setSignIn] = useState(one.signIn ?? '');
  const save = (part: { role?: Role; left?: boolean; reset?: boolean }) =>
    void run(async () => {
      const { password } = await call<{ password: string | null }>(`/api/people/${one.id}`, 'PUT', {
        ...{ role: one.role, signIn, left: one.left, reset: false },
        ...part,
      });
      if (password) onTold({ name: one.name, password });
      router.refresh();
    });
  return (
    <li>
      <strong>{one.name}</strong>
      <span className="muted">
        {one.left ? 'has left' : `${PASSWORD_WORDS[one.password]}${one.pin ? ', PIN' : ''}`}
      </span>
      {one.left ? null : (
        <>
          <Chips label={`${one.name} is`} options={ROLE_OPTIONS} value={one.role} onPick={(role) => save({ role })} />
          <TextField
            label="Signs in as"
            spoken={`${one.name} signs in as`}
            value={signIn}
            most={40}
            onChange={setSignIn}
          />
          {signIn !== (one.signIn ?? '') ? (
            <button type="button" className="act quiet" disabled={busy} onClick={() => save({})}>
              Save the name
            </button>
          ) : null}
          <button
            type="button"
            className="act quiet"
            disabled={busy || signIn === ''}
            onClick={() => save({ reset: true })}
          >
            New password
          </button>
        </>
      )}
      <button
        type="button"
        className="act quiet"
        disabled={busy || signIn === ''}
        onClick={() => save({ left: !one.left })}
      >
        {one.left ? 'Is back' : 'Has left'}
      </button>
      <ProblemNote problem={problem} />
    </li>
  );
}

function NewPerson({ onTold }: { onTold: (told: Told) => void }) {
  const router = useRouter();
  const { busy, problem, run } = useSend();
  const [name, setName] = useState('');
  const [signIn, setSignIn] = useState('');
  const [role, setRole] = useState<Role>('mechanic');
  const add = () =>
    void run(async () => {
      const given = { id: crypto.randomUUID(), name, signIn, role };
      const { password } = await call<{ password: string }>('/api/people', 'POST', given);
      onTold({ name, password });
      setName('');
      setSignIn('');
      router.refresh();
    });
  return (
    <div className="door-new">
      <TextField label="New person, as they sign" value={name} most={120} onChange={setName} />
      <TextField label="Signs in as" spoken="New person signs in as" value={signIn} most={40} onChange={setSignIn} />
      <Chips label="New person is" options={ROLE_OPTIONS} value={role} onPick={setRole} />
      <button type="button" className="act" disabled={busy || name === '' || signIn === ''} onClick={add}>
        Take in
      </button>
      <ProblemNote problem={problem} />
    </div>
  );
}

/** Ends a tablet or a link. */
export function Taken({ path, says, onDone }: { path: string; says: string; onDone?: () => void }) {
  const router = useRouter();
  const { busy, problem, run } = useSend();
  return (
    <>
      <button
        type="button"
        className="act quiet"
        disabled={busy}
        onClick={() =>
          void run(async () => {
            await call(path, 'DELETE');
            onDone?.();
            router.refresh();
          })
        }
      >
        {says}
      </button>
      <ProblemNote problem={problem} />
    </>
  );
}
