import { readFileSync } from 'node:fs';
import { finish } from '@/core/finish';
import { predictBands } from '@/core/height/band';
import { predictCentral } from '@/core/height/predict';
import { summarise } from '@/core/height/ledger';
import { CORE_VERSION } from '@/core/version';
import { uniformFrom } from '@/workers/random';
import { predictionRecordSchema } from './job';

/** Snapshots as earlier versions stored them. They are never regenerated: a new version adds a file. */
const snapshot = (version: number): unknown =>
  JSON.parse(readFileSync(`src/contracts/stored/prediction-${version}.json`, 'utf8'));

test('a prediction stored with schema version 1 can still be read and says what it said', () => {
  const record = predictionRecordSchema.parse(snapshot(1));
  const [state] = record.result.prediction.sides.left!.states;
  // 520 mm measured and a 30 mm block.
  expect(summarise(state!.ledger)).toMatchObject({ before: 520, change: 30, after: 550 });
  expect(record.result.bands.left![0]!.half).toBeGreaterThanOrEqual(3);
});

const sameCore = predictionRecordSchema.parse(snapshot(1)).coreVersion === CORE_VERSION;

// Shown as skipped once the core has moved on.
(sameCore ? test : test.skip)('the same core version, inputs and seed give the stored answer again', () => {
  const record = predictionRecordSchema.parse(snapshot(1));
  const prediction = finish(predictCentral(record.inputs));
  const bands = finish(predictBands(record.inputs, prediction, uniformFrom(record.seed), record.samples));
  expect(JSON.parse(JSON.stringify({ prediction, bands }))).toEqual({
    prediction: record.result.prediction,
    bands: record.result.bands,
  });
});

test('a snapshot of an unknown schema version is refused, not misread', () => {
  const record = snapshot(1) as { result: { schemaVersion: number } };
  record.result.schemaVersion = 2;
  expect(predictionRecordSchema.safeParse(record).success).toBe(false);
});
