-- Up Migration
-- Where the trade disagrees: the school a shop keeps to (no job) and the one chosen for a job, each with its reason. Never changed.
CREATE TABLE school_choice (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL,
  job_id uuid,
  question text NOT NULL CHECK (length(question) BETWEEN 1 AND 40),
  school text NOT NULL CHECK (school IN ('one', 'other')),
  reason text NOT NULL CHECK (length(reason) BETWEEN 3 AND 300),
  person_id uuid NOT NULL,
  chosen_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX school_choice_of_job ON school_choice (shop_id, job_id);
ALTER TABLE school_choice ENABLE ROW LEVEL SECURITY;
ALTER TABLE school_choice FORCE ROW LEVEL SECURITY;
CREATE POLICY own_shop ON school_choice USING (shop_id = nullif(current_setting('gravelwort.shop', true), '')::uuid);
GRANT SELECT, INSERT ON school_choice TO gravelwort_app;
