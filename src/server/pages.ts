import 'server-only';
import { cookies } from 'next/headers';
import { type JobView } from '@/contracts/job';
import { type Person } from '@/contracts/person';
import { ProblemError } from '@/contracts/problem';
import { type Tx } from '@/data/client';
import { METRIC_VIEW, type UnitView } from '@/contracts/unitView';
import { unitView } from '@/contracts/units';
import { personUnits, shopPeople, shopZone } from '@/data/shop';
import { inShop, PERSON_COOKIE, personFrom } from './context';
import { loadJob } from './jobs';

export interface Shop {
  people: Person[];
  person: string;
}

/** First load of a page: the shop's people and whatever `fn` reads, in one transaction. */
export async function loadPage<T>(fn: (tx: Tx) => Promise<T>): Promise<Shop & { data: T }> {
  const person = personFrom((await cookies()).get(PERSON_COOKIE)?.value);
  return inShop(person, async (tx) => ({ people: await shopPeople(tx), person, data: await fn(tx) }));
}

/** The units of the person at work and the zone of the shop; metric and the machine's where the database does not answer. */
export async function viewOfPerson(): Promise<{ units: UnitView; zone: string }> {
  const person = personFrom((await cookies()).get(PERSON_COOKIE)?.value);
  try {
    return await inShop(person, async (tx) => ({
      units: unitView(await personUnits(tx)),
      zone: (await shopZone(tx)) ?? MACHINE_ZONE,
    }));
  } catch {
    return { units: METRIC_VIEW, zone: MACHINE_ZONE };
  }
}

const MACHINE_ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;
const UUID = /^[0-9a-f-]{36}$/;

/** One job's page; undefined when there is no such job in this shop. */
export async function loadJobPage(id: string): Promise<(Shop & { data: JobView }) | undefined> {
  if (!UUID.test(id)) return undefined;
  try {
    return await loadPage((tx) => loadJob(tx, id));
  } catch (error) {
    if (error instanceof ProblemError && error.status === 404) return undefined;
    throw error;
  }
}
