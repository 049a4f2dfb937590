import fc from 'fast-check';
import { UNITS, type UnitId } from '@/core/units/units';
import { agrees, disagreement } from './agreement';

test.each([
  ['30 mm', 300],
  ['100 N·m', 5000],
  ['minus three furlongs', 40],
  ['', 40],
  ['35', 36],
  ['1 3/8 in', 35.4],
  ['22 1/4; 22 5/16', 565.15],
])('“%s” does not say %d', (text, value) => {
  expect(agrees(text, value)).toBe(false);
});

test.each([
  ['30', 30],
  ['30', 762],
  ['1 3/8', 34.925],
  ['3.0°', 0.0526],
  ['40–48 lbf·ft', 59_655.99],
  ['M12 x 1.25', 12],
  ['35 psi', 241.3165],
  ['22 in; 22 1/4 in', 561.975],
  ['−12', -12],
])('“%s” says %d', (text, value) => {
  expect(agrees(text, value)).toBe(true);
});

test('a range says both its ends, a single figure the same end twice', () => {
  const sent = (plannedTyped: string, low: number, high: number) => ({
    cost: { plannedTyped, planned: { low, high } },
  });
  expect(disagreement(sent('30 to 45', 30, 45))).toBeNull();
  expect(disagreement(sent('38', 38, 38))).toBeNull();
  expect(disagreement(sent('30 to 45', 30, 450))).toBe('cost.plannedTyped');
  expect(disagreement(sent('30 to 45', 30, 30))).toBe('cost.plannedTyped');
  expect(disagreement(sent('38', 38, 83))).toBe('cost.plannedTyped');
});

test('a figure in any unit agrees with itself, and with no other', () => {
  const units = (Object.keys(UNITS) as UnitId[]).filter(
    (id) => !['thread', 'price', 'count', 'kgf', 'cm'].includes(id),
  );
  fc.assert(
    fc.property(fc.constantFrom(...units), fc.integer({ min: 1, max: 9000 }), (unit, tenths) => {
      const value = (tenths / 10) * UNITS[unit].factor;
      const text = `${tenths / 10} ${UNITS[unit].spellings[0]}`;
      expect(agrees(text, value)).toBe(true);
      expect(agrees(text, 7.77 * value)).toBe(false);
    }),
  );
});

test('it is found however deep it stands, and named by its place', () => {
  const leaf = { front: 600, frontTyped: '600', rear: 640, rearTyped: '640 mm' };
  expect(disagreement({ version: 1, changes: [{ kind: 'pack', leaves: [leaf] }] })).toBeNull();
  expect(disagreement({ version: 1, changes: [{ kind: 'pack', leaves: [leaf, { ...leaf, rear: 64 }] }] })).toBe(
    'changes.0.leaves.1.rearTyped',
  );
  expect(disagreement({ typed: '52 N·m', value: 5200 })).toBe('typed');
  expect(disagreement({ slack: null, slackTyped: null, guess: 3, guessTyped: null })).toBeNull();
});
