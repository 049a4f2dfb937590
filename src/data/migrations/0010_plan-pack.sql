-- Up Migration
-- A plan may also take a leaf out, swap the pack, have it re-arched or its eyes rolled otherwise; a change knows the part it came from.
ALTER TABLE plan_change DROP CONSTRAINT plan_change_kind_check;
ALTER TABLE plan_change DROP CONSTRAINT plan_change_check;
ALTER TABLE plan_change
  ADD COLUMN leaf_number integer CHECK (leaf_number BETWEEN 2 AND 30),
  ADD COLUMN leaf_typed text CHECK (length(leaf_typed) BETWEEN 1 AND 160),
  ADD COLUMN form text CHECK (form IN ('upturned', 'berlin', 'downturned')),
  ADD COLUMN bore_mm double precision CHECK (bore_mm BETWEEN 6 AND 120),
  ADD COLUMN width_mm double precision CHECK (width_mm BETWEEN 10 AND 300),
  ADD COLUMN used boolean,
  ADD COLUMN part_id uuid,
  ADD COLUMN part_name text CHECK (length(part_name) BETWEEN 1 AND 160),
  ADD CONSTRAINT plan_change_kind_check CHECK (kind IN
    ('addLeaf', 'removeLeaf', 'pack', 'rearch', 'eyes', 'block', 'shackle', 'overAxle')),
  ADD CONSTRAINT plan_change_check CHECK (CASE kind
    WHEN 'addLeaf' THEN num_nulls(front_mm, rear_mm, thickness_mm, camber_mm, source) = 0
    WHEN 'removeLeaf' THEN num_nulls(leaf_number, leaf_typed) = 0
    WHEN 'pack' THEN num_nulls(width_mm, used, source) = 0
    WHEN 'rearch' THEN num_nulls(camber_mm, camber_typed) = 0
    WHEN 'eyes' THEN form IS NOT NULL
    WHEN 'shackle' THEN length_mm IS NOT NULL
    ELSE height_mm IS NOT NULL END),
  ADD CONSTRAINT plan_change_part FOREIGN KEY (shop_id, part_id) REFERENCES shelf_item (shop_id, id);
-- Leaves of a pack that a plan puts in, as they were when it was planned; a shelf that changes later does not change the plan.
CREATE TABLE plan_leaf (
  shop_id uuid NOT NULL,
  plan_id uuid NOT NULL,
  change integer NOT NULL,
  ordinal integer NOT NULL CHECK (ordinal BETWEEN 0 AND 29),
  front_mm double precision NOT NULL CHECK (front_mm BETWEEN 20 AND 2500),
  rear_mm double precision NOT NULL CHECK (rear_mm BETWEEN 20 AND 2500),
  thickness_mm double precision NOT NULL CHECK (thickness_mm BETWEEN 1 AND 60),
  camber_mm double precision NOT NULL CHECK (camber_mm BETWEEN -500 AND 800),
  camber_known boolean NOT NULL,
  PRIMARY KEY (shop_id, plan_id, change, ordinal),
  FOREIGN KEY (shop_id, plan_id, change) REFERENCES plan_change (shop_id, plan_id, ordinal) ON DELETE CASCADE
);
ALTER TABLE ledger_line DROP CONSTRAINT ledger_line_kind_check;
ALTER TABLE ledger_line ADD CONSTRAINT ledger_line_kind_check CHECK (kind IN
  ('measured', 'mendLeaf', 'leafThickness', 'leafArch', 'removeLeaf', 'pack', 'rearch', 'eyes', 'block', 'shackle',
   'overAxle', 'load', 'together', 'total', 'settling'));
ALTER TABLE plan_leaf ENABLE ROW LEVEL SECURITY;
ALTER TABLE plan_leaf FORCE ROW LEVEL SECURITY;
CREATE POLICY own_shop ON plan_leaf USING (shop_id = nullif(current_setting('gravelwort.shop', true), '')::uuid);
GRANT SELECT, INSERT, DELETE ON plan_leaf TO gravelwort_app;
