import { CoreError } from '../errors';
import { fitItems, type Answer, type SafetyItem } from '../procedure/safety';
import { ENDS_BELOW, type HubTravel, type SpringPlace } from '../travel/hubTravel';
import { limitersOfBoth, NO_FITTINGS, withStruck, type Fittings, type Struck, type TravelRead } from '../travel/limits';
import {
  heldByShocks,
  shocksOpenAt,
  springEndRows,
  travelRowsOf,
  withMoreSlack,
  worseSide,
  type Rests,
  type TravelItem,
  type TravelVerdict,
} from '../travel/travelRows';
import { slackVerdicts, type AbsentItem, type SlackItem, type SurveyAnswer } from '../travel/survey';
import { besideRows, type BesideFacts, type BesideItem, type Besides } from '../beside/besides';
import { type Side } from '../vehicle/side';
import { type Verdict, type VerdictState } from '../verdict';
import { type Asked, type KindCheck, type KindStanding } from '../suspension/registry';
import { drivelineState, drivelineVerdict, type DrivelineRead } from '../driveline/pinion';
import { wedgeText } from './wedge';

/** What a lift or a turn of the axle moves; nothing on the sheet tells yet how far it may go. */
export const MOVED_ITEMS = ['stopGap', 'shockLength', 'driveline', 'steering'] as const;
export type MovedItem = (typeof MOVED_ITEMS)[number];
export type FitItem = KindCheck | 'located' | SlackItem | SafetyItem | MovedItem | TravelItem | BesideItem;
export type FitVerdict = Verdict<FitItem>;

/** A plan or one of many ways, as far as it asks what must fit. */
export interface Work extends Asked {
  /** kg that a pack put in the place of the old one may carry; null when nobody knows, absent without one. */
  packRating?: number | null;
}

/** What a solved plan says of what must fit; the same whether it was solved just now or stored. */
export interface SolvedFacts {
  travel: HubTravel | null;
  /** What the kind's own checks hang on. */
  own: KindStanding;
  /** How far the axle's nose turns up, rad; absent where it is not told. */
  noseUp?: number;
  /** Of one spring as planned, N/mm; not in stored predictions. */
  rate?: number;
}

/** A set of U-bolts that the plan puts in: whether it spans the stack as built, in words. */
export interface NewUbolts {
  state: 'fits' | 'does not fit' | 'look';
  text: string;
}

/** What people said, looked at and measured. */
export interface Known {
  answer: (item: SafetyItem) => Answer;
  survey: readonly SurveyAnswer[];
  /** Sides whose spring cannot be solved, and why: a broken main leaf locates nothing. */
  refused: readonly { side: string; reason: string }[];
  /** A front axle's pinion points rearward: what lifts the axle's nose turns it down. */
  position: 'front' | 'rear';
  steered: boolean;
  driven: boolean;
  /** Mass on this axle with the heaviest load, kg; null when it was not weighed. */
  heaviest: number | null;
  /** Slopes and length of the drive shaft. */
  driveline?: DrivelineRead;
  newUbolts?: NewUbolts | null;
  /** Bushes, joints of the stack, how it stands on its wheels; absent where one of many ways is looked at. */
  beside?: Besides;
  /** What ends the travel of each side, as read, and what the plan puts in that ends it elsewhere. */
  travel?: {
    read: Readonly<Record<Side, TravelRead>>;
    fittings: Fittings;
    absent: readonly AbsentItem[];
    /** What the bump stop strikes. */
    struck?: Struck;
  };
}

const ANSWERED: Record<Answer, VerdictState> = { ok: 'fits', notOk: 'does not fit', notChecked: 'not checked' };
/** A change smaller than this moves nothing that hangs on the frame, mm; a turn smaller than that is no turn, rad. Chosen. */
const NOTHING = { height: 5, turn: 0.3 * (Math.PI / 180) } as const;

/**
 * Everything that must fit before a plan is called good, and everything that a way among others would touch: one list, in one
 * order. A row nobody looked at stays 'not checked'. @param facts null while it is not solved
 */
