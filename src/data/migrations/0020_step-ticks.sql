-- Up Migration
-- Steps of the work as they were ticked and unticked, one row each time, so that two tablets lose nothing of one another; the last row of a step counts.
CREATE TABLE step_tick (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  step text NOT NULL CHECK (step ~ '^[a-z][A-Za-z0-9]{0,39}(\.(left|right))?$'),
  done boolean NOT NULL,
  person_id uuid NOT NULL,
  ticked_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX step_tick_latest ON step_tick (shop_id, job_axle_id, step, ticked_at DESC);
ALTER TABLE step_tick ENABLE ROW LEVEL SECURITY;
ALTER TABLE step_tick FORCE ROW LEVEL SECURITY;
CREATE POLICY own_shop ON step_tick USING (shop_id = nullif(current_setting('gravelwort.shop', true), '')::uuid);
GRANT SELECT, INSERT ON step_tick TO gravelwort_app;
