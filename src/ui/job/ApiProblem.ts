import { type Conflict, type Problem } from '@/contracts/problem';

/** A problem the server named. */
export class ApiProblem extends Error {
  constructor(
    readonly problem: Problem,
    /** Set when somebody else was faster. */
    readonly conflict?: Conflict,
  ) {
    super(problem.message);
    this.name = 'ApiProblem';
  }
}
