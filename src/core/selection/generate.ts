import { CoreError } from '../errors';
import { drawLeafAxle } from '../suspension/longitudinalLeaf/turned';
import { branchesOf } from '../prediction/branches';
import { central } from '../prediction/lines';
import { LONGITUDINAL_LEAF } from '../suspension/longitudinalLeaf/kind';
import { SIDES } from '../vehicle/side';
import { type LeafAxleInput, type Change } from '../suspension/longitudinalLeaf/input';
import { camberFromCurvature, chordUnderCamber, curvatureFromCamber } from '../mechanics/leafpack/arc';
import { nestedCurvatures } from '../mechanics/leafpack/pack';
import { ASSUMED } from '../suspension/longitudinalLeaf/assumed';
import {
  blockEstimate,
  eyesEstimate,
  leafEstimates,
  newEyesEstimate,
  perchEstimate,
  rearchEstimate,
  shackleEstimate,
  widthEstimate,
} from '../suspension/longitudinalLeaf/partEstimates';
import { curvatureOfArch, eyeOffset } from '../mechanics/leafpack/eyes';
import { type PartLeaf } from '../parts/kinds';
import { refusal, type Limits, type StockPart, type Suiting } from './parts';

export const WAYS = [
  'leafAdded',
  'leafMade',
  'leafOut',
  'leafSwapped',
  'block',
  'blockOut',
  'shackle',
  'pack',
  'donorPack',
  'donorLeaf',
  'eyes',
  'overAxle',
  'rearch',
  'bushes',
] as const;
export type Way = (typeof WAYS)[number];

/** A part a candidate takes, for both sides together. */
export interface Taken {
  id: string;
  name: string;
  count: number;
  price: number | null;
  days: number | null;
  used: boolean;
}

/** One thing that could be done. */
export interface Candidate {
  /** The same for the same thing, whatever else is on offer. */
  id: string;
  name: string;
  ways: Way[];
  changes: Change[];
  /** The part each change comes from; null for what is made or taken away. */
  sources: (string | null)[];
  parts: Taken[];
  /** Something in it has to be made or done by a specialist; its price is not known. */
  made: string[];
  /** Rating of a spring afterwards, kg; null when nobody knows. */
  rating: number | null;
}

const PAIR = 2;

/** Free cambers of a pack: its own where measured, nested with the main leaf elsewhere; the main leaf's from the free arch. */
export function packCambers(part: Pick<StockPart, 'leaves' | 'freeArch' | 'form' | 'eyeBore'>): number[] {
  const main = part.leaves[0]!;
  const arc = (leaf: PartLeaf) => leaf.front + leaf.rear;
  let mainCurvature: number;
  if (main.camber !== null) mainCurvature = curvatureFromCamber(main.camber, chordUnderCamber(arc(main), main.camber));
  else {
    const offset = eyeOffset(part.form ?? 'upturned', part.eyeBore ?? ASSUMED.eyeBore.value, main.thickness);
    mainCurvature = curvatureOfArch((part.freeArch ?? 0) + main.thickness / 2, arc(main), offset);
  }
  const nested = nestedCurvatures(
    mainCurvature,
    part.leaves.map((leaf) => leaf.thickness),
  );
  return part.leaves.map(
    (leaf, i) => leaf.camber ?? camberFromCurvature(nested[i]!, arc(leaf) * (1 - (nested[i]! * arc(leaf)) ** 2 / 24)),
  );
}

/** One thing done, as it is thought of before it becomes a candidate. */
interface Step {
  id: string;
  name: string;
  way: Way;
  changes: Change[];
  part?: StockPart;
  made?: string[];
  rating?: number | null;
}

const oneStep = ({ id, name, way, changes, part, made = [], rating = null }: Step): Candidate => ({
  id,
  name,
  ways: [way],
  changes,
  sources: changes.map(() => part?.id ?? null),
  parts: part ? [taken(part, PAIR)] : [],
  made,
  rating,
});

