// In, out, changing hands, and showing again who one is.
import { createHash, randomUUID } from 'node:crypto';
import { type Door, type signInSchema } from '@/contracts/door';
import { ProblemError } from '@/contracts/problem';
import { atDoor, withShop } from '@/data/client';
import * as doors from '@/data/door';
import { type z } from 'zod';
import { isSecret, newToken, tokenHash } from './secrets';
import { LIFE, SESSION_COOKIE, TABLET_COOKIE, whoIs, type Who } from './who';

/** Tries of one account, and of one address, that are free; then each costs a wait that doubles, s at most. */
const FREE = { account: 5, address: 30, pin: 5 };
const LONGEST_WAIT = 900;
/** So many wrong PINs on end and only the password helps. */
const PIN_OFF = 10;
/** A tablet stays known so long, s. */
const TABLET_LIFE = 90 * 24 * 3600;

export interface Cookie {
  name: string;
  value: string;
  /** s; 0 takes it away */
  life: number;
}

/** What a door request brings along. */
export interface Comer {
  session: string | undefined;
  tablet: string | undefined;
  address: string | null;
}

/** What tries are counted under. */
export const keyOf = (...parts: string[]): Buffer => createHash('sha256').update(JSON.stringify(parts)).digest();

/** Counts a try before it is looked at. @throws ProblemError 429 while earlier ones that failed cost a wait */
export async function requireTry(key: Buffer, free = FREE.account): Promise<void> {
  const wait = await atDoor(key, (tx) => doors.countTry(tx, key, free, LONGEST_WAIT));
  if (wait === undefined) return;
  const said = wait < 90 ? `${wait} s` : `${Math.ceil(wait / 60)} minutes`;
  throw new ProblemError(
    429,
    { code: 'wait', message: `Too many tries that failed. Try again in ${said}.`, field: 'secret' },
    wait,
  );
}
export const clearTries = (key: Buffer) => atDoor(key, (tx) => doors.clearTries(tx, key));

const wrong = (kind: 'password' | 'pin') =>
  new ProblemError(401, {
    code: 'wrong',
    message: kind === 'pin' ? 'Name and PIN do not fit.' : 'Shop, name and password do not fit.',
    field: 'secret',
  });

/** Signs a person in; on a screen where somebody is at work already, hands change and the session goes on under another token. */
export async function signIn(comer: Comer, given: z.output<typeof signInSchema>): Promise<{ cookies: Cookie[] }> {
  const { kind, secret } = given;
  const account = keyOf('account', given.shop, given.name, kind);
  const address = comer.address === null ? undefined : keyOf('address', comer.address);
  if (address) await requireTry(address, FREE.address);
  const shop = await atDoor(account, (tx) => doors.shopByWord(tx, given.shop));
  const known = await tabletOf(comer.tablet);
  if (kind === 'pin') {
    if (known === undefined || known.shop !== shop)
      throw new ProblemError(403, {
        code: 'unknown-tablet',
        message: 'A PIN is enough only on a tablet the shop knows. Use the password.',
        field: 'secret',
      });
    if ((await atDoor(account, (tx) => doors.failuresOf(tx, account))) >= PIN_OFF)
      throw new ProblemError(403, {
        code: 'pin-off',
        message: 'Too many wrong PINs: only the password helps now.',
        field: 'secret',
      });
  }
  await requireTry(account, kind === 'pin' ? FREE.pin : FREE.account);
  const found = shop && (await withShop(shop, '', (tx) => doors.secretOf(tx, given.name, kind)));
  if (!(await isSecret(kind, secret, found ? found.hash : undefined)) || !found || !shop) {
    if (shop)
      await withShop(shop, '', (tx) =>
        doors.insertAudit(tx, {
          ...{
            person: found ? found.person : null,
            what: `a ${kind === 'pin' ? 'PIN' : 'password'} that does not fit`,
          },
          ...{ about: given.name, tablet: known?.shop === shop ? known.id : null, address: comer.address },
        }),
      );
    throw wrong(kind);
  }
  await clearTries(account);
  if (kind === 'password') await clearTries(keyOf('account', given.shop, given.name, 'pin'));
  if (address) await clearTries(address);
  const now = await whoIs(comer.session);
  return withShop(shop, found.person, async (tx) => {
    const cookies: Cookie[] = [];
    let tablet = known?.shop === shop ? known.id : null;
    if (given.tablet !== null && kind === 'password' && tablet === null) {
      const token = newToken();
      tablet = randomUUID();
      await doors.insertTablet(tx, tablet, tokenHash(token), given.tablet, found.person);
      cookies.push({ name: TABLET_COOKIE, value: token, life: TABLET_LIFE });
      await doors.insertAudit(tx, { person: found.person, what: 'made a tablet known', about: given.tablet, tablet });
    }
    const token = newToken();
    const here = now?.shop === shop ? now : undefined;
    if (here) await doors.renewSession(tx, here.session, tokenHash(token), found.person, tablet);
    else await doors.insertSession(tx, randomUUID(), tokenHash(token), found.person, tablet, LIFE);
    cookies.push({ name: SESSION_COOKIE, value: token, life: LIFE });
    await doors.insertAudit(tx, {
      ...{ person: found.person, tablet, address: comer.address },
      what:
        here?.person === found.person
          ? 'showed again who they are'
          : here
            ? `took over at this screen, with a ${kind === 'pin' ? 'PIN' : 'password'}`
            : `signed in with a ${kind === 'pin' ? 'PIN' : 'password'}`,
    });
    return { cookies };
  });
}

/** Ends this session, or all of the person's. */
export async function signOut(who: Who | undefined, everywhere: boolean): Promise<{ cookies: Cookie[] }> {
  if (who)
    await withShop(who.shop, who.person, async (tx) => {
      if (everywhere) await doors.endSessionsOf(tx, who.person);
      else await doors.endSession(tx, who.session);
      await doors.insertAudit(tx, {
        ...{ person: who.person, what: everywhere ? 'signed out everywhere' : 'signed out', tablet: who.tablet },
      });
    });
  return { cookies: [{ name: SESSION_COOKIE, value: '', life: 0 }] };
}

async function tabletOf(token: string | undefined) {
  if (!token || token.length > 100) return undefined;
  const key = tokenHash(token);
  return atDoor(key, (tx) => doors.knownTablet(tx, key));
}

/** What may be told at this door: to a stranger nothing. */
export async function doorOf(comer: Comer): Promise<Door> {
  const known = await tabletOf(comer.tablet);
  const who = await whoIs(comer.session);
  const shop = who?.shop ?? known?.shop;
  if (shop === undefined) return { shop: null, tablet: null, person: null, people: [] };
  const tablet = known?.shop === shop ? known.name : null;
  return withShop(shop, who?.person ?? '', async (tx) => ({
    ...{ shop: await doors.wordOfShop(tx), tablet, person: who?.person ?? null },
    people: (await doors.staff(tx)).flatMap(({ id, name, signIn, left, pin, password }) =>
      left || signIn === null || password === 'none' ? [] : [{ id, name, signIn, pin: pin && tablet !== null }],
    ),
  }));
}
