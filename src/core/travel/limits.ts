import { TRAVEL_POINTS, type TravelPoint } from '../sheet/travel';
import { SIDES, type Side } from '../vehicle/side';
import { hubDrop, type HubDrop } from './hubTravel';
import { dropAtLength } from './shock';
import { type SlackItem } from './survey';

/** What was read of one side of what ends its travel, core units; absent where nobody read it. */
export type TravelRead = Partial<Record<TravelPoint, number>>;

/** What a plan puts in that ends the travel elsewhere; the springs know nothing of it. */
export interface Fittings {
  /** Spacer between the stop and its bracket, mm. */
  stopPad: number;
  /** Cut off the stop, or so much lower another one is, mm. */
  stopCut: number;
  /** Other shocks, bolt to bolt, mm. */
  shock: { shut: number; open: number } | null;
  /** How much less the hub may go up until the stop strikes, because the plan raises what it strikes, mm; its half-width where nobody said what that is. */
  struckHigher: { by: number; half90: number };
  /** Slack given to a line by a longer one or another clip, mm. */
  lines: Partial<Record<SlackItem, number>>;
}
export const NO_FITTINGS: Fittings = {
  stopPad: 0,
  stopCut: 0,
  shock: null,
  struckHigher: { by: 0, half90: 0 },
  lines: {},
};

/** What a bump stop strikes: the plate on the spring, or the axle; null where nobody said. */
export type Struck = 'plate' | 'axle' | null;

/** The fittings with what the stop strikes raised by the plan. Where nobody said what it strikes both may be. @param topRise of pack and block over the hub, mm */
export const withStruck = (fittings: Fittings, struck: Struck, topRise: number): Fittings => ({
  ...fittings,
  struckHigher:
    struck === 'axle'
      ? NO_FITTINGS.struckHigher
      : struck === 'plate'
        ? { by: topRise, half90: 0 }
        : { by: topRise / 2, half90: Math.abs(topRise) / 2 },
});

/** What nobody read and what stands in for it, wide. */
export const ASSUMED_TRAVEL = {
  /** Share of its height that a stop keeps when it is solid: rubber about a half, foam about a third. Memory, chosen wide. */
  solidShare: { value: 0.45, half90: 0.2 },
  /** rad; shocks lean by ten to twenty degrees mostly. Memory, chosen wide. */
  lean: { value: 0.26, half90: 0.2 },
} as const;

export const LIMITER_IDS = [
  'stopTouches',
  'stopSolid',
  'shockShut',
  'shockOpen',
  'axleToFrame',
  'tyreToArch',
  'tyreAtLock',
] as const;
export type LimiterId = (typeof LIMITER_IDS)[number];

/** Where one thing acts. */
export interface Limiter {
  id: LimiterId;
  side: Side;
  /** Place of the hub then, on the one datum. */
  at: HubDrop;
  half90: number;
  /** What stood in for a reading. */
  assumed: TravelPoint[];
}

const half = (point: TravelPoint): number => TRAVEL_POINTS[point].half90;

/** Everything that ends the travel of one side, as far as it was read. Bump is negative. */
export function limitersOf(
  side: Side,
  read: TravelRead,
  { stopPad, stopCut, shock, struckHigher }: Fittings,
): Limiter[] {
  const found: Limiter[] = [];
  const say = (id: LimiterId, at: number, half90: number, assumed: TravelPoint[] = []) =>
    found.push({ id, side, at: hubDrop(at), half90, assumed });
  if (read.stopGap !== undefined) {
    const touches = stopPad - stopCut + struckHigher.by - read.stopGap;
    const gapHalf = Math.hypot(half('stopGap'), struckHigher.half90);
    say('stopTouches', touches, gapHalf);
    if (read.stopHeight !== undefined) {
      const { solidShare } = ASSUMED_TRAVEL;
      const known = read.stopSolid !== undefined;
      // What is cut off is missing of both, free and solid, in the same share.
      const height = Math.max(0, read.stopHeight - stopCut);
      const share = height / read.stopHeight;
      const solid = (read.stopSolid ?? read.stopHeight * solidShare.value) * share;
      const loose = known ? half('stopSolid') : height * solidShare.half90;
      say(
        'stopSolid',
        touches - Math.max(0, height - solid),
        Math.hypot(gapHalf, half('stopHeight'), loose),
        known ? [] : ['stopSolid'],
      );
    }
  }
  const rest = read.shockLength;
  if (rest !== undefined)
    for (const [id, length] of [
      ['shockShut', shock?.shut ?? read.shockShut],
      ['shockOpen', shock?.open ?? read.shockOpen],
    ] as const) {
      if (length === undefined) continue;
      const lean = read.shockLean ?? ASSUMED_TRAVEL.lean.value;
      const leanHalf = read.shockLean === undefined ? ASSUMED_TRAVEL.lean.half90 : half('shockLean');
      const at = dropAtLength(rest, lean, length);
      if (at === null) continue;
      const moved = (d: number, l: number) => {
        const other = dropAtLength(rest + d, Math.min(1.3, Math.max(0, lean + l)), length);
        return other === null ? 0 : other - at;
      };
      say(
        id,
        at,
        Math.hypot(moved(half('shockLength'), 0), moved(0, leanHalf), half(id)),
        read.shockLean === undefined ? ['shockLean'] : [],
      );
    }
  for (const id of ['axleToFrame', 'tyreToArch', 'tyreAtLock'] as const)
    if (read[id] !== undefined) say(id, -read[id], half(id));
  return found;
}

export const limitersOfBoth = (read: Readonly<Record<Side, TravelRead>>, fittings: Fittings): Limiter[] =>
  SIDES.flatMap((side) => limitersOf(side, read[side], fittings));
