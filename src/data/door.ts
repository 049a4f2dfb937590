// Sessions, secrets, tablets, links, failed tries and what was done: everything that the doors ask.
import {
  auditSchema,
  calendarLinkSchema,
  clockBehindSchema,
  linkSchema,
  staffSchema,
  tabletSchema,
  type ClockBehind,
} from '@/contracts/door';
import { ROLES, type Role } from '@/contracts/roles';
import { z } from 'zod';
import { type Tx } from './client';

const uuid = z.uuid();
const when = z.coerce.date();

/** A session that is alive, as its token finds it; ended, too long idle or too old ones are none. @param idle s */
export async function liveSession(tx: Tx, idle: number) {
  const [row] = await tx.rows(
    z.object({ shop: uuid, id: uuid, person: uuid, tablet: uuid.nullable(), stale: z.boolean(), asked: z.number() }),
    `SELECT shop_id AS shop, id, person_id AS person, tablet_id AS tablet, seen_at < now() - interval '1 minute' AS stale,
            extract(epoch FROM now() - asked_at)::float8 AS asked
       FROM session
      WHERE token_hash = decode(current_setting('gravelwort.token', true), 'hex')
        AND ended_at IS NULL AND ends_at > now() AND seen_at > now() - make_interval(secs => $1)`,
    [idle],
  );
  return row;
}

export const sawSession = (tx: Tx, id: string) => tx.run('UPDATE session SET seen_at = now() WHERE id = $1', [id]);

/** What a person may do here; undefined for who has left. */
export async function standing(tx: Tx, person: string): Promise<{ role: Role; given: boolean } | undefined> {
  const [row] = await tx.rows(
    z.object({ role: z.enum(ROLES), given: z.boolean() }),
    `SELECT p.role, coalesce(c.given, false) AS given
       FROM person p LEFT JOIN credential c ON c.shop_id = p.shop_id AND c.person_id = p.id AND c.kind = 'password'
      WHERE p.id = $1 AND p.left_at IS NULL`,
    [person],
  );
  return row;
}

/** @param life s until it ends whatever happens */
export const insertSession = (tx: Tx, id: string, token: Buffer, person: string, tablet: string | null, life: number) =>
  tx.run(
    `INSERT INTO session (shop_id, id, token_hash, person_id, tablet_id, ends_at)
     VALUES ($1, $2, $3, $4, $5, now() + make_interval(secs => $6))`,
    [tx.shop, id, token, person, tablet, life],
  );

/** The person has shown who they are again: another token from now on. */
export const renewSession = (tx: Tx, id: string, token: Buffer, person: string, tablet: string | null) =>
  tx.run(
    `UPDATE session SET token_hash = $2, person_id = $3, tablet_id = coalesce($4, tablet_id), asked_at = now(), seen_at = now()
      WHERE id = $1 AND ended_at IS NULL`,
    [id, token, person, tablet],
  );

export const endSession = (tx: Tx, id: string) =>
  tx.run('UPDATE session SET ended_at = now() WHERE id = $1 AND ended_at IS NULL', [id]);

/** Ends every session of a person, but for one. */
export const endSessionsOf = (tx: Tx, person: string, but: string | null = null) =>
  tx.run('UPDATE session SET ended_at = now() WHERE person_id = $1 AND ended_at IS NULL AND id IS DISTINCT FROM $2', [
    person,
    but,
  ]);

/** The shop of a short word. */
export async function shopByWord(tx: Tx, word: string): Promise<string | undefined> {
  await tx.run("SELECT set_config('gravelwort.word', $1, true)", [word]);
  const [row] = await tx.rows(z.object({ id: uuid }), 'SELECT id FROM shop WHERE word = $1', [word]);
  return row?.id;
}

export async function wordOfShop(tx: Tx): Promise<string | null> {
  const [row] = await tx.rows(z.object({ word: z.string().nullable() }), 'SELECT word FROM shop WHERE id = $1', [
    tx.shop,
  ]);
  return row?.word ?? null;
}

/** Gives a shop its word; 0 when it has one. */
export const nameShop = (tx: Tx, word: string) =>
  tx.run('UPDATE shop SET word = $2 WHERE id = $1 AND word IS NULL', [tx.shop, word]);

