'use client';
import { useState } from 'react';
import { axleShares } from '@/core/vehicle/load';
import { pointOf } from '@/core/measure/points';
import { formOf } from '@/core/vehicle/form';
import { lengthRule, massRule } from '@/core/units/rules';
import { Chips } from '../controls/Chips';
import { ProblemNote } from '../job/ProblemNote';
import { type JobHandle } from '../job/useJob';
import { useSend } from '../job/useSend';
import { TypedField, type Typed } from '../measured/TypedField';

const WHOLE = massRule(100, 40_000, 2000);
const MIDDLE = lengthRule(-20_000, 40_000);

/** The axle load without scales: from the whole vehicle's mass and its middle, by statics; or say it is a weigh ticket. */
export function LoadEstimate({ job }: { job: JobHandle }) {
  const { view } = job;
  const { busy, problem, run } = useSend();
  const [mass, setMass] = useState<Typed | null>(null);
  const [middle, setMiddle] = useState<Typed | null>(null);
  const at = {
    point: 'axleLoad',
    phase: 'before',
    side: null,
    leafId: null,
    stateId: view.states[0]?.id ?? null,
  } as const;
  const stored = job.at(at);
  const share =
    mass && middle
      ? axleShares({ mass: mass.value, station: middle.value }, view.vehicle.wheelbase)[view.axle.position]
      : null;
  const { min, max } = pointOf('axleLoad').rule;
  const possible = share !== null && share >= min && share <= max;
  const save = (typed: string, value: number, unit: 'kg' | 'lb', instrument: 'ticket' | 'estimate') =>
    void run(() => job.saveReading({ ...at, typed, value, unit, rolled: null, instrument }, stored?.id ?? null));
  return (
    <>
      {stored ? (
        <div className="facts-row">
          <Chips
            label="The axle load comes from"
            shown
            options={[
              { id: 'ticket', name: 'a weigh ticket' },
              { id: 'estimate', name: 'an estimate' },
            ]}
            value={stored.instrument === 'ticket' ? 'ticket' : 'estimate'}
            onPick={(instrument) => save(stored.typed, stored.value, stored.unit === 'lb' ? 'lb' : 'kg', instrument)}
          />
        </div>
      ) : null}
      <details className="more">
        <summary>no scales: reckon it from the whole vehicle’s mass and its middle</summary>
        <div className="pair">
          <TypedField
            label="Whole vehicle weighs"
            rule={WHOLE}
            value={mass}
            draft={`${view.id}|whole`}
            hint="plate or papers, as it stands"
            onChange={setMass}
          />
          <TypedField
            label={`Its middle behind ${formOf(view.vehicle.form).nose}`}
            rule={MIDDLE}
            value={middle}
            draft={`${view.id}|middle`}
            hint="where it would balance; a guess is better than none, a scale better than a guess"
            onChange={setMiddle}
          />
        </div>
        {share !== null ? (
          <div className="acts">
            <button
              type="button"
              className="act quiet"
              disabled={!possible || busy}
              onClick={() => save(`${share.toFixed(0)} kg`, Number(share.toFixed(0)), 'kg', 'estimate')}
            >
              Take {share.toFixed(0)} kg for this axle
            </button>
            {possible ? null : <span className="look">that cannot be this axle’s load</span>}
          </div>
        ) : null}
      </details>
      <ProblemNote problem={problem} />
    </>
  );
}
