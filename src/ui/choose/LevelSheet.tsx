'use client';
import { type JobView } from '@/contracts/job';
import { sheetOf } from '@/contracts/sheet';
import { bodyPitch, levelOf, sinksBy } from '@/core/height/level';
import { goalValue } from '@/core/height/goals';
import { type LeafPrediction } from '@/core/suspension/longitudinalLeaf/kind';
import { decimalText } from '@/core/units/format';
import { VehicleSide } from '../drawing/VehicleSide';
import { figureValues } from '../figure/values';
import { Marked } from '../controls/Mark';
import { Sheet } from '../controls/Sheet';
import { Length, PlusMinus } from '../measured/Figure';

/** How the vehicle stands across and along before and after, and what a load takes of it. */
export function LevelSheet({ view, prediction }: { view: JobView; prediction: LeafPrediction }) {
  const base = view.states[0]!;
  const sheet = sheetOf(view, []);
  const { position } = view.axle;
  const rake = goalValue('rake', sheet.readings, 'before', base.id, position) ?? null;
  const levels = levelOf(prediction, rake, position);
  const values = figureValues(view, null);
  const mean = (point: 'groundToLip' | 'otherAxleLip' | 'groundToHub') => {
    const [l, r] = [values(point, 'left'), values(point, 'right')];
    return { value: (l.value + r.value) / 2, known: l.known && r.known };
  };
  const changes = Object.values(prediction.sides).flatMap((side) => (side?.states[0] ? [side.states[0].change] : []));
  const change = changes.reduce((sum, c) => sum + c, 0) / Math.max(1, changes.length);
  const goal = (kind: 'lean' | 'rake') => view.goals.find((g) => g.kind === kind);
  const judged = (kind: 'lean' | 'rake', after: number) => {
    const wanted = goal(kind);
    if (!wanted) return null;
    const met = Math.abs(after - wanted.target) <= wanted.tolerance;
    return (
      <Marked kind={met ? 'done' : 'look'}>
        {met ? 'as wanted' : 'not as wanted'} (<Length mm={wanted.target} signed unit={false} />{' '}
        <PlusMinus mm={wanted.tolerance} unit={false} />)
      </Marked>
    );
  };
  const loads = view.states.slice(1).flatMap((state) => {
    const down = sinksBy(prediction, state.id);
    return down === null ? [] : [{ state, down }];
  });
  return (
    <Sheet title="Level and rake">
      <VehicleSide
        wheelbase={view.vehicle.wheelbase}
        position={position}
        hub={mean('groundToHub')}
        own={mean('groundToLip')}
        other={mean('otherAxleLip')}
        change={change}
        stateName={base.name}
      />
      <div className="scroll">
        <table className="plain">
          <thead>
            <tr>
              <th scope="col">load state</th>
              <th scope="col" className="number">
                left over right
              </th>
              <th scope="col" className="number">
                rear over front
              </th>
            </tr>
          </thead>
          <tbody>
            {levels.map((level) => (
              <tr key={level.id}>
                <td>{view.states.find((s) => s.id === level.id)?.name}</td>
                <td className="number">
                  {level.lean ? (
                    <>
                      <Length mm={level.lean.before} signed unit={false} /> → <Length mm={level.lean.after} signed />{' '}
                      <PlusMinus mm={level.lean.half90} unit={false} /> {judged('lean', level.lean.after)}
                    </>
                  ) : (
                    <span className="muted">both sides’ heights are needed</span>
                  )}
                </td>
                <td className="number">
                  {level.rake ? (
                    <>
                      <Length mm={level.rake.before} signed unit={false} /> → <Length mm={level.rake.after} signed />{' '}
                      <PlusMinus mm={level.rake.half90} unit={false} /> {judged('rake', level.rake.after)}
                    </>
                  ) : (
                    <span className="muted">
                      {level.id === base.id
                        ? 'lips of both axles not measured'
                        : 'the other axle’s spring is not known'}
                    </span>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p>
        The body turns by {decimalText(Math.abs((bodyPitch(change, view.vehicle.wheelbase) * 180) / Math.PI), 1)}°, the{' '}
        {position} {change >= 0 ? 'up' : 'down'}: headlamps are set again.
      </p>
      {loads.map(({ state, down }) => (
        <p key={state.id}>
          “{state.name}” takes <Length mm={down} /> at this axle
          {state.items.some((item) => item.kind === 'tongue') ? ': keep that much nose-down for towing' : ''}.
        </p>
      ))}
    </Sheet>
  );
}
