import fc from 'fast-check';
import { barLength, fit, pathOf } from './scale';

const margin = { left: 90, right: 60, top: 50, bottom: 40 };
const extent = fc.record({
  left: fc.double({ min: -200, max: 0, noNaN: true }),
  right: fc.double({ min: 400, max: 1600, noNaN: true }),
  top: fc.double({ min: 50, max: 500, noNaN: true }),
  bottom: fc.double({ min: -500, max: 0, noNaN: true }),
});

test('property: one scale in x and y, y upwards, everything inside the margins', () => {
  fc.assert(
    fc.property(extent, fc.integer({ min: 300, max: 1400 }), (e, width) => {
      const s = fit(e, width, margin);
      expect(s.x(e.left)).toBeCloseTo(margin.left, 6);
      expect(s.x(e.right)).toBeCloseTo(width - margin.right, 6);
      expect(s.y(e.top)).toBeCloseTo(margin.top, 6);
      expect(s.height - s.y(e.bottom)).toBeCloseTo(margin.bottom, 6);
      expect(s.x(100) - s.x(0)).toBeCloseTo(s.y(0) - s.y(100), 6);
    }),
  );
});

test('property: in a low room the height decides, nothing sticks out and the drawing stands in the middle', () => {
  fc.assert(
    fc.property(extent, fc.integer({ min: 300, max: 1400 }), fc.integer({ min: 130, max: 700 }), (e, width, tall) => {
      const s = fit(e, width, margin, tall);
      const free = fit(e, width, margin);
      if (free.height <= tall) return expect(s.perMm).toBeCloseTo(free.perMm, 9);
      // A scale is never finer than one that can still be seen.
      if (s.perMm > 0.0501) expect(s.height).toBeLessThanOrEqual(tall + 1e-6);
      expect(s.x(e.left) - margin.left).toBeCloseTo(width - margin.right - s.x(e.right), 6);
      return expect(s.x(100) - s.x(0)).toBeCloseTo(s.y(0) - s.y(100), 6);
    }),
  );
});

test('the scale bar is a round length, never longer than about a fifth', () => {
  expect(barLength(1400, 'mm')).toEqual({ mm: 250, text: '250 mm' });
  expect(barLength(1400, 'in')).toEqual({ mm: 8 * 25.4, text: '8 in' });
  expect(barLength(100, 'mm').mm).toBe(20);
});

test('a path names every point once, in order', () => {
  const s = fit({ left: 0, right: 100, top: 100, bottom: 0 }, 100, { left: 0, right: 0, top: 0, bottom: 0 });
  expect(
    pathOf(
      [
        { x: 0, y: 100 },
        { x: 50, y: 50 },
      ],
      s,
    ),
  ).toBe('M0.00 0.00L50.00 50.00');
});
