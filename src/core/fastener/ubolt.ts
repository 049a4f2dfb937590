import { requireNumber } from '../errors';
import { type VerdictState } from '../verdict';

export interface UboltReading {
  /** Thread showing beyond the nut now, mm. */
  exposed: number;
  /** mm. */
  pitch: number;
  /** Threaded length of a leg, mm; unknown when not measured. */
  threaded?: number | undefined;
  /** mm; unknown when not measured. */
  nutHeight?: number | undefined;
}

export interface UboltVerdict {
  /** Thread beyond the nut after the change, mm. */
  exposedAfter: number;
  threadsLeft: number;
  engagement: VerdictState;
  runOut: VerdictState;
  /** What to do, in words. */
  reason: string;
}

/** Fewest whole threads beyond the nut. Common practice. */
export const LEAST_THREADS = 3;

/**
 * Threads left and run-out when the clamped stack grows by `growth` mm (negative when it shrinks).
 * Run-out: the nut needs exposed + shrink + its own height of thread, else it bottoms on the shank.
 */
export function uboltAfter(reading: UboltReading, growth: number): UboltVerdict {
  requireNumber('uboltExposedThread', reading.exposed, 0, 300);
  requireNumber('uboltPitch', reading.pitch, 0.3, 6);
  const exposedAfter = reading.exposed - growth;
  const threadsLeft = exposedAfter / reading.pitch;
  const engagement = threadsLeft >= LEAST_THREADS - 1e-9 ? 'fits' : 'does not fit';
  let runOut: VerdictState = 'not checked';
  if (reading.threaded !== undefined && reading.nutHeight !== undefined)
    runOut = exposedAfter + reading.nutHeight <= reading.threaded + 1e-9 ? 'fits' : 'does not fit';
  const reason =
    engagement === 'does not fit'
      ? `Longer U-bolts: ${Math.max(0, Math.floor(threadsLeft + 1e-9))} threads left, ${LEAST_THREADS} needed.`
      : runOut === 'does not fit'
        ? 'The nut runs off the thread and bottoms on the shank: shorter U-bolts or more thread.'
        : runOut === 'not checked'
          ? 'Threaded length or nut height not measured: run-out is not checked.'
          : 'Legs and thread are long enough.';
  return { exposedAfter, threadsLeft, engagement, runOut, reason };
}

/**
 * Leg length inside the bend, mm: everything between the inside of the bend and the nut's face, washer, nut and
 * at least three threads.
 */
export const uboltLeg = (clamped: number, washer: number, nut: number, pitch: number): number =>
  clamped + washer + nut + LEAST_THREADS * pitch;
