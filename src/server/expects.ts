// What a shop's own jobs say of what is to be expected, and by what it goes.
import { type LearntLine, type SetExpects } from '@/contracts/expects';
import { ProblemError } from '@/contracts/problem';
import { type Sinking } from '@/contracts/record';
import { predictionRecordSchema } from '@/contracts/stored';
import { learntFrom } from '@/core/followup/learnt';
import { fitSettling, type Settled } from '@/core/followup/settling';
import { settlingIdOf } from '@/core/suspension/registry';
import { SETTLING, SETTLING_IDS, type SettlingId } from '@/core/vehicle/settling';
import { type Tx } from '@/data/client';
import { allExpects, insertExpects, settledLines } from '@/data/expects';

/** Before anything is known of it: what was expected must not be learnt from itself, mm. */
const OPEN = { value: 0, half90: 60 };
/** A tape's own half-width, mm. Common practice. */
const TAPE = 2;
/** A height that may still come to rest this far off says too little to learn from, mm. */
const TOO_WIDE = 12;

type Line = Awaited<ReturnType<typeof settledLines>>[number];

/** How the heights of one line went since the work. */
function fitted({ after, from, later }: Line): Settled {
  const start = from ?? later[0]!.km;
  const heights = later.map(({ km, height }) => ({ km: Math.max(0, km - start), height, half90: TAPE }));
  return fitSettling([{ km: 0, height: after, half90: TAPE }, ...heights], OPEN);
}

/** What it says that settling took, mm; undefined while it says too little. */
function settledBy({ after }: Line, fit: Settled): { value: number; half90: number } | undefined {
  const half90 = Math.hypot(fit.final.half90, TAPE);
  return fit.verdict === 'sinking' || half90 > TOO_WIDE ? undefined : { value: fit.final.value - after, half90 };
}

/** Every quantity, what this shop's jobs say of it and what it goes by; and the springs that do not come to rest. */
export async function learntOfShop(tx: Tx): Promise<{ learnt: LearntLine[]; sinking: Sinking[] }> {
  const words = await allExpects(tx);
  const lines = (await settledLines(tx)).map((line) => ({ ...line, fit: fitted(line) }));
  const jobs = new Map<string, { quantity: SettlingId; vehicle: string; of: { value: number; half90: number }[] }>();
  for (const line of lines) {
    const said = settledBy(line, line.fit);
    if (!said) continue;
    const quantity = settlingIdOf(predictionRecordSchema.shape.inputs.parse(line.inputs));
    const job = jobs.get(line.jobId) ?? { quantity, vehicle: line.vehicle, of: [] };
    job.of.push(said);
    jobs.set(line.jobId, job);
  }
  const learnt = SETTLING_IDS.map((quantity): LearntLine => {
    const seen = [...jobs].flatMap(([jobId, job]) => {
      if (job.quantity !== quantity) return [];
      // Sides and loads of one job share what it was: their mean, and no narrower than the narrowest of them.
      const value = job.of.reduce((sum, { value }) => sum + value, 0) / job.of.length;
      return [{ jobId, vehicle: job.vehicle, value, half90: Math.min(...job.of.map(({ half90 }) => half90)) }];
    });
    const own = words.filter((w) => w.quantity === quantity);
    return { quantity, seen, learnt: learntFrom(seen, SETTLING[quantity]), words: own };
  });
  const sinking = lines.flatMap(({ jobId, vehicle, side, fit: { verdict, sinking } }) =>
    verdict === 'sinking' ? [{ jobId, vehicle, side, ...sinking }] : [],
  );
  return { learnt, sinking };
}

const learntLines = async (tx: Tx): Promise<LearntLine[]> => (await learntOfShop(tx)).learnt;

/** Goes by what was learnt, or by common practice again; the figures are those of this moment. */
export async function setExpects(tx: Tx, { id, quantity, by, reason }: SetExpects): Promise<LearntLine[]> {
  const line = (await learntLines(tx)).find((l) => l.quantity === quantity)!;
  if (by === 'learnt' && line.seen.length === 0)
    throw new ProblemError(422, {
      code: 'bad-input',
      message: 'Nothing was read of it over distance yet: there is nothing to go by but common practice.',
      field: 'quantity',
    });
  const round = (value: number) => Math.round(value * 10) / 10;
  await insertExpects(tx, {
    ...{ id, quantity, reason, jobs: line.seen.length, value: round(line.learnt.value) },
    half90: by === 'learnt' ? round(line.learnt.half90) : null,
  });
  return learntLines(tx);
}
