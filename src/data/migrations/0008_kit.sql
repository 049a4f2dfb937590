-- Up Migration
-- What a kit brings and what it does not, features that tell one branch of a vehicle from another, and whether the pack of
-- the other side is like the one that was measured.
ALTER TABLE pack ADD COLUMN other_side text NOT NULL DEFAULT 'unknown'
  CHECK (other_side IN ('same', 'different', 'unknown'));
CREATE TABLE kit_item (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  what text NOT NULL CHECK (length(what) BETWEEN 1 AND 120),
  wanted integer NOT NULL CHECK (wanted BETWEEN 1 AND 999),
  state text NOT NULL CHECK (state IN ('expected', 'there', 'missing', 'notInKit', 'reused')),
  person_id uuid NOT NULL,
  updated_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE TABLE vehicle_feature (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  vehicle_id uuid NOT NULL,
  feature text NOT NULL CHECK (length(feature) BETWEEN 1 AND 120),
  found text NOT NULL CHECK (length(found) BETWEEN 1 AND 120),
  means text NOT NULL CHECK (length(means) BETWEEN 1 AND 200),
  person_id uuid NOT NULL,
  seen_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, vehicle_id) REFERENCES vehicle (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['kit_item', 'vehicle_feature']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', t);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', t);
    EXECUTE format(
      'CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', t);
    EXECUTE format('GRANT SELECT, INSERT ON %I TO gravelwort_app', t);
  END LOOP;
END $$;
CREATE INDEX kit_item_of_job ON kit_item (shop_id, job_id);
CREATE INDEX vehicle_feature_of_vehicle ON vehicle_feature (shop_id, vehicle_id);
GRANT UPDATE (state, person_id, updated_at) ON kit_item TO gravelwort_app;
