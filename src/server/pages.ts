import 'server-only';
import { cookies, headers } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { type Door } from '@/contracts/door';
import { type Need } from '@/contracts/roles';
import { type JobView } from '@/contracts/job';
import { type Person } from '@/contracts/person';
import { type VehicleHistory } from '@/contracts/record';
import { ProblemError } from '@/contracts/problem';
import { type Tx } from '@/data/client';
import { METRIC_VIEW, type UnitView } from '@/contracts/unitView';
import { unitView } from '@/contracts/units';
import { personUnits, shopPeople, shopZone } from '@/data/shop';
import { doorOf } from './door/signIn';
import {
  inShopOf,
  lookInShopOf,
  mayDo,
  SESSION_COOKIE,
  TABLET_COOKIE,
  whoIs,
  WRITTEN_COOKIE,
  type Who,
} from './door/who';
import { loadJob } from './jobs';
import { historyOf } from './record';

export interface Shop {
  people: Person[];
  person: string;
}

/** Who is at work on this screen; undefined for nobody. */
export const whoAtPage = async (): Promise<Who | undefined> => whoIs((await cookies()).get(SESSION_COOKIE)?.value);

/** What the door may tell on this screen. */
export async function doorAtPage(): Promise<Door> {
  const kept = await cookies();
  return doorOf({ session: kept.get(SESSION_COOKIE)?.value, tablet: kept.get(TABLET_COOKIE)?.value, address: null });
}

/** First load of a page: the shop's people and whatever `fn` reads, in one transaction. Nobody is led to the door, and back afterwards; who may not see it is told there is nothing. @param from `copy`: over many jobs, which a copy of the database may answer */
export async function loadPage<T>(
  need: Exclude<Need, 'open'>,
  fn: (tx: Tx) => Promise<T>,
  from: 'main' | 'copy' = 'main',
): Promise<Shop & { data: T }> {
  const who = await whoAtPage();
  const path = (await headers()).get('x-gravelwort-path') ?? '/';
  if (!who) redirect(`/sign-in?to=${encodeURIComponent(path)}`);
  // Who was told a password chooses one first.
  if (who.given && !path.startsWith('/you')) redirect('/you');
  if (!mayDo(who.role, need)) notFound();
  const load = async (tx: Tx) => ({ people: await shopPeople(tx), person: who.person, data: await fn(tx) });
  if (from === 'main') return inShopOf(who, load);
  return lookInShopOf(who, (await cookies()).get(WRITTEN_COOKIE)?.value ?? null, load);
}

/** The units of the person at work and the zone of the shop; metric and the machine's where nobody is, or the database does not answer. */
export async function viewOfPerson(): Promise<{ units: UnitView; zone: string }> {
  try {
    const who = await whoAtPage();
    if (!who) return { units: METRIC_VIEW, zone: MACHINE_ZONE };
    return await inShopOf(who, async (tx) => ({
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
export const loadJobPage = (need: Exclude<Need, 'open'>, id: string): Promise<(Shop & { data: JobView }) | undefined> =>
  pageOf(need, id, loadJob);

/** One vehicle's page; undefined when there is no such vehicle in this shop. */
export const loadVehiclePage = (
  need: Exclude<Need, 'open'>,
  id: string,
): Promise<(Shop & { data: VehicleHistory }) | undefined> => pageOf(need, id, historyOf, 'copy');

async function pageOf<T>(
  need: Exclude<Need, 'open'>,
  id: string,
  load: (tx: Tx, id: string) => Promise<T>,
  from: 'main' | 'copy' = 'main',
): Promise<(Shop & { data: T }) | undefined> {
  if (!UUID.test(id)) return undefined;
  try {
    return await loadPage(need, (tx) => load(tx, id), from);
  } catch (error) {
    if (error instanceof ProblemError && error.status === 404) return undefined;
    throw error;
  }
}
