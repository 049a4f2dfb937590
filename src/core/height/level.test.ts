import { flatbedSheet } from '../../../tests/reference/sheets';
import { finish } from '../finish';
import { assemble } from '../suspension/longitudinalLeaf/assemble';
import { GRAVITY } from '../material/steel';
import { type LeafState } from '../suspension/longitudinalLeaf/onPage';
import { HELD } from '../measure/otherAxle';
import { bodyPitch, levelOf, sinksBy, type Around } from './level';
import { ledgerBars, ledgerValue, summarise } from '../prediction/ledger';
import { predictAxle } from '../suspension/solvers';

const prediction = finish(predictAxle(assemble(flatbedSheet()).input));

const CARGO = { mass: 400, station: 2900 };
const around = (more: Partial<Around> = {}): Around => ({
  ...{ rake: 40, position: 'rear', wheelbase: 3200, aboard: { laden: CARGO }, tyreRate: 250 },
  other: { rate: { value: 80, half90: 8, origin: 'calibrated' }, from: 'learned' },
  ...more,
});
const mean = (of: (s: LeafState) => number, k: number) =>
  (of(prediction.sides.left!.states[k]!) + of(prediction.sides.right!.states[k]!)) / 2;

test('lean is the difference of the two sides’ own ledgers, before and after, in every load state', () => {
  const levels = levelOf(prediction.sides, around());
  prediction.sides.left!.states.forEach((left, k) => {
    const right = prediction.sides.right!.states[k]!;
    const [l, r] = [summarise(left.ledger), summarise(right.ledger)];
    expect(levels[k]!.lean!.before).toBeCloseTo(l.before! - r.before!, 6);
    expect(levels[k]!.lean!.after).toBeCloseTo(l.after! - r.after!, 6);
  });
  // 520 against 524 as it stands.
  expect(levels[0]!.lean!.before).toBeCloseTo(-4, 6);
});

test('a raised rear adds to the rake, a raised front takes from it, with nothing more aboard', () => {
  const change = mean((s) => s.change, 0);
  expect(levelOf(prediction.sides, around())[0]!.rake!.after).toBeCloseTo(40 + change, 6);
  expect(levelOf(prediction.sides, around({ position: 'front' }))[0]!.rake!.after).toBeCloseTo(40 - change, 6);
  expect(levelOf(prediction.sides, around({ rake: null }))[0]!.rake).toBeNull();
});

test('with a load aboard both axles give: each its share by statics, its springs and its tyres', () => {
  const [, laden] = levelOf(prediction.sides, around());
  // 400 kg at 2,900 of 3,200 mm: 362.5 kg behind, 37.5 kg in front; tyres of 250 N/mm each under the rear.
  const rear = (own: number) => own - (362.5 * GRAVITY) / 500;
  const front = -(37.5 * GRAVITY) / 80;
  expect(laden!.rake!.before).toBeCloseTo(40 + rear(mean((s) => ledgerValue(s.ledger, 'load'), 1)) - front, 6);
  expect(laden!.rake!.after).toBeCloseTo(40 + rear(mean((s) => s.change, 1)) - front, 6);
  expect(laden!.rises!.other.after).toBeCloseTo(front, 6);
});

test('where the other axle is worked on too, its own prediction is what it gives and rises by', () => {
  const [base, laden] = levelOf(prediction.sides, around({ other: null, worked: prediction.sides }));
  const change = mean((s) => s.change, 0);
  // Both axles raised alike: the rake stays.
  expect(base!.rises!.other.after).toBeCloseTo(change, 6);
  expect(base!.rake!.after).toBeCloseTo(40, 6);
  const rear = mean((s) => s.change, 1) - (362.5 * GRAVITY) / 500;
  const front = mean((s) => s.change, 1) - (37.5 * GRAVITY) / 500;
  expect(laden!.rises!.own.after).toBeCloseTo(rear, 6);
  expect(laden!.rises!.other.after).toBeCloseTo(front, 6);
});

test('a coupling that is held stays where it is, whatever is loaded on it', () => {
  const nose = { laden: { mass: 400, station: 100 } };
  const [base, laden] = levelOf(prediction.sides, around({ other: HELD, aboard: nose }));
  expect(base!.rises!.other.after).toBe(0);
  expect(Math.abs(laden!.rises!.other.after)).toBeLessThan(0.01);
  expect(laden!.rake!.after).toBeCloseTo(40 + laden!.rises!.own.after, 1);
});

test('nothing is told of a laden rake while the other axle is not known; an assumed spring widens the band', () => {
  expect(levelOf(prediction.sides, around({ other: null }))[1]!.rake).toBeNull();
  const wide = { rate: { value: 80, half90: 45, origin: 'assumed' as const }, from: 'assumed' as const };
  const nose = { laden: { mass: 400, station: 300 } };
  const [, known] = levelOf(prediction.sides, around({ aboard: nose }));
  const [, guessed] = levelOf(prediction.sides, around({ aboard: nose, other: wide }));
  expect(guessed!.rake!.after).toBeCloseTo(known!.rake!.after, 6);
  expect(guessed!.rake!.half90).toBeGreaterThan(2 * known!.rake!.half90);
});

test('what a load takes is what both states differ by; a body on a wheelbase of 3.2 m turns by half a degree for 28 mm', () => {
  const laden = prediction.sides.left!.states[1]!;
  const [l, r] = [prediction.sides.left!, prediction.sides.right!].map(
    (s) => s.states[0]!.after! - s.states[1]!.after!,
  );
  expect(sinksBy(prediction.sides, laden.id)).toBeCloseTo((l! + r!) / 2, 6);
  expect(sinksBy(prediction.sides, 'nowhere')).toBeNull();
  expect((bodyPitch(28, 3200) * 180) / Math.PI).toBeCloseTo(0.5, 2);
});

test('bars of a ledger run on from one another and end at the total', () => {
  const { ledger } = prediction.sides.left!.states[1]!;
  const bars = ledgerBars(ledger);
  bars.forEach((bar, k) => {
    if (k > 0 && bar.line.kind !== 'total' && bar.line.kind !== 'settling')
      expect(bar.from).toBeCloseTo(bars[k - 1]!.to, 9);
  });
  const total = bars.find((b) => b.line.kind === 'total')!;
  expect(total.to).toBeCloseTo(ledgerValue(ledger, 'total'), 9);
  const last = bars[bars.indexOf(total) - 1]!;
  expect(last.to).toBeCloseTo(total.to, 6);
  // Settling goes on from the total.
  expect(bars.at(-1)!.from).toBeCloseTo(total.to, 9);
});
