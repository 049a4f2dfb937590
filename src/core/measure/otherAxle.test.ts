import { flatbedSheet } from '../../../tests/reference/sheets';
import { GRAVITY } from '../material/steel';
import { otherAxleOf } from './otherAxle';
import { type LeafPoint } from '../suspension/longitudinalLeaf/points';
import { type Sheet } from '../suspension/longitudinalLeaf/sheet';

const LADEN = { id: 'laden', name: 'laden', addedMass: 400, station: 400 };
function sheet(...read: [point: LeafPoint, value: number, stateId?: string][]): Sheet {
  const base = flatbedSheet([]);
  const extra = read.flatMap(([point, value, stateId]) =>
    (point === 'otherAxleLip' ? (['left', 'right'] as const) : [null]).map((side) => ({
      ...{ point, phase: 'before' as const, side, leafId: null, value, rolled: null },
      stateId: stateId ?? (point === 'otherAxleRate' || point === 'tyreRate' ? null : 'today'),
    })),
  );
  return { ...base, states: [base.states[0]!, LADEN], readings: [...base.readings, ...extra] };
}

test('its lips under two loads tell its rate; 350 kg that let them down by 40 mm are 86 N/mm', () => {
  const other = otherAxleOf(sheet(['otherAxleLip', 830], ['otherAxleLip', 790, 'laden'], ['otherAxleLoad', 900]))!;
  expect(other.from).toBe('learned');
  expect(other.rate.value).toBeCloseTo((350 * GRAVITY) / 40, 6);
  // A said load is good to a tenth, the tape to 3 mm of 40.
  expect(other.rate.half90 / other.rate.value).toBeCloseTo(Math.hypot(0.1, 3 / 40), 6);
});

test('a rate that was read goes in series with the tyres; without any reading but its load it is assumed, and says so', () => {
  const read = otherAxleOf(sheet(['otherAxleRate', 50], ['tyreRate', 200], ['otherAxleLoad', 900]))!;
  expect(read).toMatchObject({ from: 'read', rate: { value: 80 } });
  const assumed = otherAxleOf(sheet(['otherAxleLoad', 900]))!;
  expect(assumed.from).toBe('assumed');
  // 1.6 Hz under 900 kg; a wide band, for nothing was read of the springs.
  expect(assumed.rate.value).toBeCloseTo(0.9 * (2 * Math.PI * 1.6) ** 2, 6);
  expect(assumed.rate.half90).toBeGreaterThan(0.4 * assumed.rate.value);
  expect(otherAxleOf(sheet())).toBeNull();
});

test('lips that rose under a load, a load too small to learn from, or another fill of the tank teach nothing', () => {
  const fallen = sheet(['otherAxleLip', 830], ['otherAxleLip', 790, 'laden']);
  const fill = (stateId: string | null) => (stateId === 'laden' ? 1 : 0.25);
  const refilled = fallen.readings.map((r) => ({ ...r, fuel: fill(r.stateId) }));
  expect(otherAxleOf({ ...fallen, readings: refilled })).toBeNull();
  const rose = sheet(['otherAxleLip', 830], ['otherAxleLip', 838, 'laden']);
  expect(otherAxleOf(rose)).toBeNull();
  const light = sheet(['otherAxleLip', 830], ['otherAxleLip', 827, 'laden']);
  expect(otherAxleOf({ ...light, states: [light.states[0]!, { ...LADEN, addedMass: 40 }] })).toBeNull();
});
