import { z } from 'zod';
import { ORIGINS } from '@/core/estimate/estimate';
import { FITTED, HELPERS } from '@/core/mechanics/helper/curve';
import { COIL_ENDS } from '@/core/mechanics/coil/coil';
import { PIVOT_BUSHES, type CoilAxleInput, type CoilKind } from '@/core/suspension/coil/input';
import { type TANDEM_KINDS, type TandemAxleInput } from '@/core/suspension/tandem/input';
import { type ShearAxleInput } from '@/core/suspension/rubberShear/input';
import { type CrossAxleInput } from '@/core/suspension/transverseLeaf/input';
import { EYE_FORMS } from '@/core/mechanics/leafpack/eyes';
import { LEAF_ROLES, SEAT_SHAPES, type LeafAxleInput } from '@/core/suspension/longitudinalLeaf/input';
import { SETTLING_IDS } from '@/core/vehicle/settling';
import { type AxlePrediction } from '@/core/suspension/registry';
import { type Band } from '@/core/prediction/band';
import { SIDES } from '@/core/vehicle/side';
import { ledgerLineSchema } from './ledger';

/*
 * Records as they were stored. Inputs carry the version of their own schema; an older one is lifted step by step, each step from one
 * version to the next, so that what was stored once can be read, drawn and solved for ever. A step is never changed.
 */

const estimate = z.object({ value: z.number(), half90: z.number(), origin: z.enum(ORIGINS) });
const arrangement = z.enum(['over', 'under']);
const sized = { front: estimate, rear: estimate, thickness: estimate };
const cambered = { ...sized, camber: estimate, chord: estimate };
const expects = z.partialRecord(
  z.enum(SETTLING_IDS),
  z.object({ value: z.number(), half: z.number(), jobs: z.number() }),
);
const branch = z.enum(['loading', 'unloading']);

const leafChange = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('addLeaf'), ...cambered }),
  z.object({ kind: z.literal('block'), height: estimate }),
  z.object({
    kind: z.literal('wedge'),
    angle: estimate,
    height: estimate,
    thick: z.enum(['front', 'rear']),
  }),
  z.object({ kind: z.literal('shackle'), length: estimate }),
  z.object({ kind: z.literal('removeLeaf'), leaf: z.number() }),
  z.object({
    kind: z.literal('pack'),
    leaves: z.array(z.object(cambered)),
    width: estimate,
    eyeOffset: estimate,
    eyesUnseen: z.literal('both').exactOptional(),
    used: z.boolean(),
    byFreeArch: z.boolean().exactOptional(),
  }),
  z.object({ kind: z.literal('rearch'), camber: estimate }),
  z.object({ kind: z.literal('eyes'), form: z.enum(EYE_FORMS), offset: estimate }),
  z.object({ kind: z.literal('mendLeaf') }),
  z.object({ kind: z.literal('overAxle'), perch: estimate }),
  z.object({
    kind: z.literal('helper'),
    device: z.enum(HELPERS),
    fitted: z.enum(FITTED).exactOptional(),
    ...{ gap: estimate, stroke: z.number(), forces: z.array(z.number()), share: estimate },
  }),
]);

const leafSpring = z.object({
  archTop: estimate,
  load: estimate,
  freeArch: estimate.exactOptional(),
  more: z
    .object({
      freeArchTop: estimate.nullable(),
      states: z.array(
        z.object({ name: z.string(), load: estimate, archTop: estimate.nullable(), height: estimate.nullable() }),
      ),
      press: z.array(z.object({ force: z.number(), archTop: estimate, branch })).exactOptional(),
    })
    .exactOptional(),
  broken: z.object({ leaf: z.number(), end: z.enum(['front', 'rear']), at: z.number() }).exactOptional(),
});
const leafSide = z.object({ height: estimate.nullable(), spring: leafSpring.nullable() });

