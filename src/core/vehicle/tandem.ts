import { requireNumber } from '../errors';
import { GRAVITY } from '../material/steel';
import { settleBody } from './body';

/** A trailer on two axles close together, mm behind its hitch. */
export interface TandemTrailer {
  axles: { front: number; rear: number };
  /** All that stands on hitch and wheels, kg, and where its middle lies. */
  mass: number;
  station: number;
}

/** What hitch and axles carry, kg. */
export interface TandemLoads {
  hitch: number;
  front: number;
  rear: number;
}

/**
 * Loads of a trailer whose axles share by a rocker: the share is given by the rocker, the rest is a beam on two places.
 * @param share of the axles' load that the front one carries, 0–1 (see `frontShare`)
 */
export function rockerLoads({ axles, mass, station }: TandemTrailer, share: number): TandemLoads {
  requireNumber('share', share, 0.05, 0.95);
  requireNumber('mass', mass, 0, 60_000);
  const middle = requireNumber('axles', share * axles.front + (1 - share) * axles.rear, 300, 20_000);
  const onAxles = (mass * station) / middle;
  return { hitch: mass - onAxles, front: share * onAxles, rear: (1 - share) * onAxles };
}

/** A hitch ball does not give, N/mm. */
const RIGID = 1e6;

/**
 * Loads of a trailer whose axles are sprung each for itself: the hitch held at another height tilts the trailer, and each axle takes
 * what its springs and tyres give. @param level loads with the trailer level, kg: as weighed, or by `station` on equal springs
 * @param rate of one axle as a whole from the ground to the body, N/mm @param hitchUp of its level height, mm
 */
export function independentLoads(
  { axles }: Pick<TandemTrailer, 'axles'>,
  level: TandemLoads,
  rate: number,
  hitchUp: number,
): TandemLoads {
  const supports = [
    { station: 0, rate: RIGID, lift: hitchUp },
    { station: axles.front, rate, lift: 0 },
    { station: axles.rear, rate, lift: 0 },
  ];
  const [hitch = 0, front = 0, rear = 0] = settleBody(supports, []).loads;
  return {
    hitch: level.hitch + hitch / GRAVITY,
    front: level.front + front / GRAVITY,
    rear: level.rear + rear / GRAVITY,
  };
}
