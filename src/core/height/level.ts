import { type OtherAxle } from '../measure/otherAxle';
import { ledgerValue, type LedgerLine } from '../prediction/ledger';
import { settleBody } from '../vehicle/body';
import { type Payload } from '../vehicle/load';
import { SIDES, type Side } from '../vehicle/side';

/** A quantity before and after the work, mm. */
export interface LevelChange {
  before: number;
  after: number;
  half90: number;
}

/** How the vehicle stands across and along, in one load state, mm. */
export interface LevelState {
  id: string;
  /** Left less right at the arch lips; null when a side's height is not known. */
  lean: LevelChange | null;
  /** Rear less front at the arch lips from the ground; null when it cannot be told in this state. */
  rake: LevelChange | null;
  /** By how much the body stands higher than in the base state as it was, at the axle worked on and at the other one; null as `rake`. */
  rises: { own: LevelChange; other: LevelChange } | null;
}

/** What a prediction tells of one side, as far as level goes. */
export interface LevelSide {
  states: readonly {
    id: string;
    ledger: readonly LedgerLine[];
    beforeHere: number | null;
    after: number | null;
    change: number;
    firstOrder: number;
  }[];
}

/** The vehicle around the axle that is worked on. */
export interface Around {
  /** Rear less front in the base state as it stands, mm; null when it was not measured. */
  rake: number | null;
  position: 'front' | 'rear';
  wheelbase: number;
  /** What is aboard in each load state beyond the base one, by its id. */
  aboard: Readonly<Record<string, Payload>>;
  /** N/mm of one tyre. */
  tyreRate: number;
  /** The axle that is not worked on; null while nothing is known of its springs. */
  other: OtherAxle | null;
  /** The other axle's own prediction, where the same job works on it: its springs give and rise as that says. */
  worked?: Readonly<Record<Side, LevelSide | null>> | null;
}

/** How well a load that was said is known, as a share. Common practice. */
const SAID = 0.1;

/**
 * Lean and rake before and after the work, in every load state that is predicted. A load goes to both axles by statics; the axle
 * worked on gives as its own prediction says, the other one by its rate, and both tyres with them. Without a rate of the other axle
 * the rake is told in the base state only.
 */
export function levelOf(sides: Readonly<Record<Side, LevelSide | null>>, around: Around): LevelState[] {
  const { left, right } = sides;
  const some = left ?? right;
  if (!some) return [];
  return some.states.map((state, k): LevelState => {
    const [l, r] = [left?.states[k], right?.states[k]];
    const heights = [l?.beforeHere, l?.after, r?.beforeHere, r?.after];
    const lean =
      l && r && heights.every((h) => h !== null && h !== undefined)
        ? {
            before: l.beforeHere! - r.beforeHere!,
            after: l.after! - r.after!,
            // Each side is read and solved on its own; what both share falls out, so this is on the safe side.
            half90: Math.hypot(l.firstOrder, r.firstOrder),
          }
        : null;
    const rises = k === 0 ? baseRises(sides, around.worked) : stateRises(sides, k, around.aboard[state.id], around);
    const way = around.position === 'rear' ? 1 : -1;
    const rake =
      rises && around.rake !== null
        ? {
            before: around.rake + way * (rises.own.before - rises.other.before),
            after: around.rake + way * (rises.own.after - rises.other.after),
            half90: Math.hypot(rises.own.half90, rises.other.half90),
          }
        : null;
    return { id: state.id, lean, rake, rises };
  });
}

const mean = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length;

/** Mean of both sides in a state: what the load alone does, what everything does, and the half-width of that. */
function ownChange(sides: Readonly<Record<Side, LevelSide | null>>, k: number) {
  const there = SIDES.flatMap((side) => sides[side]?.states[k] ?? []);
  return {
    load: mean(there.map((s) => ledgerValue(s.ledger, 'load'))),
    all: mean(there.map((s) => s.change)),
    half: Math.max(...there.map((s) => s.firstOrder)),
  };
}

