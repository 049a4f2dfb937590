import { z } from 'zod';

/** The bytes of a picture as its row has them; null where they lie in a store beside the database. */
export const keptPictureSchema = z.object({ jpeg: z.instanceof(Buffer).nullable(), sha256: z.string() });
export type KeptPicture = z.infer<typeof keptPictureSchema>;
