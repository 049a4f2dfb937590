import { z } from 'zod';
import { id } from './basics';

export const personSchema = z.object({ id, name: z.string() });

export type Person = z.infer<typeof personSchema>;
