-- Up Migration
-- Ask in full: every axle of a vehicle with its own kind and ratings, goals that can be measured, loads by their items.
ALTER TABLE vehicle ADD COLUMN use text NOT NULL DEFAULT '' CHECK (length(use) <= 200);

ALTER TABLE axle DROP CONSTRAINT axle_suspension_check;
ALTER TABLE axle ADD CONSTRAINT axle_suspension_check CHECK (suspension IN (
  'longitudinalLeaf', 'tandemEqualizer', 'tandemSlipper', 'transverseLeaf', 'coilBeam', 'coilOver', 'twinBeam',
  'torsionBeam', 'rubberShear', 'other'));
ALTER TABLE axle DROP CONSTRAINT axle_position_check;
ALTER TABLE axle ADD CONSTRAINT axle_position_check CHECK (position IN ('front', 'rear', 'secondRear'));
ALTER TABLE axle ALTER COLUMN arrangement DROP NOT NULL, ALTER COLUMN class DROP NOT NULL;
ALTER TABLE axle ADD CONSTRAINT leaf_axle_complete
  CHECK (suspension <> 'longitudinalLeaf' OR num_nulls(arrangement, class) = 0);

-- What each part of an axle may carry; the lowest counts.
CREATE TABLE axle_rating (
  shop_id uuid NOT NULL,
  axle_id uuid NOT NULL,
  part text NOT NULL CHECK (part IN ('plate', 'axle', 'tyres', 'wheels', 'hangers', 'springs')),
  rating_kg double precision NOT NULL CHECK (rating_kg BETWEEN 20 AND 30000),
  typed text NOT NULL CHECK (length(typed) BETWEEN 1 AND 160),
  PRIMARY KEY (shop_id, axle_id, part),
  FOREIGN KEY (shop_id, axle_id) REFERENCES axle (shop_id, id)
);

ALTER TABLE job
  ADD COLUMN budget double precision CHECK (budget BETWEEN 0 AND 1e7);

-- Goals besides the height change of the job itself; each names something that is measured before and after.
CREATE TABLE goal (
  shop_id uuid NOT NULL,
  job_id uuid NOT NULL,
  kind text NOT NULL CHECK (kind IN ('lean', 'rake', 'square', 'ride', 'noise')),
  target double precision NOT NULL CHECK (target BETWEEN -1000 AND 1000),
  target_typed text NOT NULL CHECK (length(target_typed) BETWEEN 1 AND 160),
  tolerance double precision NOT NULL CHECK (tolerance BETWEEN 0 AND 1000),
  tolerance_typed text NOT NULL CHECK (length(tolerance_typed) BETWEEN 1 AND 160),
  PRIMARY KEY (shop_id, job_id, kind),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id)
);

-- What makes up a load state beyond the state of the day; its mass and middle are the state's.
CREATE TABLE load_item (
  shop_id uuid NOT NULL,
  job_id uuid NOT NULL,
  load_state_id uuid NOT NULL,
  ordinal integer NOT NULL CHECK (ordinal BETWEEN 0 AND 30),
  kind text NOT NULL CHECK (kind IN ('fuel', 'crew', 'tools', 'tongue', 'cargo')),
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  mass_kg double precision NOT NULL CHECK (mass_kg BETWEEN -20000 AND 20000),
  mass_typed text NOT NULL CHECK (length(mass_typed) BETWEEN 1 AND 160),
  station_mm double precision NOT NULL CHECK (station_mm BETWEEN -20000 AND 40000),
  station_typed text NOT NULL CHECK (length(station_typed) BETWEEN 1 AND 160),
  PRIMARY KEY (shop_id, load_state_id, ordinal),
  FOREIGN KEY (shop_id, job_id, load_state_id) REFERENCES load_state (shop_id, job_id, id)
);
-- Loads told as one lump so far become one item.
INSERT INTO load_item (shop_id, job_id, load_state_id, ordinal, kind, name, mass_kg, mass_typed, station_mm, station_typed)
  SELECT shop_id, job_id, id, 0, 'cargo', name, added_mass_kg, mass_typed, station_mm, station_typed
    FROM load_state WHERE ordinal > 0;

DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['axle_rating', 'goal', 'load_item']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', t);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', t);
    EXECUTE format(
      'CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', t);
    -- Replaced as a whole under the version of the vehicle or job they belong to.
    EXECUTE format('GRANT SELECT, INSERT, UPDATE, DELETE ON %I TO gravelwort_app', t);
  END LOOP;
END $$;
-- A load state that nothing hangs on may be dropped again; what hangs on it keeps it by its foreign keys.
GRANT DELETE ON load_state TO gravelwort_app;
