import { flatbedSheet } from '../../../../tests/reference/sheets';
import { assemble } from './assemble';
import { type PlannedChange, type Sheet } from './sheet';
import { mainLeafAboveHub } from '../../mechanics/stack/stack';
import { elevationOf, type Elevation, type Point } from './elevation';
import { finish } from '../../finish';
import { predictAxle } from '../solvers';
import { type LeafState } from './onPage';

function statesOf(sheet: Sheet): LeafState[] {
  return finish(predictAxle(assemble(sheet).input, false)).sides.left!.states;
}
const distance = (p: Point, q: Point) => Math.hypot(p.x - q.x, p.y - q.y);
const length = (points: readonly Point[]) => points.slice(1).reduce((sum, p, i) => sum + distance(p, points[i]!), 0);
const [today, laden] = statesOf(flatbedSheet());
const drawings: [string, Elevation][] = [
  ['as it stands, old', today!.old!.elevation],
  ['as it stands, new', today!.built!.elevation],
  ['laden, old', laden!.old!.elevation],
  ['laden, new', laden!.built!.elevation],
];

test.each(drawings)('%s: the shackle keeps its length and the main leaf its own', (_, drawn) => {
  expect(distance(drawn.rearEye, drawn.pivot!)).toBeCloseTo(110, 3);
  // 670 mm to the front and 710 mm to the rear of the pin.
  expect(length(drawn.leaves[0]!.points)).toBeCloseTo(1380, 0);
});

test.each(drawings)(
  '%s: eyes stand above the leaf’s ends by half the bore and half the leaf (upturned, 40 mm bore)',
  (_, drawn) => {
    const main = drawn.leaves[0]!.points;
    expect(distance(drawn.frontEye, main[0]!)).toBeCloseTo(24, 3);
    expect(distance(drawn.rearEye, main.at(-1)!)).toBeCloseTo(24, 3);
  },
);

test.each(drawings)('%s: hub and seat are apart by what the axle stack says', (_, drawn) => {
  expect(drawn.seat.y - drawn.hub.y).toBeCloseTo(mainLeafAboveHub(drawn.stack), 9);
  expect(drawn.seat.x).toBeCloseTo(drawn.hub.x, 9);
});

test.each(drawings)(
  '%s: every leaf lies below the one above it at the pin, and contacts lie on the pack',
  (_, drawn) => {
    const pinned = drawn.leaves.map(({ points }) => Math.min(...points.map((p) => p.y)));
    for (let i = 1; i < pinned.length; i++) expect(pinned[i]!).toBeLessThan(pinned[i - 1]!);
    for (const c of drawn.contacts) {
      expect(c.x).toBeGreaterThan(drawn.frontEye.x);
      expect(c.x).toBeLessThan(drawn.rearEye.x);
      expect(c.y).toBeGreaterThan(drawn.hub.y);
    }
  },
);

test('the heights beside the drawing are the drawing’s own: what the hub moves is what the ledger says', () => {
  for (const state of [today!, laden!]) {
    const moved = state.old!.elevation.hub.y - state.built!.elevation.hub.y;
    expect(moved).toBeCloseTo(state.after! - state.beforeHere!, 6);
  }
  const sunk = laden!.old!.elevation.hub.y - today!.old!.elevation.hub.y;
  expect(sunk).toBeCloseTo(today!.before! - laden!.beforeHere!, 6);
});

test('a spring moved over the axle is drawn above the hub, before it hung below', () => {
  const change: PlannedChange = { kind: 'overAxle', height: 20 };
  const sheet = flatbedSheet([change]);
  const [state] = statesOf({ ...sheet, axle: { ...sheet.axle, arrangement: 'under' } });
  expect(state!.old!.elevation.hub.y).toBeGreaterThan(state!.old!.elevation.seat.y);
  expect(state!.built!.elevation.hub.y).toBeLessThan(state!.built!.elevation.seat.y);
  // The spring itself has not moved in the frame.
  expect(state!.built!.elevation.seat.y).toBeCloseTo(state!.old!.elevation.seat.y, 3);
});

test('without a spring there is nothing to draw', () => {
  const stack = { arrangement: 'over', tubeDiameter: 80, perch: 18, block: 0, main: 8, below: 0 } as const;
  expect(elevationOf({ rise: 0, aboveHub: 0, stack })).toBeUndefined();
});
