import { CoreError } from '../../errors';
import { handbookEstimate } from '../../mechanics/leafpack/handbook';
import { fitSpring, type Fit, type FitProblem, type FitReading } from './fit';
import { leafInertia, SPRING_STEEL_E } from '../../material/steel';
import { packAsRead } from './asRead';
import { holdOf } from './sideModel';
import { drawLeafAxle } from './turned';
import { inputOfSide, type LeafAxleInput } from './input';
import { type Side } from '../../vehicle/side';
import { type Estimate } from '../../estimate/estimate';

/** What all readings of one side's spring say together. */
export interface SpringFit extends Fit {
  /** Names of the readings and loads, in the order of `agreement`. */
  names: { readings: string[]; loads: string[] };
}

/** 90 % half-width of the rate about the one computed from the leaves' sizes: thickness cubed, width, E. */
function rateHalf90({ pack }: LeafAxleInput): number {
  if (!pack) return 0.1;
  const inertias = pack.leaves.map((leaf) => leafInertia(pack.width.value, leaf.thickness.value));
  const sum = inertias.reduce((a, b) => a + b, 0);
  const squares = pack.leaves.map(
    (leaf, i) => ((inertias[i]! / sum) * 3 * leaf.thickness.half90) / leaf.thickness.value,
  );
  const steel = 0.02;
  return Math.hypot(...squares, pack.width.half90 / pack.width.value, steel);
}

/** Height that friction may hold, mm: 2μ t Σl/L² of the load over the handbook rate (quick check, common practice). */
function frictionHeight(input: LeafAxleInput, load: number): number {
  const leaves = input.pack!.leaves.map(({ front, rear, thickness }) => ({
    front: front.value,
    rear: rear.value,
    thickness: thickness.value,
    width: input.pack!.width.value,
    curvature: 0,
  }));
  const main = leaves[0]!;
  const shorter = leaves.slice(1).reduce((sum, leaf) => sum + (leaf.front + leaf.rear) / 2, 0);
  const half = (main.front + main.rear) / 2;
  const share = (2 * input.pack!.friction.value * main.thickness * shorter) / half ** 2;
  const held = (input.pack!.seatLength.value * input.pack!.inactive.value) / 2;
  return (share * load) / handbookEstimate(leaves, held, SPRING_STEEL_E).rate;
}

/**
 * Fits one side's spring to everything read of it; null when there is nothing beyond arch and load of the day.
 * @throws CoreError when no spring comes near the readings
 */
export function springFit(input: LeafAxleInput, side: Side): SpringFit | null {
  const { pack } = input;
  const spring = input.sides[side].spring;
  if (!pack || !spring?.more) return null;
  const { more } = spring;
  const main = pack.leaves[0]!;
  const toMiddle = main.thickness.value / 2;
  const held = (load: number) => (input.rolled ? 0.5 : 1) * frictionHeight(input, load);
  const wide = (e: Estimate, load: number) => Math.hypot(e.half90, held(load));
  const readings: FitReading[] = [];
  const names: SpringFit['names'] = { readings: [], loads: ['load of the day'] };
  const add = (name: string, reading: FitReading) => {
    names.readings.push(name);
    readings.push(reading);
  };
  const arch = (e: Estimate, load: number, force: number): FitReading => ({
    kind: 'loadedArch',
    value: e.value + toMiddle,
    half90: wide(e, force),
    load,
  });
  add('loaded arch of the day', arch(spring.archTop, 0, spring.load.value));
  const height = input.sides[side].height;
  const heights = more.states.some((s) => s.height) && height;
  if (heights)
    add('height of the day', { kind: 'height', ...heights, half90: wide(heights, spring.load.value), load: 0 });
  if (more.freeArchTop)
    add('free arch on the bench', {
      kind: 'freeArch',
      value: more.freeArchTop.value + toMiddle,
      half90: more.freeArchTop.half90,
    });
  for (const { force, archTop, branch } of more.press ?? [])
    add(`press, ${force.toFixed(0)} N ${branch}`, {
      kind: 'press',
      value: archTop.value + toMiddle,
      half90: archTop.half90,
      force,
      branch,
    });
  const loads: { value: number; half90: number }[] = [spring.load];
  for (const state of more.states) {
    const k = loads.push(state.load) - 1;
    names.loads.push(`load, ${state.name}`);
    if (state.archTop) add(`loaded arch, ${state.name}`, arch(state.archTop, k, state.load.value));
    if (state.height && heights)
      add(`height, ${state.name}`, {
        kind: 'height',
        value: state.height.value,
        half90: wide(state.height, state.load.value),
        load: k,
      });
  }
  const drawn = drawLeafAxle(input, (e) => e.value);
  const problem: FitProblem = {
    pack: {
      ...packAsRead(drawn.pack!, drawn.sides[side].spring!),
      clamp: { kind: 'bolt' },
      youngs: SPRING_STEEL_E,
      friction: 0,
    },
    seat: { length: pack.seatLength.value, shape: pack.seatShape === 'concentric' ? 'concentric' : 'flat' },
    hold: holdOf(drawn),
    inactive: pack.inactive,
    friction: pack.friction,
    rateHalf90: rateHalf90(input),
    loads: loads.map(({ value, half90 }) => ({ value, half90 })),
    readings,
  };
  return { ...fitSpring(problem), names };
}

/** An input with what its readings taught; or why no spring comes near all of them. */
export interface Taught {
  input: LeafAxleInput;
  fit: SpringFit | null;
  unfit: string | null;
}

/**
 * The input as a prediction of one side uses it: its own pack, and what the readings taught takes the place of what was assumed or computed from sizes.
 * With a contradiction among them, or when no spring comes near them, arch and load of the day alone are used.
 */
export function taught(given: LeafAxleInput, side: Side): Taught {
  const input = inputOfSide(given, side);
  const spring = input.sides[side].spring;
  if (!input.pack || !spring?.more) return { input, fit: null, unfit: null };
  const bare: LeafAxleInput = {
    ...input,
    sides: { ...input.sides, [side]: { ...input.sides[side], spring: { ...spring } } },
  };
  delete bare.sides[side].spring!.more;
  const { freeArchTop } = spring.more;
  if (freeArchTop && input.changes.some((c) => c.kind === 'pack' && c.byFreeArch))
    bare.sides[side].spring!.freeArch = freeArchTop;
  // With a helper beside it other loads say what both of them do: the pack is told by arch and load of the day alone.
  if (input.changes.some((c) => c.kind === 'helper' && c.fitted !== undefined))
    return { input: bare, fit: null, unfit: null };
  let fit: SpringFit | null;
  try {
    fit = springFit(input, side);
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return { input: bare, fit: null, unfit: error.message };
  }
  if (!fit || fit.contradiction || !bare.pack) return { input: bare, fit, unfit: null };
  const pack = { ...bare.pack };
  if (fit.learned.includes('inactive')) pack.inactive = { ...fit.inactive, origin: 'calibrated' };
  if (fit.learned.includes('rateFactor')) {
    pack.rateFactor = { ...fit.rateFactor, origin: 'calibrated' };
    // The rate is known as a whole: what each thickness might do to it has been used up.
    pack.leaves = pack.leaves.map((leaf) => ({ ...leaf, thickness: { ...leaf.thickness, half90: 0 } }));
  }
  return { input: { ...bare, pack }, fit, unfit: null };
}
