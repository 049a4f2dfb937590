import { type BoardRow } from './board';
import { dueNow } from './dueNow';

/** Where a job stands on the day sheet, the most pressing first. */
export const SECTIONS = ['overdue', 'today', 'thisWeek', 'bay', 'toClose', 'parts', 'planned', 'closed'] as const;
export type Section = (typeof SECTIONS)[number];
export const SECTION_NAMES: Record<Section, string> = {
  overdue: 'Overdue',
  today: 'Today',
  thisWeek: 'This week',
  bay: 'In the bay',
  toClose: 'To close',
  parts: 'Waiting for parts',
  planned: 'Being planned',
  closed: 'Closed',
};

/** A job with all the axles it works on, the first one leading. */
export interface BoardJob {
  section: Section;
  axles: readonly [BoardRow, ...BoardRow[]];
}

function sectionOf(axles: readonly [BoardRow, ...BoardRow[]], today: string): Section {
  const [{ nextDue, odometer, closedAt }] = axles;
  const word = nextDue && dueNow(nextDue, today, odometer).word;
  if (word && word !== 'later') return word;
  if (closedAt !== null) return 'closed';
  if (axles.some((row) => row.outcomes > 0)) return 'toClose';
  if (axles.some((row) => row.built)) return 'bay';
  return axles.some((row) => row.waits > 0) ? 'parts' : 'planned';
}

/** Days until a job's next check, for the order within a section. */
const pressing = ({ axles: [{ nextDue }] }: BoardJob): string => nextDue?.dueOn ?? '9999';

/** Jobs by section, each with its axles together. @param rows an axle each, those of a job one after the other @param today the shop's date */
export function daySheet(rows: readonly BoardRow[], today: string): BoardJob[] {
  const jobs: BoardJob[] = [];
  for (const row of rows) {
    if (rows[rows.indexOf(row) - 1]?.jobId === row.jobId) continue;
    const axles = [row, ...rows.filter((r) => r.jobId === row.jobId && r !== row)] as const;
    jobs.push({ section: sectionOf(axles, today), axles });
  }
  const order = (job: BoardJob) => SECTIONS.indexOf(job.section);
  return jobs.toSorted(
    (p, q) => order(p) - order(q) || (pressing(p) < pressing(q) ? -1 : pressing(p) > pressing(q) ? 1 : 0),
  );
}
