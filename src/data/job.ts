import { axleSchema, vehicleSchema } from '@/contracts/vehicle';
import { buildSchema, outcomeSchema } from '@/contracts/build';
import { goalSchema, jobSchema, type AskEdit, type GoalRow, type NewJob } from '@/contracts/ask';
import { leafSchema, packSchema, type PackEdit } from '@/contracts/pack';
import { sideSchema } from '@/contracts/basics';
import { type Side } from '@/core/vehicle/side';
import { safetySchema } from '@/contracts/safety';
import { stateSchema, type LoadItem } from '@/contracts/loads';
import { surveySchema, type NewSurvey } from '@/contracts/surveyRow';
import { type Tx } from './client';
import { insertOnce } from './insertOnce';
import { insertRows } from './insertRows';
import { JOB_OF } from './jobAxle';
import { VEHICLE } from './shop';

const JOB = `j.id, j.complaint, x.wanted_change_mm AS "wantedChange", x.wanted_typed AS "wantedTyped",
  x.tolerance_mm AS tolerance, x.tolerance_typed AS "toleranceTyped", x.guess_mm AS guess, x.guess_typed AS "guessTyped",
  j.no_blocks AS "noBlocks", j.keep_ubolts AS "keepUbolts", j.budget, j.version, j.updated_at AS "updatedAt",
  j.created_at AS "createdAt", p.name AS "updatedBy"`;

export const jobRow = (tx: Tx, id: string) =>
  tx.rows(
    jobSchema,
    `SELECT ${JOB} FROM job_axle x JOIN job j ON j.shop_id = x.shop_id AND j.id = x.job_id
       JOIN person p ON p.shop_id = j.shop_id AND p.id = j.updated_by WHERE x.id = $1`,
    [id],
  );

export const jobVehicle = (tx: Tx, id: string) =>
  tx.rows(
    vehicleSchema,
    `SELECT ${VEHICLE} FROM job_axle x JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id
       JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id WHERE x.id = $1`,
    [id],
  );

export const jobAxle = (tx: Tx, id: string) =>
  tx.rows(
    axleSchema,
    `SELECT a.id, a.position, a.suspension, a.arrangement, a.class AS "axleClass", a.steered
       FROM job_axle x JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id WHERE x.id = $1`,
    [id],
  );

export const jobStates = (tx: Tx, id: string) =>
  tx.rows(
    stateSchema,
    `SELECT s.id, s.ordinal, s.name, s.added_mass_kg AS "addedMass", s.mass_typed AS "massTyped", s.station_mm AS station,
            s.station_typed AS "stationTyped", s.wanted,
            coalesce((SELECT json_agg(json_build_object('kind', i.kind, 'name', i.name, 'mass', i.mass_kg, 'massTyped', i.mass_typed,
                        'station', i.station_mm, 'stationTyped', i.station_typed) ORDER BY i.ordinal)
                        FROM load_item i WHERE i.shop_id = s.shop_id AND i.load_state_id = s.id), '[]') AS items
       FROM load_state s WHERE s.job_id = ${JOB_OF} ORDER BY s.ordinal`,
    [id],
  );

/** The pack of both sides first, then that of a side of its own. */
export const jobPacks = (tx: Tx, id: string) =>
  tx.rows(
    packSchema,
    `SELECT k.id, k.side, k.eye_form AS "eyeForm", k.seat_shape AS "seatShape", k.lowest_leaf AS "lowestLeaf", k.eye_form_rear AS "eyeFormRear", k.rear_end AS "rearEnd", k.shackle_at AS "shackleAt", k.rusty, k.other_side AS "otherSide", k.own_side AS "ownSide", k.ubolt_bend AS "uboltBend",
            k.version, k.updated_at AS "updatedAt",
            p.name AS "updatedBy"
       FROM pack k JOIN person p ON p.shop_id = k.shop_id AND p.id = k.updated_by
      WHERE k.job_axle_id = $1 ORDER BY k.side NULLS FIRST`,
    [id],
  );

export const jobLeaves = (tx: Tx, id: string) =>
  tx.rows(
    leafSchema.extend({ side: sideSchema.nullable() }),
    `SELECT c.id, c.ordinal, c.side FROM component c
      WHERE c.job_axle_id = $1 AND c.kind = 'leaf' AND NOT c.removed ORDER BY c.ordinal`,
    [id],
  );

export const jobSafety = (tx: Tx, id: string) =>
  tx.rows(
    safetySchema,
    `SELECT DISTINCT ON (s.item) s.item, s.answer, s.answered_at AS "answeredAt", p.name AS person
       FROM safety_answer s JOIN person p ON p.shop_id = s.shop_id AND p.id = s.person_id
      WHERE s.job_axle_id = $1 ORDER BY s.item, s.nth DESC`,
    [id],
  );

