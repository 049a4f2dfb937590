-- Up Migration
-- Readings carry the day they were taken on: fuel, tyre pressure, weight on the wheels or not. A day is never edited.
CREATE TABLE measuring_day (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  job_id uuid NOT NULL,
  phase text NOT NULL CHECK (phase IN ('before', 'after')),
  -- Share of a full tank; null when nobody looked.
  fuel double precision CHECK (fuel BETWEEN 0 AND 1),
  -- The tank stands as it did at the before heights, whatever that was.
  fuel_as_before boolean NOT NULL DEFAULT false,
  tyre_pressure_kpa double precision CHECK (tyre_pressure_kpa BETWEEN 0 AND 1500),
  tyre_pressure_typed text CHECK (length(tyre_pressure_typed) BETWEEN 1 AND 80),
  stance text NOT NULL CHECK (stance IN ('ground', 'air')),
  person_id uuid NOT NULL,
  set_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, job_id, id),
  CHECK (NOT fuel_as_before OR (fuel IS NULL AND phase = 'after')),
  CHECK ((tyre_pressure_kpa IS NULL) = (tyre_pressure_typed IS NULL)),
  FOREIGN KEY (shop_id, job_id) REFERENCES job (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX measuring_day_of_job ON measuring_day (shop_id, job_id, set_at);
ALTER TABLE measuring_day ENABLE ROW LEVEL SECURITY;
ALTER TABLE measuring_day FORCE ROW LEVEL SECURITY;
CREATE POLICY own_shop ON measuring_day USING (shop_id = nullif(current_setting('gravelwort.shop', true), '')::uuid);
GRANT SELECT, INSERT ON measuring_day TO gravelwort_app;

ALTER TABLE reading ADD COLUMN day_id uuid;
ALTER TABLE reading ADD FOREIGN KEY (shop_id, job_id, day_id) REFERENCES measuring_day (shop_id, job_id, id);

-- What the tank holds when full, so that heights at different fuel can be converted. Null: nobody said. Zero: no tank.
ALTER TABLE vehicle
  ADD COLUMN tank_mass_kg double precision CHECK (tank_mass_kg BETWEEN 0 AND 5000),
  ADD COLUMN tank_mass_typed text,
  ADD COLUMN tank_station_mm double precision CHECK (tank_station_mm BETWEEN -20000 AND 40000),
  ADD COLUMN tank_station_typed text;

-- An after height read at another fill of the tank is converted before it is compared; by how much stays on record.
ALTER TABLE outcome ADD COLUMN converted_by_mm double precision NOT NULL DEFAULT 0;

-- Several readings of one thing stand in one text.
ALTER TABLE reading DROP CONSTRAINT reading_typed_check;
ALTER TABLE reading ADD CONSTRAINT reading_typed_check CHECK (length(typed) BETWEEN 1 AND 160);

ALTER TABLE reading DROP CONSTRAINT reading_point_check;
ALTER TABLE reading ADD CONSTRAINT reading_point_check CHECK (point IN (
  'hubToLip', 'groundToHub', 'groundToLip', 'padLoad', 'axleLoad', 'unsprungMass', 'trackWidth', 'springBase', 'tyreRate',
  'otherAxleLip', 'hubToHub', 'noiseScore', 'rideScore', 'loadedArch', 'eyeToPinFront', 'eyeToPinRear', 'eyeToEye',
  'eyeBore', 'shackleLength', 'shackleAngle', 'blockHeight', 'uboltSpacing', 'packThickness', 'tubeDiameter',
  'perchHeight', 'dowelDiameter', 'padHole', 'uboltExposed', 'uboltPitch', 'uboltThreaded', 'uboltNut', 'leafWidth',
  'leafThickness', 'leafFront', 'leafRear', 'freeArch'));
