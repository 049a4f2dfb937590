import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { instrumentSchema, liveSchema, type Instrument, type Live } from '@/contracts/instrument';
import { notFound, type Problem } from '@/contracts/problem';
import { directUrl, openExchange, type Exchange } from '@/data/exchange';
import { LineDriver, type Driver } from './lineDriver';

/** Pages that may look at once. */
const MOST_PAGES = 200;
/** Messages that may wait for a page that does not take them; then it is let go, and comes again by itself. */
const MOST_WAITING = 500;

/** A server with pages that look says so this often, and is answered; whoever holds the instruments tells it for three times as long, and what is not told of so long is no reading of now, ms. */
const ASKS = 5000;

const wordSchema = z.union([
  z.object({ live: liveSchema }),
  z.object({ zero: z.string() }),
  z.object({ wants: z.literal(true) }),
  z.object({ holds: z.literal(true) }),
]);

/**
 * All instruments of the shop. Of several servers one holds them and is connected to each; it tells the others, whose pages look on, and takes from them
 * what is to be zeroed. When it ends another one takes them over.
 */
class Hub {
  private readonly list: readonly Instrument[];
  private readonly drivers = new Map<string, Driver>();
  private readonly now = new Map<string, Live>();
  private readonly listeners = new Set<(live: Live) => void>();
  private readonly exchange: Exchange | undefined;
  private othersUntil = 0;
  private heardAt = 0;

  constructor(file: string | undefined) {
    this.list = instrumentsIn(file);
    if (this.list.length === 0) return;
    const url = directUrl();
    if (url === undefined) {
      // Where only a pooler is known nothing can be told to others: this server is the only one, or each has its own.
      this.hold(true);
      return;
    }
    this.exchange = openExchange(
      url,
      (message) => this.hear(message),
      (held) => this.hold(held),
    );
    setInterval(() => this.ask(), ASKS).unref();
  }

  private hold(held: boolean): void {
    for (const driver of this.drivers.values()) driver.close();
    this.drivers.clear();
    if (held)
      for (const instrument of this.list)
        this.drivers.set(
          instrument.id,
          new LineDriver(instrument, (live) => {
            this.take(live);
            if (Date.now() < this.othersUntil) this.exchange?.tell({ live });
          }),
        );
    else this.cutOff();
  }

  /** What was read before is no reading of now. */
  private cutOff(): void {
    for (const live of [...this.now.values()])
      if (live.state !== 'cutOff') this.take({ ...live, state: 'cutOff', values: [], word: null, reading: null });
  }

  private take(live: Live): void {
    this.now.set(live.id, live);
    for (const listener of this.listeners) listener(live);
  }

  private hear(message: unknown): void {
    const word = wordSchema.safeParse(message).data;
    if (!word) return;
    const holds = this.drivers.size > 0;
    if ('live' in word || 'holds' in word) this.heardAt = Date.now();
    if ('holds' in word) return;
    if ('live' in word) {
      if (!holds) this.take(word.live);
    } else if ('zero' in word) this.drivers.get(word.zero)?.zero();
    else if (holds) {
      if (Date.now() >= this.othersUntil) for (const live of this.now.values()) this.exchange?.tell({ live });
      else this.exchange?.tell({ holds: true });
      this.othersUntil = Date.now() + 3 * ASKS;
    }
  }

  private ask(): void {
    if (this.listeners.size === 0 || this.drivers.size > 0) return;
    if (Date.now() - this.heardAt > 3 * ASKS) this.cutOff();
    this.exchange?.tell({ wants: true });
  }

  /** Tells what is known now and from then on; returns how to stop. */
  listen(listener: (live: Live) => void): () => void {
    for (const live of this.now.values()) listener(live);
    this.listeners.add(listener);
    this.ask();
    return () => this.listeners.delete(listener);
  }

  /** Whether no more pages are let in. */
  get full(): boolean {
    return this.listeners.size >= MOST_PAGES;
  }

  zero(id: string): void {
    if (!this.list.some((instrument) => instrument.id === id)) throw notFound('This instrument');
    const driver = this.drivers.get(id);
    if (driver) driver.zero();
    else this.exchange?.tell({ zero: id });
  }
}

function instrumentsIn(file: string | undefined): Instrument[] {
  if (!file) return [];
  let list: unknown;
  try {
    list = JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    // Without its list there are no instruments; the tape needs none.
    return [];
  }
  return z.array(instrumentSchema).parse(list);
}

const kept = globalThis as { gravelwortHub?: Hub };

export function instruments(): Hub {
  kept.gravelwortHub ??= new Hub(process.env.GRAVELWORT_INSTRUMENTS);
  return kept.gravelwortHub;
}

/** What the instruments say, as server-sent events; ends when the page goes. */
export function instrumentStream(signal: AbortSignal): Response {
  if (instruments().full) {
    const problem: Problem = { code: 'busy', message: 'Too many pages look at the instruments just now.' };
    return Response.json(problem, { status: 429, headers: { 'Retry-After': '10' } });
  }
  const encoder = new TextEncoder();
  let stop: () => void = () => undefined;
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = (text: string) => {
        try {
          controller.enqueue(encoder.encode(text));
          if ((controller.desiredSize ?? 0) > -MOST_WAITING) return;
          stop();
          controller.close();
        } catch {
          stop();
        }
      };
      send('retry: 2000\n\n');
      const unlisten = instruments().listen((live) => send(`data: ${JSON.stringify(live)}\n\n`));
      const beat = setInterval(() => send(': still here\n\n'), 15_000);
      stop = () => {
        unlisten();
        clearInterval(beat);
      };
      signal.addEventListener('abort', () => {
        stop();
        try {
          controller.close();
        } catch {
          // Already closed by the page.
        }
      });
    },
    cancel: () => stop(),
  });
  return new Response(body, {
    headers: {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-cache, no-transform',
      Connection: 'keep-alive',
    },
  });
}
