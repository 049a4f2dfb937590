import { CoreError } from '@/core/errors';
import { GRAVITY } from '@/core/material/steel';
import { drawnOut, liftPlan, UNDER_TYRE, type Lifted, type LiftPlan } from '@/core/prepare/liftPlan';
import { LIFTING_POINTS, type LiftingPoint } from '@/core/sheet/lifting';
import { axleMassIn } from '@/core/sheet/reading';
import { type HubTravel } from '@/core/travel/hubTravel';
import { type AxleView } from './job';
import { bayOf } from './preparation';
import { assembledOf, axleSheetOf } from './sheet';
import { type ToolRow } from './tool';

export interface Lift {
  at: Lifted | null;
  plan: LiftPlan | null;
  stand: ToolRow | null;
  /** What is still to be read or solved for it. */
  wants: string[];
  /** Why the readings cannot be. */
  refused: string | null;
  frame: number | null;
  ahead: number | null;
  /** Whether the longest bolt that comes out downwards can be drawn; null while nobody measured it. */
  drawn: { room: number; short: number } | null;
}

/** How high the vehicle is held while it is worked on, from the solved droop and what was read where the stand goes. @param travel null while it is not solved */
export function liftOf(
  view: AxleView,
  travel: Pick<HubTravel, 'droopToday' | 'droopPlanned'> | null,
  tools: readonly ToolRow[],
): Lift {
  const read = (point: LiftingPoint) =>
    view.readings.find((r) => r.point === point && r.phase === 'before')?.value ?? null;
  const frame = read('frameAtStand');
  const ahead = read('standAhead');
  const sheet = axleSheetOf(view);
  const mass = sheet.states[0] ? axleMassIn(sheet, sheet.states[0]) : null;
  const droops = [travel?.droopToday, travel?.droopPlanned].flatMap((d) => (typeof d === 'number' ? [d] : []));
  const stand = tools.find((t) => t.id === bayOf(view).standId) ?? null;
  const known = { frame, ahead, stand, drawn: null };
  const wants = [
    ...(frame === null ? [LIFTING_POINTS.frameAtStand.label] : []),
    ...(ahead === null ? [LIFTING_POINTS.standAhead.label] : []),
    ...(mass === null ? ['what the axle weighs (Measure)'] : []),
    ...(droops.length === 0 ? ['how far the axle drops (the spring must be solved)'] : []),
  ];
  const none = { ...known, at: null, plan: null, wants, refused: null };
  if (wants.length > 0 || frame === null || ahead === null || mass === null) return none;
  const at: Lifted = {
    ...{ wheelbase: view.vehicle.wheelbase, frame, ahead, clear: UNDER_TYRE, axleMass: mass },
    droop: Math.max(0, ...droops),
    squash: (mass * GRAVITY) / 2 / assembledOf(view).input.tyreRate.value,
  };
  try {
    const reach =
      stand && stand.low !== null && stand.high !== null
        ? { lowest: stand.low, highest: stand.high, notch: stand.notch ?? 1 }
        : null;
    const plan = liftPlan(at, reach);
    const [head, bolt] = [read('boltHead'), read('boltDrawn')];
    const drawn = head === null || bolt === null ? null : drawnOut(head, bolt, plan.raise);
    return { ...known, at, plan, drawn, wants, refused: null };
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return { ...none, refused: error.message };
  }
}
