'use client';
import { useRouter } from 'next/navigation';
import { useState, type FormEvent } from 'react';
import { TextField } from '../controls/TextField';
import { ProblemNote } from '../job/ProblemNote';
import { call } from '../job/api';
import { useSend } from '../job/useSend';
import { DoorFrame } from './DoorFrame';
import { SecretField } from './SecretField';

const EMPTY = { code: '', shop: '', word: '', name: '', signIn: '' };

/** The first owner of a shop, by the one-time code of the server's console. */
export function FirstOwnerScreen() {
  const router = useRouter();
  const [given, setGiven] = useState(EMPTY);
  const [password, setPassword] = useState('');
  const { busy, problem, run } = useSend();
  const field = (key: keyof typeof EMPTY, label: string, most: number) => (
    <TextField label={label} value={given[key]} most={most} onChange={(text) => setGiven({ ...given, [key]: text })} />
  );
  const send = async (event: FormEvent) => {
    event.preventDefault();
    if (await run(() => call('/api/door/first', 'POST', { ...given, password }))) router.push('/');
  };
  return (
    <DoorFrame title="First owner of a shop">
      <p>The server has told a code on its console when it started. It is good once.</p>
      <form className="door-form" onSubmit={(event) => void send(event)}>
        {field('code', 'Code', 80)}
        <div className="pair">
          {field('shop', 'Name of the shop', 120)}
          {field('word', 'Its short word, to sign in with', 40)}
        </div>
        <div className="pair">
          {field('name', 'Your name, as it is signed', 120)}
          {field('signIn', 'Your short name, to sign in with', 40)}
        </div>
        <SecretField
          kind="password"
          fresh
          label="Password, twelve signs or more"
          value={password}
          onChange={setPassword}
        />
        <div className="door-acts">
          <button className="act" disabled={busy}>
            Own this shop
          </button>
        </div>
        <ProblemNote problem={problem} />
      </form>
    </DoorFrame>
  );
}
