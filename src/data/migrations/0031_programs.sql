-- Up Migration
-- Programs of others: what opens the door to them, and where they are told of checks that fall due.
CREATE TABLE program_token (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL,
  token_hash bytea NOT NULL UNIQUE CHECK (length(token_hash) = 32),
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
  scopes text[] NOT NULL CHECK (cardinality(scopes) BETWEEN 1 AND 20),
  made_by uuid NOT NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  ends_at timestamptz NOT NULL,
  used_at timestamptz,
  revoked_at timestamptz,
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, made_by) REFERENCES person (shop_id, id)
);
CREATE TABLE hook (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL,
  url text NOT NULL CHECK (url ~ '^https?://' AND length(url) <= 500),
  -- With it the receiver knows that a word is ours; it is told once.
  secret text NOT NULL CHECK (length(secret) BETWEEN 20 AND 100),
  made_by uuid NOT NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  ended_at timestamptz,
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, made_by) REFERENCES person (shop_id, id)
);
-- One word about one check to one address, once.
CREATE TABLE hook_word (
  shop_id uuid NOT NULL,
  id uuid NOT NULL DEFAULT gen_random_uuid(),
  hook_id uuid NOT NULL,
  check_id uuid NOT NULL,
  what text NOT NULL CHECK (what IN ('check.due')),
  state text NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'done', 'failed')),
  problem text CHECK (length(problem) <= 300),
  at timestamptz NOT NULL DEFAULT clock_timestamp(),
  told_at timestamptz,
  PRIMARY KEY (shop_id, id),
  UNIQUE (shop_id, hook_id, check_id, what),
  FOREIGN KEY (shop_id, hook_id) REFERENCES hook (shop_id, id),
  FOREIGN KEY (shop_id, check_id) REFERENCES due_check (shop_id, id)
);

DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['program_token', 'hook', 'hook_word']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', name);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', name);
    EXECUTE format('CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', name);
    EXECUTE format('GRANT SELECT, INSERT ON %I TO gravelwort_app', name);
  END LOOP;
END $$;
CREATE POLICY by_token ON program_token FOR SELECT USING (token_hash = decode(nullif(current_setting('gravelwort.token', true), ''), 'hex'));
GRANT UPDATE (used_at, revoked_at) ON program_token TO gravelwort_app;
GRANT UPDATE (ended_at) ON hook TO gravelwort_app;
GRANT UPDATE (state, problem, told_at) ON hook_word TO gravelwort_app;

-- Shops in which a check has fallen due that a hook was not told of, and who made the hook. It says nothing else of any shop, and is for the workers, which belong to none.
CREATE FUNCTION shops_to_tell() RETURNS TABLE (shop uuid, person uuid) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT h.shop_id, (array_agg(h.made_by))[1] FROM hook h JOIN shop s ON s.id = h.shop_id WHERE h.ended_at IS NULL AND EXISTS (
    SELECT FROM due_check d WHERE d.shop_id = h.shop_id AND d.open
       AND (d.due_on <= (now() AT TIME ZONE coalesce(nullif(s.time_zone, ''), current_setting('timezone')))::date OR d.passed)
       AND NOT EXISTS (SELECT FROM hook_word w WHERE w.shop_id = h.shop_id AND w.hook_id = h.id AND w.check_id = d.id))
  GROUP BY h.shop_id LIMIT 500
$$;
REVOKE ALL ON FUNCTION shops_to_tell FROM PUBLIC;
GRANT EXECUTE ON FUNCTION shops_to_tell TO gravelwort_app;

-- Down Migration
DROP FUNCTION shops_to_tell;
DROP TABLE hook_word, hook, program_token;
