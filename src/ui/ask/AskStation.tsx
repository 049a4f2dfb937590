'use client';
import { Sheet } from '../controls/Sheet';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { ProblemNote } from '../job/ProblemNote';
import { useJob } from '../job/useJob';
import { useSend } from '../job/useSend';
import { useKept } from '../measured/useKept';
import { goalBody, GoalFields, goalOf, type Goal } from './GoalFields';
import { SaveActs } from './SaveActs';
import { AxlesSheet } from './AxlesSheet';
import { FeatureSheet } from './FeatureSheet';
import { KitSheet } from './KitSheet';
import { LoadsSheet } from './LoadsSheet';
import { VehicleSheet } from './VehicleSheet';

export function AskStation({ first, people, person }: StationProps) {
  const job = useJob(first);
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
    <JobFrame view={view} station="ask" people={people} person={person}>
      <div className="sheets form-columns">
        <div className="sheets">
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
          <LoadsSheet job={job} />
        </div>
        <div className="sheets">
          <AxlesSheet job={job} />
          <VehicleSheet job={job} />
          <FeatureSheet job={job} />
          <KitSheet job={job} />
        </div>
      </div>
    </JobFrame>
  );
}
