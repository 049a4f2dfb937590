-- Up Migration
-- The free arch on the bench joins the measuring points.
ALTER TABLE reading DROP CONSTRAINT reading_point_check;
ALTER TABLE reading ADD CONSTRAINT reading_point_check CHECK (point IN (
  'hubToLip', 'blockHeight', 'uboltExposed', 'uboltPitch', 'uboltThreaded', 'uboltNut', 'loadedArch',
  'eyeToPinFront', 'eyeToPinRear', 'eyeBore', 'leafWidth', 'leafThickness', 'leafFront', 'leafRear',
  'uboltSpacing', 'padLoad', 'axleLoad', 'unsprungMass', 'trackWidth', 'springBase', 'shackleLength',
  'shackleAngle', 'tubeDiameter', 'perchHeight', 'tyreRate', 'freeArch'));
