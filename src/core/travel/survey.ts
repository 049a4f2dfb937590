import { type Verdict } from '../fastener/ubolt';

/** What runs between frame and axle and must be slack at full droop. */
export const SLACK_ITEMS = [
  'brakeHose',
  'brakeWire',
  'parkingCable',
  'speedSensor',
  'propShaft',
  'axleVent',
  'levelSensor',
] as const;
export type SlackItem = (typeof SLACK_ITEMS)[number];

/** What stands in the way of hands, tools or travel. */
export const OBSTRUCTION_ITEMS = [
  'underSkin',
  'hoses',
  'exhaust',
  'heatShield',
  'bumpStop',
  'fuelTank',
  'wiring',
  'spareWheel',
] as const;
export type ObstructionItem = (typeof OBSTRUCTION_ITEMS)[number];

export type SurveyItem = SlackItem | ObstructionItem;
export const SURVEY_ITEMS: readonly SurveyItem[] = [...SLACK_ITEMS, ...OBSTRUCTION_ITEMS];
export const isSlack = (item: SurveyItem): item is SlackItem => (SLACK_ITEMS as readonly string[]).includes(item);

/** Nothing may come taut: this much must be left at full droop, mm. Chosen; the trade asks for slack, not for a figure. */
export const SLACK_MARGIN = 15;

export interface SurveyAnswer {
  item: SurveyItem;
  /** `none`: the vehicle has no such thing. */
  answer: 'ok' | 'notOk' | 'none' | 'notChecked';
  /** How far the axle may drop from ride height until it is taut, mm; null when only looked at. */
  slack: number | null;
}

export interface SlackVerdict {
  item: SlackItem;
  verdict: Verdict | 'not there';
  /** Slack left at full droop, mm; null when either is unknown. */
  left: number | null;
}

/**
 * Whether each line has slack enough for a droop. One that was only looked at counts as looked at; one with a reading is
 * reckoned with. Nobody's answer is "not checked". @param droop mm from ride height to hanging; null when it is not known
 */
export function slackVerdicts(answers: readonly SurveyAnswer[], droop: number | null): SlackVerdict[] {
  return SLACK_ITEMS.map((item) => {
    const found = answers.find((a) => a.item === item);
    if (found?.answer === 'none') return { item, verdict: 'not there', left: null };
    if (!found || found.answer === 'notChecked') return { item, verdict: 'not checked', left: null };
    if (found.answer === 'notOk') return { item, verdict: 'does not fit', left: null };
    if (found.slack === null) return { item, verdict: 'fits', left: null };
    if (droop === null) return { item, verdict: 'not checked', left: null };
    const left = found.slack - droop;
    return { item, verdict: left >= SLACK_MARGIN ? 'fits' : 'does not fit', left };
  });
}
