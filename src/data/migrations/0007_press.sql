-- Up Migration
-- Load-deflection runs of a spring in the press or from a file. A run is never changed; the last one of a side counts.
CREATE TABLE press_run (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  side text NOT NULL CHECK (side IN ('left', 'right')),
  source text NOT NULL CHECK (source IN ('press', 'csv')),
  person_id uuid NOT NULL,
  taken_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE TABLE press_point (
  shop_id uuid NOT NULL,
  run_id uuid NOT NULL,
  ordinal integer NOT NULL CHECK (ordinal BETWEEN 0 AND 500),
  force_n double precision NOT NULL CHECK (force_n BETWEEN 0 AND 1e6),
  arch_top_mm double precision NOT NULL CHECK (arch_top_mm BETWEEN -500 AND 800),
  branch text NOT NULL CHECK (branch IN ('loading', 'unloading')),
  PRIMARY KEY (shop_id, run_id, ordinal),
  FOREIGN KEY (shop_id, run_id) REFERENCES press_run (shop_id, id)
);
CREATE INDEX press_run_of_job ON press_run (shop_id, job_id);
DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['press_run', 'press_point']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', t);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', t);
    EXECUTE format(
      'CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', t);
    EXECUTE format('GRANT SELECT, INSERT ON %I TO gravelwort_app', t);
  END LOOP;
END $$;
