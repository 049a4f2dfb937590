import fc from 'fast-check';
import { camberGain } from './camber';

const links = fc.record({
  arm: fc.double({ min: 120, max: 400, noNaN: true }),
  slope: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
  kingpin: fc.double({ min: 80, max: 300, noNaN: true }),
});

test('property: nothing moved, nothing gained; the upright keeps its length and its arm', () => {
  fc.assert(
    fc.property(links, fc.integer({ min: -40, max: 40 }), fc.integer({ min: -15, max: 15 }), (given, up, out) => {
      expect(camberGain(given, { out: 0, up: 0 })).toBeCloseTo(0, 9);
      const gain = camberGain(given, { out, up });
      const upper = { x: out + given.kingpin * Math.sin(gain), y: up + given.kingpin * Math.cos(gain) };
      const pivot = { x: -given.arm * Math.cos(given.slope), y: given.kingpin - given.arm * Math.sin(given.slope) };
      expect(Math.hypot(upper.x - pivot.x, upper.y - pivot.y)).toBeCloseTo(given.arm, 6);
    }),
  );
});

test('two equal links side by side keep the wheel upright; a short upper arm draws its top in on the way up', () => {
  const up = 30;
  // A lower link as long as the upper one, both level: a parallelogram.
  const out = Math.sqrt(250 ** 2 - up ** 2) - 250;
  expect(camberGain({ arm: 250, slope: 0, kingpin: 140 }, { out, up })).toBeCloseTo(0, 9);
  // The shorter arm's circle falls off more: by up²/2 · (1/150 − 1/250), over the kingpin.
  const expected = ((up ** 2 / 2) * (1 / 150 - 1 / 250)) / 140;
  expect(camberGain({ arm: 150, slope: 0, kingpin: 140 }, { out, up }) / -expected).toBeCloseTo(1, 1);
  expect(() => camberGain({ arm: 30, slope: 0, kingpin: 30 }, { out: 200, up: 0 })).toThrow('does not reach');
});
