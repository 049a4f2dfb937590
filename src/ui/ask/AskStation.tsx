'use client';
import { type JobView } from '@/contracts/job';
import { Sheet } from '../controls/Sheet';
import { JobFrame, type StationProps } from '../frame/JobFrame';
import { ProblemNote } from '../job/ProblemNote';
import { useJob } from '../job/useJob';
import { useSend } from '../job/useSend';
import { Length } from '../measured/Figure';
import { useKept } from '../measured/useKept';
import { goalBody, GoalFields, type Goal } from './GoalFields';

const goalOf = ({ job }: JobView): Goal => ({
  complaint: job.complaint,
  wanted: { typed: job.wantedTyped, value: job.wantedChange },
  tolerance: { typed: job.toleranceTyped, value: job.tolerance },
  guess: job.guess === null || job.guessTyped === null ? null : { typed: job.guessTyped, value: job.guess },
  noBlocks: job.noBlocks,
  keepUbolts: job.keepUbolts,
});

export function AskStation({ first, people, person }: StationProps) {
  const job = useJob(first);
  const { view } = job;
  const { busy, problem, run } = useSend();
  const draft = `${view.job.id}|ask`;
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
      <div className="sheets two">
        <Sheet title="Complaint and goal">
          <div className="grid-fields">
            <GoalFields
              goal={goal}
              draft={draft}
              onChange={(next) => setEdit({ goal: next, version: edit?.version ?? view.job.version })}
            />
          </div>
          <ProblemNote problem={problem} />
          <div className="acts">
            <button type="button" className="act" disabled={!edit || !body || busy} onClick={() => void save()}>
              Save the goal
            </button>
            {edit ? (
              <button type="button" className="act quiet" onClick={forget}>
                Drop my edit
              </button>
            ) : null}
            <span className="muted">
              {edit ? 'not saved yet' : `saved by ${view.job.updatedBy}, version ${view.job.version}`}
            </span>
          </div>
        </Sheet>
        <Sheet title="Vehicle and loads">
          <dl className="facts">
            <dt>Vehicle</dt>
            <dd>{[view.vehicle.name, view.vehicle.maker].filter(Boolean).join(', ')}</dd>
            <dt>Axle</dt>
            <dd>
              {view.axle.position}, leaf springs {view.axle.arrangement} the axle
              {view.axle.steered ? ', steered' : ''}
            </dd>
            <dt>Wheelbase</dt>
            <dd>
              <Length mm={view.vehicle.wheelbase} /> <span className="muted">typed {view.vehicle.wheelbaseTyped}</span>
            </dd>
            {view.states.map((state) => (
              <div key={state.id} className="fact-row">
                <dt>{state.ordinal === 0 ? 'Measured' : 'Load'}</dt>
                <dd>
                  {state.name}
                  {state.ordinal > 0 ? (
                    <>
                      : <span className="figure">{Math.round(state.addedMass)} kg</span> at{' '}
                      <Length mm={state.station} /> behind the front axle
                    </>
                  ) : null}
                  {state.wanted ? <strong> (the goal is meant here)</strong> : null}
                </dd>
              </div>
            ))}
          </dl>
          <p className="muted">
            Rate is not rating: a higher ride does not raise what axle, tyre, wheel, hanger and maker’s plate may carry.
          </p>
        </Sheet>
      </div>
    </JobFrame>
  );
}
