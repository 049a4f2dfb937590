'use client';
import { Checkbox, Input } from 'antd';
import { useId } from 'react';
import { ASK_RULES } from './askRules';
import { TypedField, type Typed } from '../measured/TypedField';

/** What is wrong, what is wanted as a number, within which limits, and what the mechanic expects. */
export interface Goal {
  complaint: string;
  wanted: Typed | null;
  tolerance: Typed | null;
  guess: Typed | null;
  noBlocks: boolean;
  keepUbolts: boolean;
}

export const EMPTY_GOAL: Goal = {
  complaint: '',
  wanted: null,
  tolerance: null,
  guess: null,
  noBlocks: false,
  keepUbolts: false,
};

/** The goal as the server takes it; undefined while something it needs is missing. */
export function goalBody(goal: Goal) {
  const { complaint, wanted, tolerance, guess, noBlocks, keepUbolts } = goal;
  if (!complaint.trim() || !wanted || !tolerance) return undefined;
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
  };
}

interface Props {
  goal: Goal;
  draft: string;
  onChange: (goal: Goal) => void;
}

export function GoalFields({ goal, draft, onChange }: Props) {
  const id = useId();
  const set = (part: Partial<Goal>) => onChange({ ...goal, ...part });
  return (
    <>
      <div className="field wide">
        <label htmlFor={id}>Complaint, in the owner’s words</label>
        <Input.TextArea
          id={id}
          value={goal.complaint}
          rows={2}
          maxLength={500}
          onChange={(event) => set({ complaint: event.target.value })}
        />
      </div>
      <TypedField
        label="Wanted height change"
        rule={ASK_RULES.wanted}
        value={goal.wanted}
        draft={`${draft}|wanted`}
        hint="plus is up, minus is down"
        onChange={(wanted) => set({ wanted })}
      />
      <TypedField
        label="Good enough within ±"
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
      <div className="limits">
        <Checkbox checked={goal.noBlocks} onChange={(event) => set({ noBlocks: event.target.checked })}>
          no blocks
        </Checkbox>
        <Checkbox checked={goal.keepUbolts} onChange={(event) => set({ keepUbolts: event.target.checked })}>
          keep the U-bolts
        </Checkbox>
      </div>
    </>
  );
}
