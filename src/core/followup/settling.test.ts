import { normal, Z90 } from '../estimate/estimate';
import { uniformFrom } from '@/workers/random';
import { fitSettling, nextLook, type HeightOver } from './settling';

const PRIOR = { value: -5, half90: 5 };

test('of 400 springs made by the law it fits, the height each comes to lies in the band nine times in ten', () => {
  const u = uniformFrom(11);
  let inside = 0;
  for (let n = 0; n < 400; n++) {
    const built = 480 + 60 * u();
    const loss = 5 + (5 / Z90) * normal(u);
    const over = 500 * Math.exp(0.6 * normal(u));
    const heights = [0, 150 + 200 * u(), 600 + 400 * u(), 1200 + 800 * u()].slice(0, 2 + Math.floor(3 * u()));
    const read = heights.map((km): HeightOver => ({
      km,
      half90: 2,
      height: built - loss * (1 - Math.exp(-km / over)) + (2 / Z90) * normal(u),
    }));
    const { final } = fitSettling(read, PRIOR);
    inside += Number(Math.abs(final.value - (built - loss)) <= final.half90);
  }
  expect(inside / 400).toBeGreaterThan(0.85);
  expect(inside / 400).toBeLessThan(0.95);
});

test('exact heights far along say where it ends, and that it has settled', () => {
  const heights = [0, 300, 800, 1600, 3000, 4500].map((km) => ({
    km,
    height: 520 - 7 * (1 - Math.exp(-km / 500)),
    half90: 0.5,
  }));
  const fit = fitSettling(heights, PRIOR);
  expect(fit.final.value).toBeCloseTo(513, 0);
  expect(fit.over).toBeGreaterThan(400);
  expect(fit.over).toBeLessThan(650);
  expect(fit.verdict).toBe('settled');
  expect(nextLook(heights, PRIOR)).toBeNull();
});

test('one height alone asks for another; two early ones are still settling; one that loses the same every thousand kilometres sinks', () => {
  expect(fitSettling([{ km: 0, height: 520, half90: 2 }], PRIOR).verdict).toBe('tooFew');
  const early = [
    { km: 0, height: 520, half90: 2 },
    { km: 100, height: 519, half90: 2 },
  ];
  expect(fitSettling(early, PRIOR).verdict).toBe('settling');
  const next = nextLook(early, PRIOR)!;
  expect(next).toBeGreaterThan(300);
  expect(next).toBeLessThan(2200);
  const sinking = [0, 1000, 2000, 3000, 4000, 5000].map((km) => ({ km, height: 520 - 6 * (km / 1000), half90: 2 }));
  const fit = fitSettling(sinking, PRIOR);
  expect(fit.verdict).toBe('sinking');
  expect(fit.sinking.rate).toBeGreaterThan(3);
  expect(() => fitSettling([{ km: -1, height: 520, half90: 2 }], PRIOR)).toThrow('km');
});
