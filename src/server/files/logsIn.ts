// Logs of a job that come in as CSV: whole, or not at all with every line that cannot be taken named.
import { randomUUID } from 'node:crypto';
import { type z } from 'zod';
import {
  type logFileSchema,
  readLogFile,
  type LogFault,
  type LogId,
  type LogReport,
  type LogRow,
} from '@/contracts/logFile';
import { newSettlingHeightSchema } from '@/contracts/follow';
import { type JobView } from '@/contracts/job';
import { ProblemError } from '@/contracts/problem';
import { newReadingSchema, pointSchema } from '@/contracts/reading';
import { readingKey } from '@/contracts/readingKey';
import { newFailureSchema } from '@/contracts/sideFinding';
import { newTorqueReadingSchema } from '@/contracts/torque';
import { JOINT_IDS, JOINTS } from '@/core/fastener/joints';
import { pointOf } from '@/core/measure/points';
import { parseMeasured, type FieldRule } from '@/core/units/parse';
import { distanceRule, TORQUE_READING_RULE } from '@/core/units/rules';
import { type Tx } from '@/data/client';
import { readTorque } from '../build';
import { readSettling } from '../follow';
import { type InTx } from '../http';
import { addFailure } from '../inspect';
import { loadJob } from '../jobs';
import { keepReading } from '../measure';

const MOST_TOLD = 100;
const ODOMETER = distanceRule(0, 1e7);

/** What is wrong with a line, in words. */
class BadLine extends Error {}
const wrong = (reason: string): never => {
  throw new BadLine(reason);
};

/** A typed text as the value it says; where it can be read two ways, the one that stands beside it. */
function valueOf(typed: string, rule: FieldRule, beside = NaN): { value: number; unit: FieldRule['unit'] } {
  const read = parseMeasured(typed, rule);
  if (read.kind === 'ok') return { value: read.value, unit: read.unit };
  const near = read.kind === 'ask' && read.options.find((o) => Math.abs(o.value - beside) <= 1e-6 * Math.abs(beside));
  if (near) return { value: near.value, unit: near.unit };
  return wrong(
    `“${typed}” ${read.kind === 'ask' ? 'can be read in more than one way: give it its unit' : 'cannot be read'}.`,
  );
}

const oneOf = <T extends string>(said: string, of: readonly T[], what: string): T =>
  of.find((o) => o === said) ?? wrong(`There is no ${what} “${said}”.`);
const SIDES = ['left', 'right'] as const;

const stateOf = (view: JobView, name: string): string =>
  view.states.find((s) => s.name === name)?.id ?? wrong(`There is no load “${name}” in this job.`);

/** How a line is kept; null where it stands there already. */
type Taken = ((tx: Tx, jobAxleId: string) => Promise<unknown>) | null;

/** Leaves of the pack a line is of: that of one side where the sides are unlike. */
function leavesOf(view: JobView, { at, has }: LogRow): JobView['leaves'] {
  if (at('pack') === '' && (has('pack') || !view.own)) return view.leaves;
  if (view.own?.pack.side === at('pack')) return view.own.leaves;
  return wrong('The packs of this axle are unlike: the column “pack” must name the side of the one with its own.');
}

function readingOf(view: JobView, row: LogRow): Taken {
  const { at } = row;
  const point = pointSchema.safeParse(at('point')).data ?? wrong(`There is no point “${at('point')}”.`);
  const { perLeaf, loaded, rule } = pointOf(point);
  const leaf = perLeaf ? leavesOf(view, row).find((l) => String(l.ordinal) === at('leaf')) : null;
  if (leaf === undefined) return wrong(`There is no leaf “${at('leaf')}” in this pack.`);
  const key = {
    ...{ point, phase: oneOf(at('phase'), ['before', 'after'], 'phase') },
    ...{ side: at('side') === '' ? null : oneOf(at('side'), SIDES, 'side'), leafId: leaf?.id ?? null },
    stateId: loaded ? stateOf(view, at('load')) : null,
  };
  const { value, unit } = valueOf(at('typed'), rule, Number(at('value')));
  const now = view.readings.find((r) => readingKey(r) === readingKey(key));
  if (now && now.typed === at('typed') && Math.abs(now.value - value) <= 1e-6 * Math.max(1, Math.abs(value)))
    return null;
  if (key.phase === 'after') return wrong('Heights after the work are read at Prove, beside what was foretold.');
  const reading = newReadingSchema.safeParse({
    ...{ ...key, id: randomUUID(), typed: at('typed'), value, unit, rolled: now?.rolled ?? null },
    ...{ instrument: at('instrument') || 'tape', dayId: null, supersedes: now?.id ?? null },
  });
  if (!reading.success) return wrong(reading.error.issues[0]!.message);
  return (tx, id) => keepReading(tx, id, reading.data);
}

