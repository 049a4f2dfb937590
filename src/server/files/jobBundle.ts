// A job as one file that another shop can take in: its records as JSON and its pictures, zipped.
import { createHash } from 'node:crypto';
import { ZodError } from 'zod';
import {
  bundleKindSchema,
  LARGEST_BUNDLE,
  LARGEST_RECORDS,
  MOST_ENTRIES,
  pictureFile,
  RECORDS_FILE,
  SCHEMA,
  type BroughtIn,
} from '@/contracts/bundle';
import { ProblemError } from '@/contracts/problem';
import { predictionRecordSchema } from '@/contracts/stored';
import {
  bundleRows,
  bundleShape,
  insertBundle,
  isHere,
  peopleNamed,
  rowsOfJob,
  somebodyFrom,
  underOneVehicle,
  type Bundle,
  type Row,
} from '@/data/bundle';
import { type Tx } from '@/data/client';
import { photoBytes } from '@/data/inspect';
import { checkedJson } from '../body';
import { type InTx, type MadeFile } from '../http';
import { loadJob } from '../jobs';
import { Line } from '../line';
import { readsAsPicture } from '../photos';
import { pictures as store } from '../pictures';
import { problemOf } from '../faults';
import { fileName } from './fileName';
import { unzipped, zipped } from './zip';

/** Unpacking takes memory: one at a time, a few may wait. */
const line = new Line(1, 3);

/** The same value with the keys of its objects in their order, so that the same records are the same text. */
function ordered(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(ordered);
  if (value === null || typeof value !== 'object') return value;
  const entries = Object.entries(value).toSorted(([p], [q]) => (p < q ? -1 : 1));
  return Object.fromEntries(entries.map(([key, of]) => [key, ordered(of)]));
}

/** The rows with people in the words of `named`. */
const withPeople = (
  records: Readonly<Record<string, readonly Row[]>>,
  columns: ReadonlyMap<string, readonly string[]>,
  named: (person: string) => string,
): Record<string, Row[]> =>
  Object.fromEntries(
    Object.entries(records).map(([table, rows]) => [
      table,
      rows.map((row) => {
        const people = (columns.get(table) ?? []).filter((c) => typeof row[c] === 'string');
        return { ...row, ...Object.fromEntries(people.map((c) => [c, named(String(row[c]))])) };
      }),
    ]),
  );

/** Everything of a job, as a zip; the same job gives the same bytes, in this shop or in one it was brought into. */
export async function bundleFile(tx: Tx, jobAxleId: string): Promise<MadeFile> {
  const view = await loadJob(tx, jobAxleId);
  // The first axle of a job has the job's own id.
  const jobId = view.jobAxles[0]!.id;
  const { people: columns } = await bundleShape(tx);
  const { rows, inOrder } = await bundleRows(tx, jobId);
  const ids = new Set<string>();
  withPeople(rows, columns, (person) => (ids.add(person), person));
  const known = await peopleNamed(tx, [...ids]);
  const key = ({ name, shop }: { name: string; shop: string }) => JSON.stringify([name, shop]);
  const keys = [...new Set(known.map(key))].toSorted();
  const refs = new Map(known.map((p) => [p.id, `p${keys.indexOf(key(p)) + 1}`]));
  const people = keys.map((k, i) => {
    const [name, shop] = JSON.parse(k) as [string, string];
    return { ref: `p${i + 1}`, name, shop };
  });
  const records = withPeople(rows, columns, (person) => refs.get(person)!);
  const sorted = Object.fromEntries(
    Object.entries(records).map(([table, of]) => [
      table,
      (inOrder.has(table) ? (texts: string[]) => texts : (texts: string[]) => texts.toSorted())(
        of.map((row) => JSON.stringify(ordered(row))),
      ).map((text) => JSON.parse(text) as Row),
    ]),
  );
  const bundle: Bundle = { format: 'gravelwort-job', version: 1, schema: SCHEMA, people, records: sorted };
  const photos = sorted.photo ?? [];
  const pictures = [];
  for (const { id } of photos) {
    const [photo] = await photoBytes(tx, String(id));
    const body = await store().fetch(tx.shop, photo!);
    pictures.push({ name: pictureFile(String(id)), body, compress: false });
  }
  const body = Buffer.from(`${JSON.stringify(bundle, null, 1)}\n`);
  return {
    ...{ type: 'application/zip', name: fileName(view, 'job', 'zip') },
    body: await zipped([{ name: RECORDS_FILE, body, compress: true }, ...pictures]),
  };
}