/** With nothing more aboard the other axle carries what it carried; it rises by what is done to it, if anything is. */
function baseRises(
  sides: Readonly<Record<Side, LevelSide | null>>,
  worked: Around['worked'],
): NonNullable<LevelState['rises']> {
  const rise = (of: Readonly<Record<Side, LevelSide | null>>): LevelChange => {
    const { all, half } = ownChange(of, 0);
    return { before: 0, after: all, half90: half };
  };
  const still: LevelChange = { before: 0, after: 0, half90: 0 };
  return { own: rise(sides), other: worked && told(worked, 0) ? rise(worked) : still };
}

const told = (sides: Readonly<Record<Side, LevelSide | null>>, k: number): boolean =>
  SIDES.some((side) => sides[side]?.states[k] !== undefined);

/** Both axles as predicted under their shares, on their tyres. */
function bothWorked(
  own: ReturnType<typeof ownChange>,
  other: ReturnType<typeof ownChange>,
  aboard: Payload,
  { position, wheelbase, tyreRate }: Around,
): NonNullable<LevelState['rises']> {
  const [ownAt, otherAt] = position === 'rear' ? [wheelbase, 0] : [0, wheelbase];
  const settled = (ownLift: number, otherLift: number) => {
    const supports = [
      { station: ownAt, rate: 2 * tyreRate, lift: ownLift },
      { station: otherAt, rate: 2 * tyreRate, lift: otherLift },
    ];
    const [ownRise = 0, otherRise = 0] = settleBody(supports, [aboard]).rises;
    return { own: ownRise, other: otherRise };
  };
  const [before, after] = [settled(own.load, other.load), settled(own.all, other.all)];
  return {
    own: { before: before.own, after: after.own, half90: own.half },
    other: { before: before.other, after: after.other, half90: other.half },
  };
}

function stateRises(
  sides: Readonly<Record<Side, LevelSide | null>>,
  k: number,
  aboard: Payload | undefined,
  around: Around,
): LevelState['rises'] {
  const { position, wheelbase, tyreRate, other, worked } = around;
  const own = ownChange(sides, k);
  if (aboard && worked && told(worked, k)) return bothWorked(own, ownChange(worked, k), aboard, around);
  if (!aboard || !other) return null;
  const [ownAt, otherAt] = position === 'rear' ? [wheelbase, 0] : [0, wheelbase];
  // The spring of the axle worked on stands where it was predicted under its share; below it give its tyres.
  const settled = (lift: number, rate: number, mass: number) => {
    const supports = [
      { station: ownAt, rate: 2 * tyreRate, lift },
      { station: otherAt, rate, lift: 0 },
    ];
    const [ownRise = 0, otherRise = 0] = settleBody(supports, [{ ...aboard, mass }]).rises;
    return { own: ownRise, other: otherRise };
  };
  const { value, half90 } = other.rate;
  const [before, after] = [settled(own.load, value, aboard.mass), settled(own.all, value, aboard.mass)];
  const stiffer = settled(own.all, value + half90, aboard.mass);
  const softer = settled(own.all, Math.max(value - half90, value / 2), aboard.mass);
  const heavier = settled(own.all, value, aboard.mass * (1 + SAID));
  const otherHalf = Math.hypot(
    Math.max(Math.abs(stiffer.other - after.other), Math.abs(softer.other - after.other)),
    heavier.other - after.other,
  );
  return {
    own: { before: before.own, after: after.own, half90: own.half },
    other: { before: before.other, after: after.other, half90: otherHalf },
  };
}

/** How much lower this axle stands with a load state aboard than without, mm; after the work. null without a spring. */
export function sinksBy(sides: Readonly<Record<Side, LevelSide | null>>, stateId: string): number | null {
  const drops = SIDES.flatMap((side) => {
    const states = sides[side]?.states;
    const there = states?.find((s) => s.id === stateId);
    return states?.[0] && there ? [states[0].change - there.change] : [];
  });
  return drops.length === 0 ? null : mean(drops);
}

/** Angle the body turns by when one axle rises, rad; nose down positive when the rear does. @param wheelbase mm */
export const bodyPitch = (change: number, wheelbase: number): number => Math.atan(change / wheelbase);
