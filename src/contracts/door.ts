import { z } from 'zod';
import { id, when } from './basics';
import { ROLES } from './roles';

/** The short word a shop signs in with. */
export const shopWord = z
  .string()
  .trim()
  .toLowerCase()
  .regex(/^[a-z0-9][a-z0-9-]{1,39}$/, 'Two to forty small letters, digits and hyphens.');
export const signInName = z
  .string()
  .trim()
  .toLowerCase()
  .regex(/^[a-z0-9][a-z0-9._-]{0,39}$/, 'Small letters, digits, dot and hyphen; forty at most.');
/** Length is what keeps a password; the server refuses those that are tried first besides. */
export const newPassword = z
  .string()
  .min(12, 'Twelve signs or more: three or four words do.')
  .max(200, '200 signs at most.');
export const newPin = z.string().regex(/^\d{4,8}$/, 'Four to eight digits.');

export const signInSchema = z.object({
  shop: shopWord,
  name: signInName,
  kind: z.enum(['password', 'pin']),
  secret: z.string().min(1).max(200),
  /** Makes this a tablet of the shop, on which a PIN is enough from then on. */
  tablet: z.string().trim().min(1).max(60).nullable().default(null),
});
export type SignIn = z.input<typeof signInSchema>;

/** The address of the shop's calendar that is alive. */
export const calendarLinkSchema = z.object({ by: z.string(), madeAt: when });
export type CalendarLink = z.infer<typeof calendarLinkSchema>;
export const newCalendarLinkSchema = z.object({ id });

export const signOutSchema = z.object({ everywhere: z.boolean().default(false) });

/** Who may be told at this door before anybody signs in: the people of a shop only on a tablet it knows, or to somebody of it. */
export const doorSchema = z.object({
  shop: z.string().nullable(),
  /** Name of the known tablet. */
  tablet: z.string().nullable(),
  person: z.string().nullable(),
  people: z.array(z.object({ id, name: z.string(), signIn: z.string(), pin: z.boolean() })),
});
export type Door = z.infer<typeof doorSchema>;

export const secretsSchema = z
  .object({
    /** The password in force. */
    now: z.string().min(1).max(200),
    password: newPassword.nullable().default(null),
    pin: newPin.nullable().default(null),
  })
  .refine((s) => s.password !== null || s.pin !== null, {
    path: ['password'],
    message: 'A new password or a new PIN.',
  });

export const newPersonSchema = z.object({
  id,
  name: z.string().trim().min(1).max(120),
  signIn: signInName,
  role: z.enum(ROLES),
});
export const personEditSchema = z.object({
  role: z.enum(ROLES),
  signIn: signInName,
  /** No longer works here: cannot sign in; what was signed stays. */
  left: z.boolean(),
  /** A new password is made and told once. */
  reset: z.boolean().default(false),
});

export const firstOwnerSchema = z.object({
  code: z.string().trim().min(8).max(80),
  shop: z.string().trim().min(1).max(120),
  word: shopWord,
  name: z.string().trim().min(1).max(120),
  signIn: signInName,
  password: newPassword,
});

export const newLinkSchema = z.object({
  id,
  said: z.string().trim().min(1, 'Who it is for.').max(120),
  days: z.number().int().min(1).max(90),
});

/** The hand-over sheet, with a link of so many days on it or none. */
export const handOverSheetSchema = z.object({ id, days: z.number().int().min(1).max(90).nullable() });

export const staffSchema = z.object({
  id,
  name: z.string(),
  role: z.enum(ROLES),
  signIn: z.string().nullable(),
  left: z.boolean(),
  password: z.enum(['none', 'given', 'own']),
  pin: z.boolean(),
});
export type Staff = z.infer<typeof staffSchema>;

export const tabletSchema = z.object({
  id,
  name: z.string(),
  by: z.string(),
  at: when,
});
export type Tablet = z.infer<typeof tabletSchema>;

export const linkSchema = z.object({
  id,
  said: z.string(),
  by: z.string(),
  endsAt: when,
  over: z.boolean(),
  jobAxleId: id,
  vehicle: z.string(),
});
export type ViewerLink = z.infer<typeof linkSchema>;

export const auditSchema = z.object({
  id,
  at: when,
  person: z.string().nullable(),
  what: z.string(),
  about: z.string().nullable(),
  tablet: z.string().nullable(),
  address: z.string().nullable(),
});
export type Audit = z.infer<typeof auditSchema>;

/** A clock that stands before what was saved last. */
export const clockBehindSchema = z.object({ last: when, now: when });
export type ClockBehind = z.infer<typeof clockBehindSchema>;
