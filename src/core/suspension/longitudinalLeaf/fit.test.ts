import { SPRING_STEEL_E } from '../../material/steel';
import { nestedPack, type NestedPack } from './calibrate';
import { fitSpring, type FitProblem } from './fit';
import { PackSolver } from '../../mechanics/leafpack/solve';

const pack: NestedPack = {
  leaves: [600, 440, 280].map((half) => ({ front: half, rear: half * 1.06, width: 64, thickness: 8 })),
  clamp: { kind: 'bolt' },
  youngs: SPRING_STEEL_E,
  eyeOffset: { front: 22, rear: 22 },
  friction: 0,
};
const bench = new PackSolver(nestedPack({ ...pack, youngs: SPRING_STEEL_E * 1.04 }, 1 / 1900));
const problem: FitProblem = {
  pack,
  seat: { length: 120, shape: 'flat' },
  hold: { length: 105, angle: 1.7 },
  inactive: { value: 0.67, half90: 0.25 },
  friction: { value: 0.3, half90: 0.15 },
  rateHalf90: 0.1,
  loads: [],
  readings: [{ kind: 'freeArch', value: bench.onRollers(0).arch, half90: 2 }],
};
/** The true spring in a press, friction holding back one per cent of the force on both branches. */
const pressed = (force: number): FitProblem['readings'] => [
  { kind: 'press', value: bench.onRollers(1.01 * force).arch, half90: 0.5, force, branch: 'unloading' },
  { kind: 'press', value: bench.onRollers(0.99 * force).arch, half90: 0.5, force, branch: 'loading' },
];

test('one arch on the bench gives the curve and nothing else: rate and seat keep what was assumed', () => {
  const fit = fitSpring({ ...problem, freeArchNew: 130 });
  expect(fit.freeArch.value).toBeCloseTo(problem.readings[0]!.value, 2);
  expect(fit.freeArch.half90).toBeCloseTo(2, 2);
  expect(fit.rateFactor).toEqual({ value: expect.closeTo(1, 6), half90: expect.closeTo(0.1, 6) });
  expect(fit.learned).toEqual([]);
  expect(fit.sag!.value).toBeCloseTo(130 - problem.readings[0]!.value, 2);
  // Nothing else can check the only reading.
  expect(fit.agreement[0]!.expected).toBeNull();
  expect(fit.contradiction).toBeNull();
});

test('a press finds the rate factor of the true spring and says that it learned it', () => {
  const fit = fitSpring({ ...problem, readings: [...problem.readings, ...pressed(1500), ...pressed(3000)] });
  expect(Math.abs(fit.rateFactor.value - 1.04)).toBeLessThan(0.02);
  expect(fit.rateFactor.half90).toBeLessThan(0.06);
  expect(fit.learned).toContain('rateFactor');
  expect(fit.contradiction).toBeNull();
});

test('a bench arch read on the wrong inch line is the one that is named', () => {
  const readings = [...problem.readings, ...pressed(1200), ...pressed(2400), ...pressed(3600)];
  const wrong = readings.map((r, i) => (i === 0 ? { ...r, value: r.value + 25.4 } : r));
  const { contradiction } = fitSpring({ ...problem, readings: wrong });
  expect(contradiction!.worst).toMatchObject({ of: 'reading', index: 0 });
  expect(Math.abs(contradiction!.worst.expected!.value - readings[0]!.value)).toBeLessThan(6);
});

test.each([
  ['no reading at all', { readings: [] }, 'readings'],
  [
    'heights alone',
    { readings: [{ kind: 'height', value: 500, half90: 2, load: 0 }], loads: [{ value: 1, half90: 1 }] },
    'readings',
  ],
  [
    'a load that was not given',
    { readings: [{ kind: 'loadedArch', value: 50, half90: 2, load: 3 }] },
    'readings[0].load',
  ],
  ['an arch that is no number', { readings: [{ kind: 'freeArch', value: NaN, half90: 2 }] }, 'readings[0].value'],
] as const)('%s is refused with its field', (_, change, field) => {
  expect(() => fitSpring({ ...problem, ...(change as Partial<FitProblem>) })).toThrow(
    expect.objectContaining({ field }),
  );
});
