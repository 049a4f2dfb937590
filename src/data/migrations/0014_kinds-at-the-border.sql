-- What may be measured, planned, checked and told depends on the kind of suspension, and a new kind is a folder of the program:
-- such names are held against its registry at the border, and here only to the form of a name.
ALTER TABLE axle DROP CONSTRAINT axle_suspension_check,
  ADD CONSTRAINT axle_suspension_check CHECK (suspension ~ '^[a-z][A-Za-z0-9]{0,39}$');
ALTER TABLE axle DROP CONSTRAINT axle_position_check,
  ADD CONSTRAINT axle_position_check CHECK (position ~ '^[a-z][A-Za-z0-9]{0,39}$');
ALTER TABLE reading DROP CONSTRAINT reading_point_check,
  ADD CONSTRAINT reading_point_check CHECK (point ~ '^[a-z][A-Za-z0-9]{0,39}$');
ALTER TABLE plan_change DROP CONSTRAINT plan_change_kind_check,
  ADD CONSTRAINT plan_change_kind_check CHECK (kind ~ '^[a-z][A-Za-z0-9]{0,39}$');
ALTER TABLE ledger_line DROP CONSTRAINT ledger_line_kind_check,
  ADD CONSTRAINT ledger_line_kind_check CHECK (kind ~ '^[a-z][A-Za-z0-9]{0,39}$');
ALTER TABLE safety_answer DROP CONSTRAINT safety_answer_item_check,
  ADD CONSTRAINT safety_answer_item_check CHECK (item ~ '^[a-z][A-Za-z0-9]{0,39}$');
ALTER TABLE survey_answer DROP CONSTRAINT survey_answer_item_check,
  ADD CONSTRAINT survey_answer_item_check CHECK (item ~ '^[a-z][A-Za-z0-9]{0,39}$');
ALTER TABLE torque_entry DROP CONSTRAINT torque_entry_joint_check,
  ADD CONSTRAINT torque_entry_joint_check CHECK (joint ~ '^[a-z][A-Za-z0-9]{0,39}$');
ALTER TABLE torque_reading DROP CONSTRAINT torque_reading_joint_check,
  ADD CONSTRAINT torque_reading_joint_check CHECK (joint ~ '^[a-z][A-Za-z0-9]{0,39}$');
ALTER TABLE outcome DROP CONSTRAINT outcome_point_check,
  ADD CONSTRAINT outcome_point_check CHECK (point ~ '^[a-z][A-Za-z0-9]{0,39}$');
ALTER TABLE stack_piece DROP CONSTRAINT stack_piece_kind_check,
  ADD CONSTRAINT stack_piece_kind_check CHECK (kind ~ '^[a-z][A-Za-z0-9]{0,39}$');
ALTER TABLE fastener DROP CONSTRAINT fastener_kind_check,
  ADD CONSTRAINT fastener_kind_check CHECK (kind ~ '^[a-z][A-Za-z0-9]{0,39}$');

-- Asked before a load state is dropped; walked through whole until now.
CREATE INDEX ledger_line_of_state ON ledger_line (shop_id, load_state_id);

-- A shackle whose eye stands above its pivot is pulled, and a longer one lowers the frame; eyes may differ. Unknown stays unknown.
ALTER TABLE pack ADD COLUMN eye_form_rear text CHECK (eye_form_rear IN ('upturned', 'berlin', 'downturned')),
  ADD COLUMN shackle_eye text CHECK (shackle_eye IN ('below', 'above'));
