import { z } from 'zod';

const finite = z.number();
const pair = z.tuple([finite, finite]);

/** The open headless format `spring-case/1` at its border; limits are the core's. See docs/formats.md. */
export const springCaseSchema = z.strictObject({
  format: z.literal('spring-case/1'),
  material: z.strictObject({ E: finite }),
  leaves: z
    .array(
      z.strictObject({
        front: finite,
        rear: finite,
        width: finite,
        thickness: finite,
        freeRadius: finite.nullable(),
      }),
    )
    .min(1),
  clamp: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('bolt') }),
    z.strictObject({ kind: z.literal('seat'), length: finite, shape: z.enum(['flat', 'concentric']) }),
  ]),
  ends: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('rollers') }),
    z.strictObject({ kind: z.literal('shackle'), frontEye: pair, shacklePivot: pair, shackleLength: finite }),
  ]),
  eyeOffset: z.strictObject({ front: finite, rear: finite }).optional(),
  friction: finite,
  loads: z.array(finite).min(1).max(2000),
});
