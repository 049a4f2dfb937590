// Bundles the server's solver worker, so that the running server needs no TypeScript.
import { build } from 'esbuild';

const dist = process.argv[2] ?? '.next';
await build({
  entryPoints: ['src/workers/predict.node.ts'],
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'cjs',
  outfile: `${dist}/predict-worker.cjs`,
  tsconfig: 'tsconfig.json',
  logLevel: 'warning',
});
