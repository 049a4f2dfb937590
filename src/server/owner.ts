// What the shop keeps of the person a vehicle belongs to.
import { type Owner, type OwnerEdit, type OwnerRecord } from '@/contracts/owner';
import { conflict, notFound } from '@/contracts/problem';
import { type Tx } from '@/data/client';
import * as owners from '@/data/owner';
import { loadJob } from './jobs';

export async function keepOwner(tx: Tx, id: string, edit: OwnerEdit): Promise<OwnerRecord> {
  const { vehicle } = await loadJob(tx, id);
  if ((await owners.putOwner(tx, vehicle.id, edit)) === 0) {
    const there: Owner | null = await owners.ownerOf(tx, vehicle.id);
    throw conflict('owner', {
      theirs: there ? [there.name, there.phone, there.plate].filter(Boolean).join(', ') : 'nothing: it was erased',
      by: there?.by ?? 'Somebody',
      at: there?.at ?? new Date().toISOString(),
      version: there?.version ?? 0,
    });
  }
  return owners.ownerRecord(tx, vehicle.id, vehicle.name);
}

export async function ownerRecordOf(tx: Tx, id: string): Promise<OwnerRecord> {
  const { vehicle } = await loadJob(tx, id);
  return owners.ownerRecord(tx, vehicle.id, vehicle.name);
}

/** Erases it for good; the jobs, readings and predictions of the vehicle stay as they are. */
export async function forgetOwner(tx: Tx, id: string): Promise<OwnerRecord> {
  const { vehicle } = await loadJob(tx, id);
  if ((await owners.eraseOwner(tx, vehicle.id)) === 0) throw notFound('What was kept of an owner');
  return owners.ownerRecord(tx, vehicle.id, vehicle.name);
}
