import { clampOf, frictionHold, SEAT_FRICTION, TYRE_GRIP, type Condition } from '../fastener/clamp';
import { type Lubrication } from '../fastener/joints';
import { GRAVITY } from '../material/steel';
import { threadNamed } from '../thread/thread';
import { waits, type ReadRow } from './readRow';

/** How the U-bolts are tightened, and what rests on the wheel beside them. */
export interface ClampedOf {
  /** As it was read; null where nobody did. */
  thread: string | null;
  /** N·mm; null while nobody gave a figure. */
  torque: number | null;
  lubrication: Lubrication;
  /** On the axle with the heaviest load, kg; null where it was not weighed. */
  heaviest: number | null;
}

/** What the torque register knows as a condition of the threads; where nobody knows it, dry clamps least. */
const condition = (of: Lubrication): Condition => (of === 'notKnown' ? 'dry' : of);

/** Whether the four legs of each spring hold the axle by friction against the hardest braking; the dowel only places it. */
export function clampedRow({ thread: name, torque, lubrication, heaviest }: ClampedOf): ReadRow<'clamped'> {
  const thread = name === null ? undefined : threadNamed(name);
  if (!thread || torque === null || heaviest === null) return waits('clamped', []);
  const { force, least } = clampOf(thread, torque, condition(lubrication));
  const holds = frictionHold(force, 4).force;
  const surely = frictionHold(least, 4).least;
  const asked = (TYRE_GRIP * heaviest * GRAVITY) / 2;
  const kn = (newton: number) => `${(newton / 1000).toFixed(1)} kN`;
  return {
    ...{ item: 'clamped', wants: [], half90: null, state: surely < asked ? 'look' : 'fits' },
    text:
      `Friction holds about ${kn(holds)} on each side, the hardest braking asks ${kn(asked)}` +
      (holds < asked
        ? ': the dowel would have to hold the rest, and shears. More clamp, larger U-bolts, clean and flat faces.'
        : surely < asked
          ? '; the loosest of ten would not hold by friction alone: torque in stages, and again after the first load.'
          : '; also the loosest of ten holds.'),
    source: 'friction of the seat, nut factor and tyre grip from memory',
    working: [
      `clamp of a leg = T ÷ (K·d) = ${kn(force)}, the loosest of ten ${kn(least)}${lubrication === 'notKnown' ? ' (dry assumed: nobody said)' : ''}`,
      `4 × ${kn(force)} × ${SEAT_FRICTION.value} = ${kn(holds)}; loosest with ${(SEAT_FRICTION.value - SEAT_FRICTION.half90).toFixed(2)} ${kn(surely)}; asked ${TYRE_GRIP} × ½ × ${heaviest.toFixed(0)} kg × 9.81 = ${kn(asked)}`,
    ],
  };
}
