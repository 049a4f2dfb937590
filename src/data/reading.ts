import { daySchema, readingSchema, type NewDay, type NewReading } from '@/contracts/reading';
import { type Tx } from './client';
import { insertOnce, sameAsStored } from './insertOnce';
import { JOB_OF } from './jobAxle';

const READING = `r.id, r.point, r.phase, r.side,
  (SELECT c.id FROM component c WHERE c.shop_id = r.shop_id AND c.id = r.component_id AND c.kind = 'leaf') AS "leafId", r.load_state_id AS "stateId", r.typed, r.value, r.unit,
  r.rolled, r.instrument, r.day_id AS "dayId", r.correction_reason AS "correctionReason", r.taken_at AS "takenAt", p.name AS person`;

/** The reading of every point that no later one supersedes. */
export const currentReadings = (tx: Tx, jobAxleId: string) =>
  tx.rows(
    readingSchema,
    `SELECT ${READING} FROM reading r JOIN person p ON p.shop_id = r.shop_id AND p.id = r.person_id
      WHERE r.job_axle_id = $1 AND NOT EXISTS (SELECT FROM reading n WHERE n.shop_id = r.shop_id AND n.supersedes = r.id)
      ORDER BY r.taken_at`,
    [jobAxleId],
  );

/** Every reading of a job, superseded ones too, newest first. */
export const allReadings = (tx: Tx, jobAxleId: string) =>
  tx.rows(
    readingSchema,
    `SELECT ${READING} FROM reading r JOIN person p ON p.shop_id = r.shop_id AND p.id = r.person_id
      WHERE r.job_axle_id = $1 ORDER BY r.taken_at DESC, r.id`,
    [jobAxleId],
  );

/** Any reading of a job, superseded or not. */
export const readingById = (tx: Tx, jobAxleId: string, id: string) =>
  tx.rows(
    readingSchema,
    `SELECT ${READING} FROM reading r JOIN person p ON p.shop_id = r.shop_id AND p.id = r.person_id WHERE r.job_axle_id = $1 AND r.id = $2`,
    [jobAxleId, id],
  );

/** The part of the axle that a point is read of, besides leaves, which are named by their id. */
const SUBJECT: Partial<Record<NewReading['point'], string>> = {
  blockHeight: 'block',
  perchHeight: 'perch',
  tubeDiameter: 'tube',
  uboltThread: 'uBolt',
  uboltExposed: 'uBolt',
  uboltPitch: 'uBolt',
  uboltThreaded: 'uBolt',
  uboltNut: 'uBolt',
  coilLength: 'coil',
  coilWire: 'coil',
  coilOutside: 'coil',
  coilTurns: 'coil',
  coilFree: 'coil',
  coilSpacer: 'spacer',
  coilOpen: 'coil',
  pairLeaves: 'spring',
  pairWidth: 'spring',
  pairThickness: 'spring',
  pairOuter: 'spring',
  pairInner: 'spring',
  pairArchFront: 'spring',
  pairArchRear: 'spring',
  pairFull: 'spring',
  rockerFront: 'rocker',
  rockerRear: 'rocker',
  rockerTilt: 'rocker',
  rockerStop: 'rocker',
  rockerBelow: 'rocker',
  crossLeaves: 'spring',
  crossWidth: 'spring',
  crossThickness: 'spring',
  crossHalf: 'spring',
  crossDrop: 'spring',
  crossFull: 'spring',
  crossShort: 'spring',
  crossBroken: 'spring',
  shearLong: 'spring',
  shearWide: 'spring',
  shearThick: 'spring',
  shearOffset: 'spring',
  shearHard: 'spring',
  shearRate: 'spring',
  shearRows: 'spring',
  carrierLeaves: 'carrier',
  carrierWidth: 'carrier',
  carrierThickness: 'carrier',
  carrierFull: 'carrier',
  kingpinLength: 'spindle',
  pairTube: 'tube',
  pairPerch: 'perch',
};

/**
 * Appends a reading; one that is there already (a retry) changes nothing.
 * Breaks `reading_superseded_once` or `reading_first_once` when somebody else was faster.
 */
export async function insertReading(tx: Tx, jobAxleId: string, r: NewReading): Promise<void> {
  const made = await tx.run(
    `INSERT INTO reading (shop_id, id, job_id, job_axle_id, point, phase, side, component_id, load_state_id,
                          typed, value, unit, rolled, instrument, day_id, supersedes, person_id, correction_reason)
     SELECT $1, $2, x.job_id, x.id, $4, $5, $6,
            coalesce($7, (SELECT c.id FROM component c WHERE c.shop_id = x.shop_id AND c.job_axle_id = x.id AND c.kind = $18
                                                        AND c.side IS NULL AND c.ordinal = 1)),
            $8, $9, $10, $11, $12, $13, $14, $15, $16, $17
       FROM job_axle x WHERE x.id = $3
     ON CONFLICT (shop_id, id) DO NOTHING`,
    [
      tx.shop,
      r.id,
      jobAxleId,
      r.point,
      r.phase,
      r.side,
      r.leafId,
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
      SUBJECT[r.point] ?? null,
    ],
  );
  if (made > 0) return;
  await sameAsStored(tx, 'reading', {
    ...{ id: r.id, job_axle_id: jobAxleId, point: r.point, phase: r.phase, side: r.side, load_state_id: r.stateId },
    ...{ typed: r.typed, value: r.value, unit: r.unit, day_id: r.dayId, supersedes: r.supersedes },
  });
}

export const jobDays = (tx: Tx, jobAxleId: string) =>
  tx.rows(
    daySchema,
    `SELECT d.id, d.phase, d.fuel, d.fuel_as_before AS "fuelAsBefore", d.tyre_pressure_kpa AS "tyrePressure", d.tyre_pressure_typed AS "tyrePressureTyped",
            d.stance, d.set_at AS "setAt", p.name AS person
       FROM measuring_day d JOIN person p ON p.shop_id = d.shop_id AND p.id = d.person_id
      WHERE d.job_id = ${JOB_OF} ORDER BY d.set_at`,
    [jobAxleId],
  );

export const insertDay = (tx: Tx, jobId: string, d: NewDay) =>
  insertOnce(tx, 'measuring_day', {
    ...{ id: d.id, job_id: jobId, phase: d.phase, fuel: d.fuel, fuel_as_before: d.fuelAsBefore, stance: d.stance },
    ...{ tyre_pressure_kpa: d.tyrePressure, tyre_pressure_typed: d.tyrePressureTyped, person_id: tx.person },
  });
