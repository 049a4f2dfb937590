import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { instrumentSchema, type Live } from '@/contracts/instrument';
import { notFound, type Problem } from '@/contracts/problem';
import { LineDriver, type Driver } from './lineDriver';

/** Pages that may look at once. */
const MOST_PAGES = 200;
/** Messages that may wait for a page that does not take them; then it is let go, and comes again by itself. */
const MOST_WAITING = 500;

/** All instruments of the shop, connected once for every page that looks. */
class Hub {
  private readonly drivers = new Map<string, Driver>();
  private readonly now = new Map<string, Live>();
  private readonly listeners = new Set<(live: Live) => void>();

  constructor(file: string | undefined) {
    if (!file) return;
    let list: unknown;
    try {
      list = JSON.parse(readFileSync(file, 'utf8'));
    } catch {
      // Without its list there are no instruments; the tape needs none.
      return;
    }
    for (const instrument of z.array(instrumentSchema).parse(list))
      this.drivers.set(
        instrument.id,
        new LineDriver(instrument, (live) => {
          this.now.set(live.id, live);
          for (const listener of this.listeners) listener(live);
        }),
      );
  }

  /** Tells what is known now and from then on; returns how to stop. */
  listen(listener: (live: Live) => void): () => void {
    for (const live of this.now.values()) listener(live);
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Whether no more pages are let in. */
  get full(): boolean {
    return this.listeners.size >= MOST_PAGES;
  }

  zero(id: string): void {
    const driver = this.drivers.get(id);
    if (!driver) throw notFound('This instrument');
    driver.zero();
  }
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
