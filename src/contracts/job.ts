import { z } from 'zod';
import { AXLE_CLASSES, type AxleClass } from '@/core/sheet/axleClass';
import { POINT_IDS } from '@/core/measure/points';
import { EYE_FORMS } from '@/core/mechanics/leafpack/eyes';
import { BENDS } from '@/core/fastener/uboltOrder';
import { SURVEY_ITEMS, type SurveyItem } from '@/core/travel/survey';
import { GOAL_KINDS } from '@/core/height/goals';
import { RATED_PARTS } from '@/core/vehicle/rating';
import { AXLE_POSITIONS, SUSPENSION_IDS } from '@/core/suspension/names';
import { RULE_IDS, VERDICTS } from '@/core/inspection/rules';
import { LOAD_KINDS } from '@/core/sheet/reading';
import { UNITS, type UnitId } from '@/core/units/units';
import { ANSWERS, SAFETY_ITEMS } from '@/core/procedure/safety';
import { costLineSchema } from './cost';
import { closingSchema, defectSchema } from './defect';
import { dueSchema, odometerSchema } from './due';
import { factsSchema } from './facts';
import { ledgerLineSchema } from './ledger';
import { torqueReadingSchema, torqueSchema } from './torque';
import { planNameSchema, planSchema, schoolChoiceSchema } from './plan';

const id = z.uuid();
const when = z.coerce.date().transform((d) => d.toISOString());
const sideSchema = z.enum(['left', 'right']);
const phaseSchema = z.enum(['before', 'after']);
const pointSchema = z.enum(POINT_IDS as [(typeof POINT_IDS)[number], ...typeof POINT_IDS]);
const unitSchema = z.enum(Object.keys(UNITS) as [UnitId, ...UnitId[]]);
const axleClassSchema = z.enum(Object.keys(AXLE_CLASSES) as [AxleClass, ...AxleClass[]]);
export const instrumentSchema = z.enum(['tape', 'caliper', 'gauge', 'scale', 'ticket', 'estimate']);
/** A typed measurement with the value it was read as, in core units. */
const typed = z.string().trim().min(1).max(160);

export const personSchema = z.object({ id, name: z.string() });
export type Person = z.infer<typeof personSchema>;

export const vehicleSchema = z.object({
  id,
  name: z.string(),
  maker: z.string(),
  wheelbase: z.number(),
  wheelbaseTyped: z.string(),
  /** What a full tank weighs, kg: null when nobody said, 0 without a tank. */
  tankMass: z.number().nullable(),
  tankMassTyped: z.string().nullable(),
  tankStation: z.number().nullable(),
  tankStationTyped: z.string().nullable(),
  use: z.string(),
  version: z.number(),
  updatedBy: z.string(),
  updatedAt: when,
});
export type Vehicle = z.infer<typeof vehicleSchema>;

/** What a job on a leaf-sprung axle must know of it. */
const axleFacts = { arrangement: z.enum(['over', 'under']), axleClass: axleClassSchema, steered: z.boolean() };
export const axleSchema = z.object({
  id,
  position: z.enum(['front', 'rear']),
  suspension: z.literal('longitudinalLeaf'),
  ...axleFacts,
});

/** Any axle of a vehicle, with what its parts may carry. */
export const vehicleAxleSchema = z.object({
  id,
  position: z.enum(AXLE_POSITIONS),
  suspension: z.enum(SUSPENSION_IDS),
  ratings: z.array(z.object({ part: z.enum(RATED_PARTS), rating: z.number(), typed: z.string() })),
});
export type VehicleAxle = z.infer<typeof vehicleAxleSchema>;

/** An axle with its vehicle, as a new job may be for. */
export const knownAxleSchema = z.object({
  id,
  position: z.enum(AXLE_POSITIONS),
  /** null where nobody has looked. */
  arrangement: axleFacts.arrangement.nullable(),
  axleClass: axleFacts.axleClass.nullable(),
  steered: axleFacts.steered.nullable(),
  vehicle: vehicleSchema.pick({ id: true, name: true, maker: true }),
});
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
  /** In the shop's own money; null without a limit. */
  budget: z.number().nullable(),
  version: z.number(),
  updatedBy: z.string(),
  updatedAt: when,
  createdAt: when,
});

