'use client';
import { useId } from 'react';
import { Marked } from '../controls/Mark';

interface Props {
  kind: 'password' | 'pin';
  value: string;
  problem?: string | null;
  label?: string;
  /** Chosen here, so the browser need not offer the old one. */
  fresh?: boolean;
  /** Typed into at once. */
  first?: boolean;
  onChange: (text: string) => void;
}

/** A password, or a PIN with the digits of the screen's own keyboard. */
export function SecretField({ kind, value, problem = null, label, fresh = false, first = false, onChange }: Props) {
  const id = useId();
  return (
    <div className={problem ? 'field wrong' : 'field'}>
      <label htmlFor={id}>{label ?? (kind === 'pin' ? 'PIN' : 'Password')}</label>
      <input
        id={id}
        className="words-field"
        type="password"
        inputMode={kind === 'pin' ? 'numeric' : 'text'}
        autoComplete={fresh ? 'new-password' : kind === 'pin' ? 'off' : 'current-password'}
        maxLength={200}
        autoFocus={first}
        value={value}
        aria-invalid={problem !== null}
        aria-describedby={problem ? `${id}-wrong` : undefined}
        onChange={(event) => onChange(event.target.value)}
      />
      {problem ? (
        <div id={`${id}-wrong`} role="alert">
          <Marked kind="look">{problem}</Marked>
        </div>
      ) : null}
    </div>
  );
}
