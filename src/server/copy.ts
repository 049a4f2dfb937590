// Another job begun with what one knows: on the same vehicle next year, or on a vehicle made alike.
import { randomUUID } from 'node:crypto';
import { type CopyJob } from '@/contracts/copy';
import { type AxleView } from '@/contracts/job';
import { taken } from '@/contracts/problem';
import { carriedPoints } from '@/core/measure/alike';
import { type PointId } from '@/core/measure/points';
import { bundleRows, insertBundle, type Row } from '@/data/bundle';
import { type Tx } from '@/data/client';
import * as jobs from '@/data/job';
import { loadJob } from './jobs';

type Rows = Record<string, Row[]>;

/** Changes of a plan that leave the spring itself as it was. */
const ROUND_THE_SPRING = [
  ...['block', 'wedge', 'shackle', 'overAxle', 'spacer', 'stopPad', 'stopCut', 'shocks', 'ubolts', 'line'],
  ...['riser', 'rocker', 'slipper', 'hitch', 'spindles', 'dropAxle', 'perch', 'pivotBush', 'eyeBush', 'blockHoles'],
  ...['helper', 'swayLinks', 'wrapBar', 'axleWidth'],
];

/** Whether the work left the spring of an axle alone; a plan that was never built has changed nothing. */
const springLeft = ({ build, plan }: AxleView): boolean =>
  build === null || plan.changes.every(({ kind }) => ROUND_THE_SPRING.includes(kind));

/** Leaves an axle has since the work. */
const leavesSince = ({ build, plan, leaves }: AxleView): number =>
  build === null
    ? leaves.length
    : plan.changes.reduce(
        (n, change) =>
          change.kind === 'pack'
            ? change.leaves.length
            : n + Number(change.kind === 'addLeaf') - Number(change.kind === 'removeLeaf'),
        leaves.length,
      );

/** Begins a job with loads, goals and sizes of another; a second try after a lost answer is the same job. */
export async function copyJob(tx: Tx, jobAxleId: string, given: CopyJob): Promise<{ id: string }> {
  const view = await loadJob(tx, jobAxleId);
  const [there] = await jobs.jobRow(tx, given.id);
  if (there && there.version === 1 && there.complaint !== given.complaint) throw taken();
  if (there) return { id: given.id };
  const from = view.jobAxles[0]!.id;
  // One that was left out of the job is left out of the next one too, and can be taken up again there.
  const axles = await Promise.all(view.jobAxles.map((x) => loadJob(tx, x.id)));
  const { rows: all } = await bundleRows(tx, from);
  const rows = begunWith(all, axles, given, tx.person);
  const { job = [], ...rest } = renamed(rows, from, given.id);
  await insertBundle(tx, { ...rest, job: job.map((row) => ({ ...row, begun_from: from })) }, new Map());
  return { id: given.id };
}

/** The rows the other job begins with, still under the ids of the one they come from. */
function begunWith(
  all: Readonly<Record<string, Row[]>>,
  axles: readonly AxleView[],
  given: CopyJob,
  person: string,
): Rows {
  const { to } = given;
  const sister = to.kind === 'sister';
  const of = (table: string) => all[table] ?? [];
  const axleOf = (id: unknown) => axles.find((v) => v.id === id);
  /** As of today, by whoever begins it. */
  const anew = (row: Row): Row => {
    const { updated_at, created_at, made_at, ...rest } = row;
    return { ...rest, ...('version' in row && { version: 1 }), ...('updated_by' in row && { updated_by: person }) };
  };
  return {
    vehicle: to.kind === 'sister' ? of('vehicle').map((row) => ({ ...anew(row), name: to.name })) : [],
    axle: sister ? of('axle') : [],
    axle_rating: sister ? of('axle_rating') : [],
    job: of('job').map((row) => ({ ...anew(row), complaint: given.complaint, closed_at: null })),
    // What was seen and guessed was so of that vehicle on that day.
    job_axle: of('job_axle').map(({ seen, seen_version, ...row }) => ({ ...row, guess_mm: null, guess_typed: null })),
    load_state: of('load_state'),
    load_item: of('load_item'),
    goal: of('goal'),
    component: axles.flatMap((axle) => partsOf(axle, of('component'), sister)),
    pack: of('pack').map((row) => {
      const axle = axleOf(row.job_axle_id)!;
      const { eye_form, eye_form_rear, seat_shape, lowest_leaf, rusty, ...rest } = anew(row);
      return sister || springLeft(axle) ? anew(row) : rest;
    }),
    reading: readingsOf(of('reading'), axleOf, sister, person),
    plan: sister ? of('plan').map(anew) : newPlans(axles, person),
    plan_change: sister ? of('plan_change') : [],
  };
}

const newPlans = (axles: readonly AxleView[], person: string): Row[] =>
  axles.map(({ id }) => ({ id: randomUUID(), job_axle_id: id, name: 'Plan 1', updated_by: person }));

/** The parts of an axle: as they were, or with as many leaves as the work left it. */
function partsOf(axle: AxleView, rows: readonly Row[], sister: boolean): Row[] {
  const own = rows.filter((row) => row.job_axle_id === axle.id && row.removed !== true);
  if (sister || springLeft(axle)) return own;
  const count = leavesSince(axle);
  const isLeaf = (row: Row) => row.kind === 'leaf' && row.side === null;
  const leaf = own.find(isLeaf);
  const more = leaf
    ? Array.from({ length: count }, (_, i): Row => ({ ...leaf, id: randomUUID(), ordinal: i + 1 }))
    : [];
  return [...own.filter((row) => !isLeaf(row)), ...more];
}

/** The readings that go along: the last of each, of points that do; on a sister vehicle as sizes not read there. */
function readingsOf(
  rows: readonly Row[],
  axleOf: (id: unknown) => AxleView | undefined,
  sister: boolean,
  person: string,
): Row[] {
  const superseded = new Set(rows.map((r) => r.supersedes));
  const last = rows.filter((r) => {
    const axle = axleOf(r.job_axle_id)!;
    const carried = carriedPoints(sister ? 'sister' : 'next', springLeft(axle));
    // A leaf that came or went has other leaves at its side.
    const part = r.component_id === null || sister || springLeft(axle);
    return (
      !superseded.has(r.id) &&
      r.phase === 'before' &&
      r.load_state_id === null &&
      part &&
      carried.has(r.point as PointId)
    );
  });
  return last.map(({ taken_at, ...row }) => ({
    ...row,
    ...{ day_id: null, supersedes: null, correction_reason: null },
    ...(sister ? { instrument: 'sister', person_id: person } : { taken_at }),
  }));
}

/** The same rows under new ids, each reference to one of them with it; the job gets the id that was asked for. */
function renamed(rows: Rows, from: string, to: string): Rows {
  const ids = new Map([[from, to]]);
  for (const row of Object.values(rows).flat())
    if (typeof row.id === 'string' && !ids.has(row.id)) ids.set(row.id, randomUUID());
  const moved = (value: unknown) => (typeof value === 'string' ? (ids.get(value) ?? value) : value);
  return Object.fromEntries(
    Object.entries(rows).map(([table, of]) => [
      table,
      of.map((row) => Object.fromEntries(Object.entries(row).map(([key, value]) => [key, moved(value)]))),
    ]),
  );
}
