'use client';
import { type JobView } from '@/contracts/job';
import { type LoadsEdit } from '@/contracts/loads';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { useKept } from '../measured/useKept';
import { SaveActs } from './SaveActs';
import { formOf } from '@/core/vehicle/form';
import { loadBody, loadDraft, LoadFields, newItem, type LoadDraft } from './LoadFields';

interface Draft {
  /** The job's version the edit was begun on. */
  version: number;
  states: (LoadDraft & { id: string })[];
  wanted: string;
}

const draftOf = ({ job, states }: JobView): Draft => ({
  version: job.version,
  states: states.slice(1).map((s) => ({ id: s.id, ...loadDraft(s.name, s.items) })),
  wanted: states.find((s) => s.wanted)?.id ?? states[0]?.id ?? '',
});

function bodyOf(draft: Draft): LoadsEdit | undefined {
  const states = draft.states.flatMap((state) => {
    const body = loadBody(state);
    return body ? [{ id: state.id, ...body }] : [];
  });
  return states.length === draft.states.length ? { version: draft.version, states, wanted: draft.wanted } : undefined;
}

/** The loads a job reckons with beyond the state of the day, and in which of them the goal is meant. */
export function LoadsSheet({ job }: { job: JobHandle }) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [edit, setEdit, forget] = useKept<Draft | null>(`${view.id}|loads`, null);
  const draft = edit ?? draftOf(view);
  const body = bodyOf(draft);
  const change = (part: Partial<Draft>) => setEdit({ ...draft, ...part });
  const save = () =>
    run(async () => {
      await job.send('/loads', 'PUT', body);
      forget();
    });
  const today = view.states[0];
  return (
    <Sheet title="Loads" aside={<span className="muted">each thing where it sits</span>}>
      {draft.states.map((state, k) => (
        <section key={state.id} className="load" aria-label={state.name || `load ${k + 1}`}>
          <LoadFields
            nose={formOf(view.vehicle.form).nose}
            load={state}
            draft={`${view.id}|load|${state.id}`}
            spoken={draft.states.length > 1 ? `, load ${k + 1}` : ''}
            onChange={(load) =>
              change({ states: draft.states.map((s) => (s.id === state.id ? { id: s.id, ...load } : s)) })
            }
          />
          <button
            type="button"
            className="act quiet"
            onClick={() =>
              change({
                states: draft.states.filter((s) => s.id !== state.id),
                wanted: draft.wanted === state.id ? (today?.id ?? '') : draft.wanted,
              })
            }
          >
            Drop this load
          </button>
        </section>
      ))}
      <div className="acts">
        <button
          type="button"
          className="act quiet"
          onClick={() =>
            change({ states: [...draft.states, { id: crypto.randomUUID(), name: '', items: [newItem()] }] })
          }
        >
          + Another load
        </button>
      </div>
      <Chips
        label="The goal is meant"
        shown
        options={[
          { id: today?.id ?? '', name: today?.name ?? '' },
          ...draft.states.map((s, k) => ({ id: s.id, name: s.name || `load ${k + 1}` })),
        ]}
        value={draft.wanted}
        onPick={(wanted) => change({ wanted })}
      />
      <ProblemNote problem={problem} />
      <SaveActs
        what="the loads"
        edited={edit !== null}
        ready={body !== undefined}
        busy={busy}
        onSave={() => void save()}
        onDrop={forget}
      >
        {edit && !body ? (
          <span className="look">each load needs a name, and each thing in it a name, mass and place</span>
        ) : null}
      </SaveActs>
    </Sheet>
  );
}
