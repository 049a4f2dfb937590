-- Up Migration
-- What is still open at a job that is being built is told on the Board. It is worked out from everything of the job, so it is kept as it was told last, with
-- the moment of the database it was told from; every row that is written of a job says that it was stirred. What was told stands while nothing that it did
-- not see has stirred its job or its shop, on the same day and by the same release (decision 0040).
CREATE TABLE job_stir (
  shop_id uuid NOT NULL REFERENCES shop,
  -- All zeros: the whole shop.
  job_id uuid NOT NULL,
  by_xid xid8 NOT NULL,
  at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (shop_id, job_id, by_xid)
);
CREATE INDEX job_stir_old ON job_stir (shop_id, at);
CREATE TABLE open_told (
  shop_id uuid NOT NULL,
  job_axle_id uuid NOT NULL,
  job_id uuid NOT NULL,
  release text NOT NULL,
  day date NOT NULL,
  seen pg_snapshot NOT NULL,
  items text[] NOT NULL,
  PRIMARY KEY (shop_id, job_axle_id),
  FOREIGN KEY (shop_id, job_axle_id) REFERENCES job_axle (shop_id, id)
);

DO $$
DECLARE
  it record;
  jobs text;
BEGIN
  FOR it IN
    SELECT c.relname AS tab, array_agg(a.attname::text) AS has FROM pg_class c JOIN pg_attribute a ON a.attrelid = c.oid AND a.attnum > 0 AND NOT a.attisdropped
     WHERE c.relnamespace = 'public'::regnamespace AND c.relkind = 'r' AND c.relname NOT IN ('session', 'audit', 'tablet', 'credential', 'viewer_link', 'calendar_link',
       'back_off', 'first_code', 'person_unit', 'search_line', 'batch', 'batch_piece', 'fleet_line', 'run_line', 'run_file', 'job_stir', 'open_told', 'migration',
       'shelf_word', 'shelf_history', 'shelf_photo', 'shelf_dimension', 'shelf_leaf', 'vehicle_owner')
     GROUP BY c.relname
  LOOP
    CONTINUE WHEN NOT 'shop_id' = ANY (it.has) AND it.tab <> 'shop';
    -- What belongs to a vehicle or an axle stirs every job of it.
    jobs := CASE
      WHEN it.tab = 'shop' THEN NULL
      WHEN it.tab = 'job' THEN 'SELECT r.id'
      WHEN it.tab = 'vehicle' THEN 'SELECT x.job_id FROM axle a JOIN job_axle x ON x.shop_id = a.shop_id AND x.axle_id = a.id WHERE a.shop_id = r.shop_id AND a.vehicle_id = r.id'
      WHEN 'vehicle_id' = ANY (it.has) THEN 'SELECT x.job_id FROM axle a JOIN job_axle x ON x.shop_id = a.shop_id AND x.axle_id = a.id WHERE a.shop_id = r.shop_id AND a.vehicle_id = r.vehicle_id'
      WHEN 'axle_id' = ANY (it.has) THEN 'SELECT x.job_id FROM axle b JOIN axle a ON a.shop_id = b.shop_id AND a.vehicle_id = b.vehicle_id JOIN job_axle x ON x.shop_id = a.shop_id AND x.axle_id = a.id WHERE b.shop_id = r.shop_id AND b.id = r.axle_id'
      WHEN 'job_id' = ANY (it.has) THEN 'SELECT r.job_id'
      WHEN 'job_axle_id' = ANY (it.has) THEN 'SELECT x.job_id FROM job_axle x WHERE x.shop_id = r.shop_id AND x.id = r.job_axle_id'
      WHEN it.tab = 'due_done' THEN 'SELECT d.job_id FROM due_check d WHERE d.shop_id = r.shop_id AND d.id = r.check_id'
      -- These are written with the row they hang on, or are a plan's.
      WHEN it.tab IN ('ledger_line', 'outcome', 'press_point', 'finding_value') THEN 'none'
      WHEN 'plan_id' = ANY (it.has) THEN 'SELECT x.job_id FROM plan p JOIN job_axle x ON x.shop_id = p.shop_id AND x.id = p.job_axle_id WHERE p.shop_id = r.shop_id AND p.id = r.plan_id'
    END;
    CONTINUE WHEN jobs = 'none';
    EXECUTE format($stir$
      CREATE FUNCTION stir_%1$s() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $body$
      DECLARE r %1$I;
      BEGIN
        IF TG_OP = 'DELETE' THEN r := OLD; ELSE r := NEW; END IF;
        INSERT INTO job_stir (shop_id, job_id, by_xid) SELECT r.%2$I, j, pg_current_xact_id() FROM (%3$s) AS q (j) WHERE j IS NOT NULL ON CONFLICT DO NOTHING;
        RETURN NULL;
      END $body$;
      REVOKE ALL ON FUNCTION stir_%1$s FROM PUBLIC;
      CREATE TRIGGER stir AFTER INSERT OR UPDATE OR DELETE ON %1$I FOR EACH ROW EXECUTE FUNCTION stir_%1$s();
    $stir$, it.tab, CASE it.tab WHEN 'shop' THEN 'id' ELSE 'shop_id' END, coalesce(jobs, 'SELECT ''00000000-0000-0000-0000-000000000000''::uuid'));
  END LOOP;
END $$;

DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['job_stir', 'open_told']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', name);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', name);
    EXECUTE format('CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', name);
  END LOOP;
END $$;
GRANT SELECT, DELETE ON job_stir TO gravelwort_app;
GRANT SELECT, INSERT, UPDATE ON open_told TO gravelwort_app;

-- A vehicle's jobs.
CREATE INDEX job_axle_of_axle ON job_axle (shop_id, axle_id);

-- Append-only tables are cleaned and counted by what came in, the largest ones sooner than by a fifth of them.
ALTER TABLE reading SET (autovacuum_vacuum_insert_scale_factor = 0.02, autovacuum_analyze_scale_factor = 0.02, autovacuum_vacuum_scale_factor = 0.02);
ALTER TABLE ledger_line SET (autovacuum_vacuum_insert_scale_factor = 0.02, autovacuum_analyze_scale_factor = 0.02);
ALTER TABLE search_line SET (autovacuum_vacuum_scale_factor = 0.02, autovacuum_analyze_scale_factor = 0.02);
ALTER TABLE job_stir SET (autovacuum_vacuum_scale_factor = 0.02);
ALTER TABLE session SET (autovacuum_vacuum_scale_factor = 0.02, fillfactor = 70);
ALTER TABLE batch_piece SET (autovacuum_vacuum_scale_factor = 0.02, fillfactor = 80);

-- Down Migration
DO $$
DECLARE it record;
BEGIN
  FOR it IN SELECT proname FROM pg_proc WHERE pronamespace = 'public'::regnamespace AND proname LIKE 'stir\_%' LOOP EXECUTE format('DROP FUNCTION %I CASCADE', it.proname); END LOOP;
END $$;
DROP TABLE open_told, job_stir;
DROP INDEX job_axle_of_axle;
