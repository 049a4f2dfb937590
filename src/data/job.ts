import { z } from 'zod';
import {
  axleSchema,
  boardRowSchema,
  buildSchema,
  dueSchema,
  jobSchema,
  outcomeSchema,
  packSchema,
  safetySchema,
  stateSchema,
  vehicleSchema,
  type AskEdit,
  type NewJob,
  type PackEdit,
} from '@/contracts/job';
import { type Tx } from './client';
import { VEHICLE } from './shop';

const JOB = `j.id, j.complaint, j.wanted_change_mm AS "wantedChange", j.wanted_typed AS "wantedTyped",
  j.tolerance_mm AS tolerance, j.tolerance_typed AS "toleranceTyped", j.guess_mm AS guess, j.guess_typed AS "guessTyped",
  j.no_blocks AS "noBlocks", j.keep_ubolts AS "keepUbolts", j.version, j.updated_at AS "updatedAt",
  j.created_at AS "createdAt", p.name AS "updatedBy"`;

export const jobRow = (tx: Tx, id: string) =>
  tx.rows(
    jobSchema,
    `SELECT ${JOB} FROM job j JOIN person p ON p.shop_id = j.shop_id AND p.id = j.updated_by WHERE j.id = $1`,
    [id],
  );

export const jobVehicle = (tx: Tx, id: string) =>
  tx.rows(
    vehicleSchema,
    `SELECT ${VEHICLE} FROM job j JOIN axle a ON a.shop_id = j.shop_id AND a.id = j.axle_id
       JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id WHERE j.id = $1`,
    [id],
  );

export const jobAxle = (tx: Tx, id: string) =>
  tx.rows(
    axleSchema,
    `SELECT a.id, a.position, a.suspension, a.arrangement, a.class AS "axleClass", a.steered
       FROM job j JOIN axle a ON a.shop_id = j.shop_id AND a.id = j.axle_id WHERE j.id = $1`,
    [id],
  );

export const jobStates = (tx: Tx, id: string) =>
  tx.rows(
    stateSchema,
    `SELECT id, ordinal, name, added_mass_kg AS "addedMass", mass_typed AS "massTyped", station_mm AS station,
            station_typed AS "stationTyped", wanted FROM load_state WHERE job_id = $1 ORDER BY ordinal`,
    [id],
  );

export const jobPack = (tx: Tx, id: string) =>
  tx.rows(
    packSchema,
    `SELECT k.id, k.eye_form AS "eyeForm", k.seat_shape AS "seatShape", k.rusty, k.version, k.updated_at AS "updatedAt",
            p.name AS "updatedBy"
       FROM pack k JOIN person p ON p.shop_id = k.shop_id AND p.id = k.updated_by WHERE k.job_id = $1`,
    [id],
  );

export const jobLeaves = (tx: Tx, id: string) =>
  tx.rows(
    z.object({ id: z.uuid(), ordinal: z.number() }),
    `SELECT l.id, l.ordinal FROM leaf l JOIN pack k ON k.shop_id = l.shop_id AND k.id = l.pack_id
      WHERE k.job_id = $1 AND NOT l.removed ORDER BY l.ordinal`,
    [id],
  );

export const jobSafety = (tx: Tx, id: string) =>
  tx.rows(
    safetySchema,
    `SELECT DISTINCT ON (s.item) s.item, s.answer, s.answered_at AS "answeredAt", p.name AS person
       FROM safety_answer s JOIN person p ON p.shop_id = s.shop_id AND p.id = s.person_id
      WHERE s.job_id = $1 ORDER BY s.item, s.answered_at DESC`,
    [id],
  );

export const jobBuild = (tx: Tx, id: string) =>
  tx.rows(
    buildSchema,
    `SELECT b.prediction_id AS "predictionId", b.override_reason AS "overrideReason", b.started_at AS "startedAt",
            p.name AS person
       FROM build_start b JOIN person p ON p.shop_id = b.shop_id AND p.id = b.person_id WHERE b.job_id = $1`,
    [id],
  );