export function mustFit(work: Work, facts: SolvedFacts | null, told: Known): FitVerdict[] {
  const known = struckAs(told, facts?.travel ?? null);
  const rows: FitVerdict[] = [];
  const { travel } = facts ?? {};
  // A build must do in every load that is planned for.
  const rests = travel && { up: travel.laden ?? travel.planned, down: travel.lightest ?? travel.planned };
  const ends =
    travel && rests
      ? travelRows({ left: rests, right: rests }, known, travel.endsPlanned).map((row) =>
          row.item === 'stopGap' && row.figure && rests.up < travel.planned - 1
            ? { ...row, text: `${row.text} Told for the heaviest load.` }
            : row,
        )
      : [];
  const endRow = (item: FitItem) => ends.find((row) => row.item === item && row.state !== 'not checked');
  const say = (item: FitItem, state: VerdictState, text = '') => rows.push({ item, state, text });
  for (const { reason } of known.refused) say('located', 'does not fit', reason);
  rows.push(
    ...work.own(facts?.own ?? null).map((row) =>
      known.newUbolts && (row.item === 'threads' || row.item === 'runOut')
        ? { item: row.item, ...known.newUbolts }
        : // Where the stop or the shock was read, what the kind tells by itself is told against them.
          (endRow(row.item) ?? row),
    ),
  );
  // Lines that somebody looked at under the vehicle; the card's own two questions cover the rest.
  for (const line of lineRows(facts?.travel ?? null, known)) {
    const answer = known.survey.find((a) => a.item === line.item)?.answer;
    if (answer && answer !== 'none' && answer !== 'notChecked') rows.push(line);
  }
  const lift = facts?.travel ? facts.travel.planned - facts.travel.today : null;
  for (const item of fitItems(work.located)) {
    const state = ANSWERED[known.answer(item)];
    if (item === 'rating') rows.push(ratingRow(work, state, known));
    else say(item, state, item === 'heightSensing' ? sensed(lift) : '');
  }
  if (lift !== null) for (const row of movedRows(work, lift, facts?.noseUp, known)) rows.push(endRow(row.item) ?? row);
  for (const row of ends)
    if (row.state !== 'not checked' && !rows.some((known) => known.item === row.item)) rows.push(row);
  // What nobody read of these is asked for at Check only.
  if (known.beside)
    for (const row of besideRows(known.beside, known.position, besideFacts(facts, known)))
      if (row.state !== 'not checked') rows.push(row);
  return rows;
}

/** What a solved plan says for what binds besides the travel. @param known with what the stop strikes, see `struckAs` */
export function besideFacts(facts: SolvedFacts | null, { travel: at }: Pick<Known, 'travel'>): BesideFacts {
  const limiters = at ? limitersOfBoth(at.read, at.fittings) : [];
  const travel = heldByShocks(facts?.travel ?? null, limiters);
  const solid = limiters.filter((l) => l.id === 'stopSolid').map((l) => l.at);
  return {
    lift: travel ? travel.planned - travel.today : null,
    noseUp: facts?.noseUp,
    hangs: !travel || travel.droopPlanned === null ? null : travel.droopPlanned - travel.planned,
    up: travel && solid.length > 0 ? travel.planned - Math.max(...solid) : null,
    rate: facts?.rate ?? null,
  };
}

/** What is known with the plan's own stack under what the stop strikes. */
export const struckAs = <K extends Pick<Known, 'travel'>>(known: K, travel: HubTravel | null): K =>
  known.travel
    ? {
        ...known,
        travel: {
          ...known.travel,
          fittings: withStruck(known.travel.fittings, known.travel.struck ?? null, travel?.topRise ?? 0),
        },
      }
    : known;

/** How it stands with every line between frame and axle, held by the shocks where those were read. */
export const lineRows = (travel: HubTravel | null, { survey, travel: at }: Pick<Known, 'survey' | 'travel'>) =>
  at
    ? slackVerdicts(withMoreSlack(survey, at.fittings), heldByShocks(travel, limitersOfBoth(at.read, at.fittings)))
    : slackVerdicts(survey, travel);

/** What ends the travel, of the worse side; what nobody read is not checked. @param sits place of each hub in the load looked at @param ends of the springs themselves, as built */
export function travelRows(
  sits: Readonly<Record<Side, Rests>>,
  { travel: at }: Pick<Known, 'travel'>,
  ends: readonly SpringPlace[] = [],
): TravelVerdict[] {
  const { read, fittings, absent } = at ?? { read: { left: {}, right: {} }, fittings: NO_FITTINGS, absent: [] };
  const held = shocksOpenAt(limitersOfBoth(read, fittings));
  // Without a stop nothing acts before what lies above.
  const asked = absent.includes('stops') ? ends.filter((end) => ENDS_BELOW.includes(end.id)) : ends;
  const of = (side: Side) => [
    ...travelRowsOf(side, read[side], sits[side], fittings, absent),
    ...springEndRows(side, read[side], asked, fittings, held),
  ];
  return worseSide(of('left'), of('right'));
}

