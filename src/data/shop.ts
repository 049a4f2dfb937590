import {
  knownAxleSchema,
  vehicleAxleSchema,
  type KnownAxle,
  type Vehicle,
  type VehicleEdit,
} from '@/contracts/vehicle';
import { daysOffSchema, type DaysOff } from '@/contracts/needed';
import { personSchema } from '@/contracts/person';
import { type AxlePosition, type Suspension } from '@/core/suspension/names';
import { KIND_IDS, type KindId } from '@/core/suspension/registry';
import { personUnitSchema, type PersonUnit } from '@/contracts/units';
import { z } from 'zod';
import { anywhere, type Tx } from './client';

export const insertShop = (tx: Tx, name: string, zone: string | null = null): Promise<number> =>
  tx.run('INSERT INTO shop (id, name, time_zone) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING', [tx.shop, name, zone]);

/** The units a person has chosen, quantity by quantity. */
export const personUnits = (tx: Tx) =>
  tx.rows(personUnitSchema, 'SELECT dimension, unit FROM person_unit WHERE person_id = $1', [tx.person]);

export async function putPersonUnits(tx: Tx, units: readonly PersonUnit[]): Promise<void> {
  for (const { dimension, unit } of units)
    await tx.run(
      `INSERT INTO person_unit (shop_id, person_id, dimension, unit) VALUES ($1, $2, $3, $4)
       ON CONFLICT (shop_id, person_id, dimension) DO UPDATE SET unit = excluded.unit`,
      [tx.shop, tx.person, dimension, unit],
    );
}

/** The zone the shop's dates and times are told in; null for the machine's own. */
export async function shopZone(tx: Tx): Promise<string | null> {
  const [row] = await tx.rows(
    z.object({ zone: z.string().nullable() }),
    'SELECT time_zone AS zone FROM shop WHERE id = $1',
    [tx.shop],
  );
  return row?.zone ?? null;
}

/** On which days the shop does not work. */
export async function shopDaysOff(tx: Tx): Promise<DaysOff> {
  const [row] = await tx.rows(
    daysOffSchema,
    `SELECT days_off AS week, ARRAY(SELECT to_char(d, 'YYYY-MM-DD') FROM unnest(closed_on) d ORDER BY d) AS "on" FROM shop WHERE id = $1`,
    [tx.shop],
  );
  return row ?? { week: [0, 6], on: [] };
}

export const setDaysOff = (tx: Tx, { week, on }: DaysOff): Promise<number> =>
  tx.run('UPDATE shop SET days_off = $2, closed_on = $3::date[] WHERE id = $1', [tx.shop, week, on]);

export async function shopName(tx: Tx): Promise<string> {
  const [row] = await tx.rows(z.object({ name: z.string() }), 'SELECT name FROM shop WHERE id = $1', [tx.shop]);
  return row?.name ?? '';
}

export const insertPerson = (tx: Tx, id: string, name: string): Promise<number> =>
  tx.run('INSERT INTO person (shop_id, id, name) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING', [tx.shop, id, name]);

export const shopPeople = (tx: Tx) =>
  tx.rows(personSchema, 'SELECT id, name, role FROM person WHERE left_at IS NULL ORDER BY name');

export const VEHICLE = `v.id, v.name, v.maker, v.form, v.wheelbase_mm AS wheelbase, v.wheelbase_typed AS "wheelbaseTyped",
  v.tank_mass_kg AS "tankMass", v.tank_mass_typed AS "tankMassTyped", v.tank_station_mm AS "tankStation",
  v.tank_station_typed AS "tankStationTyped", v.use, v.version, v.updated_at AS "updatedAt",
  (SELECT e.name FROM person e WHERE e.shop_id = v.shop_id AND e.id = v.updated_by) AS "updatedBy"`;

const KNOWN_AXLE = `a.id, a.position, a.suspension, a.arrangement, a.class AS "axleClass", a.steered, json_build_object('id', v.id, 'name', v.name, 'maker', v.maker, 'form', v.form) AS vehicle`;

