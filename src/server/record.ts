// Over all jobs: what is open, how near the predictions came, what breaks; and one vehicle's whole story.
import { notFound } from '@/contracts/problem';
import { type ShopRecord, type VehicleHistory } from '@/contracts/record';
import { type Tx } from '@/data/client';
import { shopToday } from '@/data/due';
import { learntOfShop } from './expects';
import {
  brokenVehicles,
  openDefectsOfShop,
  openScores,
  provenHeights,
  scoresOpen,
  vehicleHistory,
} from '@/data/record';

export async function recordOfShop(tx: Tx): Promise<ShopRecord> {
  return {
    today: await shopToday(tx),
    defects: await openDefectsOfShop(tx),
    proven: await provenHeights(tx),
    broken: await brokenVehicles(tx),
    ...(await learntOfShop(tx)),
    scoresOpen: await scoresOpen(tx),
  };
}

/** @throws ProblemError not-found */
export async function historyOf(tx: Tx, vehicleId: string): Promise<VehicleHistory> {
  const found = await vehicleHistory(tx, vehicleId);
  if (!found) throw notFound('This vehicle');
  return found;
}

/** Opens or shuts for all how near each one's predictions came. */
export async function showScores(tx: Tx, { open }: { open: boolean }): Promise<{ open: boolean }> {
  await openScores(tx, open);
  return { open };
}