/** A part as a candidate takes it. */
export const taken = (part: StockPart, count: number): Taken => ({
  id: part.id,
  name: part.name,
  count,
  price: part.price === null ? null : part.price * count,
  days: part.days,
  used: part.used,
});

/** Leaves to be made: lengths as shares of the main leaf, thickness against the pack's own, and how much tighter than it they curve. */
const MADE = { shares: [0.9, 0.78, 0.66, 0.55], thinner: [-1, 0, 1], tighter: [1, 1.2, 1.4, 1.65, 1.95, 2.3] } as const;
const REARCHED = [15, 25, 35, 50];

/** Free curvature of the main leaf as its readings say, to make a leaf that suits it; mean of the sides that can be solved. */
function usualCurvature(input: LeafAxleInput): number {
  const found = SIDES.flatMap((side) => {
    if (!input.sides[side].spring) return [];
    const bare = { ...input, changes: [] };
    const likeliest = branchesOf(LONGITUDINAL_LEAF, bare, side)[0]!.settle(drawLeafAxle(bare, central));
    try {
      return [LONGITUDINAL_LEAF.model(likeliest, side, 'sample').mainCurvature!];
    } catch (error) {
      if (error instanceof CoreError) return [];
      throw error;
    }
  });
  if (found.length > 0) return found.reduce((sum, k) => sum + k, 0) / found.length;
  const main = input.pack!.leaves[0]!;
  const spring = input.sides.left.spring ?? input.sides.right.spring;
  const length = main.front.value + main.rear.value;
  // A spring that cannot be solved: its free arch is some way above the loaded one.
  return curvatureFromCamber(Math.max(30, (spring?.archTop.value ?? 60) * 1.6), length);
}

/**
 * Everything that can be done to this axle one step at a time, and sensible pairs of steps. Never among them: a block on a steered
 * axle or without locators, stacked blocks, a heated, welded, cut-by-flame or drilled leaf; re-arching is marked as a specialist's.
 * @param most number of candidates after which no more pairs are made
 */
export function candidatesFor(
  input: LeafAxleInput,
  parts: readonly StockPart[],
  axle: Suiting,
  limits: Pick<Limits, 'noBlock' | 'noUsed' | 'onlyParts'>,
  most = 5000,
): Candidate[] {
  const { pack } = input;
  if (!pack) return [];
  const open = parts.filter((part) => refusal(part, axle) === null && !(limits.noUsed && part.used));
  const leaves = leavesOf(open, axle);
  const steps: Step[] = [
    ...leaves,
    ...(limits.onlyParts ? [] : madeLeaves(input)),
    ...pack.leaves.slice(1).map((_, k): Step => ({
      id: `out:${k + 2}`,
      name: `leaf ${k + 2} taken out`,
      way: 'leafOut',
      changes: [{ kind: 'removeLeaf', leaf: k + 1 }],
    })),
    ...(limits.noBlock ? [] : blocksOf(open)),
    ...(input.block.value > 0 ? [blockOut()] : []),
    ...(input.pad ? [] : shacklesOf(open, input)),
    ...packsOf(open),
    ...(limits.onlyParts ? [] : made(input, axle)),
    bushes(),
  ];
  const singles = steps.map(oneStep);
  return [...singles, ...pairsOf(singles, most - singles.length)];
}

