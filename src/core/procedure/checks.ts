import { type AxleInput } from '../height/axleInput';
import { changesPack } from '../height/built';
import { type UboltVerdict, type Verdict } from '../fastener/ubolt';
import { stressVerdict, type StandingStress } from '../leafpack/stress';
import { type HubTravel } from '../travel/hubTravel';
import { slackVerdicts, type SlackItem, type SurveyAnswer } from '../travel/survey';

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
  id: 'threads' | 'runOut' | 'stress' | 'located' | SlackItem | SafetyItem;
  verdict: Verdict;
  /** What is so, and what to do about it; empty for what a person answers. */
  reason: string;
}

/** What a solved plan says of what must fit; the same whether it was solved just now or stored. */
export interface SolvedFacts {
  ubolt: UboltVerdict | 'new set' | null;
  travel: HubTravel | null;
  /** Both sides as built, in every load state. */
  standing: readonly StandingStress[];
}

/** What people said, looked at and measured. */
export interface Known {
  answer: (item: SafetyItem) => Answer;
  survey: readonly SurveyAnswer[];
  /** Sides whose spring cannot be solved, and why: a broken main leaf locates nothing. */
  refused: readonly { side: string; reason: string }[];
}

const VERDICT: Record<Answer, Verdict> = { ok: 'fits', notOk: 'does not fit', notChecked: 'not checked' };

/** Everything that must fit before a plan is called good; a row nobody looked at stays 'not checked'. */
export function planChecks(input: AxleInput, facts: SolvedFacts | null, known: Known): CheckRow[] {
  const rows: CheckRow[] = [];
  for (const { reason } of known.refused) rows.push({ id: 'located', verdict: 'does not fit', reason });
  rows.push(...uboltRows(input, facts));
  const stress = stressVerdict(facts?.standing ?? []);
  if (stress) rows.push({ id: 'stress', verdict: stress.verdict, reason: stress.text });
  else if (input.changes.some(changesPack))
    rows.push({ id: 'stress', verdict: 'not checked', reason: 'The spring is not solved yet.' });
  // Lines that somebody looked at under the vehicle; the card's own two questions cover the rest.
  for (const { item, verdict, left } of slackVerdicts(known.survey, facts?.travel ?? null)) {
    const found = known.survey.find((a) => a.item === item);
    if (!found || verdict === 'not there' || found.answer === 'notChecked') continue;
    const short =
      left === null ? '' : ` ${Math.abs(left).toFixed(0)} mm ${left < 0 ? 'too short' : 'left'} at full droop`;
    const reason =
      verdict === 'does not fit'
        ? `Too short for this droop:${short || ' found short'}. Free it, make it longer, or hold the axle up.`
        : verdict === 'not checked'
          ? 'Measured, and the droop of this plan is not known yet.'
          : '';
    rows.push({ id: item, verdict, reason });
  }
  const located = input.changes.some((c) => c.kind === 'overAxle' || (c.kind === 'block' && c.height.value > 0));
  for (const item of fitItems(located)) rows.push({ id: item, verdict: VERDICT[known.answer(item)], reason: '' });
  return rows;
}

function uboltRows(input: AxleInput, facts: SolvedFacts | null): CheckRow[] {
  const ubolt = facts?.ubolt ?? null;
  const both = (threads: Verdict, runOut: Verdict, reason: string): CheckRow[] => [
    { id: 'threads', verdict: threads, reason },
    { id: 'runOut', verdict: runOut, reason },
  ];
  if (ubolt === 'new set')
    return both('does not fit', 'not checked', 'The spring changes places: new U-bolts, sized to the new stack.');
  if (ubolt) {
    // A nut that has run out of thread does not stay on it.
    const runOut = ubolt.engagement === 'does not fit' ? 'does not fit' : ubolt.runOut;
    return both(ubolt.engagement, runOut, ubolt.reason);
  }
  const reason = input.ubolt ? 'Not solved yet.' : 'Thread showing and pitch are not measured.';
  return both('not checked', 'not checked', reason);
}

/** A plan is good only when every row fits. */
export const planFits = (rows: readonly CheckRow[]): boolean => rows.every((row) => row.verdict === 'fits');

/** What a prediction says of what must fit. */
export function factsOf(prediction: {
  ubolt: UboltVerdict | 'new set' | null;
  sides: Record<
    'left' | 'right',
    {
      travel?: HubTravel | null;
      states: readonly { built: { peakStress: number[]; clampStress?: number[] } | null }[];
    } | null
  >;
}): Omit<SolvedFacts, 'travel'> {
  const standing = Object.values(prediction.sides).flatMap((side) =>
    (side?.states ?? []).flatMap(({ built }): StandingStress[] =>
      built ? [{ working: built.peakStress, ...(built.clampStress && { clamped: built.clampStress }) }] : [],
    ),
  );
  return { ubolt: prediction.ubolt, standing };
}
