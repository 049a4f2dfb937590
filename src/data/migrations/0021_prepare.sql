-- Up Migration
-- What must lie there before the work: how each thing of a job's list stands. What is on the list follows from the plan; a line is kept from the first word about it, with what it was then.
CREATE TABLE needed_part (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  need text NOT NULL CHECK (length(need) BETWEEN 1 AND 80),
  what text NOT NULL CHECK (length(what) BETWEEN 1 AND 200),
  wanted integer NOT NULL CHECK (wanted BETWEEN 1 AND 999),
  state text NOT NULL CHECK (state IN ('toOrder', 'ordered', 'here', 'notWanted')),
  source text NOT NULL CHECK (length(source) <= 80),
  orders text NOT NULL CHECK (length(orders) <= 80),
  due_on date,
  shelf_item_id uuid,
  version integer NOT NULL DEFAULT 1,
  person_id uuid NOT NULL,
  updated_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, job_axle_id, need),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id),
  FOREIGN KEY (shop_id, shelf_item_id) REFERENCES shelf_item (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);

-- Sizes of a part in hand, piece by piece; the last reading counts. Never changed.
CREATE TABLE arrival_reading (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  need text NOT NULL CHECK (length(need) BETWEEN 1 AND 80),
  piece integer NOT NULL CHECK (piece BETWEEN 1 AND 999),
  size text NOT NULL CHECK (length(size) BETWEEN 1 AND 40),
  typed text NOT NULL CHECK (length(typed) BETWEEN 1 AND 160),
  value double precision NOT NULL,
  person_id uuid NOT NULL,
  read_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX arrival_reading_latest ON arrival_reading (shop_id, job_axle_id, need, piece, size, read_at DESC);

-- What takes days before the work: draining, coating, a helper. What is off the list stays, struck.
CREATE TABLE job_wait (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  what text NOT NULL CHECK (length(what) BETWEEN 1 AND 80),
  days integer NOT NULL CHECK (days BETWEEN 0 AND 400),
  after_wait uuid,
  done boolean NOT NULL DEFAULT false,
  struck boolean NOT NULL DEFAULT false,
  version integer NOT NULL DEFAULT 1,
  person_id uuid NOT NULL,
  updated_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  CHECK (after_wait <> id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id),
  FOREIGN KEY (shop_id, after_wait) REFERENCES job_wait (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX job_wait_of ON job_wait (shop_id, job_axle_id);

-- Tools of the shop. What is sold or thrown away stays, gone.
CREATE TABLE shop_tool (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL,
  kind text NOT NULL CHECK (length(kind) BETWEEN 1 AND 40),
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  across double precision CHECK (across > 0),
  across_typed text,
  low double precision CHECK (low >= 0),
  low_typed text,
  high double precision CHECK (high >= 0),
  high_typed text,
  notch double precision CHECK (notch > 0),
  notch_typed text,
  capacity double precision CHECK (capacity > 0),
  capacity_typed text,
  place text NOT NULL CHECK (length(place) <= 80),
  state text NOT NULL CHECK (state IN ('here', 'lent', 'broken', 'lost')),
  gone boolean NOT NULL DEFAULT false,
  version integer NOT NULL DEFAULT 1,
  person_id uuid NOT NULL,
  updated_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  CHECK (num_nulls(across, across_typed) IN (0, 2)),
  CHECK (num_nulls(low, low_typed) IN (0, 2)),
  CHECK (num_nulls(high, high_typed) IN (0, 2)),
  CHECK (num_nulls(notch, notch_typed) IN (0, 2)),
  CHECK (num_nulls(capacity, capacity_typed) IN (0, 2)),
  CHECK (low <= high),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);

-- How the job goes into the bay: the day, how rusty it is, how long it soaks, on which stands. The last row counts.
CREATE TABLE job_bay (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  bay_on date,
  rusty boolean NOT NULL,
  soak_days integer NOT NULL CHECK (soak_days BETWEEN 0 AND 60),
  stand_id uuid,
  person_id uuid NOT NULL,
  set_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id),
  FOREIGN KEY (shop_id, stand_id) REFERENCES shop_tool (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX job_bay_latest ON job_bay (shop_id, job_axle_id, set_at DESC);

-- What fits a fastener of a vehicle's axle, found out once. The last row of a joint counts.
CREATE TABLE fastener_size (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  axle_id uuid NOT NULL,
  joint text NOT NULL CHECK (length(joint) BETWEEN 1 AND 40),
  across double precision NOT NULL CHECK (across BETWEEN 3 AND 120),
  across_typed text NOT NULL CHECK (length(across_typed) BETWEEN 1 AND 160),
  note text NOT NULL CHECK (length(note) <= 120),
  person_id uuid NOT NULL,
  read_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, axle_id) REFERENCES axle (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX fastener_size_latest ON fastener_size (shop_id, axle_id, joint, read_at DESC);

-- A step ticked without what was asked for it says why; one that lay on a tablet without a network says when it was made, so that two that knew nothing of one another are told apart.
ALTER TABLE step_tick ADD COLUMN note text NOT NULL DEFAULT '' CHECK (length(note) <= 300);
ALTER TABLE step_tick ADD COLUMN made_at timestamptz;

-- What went wrong or was found while the work was done. Never changed.
CREATE TABLE incident (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  step text CHECK (length(step) <= 60),
  kind text NOT NULL CHECK (kind IN ('seized', 'snapped', 'wrongPart', 'brokenTool', 'found')),
  what text NOT NULL CHECK (length(what) BETWEEN 1 AND 160),
  person_id uuid NOT NULL,
  happened_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX incident_of ON incident (shop_id, job_axle_id);

-- Thread that stands out beyond the nut of one leg of a U-bolt. The last reading of a leg counts. Never changed.
CREATE TABLE leg_thread (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  leg text NOT NULL CHECK (length(leg) BETWEEN 1 AND 60),
  typed text NOT NULL CHECK (length(typed) BETWEEN 1 AND 160),
  value double precision NOT NULL CHECK (value BETWEEN 0 AND 300),
  person_id uuid NOT NULL,
  read_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX leg_thread_latest ON leg_thread (shop_id, job_axle_id, leg, read_at DESC);

DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['needed_part', 'arrival_reading', 'job_wait', 'shop_tool', 'job_bay', 'fastener_size', 'incident', 'leg_thread'] LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', name);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', name);
    EXECUTE format('CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', name);
  END LOOP;
END $$;
GRANT SELECT, INSERT, UPDATE ON needed_part, job_wait, shop_tool TO gravelwort_app;
GRANT SELECT, INSERT ON arrival_reading, job_bay, fastener_size, incident, leg_thread TO gravelwort_app;
