import fc from 'fast-check';
import { CoreError } from '../../errors';
import { SPRING_STEEL_E } from '../../material/steel';
import { camberFromCurvature, curvatureFromCamber, chordUnderCamber } from './arc';
import { checkPack, placeByLength, type Leaf, type Pack, tracedCurve } from './pack';
import { PackSolver } from './solve';

const leaf: Leaf = { front: 600, rear: 650, width: 70, thickness: 8, curvature: 1 / 2000 };
const pack: Pack = {
  leaves: [leaf, { ...leaf, front: 400, rear: 430 }],
  clamp: { kind: 'bolt' },
  youngs: SPRING_STEEL_E,
  eyeOffset: { front: 0, rear: 0 },
  friction: 0,
};

test('property: camber and curvature are each other’s inverse', () => {
  fc.assert(
    fc.property(fc.double({ min: -0.3, max: 0.3, noNaN: true }), fc.double({ min: 300, max: 2000 }), (share, chord) => {
      fc.pre(Number.isFinite(chord));
      const camber = share * chord;
      expect(camberFromCurvature(curvatureFromCamber(camber, chord), chord)).toBeCloseTo(camber, 6);
    }),
  );
});

test('a leaf goes to its place by length, never above the main leaf', () => {
  const leaves = [1300, 1100, 900, 700].map((n) => ({ front: n / 2, rear: n / 2 }));
  expect(placeByLength(leaves, { front: 500, rear: 500 })).toBe(2);
  expect(placeByLength(leaves, { front: 450, rear: 450 })).toBe(3);
  expect(placeByLength(leaves, { front: 650, rear: 650 })).toBe(1);
  expect(placeByLength(leaves, { front: 100, rear: 100 })).toBe(4);
});

test.each<[string, Partial<Pack> | { leaf: Partial<Leaf> }, string]>([
  ['no leaf', { leaves: [] }, 'leaves'],
  ['NaN', { leaf: { thickness: NaN } }, 'leaves[1].thickness'],
  ['no thickness', { leaf: { thickness: 0 } }, 'leaves[1].thickness'],
  ['a reversed length', { leaf: { front: -400 } }, 'leaves[1].front'],
  ['longer than the main leaf', { leaf: { rear: 651 } }, 'leaves[1]'],
  ['curled up', { leaf: { curvature: 0.009, thickness: 20 } }, 'leaves[1].curvature'],
  [
    'a clamp as long as the leaf',
    { clamp: { kind: 'seat', length: 599, shape: 'flat' }, leaves: [{ ...leaf, front: 300 }] },
    'clamp.length',
  ],
  ['friction above one', { friction: 1.2 }, 'friction'],
])('refuses %s and names the field', (_, change, field) => {
  const bad =
    'leaf' in change ? { ...pack, leaves: [leaf, { ...pack.leaves[1]!, ...change.leaf }] } : { ...pack, ...change };
  try {
    checkPack(bad);
    throw new Error('was accepted');
  } catch (error) {
    expect(error).toBeInstanceOf(CoreError);
    expect((error as CoreError).field).toBe(field);
  }
});

test('a traced circle gives its curvature everywhere, and the pack made of it the arch of the circle', () => {
  const radius = 1800;
  const points = [-600, -420, -200, 30, 260, 480, 640].map((x) => ({ x, y: radius - Math.sqrt(radius ** 2 - x * x) }));
  const curve = tracedCurve(points, 0);
  for (const { s, curvature } of curve) if (Math.abs(s) < 500) expect(curvature * radius).toBeCloseTo(1, 1);
  const leaf = { front: 590, rear: 630, width: 70, thickness: 8, curvature: 1 / radius };
  const arch = (over: object) =>
    new PackSolver({
      leaves: [{ ...leaf, ...over }],
      clamp: { kind: 'bolt' },
      youngs: 206_800,
      eyeOffset: { front: 0, rear: 0 },
      friction: 0,
    }).onRollers(0).arch;
  expect(arch({ curve })).toBeCloseTo(arch({}), 0);
  expect(() => tracedCurve(points.slice(0, 4), 0)).toThrow(/five points/);
  expect(() => tracedCurve(points.toReversed(), 0)).toThrow(/front to rear/);
});

test('the chord of an arc from its length and camber is the circle’s, within 0.05 %, up to a camber of a sixth', () => {
  for (const half of [0.05, 0.2, 0.4, 0.6, 0.68]) {
    const R = 1500;
    const [arc, camber, chord] = [2 * R * half, R * (1 - Math.cos(half)), 2 * R * Math.sin(half)];
    expect(camber / arc).toBeLessThan(1 / 6);
    expect(Math.abs(chordUnderCamber(arc, camber) / chord - 1)).toBeLessThan(5e-4);
  }
});
