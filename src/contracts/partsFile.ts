import Papa from 'papaparse';
import {
  dimensionOf,
  kindOf,
  LEAF_RULES,
  PART_DIMENSION_IDS,
  DERIVED,
  PART_KIND_IDS,
  type LeafEyes,
  type PartDimensionId,
  type PartKind,
} from '@/core/parts/kinds';
import { parseMeasured, type FieldRule } from '@/core/units/parse';
import { unsurprised } from '@/core/units/rules';
import { csvFault, delimiterOf } from './csvShape';
import { partEditSchema, type PartEdit, type ShelfItem, type ShelfLeaf } from './shelf';
import { CONDITIONS, HOLDINGS, RATING_RULE } from './shelfFields';

const OWN_DIMENSIONS = PART_DIMENSION_IDS.filter((id) => !(DERIVED as readonly string[]).includes(id));
const LEADING = [
  'id',
  'version',
  'kind',
  'name',
  'maker',
  'number',
  'holding',
  'condition',
  'origin',
  'ageYears',
  'quantity',
  'price',
  'leadDays',
  'rating',
  'form',
  'place',
  'note',
  'retired',
] as const;
/** The columns of a parts file in order. Described in docs/formats.md. */
export const COLUMNS: readonly string[] = [...LEADING, ...OWN_DIMENSIONS, 'leaves'];

/** Repeated readings carry the semicolon that parts leaves: their mean stands in the file then. */
const inCell = (typed: string | null, value: number | null): string =>
  typed === null || value === null ? '' : /[;|]/.test(typed) ? `${Number(value.toFixed(3))} mm` : typed;

const leafText = (leaf: ShelfLeaf): string =>
  [
    inCell(leaf.frontTyped, leaf.front),
    inCell(leaf.rearTyped, leaf.rear),
    inCell(leaf.thicknessTyped, leaf.thickness),
    inCell(leaf.camberTyped, leaf.camber),
    leaf.eyes === 'none' ? '' : `eyes ${leaf.eyes}`,
    leaf.clip ? 'clip' : '',
  ]
    .join(' | ')
    .replace(/( \| )+$/, '');

/** What a spreadsheet would take for a formula, also once it was marked; and the mark that is taken off again. */
const FORMULA = /^'*[=+\-@\t\r]/;
const ESCAPED = /^'(?='*[=+\-@\t\r])/;

/** Parts as CSV: what was typed stays as typed. @param header without it the lines go on under those written before */
export const partsFile = (items: readonly ShelfItem[], header = true): string =>
  Papa.unparse(
    {
      fields: [...COLUMNS],
      data: items.map((item) => {
        const dimension = (id: PartDimensionId) => item.dimensions.find((d) => d.dimension === id)?.typed ?? '';
        const row: Record<string, string> = {
          ...Object.fromEntries(LEADING.map((name) => [name, String((item as Record<string, unknown>)[name] ?? '')])),
          rating: item.ratingTyped ?? '',
          retired: item.retired ? 'yes' : '',
          ...Object.fromEntries(OWN_DIMENSIONS.map((id) => [id, dimension(id)])),
          leaves: item.leaves.map(leafText).join(' ; '),
        };
        return COLUMNS.map((name) => row[name] ?? '');
      }),
    },
    // A spreadsheet must not take a part's name for a formula.
    { newline: '\n', escapeFormulae: FORMULA, header },
  );

export interface PartProblem {
  /** Line of the file, the header being 1. */
  line: number;
  column: string;
  reason: string;
}

/** A row as read: without an id it is matched by maker and number, or new. */
export type FileRow = Omit<PartEdit, 'id' | 'version'> & { id: string | null; version: number | null; line: number };

/** More rows than this are not one shop's shelf. */
export const MOST_ROWS = 60_000;
/** More faults than these nobody mends one by one. */
const MOST_PROBLEMS = 100;
const MOST_SIGNS = 10_000;

/**
 * Reads a parts file. Every row is checked; each fault is named by its line, its column and the reason. Lengths without a unit are
 * millimetres, ratings kilograms; a doubtful figure is refused with the question it raises.
 */
