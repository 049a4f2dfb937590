-- Up Migration
-- Doors: who may come in with what, on which tablet, and who did what. A secret is never stored, only what it hashes to; a row that is found
-- before its shop is known is seen only by whoever brings its token.
ALTER TABLE shop ADD COLUMN word text UNIQUE CHECK (word ~ '^[a-z0-9][a-z0-9-]{1,39}$');
CREATE POLICY by_word ON shop FOR SELECT USING (word = nullif(current_setting('gravelwort.word', true), ''));
GRANT UPDATE (word) ON shop TO gravelwort_app;

-- What a person signed stays signed when they leave.
ALTER TABLE person
  ADD COLUMN role text NOT NULL DEFAULT 'mechanic' CHECK (role IN ('owner', 'mechanic', 'apprentice')),
  ADD COLUMN sign_in text CHECK (sign_in ~ '^[a-z0-9][a-z0-9._-]{0,39}$'),
  ADD COLUMN left_at timestamptz,
  ADD CONSTRAINT person_sign_in UNIQUE (shop_id, sign_in);
GRANT UPDATE (role, sign_in, left_at) ON person TO gravelwort_app;

CREATE TABLE credential (
  shop_id uuid NOT NULL,
  person_id uuid NOT NULL,
  kind text NOT NULL CHECK (kind IN ('password', 'pin')),
  hash text NOT NULL CHECK (length(hash) BETWEEN 40 AND 300),
  -- Given by the owner: to be changed at the first sign-in.
  given boolean NOT NULL DEFAULT false,
  set_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (shop_id, person_id, kind),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);

-- A tablet or computer of the shop, on which a PIN is enough.
CREATE TABLE tablet (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL,
  token_hash bytea NOT NULL UNIQUE CHECK (length(token_hash) = 32),
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  known_by uuid NOT NULL,
  known_at timestamptz NOT NULL DEFAULT now(),
  forgotten_at timestamptz,
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, known_by) REFERENCES person (shop_id, id)
);

CREATE TABLE session (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  token_hash bytea NOT NULL UNIQUE CHECK (length(token_hash) = 32),
  person_id uuid NOT NULL,
  tablet_id uuid,
  began_at timestamptz NOT NULL DEFAULT now(),
  seen_at timestamptz NOT NULL DEFAULT now(),
  -- When the person last showed password or PIN.
  asked_at timestamptz NOT NULL DEFAULT now(),
  ends_at timestamptz NOT NULL,
  ended_at timestamptz,
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id),
  FOREIGN KEY (shop_id, tablet_id) REFERENCES tablet (shop_id, id)
);
CREATE INDEX session_of_person ON session (shop_id, person_id) WHERE ended_at IS NULL;

-- A customer's view of one job: it reads, it ends, it can be taken back.
CREATE TABLE viewer_link (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  token_hash bytea NOT NULL UNIQUE CHECK (length(token_hash) = 32),
  job_axle_id uuid NOT NULL,
  said text NOT NULL CHECK (length(said) BETWEEN 1 AND 120),
  made_by uuid NOT NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  ends_at timestamptz NOT NULL,
  revoked_at timestamptz,
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id),
  FOREIGN KEY (shop_id, made_by) REFERENCES person (shop_id, id)
);
CREATE INDEX viewer_link_of_job ON viewer_link (shop_id, job_axle_id);

-- Written once: who did what that others rely on, and every sign-in.
CREATE TABLE audit (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL DEFAULT gen_random_uuid(),
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  person_id uuid,
  what text NOT NULL CHECK (length(what) BETWEEN 1 AND 200),
  about text CHECK (length(about) <= 200),
  tablet_id uuid,
  address text CHECK (length(address) <= 80),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id),
  FOREIGN KEY (shop_id, tablet_id) REFERENCES tablet (shop_id, id)
);
CREATE INDEX audit_latest ON audit (shop_id, at DESC, id);

-- Tries that failed, by what was tried and from where; only the hash of either is kept. A row is seen by its key only.
CREATE TABLE back_off (
  key bytea PRIMARY KEY CHECK (length(key) = 32),
  failures integer NOT NULL CHECK (failures >= 0),
  last_at timestamptz NOT NULL DEFAULT now(),
  until timestamptz NOT NULL
);

-- One-time codes of a first owner, made on the server's own console.
CREATE TABLE first_code (
  code_hash bytea PRIMARY KEY CHECK (length(code_hash) = 32),
  shop_id uuid REFERENCES shop,
  made_at timestamptz NOT NULL DEFAULT now(),
  ends_at timestamptz NOT NULL,
  used_at timestamptz
);

DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['credential', 'tablet', 'session', 'viewer_link', 'audit']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', t);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', t);
    EXECUTE format('CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', t);
    EXECUTE format('GRANT SELECT, INSERT ON %I TO gravelwort_app', t);
  END LOOP;
  FOREACH t IN ARRAY ARRAY['tablet', 'session', 'viewer_link']
  LOOP
    EXECUTE format('CREATE POLICY by_token ON %I FOR SELECT USING (token_hash = decode(nullif(current_setting(''gravelwort.token'', true), ''''), ''hex''))', t);
  END LOOP;
  FOREACH t IN ARRAY ARRAY['back_off', 'first_code']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', t);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', t);
    EXECUTE format('CREATE POLICY by_key ON %I USING (%I = decode(nullif(current_setting(''gravelwort.token'', true), ''''), ''hex''))',
      t, CASE t WHEN 'back_off' THEN 'key' ELSE 'code_hash' END);
    EXECUTE format('GRANT SELECT ON %I TO gravelwort_app', t);
  END LOOP;
END $$;
GRANT UPDATE (hash, given, set_at), DELETE ON credential TO gravelwort_app;
GRANT UPDATE (forgotten_at) ON tablet TO gravelwort_app;
GRANT UPDATE (token_hash, person_id, tablet_id, seen_at, asked_at, ended_at) ON session TO gravelwort_app;
GRANT UPDATE (revoked_at) ON viewer_link TO gravelwort_app;
GRANT INSERT, UPDATE, DELETE ON back_off TO gravelwort_app;
GRANT UPDATE (used_at) ON first_code TO gravelwort_app;
