import { type Outcome } from '@/contracts/build';
import { foretoldOf } from '@/contracts/foretold';
import { type AxleView, type JobView } from '@/contracts/job';
import { summarise, type Reach } from '@/core/prediction/ledger';
import { SIDES, type Side } from '@/core/vehicle/side';

export type ProvingPoint = Outcome['point'];

/** One side of one axle in one load: what it was, what was foretold and guessed, what the tape says. */
export interface Corner {
  view: AxleView;
  side: Side;
  was: number | null;
  foretold: { height: number; reach: Reach } | null;
  guess: number | null;
  outcome: Outcome | null;
  /** Tape less foretold, mm. */
  off: number | null;
}

/** A height of a point from before the work. */
export const readBefore = (view: AxleView, point: ProvingPoint, side: Side, stateId: string | undefined) =>
  view.readings.find((r) => r.point === point && r.phase === 'before' && r.side === side && r.stateId === stateId);

function cornerOf(view: AxleView, side: Side, stateId: string, point: ProvingPoint): Corner {
  const ledger = foretoldOf(view)?.ledgers.find((l) => l.side === side && l.stateId === stateId);
  const told = ledger ? summarise(ledger.lines) : null;
  // From the ground the height read before counts, and the change foretold in the same load.
  const ground = point === 'groundToLip' ? (readBefore(view, point, side, stateId)?.value ?? null) : null;
  const was = point === 'groundToLip' ? ground : (told?.before ?? null);
  const will =
    point === 'groundToLip' ? (told && ground !== null ? ground + told.change : null) : (told?.after ?? null);
  const outcome = view.outcomes.find((o) => o.side === side && o.stateId === stateId && o.point === point) ?? null;
  const guessed = view.states.find((s) => s.id === stateId)?.wanted === true && view.job.guess !== null;
  return {
    ...{ view, side, was, outcome },
    foretold: told && will !== null ? { height: will, reach: told.reach } : null,
    guess: guessed && was !== null ? was + view.job.guess! : null,
    off: outcome ? outcome.measured - outcome.predicted : null,
  };
}

/** Both sides of every axle the job works on, the front one first. */
export const cornersOf = (job: JobView, stateId: string, point: ProvingPoint): Corner[] =>
  [job, ...job.others]
    .toSorted((p, q) => Number(q.axle.position === 'front') - Number(p.axle.position === 'front'))
    .flatMap((view) => SIDES.map((side) => cornerOf(view, side, stateId, point)));

/** The corner that came out farthest from what was foretold, those outside their band first. */
export const worstOf = (corners: readonly Corner[]): Corner | null =>
  corners
    .filter((c) => c.off !== null)
    .toSorted(
      (p, q) => Number(p.outcome!.inside) - Number(q.outcome!.inside) || Math.abs(q.off!) - Math.abs(p.off!),
    )[0] ?? null;

export const cornerName = ({ view, side }: Corner): string =>
  view.axle.position === 'front' ? `front ${side}` : `rear ${side}`;

/** What was built, in the words it was foretold with. */
export const planNameOf = (view: AxleView): string | null => foretoldOf(view)?.planName ?? null;
