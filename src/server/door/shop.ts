// The shop's own door book: its people, tablets and links, the first owner, and what was done.
import { randomUUID } from 'node:crypto';
import {
  type Audit,
  type CalendarLink,
  type firstOwnerSchema,
  type newCalendarLinkSchema,
  type newLinkSchema,
  type newPersonSchema,
  type personEditSchema,
  type secretsSchema,
  type Staff,
  type Tablet,
  type ViewerLink,
} from '@/contracts/door';
import { type DaysOff } from '@/contracts/needed';
import { notFound, ProblemError } from '@/contracts/problem';
import { type Hook, type Program } from '@/contracts/program';
import { atDoor, brokenRule, enterShop, withShop, type Tx } from '@/data/client';
import * as doors from '@/data/door';
import { hooks, programs } from '@/data/program';
import { insertPerson, insertShop, shopDaysOff, shopName } from '@/data/shop';
import { seenJob, type SeenJob } from '@/contracts/seenJob';
import { type z } from 'zod';
import { loadJob } from '../jobs';
import { requireHardToGuess } from './guessable';
import { hashSecret, isSecret, newToken, sayablePassword, tokenHash } from './secrets';
import { clearTries, keyOf, requireTry, signIn, type Comer, type Cookie } from './signIn';
import { type Who } from './who';

type InTx = <T>(fn: (tx: Tx) => Promise<T>) => Promise<T>;

const bad = (message: string, field: string, status = 400) =>
  new ProblemError(status, { code: status === 409 ? 'taken' : 'bad-input', message, field });

/** Somebody else signs in with that name. */
const named = async <T>(work: () => Promise<T>): Promise<T> => {
  try {
    return await work();
  } catch (error) {
    if (brokenRule(error) === 'person_sign_in')
      throw bad('Somebody else of the shop signs in with this name.', 'signIn', 409);
    if (brokenRule(error) === 'shop_word_key') throw bad('Another shop on this server has this word.', 'word', 409);
    throw error;
  }
};

export interface DoorBook {
  word: string | null;
  staff: Staff[];
  tablets: Tablet[];
  links: ViewerLink[];
  audit: Audit[];
  calendar: CalendarLink | null;
  daysOff: DaysOff;
  programs: Program[];
  hooks: Hook[];
}
const AUDIT_PAGE = 100;

export const doorBook = async (tx: Tx, before: string | null = null): Promise<DoorBook> => ({
  word: await doors.wordOfShop(tx),
  staff: await doors.staff(tx),
  tablets: await doors.tablets(tx),
  links: await doors.links(tx, null),
  audit: await doors.auditTrail(tx, before, AUDIT_PAGE),
  calendar: await doors.calendarLink(tx),
  daysOff: await shopDaysOff(tx),
  programs: await programs(tx),
  hooks: await hooks(tx),
});

/** A new person, with a password to tell them once; they choose their own at the first sign-in. */
export async function addPerson(tx: Tx, given: z.output<typeof newPersonSchema>): Promise<{ password: string }> {
  const password = sayablePassword();
  const hash = await hashSecret('password', password);
  await named(async () => {
    if ((await insertPerson(tx, given.id, given.name)) === 0) throw bad('This person is there already.', 'name', 409);
    await doors.setStanding(tx, given.id, given.role, given.signIn, false);
    await doors.putSecret(tx, given.id, 'password', hash, true);
  });
  return { password };
}

/** What a person may do and how they sign in; whoever leaves or loses a right is out at once. */
export async function editPerson(
  tx: Tx,
  id: string,
  given: z.output<typeof personEditSchema>,
): Promise<{ password: string | null }> {
  const all = await doors.staff(tx);
  const there = all.find((p) => p.id === id);
  if (!there) throw notFound('This person');
  const owners = all.filter((p) => p.role === 'owner' && !p.left && p.password !== 'none');
  if (owners.every((p) => p.id === id) && (given.left || given.role !== 'owner'))
    throw bad('The shop would be left without an owner who can sign in.', 'role');
  await named(() => doors.setStanding(tx, id, given.role, given.signIn, given.left));
  if (given.left) await doors.dropSecrets(tx, id);
  if (given.left || given.reset || given.role !== there.role) await doors.endSessionsOf(tx, id);
  if (!given.reset || given.left) return { password: null };
  const password = sayablePassword();
  await doors.dropSecrets(tx, id);
  await doors.putSecret(tx, id, 'password', await hashSecret('password', password), true);
  return { password };
}

