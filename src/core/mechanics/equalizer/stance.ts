import { CoreError, requireNumber } from '../../errors';

/** One axle of a pair on one side of the vehicle. */
export interface PairEnd {
  /** Frame above the hub with nothing on the spring and the rocker level, mm, up to a constant that both axles share. */
  rest: number;
  /** Of the spring and of the tyre under it, N/mm. */
  rate: number;
  tyre: number;
  /** Way of the axle over the way of the spring's inner end, 0–1. */
  reach: number;
  /** Arm on which the inner end turns the rocker, mm; without meaning where there is none. */
  arm: number;
}

/** Two axles close together on one side, their springs' inner ends on a rocker or each on its own slipper. */
export interface AxlePair {
  front: PairEnd;
  rear: PairEnd;
  /** Hub to hub, mm. */
  spacing: number;
  /** How far the rocker may swing either way, rad, null where nobody knows; `apart` without a rocker. */
  joined: { stop: number | null } | 'apart';
}

/** How a pair stands under its load. */
export interface Stance {
  /** On each spring, N. */
  front: number;
  rear: number;
  /** Of the rocker, rad; positive when its front pin stands higher than level. 0 without one. */
  swing: number;
  /** The rocker rests on its stop: from here on the axles no longer share. */
  atStop: boolean;
  /** Frame above the middle of the line from hub to hub, mm, up to the constant of `rest`. */
  height: number;
}

/** Beyond this no rocker swings, rad. */
const FARTHEST = 1.1;

/**
 * Where a pair of axles comes to rest. With a rocker eye forces balance on its arms, whatever pitch and ground do, until it meets its
 * stop; apart, and beyond the stop, each axle takes what its spring and tyre give. Springs and tyres linear, statics, friction left out.
 * @param load on both springs of the side, N @param pitch of the frame over level ground, rad, nose down positive (−0.3 to 0.3)
 * @param bump under the front wheel, mm, negative under the rear one (−300 to 300)
 * @throws CoreError `bad-input` for what is no pair, `no-equilibrium` when an axle would have to pull the ground
 */
export function stanceOf(pair: AxlePair, load: number, pitch: number, bump = 0): Stance {
  const { front, rear, spacing, joined } = pair;
  for (const [name, end] of Object.entries({ front, rear })) {
    requireNumber(`${name}.rate`, end.rate, 0.5, 5000);
    requireNumber(`${name}.tyre`, end.tyre, 5, 20_000);
    requireNumber(`${name}.reach`, end.reach, 0.05, 0.95);
    if (joined !== 'apart') requireNumber(`${name}.arm`, end.arm, 5, 2000);
  }
  requireNumber('spacing', spacing, 200, 4000);
  requireNumber('pitch', pitch, -0.3, 0.3);
  requireNumber('bump', bump, -300, 300);
  const give = (end: PairEnd): number => 1 / end.rate + 1 / end.tyre;
  // How much higher the front axle's frame would stand than the rear one's, over what the pitch of the frame asks.
  const step = bump + front.rest - rear.rest + pitch * spacing;
  const made = (onFront: number, swing: number, atStop: boolean): Stance => {
    const onRear = load - onFront;
    const way = joined === 'apart' ? 0 : Math.sin(swing);
    const heights = [
      front.rest - onFront / front.rate - front.reach * front.arm * way,
      rear.rest - onRear / rear.rate + rear.reach * rear.arm * way,
    ];
    return { front: onFront, rear: onRear, swing, atStop, height: (heights[0]! + heights[1]!) / 2 };
  };
  const apart = (left: number): number => (left + load * give(rear)) / (give(front) + give(rear));
  if (joined === 'apart') {
    const onFront = apart(step);
    if (load >= 0 && (onFront < 0 || onFront > load))
      throw new CoreError('no-equilibrium', 'pitch', 'one of the two axles hangs in the air at this pitch');
    return made(onFront, 0, false);
  }
  const ways = { front: front.reach * front.arm, rear: rear.reach * rear.arm };
  const share = ways.rear / (ways.front + ways.rear);
  const sine = (step - share * load * give(front) + (1 - share) * load * give(rear)) / (ways.front + ways.rear);
  const farthest = Math.sin(Math.min(FARTHEST, joined.stop ?? FARTHEST));
  if (Math.abs(sine) <= farthest) return made(share * load, Math.asin(sine), false);
  if (joined.stop === null)
    throw new CoreError('no-equilibrium', 'rocker', 'the rocker would have to swing farther than a rocker can');
  const held = Math.sign(sine) * farthest;
  const onFront = apart(step - held * (ways.front + ways.rear));
  if (load >= 0 && (onFront < 0 || onFront > load))
    throw new CoreError('no-equilibrium', 'rocker', 'the rocker is at its stop and one axle hangs in the air');
  return made(onFront, Math.sign(sine) * joined.stop, true);
}

/** Share of a side's load on the front axle that the rocker's arms ask for, 0–1. */
export const sharedBy = ({ front, rear }: Pick<AxlePair, 'front' | 'rear'>): number => {
  const [f, r] = [front.reach * front.arm, rear.reach * rear.arm];
  return r / (f + r);
};

/** How much higher the ground under the front wheel may be before the rocker meets its stop, and lower; mm. null without a stop. */
export function freeStep(pair: AxlePair, load: number, pitch: number): { up: number; down: number } | null {
  const { front, rear, joined } = pair;
  if (joined === 'apart' || joined.stop === null) return null;
  const now = stanceOf(pair, load, pitch);
  const ways = front.reach * front.arm + rear.reach * rear.arm;
  const [sine, most] = [Math.sin(now.swing), Math.sin(joined.stop)];
  return now.atStop ? { up: 0, down: 0 } : { up: (most - sine) * ways, down: (most + sine) * ways };
}
