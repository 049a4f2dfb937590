-- Up Migration
-- Where the last word counts, last is what was saved last, whatever the machine's clock said: a clock that was put back let an older answer
-- stand over a newer one. What is there is numbered by its times.
DO $$
DECLARE t record;
BEGIN
  FOR t IN SELECT * FROM (VALUES
    ('safety_answer', 'answered_at'), ('survey_answer', 'answered_at'), ('finding', 'found_at'), ('press_run', 'taken_at'),
    ('torque_entry', 'entered_at'), ('torque_reading', 'read_at'), ('leg_thread', 'read_at'), ('step_tick', 'ticked_at'),
    ('arrival_reading', 'read_at'), ('job_bay', 'set_at'), ('prediction', 'made_at'), ('function_check', 'said_at'),
    ('road_test', 'driven_at'), ('hand_over', 'handed_at'), ('due_done', 'at'), ('job_close', 'at'),
    ('school_choice', 'chosen_at'), ('shop_limit', 'set_at'), ('shop_expects', 'set_at'), ('audit', 'at')) AS v (name, moment)
  LOOP
    EXECUTE format('ALTER TABLE %I ADD COLUMN nth bigint', t.name);
    EXECUTE format('UPDATE %1$I x SET nth = o.nth FROM (SELECT ctid AS place, row_number() OVER (ORDER BY %2$I, id) AS nth FROM %1$I) o
                     WHERE x.ctid = o.place', t.name, t.moment);
    EXECUTE format('ALTER TABLE %I ALTER COLUMN nth SET NOT NULL, ALTER COLUMN nth ADD GENERATED ALWAYS AS IDENTITY', t.name);
    EXECUTE format('SELECT setval(pg_get_serial_sequence(%1$L, ''nth''), 1 + (SELECT coalesce(max(nth), 0) FROM %1$I), false)', t.name);
  END LOOP;
END $$;
CREATE INDEX audit_last ON audit (shop_id, nth DESC);
-- What jobs keep of the shelf for themselves.
CREATE INDEX needed_part_kept ON needed_part (shop_id, shelf_item_id) WHERE shelf_item_id IS NOT NULL AND state = 'ordered';

-- Down Migration
DROP INDEX needed_part_kept;
DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['safety_answer', 'survey_answer', 'finding', 'press_run', 'torque_entry', 'torque_reading', 'leg_thread',
    'step_tick', 'arrival_reading', 'job_bay', 'prediction', 'function_check', 'road_test', 'hand_over', 'due_done', 'job_close',
    'school_choice', 'shop_limit', 'shop_expects', 'audit']
  LOOP
    EXECUTE format('ALTER TABLE %I DROP COLUMN nth', name);
  END LOOP;
END $$;
