import { parseThread, type Thread } from '../thread/thread';
import { oddOneOut, repeatsOf, type Repeats } from './repeats';
import { dimensionSpelled, type Dimension, unitSpelled, type Unit, UNITS, type UnitId } from './units';

/** What a field expects, so that a typed text can be read, asked about or refused. */
export interface FieldRule {
  dimension: Dimension;
  /** Unit a bare number takes; shown in the field. */
  unit: UnitId;
  /** Hard limits in core units: outside them a value cannot be. */
  min: number;
  max: number;
  /** Typical value in core units; a value more than three times off is asked about. */
  expected?: number;
  /** A range counts by its middle: `40–48 lbf·ft`, `40 to 48`, `40-48`. */
  range?: boolean;
  /** A count in which parts of one matter, as of the turns of a coil. */
  parts?: boolean;
  /** Shown in its own unit whatever a person chose: a pitch is part of a thread's name. */
  keepsUnit?: boolean;
  /** Several units are common: a bare number is never taken for one of them. */
  unitNeeded?: boolean;
  /** Other units worth proposing when the bare number looks wrong. */
  alternatives?: readonly UnitId[];
}

export interface Reading {
  /** Value in core units. */
  value: number;
  /** Unit as typed, or the field's. */
  unit: UnitId;
  /** What repeated readings of the same thing said; absent for a single one. */
  repeats?: Repeats;
  /** Ends of a range; absent for a single figure. */
  range?: { low: number; high: number };
}

export type Parsed =
  | { kind: 'empty' }
  | ({ kind: 'ok' } & Reading)
  | { kind: 'ask'; question: string; options: (Reading & { label: string })[] }
  | { kind: 'refused'; reason: string };

interface Term {
  amount: number;
  unit: Unit | undefined;
  fraction: boolean;
  sign: 1 | -1;
}

const NUMBER = String.raw`\d+(?:[.,]\d+)?|[.,]\d+`;
const TERM = new RegExp(
  String.raw`^(?:(\d+)(?:\s+|-)(\d+)\s*/\s*(\d+)|(\d+)\s*/\s*(\d+)|(${NUMBER}))(?:\s*([a-zA-Z°"'″”′’][a-zA-Z°"'″”′’·.*/-]*(?:\s(?:lb|m)\b)?))?`,
);

const refused = (reason: string): Parsed => ({ kind: 'refused', reason });

/** A thread as a measured field reads it: its value is the nominal diameter, mm, its text the name. */
function parseThreadField(text: string): Parsed {
  const read = parseThread(text);
  const reading = (thread: Thread) => ({ value: thread.diameter, unit: 'thread' as const });
  switch (read.kind) {
    case 'ok':
      return { kind: 'ok', ...reading(read.thread) };
    case 'ask':
      return {
        kind: 'ask',
        question: read.question,
        options: read.options.map((thread) => ({ ...reading(thread), label: thread.name })),
      };
    default:
      return read;
  }
}

const MOST_REPEATS = 9;

/**
 * Reads what a mechanic typed: one measurement, or several of the same thing with semicolons between them
 * (`22 1/4; 22 5/16; 22 1/4`), whose mean counts. A reading in brackets stays written down and does not count. One that
 * stands far off the others is asked about. A unit on the last one is meant for all that have none.
 * Never throws: nonsense is refused with the reason, doubt is asked about.
 */
