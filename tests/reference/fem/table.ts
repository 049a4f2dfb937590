// npx tsx tests/reference/fem/table.ts: the stored finite-element results beside the core, as a table for docs/mechanics.md.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { performance } from 'node:perf_hooks';
import { CASES } from './cases';
import { compare } from './compare';
import { type FemResults } from './results';

const { program, cases, convergence } = JSON.parse(
  readFileSync(join(import.meta.dirname, 'results.json'), 'utf8'),
) as FemResults;
console.log(program);
console.log(
  '| pack | arch, free to past flat, mm | core − reference, mm | linear model, mm | rate | stress | reference, s |',
);
console.log('| --- | --- | --- | --- | --- | --- | --- |');
const worst = (values: number[]) => values.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a), 0);
for (const fem of CASES) {
  const result = cases[fem.name];
  if (!result) continue;
  const since = performance.now();
  const states = compare(fem, result);
  const ms = performance.now() - since;
  const arch = states.map((d) => d.arch.core - d.arch.fem);
  const linear = states.map((d) => (d.arch.linear === null ? NaN : d.arch.linear - d.arch.fem));
  const rate = states.flatMap((d) => (d.rate ? [100 * (d.rate.core / d.rate.fem - 1)] : []));
  const stress = states.flatMap((d) => d.stress.flatMap((s) => (s.fem > 50 ? [100 * (s.core / s.fem - 1)] : [])));
  console.log(
    `| ${fem.name} | ${states.map((d) => d.arch.fem.toFixed(1)).join(', ')} | ${arch.map((v) => v.toFixed(2)).join(', ')} | ` +
      `${linear.map((v) => (Number.isNaN(v) ? '–' : v.toFixed(1))).join(', ')} | ${worst(rate).toFixed(2)} % | ${worst(stress).toFixed(1)} % | ` +
      `${result.seconds} (core and linear ${ms.toFixed(0)} ms) |`,
  );
}
for (const { element, states } of convergence)
  console.log(`elements of ${element} mm: ${states.map((s) => s.arch.toFixed(2)).join(', ')}`);
