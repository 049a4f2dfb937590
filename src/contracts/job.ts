import { z } from 'zod';
import { AXLE_CLASSES, EYE_FORMS, POINT_IDS, type AxleClass } from '@/core/measure/points';
import { UNITS, type UnitId } from '@/core/units/units';
import { type Band } from '@/core/height/band';
import { type AxlePrediction } from '@/core/height/predict';
import { type AxleInput } from '@/core/height/axleInput';
import { ANSWERS, SAFETY_ITEMS } from '@/core/procedure/checks';
import { LEDGER_KINDS } from '@/core/height/ledger';

const id = z.uuid();
const when = z.coerce.date().transform((d) => d.toISOString());
const sideSchema = z.enum(['left', 'right']);
const phaseSchema = z.enum(['before', 'after']);
const pointSchema = z.enum(POINT_IDS as [(typeof POINT_IDS)[number], ...typeof POINT_IDS]);
const unitSchema = z.enum(Object.keys(UNITS) as [UnitId, ...UnitId[]]);
const axleClassSchema = z.enum(Object.keys(AXLE_CLASSES) as [AxleClass, ...AxleClass[]]);
export const instrumentSchema = z.enum(['tape', 'caliper', 'gauge', 'scale', 'ticket', 'estimate']);
/** A typed measurement with the value it was read as, in core units. */
const typed = z.string().trim().min(1).max(80);

export const personSchema = z.object({ id, name: z.string() });
export type Person = z.infer<typeof personSchema>;

export const vehicleSchema = z.object({
  id,
  name: z.string(),
  maker: z.string(),
  wheelbase: z.number(),
  wheelbaseTyped: z.string(),
});
export type Vehicle = z.infer<typeof vehicleSchema>;

export const axleSchema = z.object({
  id,
  position: z.enum(['front', 'rear']),
  suspension: z.literal('longitudinalLeaf'),
  arrangement: z.enum(['over', 'under']),
  axleClass: axleClassSchema,
  steered: z.boolean(),
});

/** An axle with its vehicle, as a new job may be for. */
export const knownAxleSchema = axleSchema.extend({ vehicle: vehicleSchema });
export type KnownAxle = z.infer<typeof knownAxleSchema>;

export const jobSchema = z.object({
  id,
  complaint: z.string(),
  wantedChange: z.number(),
  wantedTyped: z.string(),
  tolerance: z.number(),
  toleranceTyped: z.string(),
  guess: z.number().nullable(),
  guessTyped: z.string().nullable(),
  noBlocks: z.boolean(),
  keepUbolts: z.boolean(),
  version: z.number(),
  updatedBy: z.string(),
  updatedAt: when,
  createdAt: when,
});

export const stateSchema = z.object({
  id,
  ordinal: z.number(),
  name: z.string(),
  addedMass: z.number(),
  massTyped: z.string(),
  station: z.number(),
  stationTyped: z.string(),
  wanted: z.boolean(),
});

export const packSchema = z.object({
  id,
  eyeForm: z.enum(EYE_FORMS).nullable(),
  seatShape: z.enum(['flat', 'concentric', 'unknown']),
  rusty: z.boolean(),
  version: z.number(),
  updatedBy: z.string(),
  updatedAt: when,
});

export const readingSchema = z.object({
  id,
  point: pointSchema,
  phase: phaseSchema,
  side: sideSchema.nullable(),
  leafId: id.nullable(),
  stateId: id.nullable(),
  typed: z.string(),
  value: z.number(),
  unit: unitSchema,
  rolled: z.boolean().nullable(),
  instrument: instrumentSchema,
  person: z.string(),
  takenAt: when,
});
export type ReadingRow = z.infer<typeof readingSchema>;

