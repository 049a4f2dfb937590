// One search over everything a shop has written down.
import { type Found, type FoundLine, type FoundThing } from '@/contracts/search';
import { SUBJECTS } from '@/contracts/searchSubjects';
import { readSearch } from '@/core/search/ask';
import { type Tx } from '@/data/client';
import * as lines from '@/data/search';
import { shelfItems } from '@/data/shelf';

/** Lines looked at, and things told that are no jobs. */
const MOST = { lines: 200, things: 24, spread: 1000 };
/** Words that say which size is meant; what is said of a job need not hold them. */
const OF_SIZES = /^(leaf|leaves|pack|spring|coil|wire|block|eye|bore|shackle|width|wide|thick|thickness|long|x)$/;

/** Jobs that a search found, by what stands there, and what else it found. */
export interface Searched extends Found {
  jobs: Map<string, string>;
}

export async function search(tx: Tx, text: string): Promise<Searched> {
  const ask = readSearch(text);
  let [found, nearly]: [FoundLine[], boolean] = [[], false];
  const jobs = new Map<string, string>();
  if (ask.sizes.length > 0) {
    const [parts, sized] = [await lines.sizedParts(tx, ask.sizes), await lines.sizedJobs(tx, ask.sizes)];
    const among = [...parts, ...sized].map(({ id }) => id);
    const rest = ask.words.filter((ways) => !ways.some((way) => OF_SIZES.test(way)));
    if (among.length > 0)
      for (const words of [ask.words, rest])
        found.push(...(await lines.foundLines(tx, words, false, among, MOST.lines)));
    const sizes = ask.sizes.map((s) => s.typed).join(' x ');
    if (rest.length === 0) for (const { id } of sized) jobs.set(id, `measured: ${sizes}`);
  } else {
    found = await lines.foundLines(tx, ask.words, false, null, MOST.lines);
    if (found.length === 0 && ask.words.length > 1)
      for (const [id, says] of await spreadOver(tx, ask.words)) jobs.set(id, says);
    nearly = found.length === 0 && jobs.size === 0 && ask.words.length > 0;
    if (nearly) found = await lines.foundLines(tx, ask.words, true, null, MOST.lines);
  }
  for (const { jobId, subject, says } of found)
    if (jobId !== null && !jobs.has(jobId)) jobs.set(jobId, `${SUBJECTS[subject]}: ${says}`);
  const ofVehicle = found.filter((l) => l.subject === 'vehicle' || l.subject === 'owner');
  for (const { id } of await lines.jobsOfVehicles(
    tx,
    ofVehicle.flatMap((l) => l.vehicleId ?? []),
  ))
    if (!jobs.has(id)) jobs.set(id, '');
  return { jobs, nearly: nearly && found.length > 0, things: await thingsOf(tx, found) };
}

/** Jobs of which every word is said, but not in one place: the vehicle's name and what is wrong with it. */
async function spreadOver(tx: Tx, words: readonly (readonly string[])[]): Promise<Map<string, string>> {
  let all: Map<string, string> | undefined;
  for (const ways of words) {
    const found = await lines.foundLines(tx, [ways], false, null, MOST.spread);
    const said = new Map(
      found.flatMap((l) => (l.jobId === null ? [] : [[l.jobId, `${SUBJECTS[l.subject]}: ${l.says}`]])),
    );
    const ofVehicles = await lines.jobsOfVehicles(
      tx,
      found.flatMap((l) => (l.subject === 'vehicle' || l.subject === 'owner' ? (l.vehicleId ?? []) : [])),
    );
    for (const { id } of ofVehicles) if (!said.has(id)) said.set(id, '');
    const before = all;
    all = before
      ? new Map([...said].filter(([id]) => before.has(id)).map(([id, s]) => [id, s || before.get(id)!]))
      : said;
    if (all.size === 0) break;
  }
  return all ?? new Map();
}

/** What was found that has a page of its own besides its job's. */
async function thingsOf(tx: Tx, found: readonly FoundLine[]): Promise<FoundThing[]> {
  const own = found
    .filter((l) => l.vehicleId !== null || l.subject === 'part' || l.subject === 'tool')
    .filter((l, k, all) => all.findIndex((o) => o.subject === l.subject && o.id === l.id) === k)
    .slice(0, MOST.things);
  const vehicles = await lines.vehicleNames(
    tx,
    own.flatMap((l) => l.vehicleId ?? []),
  );
  const parts = await shelfItems(
    tx,
    own.filter((l) => l.subject === 'part').map((l) => l.id),
  );
  return own.flatMap(({ subject, id, vehicleId, says }): FoundThing[] => {
    if (subject === 'tool') return [{ subject, href: '/shop', title: says, says: '' }];
    if (subject === 'part') {
      const part = parts.find((p) => p.id === id);
      if (!part) return [];
      const here = part.quantity === null ? '' : part.quantity === 0 ? 'none here' : `${part.quantity} here`;
      const place = [[part.maker, part.number].filter(Boolean).join(' '), part.place, here].filter(Boolean).join(', ');
      return [{ subject, href: `/shelf?part=${id}`, title: part.name, says: place }];
    }
    const name = vehicles.find((v) => v.id === vehicleId)?.name;
    return name === undefined
      ? []
      : [{ subject, href: `/vehicles/${vehicleId}`, title: name, says: subject === 'vehicle' ? '' : says }];
  });
}
