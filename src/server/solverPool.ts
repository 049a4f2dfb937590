import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { ProblemError, type Problem } from '@/contracts/problem';

/** What a solver's thread says of one question. */
type Said<A> = { answer: A } | { refused: { field: string; reason: string } };

interface Options {
  /** Threads at most; one processor is left to the pages. */
  threads?: number;
  /** Questions that may wait while all threads work. */
  queue?: number;
  /** Longer than the slowest pack takes many times over; a thread still silent then has lost its way, ms. */
  patience?: number;
}

const unsolved = (message: string): ProblemError =>
  new ProblemError(500, {
    code: 'solver',
    message: `${message} Nothing was saved. Try again; if it stays, tell who keeps this server.`,
  });

/** Threads that solve away from the event loop, bounded in number and in what may wait for them. */
export class SolverPool<Question, Answer> {
  private readonly pool: Piscina<Question, Said<Answer>>;
  private readonly threads: number;
  private readonly queue: number;
  private readonly patience: number;

  /** @param file the bundled worker */
  constructor(file: string, options: Options = {}) {
    this.threads = options.threads ?? Math.max(1, availableParallelism() - 1);
    this.queue = options.queue ?? 12;
    this.patience = options.patience ?? 120_000;
    this.pool = new Piscina({
      filename: file,
      minThreads: 0,
      maxThreads: this.threads,
      maxQueue: this.queue,
      idleTimeout: 30_000,
    });
  }

  /**
   * @throws ProblemError `unsolvable` when the readings contradict one another; `busy` when too many wait already; `solver` when the
   * thread itself failed, died or fell silent, which is the program's fault and is told as such
   */
  async ask(question: Question): Promise<Answer> {
    if (this.pool.queueSize >= this.queue) throw this.busy();
    const signal = AbortSignal.timeout(this.patience);
    let said: Said<Answer>;
    try {
      said = await this.pool.run(question, { signal });
    } catch (error) {
      if (signal.aborted) throw unsolved('The solver did not answer.');
      console.error(error);
      throw unsolved('The solver has a fault.');
    }
    if ('answer' in said) return said.answer;
    const problem: Problem = { code: 'unsolvable', message: said.refused.reason, field: said.refused.field };
    throw new ProblemError(422, problem);
  }

  /** How long until one of those that wait is likely through, s. */
  private busy(): ProblemError {
    const each = this.pool.completed > 0 ? this.pool.histogram.runTime.mean / 1000 : 3;
    const seconds = Math.max(1, Math.ceil((each * this.pool.queueSize) / this.threads));
    return new ProblemError(503, {
      code: 'busy',
      message: `The server is solving for others, and ${this.pool.queueSize} questions wait already. Nothing was saved; try again in about ${seconds} s.`,
    });
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}
