import { type Verdict, type VerdictState } from '../verdict';
import { hubDrop, type HubDrop, type HubTravel } from './hubTravel';

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

/** What an axle has or has not: without it nothing of it is asked. */
export const FITTED_ITEMS = ['stops', 'shocks'] as const;
export type FittedItem = (typeof FITTED_ITEMS)[number];

/** What an axle has not, and is not asked for; `lock`: its wheels do not steer. */
export type AbsentItem = FittedItem | 'lock';

/** Whether the bump stop strikes the spring's plate: `ok` it does, `none` it strikes the axle itself. */
export const STRIKES_PLATE = 'stopOnPlate';

/** Whether the bushes turn on their sleeves: `ok` they do, `none` they are bonded rubber. */
export const BUSHES_TURN = 'bushesTurn';

export type SurveyItem = typeof STRIKES_PLATE | typeof BUSHES_TURN | SlackItem | ObstructionItem | FittedItem;
export const SURVEY_ITEMS: readonly SurveyItem[] = [
  ...SLACK_ITEMS,
  ...OBSTRUCTION_ITEMS,
  ...FITTED_ITEMS,
  STRIKES_PLATE,
  BUSHES_TURN,
];
export const isSlack = (item: SurveyItem): item is SlackItem => (SLACK_ITEMS as readonly string[]).includes(item);

/** Nothing may come taut: this much must be left at full droop, mm. Chosen; the trade asks for slack, not for a figure. */
export const SLACK_MARGIN = 15;

export interface SurveyAnswer {
  item: SurveyItem;
  /** `none`: the vehicle has no such thing. */
  answer: 'ok' | 'notOk' | 'none' | 'notChecked';
  /** How far the axle may drop until it is taut, mm, from where it stood when this was read; null when only looked at. */
  slack: number | null;
  /** Where the axle stood then: as it came in, or as built. As it came in when not said. */
  readAt?: 'today' | 'built';
}

/** How it stands with one line; what the vehicle does not have fits. */
export interface SlackVerdict extends Verdict<SlackItem> {
  /** Slack left at full droop with the plan made, mm; null when either is unknown. */
  left: number | null;
  /** The vehicle has no such line. */
  none: boolean;
}

/** Where the hub stands when a line comes taut. @param readFrom place of the hub when the slack was read */
export const tautAt = (slack: number, readFrom: HubDrop): HubDrop => hubDrop(readFrom + slack);

/**
 * Whether each line has slack enough to hang. The place where it comes taut and the droop of the planned axle stand on one datum,
 * so a lift uses slack up before the axle drops at all. One that was only looked at counts as looked at; nobody's answer is
 * "not checked". @param travel of the worse side; null when it is not known
 */
export function slackVerdicts(answers: readonly SurveyAnswer[], travel: HubTravel | null): SlackVerdict[] {
  return SLACK_ITEMS.map((item): SlackVerdict => {
    const found = answers.find((a) => a.item === item);
    const say = (state: VerdictState, left: number | null = null, text = ''): SlackVerdict => ({
      item,
      state,
      text,
      left,
      none: found?.answer === 'none',
      ...(left !== null && {
        figure: {
          quantity: 'slack left',
          dimension: 'length',
          value: left,
          limit: SLACK_MARGIN,
          margin: left - SLACK_MARGIN,
        },
      }),
    });
    if (!found || found.answer === 'notChecked') return say('not checked');
    if (found.answer === 'none') return say('fits');
    if (found.answer === 'notOk') return say('does not fit', null, tooShort(' found short'));
    if (found.slack === null) return say('fits', null, 'Looked at, not measured.');
    const unknown = 'Measured, and the droop of this plan is not known yet.';
    if (travel === null) return say('not checked', null, unknown);
    const taut = tautAt(found.slack, found.readAt === 'built' ? travel.planned : travel.today);
    // Without a droop it can still be said that the lift alone takes it up.
    const left = taut - (travel.droopPlanned ?? travel.planned);
    if (left < SLACK_MARGIN)
      return say(
        'does not fit',
        left,
        tooShort(` ${Math.abs(left).toFixed(0)} mm ${left < 0 ? 'too short' : 'left'} at full droop`),
      );
    return travel.droopPlanned === null ? say('not checked', null, unknown) : say('fits', left);
  });
}

const tooShort = (how: string): string =>
  `Too short for this droop:${how}. Free it, make it longer, or hold the axle up.`;
