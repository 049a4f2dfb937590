-- Up Migration

-- The end of a leaf spring that hangs on its shackle; null when nobody looked.
ALTER TABLE pack ADD COLUMN shackle_at text CHECK (shackle_at IN ('rear', 'front'));

-- Down Migration

ALTER TABLE pack DROP COLUMN shackle_at;
