import { type TravelPoint } from '../sheet/travel';
import { type Side } from '../vehicle/side';
import { worstFirst, type Verdict, type VerdictState } from '../verdict';
import { SPRING_ENDS, type SpringEndId } from '../suspension/kind';
import { ENDS_BELOW, hubDrop, type HubDrop, type HubTravel, type SpringPlace } from './hubTravel';
import { limitersOf, type Fittings, type Limiter, type LimiterId, type TravelRead } from './limits';
import { type AbsentItem, type SurveyAnswer } from './survey';

/** What is asked of a hub's travel, besides its lines. */
export const TRAVEL_ITEMS = [
  ...(['shockShut', 'axleToFrame', 'tyreToArch', 'tyreAtLock', 'stopGap', 'shockLength'] as const),
  ...SPRING_ENDS,
] as const;
export type TravelItem = (typeof TRAVEL_ITEMS)[number];
type ReadItem = Exclude<TravelItem, SpringEndId>;
const READ_ITEMS = TRAVEL_ITEMS.filter((item): item is ReadItem => !(SPRING_ENDS as readonly string[]).includes(item));

/** Left between the stop going solid and anything hard, mm. Chosen: a stop that is hit hard and old gives a little more. */
export const STOP_MARGIN = 10;
/** With less free travel than this somebody should look, mm. Chosen. */
export const LITTLE_TRAVEL = 25;

export interface TravelVerdict extends Verdict<TravelItem> {
  side: Side;
  /** 90 % half-width of the figure, mm; null without one. */
  half90: number | null;
  /** What is to be read before it can be told. */
  wants: TravelPoint[];
  /** What stood in for a reading. */
  assumed: TravelPoint[];
}

const NEEDS: Record<ReadItem, readonly TravelPoint[]> = {
  shockShut: ['shockLength', 'shockShut', 'stopGap', 'stopHeight'],
  axleToFrame: ['axleToFrame', 'stopGap', 'stopHeight'],
  tyreToArch: ['tyreToArch', 'stopGap', 'stopHeight'],
  tyreAtLock: ['tyreAtLock', 'stopGap', 'stopHeight'],
  stopGap: ['stopGap'],
  shockLength: ['shockLength', 'shockOpen'],
};

const STOP_POINTS: readonly TravelPoint[] = ['stopGap', 'stopHeight'];

const QUANTITY: Record<TravelItem, string> = {
  shockShut: 'left when the stop is solid',
  axleToFrame: 'left when the stop is solid',
  tyreToArch: 'left when the stop is solid',
  tyreAtLock: 'left when the stop is solid',
  stopGap: 'free travel up',
  shockLength: 'travel down',
  packLimit: 'left when the stop is solid',
  shackleFlat: 'left when the stop is solid',
  coilBind: 'left when the stop is solid',
  coilLoose: 'left when the shock is open',
  shearTravel: 'left when the stop is solid',
};

const mm = (value: number): string => `${Math.abs(value).toFixed(0)} mm`;

/** Said where it matters that nobody told what the stop strikes. */
const unsaid = ({ struckHigher }: Fittings): string =>
  struckHigher.half90 > 1 ? ' Say whether it strikes the spring’s plate or the axle: the plan raises the plate.' : '';

/** Places of the hub that count for its ways up and down: one load's, or of all loads the one that presses it furthest and the one that lets it furthest down. */
export type Rests = HubDrop | { up: HubDrop; down: HubDrop };

