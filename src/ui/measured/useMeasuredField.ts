'use client';
import { useRef, useState } from 'react';
import { type Conflict } from '@/contracts/problem';
import { parseMeasured, type FieldRule, type Parsed, type Reading } from '@/core/units/parse';
import { type UnitId } from '@/core/units/units';
import { ApiProblem } from '../job/api';
import { useKept } from './useKept';

export type Version = Conflict['version'] | null;

/** What the server holds for a field. */
export interface StoredText {
  typed: string;
  /** Which saved value this is, so that an edit begun on it cannot silently replace a newer one. */
  version: Version;
  /** What it was read as, in core units. */
  value: number;
  /** Unit it was read in; the field's unless said. */
  unit?: UnitId;
  by?: string;
}

/** Saves a typed text; `base` is the saved value the edit was begun on. */
export type SaveTyped = (typed: string, reading: Reading, base: Version) => Promise<void> | void;

interface Draft {
  text: string;
  base: Version;
}

/**
 * One measured field's life: typed, read, asked about, saved or refused. Text not yet saved survives a reload together with
 * the saved value it was begun on.
 */
export function useMeasuredField(
  rule: FieldRule,
  stored: StoredText | null,
  draft: string,
  onSave: SaveTyped,
  onClear?: () => void,
) {
  const storedText = stored?.typed ?? '';
  const [edit, setEdit, drop] = useKept<Draft | null>(draft, null);
  const [error, setError] = useState<string>();
  const [question, setQuestion] = useState<Extract<Parsed, { kind: 'ask' }>>();
  const [clash, setClash] = useState<{ conflict: Conflict; reading: Reading }>();
  const saving = useRef(false);
  const text = edit?.text ?? storedText;
  const parsed = parseMeasured(text, rule);

  const forget = () => {
    drop();
    setError(undefined);
    setQuestion(undefined);
    setClash(undefined);
  };

  const type = (now: string) => {
    const base = edit ? edit.base : (stored?.version ?? null);
    setError(undefined);
    setQuestion(undefined);
    if (now === storedText) drop();
    else setEdit({ text: now, base });
  };

  const save = async (reading: Reading, base: Version, typed = text.trim()) => {
    if (saving.current) return;
    saving.current = true;
    setQuestion(undefined);
    try {
      await onSave(typed, reading, base);
      forget();
    } catch (problem) {
      const conflict = problem instanceof ApiProblem ? problem.conflict : undefined;
      if (conflict) setClash({ conflict, reading });
      else setError(problem instanceof Error ? problem.message : String(problem));
    } finally {
      saving.current = false;
    }
  };

  /** Saves what was typed if it can be read. Returns whether the field may be left. */
  const commit = (): boolean => {
    if (!edit || clash) return !edit;
    if (parsed.kind === 'ok') {
      void save({ value: parsed.value, unit: parsed.unit }, edit.base);
      return true;
    }
    if (parsed.kind === 'ask') setQuestion(parsed);
    else if (parsed.kind === 'refused') setError(parsed.reason);
    else if (stored && onClear) {
      onClear();
      forget();
      return true;
    } else if (stored) setError('A saved reading is not deleted; type the new value, or press Escape.');
    else forget();
    return false;
  };

  return {
    text,
    parsed,
    dirty: edit !== null,
    error,
    question,
    clash,
    type,
    commit,
    forget,
    /** The unit or meaning chosen is written behind what was typed, so that the text stays plain to read later. */
    answer: ({ label, ...reading }: Reading & { label: string }) => void save(reading, edit?.base ?? null, label),
    insist: () => {
      if (clash) void save(clash.reading, clash.conflict.version);
    },
  };
}
