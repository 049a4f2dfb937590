'use client';
import { useRef } from 'react';
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
  /** Gives up the unsaved edit. */
  drop: () => void;
}

/** The plan of a job: typed line by line, saved as a whole once every line is complete. */
export function usePlan(job: JobHandle): PlanHandle {
  const { plan } = job.view;
  const [draft, setDraft, forget] = useKept<Draft | null>(`${job.view.id}|plan|${plan.id}`, null);
  const { problem, run } = useSend();
  const saving = useRef(false);
  /** What was typed while a save was under way. */
  const later = useRef<DraftLine[] | null>(null);
  const lines = draft?.lines ?? plan.changes.map(lineOf);
  const complete = lines.map(completeLine).filter((line) => line !== undefined);

  const save = async ({ lines: typed, version }: Draft) => {
    const changes = typed.map(completeLine);
    if (changes.some((change) => change === undefined)) return;
    saving.current = true;
    let next = version;
    const ok = await run(async () => {
      next = (await job.send('/plan', 'PUT', { version, changes })).plan.version;
    });
    saving.current = false;
    const newer = later.current;
    later.current = null;
    if (newer) {
      const edit = { lines: newer, version: next };
      setDraft(edit);
      if (ok) await save(edit);
    } else if (ok) forget();
  };

  return {
    lines,
    changes: complete,
    unfinished: lines.length - complete.length,
    saved: draft === null,
    problem,
    drop: forget,
    set: (next) => {
      const edit = { lines: next, version: draft?.version ?? plan.version };
      setDraft(edit);
      if (saving.current) later.current = next;
      else void save(edit);
    },
  };
}
