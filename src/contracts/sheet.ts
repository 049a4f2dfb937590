import { type PlannedChange, type Sheet } from '@/core/measure/sheet';
import { type JobView } from './job';
import { type ChangeRow } from './plan';

/** A line of a plan as the core reads it. */
export const planned = (change: ChangeRow): PlannedChange => {
  switch (change.kind) {
    case 'addLeaf': {
      const { kind, front, rear, thickness, camber, source } = change;
      return { kind, front, rear, thickness, camber, source };
    }
    case 'removeLeaf':
      return { kind: change.kind, leaf: change.leaf };
    case 'pack': {
      const { kind, leaves, width, form, bore, used, source } = change;
      return { kind, leaves, width, eyeForm: form, eyeBore: bore, used, source };
    }
    case 'rearch':
      return { kind: change.kind, camber: change.camber };
    case 'eyes':
      return { kind: change.kind, form: change.form };
    case 'shackle':
      return { kind: change.kind, length: change.length };
    default:
      return { kind: change.kind, height: change.height };
  }
};

/** The measuring sheet of a job as the core reads it; `changes` overrides the stored plan for a preview. */
export function sheetOf(view: JobView, changes: readonly ChangeRow[] = view.plan.changes): Sheet {
  return {
    axle: view.axle,
    wheelbase: view.vehicle.wheelbase,
    pack: view.pack,
    leafIds: view.leaves.map((leaf) => leaf.id),
    readings: view.readings.map((r) => ({ ...r, fuel: view.days.find((d) => d.id === r.dayId)?.fuel ?? null })),
    states: view.states,
    changes: changes.map(planned),
    broken: brokenLeaves(view),
    press: view.pressRuns,
  };
}

/** Leaves that the inspection found broken at a stated place. */
function brokenLeaves(view: JobView): NonNullable<Sheet['broken']> {
  return view.findings.flatMap(({ rule, verdict, side, leafId, place }) =>
    rule === 'leafBroken' && verdict === 'stop' && side && leafId && place !== null
      ? [{ side, leafId, end: place < 0 ? ('front' as const) : ('rear' as const), at: Math.abs(place) }]
      : [],
  );
}
