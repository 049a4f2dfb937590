import { type FitRow } from './fit';
import { missingBeforeHeights } from './gates';
import { goalValue } from '@/core/height/goals';
import { type Side } from '@/core/vehicle/side';
import { type AxleView, type JobView } from './job';

/** Places of a vehicle that a job asks something of. */
export const SPOTS = ['heights', 'load', 'spring', 'stops', 'shocks', 'ubolts', 'lines'] as const;
export type SpotId = (typeof SPOTS)[number];

export interface Spot {
  id: SpotId;
  name: string;
  /** Where it is asked, below the job. */
  at: string;
  state: 'stop' | 'look' | 'done' | 'untouched';
}

const ROWS: Partial<Record<SpotId, readonly string[]>> = {
  stops: ['stopGap', 'axleToFrame', 'tyreToArch', 'tyreAtLock'],
  shocks: ['shockShut', 'shockLength'],
  ubolts: ['threads', 'runOut'],
  lines: ['hoseSlack', 'wireSlack', 'brakeHose', 'brakeWire', 'parkingCable', 'speedSensor', 'axleVent', 'levelSensor'],
};

const NAMES: Record<SpotId, { name: string; at: string }> = {
  heights: { name: 'heights', at: 'measure#list' },
  load: { name: 'what is aboard', at: 'ask#loads' },
  spring: { name: 'springs', at: 'measure' },
  stops: { name: 'bump stops', at: 'check#read' },
  shocks: { name: 'shocks', at: 'check#shocks' },
  ubolts: { name: 'U-bolts', at: 'choose#fit' },
  lines: { name: 'hoses and wires', at: 'check#lines' },
};

/** How rows of the list stand together: the worst counts, and one that nobody checked keeps them from being done. */
function together(rows: readonly FitRow[]): Spot['state'] {
  if (rows.some((row) => row.state === 'does not fit' && row.blocks && row.defect === null)) return 'stop';
  if (rows.some((row) => row.state === 'does not fit' || row.state === 'look')) return 'look';
  return rows.length > 0 && rows.every((row) => row.state === 'fits') ? 'done' : 'untouched';
}

/** Every place of the axle at work with how it stands; a kind without U-bolts has none. @param rows the list of what must fit */
export function vehicleSpots(view: AxleView, rows: readonly FitRow[]): Spot[] {
  const read = (points: readonly string[]) => view.readings.some((r) => points.includes(r.point));
  const found = view.findings.map((f) => f.verdict);
  const state = (id: SpotId): Spot['state'] => {
    const of = ROWS[id];
    if (of) return together(rows.filter((row) => of.includes(row.subject)));
    if (id === 'heights') return missingBeforeHeights(view).length === 0 ? 'done' : 'untouched';
    if (id === 'load') return read(['padLoad', 'axleLoad']) ? 'done' : 'untouched';
    if (found.includes('stop')) return 'stop';
    if (found.includes('replace')) return 'look';
    return read(['loadedArch', 'freeArch', 'coilLength', 'pairArchFront', 'crossDrop']) ? 'done' : 'untouched';
  };
  return SPOTS.filter((id) => id !== 'ubolts' || view.axle.suspension === 'longitudinalLeaf').map((id) => ({
    id,
    ...NAMES[id],
    state: state(id),
  }));
}

/** How the vehicle stands as it came in, as far as it was read, mm. */
export interface Stance {
  /** Hub to arch lip at each axle of the job. */
  axles: { id: string; position: AxleView['axle']['position']; left: number | null; right: number | null }[];
  /** Left less right at the axle at work, and rear less front at the lips from the ground; null where it was not read. */
  lean: number | null;
  rake: number | null;
}

/** Heights of every axle, lean and rake as they were read before the work. */
export function stanceOf(view: JobView): Stance {
  // In the load it came in with: the same point may be read again with more aboard.
  const height = (of: AxleView, side: Side) =>
    of.readings.find(
      (r) => r.point === 'hubToLip' && r.phase === 'before' && r.side === side && r.stateId === of.states[0]?.id,
    )?.value ?? null;
  const axles = [view, ...view.others].map((of) => ({
    id: of.id,
    position: of.axle.position,
    left: height(of, 'left'),
    right: height(of, 'right'),
  }));
  const [own] = axles;
  const rake = goalValue('rake', view.readings, 'before', view.states[0]?.id ?? '', view.axle.position) ?? null;
  return { axles, lean: own!.left === null || own!.right === null ? null : own!.left - own!.right, rake };
}
