import { type Dimension } from '@/core/units/units';

/** Units a keypad offers, by what the field takes. */
export const KEYPAD_UNITS: Partial<Record<Dimension, readonly string[]>> = {
  length: ['in', 'mm'],
  mass: ['kg', 'lb'],
  pressure: ['kPa', 'psi'],
  torque: ['N·m', 'lbf·ft'],
};

/** Fractions of an inch on the strip: all sixteenths, or the thirty-seconds between them. */
export function fractions(fine: boolean): string[] {
  if (fine) return Array.from({ length: 16 }, (_, k) => `${2 * k + 1}/32`);
  return Array.from({ length: 15 }, (_, k) => {
    let [top, bottom] = [k + 1, 16];
    while (top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
    return `${top}/${bottom}`;
  });
}

/** The part being typed: what stands behind the last semicolon or spaced sign, and what stands before it. */
function lastPiece(text: string): [before: string, piece: string] {
  const cut = /^(.*(?:;\s*|\s[+-]\s))(.*)$/s.exec(text);
  return cut ? [cut[1]!, cut[2]!] : ['', text];
}

const PIECE = /^(-?\d*(?:[.,]\d*)?)?\s*(\d+\/\d+)?\s*([a-zA-Z·]+)?$/;

/** Puts a fraction behind the whole number being typed, in place of the one that is there. */
export function withFraction(text: string, fraction: string): string {
  const [before, piece] = lastPiece(text);
  const [, whole = '', , unit] = PIECE.exec(piece.trim()) ?? [];
  return before + [whole, fraction, unit].filter(Boolean).join(' ');
}

/** Puts a unit behind the number being typed, in place of the one that is there. */
export function withUnit(text: string, unit: string): string {
  const [before, piece] = lastPiece(text);
  return `${before}${piece.replace(/\s*[a-zA-Z·]+\s*$/, '').trimEnd()} ${unit}`;
}

/** One key: a digit or sign at the end; `del` takes the last character, a fraction as a whole. */
export function press(text: string, key: string): string {
  if (key === 'del') return text.replace(/(?:\s*\d+\/\d+|\s*[a-zA-Z·]+|\s[+-]\s|;\s|.)$/, '');
  if (key === '+' || key === '−')
    return text === '' ? (key === '−' ? '-' : '') : `${text.trimEnd()} ${key === '+' ? '+' : '-'} `;
  if (key === ';') return text.trim() === '' ? text : `${text.trimEnd()}; `;
  return text + key;
}