const length = (min: number, max: number) => z.number().min(min).max(max);
/** One line of a plan: typed texts are kept beside the values. */
export const changeSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('addLeaf'),
    front: length(40, 1500),
    frontTyped: typed,
    rear: length(40, 1500),
    rearTyped: typed,
    thickness: length(3, 40),
    thicknessTyped: typed,
    camber: length(-300, 500),
    camberTyped: typed,
    source: z.enum(['measured', 'catalogue']),
  }),
  z.object({ kind: z.literal('block'), height: length(0, 300), heightTyped: typed }),
  z.object({ kind: z.literal('shackle'), length: length(30, 300), lengthTyped: typed }),
  z.object({ kind: z.literal('overAxle'), height: length(0, 300), heightTyped: typed }),
]);
export type ChangeRow = z.infer<typeof changeSchema>;

export const planSchema = z.object({
  id,
  version: z.number(),
  updatedBy: z.string(),
  updatedAt: when,
  changes: z.array(changeSchema),
});

/** Immutable snapshots; schemaVersion 1. */
export const storedInputSchema = z
  .looseObject({ schemaVersion: z.literal(1) })
  .transform((v) => v as unknown as AxleInput);
export interface StoredResult {
  schemaVersion: 1;
  prediction: AxlePrediction;
  bands: Record<'left' | 'right', Band[] | null>;
}
export const storedResultSchema = z
  .looseObject({ schemaVersion: z.literal(1), prediction: z.looseObject({}), bands: z.looseObject({}) })
  .transform((v) => v as unknown as StoredResult);

export const ledgerLineSchema = z.object({
  kind: z.enum(LEDGER_KINDS),
  label: z.string(),
  value: z.number(),
  half90: z.number(),
});

/** A stored prediction as a job's pages show it: its ledgers, one a side and load state. */
export const predictionSchema = z.object({
  id,
  planVersion: z.number(),
  coreVersion: z.string(),
  seed: z.number(),
  samples: z.number(),
  person: z.string(),
  madeAt: when,
  ledgers: z.array(z.object({ side: sideSchema, stateId: id, lines: z.array(ledgerLineSchema) })),
});
export type PredictionRow = z.infer<typeof predictionSchema>;

/** The whole record: from what and to what it was solved. */
export const predictionRecordSchema = z.object({
  id,
  coreVersion: z.string(),
  seed: z.number(),
  samples: z.number(),
  inputs: storedInputSchema,
  result: storedResultSchema,
});

export const safetySchema = z.object({
  item: z.enum(SAFETY_ITEMS),
  answer: z.enum(ANSWERS),
  person: z.string(),
  answeredAt: when,
});

export const buildSchema = z.object({
  predictionId: id.nullable(),
  overrideReason: z.string().nullable(),
  person: z.string(),
  startedAt: when,
});

export const outcomeSchema = z.object({
  readingId: id,
  predictionId: id,
  side: sideSchema,
  stateId: id,
  measured: z.number(),
  predicted: z.number(),
  half90: z.number(),
  inside: z.boolean(),
  takenAt: when,
});
export type Outcome = z.infer<typeof outcomeSchema>;

export const dueSchema = z.object({
  id,
  what: z.string(),
  afterKm: z.number(),
  dueOn: z.string(),
  doneAt: when.nullable(),
});

export const jobViewSchema = z.object({
  job: jobSchema,
  vehicle: vehicleSchema,
  axle: axleSchema,
  states: z.array(stateSchema),
  pack: packSchema,
  leaves: z.array(z.object({ id, ordinal: z.number() })),
  /** The current reading of every point; superseded ones stay in the database. */
  readings: z.array(readingSchema),
  plan: planSchema,
  predictions: z.array(predictionSchema),
  safety: z.array(safetySchema),
  build: buildSchema.nullable(),
  outcomes: z.array(outcomeSchema),
  due: z.array(dueSchema),
});
export type JobView = z.infer<typeof jobViewSchema>;

/** One line of the Board. */
export const boardRowSchema = z.object({
  id,
  vehicle: z.string(),
  axle: z.string(),
  complaint: z.string(),
  wantedChange: z.number(),
  wantedTyped: z.string(),
  tolerance: z.number(),
  wantedState: z.string().nullable(),
  predictedChange: z.number().nullable(),
  predictedHalf: z.number().nullable(),
  readings: z.number(),
  changes: z.number(),
  predictions: z.number(),
  built: z.boolean(),
  outcomes: z.number(),
  outside: z.number(),
  nextDue: z.object({ id, what: z.string(), dueOn: z.string(), afterKm: z.number() }).nullable(),
  createdAt: when,
});
export type BoardRow = z.infer<typeof boardRowSchema>;

