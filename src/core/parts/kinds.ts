import { type FieldRule } from '../units/parse';
import { lengthRule, massRule, THREAD_RULE, TURNS_RULE } from '../units/rules';

/** What one dimension of a part is called and may be. Lengths mm, angles rad, rates N/mm. */
export interface PartDimension {
  name: string;
  rule: FieldRule;
  hint?: string;
}

export const PART_DIMENSIONS = {
  width: { name: 'width', rule: lengthRule(10, 300, 60) },
  freeArch: {
    name: 'free arch',
    rule: lengthRule(-300, 500, 110),
    hint: 'assembled, lying free: eye line to the main leaf’s top face at the pin',
  },
  eyeBore: { name: 'eye bore', rule: lengthRule(6, 120, 35) },
  boltFront: { name: 'front eye bolt', rule: THREAD_RULE },
  boltRear: { name: 'rear eye bolt', rule: THREAD_RULE },
  centreHole: { name: 'centre hole', rule: lengthRule(4, 40, 10) },
  rate: {
    name: 'rate',
    rule: { dimension: 'rate', unit: 'N/mm', min: 1, max: 5000, alternatives: ['lbf/in'] },
    hint: 'as its maker gives it',
  },
  height: { name: 'height', rule: lengthRule(2, 300, 45) },
  length: { name: 'length', rule: lengthRule(5, 2500) },
  dowel: { name: 'dowel', rule: lengthRule(3, 60, 15), hint: 'the locator that stands out' },
  dowelHole: { name: 'dowel hole', rule: lengthRule(3, 60, 15), hint: 'the locator that takes one in' },
  angle: {
    name: 'angle',
    rule: { dimension: 'angle', unit: 'deg', min: 0.003, max: 0.3, expected: 0.05 },
  },
  betweenBolts: { name: 'bolt to bolt', rule: lengthRule(20, 400, 105) },
  bolt: { name: 'bolt', rule: THREAD_RULE },
  insideWidth: { name: 'inside width', rule: lengthRule(8, 400, 70) },
  outside: { name: 'outside diameter', rule: lengthRule(6, 150, 36) },
  bore: { name: 'bore', rule: lengthRule(4, 100, 15) },
  freeLength: { name: 'free length', rule: lengthRule(10, 900, 90) },
  closedLength: { name: 'closed length', rule: lengthRule(100, 1200, 320), hint: 'between mounts' },
  openLength: { name: 'open length', rule: lengthRule(120, 1800, 500), hint: 'between mounts' },
  thread: { name: 'thread', rule: THREAD_RULE, hint: 'its name: M12, M12 x 1.25, 1/2-13, 1/2-20 UNF' },
  threadLength: { name: 'threaded length', rule: lengthRule(5, 300, 70) },
  legLength: { name: 'leg inside the bend', rule: lengthRule(30, 800, 190) },
  headWidth: { name: 'head across', rule: lengthRule(4, 60, 15), hint: 'the round head that is the dowel' },
  headHeight: { name: 'head height', rule: lengthRule(2, 50, 9) },
  insideHeight: { name: 'inside height', rule: lengthRule(5, 300, 45) },
  wire: { name: 'wire', rule: lengthRule(4, 45, 14) },
  outsideDiameter: { name: 'outside diameter', rule: lengthRule(40, 350, 130), hint: 'across a turn in the middle' },
  turns: { name: 'turns, end to end', rule: TURNS_RULE },
  frontArm: { name: 'arm to the front spring', rule: lengthRule(30, 600, 110), hint: 'pivot to pin, level' },
  rearArm: { name: 'arm to the rear spring', rule: lengthRule(30, 600, 110), hint: 'pivot to pin, level' },
  pinsBelow: { name: 'pins below the pivot', rule: lengthRule(-150, 200), hint: 'minus above it' },
  drop: { name: 'drop', rule: lengthRule(2, 300, 50), hint: 'wheel’s centre lower than on the standard part' },
  stroke: { name: 'stroke', rule: lengthRule(5, 500, 90), hint: 'from open or touching to as far as it may go' },
  carriesOpen: { name: 'carries open', rule: massRule(0, 20_000), hint: 'one of them; 0 where it only touches' },
  carriesQuarter: { name: 'at a quarter of its stroke', rule: massRule(0, 20_000) },
  carriesHalf: { name: 'at half of its stroke', rule: massRule(0, 20_000) },
  carriesThree: { name: 'at three quarters', rule: massRule(0, 20_000) },
  carriesWhole: { name: 'at its whole stroke', rule: massRule(0, 20_000) },
  offset: {
    name: 'free offset',
    rule: lengthRule(-200, 200),
    hint: 'carrier’s side above the frame’s side, nothing on it; minus below',
  },
  rubber: { name: 'rubber, plate to plate', rule: lengthRule(8, 300, 75) },
  rows: { name: 'rows of bolt holes, apart', rule: lengthRule(10, 400, 60) },
  // Derived from the leaves.
  leafCount: { name: 'leaves', rule: { dimension: 'count', unit: 'count', min: 1, max: 30 } },
  thickness: { name: 'thickness', rule: lengthRule(1, 300, 45) },
  front: { name: 'main leaf, pin to front', rule: lengthRule(20, 2500, 600) },
  rear: { name: 'main leaf, pin to rear', rule: lengthRule(20, 2500, 600) },
} as const satisfies Record<string, PartDimension>;