export function readPartsFile(text: string): { rows: FileRow[]; problems: PartProblem[] } {
  const lines: number[] = [];
  let line = 1;
  const plain = text.replace(/^\uFEFF/, '');
  const shape = csvFault(plain, { rows: MOST_ROWS, columns: 2 * COLUMNS.length, cell: MOST_SIGNS });
  if (shape) return { rows: [], problems: [{ line: shape.line, column: '', reason: shape.reason }] };
  const { data, meta, errors } = Papa.parse<Record<string, string>>(plain, {
    delimiter: delimiterOf(plain),
    header: true,
    skipEmptyLines: false,
    transformHeader: (name) => name.trim(),
  });
  const fields = meta.fields ?? [];
  const problems: PartProblem[] = [];
  for (const need of ['kind', 'name'])
    if (!fields.includes(need)) problems.push({ line: 1, column: need, reason: `The header lacks “${need}”.` });
  for (const name of fields)
    if (!COLUMNS.includes(name))
      problems.push({ line: 1, column: name, reason: `No column is called “${name}”; it would be lost.` });
  if (fields.length !== new Set(fields).size)
    problems.push({ line: 1, column: '', reason: 'A column stands twice in the header.' });
  if (problems.length > 0) return { rows: [], problems };
  // Cells may hold line breaks, so lines are counted as the file has them.
  for (const row of data) {
    line += 1;
    lines.push(line);
    line += Object.values(row).reduce((sum, cell) => sum + (String(cell).match(/\n/g)?.length ?? 0), 0);
  }
  const blank = (cells: Record<string, string> | undefined) =>
    Object.values(cells ?? {}).every((cell) => String(cell).trim() === '');
  for (const error of errors)
    if (error.row === undefined || !blank(data[error.row]))
      problems.push({ line: lines[error.row ?? 0] ?? 1, column: '', reason: `${error.message}.` });
  const rows: FileRow[] = [];
  const ids = new Map<string, number>();
  for (const [i, cells] of data.entries()) {
    const at = lines[i]!;
    if (problems.length >= MOST_PROBLEMS) break;
    if (blank(cells)) continue;
    const row = readRow(cells, at, problems);
    if (!row) continue;
    if (row.id !== null && ids.has(row.id))
      problems.push({ line: at, column: 'id', reason: `The same part stands in line ${ids.get(row.id)} too.` });
    if (row.id !== null) ids.set(row.id, at);
    rows.push(row);
  }
  return { rows, problems: problems.toSorted((p, q) => p.line - q.line).slice(0, MOST_PROBLEMS) };
}

const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