/** An axle with its vehicle that a job may be for. */
export async function knownAxle(tx: Tx, id: string): Promise<KnownAxle | undefined> {
  const [found] = await tx.rows(
    knownAxleSchema,
    `SELECT ${KNOWN_AXLE} FROM axle a JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id WHERE a.id = $1 AND a.suspension = ANY($2)`,
    [id, KIND_IDS],
  );
  return found;
}

/** Axles that a job may be for, of the vehicles looked at last, or of those whose name or maker holds the words. @param most vehicles */
export const findAxles = (tx: Tx, words: string, most: number) =>
  tx.rows(
    knownAxleSchema,
    `SELECT ${KNOWN_AXLE} FROM (SELECT * FROM vehicle WHERE $2 = '' OR name ILIKE $3 OR maker ILIKE $3 ORDER BY updated_at DESC, id LIMIT $4) v
       JOIN axle a ON a.shop_id = v.shop_id AND a.vehicle_id = v.id
      WHERE a.suspension = ANY($1) ORDER BY v.updated_at DESC, v.id, a.position`,
    [KIND_IDS, words, anywhere(words), most],
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

/** What was looked at of an axle; where its spring lies is said of leaf springs only. */
interface AxleFacts {
  arrangement: string | null;
  axleClass: string;
  steered: boolean;
}

type NewVehicle = Omit<Vehicle, 'version' | 'updatedBy' | 'updatedAt'>;

export const insertVehicle = (tx: Tx, v: NewVehicle) =>
  tx.run(
    `INSERT INTO vehicle (shop_id, id, name, maker, wheelbase_mm, wheelbase_typed, tank_mass_kg, tank_mass_typed,
                          tank_station_mm, tank_station_typed, use, updated_by, form)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13)`,
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
      v.form,
    ],
  );

export const updateVehicle = (tx: Tx, id: string, v: VehicleEdit) =>
  tx.run(
    `UPDATE vehicle SET use = $3, tank_mass_kg = $4, tank_mass_typed = $5, tank_station_mm = $6, tank_station_typed = $7,
            form = coalesce($9, form), version = version + 1, updated_by = $8, updated_at = now() WHERE id = $1 AND version = $2`,
    [id, v.version, v.use, v.tankMass, v.tankMassTyped, v.tankStation, v.tankStationTyped, tx.person, v.form ?? null],
  );

export const insertAxle = (
  tx: Tx,
  a: { id: string; vehicleId: string; position: string; suspension: KindId } & AxleFacts,
) =>
  tx.run(
    `INSERT INTO axle (shop_id, id, vehicle_id, position, suspension, arrangement, class, steered)
     VALUES ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [tx.shop, a.id, a.vehicleId, a.position, a.suspension, a.arrangement, a.axleClass, a.steered],
  );

/** What was looked at of an axle that was only written down so far; facts already there stay. */
export const learnAxle = (tx: Tx, id: string, a: AxleFacts) =>
  tx.run(
    `UPDATE axle SET arrangement = coalesce(arrangement, $2), class = coalesce(class, $3), steered = coalesce(steered, $4)
      WHERE id = $1`,
    [id, a.arrangement, a.axleClass, a.steered],
  );

/** An axle that is only written down so far: where it is and its kind, nothing more; one that a job was about stays untouched. */
export const putOtherAxle = (tx: Tx, id: string, vehicleId: string, position: AxlePosition, suspension: Suspension) =>
  tx.run(
    `INSERT INTO axle (shop_id, id, vehicle_id, position, suspension) VALUES ($1, $2, $3, $4, $5)
     ON CONFLICT (shop_id, vehicle_id, position) DO UPDATE
       SET suspension = excluded.suspension, arrangement = NULL, class = NULL, steered = NULL
       WHERE axle.suspension <> excluded.suspension
         AND NOT EXISTS (SELECT FROM job_axle x WHERE x.shop_id = axle.shop_id AND x.axle_id = axle.id)`,
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