/** How it stands with the travel of one side. @param rests place of the hub in the load looked at */
export function travelRowsOf(
  side: Side,
  read: TravelRead,
  rests: Rests,
  fittings: Fittings,
  absent: readonly AbsentItem[] = [],
): TravelVerdict[] {
  const { up, down } = typeof rests === 'number' ? { up: rests, down: rests } : rests;
  const [stopless, shockless] = [absent.includes('stops'), absent.includes('shocks')];
  const found = new Map<LimiterId, Limiter>(limitersOf(side, read, fittings).map((l) => [l.id, l]));
  const given: TravelRead = {
    ...read,
    ...(fittings.shock && { shockShut: fittings.shock.shut, shockOpen: fittings.shock.open }),
  };
  const asked = READ_ITEMS.filter((item) => item !== 'tyreAtLock' || !absent.includes('lock'));
  return asked.map((item): TravelVerdict => {
    const wants = NEEDS[item].filter(
      (point) => given[point] === undefined && !(stopless && STOP_POINTS.includes(point)),
    );
    const say = (
      state: VerdictState,
      text: string,
      margin: number | null = null,
      limit = 0,
      of: readonly Limiter[] = [],
    ): TravelVerdict => ({
      ...{ item, side, state, text, wants },
      assumed: [...new Set(of.flatMap((l) => l.assumed))],
      half90: margin === null ? null : Math.hypot(...of.map((l) => l.half90)),
      ...(margin !== null && {
        figure: {
          ...{ quantity: QUANTITY[item], dimension: 'length' as const, value: margin, limit, margin: margin - limit },
        },
      }),
    });
    if (shockless && (item === 'shockShut' || item === 'shockLength'))
      return { ...say('fits', 'It has no shocks.'), wants: [] };
    if (wants.length > 0) return say('not checked', '');
    if (stopless && item === 'stopGap') return say('look', 'It has no bump stop: what meets first is metal.');
    if (item === 'stopGap') {
      const touches = found.get('stopTouches')!;
      const left = up - touches.at;
      const state = left <= 0 ? 'does not fit' : left < LITTLE_TRAVEL ? 'look' : 'fits';
      const text =
        left <= 0
          ? `It stands ${mm(left)} into its stop: the stop carries what the spring should.`
          : `${mm(left)} up until the stop touches.${unsaid(fittings)}`;
      return say(state, text, left, 0, [touches]);
    }
    if (item === 'shockLength') {
      const open = found.get('shockOpen');
      if (!open) return say('does not fit', 'Open it is shorter than it leans across: read both again.');
      const left = open.at - down;
      const state = left <= 0 ? 'does not fit' : left < LITTLE_TRAVEL ? 'look' : 'fits';
      const text =
        left <= 0
          ? `Open it is ${mm(left)} too short to be bolted in where the axle sits: it would hang the axle.`
          : `${mm(left)} down until the shock is open.`;
      return say(state, text, left, 0, [open]);
    }
    const hard = found.get(item);
    // Leaning so far that it is never shut.
    if (!hard) return say('fits', 'It is never shut where it leans like this.');
    const solid = found.get('stopSolid');
    if (!solid) {
      const left = up - hard.at;
      const state = left <= 0 ? 'does not fit' : left < LITTLE_TRAVEL ? 'look' : 'fits';
      return say(state, `${mm(left)} ${left < 0 ? 'too low' : 'up'} until it meets, with no stop before it.`, left, 0, [
        hard,
      ]);
    }
    const left = solid.at - hard.at;
    const half90 = Math.hypot(solid.half90, hard.half90);
    const state = left < 0 ? 'does not fit' : left < STOP_MARGIN || left < half90 ? 'look' : 'fits';
    const text =
      left < 0
        ? `It hits ${mm(left)} before the stop is solid.`
        : `The stop is solid ${state === 'look' ? 'only ' : ''}${mm(left)} before${state === 'look' && left >= STOP_MARGIN ? `, and that is told to ± ${half90.toFixed(0)} mm only` : ''}.`;
    return say(state, text, left, STOP_MARGIN, [solid, hard]);
  });
}

const OVER: Record<SpringEndId, string> = {
  packLimit: 'Its steel is past the limit of full bump',
  shackleFlat: 'Its shackle lies along the spring',
  coilBind: 'Its turns are solid',
  coilLoose: '',
  shearTravel: 'Its rubber is sheared further than it is thick',
};
/** Metal meets metal: nothing is to be driven so. The others wear or sag. */
const HARD: readonly SpringEndId[] = ['coilBind'];

/**
 * How the spring's own ends stand to the stop above and to the shock below. @param ends of the worse side, as planned
 * @param held where the shocks end the droop, mm; null where nobody read both
 */
