import fc from 'fast-check';
import { drivelineState, drivelineVerdict } from './pinion';
import { wedgeFor, wedgeTurn } from './wedgeMend';

const DEGREE = Math.PI / 180;
const READ = { outputSlope: 3 * DEGREE, shaftSlope: 5 * DEGREE, pinionSlope: 3 * DEGREE, shaftLength: 1200 };

test('a lift opens both joints alike; a pinion that turns with its axle is told by how far and which way', () => {
  expect(drivelineState({ outputSlope: 0 }, 0, 0, 'rear')).toBeNull();
  const still = drivelineVerdict(drivelineState(READ, 0, 0, 'rear')!);
  expect(still).toMatchObject({ state: 'fits' });
  expect(still.text).toBe('Joints work at 2.0° and 2.0°, as good as equal.');
  const turned = drivelineVerdict(drivelineState(READ, 0, 2 * DEGREE, 'rear')!);
  expect(turned.text).toContain('the pinion points 2.0° too high');
  // A front axle's pinion points rearward: its axle's nose up turns it down.
  expect(drivelineVerdict(drivelineState(READ, 0, 2 * DEGREE, 'front')!).text).toContain('2.0° too low');
  expect(drivelineVerdict(drivelineState(READ, 60, 0, 'rear')!).text).toContain('shakes at road speed');
});

test('property: the wedge that is offered takes the turn back within a quarter degree, over and under the axle, in place of one planned', () => {
  const turn = fc.double({ min: -0.1, max: 0.1, noNaN: true });
  fc.assert(
    fc.property(turn, fc.constantFrom('over', 'under'), fc.option(turn), (unequal, arrangement, planned) => {
      const now =
        planned === null
          ? null
          : { angle: Math.abs(planned), thick: planned > 0 ? ('rear' as const) : ('front' as const) };
      const wedge = wedgeFor(unequal, now, arrangement, 130);
      const turned = (w: typeof now) => (w ? wedgeTurn(w, arrangement) : 0);
      expect(Math.abs(unequal + turned(wedge) - turned(now))).toBeLessThanOrEqual(
        0.2501 * DEGREE + (wedge ? 0 : 0.25 * DEGREE),
      );
      // Common practice: the other end thick turns it the other way.
      if (wedge) {
        const other = wedge.thick === 'rear' ? 'front' : 'rear';
        expect(wedgeTurn({ ...wedge, thick: other }, arrangement)).toBeCloseTo(-wedgeTurn(wedge, arrangement), 12);
        expect(wedge.height).toBeGreaterThan(3);
      }
    }),
  );
});
