import { z } from 'zod';
import { failureSchema, sideFindingSchema } from '@/contracts/sideFinding';
import { featureSchema, kitItemSchema, type NewKitItem } from '@/contracts/kit';
import { findingSchema, shopLimitSchema, type NewFinding, type NewShopLimit } from '@/contracts/finding';
import { photoSchema } from '@/contracts/photo';
import { pressRunSchema, type PressRun } from '@/contracts/press';
import { type Tx } from './client';
import { keptPictureSchema, type KeptPicture } from './picture';
import { insertOnce, sameAsStored, sameRowsAsStored } from './insertOnce';
import { insertRows } from './insertRows';
import { JOB_OF } from './jobAxle';

/** The last finding of every rule and side of a job. */
export const jobFindings = (tx: Tx, jobAxleId: string) =>
  tx.rows(
    findingSchema,
    `SELECT DISTINCT ON (f.rule, f.side) f.id, f.rule, f.side, f.choice, f.verdict, f.note, f.leaf_id AS "leafId",
            f.place_mm AS place, f.place_typed AS "placeTyped", f.found_at AS "foundAt", p.name AS person,
            coalesce((SELECT json_agg(json_build_object('measure', v.measure, 'value', v.value, 'typed', v.typed))
                        FROM finding_value v WHERE v.shop_id = f.shop_id AND v.finding_id = f.id), '[]') AS values
       FROM finding f JOIN person p ON p.shop_id = f.shop_id AND p.id = f.person_id
      WHERE f.job_axle_id = $1 ORDER BY f.rule, f.side, f.nth DESC`,
    [jobAxleId],
  );

const VALUE_COLUMNS = ['measure', 'value', 'typed'];

export async function insertFinding(tx: Tx, jobAxleId: string, f: NewFinding & { verdict: string }): Promise<void> {
  // What the shop's limits make of it is reckoned anew; what was found is what counts.
  const found = {
    ...{ id: f.id, job_axle_id: jobAxleId, rule: f.rule, side: f.side, choice: f.choice, note: f.note },
    ...{ leaf_id: f.leafId, place_mm: f.place, place_typed: f.placeTyped },
  };
  const made = await tx.run(
    `INSERT INTO finding (shop_id, id, job_axle_id, rule, side, choice, verdict, note, leaf_id, place_mm, place_typed, person_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12) ON CONFLICT (shop_id, id) DO NOTHING`,
    [tx.shop, f.id, jobAxleId, f.rule, f.side, f.choice, f.verdict, f.note, f.leafId, f.place, f.placeTyped, tx.person],
  );
  const values = f.values.map(({ measure, value, typed }) => ({ finding_id: f.id, measure, value, typed }));
  // A retry of the same finding has its values already.
  if (made === 0) {
    await sameAsStored(tx, 'finding', found);
    return sameRowsAsStored(tx, 'finding_value', { column: 'finding_id', id: f.id }, VALUE_COLUMNS, values);
  }
  await insertRows(tx, 'finding_value', values);
}

export const jobPhotos = (tx: Tx, jobAxleId: string) =>
  tx.rows(
    photoSchema,
    `SELECT f.id, f.subject, f.caption, f.width, f.height, f.sha256, f.taken_at AS "takenAt", p.name AS person
       FROM photo f JOIN person p ON p.shop_id = f.shop_id AND p.id = f.person_id
      WHERE f.job_axle_id = $1 ORDER BY f.taken_at`,
    [jobAxleId],
  );

export const photoBytes = (tx: Tx, id: string) =>
  tx.rows(keptPictureSchema, 'SELECT jpeg, sha256 FROM photo WHERE id = $1', [id]);

export async function insertPhoto(
  tx: Tx,
  jobAxleId: string,
  f: { id: string; subject: string; caption: string; width: number; height: number } & KeptPicture,
): Promise<void> {
  const made = await tx.run(
    `INSERT INTO photo (shop_id, id, job_axle_id, subject, caption, width, height, sha256, jpeg, person_id)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) ON CONFLICT (shop_id, id) DO NOTHING`,
    [tx.shop, f.id, jobAxleId, f.subject, f.caption, f.width, f.height, f.sha256, f.jpeg, tx.person],
  );
  const { id, subject, caption, sha256 } = f;
  if (made === 0) await sameAsStored(tx, 'photo', { id, job_axle_id: jobAxleId, subject, caption, sha256 });
}

export const vehicleSideFindings = (tx: Tx, vehicleId: string) =>
  tx.rows(
    sideFindingSchema,
    `SELECT s.id, s.what, s.urgency, s.found_at AS "foundAt", s.done_at AS "doneAt", s.evidence, p.name AS person
       FROM side_finding s JOIN person p ON p.shop_id = s.shop_id AND p.id = s.person_id
      WHERE s.vehicle_id = $1 ORDER BY s.done_at NULLS FIRST, s.found_at`,
    [vehicleId],
  );

export const insertSideFinding = (
  tx: Tx,
  f: { id: string; vehicleId: string; jobId: string; what: string; urgency: string },
) =>
  insertOnce(tx, 'side_finding', {
    ...{ id: f.id, vehicle_id: f.vehicleId, job_id: f.jobId, what: f.what, urgency: f.urgency, person_id: tx.person },
  });

/** Closes a finding with what was done; one already closed stays as it is. */
export const closeSideFinding = (tx: Tx, id: string, evidence: string) =>
  tx.run('UPDATE side_finding SET done_at = now(), done_by = $2, evidence = $3 WHERE id = $1 AND done_at IS NULL', [
    id,
    tx.person,
    evidence,
  ]);

