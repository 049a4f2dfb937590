import { ProblemError } from '@/contracts/problem';

/** Work of which only so much is under way at once; the rest waits its turn, and what would wait too long is turned away. */
export class Line {
  private running = 0;
  private readonly waiting: (() => void)[] = [];

  constructor(
    private readonly atOnce: number,
    private readonly mayWait: number,
  ) {}

  /** @throws ProblemError `busy` when too many wait already */
  async run<T>(work: () => Promise<T>): Promise<T> {
    if (this.running >= this.atOnce) {
      if (this.waiting.length >= this.mayWait)
        throw new ProblemError(
          429,
          { code: 'busy', message: 'Many pictures or files are being worked on. Nothing was saved; try again soon.' },
          5,
        );
      await new Promise<void>((turn) => this.waiting.push(turn));
    } else this.running += 1;
    try {
      return await work();
    } finally {
      // The place goes straight to the next one.
      const next = this.waiting.shift();
      if (next) next();
      else this.running -= 1;
    }
  }
}
