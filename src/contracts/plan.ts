import { z } from 'zod';
import { BUSH_ENDS, BUSH_TYPE_IDS } from '@/core/bush/types';
import { BENDS } from '@/core/fastener/uboltOrder';
import { COIL_ENDS } from '@/core/mechanics/coil/coil';
import { EYE_FORMS } from '@/core/mechanics/leafpack/eyes';
import { FITTED, HELPERS } from '@/core/mechanics/helper/curve';
import { PIVOT_BUSHES } from '@/core/suspension/coil/input';
import { SCHOOLS } from '@/core/selection/schools';
import { SLACK_ITEMS } from '@/core/travel/survey';
import { typed } from './basics';

const length = (min: number, max: number) => z.number().min(min).max(max);
const mass = z.number().min(0).max(20_000);
/** The part of the shelf a change was taken from; absent for one measured or to be made. */
const from = { partId: z.uuid().optional(), partName: z.string().min(1).max(160).optional() };

export const planLeafSchema = z.object({
  front: length(20, 2500),
  rear: length(20, 2500),
  thickness: length(1, 60),
  camber: length(-500, 800),
  camberKnown: z.boolean(),
});

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
    /** False where its camber was only reckoned, from the arch of the pack it comes from. */
    camberKnown: z.boolean().optional(),
    source: z.enum(['measured', 'catalogue']),
    ...from,
  }),
  z.object({ kind: z.literal('removeLeaf'), leaf: z.number().int().min(2).max(30), leafTyped: typed }),
  z.object({
    kind: z.literal('pack'),
    leaves: z.array(planLeafSchema).min(1).max(30),
    width: length(10, 300),
    form: z.enum(EYE_FORMS).nullable(),
    bore: length(6, 120).nullable(),
    used: z.boolean(),
    source: z.enum(['measured', 'catalogue']),
    /** Its curve was told by the free arch of the whole pack. */
    byFreeArch: z.boolean().optional(),
    ...from,
  }),
  z.object({ kind: z.literal('rearch'), camber: length(-100, 200), camberTyped: typed }),
  z.object({ kind: z.literal('eyes'), form: z.enum(EYE_FORMS) }),
  z.object({ kind: z.literal('block'), height: length(0, 300), heightTyped: typed, ...from }),
  z.object({
    kind: z.literal('wedge'),
    angle: z.number().min(0.003).max(0.3),
    angleTyped: typed,
    height: length(1, 60),
    heightTyped: typed,
    thick: z.enum(['front', 'rear']),
    ...from,
  }),
  z.object({ kind: z.literal('shackle'), length: length(30, 300), lengthTyped: typed, ...from }),
  z.object({ kind: z.literal('overAxle'), height: length(0, 300), heightTyped: typed }),
  z.object({
    kind: z.literal('coil'),
    wire: length(4, 45),
    wireTyped: typed,
    outside: length(40, 350),
    outsideTyped: typed,
    turns: length(2, 30),
    turnsTyped: typed,
    free: length(80, 1000),
    freeTyped: typed,
    ends: z.enum(COIL_ENDS),
    used: z.boolean(),
    source: z.enum(['measured', 'catalogue']),
    ...from,
  }),
  z.object({
    kind: z.literal('springs'),
    leaves: z.number().int().min(1).max(15),
    leavesTyped: typed,
    full: z.number().int().min(1).max(15),
    fullTyped: typed,
    width: length(30, 130),
    widthTyped: typed,
    thickness: length(3, 25),
    thicknessTyped: typed,
    outer: length(120, 1200),
    outerTyped: typed,
    inner: length(120, 1200),
    innerTyped: typed,
    free: length(-100, 400),
    freeTyped: typed,
    used: z.boolean(),
    source: z.enum(['measured', 'catalogue']),
    ...from,
  }),
  z.object({
    kind: z.literal('rocker'),
    front: length(30, 600),
    frontTyped: typed,
    rear: length(30, 600),
    rearTyped: typed,
    below: length(-150, 200),
    belowTyped: typed,
    ...from,
  }),
  z.object({ kind: z.literal('slipper'), drop: length(-100, 500), dropTyped: typed, ...from }),
  z.object({ kind: z.literal('riser'), height: length(0, 300), heightTyped: typed, ...from }),
  z.object({ kind: z.literal('hitch'), by: length(-400, 400), byTyped: typed }),
  z.object({
    kind: z.literal('crossSpring'),
    leaves: z.number().int().min(1).max(12),
    leavesTyped: typed,
    full: z.number().int().min(1).max(12),
    fullTyped: typed,
    width: length(25, 130),
    widthTyped: typed,
    thickness: length(3, 25),
    thicknessTyped: typed,
    half: length(150, 900),
    halfTyped: typed,
    shortest: length(30, 900),
    shortestTyped: typed,
    free: length(-150, 400),
    freeTyped: typed,
    used: z.boolean(),
    source: z.enum(['measured', 'catalogue']),
    ...from,
  }),
  z.object({
    kind: z.literal('spindles'),
    left: length(-150, 300),
    leftTyped: typed,
    right: length(-150, 300),
    rightTyped: typed,
    ...from,
  }),
  z.object({ kind: z.literal('dropAxle'), by: length(-150, 300), byTyped: typed, ...from }),
  z.object({ kind: z.literal('spacer'), height: length(0, 150), heightTyped: typed, ...from }),
  z.object({
    kind: z.literal('perch'),
    pitch: length(2, 60),
    pitchTyped: typed,
    left: z.number().int().min(-20).max(20),
    leftTyped: typed,
    right: z.number().int().min(-20).max(20),
    rightTyped: typed,
    ...from,
  }),
  z.object({ kind: z.literal('pivotBush'), bush: z.enum(PIVOT_BUSHES), ...from }),
  z.object({ kind: z.literal('eyeBush'), bush: z.enum(BUSH_TYPE_IDS), ends: z.enum(BUSH_ENDS), ...from }),
  z.object({
    kind: z.literal('shearBlock'),
    rate: z.number().min(5).max(5000),
    rateTyped: typed,
    thick: length(8, 300),
    thickTyped: typed,
    offset: length(-200, 200),
    offsetTyped: typed,
    used: z.boolean(),
    source: z.enum(['measured', 'catalogue']),
    ...from,
  }),
  z.object({ kind: z.literal('blockHoles'), by: length(-200, 200), byTyped: typed }),
  z.object({
    kind: z.literal('helper'),
    device: z.enum(HELPERS),
    /** There before the work, and read with it; absent for a new one. */
    fitted: z.enum(FITTED).exactOptional(),
    gap: length(-300, 300),
    gapTyped: typed,
    stroke: length(5, 500),
    strokeTyped: typed,
    /** Carried by one at even shares of its stroke, kg. */
    open: mass,
    openTyped: typed,
    quarter: mass,
    quarterTyped: typed,
    half: mass,
    halfTyped: typed,
    threeQuarters: mass,
    threeQuartersTyped: typed,
    whole: mass,
    wholeTyped: typed,
    source: z.enum(['measured', 'catalogue']),
    ...from,
  }),
  z.object({
    kind: z.literal('axleWidth'),
    /** Housing from flange to flange, both sides together; negative is wider. */
    by: length(-400, 400),
    byTyped: typed,
    /** Centre to centre, after the work. */
    pads: length(300, 2000),
    padsTyped: typed,
    /** Each carries the spring in by so much, after the work. */
    hanger: length(-120, 120),
    hangerTyped: typed,
    shackle: length(-120, 120),
    shackleTyped: typed,
  }),
  z.object({ kind: z.literal('swayLinks'), ...from }),
  z.object({ kind: z.literal('wrapBar'), ...from }),
  z.object({ kind: z.literal('stopPad'), height: length(0, 200), heightTyped: typed, ...from }),
  z.object({ kind: z.literal('stopCut'), by: length(0, 200), byTyped: typed }),
  z.object({
    kind: z.literal('shocks'),
    shut: length(80, 1000),
    shutTyped: typed,
    open: length(100, 1400),
    openTyped: typed,
    ...from,
  }),
  z.object({
    kind: z.literal('ubolts'),
    leg: length(30, 700),
    legTyped: typed,
    /** Round over the axle tube, square over the pack. */
    bend: z.enum(BENDS),
    ...from,
  }),
  z.object({ kind: z.literal('line'), item: z.enum(SLACK_ITEMS), by: length(0, 1000), byTyped: typed, ...from }),
]);
export type ChangeRow = z.infer<typeof changeSchema>;
export type ChangeKind = ChangeRow['kind'];

