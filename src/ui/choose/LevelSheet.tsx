'use client';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { type JobView } from '@/contracts/job';
import { planText } from '@/contracts/planText';
import { assembledOf, axleSheetOf } from '@/contracts/sheet';
import { bodyPitch, levelOf, sinksBy, type LevelState } from '@/core/height/level';
import { goalValue } from '@/core/height/goals';
import { HELD, LEAST_LOAD, otherAxleOf, type OtherAxle } from '@/core/measure/otherAxle';
import { type AxlePrediction } from '@/core/suspension/registry';
import { decimalText } from '@/core/units/format';
import { formOf } from '@/core/vehicle/form';
import { Chips } from '../controls/Chips';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { VehicleSide } from '../drawing/VehicleSide';
import { figureValues } from '../figure/values';
import { Length, PlusMinus } from '../measured/Figure';
import { usePrediction } from '../prediction/usePrediction';
import { Quantity, useQuantityText } from '../measured/Quantity';

/** How the vehicle stands across and along before and after, in every load state. */
export function LevelSheet({ view, prediction }: { view: JobView; prediction: AxlePrediction }) {
  const base = view.states[0]!;
  const sheet = axleSheetOf(view);
  const { position } = view.axle;
  const { wheelbase } = view.vehicle;
  const values = figureValues(view, null);
  // On more than two axles a load is no matter of statics alone.
  const many = view.axles.length > 2;
  const { hitched, nose } = formOf(view.vehicle.form);
  const other = many ? null : hitched ? HELD : otherAxleOf(sheet);
  const beside = useOtherAxle(view);
  const levels = levelOf(prediction.sides, {
    rake: goalValue('rake', sheet.readings, 'before', base.id, position) ?? null,
    position,
    wheelbase,
    aboard: Object.fromEntries(view.states.map((s) => [s.id, { mass: s.addedMass, station: s.station }])),
    tyreRate: values('tyreRate').value,
    other,
    worked: beside?.sides ?? null,
  });
  const [picked, setPicked] = useState(base.id);
  const drawn = levels.find((level) => level.id === picked && level.rises) ?? levels[0];
  const mean = (point: 'groundToLip' | 'otherAxleLip' | 'groundToHub') => {
    const [l, r] = [values(point, 'left'), values(point, 'right')];
    return { value: (l.value + r.value) / 2, known: l.known && r.known };
  };
  const [own, lip] = [mean('groundToLip'), mean('otherAxleLip')];
  const change = levels[0]?.rises?.own.after ?? 0;
  const named = (level: LevelState) => view.states.find((s) => s.id === level.id)?.name ?? '';
  const told = levels.filter((level) => level.rises);
  return (
    <Sheet title="Level and rake">
      {told.length > 1 ? (
        <Chips
          label="Load aboard in the drawing"
          options={told.map((level) => ({ id: level.id, name: named(level) }))}
          value={drawn?.id ?? null}
          onPick={setPicked}
        />
      ) : null}
      <div className="dock-columns">
        {drawn?.rises ? (
          <VehicleSide
            wheelbase={wheelbase}
            position={position}
            hitched={hitched}
            hub={mean('groundToHub')}
            was={{
              own: { ...own, value: own.value + drawn.rises.own.before },
              other: { ...lip, value: lip.value + drawn.rises.other.before },
            }}
            will={{ own: own.value + drawn.rises.own.after, other: lip.value + drawn.rises.other.after }}
            stateName={named(drawn)}
          />
        ) : null}
        <div>
          <div className="scroll">
            <table className="plain" aria-label="Level in every load state">
              <thead>
                <tr>
                  <th scope="col">load state</th>
                  <th scope="col" className="number">
                    left over right
                  </th>
                  <th scope="col" className="number">
                    {hitched ? `axle over ${nose.replace('the ', '')}` : 'rear over front'}
                  </th>
                </tr>
              </thead>
              <tbody>
                {levels.map((level) => (
                  <tr key={level.id}>
                    <td>{named(level)}</td>
                    <td className="number">
                      {level.lean ? (
                        <>
                          <Length mm={level.lean.before} signed unit={false} /> →{' '}
                          <Length mm={level.lean.after} signed /> <PlusMinus mm={level.lean.half90} unit={false} />{' '}
                          <Judged view={view} kind="lean" after={level.lean.after} />
                        </>
                      ) : (
                        <span className="muted">both sides’ heights are needed</span>
                      )}
                    </td>
                    <td className="number">
                      {level.rake ? (
                        <>
                          <Length mm={level.rake.before} signed unit={false} /> →{' '}
                          <Length mm={level.rake.after} signed /> <PlusMinus mm={level.rake.half90} unit={false} />{' '}
                          <Judged view={view} kind="rake" after={level.rake.after} />
                        </>
                      ) : (
                        <span className="muted">
                          {level.rises
                            ? hitched
                              ? `lip and ${nose.replace('the ', '')} not measured from the ground`
                              : 'lips of both axles not measured'
                            : many
                              ? 'not told on more than two axles'
                              : 'the other axle’s load or spring is not read'}
                        </span>
                      )}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          {levels.length > 1 && !many ? (
            hitched ? (
              <p className="muted">
                {nose.replace('the', 'The')} is taken to stay at its height; how far the towing vehicle sinks is not
                reckoned.
              </p>
            ) : beside ? (
              <WorkedLine view={view} />
            ) : (
              <OtherAxleLine other={other} />
            )
          ) : null}
          <p>
            The body turns by {decimalText(Math.abs((bodyPitch(change, wheelbase) * 180) / Math.PI), 1)}°, the{' '}
            {position} {change >= 0 ? 'up' : 'down'}
            {hitched ? '.' : ': headlamps are set again.'}
          </p>
          {view.states.slice(1).map((state) => {
            const down = sinksBy(prediction.sides, state.id);
            const rake = levels.find((level) => level.id === state.id)?.rake;
            const tongue = state.items.some((item) => item.kind === 'tongue');
            if (down === null) return null;
            return (
              <p key={state.id}>
                “{state.name}” takes <Length mm={down} /> at this axle
                {tongue && rake ? (
                  <>
                    ; <Length mm={rake.after} signed /> of rake is left when towing
                  </>
                ) : tongue ? (
                  ': keep that much nose-down for towing'
                ) : (
                  ''
                )}
                .
              </p>
            );
          })}
        </div>
      </div>
    </Sheet>
  );
}

/** What is foretold of the other axle, where the same job works on it; null while it is not. */
function useOtherAxle(view: JobView): AxlePrediction | null {
  const other = view.others.find((o) => o.axle.position !== view.axle.position);
  const input = useMemo(() => (other ? assembledOf(other).input : null), [other]);
  return usePrediction(input, 0, true).prediction;
}

function WorkedLine({ view }: { view: JobView }) {
  const other = view.others.find((o) => o.axle.position !== view.axle.position)!;
  const { changes } = other.plan;
  return (
    <p>
      The {other.axle.position} axle is told with its own springs
      {changes.length === 0 ? ' as they are' : ` and its own plan, ${planText(other.plan)}`}.{' '}
      <Link className="link" href={`/jobs/${other.id}/choose`} prefetch={false}>
        Its plan
      </Link>
    </p>
  );
}

/** How the springs of the other axle are known, and what would tell them better. */
function OtherAxleLine({ other }: { other: OtherAxle | null }) {
  const text = useQuantityText();
  if (!other)
    return (
      <p className="muted">
        The load of the other axle, read in Measure, is enough to tell the rake with a load aboard; its lips read again
        with that load tell it better.
      </p>
    );
  const rate = `${text(other.rate.value, 'rate')} ± ${text(other.rate.half90, 'rate')} from the ground up`;
  return (
    <p>
      {other.from === 'assumed' ? (
        <span className="assumed">Springs of the other axle assumed from its load: {rate}.</span>
      ) : (
        <>
          The other axle gives {rate}, {other.from === 'learned' ? 'learned from its lips under two loads' : 'as read'}.
        </>
      )}{' '}
      {other.from === 'learned' ? null : (
        <>
          Its lips read again with <Quantity value={LEAST_LOAD} of="mass" /> or more over that axle tell it better.
        </>
      )}
    </p>
  );
}

/** Whether a goal of lean or rake is met. */
function Judged({ view, kind, after }: { view: JobView; kind: 'lean' | 'rake'; after: number }) {
  const wanted = view.goals.find((g) => g.kind === kind);
  if (!wanted) return null;
  const met = Math.abs(after - wanted.target) <= wanted.tolerance;
  return (
    <Marked kind={met ? 'done' : 'look'}>
      {met ? 'as wanted' : 'not as wanted'} (<Length mm={wanted.target} signed unit={false} />{' '}
      <PlusMinus mm={wanted.tolerance} unit={false} />)
    </Marked>
  );
}
