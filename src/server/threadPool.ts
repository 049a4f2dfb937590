import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import { ProblemError, type Problem } from '@/contracts/problem';
import { fault } from './watch';

/** What a solver's thread says of one question. */
type Said<A> = { answer: A } | { refused: { field: string; reason: string } };

interface Options {
  /** What works there, as a person is told. */
  name?: string;
  /** Threads at most; one processor is left to the pages. */
  threads?: number;
  /** Questions that may wait while all threads work, of all and of one asker. */
  queue?: number;
  each?: number;
  /** Longer than the slowest pack takes many times over; a thread still at it then has lost its way, ms from its turn on. */
  patience?: number;
}

/** Who asks, and what tells that the answer is no longer wanted. */
export interface Asker {
  who?: string;
  gone?: AbortSignal | undefined;
}

interface Waiting {
  who: string;
  start: () => void;
}

const left = (): ProblemError =>
  new ProblemError(499, { code: 'gone', message: 'Nobody waits for this answer any more.' });
const unsolved = (message: string): ProblemError =>
  new ProblemError(500, {
    code: 'solver',
    message: `${message} Nothing was saved. Try again; if it stays, tell who keeps this server.`,
  });

/** Threads that solve away from the event loop, bounded in number and in what may wait for them; those who wait take turns. */
export class ThreadPool<Question, Answer> {
  private readonly pool: Piscina<Question, Said<Answer>>;
  private readonly name: string;
  private readonly threads: number;
  private readonly queue: number;
  private readonly each: number;
  private readonly patience: number;
  private running = 0;
  private waiting: Waiting[] = [];
  /** Who had a turn, the last one last. */
  private turns: string[] = [];

  /** @param file the bundled worker */
  constructor(file: string, options: Options = {}) {
    this.name = options.name ?? 'The solver';
    this.threads = options.threads ?? Math.max(1, availableParallelism() - 1);
    this.queue = options.queue ?? 12;
    this.each = options.each ?? 6;
    this.patience = options.patience ?? 30_000;
    this.pool = new Piscina({ filename: file, minThreads: 0, maxThreads: this.threads, idleTimeout: 30_000 });
  }

  /**
   * @throws ProblemError `unsolvable` when the readings contradict one another; `busy` when too many wait already; `solver` when the
   * thread itself failed, died or found no end, which is the program's fault and is told as such; `gone` when nobody waits for it
   */
  async ask(question: Question, { who = '', gone }: Asker = {}): Promise<Answer> {
    await this.turn(who, gone);
    try {
      return await this.solve(question, gone);
    } finally {
      this.running -= 1;
      this.next();
    }
  }

  private async solve(question: Question, gone: AbortSignal | undefined): Promise<Answer> {
    const late = AbortSignal.timeout(this.patience);
    let said: Said<Answer>;
    try {
      said = await this.pool.run(question, { signal: gone ? AbortSignal.any([late, gone]) : late });
    } catch (error) {
      if (gone?.aborted) throw left();
      if (late.aborted) throw unsolved(`${this.name} found no end within ${Math.round(this.patience / 1000)} s.`);
      fault(null, error);
      throw unsolved(`${this.name} has a fault.`);
    }
    if ('answer' in said) return said.answer;
    const problem: Problem = { code: 'unsolvable', message: said.refused.reason, field: said.refused.field };
    throw new ProblemError(422, problem);
  }

  /** Waits until it is this asker's turn; `running` counts it from then on. */
  private async turn(who: string, gone: AbortSignal | undefined): Promise<void> {
    if (gone?.aborted) throw left();
    if (this.running < this.threads) {
      this.began(who);
      return;
    }
    const own = this.waiting.filter((w) => w.who === who).length;
    if (this.waiting.length >= this.queue || own >= this.each) throw this.busy();
    await new Promise<void>((go, leave) => {
      const waits: Waiting = {
        who,
        start: () => {
          gone?.removeEventListener('abort', away);
          go();
        },
      };
      const away = () => {
        this.waiting = this.waiting.filter((w) => w !== waits);
        leave(left());
      };
      gone?.addEventListener('abort', away, { once: true });
      this.waiting.push(waits);
    });
  }

  private began(who: string): void {
    this.running += 1;
    this.turns = [...this.turns.filter((t) => t !== who), who];
  }

  /** Of those that wait the one whose asker had no turn for longest; who asked first, among equals. */
  private next(): void {
    if (this.running >= this.threads || this.waiting.length === 0) return;
    const last = (waits: Waiting) => this.turns.indexOf(waits.who);
    const first = this.waiting.reduce((best, waits) => (last(waits) < last(best) ? waits : best));
    this.waiting = this.waiting.filter((w) => w !== first);
    this.began(first.who);
    first.start();
    this.turns = this.turns.slice(-this.queue);
  }

  /** How long until one of those that wait is likely through, s. */
  private busy(): ProblemError {
    const each = this.pool.completed > 0 ? this.pool.histogram.runTime.mean / 1000 : 3;
    const seconds = Math.max(1, Math.ceil((each * this.waiting.length) / this.threads));
    return new ProblemError(
      429,
      {
        code: 'busy',
        message: `The server is at work for others, and ${this.waiting.length} questions wait already. Nothing was saved; try again in about ${seconds} s.`,
      },
      seconds,
    );
  }

  close(): Promise<void> {
    return this.pool.destroy();
  }
}
