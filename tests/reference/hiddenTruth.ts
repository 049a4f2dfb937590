import { normal, Z90, type Uniform } from '@/core/estimate/estimate';
import { finish } from '@/core/finish';
import { GRAVITY, SPRING_STEEL_E } from '@/core/material/steel';
import { POINTS } from '@/core/measure/points';
import { eyeOffset, type EyeForm } from '@/core/mechanics/leafpack/eyes';
import { nestedCurvatures, type Leaf } from '@/core/mechanics/leafpack/pack';
import { type Point } from '@/core/sheet/point';
import { assemble } from '@/core/suspension/longitudinalLeaf/assemble';
import { ASSUMED } from '@/core/suspension/longitudinalLeaf/assumed';
import { type LeafAxleInput, type SeatShape } from '@/core/suspension/longitudinalLeaf/input';
import { type LeafReading, type PlannedChange, type Sheet } from '@/core/suspension/longitudinalLeaf/sheet';
import { bandsOfAxle } from '@/core/suspension/solvers';
import { uniformFrom } from '@/workers/random';
import { solveChain, type ChainSpring, type ChainState } from './chainSpring';
import { flatbedSheet } from './sheets';
import { toldFirst } from './told';

/*
 * Shops with a hidden truth that the core does not know: springs of the second model (`chainSpring`), measured with a mechanic's tape and
 * caliper, foretold from those readings alone, rebuilt in the second model and measured again. Every variant holds something that real
 * packs have; what its readings cannot say must stand in the band.
 *
 * `hiddenTruth FIRST COUNT [VARIANT]` prints every outcome by variant and plan, as JSON.
 */

const between = (u: Uniform, low: number, high: number) => low + (high - low) * u();
const error90 = (u: Uniform, half: number) => (half / Z90) * normal(u);
const oneOf = <T>(u: Uniform, chances: readonly (readonly [T, number])[]): T => {
  let at = u() * chances.reduce((sum, [, chance]) => sum + chance, 0);
  return chances.find(([, chance]) => (at -= chance) < 0)?.[0] ?? chances[0]![0];
};

interface Variant {
  leaves?: number;
  seat?: SeatShape;
  /** What the sheet says of the seat, where it is not the truth. */
  saidSeat?: 'unknown';
  /** A nearly flat leaf below, and what was told of it. */
  overload?: 'by its camber' | 'by its daylight' | 'told only' | 'not told';
  eyes?: EyeForm | 'any';
  saidEyes?: null;
  /** The shackle's eye stands above its pivot. */
  above?: boolean;
  plans: readonly Plan[];
}
type Plan = 'leaf added' | 'leaf out' | 'other pack' | 'longer shackle' | 'longer leaf added';

const MOST: readonly Plan[] = ['leaf added', 'leaf out', 'other pack'];
const VARIANTS = {
  'nested, seat clamped flat': { plans: MOST },
  'seat left curved': { seat: 'concentric', plans: MOST },
  'formed flat by the maker': { seat: 'formed', plans: MOST },
  'seat not seen': { saidSeat: 'unknown', plans: MOST },
  'eyes not seen': { eyes: 'any', saidEyes: null, plans: MOST },
  'overload leaf, its camber read': { overload: 'by its camber', plans: MOST },
  'overload leaf, its daylight read': { overload: 'by its daylight', plans: MOST },
  'overload leaf, told only': { overload: 'told only', plans: MOST },
  'thick lowest leaf, not told': { overload: 'not told', plans: MOST },
  'shackle above its pivot': { above: true, plans: ['longer shackle', 'leaf added'] },
  'three leaves': { leaves: 3, plans: ['leaf out', 'leaf added'] },
  'added leaf longer than the main': { plans: ['longer leaf added'] },
} satisfies Record<string, Variant>;

/** The same chances that the core states for what nobody saw; they are chosen, so the truth is drawn by them. */
const SEATS = [
  ['flat', 0.4],
  ['formed', 0.35],
  ['concentric', 0.25],
] as const;
const EYES = [
  ['upturned', 0.6],
  ['berlin', 0.25],
  ['downturned', 0.15],
] as const;

/** A hidden truck: its spring, the sheet that a tape without error would give, and the height of its frame. */
interface Truck {
  spring: ChainSpring & { pack: { leaves: Leaf[] } };
  sheet: Sheet;
  flat: number | undefined;
  seatY: number;
}

const UNSPRUNG = 265;

