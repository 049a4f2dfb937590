-- Up Migration
-- Findings, their photos, what was found by the way, failures in a vehicle's life, and a shop's own limits.
CREATE TABLE finding (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  rule text NOT NULL CHECK (length(rule) BETWEEN 1 AND 40),
  side text CHECK (side IN ('left', 'right')),
  choice text CHECK (length(choice) BETWEEN 1 AND 40),
  verdict text NOT NULL CHECK (verdict IN ('pass', 'watch', 'service', 'replace', 'stop')),
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
  -- Where a leaf is broken: the leaf, and mm from the pin, minus towards the front.
  leaf_id uuid,
  place_mm double precision CHECK (place_mm BETWEEN -2000 AND 2000),
  place_typed text CHECK (length(place_typed) BETWEEN 1 AND 160),
  person_id uuid NOT NULL,
  found_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, job_id, id),
  CHECK ((place_mm IS NULL) = (place_typed IS NULL)),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, leaf_id) REFERENCES leaf (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE TABLE finding_value (
  shop_id uuid NOT NULL,
  finding_id uuid NOT NULL,
  measure text NOT NULL CHECK (length(measure) BETWEEN 1 AND 40),
  value double precision NOT NULL CHECK (value BETWEEN -1e6 AND 1e6),
  typed text NOT NULL CHECK (length(typed) BETWEEN 1 AND 160),
  PRIMARY KEY (shop_id, finding_id, measure),
  FOREIGN KEY (shop_id, finding_id) REFERENCES finding (shop_id, id)
);
-- A picture belongs to a rule and side of the inspection, or to a field of the measuring sheet.
CREATE TABLE photo (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  subject text NOT NULL CHECK (length(subject) BETWEEN 1 AND 200),
  caption text NOT NULL DEFAULT '' CHECK (length(caption) <= 200),
  width integer NOT NULL CHECK (width BETWEEN 1 AND 4000),
  height integer NOT NULL CHECK (height BETWEEN 1 AND 4000),
  sha256 text NOT NULL CHECK (sha256 ~ '^[0-9a-f]{64}$'),
  jpeg bytea NOT NULL CHECK (octet_length(jpeg) BETWEEN 1 AND 4000000),
  person_id uuid NOT NULL,
  taken_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
-- Found by the way: belongs to the vehicle and outlives the job that found it.
CREATE TABLE side_finding (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  vehicle_id uuid NOT NULL,
  job_id uuid NOT NULL,
  what text NOT NULL CHECK (length(what) BETWEEN 1 AND 300),
  urgency text NOT NULL CHECK (urgency IN ('now', 'soon', 'nextVisit')),
  person_id uuid NOT NULL,
  found_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  done_at timestamptz,
  done_by uuid,
  evidence text CHECK (length(evidence) BETWEEN 3 AND 300),
  PRIMARY KEY (shop_id, id),
  CHECK (num_nulls(done_at, done_by, evidence) IN (0, 3)),
  FOREIGN KEY (shop_id, vehicle_id) REFERENCES vehicle (shop_id, id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id),
  FOREIGN KEY (shop_id, done_by) REFERENCES person (shop_id, id)
);
CREATE TABLE failure (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  vehicle_id uuid NOT NULL,
  place text NOT NULL CHECK (length(place) BETWEEN 1 AND 120),
  km double precision NOT NULL CHECK (km BETWEEN 0 AND 1e7),
  km_typed text NOT NULL CHECK (length(km_typed) BETWEEN 1 AND 160),
  cause text NOT NULL DEFAULT '' CHECK (length(cause) <= 300),
  person_id uuid NOT NULL,
  written_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, vehicle_id) REFERENCES vehicle (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE TABLE shop_limit (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL,
  rule text NOT NULL CHECK (length(rule) BETWEEN 1 AND 40),
  verdict text NOT NULL CHECK (verdict IN ('pass', 'watch', 'service', 'replace', 'stop')),
  measure text NOT NULL CHECK (length(measure) BETWEEN 1 AND 40),
  value double precision NOT NULL CHECK (value BETWEEN -1e6 AND 1e6),
  typed text NOT NULL CHECK (length(typed) BETWEEN 1 AND 160),
  reason text NOT NULL CHECK (length(reason) BETWEEN 5 AND 300),
  person_id uuid NOT NULL,
  set_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);

-- A broken leaf is made good by every plan: a line of its own in the ledger.
ALTER TABLE ledger_line DROP CONSTRAINT ledger_line_kind_check;
ALTER TABLE ledger_line ADD CONSTRAINT ledger_line_kind_check CHECK (kind IN
  ('measured', 'mendLeaf', 'leafThickness', 'leafArch', 'block', 'shackle', 'overAxle', 'load', 'together', 'total',
   'settling'));

DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['finding', 'finding_value', 'photo', 'side_finding', 'failure', 'shop_limit']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', t);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', t);
    EXECUTE format(
      'CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', t);
    EXECUTE format('GRANT SELECT, INSERT ON %I TO gravelwort_app', t);
  END LOOP;
END $$;
CREATE INDEX finding_of_job ON finding (shop_id, job_id);
CREATE INDEX photo_of_job ON photo (shop_id, job_id);
CREATE INDEX side_finding_of_vehicle ON side_finding (shop_id, vehicle_id);
CREATE INDEX failure_of_vehicle ON failure (shop_id, vehicle_id);
-- Only closed with evidence, never changed otherwise.
GRANT UPDATE (done_at, done_by, evidence) ON side_finding TO gravelwort_app;
