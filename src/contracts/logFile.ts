import Papa from 'papaparse';
import { z } from 'zod';
import { csvFault, delimiterOf } from './csvShape';

/** What a log is told by: columns it cannot be without. */
const TOLD_BY = {
  readings: ['point', 'phase', 'typed'],
  torques: ['joint', 'bolt', 'typed'],
  failures: ['km', 'place'],
  outcomes: ['point', 'side', 'measured', 'odometer'],
} as const;
export type LogId = keyof typeof TOLD_BY;
export const LOG_IDS = Object.keys(TOLD_BY) as LogId[];

const LIMITS = { rows: 500, columns: 30, cell: 400 };
export const logFileSchema = z.object({ text: z.string().min(1).max(150_000) });

export interface LogRow {
  /** Line of the file, the header being 1. */
  line: number;
  /** A cell by its column; empty where there is none. */
  at: (column: string) => string;
  /** Whether the file has such a column. */
  has: (column: string) => boolean;
}
export interface LogFault {
  line: number;
  reason: string;
}

/** A cell that would have begun like a formula was written with a quote before it. */
const plain = (cell: string): string => cell.replace(/^'(?=[=+\-@])/, '').trim();

/** A log as a table, and which log it is; or what is wrong with it. Columns it does not know are left alone. */
export function readLogFile(text: string): { log: LogId; rows: LogRow[] } | { faults: LogFault[] } {
  const given = text.replace(/^\uFEFF/, '');
  const fault = csvFault(given, LIMITS);
  if (fault) return { faults: [{ line: fault.line, reason: fault.reason.replace('parts', 'rows') }] };
  const { data, meta } = Papa.parse<Record<string, string>>(given, {
    ...{ header: true, skipEmptyLines: 'greedy', delimiter: delimiterOf(given) },
    transformHeader: (name) => name.trim(),
  });
  const fields = new Set(meta.fields);
  const log = LOG_IDS.find((id) => TOLD_BY[id].every((column) => fields.has(column)));
  if (!log)
    return {
      faults: [
        {
          line: 1,
          reason: `The header is of no log: ${LOG_IDS.map((id) => `${id} have ${TOLD_BY[id].join(', ')}`).join('; ')}.`,
        },
      ],
    };
  return {
    log,
    rows: data.map((row, k) => ({
      line: k + 2,
      at: (column) => plain(row[column] ?? ''),
      has: (column) => fields.has(column),
    })),
  };
}

/** What came of a log that was taken in. */
export const logReportSchema = z.object({
  log: z.enum(['readings', 'torques', 'failures', 'outcomes']),
  added: z.number(),
  unchanged: z.number(),
});
export type LogReport = z.infer<typeof logReportSchema>;