/** A secret to hold an attempt against; undefined when there is none. */
export async function secretOf(tx: Tx, signIn: string, kind: 'password' | 'pin') {
  const [row] = await tx.rows(
    z.object({ person: uuid, hash: z.string() }),
    `SELECT p.id AS person, c.hash FROM person p JOIN credential c ON c.shop_id = p.shop_id AND c.person_id = p.id AND c.kind = $2
      WHERE p.sign_in = $1 AND p.left_at IS NULL`,
    [signIn, kind],
  );
  return row;
}

export const putSecret = (tx: Tx, person: string, kind: 'password' | 'pin', hash: string, given = false) =>
  tx.run(
    `INSERT INTO credential (shop_id, person_id, kind, hash, given) VALUES ($1, $2, $3, $4, $5)
     ON CONFLICT (shop_id, person_id, kind) DO UPDATE SET hash = excluded.hash, given = excluded.given, set_at = now()`,
    [tx.shop, person, kind, hash, given],
  );

export const dropSecrets = (tx: Tx, person: string) => tx.run('DELETE FROM credential WHERE person_id = $1', [person]);

/** The tablet a token belongs to. */
export async function knownTablet(tx: Tx, token: Buffer) {
  const [row] = await tx.rows(
    z.object({ shop: uuid, id: uuid, name: z.string() }),
    'SELECT shop_id AS shop, id, name FROM tablet WHERE token_hash = $1 AND forgotten_at IS NULL',
    [token],
  );
  return row;
}

export const insertTablet = (tx: Tx, id: string, token: Buffer, name: string, by: string) =>
  tx.run('INSERT INTO tablet (shop_id, id, token_hash, name, known_by) VALUES ($1, $2, $3, $4, $5)', [
    ...[tx.shop, id, token, name, by],
  ]);

/** A forgotten tablet is a stranger's, and who works at it signs in anew. */
export async function forgetTablet(tx: Tx, id: string): Promise<number> {
  await tx.run('UPDATE session SET ended_at = now() WHERE tablet_id = $1 AND ended_at IS NULL', [id]);
  return tx.run('UPDATE tablet SET forgotten_at = now() WHERE id = $1 AND forgotten_at IS NULL', [id]);
}

export const tablets = (tx: Tx) =>
  tx.rows(
    tabletSchema,
    `SELECT t.id, t.name, p.name AS by, t.known_at AS at FROM tablet t JOIN person p ON p.shop_id = t.shop_id AND p.id = t.known_by
      WHERE t.forgotten_at IS NULL ORDER BY t.known_at DESC`,
  );

/** Counts one try before it is looked at, also where several come at the same moment; undefined when nothing was held against it and it may go on, else when it is worth trying again, s. */
export async function countTry(tx: Tx, key: Buffer, free: number, longest: number): Promise<number | undefined> {
  const touched = await tx.run(
    `INSERT INTO back_off AS b (key, failures, until) VALUES ($1, 1, 'epoch')
     ON CONFLICT (key) DO UPDATE SET
       failures = CASE WHEN b.last_at < now() - interval '1 day' THEN 1 ELSE least(b.failures + 1, 1000) END,
       last_at = now(),
       until = CASE WHEN b.failures + 1 > $2 AND b.last_at >= now() - interval '1 day' THEN now() + make_interval(secs => least($3, 5 * power(2, least(b.failures + 1 - $2, 12)))) ELSE 'epoch' END
     WHERE b.until <= now()`,
    [key, free, longest],
  );
  if (touched > 0) return undefined;
  const [row] = await tx.rows(
    z.object({ wait: z.number() }),
    'SELECT extract(epoch FROM until - now())::float8 AS wait FROM back_off WHERE key = $1',
    [key],
  );
  return Math.max(1, Math.ceil(row?.wait ?? 1));
}

export async function failuresOf(tx: Tx, key: Buffer): Promise<number> {
  const [row] = await tx.rows(z.object({ failures: z.number() }), 'SELECT failures FROM back_off WHERE key = $1', [
    key,
  ]);
  return row?.failures ?? 0;
}