/** A person's own password and PIN, for the password in force. Sessions elsewhere end with a new password. */
export async function changeSecrets(
  inTx: InTx,
  who: Who,
  given: z.output<typeof secretsSchema>,
): Promise<{ done: true }> {
  const key = keyOf('change', who.shop, who.person);
  await requireTry(key);
  const found = await inTx(async (tx) => {
    const me = (await doors.staff(tx)).find((p) => p.id === who.person);
    const secret = me?.signIn ? await doors.secretOf(tx, me.signIn, 'password') : undefined;
    return secret && me && { hash: secret.hash, name: me.name, signIn: me.signIn };
  });
  if (!(await isSecret('password', given.now, found?.hash))) throw bad('This is not your password.', 'now');
  if (given.password === given.now) throw bad('This is the old one.', 'password');
  await clearTries(key);
  if (given.password !== null) await requireHardToGuess(given.password, [found?.name ?? null, found?.signIn ?? null]);
  const password = given.password === null ? null : await hashSecret('password', given.password);
  const pin = given.pin === null ? null : await hashSecret('pin', given.pin);
  await inTx(async (tx) => {
    if (password !== null) {
      await doors.putSecret(tx, who.person, 'password', password);
      await doors.endSessionsOf(tx, who.person, who.session);
    }
    if (pin !== null) await doors.putSecret(tx, who.person, 'pin', pin);
    const what = [password !== null && 'password', pin !== null && 'PIN'].filter(Boolean).join(' and ');
    await doors.insertAudit(tx, { person: who.person, what: `chose a new ${what}`, tablet: who.tablet });
  });
  return { done: true };
}

export async function forget(tx: Tx, id: string): Promise<{ done: true }> {
  if ((await doors.forgetTablet(tx, id)) === 0) throw notFound('This tablet');
  return { done: true };
}

/** A link by which a customer sees one job, told once. */
export async function makeLink(
  tx: Tx,
  jobAxleId: string,
  { id, said, days }: z.output<typeof newLinkSchema>,
): Promise<{ path: string; links: ViewerLink[] }> {
  await loadJob(tx, jobAxleId);
  if ((await doors.links(tx, jobAxleId)).filter((l) => !l.over).length >= 20)
    throw bad('Twenty links to this job are alive: take one back first.', 'said');
  const token = newToken();
  await doors.insertLink(tx, { id, token: tokenHash(token), jobAxleId, said, days });
  return { path: `/see/${token}`, links: await doors.links(tx, jobAxleId) };
}

export async function takeBackLink(tx: Tx, id: string): Promise<{ done: true }> {
  if ((await doors.revokeLink(tx, id)) === 0) throw notFound('This link');
  return { done: true };
}

/** An address for the calendars of the shop's phones, told once; the one before it ends. */
export async function makeCalendarLink(
  tx: Tx,
  { id }: z.output<typeof newCalendarLinkSchema>,
): Promise<{ path: string; link: CalendarLink | null }> {
  const token = newToken();
  await doors.renewCalendarLink(tx, id, tokenHash(token));
  return { path: `/api/feeds/${token}`, link: await doors.calendarLink(tx) };
}

export async function endCalendarLink(tx: Tx): Promise<{ link: null }> {
  if ((await doors.revokeCalendarLink(tx)) === 0) throw notFound('This address');
  return { link: null };
}

/** Every link to one job. */
export const linksOf = (tx: Tx, jobAxleId: string): Promise<ViewerLink[]> => doors.links(tx, jobAxleId);

/** What a link shows; undefined when it shows nothing (any more). */
export async function seenBy(token: string): Promise<SeenJob | undefined> {
  if (token.length > 100) return undefined;
  const key = tokenHash(token);
  const link = await atDoor(key, (tx) => doors.liveLink(tx, key));
  if (!link) return undefined;
  return withShop(link.shop, link.madeBy, async (tx) =>
    seenJob(await loadJob(tx, link.jobAxleId), {
      said: link.said,
      endsAt: link.endsAt.toISOString(),
      shop: await shopName(tx),
    }),
  );
}

/** Takes the one-time code of the server's console and makes its bearer the owner; of a new shop, or of one that has none. */
export async function firstOwner(
  comer: Comer,
  given: z.output<typeof firstOwnerSchema>,
): Promise<{ cookies: Cookie[] }> {
  const key = tokenHash(given.code.toLowerCase());
  const hash = await hashSecret('password', given.password);
  const person = randomUUID();
  await named(() =>
    atDoor(key, async (before) => {
      const code = await doors.useFirstCode(before, key);
      if (!code)
        throw bad('This code is none, was used, or is too old. The server’s console has the one in force.', 'code');
      await requireHardToGuess(given.password, [given.shop, given.word, given.name, given.signIn]);
      const shop = code.shop ?? randomUUID();
      const tx: Tx = { ...before, shop, person };
      await enterShop(tx, shop);
      if (code.shop === null) await insertShop(tx, given.shop);
      if (await doors.hasOwner(tx)) throw bad('This shop has an owner.', 'code');
      if ((await doors.wordOfShop(tx)) === null) await doors.nameShop(tx, given.word);
      await insertPerson(tx, person, given.name);
      await doors.setStanding(tx, person, 'owner', given.signIn, false);
      await doors.putSecret(tx, person, 'password', hash);
      await doors.insertAudit(tx, { person, what: 'became the shop’s first owner', address: comer.address });
    }),
  );
  return signIn(comer, {
    shop: given.word,
    name: given.signIn,
    kind: 'password',
    secret: given.password,
    tablet: null,
  });
}
