import fc from 'fast-check';
import { solveQP } from 'quadprog';
import { ContactSolver, type Dense } from './lcp';

const SIZE = 7;
const numbers = (n: number) =>
  fc.array(
    fc.integer({ min: -100, max: 100 }).map((k) => k / 100),
    { minLength: n, maxLength: n },
  );

/** A = Bᵀ B + 0.05 I, symmetric positive definite. */
function definite(entries: readonly number[]): Dense {
  const values = new Float64Array(SIZE * SIZE);
  for (let i = 0; i < SIZE; i++)
    for (let j = 0; j < SIZE; j++) {
      let sum = i === j ? 0.05 : 0;
      for (let k = 0; k < SIZE; k++) sum += entries[k * SIZE + i]! * entries[k * SIZE + j]!;
      values[i * SIZE + j] = sum;
    }
  return { size: SIZE, values };
}

/** min ½ fᵀAf + gᵀf with f ≥ 0, by the quadprog package (Goldfarb and Idnani's dual method); its arrays count from 1. */
function byQuadprog(a: Dense, gaps: readonly number[]): number[] {
  const from1 = <T>(items: T[]): T[] => [undefined as T, ...items];
  const square = (at: (i: number, j: number) => number) =>
    from1(Array.from({ length: SIZE }, (_, i) => from1(Array.from({ length: SIZE }, (_, j) => at(i, j)))));
  const { solution } = solveQP(
    square((i, j) => a.values[i * SIZE + j]!),
    from1(gaps.map((g) => -g)),
    square((i, j) => (i === j ? 1 : 0)),
    from1(new Array<number>(SIZE).fill(0)),
  );
  return solution.slice(1);
}

test('property: contact forces equal those of an independent quadratic programme', () => {
  fc.assert(
    fc.property(numbers(SIZE * SIZE), numbers(SIZE), (entries, gaps) => {
      const a = definite(entries);
      const forces = new ContactSolver(a).solve(Float64Array.from(gaps));
      byQuadprog(a, gaps).forEach((f, i) => expect(forces[i]).toBeCloseTo(f, 5));
    }),
    { numRuns: 200 },
  );
});

test('property: a warm start changes the work, not the answer', () => {
  fc.assert(
    fc.property(numbers(SIZE * SIZE), numbers(SIZE), numbers(SIZE), (entries, first, second) => {
      const a = definite(entries);
      const warm = new ContactSolver(a);
      warm.solve(Float64Array.from(first));
      const again = warm.solve(Float64Array.from(second)).slice();
      const cold = new ContactSolver(a).solve(Float64Array.from(second));
      again.forEach((f, i) => expect(f).toBeCloseTo(cold[i]!, 8));
    }),
  );
});