export const clearTries = (tx: Tx, key: Buffer) => tx.run('DELETE FROM back_off WHERE key = $1', [key]);

/** Takes a one-time code; undefined when it is none, used or too old. */
export async function useFirstCode(tx: Tx, code: Buffer): Promise<{ shop: string | null } | undefined> {
  const [row] = await tx.rows(
    z.object({ shop: uuid.nullable() }),
    'UPDATE first_code SET used_at = now() WHERE code_hash = $1 AND used_at IS NULL AND ends_at > now() RETURNING shop_id AS shop',
    [code],
  );
  return row;
}

export const staff = (tx: Tx) =>
  tx.rows(
    staffSchema,
    `SELECT p.id, p.name, p.role, p.sign_in AS "signIn", p.left_at IS NOT NULL AS left,
            coalesce((SELECT CASE WHEN c.given THEN 'given' ELSE 'own' END FROM credential c
                       WHERE c.shop_id = p.shop_id AND c.person_id = p.id AND c.kind = 'password'), 'none') AS password,
            EXISTS (SELECT FROM credential c WHERE c.shop_id = p.shop_id AND c.person_id = p.id AND c.kind = 'pin') AS pin
       FROM person p WHERE p.from_name IS NULL ORDER BY p.left_at IS NOT NULL, p.name`,
  );

export const setStanding = (tx: Tx, id: string, role: Role, signIn: string, left: boolean) =>
  tx.run(
    `UPDATE person SET role = $2, sign_in = $3, left_at = CASE WHEN $4 THEN coalesce(left_at, now()) END WHERE id = $1`,
    [id, role, signIn, left],
  );

/** Whether somebody owns the shop and can sign in. */
export async function hasOwner(tx: Tx): Promise<boolean> {
  const found = await tx.rows(
    z.object({ id: uuid }),
    `SELECT p.id FROM person p JOIN credential c ON c.shop_id = p.shop_id AND c.person_id = p.id AND c.kind = 'password'
      WHERE p.role = 'owner' AND p.left_at IS NULL LIMIT 1`,
  );
  return found.length > 0;
}

export const insertLink = (
  tx: Tx,
  link: { id: string; token: Buffer; jobAxleId: string; said: string; days: number },
) =>
  tx.run(
    `INSERT INTO viewer_link (shop_id, id, token_hash, job_axle_id, said, made_by, ends_at)
     VALUES ($1, $2, $3, $4, $5, $6, now() + make_interval(days => $7))`,
    [tx.shop, link.id, link.token, link.jobAxleId, link.said, tx.person, link.days],
  );

export const revokeLink = (tx: Tx, id: string) =>
  tx.run('UPDATE viewer_link SET revoked_at = now() WHERE id = $1 AND revoked_at IS NULL', [id]);

/** Makes the one address of the shop's calendar; the one before it ends. */
export async function renewCalendarLink(tx: Tx, id: string, token: Buffer): Promise<void> {
  await revokeCalendarLink(tx);
  await tx.run('INSERT INTO calendar_link (shop_id, id, token_hash, made_by) VALUES ($1, $2, $3, $4)', [
    ...[tx.shop, id, token, tx.person],
  ]);
}

export const revokeCalendarLink = (tx: Tx) =>
  tx.run('UPDATE calendar_link SET revoked_at = now() WHERE revoked_at IS NULL');

/** Who made the address that is alive, and when; undefined without one. */
export async function calendarLink(tx: Tx) {
  const [row] = await tx.rows(
    calendarLinkSchema,
    `SELECT p.name AS by, l.made_at AS "madeAt" FROM calendar_link l
       JOIN person p ON p.shop_id = l.shop_id AND p.id = l.made_by WHERE l.revoked_at IS NULL`,
  );
  return row ?? null;
}

/** The shop whose calendar a token opens; undefined when it was taken back or is none. */
export async function liveCalendar(tx: Tx, token: Buffer) {
  const [row] = await tx.rows(
    z.object({ shop: uuid, madeBy: uuid }),
    'SELECT shop_id AS shop, made_by AS "madeBy" FROM calendar_link WHERE token_hash = $1 AND revoked_at IS NULL',
    [token],
  );
  return row;
}

