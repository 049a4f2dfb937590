-- Up Migration
-- A job works on one axle or several. What was said of a job's only axle so far is said of that axle; the first one of a job has
-- the job's own id, so that every record and address made before keeps its meaning.
CREATE TABLE job_axle (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  axle_id uuid NOT NULL,
  ordinal integer NOT NULL CHECK (ordinal BETWEEN 1 AND 4),
  -- Taken up by mistake; what was read of it stays.
  dropped boolean NOT NULL DEFAULT false,
  wanted_change_mm double precision NOT NULL CHECK (wanted_change_mm BETWEEN -300 AND 300),
  wanted_typed text NOT NULL,
  tolerance_mm double precision NOT NULL CHECK (tolerance_mm BETWEEN 0 AND 100),
  tolerance_typed text NOT NULL,
  guess_mm double precision CHECK (guess_mm BETWEEN -300 AND 300),
  guess_typed text,
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, job_id, id),
  UNIQUE (shop_id, job_id, axle_id),
  UNIQUE (shop_id, job_id, ordinal),
  CHECK ((guess_mm IS NULL) = (guess_typed IS NULL)),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, axle_id) REFERENCES axle (shop_id, id)
);
INSERT INTO job_axle (shop_id, id, job_id, axle_id, ordinal, wanted_change_mm, wanted_typed, tolerance_mm, tolerance_typed,
                      guess_mm, guess_typed)
  SELECT shop_id, id, id, axle_id, 1, wanted_change_mm, wanted_typed, tolerance_mm, tolerance_typed, guess_mm, guess_typed FROM job;
ALTER TABLE job DROP COLUMN axle_id, DROP COLUMN wanted_change_mm, DROP COLUMN wanted_typed, DROP COLUMN tolerance_mm,
  DROP COLUMN tolerance_typed, DROP COLUMN guess_mm, DROP COLUMN guess_typed;

DO $$
DECLARE t text; c text;
BEGIN
  FOREACH t IN ARRAY ARRAY['pack', 'plan', 'prediction', 'survey_answer', 'torque_entry', 'torque_reading', 'finding', 'photo',
    'press_run', 'build_start', 'defect', 'defect_end', 'goal', 'safety_answer']
  LOOP
    FOR c IN SELECT conname FROM pg_constraint
              WHERE conrelid = t::regclass AND contype = 'f' AND confrelid = 'job'::regclass
    LOOP
      EXECUTE format('ALTER TABLE %I DROP CONSTRAINT %I', t, c);
    END LOOP;
    EXECUTE format('ALTER TABLE %I RENAME COLUMN job_id TO job_axle_id', t);
    EXECUTE format('ALTER TABLE %I ADD FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id)', t);
  END LOOP;
END $$;

-- What an axle is made of: leaves, pieces of its stack, fasteners, coils. Without a side it is alike on both.
CREATE TABLE component (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  side text CHECK (side IN ('left', 'right')),
  kind text NOT NULL CHECK (kind ~ '^[a-z][A-Za-z0-9]{0,39}$'),
  ordinal integer NOT NULL CHECK (ordinal BETWEEN 1 AND 60),
  removed boolean NOT NULL DEFAULT false,
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, job_axle_id, id),
  UNIQUE NULLS NOT DISTINCT (shop_id, job_axle_id, side, kind, ordinal),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id)
);
INSERT INTO component (shop_id, id, job_axle_id, kind, ordinal, removed)
  SELECT l.shop_id, l.id, k.job_axle_id, 'leaf', l.ordinal, l.removed
    FROM leaf l JOIN pack k ON k.shop_id = l.shop_id AND k.id = l.pack_id;
INSERT INTO component (shop_id, id, job_axle_id, kind, ordinal) SELECT shop_id, id, job_id, kind, 1 FROM stack_piece;
INSERT INTO component (shop_id, id, job_axle_id, kind, ordinal) SELECT shop_id, id, job_id, kind, 1 FROM fastener;

ALTER TABLE reading ADD COLUMN job_axle_id uuid, ADD COLUMN component_id uuid;
UPDATE reading SET job_axle_id = job_id, component_id = coalesce(leaf_id, stack_piece_id, fastener_id);
ALTER TABLE reading ALTER COLUMN job_axle_id SET NOT NULL,
  DROP COLUMN leaf_id, DROP COLUMN stack_piece_id, DROP COLUMN fastener_id,
  ADD FOREIGN KEY (shop_id, job_id, job_axle_id) REFERENCES job_axle (shop_id, job_id, id),
  ADD FOREIGN KEY (shop_id, job_axle_id, component_id) REFERENCES component (shop_id, job_axle_id, id);
DROP INDEX IF EXISTS reading_first_once;
CREATE UNIQUE INDEX reading_first_once ON reading
  (shop_id, job_axle_id, point, phase, coalesce(side, ''), coalesce(component_id::text, ''), coalesce(load_state_id::text, ''))
  WHERE supersedes IS NULL;
CREATE INDEX reading_of_job_axle ON reading (shop_id, job_axle_id);
DO $$
DECLARE c text;
BEGIN
  FOR c IN SELECT conname FROM pg_constraint
            WHERE conrelid = 'finding'::regclass AND contype = 'f' AND confrelid = 'leaf'::regclass
  LOOP
    EXECUTE format('ALTER TABLE finding DROP CONSTRAINT %I', c);
  END LOOP;
