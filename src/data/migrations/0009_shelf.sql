-- Up Migration
-- The shelf: parts in stock and from catalogues. An item is changed as a whole under its version; what it was before is kept.
CREATE TABLE shelf_item (
  shop_id uuid NOT NULL REFERENCES shop,
  id uuid NOT NULL,
  kind text NOT NULL CHECK (kind IN ('pack', 'leaf', 'addLeafSet', 'overload', 'block', 'wedge', 'shackle', 'hanger', 'bush',
    'stop', 'shock', 'ubolt', 'centreBolt', 'clip')),
  name text NOT NULL CHECK (length(name) BETWEEN 1 AND 120),
  maker text NOT NULL DEFAULT '' CHECK (length(maker) <= 80),
  number text NOT NULL DEFAULT '' CHECK (length(number) <= 60),
  holding text NOT NULL CHECK (holding IN ('stock', 'catalogue')),
  condition text NOT NULL CHECK (condition IN ('new', 'used')),
  -- Of a used part: what it came off, and how old it is.
  origin text NOT NULL DEFAULT '' CHECK (length(origin) <= 160),
  age_years double precision CHECK (age_years BETWEEN 0 AND 120),
  quantity integer CHECK (quantity BETWEEN 0 AND 100000),
  price numeric(10, 2) CHECK (price >= 0),
  lead_days integer CHECK (lead_days BETWEEN 0 AND 1000),
  rating_kg double precision CHECK (rating_kg BETWEEN 1 AND 100000),
  rating_typed text CHECK (length(rating_typed) BETWEEN 1 AND 160),
  form text CHECK (length(form) BETWEEN 1 AND 40),
  place text NOT NULL DEFAULT '' CHECK (length(place) <= 80),
  note text NOT NULL DEFAULT '' CHECK (length(note) <= 500),
  retired boolean NOT NULL DEFAULT false,
  name_key text COLLATE "C" GENERATED ALWAYS AS (lower(name)) STORED,
  price_key numeric(12, 2) GENERATED ALWAYS AS (coalesce(price, 999999999)) STORED,
  version integer NOT NULL DEFAULT 1,
  updated_by uuid NOT NULL,
  updated_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  CHECK ((rating_kg IS NULL) = (rating_typed IS NULL)),
  CHECK (holding = 'stock' OR quantity IS NULL),
  FOREIGN KEY (shop_id, updated_by) REFERENCES person (shop_id, id)
);
-- Leaves from the main leaf (0) down.
CREATE TABLE shelf_leaf (
  shop_id uuid NOT NULL,
  item_id uuid NOT NULL,
  ordinal integer NOT NULL CHECK (ordinal BETWEEN 0 AND 29),
  front_mm double precision NOT NULL CHECK (front_mm BETWEEN 20 AND 2500),
  front_typed text NOT NULL CHECK (length(front_typed) BETWEEN 1 AND 160),
  rear_mm double precision NOT NULL CHECK (rear_mm BETWEEN 20 AND 2500),
  rear_typed text NOT NULL CHECK (length(rear_typed) BETWEEN 1 AND 160),
  thickness_mm double precision NOT NULL CHECK (thickness_mm BETWEEN 1 AND 60),
  thickness_typed text NOT NULL CHECK (length(thickness_typed) BETWEEN 1 AND 160),
  camber_mm double precision CHECK (camber_mm BETWEEN -500 AND 800),
  camber_typed text CHECK (length(camber_typed) BETWEEN 1 AND 160),
  eyes text NOT NULL CHECK (eyes IN ('none', 'both', 'front', 'rear')),
  clip boolean NOT NULL,
  PRIMARY KEY (shop_id, item_id, ordinal),
  CHECK ((camber_mm IS NULL) = (camber_typed IS NULL)),
  FOREIGN KEY (shop_id, item_id) REFERENCES shelf_item (shop_id, id)
);
-- In core units; without a text when it follows from the leaves.
CREATE TABLE shelf_dimension (
  shop_id uuid NOT NULL,
  item_id uuid NOT NULL,
  dimension text NOT NULL CHECK (length(dimension) BETWEEN 1 AND 40),
  value double precision NOT NULL CHECK (value BETWEEN -1e6 AND 1e6),
  typed text CHECK (length(typed) BETWEEN 1 AND 160),
  PRIMARY KEY (shop_id, item_id, dimension),
  FOREIGN KEY (shop_id, item_id) REFERENCES shelf_item (shop_id, id)
);
-- Words to find a part by. A table, because under row-level security only plain comparisons may use an index.
CREATE TABLE shelf_word (
  shop_id uuid NOT NULL,
  item_id uuid NOT NULL,
  word text COLLATE "C" NOT NULL CHECK (length(word) BETWEEN 2 AND 40),
  PRIMARY KEY (shop_id, item_id, word),
  FOREIGN KEY (shop_id, item_id) REFERENCES shelf_item (shop_id, id)
);
CREATE TABLE shelf_history (
  shop_id uuid NOT NULL,
  item_id uuid NOT NULL,
  version integer NOT NULL,
  was jsonb NOT NULL CHECK (was ? 'schemaVersion'),
  person_id uuid NOT NULL,
  changed_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, item_id, version),
  FOREIGN KEY (shop_id, item_id) REFERENCES shelf_item (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);