function leavesOf(parts: readonly StockPart[], axle: Suiting): Step[] {
  return parts.flatMap((part): Step[] => {
    if (part.kind === 'leaf' || part.kind === 'addLeafSet' || part.kind === 'overload')
      return [
        {
          id: `leaf:${part.id}`,
          name: `add ${part.name}`,
          way: 'leafAdded',
          changes: part.leaves.map((leaf) => ({
            kind: 'addLeaf',
            ...leafEstimates({ ...leaf, camber: leaf.camber! }, 'catalogue'),
          })),
          part,
        },
      ];
    // A new pack is not bought for one of its leaves.
    if (part.kind !== 'pack' || !part.used) return [];
    const cambers = packCambers(part);
    // Any leaf of a donor but its main one, which would have to lose its eyes.
    return part.leaves.slice(1).flatMap((leaf, k): Step[] =>
      leaf.eyes !== 'none' || leaf.front > axle.front + 3 || leaf.rear > axle.rear + 3
        ? []
        : [
            {
              id: `donorLeaf:${part.id}:${k + 1}`,
              name: `leaf ${k + 2} of ${part.name}`,
              way: 'donorLeaf',
              changes: [
                {
                  kind: 'addLeaf',
                  ...leafEstimates({ ...leaf, camber: cambers[k + 1]! }, 'catalogue', leaf.camber !== null),
                },
              ],
              part,
            },
          ],
    );
  });
}

function madeLeaves(input: LeafAxleInput): Step[] {
  const [main] = input.pack!.leaves;
  const curvature = usualCurvature(input);
  const { seatShape, formedFlat } = input.pack!;
  const flat = seatShape === 'formed' ? (formedFlat?.value ?? 0) : 0;
  return MADE.shares.flatMap((share) =>
    MADE.thinner.flatMap((thinner) =>
      MADE.tighter.map((tighter): Step => {
        const size = {
          front: Math.round(main!.front.value * share),
          rear: Math.round(main!.rear.value * share),
          thickness: Math.round(main!.thickness.value) + thinner,
        };
        // What its maker forms flat over the seat, as in this pack, adds no camber.
        const camber = Math.round(camberFromCurvature(curvature * tighter, size.front + size.rear - flat));
        return {
          id: `make:${size.front}:${size.rear}:${size.thickness}:${camber}`,
          name: `leaf to be made, ${size.front + size.rear} x ${size.thickness}, camber ${camber}`,
          way: 'leafMade',
          changes: [{ kind: 'addLeaf', ...leafEstimates({ ...size, camber }, 'catalogue') }],
          made: ['a leaf made by a spring maker'],
        };
      }),
    ),
  );
}

const blocksOf = (parts: readonly StockPart[]): Step[] =>
  parts
    .filter((part) => part.kind === 'block')
    .map((part): Step => ({
      id: `block:${part.id}`,
      name: part.name,
      way: 'block',
      changes: [{ kind: 'block', height: blockEstimate(part.height!, 'catalogue') }],
      part,
    }));

const blockOut = (): Step => ({
  id: 'blockOut',
  name: 'block taken out',
  way: 'blockOut',
  changes: [{ kind: 'block', height: blockEstimate(0, 'measured') }],
});

const shacklesOf = (parts: readonly StockPart[], input: LeafAxleInput): Step[] =>
  parts
    .filter(
      (part) =>
        part.kind === 'shackle' && input.shackle && Math.abs(part.betweenBolts! - input.shackle.length.value) > 2,
    )
    .map((part): Step => ({
      id: `shackle:${part.id}`,
      name: part.name,
      way: 'shackle',
      changes: [{ kind: 'shackle', length: shackleEstimate(part.betweenBolts!, 'catalogue') }],
      part,
    }));

const packsOf = (parts: readonly StockPart[]): Step[] =>
  parts
    .filter((part) => part.kind === 'pack')
    .map((part): Step => {
      const cambers = packCambers(part);
      const offset = eyeOffset(
        part.form ?? 'upturned',
        part.eyeBore ?? ASSUMED.eyeBore.value,
        part.leaves[0]!.thickness,
      );
      return {
        id: `pack:${part.id}`,
        name: part.name,
        way: part.used ? 'donorPack' : 'pack',
        changes: [
          {
            kind: 'pack',
            leaves: part.leaves.map((leaf, i) =>
              leafEstimates({ ...leaf, camber: cambers[i]! }, 'catalogue', leaf.camber !== null),
            ),
            width: widthEstimate(part.width!, 'catalogue'),
            eyeOffset: eyesEstimate(offset, part.form !== null && part.eyeBore !== null, 'catalogue'),
            ...(part.form === null && { eyesUnseen: 'both' as const }),
            used: part.used,
            ...(part.leaves[0]!.camber === null && { byFreeArch: true }),
          },
        ],
        part,
        rating: part.rating,
      };
    });

