// Who comes: found from the session's cookie alone, never from what a request says.
import { type Need, type Role } from '@/contracts/roles';
import { ProblemError } from '@/contracts/problem';
import { atDoor, enterShop, lookAtShop, withShop, type Tx } from '@/data/client';
import { liveSession, sawSession, standing } from '@/data/door';
import { tokenHash } from './secrets';

export const SESSION_COOKIE = 'gravelwort-session';
export const TABLET_COOKIE = 'gravelwort-tablet';
/** How far the database had come when this screen wrote last: what it reads from a copy has come as far. */
export const WRITTEN_COOKIE = 'gravelwort-written';
/** A session nobody uses ends, s. */
export const IDLE = 4 * 3600;
/** A session ends whatever happens, s: a working day. */
export const LIFE = 14 * 3600;
/** How long a person who has shown who they are may answer for safety before they are asked again, s. */
export const FRESH = 600;

export interface Who {
  shop: string;
  person: string;
  role: Role;
  session: string;
  tablet: string | null;
  /** Since password or PIN were last shown, s. */
  asked: number;
  /** The password was given by the owner and is to be changed first. */
  given: boolean;
}

/** The person behind a session's token; undefined when there is none (any more). */
export async function whoIs(token: string | undefined): Promise<Who | undefined> {
  if (!token || token.length > 100) return undefined;
  return atDoor(tokenHash(token), async (tx) => {
    const found = await liveSession(tx, IDLE);
    if (!found) return undefined;
    const { shop, person, id, tablet, stale, asked } = found;
    await enterShop(tx, shop);
    const stands = await standing(tx, person);
    if (!stands) return undefined;
    if (stale) await noted(tx, id);
    return { shop, person, session: id, tablet, asked, ...stands };
  });
}

/** A database that only reads, or has no room left, must not keep anybody from looking. */
async function noted(tx: Tx, session: string): Promise<void> {
  await tx.run('SAVEPOINT seen');
  await sawSession(tx, session).catch(() => tx.run('ROLLBACK TO SAVEPOINT seen'));
}

const MAY: Record<Exclude<Need, 'open'>, readonly Role[]> = {
  read: ['owner', 'mechanic', 'apprentice'],
  note: ['owner', 'mechanic', 'apprentice'],
  work: ['owner', 'mechanic'],
  vouch: ['owner', 'mechanic'],
  own: ['owner'],
};

export const mayDo = (role: Role, need: Need): boolean => need === 'open' || MAY[need].includes(role);

const REFUSED: Record<Exclude<Need, 'open'>, string> = {
  read: 'This is not for you.',
  note: 'This is not for you.',
  work: 'This is for a mechanic of the shop to decide. What you typed is kept here; ask one to change hands and save it.',
  vouch: 'A mechanic of the shop answers for this. Ask one to change hands and answer it.',
  own: 'Only an owner of the shop may do this.',
};

/** @throws ProblemError 401 for nobody, 403 for somebody who may not, 401 `ask-again` for somebody who must show who they are first */
export function requireStanding(who: Who | undefined, need: Exclude<Need, 'open'>): asserts who is Who {
  if (!who)
    throw new ProblemError(401, {
      code: 'sign-in',
      message: 'Nobody is signed in here (any more). Sign in; what you typed is kept here.',
    });
  if (!mayDo(who.role, need)) throw new ProblemError(403, { code: 'not-yours', message: REFUSED[need] });
  if (who.given && need !== 'read')
    throw new ProblemError(403, {
      code: 'change-password',
      message: 'Your password was given to you: choose one of your own first, under your name above.',
    });
  if ((need === 'vouch' || need === 'own') && who.asked > FRESH)
    throw new ProblemError(401, {
      code: 'ask-again',
      message: 'You answer for this by name: show once more that it is you. What you typed is kept here.',
    });
}

/** One transaction of the shop and person of a session. */
export const inShopOf = <T>(who: Who, fn: (tx: Tx) => Promise<T>): Promise<T> => withShop(who.shop, who.person, fn);

/** A look that a copy of the database may answer, once it has what this screen wrote. */
export const lookInShopOf = <T>(who: Who, upTo: string | null, fn: (tx: Tx) => Promise<T>): Promise<T> =>
  lookAtShop(who.shop, who.person, upTo, fn);