const leafPack = z.object({
  leaves: z.array(
    z.object({
      ...sized,
      departure: estimate,
      role: z.enum([...LEAF_ROLES, 'unknown']).exactOptional(),
      own: z.object({ camber: estimate, chord: estimate }).exactOptional(),
      tip: estimate.exactOptional(),
      clips: z.object({ front: estimate.exactOptional(), rear: estimate.exactOptional() }).exactOptional(),
    }),
  ),
  clipPlay: estimate.exactOptional(),
  width: estimate,
  seatLength: estimate,
  inactive: estimate,
  seatShape: z.enum([...SEAT_SHAPES, 'unknown']),
  formedFlat: estimate.exactOptional(),
  overloadGap: estimate.exactOptional(),
  friction: estimate,
  eyeOffset: estimate,
  eyeOffsetRear: estimate.exactOptional(),
  eyesUnseen: z.enum(['both', 'front', 'rear']).exactOptional(),
  liner: estimate.exactOptional(),
  tipPad: estimate.exactOptional(),
  rateFactor: estimate.exactOptional(),
});

const leafInput: z.ZodType<LeafAxleInput> = z.object({
  schemaVersion: z.literal(2),
  kind: z.literal('longitudinalLeaf'),
  arrangement,
  block: estimate,
  tubeDiameter: estimate,
  perch: estimate,
  rolled: z.boolean(),
  pack: leafPack.nullable(),
  own: z.object({ side: z.enum(SIDES), pack: leafPack.nullable() }).exactOptional(),
  shackle: z
    .object({
      length: estimate,
      angle: estimate,
      eye: z.enum(['below', 'above']).exactOptional(),
      at: z.literal('front').exactOptional(),
    })
    .exactOptional(),
  pad: z.object({ slope: estimate, friction: estimate.exactOptional() }).exactOptional(),
  sides: z.object({ left: leafSide, right: leafSide }),
  tyreRate: estimate,
  lipOverBase: estimate.exactOptional(),
  ubolt: z
    .object({
      exposed: z.number(),
      pitch: z.number(),
      threaded: z.number().optional(),
      nutHeight: z.number().optional(),
    })
    .nullable(),
  centreBolt: z.object({ nutHeight: z.number(), pitch: z.number(), origin: z.enum(['measured', 'assumed']) }),
  changes: z.array(leafChange),
  hanging: z.number().exactOptional(),
  states: z.array(z.object({ id: z.string(), name: z.string(), extraMass: estimate })),
  afterReading: z.number(),
  expects: expects.exactOptional(),
});

const coil = z.object({
  wire: estimate,
  outside: estimate,
  turns: estimate,
  ends: z.enum([...COIL_ENDS, 'unknown']),
  free: estimate.nullable(),
  rateFactor: estimate.exactOptional(),
});
const coilSide = z.object({
  height: estimate.nullable(),
  spring: z.object({ load: estimate, length: estimate.nullable() }).nullable(),
});
const both = z.object({ left: estimate, right: estimate });
const coilInputOf = <K extends CoilKind>(kind: K) =>
  z.object({
    schemaVersion: z.literal(2),
    kind: z.literal(kind),
    rolled: z.boolean(),
    coil: coil.nullable(),
    spacer: estimate,
    ratio: estimate,
    swing: z.object({ arm: estimate, rise: estimate, radius: estimate.nullable() }).exactOptional(),
    pivotBush: z.object({ shell: z.number(), sleeve: z.number(), length: z.number() }).exactOptional(),
    open: z.object({ left: estimate.nullable(), right: estimate.nullable() }).exactOptional(),
    sides: z.object({ left: coilSide, right: coilSide }),
    tyreRate: estimate,
    lipOverBase: estimate.exactOptional(),
    changes: z.array(
      z.discriminatedUnion('kind', [
        z.object({ kind: z.literal('coil'), coil, used: z.boolean() }),
        z.object({ kind: z.literal('spacer'), height: estimate }),
        both.extend({ kind: z.literal('perch') }),
        z.object({ kind: z.literal('pivotBush'), bush: z.enum(PIVOT_BUSHES) }),
      ]),
    ),
    hanging: z.number().exactOptional(),
    states: z.array(z.object({ id: z.string(), name: z.string(), extraMass: estimate })),
    afterReading: z.number(),
    expects: expects.exactOptional(),
  });
const coilInput: z.ZodType<CoilAxleInput<'coilBeam'>> = coilInputOf('coilBeam');
const twinInput: z.ZodType<CoilAxleInput<'twinBeam'>> = coilInputOf('twinBeam');
const trailInput: z.ZodType<CoilAxleInput<'torsionBeam'>> = coilInputOf('torsionBeam');
const unitInput: z.ZodType<CoilAxleInput<'coilOver'>> = coilInputOf('coilOver');

