// People of a shop and how each wants figures read and printed.
import { type PersonUnit } from '@/contracts/units';
import { type Tx } from '@/data/client';
import { putPersonUnits } from '@/data/shop';

/** Keeps the units a person chose; quantities not named stay as they were. */
export async function chooseUnits(tx: Tx, units: readonly PersonUnit[]): Promise<Record<string, never>> {
  await putPersonUnits(tx, units);
  return {};
}