export const goalSchema = z.object({
  kind: z.enum(GOAL_KINDS),
  target: z.number().min(-1000).max(1000),
  targetTyped: typed,
  tolerance: z.number().min(0).max(1000),
  toleranceTyped: typed,
});
export type GoalRow = z.infer<typeof goalSchema>;

export const loadItemSchema = z.object({
  kind: z.enum(LOAD_KINDS),
  name: z.string().trim().min(1, 'Name what is aboard.').max(80),
  mass: z.number().min(-20_000).max(20_000),
  massTyped: typed,
  station: z.number().min(-20_000).max(40_000),
  stationTyped: typed,
});
export type LoadItem = z.infer<typeof loadItemSchema>;

export const stateSchema = z.object({
  id,
  ordinal: z.number(),
  name: z.string(),
  addedMass: z.number(),
  massTyped: z.string(),
  station: z.number(),
  stationTyped: z.string(),
  wanted: z.boolean(),
  items: z.array(loadItemSchema),
});

export const packSchema = z.object({
  id,
  eyeForm: z.enum(EYE_FORMS).nullable(),
  /** null where the rear eye is like the front one. */
  eyeFormRear: z.enum(EYE_FORMS).nullable(),
  seatShape: z.enum(['flat', 'concentric', 'unknown']),
  /** Where the shackle's eye is against its pivot in the frame; null when nobody looked. */
  shackleEye: z.enum(['below', 'above']).nullable(),
  rusty: z.boolean(),
  /** Whether the other side's pack is like the one measured. */
  otherSide: z.enum(['same', 'different', 'unknown']),
  /** What the U-bolts' bend lies round; null when nobody looked. */
  uboltBend: z.enum(BENDS).nullable(),
  version: z.number(),
  updatedBy: z.string(),
  updatedAt: when,
});

/** The conditions readings were taken in; a change makes a new day. */
export const daySchema = z.object({
  id,
  phase: phaseSchema,
  /** Share of a full tank; null when nobody looked. */
  fuel: z.number().nullable(),
  /** As at the before heights, whatever that was. */
  fuelAsBefore: z.boolean(),
  tyrePressure: z.number().nullable(),
  tyrePressureTyped: z.string().nullable(),
  stance: z.enum(['ground', 'air']),
  person: z.string(),
  setAt: when,
});
export type DayRow = z.infer<typeof daySchema>;

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
  dayId: id.nullable(),
  person: z.string(),
  takenAt: when,
  /** Why it was corrected after the build had begun. */
  correctionReason: z.string().nullable(),
});
export type ReadingRow = z.infer<typeof readingSchema>;

/** A stored prediction as a job's pages show it: its ledgers, one a side and load state. */
export const predictionSchema = z.object({
  id,
  planVersion: z.number(),
  coreVersion: z.string(),
  seed: z.number(),
  samples: z.number(),
  person: z.string(),
  madeAt: when,
  /** What was planned, in words. */
  planName: z.string().nullable(),
  planId: id,
  facts: factsSchema,
  ledgers: z.array(z.object({ side: sideSchema, stateId: id, lines: z.array(ledgerLineSchema) })),
});
export type PredictionRow = z.infer<typeof predictionSchema>;

export const safetySchema = z.object({
  item: z.enum(SAFETY_ITEMS),
  answer: z.enum(ANSWERS),
  person: z.string(),
  answeredAt: when,
});

export const surveySchema = z.object({
  item: z.enum(SURVEY_ITEMS as [SurveyItem, ...SurveyItem[]]),
  answer: z.enum(['ok', 'notOk', 'none', 'notChecked']),
  slack: z.number().nullable(),
  slackTyped: z.string().nullable(),
  note: z.string(),
  person: z.string(),
  answeredAt: when,
});
export type SurveyRow = z.infer<typeof surveySchema>;

const verdictSchema = z.enum(VERDICTS);
const valueSchema = z.object({ measure: z.string().max(40), value: z.number(), typed });
export const findingSchema = z.object({
  id,
  rule: z.enum(RULE_IDS),
  side: sideSchema.nullable(),
  choice: z.string().nullable(),
  values: z.array(valueSchema),
  verdict: verdictSchema,
  note: z.string(),
  leafId: id.nullable(),
  /** mm from the pin, minus towards the front. */
  place: z.number().nullable(),
  placeTyped: z.string().nullable(),
  person: z.string(),
  foundAt: when,
});
export type FindingRow = z.infer<typeof findingSchema>;

