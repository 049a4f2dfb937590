-- Up Migration
-- One line for everything of a shop that can be searched for, kept by triggers from one view that says what is said of each.
CREATE EXTENSION IF NOT EXISTS pg_trgm;
CREATE EXTENSION IF NOT EXISTS btree_gin;

CREATE TABLE search_line (
  shop_id uuid NOT NULL REFERENCES shop,
  subject text NOT NULL,
  id uuid NOT NULL,
  -- Of what belongs to one job.
  job_id uuid,
  -- Of what belongs to one vehicle.
  vehicle_id uuid,
  at timestamptz NOT NULL,
  says text NOT NULL,
  stems tsvector NOT NULL GENERATED ALWAYS AS (to_tsvector('english', says)) STORED,
  PRIMARY KEY (shop_id, subject, id)
);

CREATE VIEW search_source WITH (security_invoker = true) AS
  SELECT v.shop_id, 'vehicle' AS subject, v.id, NULL::uuid AS job_id, v.id AS vehicle_id, v.updated_at AS at,
         concat_ws(' ', v.name, v.maker) AS says FROM vehicle v
  UNION ALL
  SELECT o.shop_id, 'owner', o.vehicle_id, NULL, o.vehicle_id, o.updated_at, concat_ws(' ', o.name, o.plate, o.phone) FROM vehicle_owner o
  UNION ALL
  SELECT j.shop_id, 'job', j.id, j.id, NULL, j.created_at, j.complaint FROM job j
  UNION ALL
  SELECT f.shop_id, 'finding', f.id, x.job_id, NULL, f.found_at, f.note
    FROM finding f JOIN job_axle x ON x.shop_id = f.shop_id AND x.id = f.job_axle_id
  UNION ALL
  SELECT p.shop_id, 'planned', p.id, x.job_id, NULL, p.made_at,
         (SELECT coalesce(string_agg(DISTINCT c.change ->> 'partName', ' '), '') FROM plan_change c WHERE c.shop_id = p.shop_id AND c.plan_id = p.id)
    FROM plan p JOIN job_axle x ON x.shop_id = p.shop_id AND x.id = p.job_axle_id
  UNION ALL
  SELECT n.shop_id, 'needed', n.id, x.job_id, NULL, n.updated_at, concat_ws(' ', n.what, n.source, n.orders)
    FROM needed_part n JOIN job_axle x ON x.shop_id = n.shop_id AND x.id = n.job_axle_id
  UNION ALL
  SELECT d.shop_id, 'defect', d.id, x.job_id, NULL, d.opened_at, concat_ws(' ', d.what, d.reason, d.limits)
    FROM defect d JOIN job_axle x ON x.shop_id = d.shop_id AND x.id = d.job_axle_id
  UNION ALL
  SELECT i.shop_id, 'incident', i.id, x.job_id, NULL, i.happened_at, i.what
    FROM incident i JOIN job_axle x ON x.shop_id = i.shop_id AND x.id = i.job_axle_id
  UNION ALL
  SELECT f.shop_id, 'picture', f.id, x.job_id, NULL, f.taken_at, f.caption
    FROM photo f JOIN job_axle x ON x.shop_id = f.shop_id AND x.id = f.job_axle_id
  UNION ALL
  SELECT s.shop_id, 'besides', s.id, s.job_id, s.vehicle_id, s.found_at, concat_ws(' ', s.what, s.evidence) FROM side_finding s
  UNION ALL
  SELECT l.shop_id, 'lesson', l.id, x.job_id, a.vehicle_id, l.learnt_at, l.says
    FROM lesson l JOIN axle a ON a.shop_id = l.shop_id AND a.id = l.axle_id
    LEFT JOIN job_axle x ON x.shop_id = l.shop_id AND x.id = l.job_axle_id
  UNION ALL
  SELECT b.shop_id, 'broken', b.id, NULL, b.vehicle_id, b.written_at, concat_ws(' ', b.place, b.cause) FROM failure b
  UNION ALL
  SELECT t.shop_id, 'tool', t.id, NULL, NULL, t.updated_at, concat_ws(' ', t.name, t.place) FROM shop_tool t WHERE NOT t.gone
  UNION ALL
  SELECT i.shop_id, 'part', i.id, NULL, NULL, i.updated_at,
         concat_ws(' ', regexp_replace(i.kind, '([A-Z])', ' \1', 'g'), i.name, i.maker, i.number, i.place, i.origin, i.note,
           (SELECT string_agg(d.typed, ' ' ORDER BY d.dimension) FROM shelf_dimension d WHERE d.shop_id = i.shop_id AND d.item_id = i.id))
    FROM shelf_item i WHERE NOT i.retired;