export function parseMeasured(text: string, rule: FieldRule): Parsed {
  if (rule.dimension === 'thread') return parseThreadField(text);
  const ends = rule.range ? (RANGE.exec(text.trim()) ?? HYPHENED.exec(text.trim())) : null;
  if (ends) return readRange(ends[1]!, ends[2]!, rule);
  const pieces = text.split(';').map((piece) => piece.trim());
  if (pieces.length === 1 && !pieces[0]!.startsWith('(')) return parseOne(text, rule);
  if (text.trim().length > MOST_REPEATS * 18) return refused('That is too long for a measurement.');
  if (pieces.length > MOST_REPEATS) return refused(`At most ${MOST_REPEATS} readings of one thing.`);
  if (pieces.some((piece) => piece === '')) return refused('A reading is missing beside a semicolon.');
  const unit = /[a-zA-Z°"'″”′’][^\d]*\)?$/.exec(pieces.at(-1)!)?.[0].replace(')', '').trim();
  return readRepeats(pieces, unit ?? '', rule);
}

const RANGE = /^(.*?)\s*(?:–|—|\bto\b|\s-\s)\s*(.*)$/;
/** A hyphen between two plain numbers; one before a fraction joins it to its whole number. */
const HYPHENED = /^(\d+(?:[.,]\d+)?)-(\d+(?:[.,]\d+)?(?![\d.,]*\s*\/).*)$/;

function readRange(from: string, to: string, rule: FieldRule): Parsed {
  if (rule.unitNeeded && !hasUnit(from) && !hasUnit(to)) {
    const options = unitsOf(rule).flatMap((id) => {
      const read = readRange(from, `${to} ${id}`, { ...rule, unitNeeded: false });
      return read.kind === 'ok' ? [{ ...read, label: `${from} to ${to} ${id}` }] : [];
    });
    if (options.length > 0) return { kind: 'ask', question: WHICH_UNIT, options };
  }
  const high = parseOne(to, rule);
  if (high.kind !== 'ok') return high.kind === 'empty' ? refused('The upper end of the range is missing.') : high;
  // A unit on the upper end is meant for both; without one both take the field's.
  const low = parseOne(hasUnit(from) || from === '' || !hasUnit(to) ? from : `${from} ${high.unit}`, rule);
  if (low.kind !== 'ok') return low.kind === 'empty' ? refused('The lower end of the range is missing.') : low;
  if (low.value >= high.value) return refused('A range goes from the lower to the higher figure.');
  return {
    kind: 'ok',
    value: (low.value + high.value) / 2,
    unit: high.unit,
    range: { low: low.value, high: high.value },
  };
}

const BRACKETED = /^\((.*)\)$/;
const hasUnit = (piece: string): boolean => /[a-zA-Z°"'″”′’]/.test(piece);

function readRepeats(pieces: readonly string[], unit: string, rule: FieldRule): Parsed {
  const texts = pieces.map((piece) => {
    const inner = BRACKETED.exec(piece)?.[1]?.trim();
    const bare = inner ?? piece;
    return { text: hasUnit(bare) || unit === '' ? bare : `${bare} ${unit}`, counts: inner === undefined };
  });
  const read = texts.map((t) => parseOne(t.text, rule));
  const wrong = read.find((r) => r.kind === 'refused' || r.kind === 'empty');
  if (wrong) return wrong.kind === 'refused' ? wrong : refused('There is nothing between the brackets.');
  const doubt = read.find((r) => r.kind === 'ask');
  if (doubt?.kind === 'ask') {
    // The question is put once; each answer is a unit for all readings that have none.
    const options = [...new Set(doubt.options.map((o) => o.unit))].flatMap((id) => {
      const label = pieces.map((piece) => withUnit(piece, id)).join('; ');
      const all = pieces.map((piece) =>
        settled(parseOne(BRACKETED.exec(withUnit(piece, id))?.[1] ?? withUnit(piece, id), rule), id),
      );
      if (all.some((v) => v === undefined)) return [];
      const counted = (all as number[]).filter((_, i) => texts[i]!.counts);
      return counted.length > 0 ? [{ ...repeatsReading(counted, id), label }] : [];
    });
    return options.length > 0 ? { kind: 'ask', question: doubt.question, options } : refused(doubt.question);
  }
  const good = read as (Reading & { kind: 'ok' })[];
  const counted = good.filter((_, i) => texts[i]!.counts);
  if (counted.length === 0) return refused('Every reading stands in brackets; none would count.');
  const reading = repeatsReading(
    counted.map((r) => r.value),
    counted[0]!.unit,
  );
  const odd = oddOneOut(
    counted.map((r) => r.value),
    STEP[rule.dimension] ?? 0,
  );
  if (odd === null) return { kind: 'ok', ...reading };
  const at = good.indexOf(counted[odd]!);
  const without = counted.filter((_, i) => i !== odd).map((r) => r.value);
  return {
    kind: 'ask',
    question: `${pieces[at]} stands apart from the other readings. Does it count?`,
    options: [
      {
        ...repeatsReading(without, reading.unit),
        label: pieces.map((piece, i) => (i === at ? `(${piece})` : piece)).join('; '),
      },
      { ...reading, label: pieces.join('; ') },
    ],
  };
}

/** What two readings of one thing may differ by without anything being odd, core units; chosen. */
const STEP: Partial<Record<Dimension, number>> = { length: 1, mass: 5, angle: 0.01 };

const withUnit = (piece: string, id: UnitId): string => {
  if (hasUnit(piece)) return piece;
  const inner = BRACKETED.exec(piece)?.[1];
  return inner === undefined ? `${piece} ${id}` : `(${inner} ${id})`;
};

/** A value as read, or what was read once its own doubt is answered by the unit that is written there. */
function settled(parsed: Parsed, id: UnitId): number | undefined {
  if (parsed.kind === 'ok') return parsed.value;
  return parsed.kind === 'ask' ? parsed.options.find((o) => o.unit === id)?.value : undefined;
}

function repeatsReading(values: readonly number[], unit: UnitId): Reading {
  const repeats = repeatsOf(values);
  return values.length === 1 ? { value: repeats.mean, unit } : { value: repeats.mean, unit, repeats };
}

const LONGEST = 80;

const WHICH_UNIT = 'Which unit is it? Both are common here, and they differ.';
const unitsOf = (rule: FieldRule): UnitId[] => [rule.unit, ...(rule.alternatives ?? [])];

/**
 * Reads one measurement: `22 1/4`, `5-5/16`, `7/32"`, `1 ft 4 1/2 in`, `14 5/8 + 3/16`, `5 in - 6 mm`, `63,5 mm`.
 * A hyphen between whole number and fraction joins them (`14-5/8` = 14.625); a subtraction needs spaces around the sign.
 * Never throws: nonsense is refused with the reason, doubt is asked about.
 */
function parseOne(text: string, rule: FieldRule): Parsed {
  const trimmed = text.trim().replace(/−/g, '-');
  if (trimmed === '') return { kind: 'empty' };
  if (trimmed.length > LONGEST) return refused('That is too long for a measurement.');
  const negative = trimmed.startsWith('-');
  if (negative && rule.min >= 0) return refused('This cannot be negative.');

  const terms: Term[] = [];
  let rest = negative ? trimmed.slice(1).trim() : trimmed;
  let sign: 1 | -1 = negative ? -1 : 1;
  while (rest !== '') {
    const match = TERM.exec(rest);
    if (!match) return refused(`“${rest}” cannot be read as a number with a unit.`);
    const term = readTerm(match, rule, sign);
    if ('kind' in term) return term;
    terms.push(term);
    rest = rest.slice(match[0].length);
    const operator = /^\s*\+\s*|^\s+-\s+/.exec(rest);
    if (operator) {
      sign = operator[0].includes('+') ? 1 : -1;
      rest = rest.slice(operator[0].length);
      if (rest === '') return refused('Something is missing after the sign.');
    } else if (rest.trim() !== '') {
      // Only feet may be followed by inches without a sign.
      if (term.unit !== UNITS.ft || /^\s*-/.test(rest)) return refused(`“${rest.trim()}” was not understood.`);
      rest = rest.trim();
      sign = term.sign;
    } else rest = '';
  }
  return conclude(terms, trimmed, rule);
}

function readTerm(match: RegExpExecArray, rule: FieldRule, sign: 1 | -1): Term | Parsed {
  const [, whole, mixedTop, mixedBottom, top, bottom, plain, spelling] = match;
  let unit: Unit | undefined;
  if (spelling !== undefined) {
    unit = unitSpelled(spelling, rule.dimension);
    if (!unit) {
      const other = dimensionSpelled(spelling);
      return refused(
        other
          ? `“${spelling}” is a unit of ${other}; this field takes a ${rule.dimension}.`
          : `The unit “${spelling}” is not known here.`,
      );
    }
  }
  if (plain !== undefined) return { amount: Number(plain.replace(',', '.')), unit, fraction: false, sign };
  const numerator = Number(mixedTop ?? top);
  const denominator = Number(mixedBottom ?? bottom);
  if (denominator === 0) return refused('A fraction cannot have 0 below the line.');
  if (whole !== undefined && numerator >= denominator)
    return refused(`${numerator}/${denominator} is not less than one; write the whole number and the rest.`);
  return { amount: Number(whole ?? 0) + numerator / denominator, unit, fraction: true, sign };
}

function conclude(terms: Term[], text: string, rule: FieldRule): Parsed {
  // A term without a unit takes the unit of the next term that has one: `5 5/8 + 3/16 in`.
  let carried: Unit | undefined;
  for (const term of [...terms].reverse()) {
    if (term.unit) carried = term.unit === UNITS.ft && carried === undefined ? UNITS.ft : term.unit;
    else term.unit = carried;
  }
  // `5' 3`: what follows feet without a unit is inches.
  terms.forEach((term, i) => {
    if (i > 0 && term.unit === undefined && terms[i - 1]?.unit === UNITS.ft) term.unit = UNITS.in;
  });
  const typed = terms.find((t) => t.unit)?.unit;
  const total = (bare: Unit) => terms.reduce((sum, t) => sum + t.sign * t.amount * (t.unit ?? bare).factor, 0);
  const fieldUnit = UNITS[rule.unit];
  const unit = typed === UNITS.ft ? UNITS.in : (typed ?? fieldUnit);
  const value = total(fieldUnit);
  const bare = typed === undefined;
  const option = (u: Unit) => ({ value: total(u), unit: u.id as UnitId, label: bare ? `${text} ${u.id}` : text });
  const possible = (v: number) => v >= rule.min && v <= rule.max;
  const others = (rule.alternatives ?? []).map((id) => UNITS[id] as Unit).filter((u) => u.id !== unit.id);

  if (bare && rule.unitNeeded) {
    const options = unitsOf(rule)
      .map((id) => option(UNITS[id]))
      .filter((o) => possible(o.value));
    if (options.length > 0) return { kind: 'ask', question: WHICH_UNIT, options };
  }
  if (bare && !fieldUnit.fractions && !rule.parts && terms.some((t) => t.fraction)) {
    const inches = others.filter((u) => u.fractions);
    const options = [...inches, fieldUnit].map(option).filter((o) => possible(o.value));
    if (options.length === 0) return refused(`${text} is outside what this can be in ${rule.unit} or in inches.`);
    return { kind: 'ask', question: `A fraction in a ${rule.unit} field. Which unit did you read?`, options };
  }
  if (/\d,\d{3}(?!\d)/.test(text)) {
    const thousands = text.replace(/(\d),(\d{3})(?!\d)/g, '$1$2');
    const asThousands = parseOne(thousands, rule);
    const decimal = { ...option(unit), label: text.replace(/(\d),(\d{3})(?!\d)/g, '$1.$2') };
    const { value: grouped, unit: groupedUnit } = asThousands.kind === 'ok' ? asThousands : decimal;
    const options = [decimal, { value: grouped, unit: groupedUnit, label: thousands }].filter(
      (o, i) => possible(o.value) && (i === 0 || o.value !== decimal.value),
    );
    if (options.length > 1)
      return { kind: 'ask', question: 'Is the comma a decimal point or does it part thousands?', options };
  }
  if (!possible(value)) {
    const options = bare ? others.map(option).filter((o) => possible(o.value)) : [];
    if (options.length > 0)
      return { kind: 'ask', question: `${text} ${unit.id} cannot be. Was it another unit?`, options };
    const low = describe(rule.min, unit);
    const high = describe(rule.max, unit);
    return refused(`${text} is outside what this can be (${low} to ${high} ${unit.id}).`);
  }
  if (rule.dimension === 'count' && !rule.parts && !Number.isInteger(value))
    return refused('A count is a whole number.');
  const off = rule.expected === undefined || value === 0 ? 1 : value / rule.expected;
  if (off > 3 || off < 1 / 3) {
    const options = [option(unit), ...(bare ? others.map(option) : [])].filter((o) => possible(o.value));
    return {
      kind: 'ask',
      question: `About ${describe(rule.expected ?? 0, unit)} ${unit.id} was expected here. Keep what you typed?`,
      options: options.map((o) => (bare ? o : { ...o, label: text })),
    };
  }
  return { kind: 'ok', value, unit: unit.id as UnitId };
}

const describe = (core: number, unit: Unit): string => {
  const v = core / unit.factor;
  return String(Number(v.toPrecision(3)));
};
