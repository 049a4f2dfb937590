import { CoreError, requireNumber } from '../../errors';
import { FINE, HalfPack } from '../leafpack/half';
import { checkPack, type End, type Leaf, type Pack } from '../leafpack/pack';
import { type PackSolver } from '../leafpack/solve';
import { solveInstalled, type InstalledState, type Linkage } from './installed';

const { abs, cos, max, sin } = Math;

/** A helper leaf above the main leaf whose free ends come up against level pads of the frame as the load grows. */
export interface HelperLeaf {
  leaf: Leaf;
  /** Between helper and main leaf at the seat, mm. */
  spacer: number;
  /** Height of each pad's face above the front eye, mm. */
  pads: Record<End, number>;
}

export interface HelpedState extends InstalledState {
  /** Force of each pad on the helper leaf, N; 0 while it stands clear. */
  padForces: Record<End, number>;
}

/** One end of the helper in the frame under a vertical pad force. */
class HelperEnd {
  private readonly half: HalfPack;
  private readonly above: number;
  force = 0;

  constructor(
    pack: Pack,
    private readonly end: End,
    main: number,
    spacer: number,
  ) {
    this.half = new HalfPack(pack, end, FINE);
    this.above = (main + pack.leaves[0]!.thickness) / 2 + spacer;
  }

  /** Height of its end in the frame under a pad force, with the seat at a place and tilt. */
  private endHeight(force: number, seat: { y: number }, tilt: number): number {
    const turn = this.end === 'rear' ? tilt : -tilt;
    for (let k = 0; k < 30; k++)
      if (this.half.advance({ down: force * cos(turn), outward: -force * sin(turn) }, true) < 1e-7) break;
    const { x, y } = this.half.eye;
    return seat.y + (y + this.above) * cos(turn) + x * sin(turn);
  }

  /** Pad force that keeps the end from rising through its pad, N. */
  press(pad: number, seat: { y: number }, tilt: number): number {
    let force = 0;
    if (this.endHeight(0, seat, tilt) <= pad) {
      this.force = 0;
      return 0;
    }
    force = max(1, this.force);
    for (let k = 0; k < 40; k++) {
      const over = this.endHeight(force, seat, tilt) - pad;
      if (abs(over) < 1e-6) break;
      force = max(0, force + over / this.half.give.downDown);
    }
    this.force = force;
    return force;
  }

  /** Lever arm of the pad force about the pin along the frame, mm. */
  arm(tilt: number): number {
    const turn = this.end === 'rear' ? tilt : -tilt;
    return this.half.eye.x * cos(turn) - (this.half.eye.y + this.above) * sin(turn);
  }
}

/**
 * Installed equilibrium with a helper leaf above: pack and helper act beside one another on the seat, pads press and never
 * pull. The helper touches the main leaf at the seat only.
 * @param load N on the seat, both together @throws CoreError `no-equilibrium`, `bad-input`
 */
export function solveHelped(solver: PackSolver, linkage: Linkage, helper: HelperLeaf, load: number): HelpedState {
  requireNumber('load', load, 0, 1e6);
  requireNumber('helper.spacer', helper.spacer, 0, 200);
  for (const end of ['front', 'rear'] as const) requireNumber(`helper.pads.${end}`, helper.pads[end], -1000, 1000);
  const pack: Pack = {
    leaves: [helper.leaf],
    clamp: solver.pack.clamp,
    youngs: solver.pack.youngs,
    eyeOffset: { front: 0, rear: 0 },
    friction: 0,
  };
  checkPack(pack);
  const main = solver.pack.leaves[0]!.thickness;
  const ends = {
    front: new HelperEnd(pack, 'front', main, helper.spacer),
    rear: new HelperEnd(pack, 'rear', main, helper.spacer),
  };
  let couple = 0;
  let last: InstalledState | undefined;
  /** What the pads must carry when the eyes carry `eyes`, less what is left for them. */
  const excess = (eyes: number): number => {
    for (let k = 0; k < 30; k++) {
      last = solveInstalled(solver, linkage, { load: eyes, couple }, last?.shape);
      const front = ends.front.press(helper.pads.front, last.seat, last.seatTilt);
      const rear = ends.rear.press(helper.pads.rear, last.seat, last.seatTilt);
      // Pads push down: at the rear end that turns the rear of the seat down.
      const wanted = front * ends.front.arm(last.seatTilt) - rear * ends.rear.arm(last.seatTilt);
      const change = wanted - couple;
      couple += change / 2;
      if (abs(change) < 1e-4 * (1 + abs(eyes) * 100)) break;
    }
    return eyes + ends.front.force + ends.rear.force - load;
  };
  let [low, high] = [0, load];
  let [atLow, atHigh] = [0, excess(load)];
  if (atHigh > 0) {
    // With no load on the eyes the pads carry what they carry; the answer lies between.
    atLow = excess(0);
    if (atLow > 0) throw new CoreError('no-equilibrium', 'helper', 'the pads alone carry more than this load');
    for (let k = 0; k < 60; k++) {
      const secant = high - (atHigh * (high - low)) / (atHigh - atLow);
      const middle = k % 3 === 2 ? (low + high) / 2 : secant;
      const at = excess(middle);
      if (abs(at) < 1e-6 * (1 + load)) break;
      if (at > 0) [high, atHigh] = [middle, at];
      else [low, atLow] = [middle, at];
    }
  }
  return { ...last!, padForces: { front: ends.front.force, rear: ends.rear.force } };
}
