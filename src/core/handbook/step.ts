import { fractionText } from '../units/format';
import { ALL_THREADS, threadNamed } from '../thread/thread';
import { type FieldRule, parseMeasured } from '../units/parse';
import { UNITS, type UnitId } from '../units/units';

/** Steps of a unit that a thumb wants, in that unit: the largest that is about a fiftieth of the figure. */
const STEPS = [0.1, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000];

/** Sizes that a nut is likely to have, in walking order: one thread up or down. */
const SIZES = ALL_THREADS.filter((t) => t.pitch !== null).toSorted(
  (p, q) =>
    Number(p.system === 'unified') - Number(q.system === 'unified') || p.diameter - q.diameter || q.pitch! - p.pitch!,
);

/**
 * What stands in a field after one step up or down, as it would be typed, in the unit it was typed in; null where a step leads out of its range or
 * nothing can be read. @param by 1 or −1
 */
export function stepped(text: string, rule: FieldRule, by: 1 | -1): string | null {
  if (rule.dimension === 'thread') {
    const now = threadNamed(text);
    const k = SIZES.findIndex((t) => t.name === now?.name);
    return k < 0 ? null : (SIZES[k + by]?.name ?? null);
  }
  const read = parseMeasured(text, rule);
  if (read.kind !== 'ok') return null;
  const unit: UnitId = read.unit;
  const { factor, spellings } = UNITS[unit];
  const value = read.value / factor;
  const within = (v: number) => v * factor >= rule.min - 1e-9 && v * factor <= rule.max + 1e-9;
  if (unit === 'in') {
    const next = Math.round(value * 16 + by) / 16;
    return within(next) ? `${fractionText(next * 25.4, 16)} in` : null;
  }
  const step =
    rule.dimension === 'count' && !rule.parts
      ? 1
      : (STEPS.findLast((s) => s <= Math.abs(value) / 50 + 1e-9) ?? STEPS[0]!);
  const next = Math.round(value / step + by) * step;
  const shown = String(Number(next.toFixed(2)));
  return within(next) ? (rule.dimension === 'count' ? shown : `${shown} ${spellings[0] ?? unit}`) : null;
}
