/** Metres in a mile over 1,000. */
const MILE = 1.609344;

export interface IntervalOption {
  label: string;
  /** Distances from the work, km, one after the other. */
  km: number[];
}

export type ReadInterval =
  | { kind: 'ok'; km: number[] }
  | { kind: 'ask'; question: string; options: IntervalOption[] }
  | { kind: 'refused'; reason: string };

const NUMBER = /\d{1,3}(?:[ ,.']\d{3})+|\d+(?:[.,]\d+)?/g;
const UNIT = /\b(km|kilometres?|kilometers?|mi|miles?)\b/i;
const MOST = 200_000;
const LEAST = 5;

const amountOf = (text: string): number =>
  Number(/^\d{1,3}([ ,.']\d{3})+$/.test(text) ? text.replaceAll(/[ ,.']/g, '') : text.replace(',', '.'));

/**
 * Reads when something is looked at again, as sheets and people say it: `500 mi`, `500 then 1,000 km`. What can be meant two ways is asked:
 * figures without a unit, and `500, then 1,000 or 10,000 mi`. Never throws.
 */
export function readInterval(text: string): ReadInterval {
  const given = text.trim();
  if (given === '') return { kind: 'refused', reason: 'Say after which distance.' };
  if (given.length > 80) return { kind: 'refused', reason: 'That is too long for an interval.' };
  const parts = given.split(/\b(?:then|and again at|and)\b|;/i).map((part) => part.trim());
  const ways = parts.map((part) => (part.match(NUMBER) ?? []).map(amountOf));
  if (ways.some((way) => way.length === 0)) return { kind: 'refused', reason: 'A distance is missing.' };
  if (ways.some((way, k) => way.length > 1 && !/\bor\b|\//i.test(parts[k]!)))
    return {
      kind: 'refused',
      reason: 'Put “then” between one check and the next, “or” between two that are meant for one.',
    };
  const series = ways.reduce<number[][]>((all, way) => all.flatMap((one) => way.map((n) => [...one, n])), [[]]);
  if (series.length > 6) return { kind: 'refused', reason: 'That can be meant in too many ways.' };
  const unit = UNIT.exec(given)?.[1]?.toLowerCase();
  const units =
    unit === undefined ? (['km', 'mi'] as const) : [unit.startsWith('k') ? ('km' as const) : ('mi' as const)];
  const options = units.flatMap((u) =>
    series.flatMap((way): IntervalOption[] => {
      const km = way.map((n) => (u === 'mi' ? n * MILE : n));
      const rising = km.every((n, k) => n >= LEAST && n <= MOST && (k === 0 || n > km[k - 1]!));
      return rising ? [{ label: `${way.join(', then ')} ${u}`, km }] : [];
    }),
  );
  if (options.length === 0)
    return { kind: 'refused', reason: `Checks come one after the other, from ${LEAST} to ${MOST} km.` };
  if (options.length === 1) return { kind: 'ok', km: options[0]!.km };
  return { kind: 'ask', question: unit === undefined ? 'Kilometres or miles?' : 'Which of them is meant?', options };
}
