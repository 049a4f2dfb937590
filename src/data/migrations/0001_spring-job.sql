-- Up Migration
-- Everything belongs to a shop; row-level security keeps shops apart, foreign keys include the shop.
DO $$ BEGIN
  IF NOT EXISTS (SELECT FROM pg_roles WHERE rolname = 'gravelwort_app') THEN CREATE ROLE gravelwort_app NOLOGIN; END IF;
  -- The migrating role may act as the application when one address serves both.
  IF NOT pg_has_role(current_user, 'gravelwort_app', 'MEMBER') THEN
    EXECUTE format('GRANT gravelwort_app TO %I', current_user);
  END IF;
END $$;

CREATE TABLE shop (
  id uuid PRIMARY KEY,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120)
);

CREATE TABLE person (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
  PRIMARY KEY (shop_id, id)
);

CREATE TABLE vehicle (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
  maker text NOT NULL DEFAULT '',
  wheelbase_mm double precision NOT NULL CHECK (wheelbase_mm BETWEEN 500 AND 20000),
  wheelbase_typed text NOT NULL,
  version integer NOT NULL DEFAULT 1,
  updated_by uuid NOT NULL,
  updated_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, updated_by) REFERENCES person (shop_id, id)
);

CREATE TABLE axle (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  vehicle_id uuid NOT NULL,
  position text NOT NULL CHECK (position IN ('front', 'rear')),
  suspension text NOT NULL CHECK (suspension IN ('longitudinalLeaf')),
  arrangement text NOT NULL CHECK (arrangement IN ('over', 'under')),
  class text NOT NULL,
  steered boolean NOT NULL,
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, vehicle_id, position),
  FOREIGN KEY (shop_id, vehicle_id) REFERENCES vehicle (shop_id, id)
);

CREATE TABLE job (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  axle_id uuid NOT NULL,
  complaint text NOT NULL CHECK (length(complaint) BETWEEN 1 AND 500),
  wanted_change_mm double precision NOT NULL CHECK (wanted_change_mm BETWEEN -300 AND 300),
  wanted_typed text NOT NULL,
  tolerance_mm double precision NOT NULL CHECK (tolerance_mm BETWEEN 0 AND 100),
  tolerance_typed text NOT NULL,
  guess_mm double precision CHECK (guess_mm BETWEEN -300 AND 300),
  guess_typed text,
  no_blocks boolean NOT NULL DEFAULT false,
  keep_ubolts boolean NOT NULL DEFAULT false,
  version integer NOT NULL DEFAULT 1,
  updated_by uuid NOT NULL,
  updated_at timestamptz NOT NULL DEFAULT now(),
  created_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (shop_id, id),
  CHECK ((guess_mm IS NULL) = (guess_typed IS NULL)),
  FOREIGN KEY (shop_id, axle_id) REFERENCES axle (shop_id, id),
  FOREIGN KEY (shop_id, updated_by) REFERENCES person (shop_id, id)
);

-- Ordinal 0 is the state of the day, in which the job is measured.
CREATE TABLE load_state (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  ordinal integer NOT NULL CHECK (ordinal BETWEEN 0 AND 20),
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  added_mass_kg double precision NOT NULL CHECK (added_mass_kg BETWEEN -20000 AND 20000),
  mass_typed text NOT NULL,
  station_mm double precision NOT NULL CHECK (station_mm BETWEEN -20000 AND 40000),
  station_typed text NOT NULL,
  wanted boolean NOT NULL DEFAULT false,
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, job_id, ordinal),
  UNIQUE (shop_id, job_id, id),
  CHECK (ordinal > 0 OR added_mass_kg = 0),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id)
);
CREATE UNIQUE INDEX one_wanted_state ON load_state (shop_id, job_id) WHERE wanted;

CREATE TABLE pack (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  eye_form text CHECK (eye_form IN ('upturned', 'berlin', 'downturned')),
  seat_shape text NOT NULL DEFAULT 'unknown' CHECK (seat_shape IN ('flat', 'concentric', 'unknown')),
  rusty boolean NOT NULL DEFAULT false,
  version integer NOT NULL DEFAULT 1,
  updated_by uuid NOT NULL,
  updated_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, job_id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, updated_by) REFERENCES person (shop_id, id)
);

-- Leaves from the main leaf (1) down. Their dimensions are readings.
CREATE TABLE leaf (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  pack_id uuid NOT NULL,
  ordinal integer NOT NULL CHECK (ordinal BETWEEN 1 AND 30),
  removed boolean NOT NULL DEFAULT false,
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, pack_id, ordinal),
  FOREIGN KEY (shop_id, pack_id) REFERENCES pack (shop_id, id)
);

