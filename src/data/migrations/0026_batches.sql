-- Up Migration
-- Work that is done in pieces by workers on any machine. What a piece found is stored in one breath with its being done: a piece that is done twice
-- is stored once. The queue itself (schema pgboss) only carries which piece is next.
CREATE TABLE batch (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL,
  kind text NOT NULL CHECK (kind ~ '^[a-z][A-Za-z0-9]{0,39}$'),
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 160),
  -- What is asked, and what was reckoned once for all its pieces.
  ask jsonb NOT NULL,
  made jsonb,
  person_id uuid NOT NULL,
  asked_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  cancelled_at timestamptz,
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE TABLE batch_piece (
  shop_id uuid NOT NULL,
  batch_id uuid NOT NULL,
  nth integer NOT NULL CHECK (nth BETWEEN 0 AND 100000),
  -- Whom it is about: axles in their jobs.
  of uuid[] NOT NULL CHECK (cardinality(of) BETWEEN 1 AND 1000),
  state text NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'done', 'failed')),
  problem text CHECK (length(problem) <= 500),
  done_at timestamptz,
  PRIMARY KEY (shop_id, batch_id, nth),
  FOREIGN KEY (shop_id, batch_id) REFERENCES batch (shop_id, id)
);
CREATE INDEX batch_piece_waiting ON batch_piece (shop_id) WHERE state = 'waiting';

-- What a sweep over the fleet found of one axle. Lengths in mm; plan is the place among those that were asked about.
CREATE TABLE fleet_line (
  shop_id uuid NOT NULL,
  batch_id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  verdict text NOT NULL CHECK (verdict IN ('stands', 'plan', 'none', 'unlike', 'notMeasured', 'workedOn')),
  height double precision,
  plan integer CHECK (plan BETWEEN 0 AND 20),
  after double precision,
  half90 double precision CHECK (half90 >= 0),
  why text NOT NULL DEFAULT '' CHECK (length(why) <= 300),
  PRIMARY KEY (shop_id, batch_id, job_axle_id),
  FOREIGN KEY (shop_id, batch_id) REFERENCES batch (shop_id, id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id)
);
CREATE INDEX fleet_line_lowest ON fleet_line (shop_id, batch_id, verdict, height);

DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['batch', 'batch_piece', 'fleet_line']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', name);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', name);
    EXECUTE format('CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', name);
    EXECUTE format('GRANT SELECT, INSERT ON %I TO gravelwort_app', name);
  END LOOP;
END $$;
GRANT UPDATE (made, cancelled_at) ON batch TO gravelwort_app;
GRANT UPDATE (state, problem, done_at) ON batch_piece TO gravelwort_app;

-- Down Migration
DROP TABLE fleet_line, batch_piece, batch;
