-- Up Migration
-- A picture may lie in a store of its own, under its shop and hash; then its row holds no bytes.
ALTER TABLE photo ALTER jpeg DROP NOT NULL;
ALTER TABLE shelf_photo ALTER jpeg DROP NOT NULL;

-- Down Migration
ALTER TABLE photo ALTER jpeg SET NOT NULL;
ALTER TABLE shelf_photo ALTER jpeg SET NOT NULL;
