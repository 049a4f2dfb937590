'use client';
import { useRef, useState } from 'react';
import { type ChangeRow } from '@/contracts/plan';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { useKept } from '../measured/useKept';
import { completeLine, lineOf, type DraftLine } from './planDraft';

interface Draft {
  lines: DraftLine[];
  /** Plan version the edit was begun on. */
  version: number;
}

export interface PlanHandle {
  lines: readonly DraftLine[];
  /** The complete lines, as they are solved. */
  changes: ChangeRow[];
  /** Lines that still lack a field, kept in this browser only. */
  unfinished: number;
  saved: boolean;
  problem: unknown;
  set: (lines: DraftLine[]) => void;
  /** Shown and solved, but not saved yet: a handle on its way. */
  hold: (lines: DraftLine[]) => void;
  /** Lets go of what is held: the lines are as they were. */
  letGo: () => void;
  /** Back to the lines before the last step; null where there is none. */
  undo: (() => void) | null;
  /** Gives up the unsaved edit. */
  drop: () => void;
}

/** Steps that can be undone. */
const MOST_STEPS = 50;

/** The plan of a job: typed line by line, saved as a whole once every line is complete. */
export function usePlan(job: JobHandle): PlanHandle {
  const { plan } = job.view;
  const [draft, setDraft, forget] = useKept<Draft | null>(`${job.view.id}|plan|${plan.id}`, null);
  const { problem, run } = useSend();
  const saving = useRef(false);
  /** What was typed while a save was under way. */
  const later = useRef<DraftLine[] | null>(null);
  /** The lines before a handle was taken, and as it holds them now. */
  const held = useRef<{ before: readonly DraftLine[]; now: DraftLine[] } | null>(null);
  /** Which version each save of this screen made of which: an edit begun in between stands on it, not against it. */
  const made = useRef(new Map<string, number>());
  const newest = (version: number): number => {
    const next = made.current.get(`${plan.id}|${version}`);
    return next === undefined ? version : newest(next);
  };
  const lines = draft?.lines ?? plan.changes.map(lineOf);
  const complete = lines.map(completeLine).filter((line) => line !== undefined);

  const save = async ({ lines: typed, version }: Draft) => {
    const changes = typed.map(completeLine);
    if (changes.some((change) => change === undefined)) return;
    saving.current = true;
    let next = version;
    const ok = await run(async () => {
      next = (await job.send('/plan', 'PUT', { version, changes })).plan.version;
      made.current.set(`${plan.id}|${version}`, next);
    });
    saving.current = false;
    const newer = later.current;
    later.current = null;
    if (newer) {
      const edit = { lines: newer, version: next };
      setDraft(edit);
      if (ok) await save(edit);
    } else if (ok) {
      // A handle taken meanwhile goes on, on what was saved.
      if (held.current) setDraft({ lines: held.current.now, version: next });
      else forget();
    }
  };

  const [steps, setSteps] = useState<{ plan: string; lines: readonly DraftLine[] }[]>([]);
  const put = (next: DraftLine[]) => {
    const edit = { lines: next, version: newest(draft?.version ?? plan.version) };
    setDraft(edit);
    if (saving.current) later.current = next;
    else void save(edit);
  };
  const last = steps.at(-1);

  return {
    lines,
    changes: complete,
    unfinished: lines.length - complete.length,
    saved: draft === null,
    problem,
    drop: forget,
    set: (next) => {
      // While a handle is held the lines are its own already: the step began where they were last set.
      setSteps([...steps.slice(1 - MOST_STEPS), { plan: plan.id, lines: held.current?.before ?? lines }]);
      held.current = null;
      put(next);
    },
    hold: (next) => {
      held.current = { before: held.current?.before ?? lines, now: next };
      setDraft({ lines: next, version: draft?.version ?? plan.version });
    },
    letGo: () => {
      if (!held.current) return;
      const { before } = held.current;
      held.current = null;
      // What was unsaved before it was taken stays unsaved.
      if (JSON.stringify(before) === JSON.stringify(plan.changes.map(lineOf))) forget();
      else setDraft({ lines: [...before], version: draft?.version ?? plan.version });
    },
    undo:
      last?.plan === plan.id
        ? () => {
            setSteps(steps.slice(0, -1));
            put([...last.lines]);
          }
        : null,
  };
}
