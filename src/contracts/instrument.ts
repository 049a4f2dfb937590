import { z } from 'zod';
import { UNITS, type UnitId } from '@/core/units/units';

export const INSTRUMENT_KINDS = ['scalePad', 'heightGauge', 'angleGauge', 'torqueWrench', 'springPress'] as const;
export type InstrumentKind = (typeof INSTRUMENT_KINDS)[number];

/** Where an instrument is found; written by whoever starts them. */
export const instrumentSchema = z.object({
  id: z.string().regex(/^[a-zA-Z0-9-]{1,40}$/),
  name: z.string().min(1).max(60),
  kind: z.enum(INSTRUMENT_KINDS),
  /** Of one side of the vehicle only, as a scale pad lies there. */
  side: z.enum(['left', 'right']).nullable(),
  host: z.string().min(1).max(200),
  port: z.number().int().min(1).max(65_535),
});
export type Instrument = z.infer<typeof instrumentSchema>;

export const INSTRUMENT_STATES = ['settled', 'settling', 'silent', 'garbled', 'cutOff'] as const;

/** What an instrument says now. */
export const liveSchema = z.object({
  id: z.string(),
  name: z.string(),
  kind: z.enum(INSTRUMENT_KINDS),
  side: z.enum(['left', 'right']).nullable(),
  state: z.enum(INSTRUMENT_STATES),
  values: z.array(
    z.object({ quantity: z.string(), value: z.number(), unit: z.enum(Object.keys(UNITS) as [UnitId, ...UnitId[]]) }),
  ),
  word: z.string().nullable(),
  /** Number of the line these values were read from; null while it says none. A wrench's peak is known by it: one pull, one bolt. */
  reading: z.number().nullable(),
  /** Lines that could not be read since it was connected. */
  garbled: z.number(),
});
export type Live = z.infer<typeof liveSchema>;
