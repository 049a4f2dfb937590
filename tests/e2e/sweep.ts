// Requests that no screen would send, for every route: what comes back may never be a fault of the server.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { type JobView } from '@/contracts/job';
import { boltsOf } from '@/core/fastener/joints';
import { uniformFrom } from '@/workers/random';
import { newJob } from './newJob';

export const NOBODY = '5a1e0000-0000-4000-8000-00000000dead';
const uuid = () => crypto.randomUUID();

/** What a screen would send about a job, by route, each with what makes another entry of it. */
export function entriesOf(job: string, view: JobView): [path: string, body: object, other: object, method?: 'PUT'][] {
  const reading = {
    ...{ point: 'stopGap', phase: 'before', side: 'left', leafId: null, stateId: null, dayId: null },
    ...{ typed: '44 mm', value: 44, unit: 'mm', rolled: null, instrument: 'tape', supersedes: null },
  };
  const current = view.readings.find((r) => r.point === 'stopGap' && r.side === 'left');
  return [
    [`${job}/readings`, { ...reading, supersedes: current?.id ?? null }, { typed: '45 mm', value: 45 }],
    [
      `${job}/survey`,
      { item: 'brakeWire', answer: 'ok', slack: 90, slackTyped: '90', note: '' },
      { slack: 91, slackTyped: '91' },
    ],
    [`${job}/safety`, { item: 'frameHeld', answer: 'ok' }, { answer: 'notOk' }],
    [`${job}/side-findings`, { what: 'Lamp glass cracked', urgency: 'soon' }, { what: 'Lamp glass whole' }],
    [
      `${job}/findings`,
      {
        ...{ rule: 'hanger', side: 'right', choice: 'cracked', values: [], note: '', leafId: null, place: null },
        placeTyped: null,
      },
      { side: 'left' },
    ],
    [
      `${job}/torque-readings`,
      {
        ...{ joint: 'uBolts', bolt: boltsOf('uBolts')[0], typed: '52 N·m', value: 52_000, unit: 'N·m' },
        ...{ state: 'weightOn', instrument: 'click' },
      },
      { typed: '53 N·m', value: 53_000 },
    ],
    [`${job}/odometer`, { km: 84_100, typed: '84100 km' }, { km: 84_200, typed: '84200 km' }],
    [`${job}/closing`, { closed: false, note: `opened ${view.today}` }, { note: 'opened again' }],
    [`${job}/plans`, { act: 'new', name: `Plan ${uuid().slice(0, 8)}`, changes: [] }, { name: 'Another plan' }],
    [
      `${job}/costs`,
      {
        ...{ what: 'Cotter pins', count: 2, condition: 'new', planned: { low: 3, high: 4 }, plannedTyped: '3 to 4' },
        ...{ actual: null, minutes: null, minutesTyped: null, actualMinutes: null, excluded: false, partId: null },
        version: 0,
      },
      { what: 'Split pins' },
      'PUT',
    ],
    [
      `${job}/waits`,
      { what: 'Coat the hangers', days: 2, afterWait: null, done: false, struck: false, version: 0 },
      { days: 3 },
      'PUT',
    ],
    [
      `${job}/needed`,
      {
        ...{ need: `own:${uuid()}`, what: 'Spare stud', wanted: 2, state: 'toOrder', source: '', orders: '' },
        ...{ dueOn: null, shelfItemId: null, version: 0 },
      },
      { wanted: 3 },
      'PUT',
    ],
    [`${job}/kit`, { what: 'Cotter pin', wanted: 2, state: 'expected' }, { what: 'Split pin' }],
  ];
}

export interface Asked {
  method: string;
  path: string;
  data?: unknown;
}

