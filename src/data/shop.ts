import { knownAxleSchema, personSchema } from '@/contracts/job';
import { type Tx } from './client';

export const insertShop = (tx: Tx, name: string): Promise<number> =>
  tx.run('INSERT INTO shop (id, name) VALUES ($1, $2) ON CONFLICT DO NOTHING', [tx.shop, name]);

export const insertPerson = (tx: Tx, id: string, name: string): Promise<number> =>
  tx.run('INSERT INTO person (shop_id, id, name) VALUES ($1, $2, $3) ON CONFLICT DO NOTHING', [tx.shop, id, name]);

export const shopPeople = (tx: Tx) => tx.rows(personSchema, 'SELECT id, name FROM person ORDER BY name');

const AXLE = `a.id, a.position, a.suspension, a.arrangement, a.class AS "axleClass", a.steered`;
export const VEHICLE = `v.id, v.name, v.maker, v.wheelbase_mm AS wheelbase, v.wheelbase_typed AS "wheelbaseTyped"`;

/** Every axle of the shop with its vehicle. */
export const shopAxles = (tx: Tx) =>
  tx.rows(
    knownAxleSchema,
    `SELECT ${AXLE}, json_build_object('id', v.id, 'name', v.name, 'maker', v.maker, 'wheelbase', v.wheelbase_mm,
            'wheelbaseTyped', v.wheelbase_typed) AS vehicle
       FROM axle a JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id ORDER BY v.name, a.position`,
  );

export const insertVehicle = (
  tx: Tx,
  v: { id: string; name: string; maker: string; wheelbase: number; wheelbaseTyped: string },
) =>
  tx.run(
    `INSERT INTO vehicle (shop_id, id, name, maker, wheelbase_mm, wheelbase_typed, updated_by)
     VALUES ($1, $2, $3, $4, $5, $6, $7)`,
    [tx.shop, v.id, v.name, v.maker, v.wheelbase, v.wheelbaseTyped, tx.person],
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
