import { springCaseSchema } from '@/contracts/springCase';
import { solveCase, type SpringCase } from './springCase';

const base: SpringCase = {
  format: 'spring-case/1',
  material: { E: 206_800 },
  leaves: [
    { front: 640, rear: 660, width: 70, thickness: 8, freeRadius: 2100 },
    { front: 450, rear: 465, width: 70, thickness: 8, freeRadius: 1900 },
    { front: 260, rear: 270, width: 70, thickness: 8, freeRadius: null },
  ],
  clamp: { kind: 'seat', length: 100, shape: 'concentric' },
  ends: { kind: 'rollers' },
  friction: 0.2,
  loads: [0, 1500, 3000],
};

test('answers every load in order with figures for each leaf', () => {
  const { format, states } = solveCase(springCaseSchema.parse(base));
  expect(format).toBe('spring-answer/1');
  expect(states.map((s) => s.load)).toEqual(base.loads);
  for (const state of states) {
    if ('error' in state) throw new Error('no equilibrium');
    expect(state.peakBendingStress).toHaveLength(3);
    expect(state.seatHeight).toBeNull();
    expect(state.rate).toBeGreaterThan(5);
  }
});

test('a vertical shackle carries like a roller: same arch within a tenth of a millimetre', () => {
  const load = 2500;
  const [roller] = solveCase({ ...base, loads: [load] }).states;
  if (!roller || 'error' in roller) throw new Error('no equilibrium');
  const ends: SpringCase['ends'] = {
    kind: 'shackle',
    frontEye: [0, 0],
    shacklePivot: [roller.eyeDistance, 900],
    shackleLength: 900,
  };
  const [hung] = solveCase({ ...base, ends, loads: [load] }).states;
  if (!hung || 'error' in hung) throw new Error('no equilibrium');
  expect(hung.arch).toBeCloseTo(roller.arch, 1);
  expect(hung.shackleAngle).toBeCloseTo(90, 0);
  expect(hung.seatHeight).toBeCloseTo(-roller.arch, 0);
});

test('a mirrored case gives the mirrored answer, and the same case moved in the frame the same answer', () => {
  const mirrored = { ...base, leaves: base.leaves.map((l) => ({ ...l, front: l.rear, rear: l.front })) };
  const [a, b] = [solveCase(base).states[2]!, solveCase(mirrored).states[2]!];
  if ('error' in a || 'error' in b) throw new Error('no equilibrium');
  expect(b.arch).toBeCloseTo(a.arch, 5);
  expect(b.seatTilt).toBeCloseTo(-a.seatTilt, 5);
  const at = (dx: number, dy: number): SpringCase => ({
    ...base,
    ends: { kind: 'shackle', frontEye: [dx, dy], shacklePivot: [1290 + dx, 105 + dy], shackleLength: 110 },
  });
  const [here, there] = [solveCase(at(0, 0)).states[1]!, solveCase(at(300, -70)).states[1]!];
  if ('error' in here || 'error' in there) throw new Error('no equilibrium');
  expect(there.seatHeight! + 70).toBeCloseTo(here.seatHeight!, 6);
  expect(there.shackleAngle).toBeCloseTo(here.shackleAngle!, 6);
});

test('a load that no shape carries is named, the others are still answered', () => {
  const ends: SpringCase['ends'] = { kind: 'shackle', frontEye: [0, 0], shacklePivot: [1400, 60], shackleLength: 100 };
  const { states } = solveCase({ ...base, ends, loads: [1000, 60_000] });
  expect(states[1]).toEqual({ load: 60_000, error: 'no-equilibrium' });
});

test.each([
  ['a load that is not a number', { loads: [Number.NaN] }],
  ['a bent wire', { leaves: [{ ...base.leaves[0]!, freeRadius: 20 }] }],
])('%s is refused', (_, change) => {
  expect(() => solveCase(springCaseSchema.parse({ ...base, ...change }))).toThrow();
});
