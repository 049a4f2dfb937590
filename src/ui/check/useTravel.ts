'use client';
import { useMemo } from 'react';
import { besidesOf } from '@/contracts/besides';
import { knownOf } from '@/contracts/fit';
import { type JobView } from '@/contracts/job';
import { type ChangeRow } from '@/contracts/plan';
import { assembledOf } from '@/contracts/sheet';
import { factsOf } from '@/core/fit/work';
import { besideRows } from '@/core/beside/besides';
import { shaftEnds } from '@/core/beside/shaft';
import { besideFacts, lineRows, struckAs, travelRows, type Known } from '@/core/fit/mustFit';
import { type AxlePrediction } from '@/core/suspension/registry';
import { asItStands, hubDrop, TODAY, worstTravel, type HubDrop, type HubTravel } from '@/core/travel/hubTravel';
import { forceOverTravel } from '@/core/travel/forceOverTravel';
import { limitersOfBoth, NO_FITTINGS, type Fittings } from '@/core/travel/limits';
import { heldByShocks, type TravelVerdict } from '@/core/travel/travelRows';
import { tautAt, type SlackVerdict } from '@/core/travel/survey';
import { SIDES, type Side } from '@/core/vehicle/side';
import { usePrediction } from '../prediction/usePrediction';

/** Where each hub stands in a load state, before and after the work, on the one datum. */
export interface Sits {
  was: Record<Side, HubDrop>;
  will: Record<Side, HubDrop>;
  /** 90 % half-width of the planned one, mm. */
  half90: number;
  /** False where the load state could not be solved: then it is today's. */
  known: boolean;
}

const NOWHERE: Sits = {
  was: { left: TODAY, right: TODAY },
  will: { left: TODAY, right: TODAY },
  half90: 0,
  known: false,
};

/** @param solved null until it is; then both sides stand where they do today */
export function sitsIn(solved: AxlePrediction | null, stateId: string): Sits {
  if (!solved) return NOWHERE;
  const of = (side: Side) => {
    const states = solved.sides[side]?.states ?? solved.sides[side === 'left' ? 'right' : 'left']?.states;
    const base = states?.[0];
    const state = states?.find((s) => s.id === stateId) ?? base;
    if (!state || !base) return { was: 0, will: 0, half: 0, known: false };
    // How far the load alone presses it down.
    const load =
      state === base ? 0 : state.before !== null && state.beforeHere !== null ? state.beforeHere - state.before : null;
    return {
      was: load ?? 0,
      will: (load ?? 0) + (load === null ? base.change : state.change),
      half: state.firstOrder,
      known: load !== null,
    };
  };
  const [left, right] = [of('left'), of('right')];
  return {
    was: { left: hubDrop(left.was), right: hubDrop(right.was) },
    will: { left: hubDrop(left.will), right: hubDrop(right.will) },
    half90: Math.max(left.half, right.half),
    known: left.known && right.known,
  };
}

function rateIn(solved: AxlePrediction | null, stateId: string): { was: number; will: number } | null {
  const states = (solved?.sides.left ?? solved?.sides.right)?.states;
  const { old, built } = states?.find((s) => s.id === stateId) ?? states?.[0] ?? {};
  return old && built ? { was: old.rate, will: built.rate } : null;
}

/** Of the left side, or of the other where that was not solved. */
function forceIn(solved: AxlePrediction | null): ReturnType<typeof forceOverTravel> | null {
  const side = solved?.sides.left?.curve.length ? solved.sides.left : solved?.sides.right;
  if (!side || side.curve.length < 2) return null;
  return forceOverTravel(side.curve, side.states[0]?.before ?? 0);
}

export interface TravelOf {
  /** What ends the travel, and every line that was looked at. */
  ends: TravelVerdict[];
  lines: SlackVerdict[];
}

/** The list for any fittings, so that a mend is answered before it is made. */
export function travelOf(
  known: Known,
  sits: Record<Side, HubDrop>,
  travel: HubTravel | null,
  fittings: Fittings,
): TravelOf {
  const at = { ...known, travel: { ...known.travel!, fittings } };
  return {
    ends: travelRows(sits, at, travel?.endsPlanned),
    lines: lineRows(travel, at).filter((row) =>
      known.survey.some((a) => a.item === row.item && a.answer !== 'none' && a.answer !== 'notChecked'),
    ),
  };
}

/** The axle's travel with the plan as it is typed, before and after, in one load state. */
export function useTravel(view: JobView, changes: readonly ChangeRow[], stateId: string) {
  const text = JSON.stringify(changes);
  const planned = useMemo(
    () => ({ ...view, plan: { ...view.plan, changes: JSON.parse(text) as ChangeRow[] } }),
    [view, text],
  );
  const assembled = useMemo(() => assembledOf(planned), [planned]);
  const { prediction, refused } = usePrediction(assembled.missing.length > 0 ? null : assembled.input, 0, true, true);
  return useMemo(() => {
    const facts = prediction ? factsOf(prediction) : null;
    const sits = sitsIn(prediction, stateId);
    const travel = worstTravel(prediction?.sides);
    const known = struckAs(knownOf(planned, assembled.refused), travel);
    const { fittings } = known.travel!;
    const after = travelOf(known, sits.will, travel, fittings);
    const before = travelOf(known, sits.was, travel && asItStands(travel), NO_FITTINGS);
    const limiters = limitersOfBoth(known.travel!.read, fittings);
    const besides = besidesOf(planned, known.heaviest);
    const beside = besideFacts(facts, known);
    return {
      ...{ planned, assembled, known, facts, sits, travel, fittings, after, before, limiters, refused },
      /** Of a spring at its wheel in the picked load, before and after; null while it is not solved. */
      rate: rateIn(prediction, stateId),
      held: heldByShocks(travel, limiters),
      /** Load on one spring over its hub's travel; null while it is not solved. */
      force: forceIn(prediction),
      /** Bushes, joints of the stack, how it stands on its wheels: every row, read or not. */
      beside: besideRows(besides, known.position, beside),
      /** Where the drive shaft gives no more, in the picked load. */
      shaft: besides.driven
        ? shaftEnds(
            besides.read,
            { position: known.position, noseUp: beside.noseUp },
            hubDrop(Math.min(sits.will.left, sits.will.right)),
          )
        : [],
      /** Where each measured line comes taut, the slack that the plan gives it added. */
      taut: known.survey.flatMap((a) =>
        a.slack === null
          ? []
          : [
              {
                item: a.item,
                at: tautAt(
                  a.slack + (fittings.lines[a.item as keyof Fittings['lines']] ?? 0),
                  a.readAt === 'built' && travel ? travel.planned : TODAY,
                ),
              },
            ],
      ),
      /** Nothing says yet where the planned axle sits in this load: what hangs on that is not told. */
      unplaced: prediction ? !sits.known : assembled.input.changes.length > 0 || stateId !== planned.states[0]?.id,
    };
  }, [planned, assembled, prediction, stateId, refused]);
}
export type Travel = ReturnType<typeof useTravel>;

/** Of both sides the place that acts first: the lowest on the way up, the highest on the way down. */
export const firstOf = (limiters: Travel['limiters'], id: Travel['limiters'][number]['id']) => {
  const of = SIDES.flatMap((side) => limiters.find((l) => l.id === id && l.side === side) ?? []);
  return of.toSorted((p, q) => (id === 'shockOpen' ? p.at - q.at : q.at - p.at))[0] ?? null;
};
