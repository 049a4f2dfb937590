import { requireNumber } from '../errors';
import { type Estimate } from '../estimate/estimate';
import { LEAST_THREADS } from './ubolt';

/** What the bend lies round: the axle tube with the legs through a plate on the pack, or the pack with the legs through a plate under the tube. */
export const BENDS = ['tube', 'pack'] as const;
export type Bend = (typeof BENDS)[number];

/** What a new set of U-bolts must span, mm; each with where it comes from. */
export interface UboltStack {
  tube: Estimate;
  perch: Estimate;
  block: number;
  /** A wedge's height in the middle. */
  wedge?: number;
  /** Clamped thickness of the leaves as built. */
  pack: number;
  packWidth: number;
  plate: Estimate;
  washer: Estimate;
  nut: Estimate;
  pitch: Estimate;
  /** Designation as read; null when nobody looked. */
  thread: string | null;
  bend: Bend | null;
}

export interface WorkingLine {
  label: string;
  value: number;
  origin: Estimate['origin'];
}

/** A U-bolt as it is ordered. Lengths mm. */
export interface UboltOrder {
  thread: string | null;
  pitch: number;
  bend: Bend;
  /** Round over the tube, square over the pack. */
  form: 'round' | 'square';
  insideWidth: number;
  /** Leg inside the bend: from the inside of the bend to the end of the leg, rounded up to what is sold. */
  leg: number;
  /** The longest that still clears; beyond it the end stands out needlessly. */
  legMost: number;
  /** Least threaded length, so that the nut neither runs out of thread nor bottoms. */
  threadLength: number;
  count: number;
  working: WorkingLine[];
  /** What stands in unmeasured, in words; measure it before ordering. */
  assumed: string[];
}

/** Two to a spring, two springs. */
const COUNT = 4;
/** U-bolts are made in steps of this, mm. Common practice. */
const STEP = 5;
/** A leg may be this much longer than needed, mm. Chosen. */
const LONGER = 25;
/** Thread below the nut when it is new, for a pack that settles and is tightened again, mm. Chosen. */
const TAKE_UP = 12;
/** Over a pack the bend is this much wider than the leaves, mm. Common practice. */
const PLAY = 1;

const up = (mm: number): number => Math.ceil(mm / STEP - 1e-9) * STEP;

/**
 * The U-bolts a built stack needs, with the working. The leg inside the bend spans the tube, the perch, the block, the pack and the
 * plate whichever of tube and pack the bend lies round; washer, nut and three threads stand beyond. Inside width and form follow the
 * bend; both are given when nobody said which it is. @throws CoreError `bad-input` naming what is out of range
 */
export function uboltOrders(stack: UboltStack): UboltOrder[] {
  requireNumber('tubeDiameter', stack.tube.value, 20, 400);
  requireNumber('uboltPitch', stack.pitch.value, 0.3, 6);
  const of = (label: string, e: Estimate): WorkingLine => ({ label, value: e.value, origin: e.origin });
  const threads = LEAST_THREADS * stack.pitch.value;
  const working: WorkingLine[] = [
    of('axle tube', stack.tube),
    of('perch', stack.perch),
    ...(stack.block > 0 ? [{ label: 'block', value: stack.block, origin: 'computed' as const }] : []),
    ...(stack.wedge ? [{ label: 'wedge', value: stack.wedge, origin: 'computed' as const }] : []),
    { label: 'leaves as built', value: stack.pack, origin: 'computed' },
    of('spring plate', stack.plate),
    of('washer', stack.washer),
    of('nut', stack.nut),
    { label: `${LEAST_THREADS} threads beyond the nut`, value: threads, origin: stack.pitch.origin },
  ];
  const needed = working.reduce((sum, line) => sum + line.value, 0);
  const assumed = working.filter((line) => line.origin === 'assumed').map((line) => line.label);
  const leg = up(needed);
  return (stack.bend ? [stack.bend] : BENDS).map((bend) => ({
    thread: stack.thread,
    pitch: stack.pitch.value,
    bend,
    form: bend === 'tube' ? 'round' : 'square',
    insideWidth: bend === 'tube' ? stack.tube.value : stack.packWidth + PLAY,
    leg,
    legMost: leg + LONGER,
    threadLength: up(stack.washer.value + stack.nut.value + threads + TAKE_UP),
    count: COUNT,
    working,
    assumed,
  }));
}

/** What is known of a U-bolt on a shelf; lengths mm, null where nobody measured. */
export interface UboltPart {
  diameter: number | null;
  pitch: number | null;
  insideWidth: number | null;
  legLength: number | null;
  threadLength: number | null;
  form: string | null;
}

/** A bend may be this much wider than called for, mm. Common practice. */
const WIDER = 4;

/** Whether a part may be taken for an order. @param diameter nominal, mm, as ordered; null when the thread is not known */
export function uboltSuits(part: UboltPart, order: UboltOrder, diameter: number | null): boolean {
  if (part.insideWidth === null || part.legLength === null) return false;
  if (part.form !== null && part.form !== order.form) return false;
  if (diameter !== null && (part.diameter === null || Math.abs(part.diameter - diameter) > 0.1)) return false;
  if (diameter !== null && part.pitch !== null && Math.abs(part.pitch - order.pitch) > 0.02) return false;
  if (part.threadLength !== null && part.threadLength < order.threadLength) return false;
  const wider = part.insideWidth - order.insideWidth;
  return wider >= -0.5 && wider <= WIDER && part.legLength >= order.leg - STEP / 2 && part.legLength <= order.legMost;
}
