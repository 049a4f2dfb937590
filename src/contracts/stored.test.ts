import { readFileSync } from 'node:fs';
import { finish } from '@/core/finish';
import { bandsOfAxle, predictAxle } from '@/core/suspension/solvers';
import { summarise } from '@/core/prediction/ledger';
import { SIDES } from '@/core/vehicle/side';
import { uniformFrom } from '@/workers/random';
import { predictionRecordSchema } from './stored';

/** Snapshots as earlier versions stored them. They are never regenerated: a new version adds a file. */
const snapshot = (name: string): unknown => JSON.parse(readFileSync(`src/contracts/stored/${name}.json`, 'utf8'));

test('a prediction stored with schema version 1 can still be read and says what it said', () => {
  const record = predictionRecordSchema.parse(snapshot('prediction-1'));
  const [state] = record.result.prediction.sides.left!.states;
  // 520 mm measured and a 30 mm block.
  expect(summarise(state!.ledger)).toMatchObject({ before: 520, change: 30, after: 550 });
  expect(record.result.bands.left![0]!.half).toBeGreaterThanOrEqual(3);
});

test.each(['prediction-1', 'prediction-1-spring', 'prediction-2'])(
  'inputs stored as %s are solved by the core of today, within their own band',
  (name) => {
    const record = predictionRecordSchema.parse(snapshot(name));
    const prediction = finish(predictAxle(record.inputs));
    let compared = 0;
    for (const side of SIDES)
      for (const [k, state] of (prediction.sides[side]?.states ?? []).entries()) {
        const stored = record.result.prediction.sides[side]!.states[k]!;
        const { after } = summarise(state.ledger);
        const half = record.result.bands[side]![k]!.half;
        expect(Math.abs(after! - summarise(stored.ledger).after!)).toBeLessThanOrEqual(half);
        compared += 1;
      }
    expect(compared).toBeGreaterThan(0);
  },
);

test('what a database does to the order of keys changes nothing: the same inputs and seed give the same answer', () => {
  const { inputs } = predictionRecordSchema.parse(snapshot('prediction-1-spring'));
  const turned = (node: unknown): unknown => {
    if (Array.isArray(node)) return node.map(turned);
    if (node === null || typeof node !== 'object') return node;
    return Object.fromEntries(
      Object.entries(node)
        .toReversed()
        .map(([key, value]) => [key, turned(value)]),
    );
  };
  const solve = (input: typeof inputs) => {
    const prediction = finish(predictAxle(input));
    return {
      totals: prediction.sides.left!.states.map((s) => s.change),
      bands: finish(bandsOfAxle(input, prediction, uniformFrom(11), 60)),
    };
  };
  expect(solve(turned(inputs) as typeof inputs)).toEqual(solve(inputs));
});

test('an older input is lifted to the schema of today and says of what kind its axle was', () => {
  const older = snapshot('prediction-1-spring') as { inputs: object };
  expect(older.inputs).toMatchObject({ schemaVersion: 1 });
  expect(predictionRecordSchema.parse(older).inputs).toMatchObject({ schemaVersion: 2, kind: 'longitudinalLeaf' });
});

test('a snapshot of an unknown schema version is refused, not misread', () => {
  const future = snapshot('prediction-2') as { inputs: { schemaVersion: number } };
  future.inputs.schemaVersion = 3;
  expect(predictionRecordSchema.safeParse(future).success).toBe(false);
  const record = snapshot('prediction-1') as { result: { schemaVersion: number } };
  record.result.schemaVersion = 2;
  expect(predictionRecordSchema.safeParse(record).success).toBe(false);
});
