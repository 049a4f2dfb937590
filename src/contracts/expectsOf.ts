import { type Expects } from '@/core/vehicle/settling';
import { type ShopExpects } from './expects';

/** What a shop goes by in the place of common practice. */
export const expectsOf = (rows: readonly ShopExpects[]): Expects =>
  Object.fromEntries(
    rows.flatMap(({ quantity, value, half90, jobs }) =>
      half90 === null ? [] : [[quantity, { value, half: half90, jobs }]],
    ),
  );
