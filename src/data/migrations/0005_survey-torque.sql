-- Up Migration
-- Slack and obstructions under the vehicle: three states and not there. The last answer counts, none is lost.
CREATE TABLE survey_answer (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  item text NOT NULL CHECK (item IN ('brakeHose', 'brakeWire', 'parkingCable', 'speedSensor', 'propShaft', 'axleVent',
    'levelSensor', 'underSkin', 'hoses', 'exhaust', 'heatShield', 'bumpStop', 'fuelTank', 'wiring', 'spareWheel')),
  answer text NOT NULL CHECK (answer IN ('ok', 'notOk', 'none', 'notChecked')),
  slack_mm double precision CHECK (slack_mm BETWEEN 0 AND 2000),
  slack_typed text CHECK (length(slack_typed) BETWEEN 1 AND 160),
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 300),
  person_id uuid NOT NULL,
  answered_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  CHECK ((slack_mm IS NULL) = (slack_typed IS NULL)),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);

-- Torque of each joint with where the figure comes from. A figure nobody read stays empty. The last entry counts.
CREATE TABLE torque_entry (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  joint text NOT NULL CHECK (joint IN ('uBolts', 'centreBolt', 'frontEye', 'shackleFrame', 'shackleEye', 'shockLower',
    'shockUpper', 'wheelNuts')),
  typed text CHECK (length(typed) BETWEEN 1 AND 160),
  value_nmm double precision CHECK (value_nmm BETWEEN 1 AND 5e6),
  unit text,
  -- What a wrench read when it was done.
  reached_typed text CHECK (length(reached_typed) BETWEEN 1 AND 160),
  reached_nmm double precision CHECK (reached_nmm BETWEEN 1 AND 5e6),
  source text NOT NULL CHECK (source IN ('maker', 'kit', 'generic', 'memory', 'feel')),
  lubrication text NOT NULL CHECK (lubrication IN ('notKnown', 'dry', 'oiled', 'antiSeize', 'threadLocker')),
  stage text NOT NULL CHECK (stage IN ('notYet', 'snug', 'final', 'again')),
  person_id uuid NOT NULL,
  entered_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  CHECK ((reached_typed IS NULL) = (reached_nmm IS NULL)),
  CHECK (num_nulls(typed, value_nmm, unit) IN (0, 3)),
  CHECK (stage NOT IN ('final', 'again') OR source = 'feel' OR value_nmm IS NOT NULL),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);

DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['survey_answer', 'torque_entry']
  LOOP
    EXECUTE format('CREATE INDEX %I ON %I (shop_id, job_id)', t || '_of_job', t);
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', t);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', t);
    EXECUTE format(
      'CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', t);
    EXECUTE format('GRANT SELECT, INSERT ON %I TO gravelwort_app', t);
  END LOOP;
END $$;
