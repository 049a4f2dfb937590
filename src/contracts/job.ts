import { z } from 'zod';
import { goalSchema, jobSchema } from './ask';
import { id } from './basics';
import { jobAxleSchema } from './jobAxle';
import { shopExpectsSchema } from './expects';
import { buildSchema, outcomeSchema } from './build';
import { costLineSchema } from './cost';
import { closingSchema, defectSchema } from './defect';
import { dueSchema, odometerSchema } from './due';
import { settlingHeightSchema } from './follow';
import { functionCheckSchema, handOverSchema, lessonSchema, roadTestSchema } from './prove';
import { findingSchema, shopLimitSchema } from './finding';
import { incidentSchema, legThreadSchema } from './incident';
import { featureSchema, kitItemSchema } from './kit';
import { stateSchema } from './loads';
import { leafSchema, packSchema } from './pack';
import { TOOL_KIND_IDS } from '@/core/prepare/toolKinds';
import { arrivalSchema, baySchema, daysOffSchema, neededPartSchema, waitSchema } from './needed';
import { photoSchema } from './photo';
import { planNameSchema, planSchema, schoolChoiceSchema } from './plan';
import { predictionSchema } from './prediction';
import { pressRunSchema } from './press';
import { daySchema, readingSchema } from './reading';
import { safetySchema } from './safety';
import { failureSchema, sideFindingSchema } from './sideFinding';
import { storedSeenSchema } from './seen';
import { surveySchema } from './surveyRow';
import { stepTickSchema } from './stepTick';
import { fastenerSizeSchema } from './tool';
import { torqueReadingSchema, torqueSchema } from './torque';
import { axleSchema, vehicleAxleSchema, vehicleSchema } from './vehicle';

/** A job as it is seen at one of its axles. */
export const axleViewSchema = z.object({
  /** Of the axle in this job: names it in every address. */
  id,
  job: jobSchema,
  vehicle: vehicleSchema,
  axle: axleSchema,
  /** What is seen of it, and the version an edit is begun on. */
  seen: storedSeenSchema,
  seenVersion: z.number(),
  /** All axles of the vehicle, this one among them. */
  axles: z.array(vehicleAxleSchema),
  /** The axles this job works on, in the order they were taken up. */
  jobAxles: z.array(jobAxleSchema),
  goals: z.array(goalSchema),
  states: z.array(stateSchema),
  pack: packSchema,
  leaves: z.array(leafSchema),
  /** The pack of the side that is unlike the other; null while one pack stands for both. */
  own: z.object({ pack: packSchema, leaves: z.array(leafSchema) }).nullable(),
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
  /** The last word of every step of the work. */
  ticks: z.array(stepTickSchema),
  /** What went wrong at them or was found, and what stands out of each nut of the U-bolts. */
  incidents: z.array(incidentSchema),
  legThreads: z.array(legThreadSchema),
  /** How what the plan takes stands, what of it was measured on arrival, and what takes days before the work. */
  needed: z.array(neededPartSchema),
  arrivals: z.array(arrivalSchema),
  waits: z.array(waitSchema),
  /** How it goes into the bay; null while nobody said. */
  bay: baySchema.nullable(),
  /** Kinds of tools the shop has at hand; null where it wrote none down. */
  toolsHere: z.array(z.enum(TOOL_KIND_IDS)).nullable(),
  /** On which days it does not work. */
  daysOff: daysOffSchema,
  /** Of the axle, whichever job found them out. */
  fastenerSizes: z.array(fastenerSizeSchema),
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
  /** What the shop expects of its own from what it measured. */
  expects: z.array(shopExpectsSchema),
  /** The last limit of the shop for every rule, verdict and measure. */
  limits: z.array(shopLimitSchema),
  build: buildSchema.nullable(),
  outcomes: z.array(outcomeSchema),
  due: z.array(dueSchema),
  /** The last answer of everything that was tried; the last drive of each phase. */
  functionChecks: z.array(functionCheckSchema),
  roadTests: z.array(roadTestSchema),
  /** Heights read again since the work, the earliest first. */
  settlingHeights: z.array(settlingHeightSchema),
  /** The last hand-over of the job. */
  handOver: handOverSchema.nullable(),
  /** What earlier jobs on this axle taught, and this one. */
  lessons: z.array(lessonSchema),
});

export type AxleView = z.infer<typeof axleViewSchema>;

/** The same with the job's other axles as they stand. */
export type JobView = AxleView & { others: AxleView[] };
