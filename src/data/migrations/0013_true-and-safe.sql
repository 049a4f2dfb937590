-- Up Migration
-- What does not fit is mended or gone on with, by a person, with a reason and a day; until it is ended it is an open defect.
CREATE TABLE defect (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  -- What it is about: a row of the list of what must fit, or a finding of the inspection.
  subject text NOT NULL CHECK (length(subject) BETWEEN 1 AND 80),
  what text NOT NULL CHECK (length(what) BETWEEN 1 AND 300),
  reason text NOT NULL CHECK (length(reason) BETWEEN 5 AND 500),
  due_on date NOT NULL,
  person_id uuid NOT NULL,
  opened_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, job_id, id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE TABLE defect_end (
  shop_id uuid NOT NULL,
  defect_id uuid NOT NULL,
  job_id uuid NOT NULL,
  evidence text NOT NULL CHECK (length(evidence) BETWEEN 3 AND 300),
  person_id uuid NOT NULL,
  ended_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, defect_id),
  FOREIGN KEY (shop_id, job_id, defect_id) REFERENCES defect (shop_id, job_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);

-- A job is closed by an act of its own, which lists what is open, and may be opened again; the last row counts.
CREATE TABLE job_close (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  closed boolean NOT NULL,
  left_open text[] NOT NULL DEFAULT '{}',
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
  person_id uuid NOT NULL,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);

-- What the wrench read at each bolt, in what state of the vehicle, with which instrument. The last one of a bolt counts.
CREATE TABLE torque_reading (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  joint text NOT NULL CHECK (joint IN ('uBolts', 'centreBolt', 'frontEye', 'shackleFrame', 'shackleEye', 'shockLower',
    'shockUpper', 'wheelNuts')),
  bolt text NOT NULL CHECK (length(bolt) BETWEEN 1 AND 60),
  typed text NOT NULL CHECK (length(typed) BETWEEN 1 AND 160),
  value_nmm double precision NOT NULL CHECK (value_nmm BETWEEN 1 AND 5e6),
  unit text NOT NULL,
  state text NOT NULL CHECK (state IN ('hanging', 'weightOn')),
  instrument text NOT NULL CHECK (length(instrument) BETWEEN 1 AND 80),
  person_id uuid NOT NULL,
  read_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
-- Where a figure comes from is never preset; a joint may also not be loosened at all in a job.
ALTER TABLE torque_entry DROP CONSTRAINT torque_entry_source_check;
ALTER TABLE torque_entry ADD CONSTRAINT torque_entry_source_check
  CHECK (source IN ('notSaid', 'maker', 'kit', 'generic', 'memory', 'feel'));
ALTER TABLE torque_entry DROP CONSTRAINT torque_entry_stage_check;
ALTER TABLE torque_entry ADD CONSTRAINT torque_entry_stage_check
  CHECK (stage IN ('notYet', 'snug', 'final', 'again', 'notTouched'));

-- A before reading corrected once the build has begun says why. Points that a U-bolt is ordered by.
ALTER TABLE reading ADD COLUMN correction_reason text CHECK (length(correction_reason) BETWEEN 5 AND 300);
ALTER TABLE reading DROP CONSTRAINT reading_point_check;
ALTER TABLE reading ADD CONSTRAINT reading_point_check CHECK (point IN (
  'hubToLip', 'groundToHub', 'groundToLip', 'padLoad', 'axleLoad', 'unsprungMass', 'trackWidth', 'springBase', 'tyreRate',
  'otherAxleLip', 'hubToHub', 'noiseScore', 'rideScore', 'loadedArch', 'eyeToPinFront', 'eyeToPinRear', 'eyeToEye',
  'eyeBore', 'shackleLength', 'shackleAngle', 'blockHeight', 'uboltSpacing', 'packThickness', 'tubeDiameter',
  'perchHeight', 'dowelDiameter', 'padHole', 'plateThickness', 'uboltThread', 'uboltExposed', 'uboltPitch', 'uboltThreaded',
  'uboltNut', 'leafWidth', 'leafThickness', 'leafFront', 'leafRear', 'freeArch'));
ALTER TABLE pack ADD COLUMN ubolt_bend text CHECK (ubolt_bend IN ('tube', 'pack'));

-- An outcome says which point was read before and after; heights of different points are never set against each other.
ALTER TABLE outcome ADD COLUMN point text NOT NULL DEFAULT 'hubToLip' CHECK (point IN ('hubToLip', 'groundToLip'));

-- Units are a person's choice, one for each quantity.
CREATE TABLE person_unit (
  shop_id uuid NOT NULL,
  person_id uuid NOT NULL,
  dimension text NOT NULL CHECK (dimension IN ('length', 'mass', 'torque', 'rate', 'pressure', 'distance')),
  unit text NOT NULL CHECK (unit IN ('mm', 'in', 'kg', 'lb', 'N·m', 'lbf·ft', 'N/mm', 'lbf/in', 'kPa', 'psi', 'km', 'mi')),
  PRIMARY KEY (shop_id, person_id, dimension),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
-- Dates and times are those of the shop; without a zone those of the machine.
ALTER TABLE shop ADD COLUMN time_zone text CHECK (length(time_zone) BETWEEN 1 AND 60);

-- What is not known of an axle stays unknown: facts were filled in for axles that no job was ever about.
ALTER TABLE axle DROP CONSTRAINT leaf_axle_complete, ALTER COLUMN steered DROP NOT NULL;
UPDATE axle a SET arrangement = NULL, class = NULL, steered = NULL
 WHERE NOT EXISTS (SELECT FROM job j WHERE j.shop_id = a.shop_id AND j.axle_id = a.id);

-- Several named plans in a job, one of them at work.
ALTER TABLE plan DROP CONSTRAINT plan_shop_id_job_id_key;
ALTER TABLE plan ADD COLUMN current boolean NOT NULL DEFAULT true,
  ADD COLUMN made_at timestamptz NOT NULL DEFAULT clock_timestamp();
UPDATE plan SET name = 'Plan 1' WHERE name = 'plan';
CREATE UNIQUE INDEX one_current_plan ON plan (shop_id, job_id) WHERE current;
CREATE UNIQUE INDEX plan_names ON plan (shop_id, job_id, lower(name));
-- A stored prediction is named by what was planned.
ALTER TABLE prediction ADD COLUMN plan_name text CHECK (length(plan_name) BETWEEN 1 AND 300);
ALTER TABLE plan_change ADD COLUMN by_free_arch boolean, ADD COLUMN camber_known boolean;

-- Checks fall due by day or by distance driven since; what was done is told with its figures and can be taken back.
CREATE TABLE odometer (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  vehicle_id uuid NOT NULL,
  km double precision NOT NULL CHECK (km BETWEEN 0 AND 1e7),
  typed text NOT NULL CHECK (length(typed) BETWEEN 1 AND 160),
  person_id uuid NOT NULL,
  read_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, vehicle_id) REFERENCES vehicle (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
ALTER TABLE due_check ADD COLUMN from_km double precision CHECK (from_km BETWEEN 0 AND 1e7);
ALTER TABLE due_check ADD COLUMN set_on date NOT NULL DEFAULT current_date;
CREATE TABLE due_done (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  check_id uuid NOT NULL,
  done boolean NOT NULL,
  figures text NOT NULL DEFAULT '' CHECK (length(figures) <= 300),
  person_id uuid NOT NULL,
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, check_id) REFERENCES due_check (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);

-- Threads are names. A bare number was a metric size; its pitch stood beside it.
UPDATE shelf_dimension t SET typed = 'M' || trim_scale(t.value::numeric) || coalesce(' x ' || (
    SELECT trim_scale(p.value::numeric)::text FROM shelf_dimension p
     WHERE p.shop_id = t.shop_id AND p.item_id = t.item_id AND p.dimension = 'pitch'), '')
 WHERE t.dimension = 'thread' AND t.typed ~ '^\d+([.,]\d+)?( *mm)?$';
UPDATE shelf_dimension SET typed = 'M' || trim_scale(value::numeric)
 WHERE dimension IN ('bolt', 'boltFront', 'boltRear') AND typed ~ '^\d+([.,]\d+)?( *mm)?$';
UPDATE shelf_dimension SET typed = regexp_replace(typed, ' *(in|")$', '')
 WHERE dimension IN ('thread', 'bolt', 'boltFront', 'boltRear') AND typed ~ '(in|")$';
DELETE FROM shelf_dimension WHERE dimension = 'pitch';

CREATE INDEX outcome_of_prediction ON outcome (shop_id, prediction_id);
CREATE INDEX safety_answer_of_job ON safety_answer (shop_id, job_id);
DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['defect', 'defect_end', 'job_close', 'torque_reading', 'person_unit', 'odometer', 'due_done']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', t);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', t);
    EXECUTE format(
      'CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', t);
    EXECUTE format('GRANT SELECT, INSERT ON %I TO gravelwort_app', t);
  END LOOP;
  FOREACH t IN ARRAY ARRAY['defect', 'defect_end', 'job_close', 'torque_reading']
  LOOP
    EXECUTE format('CREATE INDEX %I ON %I (shop_id, job_id)', t || '_of_job', t);
  END LOOP;
END $$;
GRANT UPDATE, DELETE ON person_unit TO gravelwort_app;
