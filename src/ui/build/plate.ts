import { type JobView } from '@/contracts/job';
import { CROSS, evenThreads, roundOf, spreadOf, type Round } from '@/core/fastener/rounds';
import { type Operation } from '@/core/procedure/operation';
import { type Side } from '@/core/vehicle/side';
import { type UnitId } from '@/core/units/units';

/** A leg of a side by its place in the cross, as the torque register names it. */
export const legOf = (side: Side, nut: number): string => `${side}, ${CROSS[nut]!}`;

/** Steps at which the four nuts of a plate are drawn up. */
const PLATE_STEPS = ['uboltsOn', 'uboltsFinal'];
export const plateSide = (view: JobView, operation: Operation | null): Side | null =>
  operation?.side && view.axle.suspension === 'longitudinalLeaf' && PLATE_STEPS.includes(operation.id.split('.')[0]!)
    ? operation.side
    : null;

export interface Plate {
  side: Side;
  /** Figure of all four, N·mm; null while none is written down. */
  final: number | null;
  unit: UnitId;
  round: Round | null;
  /** Largest less smallest read, N·mm, and of the threads, mm; null with less than two. */
  torques: number | null;
  threads: number | null;
  /** Ends stand out alike; null with less than two read, or while the pitch is not known. */
  even: boolean | null;
}

/** How far the plate of one side is drawn up. @param weightOn only then the last round is gone */
export function plateOf(view: JobView, side: Side, weightOn: boolean): Plate {
  const entry = view.torques.find((t) => t.joint === 'uBolts');
  const read = CROSS.map(
    (_, k) => view.torqueReadings.find((r) => r.joint === 'uBolts' && r.bolt === legOf(side, k))?.value ?? null,
  );
  const stands = CROSS.map((_, k) => view.legThreads.find((l) => l.leg === legOf(side, k))?.value ?? null);
  const final = entry?.value ?? null;
  const round = final === null ? null : roundOf(final, read);
  const pitch = view.readings.find((r) => r.point === 'uboltPitch' && r.phase === 'before')?.value ?? null;
  const threads = spreadOf(stands);
  return {
    ...{ side, final, unit: entry?.unit ?? 'N·m', torques: spreadOf(read), threads },
    // With the wheels hanging the nuts are only drawn up snug: the first round.
    round: round && !weightOn && round.round > 1 ? { round: 2, target: final! / 3, next: null } : round,
    even: threads === null || pitch === null ? null : evenThreads(threads, pitch),
  };
}
