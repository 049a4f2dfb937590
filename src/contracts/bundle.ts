import { z } from 'zod';
import { id } from './basics';

/** The number of the last migration: a job of a newer schema may say what this release does not know. */
export const SCHEMA = 31;

/** Largest bundle, and what may come out of it when it is unpacked, bytes. */
export const LARGEST_BUNDLE = 64_000_000;
export const LARGEST_RECORDS = 24_000_000;
/** A job holds 400 pictures an axle at the most; an entry more is the records. */
export const MOST_ENTRIES = 2001;

export const RECORDS_FILE = 'job.json';
export const pictureFile = (photoId: string): string => `pictures/${photoId}.jpg`;

/** Who wrote a record, in the place of an id that means something in one shop only. */
export const personRefSchema = z.string().regex(/^p[1-9]\d{0,4}$/, 'a person of the list, p1, p2 …');

/** What every job bundle has around its records; the records' own columns are those of the tables (docs/job-bundle.schema.json). */
export const bundleHead = {
  format: z.literal('gravelwort-job'),
  version: z.literal(1),
  schema: z.int().min(1).max(9999),
  people: z
    .array(
      z.strictObject({
        ref: personRefSchema,
        name: z.string().trim().min(1).max(120),
        /** The shop they worked in when they wrote it. */
        shop: z.string().trim().min(1).max(120),
      }),
    )
    .max(2000),
};

/** Read first, so that a bundle of a newer release is told as that and not as a damaged one. */
export const bundleKindSchema = z.looseObject({
  format: z.literal('gravelwort-job'),
  version: z.number(),
  schema: z.number(),
});

/** What came of bringing a job in. */
export const broughtInSchema = z.object({
  /** The first axle of the job, as pages have it. */
  jobId: id,
  vehicle: z.string(),
  records: z.number(),
  pictures: z.number(),
  /** The vehicle was known here already: its own data stand as they were. */
  vehicleKnown: z.boolean(),
});
export type BroughtIn = z.infer<typeof broughtInSchema>;
