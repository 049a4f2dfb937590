import { clampOf, frictionHold, SEAT_FRICTION, TYRE_GRIP, type Condition } from '../fastener/clamp';
import { type Lubrication } from '../fastener/joints';
import { GRAVITY } from '../material/steel';
import { threadNamed } from '../thread/thread';
import { nearestDrills, openedTo } from '../fastener/hole';
import { unread, waits, type BesideRead, type ReadRow } from './readRow';

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
export function clampedRow(
  { thread: name, torque, lubrication, heaviest }: ClampedOf,
  read: BesideRead = {},
): ReadRow<'clamped'> {
  const thread = name === null ? undefined : threadNamed(name);
  const wants = thread ? unread(read, ['plateHole']) : [];
  const opened = thread && read.plateHole ? openedTo(read.plateHole, thread.diameter) : null;
  // The order of the work has a step for it.
  const narrow =
    opened === null
      ? ''
      : ` The plate’s hole of ${read.plateHole!.toFixed(1)} mm is too narrow for ${thread!.name}: it is opened to ${opened.toFixed(1)} mm (${nearestDrills(opened, 1)[0]!.name}), the plate alone, never a leaf.`;
  if (!thread || torque === null || heaviest === null)
    return opened === null
      ? waits('clamped', wants)
      : { item: 'clamped', state: 'look', text: narrow.trim(), half90: null, wants, working: [] };
  const { force, least } = clampOf(thread, torque, condition(lubrication));
  const holds = frictionHold(force, 4).force;
  const surely = frictionHold(least, 4).least;
  const asked = (TYRE_GRIP * heaviest * GRAVITY) / 2;
  const kn = (newton: number) => `${(newton / 1000).toFixed(1)} kN`;
  return {
    ...{ item: 'clamped', wants, half90: null, state: surely < asked || opened !== null ? 'look' : 'fits' },
    text:
      `Friction holds about ${kn(holds)} on each side, the hardest braking asks ${kn(asked)}` +
      (holds < asked
        ? ': the dowel would have to hold the rest, and shears. More clamp, larger U-bolts, clean and flat faces.'
        : surely < asked
          ? '; the loosest of ten would not hold by friction alone: torque in stages, and again after the first load.'
          : '; also the loosest of ten holds.') +
      narrow,
    source: 'friction of the seat, nut factor and tyre grip from memory',
    working: [
      `clamp of a leg = T ÷ (K·d) = ${kn(force)}, the loosest of ten ${kn(least)}${lubrication === 'notKnown' ? ' (dry assumed: nobody said)' : ''}`,
      `4 × ${kn(force)} × ${SEAT_FRICTION.value} = ${kn(holds)}; loosest with ${(SEAT_FRICTION.value - SEAT_FRICTION.half90).toFixed(2)} ${kn(surely)}; asked ${TYRE_GRIP} × ½ × ${heaviest.toFixed(0)} kg × 9.81 = ${kn(asked)}`,
    ],
  };
}
