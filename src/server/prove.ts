// Prove: after heights against what was foretold.
import { randomUUID } from 'node:crypto';
import { type DayRow, type NewReading, type ReadingRow } from '@/contracts/reading';
import { type JobView } from '@/contracts/job';
import { ProblemError } from '@/contracts/problem';
import { compareHeights, type Comparison, type TakenHeight } from '@/core/vehicle/likeWithLike';
import { RETORQUE } from '@/core/fastener/joints';
import { summarise } from '@/core/prediction/ledger';
import { type Tx } from '@/data/client';
import { insertDue } from '@/data/due';
import * as plans from '@/data/plan';
import { readingById } from '@/data/reading';
import { loadJob } from './jobs';
import { addReading } from './measure';

/** Heights of the body that may be read before and after: from the hub, or from the ground at the same tyre pressure. */
const PROVING = ['hubToLip', 'groundToLip'] as const;
type Proving = (typeof PROVING)[number];
const proving = (point: string): point is Proving => (PROVING as readonly string[]).includes(point);

/**
 * Stores an after height and sets it against the prediction of the build. Only like with like: the same point before and after,
 * the load state one the prediction was made for, the vehicle rolled. From the hub the prediction is the ledger's own height; from
 * the ground it is the height read before in the same load, with the change the ledger foretells there.
 */
export async function prove(
  tx: Tx,
  jobAxleId: string,
  reading: NewReading,
  newId: () => string = randomUUID,
): Promise<JobView> {
  const view = await loadJob(tx, jobAxleId);
  const { side, stateId } = reading;
  const { point } = reading;
  if (!proving(point) || reading.phase !== 'after' || !side || !stateId)
    throw new ProblemError(400, {
      code: 'bad-input',
      message: 'An after height names its side and load state.',
      field: 'point',
    });
  if (reading.rolled !== true)
    throw new ProblemError(422, {
      code: 'not-rolled',
      message: 'Roll the vehicle first: friction holds an unrolled spring up or down by millimetres.',
      field: 'rolled',
    });
  const foretold = view.build ? view.predictions.find((p) => p.id === view.build?.predictionId) : view.predictions[0];
  const ledger = foretold?.ledgers.find((l) => l.side === side && l.stateId === stateId);
  const { change, half, reach, ...heights } = summarise(ledger?.lines ?? []);
  const before = beforeOf(view, point, side, stateId);
  const after = point === 'hubToLip' ? heights.after : before && ledger ? before.value + change : null;
  if (!foretold || !ledger || after === null)
    throw new ProblemError(422, {
      code: 'not-alike',
      message:
        point === 'groundToLip' && foretold
          ? 'There is no height from the ground to this lip from before the work in this load state to compare with.'
          : 'There is no stored prediction of this height in this load state to compare with.',
      field: 'stateId',
    });
  const alike = await againstBefore(tx, view, reading, foretold.id);
  if (alike.kind === 'refused')
    throw new ProblemError(422, {
      code: 'not-alike',
      message: `These two heights cannot be compared: ${alike.reasons.join('; ')}.`,
      field: alike.reasons.some((r) => r.includes('tank')) ? 'fuel' : 'typed',
      detail: alike.reasons,
    });
  await addReading(tx, jobAxleId, reading);
  const [stored] = await readingById(tx, jobAxleId, reading.id);
  const convertedBy = alike.kind === 'converted' ? alike.convertedBy : 0;
  const measured = (stored?.value ?? reading.value) + convertedBy;
  await plans.insertOutcome(tx, {
    readingId: reading.id,
    predictionId: foretold.id,
    side,
    stateId,
    measured,
    predicted: after,
    half90: half,
    inside: measured >= after - reach.below && measured <= after + reach.above,
    convertedBy,
    point,
  });
  for (const { what, afterKm, inDays } of RETORQUE) await insertDue(tx, newId(), view.job.id, what, afterKm, inDays);
  return loadJob(tx, jobAxleId);
}

/** What a height was read in, as far as it was written down. */
function takenHeight(
  reading: Pick<ReadingRow, 'point' | 'side' | 'stateId' | 'value' | 'rolled' | 'dayId'>,
  days: readonly DayRow[],
): TakenHeight {
  const day = days.find((d) => d.id === reading.dayId);
  return {
    point: reading.point,
    side: reading.side,
    stateId: reading.stateId,
    value: reading.value,
    rolled: reading.rolled,
    stance: day?.stance ?? null,
    fuel: day?.fuel ?? null,
    fuelAsBefore: day?.fuelAsBefore ?? false,
    tyrePressure: day?.tyrePressure ?? null,
  };
}

/** The height of a point from before the work: in the load state asked for, or the one of the day. */
function beforeOf(view: JobView, point: Proving, side: string, stateId: string): ReadingRow | undefined {
  const of = (state: string | null | undefined) =>
    view.readings.find((r) => r.point === point && r.phase === 'before' && r.side === side && r.stateId === state);
  // Over the tyre a load counts too, so from the ground only the same load will do.
  return of(stateId) ?? (point === 'hubToLip' ? of(view.states[0]?.id) : undefined);
}

/** Whether an after height may be set against the prediction of its load state, and what another fill of the tank did. */
async function againstBefore(tx: Tx, view: JobView, reading: NewReading, predictionId: string): Promise<Comparison> {
  const { side, stateId } = reading;
  const base =
    side && stateId && proving(reading.point)
      ? beforeOf(view, reading.point, side, reading.point === 'hubToLip' ? (view.states[0]?.id ?? '') : stateId)
      : undefined;
  if (!base) return { kind: 'refused', reasons: ['there is no before height of this side'] };
  const [record] = await plans.predictionRecord(tx, predictionId);
  const state = side && record?.result.prediction.sides[side]?.states.find((s) => s.id === stateId);
  const { tankMass, tankStation, wheelbase } = view.vehicle;
  // The prediction was made for the load state the after height was read in, so the two belong together in that; and a before
  // height that was not rolled is already in its band.
  return compareHeights({ ...takenHeight(base, view.days), stateId, rolled: true }, takenHeight(reading, view.days), {
    tankMass,
    tankStation,
    wheelbase,
    position: view.axle.position,
    rate: (state && (state.built ?? state.old)?.rate) ?? null,
  });
}
