import { execFile } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { build } from 'esbuild';

const run = promisify(execFile);

/** What a program of this folder prints, once for each list of arguments; all run at the same time. Bundled it runs twice as fast. */
export async function printedBy(program: string, ...calls: readonly string[][]): Promise<string[]> {
  const folder = mkdtempSync(join(tmpdir(), 'gravelwort-'));
  const outfile = join(folder, 'program.cjs');
  try {
    await build({
      entryPoints: [`tests/reference/${program}.ts`],
      bundle: true,
      platform: 'node',
      outfile,
      logLevel: 'error',
    });
    return await Promise.all(
      calls.map(async (args) => (await run(process.execPath, [outfile, ...args], { maxBuffer: 1e7 })).stdout),
    );
  } finally {
    rmSync(folder, { recursive: true });
  }
}
