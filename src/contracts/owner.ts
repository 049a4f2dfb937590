import { z } from 'zod';
import { when } from './basics';

/** What is kept of the person a vehicle belongs to; any of it, or nothing. */
export const ownerEditSchema = z
  .object({
    name: z.string().trim().max(120).default(''),
    phone: z.string().trim().max(60).default(''),
    plate: z.string().trim().max(30).default(''),
    /** The one the edit was begun on; 0 where nothing was kept. */
    version: z.number().int().min(0),
  })
  .refine((o) => o.name !== '' || o.phone !== '' || o.plate !== '', {
    path: ['name'],
    message: 'Give a name, a phone number or a plate; to keep nothing, erase it.',
  });
export type OwnerEdit = z.output<typeof ownerEditSchema>;

export const ownerSchema = z.object({
  name: z.string(),
  phone: z.string(),
  plate: z.string(),
  version: z.number(),
  by: z.string(),
  at: when,
});
export type Owner = z.infer<typeof ownerSchema>;

/** All of it as the person may have it, with the jobs their vehicle was in for. */
export const ownerRecordSchema = z.object({
  owner: ownerSchema.nullable(),
  vehicle: z.string(),
  jobs: z.array(z.object({ complaint: z.string(), begunAt: when })),
});
export type OwnerRecord = z.infer<typeof ownerRecordSchema>;
