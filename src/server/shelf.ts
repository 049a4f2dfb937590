// The shelf: pages, parts, files of parts, pictures of parts.
import { randomUUID } from 'node:crypto';
import { partsFile, type FileRow } from '@/contracts/partsFile';
import { conflict, notFound, ProblemError } from '@/contracts/problem';
import { type ImportReport, type PartEdit, type ShelfAsk, type ShelfItem, type ShelfPage } from '@/contracts/shelf';
import { type Tx } from '@/data/client';
import { keptParts } from '@/data/prepare';
import * as shelf from '@/data/shelf';
import { type InTx, type Progress } from './http';
import { readParts } from './partsReader';
import { pictures } from './pictures';
import { developed } from './photos';
import { type Asker } from './threadPool';

const PAGE = 40;
/** The count of what was found goes no further. */
const COUNTED = 1000;
/** Parts put together at once: of a file no more is held at a time. */
const BATCH = 1000;

export async function shelfPage(tx: Tx, ask: ShelfAsk): Promise<ShelfPage> {
  const page = await shelf.shelfPage(tx, ask, PAGE);
  const kept = await keptParts(
    tx,
    page.items.map((item) => item.id),
  );
  return { ...page, kept: Object.fromEntries(kept.map((k) => [k.id, k.kept])) };
}
export const shelfCount = (tx: Tx, ask: ShelfAsk) => shelf.shelfCount(tx, ask, COUNTED);

