// Prove and Follow: what was tried, how it drove, to whom it was handed, how it settles, what it taught. Append-only.
import { settlingHeightSchema, type NewSettlingHeight } from '@/contracts/follow';
import {
  functionCheckSchema,
  handOverSchema,
  lessonSchema,
  roadTestSchema,
  type NewFunctionCheck,
  type NewLesson,
  type NewRoadTest,
} from '@/contracts/prove';
import { type Tx } from './client';
import { insertOnce } from './insertOnce';
import { JOB_OF } from './jobAxle';

/** The last answer of every item. */
export const jobFunctionChecks = (tx: Tx, id: string) =>
  tx.rows(
    functionCheckSchema,
    `SELECT DISTINCT ON (c.item) c.item, c.answer, c.note, c.said_at AS "saidAt", p.name AS person
       FROM function_check c JOIN person p ON p.shop_id = c.shop_id AND p.id = c.person_id
      WHERE c.job_axle_id = $1 ORDER BY c.item, c.nth DESC`,
    [id],
  );

export const insertFunctionCheck = (tx: Tx, jobAxleId: string, c: NewFunctionCheck) =>
  insertOnce(tx, 'function_check', { ...c, job_axle_id: jobAxleId, person_id: tx.person });

/** The last drive of each phase. */
export const jobRoadTests = (tx: Tx, id: string) =>
  tx.rows(
    roadTestSchema,
    `SELECT DISTINCT ON (r.phase) r.phase, r.route, r.load_state_id AS "stateId", r.noise, r.ride, r.shake, r.note,
            r.driven_at AS "drivenAt", p.name AS person
       FROM road_test r JOIN person p ON p.shop_id = r.shop_id AND p.id = r.person_id
      WHERE r.job_axle_id = $1 ORDER BY r.phase DESC, r.nth DESC`,
    [id],
  );

export const insertRoadTest = (tx: Tx, jobAxleId: string, { stateId, ...r }: NewRoadTest) =>
  insertOnce(tx, 'road_test', { ...r, load_state_id: stateId, job_axle_id: jobAxleId, person_id: tx.person });

export const jobSettlingHeights = (tx: Tx, id: string) =>
  tx.rows(
    settlingHeightSchema,
    `SELECT h.id, h.point, h.side, h.load_state_id AS "stateId", h.typed, h.value_mm AS value, h.km, h.km_typed AS "kmTyped",
            h.read_at AS "readAt", p.name AS person
       FROM settling_height h JOIN person p ON p.shop_id = h.shop_id AND p.id = h.person_id
      WHERE h.job_axle_id = $1 ORDER BY h.km, h.read_at`,
    [id],
  );

export const insertSettlingHeight = (tx: Tx, jobAxleId: string, h: NewSettlingHeight) =>
  insertOnce(tx, 'settling_height', {
    ...{ id: h.id, job_axle_id: jobAxleId, point: h.point, side: h.side, load_state_id: h.stateId, typed: h.typed },
    ...{ value_mm: h.value, km: h.km, km_typed: h.kmTyped, person_id: tx.person },
  });

/** The last hand-over of the job. */
export const jobHandOver = (tx: Tx, id: string) =>
  tx.rows(
    handOverSchema,
    `SELECT h.taken_by AS "takenBy", h.told, h.handed_at AS "handedAt", p.name AS person
       FROM hand_over h JOIN person p ON p.shop_id = h.shop_id AND p.id = h.person_id
      WHERE h.job_id = ${JOB_OF} ORDER BY h.nth DESC LIMIT 1`,
    [id],
  );

export const insertHandOver = (tx: Tx, jobId: string, h: { id: string; takenBy: string }, told: readonly string[]) =>
  insertOnce(tx, 'hand_over', { id: h.id, job_id: jobId, taken_by: h.takenBy, told, person_id: tx.person });

/** What jobs on this axle taught, the newest first. */
export const axleLessons = (tx: Tx, id: string) =>
  tx.rows(
    lessonSchema,
    `SELECT l.cause, l.says, l.learnt_at AS "learntAt", p.name AS person, l.job_axle_id AS "jobId"
       FROM lesson l JOIN person p ON p.shop_id = l.shop_id AND p.id = l.person_id
      WHERE l.axle_id = (SELECT axle_id FROM job_axle WHERE id = $1) ORDER BY l.learnt_at DESC LIMIT 20`,
    [id],
  );

export const insertLesson = (tx: Tx, of: { axleId: string; jobAxleId: string; predictionId: string }, l: NewLesson) =>
  insertOnce(tx, 'lesson', {
    ...{ ...l, axle_id: of.axleId, job_axle_id: of.jobAxleId, prediction_id: of.predictionId, person_id: tx.person },
  });