/** Every route with the methods its file has. An instrument's stream does not end by itself, and who signs out asks nothing more. */
export function routes(): { path: string; methods: string[] }[] {
  const root = 'src/app/api';
  return readdirSync(root, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('route.ts'))
    .map((file) => ({
      path: `/api/${file.replace(/\/?route\.ts$/, '')}`,
      methods: [...readFileSync(join(root, file), 'utf8').matchAll(/export const (GET|POST|PUT|PATCH|DELETE)\b/g)].map(
        (m) => m[1]!,
      ),
    }))
    .filter(({ path }) => !path.startsWith('/api/instruments') && path !== '/api/door/out');
}

const HOSTILE: unknown[] = [
  ...[null, true, -1, 0, 1e308, 2 ** 53, 0.1, '', 'x'.repeat(5000), [], {}, [[]]],
  ...[
    '\u0000',
    '\ud800',
    '\u202e',
    "'; DROP TABLE reading; --",
    '٣٠ mm',
    NOBODY,
    'NaN',
    '1e400',
    '2026-02-30',
    '../../etc',
  ],
  ...[{ length: 1 }, [null], ['a', 'a'], { __proto__: { version: 1 } }, '[]', '-0', '½', '3 ⁄ 4 in'],
];
const BODIES: unknown[] = ['not json', null, [], {}, 'x'.repeat(300_000)];
const PAGES = [
  '',
  '/jobs/new',
  '/shelf',
  '/bench',
  '/people',
  ...['ask', 'choose', 'build', 'prove'].map((s) => `/jobs/[id]/${s}`),
];

/**
 * Requests of the sweep: first every route with every body that is none, then entries a screen would send, bent in one to three places.
 * @param job the path of a job's routes @param count as many in all, at most @param seed the same seed asks the same again, but for new ids
 */
export function* sweep(job: string, view: JobView, count: number, seed: number): Generator<Asked> {
  const random = uniformFrom(seed);
  const one = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)]!;
  const id = job.split('/').at(-1)!;
  let left = count;
  for (const { path, methods } of routes())
    for (const named of path.includes('[') ? ['nonsense', NOBODY, id] : [''])
      for (const method of methods)
        for (const data of method === 'GET' ? [undefined] : [...BODIES, { id: uuid() }]) {
          if (left-- <= 0) return;
          yield { method, path: path.replace(/\[\w+\]/, named), data };
        }
  const bent = (body: object): object => {
    const entry: Record<string, unknown> = { id: uuid(), ...structuredClone(body) };
    for (let n = 1 + Math.floor(random() * 3); n > 0; n--) {
      const [field, how] = [one(Object.keys(entry)), random()];
      if (how < 0.1) delete entry[field];
      else if (how < 0.15) entry[one(['extra', 'constructor', 'shop_id', 'person'])] = one(HOSTILE);
      else if (how < 0.3 && typeof entry[field] === 'string') entry[field] = `${entry[field]}${String(one(HOSTILE))}`;
      else entry[field] = one(HOSTILE);
    }
    return entry;
  };
  const entries = entriesOf(job, view);
  const all = routes();
  while (left-- > 0) {
    const how = random();
    if (how < 0.6) {
      const [path, body, , method = 'POST'] = one(entries);
      yield { method, path, data: bent(body) };
    } else if (how < 0.75) yield { method: 'POST', path: '/api/jobs', data: bent(newJob()) };
    else if (how < 0.9) {
      // The body of one route sent to another.
      const [{ path, methods }, [, body]] = [one(all), one(entries)];
      const method = one(methods);
      yield {
        method,
        path: path.replace(/\[\w+\]/, one([id, NOBODY])),
        data: method === 'GET' ? undefined : bent(body),
      };
    } else {
      const words = new URLSearchParams({
        [one(['q', 'ask', 'most', 'before', 'tab', 'k'])]: String(one(HOSTILE)).slice(0, 300),
      });
      const path =
        random() < 0.5 ? one(PAGES).replace('[id]', one([id, NOBODY, 'x'])) : one(all).path.replace(/\[\w+\]/, id);
      yield { method: 'GET', path: `${path || '/'}?${words}` };
    }
  }
}
