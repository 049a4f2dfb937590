import { TRAVEL_POINT_IDS, TRAVEL_POINTS, type TravelPoint } from '@/core/sheet/travel';
import { type DrivelineRead } from '@/core/driveline/pinion';
import { travelRows, type Known } from '@/core/fit/mustFit';
import { DRIVELINE_POINTS } from '@/core/sheet/driveline';
import { TODAY } from '@/core/travel/hubTravel';
import { NO_FITTINGS, type Fittings, type Struck, type TravelRead } from '@/core/travel/limits';
import { FITTED_ITEMS, STRIKES_PLATE } from '@/core/travel/survey';
import { type TravelVerdict } from '@/core/travel/travelRows';
import { type Side } from '@/core/vehicle/side';
import { type AxleView } from './job';
import { type ChangeRow } from './plan';
import { isFitting } from './planKinds';

/** Slopes and length of the drive shaft, as read before the work. */
export const drivelineRead = ({ readings }: Pick<AxleView, 'readings'>): DrivelineRead =>
  Object.fromEntries(
    readings.flatMap((r) => (r.point in DRIVELINE_POINTS && r.phase === 'before' ? [[r.point, r.value]] : [])),
  );

/** What a plan puts in besides its springs. */
export function fittingsOf(changes: readonly ChangeRow[]): Fittings {
  const made: Fittings = { ...NO_FITTINGS, lines: {} };
  for (const change of changes) {
    if (change.kind === 'stopPad') made.stopPad = change.height;
    if (change.kind === 'stopCut') made.stopCut = change.by;
    if (change.kind === 'shocks') made.shock = { shut: change.shut, open: change.open };
    if (change.kind === 'line') made.lines[change.item] = (made.lines[change.item] ?? 0) + change.by;
  }
  return made;
}

/** What ends the travel of one side, as it was read before the work. */
export function travelRead({ readings }: Pick<AxleView, 'readings'>, side: Side): TravelRead {
  const of = (point: TravelPoint) =>
    readings.find((r) => r.point === point && r.side === side && r.phase === 'before' && r.stateId === null)?.value;
  return Object.fromEntries(
    TRAVEL_POINT_IDS.flatMap((point) => {
      const value = of(point);
      return value === undefined ? [] : [[point, value]];
    }),
  );
}

/** What the bump stop strikes, as somebody said. */
export function struckOf(survey: AxleView['survey']): Struck {
  const answer = survey.find((s) => s.item === STRIKES_PLATE)?.answer;
  return answer === 'ok' ? 'plate' : answer === 'none' ? 'axle' : null;
}

/** What of an axle the travel is told from. */
type Checked = Pick<AxleView, 'axle' | 'readings' | 'plan' | 'survey'>;

export const travelKnown = (view: Checked): NonNullable<Known['travel']> => ({
  read: { left: travelRead(view, 'left'), right: travelRead(view, 'right') },
  fittings: fittingsOf(view.plan.changes),
  absent: [
    ...FITTED_ITEMS.filter((item) => view.survey.find((s) => s.item === item)?.answer === 'none'),
    ...(view.axle.steered ? [] : (['lock'] as const)),
  ],
  struck: struckOf(view.survey),
});

/** Whether anybody read what ends the travel, or planned something for it. */
export const isCheckBegun = (view: Checked): boolean =>
  view.readings.some((r) => r.point in TRAVEL_POINTS) ||
  view.plan.changes.some(isFitting) ||
  travelKnown(view).absent.some((item) => item !== 'lock');

/** What nobody read of what ends the travel. */
export const travelUnread = (view: Checked): TravelVerdict[] =>
  travelRows({ left: TODAY, right: TODAY }, { travel: travelKnown(view) }).filter((row) => row.state === 'not checked');