/** What a specialist or a smith must make, besides leaves. */
function made(input: LeafAxleInput, axle: Suiting): Step[] {
  const now = input.pack!.eyeOffset.value;
  const main = input.pack!.leaves[0]!.thickness.value;
  const eyes = (['upturned', 'berlin', 'downturned'] as const)
    .map((form) => ({ form, offset: eyeOffset(form, Math.max(10, 2 * Math.abs(now) - main), main) }))
    .filter(({ offset }) => now !== 0 && Math.abs(offset - now) > 3)
    .map(({ form, offset }): Step => ({
      id: `eyes:${form}`,
      name: `main leaf with ${form === 'berlin' ? 'centred' : form} eyes`,
      way: 'eyes',
      changes: [{ kind: 'eyes', form, offset: newEyesEstimate(offset) }],
      made: ['a main leaf with other eyes'],
    }));
  const rearched = REARCHED.map((camber): Step => ({
    id: `rearch:${camber}`,
    name: `re-arched by ${camber} mm`,
    way: 'rearch',
    changes: [{ kind: 'rearch', camber: rearchEstimate(camber) }],
    made: ['re-arching by a specialist, crack-tested'],
  }));
  const over: Step[] =
    axle.arrangement === 'under'
      ? [
          {
            id: 'overAxle',
            name: 'spring moved over the axle',
            way: 'overAxle',
            changes: [{ kind: 'overAxle', perch: perchEstimate(input.perch.value) }],
            made: ['new perches welded on by a qualified welder, new U-bolts'],
          },
        ]
      : [];
  return [...eyes, ...rearched, ...over];
}

const bushes = (): Step => ({
  id: 'bushes',
  name: 'bushes only',
  way: 'bushes',
  changes: [],
});

/** Which ways go together in a pair. A pack brings its own leaves; blocks and shackles are never doubled. */
const TOGETHER: readonly [Way, Way][] = [
  ['leafAdded', 'shackle'],
  ['leafAdded', 'leafOut'],
  ['leafAdded', 'block'],
  ['donorLeaf', 'leafOut'],
  ['donorLeaf', 'shackle'],
  ['leafMade', 'leafOut'],
  ['leafMade', 'shackle'],
  ['pack', 'shackle'],
  ['donorPack', 'shackle'],
  ['pack', 'block'],
  ['block', 'shackle'],
  ['leafAdded', 'blockOut'],
  ['pack', 'blockOut'],
  ['leafAdded', 'leafAdded'],
];

function pairsOf(singles: readonly Candidate[], most: number): Candidate[] {
  const pairs: Candidate[] = [];
  for (const [one, other] of TOGETHER)
    for (const a of singles) {
      if (a.ways[0] !== one) continue;
      for (const b of singles) {
        if (b.ways[0] !== other || a === b || (one === other && a.id > b.id)) continue;
        if (pairs.length >= most) return pairs;
        const swapped = other === 'leafOut';
        pairs.push({
          id: `${a.id}+${b.id}`,
          name: `${a.name}, ${b.name}`,
          ways: swapped ? ['leafSwapped', ...a.ways, ...b.ways] : [...a.ways, ...b.ways],
          // A leaf is counted in the pack as it stands, so it is taken out first.
          changes: swapped ? [...b.changes, ...a.changes] : [...a.changes, ...b.changes],
          sources: swapped ? [...b.sources, ...a.sources] : [...a.sources, ...b.sources],
          parts: [...a.parts, ...b.parts],
          made: [...a.made, ...b.made],
          rating: a.rating ?? b.rating,
        });
      }
    }
  return pairs;
}
