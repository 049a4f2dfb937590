'use client';
import dynamic from 'next/dynamic';
import { Marked } from '../controls/Mark';
import { useContext, useEffect, useId, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { echoText, quantityText } from '@/core/units/format';
import { inView, shownText } from '@/core/units/inView';
import { parseMeasured, type FieldRule, type Reading } from '@/core/units/parse';
import { type UnitId } from '@/core/units/units';
import { useView } from '../theme/View';
import { Clock } from './Clock';
import { PadContext } from './PadDock';
import { useMeasuredField, type SaveTyped, type StoredText } from './useMeasuredField';

// Fetched where a field has a pad.
const DockedPad = dynamic(() => import('./DockedPad').then((pad) => pad.DockedPad));
const loadKeypad = () => import('./Keypad').then((pad) => pad.Keypad);
const Keypad = dynamic(loadKeypad, { ssr: false });

const UNIT_SIGN: Partial<Record<UnitId, string>> = { deg: '°', count: '', price: '', thread: '' };

interface Props {
  label: string;
  /** Said to screen readers when several fields share a visible label. */
  spoken?: string;
  rule: FieldRule;
  stored: StoredText | null;
  /** Key under which unsaved text survives a reload. */
  draft: string;
  /** What stands in until this is measured. */
  assumed?: ReactNode;
  /** A word of help while the field is empty. */
  hint?: ReactNode;
  /** Name by which another part of the page can send the focus here. */
  anchor?: string;
  onFocus?: () => void;
  /** Told what stands in the field, as it is typed. */
  onText?: (text: string) => void;
  /** Where Enter goes on to, when not to the next field on the page. */
  onEntered?: () => void;
  onSave: SaveTyped;
  /** What emptying the field does; without it a saved value cannot be emptied. */
  onClear?: () => void;
  /** A form is not sent without it. */
  required?: boolean;
  /** What a reading stands far away from, in words; asked about before it is saved. */
  doubt?: ((value: number) => string | null) | undefined;
}

/** Moves to the next measured field in measuring order. */
function focusNext(from: HTMLElement) {
  const fields = [...document.querySelectorAll<HTMLInputElement>('input[data-measured]:not(:disabled)')].filter(
    // What is folded away, or in a tab that is not open, is not walked.
    (field) => field === from || (field.checkVisibility() && !field.closest('details:not([open])')),
  );
  fields[fields.indexOf(from as HTMLInputElement) + 1]?.focus();
}

/** Sends the focus to a measured field by its anchor. */
export function focusField(anchor: string): void {
  const field = document.querySelector<HTMLInputElement>(`input[data-measured="${CSS.escape(anchor)}"]`);
  // A field that is folded away is unfolded first.
  const folded = field?.closest('details');
  if (folded) folded.open = true;
  field?.focus();
}

/** The unit an answer is told in besides its own, so that it can be told apart from the others. */
const otherUnit = (unit: UnitId, rule: FieldRule): UnitId =>
  unit === 'mm'
    ? 'in'
    : unit === 'N·m'
      ? 'lbf·ft'
      : unit === 'lbf·ft'
        ? 'N·m'
        : unit === rule.unit && rule.alternatives?.[0]
          ? rule.alternatives[0]
          : rule.unit;

/** The echo: what was read, in both systems, and what repeated readings said. */
function readAs({ value, unit, repeats }: Reading): string {
  const echo = echoText(value, unit);
  return repeats ? `mean of ${repeats.count}: ${echo}, spread ${quantityText(repeats.spread, unit)}` : echo;
}

/** A saved text read again for its repeats; the saved value stands. */
function storedReading(stored: StoredText, rule: FieldRule): Reading {
  const parsed = stored.typed.includes(';') ? parseMeasured(stored.typed, rule) : undefined;
  const repeats = parsed?.kind === 'ok' ? parsed.repeats : undefined;
  return { value: stored.value, unit: stored.unit ?? rule.unit, ...(repeats && { repeats }) };
}

/**
 * The one input for measured values: plain text with a live echo. Saves on Enter or blur; doubt is asked about, nonsense is
 * refused with the reason, Escape brings back what is stored.
 */
export function MeasuredInput(props: Props) {
  const {
    label,
    spoken,
    stored,
    draft,
    assumed,
    hint,
    anchor,
    required,
    doubt,
    onFocus,
    onText,
    onEntered,
    onSave,
    onClear,
  } = props;
  const id = useId();
  const { keypad, units, setKeypad } = useView();
  const rule = inView(props.rule, units);
  const [focused, setFocused] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const field = useMeasuredField({ own: props.rule, shown: rule }, stored, draft, onSave, onClear, doubt);
  const { text, parsed, dirty, error, question, clash, locked, replaced } = field;
  const wrong = Boolean(error ?? question ?? clash ?? locked);
  const [reason, setReason] = useState('');
  const dock = useContext(PadContext);
  useEffect(() => onText?.(text), [onText, text]);
  // Fetched with the page, not with the first touch: by then the network may be gone.
  useEffect(() => {
    if (keypad && !dock) void loadKeypad().catch(() => undefined);
  }, [keypad, dock]);

  const onKey = (event: KeyboardEvent<HTMLInputElement>) => {
    // Who types on a keyboard has one: the pad stays away until it is asked for again.
    if (keypad && !dock && event.key.length === 1 && !event.ctrlKey && !event.metaKey) setKeypad(false);
    if (event.key === 'Escape') field.forget();
    if (event.key !== 'Enter') return;
    event.preventDefault();
    enter();
  };
  const enter = () => {
    const here = input.current;
    if (!field.commit()) return;
    if (onEntered) onEntered();
    else if (here) focusNext(here);
  };

  return (
    <div className={`field ${dirty ? 'unsaved' : ''} ${wrong ? 'wrong' : ''}`}>
      <label htmlFor={id}>
        {label}
        {required ? <span className="needed"> needed</span> : null}
      </label>
      <div className="entry">
        <input
          ref={input}
          type="text"
          id={id}
          inputMode={keypad || dock ? 'none' : 'text'}
          data-measured={anchor ?? ''}
          value={text}
          autoComplete="off"
          aria-label={spoken ?? label}
          aria-describedby={`${id}-echo`}
          aria-invalid={wrong}
          onChange={(event) => field.type(event.target.value)}
          onFocus={() => {
            setFocused(true);
            onFocus?.();
          }}
          onBlur={() => {
            setFocused(false);
            field.commit();
          }}
          onKeyDown={onKey}
        />
        <span className="unit" aria-hidden="true">
          {UNIT_SIGN[rule.unit] ?? rule.unit}
        </span>
      </div>
      {keypad && focused && !dock ? (
        <Keypad
          rule={rule}
          label={spoken ?? label}
          text={text}
          onText={field.type}
          onEnter={enter}
          onClose={() => setKeypad(false)}
        />
      ) : null}
      <div className="echo" id={`${id}-echo`} aria-live="polite">
        {error ? <Marked kind="look">{error}</Marked> : null}
        {error
          ? null
          : dirty
            ? parsed.kind === 'ok' && readAs(parsed)
            : stored
              ? readAs(storedReading(stored, rule))
              : null}
        {dirty && !wrong ? <span className="look"> not saved yet</span> : null}
        {stored?.lent && !dirty ? (
          <>
            {' '}
            <span className="assumed">{stored.lent}</span>{' '}
            <button type="button" className="link" onClick={field.confirm}>
              the same here<span className="hidden-word"> as its sister’s: {spoken ?? label}</span>
            </button>
          </>
        ) : null}
        {replaced && !dirty && !wrong ? (
          <>
            {' '}
            <button type="button" className="link" onClick={field.putBack}>
              put back {replaced.typed}
            </button>
          </>
        ) : null}
        {!stored && !dirty ? hint : null}
        {!stored && !dirty && assumed ? <span className="assumed">{assumed}</span> : null}
      </div>
      {question ? (
        <div className="note" role="group" aria-label={question.question}>
          <p>{question.question}</p>
          {question.options.map((option) => (
            <button key={option.label} type="button" className="act quiet" onClick={() => field.answer(option)}>
              {option.unit === 'thread'
                ? option.label
                : `${option.label} = ${quantityText(option.value, otherUnit(option.unit, rule))}`}
            </button>
          ))}
          {stored ? (
            <button type="button" className="act quiet" onClick={field.forget}>
              Put back {stored.typed}
            </button>
          ) : null}
        </div>
      ) : null}
      {locked ? (
        <div className="note" role="group" aria-label="Correction">
          <p>{locked.why}</p>
          <input
            type="text"
            className="words-field"
            aria-label="Reason of the correction"
            placeholder="reason"
            value={reason}
            maxLength={300}
            onChange={(event) => setReason(event.target.value)}
          />
          <button type="button" className="act quiet" onClick={field.forget}>
            Put back {stored?.typed ?? 'nothing'}
          </button>
          <button
            type="button"
            className="act"
            disabled={reason.trim().length < 5}
            onClick={() => field.correct(reason.trim())}
          >
            Save the correction
          </button>
        </div>
      ) : null}
      {clash ? (
        <div className="note" role="alert">
          <p>
            {clash.conflict.by} saved “{clash.conflict.theirs}” here at <Clock at={clash.conflict.at} />. You typed “
            {text}”.
          </p>
          <button type="button" className="act quiet" onClick={field.forget}>
            Keep {clash.conflict.theirs}
          </button>
          <button type="button" className="act" onClick={field.insist}>
            Save {text}
          </button>
        </div>
      ) : null}
      {dock ? (
        <DockedPad
          rule={rule}
          text={text}
          onText={field.type}
          onEnter={enter}
          next={dock.next}
          // As this screen would have typed it: a bare number keeps the unit it was read in.
          same={dock.same && { ...dock.same, typed: shownText(dock.same.typed, props.rule, rule) }}
        />
      ) : null}
    </div>
  );
}