export type PartDimensionId = keyof typeof PART_DIMENSIONS;
export const PART_DIMENSION_IDS = Object.keys(PART_DIMENSIONS) as [PartDimensionId, ...PartDimensionId[]];
export const dimensionOf = (id: PartDimensionId): PartDimension => PART_DIMENSIONS[id];

/** Dimensions of a part with leaves that follow from them. */
export const DERIVED = ['leafCount', 'thickness', 'front', 'rear'] as const;

export interface KindOfPart {
  name: string;
  plural: string;
  /** Leaves it has: none, exactly one, or any number. */
  leaves: 'none' | 'one' | 'many';
  dimensions: readonly PartDimensionId[];
  /** Forms it comes in; empty when there is only one. */
  forms: readonly { id: string; name: string }[];
}

const EYES = [
  { id: 'upturned', name: 'eyes upturned' },
  { id: 'berlin', name: 'eyes centred' },
  { id: 'downturned', name: 'eyes downturned' },
];

/** Every kind of part a shelf holds, with what is measured of it. */
export const PART_KINDS = {
  pack: {
    name: 'leaf pack',
    plural: 'leaf packs',
    leaves: 'many',
    dimensions: ['width', 'freeArch', 'eyeBore', 'boltFront', 'boltRear', 'centreHole', 'rate'],
    forms: EYES,
  },
  leaf: { name: 'leaf', plural: 'leaves', leaves: 'one', dimensions: ['width', 'centreHole'], forms: [] },
  addLeafSet: {
    name: 'add-a-leaf set',
    plural: 'add-a-leaf sets',
    leaves: 'many',
    dimensions: ['width', 'centreHole'],
    forms: [],
  },
  overload: {
    name: 'overload leaf',
    plural: 'overload leaves',
    leaves: 'one',
    dimensions: ['width', 'centreHole', 'rate'],
    forms: [],
  },
  block: {
    name: 'block',
    plural: 'blocks',
    leaves: 'none',
    dimensions: ['height', 'width', 'length', 'dowel', 'dowelHole'],
    forms: [],
  },
  wedge: {
    name: 'wedge',
    plural: 'wedges',
    leaves: 'none',
    dimensions: ['angle', 'width', 'length', 'centreHole'],
    forms: [],
  },
  shackle: {
    name: 'shackle',
    plural: 'shackles',
    leaves: 'none',
    dimensions: ['betweenBolts', 'bolt', 'insideWidth'],
    forms: [
      { id: 'plates', name: 'loose plates' },
      { id: 'welded', name: 'welded frame' },
    ],
  },
  hanger: {
    name: 'hanger',
    plural: 'hangers',
    leaves: 'none',
    dimensions: ['height', 'bolt', 'insideWidth'],
    forms: [
      { id: 'fixedEnd', name: 'for the fixed eye' },
      { id: 'shackleEnd', name: 'for the shackle' },
      { id: 'slipper', name: 'for a slipper end' },
    ],
  },
  bush: {
    name: 'bush',
    plural: 'bushes',
    leaves: 'none',
    dimensions: ['outside', 'bore', 'length'],
    forms: [
      { id: 'bondedRubber', name: 'bonded rubber' },
      { id: 'polyurethane', name: 'polyurethane, free sleeve' },
      { id: 'nylon', name: 'nylon' },
      { id: 'bronze', name: 'bronze, greased' },
      { id: 'threaded', name: 'threaded metal' },
    ],
  },
  stop: {
    name: 'bump stop',
    plural: 'bump stops',
    leaves: 'none',
    dimensions: ['freeLength', 'width', 'bolt'],
    forms: [
      { id: 'rubber', name: 'rubber' },
      { id: 'urethane', name: 'cast urethane' },
      { id: 'foam', name: 'microcellular foam' },
    ],
  },
  shock: {
    name: 'shock',
    plural: 'shocks',
    leaves: 'none',
    dimensions: ['closedLength', 'openLength', 'bolt'],
    forms: [
      { id: 'eyes', name: 'eye at both ends' },
      { id: 'stemAndEye', name: 'stem above, eye below' },
      { id: 'stems', name: 'stem at both ends' },
    ],
  },
  ubolt: {
    name: 'U-bolt',
    plural: 'U-bolts',
    leaves: 'none',
    dimensions: ['thread', 'insideWidth', 'legLength', 'threadLength'],
    forms: [
      { id: 'round', name: 'round bend' },
      { id: 'square', name: 'square bend' },
      { id: 'semiRound', name: 'half-round bend' },
    ],
  },
  centreBolt: {
    name: 'centre bolt',
    plural: 'centre bolts',
    leaves: 'none',
    dimensions: ['thread', 'length', 'threadLength', 'headWidth', 'headHeight'],
    forms: [],
  },
  clip: {
    name: 'leaf clip',
    plural: 'leaf clips',
    leaves: 'none',
    dimensions: ['insideWidth', 'insideHeight', 'bolt'],
    forms: [
      { id: 'bolted', name: 'bolted' },
      { id: 'bent', name: 'bent over' },
    ],
  },
  coil: {
    name: 'coil',
    plural: 'coils',
    leaves: 'none',
    dimensions: ['wire', 'outsideDiameter', 'turns', 'freeLength', 'rate'],
    forms: [
      { id: 'closedGround', name: 'ends closed and ground' },
      { id: 'closed', name: 'ends closed' },
      { id: 'open', name: 'ends open' },
      { id: 'pigtail', name: 'ends drawn in' },
    ],
  },
  rocker: {
    name: 'rocker',
    plural: 'rockers',
    leaves: 'none',
    dimensions: ['frontArm', 'rearArm', 'pinsBelow', 'bore'],
    forms: [],
  },
  spindle: {
    name: 'lifted spindle',
    plural: 'lifted spindles',
    leaves: 'none',
    dimensions: ['drop', 'bore'],
    forms: [
      { id: 'left', name: 'left' },
      { id: 'right', name: 'right' },
      { id: 'pair', name: 'left and right as a pair' },
    ],
  },
  dropAxle: {
    name: 'drop axle',
    plural: 'drop axles',
    leaves: 'none',
    dimensions: ['drop', 'length', 'bore'],
    forms: [],
  },
  helperSpring: {
    name: 'helper spring',
    plural: 'helper springs',
    leaves: 'none',
    dimensions: ['stroke', 'carriesOpen', 'carriesQuarter', 'carriesHalf', 'carriesThree', 'carriesWhole'],
    forms: [
      { id: 'rubber', name: 'rubber' },
      { id: 'air', name: 'air, at the pressure it is run at' },
      { id: 'clampOn', name: 'clamped on the pack' },
      { id: 'leaf', name: 'leaf' },
    ],
  },
  swayLink: {
    name: 'sway-bar link',
    plural: 'sway-bar links',
    leaves: 'none',
    dimensions: ['length', 'bolt'],
    forms: [],
  },
  wrapBar: { name: 'anti-wrap bar', plural: 'anti-wrap bars', leaves: 'none', dimensions: ['length'], forms: [] },
  shearBlock: {
    name: 'rubber shear block',
    plural: 'rubber shear blocks',
    leaves: 'none',
    dimensions: ['rate', 'offset', 'rubber', 'rows'],
    forms: [],
  },
  coilSpacer: {
    name: 'coil spacer',
    plural: 'coil spacers',
    leaves: 'none',
    dimensions: ['height', 'bore'],
    forms: [],
  },
} as const satisfies Record<string, KindOfPart>;

