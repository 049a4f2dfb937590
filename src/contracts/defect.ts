import { z } from 'zod';
import { when } from './basics';

const day = z.iso.date('Give the day by which it is mended.');

/** Something that does not fit and was gone on with: open until it is ended with evidence. */
export const defectSchema = z.object({
  id: z.uuid(),
  subject: z.string(),
  what: z.string(),
  reason: z.string(),
  /** What must not be done until then; empty for nothing. */
  limits: z.string(),
  dueOn: z.string(),
  person: z.string(),
  openedAt: when,
  endedAt: when.nullable(),
  endedBy: z.string().nullable(),
  evidence: z.string().nullable(),
});
export type Defect = z.infer<typeof defectSchema>;

/** Going on with what does not fit. */
export const newDefectSchema = z.object({
  id: z.uuid(),
  subject: z.string().min(1).max(80),
  reason: z.string().trim().min(5, 'Say why it is gone on with, in a few words.').max(500),
  dueOn: day,
  limits: z.string().trim().max(160).default(''),
});
export type NewDefect = z.infer<typeof newDefectSchema>;

export const endDefectSchema = z.object({
  id: z.uuid(),
  evidence: z.string().trim().min(3, 'Say what was done, in a few words.').max(300),
});
export type EndDefect = z.infer<typeof endDefectSchema>;

/** Closing a job, or opening it again; the list of what was open then stays with it. */
export const closingSchema = z.object({
  closed: z.boolean(),
  leftOpen: z.array(z.string()),
  note: z.string(),
  person: z.string(),
  at: when,
});
export const newClosingSchema = z.object({
  id: z.uuid(),
  closed: z.boolean(),
  note: z.string().trim().max(500).default(''),
  /** What is open and was accepted, each by a reason and a day; it becomes an open defect. */
  accepted: z
    .array(
      z.object({
        id: z.uuid(),
        text: z.string().min(1).max(500),
        reason: newDefectSchema.shape.reason,
        dueOn: day,
        limits: newDefectSchema.shape.limits,
      }),
    )
    .max(200)
    .default([]),
});
export type NewClosing = z.infer<typeof newClosingSchema>;
