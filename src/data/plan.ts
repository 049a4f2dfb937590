import { z } from 'zod';
import { predictionSchema } from '@/contracts/prediction';
import { predictionRecordSchema, type NewResult } from '@/contracts/stored';
import {
  changeSchema,
  planSchema,
  schoolChoiceSchema,
  type ChangeRow,
  type NewSchoolChoice,
  type PlanRow,
} from '@/contracts/plan';
import { type AxleInput } from '@/core/suspension/registry';
import { type LedgerLine } from '@/core/prediction/ledger';
import { type Tx } from './client';
import { insertOnce } from './insertOnce';
import { insertRows } from './insertRows';
import { JOB_OF } from './jobAxle';

const headSchema = planSchema.omit({ changes: true });

/** Changes as they were stored: the only version so far. */
const STORED_CHANGE = 1;
const storedChange = z
  .looseObject({ schemaVersion: z.literal(STORED_CHANGE) })
  .transform(({ schemaVersion, ...change }) => change)
  .pipe(changeSchema);

const listedSchema = headSchema.extend({ current: z.boolean() });

/** All plans of a job, the one at work among them. */
export async function jobPlans(
  tx: Tx,
  jobAxleId: string,
): Promise<{ plan: z.infer<typeof planSchema> | undefined; plans: PlanRow[] }> {
  const [heads, rows] = await Promise.all([
    tx.rows(
      listedSchema,
      `SELECT l.id, l.name, l.version, l.current, l.updated_at AS "updatedAt", p.name AS "updatedBy"
       FROM plan l JOIN person p ON p.shop_id = l.shop_id AND p.id = l.updated_by
      WHERE l.job_axle_id = $1 ORDER BY l.made_at, l.name`,
      [jobAxleId],
    ),
    tx.rows(
      z.object({ planId: z.uuid(), change: storedChange }),
      `SELECT plan_id AS "planId", change FROM plan_change
        WHERE plan_id IN (SELECT id FROM plan WHERE job_axle_id = $1) ORDER BY plan_id, ordinal`,
      [jobAxleId],
    ),
  ]);
  const changes = (id: string): ChangeRow[] => rows.filter((row) => row.planId === id).map(({ change }) => change);
  const plans = heads.map(({ id, name, version, current }) => ({ id, name, version, current, changes: changes(id) }));
  const head = heads.find((h) => h.current);
  if (!head) return { plan: undefined, plans };
  const { current, ...own } = head;
  return { plan: { ...own, changes: changes(head.id) }, plans };
}

/** A plan that becomes the one at work. */
export async function insertPlan(tx: Tx, id: string, jobAxleId: string, name = 'Plan 1'): Promise<number> {
  const there = await tx.rows(z.object({ id: z.uuid() }), 'SELECT id FROM plan WHERE id = $1', [id]);
  if (there.length > 0) return 0;
  await tx.run('UPDATE plan SET current = false WHERE job_axle_id = $1 AND current', [jobAxleId]);
  return tx.run('INSERT INTO plan (shop_id, id, job_axle_id, name, updated_by) VALUES ($1, $2, $3, $4, $5)', [
    tx.shop,
    id,
    jobAxleId,
    name,
    tx.person,
  ]);
}

/** Takes another plan of the job up; its version goes on, so that a stored prediction of it still counts. */
export async function usePlan(tx: Tx, jobAxleId: string, id: string): Promise<number> {
  await tx.run('UPDATE plan SET current = false WHERE job_axle_id = $1 AND current AND id <> $2', [jobAxleId, id]);
  return tx.run('UPDATE plan SET current = true WHERE job_axle_id = $1 AND id = $2', [jobAxleId, id]);
}

export const renamePlan = (tx: Tx, jobAxleId: string, id: string, name: string) =>
  tx.run('UPDATE plan SET name = $3 WHERE job_axle_id = $1 AND id = $2', [jobAxleId, id, name]);

/** Raises the plan's version when it still is `version`; 0 rows otherwise. */
export const claimPlan = (tx: Tx, planId: string, version: number) =>
  tx.run(
    'UPDATE plan SET version = version + 1, updated_by = $3, updated_at = now() WHERE id = $1 AND version = $2 AND current',
    [planId, version, tx.person],
  );

export async function replaceChanges(tx: Tx, planId: string, changes: readonly ChangeRow[]): Promise<void> {
  await tx.run('DELETE FROM plan_change WHERE plan_id = $1', [planId]);
  const rows = changes.map((change, ordinal) => ({
    ...{ plan_id: planId, ordinal, kind: change.kind, part_id: 'partId' in change ? change.partId : undefined },
    change: { ...change, schemaVersion: STORED_CHANGE },
  }));
  await insertRows(tx, 'plan_change', rows);
}

/** What must fit, out of the immutable result: never the whole drawing and curves. */
const FACTS = `json_build_object('ubolt', f.result -> 'prediction' -> 'ubolt',
  'left', nullif(f.result -> 'prediction' -> 'sides' -> 'left' -> 'travel', 'null'),
  'right', nullif(f.result -> 'prediction' -> 'sides' -> 'right' -> 'travel', 'null'),
  'coils', jsonb_path_query_array(f.result, '$.prediction.sides.*.states[*].built ? (exists(@.toSolid))'),
  'pair', jsonb_path_query_array(f.result, '$.prediction.sides.*.states[*].built ? (exists(@.atStop))'),
  'cross', jsonb_path_query_array(f.result, '$.prediction.sides.*.states[*] ? (exists(@.built.roll))'),
  'shear', jsonb_path_query_array(f.result, '$.prediction.sides.*.states[*] ? (exists(@.built.noseLoad))'),
  'helpers', jsonb_path_query_array(f.result, '$.prediction.sides.*.states[*].built.helper'),
  'working', jsonb_path_query_array(f.result, '$.prediction.sides.*.states[*].built.peakStress'),
  'clamped', jsonb_path_query_array(f.result, '$.prediction.sides.*.states[*].built.clampStress'),
  'nominal', jsonb_path_query_array(f.result, '$.prediction.sides.*.states[*].built.nominalStress'))`;