function truckOf(u: Uniform, variant: Variant): Truck {
  const overload = variant.overload !== undefined;
  const count = (variant.leaves ?? 3 + Math.floor(u() * 3)) + (overload ? 1 : 0);
  const isOverload = (i: number) => overload && i === count - 1;
  const front = between(u, 540, 700);
  const rear = front * between(u, 1, 1.1);
  const thickness = between(u, 6.8, 9);
  const width = between(u, 58, 76);
  const spacing = between(u, 110, 145);
  const seat = variant.saidSeat ? oneOf(u, SEATS) : (variant.seat ?? 'flat');
  const flat = seat === 'formed' ? spacing * (1 + error90(u, ASSUMED.formedShare.half90)) : undefined;
  const form = variant.eyes === 'any' ? oneOf(u, EYES) : (variant.eyes ?? 'upturned');
  const bore = between(u, 32, 45);
  const offset = eyeOffset(form, bore, thickness);
  const inactive = Math.max(0.2, ASSUMED.inactive.value + error90(u, ASSUMED.inactive.half90));
  const thicknesses = Array.from({ length: count }, (_, i) => (isOverload(i) ? 1.5 * thickness : thickness));
  const curvatures = nestedCurvatures(1 / between(u, 1150, 1700), thicknesses);
  const leaves = thicknesses.map((t, i): Leaf => {
    const share = isOverload(i) ? 0.45 : 1 - i / (count + 1);
    const departs = isOverload(i)
      ? ASSUMED.overload.value + error90(u, ASSUMED.overload.half90)
      : i > 0
        ? error90(u, ASSUMED.departure.half90)
        : 0;
    const curvature = curvatures[i]! * (1 + departs);
    const size = { front: front * share, rear: rear * share, width, thickness: t, curvature };
    return { ...size, ...(flat !== undefined && { flat }) };
  });
  const bending = (overload ? count - 1 : count) * (width / 65) * (thickness / 8) ** 3;
  const load = 1700 * between(u, 0.55, 0.8) * bending * (620 / front) ** 2;
  const pack = {
    leaves,
    clamp: { kind: 'seat', length: spacing * inactive, shape: seat === 'concentric' ? 'concentric' : 'flat' },
    youngs: SPRING_STEEL_E,
    eyeOffset: { front: offset, rear: offset },
  } as const;
  const bench = solveChain({ pack, shackle: null, load });
  const angle = between(u, 1.6, 1.85);
  const length = between(u, 95, 125);
  const up = (variant.above ? -1 : 1) * length * Math.sin(angle);
  const apart = Math.hypot(bench.rearEye.x, bench.rearEye.y);
  const spring = { pack, shackle: { pivot: { x: apart - length * Math.cos(angle), y: up }, length }, load };
  const stands = solveChain(spring);
  const { pivot } = spring.shackle;
  const towardsPivot = Math.atan2(pivot.y - stands.rearEye.y, pivot.x - stands.rearEye.x);
  const told: Partial<Record<LeafReading['point'], number>> = {
    hubToLip: between(u, 440, 560),
    loadedArch: stands.arch - thickness / 2,
    eyeToPinFront: front,
    eyeToPinRear: rear,
    leafWidth: width,
    uboltSpacing: spacing,
    axleLoad: (2 * load) / GRAVITY + UNSPRUNG,
    unsprungMass: UNSPRUNG,
    shackleLength: length,
    shackleAngle: Math.PI - Math.abs(towardsPivot - Math.atan2(stands.rearEye.y, stands.rearEye.x)),
    eyeBore: bore,
  };
  const daylight = variant.overload === 'by its daylight' ? daylightOf(stands, count - 1) : 0;
  return { spring, sheet: sheetOf(variant, leaves, told, daylight), flat, seatY: stands.seat.y };
}

/** Mean gap over the tips of a leaf, mm. */
function daylightOf({ halves }: ChainState, leaf: number): number {
  const gaps = ([-1, 1] as const).map((side) => {
    const of = (which: number) => halves.find((h) => h.leaf === which && h.side === side)!;
    const [lower, upper] = [of(leaf), of(leaf - 1)];
    const tip = lower.points.at(-1)!;
    const k = Math.max(
      1,
      upper.points.findIndex((p) => side * (p.x - tip.x) >= 0),
    );
    const [a, b] = [upper.points[k - 1]!, upper.points[k]!];
    return a.y + ((b.y - a.y) * (tip.x - a.x)) / (b.x - a.x) - tip.y - (lower.thickness + upper.thickness) / 2;
  });
  return (gaps[0]! + gaps[1]!) / 2;
}

