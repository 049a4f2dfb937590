-- Up Migration
-- Who works on a job, and whether what stands in the eyes burns: both decide the order of its steps.
ALTER TABLE job_bay ADD COLUMN people integer CHECK (people BETWEEN 1 AND 2),
  ADD COLUMN metal_bushes boolean NOT NULL DEFAULT false;

-- Days on which the shop does not work: days of the week, Sunday 0, and single dates.
ALTER TABLE shop ADD COLUMN days_off integer[] NOT NULL DEFAULT '{0,6}'
    CHECK (days_off <@ ARRAY[0, 1, 2, 3, 4, 5, 6] AND cardinality(days_off) <= 7),
  ADD COLUMN closed_on date[] NOT NULL DEFAULT '{}' CHECK (cardinality(closed_on) <= 200);
GRANT UPDATE (days_off, closed_on) ON shop TO gravelwort_app;

-- What a locking nut runs at before it seats, where the figure is told without it.
ALTER TABLE torque_entry ADD COLUMN running_nmm double precision CHECK (running_nmm BETWEEN 1 AND 5e6),
  ADD COLUMN running_typed text CHECK (length(running_typed) BETWEEN 1 AND 160),
  ADD CHECK (num_nulls(running_nmm, running_typed) IN (0, 2));

-- At each leg of a U-bolt: how much thread stands out, and how wide the plate stands off what it is drawn against.
ALTER TABLE leg_thread ADD COLUMN what text NOT NULL DEFAULT 'thread' CHECK (what IN ('thread', 'gap'));
DROP INDEX leg_thread_latest;
CREATE INDEX leg_thread_latest ON leg_thread (shop_id, job_axle_id, what, leg, nth DESC);

-- Days a job loses by what went wrong.
ALTER TABLE incident ADD COLUMN days integer CHECK (days BETWEEN 1 AND 60);

-- Down Migration
ALTER TABLE incident DROP COLUMN days;
DROP INDEX leg_thread_latest;
ALTER TABLE leg_thread DROP COLUMN what;
CREATE INDEX leg_thread_latest ON leg_thread (shop_id, job_axle_id, leg, read_at DESC);
ALTER TABLE torque_entry DROP COLUMN running_nmm, DROP COLUMN running_typed;
ALTER TABLE shop DROP COLUMN days_off, DROP COLUMN closed_on;
ALTER TABLE job_bay DROP COLUMN people, DROP COLUMN metal_bushes;
