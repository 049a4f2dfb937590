'use client';
import { Checkbox } from 'antd';
import { type GoalRow } from '@/contracts/ask';
import { type JobView } from '@/contracts/job';
import { GOAL_KINDS, type GoalKind } from '@/core/height/goals';
import { TextField } from '../controls/TextField';
import { TypedField, type Typed } from '../measured/TypedField';
import { ASK_RULES, GOALS } from './askRules';

type More = Partial<Record<GoalKind, { target: Typed | null; tolerance: Typed | null }>>;

/** What is wrong, what is wanted as numbers, within which limits, and what the mechanic expects. */
export interface Goal {
  complaint: string;
  wanted: Typed | null;
  tolerance: Typed | null;
  guess: Typed | null;
  noBlocks: boolean;
  keepUbolts: boolean;
  budget: Typed | null;
  more: More;
}

export const EMPTY_GOAL: Goal = {
  complaint: '',
  wanted: null,
  tolerance: null,
  guess: null,
  noBlocks: false,
  keepUbolts: false,
  budget: null,
  more: {},
};

/** The goal as the server holds it. */
export function goalOf({ job, goals }: JobView): Goal {
  const budget = job.budget === null ? null : { typed: String(job.budget), value: job.budget };
  return {
    complaint: job.complaint,
    wanted: { typed: job.wantedTyped, value: job.wantedChange },
    tolerance: { typed: job.toleranceTyped, value: job.tolerance },
    guess: job.guess === null || job.guessTyped === null ? null : { typed: job.guessTyped, value: job.guess },
    noBlocks: job.noBlocks,
    keepUbolts: job.keepUbolts,
    budget,
    more: Object.fromEntries(
      goals.map((g) => [
        g.kind,
        {
          target: { typed: g.targetTyped, value: g.target },
          tolerance: { typed: g.toleranceTyped, value: g.tolerance },
        },
      ]),
    ),
  };
}

/** The goal as the server takes it; undefined while something it needs is missing. */
export function goalBody(goal: Goal) {
  const { complaint, wanted, tolerance, guess, noBlocks, keepUbolts, budget, more } = goal;
  if (!complaint.trim() || !wanted || !tolerance) return undefined;
  const goals: GoalRow[] = [];
  for (const [kind, g] of Object.entries(more) as [GoalKind, NonNullable<More[GoalKind]>][]) {
    if (!g.target || !g.tolerance) return undefined;
    goals.push({
      kind,
      target: g.target.value,
      targetTyped: g.target.typed,
      tolerance: g.tolerance.value,
      toleranceTyped: g.tolerance.typed,
    });
  }
  return {
    complaint,
    wantedChange: wanted.value,
    wantedTyped: wanted.typed,
    tolerance: tolerance.value,
    toleranceTyped: tolerance.typed,
    guess: guess?.value ?? null,
    guessTyped: guess?.typed ?? null,
    noBlocks,
    keepUbolts,
    budget: budget?.value ?? null,
    goals,
  };
}

interface Props {
  goal: Goal;
  draft: string;
  onChange: (goal: Goal) => void;
}

export function GoalFields({ goal, draft, onChange }: Props) {
  const set = (part: Partial<Goal>) => onChange({ ...goal, ...part });
  return (
    <>
      <div className="grid-fields">
        <TextField
          label="Complaint, in the owner’s words"
          required
          rows={2}
          most={500}
          value={goal.complaint}
          onChange={(complaint) => set({ complaint })}
        />
        <TypedField
          label="Wanted height change"
          required
          rule={ASK_RULES.wanted}
          value={goal.wanted}
          draft={`${draft}|wanted`}
          hint="plus is up, minus is down"
          onChange={(wanted) => set({ wanted })}
        />
        <TypedField
          label="Good enough within ±"
          required
          rule={ASK_RULES.tolerance}
          value={goal.tolerance}
          draft={`${draft}|tolerance`}
          onChange={(tolerance) => set({ tolerance })}
        />
        <TypedField
          label="Your own guess of the outcome"
          rule={ASK_RULES.guess}
          value={goal.guess}
          draft={`${draft}|guess`}
          hint="optional; set against the tape later"
          onChange={(guess) => set({ guess })}
        />
      </div>
      <MoreGoals more={goal.more} draft={draft} onChange={(more) => set({ more })} />
      <h3 className="part">Limits</h3>
      <div className="limits">
        <Checkbox checked={goal.noBlocks} onChange={(event) => set({ noBlocks: event.target.checked })}>
          no blocks
        </Checkbox>
        <Checkbox checked={goal.keepUbolts} onChange={(event) => set({ keepUbolts: event.target.checked })}>
          keep the U-bolts
        </Checkbox>
        <TypedField
          label="Budget"
          rule={ASK_RULES.budget}
          value={goal.budget}
          draft={`${draft}|budget`}
          hint="in the shop’s own money"
          onChange={(budget) => set({ budget })}
        />
      </div>
    </>
  );
}

/** Goals besides the height, each tied to a reading that is taken before and after. */
function MoreGoals({ more, draft, onChange }: { more: More; draft: string; onChange: (more: More) => void }) {
  return (
    <>
      <h3 className="part">What else must come out right</h3>
      {GOAL_KINDS.map((kind) => {
        const { name, figure, read, rule, within } = GOALS[kind];
        const goal = more[kind];
        const put = (part: Partial<NonNullable<More[GoalKind]>>) =>
          onChange({ ...more, [kind]: { target: null, tolerance: null, ...goal, ...part } });
        const drop = () => onChange(Object.fromEntries(Object.entries(more).filter(([k]) => k !== kind)));
        return (
          <div key={kind} className="goal" data-goal={kind}>
            <Checkbox checked={goal !== undefined} onChange={(event) => (event.target.checked ? put({}) : drop())}>
              {name} <span className="muted">{read}</span>
            </Checkbox>
            {goal ? (
              <div className="pair">
                <TypedField
                  label={figure}
                  rule={rule}
                  value={goal.target}
                  draft={`${draft}|${kind}`}
                  onChange={(target) => put({ target })}
                />
                <TypedField
                  label="within ±"
                  spoken={`${name}, within`}
                  rule={within}
                  value={goal.tolerance}
                  draft={`${draft}|${kind}|within`}
                  onChange={(tolerance) => put({ tolerance })}
                />
              </div>
            ) : null}
          </div>
        );
      })}
    </>
  );
}
