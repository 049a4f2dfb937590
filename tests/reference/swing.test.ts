import { swingOut, swingTurn } from '@/core/mechanics/swing/swing';
import { coilRate, coilRatio } from '@/core/mechanics/coil/coil';

test('swing axle: a millimetre of travel leans the wheel by one over its arm (textbook of swing axles; a common practice rule too)', () => {
  for (const arm of [400, 900, 1300])
    for (const rise of [-40, 0, 60]) {
      const rate = (swingTurn({ arm, rise }, 0.01) - swingTurn({ arm, rise }, -0.01)) / 0.02;
      // Over the arm as it lies level: its projection.
      expect(rate).toBeCloseTo(1 / Math.sqrt(arm ** 2 - rise ** 2), 9);
    }
});

test('track: the hub runs on a circle about its pivot (Pythagoras, written apart), closest in where it hangs lowest', () => {
  const [arm, rise] = [900, 60];
  for (const lower of [-80, -20, 30, 110]) {
    const level = (down: number) => Math.sqrt(arm ** 2 - down ** 2);
    expect(swingOut({ arm, rise }, lower)).toBeCloseTo(level(rise + lower) - level(rise), 9);
  }
  expect(() => swingTurn({ arm: 300, rise: 100 }, 200)).toThrow('further from its pivot');
});

test('virtual work: a coil at a share of the arm is felt at the wheel by the square of it (statics of a lever)', () => {
  const rate = coilRate({ wire: 15.5, mean: 124.5, turns: 8.5, ends: 'closedGround' });
  const ratio = coilRatio(0, 560 / 900);
  // The lever in balance, written apart: wheel force × arm = coil force × its own arm; ways as the arms.
  const down = 7;
  const coilForce = (rate * down * 560) / 900;
  const wheelForce = (coilForce * 560) / 900;
  expect(rate * ratio ** 2).toBeCloseTo(wheelForce / down, 9);
});