const pairSpring = z.object({
  leaves: z.number(),
  full: z.number(),
  width: estimate,
  thickness: estimate,
  outer: estimate,
  inner: estimate,
  rateFactor: estimate,
});
const pairSide = z.object({
  height: estimate.nullable(),
  spring: z
    .object({
      load: estimate,
      arch: z.object({ front: estimate, rear: estimate }),
      second: z.object({ extra: estimate, lower: estimate }).nullable(),
    })
    .nullable(),
});
const tandemInput = <K extends (typeof TANDEM_KINDS)[number]>(kind: K) =>
  z.object({
    schemaVersion: z.literal(2),
    kind: z.literal(kind),
    rolled: z.boolean(),
    arrangement: z.enum(['over', 'under']),
    spring: pairSpring.nullable(),
    inactive: estimate,
    friction: estimate,
    spacing: estimate,
    rocker: z
      .object({
        ...{ front: estimate, rear: estimate, below: estimate },
        lean: z.object({ front: estimate, rear: estimate }),
        ...{ shackle: estimate, tilt: estimate, stop: estimate.nullable() },
      })
      .nullable(),
    drop: z.object({ outer: estimate, inner: estimate }),
    pitch: estimate,
    share: estimate,
    hitchReach: z.number(),
    unsprung: estimate,
    tube: estimate,
    perch: estimate,
    wheelLimit: z.number().nullable(),
    sides: z.object({ left: pairSide, right: pairSide }),
    tyreRate: estimate,
    changes: z.array(
      z.discriminatedUnion('kind', [
        z.object({ kind: z.literal('springs'), spring: pairSpring, free: estimate, used: z.boolean() }),
        z.object({ kind: z.literal('shackle'), length: estimate }),
        z.object({ kind: z.literal('rocker'), front: estimate, rear: estimate, below: estimate }),
        z.object({ kind: z.literal('slipper'), drop: estimate }),
        z.object({ kind: z.literal('riser'), height: estimate }),
        z.object({ kind: z.literal('overAxle'), height: estimate }),
        z.object({ kind: z.literal('hitch'), by: estimate }),
      ]),
    ),
    hanging: z.number().exactOptional(),
    states: z.array(z.object({ id: z.string(), name: z.string(), extraMass: estimate })),
    afterReading: z.number(),
    expects: expects.exactOptional(),
  });
const rockerInput: z.ZodType<TandemAxleInput<'tandemEqualizer'>> = tandemInput('tandemEqualizer');
const slipperInput: z.ZodType<TandemAxleInput<'tandemSlipper'>> = tandemInput('tandemSlipper');

const crossSpring = z.object({
  leaves: z.number(),
  full: z.number(),
  width: estimate,
  thickness: estimate,
  shortest: estimate,
  rateFactor: estimate,
});
const crossSide = z.object({
  height: estimate.nullable(),
  spring: z
    .object({
      ...{ load: estimate, half: estimate, drop: estimate },
      second: z.object({ extra: estimate, lower: estimate }).nullable(),
    })
    .nullable(),
});
const crossInput: z.ZodType<CrossAxleInput> = z.object({
  schemaVersion: z.literal(2),
  kind: z.literal('transverseLeaf'),
  rolled: z.boolean(),
  spring: crossSpring.nullable(),
  broken: z.number().nullable(),
  clamp: estimate,
  inactive: estimate,
  friction: estimate,
  upright: z.union([z.literal('beam'), z.object({ arm: estimate, slope: estimate, kingpin: estimate })]).nullable(),
  sides: z.object({ left: crossSide, right: crossSide }),
  tyreRate: estimate,
  lipOverBase: estimate.exactOptional(),
  changes: z.array(
    z.discriminatedUnion('kind', [
      z.object({
        kind: z.literal('crossSpring'),
        spring: crossSpring,
        half: estimate,
        free: estimate,
        used: z.boolean(),
      }),
      z.object({ kind: z.literal('spindles'), left: estimate, right: estimate }),
      z.object({ kind: z.literal('dropAxle'), by: estimate }),
    ]),
  ),
  hanging: z.number().exactOptional(),
  states: z.array(z.object({ id: z.string(), name: z.string(), extraMass: estimate })),
  afterReading: z.number(),
  expects: expects.exactOptional(),
});

