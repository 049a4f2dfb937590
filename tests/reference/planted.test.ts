import { execFile } from 'node:child_process';
import { promisify } from 'node:util';

const run = promisify(execFile);

test('twenty planted slips: at least 18 are named; twenty clean sets: at most one false alarm', async () => {
  const { stdout } = await run(process.execPath, ['--import', 'tsx', 'tests/reference/planted.ts']);
  const { named, alarms, sets } = JSON.parse(stdout) as { named: number; alarms: number; sets: number };
  expect(sets).toBe(20);
  expect(named).toBeGreaterThanOrEqual(18);
  expect(alarms).toBeLessThanOrEqual(1);
}, 300_000);