export function springEndRows(
  side: Side,
  read: TravelRead,
  ends: readonly SpringPlace[],
  fittings: Fittings,
  held: number | null,
): TravelVerdict[] {
  const solid = limitersOf(side, read, fittings).find((l) => l.id === 'stopSolid');
  return ends.map(({ id: item, at, half90 }): TravelVerdict => {
    const below = ENDS_BELOW.includes(item);
    const say = (state: VerdictState, text: string, value: number | null, limit: number, band: number | null) => ({
      ...{ item, side, state, text, half90: band },
      wants: value === null && !below ? STOP_POINTS.filter((point) => read[point] === undefined) : [],
      assumed: value === null || below ? [] : (solid?.assumed ?? []),
      ...(value !== null && {
        figure: { quantity: QUANTITY[item], dimension: 'length' as const, value, limit, margin: value - limit },
      }),
    });
    if (below) {
      if (held === null) return say('not checked', '', null, 0, null);
      const left = at - held;
      return left < 0
        ? say(
            'look',
            `It is loose in its seats ${mm(left)} before the shock is open: tie it, or fit a shorter shock.`,
            left,
            0,
            half90,
          )
        : say('fits', `The shock is open ${mm(left)} before it is loose in its seats.`, left, 0, half90);
    }
    if (!solid) return say('not checked', '', null, 0, null);
    const left = solid.at - at;
    const band = Math.hypot(solid.half90, half90);
    if (left < 0)
      return say(
        HARD.includes(item) ? 'does not fit' : 'look',
        `${OVER[item]} ${mm(left)} before the stop is solid.`,
        left,
        STOP_MARGIN,
        band,
      );
    const near = left < STOP_MARGIN || left < band;
    return say(
      near ? 'look' : 'fits',
      `The stop is solid ${near ? 'only ' : ''}${mm(left)} before${near && left >= STOP_MARGIN ? `, and that is told to ± ${band.toFixed(0)} mm only` : ''}.`,
      left,
      STOP_MARGIN,
      band,
    );
  });
}

/** Of both sides the worse one, item by item; sides read alike far count, one that was read counts before one that was not. */
export function worseSide(left: readonly TravelVerdict[], right: readonly TravelVerdict[]): TravelVerdict[] {
  return left.map((one, k) => {
    const other = right[k]!;
    if (one.state === 'not checked' || other.state === 'not checked') return one.state === 'not checked' ? other : one;
    const order = worstFirst(one, other) || (one.figure?.margin ?? 0) - (other.figure?.margin ?? 0);
    return order <= 0 ? one : other;
  });
}

/** Where both shocks are open, the later of the two with its band; null while one is not read. */
export function shocksOpenAt(limiters: readonly Limiter[]): number | null {
  const open = limiters.filter((l) => l.id === 'shockOpen');
  return open.length < 2 ? null : Math.max(...open.map((l) => l.at + l.half90));
}

/**
 * The same travel held by its shocks: a shock that is open before the springs hang ends the droop of both sides where the later of
 * the two opens, its band allowed for. A side whose shock was not read holds nothing.
 */
export function heldByShocks(travel: HubTravel | null, limiters: readonly Limiter[]): HubTravel | null {
  const held = shocksOpenAt(limiters);
  if (!travel || held === null) return travel;
  const ends = (droop: HubDrop | null, sits: HubDrop) =>
    hubDrop(Math.max(sits, droop === null ? held : Math.min(droop, held)));
  return {
    ...travel,
    droopToday: ends(travel.droopToday, travel.today),
    droopPlanned: ends(travel.droopPlanned, travel.planned),
  };
}

/** The survey's answers with the slack that a plan gives its lines. */
export const withMoreSlack = (answers: readonly SurveyAnswer[], { lines }: Fittings): SurveyAnswer[] =>
  answers.map((a) => {
    const more = a.item in lines ? (lines[a.item as keyof typeof lines] ?? 0) : 0;
    return more > 0 && a.slack !== null ? { ...a, slack: a.slack + more } : a;
  });
