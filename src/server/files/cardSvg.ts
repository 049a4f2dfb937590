import { type Card, type CardLine } from '@/core/procedure/orientation';

const INK: Record<CardLine['ink'], string> = {
  bold: 'fill="none" stroke="#000" stroke-width="1"',
  thin: 'fill="none" stroke="#555" stroke-width=".5"',
  dash: 'fill="none" stroke="#555" stroke-width=".5" stroke-dasharray="3 1.6"',
  fill: 'fill="#e8e4d8" stroke="#000" stroke-width=".9"',
};
const escaped = (text: string): string =>
  text.replace(/[&<>]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;' })[c]!);

/** A card's drawing for paper; its font has no arrows: the word front stands where it is. */
export const cardSvg = ({ height, lines, words }: Pick<Card, 'height' | 'lines' | 'words'>): string =>
  [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 ${height.toFixed(2)}">`,
    ...lines.map(({ d, ink }) => `<path d="${d}" ${INK[ink]}/>`),
    ...words.map(
      ({ x, y, text, anchor }) =>
        `<text x="${x}" y="${y}" font-size="4.4" text-anchor="${anchor}">${escaped(text.replace(/[←→] ?| ?[←→]/g, ''))}</text>`,
    ),
    '</svg>',
  ].join('');
