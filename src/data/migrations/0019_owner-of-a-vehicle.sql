-- Up Migration
-- What a shop keeps of the person a vehicle belongs to: in a table of its own, so that it can be erased and the record of the work stays whole.
CREATE TABLE vehicle_owner (
  shop_id uuid NOT NULL,
  vehicle_id uuid NOT NULL,
  name text NOT NULL DEFAULT '' CHECK (length(name) <= 120),
  phone text NOT NULL DEFAULT '' CHECK (length(phone) <= 60),
  plate text NOT NULL DEFAULT '' CHECK (length(plate) <= 30),
  version integer NOT NULL DEFAULT 1,
  updated_by uuid NOT NULL,
  updated_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (shop_id, vehicle_id),
  CHECK (name <> '' OR phone <> '' OR plate <> ''),
  FOREIGN KEY (shop_id, vehicle_id) REFERENCES vehicle (shop_id, id),
  FOREIGN KEY (shop_id, updated_by) REFERENCES person (shop_id, id)
);
ALTER TABLE vehicle_owner ENABLE ROW LEVEL SECURITY;
ALTER TABLE vehicle_owner FORCE ROW LEVEL SECURITY;
CREATE POLICY own_shop ON vehicle_owner USING (shop_id = nullif(current_setting('gravelwort.shop', true), '')::uuid);
GRANT SELECT, INSERT, UPDATE, DELETE ON vehicle_owner TO gravelwort_app;

-- The vehicles looked at last come first where one is chosen.
CREATE INDEX vehicle_latest ON vehicle (shop_id, updated_at DESC, id);
