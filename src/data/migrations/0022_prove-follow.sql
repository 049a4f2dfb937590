-- Up Migration
-- What was tried before the vehicle left, with its answer; the last one of an item counts. Never changed.
CREATE TABLE function_check (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  item text NOT NULL CHECK (length(item) BETWEEN 1 AND 40),
  answer text NOT NULL CHECK (answer IN ('ok', 'notOk', 'notDone')),
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 300),
  person_id uuid NOT NULL,
  said_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX function_check_latest ON function_check (shop_id, job_axle_id, item, said_at DESC);

-- A drive before or after the work: on which road, in which load, with marks out of ten. The last one of each phase counts.
CREATE TABLE road_test (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  phase text NOT NULL CHECK (phase IN ('before', 'after')),
  route text NOT NULL CHECK (length(route) BETWEEN 1 AND 120),
  load_state_id uuid NOT NULL,
  noise integer CHECK (noise BETWEEN 0 AND 10),
  ride integer CHECK (ride BETWEEN 0 AND 10),
  shake integer CHECK (shake BETWEEN 0 AND 10),
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 300),
  person_id uuid NOT NULL,
  driven_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id),
  FOREIGN KEY (shop_id, load_state_id) REFERENCES load_state (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX road_test_latest ON road_test (shop_id, job_axle_id, phase, driven_at DESC);

-- Heights read again while a spring settles, each with the vehicle's odometer. Never changed.
CREATE TABLE settling_height (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  point text NOT NULL CHECK (point IN ('hubToLip', 'groundToLip')),
  side text NOT NULL CHECK (side IN ('left', 'right')),
  load_state_id uuid NOT NULL,
  typed text NOT NULL CHECK (length(typed) BETWEEN 1 AND 160),
  value_mm double precision NOT NULL CHECK (value_mm BETWEEN 1 AND 5000),
  km double precision NOT NULL CHECK (km BETWEEN 0 AND 1e7),
  km_typed text NOT NULL CHECK (length(km_typed) BETWEEN 1 AND 160),
  person_id uuid NOT NULL,
  read_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id),
  FOREIGN KEY (shop_id, load_state_id) REFERENCES load_state (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX settling_height_of ON settling_height (shop_id, job_axle_id, read_at);

-- To whom a vehicle was handed, by name, and what they were told is open.
CREATE TABLE hand_over (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  taken_by text NOT NULL CHECK (length(taken_by) BETWEEN 1 AND 120),
  told text[] NOT NULL,
  person_id uuid NOT NULL,
  handed_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX hand_over_of ON hand_over (shop_id, job_id, handed_at DESC);

-- What the tape taught of an axle, for whoever works on it next. Never changed; nothing is reckoned from it without being asked.
CREATE TABLE lesson (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  axle_id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  prediction_id uuid NOT NULL,
  cause text NOT NULL CHECK (length(cause) BETWEEN 1 AND 40),
  says text NOT NULL CHECK (length(says) BETWEEN 1 AND 300),
  person_id uuid NOT NULL,
  learnt_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, axle_id) REFERENCES axle (shop_id, id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id),
  FOREIGN KEY (shop_id, prediction_id) REFERENCES prediction (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX lesson_of_axle ON lesson (shop_id, axle_id, learnt_at DESC);

-- A check says what is read of it, and where its interval came from when it is not common practice.
ALTER TABLE due_check ADD COLUMN reads text NOT NULL DEFAULT 'torque' CHECK (reads IN ('torque', 'heights', 'look'));
ALTER TABLE due_check ADD COLUMN source text NOT NULL DEFAULT '' CHECK (length(source) <= 160);
UPDATE due_check SET reads = 'heights' WHERE what LIKE '%heights after settling';
-- What must not be done until a defect is mended: no tow, no load.
ALTER TABLE defect ADD COLUMN limits text NOT NULL DEFAULT '' CHECK (length(limits) <= 160);
-- The register of what is open, over all vehicles of a shop.
CREATE INDEX defect_by_day ON defect (shop_id, due_on);

DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['function_check', 'road_test', 'settling_height', 'hand_over', 'lesson'] LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', name);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', name);
    EXECUTE format('CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', name);
    EXECUTE format('GRANT SELECT, INSERT ON %I TO gravelwort_app', name);
  END LOOP;
END $$;