export type PartKind = keyof typeof PART_KINDS;
export const PART_KIND_IDS = Object.keys(PART_KINDS) as [PartKind, ...PartKind[]];
export const kindOf = (kind: PartKind): KindOfPart => PART_KINDS[kind];

/** Which ends of a leaf are rolled into eyes. */
export const LEAF_EYES = ['none', 'both', 'front', 'rear'] as const;
export type LeafEyes = (typeof LEAF_EYES)[number];

/** One leaf of a part on the shelf, from the main leaf down, mm. */
export interface PartLeaf {
  front: number;
  rear: number;
  thickness: number;
  /** String across its tips, lying free; null when nobody measured it. */
  camber: number | null;
  eyes: LeafEyes;
  /** Carries a rebound clip. */
  clip: boolean;
}

/** Figures of a leaf's field on any sheet. */
export const LEAF_RULES = {
  front: lengthRule(40, 2500, 450),
  rear: lengthRule(40, 2500, 450),
  thickness: lengthRule(2, 60, 8),
  camber: lengthRule(-300, 500, 90),
} as const;

/** Dimensions that follow from a part's leaves. */
export function derivedDimensions(leaves: readonly PartLeaf[]): Partial<Record<PartDimensionId, number>> {
  const main = leaves[0];
  if (!main) return {};
  return {
    leafCount: leaves.length,
    thickness: leaves.reduce((sum, leaf) => sum + leaf.thickness, 0),
    front: main.front,
    rear: main.rear,
  };
}

/**
 * The words a part is found by: those of its name, maker, number, origin and place in lower case, a number also without
 * its dashes. Two letters or digits at least.
 */
export function wordsOf(texts: readonly string[]): string[] {
  const words = texts.flatMap((text) => {
    const pieces = text.toLowerCase().split(/[^\p{L}\p{N}]+/u);
    return /\d/.test(text) ? [...pieces, ...text.toLowerCase().split(/\s+/).map(joined)] : pieces;
  });
  return [...new Set(words.filter((word) => word.length >= 2))].map((word) => word.slice(0, 40));
}

const joined = (text: string): string => text.replace(/[^\p{L}\p{N}]+/gu, '');
