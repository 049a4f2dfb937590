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

test('the scale bar is a round length, never longer than about a fifth', () => {
  expect(barLength(1400, 'mm')).toEqual({ mm: 250, text: '250 mm' });
  expect(barLength(1400, 'in')).toEqual({ mm: 8 * 25.4, text: '8 in' });
  expect(barLength(100, 'mm').mm).toBe(50);
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
