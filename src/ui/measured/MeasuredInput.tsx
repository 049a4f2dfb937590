'use client';
import { Marked } from '../controls/Mark';
import { Input } from 'antd';
import { useId, type KeyboardEvent, type ReactNode } from 'react';
import { echoText, quantityText } from '@/core/units/format';
import { type FieldRule } from '@/core/units/parse';
import { useMeasuredField, type SaveTyped, type StoredText } from './useMeasuredField';

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
  onSave: SaveTyped;
}

/** Moves to the next measured field in measuring order. */
function focusNext(from: HTMLElement) {
  const fields = [...document.querySelectorAll<HTMLInputElement>('input[data-measured]:not(:disabled)')];
  fields[fields.indexOf(from as HTMLInputElement) + 1]?.focus();
}

/** Sends the focus to a measured field by its anchor. */
export const focusField = (anchor: string) =>
  document.querySelector<HTMLInputElement>(`input[data-measured="${CSS.escape(anchor)}"]`)?.focus();

/**
 * The one input for measured values: plain text with a live echo. Saves on Enter or blur; doubt is asked about, nonsense is
 * refused with the reason, Escape brings back what is stored.
 */
export function MeasuredInput({ label, spoken, rule, stored, draft, assumed, hint, anchor, onFocus, onSave }: Props) {
  const id = useId();
  const field = useMeasuredField(rule, stored, draft, onSave);
  const { text, parsed, dirty, error, question, clash } = field;
  const wrong = Boolean(error ?? question ?? clash);

  const onKey = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Escape') field.forget();
    if (event.key !== 'Enter') return;
    event.preventDefault();
    if (field.commit()) focusNext(event.currentTarget);
  };

  return (
    <div className={`field ${dirty ? 'unsaved' : ''} ${wrong ? 'wrong' : ''}`}>
      <label htmlFor={id}>{label}</label>
      <div className="entry">
        <Input
          id={id}
          data-measured={anchor ?? ''}
          variant="borderless"
          value={text}
          autoComplete="off"
          aria-label={spoken ?? label}
          aria-describedby={`${id}-echo`}
          aria-invalid={wrong}
          onChange={(event) => field.type(event.target.value)}
          onFocus={onFocus}
          onBlur={field.commit}
          onKeyDown={onKey}
        />
        <span className="unit" aria-hidden="true">
          {rule.unit === 'deg' ? '°' : rule.unit}
        </span>
      </div>
      <div className="echo" id={`${id}-echo`} aria-live="polite">
        {error ? <Marked kind="look">{error}</Marked> : null}
        {error
          ? null
          : dirty
            ? parsed.kind === 'ok' && echoText(parsed.value, parsed.unit)
            : stored
              ? echoText(stored.value, stored.unit ?? rule.unit)
              : null}
        {dirty && !wrong ? <span className="look"> not saved yet</span> : null}
        {!stored && !dirty ? hint : null}
        {!stored && !dirty && assumed ? <span className="assumed">{assumed}</span> : null}
      </div>
      {question ? (
        <div className="note" role="group" aria-label={question.question}>
          <p>{question.question}</p>
          {question.options.map((option) => (
            <button key={option.label} type="button" className="act quiet" onClick={() => field.answer(option)}>
              {option.label} = {quantityText(option.value, option.unit === 'mm' ? 'in' : rule.unit)}
            </button>
          ))}
        </div>
      ) : null}
      {clash ? (
        <div className="note" role="alert">
          <p>
            {clash.conflict.by} saved “{clash.conflict.theirs}” here at {clash.conflict.at.slice(11, 16)} UTC. You typed
            “{text}”.
          </p>
          <button type="button" className="act quiet" onClick={field.forget}>
            Keep {clash.conflict.theirs}
          </button>
          <button type="button" className="act" onClick={field.insist}>
            Save {text}
          </button>
        </div>
      ) : null}
    </div>
  );
}