/** Camber over its own chord of a leaf with a straight middle, mm. */
function camberOf({ front, rear, curvature, flat = 0 }: Pick<Leaf, 'front' | 'rear' | 'curvature' | 'flat'>): number {
  if (curvature === 0) return 0;
  return (1 - Math.cos((curvature * (front + rear - flat)) / 2)) / curvature;
}

/** What a tape and a pair of eyes without error would write down. */
function sheetOf(
  variant: Variant,
  leaves: readonly Leaf[],
  told: Partial<Record<LeafReading['point'], number>>,
  daylight: number,
): Sheet {
  const base = flatbedSheet([]);
  const leafIds = leaves.map((_, i) => String.fromCharCode(97 + i));
  const read = (point: LeafReading['point'], value: number, leafId: string | null = null): LeafReading => {
    const stateId = (POINTS[point] as Point).loaded ? 'today' : null;
    return { ...base.readings[0]!, point, value, leafId, stateId, side: null, rolled: null };
  };
  const readings = [
    ...base.readings.filter((r) => r.leafId === null).map((r) => ({ ...r, value: told[r.point] ?? r.value })),
    ...leaves.flatMap((leaf, i) => [
      read('leafThickness', leaf.thickness, leafIds[i]!),
      ...(i > 0 ? [read('leafFront', leaf.front, leafIds[i]!), read('leafRear', leaf.rear, leafIds[i]!)] : []),
    ]),
    ...(variant.overload === 'by its camber' ? [read('leafCamber', camberOf(leaves.at(-1)!), leafIds.at(-1)!)] : []),
    ...(daylight > 1 ? [read('overloadGap', daylight)] : []),
  ];
  return {
    ...base,
    leafIds,
    readings,
    pack: {
      ...base.pack,
      eyeForm: variant.saidEyes === null ? null : 'upturned',
      seatShape: variant.saidSeat ?? variant.seat ?? 'flat',
      lowestLeaf: variant.overload && variant.overload !== 'not told' ? 'overload' : null,
      rearEnd: variant.above ? 'above' : 'below',
    },
  };
}

/** A plan with its exact sizes, and the spring as it is then. */
function builtOf(
  u: Uniform,
  plan: Plan,
  { spring, sheet, flat }: Truck,
  variant: Variant,
): { change: PlannedChange; built: ChainSpring } {
  const { pack } = spring;
  const main = pack.leaves[0]!;
  const { front, rear, thickness, width } = main;
  const ofPack = (leaves: Leaf[], eye = pack.eyeOffset): ChainSpring => ({
    ...spring,
    pack: { ...pack, leaves, eyeOffset: eye },
  });
  const part = (leaf: Leaf) => ({
    front: leaf.front,
    rear: leaf.rear,
    thickness: leaf.thickness,
    camber: camberOf(leaf),
  });
  const curved = (share: number, tighter: number): Leaf => ({
    ...{ front: front * share, rear: rear * share, width, thickness, curvature: main.curvature * tighter },
    ...(flat !== undefined && { flat }),
  });
  const added = (leaf: Leaf) => {
    const at = pack.leaves.findLastIndex((l) => l.front + l.rear >= leaf.front + leaf.rear) + 1;
    return ofPack(pack.leaves.toSpliced(Math.max(1, at), 0, leaf));
  };
  switch (plan) {
    case 'leaf added': {
      const leaf = curved(between(u, 0.7, 0.9), between(u, 1, 1.25));
      return { change: { kind: 'addLeaf', ...part(leaf), source: 'measured' }, built: added(leaf) };
    }
    case 'longer leaf added': {
      // The truth is as long as the main leaf; its tape said up to 14 mm more.
      const leaf = curved(1, between(u, 1, 1.1));
      const change = { kind: 'addLeaf', ...part(leaf), source: 'measured' } as const;
      return { change: { ...change, rear: leaf.rear + 14 }, built: added(leaf) };
    }
    case 'leaf out': {
      const leaf = 1 + Math.floor(u() * (pack.leaves.length - 1 - (variant.overload ? 1 : 0)));
      return { change: { kind: 'removeLeaf', leaf: leaf + 1 }, built: ofPack(pack.leaves.toSpliced(leaf, 1)) };
    }
    case 'other pack': {
      const count = pack.leaves.length + (u() < 0.5 ? 0 : 1);
      const curvatures = nestedCurvatures(
        main.curvature * between(u, 0.95, 1.15),
        Array<number>(count).fill(thickness),
      );
      const leaves = curvatures.map((curvature, i): Leaf => ({ ...curved(1 - i / (count + 1), 1), curvature }));
      const form = variant.eyes === 'any' ? oneOf(u, EYES) : 'upturned';
      const bore = 38;
      const offset = eyeOffset(form, bore, thickness);
      return {
        change: {
          kind: 'pack',
          leaves: leaves.map((leaf) => ({ ...part(leaf), camberKnown: true })),
          width,
          eyeForm: variant.saidEyes === null ? null : 'upturned',
          eyeBore: bore,
          used: true,
          source: 'measured',
        },
        built: ofPack(leaves, { front: offset, rear: offset }),
      };
    }
    case 'longer shackle': {
      const length = sheet.readings.find((r) => r.point === 'shackleLength')!.value + between(u, 15, 30);
      return {
        change: { kind: 'shackle', length, source: 'measured' },
        built: { ...spring, shackle: { ...spring.shackle!, length } },
      };
    }
  }
}

