'use client';
import { useState, type PointerEvent } from 'react';
import { type FieldRule } from '@/core/units/parse';
import { fractions, KEYPAD_UNITS, press, withFraction, withUnit } from './keypad';

interface Props {
  rule: FieldRule;
  text: string;
  onText: (text: string) => void;
  onEnter: () => void;
}

const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '0', '.'];
/** The field keeps the focus while its keypad is touched. */
const keepFocus = (event: PointerEvent) => event.preventDefault();

/** Keys for greasy fingers: digits, sixteenths and thirty-seconds in one touch, sums, repeats and units. */
export function Keypad({ rule, text, onText, onEnter }: Props) {
  const [fine, setFine] = useState(false);
  const length = rule.dimension === 'length';
  const key = (name: string, label: string, to: string, wide = false) => (
    <button
      key={name}
      type="button"
      tabIndex={-1}
      aria-label={label}
      className={wide ? 'wide-key' : ''}
      onClick={() => onText(to)}
    >
      {name}
    </button>
  );
  return (
    <div className="keypad" role="group" aria-label="Keypad" onPointerDown={keepFocus}>
      {length ? (
        <div className="fraction-keys">
          {fractions(fine).map((f) => key(f, f, withFraction(text, f)))}
          <button type="button" tabIndex={-1} aria-pressed={fine} className="wide-key" onClick={() => setFine(!fine)}>
            {fine ? '1/16' : '1/32'}
          </button>
        </div>
      ) : null}
      <div className="digit-keys">
        {DIGITS.map((d) => key(d, d, press(text, d)))}
        {key('⌫', 'take off the last', press(text, 'del'))}
        {key('+', 'plus', press(text, '+'))}
        {key('−', 'minus', press(text, '−'))}
        {key(';', 'another reading of the same', press(text, ';'))}
        {(KEYPAD_UNITS[rule.dimension] ?? []).map((u) => key(u, u, withUnit(text, u)))}
        <button type="button" tabIndex={-1} className="enter-key" onClick={onEnter}>
          Enter
        </button>
      </div>
    </div>
  );
}
