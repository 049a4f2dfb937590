import { coilRate, coilStress, wahl } from '@/core/mechanics/coil/coil';

/*
 * Shigley, Mechanical Engineering Design, helical compression spring of No. 16 music wire, squared ends (from memory): wire 0.037 in,
 * outside 7/16 in, 12 1/2 turns in all, G 11.85 Mpsi. Mean diameter 0.400 in, index 10.8, 10 1/2 active turns, rate 4.13 lbf/in.
 */
const IN = 25.4;
const PSI = 0.006894757293168;
const LBF = 4.4482216152605;
const spring = { wire: 0.037 * IN, mean: 0.4 * IN, turns: 12.5, ends: 'closed' as const };

test('the textbook’s coil has the textbook’s rate', () => {
  // Scaled tenfold in every length, for wire of such thinness is refused: the rate goes by the length.
  const tenfold = { ...spring, wire: 10 * spring.wire, mean: 10 * spring.mean };
  const rate = coilRate(tenfold, 11.85e6 * PSI) / 10;
  expect(rate / (LBF / IN)).toBeCloseTo(4.13, 2);
});

test('Wahl’s factor at the textbook’s index by hand, 42.2/39.2 + 0.615/10.8, and the stress by hand', () => {
  expect(wahl(10.8)).toBeCloseTo(1.076531 + 0.056944, 5);
  // τ = K 8 F D / (π d³) for 10 lbf, in psi.
  const byHand = (1.1335 * 8 * 10 * 0.4) / (Math.PI * 0.037 ** 3);
  expect(coilStress(spring, 10 * LBF) / PSI / byHand).toBeCloseTo(1, 3);
});
