import { z } from 'zod';
import { type SolvedFacts } from '@/core/fit/mustFit';
import { SPRING_ENDS } from '@/core/suspension/kind';
import { type LeafStanding } from '@/core/suspension/longitudinalLeaf/checks';
import { standingOf as shearStanding } from '@/core/suspension/rubberShear/standing';
import { standingOf } from '@/core/suspension/transverseLeaf/standing';
import { type KindStanding } from '@/core/suspension/registry';
import { hubDrop, worstTravel, type HubTravel } from '@/core/travel/hubTravel';

const stresses = z.array(z.array(z.number()));
const drop = z.number().transform(hubDrop);
const ends = z.array(z.object({ id: z.enum(SPRING_ENDS), at: drop, half90: z.number() })).default([]);
const travel = z
  .object({
    ...{ today: drop, planned: drop, droopToday: drop.nullable(), droopPlanned: drop.nullable() },
    ...{ endsToday: ends, endsPlanned: ends, topRise: z.number().default(0) },
    ...{ laden: drop.exactOptional(), lightest: drop.exactOptional() },
  })
  .nullable()
  .transform((t): { travel: HubTravel | null } => ({ travel: t }));

const coil = z.object({
  ...{ stress: z.number(), toSolid: z.number(), toLoose: z.number(), straight: z.boolean() },
  rate: z.number().exactOptional(),
  swing: z
    .object({ gained: z.number(), casterLost: z.number().nullable(), hangs: z.number() })
    .nullable()
    .exactOptional(),
  preload: z.number().nullable().exactOptional(),
});
const wheel = z.object({ wheel: z.number(), stress: z.number() });
const pair = z.object({
  front: wheel,
  rear: wheel,
  swing: z.number().nullable(),
  stop: z.number().nullable(),
  atStop: z.boolean(),
  slope: z.number().default(0),
  step: z.object({ up: z.number(), down: z.number() }).nullable(),
});

const numbers = z.array(z.number());
const half = z.object({ reach: z.number(), camber: z.number().nullable() });
const cross = z.object({
  old: half.nullable(),
  built: half.extend({ peakStress: numbers, clampStress: numbers, nominalStress: numbers }),
});

const block = z.object({ blockRate: z.number() });
const shear = z.object({
  old: block.nullable(),
  built: block.extend({ strain: z.number(), toLimit: z.number(), leafStress: z.number() }),
});

const helper = z.object({ pressed: z.number(), stroke: z.number(), force: z.number() });

const stored = z.object({
  ubolt: z.unknown(),
  left: travel,
  right: travel,
  working: stresses,
  clamped: stresses,
  nominal: stresses,
  coils: z.array(coil),
  pair: z.array(pair),
  cross: z.array(cross).default([]),
  shear: z.array(shear).default([]),
  helpers: z.array(helper).default([]),
});

/** What a stored prediction says of what must fit, out of its immutable result; empty where an older core did not say. */
export const factsSchema = stored.transform(({ left, right, ...kinds }): SolvedFacts => ({
  travel: worstTravel({ left, right }),
  own: ownOf(kinds),
}));

/** What the kind's checks hang on; which kind it is of shows in what there is. */
function ownOf(kinds: Omit<z.infer<typeof stored>, 'left' | 'right'>): KindStanding {
  const { ubolt, working, clamped, nominal, coils, pair, cross, shear, helpers } = kinds;
  if (coils.length > 0) return { kind: 'coilBeam', of: coils };
  if (pair.length > 0) return { kind: 'tandemEqualizer', of: pair };
  if (cross.length > 0) return { kind: 'transverseLeaf', of: cross.map(({ old, built }) => standingOf(old, built)) };
  if (shear.length > 0) return { kind: 'rubberShear', of: shear.map(({ old, built }) => shearStanding(old, built)) };
  return {
    kind: 'longitudinalLeaf',
    of: {
      ubolt: (ubolt ?? null) as LeafStanding['ubolt'],
      ...(helpers.length > 0 && { helpers }),
      // Records of an older core have no nominal stress: their peaks are held against the nominal limit, as they were.
      standing: [
        ...working.map((w, k) => ({ working: w, ...(nominal[k] && { nominal: nominal[k] }) })),
        ...clamped.map((c) => ({ working: [], clamped: c })),
      ],
    },
  };
}
