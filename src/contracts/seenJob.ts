import { summarise } from '@/core/prediction/ledger';
import { isPaired, axleName } from '@/core/suspension/names';
import { type VehicleFormId } from '@/core/vehicle/form';
import { SIDES, type Side } from '@/core/vehicle/side';
import { foretoldOf } from './foretold';
import { type AxleView, type JobView } from './job';

/** One height of an axle as a customer sees it, mm. */
export interface SeenHeight {
  side: Side;
  from: 'frame' | 'ground';
  state: string;
  before: number | null;
  /** Not read in this load state, but reckoned from another one. */
  reckoned: boolean;
  foretold: { height: number; half90: number } | null;
  after: number | null;
}

/** A job without what is the shop's own: no names, prices, notes or other jobs. */
export interface SeenJob {
  shop: string;
  said: string;
  endsAt: string;
  vehicle: string;
  form: VehicleFormId;
  wheelbase: number;
  sketched: { position: 'front' | 'rear'; pair: boolean; touched: boolean }[];
  complaint: string;
  axles: { name: string; wanted: number; plan: string; heights: SeenHeight[] }[];
  begun: string | null;
  closed: string | null;
  /** Gone on with, and to be mended by a day. */
  defects: { what: string; dueOn: string }[];
  checks: { what: string; dueOn: string; afterKm: number }[];
}

function heightsOf(view: AxleView): SeenHeight[] {
  const state = view.states.find((s) => s.wanted) ?? view.states[0];
  return SIDES.flatMap((side) =>
    (['hubToLip', 'groundToLip'] as const).flatMap((point) => {
      const proven = view.outcomes.find((o) => o.side === side && o.point === point && o.stateId === state?.id);
      const read = view.readings.find(
        (r) => r.point === point && r.phase === 'before' && r.side === side && r.stateId === state?.id,
      );
      const ledger =
        point === 'hubToLip' && foretoldOf(view)?.ledgers.find((l) => l.side === side && l.stateId === state?.id);
      const told = ledger ? summarise(ledger.lines) : null;
      if (!proven && !read && !told) return [];
      const foretold = proven
        ? { height: proven.predicted, half90: proven.half90 }
        : told && told.after !== null
          ? { height: told.after, half90: told.half }
          : null;
      return [
        {
          ...{ side, from: point === 'hubToLip' ? ('frame' as const) : ('ground' as const), state: state?.name ?? '' },
          ...{ before: read?.value ?? told?.before ?? null, reckoned: !read && (told?.before ?? null) !== null },
          ...{ foretold, after: proven?.measured ?? null },
        },
      ];
    }),
  );
}

export function seenJob(view: JobView, link: { said: string; endsAt: string; shop: string }): SeenJob {
  const worked = [view, ...view.others];
  const touched = new Set<string>(worked.map((v) => v.axle.position));
  return {
    ...link,
    vehicle: view.vehicle.name,
    form: view.vehicle.form,
    wheelbase: view.vehicle.wheelbase,
    sketched: view.axles
      .filter((axle) => axle.position !== 'secondRear')
      .map((axle) => ({
        position: axle.position === 'front' ? 'front' : 'rear',
        pair: isPaired(axle.suspension),
        touched: touched.has(axle.position),
      })),
    complaint: view.job.complaint,
    axles: worked.map((v) => ({
      name: axleName(v.axle.position, v.axle.suspension),
      wanted: v.job.wantedChange,
      plan: foretoldOf(v)?.planName ?? v.plan.name,
      heights: heightsOf(v),
    })),
    begun: view.build?.startedAt ?? null,
    closed: view.closing?.closed ? view.closing.at : null,
    defects: view.defects.filter((d) => d.endedAt === null).map(({ what, dueOn }) => ({ what, dueOn })),
    checks: view.due.filter((d) => d.doneAt === null).map(({ what, dueOn, afterKm }) => ({ what, dueOn, afterKm })),
  };
}
