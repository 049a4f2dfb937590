-- Up Migration
-- Somebody of another shop, as a job that was brought in names them: the record keeps who did it there, and they never sign in here.
ALTER TABLE person
  ADD COLUMN from_name text CHECK (length(from_name) BETWEEN 1 AND 120),
  ADD COLUMN from_shop text CHECK (length(from_shop) BETWEEN 1 AND 120),
  ADD CHECK (num_nulls(from_name, from_shop) IN (0, 2)),
  ADD CHECK (from_name IS NULL OR sign_in IS NULL),
  DROP CONSTRAINT person_name_check,
  ADD CONSTRAINT person_name_check CHECK (length(name) BETWEEN 1 AND 250);
CREATE UNIQUE INDEX person_of_another_shop ON person (shop_id, from_shop, from_name) WHERE from_name IS NOT NULL;

-- The job whose plan and loads this one was begun with.
ALTER TABLE job ADD COLUMN begun_from uuid;
ALTER TABLE job ADD FOREIGN KEY (shop_id, begun_from) REFERENCES job (shop_id, id);

-- A size that was read on a vehicle made alike, and not on this one.
ALTER TABLE reading DROP CONSTRAINT reading_instrument_check,
  ADD CONSTRAINT reading_instrument_check CHECK (instrument IN ('tape', 'caliper', 'gauge', 'scale', 'ticket', 'estimate', 'sister'));

-- What a shop expects of its own from what it measured, in the place of common practice; the last word on a quantity counts, and null
-- half-width goes back to common practice. Never changed.
CREATE TABLE shop_expects (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL,
  quantity text NOT NULL CHECK (length(quantity) BETWEEN 1 AND 60),
  value double precision NOT NULL CHECK (value BETWEEN -1e6 AND 1e6),
  half90 double precision CHECK (half90 BETWEEN 0 AND 1e6),
  jobs integer NOT NULL CHECK (jobs BETWEEN 0 AND 1000000),
  reason text NOT NULL CHECK (length(reason) BETWEEN 3 AND 300),
  person_id uuid NOT NULL,
  set_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE INDEX shop_expects_latest ON shop_expects (shop_id, quantity, set_at DESC);
ALTER TABLE shop_expects ENABLE ROW LEVEL SECURITY;
ALTER TABLE shop_expects FORCE ROW LEVEL SECURITY;
CREATE POLICY own_shop ON shop_expects USING (shop_id = nullif(current_setting('gravelwort.shop', true), '')::uuid);
GRANT SELECT, INSERT ON shop_expects TO gravelwort_app;

-- Whether everybody of the shop sees how near each one's predictions came; each sees their own either way.
ALTER TABLE shop ADD COLUMN scores_open boolean NOT NULL DEFAULT false;
GRANT UPDATE (scores_open) ON shop TO gravelwort_app;

-- An address that a phone's calendar reads the checks to come from, until it is taken back. Of its token only the hash is kept.
CREATE TABLE calendar_link (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL,
  token_hash bytea NOT NULL UNIQUE CHECK (length(token_hash) = 32),
  made_by uuid NOT NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  revoked_at timestamptz,
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, made_by) REFERENCES person (shop_id, id)
);
CREATE UNIQUE INDEX calendar_link_alive ON calendar_link (shop_id) WHERE revoked_at IS NULL;
ALTER TABLE calendar_link ENABLE ROW LEVEL SECURITY;
ALTER TABLE calendar_link FORCE ROW LEVEL SECURITY;
CREATE POLICY own_shop ON calendar_link USING (shop_id = nullif(current_setting('gravelwort.shop', true), '')::uuid);
CREATE POLICY by_token ON calendar_link FOR SELECT USING (token_hash = decode(nullif(current_setting('gravelwort.token', true), ''), 'hex'));
GRANT SELECT, INSERT ON calendar_link TO gravelwort_app;
GRANT UPDATE (revoked_at) ON calendar_link TO gravelwort_app;

-- Down Migration
DROP TABLE calendar_link;
ALTER TABLE shop DROP COLUMN scores_open;
DROP TABLE shop_expects;
ALTER TABLE job DROP COLUMN begun_from;
UPDATE reading SET instrument = 'estimate' WHERE instrument = 'sister';
ALTER TABLE reading DROP CONSTRAINT reading_instrument_check,
  ADD CONSTRAINT reading_instrument_check CHECK (instrument IN ('tape', 'caliper', 'gauge', 'scale', 'ticket', 'estimate'));
DROP INDEX person_of_another_shop;
ALTER TABLE person DROP COLUMN from_name, DROP COLUMN from_shop,
  DROP CONSTRAINT person_name_check, ADD CONSTRAINT person_name_check CHECK (length(name) BETWEEN 1 AND 120);
