// Bundles the server's workers, so that the running server needs no TypeScript.
import { build } from 'esbuild';

const dist = process.argv[2] ?? '.next';
for (const name of ['predict', 'parts'])
  await build({
    entryPoints: [`src/workers/${name}.node.ts`],
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'cjs',
    outfile: `${dist}/${name}-worker.cjs`,
    tsconfig: 'tsconfig.json',
    logLevel: 'warning',
  });