function readRow(cells: Record<string, string>, line: number, problems: PartProblem[]): FileRow | undefined {
  const before = problems.length;
  const fault = (column: string, reason: string) => problems.push({ line, column, reason });
  // The mark that keeps a spreadsheet from reading a formula is taken off again.
  const cell = (name: string): string => (cells[name] ?? '').trim().replace(ESCAPED, '');
  const choice = <T extends string>(name: string, allowed: readonly T[], otherwise: T): T => {
    const found = cell(name) === '' ? otherwise : allowed.find((a) => a === cell(name));
    if (found === undefined) fault(name, `“${cell(name)}” is none of ${allowed.join(', ')}.`);
    return found ?? otherwise;
  };
  const number = (name: string): number | null => {
    const text = cell(name);
    if (text === '') return null;
    const value = Number(text.replace(',', '.'));
    if (Number.isFinite(value)) return value;
    fault(name, `“${text}” is not a number.`);
    return null;
  };
  const measured = (name: string, text: string, rule: FieldRule): number | null => {
    const read = parseMeasured(text, { ...rule });
    if (read.kind === 'ok') return read.value;
    if (read.kind === 'empty') return null;
    fault(name, read.kind === 'ask' ? `“${text}”: ${read.question} Write the unit.` : `“${text}”: ${read.reason}`);
    return null;
  };
  const kindText = cell('kind');
  const kind = PART_KIND_IDS.find((k) => k === kindText);
  if (!kind) {
    fault('kind', `“${kindText}” is no kind of part; ${PART_KIND_IDS.join(', ')} are.`);
    return undefined;
  }
  const id = cell('id') === '' ? null : cell('id').toLowerCase();
  if (id !== null && !UUID.test(id)) fault('id', `“${id}” is no id of this shelf; leave it empty for a new part.`);
  const yes = cell('retired').toLowerCase();
  if (!['', 'no', 'yes'].includes(yes)) fault('retired', `“${yes}” is neither yes nor no.`);
  const dimensions = dimensionsOf(kind, cell, measured, fault);
  const leaves = cell('leaves') === '' ? [] : leavesOf(cell('leaves'), measured, fault);
  const holding = choice('holding', HOLDINGS, 'catalogue');
  const quantity = number('quantity');
  const rating = measured('rating', cell('rating'), RATING_RULE);
  if (problems.length > before) return undefined;
  const parsed = partEditSchema.safeParse({
    id: id ?? '00000000-0000-4000-8000-000000000000',
    kind,
    ...Object.fromEntries(['name', 'maker', 'number', 'origin', 'place', 'note'].map((name) => [name, cell(name)])),
    holding,
    condition: choice('condition', CONDITIONS, 'new'),
    ageYears: number('ageYears'),
    quantity,
    price: number('price'),
    leadDays: number('leadDays'),
    rating,
    ratingTyped: rating === null ? null : cell('rating'),
    form: cell('form') || null,
    retired: yes === 'yes',
    dimensions,
    leaves,
    version: number('version') ?? 0,
  });
  if (problems.length > before) return undefined;
  if (!parsed.success) {
    for (const issue of parsed.error.issues) fault(String(issue.path[0] ?? ''), issue.message);
    return undefined;
  }
  return { ...parsed.data, id, version: cell('version') === '' ? null : parsed.data.version, line };
}

type Measure = (name: string, text: string, rule: FieldRule) => number | null;
type Fault = (column: string, reason: string) => void;

function dimensionsOf(kind: PartKind, cell: (name: string) => string, measured: Measure, fault: Fault) {
  return OWN_DIMENSIONS.flatMap((id) => {
    const text = cell(id);
    if (text === '') return [];
    if (!kindOf(kind).dimensions.includes(id)) {
      fault(id, `A ${kindOf(kind).name} has no ${dimensionOf(id).name}.`);
      return [];
    }
    // A file is not a conversation: a figure far from the usual one is taken, a unit in doubt is not.
    const value = measured(id, text, unsurprised(dimensionOf(id).rule));
    return value === null ? [] : [{ dimension: id, value, typed: text }];
  });
}

/** Leaves in one cell: `front | rear | thickness | camber | eyes both | clip`, a semicolon between leaves. */
function leavesOf(text: string, measured: Measure, fault: Fault): ShelfLeaf[] {
  return text.split(';').flatMap((piece, i): ShelfLeaf[] => {
    const parts = piece.split('|').map((p) => p.trim());
    const [front = '', rear = '', thickness = '', camber = '', ...marks] = parts;
    const which = `leaves`;
    const value = (name: keyof typeof LEAF_RULES, given: string) =>
      measured(which, given, unsurprised(LEAF_RULES[name]));
    const read = { front: value('front', front), rear: value('rear', rear), thickness: value('thickness', thickness) };
    if (read.front === null || read.rear === null || read.thickness === null) {
      fault(which, `Leaf ${i + 1} needs front, rear and thickness with bars between them.`);
      return [];
    }
    let eyes: LeafEyes = 'none';
    let clip = false;
    for (const mark of marks.filter(Boolean)) {
      const named = /^eyes (both|front|rear|none)$/.exec(mark)?.[1] as LeafEyes | undefined;
      if (named) eyes = named;
      else if (mark === 'clip') clip = true;
      else fault(which, `Leaf ${i + 1}: “${mark}” is neither eyes both, eyes front, eyes rear nor clip.`);
    }
    const camberValue = camber === '' ? null : value('camber', camber);
    return [
      {
        front: read.front,
        frontTyped: front,
        rear: read.rear,
        rearTyped: rear,
        thickness: read.thickness,
        thicknessTyped: thickness,
        camber: camberValue,
        camberTyped: camberValue === null ? null : camber,
        eyes,
        clip,
      },
    ];
  });
}
