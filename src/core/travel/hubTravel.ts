import { CoreError } from '../errors';
import { type Side, SIDES } from '../vehicle/side';
import { type SideModel, type SpringEndId, type SpringFigures } from '../suspension/kind';

declare const datum: unique symbol;
/**
 * Where the hub stands relative to the frame, mm below its place of today: the one datum of every travel figure. Ride height after
 * a lift, droop before and after it and the place where a hose comes taut are all values on it; bump is negative.
 */
export type HubDrop = number & { readonly [datum]: 'hub below its place of today' };
export const hubDrop = (mm: number): HubDrop => mm as HubDrop;
export const TODAY = hubDrop(0);

/** What of a spring itself ends the travel, on the one datum. */
export interface SpringPlace {
  id: SpringEndId;
  at: HubDrop;
  half90: number;
}

/** Where the hub of one side stands in the states that matter, in the load of the day. */
export interface HubTravel {
  today: HubDrop;
  /** Ride height with the planned changes. */
  planned: HubDrop;
  /** Hanging by its own unsprung weight, as it is and as planned; null where that cannot be told. */
  droopToday: HubDrop | null;
  droopPlanned: HubDrop | null;
  /** Not in predictions of older cores. */
  endsToday?: SpringPlace[];
  endsPlanned?: SpringPlace[];
  /** Where it rests as planned in the load that presses it furthest up, and in the one that lets it furthest down. Not in predictions of older cores. */
  laden?: HubDrop;
  lightest?: HubDrop;
  /** By how much what is clamped on the axle stands higher over its hub as planned, mm. */
  topRise?: number;
}

/** Ends of the travel that lie below the ride height; every other one lies above it. */
export const ENDS_BELOW: readonly SpringEndId[] = ['coilLoose'];

/**
 * Places of the hub by the springs alone: shocks, straps and stops may end the droop before. Droop is null without a solved
 * spring or where the hanging state does not exist.
 * @param changes as planned @param load on the spring today, N @param hanging unsprung weight on it once lifted, N
 */
export function hubTravel<C>(
  model: Pick<SideModel<C, SpringFigures>, 'hasSpring' | 'rise'>,
  changes: readonly C[],
  load: number | undefined,
  hanging: number | undefined,
): HubTravel {
  const base = model.rise([], 0);
  const at = (made: readonly C[], extra: number) => hubDrop(model.rise(made, extra) - base);
  const planned = at(changes, 0);
  const none: HubTravel = { today: TODAY, planned, droopToday: null, droopPlanned: null };
  if (!model.hasSpring || load === undefined || hanging === undefined) return none;
  const lifted = -hanging - load;
  try {
    return { ...none, droopToday: at([], lifted), droopPlanned: at(changes, lifted) };
  } catch (error) {
    if (error instanceof CoreError) return none;
    throw error;
  }
}

/** The same with what of the spring itself ends it: it takes a few solves more. */
export function withSpringEnds<C>(
  travel: HubTravel | null,
  model: Pick<SideModel<C, SpringFigures>, 'rise' | 'ends' | 'top'>,
  changes: readonly C[],
): HubTravel | null {
  if (!travel) return travel;
  const topRise = model.top ? model.top(changes) - model.top([]) : 0;
  if (!model.ends) return { ...travel, topRise };
  const places = (made: readonly C[], sits: HubDrop) => {
    const rests = model.rise(made, 0);
    return model.ends!(made).map(({ id, rise, half90 }): SpringPlace => ({
      id,
      at: hubDrop(sits + rise - rests),
      half90,
    }));
  };
  const endsToday = places([], TODAY);
  return {
    ...travel,
    topRise,
    endsToday,
    endsPlanned: changes.length === 0 ? endsToday : places(changes, travel.planned),
  };
}

/** Of both sides the end that is met first. */
function firstMet(ends: readonly SpringPlace[]): SpringPlace[] {
  const found = new Map<SpringEndId, SpringPlace>();
  for (const end of ends) {
    const known = found.get(end.id);
    const below = ENDS_BELOW.includes(end.id);
    if (!known || (below ? end.at < known.at : end.at > known.at)) found.set(end.id, end);
  }
  return [...found.values()];
}

/** The same with where it rests as planned in every load. @param loads beyond that of the day, N */
export function withLoads<C>(
  travel: HubTravel,
  model: Pick<SideModel<C, SpringFigures>, 'rise'>,
  changes: readonly C[],
  loads: readonly number[],
): HubTravel {
  const base = model.rise([], 0);
  const rests = loads.map((extra) => model.rise(changes, extra) - base);
  return { ...travel, laden: hubDrop(Math.min(...rests)), lightest: hubDrop(Math.max(...rests)) };
}

const furthest = (places: readonly (HubDrop | null | undefined)[]): HubDrop | null => {
  const known = places.filter((p): p is HubDrop => typeof p === 'number');
  return known.length > 0 ? hubDrop(Math.max(...known)) : null;
};

/** The lower of both sides in each state: what lines between frame and axle must reach. null without a side solved. */
export function worstTravel(
  sides: Readonly<Record<Side, { travel?: HubTravel | null } | null>> | undefined,
): HubTravel | null {
  const known = SIDES.flatMap((side) => sides?.[side]?.travel ?? []);
  if (known.length === 0) return null;
  const of = (place: 'planned' | 'droopToday' | 'droopPlanned') => furthest(known.map((t) => t[place]));
  const told = <P extends 'laden' | 'lightest'>(place: P) => known.flatMap((t) => t[place] ?? []);
  const [laden, lightest] = [told('laden'), told('lightest')];
  return {
    ...(laden.length > 0 && { laden: hubDrop(Math.min(...laden)) }),
    ...(lightest.length > 0 && { lightest: hubDrop(Math.max(...lightest)) }),
    topRise: Math.max(0, ...known.map((t) => t.topRise ?? 0)) || Math.min(0, ...known.map((t) => t.topRise ?? 0)),
    endsToday: firstMet(known.flatMap((t) => t.endsToday ?? [])),
    endsPlanned: firstMet(known.flatMap((t) => t.endsPlanned ?? [])),
    today: TODAY,
    planned: of('planned') ?? TODAY,
    droopToday: of('droopToday'),
    droopPlanned: of('droopPlanned'),
  };
}

/** The same axle with nothing changed. */
export const asItStands = (travel: HubTravel): HubTravel => ({
  ...travel,
  planned: TODAY,
  droopPlanned: travel.droopToday,
  endsPlanned: travel.endsToday ?? [],
  topRise: 0,
});
