-- Up Migration

-- The end of a leaf spring that hangs on its shackle; null when nobody looked.
ALTER TABLE pack ADD COLUMN shackle_at text CHECK (shackle_at IN ('rear', 'front'));

-- What the Board asks of every job at once stands where it is found quickly; what happened stays in its own append-only rows.
ALTER TABLE job ADD COLUMN closed_at timestamptz;
UPDATE job j SET closed_at = c.at
  FROM (SELECT DISTINCT ON (shop_id, job_id) shop_id, job_id, closed, at FROM job_close ORDER BY shop_id, job_id, at DESC) c
 WHERE c.shop_id = j.shop_id AND c.job_id = j.id AND c.closed;
CREATE INDEX job_in_hand ON job (shop_id, created_at DESC, id) WHERE closed_at IS NULL;

ALTER TABLE due_check ADD COLUMN open boolean NOT NULL DEFAULT true, ADD COLUMN passed boolean NOT NULL DEFAULT false;
UPDATE due_check SET open = false WHERE done_at IS NOT NULL;
UPDATE due_check d SET open = NOT l.done
  FROM (SELECT DISTINCT ON (shop_id, check_id) shop_id, check_id, done FROM due_done ORDER BY shop_id, check_id, at DESC) l
 WHERE l.shop_id = d.shop_id AND l.check_id = d.id;
UPDATE due_check d SET passed = d.from_km + d.after_km <= o.km
  FROM job_axle x, axle a,
       (SELECT DISTINCT ON (shop_id, vehicle_id) shop_id, vehicle_id, km FROM odometer ORDER BY shop_id, vehicle_id, read_at DESC) o
 WHERE x.shop_id = d.shop_id AND x.job_id = d.job_id AND x.ordinal = 1 AND a.shop_id = x.shop_id AND a.id = x.axle_id
   AND o.shop_id = a.shop_id AND o.vehicle_id = a.vehicle_id AND d.from_km IS NOT NULL;
CREATE INDEX due_check_open ON due_check (shop_id, due_on) WHERE open;
CREATE INDEX due_check_passed ON due_check (shop_id, job_id) WHERE open AND passed;
CREATE INDEX due_check_of_job ON due_check (shop_id, job_id);
CREATE INDEX due_done_of_check ON due_done (shop_id, check_id, at DESC);
CREATE INDEX odometer_of_vehicle ON odometer (shop_id, vehicle_id, read_at DESC);

-- Down Migration

DROP INDEX odometer_of_vehicle, due_done_of_check, due_check_of_job, due_check_passed, due_check_open, job_in_hand;
ALTER TABLE due_check DROP COLUMN open, DROP COLUMN passed;
ALTER TABLE job DROP COLUMN closed_at;
ALTER TABLE pack DROP COLUMN shackle_at;
