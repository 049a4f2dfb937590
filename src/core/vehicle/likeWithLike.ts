import { GRAVITY } from '../material/steel';
import { axleShares } from './load';

/** One height and what it was read in. */
export interface TakenHeight {
  /** Name of the point; heights of different points are never compared. */
  point: string;
  side: string | null;
  stateId: string | null;
  /** mm */
  value: number;
  rolled: boolean | null;
  /** null when nobody wrote it down. */
  stance: 'ground' | 'air' | null;
  /** Share of a full tank; null when nobody looked. */
  fuel: number | null;
  /** The tank stands as it did at the other height. */
  fuelAsBefore?: boolean;
  /** kPa; only heights from the ground depend on it. */
  tyrePressure: number | null;
}

/** What a difference in fuel does to a height. */
export interface FuelConversion {
  /** kg in a full tank; 0 when there is none, null when nobody said. */
  tankMass: number | null;
  /** mm behind the front axle; null when nobody said. */
  tankStation: number | null;
  wheelbase: number;
  position: 'front' | 'rear';
  /** N/mm of one spring, installed; null without a solved spring. */
  rate: number | null;
}

export type Comparison =
  | { kind: 'alike'; difference: number }
  /** `convertedBy` was added to the second height for the fuel that differs. */
  | { kind: 'converted'; difference: number; convertedBy: number; because: string }
  | { kind: 'refused'; reasons: string[] };

/** Two fills of a tank that nobody can tell apart on a gauge; chosen. */
const SAME_FUEL = 0.07;

/** Whether two fills are known to differ; heights read at them are not set against each other as they are. */
export const fuelDiffers = (one: number | null | undefined, two: number | null | undefined): boolean =>
  typeof one === 'number' && typeof two === 'number' && Math.abs(one - two) > SAME_FUEL;

/** kPa between two tyre gauges; chosen. */
const SAME_PRESSURE = 10;
/** Points read from the ground, through the tyre. */
const FROM_GROUND: readonly string[] = ['groundToHub', 'groundToLip', 'otherAxleLip'];

/**
 * Sets the second height against the first: only like with like. Point, side, load state and stance must be known and
 * equal, both rolled; another fill of the tank is converted when the tank's mass and place and the spring's rate are known,
 * one spring carrying half of what the tank's difference adds to the axle. Heights in mm, exact for the rate given.
 */
export function compareHeights(before: TakenHeight, after: TakenHeight, fuel: FuelConversion): Comparison {
  const reasons: string[] = [];
  if (before.point !== after.point) reasons.push('the two heights are of different points');
  if (before.side !== after.side) reasons.push('the two heights are of different sides');
  if (before.stateId !== after.stateId) reasons.push('the two heights were read with different loads aboard');
  for (const [name, height] of [
    ['first', before],
    ['second', after],
  ] as const) {
    if (height.rolled !== true) reasons.push(`the vehicle was not rolled before the ${name} height`);
    // One that was rolled stood on its wheels, whether that was written down or not.
    if (height.stance === 'air') reasons.push(`the ${name} height was read with the wheels in the air`);
  }
  if (FROM_GROUND.includes(before.point)) {
    if (before.tyrePressure === null || after.tyrePressure === null)
      reasons.push('a height from the ground needs the tyre pressure of both days');
    else if (Math.abs(before.tyrePressure - after.tyrePressure) > SAME_PRESSURE)
      reasons.push('the tyre pressure was not the same');
  }
  const difference = after.value - before.value;
  const sameFuel =
    fuel.tankMass === 0 ||
    after.fuelAsBefore === true ||
    (before.fuel !== null && after.fuel !== null && Math.abs(before.fuel - after.fuel) <= SAME_FUEL);
  if (sameFuel) return reasons.length > 0 ? { kind: 'refused', reasons } : { kind: 'alike', difference };
  if (before.fuel === null) reasons.push('nobody wrote down how full the tank was at the first height');
  if (after.fuel === null) reasons.push('nobody wrote down how full the tank was at the second height');
  if (before.fuel !== null && after.fuel !== null) {
    if (fuel.tankMass === null || fuel.tankStation === null)
      reasons.push('the tank was filled otherwise, and what it holds and where it sits are not known');
    else if (fuel.rate === null) reasons.push('the tank was filled otherwise, and the rate of the spring is not known');
  }
  if (reasons.length > 0) return { kind: 'refused', reasons };
  const mass = (after.fuel! - before.fuel!) * fuel.tankMass!;
  const onAxle = axleShares({ mass, station: fuel.tankStation! }, fuel.wheelbase)[fuel.position];
  const convertedBy = (onAxle * GRAVITY) / 2 / fuel.rate!;
  const because = `${onAxle >= 0 ? 'more' : 'less'} fuel: ${Math.abs(onAxle).toFixed(0)} kg on this axle, half on each spring of ${fuel.rate!.toFixed(0)} N/mm`;
  return { kind: 'converted', difference: difference + convertedBy, convertedBy, because };
}