/** The job a link shows; undefined when it has ended, was taken back or is none. */
export async function liveLink(tx: Tx, token: Buffer) {
  const [row] = await tx.rows(
    z.object({ shop: uuid, jobAxleId: uuid, madeBy: uuid, said: z.string(), endsAt: when }),
    `SELECT shop_id AS shop, job_axle_id AS "jobAxleId", made_by AS "madeBy", said, ends_at AS "endsAt" FROM viewer_link
      WHERE token_hash = $1 AND revoked_at IS NULL AND ends_at > now()`,
    [token],
  );
  return row;
}

/** @param jobAxleId of one axle of a job only, or null for the whole shop */
export const links = (tx: Tx, jobAxleId: string | null) =>
  tx.rows(
    linkSchema,
    `SELECT l.id, l.said, p.name AS by, l.ends_at AS "endsAt", l.ends_at <= now() OR l.revoked_at IS NOT NULL AS over,
            l.job_axle_id AS "jobAxleId", v.name AS vehicle
       FROM viewer_link l JOIN person p ON p.shop_id = l.shop_id AND p.id = l.made_by
       JOIN job_axle x ON x.shop_id = l.shop_id AND x.id = l.job_axle_id JOIN axle a ON a.shop_id = x.shop_id AND a.id = x.axle_id
       JOIN vehicle v ON v.shop_id = a.shop_id AND v.id = a.vehicle_id
      WHERE ($1::uuid IS NULL OR l.job_axle_id = $1) ORDER BY l.made_at DESC LIMIT 200`,
    [jobAxleId],
  );

export interface Did {
  person: string | null;
  what: string;
  about?: string | null;
  tablet?: string | null;
  address?: string | null;
}

export const insertAudit = (tx: Tx, { person, what, about = null, tablet = null, address = null }: Did) =>
  tx.run('INSERT INTO audit (shop_id, person_id, what, about, tablet_id, address) VALUES ($1, $2, $3, $4, $5, $6)', [
    ...[tx.shop, person, what, about, tablet, address],
  ]);

/** The latest of what was done, newest first. @param before id of the last one shown */
export const auditTrail = (tx: Tx, before: string | null, most: number) =>
  tx.rows(
    auditSchema,
    `SELECT a.id, a.at, p.name AS person, a.what, t.name AS tablet, a.address,
            coalesce((SELECT q.name FROM person q WHERE q.shop_id = a.shop_id AND q.id = n.id),
                     (SELECT v.name FROM job_axle x JOIN axle y ON y.shop_id = x.shop_id AND y.id = x.axle_id
                        JOIN vehicle v ON v.shop_id = y.shop_id AND v.id = y.vehicle_id WHERE x.shop_id = a.shop_id AND x.id = n.id),
                     (SELECT l.said FROM viewer_link l WHERE l.shop_id = a.shop_id AND l.id = n.id),
                     (SELECT k.name FROM tablet k WHERE k.shop_id = a.shop_id AND k.id = n.id), a.about) AS about
       FROM audit a LEFT JOIN person p ON p.shop_id = a.shop_id AND p.id = a.person_id
       LEFT JOIN tablet t ON t.shop_id = a.shop_id AND t.id = a.tablet_id
       CROSS JOIN LATERAL (SELECT CASE WHEN a.about ~ '^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$' THEN a.about::uuid END AS id) n
      WHERE $1::uuid IS NULL OR a.nth < (SELECT b.nth FROM audit b WHERE b.shop_id = a.shop_id AND b.id = $1)
      ORDER BY a.nth DESC LIMIT $2`,
    [before, most],
  );

/** The time of what was written down last and what the clock says, where it has not got there yet: it was put back, or forward before. */
export async function clockBehind(tx: Tx): Promise<ClockBehind | null> {
  const [found] = await tx.rows(
    clockBehindSchema,
    `SELECT l.at AS last, clock_timestamp() AS now FROM (SELECT a.at FROM audit a ORDER BY a.nth DESC LIMIT 1) l
      WHERE l.at > clock_timestamp() + interval '2 minutes'`,
  );
  return found ?? null;
}