export const isSideFinding = async (tx: Tx, id: string): Promise<boolean> =>
  (await tx.rows(z.object({}), 'SELECT FROM side_finding WHERE id = $1', [id])).length > 0;

export const vehicleFailures = (tx: Tx, vehicleId: string) =>
  tx.rows(
    failureSchema,
    `SELECT f.id, f.place, f.km, f.km_typed AS "kmTyped", f.cause, f.written_at AS "writtenAt", p.name AS person
       FROM failure f JOIN person p ON p.shop_id = f.shop_id AND p.id = f.person_id
      WHERE f.vehicle_id = $1 ORDER BY f.km`,
    [vehicleId],
  );

export const insertFailure = (
  tx: Tx,
  f: { id: string; vehicleId: string; place: string; km: number; kmTyped: string; cause: string },
) =>
  insertOnce(tx, 'failure', {
    ...{ id: f.id, vehicle_id: f.vehicleId, place: f.place, km: f.km, km_typed: f.kmTyped, cause: f.cause },
    person_id: tx.person,
  });

export const jobKit = (tx: Tx, jobAxleId: string) =>
  tx.rows(
    kitItemSchema,
    `SELECT k.id, k.what, k.wanted, k.state, p.name AS person
       FROM kit_item k JOIN person p ON p.shop_id = k.shop_id AND p.id = k.person_id
      WHERE k.job_id = ${JOB_OF} ORDER BY k.what, k.id`,
    [jobAxleId],
  );

/** Adds an item, or sets the state of one that is there. @throws ProblemError `taken` where its id is another thing's */
export async function putKitItem(tx: Tx, jobId: string, k: NewKitItem): Promise<void> {
  await tx.run(
    `INSERT INTO kit_item (shop_id, id, job_id, what, wanted, state, person_id) VALUES ($1, $2, $3, $4, $5, $6, $7)
     ON CONFLICT (shop_id, id) DO UPDATE SET state = excluded.state, person_id = excluded.person_id, updated_at = clock_timestamp()
       WHERE kit_item.job_id = excluded.job_id`,
    [tx.shop, k.id, jobId, k.what, k.wanted, k.state, tx.person],
  );
  await sameAsStored(tx, 'kit_item', { id: k.id, job_id: jobId, what: k.what, wanted: k.wanted });
}

export const vehicleFeatures = (tx: Tx, vehicleId: string) =>
  tx.rows(
    featureSchema,
    `SELECT f.id, f.feature, f.found, f.means, p.name AS person
       FROM vehicle_feature f JOIN person p ON p.shop_id = f.shop_id AND p.id = f.person_id
      WHERE f.vehicle_id = $1 ORDER BY f.seen_at`,
    [vehicleId],
  );

export const insertFeature = (
  tx: Tx,
  f: { id: string; vehicleId: string; feature: string; found: string; means: string },
) =>
  insertOnce(tx, 'vehicle_feature', {
    ...{ id: f.id, vehicle_id: f.vehicleId, feature: f.feature, found: f.found, means: f.means, person_id: tx.person },
  });

/** The last press run of each side. */
export const jobPressRuns = (tx: Tx, jobAxleId: string) =>
  tx.rows(
    pressRunSchema,
    `SELECT DISTINCT ON (r.side) r.id, r.side, r.source, r.taken_at AS "takenAt", p.name AS person,
            coalesce((SELECT json_agg(json_build_object('force', t.force_n, 'archTop', t.arch_top_mm, 'branch', t.branch) ORDER BY t.ordinal)
                        FROM press_point t WHERE t.shop_id = r.shop_id AND t.run_id = r.id), '[]') AS points
       FROM press_run r JOIN person p ON p.shop_id = r.shop_id AND p.id = r.person_id
      WHERE r.job_axle_id = $1 ORDER BY r.side, r.nth DESC`,
    [jobAxleId],
  );

const POINT_COLUMNS = ['ordinal', 'force_n', 'arch_top_mm', 'branch'];

export async function insertPressRun(
  tx: Tx,
  jobAxleId: string,
  run: Pick<PressRun, 'id' | 'side' | 'source' | 'points'>,
): Promise<void> {
  const { id, side, source } = run;
  const made = await insertOnce(tx, 'press_run', { id, job_axle_id: jobAxleId, side, source, person_id: tx.person });
  const points = run.points.map(({ force, archTop, branch }, ordinal) => ({
    ...{ run_id: run.id, ordinal, force_n: force, arch_top_mm: archTop, branch },
  }));
  if (made) await insertRows(tx, 'press_point', points);
  else await sameRowsAsStored(tx, 'press_point', { column: 'run_id', id }, POINT_COLUMNS, points);
}

/** The shop's own limits: the last one set for every rule, verdict and measure. */
export const shopLimits = (tx: Tx) =>
  tx.rows(
    shopLimitSchema,
    `SELECT DISTINCT ON (l.rule, l.verdict, l.measure) l.id, l.rule, l.verdict, l.measure, l.value, l.typed, l.reason,
            l.set_at AS "setAt", p.name AS person
       FROM shop_limit l JOIN person p ON p.shop_id = l.shop_id AND p.id = l.person_id
      ORDER BY l.rule, l.verdict, l.measure, l.nth DESC`,
  );

export const insertShopLimit = (tx: Tx, l: NewShopLimit) =>
  insertOnce(tx, 'shop_limit', {
    ...{ id: l.id, rule: l.rule, verdict: l.verdict, measure: l.measure, value: l.value, typed: l.typed },
    ...{ reason: l.reason, person_id: tx.person },
  });
