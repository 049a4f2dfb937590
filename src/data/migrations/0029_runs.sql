-- Up Migration
-- What runs over many jobs found, a line each, and the files they take and make. Lengths in mm.
CREATE TABLE run_line (
  shop_id uuid NOT NULL,
  batch_id uuid NOT NULL,
  -- What the line is about: a prediction, an axle in its job, or a file.
  of uuid NOT NULL,
  job_axle_id uuid,
  verdict text NOT NULL CHECK (length(verdict) BETWEEN 1 AND 40),
  was double precision,
  now double precision,
  half90 double precision CHECK (half90 >= 0),
  says text NOT NULL DEFAULT '' CHECK (length(says) <= 300),
  PRIMARY KEY (shop_id, batch_id, of),
  FOREIGN KEY (shop_id, batch_id) REFERENCES batch (shop_id, id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id)
);

-- A file lies here before its run is asked for, so it names the run and hangs on its shop only.
CREATE TABLE run_file (
  shop_id uuid NOT NULL REFERENCES shop,
  batch_id uuid NOT NULL,
  id uuid NOT NULL,
  way text NOT NULL CHECK (way IN ('in', 'out')),
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 160),
  sha256 text NOT NULL CHECK (sha256 ~ '^[0-9a-f]{64}$'),
  body bytea NOT NULL CHECK (length(body) BETWEEN 1 AND 67108864),
  person_id uuid NOT NULL,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX run_file_of ON run_file (shop_id, batch_id);

DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['run_line', 'run_file']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', name);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', name);
    EXECUTE format('CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', name);
    EXECUTE format('GRANT SELECT, INSERT ON %I TO gravelwort_app', name);
  END LOOP;
END $$;
-- What came in is in the jobs, and what was made is made again: neither is a record.
GRANT DELETE ON run_file TO gravelwort_app;

-- Down Migration
DROP TABLE run_file, run_line;
