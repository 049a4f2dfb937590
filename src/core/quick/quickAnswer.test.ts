import fc from 'fast-check';
import { flatbedSheet } from '../../../tests/reference/sheets';
import { uniformFrom } from '@/workers/random';
import { finish } from '../finish';
import { assemble } from '../suspension/longitudinalLeaf/assemble';
import { type LeafPrediction } from '../suspension/longitudinalLeaf/onPage';
import { bandsOfAxle, predictAxle } from '../suspension/solvers';
import { QUICK_RANGES, quickInput, type QuickAsked } from './quickAnswer';

const answer = (asked: QuickAsked) => {
  const input = quickInput(asked);
  const prediction = finish(predictAxle(input)) as LeafPrediction;
  const band = finish(bandsOfAxle(input, prediction, uniformFrom(7), 4000)).left!.at(-1)!;
  return { state: prediction.sides.left!.states.at(-1)!, band };
};
const PICKUP = { axleLoad: 1400, eyeToEye: 1150, leaves: 6, width: 60, thickness: 8 };

test('a block lifts by its height, a load sinks by load over rate, a longer shackle lifts by about half', () => {
  expect(answer({ ...PICKUP, change: 'block', amount: 50 }).state.change).toBeCloseTo(50, 6);
  const load = answer({ ...PICKUP, change: 'load', amount: 200 });
  expect(load.state.change).toBeCloseTo((-100 * 9.80665) / load.state.old!.rate, 0);
  const { change } = answer({ ...PICKUP, change: 'shackle', amount: 30 }).state;
  expect(change).toBeGreaterThan(9);
  expect(change).toBeLessThan(21);
});

test('the band of a quick answer holds what the whole sheet of the same spring foretells, and a read camber narrows it', () => {
  const { input } = assemble(flatbedSheet());
  const whole = finish(predictAxle(input)) as LeafPrediction;
  const foretold = whole.sides.left!.states[0]!.change;
  const [main] = input.pack!.leaves;
  const added = input.changes.find((c) => c.kind === 'addLeaf')!;
  const asked: QuickAsked = {
    change: 'leaf',
    // What hangs on both springs, and a seventh of it under them.
    axleLoad: (2 * input.sides.left.spring!.load.value) / 9.80665 / 0.85,
    eyeToEye: main!.front.value + main!.rear.value,
    leaves: input.pack!.leaves.length,
    width: input.pack!.width.value,
    thickness: main!.thickness.value,
    amount: added.kind === 'addLeaf' ? added.thickness.value : 0,
  };
  const quick = answer(asked);
  expect(quick.band.low).toBeLessThan(foretold);
  expect(quick.band.high).toBeGreaterThan(foretold);
  expect(Math.abs(quick.state.old!.rate / whole.sides.left!.states[0]!.old!.rate - 1)).toBeLessThan(0.3);
  const read = answer({ ...asked, camber: added.kind === 'addLeaf' ? added.camber.value : 0 });
  expect(read.band.high - read.band.low).toBeLessThan(quick.band.high - quick.band.low);
});

test('any six numbers in their ranges make an input, or are refused by name', () => {
  const within = ({ min, max }: { min: number; max: number }) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(
      fc.record({
        axleLoad: within(QUICK_RANGES.axleLoad),
        eyeToEye: within(QUICK_RANGES.eyeToEye),
        leaves: fc.integer(QUICK_RANGES.leaves),
        width: within(QUICK_RANGES.width),
        thickness: within(QUICK_RANGES.thickness),
        amount: within(QUICK_RANGES.amount.leaf),
      }),
      (numbers) => {
        const [change] = quickInput({ ...numbers, change: 'leaf' }).changes;
        expect(change!.kind === 'addLeaf' && Number.isFinite(change.camber.value) && change.camber.value > 0).toBe(
          true,
        );
      },
    ),
  );
  expect(() => quickInput({ ...PICKUP, change: 'leaf', amount: 80 })).toThrow(/amount/);
});