export const jobSurvey = (tx: Tx, id: string) =>
  tx.rows(
    surveySchema,
    `SELECT DISTINCT ON (s.item) s.item, s.answer, s.slack_mm AS slack, s.slack_typed AS "slackTyped", s.note,
            s.answered_at AS "answeredAt", p.name AS person
       FROM survey_answer s JOIN person p ON p.shop_id = s.shop_id AND p.id = s.person_id
      WHERE s.job_axle_id = $1 ORDER BY s.item, s.nth DESC`,
    [id],
  );

export const insertSurvey = (tx: Tx, jobAxleId: string, s: NewSurvey) =>
  insertOnce(tx, 'survey_answer', {
    ...{ id: s.id, job_axle_id: jobAxleId, item: s.item, answer: s.answer, slack_mm: s.slack },
    ...{ slack_typed: s.slackTyped, note: s.note, person_id: tx.person },
  });

export const jobBuild = (tx: Tx, id: string) =>
  tx.rows(
    buildSchema,
    `SELECT b.prediction_id AS "predictionId", b.override_reason AS "overrideReason", b.started_at AS "startedAt",
            p.name AS person
       FROM build_start b JOIN person p ON p.shop_id = b.shop_id AND p.id = b.person_id WHERE b.job_axle_id = $1`,
    [id],
  );

export const jobOutcomes = (tx: Tx, id: string) =>
  tx.rows(
    outcomeSchema,
    `SELECT o.reading_id AS "readingId", o.prediction_id AS "predictionId", o.side, o.load_state_id AS "stateId",
            o.measured_mm AS measured, o.predicted_mm AS predicted, o.half90_mm AS half90, o.inside,
            o.converted_by_mm AS "convertedBy", o.point,
            r.taken_at AS "takenAt"
       FROM outcome o JOIN reading r ON r.shop_id = o.shop_id AND r.id = o.reading_id
      WHERE r.job_axle_id = $1
        AND NOT EXISTS (SELECT FROM reading n WHERE n.shop_id = r.shop_id AND n.supersedes = r.id)
      ORDER BY o.side`,
    [id],
  );

export const insertJob = (tx: Tx, job: NewJob) =>
  tx.run(
    `INSERT INTO job (shop_id, id, complaint, no_blocks, keep_ubolts, budget, updated_by) VALUES ($1, $2, $3, $4, $5, $6, $7)`,
    [tx.shop, job.id, job.complaint, job.noBlocks, job.keepUbolts, job.budget, tx.person],
  );

/** What is said of the job as a whole, under its version; 0 rows when it is another one by now. */
export const updateAsk = (tx: Tx, jobId: string, ask: AskEdit) =>
  tx.run(
    `UPDATE job SET complaint = $3, no_blocks = $4, keep_ubolts = $5, budget = $6, version = version + 1, updated_by = $7,
            updated_at = now() WHERE id = $1 AND version = $2`,
    [jobId, ask.version, ask.complaint, ask.noBlocks, ask.keepUbolts, ask.budget, tx.person],
  );

export const insertState = (
  tx: Tx,
  s: {
    id: string;
    jobId: string;
    ordinal: number;
    name: string;
    mass: number;
    massTyped: string;
    station: number;
    stationTyped: string;
    wanted: boolean;
  },
) =>
  tx.run(
    `INSERT INTO load_state (shop_id, id, job_id, ordinal, name, added_mass_kg, mass_typed, station_mm, station_typed, wanted)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10)`,
    [tx.shop, s.id, s.jobId, s.ordinal, s.name, s.mass, s.massTyped, s.station, s.stationTyped, s.wanted],
  );

/** Renames a load state and gives it its mass and middle. */
export const updateState = (
  tx: Tx,
  s: {
    id: string;
    jobId: string;
    name: string;
    mass: number;
    massTyped: string;
    station: number;
    stationTyped: string;
  },
) =>
  tx.run(
    `UPDATE load_state SET name = $3, added_mass_kg = $4, mass_typed = $5, station_mm = $6, station_typed = $7
      WHERE job_id = $1 AND id = $2 AND ordinal > 0`,
    [s.jobId, s.id, s.name, s.mass, s.massTyped, s.station, s.stationTyped],
  );

/** Makes one state of a job the one the goal is meant in. */
export async function setWanted(tx: Tx, jobId: string, stateId: string): Promise<number> {
  await tx.run('UPDATE load_state SET wanted = false WHERE job_id = $1 AND wanted', [jobId]);
  return tx.run('UPDATE load_state SET wanted = true WHERE job_id = $1 AND id = $2', [jobId, stateId]);
}

