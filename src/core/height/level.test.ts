import { flatbedSheet } from '../../../tests/reference/sheets';
import { finish } from '../finish';
import { assemble } from '../measure/assemble';
import { bodyPitch, levelOf, sinksBy } from './level';
import { ledgerBars, ledgerValue, summarise } from '../prediction/ledger';
import { predictAxle } from '../suspension/registry';

const prediction = finish(predictAxle(assemble(flatbedSheet()).input));

test('lean is the difference of the two sides’ own ledgers, before and after, in every load state', () => {
  const levels = levelOf(prediction, 40, 'rear');
  prediction.sides.left!.states.forEach((left, k) => {
    const right = prediction.sides.right!.states[k]!;
    const [l, r] = [summarise(left.ledger), summarise(right.ledger)];
    expect(levels[k]!.lean!.before).toBeCloseTo(l.before! - r.before!, 6);
    expect(levels[k]!.lean!.after).toBeCloseTo(l.after! - r.after!, 6);
  });
  // 520 against 524 as it stands.
  expect(levels[0]!.lean!.before).toBeCloseTo(-4, 6);
});

test('a raised rear adds to the rake, a raised front takes from it; with a load aboard the other axle is not known', () => {
  const rear = levelOf(prediction, 40, 'rear');
  const front = levelOf(prediction, 40, 'front');
  const change =
    (summarise(prediction.sides.left!.states[0]!.ledger).change +
      summarise(prediction.sides.right!.states[0]!.ledger).change) /
    2;
  expect(rear[0]!.rake!.after).toBeCloseTo(40 + change, 6);
  expect(front[0]!.rake!.after).toBeCloseTo(40 - change, 6);
  expect(rear[1]!.rake).toBeNull();
  expect(levelOf(prediction, null, 'rear')[0]!.rake).toBeNull();
});

test('what a load takes is what both states differ by; a body on a wheelbase of 3.2 m turns by half a degree for 28 mm', () => {
  const laden = prediction.sides.left!.states[1]!;
  const [l, r] = [prediction.sides.left!, prediction.sides.right!].map(
    (s) => s.states[0]!.after! - s.states[1]!.after!,
  );
  expect(sinksBy(prediction, laden.id)).toBeCloseTo((l! + r!) / 2, 6);
  expect(sinksBy(prediction, 'nowhere')).toBeNull();
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
