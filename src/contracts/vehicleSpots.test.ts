import { viewOf } from '../../tests/reference/views';
import { type FitRow } from './fit';
import { vehicleSpots } from './vehicleSpots';

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