INSERT INTO search_line (shop_id, subject, id, job_id, vehicle_id, at, says)
  SELECT shop_id, subject, id, job_id, vehicle_id, at, says FROM search_source WHERE says <> '';
CREATE INDEX search_line_said ON search_line USING gin (shop_id, stems, says gin_trgm_ops);
CREATE INDEX search_line_of_job ON search_line (shop_id, job_id) WHERE job_id IS NOT NULL;

-- As whoever owns the tables: the application only reads the lines. A function for each table, so that what it plans is planned once and of that subject only.
DO $$
DECLARE it record;
BEGIN
  FOR it IN SELECT * FROM (VALUES ('vehicle', 'vehicle', 'id'), ('vehicle_owner', 'owner', 'vehicle_id'), ('job', 'job', 'id'), ('finding', 'finding', 'id'),
      ('plan', 'planned', 'id'), ('plan_change', 'planned', 'plan_id'), ('needed_part', 'needed', 'id'), ('defect', 'defect', 'id'),
      ('incident', 'incident', 'id'), ('photo', 'picture', 'id'), ('side_finding', 'besides', 'id'), ('lesson', 'lesson', 'id'),
      ('failure', 'broken', 'id'), ('shop_tool', 'tool', 'id')) AS t (tab, subject, id)
  LOOP
    EXECUTE format($keep$
      CREATE FUNCTION search_keep_%1$s() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $body$
      DECLARE
        shop uuid;
        it uuid;
      BEGIN
        IF TG_OP = 'DELETE' THEN
          shop := OLD.shop_id; it := OLD.%3$I;
        ELSE
          shop := NEW.shop_id; it := NEW.%3$I;
        END IF;
        DELETE FROM search_line l WHERE l.shop_id = shop AND l.subject = %2$L AND l.id = it;
        INSERT INTO search_line (shop_id, subject, id, job_id, vehicle_id, at, says)
          SELECT s.shop_id, s.subject, s.id, s.job_id, s.vehicle_id, s.at, s.says FROM search_source s
           WHERE s.shop_id = shop AND s.subject = %2$L AND s.id = it AND s.says <> ''
          ON CONFLICT (shop_id, subject, id) DO UPDATE SET job_id = excluded.job_id, vehicle_id = excluded.vehicle_id, at = excluded.at, says = excluded.says;
        RETURN NULL;
      END $body$;
      REVOKE ALL ON FUNCTION search_keep_%1$s FROM PUBLIC;
      CREATE TRIGGER search_keep AFTER INSERT OR UPDATE OR DELETE ON %1$I FOR EACH ROW EXECUTE FUNCTION search_keep_%1$s();
    $keep$, it.tab, it.subject, it.id);
  END LOOP;
END $$;

-- Parts come in by the thousand, each with many sizes: their lines are written once for all that one statement changed.
DO $$
DECLARE it record;
BEGIN
  FOR it IN SELECT * FROM (VALUES ('shelf_item', 'id'), ('shelf_dimension', 'item_id')) AS t (tab, id)
  LOOP
    EXECUTE format($keep$
      CREATE FUNCTION search_keep_%1$s() RETURNS trigger LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $body$
      BEGIN
        DELETE FROM search_line l USING (SELECT DISTINCT shop_id, %2$I AS id FROM changed) c
         WHERE l.shop_id = c.shop_id AND l.subject = 'part' AND l.id = c.id;
        INSERT INTO search_line (shop_id, subject, id, job_id, vehicle_id, at, says)
          SELECT s.shop_id, s.subject, s.id, s.job_id, s.vehicle_id, s.at, s.says
            FROM (SELECT DISTINCT shop_id, %2$I AS id FROM changed) c CROSS JOIN LATERAL (
              SELECT * FROM search_source v WHERE v.shop_id = c.shop_id AND v.subject = 'part' AND v.id = c.id AND v.says <> '' OFFSET 0) s
          ON CONFLICT (shop_id, subject, id) DO UPDATE SET at = excluded.at, says = excluded.says;
        RETURN NULL;
      END $body$;
      REVOKE ALL ON FUNCTION search_keep_%1$s FROM PUBLIC;
      CREATE TRIGGER search_keep_new AFTER INSERT ON %1$I REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION search_keep_%1$s();
      CREATE TRIGGER search_keep_other AFTER UPDATE ON %1$I REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION search_keep_%1$s();
      CREATE TRIGGER search_keep_gone AFTER DELETE ON %1$I REFERENCING OLD TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION search_keep_%1$s();
    $keep$, it.tab, it.id);
  END LOOP;
