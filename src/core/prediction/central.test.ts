import { assemble } from '../suspension/longitudinalLeaf/assemble';
import { type PlannedChange } from '../suspension/longitudinalLeaf/sheet';
import { flatbedSheet } from '../../../tests/reference/sheets';
import { uniformFrom } from '@/workers/random';
import { type LeafAxleInput } from '../suspension/longitudinalLeaf/input';
import { ledgerValue, summarise } from './ledger';
import { finish } from '../finish';
import { bandsOfAxle, predictAxle } from '../suspension/solvers';
import { lacksOf } from '../suspension/registry';
import { NARROWEST_BAND } from './central';

const inputOf = (changes?: PlannedChange[]): LeafAxleInput => assemble(flatbedSheet(changes)).input;
const predicted = (input: LeafAxleInput) => finish(predictAxle(input));
const block = (height: number): PlannedChange => ({ kind: 'block', height });

test('a block lifts by its height, whatever the spring, and the band is never under ±3 mm', () => {
  const { states } = predicted(inputOf([block(40)])).sides.left!;
  const { before, after, change, half } = summarise(states[0]!.ledger);
  expect(before).toBe(520);
  expect(change).toBeCloseTo(40, 5);
  expect(after).toBeCloseTo(560, 5);
  expect(half).toBeGreaterThanOrEqual(NARROWEST_BAND);
  expect(half).toBeLessThan(3.5);
});

test('a block is answered from the heights alone, before anything else is measured', () => {
  const input: LeafAxleInput = { ...inputOf([block(25)]), pack: null };
  input.sides = { left: { height: input.sides.left.height, spring: null }, right: { height: null, spring: null } };
  expect(lacksOf(input)).toEqual([]);
  const left = predicted(input).sides.left!;
  expect(left.states).toHaveLength(1);
  expect(left.states[0]!.after).toBeCloseTo(545, 9);
});

test('a leaf cannot be answered without the pack, and that is said', () => {
  expect(lacksOf({ ...inputOf(), pack: null })).toEqual([]);
  expect(lacksOf(inputOf([]))).toEqual(['change']);
});

test('every ledger adds up and the added leaf’s thickness is a line of its own', () => {
  for (const state of predicted(inputOf()).sides.left!.states) {
    const lines = state.ledger.filter((l) => l.kind !== 'total' && l.kind !== 'settling');
    expect(lines.reduce((s, l) => s + l.value, 0)).toBeCloseTo(ledgerValue(state.ledger, 'total'), 9);
    expect(ledgerValue(state.ledger, 'leafThickness')).toBe(8);
    expect(ledgerValue(state.ledger, 'leafArch')).toBeGreaterThan(5);
  }
});

test('under the axle an added leaf lifts by its arch only', () => {
  const sheet = flatbedSheet();
  const { input } = assemble({ ...sheet, axle: { ...sheet.axle, arrangement: 'under' } });
  expect(ledgerValue(predicted(input).sides.left!.states[0]!.ledger, 'leafThickness')).toBe(0);
});

test('without a before height only the change is foretold', () => {
  const input = inputOf();
  input.sides.left = { ...input.sides.left, height: null };
  const state = predicted(input).sides.left!.states[0]!;
  expect([state.before, state.after]).toEqual([null, null]);
  expect(state.change).toBeGreaterThan(10);
});

test('an added leaf stiffens the pack, carries stress before the others, and the heavier state sits lower', () => {
  const [today, laden] = predicted(inputOf()).sides.left!.states;
  expect(today!.built!.rate).toBeGreaterThan(today!.old!.rate);
  expect(today!.built!.frequency!).toBeGreaterThan(today!.old!.frequency!);
  expect(laden!.after!).toBeLessThan(today!.after!);
  expect(laden!.beforeHere!).toBeLessThan(laden!.before!);
});

test('U-bolts: the added thickness is what they lose, and a spring that changes places needs a new set', () => {
  const { ubolt, centreBolt } = predicted(inputOf());
  expect(ubolt).toMatchObject({ exposedAfter: 12, threadsLeft: 8, engagement: 'fits' });
  // Seven leaves of 8 mm, the assumed nut and two to three threads.
  expect(centreBolt).toMatchObject({ least: 56 + 8 + 3, origin: 'assumed' });
  const sheet = flatbedSheet([{ kind: 'overAxle', height: 20 }]);
  const under = assemble({ ...sheet, axle: { ...sheet.axle, arrangement: 'under' } }).input;
  const moved = predicted(under);
  expect(moved.ubolt).toBe('new set');
  // Tube 85 + pack 48 + both perches 18 and 20.
  expect(moved.sides.left!.states[0]!.change).toBeCloseTo(171, 6);
});

test('the same seed gives the same band, another seed nearly the same', () => {
  const input = inputOf();
  const prediction = predicted(input);
  const half = (seed: number) => finish(bandsOfAxle(input, prediction, uniformFrom(seed), 60)).left![0]!.half;
  const first = half(5);
  expect(half(5)).toBe(first);
  expect(half(6)).toBeGreaterThan(0.5 * first);
  expect(half(6)).toBeLessThan(2 * first);
});

test('the band does not depend on the order of keys, which a database may change', () => {
  const input = inputOf();
  const turned = (node: unknown): unknown =>
    Array.isArray(node)
      ? node.map(turned)
      : node !== null && typeof node === 'object'
        ? Object.fromEntries(
            Object.entries(node)
              .reverse()
              .map(([key, value]) => [key, turned(value)]),
          )
        : node;
  const other = turned(input) as LeafAxleInput;
  const half = (i: LeafAxleInput) => finish(bandsOfAxle(i, predicted(i), uniformFrom(4), 50)).right![1]!.half;
  expect(half(other)).toBeCloseTo(half(input), 9);
});

test('the first-order band agrees with Monte Carlo and a catalogue leaf widens it', () => {
  const known = inputOf();
  const prediction = predicted(known);
  const { half } = finish(bandsOfAxle(known, prediction, uniformFrom(9), 150)).left![0]!;
  expect(prediction.sides.left!.states[0]!.firstOrder / half).toBeGreaterThan(0.6);
  expect(prediction.sides.left!.states[0]!.firstOrder / half).toBeLessThan(1.6);
  const [leaf] = flatbedSheet().changes;
  const catalogue = predicted(inputOf([{ ...leaf!, source: 'catalogue' } as PlannedChange]));
  expect(catalogue.sides.left!.states[0]!.firstOrder).toBeGreaterThan(
    1.2 * prediction.sides.left!.states[0]!.firstOrder,
  );
  expect(catalogue.sides.left!.states[0]!.contributions[0]!.path).toBe('changes.0.camber');
});
