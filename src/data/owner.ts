// The person a vehicle belongs to. Everything here may be erased; nothing else of the record refers to it.
import { ownerRecordSchema, ownerSchema, type Owner, type OwnerEdit } from '@/contracts/owner';
import { type Tx } from './client';

export async function ownerOf(tx: Tx, vehicleId: string): Promise<Owner | null> {
  const [row] = await tx.rows(
    ownerSchema,
    `SELECT o.name, o.phone, o.plate, o.version, p.name AS by, o.updated_at AS at
       FROM vehicle_owner o JOIN person p ON p.shop_id = o.shop_id AND p.id = o.updated_by WHERE o.vehicle_id = $1`,
    [vehicleId],
  );
  return row ?? null;
}

/** 0 rows when somebody else was faster. */
export const putOwner = (tx: Tx, vehicleId: string, o: OwnerEdit): Promise<number> =>
  o.version === 0
    ? tx.run(
        `INSERT INTO vehicle_owner (shop_id, vehicle_id, name, phone, plate, updated_by) VALUES ($1, $2, $3, $4, $5, $6)
         ON CONFLICT DO NOTHING`,
        [tx.shop, vehicleId, o.name, o.phone, o.plate, tx.person],
      )
    : tx.run(
        `UPDATE vehicle_owner SET name = $3, phone = $4, plate = $5, version = version + 1, updated_by = $6, updated_at = now()
          WHERE vehicle_id = $1 AND version = $2`,
        [vehicleId, o.version, o.name, o.phone, o.plate, tx.person],
      );

export const eraseOwner = (tx: Tx, vehicleId: string) =>
  tx.run('DELETE FROM vehicle_owner WHERE vehicle_id = $1', [vehicleId]);

export async function ownerRecord(tx: Tx, vehicleId: string, vehicle: string) {
  const jobs = await tx.rows(
    ownerRecordSchema.shape.jobs.element,
    `SELECT DISTINCT j.complaint, j.created_at AS "begunAt"
       FROM job j JOIN job_axle x ON x.shop_id = j.shop_id AND x.job_id = j.id JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id
      WHERE a.vehicle_id = $1 ORDER BY j.created_at`,
    [vehicleId],
  );
  return { owner: await ownerOf(tx, vehicleId), vehicle, jobs };
}