/** What the mechanic writes down: truth, error, and the division of the tape or caliper. */
function readSheet(truth: Sheet, exact: LeafAxleInput, u: Uniform): Sheet {
  const load90 = (2 * (exact.sides.left.spring?.load.half90 ?? 0)) / GRAVITY;
  const readings = truth.readings.map((r): LeafReading => {
    const { half90, rule } = POINTS[r.point] as Point;
    // No block is seen, not measured; what hangs unsprung is in the doubt of the load.
    if (r.value === 0 || r.point === 'unsprungMass') return r;
    const half = r.point === 'axleLoad' ? load90 : half90;
    const division = rule.dimension === 'angle' ? 0.0175 : half90 < 1 ? 0.1 : 1;
    const least = r.point === 'overloadGap' ? 0.5 : -Infinity;
    return { ...r, value: Math.max(least, Math.round((r.value + error90(u, half)) / division) * division) };
  });
  const off = <L extends { thickness: number; camber: number }>(leaf: L): L => ({
    ...leaf,
    thickness: leaf.thickness + error90(u, 0.15),
    camber: leaf.camber + error90(u, ASSUMED.camberString),
  });
  const changes = truth.changes.map((c): PlannedChange => {
    if (c.kind === 'addLeaf') return off(c);
    return c.kind === 'pack' ? { ...c, leaves: c.leaves.map(off) } : c;
  });
  return { ...truth, readings, changes };
}

interface Tried {
  inside: boolean;
  off: number;
  half: number;
}

function foretold(u: Uniform, truck: Truck, plan: Plan, variant: Variant): Tried {
  const { change, built } = builtOf(u, plan, truck, variant);
  const truth: Sheet = { ...truck.sheet, changes: [change] };
  const exact = assemble(truth).input;
  const { input } = { input: assemble(readSheet(truth, exact, u)).input };
  const shop: LeafAxleInput = { ...input, sides: { ...input.sides, right: { height: null, spring: null } } };
  const after = solveChain(built);
  const deep = (spring: ChainSpring) => spring.pack.leaves.slice(1).reduce((sum, leaf) => sum + leaf.thickness, 0);
  const moved =
    truck.seatY -
    after.seat.y +
    deep(built) -
    deep(truck.spring) +
    (built.pack.leaves[0]!.thickness - truck.spring.pack.leaves[0]!.thickness) / 2;
  const prediction = toldFirst(shop);
  const state = prediction.sides.left!.states[0]!;
  const rubbed = (half: number | undefined) => 0.5 * (2 * u() - 1) * (half ?? 0);
  const before = truth.readings.find((r) => r.point === 'hubToLip' && r.side === 'left')!.value;
  const tape =
    before +
    moved +
    rubbed(state.old?.frictionHeight) +
    rubbed(state.built?.frictionHeight) +
    error90(u, shop.afterReading);
  const [band] = finish(bandsOfAxle(shop, prediction, u, 4000)).left!;
  return {
    inside: tape >= band!.low && tape <= band!.high,
    off: state.after! - (before + moved),
    half: (band!.high - band!.low) / 2,
  };
}

const [first = 0, count = 0] = process.argv.slice(2, 4).map(Number);
const wanted = process.argv[4];
const tried: Record<string, Tried[]> = {};
for (const [name, variant] of Object.entries<Variant>(VARIANTS)) {
  if (wanted && !name.includes(wanted)) continue;
  for (let k = first; k < first + count; k++) {
    const u = uniformFrom(7000 + k);
    try {
      const truck = truckOf(u, variant);
      for (const plan of variant.plans) (tried[`${name} | ${plan}`] ??= []).push(foretold(u, truck, plan, variant));
    } catch (error) {
      (tried[`${name} | not solved: ${(error as Error).message}`] ??= []).push({ inside: false, off: 0, half: 0 });
    }
  }
}
console.log(JSON.stringify(tried));