export const photoSchema = z.object({
  id,
  /** What it shows: `rule|side` of the inspection or a field of the measuring sheet. */
  subject: z.string(),
  caption: z.string(),
  width: z.number(),
  height: z.number(),
  sha256: z.string(),
  person: z.string(),
  takenAt: when,
});
export type PhotoRow = z.infer<typeof photoSchema>;

export const sideFindingSchema = z.object({
  id,
  what: z.string(),
  urgency: z.enum(['now', 'soon', 'nextVisit']),
  person: z.string(),
  foundAt: when,
  doneAt: when.nullable(),
  evidence: z.string().nullable(),
});
export type SideFinding = z.infer<typeof sideFindingSchema>;

export const failureSchema = z.object({
  id,
  place: z.string(),
  km: z.number(),
  kmTyped: z.string(),
  cause: z.string(),
  person: z.string(),
  writtenAt: when,
});

export const KIT_STATES = ['expected', 'there', 'missing', 'notInKit', 'reused'] as const;
export const kitItemSchema = z.object({
  id,
  what: z.string(),
  wanted: z.number(),
  state: z.enum(KIT_STATES),
  person: z.string(),
});
export type KitItem = z.infer<typeof kitItemSchema>;
export const featureSchema = z.object({
  id,
  feature: z.string(),
  found: z.string(),
  means: z.string(),
  person: z.string(),
});

export const pressPointSchema = z.object({
  /** N */
  force: z.number().min(0).max(1e6),
  /** Eye line to the main leaf's top face, mm. */
  archTop: z.number().min(-500).max(800),
  branch: z.enum(['loading', 'unloading']),
});
export const pressRunSchema = z.object({
  id,
  side: sideSchema,
  source: z.enum(['press', 'csv']),
  points: z.array(pressPointSchema),
  person: z.string(),
  takenAt: when,
});
export type PressRun = z.infer<typeof pressRunSchema>;

export const shopLimitSchema = z.object({
  id,
  rule: z.enum(RULE_IDS),
  verdict: verdictSchema,
  measure: z.string(),
  value: z.number(),
  typed: z.string(),
  reason: z.string(),
  person: z.string(),
  setAt: when,
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
  /** Which point was read before and after. */
  point: z.enum(['hubToLip', 'groundToLip']),
  side: sideSchema,
  stateId: id,
  measured: z.number(),
  predicted: z.number(),
  half90: z.number(),
  inside: z.boolean(),
  /** What was added to the tape's figure for a tank filled otherwise, mm. */
  convertedBy: z.number(),
  takenAt: when,
});
export type Outcome = z.infer<typeof outcomeSchema>;

export const jobViewSchema = z.object({
  job: jobSchema,
  vehicle: vehicleSchema,
  axle: axleSchema,
  /** All axles of the vehicle, this one among them. */
  axles: z.array(vehicleAxleSchema),
  goals: z.array(goalSchema),
  states: z.array(stateSchema),
  pack: packSchema,
  leaves: z.array(z.object({ id, ordinal: z.number() })),
  /** The current reading of every point; superseded ones stay in the database. */
  readings: z.array(readingSchema),
  /** The newest day of a phase is the one at work. */
  days: z.array(daySchema),
  /** The plan at work, and all plans of the job. */
  plan: planSchema,
  plans: z.array(planNameSchema),
  predictions: z.array(predictionSchema),
  safety: z.array(safetySchema),
  /** The last answer of every item. */
  survey: z.array(surveySchema),
  /** The last entry of every joint, and the last reading of every bolt. */
  torques: z.array(torqueSchema),
  torqueReadings: z.array(torqueReadingSchema),
  defects: z.array(defectSchema),
  /** The last word on whether the job is closed; null when it never was. */
  closing: closingSchema.nullable(),
  /** The last reading of the vehicle's odometer. */
  odometer: odometerSchema.nullable(),
  /** Today's date where the shop is. */
  today: z.string(),
  /** The last finding of every rule and side. */
  findings: z.array(findingSchema),
  photos: z.array(photoSchema),
  /** Of the vehicle, whichever job found them. */
  sideFindings: z.array(sideFindingSchema),
  failures: z.array(failureSchema),
  kit: z.array(kitItemSchema),
  costs: z.array(costLineSchema),
  /** The last word of each question, of the shop and of this job. */
  schools: z.array(schoolChoiceSchema),
  /** Of the vehicle. */
  features: z.array(featureSchema),
  /** The last press run of each side. */
  pressRuns: z.array(pressRunSchema),
  /** The last limit of the shop for every rule, verdict and measure. */
  limits: z.array(shopLimitSchema),
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
  nextDue: dueSchema.nullable(),
  lastDone: dueSchema.nullable(),
  odometer: z.number().nullable(),
  closedAt: when.nullable(),
  createdAt: when,
});
/** What is still to be done at a job that is being built, named as on its stations. */
export type BoardRow = z.infer<typeof boardRowSchema> & { open: string[] };

