'use client';
import { useId, useState, type FormEvent, type ReactNode } from 'react';
import { type Door, type SignIn } from '@/contracts/door';
import { Chips } from '../controls/Chips';
import { TextField } from '../controls/TextField';
import { ApiProblem } from '../job/ApiProblem';
import { call } from '../job/api';
import { SecretField } from './SecretField';

interface Props {
  door: Door;
  /** Who is to be signed in, where it is known. */
  person?: string | undefined;
  says: string;
  /** A tablet may be made known here. */
  tablet?: boolean;
  /** Beside the button. */
  children?: ReactNode;
  onIn: (person: string | null) => void;
}

/** Name and password, or on a tablet of the shop name and PIN. */
export function DoorForm({ door, person, says, tablet = false, children, onIn }: Props) {
  const id = useId();
  const [shop, setShop] = useState(door.shop ?? '');
  const [chosen, setChosen] = useState(person ?? door.person ?? door.people[0]?.id ?? '');
  const [typedName, setTypedName] = useState('');
  const [secret, setSecret] = useState('');
  const [byPassword, setByPassword] = useState(false);
  const [known, setKnown] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const listed = door.people.find((p) => p.id === chosen);
  const kind = listed?.pin && !byPassword ? 'pin' : 'password';
  const send = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    setProblem(null);
    const given: SignIn = { shop, name: listed?.signIn ?? typedName, kind, secret, tablet: known?.trim() || null };
    try {
      await call('/api/door/in', 'POST', given);
      onIn(listed?.id ?? null);
    } catch (error) {
      setSecret('');
      setProblem(error instanceof ApiProblem ? error.message : String(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <form className="door-form" onSubmit={(event) => void send(event)}>
      {door.people.length > 0 ? (
        <Chips
          label="Name"
          shown
          options={door.people.map((p) => ({ id: p.id, name: p.name }))}
          value={chosen}
          onPick={(next) => {
            setChosen(next);
            setSecret('');
            setProblem(null);
          }}
        />
      ) : (
        <div className="pair">
          <TextField label="Shop" value={shop} most={40} onChange={setShop} />
          <TextField label="Name" value={typedName} most={40} onChange={setTypedName} />
        </div>
      )}
      <SecretField
        key={`${kind}${chosen}`}
        kind={kind}
        first={listed !== undefined}
        value={secret}
        problem={problem}
        onChange={setSecret}
      />
      {listed?.pin ? (
        <button type="button" className="act quiet" onClick={() => setByPassword(!byPassword)}>
          {byPassword ? 'with the PIN' : 'with the password instead'}
        </button>
      ) : null}
      {tablet && door.tablet === null ? (
        <div className="door-tablet">
          <label htmlFor={id}>
            <input
              id={id}
              type="checkbox"
              checked={known !== null}
              onChange={(event) => setKnown(event.target.checked ? 'Bench tablet' : null)}
            />
            a tablet of the shop: from now on a PIN is enough here
          </label>
          {known === null ? null : <TextField label="What it is called" value={known} most={60} onChange={setKnown} />}
        </div>
      ) : null}
      <div className="door-acts">
        <button className="act" disabled={busy || secret === '' || (!listed && (typedName === '' || shop === ''))}>
          {says}
        </button>
        {children}
      </div>
    </form>
  );
}
