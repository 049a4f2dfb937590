import { type PlannedChange, type Sheet } from '@/core/suspension/longitudinalLeaf/sheet';
import { SIDES } from '@/core/vehicle/side';
import { type JobView } from './job';
import { type ChangeRow } from './plan';

/** A line of a plan as the core reads it. */
export const planned = (change: ChangeRow): PlannedChange => {
  switch (change.kind) {
    case 'addLeaf': {
      const { kind, front, rear, thickness, camber, source, camberKnown } = change;
      return { kind, front, rear, thickness, camber, source, ...(camberKnown === false && { camberKnown }) };
    }
    case 'removeLeaf':
      return { kind: change.kind, leaf: change.leaf };
    case 'pack': {
      const { kind, leaves, width, form, bore, used, source, byFreeArch } = change;
      return { kind, leaves, width, eyeForm: form, eyeBore: bore, used, source, ...(byFreeArch && { byFreeArch }) };
    }
    case 'rearch':
      return { kind: change.kind, camber: change.camber };
    case 'eyes':
      return { kind: change.kind, form: change.form };
    case 'shackle':
      return { kind: change.kind, length: change.length, source: change.partId ? 'catalogue' : 'measured' };
    case 'block':
      return { kind: change.kind, height: change.height, source: change.partId ? 'catalogue' : 'measured' };
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
    ...brokenLeaves(view),
    press: view.pressRuns,
  };
}

/** Leaves that the inspection found broken: at a stated place, the main leaf wherever, and those of which nobody said where. */
function brokenLeaves(view: JobView): Pick<Sheet, 'broken' | 'brokenMain' | 'brokenUnplaced'> {
  const found = view.findings.filter((f) => f.rule === 'leafBroken' && f.verdict === 'stop');
  const main = view.leaves[0]?.id;
  const isMain = (f: (typeof found)[number]) => f.choice === 'main' || (f.leafId !== null && f.leafId === main);
  const placed = found.flatMap((f) => {
    const { side, leafId, place } = f;
    if (isMain(f) || !side || !leafId || place === null) return [];
    return [{ side, leafId, end: place < 0 ? ('front' as const) : ('rear' as const), at: Math.abs(place) }];
  });
  const sides = (of: typeof found) => of.flatMap((f) => f.side ?? SIDES);
  const brokenMain = sides(found.filter(isMain));
  const unplaced = sides(found.filter((f) => !isMain(f) && (!f.leafId || f.place === null)));
  return {
    broken: placed,
    brokenMain,
    brokenUnplaced: unplaced.filter((side) => !placed.some((b) => b.side === side)),
  };
}
