import { type JobView } from '@/contracts/job';
import { type Sheet } from '@/core/suspension/longitudinalLeaf/sheet';
import { flatbedSheet } from './sheets';

/** A job's view around a measuring sheet, with only what figures and sheets read of it. */
export function viewOf(sheet: Sheet = flatbedSheet()): JobView {
  const view = {
    job: { id: 'job' },
    axle: { ...sheet.axle, suspension: 'longitudinalLeaf' },
    vehicle: { wheelbase: sheet.wheelbase, form: 'truck' },
    pack: sheet.pack,
    leaves: sheet.leafIds.map((id, i) => ({ id, ordinal: i + 1 })),
    readings: sheet.readings.map((r) => ({ ...r, dayId: null })),
    states: sheet.states.map((s, ordinal) => ({ ...s, ordinal })),
    plan: { changes: [] },
    days: [],
    findings: [],
    pressRuns: [],
    expects: [],
    others: [],
    needed: [],
    arrivals: [],
    schools: [],
    survey: [],
    torques: [],
    bay: null,
    toolsHere: null,
    daysOff: { week: [0, 6], on: [] },
    own: null,
    seen: { coilEnds: null },
  };
  return view as unknown as JobView;
}
