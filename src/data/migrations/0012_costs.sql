-- Up Migration
-- What a job costs: planned as a range, what it came to, new or used, labour, and what is left out. A line changes under its version.
CREATE TABLE cost_line (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  what text NOT NULL CHECK (length(what) BETWEEN 1 AND 160),
  count integer NOT NULL CHECK (count BETWEEN 1 AND 9999),
  condition text NOT NULL CHECK (condition IN ('new', 'used')),
  planned_low numeric(12, 2) CHECK (planned_low >= 0),
  planned_high numeric(12, 2) CHECK (planned_high >= planned_low),
  planned_typed text CHECK (length(planned_typed) BETWEEN 1 AND 160),
  actual numeric(12, 2) CHECK (actual >= 0),
  minutes_low double precision CHECK (minutes_low >= 0),
  minutes_high double precision CHECK (minutes_high >= minutes_low),
  minutes_typed text CHECK (length(minutes_typed) BETWEEN 1 AND 160),
  actual_minutes double precision CHECK (actual_minutes >= 0),
  excluded boolean NOT NULL DEFAULT false,
  part_id uuid,
  version integer NOT NULL DEFAULT 1,
  person_id uuid NOT NULL,
  updated_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  CHECK (num_nulls(planned_low, planned_high, planned_typed) IN (0, 3)),
  CHECK (num_nulls(minutes_low, minutes_high, minutes_typed) IN (0, 3)),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, part_id) REFERENCES shelf_item (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX cost_line_of_job ON cost_line (shop_id, job_id);
ALTER TABLE cost_line ENABLE ROW LEVEL SECURITY;
ALTER TABLE cost_line FORCE ROW LEVEL SECURITY;
CREATE POLICY own_shop ON cost_line USING (shop_id = nullif(current_setting('gravelwort.shop', true), '')::uuid);
GRANT SELECT, INSERT, UPDATE ON cost_line TO gravelwort_app;
