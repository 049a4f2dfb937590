'use client';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type KnownAxle } from '@/contracts/vehicle';
import { type NewJob } from '@/contracts/ask';
import { type Person } from '@/contracts/person';
import { formOf } from '@/core/vehicle/form';
import { Chips } from '../controls/Chips';
import { pointOf } from '@/core/measure/points';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { PageFrame } from '../frame/PageFrame';
import { call } from '../job/api';
import { ProblemNote } from '../job/ProblemNote';
import { useSend } from '../job/useSend';
import { useKept } from '../measured/useKept';
import { goalBody, GoalFields } from './GoalFields';
import { loadBody, LoadFields } from './LoadFields';
import { BringIn } from './BringIn';
import { EMPTY_JOB, NEW_JOB, type JobDraft } from './newJobDraft';
import { vehicleBody, VehicleFields } from './VehicleFields';

function bodyOf(draft: JobDraft, axles: readonly KnownAxle[], leafy: boolean): NewJob | undefined {
  const vehicle = vehicleBody(draft.vehicle, axles);
  const goal = goalBody(draft.goal);
  const usual = loadBody(draft.load) ?? null;
  const half = !usual && (draft.load.name.trim() !== '' || draft.load.items.length > 0);
  if (!vehicle || !goal || half) return undefined;
  const wantedIn = usual ? draft.wantedIn : 'today';
  // What was read of a leaf spring says nothing of another kind.
  const readings = (draft.readings ?? []).filter(({ point }) => leafy || point === 'axleLoad');
  return { id: draft.id, vehicle, ...goal, leafCount: draft.leafCount, usual, wantedIn, readings };
}

interface Props {
  axles: readonly KnownAxle[];
  people: readonly Person[];
  person: string;
}

/** Ask, for a job that does not exist yet. Everything typed survives a reload. */
export function NewJobStation({ axles: latest, people, person }: Props) {
  const router = useRouter();
  const { busy, problem, run } = useSend();
  const [draft, setDraft, forget] = useKept<JobDraft>(NEW_JOB, EMPTY_JOB);
  const set = (part: Partial<JobDraft>) =>
    setDraft({ ...draft, id: draft.id === '' ? crypto.randomUUID() : draft.id, ...part });
  const [words, setWords] = useState('');
  const { data: found } = useQuery({
    queryKey: ['axles', words],
    queryFn: () => call<KnownAxle[]>('/api/axles', 'POST', { words }),
    enabled: words !== '',
  });
  // The one that was chosen stays in the list, whatever is looked for.
  const chosen = draft.vehicle.known ?? null;
  const listed = words === '' ? latest : (found ?? []);
  const axles = chosen && !listed.some((a) => a.id === chosen.id) ? [chosen, ...listed] : listed;
  const known = axles.find((a) => a.id === draft.vehicle.axleId);
  const leafy = (known?.suspension ?? draft.vehicle.suspension) === 'longitudinalLeaf';
  const body = bodyOf(draft, axles, leafy);
  const create = () =>
    run(async () => {
      const { id } = await call<{ id: string }>('/api/jobs', 'POST', body);
      forget();
      router.push(`/jobs/${id}/measure`);
    });
  return (
    <PageFrame
      title="New job"
      note="What is wrong, and what would put it right, as a number"
      people={people}
      person={person}
    >
      <div className="sheets form-columns">
        <div className="sheets">
          <Sheet title="Complaint and goal">
            <GoalFields goal={draft.goal} draft="new-job" onChange={(goal) => set({ goal })} />
          </Sheet>
          <Sheet
            title="The load it usually carries"
            aside={<span className="muted">optional: a second load state</span>}
          >
            <LoadFields
              nose={formOf(known?.vehicle.form ?? draft.vehicle.form).nose}
              load={draft.load}
              draft="new-job|load"
              onChange={(load) => set({ load })}
            />
            <Chips
              label="The goal is meant"
              shown
              options={[
                { id: 'today', name: 'as it stands today' },
                { id: 'usual', name: 'with this load' },
              ]}
              value={draft.wantedIn}
              onPick={(wantedIn) => set({ wantedIn })}
            />
          </Sheet>
          <Sheet title="Begin">
            <ProblemNote problem={problem} />
            {draft.readings && draft.readings.length > 0 ? (
              <p>
                <Marked kind="done">
                  {draft.readings.length} readings of the quick answer go with it:{' '}
                  {draft.readings
                    .map(({ point, typed }) => `${pointOf(point).label.toLowerCase()} ${typed}`)
                    .join(', ')}
                </Marked>
              </p>
            ) : null}
            <div className="acts">
              <button type="button" className="act" disabled={!body || busy} onClick={() => void create()}>
                Open the job and measure
              </button>
              <button type="button" className="act quiet" onClick={forget}>
                Clear the form
              </button>
            </div>
            <p className="muted">
              {body
                ? 'Next: roll the vehicle and read the height at each wheel.'
                : 'Needed: complaint, wanted change, tolerance, vehicle name, wheelbase, kind of axle and where its spring lies; a load needs a name, and each thing in it mass and place.'}
            </p>
          </Sheet>
          <BringIn />
        </div>
        <Sheet title="Vehicle">
          <VehicleFields
            axles={axles}
            find={setWords}
            vehicle={draft.vehicle}
            onChange={(vehicle) => set({ vehicle })}
          />
          {leafy ? (
            <Chips
              label="Leaves in the pack"
              shown
              options={['1', '2', '3', '4', '5', '6', '7', '8', '9'].map((id) => ({ id, name: id }))}
              value={String(draft.leafCount)}
              onPick={(count) => set({ leafCount: Number(count) })}
            />
          ) : null}
        </Sheet>
      </div>
    </PageFrame>
  );
}