const refused = (why: string, status = 400, code = 'bad-bundle') =>
  new ProblemError(status, {
    code,
    message: `This file was not taken in: ${why}. Nothing was changed.`,
    field: 'file',
  });

/** Brings a job of another shop in, whole or not at all. @throws ProblemError in words: damaged, newer, hostile, or here already */
export const bringIn = (inTx: InTx, file: Buffer): Promise<BroughtIn> => line.run(() => broughtIn(inTx, file));

async function broughtIn(inTx: InTx, file: Buffer): Promise<BroughtIn> {
  if (file.length > LARGEST_BUNDLE) throw refused('it is larger than 64 MB', 413, 'too-large');
  const files = await unzipped(file, {
    ...{ entries: MOST_ENTRIES, bytes: 4 * LARGEST_BUNDLE },
    wanted: (name, size) =>
      name === RECORDS_FILE
        ? size <= LARGEST_RECORDS
        : /^pictures\/[0-9a-f-]{36}\.jpg$/.test(name) && size <= 4_000_000,
  }).catch((error: unknown) => {
    throw refused(error instanceof Error ? plainWords(error.message) : 'it cannot be unpacked');
  });
  const text = files.get(RECORDS_FILE)?.toString('utf8');
  if (text === undefined) throw refused(`it holds no ${RECORDS_FILE}`);
  for (const [name, body] of files)
    if (name !== RECORDS_FILE && !(await readsAsPicture(body))) throw refused('a picture cannot be read as one');
  return inTx(async (tx) => {
    const bundle = await readBundle(tx, text);
    return keep(tx, bundle, picturesOf(bundle, files));
  });
}