/** Stored predictions of a job, the newest first. */
export const jobPredictions = (tx: Tx, jobAxleId: string) =>
  tx.rows(
    predictionSchema,
    `SELECT f.id, f.plan_version AS "planVersion", f.core_version AS "coreVersion", f.seed, f.samples,
            f.made_at AS "madeAt", p.name AS person, f.plan_name AS "planName", f.plan_id AS "planId",
            ${FACTS} AS facts,
            coalesce((SELECT json_agg(json_build_object('side', g.side, 'stateId', g.load_state_id, 'lines', g.lines))
               FROM (SELECT l.side, l.load_state_id,
                            jsonb_agg(jsonb_build_object('kind', l.kind, 'label', l.label, 'value', l.value_mm,
                                                       'half90', l.half90_mm)
                              || CASE WHEN l.below90_mm IS NULL THEN '{}'::jsonb ELSE jsonb_build_object('reach',
                                   jsonb_build_object('below', l.below90_mm, 'above', l.above90_mm)) END
                              ORDER BY l.ordinal) AS lines
                       FROM ledger_line l WHERE l.prediction_id = f.id GROUP BY l.side, l.load_state_id) g), '[]') AS ledgers
       FROM prediction f JOIN person p ON p.shop_id = f.shop_id AND p.id = f.person_id
      WHERE f.job_axle_id = $1 ORDER BY f.nth DESC`,
    [jobAxleId],
  );

/** One prediction with everything it was solved from and to. */
export const predictionRecord = (tx: Tx, id: string) =>
  tx.rows(
    predictionRecordSchema,
    'SELECT id, core_version AS "coreVersion", seed, samples, inputs, result FROM prediction WHERE id = $1',
    [id],
  );

export interface NewStoredPrediction {
  id: string;
  jobAxleId: string;
  planId: string;
  planVersion: number;
  planName: string;
  coreVersion: string;
  seed: number;
  samples: number;
  inputs: AxleInput;
  result: NewResult;
}

export const insertPrediction = (tx: Tx, f: NewStoredPrediction) =>
  tx.run(
    `INSERT INTO prediction (shop_id, id, job_axle_id, plan_id, plan_version, core_version, seed, samples, inputs, result, person_id,
                             plan_name)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12) ON CONFLICT (shop_id, id) DO NOTHING`,
    [
      tx.shop,
      f.id,
      f.jobAxleId,
      f.planId,
      f.planVersion,
      f.coreVersion,
      f.seed,
      f.samples,
      f.inputs,
      f.result,
      tx.person,
      f.planName,
    ],
  );

/** Ledgers of a prediction: a side's and load state's lines in their order. */
export const insertLedgers = (
  tx: Tx,
  predictionId: string,
  ledgers: readonly { side: string; stateId: string; lines: readonly LedgerLine[] }[],
): Promise<number> =>
  insertRows(
    tx,
    'ledger_line',
    ledgers.flatMap(({ side, stateId, lines }) =>
      lines.map((line, ordinal) => ({
        ...{ prediction_id: predictionId, side, load_state_id: stateId, ordinal, kind: line.kind, label: line.label },
        ...{ value_mm: line.value, half90_mm: line.half90 },
        ...{ below90_mm: line.reach?.below ?? null, above90_mm: line.reach?.above ?? null },
      })),
    ),
  );

export const insertOutcome = (
  tx: Tx,
  o: {
    readingId: string;
    predictionId: string;
    side: string;
    stateId: string;
    measured: number;
    predicted: number;
    half90: number;
    inside: boolean;
    convertedBy: number;
    point: string;
  },
) =>
  tx.run(
    `INSERT INTO outcome (shop_id, reading_id, prediction_id, side, load_state_id, measured_mm, predicted_mm, half90_mm,
                          inside, converted_by_mm, point)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11) ON CONFLICT (shop_id, reading_id) DO NOTHING`,
    [
      tx.shop,
      o.readingId,
      o.predictionId,
      o.side,
      o.stateId,
      o.measured,
      o.predicted,
      o.half90,
      o.inside,
      o.convertedBy,
      o.point,
    ],
  );

/** The last choice of each question, of the shop as a whole and of one job. */
export const jobSchools = (tx: Tx, jobAxleId: string) =>
  tx.rows(
    schoolChoiceSchema,
    `SELECT DISTINCT ON (c.question, c.job_id) c.question, c.school, c.reason, c.job_id IS NULL AS "ofShop", p.name AS person,
            c.chosen_at AS "chosenAt"
       FROM school_choice c JOIN person p ON p.shop_id = c.shop_id AND p.id = c.person_id
      WHERE c.job_id = ${JOB_OF} OR c.job_id IS NULL ORDER BY c.question, c.job_id, c.nth DESC`,
    [jobAxleId],
  );

export const insertSchoolChoice = (tx: Tx, jobId: string, c: NewSchoolChoice) =>
  insertOnce(tx, 'school_choice', {
    ...{ id: c.id, job_id: c.ofShop ? null : jobId, question: c.question, school: c.school, reason: c.reason },
    person_id: tx.person,
  });
