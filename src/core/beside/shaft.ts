import { drivelineAfter, jointAngles, slipNeeded } from '../driveline/joints';
import { type DrivelinePoint } from '../sheet/driveline';
import { hubDrop, type HubDrop } from '../travel/hubTravel';
import { unread, waits, type BesideRead, type ReadRow } from './readRow';

/** What of the travel the shaft follows, mm of the axle under its frame from where it stood when it was read. */
export interface ShaftOf {
  position: 'front' | 'rear';
  noseUp: number | undefined;
  lift: number | null;
  hangs: number | null;
  up: number | null;
}

const DEGREE = Math.PI / 180;
/** Left in a sliding joint at either end, mm. Chosen: splines wear where they barely hold. */
const SLIP_MARGIN = 10;
/** Where nobody knows how far a joint bends: steeper than this its yokes are looked at, rad. Chosen. */
const LOOK_AT = 15 * DEGREE;
const PLACES = 9;
/** As far as the hub is followed either way for the shaft, in such steps, mm. */
const FOLLOWED = { most: 400, step: 1 };
/** Sine of the steepest that a shaft is reckoned at. Chosen: any joint binds long before. */
const STEEPEST = 0.8;

const degrees = (rad: number): string => `${(rad / DEGREE).toFixed(1)}°`;
const READ = ['outputSlope', 'shaftSlope', 'pinionSlope', 'shaftLength'] as const satisfies readonly DrivelinePoint[];

export const SHAFT_ENDS = ['slipApart', 'slipBottoms', 'jointBinds'] as const;
export type ShaftEndId = (typeof SHAFT_ENDS)[number];
/** Where the hub stands when the shaft gives no more. */
export interface ShaftEnd {
  id: ShaftEndId;
  at: HubDrop;
}

/**
 * Where on the hub's travel the sliding joint comes apart or bottoms and a joint binds: the nearest place either way from where it sits.
 * Nothing for what was not read, or is not met. @param sits as planned
 */
export function shaftEnds(read: BesideRead, { position, noseUp }: Pick<ShaftOf, 'position' | 'noseUp'>, sits: HubDrop) {
  const { outputSlope: output, shaftSlope: shaft, pinionSlope: pinion, shaftLength: length } = read;
  if (output === undefined || shaft === undefined || pinion === undefined || length === undefined) return [];
  const nose = (position === 'rear' ? 1 : -1) * (noseUp ?? 0);
  const now = { output, shaft, pinion };
  const ends = new Map<ShaftEndId, ShaftEnd>();
  const met = (id: ShaftEndId, at: number) => ends.has(id) || ends.set(id, { id, at: hubDrop(at) });
  for (let away = 0; away <= FOLLOWED.most; away += FOLLOWED.step)
    for (const at of away === 0 ? [sits] : [sits + away, sits - away]) {
      if (Math.abs(length * Math.sin(shaft) + at) >= length * STEEPEST) continue;
      const slip = slipNeeded(now, at, length);
      if (read.slipOut !== undefined && slip > read.slipOut) met('slipApart', at);
      if (read.slipIn !== undefined && -slip > read.slipIn) met('slipBottoms', at);
      if (read.jointMost === undefined) continue;
      const { front, rear } = jointAngles(drivelineAfter(now, at, nose, length));
      if (Math.max(front, rear) > read.jointMost) met('jointBinds', at);
    }
  return [...ends.values()];
}

/** Whether the sliding joint stays together and no joint binds from hanging to the stop: a shaft that comes apart or locks lets go at once. */
export function shaftTravelRow(read: BesideRead, of: ShaftOf): ReadRow<'shaftTravel'> {
  const { outputSlope: output, shaftSlope: shaft, pinionSlope: pinion, shaftLength: length } = read;
  const { slipOut, slipIn, jointMost } = read;
  const wants = unread(read, [...READ, 'slipOut', 'slipIn', 'jointMost']);
  const { lift, hangs, position } = of;
  if (output === undefined || shaft === undefined || pinion === undefined || length === undefined)
    return waits('shaftTravel', wants);
  if (lift === null || hangs === null) return waits('shaftTravel', wants);
  const now = { output, shaft, pinion };
  // A front axle's pinion points rearward and turns against its axle's nose.
  const nose = (position === 'rear' ? 1 : -1) * (of.noseUp ?? 0);
  const [low, high] = [lift + hangs, lift - (of.up ?? 0)];
  // A rod that would have to stand upright does not reach.
  const reaches = (drop: number) => Math.abs(length * Math.sin(shaft) + drop) < length * STEEPEST;
  if (!reaches(low) || !reaches(high))
    return {
      ...{ item: 'shaftTravel', state: 'does not fit', half90: null, wants, working: [] },
      text: `Hanging, the axle is ${low.toFixed(0)} mm lower than it was read: a shaft of ${length.toFixed(0)} mm does not reach there.`,
    };
  const places = Array.from({ length: PLACES }, (_, k) => {
    const drop = high + ((low - high) * k) / (PLACES - 1);
    const { front, rear } = jointAngles(drivelineAfter(now, drop, nose, length));
    return { slip: slipNeeded(now, drop, length), bent: Math.max(front, rear) };
  });
  const out = Math.max(0, ...places.map((p) => p.slip));
  const inwards = Math.max(0, ...places.map((p) => -p.slip));
  const bent = Math.max(...places.map((p) => p.bent));
  const left = Math.min((slipOut ?? Infinity) - out, (slipIn ?? Infinity) - inwards);
  const binds = jointMost !== undefined && bent > jointMost;
  const apart = slipOut !== undefined && out > slipOut;
  const bottoms = slipIn !== undefined && inwards > slipIn;
  const steep = jointMost === undefined && bent > LOOK_AT;
  const wrong = [
    apart ? `the sliding joint comes apart: ${out.toFixed(0)} mm out of ${slipOut.toFixed(0)} mm` : '',
    bottoms ? `the sliding joint bottoms: ${inwards.toFixed(0)} mm in of ${slipIn.toFixed(0)} mm` : '',
    binds ? `a joint bends ${degrees(bent)} and binds at ${degrees(jointMost)}` : '',
  ].filter(Boolean);
  const told = `From ${of.up === null ? 'where it sits' : 'the stop'} to hanging the sliding joint comes ${out.toFixed(0)} mm out and goes ${inwards.toFixed(0)} mm in, and a joint bends ${degrees(bent)}`;
  return {
    ...{ item: 'shaftTravel', wants, half90: 4 },
    state: wrong.length > 0 ? 'does not fit' : left < SLIP_MARGIN || steep ? 'look' : 'fits',
    text:
      wrong.length > 0
        ? `${told}: ${wrong.join('; ')}. A longer shaft, a limit to the droop, or less lift; made and balanced by a shaft shop.`
        : `${told}${steep ? ': turn it by hand hanging and see that no yoke touches' : ''}${left < SLIP_MARGIN ? `: less than ${SLIP_MARGIN} mm is left of it` : ''}.`,
    ...(Number.isFinite(left) && {
      figure: {
        quantity: 'left in the sliding joint',
        dimension: 'length',
        value: left,
        limit: SLIP_MARGIN,
        margin: left - SLIP_MARGIN,
      },
    }),
    source: `geometry; ${SLIP_MARGIN} mm and 15° chosen`,
    working: [
      `axle from ${high.toFixed(0)} to ${low.toFixed(0)} mm lower than it was read, shaft ${length.toFixed(0)} at ${degrees(shaft)}`,
      `out = √((L·cos)² + (L·sin + drop)²) − L = ${out.toFixed(1)}; bent = shaft less output and less pinion, the greater`,
    ],
  };
}
