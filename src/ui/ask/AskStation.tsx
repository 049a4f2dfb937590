'use client';
import { useMemo, useState } from 'react';
import { assembledOf, axleSheetOf } from '@/contracts/sheet';
import { type JobView } from '@/contracts/job';
import { axleMassIn, extraAxleMass, readingAt } from '@/core/sheet/reading';
import { lacksOf } from '@/core/suspension/registry';
import { axleShares } from '@/core/vehicle/load';
import { Chips } from '../controls/Chips';
import { Sheet } from '../controls/Sheet';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { Dock, Stage, Workbench } from '../frame/Workbench';
import { ProblemNote } from '../job/ProblemNote';
import { Kept } from '../prove/Kept';
import { useJob, type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { useKept } from '../measured/useKept';
import { usePrediction } from '../prediction/usePrediction';
import { AskVerdict } from './AskVerdict';
import { AxlesSheet } from './AxlesSheet';
import { FeatureSheet } from './FeatureSheet';
import { goalBody, GoalFields, goalOf, type Goal } from './GoalFields';
import { KitSheet } from './KitSheet';
import { LoadsOnVehicle } from './LoadsOnVehicle';
import { LoadsSheet } from './LoadsSheet';
import { OwnerSheet } from './OwnerSheet';
import { SaveActs } from './SaveActs';
import { useLoads, withLoads, type LoadsDraft } from './useLoads';
import { VehicleSheet } from './VehicleSheet';

/** The job with the loads as they stand on the screen: what each axle carries, and how far this one goes down. */
function useAboard(typed: JobView, stateId: string) {
  const sheet = useMemo(() => axleSheetOf(typed), [typed]);
  const state = typed.states.find((s) => s.id === stateId) ?? typed.states[0]!;
  const today = typed.states[0]!;
  const shares = axleShares({ mass: state.addedMass, station: state.station }, typed.vehicle.wheelbase);
  const far = typed.axle.position === 'front' ? 'rear' : 'front';
  const other = readingAt(sheet, { point: 'otherAxleLoad', stateId: today.id })?.value ?? null;
  const axles = {
    [typed.axle.position]: { mass: axleMassIn(sheet, state), added: extraAxleMass(sheet, state) },
    [far]: { mass: other === null ? null : other + (state.id === today.id ? 0 : shares[far]), added: shares[far] },
  } as Record<'front' | 'rear', { mass: number | null; added: number }>;
  const input = useMemo(() => {
    const { input } = assembledOf(typed, []);
    return lacksOf(input).some((lack) => lack !== 'change') ? null : input;
  }, [typed]);
  const { prediction } = usePrediction(input, 0);
  const there = prediction?.sides.left?.states.find((s) => s.id === state.id);
  const known = there && there.before !== null && there.beforeHere !== null && state.id !== today.id;
  return { state, axles, lower: known ? there.before! - there.beforeHere! : null };
}

/** What is wrong and wanted, on which vehicle, with what aboard. */
export function AskStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const loads = useLoads(job);
  const draftText = JSON.stringify(loads.draft);
  const typed = useMemo(() => withLoads(view, JSON.parse(draftText) as LoadsDraft), [view, draftText]);
  const [picked, setPicked] = useState(view.states.find((s) => s.wanted)?.id ?? '');
  const { state, axles, lower } = useAboard(typed, picked);
  const items = loads.draft.states.find((s) => s.id === state.id)?.items ?? [];
  return (
    <JobFrame view={view} station="ask" people={people} person={person} fixed>
      <Workbench className="ask">
        <Stage
          title="What is aboard, and where"
          aside={
            <Chips
              label="Load state"
              options={typed.states.map(({ id, name }) => ({ id, name }))}
              value={state.id}
              onPick={setPicked}
            />
          }
        >
          <LoadsOnVehicle
            view={view}
            items={items}
            stateName={state.name}
            axles={axles}
            lower={lower}
            onMove={(key, station) => loads.move(state.id, key, station)}
          />
        </Stage>
        <div className="verdict-column">
          <AskVerdict
            view={view}
            stateName={state.name}
            mass={axles[view.axle.position].mass}
            lower={lower}
            loads={loads}
          />
        </div>
        <Dock
          below
          label="More of Ask"
          first="goals"
          tabs={[
            {
              id: 'goals',
              name: 'complaint and goals',
              children: (
                <>
                  <GoalsSheet job={job} />
                  <Kept job={job} />
                </>
              ),
            },
            {
              id: 'loads',
              name: 'loads',
              roomy: true,
              mark: loads.edited ? { kind: 'look', word: 'unsaved' } : undefined,
              children: <LoadsSheet view={view} loads={loads} />,
            },
            { id: 'vehicle', name: 'vehicle', roomy: true, children: <VehicleSheet job={job} /> },
            { id: 'owner', name: 'whose it is', children: <OwnerSheet jobId={view.id} /> },
            { id: 'axles', name: 'axles', children: <AxlesSheet job={job} /> },
            { id: 'branch', name: 'which branch', children: <FeatureSheet job={job} /> },
            { id: 'kit', name: 'kit and parts', children: <KitSheet job={job} /> },
          ]}
        />
      </Workbench>
    </JobFrame>
  );
}

/** Complaint, goals and limits, saved as a whole. */
function GoalsSheet({ job }: { job: JobHandle }) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const draft = `${view.id}|ask`;
  // An unsaved edit remembers the version it was begun on.
  const [edit, setEdit, forget] = useKept<{ goal: Goal; version: number } | null>(draft, null);
  const goal = edit?.goal ?? goalOf(view);
  const body = goalBody(goal);
  const save = () =>
    run(async () => {
      await job.send('', 'PATCH', { ...body, version: edit?.version ?? view.job.version });
      forget();
    });
  return (
    <Sheet title="Complaint and goals">
      <GoalFields
        goal={goal}
        draft={draft}
        onChange={(next) => setEdit({ goal: next, version: edit?.version ?? view.job.version })}
      />
      <ProblemNote problem={problem} />
      <SaveActs
        what="the goals"
        edited={edit !== null}
        ready={body !== undefined}
        busy={busy}
        onSave={() => void save()}
        onDrop={forget}
      >
        <span className="muted">
          {edit
            ? body
              ? 'not saved yet'
              : 'needed: complaint, wanted change, and figure and tolerance of every goal'
            : `saved by ${view.job.updatedBy}, version ${view.job.version}`}
        </span>
      </SaveActs>
    </Sheet>
  );
}
