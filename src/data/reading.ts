import { z } from 'zod';
import { daySchema, readingSchema, type NewDay, type NewReading } from '@/contracts/reading';
import { type Tx } from './client';

const READING = `r.id, r.point, r.phase, r.side, r.leaf_id AS "leafId", r.load_state_id AS "stateId", r.typed, r.value, r.unit,
  r.rolled, r.instrument, r.day_id AS "dayId", r.correction_reason AS "correctionReason", r.taken_at AS "takenAt", p.name AS person`;

/** The reading of every point that no later one supersedes. */
export const currentReadings = (tx: Tx, jobId: string) =>
  tx.rows(
    readingSchema,
    `SELECT ${READING} FROM reading r JOIN person p ON p.shop_id = r.shop_id AND p.id = r.person_id
      WHERE r.job_id = $1 AND NOT EXISTS (SELECT FROM reading n WHERE n.shop_id = r.shop_id AND n.supersedes = r.id)
      ORDER BY r.taken_at`,
    [jobId],
  );

/** Every reading of a job, superseded ones too, newest first. */
export const allReadings = (tx: Tx, jobId: string) =>
  tx.rows(
    readingSchema,
    `SELECT ${READING} FROM reading r JOIN person p ON p.shop_id = r.shop_id AND p.id = r.person_id
      WHERE r.job_id = $1 ORDER BY r.taken_at DESC, r.id`,
    [jobId],
  );

/** Any reading of a job, superseded or not. */
export const readingById = (tx: Tx, jobId: string, id: string) =>
  tx.rows(
    readingSchema,
    `SELECT ${READING} FROM reading r JOIN person p ON p.shop_id = r.shop_id AND p.id = r.person_id WHERE r.job_id = $1 AND r.id = $2`,
    [jobId, id],
  );

/** Which stack piece or fastener a point belongs to. */
const SUBJECT: Partial<Record<NewReading['point'], { table: 'stack_piece' | 'fastener'; kind: string }>> = {
  blockHeight: { table: 'stack_piece', kind: 'block' },
  perchHeight: { table: 'stack_piece', kind: 'perch' },
  tubeDiameter: { table: 'stack_piece', kind: 'tube' },
  uboltThread: { table: 'fastener', kind: 'uBolt' },
  uboltExposed: { table: 'fastener', kind: 'uBolt' },
  uboltPitch: { table: 'fastener', kind: 'uBolt' },
  uboltThreaded: { table: 'fastener', kind: 'uBolt' },
  uboltNut: { table: 'fastener', kind: 'uBolt' },
};

/**
 * Appends a reading. Returns 0 when the same id is already there (a retry).
 * Breaks `reading_superseded_once` or `reading_first_once` when somebody else was faster.
 */
export async function insertReading(tx: Tx, jobId: string, r: NewReading): Promise<number> {
  const subject = SUBJECT[r.point];
  const found = subject
    ? await tx.rows(z.object({ id: z.uuid() }), `SELECT id FROM ${subject.table} WHERE job_id = $1 AND kind = $2`, [
        jobId,
        subject.kind,
      ])
    : [];
  const subjectId = found[0]?.id ?? null;
  return tx.run(
    `INSERT INTO reading (shop_id, id, job_id, point, phase, side, leaf_id, stack_piece_id, fastener_id, load_state_id,
                          typed, value, unit, rolled, instrument, day_id, supersedes, person_id, correction_reason)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19)
     ON CONFLICT (shop_id, id) DO NOTHING`,
    [
      tx.shop,
      r.id,
      jobId,
      r.point,
      r.phase,
      r.side,
      r.leafId,
      subject?.table === 'stack_piece' ? subjectId : null,
      subject?.table === 'fastener' ? subjectId : null,
      r.stateId,
      r.typed,
      r.value,
      r.unit,
      r.rolled,
      r.instrument,
      r.dayId,
      r.supersedes,
      tx.person,
      r.correctionReason ?? null,
    ],
  );
}

export const jobDays = (tx: Tx, jobId: string) =>
  tx.rows(
    daySchema,
    `SELECT d.id, d.phase, d.fuel, d.fuel_as_before AS "fuelAsBefore", d.tyre_pressure_kpa AS "tyrePressure", d.tyre_pressure_typed AS "tyrePressureTyped",
            d.stance, d.set_at AS "setAt", p.name AS person
       FROM measuring_day d JOIN person p ON p.shop_id = d.shop_id AND p.id = d.person_id
      WHERE d.job_id = $1 ORDER BY d.set_at`,
    [jobId],
  );

export const insertDay = (tx: Tx, jobId: string, d: NewDay) =>
  tx.run(
    `INSERT INTO measuring_day (shop_id, id, job_id, phase, fuel, fuel_as_before, tyre_pressure_kpa,
                                tyre_pressure_typed, stance, person_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) ON CONFLICT DO NOTHING`,
    [tx.shop, d.id, jobId, d.phase, d.fuel, d.fuelAsBefore, d.tyrePressure, d.tyrePressureTyped, d.stance, tx.person],
  );
