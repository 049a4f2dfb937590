import { withShop, type Tx } from '@/data/client';

/** The demo shop; until sign-in exists the server listens on this machine only and serves one shop. */
export const DEMO_SHOP = '5a1e0000-0000-4000-8000-000000000001';
export const DEMO_PERSON = '5a1e0000-0000-4000-8000-0000000000a1';
export const PERSON_COOKIE = 'gravelwort-person';

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

export const shopId = (): string => process.env.GRAVELWORT_SHOP ?? DEMO_SHOP;

/** Who works at this screen: chosen in the header, the first person of the demo otherwise. */
export const personFrom = (cookie: string | undefined): string => (cookie && UUID.test(cookie) ? cookie : DEMO_PERSON);

export const inShop = <T>(person: string, fn: (tx: Tx) => Promise<T>): Promise<T> => withShop(shopId(), person, fn);

/** Whether the database answers within the time a page waits for it. */
export const databaseAnswers = (): Promise<boolean> =>
  inShop(DEMO_PERSON, () => Promise.resolve(true)).catch(() => false);
