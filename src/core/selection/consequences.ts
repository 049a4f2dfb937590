import { type Verdict } from '../fastener/ubolt';
import { type Answer, type SafetyItem } from '../procedure/checks';
import { type Arrangement } from '../stack/stack';
import { type HubTravel } from '../travel/hubTravel';
import { slackVerdicts, type SurveyAnswer } from '../travel/survey';
import { type Ranked } from './search';

export const CONSEQUENCES = [
  'threads',
  'stress',
  'slack',
  'brakeValve',
  'stop',
  'shock',
  'locator',
  'rating',
  'driveline',
  'steering',
] as const;
export type ConsequenceId = (typeof CONSEQUENCES)[number];

export interface Consequence {
  id: ConsequenceId;
  state: Verdict;
  /** What is so, and what to do about it. */
  text: string;
}

/** What is known of the vehicle besides its spring. */
export interface Surroundings {
  survey: readonly SurveyAnswer[];
  /** Where the hub goes with this candidate; null while it is not solved. */
  travel: HubTravel | null;
  answer: (item: SafetyItem) => Answer;
  steered: boolean;
  driven: boolean;
  arrangement: Arrangement;
  /** Mass on this axle with the heaviest load, kg; null when it was not weighed. */
  heaviest: number | null;
}

const VERDICT: Record<Answer, Verdict> = { ok: 'fits', notOk: 'does not fit', notChecked: 'not checked' };
/** A change smaller than this moves nothing that hangs on the frame, mm; a turn smaller than that is no turn, rad. Chosen. */
const NOTHING = { height: 5, turn: 0.3 * (Math.PI / 180) } as const;
/** A turn that is worth a wedge, rad; common practice: joints equal within about a degree. */
const WEDGE = Math.PI / 180;

/**
 * The wedge that takes a turn of the axle back, in words; empty while the turn is small. Thick end to the rear lifts the nose under a
 * spring that lies over the axle, and lowers it under one below. @param noseUp rad
 */
export function wedgeText(noseUp: number, arrangement: Arrangement): string {
  if (Math.abs(noseUp) < WEDGE) return '';
  const rear = arrangement === 'over' ? noseUp < 0 : noseUp > 0;
  return `; a wedge of ${Math.abs((noseUp * 180) / Math.PI).toFixed(1)}° with its thick end to the ${rear ? 'rear' : 'front'} takes that back`;
}

const mm = (value: number): string => `${Math.abs(value).toFixed(0)} mm`;

/** What else a candidate touches. Every row is there for every candidate, also the one nobody checked. */
export function consequencesOf(ranked: Ranked, around: Surroundings): Consequence[] {
  const { candidate, states, ubolt, stressed } = ranked;
  const change = states[0]?.change ?? 0;
  const still = Math.abs(change) < NOTHING.height;
  const turn = states[0]?.noseUp ?? 0;
  const degrees = Math.abs((turn * 180) / Math.PI).toFixed(1);
  const rows: Consequence[] = [];
  const say = (id: ConsequenceId, state: Verdict, text: string) => rows.push({ id, state, text });

  if (ubolt === 'new set') say('threads', 'does not fit', 'the spring changes places: new U-bolts of another size');
  else
    say(
      'threads',
      ubolt,
      ubolt === 'fits'
        ? 'the old U-bolts are long enough'
        : ubolt === 'not checked'
          ? 'thread showing, threaded length or nut height is not measured'
          : 'the old U-bolts do not do: other legs',
    );
  say('stress', stressed.verdict, stressed.text);

  const lines = slackVerdicts(around.survey, around.travel).filter((line) => line.item !== 'levelSensor');
  const taut = lines.find((line) => line.verdict === 'does not fit');
  const unseen = lines.filter((line) => line.verdict === 'not checked').length;
  if (taut) say('slack', 'does not fit', 'a line is too short for the droop: see the slack survey in Measure');
  else if (unseen > 0) say('slack', 'not checked', `${unseen} hoses, wires or cables are not surveyed`);
  else say('slack', 'fits', 'every hose, wire and cable was surveyed and has slack');

  const sensor = around.survey.find((a) => a.item === 'levelSensor')?.answer;
  if (still || sensor === 'none')
    say('brakeValve', 'fits', still ? 'the height hardly changes' : 'nothing senses the height');
  else
    say(
      'brakeValve',
      VERDICT[around.answer('heightSensing')],
      change > 0
        ? 'where a valve or sensor reads the height, a raised frame reads as empty and cuts the rear brakes'
        : 'where a valve or sensor reads the height, a lowered frame reads as laden',
    );
  say(
    'stop',
    still ? 'fits' : 'not checked',
    still ? 'the gap stays' : `the gap to the bump stop ${change > 0 ? 'grows' : 'shrinks'} by ${mm(change)}`,
  );
  say(
    'shock',
    still ? 'fits' : 'not checked',
    still
      ? 'its length stays'
      : `the shock stands ${mm(change)} further ${change > 0 ? 'out' : 'in'}: look at what is left`,
  );

  const located = candidate.changes.some((c) => c.kind === 'overAxle' || (c.kind === 'block' && c.height.value > 0));
  if (located)
    say(
      'locator',
      VERDICT[around.answer('locator')],
      'pin in hole at both ends of the block, and the pad’s hole no larger',
    );
  else say('locator', 'fits', 'no new joint in the stack');

  const needed = around.heaviest === null ? null : around.heaviest / 2;
  const other = candidate.ways.some((way) => way === 'pack' || way === 'donorPack');
  if (!other)
    say('rating', VERDICT[around.answer('rating')], 'no stiffer spring raises what axle, tyres and plate may carry');
  else if (candidate.rating === null) say('rating', 'not checked', 'nobody knows what this pack may carry');
  else if (needed === null)
    say('rating', 'not checked', `it carries ${candidate.rating.toFixed(0)} kg; the axle was not weighed`);
  else
    say(
      'rating',
      candidate.rating >= needed ? 'fits' : 'does not fit',
      `it carries ${candidate.rating.toFixed(0)} kg, the heaviest load puts ${needed.toFixed(0)} kg on a spring`,
    );

  if (!around.driven) say('driveline', 'fits', 'no shaft drives this axle');
  else if (still && Math.abs(turn) < NOTHING.turn) say('driveline', 'fits', 'the axle neither rises nor turns');
  else
    say(
      'driveline',
      'not checked',
      `the pinion turns ${degrees}° ${turn >= 0 ? 'up' : 'down'} and the shaft’s angles change${wedgeText(turn, around.arrangement)}`,
    );
  if (!around.steered) say('steering', 'fits', 'the axle does not steer');
  else if (still && Math.abs(turn) < NOTHING.turn) say('steering', 'fits', 'caster and drag link stay');
  else
    say(
      'steering',
      'not checked',
      `caster changes by ${degrees}° and the drag link moves: alignment by a qualified shop`,
    );
  return rows;
}

/** A candidate is good only when nothing is open. */
export const nothingOpen = (rows: readonly Consequence[]): boolean => rows.every((row) => row.state === 'fits');
