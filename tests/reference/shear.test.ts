import { draw } from '@/core/estimate/tree';
import { GRAVITY, SPRING_STEEL_E } from '@/core/material/steel';
import { axleRate, noseShare } from '@/core/mechanics/rubber/carrier';
import { shearModulus, shearRate } from '@/core/mechanics/rubber/shear';
import { type SheetReading } from '@/core/sheet/reading';
import { assembleShear } from '@/core/suspension/rubberShear/assemble';
import { SHEAR_SHEET, type ShearPoint } from '@/core/suspension/rubberShear/points';
import { ShearSideModel } from '@/core/suspension/rubberShear/sideModel';

const at = (point: ShearPoint, value: number, side: 'left' | 'right' | null = null) =>
  ({
    ...{ point, value, side, phase: 'before', leafId: null, rolled: true },
    stateId: SHEAR_SHEET[point].loaded ? 'now' : null,
  }) as SheetReading<ShearPoint>;
const model = (more: SheetReading<ShearPoint>[]) =>
  new ShearSideModel(
    draw(
      assembleShear({
        axle: { position: 'rear', axleClass: 'oneTonRear' },
        wheelbase: 3600,
        states: [{ id: 'now', name: 'today', addedMass: 0, station: 0 }],
        changes: [],
        readings: [
          ...[at('axleLoad', 1500), at('unsprungMass', 300), at('shearLong', 200), at('shearWide', 120)],
          ...[at('shearThick', 60), at('shearHard', 60), at('carrierWidth', 70), at('hubToLip', 420, 'left')],
          ...[at('shearOffset', -5, 'left'), ...more],
        ],
      }).input,
      (e) => e.value,
    ),
    'left',
  );

test('a block in shear: G·A/t worked by hand, and the table of moduli at its lines and between them (Lindley, from memory)', () => {
  expect(shearModulus(60)).toBe(1.06);
  expect(shearModulus(52.5)).toBeCloseTo((0.64 + 0.81) / 2, 9);
  // 1.06 MPa · 200 mm · 120 mm / 60 mm.
  expect(shearRate({ long: 200, wide: 120, thick: 60 }, shearModulus(60))).toBeCloseTo(424, 9);
  expect(() => shearModulus(85)).toThrow('hardness');
});

test('leaf and block behind one another: the lever’s statics and a beam on two supports, 3EIl/(a²b²) (any book of beams)', () => {
  const [a, b] = [600, 400];
  const stiff = model([
    at('carrierFixed', a),
    at('carrierNose', b),
    at('carrierLeaves', 3),
    at('carrierThickness', 14),
  ]);
  const is = stiff.figures([], 0)!;
  // Moments about the fixed eye.
  expect(is.noseLoad * (a + b)).toBeCloseTo(((1500 - 300) / 2) * GRAVITY * a, 3);
  expect(noseShare({ fixed: a, nose: b })).toBe(0.6);
  const inertia = (3 * 70 * 14 ** 3) / 12;
  const beam = (3 * SPRING_STEEL_E * inertia * (a + b)) / (a ** 2 * b ** 2);
  expect(is.rate).toBeCloseTo(1 / (0.6 ** 2 / 424 + 1 / beam), 6);
  expect(axleRate({ fixed: a, nose: b }, 424, 1e12)).toBeCloseTo(424 / 0.36, 4);
  // More load: what the wheel rises is the load over the rate, whichever way it is told.
  const more = stiff.rise([], 0) - stiff.rise([], 1000);
  expect(more).toBeCloseTo(1000 / is.rate, 6);
  // Bending under the axle, P·a·b/l, on three leaves.
  expect(is.leafStress).toBeCloseTo((((is.load * a * b) / (a + b)) * 7) / inertia, 6);
});

test('the axle half way: the nose moves twice what the wheel does, so a block under a stiff leaf counts four times its rate', () => {
  expect(axleRate({ fixed: 500, nose: 500 }, 424, 1e12) / 424).toBeCloseTo(4, 6);
  const even = model([
    at('carrierFixed', 500),
    at('carrierNose', 500),
    at('carrierLeaves', 4),
    at('carrierThickness', 20),
  ]);
  const { rate, blockRate, ofRubber } = even.figures([], 0)!;
  // What is not the rubber's give is the leaf's.
  expect(1 / rate - 1 / (4 * blockRate)).toBeCloseTo((1 - ofRubber) / rate, 9);
});