-- Pieces between axle tube and main leaf, from the tube outwards. Their heights are readings.
CREATE TABLE stack_piece (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  ordinal integer NOT NULL CHECK (ordinal >= 1),
  kind text NOT NULL CHECK (kind IN ('tube', 'perch', 'block')),
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, job_id, ordinal),
  UNIQUE (shop_id, job_id, kind),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id)
);

CREATE TABLE fastener (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  kind text NOT NULL CHECK (kind IN ('uBolt', 'centreBolt')),
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, job_id, kind),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id)
);

-- Append-only. A correction is a new reading that supersedes one; history is linear, so two tabs cannot fork it.
CREATE TABLE reading (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  point text NOT NULL CHECK (point IN (
    'hubToLip', 'blockHeight', 'uboltExposed', 'uboltPitch', 'uboltThreaded', 'uboltNut', 'loadedArch',
    'eyeToPinFront', 'eyeToPinRear', 'eyeBore', 'leafWidth', 'leafThickness', 'leafFront', 'leafRear',
    'uboltSpacing', 'padLoad', 'axleLoad', 'unsprungMass', 'trackWidth', 'springBase', 'shackleLength',
    'shackleAngle', 'tubeDiameter', 'perchHeight', 'tyreRate')),
  phase text NOT NULL CHECK (phase IN ('before', 'after')),
  side text CHECK (side IN ('left', 'right')),
  leaf_id uuid,
  stack_piece_id uuid,
  fastener_id uuid,
  load_state_id uuid,
  typed text NOT NULL CHECK (length(typed) BETWEEN 1 AND 80),
  value double precision NOT NULL CHECK (value BETWEEN -1e9 AND 1e9),
  unit text NOT NULL,
  rolled boolean,
  instrument text NOT NULL CHECK (instrument IN ('tape', 'caliper', 'gauge', 'scale', 'ticket', 'estimate')),
  supersedes uuid,
  person_id uuid NOT NULL,
  taken_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, leaf_id) REFERENCES leaf (shop_id, id),
  FOREIGN KEY (shop_id, stack_piece_id) REFERENCES stack_piece (shop_id, id),
  FOREIGN KEY (shop_id, fastener_id) REFERENCES fastener (shop_id, id),
  FOREIGN KEY (shop_id, job_id, load_state_id) REFERENCES load_state (shop_id, job_id, id),
  FOREIGN KEY (shop_id, supersedes) REFERENCES reading (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE UNIQUE INDEX reading_superseded_once ON reading (shop_id, supersedes) WHERE supersedes IS NOT NULL;
CREATE UNIQUE INDEX reading_first_once ON reading
  (shop_id, job_id, point, phase, coalesce(side, ''), coalesce(leaf_id::text, ''), coalesce(load_state_id::text, ''))
  WHERE supersedes IS NULL;
CREATE INDEX reading_of_job ON reading (shop_id, job_id);

CREATE TABLE plan (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
  version integer NOT NULL DEFAULT 1,
  updated_by uuid NOT NULL,
  updated_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, job_id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, updated_by) REFERENCES person (shop_id, id)
);

CREATE TABLE plan_change (
  shop_id uuid NOT NULL,
  plan_id uuid NOT NULL,
  ordinal integer NOT NULL CHECK (ordinal BETWEEN 0 AND 20),
  kind text NOT NULL CHECK (kind IN ('addLeaf', 'block', 'shackle', 'overAxle')),
  front_mm double precision CHECK (front_mm BETWEEN 40 AND 1500),
  front_typed text,
  rear_mm double precision CHECK (rear_mm BETWEEN 40 AND 1500),
  rear_typed text,
  thickness_mm double precision CHECK (thickness_mm BETWEEN 3 AND 40),
  thickness_typed text,
  camber_mm double precision CHECK (camber_mm BETWEEN -300 AND 500),
  camber_typed text,
  source text CHECK (source IN ('measured', 'catalogue')),
  height_mm double precision CHECK (height_mm BETWEEN 0 AND 300),
  height_typed text,
  length_mm double precision CHECK (length_mm BETWEEN 30 AND 300),
  length_typed text,
  PRIMARY KEY (shop_id, plan_id, ordinal),
  FOREIGN KEY (shop_id, plan_id) REFERENCES plan (shop_id, id),
  CHECK (CASE kind
    WHEN 'addLeaf' THEN num_nulls(front_mm, rear_mm, thickness_mm, camber_mm, source) = 0
    WHEN 'shackle' THEN length_mm IS NOT NULL
    ELSE height_mm IS NOT NULL END)
);

