import { clampForce, metricStressArea, tighteningTorque, unifiedStressArea } from '@/core/fastener/torque';
import { uboltAfter, uboltLeg } from '@/core/fastener/ubolt';
import { handbookEstimate, textbookDeflection, textbookRate, textbookStress } from '@/core/mechanics/leafpack/handbook';
import { SPRING_STEEL_E } from '@/core/material/steel';
import { mainLeafAboveHub, type Stack } from '@/core/mechanics/stack/stack';

/* Leaf-spring chapter of R. S. Khurmi and J. K. Gupta, A Textbook of Machine Design, worked examples (from memory). */
test('textbook (i): 35 kN on a 1 m span, ten graduated leaves, 600 MPa and 80 mm need b·t² of about 8,750 mm³, t about 9.4', () => {
  // From 12 W L/(b t² 2 n) = 600 with W = 17.5 kN, L = 500: b t² = 8,750. From the deflection then t = 9.375.
  const thickness = 9.375;
  const width = 8750 / thickness ** 2;
  const pack = { half: 500, width, thickness, fullLength: 0, graduated: 10, youngs: 200_000 };
  expect(textbookStress(pack, 17_500).graduated).toBeCloseTo(600, 6);
  expect(textbookDeflection(pack, 17_500)).toBeCloseTo(80, 6);
});

test('textbook (ii): twelve leaves, two of them full length, half length 482.5 mm, 5.4 kN: t = 9.3, δ = 16.7 mm at 10 mm', () => {
  const shape = { half: 482.5, fullLength: 2, graduated: 10, youngs: 210_000 };
  // Total depth over width 3 gives b = 12 t/3 = 4t; the full-length leaves reach 280 MPa at t of about 9.3.
  expect(textbookStress({ ...shape, width: 4 * 9.3, thickness: 9.3 }, 2700).fullLength / 280).toBeCloseTo(1, 1);
  expect(textbookDeflection({ ...shape, width: 40, thickness: 10 }, 2700)).toBeCloseTo(16.7, 1);
  expect(textbookRate({ ...shape, width: 40, thickness: 10 })).toBeCloseTo(5400 / 16.7, -1);
});

test('rate = 32 E ΣI·SF/ℓ³ with SF from 1.0 to 1.5 (SAE HS-788 form, from memory)', () => {
  const leaf = (half: number) => ({ front: half, rear: half, width: 60, thickness: 7, curvature: 0 });
  const sumI = (n: number) => (n * 60 * 7 ** 3) / 12;
  const full = handbookEstimate([leaf(500), leaf(500), leaf(500)], 0, SPRING_STEEL_E);
  expect(full.shapeFactor).toBe(1.5);
  expect(full.rate / ((32 * SPRING_STEEL_E * sumI(3) * 1.5) / 1000 ** 3)).toBeCloseTo(1, 9);
  const graduated = handbookEstimate([leaf(500), leaf(400), leaf(300), leaf(200)], 0, SPRING_STEEL_E);
  expect(graduated.shapeFactor).toBeCloseTo((2 * 3 + 3) / 8, 9);
});

/* SAE J429 proof strengths: grade 5 to 1 in 85 ksi, grade 8 120 ksi (from memory); K 0.20, 75 % of proof (common practice). */
const KSI = 6.894757293168361;
const LBF_FT = 4.4482216152605 * 304.8;

test.each([
  ['1/2-13 grade 5', 12.7, 13, 85, 75],
  ['5/8-11 grade 8', 15.875, 11, 120, 212],
])('%s is tightened to about the handbook torque', (_, diameter, perInch, proofKsi, expected) => {
  const clamp = 0.75 * proofKsi * KSI * unifiedStressArea(diameter, perInch);
  const torque = tighteningTorque(0.2, diameter, clamp) / LBF_FT;
  expect(torque / expected).toBeCloseTo(1, 1);
  expect(Math.abs(torque - expected)).toBeLessThan(1);
});

test('clamp force by torque: K 0.2, 37 lbf·ft on 12 mm about 4,700 lbf, 145 lbf·ft on 9/16 in about 15,500 lbf (common practice)', () => {
  const lbf = (n: number) => n / 4.4482216152605;
  expect(lbf(clampForce(0.2, 12, 37 * LBF_FT))).toBeCloseTo(4700, -2);
  expect(lbf(clampForce(0.2, 14.2875, 145 * LBF_FT))).toBeCloseTo(15_500, -2);
});

test('M16 has a stress area of 157 mm² (ISO 898-1, from memory)', () => {
  expect(metricStressArea(16, 2)).toBeCloseTo(157, 0);
});

const INCH = 25.4;

test('U-bolt: half an inch showing less three eighths of pack leaves 1/8 in = 2¼ threads at 18 per inch: too few (common practice)', () => {
  const after = uboltAfter({ exposed: INCH / 2, pitch: INCH / 18 }, (3 / 8) * INCH);
  expect(after.exposedAfter).toBeCloseTo(INCH / 8, 9);
  expect(after.threadsLeft).toBeCloseTo(2.25, 9);
  expect(after.engagement).toBe('does not fit');
  expect(after.runOut).toBe('not checked');
});

test('U-bolt: a 1 1/4 in block taken out needs that much more thread, else the nut bottoms (common practice)', () => {
  const reading = { exposed: INCH / 2, pitch: 1.5, nutHeight: 13 };
  const needed = INCH / 2 + 1.25 * INCH + 13;
  expect(uboltAfter({ ...reading, threaded: needed + 0.1 }, -1.25 * INCH).runOut).toBe('fits');
  expect(uboltAfter({ ...reading, threaded: needed - 0.1 }, -1.25 * INCH).runOut).toBe('does not fit');
});

test('U-bolt leg: everything clamped, washer, nut and three threads', () => {
  expect(uboltLeg(120, 3, 13, 1.5)).toBeCloseTo(120 + 3 + 13 + 4.5, 9);
});

test('under to over the axle raises the frame by tube + clamped pack + both perches + block', () => {
  const under: Stack = { arrangement: 'under', tubeDiameter: 80, perch: 18, block: 0, main: 8, below: 24 };
  const over: Stack = { ...under, arrangement: 'over', perch: 22, block: 25 };
  expect(mainLeafAboveHub(over) - mainLeafAboveHub(under)).toBeCloseTo(80 + 32 + 18 + 22 + 25, 9);
});

test('which thickness counts: a leaf below the main leaf lifts the frame over the axle, not under it', () => {
  const over: Stack = { arrangement: 'over', tubeDiameter: 80, perch: 18, block: 0, main: 8, below: 24 };
  const thicker = { ...over, below: 32 };
  expect(mainLeafAboveHub(thicker) - mainLeafAboveHub(over)).toBe(8);
  const under: Stack = { ...over, arrangement: 'under' };
  expect(mainLeafAboveHub({ ...under, below: 32 }) - mainLeafAboveHub(under)).toBe(0);
});