// What clients send.
export const newJobSchema = z.object({
  id,
  vehicle: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('known'), axleId: id }),
    z.object({
      kind: z.literal('new'),
      name: z.string().trim().min(1, 'Give the vehicle a name.').max(120),
      maker: z.string().trim().max(120),
      wheelbase: z.number().min(500).max(20_000),
      wheelbaseTyped: typed,
      position: z.enum(['front', 'rear']),
      arrangement: z.enum(['over', 'under']),
      axleClass: axleClassSchema,
      steered: z.boolean(),
    }),
  ]),
  complaint: z.string().trim().min(1, 'Say what is wrong.').max(500),
  wantedChange: z.number().min(-300).max(300),
  wantedTyped: typed,
  tolerance: z.number().min(0).max(100),
  toleranceTyped: typed,
  guess: z.number().min(-300).max(300).nullable(),
  guessTyped: typed.nullable(),
  noBlocks: z.boolean(),
  keepUbolts: z.boolean(),
  leafCount: z.number().int().min(1).max(20),
  usual: z
    .object({
      name: z.string().trim().min(1, 'Name the load.').max(80),
      mass: z.number().min(-20_000).max(20_000),
      massTyped: typed,
      station: z.number().min(-20_000).max(40_000),
      stationTyped: typed,
    })
    .nullable(),
  /** Which load state the wanted result is asked in. */
  wantedIn: z.enum(['today', 'usual']),
});
export type NewJob = z.infer<typeof newJobSchema>;

export const askSchema = newJobSchema
  .pick({
    complaint: true,
    wantedChange: true,
    wantedTyped: true,
    tolerance: true,
    toleranceTyped: true,
    guess: true,
    guessTyped: true,
    noBlocks: true,
    keepUbolts: true,
  })
  .extend({ version: z.number().int() });
export type AskEdit = z.infer<typeof askSchema>;

export const newReadingSchema = z.object({
  id,
  point: pointSchema,
  phase: phaseSchema,
  side: sideSchema.nullable(),
  leafId: id.nullable(),
  stateId: id.nullable(),
  typed,
  /** Unit chosen when the person was asked; otherwise the text speaks for itself. */
  value: z.number(),
  unit: unitSchema,
  rolled: z.boolean().nullable(),
  instrument: instrumentSchema,
  /** The reading this one was made to replace; null when the field was empty. */
  supersedes: id.nullable(),
});
export type NewReading = z.infer<typeof newReadingSchema>;

export const packEditSchema = z.object({
  version: z.number().int(),
  eyeForm: z.enum(EYE_FORMS).nullable(),
  seatShape: z.enum(['flat', 'concentric', 'unknown']),
  rusty: z.boolean(),
  leafCount: z.number().int().min(1).max(20),
});
export type PackEdit = z.infer<typeof packEditSchema>;

export const planEditSchema = z.object({ version: z.number().int(), changes: z.array(changeSchema).max(8) });
export type PlanEdit = z.infer<typeof planEditSchema>;

export const newPredictionSchema = z.object({ id, planVersion: z.number().int(), coreVersion: z.string() });
export const newSafetySchema = z.object({
  id,
  item: z.enum(SAFETY_ITEMS),
  answer: z.enum(ANSWERS),
});
export const newBuildSchema = z.object({ overrideReason: z.string().trim().min(5).max(500).nullable() });
export const doneSchema = z.object({ done: z.literal(true) });

/** Names one field of the measuring sheet. */
export const readingKey = (r: {
  point: string;
  phase: string;
  side: string | null;
  leafId: string | null;
  stateId: string | null;
}): string => [r.point, r.phase, r.side ?? '', r.leafId ?? '', r.stateId ?? ''].join('|');
