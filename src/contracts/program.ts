import { z } from 'zod';
import { AXLE_POSITIONS, SUSPENSION_IDS } from '@/core/suspension/names';
import { PART_KIND_IDS } from '@/core/parts/kinds';
import { id, phaseSchema, sideSchema, when } from './basics';
import { SCOPE_IDS, type Scope } from './programScopes';
import { newReadingSchema, pointSchema } from './reading';
import { CONDITIONS, HOLDINGS } from './shelfFields';

export const newProgramSchema = z.object({
  id: z.uuid(),
  name: z.string().trim().min(1, 'Say what the program is.').max(60),
  scopes: z.array(z.enum(SCOPE_IDS)).min(1, 'Allow it something.'),
  days: z.number().int().min(1).max(730),
});
export const programSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  scopes: z.array(z.string()),
  by: z.string(),
  madeAt: when,
  endsAt: when,
  usedAt: when.nullable(),
});
export type Program = z.infer<typeof programSchema>;

const webAddress = z
  .string()
  .trim()
  .max(500)
  .regex(/^https?:\/\/[^\s/@]+(\/\S*)?$/, 'An address of the web, https://…');
export const newHookSchema = z.object({ id: z.uuid(), url: webAddress });
export const hookSchema = z.object({
  id: z.uuid(),
  url: z.string(),
  by: z.string(),
  madeAt: when,
  told: z.number(),
  waiting: z.number(),
  failed: z.number(),
  problem: z.string().nullable(),
});
export type Hook = z.infer<typeof hookSchema>;

/** What programs are given: plain figures with their units in their names. */
const jobLine = z.object({
  id,
  vehicle: z.object({ id: z.uuid(), name: z.string(), maker: z.string() }),
  complaint: z.string(),
  begunAt: when,
  closedAt: when.nullable(),
  axles: z.array(
    z.object({
      id,
      position: z.enum(AXLE_POSITIONS),
      suspension: z.enum(SUSPENSION_IDS),
      wantedChangeMm: z.number(),
      toleranceMm: z.number(),
    }),
  ),
});
const reading = z.object({
  id: z.uuid(),
  point: pointSchema,
  phase: phaseSchema,
  side: sideSchema.nullable(),
  leafId: id.nullable(),
  stateId: id.nullable(),
  typed: z.string(),
  value: z.number().describe('in core units: mm, kg, rad, N·mm, N/mm, kPa'),
  by: z.string(),
  takenAt: when,
});
const axleOfJob = jobLine.extend({
  states: z.array(z.object({ id, name: z.string(), wanted: z.boolean() })),
  readings: z.array(reading),
  plan: z.object({ name: z.string(), changes: z.array(z.string()) }),
  predictions: z.array(
    z.object({
      id: z.uuid(),
      madeAt: when,
      coreVersion: z.string(),
      heights: z.array(z.object({ side: sideSchema, stateId: id, totalMm: z.number(), half90Mm: z.number() })),
    }),
  ),
  outcomes: z.array(
    z.object({
      side: sideSchema,
      stateId: id,
      measuredMm: z.number(),
      predictedMm: z.number(),
      half90Mm: z.number(),
      inside: z.boolean(),
    }),
  ),
});
const part = z.object({
  id: z.uuid(),
  kind: z.enum(PART_KIND_IDS),
  name: z.string(),
  maker: z.string(),
  number: z.string(),
  holding: z.enum(HOLDINGS),
  condition: z.enum(CONDITIONS),
  quantity: z.number().nullable(),
  price: z.number().nullable(),
  place: z.string(),
});
export const checkSchema = z.object({
  id: z.uuid(),
  what: z.string(),
  jobId: z.uuid(),
  vehicle: z.object({ id: z.uuid(), name: z.string() }),
  dueOn: z.string().describe('YYYY-MM-DD, in the zone of the shop'),
  dueAtKm: z.number().nullable().describe('odometer; null where nobody read it'),
  passed: z.boolean().describe('the vehicle was driven past its distance'),
});
const newReading = newReadingSchema.omit({ dayId: true, correctionReason: true });

export interface Operation {
  method: 'GET' | 'POST';
  path: string;
  scope: Scope;
  says: string;
  query?: z.ZodObject;
  body?: z.ZodType;
  answer: z.ZodType;
}
const page = {
  after: z.string().max(200).optional().describe('what `next` said'),
  most: z.coerce.number().int().min(1).max(200).default(50),
};

/** Every way a program may ask. The document of it (server/programs/openApi) and the routes are made of this one list. */
export const OPERATIONS = {
  jobs: {
    method: 'GET',
    path: '/jobs',
    scope: 'read-jobs',
    says: 'Jobs, the newest first.',
    query: z.object({ open: z.enum(['yes', 'no', 'all']).default('all'), ...page }),
    answer: z.object({ jobs: z.array(jobLine), next: z.string().nullable() }),
  },
  job: {
    method: 'GET',
    path: '/jobs/{id}',
    scope: 'read-jobs',
    says: 'One axle of a job, by its id, with its readings, plan, predictions and what came of them. The first axle has the id of its job.',
    answer: axleOfJob,
  },
  reading: {
    method: 'POST',
    path: '/jobs/{id}/readings',
    scope: 'write-readings',
    says: 'Writes a reading of an axle. Its id is made by the program: the same sent again is the same reading. `supersedes` names the reading it takes the place of.',
    body: newReading,
    answer: z.object({ id: z.uuid() }),
  },
  shelf: {
    method: 'GET',
    path: '/shelf',
    scope: 'read-shelf',
    says: 'Parts on the shelf and from catalogues, by name.',
    query: z.object({ words: z.string().max(80).default(''), ...page }),
    answer: z.object({ parts: z.array(part), next: z.string().nullable() }),
  },
  checks: {
    method: 'GET',
    path: '/checks',
    scope: 'read-checks',
    says: 'Checks that are not done yet, the one due first leading.',
    query: z.object({ until: z.iso.date().optional().describe('due on or before this day') }),
    answer: z.object({ checks: z.array(checkSchema) }),
  },
  hooks: {
    method: 'GET',
    path: '/hooks',
    scope: 'read-checks',
    says: 'Addresses that are told of checks when they fall due.',
    answer: z.object({ hooks: z.array(hookSchema) }),
  },
  newHook: {
    method: 'POST',
    path: '/hooks',
    scope: 'read-checks',
    says: 'Has an address told of every check that falls due. The secret is given once; with it the receiver sees by `x-gravelwort-signature` (sha256= and the HMAC of the body) that a word is of this server. A word that is not answered with 2xx is said again, with growing waits; its `id` stays the same.',
    body: newHookSchema,
    answer: z.object({ id: z.uuid(), secret: z.string() }),
  },
} as const satisfies Record<string, Operation>;
export type OperationId = keyof typeof OPERATIONS;

/** What a hook is told. */
export const hookWordSchema = z.object({ id: z.uuid(), what: z.literal('check.due'), at: when, check: checkSchema });
