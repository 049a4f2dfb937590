'use client';
import { type JobView } from '@/contracts/job';
import { type LoadsEdit } from '@/contracts/loads';
import { lumped } from '@/core/sheet/reading';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { useKept } from '../measured/useKept';
import { type Typed } from '../measured/TypedField';
import { loadBody, loadDraft, type LoadDraft } from './LoadFields';

export interface LoadsDraft {
  /** The job's version the edit was begun on. */
  version: number;
  states: (LoadDraft & { id: string })[];
  wanted: string;
}

const draftOf = ({ job, states }: JobView): LoadsDraft => ({
  version: job.version,
  states: states.slice(1).map((s) => ({ id: s.id, ...loadDraft(s.name, s.items) })),
  wanted: states.find((s) => s.wanted)?.id ?? states[0]?.id ?? '',
});

function bodyOf(draft: LoadsDraft): LoadsEdit | undefined {
  const states = draft.states.flatMap((state) => {
    const body = loadBody(state);
    return body ? [{ id: state.id, ...body }] : [];
  });
  return states.length === draft.states.length ? { version: draft.version, states, wanted: draft.wanted } : undefined;
}

/**
 * The job as it would be with the loads typed but not saved: a load that was changed is reckoned, so what was read with the old one
 * aboard is left out.
 */
export function withLoads(view: JobView, draft: LoadsDraft): JobView {
  const changed = new Set<string>();
  const states = view.states.map((state) => {
    const items = draft.states.find((s) => s.id === state.id);
    const body = items && loadBody(items);
    if (!body) return state;
    const { mass, station } = lumped(body.items);
    if (mass === state.addedMass && station === state.station) return state;
    changed.add(state.id);
    return { ...state, addedMass: mass, station, items: body.items };
  });
  return { ...view, states, readings: view.readings.filter((r) => r.stateId === null || !changed.has(r.stateId)) };
}

/** The loads of a job while they are typed or dragged, kept over a reload until they are saved. */
export function useLoads(job: JobHandle) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [edit, setEdit, forget] = useKept<LoadsDraft | null>(`${view.id}|loads`, null);
  const draft = edit ?? draftOf(view);
  const body = bodyOf(draft);
  const change = (part: Partial<LoadsDraft>) => setEdit({ ...draft, ...part });
  return {
    ...{ draft, body, busy, problem, change, forget },
    edited: edit !== null,
    /** Puts one thing of one load elsewhere along the vehicle. */
    move: (stateId: string, key: string, station: Typed) =>
      change({
        states: draft.states.map((state) =>
          state.id === stateId
            ? { ...state, items: state.items.map((item) => (item.key === key ? { ...item, station } : item)) }
            : state,
        ),
      }),
    save: () =>
      run(async () => {
        await job.send('/loads', 'PUT', body);
        forget();
      }),
  };
}

export type Loads = ReturnType<typeof useLoads>;