export async function onePart(tx: Tx, id: string): Promise<ShelfItem> {
  const [item] = await shelf.shelfItems(tx, [id]);
  if (!item) throw notFound('This part');
  return item;
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;

/** An id named in an address; null when it is none. */
export const idIn = (text: string | string[] | undefined): string | null =>
  typeof text === 'string' && UUID.test(text) ? text : null;

/** A part named in an address; null when there is none of that name. */
export async function partIfThere(tx: Tx, text: string | string[] | undefined): Promise<ShelfItem | null> {
  const id = idIn(text);
  if (!id) return null;
  return (await shelf.shelfItems(tx, [id]))[0] ?? null;
}

/** Saves a part whole; one that somebody else changed since is a conflict. */
export async function savePart(tx: Tx, id: string, part: PartEdit): Promise<ShelfItem> {
  const [held] = await shelf.holdParts(tx, [id]);
  if (held && held.version !== part.version) {
    // A new part sent again after a lost answer is there already.
    const [now] = part.version === 0 ? await shelf.shelfItems(tx, [id]) : [];
    if (now && sameParts(part, now)) return now;
    throw conflict('part', { theirs: held.name, by: held.by, at: held.at, version: held.version });
  }
  if (!held && part.version !== 0) throw notFound('This part');
  await shelf.putParts(tx, [{ ...part, id }]);
  return onePart(tx, id);
}

/** Whether a part says the same as the one on the shelf, whoever saved it. */
function sameParts(part: PartEdit, item: ShelfItem): boolean {
  const plain = (p: PartEdit | ShelfItem) =>
    JSON.stringify([
      p.kind,
      [p.name, p.maker, p.number, p.holding, p.condition, p.origin, p.ageYears, p.quantity, p.price, p.leadDays],
      [p.rating, p.ratingTyped, p.form, p.place, p.note, p.retired],
      p.dimensions
        .filter((d) => d.typed !== null)
        .map((d) => [d.dimension, d.value, d.typed])
        .toSorted(),
      p.leaves.map((l) => [
        l.front,
        l.frontTyped,
        l.rear,
        l.rearTyped,
        l.thickness,
        l.thicknessTyped,
        l.camber,
        l.eyes,
        l.clip,
      ]),
    ]);
  return plain(part) === plain(item);
}

/** Everything the filter shows, as pieces of a file, one batch after the other. */
export async function* exportParts(tx: Tx, ask: ShelfAsk): AsyncGenerator<string> {
  let after: ShelfAsk['after'] = null;
  for (let first = true; first || after; first = false) {
    const { items, next }: ShelfPage = await shelf.shelfPage(tx, { ...ask, after }, BATCH);
    if (first || items.length > 0) yield `${first ? '' : '\n'}${partsFile(items, first)}`;
    after = next;
  }
}

/**
 * Checks a whole parts file against the shelf, and with `apply` writes all of it or nothing. A row is the part of its id; without an
 * id that of its maker, number, holding and condition, if there is one; else it is new.
 */
export async function importParts(
  inTx: InTx,
  text: string,
  apply: boolean,
  asker: Asker = {},
  tell: Progress = () => undefined,
): Promise<ImportReport> {
  const { rows, problems } = await readParts(text, asker);
  if (problems.length > 0) return { added: 0, changed: 0, unchanged: 0, problems, applied: false };
  return inTx((tx) => takeParts(tx, rows, apply, asker.gone, tell));
}

async function takeParts(
  tx: Tx,
  rows: readonly FileRow[],
  apply: boolean,
  gone: AbortSignal | undefined,
  tell: Progress,
): Promise<ImportReport> {
  const stillWanted = () => {
    if (gone?.aborted) throw new ProblemError(499, { code: 'gone', message: 'Nobody waits for this any more.' });
  };
  const problems: ImportReport['problems'] = [];
  const report: ImportReport = { added: 0, changed: 0, unchanged: 0, problems, applied: false };
  const targets = await targetsOf(tx, rows, problems);
  const held = new Map(
    (
      await shelf.holdParts(
        tx,
        targets.map((t) => t.id),
      )
    ).map((h) => [h.id, h]),
  );
  let now = new Map<string, ShelfItem>();
  const write: PartEdit[] = [];
  for (const [k, { id, row }] of targets.entries()) {
    // What is there is put together batch by batch, so that others are served in between.
    if (k % BATCH === 0) {
      stillWanted();
      // Comparing is a quarter of the way, where something is brought in.
      tell(apply ? Math.round(k / 4) : k, targets.length);
      const ids = targets.slice(k, k + BATCH).flatMap((t) => (held.has(t.id) ? [t.id] : []));
      now = new Map(ids.length > 0 ? (await shelf.shelfItems(tx, ids)).map((item) => [item.id, item]) : []);
    }
    const { line, version, ...part } = row;
    const known = held.get(id);
    if (known && version !== null && version !== known.version)
      problems.push({
        line,
        column: 'version',
        reason: `${known.by} has changed “${known.name}” since this file was written; export it again.`,
      });
    const edit: PartEdit = { ...part, id, version: known?.version ?? 0 };
    if (known && sameParts(edit, now.get(id)!)) report.unchanged += 1;
    else {
      if (known) report.changed += 1;
      else report.added += 1;
      write.push(edit);
    }
  }
  if (problems.length > 0) return { ...report, added: 0, changed: 0, unchanged: 0 };
  if (!apply) return report;
  await shelf.putParts(tx, write, (done) => {
    stillWanted();
    tell(Math.round(((1 + (3 * done) / write.length) / 4) * targets.length), targets.length);
  });
  return { ...report, applied: true };
}

const numberKey = (p: { maker: string; number: string; holding: string; condition: string }) =>
  [p.maker.toLowerCase(), p.number.toLowerCase(), p.holding, p.condition].join('|');

async function targetsOf(tx: Tx, rows: readonly FileRow[], problems: ImportReport['problems']) {
  const numbered = rows.filter((row) => row.id === null && row.number !== '');
  const known = new Map<string, string>();
  for (const head of await shelf.partsOfNumbers(tx, [...new Set(numbered.map((row) => row.number))]))
    known.set(numberKey(head), head.id);
  const taken = new Map<string, number>();
  return rows.map((row) => {
    const id = row.id ?? (row.number === '' ? undefined : known.get(numberKey(row))) ?? randomUUID();
    const earlier = taken.get(id) ?? (row.number === '' ? undefined : taken.get(numberKey(row)));
    if (earlier !== undefined)
      problems.push({ line: row.line, column: 'number', reason: `Line ${earlier} is the same part.` });
    taken.set(id, row.line);
    if (row.number !== '') taken.set(numberKey(row), row.line);
    return { id, row };
  });
}

export const partHistory = (tx: Tx, id: string) => shelf.partHistory(tx, id);

export async function addPartPhoto(
  inTx: InTx,
  id: string,
  given: { id: string; caption: string; file: Buffer },
): Promise<ShelfItem> {
  const { jpeg, ...picture } = await developed(given.file);
  const shop = await inTx(async (tx) => (await onePart(tx, id), tx.shop));
  const kept = await pictures().keep(shop, picture.sha256, jpeg);
  return inTx(async (tx) => {
    await onePart(tx, id);
    await shelf.insertPartPhoto(tx, id, { id: given.id, caption: given.caption, ...picture, jpeg: kept });
    return onePart(tx, id);
  });
}

export async function partPhoto(tx: Tx, id: string) {
  const [photo] = await shelf.partPhotoBytes(tx, id);
  if (!photo) throw notFound('This picture');
  return photo;
}
