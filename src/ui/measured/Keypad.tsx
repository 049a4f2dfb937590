'use client';
import { useLayoutEffect, useRef, useState, type PointerEvent } from 'react';
import { createPortal } from 'react-dom';
import { type FieldRule } from '@/core/units/parse';
import { fractions, KEYPAD_UNITS, press, withFraction, withUnit } from './keypad';

interface Props {
  rule: FieldRule;
  /** The field it fills, in words. */
  label: string;
  text: string;
  onText: (text: string) => void;
  onEnter: () => void;
  onClose: () => void;
}

/** The block of a calculator. */
const DIGITS = [
  ['7', '8', '9'],
  ['4', '5', '6'],
  ['1', '2', '3'],
  ['0', '.'],
];
/** The field keeps the focus while its keypad is touched. */
const keepFocus = (event: PointerEvent) => event.preventDefault();
/** Room between the field and the pad, px. */
const ROOM = 24;

/** Keys for greasy fingers, docked at the foot of the screen: digits as on a calculator, fractions where inches are read, units. */
export function Keypad({ rule, label, text, onText, onEnter, onClose }: Props) {
  const [fine, setFine] = useState(false);
  const pad = useRef<HTMLDivElement>(null);
  const inches = rule.dimension === 'length' && (rule.unit === 'in' || /in\s*$/.test(text));
  // The field is brought into what is left of the screen above the pad.
  useLayoutEffect(() => {
    const field = document.activeElement;
    const height = pad.current?.offsetHeight ?? 0;
    document.body.style.paddingBottom = `${height + ROOM}px`;
    // In a tab that scrolls by itself it is the tab that needs the room.
    const pane = field?.closest<HTMLElement>('.ant-tabs-content');
    if (pane) pane.style.paddingBottom = `${height + ROOM}px`;
    if (field instanceof HTMLElement) {
      field.style.scrollMarginBottom = `${height + ROOM}px`;
      field.scrollIntoView({ block: 'nearest' });
    }
    return () => {
      document.body.style.paddingBottom = '';
      if (pane) pane.style.paddingBottom = '';
      if (field instanceof HTMLElement) field.style.scrollMarginBottom = '';
    };
  }, [inches]);
  const key = (name: string, spoken: string, to: string, className = '') => (
    <button key={name} type="button" tabIndex={-1} aria-label={spoken} className={className} onClick={() => onText(to)}>
      {name}
    </button>
  );
  return createPortal(
    <div ref={pad} className="keypad" role="group" aria-label="Keypad" onPointerDown={keepFocus}>
      <div className="pad-head">
        <span className="pad-label">{label}</span>
        <output className="figure">{text || '\u00a0'}</output>
        <button type="button" tabIndex={-1} onClick={onClose}>
          keyboard
        </button>
      </div>
      <div className="pad-body">
        {inches ? (
          <div className="fraction-keys">
            {fractions(fine).map((f) => key(f, f, withFraction(text, f)))}
            <button type="button" tabIndex={-1} aria-pressed={fine} onClick={() => setFine(!fine)}>
              {fine ? '16ths' : '32nds'}
            </button>
          </div>
        ) : null}
        <div className="digit-keys">
          {DIGITS.flat().map((d) => key(d, d, press(text, d)))}
          {key('⌫', 'take off the last', press(text, 'del'))}
        </div>
        <div className="sign-keys">
          {key('+', 'plus', press(text, '+'))}
          {key('−', 'minus', press(text, '−'))}
          {key(';', 'another reading of the same', press(text, ';'))}
          {(rule.keepsUnit ? [] : (KEYPAD_UNITS[rule.dimension] ?? [])).map((u) => key(u, u, withUnit(text, u)))}
          <button type="button" tabIndex={-1} className="enter-key" onClick={onEnter}>
            Enter
          </button>
        </div>
      </div>
    </div>,
    document.body,
  );
}