CREATE TABLE shelf_photo (
  shop_id uuid NOT NULL,
  id uuid NOT NULL,
  item_id uuid NOT NULL,
  caption text NOT NULL DEFAULT '' CHECK (length(caption) <= 200),
  width integer NOT NULL CHECK (width BETWEEN 1 AND 4000),
  height integer NOT NULL CHECK (height BETWEEN 1 AND 4000),
  sha256 text NOT NULL CHECK (sha256 ~ '^[0-9a-f]{64}$'),
  jpeg bytea NOT NULL CHECK (octet_length(jpeg) BETWEEN 1 AND 4000000),
  person_id uuid NOT NULL,
  taken_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (shop_id, id),
  FOREIGN KEY (shop_id, item_id) REFERENCES shelf_item (shop_id, id),
  FOREIGN KEY (shop_id, person_id) REFERENCES person (shop_id, id)
);

CREATE INDEX shelf_by_name ON shelf_item (shop_id, name_key, id) WHERE NOT retired;
CREATE INDEX shelf_kind_by_name ON shelf_item (shop_id, kind, name_key, id) WHERE NOT retired;
CREATE INDEX shelf_by_price ON shelf_item (shop_id, price_key, id) WHERE NOT retired;
CREATE INDEX shelf_kind_by_price ON shelf_item (shop_id, kind, price_key, id) WHERE NOT retired;
CREATE INDEX shelf_by_number ON shelf_item (shop_id, number) WHERE number <> '';
CREATE INDEX shelf_by_word ON shelf_word (shop_id, word, item_id);
CREATE INDEX shelf_by_dimension ON shelf_dimension (shop_id, dimension, value, item_id);
CREATE INDEX shelf_photo_of_item ON shelf_photo (shop_id, item_id);

DO $$
DECLARE t text;
BEGIN
  FOREACH t IN ARRAY ARRAY['shelf_item', 'shelf_leaf', 'shelf_dimension', 'shelf_word', 'shelf_history', 'shelf_photo']
  LOOP
    EXECUTE format('ALTER TABLE %I ENABLE ROW LEVEL SECURITY', t);
    EXECUTE format('ALTER TABLE %I FORCE ROW LEVEL SECURITY', t);
    EXECUTE format(
      'CREATE POLICY own_shop ON %I USING (shop_id = nullif(current_setting(''gravelwort.shop'', true), '''')::uuid)', t);
    EXECUTE format('GRANT SELECT, INSERT ON %I TO gravelwort_app', t);
  END LOOP;
END $$;
GRANT UPDATE ON shelf_item TO gravelwort_app;
-- Replaced as a whole under the item's version; the history keeps what was there.
GRANT DELETE ON shelf_leaf, shelf_dimension, shelf_word TO gravelwort_app;
