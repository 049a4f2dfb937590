'use client';
import { type JobView } from '@/contracts/job';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { SaveActs } from './SaveActs';
import { formOf } from '@/core/vehicle/form';
import { LoadFields, newItem } from './LoadFields';
import { type Loads } from './useLoads';

/** The loads a job reckons with beyond the state of the day, and in which of them the goal is meant. */
export function LoadsSheet({ view, loads }: { view: JobView; loads: Loads }) {
  const { draft, body, busy, change, forget, edited, save } = loads;
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
      <SaveActs
        what="the loads"
        edited={edited}
        ready={body !== undefined}
        busy={busy}
        onSave={() => void save()}
        onDrop={forget}
      >
        {edited && !body ? (
          <span className="look">each load needs a name, and each thing in it a name, mass and place</span>
        ) : null}
      </SaveActs>
    </Sheet>
  );
}
