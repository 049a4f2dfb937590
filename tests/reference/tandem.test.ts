import { Matrix, solve } from 'ml-matrix';
import { draw } from '@/core/estimate/tree';
import { GRAVITY } from '@/core/material/steel';
import { type SheetReading } from '@/core/sheet/reading';
import { assembleTandem } from '@/core/suspension/tandem/assemble';
import { type TandemPoint } from '@/core/suspension/tandem/points';
import { TandemSideModel } from '@/core/suspension/tandem/sideModel';
import { independentLoads } from '@/core/vehicle/tandem';

const HITCH = 4000;
const SPACING = 900;

/** A trailer on slippers as it would be read, both sides alike. */
function slippers() {
  const at = (point: TandemPoint, value: number, side: 'left' | 'right' | null = null, stateId: string | null = null) =>
    ({ ...{ point, value, side, stateId, phase: 'before', leafId: null, rolled: true } }) as SheetReading<TandemPoint>;
  const sides = (point: TandemPoint, value: number) => [
    at(point, value, 'left', 'now'),
    at(point, value, 'right', 'now'),
  ];
  const { input } = assembleTandem({
    kind: 'tandemSlipper',
    axle: { position: 'rear', axleClass: 'trailer1t', arrangement: 'over' },
    wheelbase: HITCH,
    states: [{ id: 'now', name: 'today', addedMass: 0, station: 0 }],
    changes: [],
    readings: [
      ...[at('axleLoad', 2000, null, 'now'), at('unsprungMass', 0.001 + 140), at('tyreRate', 260)],
      ...[
        at('frontAxleLoad', 1000, null, 'now'),
        at('rearAxleLoad', 1000, null, 'now'),
        at('framePitch', 0, null, 'now'),
      ],
      ...[
        at('pairLeaves', 5),
        at('pairWidth', 50),
        at('pairThickness', 6.5),
        at('pairOuter', 340),
        at('pairInner', 340),
      ],
      ...[...sides('pairArchFront', 40), ...sides('pairArchRear', 40), ...sides('hubToLip', 200)],
      at('axleSpacing', SPACING),
    ],
  });
  return new TandemSideModel(
    draw(input, (e) => e.value),
    'left',
  );
}

test('a coupling raised by 60 mm moves as much load between independent axles as a beam on three springs says', () => {
  const model = slippers();
  const [level, raised] = [model.onRoad([], 0, 0, 0), model.onRoad([], 0, 60, 0)];
  const series = 1 / (1 / level.each + 1 / 260);
  // Written apart: a rigid body hinged at its coupling, which is held; its one unknown is its turn. Both sides, N/mm and mm.
  const [front, rear] = [HITCH - SPACING / 2, HITCH + SPACING / 2];
  const turn = solve(
    new Matrix([[2 * series * (front ** 2 + rear ** 2)]]),
    new Matrix([[-2 * series * 60 * (front + rear)]]),
  ).get(0, 0);
  const given = (station: number) => -2 * series * (60 + turn * station);
  const moved = (given(rear) - given(front)) / GRAVITY;
  const told = (2 * (raised.rear.load - raised.front.load - (level.rear.load - level.front.load))) / GRAVITY;
  // The pair keeps its own load as told, the beam passes a little to its coupling.
  expect(Math.abs(told / moved - 1)).toBeLessThan(0.02);
  const even = { hitch: 100, front: 1000, rear: 1000 };
  const beam = independentLoads({ axles: { front, rear } }, even, 2 * series, 60);
  expect(Math.abs((beam.rear - beam.front) / moved - 1)).toBeLessThan(0.001);
});
