import { fromCore, UNITS, type UnitId } from '@/core/units/units';

/**
 * The line protocol of instruments, one reading a line (docs/formats.md):
 * `GW1 <number> <quantity>=<value><unit>... <S|U> [word] <checksum>`; S is settled, U is not.
 */
export interface InstrumentLine {
  /** Counts up; a gap is a lost line. */
  number: number;
  values: InstrumentValue[];
  settled: boolean;
  /** What a press does: `loading` or `unloading`. */
  word: string | null;
}
export interface InstrumentValue {
  quantity: string;
  /** Core units. */
  value: number;
  unit: UnitId;
}

const HEAD = 'GW1';

/** Sum of the bytes before it, the last two hexadecimal digits. */
const checksum = (body: string): string =>
  ([...body].reduce((sum, c) => sum + c.charCodeAt(0), 0) % 256).toString(16).toUpperCase().padStart(2, '0');

/** ASCII on the line: a middle dot is written as a full stop. */
const onLine = (unit: string): string => unit.replace('·', '.');
const unitOnLine = (text: string): UnitId | undefined =>
  (Object.keys(UNITS) as UnitId[]).find((id) => onLine(id) === text);

/** @param decimals of each value in its own unit */
export function writeLine(line: InstrumentLine, decimals: number): string {
  const values = line.values.map(
    (v) => `${v.quantity}=${fromCore(v.value, v.unit).toFixed(decimals)}${onLine(v.unit)}`,
  );
  const body = [HEAD, line.number, ...values, line.settled ? 'S' : 'U', ...(line.word ? [line.word] : [])].join(' ');
  return `${body} ${checksum(body)}`;
}

const VALUE = /^([a-z]+)=(-?\d+(?:\.\d+)?)([A-Za-z./]+)$/;

/** Reads one line; undefined when it is garbled: another head, a wrong checksum, a value that is none. */
export function readLine(text: string): InstrumentLine | undefined {
  const cut = text.lastIndexOf(' ');
  const body = text.slice(0, Math.max(0, cut));
  if (cut < 0 || checksum(body) !== text.slice(cut + 1)) return undefined;
  const [head, number, ...rest] = body.split(' ');
  if (head !== HEAD || !/^\d+$/.test(number ?? '')) return undefined;
  const at = rest.findIndex((part) => part === 'S' || part === 'U');
  if (at < 1) return undefined;
  const values: InstrumentValue[] = [];
  for (const part of rest.slice(0, at)) {
    const [, quantity, amount, unitText] = VALUE.exec(part) ?? [];
    const unit = unitText === undefined ? undefined : unitOnLine(unitText);
    if (!quantity || !unit || !Number.isFinite(Number(amount))) return undefined;
    values.push({ quantity, value: Number(amount) * UNITS[unit].factor, unit });
  }
  return { number: Number(number), values, settled: rest[at] === 'S', word: rest[at + 1] ?? null };
}
