'use client';
import { useState, type PointerEvent } from 'react';
import { type FieldRule } from '@/core/units/parse';
import { KEYPAD_UNITS, press, withFraction, withUnit } from './keypad';
import { type PadOffers } from './PadDock';

interface Props extends PadOffers {
  rule: FieldRule;
  text: string;
  onText: (text: string) => void;
  onEnter: () => void;
}

/** Fractions on an inch of tape: eighths stand above it, the odd sixteenths below, each at its own line. */
const EIGHTHS = ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'];
const SIXTEENTHS = ['1/16', '3/16', '5/16', '7/16', '9/16', '11/16', '13/16', '15/16'];
const THIRTY_SECONDS = Array.from({ length: 16 }, (_, k) => `${2 * k + 1}/32`);
/** The field keeps the focus while its keys are touched. */
const keepFocus = (event: PointerEvent) => event.preventDefault();

/** Keys for one hand and gloves, in their own place on the screen. */
export function DockedPad({ rule, text, onText, onEnter, next, same }: Props) {
  const [fine, setFine] = useState(false);
  const inches = rule.dimension === 'length' && (rule.unit === 'in' || /in\s*$/.test(text));
  const units = rule.keepsUnit ? [] : (KEYPAD_UNITS[rule.dimension] ?? []);
  const chosen = /(\d+\/\d+)\D*$/.exec(text)?.[1];
  const key = (name: string, spoken: string, to: string, className = '') => (
    <button key={name} type="button" tabIndex={-1} aria-label={spoken} className={className} onClick={() => onText(to)}>
      {name}
    </button>
  );
  const fraction = (f: string) => {
    const [top, bottom] = f.split('/');
    return (
      <button
        key={f}
        type="button"
        tabIndex={-1}
        aria-label={f}
        aria-pressed={chosen === f}
        className="fraction-key"
        onClick={() => onText(withFraction(text, f))}
      >
        <span>{top}</span>
        <span>{bottom}</span>
      </button>
    );
  };
  return (
    <div className="docked-pad" role="group" aria-label="Keypad" onPointerDown={keepFocus}>
      {inches ? (
        <div className="inch-tape">
          {fine ? (
            <div className="thirty-seconds">{THIRTY_SECONDS.map(fraction)}</div>
          ) : (
            <>
              <div className="eighths">{EIGHTHS.map(fraction)}</div>
              <div className="inch-lines" aria-hidden="true" />
              <div className="sixteenths">{SIXTEENTHS.map(fraction)}</div>
            </>
          )}
        </div>
      ) : null}
      <div className="sign-row">
        {key('+', 'plus', press(text, '+'))}
        {key('−', 'minus', press(text, '−'))}
        {key(';', 'another reading of the same', press(text, ';'))}
        {units.map((u) => key(u, u, withUnit(text, u)))}
        {inches ? (
          <button type="button" tabIndex={-1} aria-pressed={fine} onClick={() => setFine(!fine)}>
            {fine ? '16ths' : '32nds'}
          </button>
        ) : null}
      </div>
      <div className="pad-keys">
        {['7', '8', '9'].map((d) => key(d, d, press(text, d)))}
        {key('rub out', 'take off the last', press(text, 'del'), 'word')}
        {['4', '5', '6'].map((d) => key(d, d, press(text, d)))}
        {same ? (
          key(`same as ${same.side}`, `same as ${same.side}, ${same.typed}`, same.typed, 'word')
        ) : (
          <span className="no-key" />
        )}
        {['1', '2', '3'].map((d) => key(d, d, press(text, d)))}
        <button type="button" tabIndex={-1} className="enter-key" onClick={onEnter}>
          <strong>Keep</strong>
          {next ? (
            <>
              <span className="then">then</span>
              <span className="next-name">{next}</span>
            </>
          ) : null}
        </button>
        {key('0', '0', press(text, '0'), 'zero')}
        {key('.', '.', press(text, '.'))}
      </div>
    </div>
  );
}