/** What a library says of a broken file, short and without its own marks. */
const plainWords = (message: string): string => message.replaceAll(/[^\p{L}\p{N} .,:;“”'()-]/gu, ' ').slice(0, 120);

/** From this schema on rows stand in the order in which they were said, where the last word counts. */
const NUMBERED = 24;
/** Before, their times told. */
const SAID_AT: Readonly<Record<string, string>> = {
  ...{ safety_answer: 'answered_at', survey_answer: 'answered_at', finding: 'found_at', press_run: 'taken_at' },
  ...{ torque_entry: 'entered_at', torque_reading: 'read_at', leg_thread: 'read_at', step_tick: 'ticked_at' },
  ...{ arrival_reading: 'read_at', job_bay: 'set_at', prediction: 'made_at', function_check: 'said_at' },
  ...{ road_test: 'driven_at', hand_over: 'handed_at', due_done: 'at', job_close: 'at', school_choice: 'chosen_at' },
};

function byTime(records: Bundle['records']): Bundle['records'] {
  const sorted = Object.entries(SAID_AT).map(([table, moment]) => {
    const at = (row: Row) => String(row[moment] ?? '');
    return [table, (records[table] ?? []).toSorted((p, q) => (at(p) < at(q) ? -1 : at(p) > at(q) ? 1 : 0))] as const;
  });
  return { ...records, ...Object.fromEntries(sorted.filter(([table]) => records[table])) };
}

async function readBundle(tx: Tx, text: string): Promise<Bundle> {
  let kind;
  try {
    kind = bundleKindSchema.parse(JSON.parse(text));
  } catch {
    throw refused('it is no job bundle, or damaged');
  }
  if (kind.version > 1 || kind.schema > SCHEMA)
    throw refused('a newer release made it; bring this one up to date first', 409, 'newer');
  const { schema } = await bundleShape(tx);
  try {
    const bundle = checkedJson(schema, text);
    return bundle.schema < NUMBERED ? { ...bundle, records: byTime(bundle.records) } : bundle;
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error;
    const { field, message } = error.problem;
    throw refused(`${field ? `${field}: ` : ''}${message.replace(/\.$/, '')}`);
  }
}

function picturesOf(bundle: Bundle, files: ReadonlyMap<string, Buffer>): Map<string, Buffer> {
  const photos = bundle.records.photo ?? [];
  const found = new Map<string, Buffer>();
  for (const { id, sha256 } of photos) {
    const body = files.get(pictureFile(String(id)));
    if (!body || createHash('sha256').update(body).digest('hex') !== sha256)
      throw refused('a picture is missing or is not the one that was packed');
    found.set(String(id), body);
  }
  if (found.size + 1 !== files.size) throw refused('it holds pictures that no record names');
  return found;
}

async function keep(tx: Tx, { people, records }: Bundle, pictures: ReadonlyMap<string, Buffer>): Promise<BroughtIn> {
  const [job, vehicle] = [records.job?.[0], records.vehicle?.[0]];
  const first = records.job_axle?.find(({ ordinal }) => ordinal === 1);
  if (!job || !vehicle || !first || records.job!.length !== 1 || records.vehicle!.length !== 1 || first.id !== job.id)
    throw refused('it must be one job of one vehicle');
  const axles = new Set((records.axle ?? []).map(({ id }) => id));
  for (const table of ['axle', 'axle_rating', 'vehicle_feature', 'failure', 'odometer', 'fastener_size'])
    for (const row of records[table] ?? [])
      if ('vehicle_id' in row ? row.vehicle_id !== vehicle.id : !axles.has(row.axle_id))
        throw refused(`${table} names another vehicle`);
  for (const [k, row] of (records.prediction ?? []).entries())
    if (!predictionRecordSchema.safeParse({ ...row, coreVersion: row.core_version }).success)
      throw refused(`prediction ${k + 1} could not be shown: its inputs or its result are of no kind known here`);
  if (await isHere(tx, 'job', String(job.id))) throw refused('this job is here already', 409, 'taken');
  const vehicleKnown = await isHere(tx, 'vehicle', String(vehicle.id));
  const persons = new Map<string, string>();
  for (const { ref, name, shop } of people) persons.set(ref, await somebodyFrom(tx, name, shop));
  const { people: columns } = await bundleShape(tx);
  const local = withPeople(records, columns, (ref) => {
    const person = persons.get(ref);
    if (!person) throw refused(`${ref} is not in its list of people`);
    return person;
  });
  try {
    const kept = new Map<string, Buffer | null>();
    for (const { id, sha256 } of records.photo ?? [])
      kept.set(String(id), await store().keep(tx.shop, String(sha256), pictures.get(String(id))!));
    await insertBundle(tx, local, kept);
    await requireItsOwn(tx, String(job.id), records);
    // What a page could not show is not taken in either.
    const view = await loadJob(tx, String(first.id));
    const count = Object.values(records).reduce((sum, rows) => sum + rows.length, 0);
    return { jobId: view.id, vehicle: view.vehicle.name, records: count, pictures: pictures.size, vehicleKnown };
  } catch (error) {
    if (error instanceof ZodError) throw refused(`its page could not be shown (${error.issues[0]?.path.join('.')})`);
    const told = problemOf(error);
    throw told && told.status < 500 ? refused(wordsOf(error), told.status === 409 ? 409 : 400) : error;
  }
}

/** Every row that was written hangs on this job and on no other. */
async function requireItsOwn(tx: Tx, jobId: string, records: Readonly<Record<string, readonly Row[]>>): Promise<void> {
  for (const [table, n] of await rowsOfJob(tx, jobId))
    if (n !== (records[table]?.length ?? 0)) throw refused(`${table} holds rows of another job`);
  if (!(await underOneVehicle(tx, jobId))) throw refused('its axles stand under another vehicle');
}

/** Where the database found fault with a row. */
function wordsOf(error: unknown): string {
  if (error instanceof ProblemError)
    return error.problem.message.replace(/^This file was not taken in: |\. Nothing was changed\.$|\.$/g, '');
  const { table, constraint, code } = error as { table?: string; constraint?: string; code?: string };
  const where = [table, constraint].filter(Boolean).join(', ');
  if (code === '23505') return `a record of it is here already under another job (${where})`;
  return `its records do not hold together (${where || code})`;
}
