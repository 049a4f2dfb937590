'use client';
import { useRef, useState } from 'react';
import { type Conflict } from '@/contracts/problem';
import { plainText, shownText } from '@/core/units/inView';
import { parseMeasured, type FieldRule, type Parsed, type Reading } from '@/core/units/parse';
import { type UnitId } from '@/core/units/units';
import { ApiProblem } from '../job/ApiProblem';
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
  /** Where it was read, when not here: it counts for less until somebody reads it. */
  lent?: string;
}

/** Saves a typed text; `base` is the saved value the edit was begun on, `reason` why a locked one is corrected. */
export type SaveTyped = (typed: string, reading: Reading, base: Version, reason?: string) => Promise<void> | void;

interface Draft {
  text: string;
  base: Version;
  /** Unit the field showed while it was typed. */
  unit?: UnitId;
}

/** What is on its way or waits for a word. */
interface Pending {
  reading: Reading;
  typed: string;
  base: Version;
}

/** A field as stored and as the person at work reads it. */
export interface FieldRules {
  own: FieldRule;
  shown: FieldRule;
}

/**
 * One measured field's life: typed, read, asked about, saved or refused. Text not yet saved survives a reload together with
 * the saved value it was begun on.
 * @param doubt what a reading that can be read stands far away from, in words; asked about before it is saved
 */
export function useMeasuredField(
  { own, shown }: FieldRules,
  stored: StoredText | null,
  draft: string,
  onSave: SaveTyped,
  onClear?: () => void,
  doubt?: (value: number) => string | null,
) {
  const storedText = stored ? shownText(stored.typed, own, shown) : '';
  const [edit, setEdit, drop] = useKept<Draft | null>(draft, null);
  const [error, setError] = useState<string>();
  const [question, setQuestion] = useState<Extract<Parsed, { kind: 'ask' }>>();
  const [clash, setClash] = useState<Pending & { conflict: Conflict }>();
  const [locked, setLocked] = useState<Pending & { why: string }>();
  /** The reading that was last replaced here, to be put back in one tap. */
  const [replaced, setReplaced] = useState<StoredText>();
  const saving = useRef(false);
  // What was begun in one unit and is gone on with in another says which it was.
  const typedIn = edit?.unit && edit.unit !== shown.unit ? { ...shown, unit: edit.unit } : shown;
  const text = edit ? (typedIn === shown ? edit.text : plainText(edit.text, shown, typedIn)) : storedText;
  const parsed = parseMeasured(text, shown);

  const forget = () => {
    drop();
    setError(undefined);
    setQuestion(undefined);
    setClash(undefined);
    setLocked(undefined);
  };

  const type = (now: string) => {
    const base = edit ? edit.base : (stored?.version ?? null);
    setError(undefined);
    setQuestion(undefined);
    if (now === storedText) drop();
    else setEdit({ text: now, base, unit: shown.unit });
  };

  const save = async ({ reading, typed, base }: Pending, reason?: string) => {
    if (saving.current) return;
    saving.current = true;
    setQuestion(undefined);
    const before = stored;
    try {
      await onSave(plainText(typed, own, shown), reading, base, reason);
      forget();
      setReplaced(before && before.typed !== typed ? before : undefined);
    } catch (problem) {
      const conflict = problem instanceof ApiProblem ? problem.conflict : undefined;
      if (conflict) setClash({ conflict, reading, typed, base });
      else if (problem instanceof ApiProblem && problem.problem.code === 'locked')
        setLocked({ reading, typed, base, why: problem.message });
      else setError(problem instanceof Error ? problem.message : String(problem));
    } finally {
      saving.current = false;
    }
  };

  /** Saves what was typed if it can be read and stands in no doubt. Returns whether the field may be left. */
  const commit = (): boolean => {
    if (!edit || clash || locked) return !edit;
    if (parsed.kind === 'ok') {
      const reading = { value: parsed.value, unit: parsed.unit };
      const asked = doubt?.(parsed.value);
      if (asked) {
        setQuestion({ kind: 'ask', question: asked, options: [{ ...reading, label: text.trim() }] });
        return false;
      }
      void save({ reading, typed: text.trim(), base: edit.base });
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
    locked,
    replaced,
    type,
    commit,
    forget,
    /** The unit or meaning chosen is written behind what was typed, so that the text stays plain to read later. */
    answer: ({ label, ...reading }: Reading & { label: string }) =>
      void save({ reading, typed: label, base: edit?.base ?? null }),
    insist: () => {
      if (clash) void save({ ...clash, base: clash.conflict.version });
    },
    /** Saves a correction of a locked reading with its reason. */
    correct: (reason: string) => {
      if (locked) void save(locked, reason);
    },
    /** What was lent is what was read here too. */
    confirm: () => {
      if (!stored) return;
      const { typed, value, unit = own.unit } = stored;
      void save({ reading: { value, unit }, typed: shownText(typed, own, shown), base: stored.version });
    },
    /** The reading that was replaced here is read in again. */
    putBack: () => {
      if (!replaced) return;
      const { typed, value, unit = own.unit } = replaced;
      void save({ reading: { value, unit }, typed: shownText(typed, own, shown), base: stored?.version ?? null });
    },
  };
}
