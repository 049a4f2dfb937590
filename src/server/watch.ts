// What the server writes down of itself: one line a request that failed or took long, and figures for who asks. Nobody's name, nothing that was typed.
import { deadRows } from '@/data/room';
import pino, { type Logger } from 'pino';
import { collectDefaultMetrics, Counter, Gauge, Histogram, Registry } from 'prom-client';

/** From this on a request that went well is written down too, ms. */
const SLOW = 1000;

interface Watch {
  log: Logger;
  registry: Registry;
  answers: Counter;
  took: Histogram;
  dead: Gauge;
}
const kept = globalThis as { gravelwortWatch?: Watch };

function watch(): Watch {
  if (kept.gravelwortWatch) return kept.gravelwortWatch;
  const registry = new Registry();
  collectDefaultMetrics({ register: registry });
  kept.gravelwortWatch = {
    // `GRAVELWORT_LOG=info` writes every request down.
    log: pino({
      level: process.env.GRAVELWORT_LOG ?? 'warn',
      base: null,
      timestamp: pino.stdTimeFunctions.isoTime,
    }),
    registry,
    answers: new Counter({
      ...{ name: 'gravelwort_answers_total', help: 'Answers of the routes by status', registers: [registry] },
      labelNames: ['method', 'route', 'status'],
    }),
    took: new Histogram({
      ...{ name: 'gravelwort_answer_seconds', help: 'Time until an answer of the routes', registers: [registry] },
      labelNames: ['method', 'route'],
      buckets: [0.01, 0.03, 0.1, 0.3, 1, 3, 10, 30],
    }),
    dead: new Gauge({
      ...{
        name: 'gravelwort_rows_dead',
        help: 'Rows of a table that are dead and not yet cleaned',
        registers: [registry],
      },
      labelNames: ['table'],
    }),
  };
  return kept.gravelwortWatch;
}

const ID = /[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}/g;
/** Deeper than any route: what stands there is no route's name. */
const DEEPEST = 6;

/** The route of an address, without the ids of anything in it. */
export const routeOf = (url: string): string =>
  new URL(url).pathname.replace(ID, '[id]').split('/').slice(0, DEEPEST).join('/').slice(0, 80);

/** The id that the door gave a request, so that what a person is told can be found in the log. */
export const requestId = (request: Request): string => request.headers.get('x-request-id') ?? '';

/** Counts an answer, and writes it down where it failed or took long. */
export function answered(request: Request, status: number, began: number): void {
  const { log, answers, took } = watch();
  const [method, ms] = [request.method, Math.round(performance.now() - began)];
  // Whatever is not there is one route: nobody makes the figures grow by asking for nothing.
  const route = status === 404 ? 'none' : routeOf(request.url);
  answers.inc({ method, route, status });
  took.observe({ method, route }, ms / 1000);
  const line = { method, route, status, ms, request: requestId(request) };
  if (status >= 500) log.error(line);
  else if (ms >= SLOW || status === 429) log.warn(line);
  else log.info(line);
}

/** A fault of the program's own, with where it happened; what the database adds of the rows it was about is left out. */
export function fault(request: Request | null, error: unknown): void {
  const { name, message, stack } = error instanceof Error ? error : new Error(String(error));
  const code = (error as { code?: unknown } | null)?.code;
  watch().log.error({ request: request ? requestId(request) : '', fault: { name, message, stack, code } });
}

/** Figures of this server, and how much of the database's large tables waits to be cleaned. */
export async function figures(): Promise<string> {
  const { registry, dead } = watch();
  dead.reset();
  for (const { table, rows } of await deadRows().catch(() => [])) dead.set({ table }, rows);
  return registry.metrics();
}