export const jobOutcomes = (tx: Tx, id: string) =>
  tx.rows(
    outcomeSchema,
    `SELECT o.reading_id AS "readingId", o.prediction_id AS "predictionId", o.side, o.load_state_id AS "stateId",
            o.measured_mm AS measured, o.predicted_mm AS predicted, o.half90_mm AS half90, o.inside,
            r.taken_at AS "takenAt"
       FROM outcome o JOIN reading r ON r.shop_id = o.shop_id AND r.id = o.reading_id
      WHERE r.job_id = $1
        AND NOT EXISTS (SELECT FROM reading n WHERE n.shop_id = r.shop_id AND n.supersedes = r.id)
      ORDER BY o.side`,
    [id],
  );

export const jobDue = (tx: Tx, id: string) =>
  tx.rows(
    dueSchema,
    `SELECT id, what, after_km AS "afterKm", to_char(due_on, 'YYYY-MM-DD') AS "dueOn", done_at AS "doneAt"
       FROM due_check WHERE job_id = $1 ORDER BY due_on, what`,
    [id],
  );

/** Every job of the shop with what the Board shows; the last prediction's total in the wanted state counts. */
export const boardRows = (tx: Tx) =>
  tx.rows(
    boardRowSchema,
    `WITH last AS (
       SELECT DISTINCT ON (job_id) id, job_id FROM prediction ORDER BY job_id, made_at DESC
     ), foretold AS (
       SELECT l.job_id,
              avg(t.value_mm - coalesce(m.value_mm, 0) - coalesce(w.value_mm, 0)) AS change,
              max(t.half90_mm) AS half
         FROM last l
         JOIN load_state s ON s.job_id = l.job_id AND s.wanted
         JOIN ledger_line t ON t.prediction_id = l.id AND t.load_state_id = s.id AND t.kind = 'total'
         LEFT JOIN ledger_line m ON m.prediction_id = l.id AND m.load_state_id = s.id AND m.side = t.side AND m.kind = 'measured'
         LEFT JOIN ledger_line w ON w.prediction_id = l.id AND w.load_state_id = s.id AND w.side = t.side AND w.kind = 'load'
        GROUP BY l.job_id
     )
     SELECT j.id, v.name AS vehicle, a.position AS axle, j.complaint, j.wanted_change_mm AS "wantedChange",
            j.wanted_typed AS "wantedTyped", j.tolerance_mm AS tolerance, j.created_at AS "createdAt",
            (SELECT name FROM load_state s WHERE s.job_id = j.id AND s.wanted) AS "wantedState",
            f.change AS "predictedChange", f.half AS "predictedHalf",
            (SELECT count(*)::int FROM reading r WHERE r.job_id = j.id AND r.phase = 'before') AS readings,
            (SELECT count(*)::int FROM plan p JOIN plan_change c ON c.plan_id = p.id WHERE p.job_id = j.id) AS changes,
            (SELECT count(*)::int FROM prediction p WHERE p.job_id = j.id) AS predictions,
            EXISTS (SELECT FROM build_start b WHERE b.job_id = j.id) AS built,
            (SELECT count(*)::int FROM outcome o JOIN prediction p ON p.id = o.prediction_id WHERE p.job_id = j.id) AS outcomes,
            (SELECT count(*)::int FROM outcome o JOIN prediction p ON p.id = o.prediction_id
              WHERE p.job_id = j.id AND NOT o.inside) AS outside,
            (SELECT json_build_object('id', d.id, 'what', d.what, 'dueOn', to_char(d.due_on, 'YYYY-MM-DD'), 'afterKm', d.after_km)
               FROM due_check d WHERE d.job_id = j.id AND d.done_at IS NULL ORDER BY d.due_on LIMIT 1) AS "nextDue"
       FROM job j JOIN axle a ON a.shop_id = j.shop_id AND a.id = j.axle_id
       JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id
       LEFT JOIN foretold f ON f.job_id = j.id
      ORDER BY j.created_at DESC, j.id`,
  );

export const insertJob = (tx: Tx, job: NewJob, axleId: string) =>
  tx.run(
    `INSERT INTO job (shop_id, id, axle_id, complaint, wanted_change_mm, wanted_typed, tolerance_mm, tolerance_typed,
                      guess_mm, guess_typed, no_blocks, keep_ubolts, updated_by)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13)`,
    [
      tx.shop,
      job.id,
      axleId,
      job.complaint,
      job.wantedChange,
      job.wantedTyped,
      job.tolerance,
      job.toleranceTyped,
      job.guess,
      job.guessTyped,
      job.noBlocks,
      job.keepUbolts,
      tx.person,
    ],
  );