// What clients send.
/** A tank without its mass known is null; 0 is no tank. */
const tankShape = {
  tankMass: z.number().min(0).max(5000).nullable().default(null),
  tankMassTyped: typed.nullable().default(null),
  tankStation: z.number().min(-20_000).max(40_000).nullable().default(null),
  tankStationTyped: typed.nullable().default(null),
};
export const newJobSchema = z.object({
  id,
  vehicle: z.discriminatedUnion('kind', [
    /** `facts` of an axle that nobody has looked at before. */
    z.object({ kind: z.literal('known'), axleId: id, facts: z.object(axleFacts).nullable().default(null) }),
    z.object({
      kind: z.literal('new'),
      name: z.string().trim().min(1, 'Give the vehicle a name.').max(120),
      maker: z.string().trim().max(120),
      wheelbase: z.number().min(500).max(20_000),
      wheelbaseTyped: typed,
      ...tankShape,
      use: z.string().trim().max(200).default(''),
      others: z
        .array(z.object({ position: z.enum(AXLE_POSITIONS), suspension: z.enum(SUSPENSION_IDS) }))
        .max(2)
        .default([]),
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
  budget: z.number().min(0).max(1e7).nullable().default(null),
  goals: z.array(goalSchema).max(GOAL_KINDS.length).default([]),
  leafCount: z.number().int().min(1).max(20),
  usual: z
    .object({
      name: z.string().trim().min(1, 'Name the load.').max(80),
      items: z.array(loadItemSchema).min(1, 'A load needs something aboard.').max(20),
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
    budget: true,
    goals: true,
  })
  .extend({ version: z.number().int() });
export type AskEdit = z.infer<typeof askSchema>;

/** All load states beyond the state of the day; one left out is dropped if nothing was read or foretold in it. */
export const loadsEditSchema = z.object({
  version: z.number().int(),
  states: z
    .array(
      z.object({
        id,
        name: z.string().trim().min(1, 'Name the load.').max(80),
        items: z.array(loadItemSchema).min(1, 'A load needs something aboard.').max(20),
      }),
    )
    .max(8),
  /** The state the goal is meant in. */
  wanted: id,
});
export type LoadsEdit = z.infer<typeof loadsEditSchema>;

export const vehicleEditSchema = z.object({
  version: z.number().int(),
  use: z.string().trim().max(200),
  ...tankShape,
  others: z.array(z.object({ position: z.enum(AXLE_POSITIONS), suspension: z.enum(SUSPENSION_IDS) })).max(2),
  /** Of this job's axle. */
  ratings: z.array(z.object({ part: z.enum(RATED_PARTS), rating: z.number().min(20).max(30_000), typed })).max(6),
});
export type VehicleEdit = z.infer<typeof vehicleEditSchema>;

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
  dayId: id.nullable().default(null),
  /** The reading this one was made to replace; null when the field was empty. */
  supersedes: id.nullable(),
  /** A before reading corrected once the build has begun says why. */
  correctionReason: z.string().trim().min(5, 'Say why, in a few words.').max(300).nullable().optional(),
});
export type NewReading = z.infer<typeof newReadingSchema>;

export const newDaySchema = z.object({
  id,
  phase: phaseSchema,
  fuel: z.number().min(0).max(1).nullable(),
  fuelAsBefore: z.boolean().default(false),
  tyrePressure: z.number().min(0).max(1500).nullable(),
  tyrePressureTyped: typed.nullable(),
  stance: z.enum(['ground', 'air']),
});
export type NewDay = z.infer<typeof newDaySchema>;

export const packEditSchema = z.object({
  version: z.number().int(),
  eyeForm: z.enum(EYE_FORMS).nullable(),
  eyeFormRear: z.enum(EYE_FORMS).nullable().default(null),
  seatShape: z.enum(['flat', 'concentric', 'unknown']),
  shackleEye: z.enum(['below', 'above']).nullable().default(null),
  rusty: z.boolean(),
  otherSide: z.enum(['same', 'different', 'unknown']).default('unknown'),
  uboltBend: z.enum(BENDS).nullable().default(null),
  leafCount: z.number().int().min(1).max(20),
});
export type PackEdit = z.infer<typeof packEditSchema>;

export const newPredictionSchema = z.object({ id, planVersion: z.number().int(), coreVersion: z.string() });
export const newSafetySchema = z.object({
  id,
  item: z.enum(SAFETY_ITEMS),
  answer: z.enum(ANSWERS),
});
export const newSurveySchema = surveySchema.pick({ item: true, answer: true }).extend({
  id,
  slack: z.number().min(0).max(2000).nullable(),
  slackTyped: typed.nullable(),
  note: z.string().trim().max(300),
});
export type NewSurvey = z.infer<typeof newSurveySchema>;
export const newFindingSchema = z.object({
  id,
  rule: z.enum(RULE_IDS),
  side: sideSchema.nullable(),
  choice: z.string().max(40).nullable(),
  values: z.array(valueSchema).max(4),
  note: z.string().trim().max(500),
  leafId: id.nullable(),
  place: z.number().min(-2000).max(2000).nullable(),
  placeTyped: typed.nullable(),
});
export type NewFinding = z.infer<typeof newFindingSchema>;
/** A new item of a kit, or the state of one that is there. */
export const newKitItemSchema = z.object({
  id,
  what: z.string().trim().min(1, 'Name the part.').max(120),
  wanted: z.number().int().min(1).max(999),
  state: z.enum(KIT_STATES),
});
export type NewKitItem = z.infer<typeof newKitItemSchema>;
export const newFeatureSchema = z.object({
  id,
  feature: z.string().trim().min(1, 'Name the feature.').max(120),
  found: z.string().trim().min(1, 'Say what was found.').max(120),
  means: z.string().trim().min(1, 'Say what it means for parts.').max(200),
});
export const newPressRunSchema = z.object({
  id,
  side: sideSchema,
  points: z.array(pressPointSchema).min(3, 'A run needs three points at least.').max(500),
});
/** A load-deflection test as a file's text; see docs/formats.md. */
export const pressFileSchema = z.object({ id, side: sideSchema, text: z.string().min(1).max(150_000) });
export const newSideFindingSchema = z.object({
  id,
  what: z.string().trim().min(1, 'Say what was found.').max(300),
  urgency: z.enum(['now', 'soon', 'nextVisit']),
});
export const closeSideFindingSchema = z.object({
  evidence: z.string().trim().min(3, 'Say what was done, in a few words.').max(300),
});
export const newFailureSchema = z.object({
  id,
  place: z.string().trim().min(1, 'Say where it broke.').max(120),
  km: z.number().min(0).max(1e7),
  kmTyped: typed,
  cause: z.string().trim().max(300),
});
export const newShopLimitSchema = z.object({
  id,
  rule: z.enum(RULE_IDS),
  verdict: verdictSchema,
  measure: z.string().min(1).max(40),
  value: z.number(),
  typed,
  reason: z.string().trim().min(5, 'Give the reason in a few words.').max(300),
});
export type NewShopLimit = z.infer<typeof newShopLimitSchema>;
export const newBuildSchema = z.object({ overrideReason: z.string().trim().min(5).max(500).nullable() });

/** Names one field of the measuring sheet. */
export const readingKey = (r: {
  point: string;
  phase: string;
  side: string | null;
  leafId: string | null;
  stateId: string | null;
}): string => [r.point, r.phase, r.side ?? '', r.leafId ?? '', r.stateId ?? ''].join('|');
