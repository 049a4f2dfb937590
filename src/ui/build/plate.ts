import { finalJoints } from '@/contracts/holds';
import { type JobView } from '@/contracts/job';
import { isOf } from '@/core/fastener/joints';
import { patternsOf, type Pattern } from '@/core/fastener/pattern';
import { evenThreads, roundOf, ROUNDS, spreadOf, type Round } from '@/core/fastener/rounds';
import { setTo } from '@/core/fastener/torqueRead';
import { type Operation } from '@/core/procedure/operation';
import { jointsOf } from '@/core/suspension/registry';
import { type UnitId } from '@/core/units/units';

/** Steps at which nuts are drawn up that another step makes final. */
const SNUG = ['uboltsOn'];

export interface Plate {
  pattern: Pattern;
  /** What the wrench is set to for all, N·mm; null while no figure is written down. */
  final: number | null;
  /** Of it, what the locking nut runs at, N·mm. */
  running: number | null;
  unit: UnitId;
  round: Round | null;
  /** Largest less smallest read, N·mm, of the threads and of the gaps, mm; null with less than two. */
  torques: number | null;
  threads: number | null;
  gaps: number | null;
  /** Ends stand out alike; null with less than two read, or while the pitch is not known. */
  even: boolean | null;
}

/** A plate stands alike off its seat all round within this, mm. Chosen. */
const GAP = 1;
export const evenGaps = (spread: number): boolean => spread <= GAP;

const readAt = (view: JobView, pattern: Pattern) =>
  pattern.bolts.map(
    ({ bolt }) =>
      view.torqueReadings.find((r) => r.joint === pattern.joint && r.bolt === bolt) ??
      view.torqueReadings.find((r) => r.joint === pattern.joint && isOf(bolt, r.bolt)),
  );

/** How far a set is drawn up. @param weightOn only then U-bolts go past their first round */
function plateOf(view: JobView, pattern: Pattern, weightOn: boolean): Plate {
  const entry = view.torques.find((t) => t.joint === pattern.joint);
  const read = readAt(view, pattern).map((r) => r?.value ?? null);
  const stands = (what: 'thread' | 'gap') =>
    spreadOf(
      pattern.bolts.map(({ bolt }) => view.legThreads.find((l) => l.what === what && l.leg === bolt)?.value ?? null),
    );
  const unit = entry?.unit ?? 'N·m';
  const running = entry?.running ?? null;
  const final = entry?.value ? setTo({ value: entry.value, unit }, running).value : null;
  const round = final === null ? null : roundOf(final, read);
  const pitch = view.readings.find((r) => r.point === 'uboltPitch' && r.phase === 'before')?.value ?? null;
  const threads = stands('thread');
  const hanging = pattern.weightOn && !weightOn;
  return {
    ...{ pattern, final, running, unit, torques: spreadOf(read), threads, gaps: stands('gap') },
    // With the wheels hanging the nuts are only drawn up snug: the first round.
    round: round && hanging && round.round > 1 ? { round: 2, target: final! * ROUNDS[0], next: null } : round,
    even: threads === null || pitch === null ? null : evenThreads(threads, pitch),
  };
}

/** The set of nuts that a step draws up crosswise: the first that is not done, else the last; null where it has none. */
export function plateAt(view: JobView, operation: Operation | null, weightOn: boolean): Plate | null {
  if (!operation) return null;
  const joints = SNUG.includes(operation.id.split('.')[0]!)
    ? jointsOf(view.axle.suspension, view.pack).filter((j) => j === 'uBolts' || j === 'pairUBolts')
    : finalJoints(view, operation);
  const plates = joints
    .flatMap((joint) => patternsOf(joint, operation.side))
    .map((pattern) => plateOf(view, pattern, weightOn));
  return plates.find((p) => p.final === null || (p.round !== null && p.round.next !== null)) ?? plates.at(-1) ?? null;
}
