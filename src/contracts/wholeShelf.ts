import { type ShelfAsk } from './shelf';

/** Everything on the shelf, by name. */
export const WHOLE_SHELF: ShelfAsk = {
  words: '',
  kind: null,
  holding: null,
  condition: null,
  here: false,
  mostPrice: null,
  mostDays: null,
  leastRating: null,
  within: [],
  order: 'name',
  after: null,
};
