import { z } from 'zod';
import { ProblemError } from '@/contracts/problem';
import { atDoor, type Tx } from './client';

/** As many as one job may hold; far more than any work asks for, so that nothing grows without an end. */
const MOST = {
  reading: { column: 'job_axle_id', most: 20_000, what: 'readings' },
  photo: { column: 'job_axle_id', most: 400, what: 'pictures' },
  finding: { column: 'job_axle_id', most: 5000, what: 'findings' },
  survey_answer: { column: 'job_axle_id', most: 5000, what: 'answers' },
  safety_answer: { column: 'job_axle_id', most: 5000, what: 'answers' },
  torque_reading: { column: 'job_axle_id', most: 5000, what: 'torque readings' },
  needed_part: { column: 'job_axle_id', most: 500, what: 'parts on its list' },
  arrival_reading: { column: 'job_axle_id', most: 5000, what: 'sizes read on arrival' },
  job_wait: { column: 'job_axle_id', most: 200, what: 'things that take days' },
  job_bay: { column: 'job_axle_id', most: 5000, what: 'days in the bay' },
  incident: { column: 'job_axle_id', most: 1000, what: 'things that went wrong' },
  leg_thread: { column: 'job_axle_id', most: 1000, what: 'readings of threads' },
  function_check: { column: 'job_axle_id', most: 2000, what: 'answers' },
  road_test: { column: 'job_axle_id', most: 500, what: 'drives' },
  settling_height: { column: 'job_axle_id', most: 2000, what: 'heights since the work' },
  hand_over: { column: 'job_id', most: 200, what: 'hand-overs' },
  lesson: { column: 'job_axle_id', most: 200, what: 'things it taught' },
  due_check: { column: 'job_id', most: 200, what: 'checks to come' },
  step_tick: { column: 'job_axle_id', most: 5000, what: 'ticks' },
  kit_item: { column: 'job_id', most: 500, what: 'things on its list' },
  side_finding: { column: 'vehicle_id', most: 2000, what: 'findings by the way' },
} as const;

/** @throws ProblemError `full` where no more of it is taken */
export async function requireRoom(tx: Tx, table: keyof typeof MOST, id: string): Promise<void> {
  const { column, most, what } = MOST[table];
  const [row] = await tx.rows(
    z.object({ n: z.coerce.number() }),
    `SELECT count(*) AS n FROM (SELECT FROM ${table} WHERE ${column} = $1 LIMIT ${most}) c`,
    [id],
  );
  if (row!.n >= most)
    throw new ProblemError(422, { code: 'full', message: `This job holds ${most} ${what}, as many as one may.` });
}

/** Tables with rows that are dead and not yet cleaned, those with most first; it tells of no shop. */
export const deadRows = () =>
  atDoor(Buffer.alloc(32), (tx) =>
    tx.rows(
      z.object({ table: z.string(), rows: z.coerce.number() }),
      `SELECT relname AS table, n_dead_tup AS rows FROM pg_stat_user_tables WHERE schemaname = 'public' ORDER BY n_dead_tup DESC LIMIT 12`,
    ),
  );
