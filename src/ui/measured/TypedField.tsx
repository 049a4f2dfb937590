'use client';
import { type ReactNode } from 'react';
import { type FieldRule } from '@/core/units/parse';
import { MeasuredInput } from './MeasuredInput';

/** A typed text with the value it was read as. */
export interface Typed {
  typed: string;
  value: number;
}

interface Props {
  label: string;
  spoken?: string;
  rule: FieldRule;
  value: Typed | null;
  draft: string;
  hint?: ReactNode;
  onChange: (value: Typed) => void;
  /** What emptying the field does; without it a value stays. */
  onClear?: () => void;
  /** A form is not sent without it. */
  required?: boolean;
}

/** A measured input inside a form that is sent as a whole. */
export function TypedField({ label, spoken, rule, value, draft, hint, required, onChange, onClear }: Props) {
  return (
    <MeasuredInput
      label={label}
      {...(spoken && { spoken })}
      rule={rule}
      stored={value && { typed: value.typed, version: value.typed, value: value.value }}
      draft={draft}
      hint={hint}
      {...(onClear && { onClear })}
      {...(required && { required })}
      onSave={(typed, reading) => onChange({ typed, value: reading.value })}
    />
  );
}