function torqueOf(view: JobView, { at }: LogRow): Taken {
  const joint = JOINT_IDS.find((id) => JOINTS[id].name === at('joint') || id === at('joint'));
  if (!joint) return wrong(`There is no joint “${at('joint')}”.`);
  const { value, unit } = valueOf(at('typed'), TORQUE_READING_RULE, 1000 * Number(at('newtonMetres')));
  const now = view.torqueReadings.find((r) => r.joint === joint && r.bolt === at('bolt'));
  if (now && now.typed === at('typed') && now.state === at('state')) return null;
  const reading = newTorqueReadingSchema.safeParse({
    ...{ id: randomUUID(), joint, bolt: at('bolt'), typed: at('typed'), value, unit },
    ...{ state: at('state'), instrument: at('instrument') },
  });
  if (!reading.success) return wrong(`${reading.error.issues[0]!.path.join('.')} cannot be as it is written.`);
  return (tx, id) => readTorque(tx, id, reading.data);
}

function failureOf(view: JobView, { at }: LogRow): Taken {
  const { value: km } = valueOf(at('km'), ODOMETER);
  if (view.failures.some((f) => Math.abs(f.km - km) < 0.5 && f.place === at('place'))) return null;
  const failure = newFailureSchema.safeParse({
    ...{ id: randomUUID(), place: at('place'), km, kmTyped: at('km'), cause: at('cause') },
  });
  if (!failure.success) return wrong(failure.error.issues[0]!.message);
  return (tx, id) => addFailure(tx, id, failure.data);
}

function outcomeOf(view: JobView, { at }: LogRow): Taken {
  const [side, stateId] = [oneOf(at('side'), SIDES, 'side'), stateOf(view, at('load'))];
  const point = oneOf(at('point'), ['hubToLip', 'groundToLip'], 'height');
  const { value } = valueOf(at('measured'), pointOf(point).rule);
  if (at('odometer') === '') {
    const there = view.outcomes.some(
      (o) => o.side === side && o.stateId === stateId && Math.abs(o.measured - value) < 0.01,
    );
    return there
      ? null
      : wrong('A height right after the work is read at Prove; one read later has the odometer beside it.');
  }
  const { value: km } = valueOf(at('odometer'), ODOMETER);
  if (view.settlingHeights.some((h) => h.side === side && h.stateId === stateId && h.km === km && h.value === value))
    return null;
  const height = newSettlingHeightSchema.safeParse({
    ...{ id: randomUUID(), point, side, stateId, typed: at('measured'), value, km, kmTyped: at('odometer') },
  });
  if (!height.success) return wrong(height.error.issues[0]!.message);
  return (tx, id) => readSettling(tx, id, height.data);
}

const TAKE: Record<LogId, (view: JobView, row: LogRow) => Taken> = {
  readings: readingOf,
  torques: torqueOf,
  failures: failureOf,
  outcomes: outcomeOf,
};

const refused = (faults: readonly LogFault[]) =>
  new ProblemError(422, {
    code: 'bad-file',
    message: `Nothing was taken in: ${faults
      .slice(0, 5)
      .map(({ line, reason }) => `line ${line}: ${reason}`)
      .join(' ')}${faults.length > 5 ? ` And ${faults.length - 5} more lines.` : ''}`,
    field: 'file',
    detail: faults.slice(0, MOST_TOLD),
  });

/** Takes a log in under the name of who sends it, as read now; what stands there already is left as it is. */
export function takeLog(inTx: InTx, jobAxleId: string, { text }: z.output<typeof logFileSchema>): Promise<LogReport> {
  const read = readLogFile(text);
  if ('faults' in read) throw refused(read.faults);
  return inTx(async (tx) => {
    const view = await loadJob(tx, jobAxleId);
    const faults: LogFault[] = [];
    const taken: { line: number; keep: NonNullable<Taken> }[] = [];
    for (const row of read.rows)
      try {
        const keep = TAKE[read.log](view, row);
        if (keep) taken.push({ line: row.line, keep });
      } catch (error) {
        if (!(error instanceof BadLine)) throw error;
        faults.push({ line: row.line, reason: error.message });
      }
    if (faults.length > 0) throw refused(faults);
    for (const { line, keep } of taken)
      try {
        await keep(tx, jobAxleId);
      } catch (error) {
        if (error instanceof ProblemError && error.status < 500)
          throw refused([{ line, reason: error.problem.message }]);
        throw error;
      }
    return { log: read.log, added: taken.length, unchanged: read.rows.length - taken.length };
  });
}
