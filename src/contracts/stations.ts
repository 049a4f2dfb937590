import { type BoardRow } from './board';
import { type AxleView } from './job';
import { openDefects, openList, type OpenItem } from './openList';
import { STATIONS, type StationId } from './stationNames';
import { isCheckBegun } from './travel';

export type StationState = 'untouched' | 'open' | 'done' | 'flagged';

export interface Station {
  state: StationState;
  /** What it still asks for. */
  open: OpenItem[];
}

/**
 * State of every station: done when its own list is empty, flagged on a stop, on an open defect or on a height outside its band.
 */
export function stationStates(view: AxleView, lists = openList(view)): Record<StationId, Station> {
  const begun: Record<StationId, boolean> = {
    ask: true,
    measure: view.readings.some((r) => r.phase === 'before'),
    inspect: view.findings.length > 0,
    choose: view.plan.changes.length > 0 || view.predictions.length > 0,
    check: isCheckBegun(view),
    prepare: view.needed.length > 0 || view.waits.length > 0 || view.bay !== null,
    build: view.build !== null || view.torques.length > 0 || view.safety.length > 0,
    prove: view.outcomes.length > 0,
    follow: view.closing?.closed === true || view.settlingHeights.length > 0 || view.due.some((d) => d.doneAt !== null),
  };
  const flags: Partial<Record<StationId, boolean>> = {
    inspect: view.findings.some((f) => f.verdict === 'stop' || f.verdict === 'replace'),
    build: view.build !== null && openDefects(view).length > 0,
    prove: view.outcomes.some((o) => !o.inside),
  };
  const of = (id: StationId): Station => {
    const open = lists[id];
    if (!begun[id]) return { state: 'untouched', open };
    if (open.some((item) => item.stop) || flags[id]) return { state: 'flagged', open };
    return { state: open.length === 0 ? 'done' : 'open', open };
  };
  return Object.fromEntries(STATIONS.map(({ id }) => [id, of(id)])) as Record<StationId, Station>;
}

type Progress = Pick<BoardRow, 'changes' | 'predictions' | 'built' | 'outcomes' | 'closedAt'>;

/** The station where a job is worked on now. */
export function currentStation(p: Progress): StationId {
  if (p.closedAt !== null) return 'follow';
  if (p.outcomes > 0) return 'prove';
  if (p.built || p.predictions > 0) return 'build';
  if (p.changes > 0) return 'choose';
  return 'measure';
}