-- Never updated or deleted: what was foretold stays as it was.
CREATE TABLE prediction (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  plan_id uuid NOT NULL,
  plan_version integer NOT NULL,
  core_version text NOT NULL,
  seed integer NOT NULL,
  samples integer NOT NULL CHECK (samples >= 50),
  inputs jsonb NOT NULL CHECK (inputs ? 'schemaVersion'),
  result jsonb NOT NULL CHECK (result ? 'schemaVersion'),
  person_id uuid NOT NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, plan_id) REFERENCES plan (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX prediction_of_job ON prediction (shop_id, job_id, made_at);

CREATE TABLE ledger_line (
  shop_id uuid NOT NULL,
  prediction_id uuid NOT NULL,
  side text NOT NULL CHECK (side IN ('left', 'right')),
  load_state_id uuid NOT NULL,
  ordinal integer NOT NULL,
  kind text NOT NULL CHECK (kind IN
    ('measured', 'leafThickness', 'leafArch', 'block', 'shackle', 'overAxle', 'load', 'together', 'total', 'settling')),
  label text NOT NULL,
  value_mm double precision NOT NULL,
  half90_mm double precision NOT NULL CHECK (half90_mm >= 0),
  PRIMARY KEY (shop_id, prediction_id, side, load_state_id, ordinal),
  FOREIGN KEY (shop_id, prediction_id) REFERENCES prediction (shop_id, id),
  FOREIGN KEY (shop_id, load_state_id) REFERENCES load_state (shop_id, id)
);

-- Answers on the safety card; the last one counts.
CREATE TABLE safety_answer (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  item text NOT NULL CHECK (item IN ('frameHeld', 'axleHeld', 'wheelsChocked', 'springSlack', 'hoseSlack', 'wireSlack',
    'locator', 'rating', 'heightSensing')),
  answer text NOT NULL CHECK (answer IN ('ok', 'notOk', 'notChecked')),
  person_id uuid NOT NULL,
  answered_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);

CREATE TABLE build_start (
  shop_id uuid NOT NULL,
  job_id uuid NOT NULL,
  prediction_id uuid,
  override_reason text CHECK (length(override_reason) BETWEEN 5 AND 500),
  person_id uuid NOT NULL,
  started_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (shop_id, job_id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, prediction_id) REFERENCES prediction (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);

-- One after height against the prediction it belongs to.
CREATE TABLE outcome (
  shop_id uuid NOT NULL,
  reading_id uuid NOT NULL,
  prediction_id uuid NOT NULL,
  side text NOT NULL CHECK (side IN ('left', 'right')),
  load_state_id uuid NOT NULL,
  measured_mm double precision NOT NULL,
  predicted_mm double precision NOT NULL,
  half90_mm double precision NOT NULL CHECK (half90_mm > 0),
  inside boolean NOT NULL,
  PRIMARY KEY (shop_id, reading_id),
  FOREIGN KEY (shop_id, reading_id) REFERENCES reading (shop_id, id),
  FOREIGN KEY (shop_id, prediction_id) REFERENCES prediction (shop_id, id),
  FOREIGN KEY (shop_id, load_state_id) REFERENCES load_state (shop_id, id)
);

CREATE TABLE due_check (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  what text NOT NULL CHECK (length(what) BETWEEN 1 AND 200),
  after_km integer NOT NULL CHECK (after_km > 0),
  due_on date NOT NULL,
  done_at timestamptz,
  done_by uuid,
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, job_id, what),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, done_by) REFERENCES person (shop_id, id)
);

DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['shop', 'person', 'vehicle', 'axle', 'job', 'load_state', 'pack', 'leaf', 'stack_piece',
    'fastener', 'reading', 'plan', 'plan_change', 'prediction', 'ledger_line', 'safety_answer', 'build_start',
    'outcome', 'due_check']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', t);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', t);
    EXECUTE format(
      'CREATE POLICY own_shop ON %I USING (%I = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)',
      t, CASE t WHEN 'shop' THEN 'id' ELSE 'shop_id' END);
    EXECUTE format('GRANT SELECT, INSERT ON %I TO gravelwort_app', t);
  END LOOP;
  FOREACH t IN ARRAY ARRAY['vehicle', 'axle', 'job', 'load_state', 'pack', 'leaf', 'plan', 'due_check']
  LOOP
    EXECUTE format('GRANT UPDATE ON %I TO gravelwort_app', t);
  END LOOP;
END $$;
-- The lines of a plan are replaced as a whole under the plan's version.
GRANT DELETE ON plan_change TO gravelwort_app;