export const updateAsk = (tx: Tx, id: string, ask: AskEdit) =>
  tx.run(
    `UPDATE job SET complaint = $3, wanted_change_mm = $4, wanted_typed = $5, tolerance_mm = $6, tolerance_typed = $7,
            guess_mm = $8, guess_typed = $9, no_blocks = $10, keep_ubolts = $11, version = version + 1,
            updated_by = $12, updated_at = now()
      WHERE id = $1 AND version = $2`,
    [
      id,
      ask.version,
      ask.complaint,
      ask.wantedChange,
      ask.wantedTyped,
      ask.tolerance,
      ask.toleranceTyped,
      ask.guess,
      ask.guessTyped,
      ask.noBlocks,
      ask.keepUbolts,
      tx.person,
    ],
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

export const insertPack = (tx: Tx, id: string, jobId: string) =>
  tx.run('INSERT INTO pack (shop_id, id, job_id, updated_by) VALUES ($1, $2, $3, $4)', [tx.shop, id, jobId, tx.person]);

export const updatePack = (tx: Tx, jobId: string, edit: PackEdit) =>
  tx.run(
    `UPDATE pack SET eye_form = $3, seat_shape = $4, rusty = $5, version = version + 1, updated_by = $6, updated_at = now()
      WHERE job_id = $1 AND version = $2`,
    [jobId, edit.version, edit.eyeForm, edit.seatShape, edit.rusty, tx.person],
  );

/** Brings back a removed leaf of this ordinal or makes a new one. */
export const putLeaf = (tx: Tx, id: string, packId: string, ordinal: number) =>
  tx.run(
    `INSERT INTO leaf (shop_id, id, pack_id, ordinal) VALUES ($1, $2, $3, $4)
     ON CONFLICT (shop_id, pack_id, ordinal) DO UPDATE SET removed = false`,
    [tx.shop, id, packId, ordinal],
  );

export const removeLeavesAbove = (tx: Tx, packId: string, ordinal: number) =>
  tx.run('UPDATE leaf SET removed = true WHERE pack_id = $1 AND ordinal > $2', [packId, ordinal]);

export const insertStackPiece = (
  tx: Tx,
  id: string,
  jobId: string,
  ordinal: number,
  kind: 'tube' | 'perch' | 'block',
) =>
  tx.run('INSERT INTO stack_piece (shop_id, id, job_id, ordinal, kind) VALUES ($1, $2, $3, $4, $5)', [
    tx.shop,
    id,
    jobId,
    ordinal,
    kind,
  ]);

export const insertFastener = (tx: Tx, id: string, jobId: string, kind: 'uBolt' | 'centreBolt') =>
  tx.run('INSERT INTO fastener (shop_id, id, job_id, kind) VALUES ($1, $2, $3, $4)', [tx.shop, id, jobId, kind]);

export const insertSafety = (tx: Tx, id: string, jobId: string, item: string, answer: string) =>
  tx.run(
    'INSERT INTO safety_answer (shop_id, id, job_id, item, answer, person_id) VALUES ($1, $2, $3, $4, $5, $6) ON CONFLICT DO NOTHING',
    [tx.shop, id, jobId, item, answer, tx.person],
  );

export const insertBuild = (tx: Tx, jobId: string, predictionId: string | null, reason: string | null) =>
  tx.run(
    'INSERT INTO build_start (shop_id, job_id, prediction_id, override_reason, person_id) VALUES ($1, $2, $3, $4, $5) ON CONFLICT DO NOTHING',
    [tx.shop, jobId, predictionId, reason, tx.person],
  );

export const insertDue = (tx: Tx, id: string, jobId: string, what: string, afterKm: number, inDays: number) =>
  tx.run(
    `INSERT INTO due_check (shop_id, id, job_id, what, after_km, due_on)
     VALUES ($1, $2, $3, $4, $5, current_date + $6::int) ON CONFLICT (shop_id, job_id, what) DO NOTHING`,
    [tx.shop, id, jobId, what, afterKm, inDays],
  );

export const completeDue = (tx: Tx, id: string) =>
  tx.run('UPDATE due_check SET done_at = now(), done_by = $2 WHERE id = $1 AND done_at IS NULL', [id, tx.person]);