/** Drops a load state that nothing hangs on yet. */
export async function deleteState(tx: Tx, jobId: string, stateId: string): Promise<void> {
  await tx.run('DELETE FROM load_item WHERE job_id = $1 AND load_state_id = $2', [jobId, stateId]);
  await tx.run('DELETE FROM load_state WHERE job_id = $1 AND id = $2 AND ordinal > 0', [jobId, stateId]);
}

/** Whether anything was read or foretold in a load state. */
export const stateInUse = async (tx: Tx, stateId: string): Promise<boolean> =>
  (await tx.run(
    `SELECT FROM reading WHERE load_state_id = $1 UNION ALL SELECT FROM ledger_line WHERE load_state_id = $1 LIMIT 1`,
    [stateId],
  )) > 0;

export async function replaceItems(tx: Tx, jobId: string, stateId: string, items: readonly LoadItem[]): Promise<void> {
  await tx.run('DELETE FROM load_item WHERE job_id = $1 AND load_state_id = $2', [jobId, stateId]);
  const rows = items.map((item, ordinal) => ({
    ...{ job_id: jobId, load_state_id: stateId, ordinal, kind: item.kind, name: item.name, mass_kg: item.mass },
    ...{ mass_typed: item.massTyped, station_mm: item.station, station_typed: item.stationTyped },
  }));
  await insertRows(tx, 'load_item', rows);
}

export const jobGoals = (tx: Tx, jobAxleId: string) =>
  tx.rows(
    goalSchema,
    `SELECT kind, target, target_typed AS "targetTyped", tolerance, tolerance_typed AS "toleranceTyped"
       FROM goal WHERE job_axle_id = $1 ORDER BY kind`,
    [jobAxleId],
  );

export async function replaceGoals(tx: Tx, jobAxleId: string, goals: readonly GoalRow[]): Promise<void> {
  await tx.run('DELETE FROM goal WHERE job_axle_id = $1', [jobAxleId]);
  const rows = goals.map(({ kind, target, targetTyped, tolerance, toleranceTyped }) => ({
    ...{ job_axle_id: jobAxleId, kind, target, target_typed: targetTyped, tolerance, tolerance_typed: toleranceTyped },
  }));
  await insertRows(tx, 'goal', rows);
}

/** Claims the job's version for a change of its loads. */
export const claimJob = (tx: Tx, id: string, version: number) =>
  tx.run(`UPDATE job SET version = version + 1, updated_by = $3, updated_at = now() WHERE id = $1 AND version = $2`, [
    id,
    version,
    tx.person,
  ]);

/** A pack of both sides or of one; one that is there stays. */
export const insertPack = (tx: Tx, id: string, jobAxleId: string, side: Side | null = null) =>
  tx.run(
    'INSERT INTO pack (shop_id, id, job_axle_id, side, updated_by) VALUES ($1, $2, $3, $4, $5) ON CONFLICT DO NOTHING',
    [tx.shop, id, jobAxleId, side, tx.person],
  );

export const updatePack = (tx: Tx, jobAxleId: string, edit: PackEdit) =>
  tx.run(
    `UPDATE pack SET eye_form = $3, seat_shape = $4, rusty = $5, other_side = $6, ubolt_bend = $8, eye_form_rear = $9, rear_end = $10, own_side = $12, lowest_leaf = $13, shackle_at = $14, version = version + 1,
            updated_by = $7, updated_at = now()
      WHERE job_axle_id = $1 AND version = $2 AND side IS NOT DISTINCT FROM $11`,
    [
      jobAxleId,
      edit.version,
      edit.eyeForm,
      edit.seatShape,
      edit.rusty,
      edit.otherSide,
      tx.person,
      edit.uboltBend,
      edit.eyeFormRear,
      edit.rearEnd,
      edit.side,
      edit.ownSide,
      edit.lowestLeaf,
      edit.shackleAt,
    ],
  );

export const insertSafety = (tx: Tx, id: string, jobAxleId: string, item: string, answer: string) =>
  insertOnce(tx, 'safety_answer', { id, job_axle_id: jobAxleId, item, answer, person_id: tx.person });

export const insertBuild = (tx: Tx, jobAxleId: string, predictionId: string | null, reason: string | null) =>
  tx.run(
    'INSERT INTO build_start (shop_id, job_axle_id, prediction_id, override_reason, person_id) VALUES ($1, $2, $3, $4, $5) ON CONFLICT DO NOTHING',
    [tx.shop, jobAxleId, predictionId, reason, tx.person],
  );
