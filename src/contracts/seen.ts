import { z } from 'zod';
import { COIL_ENDS } from '@/core/mechanics/coil/coil';

/** What is seen of an axle and not measured, where its kind asks for it. A pack of leaves has a record of its own. */
const seenShape = {
  /** How the coils' ends are made; null when nobody looked. */
  coilEnds: z.enum(COIL_ENDS).nullable().default(null),
};

/** As it is stored: the only version so far. */
export const SEEN_VERSION = 1;
export const storedSeenSchema = z
  .object({ schemaVersion: z.literal(SEEN_VERSION), ...seenShape })
  .transform(({ schemaVersion, ...seen }) => seen);
export type Seen = z.infer<typeof storedSeenSchema>;

export const seenEditSchema = z.object({ version: z.number().int(), ...seenShape });
export type SeenEdit = z.infer<typeof seenEditSchema>;
