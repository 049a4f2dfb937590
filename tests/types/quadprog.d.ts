declare module 'quadprog' {
  /** Arrays count from 1. */
  export function solveQP(
    D: number[][],
    d: number[],
    A: number[][],
    b: number[],
  ): { solution: number[]; message: string };
}
