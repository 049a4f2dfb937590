'use client';
import { type GoalRow } from '@/contracts/ask';
import { type JobView } from '@/contracts/job';
import { readingsAround } from '@/contracts/sheet';
import { SIDES } from '@/core/vehicle/side';
import { GOAL_POINTS, goalValue, judgeGoal } from '@/core/height/goals';
import { pointOf } from '@/core/measure/points';
import { decimalText } from '@/core/units/format';
import { GOALS } from '../ask/askRules';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { type JobHandle } from '../job/useJob';
import { Length, PlusMinus } from '../measured/Figure';
import { ReadingField } from '../measured/ReadingField';

/** Every goal of the job, met or not, each by its own reading. */
export function GoalsSheet({ job, stateId, rolled }: { job: JobHandle; stateId: string; rolled: boolean }) {
  const { view } = job;
  return (
    <Sheet title="Goals">
      <ul className="stored" data-testid="goals">
        <HeightGoal view={view} />
        {view.goals.map((goal) => (
          <GoalLine key={goal.kind} job={job} goal={goal} stateId={stateId} rolled={rolled} />
        ))}
      </ul>
    </Sheet>
  );
}

const Met = ({ met, instead }: { met: boolean | null; instead?: string | undefined }) => (
  <Marked kind={met === null ? 'untouched' : met ? 'done' : 'look'}>
    {met === null ? (instead ?? 'not read yet') : met ? 'met' : 'not met'}
  </Marked>
);

/** The height change asked for, against what both sides gained in the state it was meant in. */
function HeightGoal({ view }: { view: JobView }) {
  const wanted = view.states.find((s) => s.wanted);
  const gains = SIDES.flatMap((side) => {
    const outcome = view.outcomes.find((o) => o.side === side && o.stateId === wanted?.id);
    const ledger = view.predictions
      .find((p) => p.id === outcome?.predictionId)
      ?.ledgers.find((l) => l.side === side && l.stateId === wanted?.id);
    const line = (kind: string) => ledger?.lines.find((l) => l.kind === kind)?.value ?? 0;
    if (!outcome || !ledger) return [];
    const read = view.readings.find(
      (r) => r.point === outcome.point && r.phase === 'before' && r.side === side && r.stateId === wanted?.id,
    );
    // A before height that was only reckoned, from another load, is no base to call a goal met on.
    const base = read?.value ?? line('measured') + line('load');
    return [{ gain: outcome.measured - base, reckoned: read === undefined }];
  });
  const mean = gains.length === 2 ? (gains[0]!.gain + gains[1]!.gain) / 2 : null;
  const reckoned = gains.some((g) => g.reckoned);
  const met = mean === null || reckoned ? null : Math.abs(mean - view.job.wantedChange) <= view.job.tolerance;
  return (
    <li data-goal="height">
      <Met met={met} instead={mean !== null && reckoned ? 'cannot be said' : undefined} /> height, {wanted?.name}:{' '}
      <Length mm={view.job.wantedChange} signed /> <PlusMinus mm={view.job.tolerance} unit={false} />
      {mean === null ? null : (
        <span className="muted">
          {' '}
          (both sides gained <Length mm={mean} signed />
          {reckoned ? '; the height before was reckoned from another load, not read' : ''})
        </span>
      )}
    </li>
  );
}

interface LineProps {
  job: JobHandle;
  goal: GoalRow;
  stateId: string;
  rolled: boolean;
}

function GoalLine({ job, goal, stateId, rolled }: LineProps) {
  const { view } = job;
  const { position } = view.axle;
  const { name, figure, read } = GOALS[goal.kind];
  const verdict = judgeGoal(goal, readingsAround(view), stateId, position);
  const before = goalValue(goal.kind, readingsAround(view), 'before', view.states[0]?.id ?? '', position);
  const mark = goal.kind === 'ride' || goal.kind === 'noise';
  const amount = (value: number, signed = true) =>
    mark ? <span className="figure">{decimalText(value, 0)}</span> : <Length mm={value} signed={signed} />;
  const own = goal.kind === 'lean' ? [] : GOAL_POINTS[goal.kind];
  return (
    <li data-goal={goal.kind}>
      <Met met={verdict.met} /> {name}, {figure.toLowerCase()}: {amount(goal.target)} ± {amount(goal.tolerance, false)}{' '}
      <span className="muted">
        {before === undefined ? 'not read before' : <>before {amount(before)}</>}
        {verdict.value === null ? null : <>, now {amount(verdict.value)}</>}
        {goal.kind === 'lean' ? '; from the heights above' : `; ${read}`}
      </span>
      {own.map((point) => (
        <div key={point} className="pair">
          {(pointOf(point).sided ? SIDES : [null]).map((side) => (
            <ReadingField
              key={side ?? 'once'}
              job={job}
              point={point}
              phase="after"
              rolled={rolled}
              {...(side && { side })}
              {...(pointOf(point).loaded && { stateId })}
            />
          ))}
        </div>
      ))}
    </li>
  );
}