END $$;

ALTER TABLE search_line ENABLE ROW LEVEL SECURITY;
ALTER TABLE search_line FORCE ROW LEVEL SECURITY;
CREATE POLICY own_shop ON search_line USING (shop_id = nullif(current_setting('gravelwort.shop', true), '')::uuid);
GRANT SELECT ON search_line TO gravelwort_app;

-- Row-level security keeps the operators of full text and trigrams from the index, since they may tell of rows by their errors. This function reads as the
-- tables' owner and of the shop of the transaction only, which is the same rule as the policy's (decision 0038).
-- words: a list of lists, each with the ways one thing may be said. nearly: words that are like them count too. among: only these parts and what is said of these jobs.
CREATE FUNCTION search_found(words jsonb, nearly boolean, among uuid[], most integer)
  RETURNS TABLE (subject text, id uuid, job_id uuid, vehicle_id uuid, says text)
  LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
DECLARE
  conditions text := '';
  near text := '0';
  said jsonb;
  way text;
  ways text;
  nears text;
BEGIN
  IF nearly THEN PERFORM set_config('pg_trgm.word_similarity_threshold', '0.45', true); END IF;
  FOR said IN SELECT jsonb_array_elements(words) LOOP
    ways := ''; nears := '';
    FOR way IN SELECT jsonb_array_elements_text(said) LOOP
      ways := ways || CASE WHEN ways = '' THEN '' ELSE ' OR ' END || CASE WHEN nearly THEN format('%L <%% l.says', way)
        ELSE format('l.stems @@ plainto_tsquery(''english'', %L) OR l.says ILIKE %L', way, '%' || regexp_replace(way, '([\\%_])', '\\\1', 'g') || '%') END;
      nears := nears || CASE WHEN nears = '' THEN '' ELSE ', ' END || format('word_similarity(%L, l.says)', way);
    END LOOP;
    conditions := conditions || ' AND (' || ways || ')';
    near := near || ' + greatest(' || nears || ')';
  END LOOP;
  IF among IS NOT NULL THEN conditions := conditions || ' AND (l.subject = ''part'' AND l.id = ANY ($2) OR l.job_id = ANY ($2))';
  ELSIF conditions = '' THEN RETURN;
  END IF;
  -- Of very many that hold the words only the newest are weighed against one another.
  RETURN QUERY EXECUTE format('SELECT l.subject, l.id, l.job_id, l.vehicle_id, l.says FROM (
      SELECT * FROM search_line l WHERE l.shop_id = $1 %s ORDER BY l.at DESC LIMIT %s) l
    ORDER BY round((%s)::numeric, %s) DESC, l.at DESC, l.id LIMIT $3', conditions, 2 * most, near, CASE WHEN nearly THEN 2 ELSE 1 END)
    USING nullif(current_setting('gravelwort.shop', true), '')::uuid, among, most;
END $$;
REVOKE ALL ON FUNCTION search_found FROM PUBLIC;
GRANT EXECUTE ON FUNCTION search_found TO gravelwort_app;

-- Sizes are compared plainly, so that row-level security leaves these indexes usable.
CREATE INDEX shelf_leaf_thickness ON shelf_leaf (shop_id, thickness_mm);
CREATE INDEX reading_size ON reading (shop_id, point, value)
  WHERE point IN ('leafWidth', 'leafThickness', 'eyeBore', 'blockHeight', 'coilWire', 'coilOutside', 'coilFree', 'shackleLength');

-- Down Migration
DROP INDEX reading_size, shelf_leaf_thickness;
DROP FUNCTION search_found;
DROP FUNCTION search_keep_vehicle CASCADE;
DROP FUNCTION search_keep_vehicle_owner CASCADE;
DROP FUNCTION search_keep_job CASCADE;
DROP FUNCTION search_keep_finding CASCADE;
DROP FUNCTION search_keep_plan CASCADE;
DROP FUNCTION search_keep_plan_change CASCADE;
DROP FUNCTION search_keep_needed_part CASCADE;
DROP FUNCTION search_keep_defect CASCADE;
DROP FUNCTION search_keep_incident CASCADE;
DROP FUNCTION search_keep_photo CASCADE;
DROP FUNCTION search_keep_side_finding CASCADE;
DROP FUNCTION search_keep_lesson CASCADE;
DROP FUNCTION search_keep_failure CASCADE;
DROP FUNCTION search_keep_shop_tool CASCADE;
DROP FUNCTION search_keep_shelf_item CASCADE;
DROP FUNCTION search_keep_shelf_dimension CASCADE;
DROP TABLE search_line;
DROP VIEW search_source;
