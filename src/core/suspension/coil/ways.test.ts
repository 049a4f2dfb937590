import { coilRate, solidHeight } from '../../mechanics/coil/coil';
import { assembleCoil, type CoilAxleSheet } from './assemble';
import { coilConsistency } from './consistency';
import { coilStrands } from './elevation';
import { type CoilPoint } from './points';
import { coilRefusal, coilWays, type CoilPart } from './ways';

/** An invented front axle on coils: wire 16, outside 145, 8.5 turns, 280 mm under 1,380 kg. */
function sheet(more: Partial<Record<CoilPoint, number>> = {}): CoilAxleSheet<'coilBeam'> {
  const once = { axleLoad: 1380, unsprungMass: 240, coilWire: 16, coilOutside: 145, coilTurns: 8.5, coilSpacer: 0 };
  const sided = { hubToLip: 430, coilLength: 280, ...more };
  const loaded: readonly string[] = ['axleLoad', 'hubToLip', 'coilLength'];
  const row = (point: string, value: number, side: 'left' | 'right' | null) => ({
    ...{ point: point as CoilPoint, phase: 'before' as const, side, leafId: null, value, rolled: true },
    stateId: loaded.includes(point) ? 'today' : null,
  });
  return {
    kind: 'coilBeam',
    axle: { position: 'front', axleClass: 'fourByFourFront' },
    wheelbase: 2900,
    readings: [
      ...Object.entries(once).map(([point, value]) => row(point, value, null)),
      ...Object.entries(sided).flatMap(([point, value]) => [row(point, value, 'left'), row(point, value, 'right')]),
    ],
    states: [
      { id: 'today', name: 'today', addedMass: 0, station: 0 },
      { id: 'laden', name: 'laden', addedMass: 120, station: 0 },
    ],
    ends: 'closedGround',
    changes: [],
  };
}

const part = (id: string, more: Partial<CoilPart>): CoilPart => ({
  ...{ id, kind: 'coil', name: id, price: 50, days: 0, used: false, height: null },
  ...{ wire: 16, outside: 145, turns: 8.5, free: 420, ends: 'closedGround' },
  ...more,
});
const SPACER = part('ring', { kind: 'spacer', height: 20, wire: null, outside: null, turns: null, free: null });

test('a way is what it does to the hub by hand: free length less load over rate, and its spacer', () => {
  const input = assembleCoil(sheet()).input;
  const load = input.sides.left.spring!.load.value;
  const rate = coilRate({ wire: 17, mean: 145 - 17, turns: 8.5, ends: 'closedGround' });
  const ways = coilWays(input, [part('stiff', { wire: 17 }), SPACER], { stateId: 'today', change: 20 });
  expect(ways.map((w) => w.id).toSorted()).toEqual(['ring', 'stiff', 'stiff+ring']);
  const change = (id: string) => ways.find((w) => w.id === id)!.states[0]!.change;
  expect(change('ring')).toBeCloseTo(20, 9);
  expect(change('stiff')).toBeCloseTo(420 - load / rate - 280, 6);
  expect(change('stiff+ring')).toBeCloseTo(change('stiff') + 20, 6);
  // The wish is 20 mm up: the ring alone meets it, and it is the fewest parts.
  expect(ways[0]).toMatchObject({ id: 'ring', off: expect.closeTo(0, 9) as number, price: 100, days: 0 });
});

test('what does not sit in the seats, or is not known well enough, is never offered; what goes solid is left out', () => {
  const { input } = assembleCoil(sheet());
  expect(coilRefusal(part('wide', { outside: 168 }), 145)).toContain('seats');
  expect(coilRefusal(part('free', { free: null }), 145)).toContain('free length');
  expect(coilRefusal(part('ends', { ends: null }), 145)).toContain('ends');
  expect(coilRefusal(SPACER, 145)).toBeNull();
  const soft = part('soft', { wire: 11, free: 300 });
  expect(coilWays(input, [soft], { stateId: 'today', change: 0 })).toEqual([]);
  const bad = coilWays(input, [part('long', { free: 560, turns: 14 })], { stateId: 'laden', change: 0 })[0];
  // Long and slender coils are looked at again; an over-stressed one does not fit.
  expect(bad?.checks.find((c) => c.item === 'coilBow')?.state).toBe('look');
});

test('readings that no coil can give are pointed out, and a plain sheet has nothing', () => {
  const rules = (more: Partial<Record<CoilPoint, number>>) => coilConsistency(sheet(more)).map((f) => f.rule);
  expect(rules({})).toEqual([]);
  expect(rules({ coilLength: 130 })).toContain('coilSolid');
  expect(rules({ coilFree: 270 })).toContain('coilFree');
  expect(rules({ coilFree: 330 })).toContain('coilSizes');
  const uneven = sheet();
  const readings = uneven.readings.map((r) =>
    r.point === 'coilLength' && r.side === 'left' ? { ...r, value: 250 } : r,
  );
  expect(coilConsistency({ ...uneven, readings }).map((f) => f.rule)).toEqual(['coilSides', 'coilHeight']);
});

test('the drawn coil runs from seat to seat without a turn through another, however it is pressed', () => {
  const coil = { wire: 16, mean: 129, turns: 8.5, ends: 'closedGround' as const, free: 410 };
  for (const length of [410, 280, solidHeight(coil)]) {
    const strands = coilStrands(coil, length);
    expect(strands[0]!.from.y).toBeCloseTo(0, 9);
    expect(strands.at(-1)!.to.y).toBeCloseTo(length, 9);
    strands.forEach((strand, k) => {
      if (k > 0) expect(strand.from.y).toBeCloseTo(strands[k - 1]!.to.y, 9);
      const next = strands[k + 2];
      if (next) expect(next.from.y - strand.from.y).toBeGreaterThanOrEqual(coil.wire - 1e-6);
    });
  }
});
