import { draw } from '@/core/estimate/tree';
import { SPRING_STEEL_E } from '@/core/material/steel';
import { type SheetReading } from '@/core/sheet/reading';
import { assembleCross } from '@/core/suspension/transverseLeaf/assemble';
import { CROSS_SHEET, type CrossPoint } from '@/core/suspension/transverseLeaf/points';
import { CrossSideModel } from '@/core/suspension/transverseLeaf/sideModel';

const HALF = 420;
const WIDTH = 50;
const THICK = 8;
const SLOPE = 0.12;
const KINGPIN = 150;

/** A spring of leaves that all reach from eye to eye, clamped on a line, standing flat under its load. */
function flat(leaves: number, load: number) {
  const at = (point: CrossPoint, value: number, side: 'left' | 'right' | null = null) =>
    ({
      ...{ point, value, side, phase: 'before', leafId: null, rolled: true },
      stateId: CROSS_SHEET[point].loaded ? 'now' : null,
    }) as SheetReading<CrossPoint>;
  const { input } = assembleCross({
    axle: { position: 'front', axleClass: 'cartFront' },
    wheelbase: 1700,
    states: [{ id: 'now', name: 'today', addedMass: 0, station: 0 }],
    changes: [],
    readings: [
      ...[at('axleLoad', load), at('unsprungMass', 0.001), at('crossLeaves', leaves), at('crossFull', leaves)],
      ...[at('crossWidth', WIDTH), at('crossThickness', THICK), at('crossClamp', 0.01)],
      ...[at('crossHalf', HALF, 'left'), at('crossDrop', -THICK / 2, 'left'), at('hubToLip', 250, 'left')],
      ...[at('upperArm', 260), at('kingpinLength', KINGPIN), at('upperSlope', SLOPE)],
    ],
  });
  return new CrossSideModel(
    draw(input, (e) => e.value),
    'left',
  );
}
const CANTILEVER = (3 * SPRING_STEEL_E * WIDTH * THICK ** 3) / 12 / HALF ** 3;

test('one half of a flat spring is a cantilever: 3EI/L³ a leaf (any book of beams), and so many times that for so many leaves', () => {
  for (const leaves of [1, 2, 4]) {
    const { rate, roll } = flat(leaves, 120).figures([], 0)!;
    expect(rate / (leaves * CANTILEVER)).toBeCloseTo(1, 2);
    // Both wheels turn the frame one way: half the rate by the square of what lies between the eyes.
    expect(roll).toBeCloseTo(((rate * (2 * HALF) ** 2) / 2 / 1000) * (Math.PI / 180), 1);
  }
});

test('its eye draws in as on a link of 0.85 of its length (Howell, Compliant Mechanisms, from memory: 0.8517 for a force square to the leaf)', () => {
  const model = flat(1, 120);
  const [level, bent] = [model.figures([], 0)!, model.figures([], CANTILEVER * 110)!];
  const down = level.drop - bent.drop;
  const link = 0.8517 * HALF;
  const drawn = link - Math.sqrt(link ** 2 - down ** 2);
  expect(down).toBeGreaterThan(100);
  expect((level.reach - bent.reach) / drawn).toBeGreaterThan(0.97);
  expect((level.reach - bent.reach) / drawn).toBeLessThan(1.03);
});

test('camber near where it stands is what the instant centre of leaf and upper arm says: tan(slope) over the kingpin, a millimetre', () => {
  const model = flat(1, 120);
  const moved = model.figures([], CANTILEVER * 2)!;
  const up = model.figures([], 0)!.drop - moved.drop;
  // The flat leaf's eye goes straight up; the arm's outer end stands higher, so that both lines meet inboard and the top goes in.
  expect(moved.camber! / ((-Math.tan(SLOPE) / KINGPIN) * up)).toBeCloseTo(1, 1);
});
