import fc from 'fast-check';
import { bushFit } from '@/core/bush/fit';
import { falseHeight, windUpMoment, windUpStrain } from '@/core/bush/windUp';
import { drivelineAfter, jointAngles, slipNeeded } from '@/core/driveline/joints';
import { meanToe, tieRodTurns, toeAngle, toeAt } from '@/core/steering/toe';
import { thrustAngle, tiltAngle } from '@/core/vehicle/square';

const DEGREE = Math.PI / 180;
const BUSH = { inner: 20, outer: 42, length: 60, shearModulus: 0.85 };

test('a bonded bush is a thick cylinder in torsional shear: summed ring by ring it turns as far', () => {
  const moment = windUpMoment(BUSH, 10 * DEGREE);
  // τ = M/(2πr²L), dφ = τ/(G r) dr: the closed formula against a sum of thin rings.
  const rings = 20_000;
  const [ri, ro] = [BUSH.inner / 2, BUSH.outer / 2];
  let turn = 0;
  for (let k = 0; k < rings; k++) {
    const r = ri + ((ro - ri) * (k + 0.5)) / rings;
    turn += ((moment / (2 * Math.PI * r * r * BUSH.length) / BUSH.shearModulus / r) * (ro - ri)) / rings;
  }
  expect(turn).toBeCloseTo(10 * DEGREE, 6);
  expect(windUpStrain(BUSH, 10 * DEGREE)).toBeCloseTo(
    moment / (2 * Math.PI * ri * ri * BUSH.length) / BUSH.shearModulus,
    9,
  );
  expect(() => windUpMoment({ ...BUSH, outer: 18 }, 0.1)).toThrow(expect.objectContaining({ field: 'outer' }));
});

test('height held up by bushes tightened hanging is their moments over the halves, over the rate', () => {
  const end = { bush: BUSH, turn: 12 * DEGREE, half: 600 };
  const one = falseHeight(40, [end]);
  expect(one).toBeCloseTo(windUpMoment(BUSH, end.turn) / 600 / 40, 9);
  expect(falseHeight(40, [end, end])).toBeCloseTo(2 * one, 9);
  expect(falseHeight(80, [end])).toBeCloseTo(one / 2, 9);
});

test('a bush is told by each of its figures: press, bolt, width', () => {
  const sizes = { eyeBore: 42, shell: 42.2, sleeveBore: 14.3, bolt: 14, sleeveLength: 64, hangerWidth: 65 };
  expect(bushFit(sizes).map((f) => f.state)).toEqual(['fits', 'fits', 'fits']);
  expect(bushFit({ ...sizes, shell: 41.9 })[0]!.state).toBe('does not fit');
  expect(bushFit({ ...sizes, bolt: 14.4 })[1]!.state).toBe('does not fit');
  expect(bushFit({ ...sizes, sleeveLength: 61 })[2]!.state).toBe('look');
});

test('common practice: an eighth to a quarter of an inch over 18 in tyres is 0.40 to 0.80 degrees in all', () => {
  const [least, most] = [1 / 8, 1 / 4].map((inch) => toeAngle(inch * 25.4, 18 * 25.4) / DEGREE);
  expect(least).toBeCloseTo(0.4, 2);
  expect(most).toBeCloseTo(0.8, 2);
  // And 0.33 to 0.65 over 22 in ones.
  expect(toeAngle(25.4 / 8, 22 * 25.4) / DEGREE).toBeCloseTo(0.33, 2);
  expect(toeAt(toeAngle(5, 500), 250)).toBeCloseTo(2.5, 9);
});

test('run-out of a rim cancels over half a turn, and a turn of the rod moves as far as its lead', () => {
  expect(meanToe({ front: 1200, rear: 1204 }, { front: 1202, rear: 1202 })).toBe(2);
  // One turn of a 1.5 mm lead at a 100 mm arm: atan(1.5/100).
  expect(tieRodTurns(Math.atan(1.5 / 100), 100, 1.5)).toBeCloseTo(1, 9);
});

test('an axle askew and a cart on a slope', () => {
  expect(thrustAngle(3000, 2990, 1500) / DEGREE).toBeCloseTo(0.38, 2);
  expect(tiltAngle(1000, 500)).toBeCloseTo(Math.PI / 4, 9);
});

test('joints are equal while the pinion is parallel to the output; a lift opens both alike, a turn only the rear one', () => {
  const now = { output: 3 * DEGREE, shaft: 5 * DEGREE, pinion: 3 * DEGREE };
  expect(jointAngles(now).unequal).toBeCloseTo(0, 12);
  const lifted = jointAngles(drivelineAfter(now, 50, 0, 1200));
  expect(lifted.front).toBeGreaterThan(2 * DEGREE);
  expect(lifted.rear).toBeCloseTo(lifted.front, 12);
  const turned = jointAngles(drivelineAfter(now, 50, 2 * DEGREE, 1200));
  expect(turned.unequal).toBeCloseTo(2 * DEGREE, 12);
  expect(turned.rear).toBeCloseTo(lifted.rear - 2 * DEGREE, 12);
  expect(turned.front).toBeCloseTo(lifted.front, 12);
});

test('property: reversing a turn flips its sign, and a shaft that goes there and back needs no slip', () => {
  const slope = fc.double({ min: -0.2, max: 0.2, noNaN: true });
  fc.assert(
    fc.property(slope, slope, slope, fc.double({ min: -80, max: 80, noNaN: true }), (output, shaft, pinion, drop) => {
      const now = { output, shaft, pinion };
      const [up, down] = [0.03, -0.03].map((nose) => jointAngles(drivelineAfter(now, drop, nose, 1500)).unequal);
      expect(up! + down!).toBeCloseTo(2 * (pinion - output), 9);
      expect(slipNeeded(now, 0, 1500)).toBeCloseTo(0, 9);
    }),
  );
});
