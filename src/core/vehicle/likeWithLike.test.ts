import { compareHeights, type FuelConversion, type TakenHeight } from './likeWithLike';

const taken = (more: Partial<TakenHeight> = {}): TakenHeight => ({
  point: 'hubToLip',
  side: 'left',
  stateId: 'today',
  value: 500,
  rolled: true,
  stance: 'ground',
  fuel: 0.25,
  tyrePressure: null,
  ...more,
});
const tank: FuelConversion = { tankMass: 60, tankStation: 3000, wheelbase: 3000, position: 'rear', rate: 30 };

test('heights of one point, load and fuel are compared as they are', () =>
  expect(compareHeights(taken(), taken({ value: 525.4 }), tank)).toEqual({
    kind: 'alike',
    difference: 25.399999999999977,
  }));

test('another fill of the tank is converted: half the tank over the axle, worked by hand', () => {
  // 0.5 · 60 kg = 30 kg on the rear axle, 15 kg a spring: 147.1 N over 30 N/mm = 4.90 mm that the fuel pushes it down.
  const found = compareHeights(taken(), taken({ value: 520, fuel: 0.75 }), tank);
  expect(found).toMatchObject({ kind: 'converted', convertedBy: expect.closeTo(4.903, 3) as number });
  if (found.kind === 'converted') expect(found.difference).toBeCloseTo(24.903, 3);
});

test.each<[string, Partial<TakenHeight>, Partial<FuelConversion>, RegExp]>([
  ['another load', { stateId: 'laden' }, {}, /different loads/],
  ['another point', { point: 'groundToLip', tyrePressure: 300 }, {}, /different points/],
  ['not rolled', { rolled: null }, {}, /not rolled before the second/],
  ['in the air', { stance: 'air' }, {}, /in the air/],
  ['fuel not written down', { fuel: null }, {}, /how full the tank was at the second/],
  ['tank not known', { fuel: 1 }, { tankMass: null }, /what it holds/],
  ['rate not known', { fuel: 1 }, { rate: null }, /rate of the spring/],
])('%s is refused with its reason', (_, more, fuel, reason) => {
  const found = compareHeights(taken(), taken(more), { ...tank, ...fuel });
  expect(found.kind).toBe('refused');
  if (found.kind === 'refused') expect(found.reasons.join('; ')).toMatch(reason);
});

test('without a tank, or with it as before, fuel is not asked for', () => {
  expect(compareHeights(taken({ fuel: null }), taken({ fuel: null }), { ...tank, tankMass: 0 }).kind).toBe('alike');
  expect(compareHeights(taken({ fuel: null }), taken({ fuel: null, fuelAsBefore: true }), tank).kind).toBe('alike');
});

test('heights from the ground need the tyre pressure of both days', () => {
  const from = (tyrePressure: number | null) => taken({ point: 'groundToLip', tyrePressure });
  expect(compareHeights(from(300), from(null), tank).kind).toBe('refused');
  expect(compareHeights(from(300), from(250), tank).kind).toBe('refused');
  expect(compareHeights(from(300), from(305), tank).kind).toBe('alike');
});
