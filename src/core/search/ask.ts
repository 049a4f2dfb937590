import { TERMS } from '../handbook/terms';
import { type Unit, unitSpelled } from '../units/units';

/** A length asked for, as the ranges it may be in, mm: a bare number may be millimetres or inches. */
export interface AskedSize {
  typed: string;
  ranges: { from: number; to: number }[];
}

/** What a search asks: every thing must be found, each said in any of its ways, and every size. */
export interface SearchAsk {
  words: string[][];
  sizes: AskedSize[];
}

/** How far a size may be off what was asked and still be meant, mm or a share of it, the wider one. Chosen: 5/16 in is found by 8 mm. */
const NEAR = { mm: 0.25, share: 0.02 };
const INCH = 25.4;
const MOST = { words: 6, sizes: 3, ways: 8 };

const NUMBER = String.raw`\d+\s+\d+\/\d+|\d+\/\d+|\d+(?:[.,]\d+)?`;
const UNIT = String.raw`mm|cm|inches|inch|in|"|″|”`;
const END = String.raw`(?![\w/.,])`;
/** Two or three sizes across one another, of which one unit at the end says for all: 60x8, 2 1/2 x 5/16 in. */
const ACROSS = new RegExp(
  String.raw`(?<![\w/.,-])(${NUMBER})\s*(${UNIT})?\s*[x×*]\s*(${NUMBER})\s*(${UNIT})?(?:\s*[x×*]\s*(${NUMBER})\s*(${UNIT})?)?${END}`,
  'gi',
);
const ALONE = new RegExp(String.raw`(?<![\w/.,-])(${NUMBER})\s*(${UNIT})${END}`, 'gi');

function amount(text: string): number {
  const [whole, part] = text.trim().split(/\s+/);
  const one = (t: string) => {
    const [over, under] = t.replace(',', '.').split('/').map(Number);
    return under === undefined ? over! : over! / under;
  };
  return one(whole!) + (part === undefined ? 0 : one(part));
}

function sizeOf(typed: string, unit: Unit | undefined): AskedSize {
  const value = amount(typed);
  const around = (mm: number) => {
    const off = Math.max(NEAR.mm, NEAR.share * mm);
    return { from: mm - off, to: mm + off };
  };
  return { typed, ranges: unit ? [around(value * unit.factor)] : [around(value), around(value * INCH)] };
}

/** The other ways a word or words of the trade may be said; wrong ones among them, since people ask by them. */
function waysOf(said: string): string[] {
  const bare = (text: string) => text.toLowerCase().replaceAll('-', ' ');
  const term = TERMS.find((t) => [t.name, ...t.also].some((way) => bare(way) === said));
  return term ? [...new Set([said, ...[term.name, ...term.also].map(bare)])].slice(0, MOST.ways) : [said];
}

/**
 * Reads what is typed into the search: sizes with or without units, words of the trade of one or several words with what else they are called, and any
 * other word. A bare number is a word, since most numbers are those of parts.
 */
export function readSearch(text: string): SearchAsk {
  const sizes: AskedSize[] = [];
  const unit = (spelled: string | undefined) => (spelled ? unitSpelled(spelled.toLowerCase(), 'length') : undefined);
  let rest = text.replaceAll(ACROSS, (_, a: string, ua?: string, b?: string, ub?: string, c?: string, uc?: string) => {
    const all = [a, b!, ...(c ? [c] : [])];
    const units = [ua, ub, ...(c ? [uc] : [])];
    const last = units.findLast((u) => u !== undefined);
    sizes.push(...all.map((typed, k) => sizeOf(typed, unit(units[k] ?? last))));
    return ' ';
  });
  rest = rest.replaceAll(ALONE, (_, typed: string, spelled: string) => {
    sizes.push(sizeOf(typed, unit(spelled)));
    return ' ';
  });
  const words: string[][] = [];
  let left = ` ${rest.toLowerCase().trim().replaceAll(/\s+/g, ' ')} `;
  // Terms of several words first, hyphens being spaces to whoever types.
  const several = TERMS.flatMap((t) => [t.name, ...t.also])
    .filter((way) => /[ -]/.test(way))
    .map((way) => way.toLowerCase())
    .sort((p, q) => q.length - p.length);
  for (const way of several)
    for (const typed of new Set([way, way.replaceAll('-', ' ')]))
      if (left.includes(` ${typed} `)) {
        words.push([...new Set([typed, ...waysOf(typed.replaceAll('-', ' '))])].slice(0, MOST.ways));
        left = left.replace(` ${typed} `, ' ');
      }
  for (const word of left.split(' ').filter(Boolean)) words.push(waysOf(word));
  return { words: words.slice(0, MOST.words), sizes: sizes.slice(0, MOST.sizes) };
}
