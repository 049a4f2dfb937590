'use client';
import { useState, type FormEvent } from 'react';
import { type Person } from '@/contracts/person';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { PageFrame } from '../frame/PageFrame';
import { StationTape } from '../frame/StationTape';
import { ProblemNote } from '../job/ProblemNote';
import { call } from '../job/api';
import { useSend } from '../job/useSend';
import { SecretField } from './SecretField';

interface Props {
  people: readonly Person[];
  person: string;
  /** The password was made by an owner. */
  given: boolean;
}

/** A person's own password and PIN. */
export function YouScreen({ people, person, given }: Props) {
  const [now, setNow] = useState('');
  const [password, setPassword] = useState('');
  const [pin, setPin] = useState('');
  const [done, setDone] = useState(false);
  const { busy, problem, run } = useSend();
  const send = async (event: FormEvent) => {
    event.preventDefault();
    setDone(false);
    if (!(await run(() => call('/api/door/secrets', 'PUT', { now, password: password || null, pin: pin || null }))))
      return;
    setNow('');
    setPassword('');
    setPin('');
    setDone(true);
  };
  return (
    <PageFrame
      tape={<StationTape current="door" />}
      title="Password and PIN"
      note={people.find((p) => p.id === person)?.name ?? ''}
      people={people}
      person={person}
    >
      <Sheet title="Choose new ones">
        {given ? (
          <p>
            <Marked kind="look">
              Your password was made for you and told to you: choose one of your own. Until then you can only look.
            </Marked>
          </p>
        ) : null}
        <form className="door-form" onSubmit={(event) => void send(event)}>
          <SecretField kind="password" label="Password in force" value={now} onChange={setNow} />
          <SecretField
            kind="password"
            fresh
            label="New password, twelve signs or more; empty to keep it"
            value={password}
            onChange={setPassword}
          />
          <SecretField
            kind="pin"
            fresh
            label="New PIN for the shop’s tablets, four to eight digits; empty to keep it"
            value={pin}
            onChange={setPin}
          />
          <div className="door-acts">
            <button className="act" disabled={busy || now === '' || (password === '' && pin === '')}>
              Save
            </button>
            {done ? <Marked kind="done">Saved. With a new password you are signed out everywhere else.</Marked> : null}
          </div>
          <ProblemNote problem={problem} />
        </form>
      </Sheet>
    </PageFrame>
  );
}
