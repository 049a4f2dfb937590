import { execFile } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { build } from 'esbuild';

const run = promisify(execFile);

interface Said {
  candidates: number;
  solved: number;
  compared: { stateId: string; change: number; searched: string[]; bruteForce: string[] }[];
  tightened: (number | null)[][];
}

test('on 20 random wishes the search finds the ten that predicting every candidate one by one finds, in the same order', async () => {
  // Bundled it runs twice as fast as when every file is read on its own.
  const folder = mkdtempSync(join(tmpdir(), 'gravelwort-ranking-'));
  const program = join(folder, 'ranking.cjs');
  await build({
    entryPoints: ['tests/reference/ranking.ts'],
    bundle: true,
    platform: 'node',
    outfile: program,
    logLevel: 'error',
  });
  const { stdout } = await run(process.execPath, [program], { maxBuffer: 1e7 });
  rmSync(folder, { recursive: true });
  const said = JSON.parse(stdout) as Said;
  expect(said.candidates).toBeGreaterThan(140);
  expect(said.solved).toBeGreaterThan(140);
  expect(said.compared).toHaveLength(20);
  for (const { searched, bruteForce, ...wish } of said.compared)
    expect({ ...wish, found: searched }).toEqual({ ...wish, found: bruteForce });
  // Tighter limits never make the best better.
  for (const scores of said.tightened)
    scores.slice(1).forEach((score, k) => {
      const before = scores[k] ?? Infinity;
      expect(score ?? Infinity).toBeGreaterThanOrEqual(before - 1e-9);
    });
}, 240_000);
