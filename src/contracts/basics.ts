import { z } from 'zod';
import { UNITS, type UnitId } from '@/core/units/units';

export const id = z.uuid();

export const when = z.coerce.date().transform((d) => d.toISOString());

export const sideSchema = z.enum(['left', 'right']);

export const phaseSchema = z.enum(['before', 'after']);

export const unitSchema = z.enum(Object.keys(UNITS) as [UnitId, ...UnitId[]]);

/** A typed measurement with the value it was read as, in core units. */
export const typed = z.string().trim().min(1).max(160);
