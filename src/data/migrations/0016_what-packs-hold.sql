-- Up Migration

-- Leaves may have been formed flat over the seat by their maker: the clamp then bends nothing.
ALTER TABLE pack DROP CONSTRAINT pack_seat_shape_check,
  ADD CONSTRAINT pack_seat_shape_check CHECK (seat_shape IN ('flat', 'concentric', 'formed', 'unknown'));

-- What the lowest leaf is: one of the pack, or an overload leaf that comes in under load; null when nobody looked.
ALTER TABLE pack ADD COLUMN lowest_leaf text CHECK (lowest_leaf IN ('graded', 'overload'));

-- How far a band that is no even ± reaches below and above a height; null where it is even or was stored before.
ALTER TABLE ledger_line ADD COLUMN below90_mm double precision CHECK (below90_mm >= 0),
  ADD COLUMN above90_mm double precision CHECK (above90_mm >= 0);

-- Down Migration

ALTER TABLE ledger_line DROP COLUMN below90_mm, DROP COLUMN above90_mm;
ALTER TABLE pack DROP COLUMN lowest_leaf;
UPDATE pack SET seat_shape = 'unknown' WHERE seat_shape = 'formed';
ALTER TABLE pack DROP CONSTRAINT pack_seat_shape_check,
  ADD CONSTRAINT pack_seat_shape_check CHECK (seat_shape IN ('flat', 'concentric', 'unknown'));
