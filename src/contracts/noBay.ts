import { type Bay } from './needed';

/** A job of which nobody said how it goes into the bay. */
export const NO_BAY: Bay = {
  bayOn: null,
  rusty: false,
  soakDays: 0,
  standId: null,
  onHoist: false,
  people: null,
  metalBushes: false,
};
