import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { CASES } from './cases';
import { compare } from './compare';
import { type FemResults } from './results';

/*
 * Stored results of a general-purpose non-linear finite-element program with surface contact (run.ts makes them anew where it is
 * installed; deck.ts writes the decks). Limits: arch and height changes 1.5 mm, rate 2 %, stress away from the clamp's edge 5 %.
 */
const { cases, convergence } = JSON.parse(
  readFileSync(join(import.meta.dirname, 'results.json'), 'utf8'),
) as FemResults;

test('every case has a stored result, loaded past flat', () => {
  for (const fem of CASES) {
    expect(cases[fem.name]?.states.map((s) => s.load)).toEqual(fem.loads);
    expect(cases[fem.name]!.states.at(-1)!.arch).toBeLessThan(0);
  }
});

test('the reference itself has converged: its two finest meshes agree within 0.1 mm', () => {
  const [finer, finest] = convergence.slice(-2);
  finer!.states.forEach((state, k) => expect(Math.abs(state.arch - finest!.states[k]!.arch)).toBeLessThan(0.1));
});

test.each(CASES.map((fem) => [fem.name, fem] as const))('%s', (name, fem) => {
  for (const { arch, rate, stress } of compare(fem, cases[name]!)) {
    expect(Math.abs(arch.core - arch.fem)).toBeLessThan(1.5);
    if (rate) expect(Math.abs(rate.core / rate.fem - 1)).toBeLessThan(0.02);
    for (const s of stress) expect(Math.abs(s.core - s.fem)).toBeLessThan(0.05 * s.fem + 5);
  }
});
