import { type Estimate } from '../estimate/estimate';
import { GRAVITY } from '../material/steel';
import { fuelDiffers } from '../vehicle/likeWithLike';
import { axleShares } from '../vehicle/load';
import { SIDES } from '../vehicle/side';
import { ASSUMED_AXLE } from '../sheet/assumed';
import { COMMON_POINTS } from '../sheet/common';
import { readingAt, type AxleSheet } from '../sheet/reading';

/** The axle that is not worked on, as far as a load aboard moves the body above it. */
export interface OtherAxle {
  /** N/mm of the axle as a whole, from the ground to the body: both springs and both tyres. */
  rate: Estimate;
  /** How the rate came to be known. */
  from: 'read' | 'learned' | 'assumed' | 'held';
}

/** A bounce frequency to take where nothing of a spring is known, Hz, 90 %. Assumed; from memory of trucks and four-by-fours. */
const BOUNCE = { low: 1.2, usual: 1.6, high: 2.1 } as const;
/** Least mass that a load puts on an axle to learn its rate from, kg: less drowns in the tape. Chosen. */
export const LEAST_LOAD = 60;

/** A coupling that the towing vehicle holds at its height: it gives far less than any spring. Its own springs are not reckoned. */
export const HELD: OtherAxle = { rate: { value: 1e6, half90: 0, origin: 'assumed' }, from: 'held' };

/**
 * The rate of the other axle: learned from its arch lips under two loads, else from the rate read of its spring, else assumed from
 * what it carries. null while none of these was read.
 */
export function otherAxleOf(sheet: AxleSheet): OtherAxle | null {
  return learned(sheet) ?? read(sheet) ?? assumed(sheet);
}

/** Both springs and both tyres of an axle as one, N/mm. */
const inSeries = (spring: number, tyre: number): number => 2 / (1 / spring + 1 / tyre);

function tyreOf(sheet: AxleSheet): Estimate {
  const value = readingAt(sheet, { point: 'tyreRate' })?.value;
  return value === undefined
    ? { ...ASSUMED_AXLE.tyreRate, origin: 'assumed' }
    : { value, half90: COMMON_POINTS.tyreRate.half90, origin: 'measured' };
}

function read(sheet: AxleSheet): OtherAxle | null {
  const spring = readingAt(sheet, { point: 'otherAxleRate' })?.value;
  if (spring === undefined) return null;
  const tyre = tyreOf(sheet);
  const value = inSeries(spring, tyre.value);
  const moved = (s: number, t: number) => Math.abs(inSeries(s, t) - value);
  const half90 = Math.hypot(
    moved(spring + COMMON_POINTS.otherAxleRate.half90, tyre.value),
    moved(spring, tyre.value + tyre.half90),
  );
  return { rate: { value, half90, origin: 'catalogue' }, from: 'read' };
}

/** Mass that a load state adds to the axle that is not worked on, kg. */
export function extraOtherMass(
  sheet: Pick<AxleSheet, 'axle' | 'wheelbase'>,
  state: { addedMass: number; station: number },
) {
  if (state.addedMass === 0) return 0;
  const shares = axleShares({ mass: state.addedMass, station: state.station }, sheet.wheelbase);
  return sheet.axle.position === 'rear' ? shares.front : shares.rear;
}

/** From the load that let the lips down the most. */
function learned(sheet: AxleSheet): OtherAxle | null {
  const [base, ...others] = sheet.states;
  if (!base) return null;
  const lips = (stateId: string) => {
    const [left, right] = SIDES.map((side) => readingAt(sheet, { point: 'otherAxleLip', side, stateId }));
    return left && right ? { height: (left.value + right.value) / 2, fuel: left.fuel } : null;
  };
  const stood = lips(base.id);
  if (stood === null) return null;
  const drops = others.flatMap((state) => {
    const stands = lips(state.id);
    const mass = extraOtherMass(sheet, state);
    // Heights at another fill of the tank are not set against each other.
    if (stands === null || mass < LEAST_LOAD || fuelDiffers(stood.fuel, stands.fuel)) return [];
    const drop = stood.height - stands.height;
    return drop > 0 ? [{ mass, drop }] : [];
  });
  const most = drops.toSorted((p, q) => q.mass - p.mass)[0];
  if (!most) return null;
  const value = (most.mass * GRAVITY) / most.drop;
  // Two means of two readings each, and a load that was said, not weighed.
  const tape = COMMON_POINTS.otherAxleLip.half90 / most.drop;
  const half90 = value * Math.hypot(tape, ASSUMED_AXLE.payloadShare);
  return { rate: { value, half90, origin: 'calibrated' }, from: 'learned' };
}

function assumed(sheet: AxleSheet): OtherAxle | null {
  const base = sheet.states[0];
  const mass = base && readingAt(sheet, { point: 'otherAxleLoad', stateId: base.id })?.value;
  if (!mass) return null;
  const rate = (hertz: number) => (mass * (2 * Math.PI * hertz) ** 2) / 1000;
  const value = rate(BOUNCE.usual);
  const half90 = Math.max(rate(BOUNCE.high) - value, value - rate(BOUNCE.low));
  return { rate: { value, half90, origin: 'assumed' }, from: 'assumed' };
}
