import { knownAxleSchema, personSchema, vehicleAxleSchema, type Vehicle, type VehicleEdit } from '@/contracts/job';
import { type AxlePosition, type Suspension } from '@/core/linkage/suspension';
import { type Tx } from './client';

export const insertShop = (tx: Tx, name: string): Promise<number> =>
  tx.run('INSERT INTO shop (id, name) VALUES ($1, $2) ON CONFLICT DO NOTHING', [tx.shop, name]);

export const insertPerson = (tx: Tx, id: string, name: string): Promise<number> =>
  tx.run('INSERT INTO person (shop_id, id, name) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING', [tx.shop, id, name]);

export const shopPeople = (tx: Tx) => tx.rows(personSchema, 'SELECT id, name FROM person ORDER BY name');

const AXLE = `a.id, a.position, a.suspension, a.arrangement, a.class AS "axleClass", a.steered`;
export const VEHICLE = `v.id, v.name, v.maker, v.wheelbase_mm AS wheelbase, v.wheelbase_typed AS "wheelbaseTyped",
  v.tank_mass_kg AS "tankMass", v.tank_mass_typed AS "tankMassTyped", v.tank_station_mm AS "tankStation",
  v.tank_station_typed AS "tankStationTyped", v.use, v.version, v.updated_at AS "updatedAt",
  (SELECT e.name FROM person e WHERE e.shop_id = v.shop_id AND e.id = v.updated_by) AS "updatedBy"`;

/** Every leaf-sprung axle of the shop with its vehicle: those a job may be for. */
export const shopAxles = (tx: Tx) =>
  tx.rows(
    knownAxleSchema,
    `SELECT ${AXLE}, json_build_object('id', v.id, 'name', v.name, 'maker', v.maker) AS vehicle
       FROM axle a JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id
      WHERE a.suspension = 'longitudinalLeaf' ORDER BY v.name, a.position`,
  );

/** All axles of a vehicle with their ratings. */
export const vehicleAxles = (tx: Tx, vehicleId: string) =>
  tx.rows(
    vehicleAxleSchema,
    `SELECT a.id, a.position, a.suspension,
            coalesce((SELECT json_agg(json_build_object('part', r.part, 'rating', r.rating_kg, 'typed', r.typed) ORDER BY r.part)
                        FROM axle_rating r WHERE r.shop_id = a.shop_id AND r.axle_id = a.id), '[]') AS ratings
       FROM axle a WHERE a.vehicle_id = $1 ORDER BY a.position`,
    [vehicleId],
  );

type NewVehicle = Omit<Vehicle, 'version' | 'updatedBy' | 'updatedAt'>;

export const insertVehicle = (tx: Tx, v: NewVehicle) =>
  tx.run(
    `INSERT INTO vehicle (shop_id, id, name, maker, wheelbase_mm, wheelbase_typed, tank_mass_kg, tank_mass_typed,
                          tank_station_mm, tank_station_typed, use, updated_by)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12)`,
    [
      tx.shop,
      v.id,
      v.name,
      v.maker,
      v.wheelbase,
      v.wheelbaseTyped,
      v.tankMass,
      v.tankMassTyped,
      v.tankStation,
      v.tankStationTyped,
      v.use,
      tx.person,
    ],
  );

export const updateVehicle = (tx: Tx, id: string, v: VehicleEdit) =>
  tx.run(
    `UPDATE vehicle SET use = $3, tank_mass_kg = $4, tank_mass_typed = $5, tank_station_mm = $6, tank_station_typed = $7,
            version = version + 1, updated_by = $8, updated_at = now() WHERE id = $1 AND version = $2`,
    [id, v.version, v.use, v.tankMass, v.tankMassTyped, v.tankStation, v.tankStationTyped, tx.person],
  );

export const insertAxle = (
  tx: Tx,
  a: { id: string; vehicleId: string; position: string; arrangement: string; axleClass: string; steered: boolean },
) =>
  tx.run(
    `INSERT INTO axle (shop_id, id, vehicle_id, position, suspension, arrangement, class, steered)
     VALUES ($1, $2, $3, $4, 'longitudinalLeaf', $5, $6, $7)`,
    [tx.shop, a.id, a.vehicleId, a.position, a.arrangement, a.axleClass, a.steered],
  );

/** An axle that is only written down so far; one of leaf springs keeps its own record untouched. */
export const putOtherAxle = (tx: Tx, id: string, vehicleId: string, position: AxlePosition, suspension: Suspension) =>
  tx.run(
    `INSERT INTO axle (shop_id, id, vehicle_id, position, suspension, steered, arrangement, class)
     VALUES ($1, $2, $3, $4, $5, $4 = 'front', CASE WHEN $5 = 'longitudinalLeaf' THEN 'over' END,
             CASE WHEN $5 = 'longitudinalLeaf' THEN CASE WHEN $4 = 'front' THEN 'fourByFourFront' ELSE 'pickupRear' END END)
     ON CONFLICT (shop_id, vehicle_id, position) DO UPDATE
       SET suspension = excluded.suspension, arrangement = excluded.arrangement, class = excluded.class
       WHERE axle.suspension <> excluded.suspension
         AND NOT EXISTS (SELECT FROM job j WHERE j.shop_id = axle.shop_id AND j.axle_id = axle.id)`,
    [tx.shop, id, vehicleId, position, suspension],
  );

export async function replaceRatings(tx: Tx, axleId: string, ratings: VehicleEdit['ratings']): Promise<void> {
  await tx.run('DELETE FROM axle_rating WHERE axle_id = $1', [axleId]);
  for (const { part, rating, typed } of ratings)
    await tx.run('INSERT INTO axle_rating (shop_id, axle_id, part, rating_kg, typed) VALUES ($1, $2, $3, $4, $5)', [
      tx.shop,
      axleId,
      part,
      rating,
      typed,
    ]);
}
