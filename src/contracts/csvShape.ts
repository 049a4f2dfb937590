/** What a table may be at most: data rows that are not blank, columns, signs in one cell. */
export interface CsvLimits {
  rows: number;
  columns: number;
  cell: number;
}

/** What of a table's shape forbids to read it. */
export interface CsvFault {
  /** Line of the file, the header being 1. */
  line: number;
  reason: string;
}

const DELIMITERS = [',', ';', '\t'] as const;

/** What parts the cells, as the header shows: of comma, semicolon and tab the one that stands there most. */
export function delimiterOf(text: string): string {
  const [head = ''] = text.split('\n', 1);
  const count = (sign: string) => head.split(sign).length;
  return DELIMITERS.reduce((best, sign) => (count(sign) > count(best) ? sign : best));
}

/**
 * Walks a table once, before anything of it is taken apart, and ends at the first thing that is too much; so a file made to choke a
 * reader costs no more than its own length. Quotes count where a cell begins with one (RFC 4180).
 */
export function csvFault(text: string, { rows, columns, cell }: CsvLimits): CsvFault | null {
  const part = delimiterOf(text).charCodeAt(0);
  const [quote, feed, back] = [34, 10, 13];
  let [line, row, column, signs] = [1, 0, 1, 0];
  let blank = true;
  // Line on which the quote that is open was opened; 0 when none is.
  let opened = 0;
  for (let i = 0; i < text.length; i++) {
    const sign = text.charCodeAt(i);
    if (sign === feed) line += 1;
    if (opened > 0) {
      if (sign !== quote) signs += 1;
      else if (text.charCodeAt(i + 1) === quote) i += 1;
      else opened = 0;
    } else if (sign === quote && signs === 0) {
      opened = line;
      blank = false;
    } else if (sign === part) {
      column += 1;
      signs = 0;
      if (column > columns) return { line, reason: `A line holds more than ${columns} cells.` };
    } else if (sign === feed) {
      if (!blank) row += 1;
      // The header is none of them.
      if (row > rows + 1) return { line: 1, reason: `A file holds ${rows} parts at most. Split it.` };
      [column, signs, blank] = [1, 0, true];
    } else if (sign !== back) {
      signs += 1;
      blank = false;
    }
    if (signs > cell) return { line, reason: `A cell holds more than ${cell} signs.` };
  }
  if (opened > 0) return { line: opened, reason: 'A quote is opened here and never closed.' };
  return row + (blank ? 0 : 1) > rows + 1 ? { line: 1, reason: `A file holds ${rows} parts at most. Split it.` } : null;
}