const shearBlock = z.object({ rate: estimate, thick: estimate });
const shearSide = z.object({
  height: estimate.nullable(),
  spring: z
    .object({
      ...{ load: estimate, offset: estimate },
      second: z.object({ extra: estimate, lower: estimate }).nullable(),
    })
    .nullable(),
});
const shearInput: z.ZodType<ShearAxleInput> = z.object({
  schemaVersion: z.literal(2),
  kind: z.literal('rubberShear'),
  rolled: z.boolean(),
  block: shearBlock.nullable(),
  leaf: z
    .object({
      ...{ leaves: z.number(), full: z.number() },
      ...{ width: estimate, thickness: estimate, rateFactor: estimate },
    })
    .nullable(),
  arms: z.object({ fixed: estimate, nose: estimate }).nullable(),
  hysteresis: estimate,
  sides: z.object({ left: shearSide, right: shearSide }),
  tyreRate: estimate,
  lipOverBase: estimate.exactOptional(),
  changes: z.array(
    z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('shearBlock'), block: shearBlock, offset: estimate, used: z.boolean() }),
      z.object({ kind: z.literal('blockHoles'), by: estimate }),
    ]),
  ),
  hanging: z.number().exactOptional(),
  states: z.array(z.object({ id: z.string(), name: z.string(), extraMass: estimate })),
  afterReading: z.number(),
  expects: expects.exactOptional(),
});

type Raw = Record<string, unknown>;
/** From each version to the next. */
const UP: Record<number, (was: Raw) => Raw> = {
  // Axles of one kind only, which went without saying.
  1: (was) => ({ ...was, schemaVersion: 2, kind: 'longitudinalLeaf' }),
};

/** A stored input of any version, as one of today's. */
function lifted(stored: unknown): unknown {
  let record = stored;
  for (;;) {
    const version = z.looseObject({ schemaVersion: z.number() }).safeParse(record).data;
    const step = version && UP[version.schemaVersion];
    if (!version || !step) return record;
    record = step(version);
  }
}

/** An immutable input, lifted to the schema of today. */
export const storedInputSchema = z.preprocess(
  lifted,
  z.union([leafInput, coilInput, rockerInput, slipperInput, crossInput, twinInput, trailInput, unitInput, shearInput]),
);

/** What is stored of an answer. */
export interface NewResult {
  schemaVersion: 1;
  prediction: AxlePrediction;
  bands: Record<'left' | 'right', Band[] | null>;
}

const band = z.object({
  low: z.number(),
  high: z.number(),
  half: z.number(),
  samples: z.number(),
  unsolved: z.object({ share: z.number(), reason: z.string() }).exactOptional(),
});
const figures = z.looseObject({
  load: z.number(),
  rate: z.number(),
  frequency: z.number().nullable(),
  frictionHeight: z.number(),
});
const sidePrediction = z.looseObject({
  states: z.array(
    z.object({
      id: z.string(),
      name: z.string(),
      ledger: z.array(ledgerLineSchema),
      before: z.number().nullable(),
      beforeHere: z.number().nullable(),
      after: z.number().nullable(),
      change: z.number(),
      firstOrder: z.number(),
      contributions: z.array(z.object({ path: z.string(), effect: z.number(), origin: z.enum(ORIGINS) })),
      old: figures.nullable(),
      built: figures.nullable(),
    }),
  ),
});
/** An immutable answer: what every kind of axle has; figures and drawings of its own kind stay as they were stored. */
export const storedResultSchema = z.object({
  schemaVersion: z.literal(1),
  prediction: z.looseObject({
    coreVersion: z.string(),
    sides: z.object({ left: sidePrediction.nullable(), right: sidePrediction.nullable() }),
  }),
  bands: z.object({ left: z.array(band).nullable(), right: z.array(band).nullable() }),
});

/** The whole record: from what and to what it was solved. */
export const predictionRecordSchema = z.object({
  id: z.uuid(),
  coreVersion: z.string(),
  seed: z.number(),
  samples: z.number(),
  inputs: storedInputSchema,
  result: storedResultSchema,
});
