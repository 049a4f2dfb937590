import { type Arrangement } from '../stack/stack';
import { type EyeForm } from '../leafpack/eyes';
import { type Estimate } from './estimate';

export type Side = 'left' | 'right';
export const SIDES: readonly Side[] = ['left', 'right'];

/** One leaf as measured, from the main leaf down. */
export interface LeafInput {
  front: Estimate;
  rear: Estimate;
  thickness: Estimate;
  /** Departure of its free curvature from nesting, as a share of the main leaf's; value 0 when assumed nested. */
  departure: Estimate;
}

export interface PackInput {
  leaves: LeafInput[];
  width: Estimate;
  /** Distance over which the U-bolts hold the pack, mm. */
  seatLength: Estimate;
  /** Share κ of the seat length that does not bend. */
  inactive: Estimate;
  /** Whether the clamp flattens the leaves or keeps their curve; unknown is carried into the band. */
  seatShape: 'flat' | 'concentric' | 'unknown';
  friction: Estimate;
  /** Eye centre above (+) or below (−) the main leaf's mid-surface, mm. */
  eyeOffset: Estimate;
  /** Rate over the one computed from the leaves' sizes, once readings have taught it. */
  rateFactor?: Estimate;
}

/** What one side's spring was measured to do in the base load state. */
export interface SpringInput {
  /** Eye line to the main leaf's top face at the pin, mm. */
  archTop: Estimate;
  /** Sprung load, N. */
  load: Estimate;
  /** Free arch as read on the bench, where a planned pack is known by its own and the difference counts; to the top face. */
  freeArch?: Estimate;
  /** What else was read of this spring: checks it, and teaches its rate and its seat. */
  more?: MoreReadings;
  /** A leaf (never the main one) found broken in this pack, mm from the pin; it was broken when the readings were taken. */
  broken?: { leaf: number; end: 'front' | 'rear'; at: number };
}

export interface MoreReadings {
  /** On the bench, centre bolt only: eye line to the main leaf's top face, mm. */
  freeArchTop: Estimate | null;
  /** In other load states, each with its own load. */
  states: { name: string; load: Estimate; archTop: Estimate | null; height: Estimate | null }[];
  /** In a press, centre bolt only; forces are the press's own, N. */
  press?: { force: number; archTop: Estimate; branch: 'loading' | 'unloading' }[];
}

/** One planned change. Lengths mm. */
export type Change =
  | { kind: 'addLeaf'; front: Estimate; rear: Estimate; thickness: Estimate; camber: Estimate; chord: Estimate }
  /** Block height after the work; 0 = none. */
  | { kind: 'block'; height: Estimate }
  | { kind: 'shackle'; length: Estimate }
  /** A leaf below the main one taken out; 0 = main, as the pack stands. */
  | { kind: 'removeLeaf'; leaf: number }
  /** Another pack in the place of the old one. `used` packs have settled. */
  | {
      kind: 'pack';
      leaves: { front: Estimate; rear: Estimate; thickness: Estimate; camber: Estimate; chord: Estimate }[];
      width: Estimate;
      eyeOffset: Estimate;
      used: boolean;
      /** Its curve was told by the free arch of the whole pack, read as the old pack's is. */
      byFreeArch?: boolean;
    }
  /** All leaves curved anew by a specialist, this much more camber over the main leaf's length. */
  | { kind: 'rearch'; camber: Estimate }
  /** The same main leaf with its eyes rolled otherwise: eye centre above its mid-surface. */
  | { kind: 'eyes'; form: EyeForm; offset: Estimate }
  /** The broken leaf of either side replaced by its like. */
  | { kind: 'mendLeaf' }
  /** Spring moved from under to over the axle, on a perch of this height. */
  | { kind: 'overAxle'; perch: Estimate };

export interface LoadState {
  id: string;
  name: string;
  /** Mass on this axle beyond the base load state, kg. */
  extraMass: Estimate;
}

/** Everything a prediction is made from; stored with it, never edited. */
export interface AxleInput {
  schemaVersion: 1;
  arrangement: Arrangement;
  block: Estimate;
  tubeDiameter: Estimate;
  perch: Estimate;
  /** Whether the vehicle was rolled before the heights were read. */
  rolled: boolean;
  pack: PackInput | null;
  shackle: { length: Estimate; angle: Estimate };
  sides: Record<Side, { height: Estimate | null; spring: SpringInput | null }>;
  tyreRate: Estimate;
  ubolt: { exposed: number; pitch: number; threaded?: number | undefined; nutHeight?: number | undefined } | null;
  centreBolt: { nutHeight: number; pitch: number; origin: 'measured' | 'assumed' };
  changes: Change[];
  /** Unsprung weight that hangs on each spring when the wheels are off the ground, N. */
  hanging?: number;
  /** The base load state first. */
  states: LoadState[];
  /** 90 % half-width of the height reading that will prove it, mm. */
  afterReading: number;
}

