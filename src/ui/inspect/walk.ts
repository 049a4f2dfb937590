import { type JobView } from '@/contracts/job';
import { worse, type InspectionVerdict } from '@/core/inspection/rule';
import { ruleOf, type RuleId } from '@/core/inspection/rules';
import { rulesOf } from '@/core/suspension/registry';
import { SIDES, type Side } from '@/core/vehicle/side';

/** How a spot stands on one side: what was found there, or null while nobody looked. */
export type SpotState = InspectionVerdict | null;

/** One spot of the walk round an axle. */
export interface WalkSpot {
  rule: RuleId;
  /** From 1. */
  number: number;
  /** On each side; of the axle as a whole where it is looked at once. */
  found: { side: Side | null; state: SpotState }[];
}

/** Where a spot is, in the drawing's own axes, and in which row its number stands. */
export interface SpotPlace {
  x: number;
  y: number;
  row: 'above' | 'below';
}

/** The spots of an axle in the order of a walk. @param order of the kind; what it leaves out follows */
export function walkOf(view: JobView, order: readonly RuleId[]): WalkSpot[] {
  const rules = rulesOf(view.axle.suspension, view.pack);
  const walked = [...order.filter((rule) => rules.includes(rule)), ...rules.filter((rule) => !order.includes(rule))];
  return walked.map((rule, k) => ({
    rule,
    number: k + 1,
    found: (ruleOf(rule).once ? [null] : SIDES).map((side) => ({
      side,
      state: view.findings.find((f) => f.rule === rule && f.side === side)?.verdict ?? null,
    })),
  }));
}

/** The worst of a spot; null while a side of it is open and none is worse than fine. */
export function worstOf({ found }: WalkSpot): SpotState {
  const seen = found.flatMap(({ state }) => state ?? []);
  const worst = seen.reduce<SpotState>((w, v) => (w === null ? v : worse(w, v)), null);
  return worst === 'pass' && seen.length < found.length ? null : worst;
}

/** How the walk stands, in spots. */
export function walked(spots: readonly WalkSpot[]) {
  const of = (test: (state: SpotState) => boolean) => spots.filter((spot) => test(worstOf(spot))).length;
  return {
    fine: of((state) => state === 'pass'),
    looks: of((state) => state !== null && state !== 'pass' && state !== 'stop'),
    stops: of((state) => state === 'stop'),
    open: of((state) => state === null),
  };
}

/** The drawing of a walk: its spots, and the one that is looked at. */
export interface StageProps {
  view: JobView;
  side: Side;
  spots: readonly WalkSpot[];
  at: RuleId;
  onPick: (rule: RuleId) => void;
}
