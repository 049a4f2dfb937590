import { AXLE_SUMS } from './axle';
import { BOLT_SUMS } from './bolts';
import { EYE_SUMS } from './eyes';
import { HOLE_SUMS } from './holes';
import { JOB_SUMS } from './job';
import { LEAF_SUMS } from './leaves';
import { SPRING_SUMS } from './springs';
import { NUT_SUMS } from './nuts';
import { type Sum } from './sum';
import { parseThread } from '../thread/thread';
import { parseMeasured, type FieldRule } from '../units/parse';
import { lengthRule, TORQUE_READING_RULE } from '../units/rules';
import { TRAVEL_SUMS } from './travel';
import { UBOLT_SUMS } from './ubolts';
import { WHEEL_SUMS } from './wheels';

/** Every sum of the handbook, in the order they are listed. */
export const SUMS: readonly Sum[] = [
  ...[
    BOLT_SUMS,
    NUT_SUMS,
    UBOLT_SUMS,
    HOLE_SUMS,
    LEAF_SUMS,
    EYE_SUMS,
    SPRING_SUMS,
    TRAVEL_SUMS,
    AXLE_SUMS,
    WHEEL_SUMS,
    JOB_SUMS,
  ].flat(),
];

/** Sums that every word of a search is found in, by title, group or the words people use for it. An empty search finds all. */
export function findSums(search: string): Sum[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  return SUMS.filter((sum) => {
    const text = `${sum.title} ${sum.group} ${sum.words}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

/** A sum with what a search already tells of it. */
export interface Found {
  sum: Sum;
  texts: Record<string, string>;
}

const fieldOf = (sum: Sum, dimension: FieldRule['dimension']) =>
  sum.fields.find((field) => field.rule.dimension === dimension)?.id;

/** Sums that take a figure by itself: a thread by its name, a length in inches or millimetres, a torque. Empty for words. */
export function findByFigure(search: string): Found[] {
  const text = search.trim();
  if (!/\d/.test(text)) return [];
  const put = (id: string, dimension: FieldRule['dimension']): Found[] => {
    const sum = SUMS.find((s) => s.id === id)!;
    const field = fieldOf(sum, dimension);
    return field ? [{ sum, texts: { [field]: text } }] : [];
  };
  if (parseThread(text).kind === 'ok' && !/^\d+(\/\d+)?$/.test(text))
    return ['torque', 'clamp', 'ubolt', 'length', 'pilot', 'locknut'].flatMap((id) => put(id, 'thread'));
  if (parseMeasured(text, TORQUE_READING_RULE).kind === 'ok')
    return ['units', 'range', 'crowfoot'].flatMap((id) => put(id, 'torque'));
  const length = parseMeasured(text, lengthRule(0, 20_000));
  if (length.kind !== 'ok' && length.kind !== 'ask') return [];
  return ['inch', 'spanner', 'hole'].flatMap((id) => put(id, 'length'));
}
