import { type BoardRow, type JobView } from './job';

/** The stations that exist so far, in working order. Numbers are those of the whole line of work. */
export const STATIONS = [
  { id: 'ask', name: 'Ask', number: 1 },
  { id: 'measure', name: 'Measure', number: 2 },
  { id: 'inspect', name: 'Inspect', number: 3 },
  { id: 'choose', name: 'Choose', number: 4 },
  { id: 'build', name: 'Build', number: 7 },
  { id: 'prove', name: 'Prove', number: 8 },
] as const;
export type StationId = (typeof STATIONS)[number]['id'];
export type StationState = 'untouched' | 'open' | 'done' | 'flagged';

export function stationStates(view: JobView): Record<StationId, StationState> {
  const stops = view.findings.filter((f) => f.verdict === 'stop' || f.verdict === 'replace').length;
  const inspected = view.findings.length >= LOOKED_AT ? 'done' : view.findings.length > 0 ? 'open' : 'untouched';
  return statesFrom(stops > 0 ? 'flagged' : inspected, {
    readings: view.readings.filter((r) => r.phase === 'before').length,
    changes: view.plan.changes.length,
    predictions: view.predictions.length,
    built: view.build !== null,
    outcomes: view.outcomes.length,
    outside: view.outcomes.filter((o) => !o.inside).length,
  });
}

type Progress = Pick<BoardRow, 'readings' | 'changes' | 'predictions' | 'built' | 'outcomes' | 'outside'>;

/** Findings after which an axle counts as inspected: both sides of most rules. */
const LOOKED_AT = 24;

function statesFrom(inspect: StationState, p: Progress): Record<StationId, StationState> {
  const started = (n: number): StationState => (n > 0 ? 'open' : 'untouched');
  return {
    ask: 'done',
    inspect,
    measure: p.predictions > 0 ? 'done' : started(p.readings),
    choose: p.predictions > 0 ? 'done' : started(p.changes),
    build: p.outcomes > 0 ? 'done' : p.built ? 'open' : 'untouched',
    prove: p.outside > 0 ? 'flagged' : p.outcomes > 1 ? 'done' : started(p.outcomes),
  };
}

/** The station where a job is worked on now. */
export function currentStation(p: Progress): StationId {
  if (p.outcomes > 0 || p.built) return 'prove';
  if (p.predictions > 0) return 'build';
  if (p.changes > 0) return 'choose';
  return 'measure';
}
