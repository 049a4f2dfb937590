import { z } from 'zod';
import {
  DERIVED,
  dimensionOf,
  kindOf,
  LEAF_EYES,
  LEAF_RULES,
  PART_DIMENSION_IDS,
  PART_KIND_IDS,
  type PartDimensionId,
} from '@/core/parts/kinds';
import { when, typed } from './basics';
import { CONDITIONS, HOLDINGS, SHELF_ORDERS } from './shelfFields';

const between = (rule: { min: number; max: number }) => z.number().min(rule.min).max(rule.max);

export const shelfLeafSchema = z
  .object({
    front: between(LEAF_RULES.front),
    frontTyped: typed,
    rear: between(LEAF_RULES.rear),
    rearTyped: typed,
    thickness: between(LEAF_RULES.thickness),
    thicknessTyped: typed,
    camber: between(LEAF_RULES.camber).nullable(),
    camberTyped: typed.nullable(),
    eyes: z.enum(LEAF_EYES),
    clip: z.boolean(),
  })
  .refine((leaf) => (leaf.camber === null) === (leaf.camberTyped === null), 'A camber needs its text.');
export type ShelfLeaf = z.infer<typeof shelfLeafSchema>;

export const shelfDimensionSchema = z.object({
  dimension: z.enum(PART_DIMENSION_IDS),
  value: z.number(),
  typed: typed.nullable(),
});

const partFields = z.object({
  id: z.uuid(),
  kind: z.enum(PART_KIND_IDS),
  name: z.string().trim().min(1, 'A part needs a name.').max(120),
  maker: z.string().trim().max(80),
  number: z.string().trim().max(60),
  holding: z.enum(HOLDINGS),
  condition: z.enum(CONDITIONS),
  /** What a used part came off. */
  origin: z.string().trim().max(160),
  ageYears: z.number().min(0).max(120).nullable(),
  quantity: z.number().int().min(0).max(100_000).nullable(),
  /** In the shop's own money. */
  price: z.number().min(0).max(99_999_999).nullable(),
  leadDays: z.number().int().min(0).max(1000).nullable(),
  /** Load it may carry, kg. */
  rating: z.number().min(1).max(100_000).nullable(),
  ratingTyped: typed.nullable(),
  form: z.string().max(40).nullable(),
  place: z.string().trim().max(80),
  note: z.string().trim().max(500),
  retired: z.boolean(),
  dimensions: z.array(shelfDimensionSchema).max(20),
  leaves: z.array(shelfLeafSchema).max(30),
});

type PartFields = z.infer<typeof partFields>;

/** What is wrong with a part as a whole: the field, and why. */
export function partFaults(part: PartFields): { field: string; message: string }[] {
  const kind = kindOf(part.kind);
  const faults: { field: string; message: string }[] = [];
  const fault = (field: string, message: string) => faults.push({ field, message });
  if (part.form !== null && !kind.forms.some((f) => f.id === part.form))
    fault('form', `A ${kind.name} does not come in the form “${part.form}”.`);
  if (kind.leaves === 'none' && part.leaves.length > 0) fault('leaves', `A ${kind.name} has no leaves.`);
  if (kind.leaves === 'one' && part.leaves.length !== 1) fault('leaves', `A ${kind.name} is one leaf.`);
  if (kind.leaves === 'many' && part.leaves.length === 0) fault('leaves', `A ${kind.name} needs its leaves.`);
  if (part.holding === 'catalogue' && part.quantity !== null)
    fault('quantity', 'Only parts in stock are counted; a catalogue part has no quantity.');
  if (part.holding === 'stock' && part.quantity === null) fault('quantity', 'How many lie on the shelf?');
  if ((part.rating === null) !== (part.ratingTyped === null)) fault('rating', 'A rating needs its text.');
  const seen = new Set<PartDimensionId>();
  for (const { dimension, value, typed: text } of part.dimensions) {
    if (text === null) continue;
    const { name, rule } = dimensionOf(dimension);
    if (seen.has(dimension)) fault(dimension, `${name} is given twice.`);
    seen.add(dimension);
    if (!kind.dimensions.includes(dimension)) fault(dimension, `A ${kind.name} has no ${name}.`);
    if (value < rule.min || value > rule.max) fault(dimension, `${name}: ${text} cannot be.`);
  }
  part.leaves.forEach((leaf, i) => {
    const main = part.leaves[0]!;
    // A tape reads a few millimetres long on a leaf with eyes.
    if (i > 0 && part.kind === 'pack' && (leaf.front > main.front + 15 || leaf.rear > main.rear + 15))
      fault('leaves', `Leaf ${i + 1} is longer than the main leaf; leaves go from the main leaf down.`);
  });
  return faults;
}

/** A part as it is saved: derived dimensions are the server's own. */
export const partEditSchema = partFields
  .extend({ version: z.number().int().min(0) })
  .superRefine((part, context) => {
    for (const { field, message } of partFaults(part)) context.addIssue({ code: 'custom', path: [field], message });
  })
  .transform((part) => ({
    ...part,
    dimensions: part.dimensions.filter((d) => !(DERIVED as readonly string[]).includes(d.dimension)),
  }));
/** Version 0 is a part that is not on the shelf yet. */
export type PartEdit = z.infer<typeof partEditSchema>;

export const shelfItemSchema = partFields.extend({
  version: z.number(),
  updatedBy: z.string(),
  updatedAt: when,
  photos: z.array(z.object({ id: z.uuid(), caption: z.string(), width: z.number(), height: z.number() })),
});
export type ShelfItem = z.infer<typeof shelfItemSchema>;

/** What a page of the shelf shows. Values in core units. */
export const shelfAskSchema = z.object({
  words: z.string().trim().max(120).default(''),
  kind: z.enum(PART_KIND_IDS).nullable().default(null),
  holding: z.enum(HOLDINGS).nullable().default(null),
  condition: z.enum(CONDITIONS).nullable().default(null),
  /** Only what lies here: counted, and more than none. */
  here: z.boolean().default(false),
  mostPrice: z.number().min(0).nullable().default(null),
  mostDays: z.number().int().min(0).nullable().default(null),
  leastRating: z.number().min(0).nullable().default(null),
  /** Dimensions between two values. */
  within: z
    .array(z.object({ dimension: z.enum(PART_DIMENSION_IDS), from: z.number(), to: z.number() }))
    .max(4)
    .default([]),
  order: z.enum(SHELF_ORDERS).default('name'),
  /** The last item of the page before. */
  after: z
    .object({ key: z.string().max(200), id: z.uuid() })
    .nullable()
    .default(null),
});
export type ShelfAsk = z.infer<typeof shelfAskSchema>;

export interface ShelfPage {
  items: ShelfItem[];
  /** Where the next page begins; null on the last one. */
  next: ShelfAsk['after'];
  /** How many of each open jobs keep for themselves, by the item's id; none where nothing is said. */
  kept?: Readonly<Record<string, number>>;
}

export interface ShelfCount {
  found: number;
  /** There are more than were counted. */
  more: boolean;
}

/** What an import of a parts file would do, or did. */
export interface ImportReport {
  added: number;
  changed: number;
  unchanged: number;
  problems: { line: number; column: string; reason: string }[];
  applied: boolean;
}