/** The weakest part decides; of a pack from the shelf its own rating is one of them. */
function ratingRow({ packRating }: Work, answered: VerdictState, { heaviest }: Known): FitVerdict {
  const say = (state: VerdictState, text: string): FitVerdict => ({ item: 'rating', state, text });
  if (packRating === undefined) return say(answered, 'No stiffer spring raises what axle, tyres and plate may carry.');
  if (packRating === null) return say('not checked', 'Nobody knows what this pack may carry.');
  const carries = `This pack carries ${packRating.toFixed(0)} kg`;
  if (heaviest === null) return say('not checked', `${carries}; the axle was not weighed.`);
  const needed = heaviest / 2;
  return {
    ...say(
      packRating >= needed ? 'fits' : 'does not fit',
      `${carries}, the heaviest load puts ${needed.toFixed(0)} kg on a spring.`,
    ),
    figure: {
      quantity: 'load on a spring',
      dimension: 'mass',
      value: needed,
      limit: packRating,
      margin: packRating - needed,
    },
  };
}

function sensed(lift: number | null): string {
  if (lift === null || Math.abs(lift) < NOTHING.height) return '';
  return lift > 0
    ? 'Where a valve or sensor reads the height, a raised frame reads as empty and cuts the rear brakes.'
    : 'Where a valve or sensor reads the height, a lowered frame reads as laden.';
}

/** The shaft's joints where they were read. */
function drivelineRow(lift: number, noseUp: number | undefined, known: Known): FitVerdict | null {
  if (!known.driven || !known.driveline) return null;
  try {
    const state = drivelineState(known.driveline, lift, noseUp ?? 0, known.position);
    return state && drivelineVerdict(state);
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return {
      ...{ item: 'driveline', state: 'look' },
      text: `Slopes and length of the shaft do not go together (${error.message}): read them again.`,
    };
  }
}

function movedRows(work: Work, lift: number, noseUp: number | undefined, known: Known): FitVerdict[] {
  const still = Math.abs(lift) < NOTHING.height;
  const straight = still && Math.abs(noseUp ?? 0) < NOTHING.turn;
  const by = `${Math.abs(lift).toFixed(0)} mm`;
  const degrees = noseUp === undefined ? '' : ` ${Math.abs((noseUp * 180) / Math.PI).toFixed(1)}°`;
  const row = (item: MovedItem, fits: boolean, quiet: string, moved: string): FitVerdict => ({
    item,
    state: fits ? 'fits' : 'not checked',
    text: fits ? quiet : moved,
  });
  const up = noseUp !== undefined && noseUp > 0 === (known.position === 'rear');
  const pinion = noseUp === undefined ? 'The pinion turns' : `The pinion turns${degrees} ${up ? 'up' : 'down'}`;
  // The axle's nose up leans the top of its steering axis rearward.
  const caster = noseUp === undefined ? 'Caster changes' : `Caster ${noseUp > 0 ? 'grows' : 'shrinks'} by${degrees}`;
  const wedge = noseUp === undefined || work.arrangement === null ? '' : wedgeText(noseUp, work.arrangement);
  return [
    row('stopGap', still, 'The gap stays.', `The gap to the bump stop ${lift > 0 ? 'grows' : 'shrinks'} by ${by}.`),
    row(
      'shockLength',
      still,
      'Its length stays.',
      `It stands ${by} further ${lift > 0 ? 'out' : 'in'}: look at what is left.`,
    ),
    drivelineRow(lift, noseUp, known) ??
      row(
        'driveline',
        !known.driven || straight,
        known.driven ? 'The axle neither rises nor turns.' : 'No shaft drives this axle.',
        `${pinion} and the shaft’s angles change${wedge}.`,
      ),
    row(
      'steering',
      !known.steered || straight,
      known.steered ? 'Caster and drag link stay.' : 'The axle does not steer.',
      `${caster} and the drag link moves: alignment by a qualified shop.`,
    ),
  ];
}
