import { makerSheet } from './makerSheet';

test('a maker’s sheet names every figure, leaves a line where nobody knows one, and is drawn to the scale it tells', () => {
  const svg = makerSheet(
    {
      ...{ front: 431, rear: 447, thickness: 7, width: 62, camber: 81, flat: 104 },
      ...{ hole: null, eyes: 'none', ends: null, pieces: 2 },
    },
    { for: 'Cart <3>, rear axle', day: '28 November 2026' },
  );
  expect(svg).toContain('Cart &#60;3&#62;, rear axle. 28 November 2026. Drawn 1 : 4');
  for (const figure of ['431 mm', '447 mm', '878 mm', '62 mm', '7 mm', '81 mm', '104 mm', '__________'])
    expect(svg).toContain(`>${figure}<`);
  // The two lengths as drawn stand to one another as they are, and nothing leaves the page.
  const xs = [...svg.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map((m) => Number(m[1]));
  expect(Math.min(...xs)).toBeGreaterThan(10);
  expect(Math.max(...xs)).toBeLessThan(287);
  expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(860 / 4, -1);
});
