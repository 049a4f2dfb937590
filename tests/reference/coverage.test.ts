import { execFile } from 'node:child_process';
import { promisify } from 'node:util';

const run = promisify(execFile);
const HALF = 250;

/** Trucks inside their band among `HALF` from `first`, in a process of its own. */
async function insideFrom(first: number): Promise<number> {
  const script = 'tests/reference/coverage.ts';
  const { stdout } = await run(process.execPath, ['--import', 'tsx', script, String(first), String(HALF)]);
  return Number(stdout);
}

test(`${2 * HALF} simulated trucks with hidden truth: 85 to 95 % of the tape's readings fall in the 90 % band`, async () => {
  const counts = await Promise.all([insideFrom(0), insideFrom(HALF)]);
  const share = (100 * (counts[0] + counts[1])) / (2 * HALF);
  expect(share).toBeGreaterThanOrEqual(85);
  expect(share).toBeLessThanOrEqual(95);
}, 1_200_000);
