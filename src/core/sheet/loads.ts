import { type Estimate } from '../estimate/estimate';
import { GRAVITY } from '../material/steel';
import { springLoads } from '../vehicle/load';
import { type Side } from '../vehicle/side';
import { ASSUMED_AXLE } from './assumed';
import { AXLE_CLASSES, type AxleClass } from './axleClass';

/** What is read of the weight on an axle, in the load state of the day. */
export interface LoadAt {
  point: 'padLoad' | 'axleLoad' | 'unsprungMass' | 'trackWidth' | 'springBase';
  side?: Side;
}
type Read = (at: LoadAt) => Estimate | undefined;

/** 90 % half-width of an axle's load by how it was come by, kg. @param load kg */
export const axleLoadHalf = (load: number, instrument: string | undefined): number =>
  load * (instrument === 'ticket' ? ASSUMED_AXLE.ticketShare : ASSUMED_AXLE.loadShare);

/** Unsprung mass of the whole axle, kg: as read, else that of its class, assumed. */
export function unsprungOf(axleClass: AxleClass, read: Read): Estimate {
  const typical = AXLE_CLASSES[axleClass].unsprung;
  const half90 = typical * ASSUMED_AXLE.unsprungShare;
  return read({ point: 'unsprungMass' }) ?? { value: typical, half90, origin: 'assumed' };
}

/** Track over spring base: as read, else assumed. */
export function trackOverBaseOf(read: Read): Estimate {
  const [track, base] = [read({ point: 'trackWidth' }), read({ point: 'springBase' })];
  if (!track || !base) return { ...ASSUMED_AXLE.trackOverBase, origin: 'assumed' };
  return { value: track.value / base.value, half90: 0.02, origin: 'measured' };
}

/** The lips stand further out than the middle of the tyres, as a share of the track. Common practice. */
const LIP_OVER_TRACK = 1.1;
/** Of lip span over spring base, 90 %. It reaches down for what the other axle and a sway bar hold back, which nobody knows. Chosen. */
const HALF = 0.25;

/** Lip span over spring base, from the track over the spring base. */
export const lipOverBaseOf = (trackOverBase: Pick<Estimate, 'value' | 'origin'>): Estimate => ({
  value: LIP_OVER_TRACK * trackOverBase.value,
  half90: HALF,
  origin: trackOverBase.origin === 'measured' ? 'computed' : 'assumed',
});

/** Sprung load of each spring, N: of the pads, or of the axle in halves. null while nobody weighed it, or it is all unsprung. */
export function loadsOf(axleClass: AxleClass, read: Read): Record<Side, Estimate> | null {
  const { value: unsprung, half90: unsprungHalf } = unsprungOf(axleClass, read);
  const pads = { left: read({ point: 'padLoad', side: 'left' }), right: read({ point: 'padLoad', side: 'right' }) };
  const axle = read({ point: 'axleLoad' });
  const both = pads.left && pads.right ? { left: pads.left.value, right: pads.right.value } : undefined;
  const halves = both ?? (axle ? { left: axle.value / 2, right: axle.value / 2 } : undefined);
  if (!halves || halves.left + halves.right <= unsprung) return null;
  const loads = springLoads(halves.left, halves.right, unsprung, trackOverBaseOf(read).value);
  const share = both || !axle ? ASSUMED_AXLE.padShare : axle.half90 / axle.value;
  const half90 = Math.hypot(((share * (halves.left + halves.right)) / 2) * GRAVITY, (unsprungHalf / 2) * GRAVITY);
  const estimate = (value: number): Estimate => ({ value, half90, origin: 'measured' });
  return { left: estimate(loads.left), right: estimate(loads.right) };
}