END $$;
ALTER TABLE finding ADD FOREIGN KEY (shop_id, job_axle_id, leaf_id) REFERENCES component (shop_id, job_axle_id, id);
DROP TABLE leaf;
DROP TABLE stack_piece;
DROP TABLE fastener;

-- The rear end hangs on a shackle, or slides under a pad of the frame.
ALTER TABLE pack RENAME COLUMN shackle_eye TO rear_end;
ALTER TABLE pack DROP CONSTRAINT pack_shackle_eye_check,
  ADD CONSTRAINT pack_rear_end_check CHECK (rear_end IN ('below', 'above', 'pad'));

-- A pack without a side is that of both; where the sides differ, one of them has a pack of its own besides.
ALTER TABLE pack ADD COLUMN side text CHECK (side IN ('left', 'right')),
  ADD COLUMN own_side text CHECK (own_side IN ('left', 'right')),
  DROP CONSTRAINT pack_shop_id_job_id_key,
  ADD CONSTRAINT pack_of_side UNIQUE NULLS NOT DISTINCT (shop_id, job_axle_id, side);

-- What a vehicle stands on besides its axles: nothing, or a coupling at its nose.
ALTER TABLE vehicle ADD COLUMN form text NOT NULL DEFAULT 'truck' CHECK (form ~ '^[a-z][A-Za-z0-9]{0,39}$');
-- Where an axle stands, mm behind the first axle or the coupling; null where the wheelbase says it or nobody measured.
ALTER TABLE axle ADD COLUMN station_mm double precision CHECK (station_mm BETWEEN -5000 AND 20000),
  ADD COLUMN station_typed text CHECK (length(station_typed) BETWEEN 1 AND 160),
  ADD CHECK ((station_mm IS NULL) = (station_typed IS NULL));

-- What may be planned depends on the kind of suspension: a change is one record, read and written through its schema.
ALTER TABLE plan_change ADD COLUMN change jsonb;
UPDATE plan_change c SET change = jsonb_strip_nulls(jsonb_build_object(
    'kind', kind, 'front', front_mm, 'frontTyped', front_typed, 'rear', rear_mm, 'rearTyped', rear_typed,
    'thickness', thickness_mm, 'thicknessTyped', thickness_typed, 'camber', camber_mm, 'camberTyped', camber_typed,
    'camberKnown', camber_known, 'source', source, 'height', height_mm, 'heightTyped', height_typed,
    'length', length_mm, 'lengthTyped', length_typed, 'leaf', leaf_number, 'leafTyped', leaf_typed, 'width', width_mm,
    'used', used, 'byFreeArch', by_free_arch, 'partId', part_id, 'partName', part_name,
    'leaves', (SELECT jsonb_agg(jsonb_build_object('front', l.front_mm, 'rear', l.rear_mm, 'thickness', l.thickness_mm,
                                                   'camber', l.camber_mm, 'camberKnown', l.camber_known) ORDER BY l.ordinal)
                 FROM plan_leaf l WHERE l.shop_id = c.shop_id AND l.plan_id = c.plan_id AND l.change = c.ordinal)))
  || CASE kind WHEN 'pack' THEN jsonb_build_object('form', form, 'bore', bore_mm)
               WHEN 'eyes' THEN jsonb_build_object('form', form) ELSE '{}' END
  || '{"schemaVersion": 1}';
DROP TABLE plan_leaf;
ALTER TABLE plan_change ALTER COLUMN change SET NOT NULL, ADD CHECK (change ? 'schemaVersion' AND change ->> 'kind' = kind),
  DROP COLUMN front_mm, DROP COLUMN front_typed, DROP COLUMN rear_mm, DROP COLUMN rear_typed, DROP COLUMN thickness_mm,
  DROP COLUMN thickness_typed, DROP COLUMN camber_mm, DROP COLUMN camber_typed, DROP COLUMN camber_known, DROP COLUMN source,
  DROP COLUMN height_mm, DROP COLUMN height_typed, DROP COLUMN length_mm, DROP COLUMN length_typed, DROP COLUMN leaf_number,
  DROP COLUMN leaf_typed, DROP COLUMN width_mm, DROP COLUMN used, DROP COLUMN by_free_arch, DROP COLUMN part_name,
  DROP COLUMN form, DROP COLUMN bore_mm;
ALTER TABLE shelf_item DROP CONSTRAINT shelf_item_kind_check,
  ADD CONSTRAINT shelf_item_kind_check CHECK (kind ~ '^[a-z][A-Za-z0-9]{0,39}$');
-- What is seen of an axle and not measured, where its kind asks for it; read and written through the kind's schema.
ALTER TABLE job_axle ADD COLUMN seen jsonb NOT NULL DEFAULT '{"schemaVersion": 1}' CHECK (seen ? 'schemaVersion'),
  ADD COLUMN seen_version integer NOT NULL DEFAULT 1;

DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['job_axle', 'component']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', t);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', t);
    EXECUTE format(
      'CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', t);
    EXECUTE format('GRANT SELECT, INSERT, UPDATE ON %I TO gravelwort_app', t);
  END LOOP;
END $$;
