import fc from 'fast-check';
import { centreBoltLength } from './centreBolt';
import { clampForce, tighteningTorque } from './torque';
import { LEAST_THREADS, uboltAfter, uboltLeg } from './ubolt';

const reading = fc.record({
  exposed: fc.double({ min: 0, max: 80, noNaN: true }),
  pitch: fc.double({ min: 0.8, max: 2.5, noNaN: true }),
  threaded: fc.double({ min: 10, max: 120, noNaN: true }),
  nutHeight: fc.double({ min: 8, max: 22, noNaN: true }),
});
const growth = fc.double({ min: -60, max: 60, noNaN: true });

test('property: what the stack gains the thread loses, and back', () => {
  fc.assert(
    fc.property(reading, growth, (r, g) => {
      const after = uboltAfter(r, g);
      expect(after.exposedAfter + g).toBeCloseTo(r.exposed, 9);
      expect(after.threadsLeft * r.pitch).toBeCloseTo(after.exposedAfter, 9);
    }),
  );
});

test('property: engagement fits exactly with three threads or more; a taller stack never mends it', () => {
  fc.assert(
    fc.property(reading, growth, fc.double({ min: 0, max: 30, noNaN: true }), (r, g, more) => {
      const now = uboltAfter(r, g);
      expect(now.engagement === 'fits').toBe(now.threadsLeft >= LEAST_THREADS - 1e-9);
      if (now.engagement === 'does not fit') expect(uboltAfter(r, g + more).engagement).toBe('does not fit');
      if (now.runOut === 'does not fit') expect(uboltAfter(r, g - more).runOut).toBe('does not fit');
    }),
  );
});

test('run-out is not checked without the threaded length or the nut, and never silently fits', () => {
  const short = { exposed: 10, pitch: 1.5 };
  expect(uboltAfter(short, 0)).toMatchObject({ engagement: 'fits', runOut: 'not checked' });
  expect(uboltAfter({ ...short, threaded: 40 }, 0).runOut).toBe('not checked');
  expect(uboltAfter(short, 0).reason).toMatch(/not checked/);
});

test.each([
  [{ exposed: -1, pitch: 1.5 }, /uboltExposed/],
  [{ exposed: 10, pitch: 0 }, /uboltPitch/],
  [{ exposed: Number.NaN, pitch: 1.5 }, /uboltExposed/],
])('nonsense %j is refused', (r, reason) => expect(() => uboltAfter(r, 0)).toThrow(reason));

test('bolt lengths: pack and nut and two to three threads; a leg adds washer and three threads', () => {
  expect(centreBoltLength(48, 8, 1.5)).toEqual({ least: 59, most: 60.5 });
  expect(uboltLeg(100, 4, 14, 1.5) - uboltLeg(90, 4, 14, 1.5)).toBeCloseTo(10, 9);
});

test('property: torque and clamp force are each other’s inverse, and a slicker thread pulls harder', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.08, max: 0.3, noNaN: true }),
      fc.double({ min: 6, max: 30, noNaN: true }),
      (k, d) => {
        expect(clampForce(k, d, tighteningTorque(k, d, 40_000))).toBeCloseTo(40_000, 4);
        expect(clampForce(k * 0.75, d, 1e5) / clampForce(k, d, 1e5)).toBeCloseTo(4 / 3, 9);
      },
    ),
  );
});
