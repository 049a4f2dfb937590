import { type AxleInput } from '../height/axleInput';
import { type AxlePrediction } from '../height/predict';
import { type Verdict } from '../fastener/ubolt';

/** What a person answers on the safety card. The first four keep people alive; the others keep the vehicle right. */
export const SAFETY_ITEMS = [
  'frameHeld',
  'axleHeld',
  'wheelsChocked',
  'springSlack',
  'hoseSlack',
  'wireSlack',
  'locator',
  'rating',
  'heightSensing',
] as const;
export type SafetyItem = (typeof SAFETY_ITEMS)[number];
/** Without these the build may not start. */
export const SUPPORT_ITEMS = SAFETY_ITEMS.slice(0, 4);
/** What a plan changes or relies on, and no reading of this sheet can tell. */
const FIT_ITEMS = SAFETY_ITEMS.slice(4);
/** Those that a plan asks: locators only where a block or a new perch carries the spring. */
export const fitItems = (located: boolean): SafetyItem[] => FIT_ITEMS.filter((item) => located || item !== 'locator');

export const ANSWERS = ['ok', 'notOk', 'notChecked'] as const;
export type Answer = (typeof ANSWERS)[number];

export interface CheckRow {
  id: 'threads' | 'runOut' | SafetyItem;
  verdict: Verdict;
  reason: string;
}

const VERDICT: Record<Answer, Verdict> = { ok: 'fits', notOk: 'does not fit', notChecked: 'not checked' };

/** Everything that must fit before a plan is called good; a row nobody looked at stays 'not checked'. */
export function planChecks(
  input: AxleInput,
  prediction: Pick<AxlePrediction, 'ubolt'> | null,
  answer: (item: SafetyItem) => Answer,
): CheckRow[] {
  const rows: CheckRow[] = [];
  const ubolt = prediction?.ubolt ?? null;
  if (ubolt === 'new set') {
    const reason = 'The spring changes places: new U-bolts, sized to the new stack.';
    rows.push({ id: 'threads', verdict: 'does not fit', reason }, { id: 'runOut', verdict: 'not checked', reason });
  } else if (ubolt) {
    rows.push({ id: 'threads', verdict: ubolt.engagement, reason: ubolt.reason });
    rows.push({ id: 'runOut', verdict: ubolt.runOut, reason: ubolt.reason });
  } else {
    const reason = input.ubolt ? 'Not solved yet.' : 'Thread showing and pitch are not measured.';
    rows.push({ id: 'threads', verdict: 'not checked', reason }, { id: 'runOut', verdict: 'not checked', reason });
  }
  const located = input.changes.some((c) => c.kind === 'overAxle' || (c.kind === 'block' && c.height.value > 0));
  for (const item of fitItems(located)) {
    rows.push({ id: item, verdict: VERDICT[answer(item)], reason: '' });
  }
  return rows;
}

/** A plan is good only when every row fits. */
export const planFits = (rows: readonly CheckRow[]): boolean => rows.every((row) => row.verdict === 'fits');
