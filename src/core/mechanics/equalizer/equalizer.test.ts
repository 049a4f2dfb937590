import fc from 'fast-check';
import { frontShare, swingOver, type Equalizer } from './equalizer';

const even: Equalizer = {
  arms: { front: 150, rear: 150 },
  springs: { front: { outer: 380, inner: 380 }, rear: { outer: 380, inner: 380 } },
};
const mm = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const any = fc
  .record({ a: mm(80, 300), b: mm(80, 300), c: mm(250, 600), d: mm(250, 600), e: mm(250, 600), f: mm(250, 600) })
  .map(({ a, b, c, d, e, f }): Equalizer => ({
    arms: { front: a, rear: b },
    springs: { front: { outer: c, inner: d }, rear: { outer: e, inner: f } },
  }));

test('by hand: equal arms and springs share evenly; a front arm half as long again carries two to three', () => {
  expect(frontShare(even)).toBeCloseTo(0.5, 12);
  expect(frontShare({ ...even, arms: { front: 180, rear: 120 } })).toBeCloseTo(0.4, 12);
  // A front axle nearer to the rocker rests more on its inner eye: 500 of 800 mm against 400 of 800.
  const near = { ...even, springs: { front: { outer: 500, inner: 300 }, rear: { outer: 400, inner: 400 } } };
  expect(frontShare(near)).toBeCloseTo(0.5 / (0.5 + 0.625), 9);
});

test('property: no work is done when the rocker swings a little under its own share (virtual work)', () => {
  fc.assert(
    fc.property(any, (equalizer) => {
      const share = frontShare(equalizer);
      const { front, rear } = equalizer.springs;
      const small = 1e-5;
      // Ways of the axles, outer eyes standing still, springs as bent as before.
      const up = equalizer.arms.front * small * (front.outer / (front.outer + front.inner));
      const down = equalizer.arms.rear * small * (rear.outer / (rear.outer + rear.inner));
      expect(share * up - (1 - share) * down).toBeCloseTo(0, 12);
    }),
  );
});

test('property: a tandem turned end for end shares turned over', () => {
  fc.assert(
    fc.property(any, ({ arms, springs }) => {
      const turned = {
        arms: { front: arms.rear, rear: arms.front },
        springs: { front: springs.rear, rear: springs.front },
      };
      expect(frontShare(turned)).toBeCloseTo(1 - frontShare({ arms, springs }), 12);
    }),
  );
});

test('shackles that lean towards their axle lengthen that arm, and take load off it', () => {
  const lean = { front: { lean: 0.2, below: 60 }, rear: { lean: 0, below: 60 } };
  const longer = 150 + 60 * Math.tan(0.2);
  expect(frontShare({ ...even, shackles: lean })).toBeCloseTo(150 / (150 + longer), 9);
});

test('over a bump the rocker takes half of the step and the body the other half; past its reach it is refused', () => {
  const { angle, body } = swingOver(even, 60);
  expect(Math.sin(angle) * 150).toBeCloseTo(60, 9);
  expect(body).toBeCloseTo(30, 9);
  expect(swingOver(even, -60).body).toBeCloseTo(-30, 9);
  expect(() => swingOver(even, 200)).toThrow(/step/);
});