/** The same tree with every estimate replaced by a number. */
export type Drawn<T> = T extends Estimate
  ? number
  : T extends (infer U)[]
    ? Drawn<U>[]
    : T extends object
      ? { [K in keyof T]: Drawn<T[K]> }
      : T;

const isEstimate = (node: object): node is Estimate => 'half90' in node;

/** Replaces every estimate in a tree by the number `pick` gives for it. The path names it, e.g. `pack.leaves.2.thickness`. */
export function draw<T>(tree: T, pick: (estimate: Estimate, path: string) => number, path = ''): Drawn<T> {
  if (tree === null || typeof tree !== 'object') return tree as Drawn<T>;
  if (isEstimate(tree)) return pick(tree, path) as Drawn<T>;
  const at = (key: string | number) => (path === '' ? String(key) : `${path}.${key}`);
  if (Array.isArray(tree)) return tree.map((node: unknown, i) => draw(node, pick, at(i))) as Drawn<T>;
  return Object.fromEntries(
    Object.entries(tree).map(([key, node]) => [key, draw(node as unknown, pick, at(key))]),
  ) as Drawn<T>;
}

export interface NamedEstimate {
  path: string;
  estimate: Estimate;
}

/** All estimates of a tree with their paths. */
export function estimatesOf(tree: unknown): NamedEstimate[] {
  const found: NamedEstimate[] = [];
  draw(tree, (estimate, path) => {
    found.push({ path, estimate });
    return estimate.value;
  });
  return found;
}

const NAMES: Record<string, string> = {
  block: 'block height',
  tubeDiameter: 'axle tube diameter',
  perch: 'perch height',
  'pack.width': 'leaf width',
  'pack.seatLength': 'U-bolt spacing',
  'pack.inactive': 'how much of the seat does not bend',
  'pack.seatShape': 'whether the seat flattens the leaves',
  'pack.friction': 'friction between the leaves',
  'pack.eyeOffset': 'eye size and form',
  'pack.rateFactor': 'rate of the pack',
  'shackle.length': 'shackle length',
  'shackle.angle': 'shackle angle',
  tyreRate: 'tyre rate',
};
const PARTS: Record<string, string> = {
  front: 'front length',
  rear: 'rear length',
  thickness: 'thickness',
  departure: 'free curve',
  camber: 'free camber',
  chord: 'span of the free camber',
  height: 'height before the work',
  archTop: 'loaded arch',
  freeArch: 'free arch on the bench',
  load: 'load on the spring',
};

/** The same words in a plan of changes, where they mean the new part. */
const CHANGED: Record<string, string> = {
  width: 'width of the new pack',
  eyeOffset: 'eye size and form of the new pack',
  offset: 'form of the new eyes',
  front: 'front length of the added leaf',
  rear: 'rear length of the added leaf',
  thickness: 'thickness of the added leaf',
  camber: 'free camber of the added leaf',
  chord: 'span over which the added leaf’s camber was read',
  height: 'height of the new block',
  length: 'length of the new shackle',
  perch: 'height of the new perch',
};

/** Plain words for an input's path, for "measure this again". */
export function inputLabel(path: string): string {
  const named = NAMES[path];
  if (named) return named;
  const part = path.split('.');
  const last = PARTS[part.at(-1) ?? ''] ?? part.at(-1) ?? path;
  if (part[0] === 'pack' && part[1] === 'leaves') return `${last} of leaf ${Number(part[2]) + 1}`;
  if (part[0] === 'changes' && part[2] === 'leaves')
    return `${PARTS[part.at(-1) ?? ''] ?? last} of leaf ${Number(part[3]) + 1} of the new pack`;
  if (part[0] === 'changes') return CHANGED[part.at(-1) ?? ''] ?? last;
  if (part[0] === 'states') return 'mass of the load aboard';
  if (part[0] === 'sides' && part.includes('press')) return `press run, ${part[1]}`;
  if (part[0] === 'sides') return `${last}, ${part[1]}`;
  return path;
}
