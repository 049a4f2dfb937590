import fc from 'fast-check';
import { helperAt, packShare } from './curve';

test('a curve goes through its points, is straight where they are, never falls, and goes on along its end', () => {
  const straight = { stroke: 80, forces: [0, 2000, 4000, 6000, 8000] };
  for (const pressed of [0, 13, 40, 79, 80, 120])
    expect(helperAt(straight, pressed)).toMatchObject({
      force: expect.closeTo(100 * pressed, 6),
      rate: expect.closeTo(100, 6),
    });
  expect(helperAt(straight, -1)).toEqual({ force: 0, rate: 0 });
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: 0, max: 3000, noNaN: true }), { minLength: 2, maxLength: 8 }),
      fc.double({ min: 10, max: 300, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      (rises, stroke, share) => {
        const forces = rises.reduce<number[]>((sum, rise) => [...sum, sum.at(-1)! + rise], [0]);
        const curve = { stroke, forces };
        forces.forEach((force, k) =>
          expect(helperAt(curve, (stroke * k) / (forces.length - 1)).force).toBeCloseTo(force, 6),
        );
        const [a, b] = [helperAt(curve, share * stroke), helperAt(curve, share * stroke + 1e-4 * stroke)];
        expect(b.force).toBeGreaterThanOrEqual(a.force - 1e-6);
        expect((b.force - a.force) / (1e-4 * stroke)).toBeCloseTo((a.rate + b.rate) / 2, 0);
      },
    ),
  );
  expect(() => helperAt({ stroke: 50, forces: [0, 500, 400] }, 10)).toThrow('forces[2]');
});

test('two springs beside one another share by their rates; one that hangs clear carries nothing', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 20, max: 400, noNaN: true }),
      fc.double({ min: 1, max: 800, noNaN: true }),
      fc.double({ min: -40, max: 120, noNaN: true }),
      fc.double({ min: 500, max: 30_000, noNaN: true }),
      (rate, helper, gap, load) => {
        // By hand: x/rate − gap = (load − x)/helper while it touches.
        const meets = Math.min(load, (load + helper * gap) / (1 + helper / rate));
        const wanted = load / rate > gap ? meets : load;
        const got = packShare(load, (x) => Math.max(0, helper * (x / rate - gap)));
        expect(Math.abs(got - wanted)).toBeLessThan(Math.max(0.6, 2e-5 * load));
      },
    ),
  );
});