/** A plan of a job as it is listed: by its name, with what it changes. */
export const planNameSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  version: z.number(),
  current: z.boolean(),
  changes: z.array(changeSchema),
});
export type PlanRow = z.infer<typeof planNameSchema>;

/** A new plan, empty or with changes; it becomes the one at work. Or another one taken up, or renamed. */
export const planActSchema = z.discriminatedUnion('act', [
  z.object({
    act: z.literal('new'),
    id: z.uuid(),
    name: z.string().trim().min(1, 'Give the plan a name.').max(120),
    changes: z.array(changeSchema).max(20),
  }),
  z.object({ act: z.literal('use'), id: z.uuid() }),
  z.object({
    act: z.literal('rename'),
    id: z.uuid(),
    name: z.string().trim().min(1, 'Give the plan a name.').max(120),
  }),
]);
export type PlanAct = z.infer<typeof planActSchema>;

export const planSchema = z.object({
  id: z.uuid(),
  name: z.string(),
  version: z.number(),
  updatedBy: z.string(),
  updatedAt: z.coerce.date().transform((d) => d.toISOString()),
  changes: z.array(changeSchema),
});

/** Where real packs end: as many leaves as one that is measured may have. */
const MOST_LEAVES = 20;

export const planEditSchema = z.object({
  version: z.number().int(),
  changes: z
    .array(changeSchema)
    .max(20)
    .refine(
      (changes) => changes.every((c) => c.kind !== 'pack' || c.leaves.length <= MOST_LEAVES),
      `A pack has ${MOST_LEAVES} leaves at most.`,
    ),
});
export type PlanEdit = z.infer<typeof planEditSchema>;

/** A school of the trade as a shop keeps to it, or as it was chosen for one job. */
export const schoolChoiceSchema = z.object({
  question: z.enum(SCHOOLS.map((s) => s.id) as [string, ...string[]]),
  school: z.enum(['one', 'other']),
  reason: z.string(),
  /** Of the shop as a whole, or of this job. */
  ofShop: z.boolean(),
  person: z.string(),
  chosenAt: z.coerce.date().transform((d) => d.toISOString()),
});
export type SchoolChoice = z.infer<typeof schoolChoiceSchema>;

export const newSchoolChoiceSchema = schoolChoiceSchema
  .omit({ person: true, chosenAt: true })
  .extend({ id: z.uuid(), reason: z.string().trim().min(3, 'Say why, in a few words.').max(300) });
export type NewSchoolChoice = z.infer<typeof newSchoolChoiceSchema>;
