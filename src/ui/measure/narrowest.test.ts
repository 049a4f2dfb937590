import { type JobView } from '@/contracts/job';
import { afterReading, fieldOfInput } from './narrowest';

const view = { states: [{ id: 'base' }] } as unknown as JobView;
const assumed = (
  point: 'shackleAngle' | 'tubeDiameter' | 'leafWidth' | 'axleLoad' | null,
  narrows: number,
  path = 'x',
) => ({
  ...{ path, point, narrows },
  effect: narrows,
});

test('what would narrow a band most: at most three that a tape reaches, and what is left of it as independent errors add', () => {
  const ranked = [
    assumed(null, 5),
    assumed('shackleAngle', 1),
    assumed('tubeDiameter', 2),
    assumed('leafWidth', 0.05),
    assumed('axleLoad', 1.5),
  ];
  const { places, half } = afterReading(view, { ranked, half: 9 });
  expect(places.map(({ at }) => at.point)).toEqual(['tubeDiameter', 'axleLoad', 'shackleAngle']);
  expect(places.map((place) => place.half)).toEqual([7, 7.5, 8]);
  // 81 less what each takes off the square: (81 − 49) + (81 − 56.25) + (81 − 64).
  expect(half).toBeCloseTo(Math.sqrt(81 - 32 - 24.75 - 17), 9);
  // Never past nothing, however much each alone promises.
  expect(afterReading(view, { ranked: [assumed('axleLoad', 3), assumed('shackleAngle', 3)], half: 3 }).half).toBe(0);
});

test('the field of an assumed input: its side by the path, its load state where it is read under one', () => {
  expect(fieldOfInput(view, 'sides.right.height', 'hubToLip')).toMatchObject({ side: 'right', stateId: 'base' });
  expect(fieldOfInput(view, 'stack.tube', 'tubeDiameter')).toEqual({
    ...{ point: 'tubeDiameter', side: null },
    ...{ leafId: null, stateId: null },
  });
});
