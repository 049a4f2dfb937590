import { z } from 'zod';
import { id } from './basics';
import { ROLES } from './roles';

export const personSchema = z.object({ id, name: z.string(), role: z.enum(ROLES) });

export type Person = z.infer<typeof personSchema>;
