import { viewOf } from '../../tests/reference/views';
import { type FitRow } from './fit';
import { stanceOf, vehicleSpots } from './vehicleSpots';
import { type JobView } from './job';

const row = (subject: string, state: FitRow['state'], more: Partial<FitRow> = {}): FitRow => ({
  ...{ subject, name: subject, state, reason: '', blocks: state === 'does not fit', toldOnly: false, figure: null },
  ...{ defect: null, ...more },
});
const states = (rows: FitRow[]) => Object.fromEntries(vehicleSpots(viewOf(), rows).map((s) => [s.id, s.state]));

test('a place carries the worst of its rows, and is never done while one of them was not looked at', () => {
  expect(states([]).stops).toBe('untouched');
  expect(states([row('stopGap', 'fits')]).stops).toBe('done');
  expect(states([row('stopGap', 'fits'), row('tyreToArch', 'not checked')]).stops).toBe('untouched');
  expect(states([row('shockShut', 'look'), row('shockLength', 'fits')]).shocks).toBe('look');
  expect(states([row('shockShut', 'does not fit')]).shocks).toBe('stop');
  // Gone on with for a reason it is still no fit, but stops nothing.
  const defect = { subject: 'brakeHose' } as unknown as FitRow['defect'];
  expect(states([row('brakeHose', 'does not fit', { defect })]).lines).toBe('look');
});

test('an axle without U-bolts is not asked for any', () => {
  const coil = viewOf();
  const spots = vehicleSpots({ ...coil, axle: { ...coil.axle, suspension: 'coilBeam' } }, []);
  expect(spots.map((s) => s.id)).not.toContain('ubolts');
});

test('heights are told in the load it came in with, not as read again with more aboard', () => {
  const bare = viewOf();
  const [base] = bare.states;
  const at = (side: 'left' | 'right', value: number, stateId: string) => ({
    ...{ point: 'hubToLip', phase: 'before', leafId: null, rolled: true, side, value, stateId },
  });
  const readings = [at('left', 460, 'laden'), at('left', 489, base!.id), at('right', 494, base!.id)];
  const { axles, lean } = stanceOf({ ...bare, readings, others: [] } as unknown as JobView);
  expect(axles[0]).toMatchObject({ left: 489, right: 494 });
  expect(lean).toBe(-5);
});
